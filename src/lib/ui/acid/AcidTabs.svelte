<script lang="ts">
  import { acidTabs as t } from '$lib/words/screens/acid.ts';
  import Rooms from '../controls/Rooms.svelte';

  const ROOMS = [
    { path: '/acid', name: t.acid },
    { path: '/acid/sauces', name: t.sauces }
  ];
</script>

<Rooms label={t.roomsOfAcid} rooms={ROOMS} />
