<script lang="ts">
  import Rooms from '../controls/Rooms.svelte';

  const ROOMS = [
    { path: '/serve', name: 'Serve' },
    { path: '/serve/dishes', name: 'Dishes' }
  ];
</script>

<Rooms label="Rooms of service" rooms={ROOMS} />
