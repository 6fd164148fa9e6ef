<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { PieceChoice } from '$lib/server/facts/choices.ts';
  import { untrack } from 'svelte';
  import PieceTicks from '../controls/PieceTicks.svelte';
  import { formatMass } from '../format.ts';

  /** The pieces a page of the book is scaled to; without any in the house, what it is shown for. */
  let {
    pieces,
    chosen,
    grams,
    units
  }: {
    pieces: readonly PieceChoice[];
    chosen: readonly string[];
    grams: number;
    units: UnitPreferences;
  } = $props();
  let picked = $state(untrack(() => [...chosen]));
  function choose() {
    const asked = new URLSearchParams(page.url.searchParams);
    asked.delete('pieces');
    for (const id of picked) asked.append('pieces', id);
    void goto(`?${asked}`, { replaceState: true, noScroll: true, keepFocus: true });
  }
</script>

<section class="sheet">
  <h2>Scaled to</h2>
  {#if pieces.length > 0}
    <PieceTicks {pieces} {units} bind:picked onchange={choose} />
  {:else}<p class="soft">Nothing in the house to scale it to: shown for {formatMass(grams, units)}.</p>{/if}
</section>
