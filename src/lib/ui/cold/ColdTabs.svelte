<script lang="ts">
  import Rooms from '../controls/Rooms.svelte';

  const ROOMS = [
    { path: '/freeze', name: 'Freeze' },
    { path: '/freeze/thaw', name: 'Thaw' },
    { path: '/freeze/places', name: 'Cold places' },
    { path: '/freeze/import', name: 'Logger files' }
  ];
</script>

<Rooms label="Rooms of the cold" rooms={ROOMS} />
