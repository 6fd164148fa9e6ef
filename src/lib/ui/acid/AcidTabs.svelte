<script lang="ts">
  import Rooms from '../controls/Rooms.svelte';

  const ROOMS = [
    { path: '/acid', name: 'Acid' },
    { path: '/acid/sauces', name: 'Sauces' }
  ];
</script>

<Rooms label="Rooms of acid" rooms={ROOMS} />
