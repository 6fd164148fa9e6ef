<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { titled } from '$lib/words/screens/common.ts';
  import { freezePage as t } from '$lib/words/screens/freeze.ts';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import ColdTabs from '$lib/ui/cold/ColdTabs.svelte';
  import FreezeRun from '$lib/ui/cold/FreezeRun.svelte';
  import FreezeStart from '$lib/ui/cold/FreezeStart.svelte';
  import PiecePick from '$lib/ui/controls/PiecePick.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const view = $derived(data.view);
  const units = $derived(data.house.units);
  const names = $derived(Object.fromEntries(data.people.map(({ id, name }) => [id, name ?? 'forgotten'])));
  const cycles = $derived(
    data.cycles.map((cycle) => ({
      value: cycle.id,
      name: t.forText(
        cycle.solidAt ? t.solidAtThen(say.temperature(cycle.solidAt.c)) : '',
        say.temperature(cycle.hold.c),
        say.span(cycle.holdSeconds),
        cycle.rule
      )
    }))
  );
  const free = $derived(data.pieces.filter(({ id, may }) => id !== view?.piece.id && may.includes('freeze')));
  const freezers = $derived(data.places.filter(({ kind }) => kind === 'freezer' || kind === 'blast'));
  // The charts do not need every second.
  const now = $derived(Math.floor(houseNow() / 30_000) * 30_000);
</script>

<svelte:head><title>{titled(t.freeze)}</title></svelte:head>
<h1>{t.freeze}</h1>
<ColdTabs />
<PiecePick pieces={data.pieces} chosen={data.chosen} away={data.away} left={data.left} empty={t.nothingToFreezeYet} />
{#if view && data.freeze}
  <FreezeRun
    {view}
    freeze={data.freeze}
    {cycles}
    {names}
    places={data.places}
    {now}
    warnSeconds={data.house.warnMinutes * 60}
  />
{:else if view}
  {#key view.piece.id}
    <FreezeStart {view} pieces={free} places={freezers} sensors={data.cores} {cycles} {units} {now} />
  {/key}
{/if}
