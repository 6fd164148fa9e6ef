<script lang="ts">
  import { coldTabs as t } from '$lib/words/screens/cold.ts';
  import Rooms from '../controls/Rooms.svelte';

  const ROOMS = [
    { path: '/freeze', name: t.freeze },
    { path: '/freeze/thaw', name: t.thaw },
    { path: '/freeze/places', name: t.coldPlaces },
    { path: '/freeze/import', name: t.loggerFiles }
  ];
</script>

<Rooms label={t.roomsOfTheCold} rooms={ROOMS} />
