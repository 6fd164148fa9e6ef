<script lang="ts">
  import { titled } from '$lib/words/screens/common.ts';
  import { curePage as t } from '$lib/words/screens/cure.ts';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import PiecePick from '$lib/ui/controls/PiecePick.svelte';
  import CureBench from '$lib/ui/cure/CureBench.svelte';
  import CureRun from '$lib/ui/cure/CureRun.svelte';
  import CureTabs from '$lib/ui/cure/CureTabs.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const view = $derived(data.view);
  const units = $derived(data.house.units);
  const zone = $derived(data.house.zone);
  // Clocks of a cure run in hours: the drawing need not follow every second.
  const now = $derived(Math.floor(houseNow() / 15_000) * 15_000);
  const names = $derived(Object.fromEntries(data.people.map(({ id, name }) => [id, name ?? 'forgotten'])));
</script>

<svelte:head><title>{titled(t.cure)}</title></svelte:head>
<h1>{t.cure}</h1>
<CureTabs />
<PiecePick pieces={data.pieces} chosen={data.chosen} away={data.away} left={data.left} empty={t.nothingToCureYet} />
{#if view && data.running}
  {#key data.running.run.seq}
    <CureRun {view} running={data.running} places={data.places} {names} histamine={data.histamine} {now} />
  {/key}
{:else if view && data.subject}
  {#key view.piece.id}
    <CureBench
      {view}
      piece={data.subject}
      recipes={data.recipes}
      places={data.places}
      means={data.means}
      histamine={data.histamine}
      chosenRecipe={data.recipe}
      skinned={data.skinned}
      {units}
      {zone}
      {now}
      more={data.pieces.filter(({ id, may }) => id !== view.piece.id && may.includes('cure'))}
    />
  {/key}
{/if}
