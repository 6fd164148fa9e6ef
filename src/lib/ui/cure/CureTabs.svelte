<script lang="ts">
  import { cureTabs as t } from '$lib/words/screens/cure.ts';
  import Rooms from '../controls/Rooms.svelte';

  const ROOMS = [
    { path: '/cure', name: t.cure },
    { path: '/cure/recipes', name: t.recipeBook },
    { path: '/cure/learning', name: t.whatCameOut }
  ];
</script>

<Rooms label={t.roomsOfCuring} rooms={ROOMS} />
