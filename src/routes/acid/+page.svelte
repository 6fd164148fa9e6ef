<script lang="ts">
  import { titled } from '$lib/words/screens/common.ts';
  import { acidPage as t } from '$lib/words/screens/acid.ts';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import AcidBench from '$lib/ui/acid/AcidBench.svelte';
  import AcidTabs from '$lib/ui/acid/AcidTabs.svelte';
  import Dress from '$lib/ui/acid/Dress.svelte';
  import AcidRun from '$lib/ui/acid/AcidRun.svelte';
  import PiecePick from '$lib/ui/controls/PiecePick.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const view = $derived(data.view);
  const names = $derived(Object.fromEntries(data.people.map(({ id, name }) => [id, name ?? 'forgotten'])));
  // Seconds count here: a dip is over in half a minute.
  const now = $derived(Math.floor(houseNow() / 1000) * 1000);
</script>

<svelte:head><title>{titled(t.acid)}</title></svelte:head>
<h1>{t.acid}</h1>
<AcidTabs />
<PiecePick pieces={data.pieces} chosen={data.chosen} away={data.away} left={data.left} empty={t.nothingToDressYet} />
{#if view && data.run}
  {#key data.run.seq}
    <AcidRun {view} run={data.run} places={data.places} {names} {now} />
  {/key}
{:else if view && data.subject}
  {#key `${view.piece.id} ${data.sauce} ${data.liquids.map(({ id }) => id).join()}`}
    <Dress {view} sauces={data.sauces} liquids={data.liquids} wanted={data.sauce} />
  {/key}
  {#key view.piece.id}
    <AcidBench
      {view}
      piece={data.subject}
      places={data.places}
      units={data.house.units}
      skinned={data.skinned}
      more={data.pieces.filter(({ id, may }) => id !== view.piece.id && may.includes('acid'))}
    />
  {/key}
{/if}
