<script lang="ts">
  import { common } from '$lib/words/screens/common.ts';
  import { piecePick as t } from '$lib/words/screens/controls.ts';
  import { finder, scannedPiece } from '$lib/core/find.ts';
  import type { AwayPiece, LeftOut, PieceChoice } from '$lib/server/facts/choices.ts';
  import { hindranceWords } from '$lib/words/occupation.ts';
  import { STAGE_NAMES } from '$lib/words/pick.ts';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import Button from '$lib/ui/kit/Button.svelte';
  import Line from '$lib/ui/kit/Line.svelte';
  import LabelPhoto from './LabelPhoto.svelte';
  import PieceChip from './PieceChip.svelte';

  /**
   * Which piece lies on the bench: what it can take, soonest first, found by three letters, by where it lies, by its stage or by its
   * label. Kept in the address, so that a reload finds it again.
   */
  let {
    pieces,
    chosen,
    empty,
    away = null,
    left = []
  }: {
    pieces: readonly PieceChoice[];
    chosen: string | null;
    empty: string;
    /** What was asked for and cannot lie here: said, with its reason. */
    away?: AwayPiece | null;
    /** What this bench does not take: how many, and why. */
    left?: readonly LeftOut[];
  } = $props();
  /** The chosen one is never out of sight at the end of a long row. */
  const inSight = (isChosen: boolean) => (node: HTMLElement) => {
    if (isChosen) node.scrollIntoView({ inline: 'nearest', block: 'nearest' });
  };
  const why = $derived(away?.why ? hindranceWords(away.why) : t.notAsItIs);
  let text = $state('');
  let by = $state<'now' | 'place' | 'stage'>('now');
  const fits = $derived(finder(text));
  const found = $derived(
    text.trim() === ''
      ? pieces
      : pieces
          .map((piece) => ({ piece, fit: fits([piece.id, piece.name, piece.species, piece.supplier, piece.place]) }))
          .filter(({ fit }) => fit !== null)
          .sort((a, b) => a.fit! - b.fit!)
          .map(({ piece }) => piece)
  );
  /** A row of hundreds is no row: the rest is found by its letters. */
  const MOST = 80;
  const shown = $derived(found.filter((piece, index) => index < MOST || piece.id === chosen));
  const groups = $derived.by(() => {
    const all = new Map<string, PieceChoice[]>();
    for (const piece of shown) {
      const key = by === 'place' ? piece.place || t.nowhereSaid : STAGE_NAMES[piece.stage];
      all.set(key, [...(all.get(key) ?? []), piece]);
    }
    return [...all];
  });
  const leftLine = $derived(
    left.map(({ why, count }) => t.leftOut(count, why ? hindranceWords(why) : t.notForIt)).join(', ')
  );
  function choose(id: string) {
    text = '';
    void goto(`${page.url.pathname}?piece=${encodeURIComponent(id)}`, { noScroll: true, keepFocus: true });
  }
  /** Enter takes what was scanned, or the first that was found. */
  function enter(event: SubmitEvent) {
    event.preventDefault();
    const scanned = scannedPiece(text) ?? (text.trim() === '' ? undefined : found[0]?.id);
    if (scanned) choose(scanned);
  }
</script>

{#snippet chip(piece: PieceChoice)}
  <a
    href="{page.url.pathname}?piece={piece.id}"
    aria-current={piece.id === chosen ? 'true' : undefined}
    {@attach inSight(piece.id === chosen)}
    onclick={(event) => {
      event.preventDefault();
      choose(piece.id);
    }}
  >
    <PieceChip {piece} />
  </a>
{/snippet}

{#if away}
  <p class="away" role="status" data-away={away.id}>
    <a class="link way" href="/piece/{away.id}">{away.id}</a>
    {t.isNotForThis(away.name, why)}
    {#if pieces.length > 0}{t.chooseAnother}{/if}
  </p>
{/if}
{#if pieces.length === 0}
  <p class="sheet">
    {t.whateverIsReceivedAnd(empty)}
    <a class="link" href="/receive">{common.receiveALot}</a>
  </p>
{:else}
  <div class="ways no-print">
    <form onsubmit={enter} role="search">
      <Line
        class="w-60"
        aria-label={t.threeLetters}
        placeholder={t.threeLetters}
        autocomplete="off"
        data-picking
        bind:value={text}
      />
    </form>
    <span class="bys" role="group" aria-label={t.inWhichOrder}>
      {#each [['now', t.soonest], ['place', t.byPlace], ['stage', t.byStage]] as const as [value, name] (value)}
        <Button aria-pressed={by === value} onclick={() => (by = value)}>{name}</Button>
      {/each}
    </span>
    <LabelPhoto onRead={choose} />
    {#if leftLine !== ''}<p class="soft left" data-left>{t.notHere(leftLine)}</p>{/if}
  </div>
  <div class="pick" class:drawn={by !== 'now'} role="group" aria-label={t.pieceOnTheBench}>
    {#if by === 'now'}
      {#each shown as piece (piece.id)}{@render chip(piece)}{/each}
    {:else}
      {#each groups as [name, inIt] (name)}
        <div class="drawer" class:place={by === 'place' && name !== t.nowhereSaid}>
          <h3>{name}</h3>
          <div>
            {#each inIt as piece (piece.id)}{@render chip(piece)}{/each}
          </div>
        </div>
      {/each}
    {/if}
    {#if found.length === 0}
      <p class="soft more">{t.nothingHere} <a class="link" href="/?find={encodeURIComponent(text)}">{t.findIt}</a></p>
    {:else if found.length > shown.length}
      <p class="soft more">{t.moreFindThemWith(found.length - shown.length)}</p>
    {/if}
  </div>
{/if}

<style>
  .away {
    border-left: 4px solid var(--ember);
    background: var(--ember-wash);
    padding: 0.5rem 0.8rem;
    margin: 0.2rem 0 0.6rem;
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.3rem 0.8rem;
  }
  .bys {
    display: flex;
  }
  .left {
    font-size: 0.92rem;
  }
  .pick {
    display: flex;
    gap: 0.4rem;
    overflow-x: auto;
    padding: 0.4rem 0.2rem 0.7rem;
  }
  .drawn {
    flex-wrap: wrap;
    max-height: 45vh;
    overflow-y: auto;
  }
  /* A drawer is drawn: its front with the handle, and what lies in it. */
  .drawer {
    flex: 1 1 20rem;
    border: 1px solid var(--strong-line);
    border-radius: 3px;
    background: var(--sunk);
    padding: 0.3rem 0.5rem 0.5rem;
  }
  .drawer h3 {
    display: flex;
    align-items: center;
    gap: 0.6rem;
    font-weight: 650;
    padding: 0.2rem 0 0.3rem;
  }
  .drawer.place h3::after {
    content: '';
    width: 3.2rem;
    height: 0.5rem;
    margin-left: auto;
    border: 2px solid var(--strong-line);
    border-top: 0;
    border-radius: 0 0 6px 6px;
  }
  .drawer > div {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem;
  }
  .pick a:not(.link) {
    display: flex;
    align-items: center;
    gap: 0.5rem;
    flex: none;
    min-height: 56px;
    max-width: 15rem;
    padding: 0 0.8rem;
    background: var(--surface);
    border: 1px solid var(--line);
    border-radius: 3px;
  }
  .pick a[aria-current] {
    border: 2px solid var(--ink);
    background: var(--water-pale);
  }
  .more {
    align-self: center;
    flex: none;
    padding: 0 0.8rem;
  }
  [aria-current] :global(.soft) {
    color: var(--ink);
  }
</style>
