<script lang="ts">
  import { serveTabs as t } from '$lib/words/screens/serve.ts';
  import Rooms from '../controls/Rooms.svelte';

  const ROOMS = [
    { path: '/serve', name: t.serve },
    { path: '/serve/pass', name: t.thePass },
    { path: '/serve/choice', name: t.cooksChoice },
    { path: '/serve/dishes', name: t.dishes },
    { path: '/serve/table', name: t.atTheTable },
    { path: '/serve/lineup', name: t.lineUp }
  ];
</script>

<Rooms label={t.roomsOfService} rooms={ROOMS} />
