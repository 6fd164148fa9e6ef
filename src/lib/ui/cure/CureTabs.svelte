<script lang="ts">
  import Rooms from '../controls/Rooms.svelte';

  const ROOMS = [
    { path: '/cure', name: 'Cure' },
    { path: '/cure/recipes', name: 'Recipe book' },
    { path: '/cure/learning', name: 'What came out' }
  ];
</script>

<Rooms label="Rooms of curing" rooms={ROOMS} />
