<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { scaledTo as t } from '$lib/words/screens/book.ts';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import type { PieceChoice } from '$lib/server/facts/choices.ts';
  import { untrack } from 'svelte';
  import PieceTicks from '../controls/PieceTicks.svelte';

  /** The pieces a page of the book is scaled to; without any in the house, what it is shown for. */
  let {
    pieces,
    chosen,
    grams
  }: {
    pieces: readonly PieceChoice[];
    chosen: readonly string[];
    grams: number;
  } = $props();
  let picked = $state(untrack(() => [...chosen]));
  function choose() {
    const asked = new URLSearchParams(page.url.searchParams);
    asked.delete('pieces');
    for (const id of picked) asked.append('pieces', id);
    void goto(`?${asked}`, { replaceState: true, noScroll: true, keepFocus: true });
  }
</script>

<section class="sheet" class:no-print={picked.length === 0}>
  <h2>{t.scaledTo}</h2>
  {#if pieces.length > 0}
    <PieceTicks {pieces} bind:picked onchange={choose} />
  {:else}<p class="soft">{t.nothingInTheHouse(say.mass(grams))}</p>{/if}
</section>
