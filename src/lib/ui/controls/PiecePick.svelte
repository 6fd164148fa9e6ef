<script lang="ts">
  import { common } from '$lib/words/screens/common.ts';
  import { piecePick as t } from '$lib/words/screens/controls.ts';
  import type { AwayPiece, PieceChoice } from '$lib/server/facts/choices.ts';
  import { hindranceWords } from '$lib/words/occupation.ts';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import LevelMark from '../marks/LevelMark.svelte';

  /** Which piece lies on the bench: a row of touchable pieces, kept in the address so that a reload finds it again. */
  /** The chosen one is never out of sight at the end of a long row. */
  const inSight = (isChosen: boolean) => (node: HTMLElement) => {
    if (isChosen) node.scrollIntoView({ inline: 'nearest', block: 'nearest' });
  };

  let {
    pieces,
    chosen,
    empty,
    away = null
  }: {
    pieces: readonly PieceChoice[];
    chosen: string | null;
    empty: string;
    /** What was asked for and cannot lie here: said, with its reason. */
    away?: AwayPiece | null;
  } = $props();
  const why = $derived(away?.why ? hindranceWords(away.why) : t.notAsItIs);
  /** A row of hundreds is no row: the rest is found by name. */
  const MOST = 80;
  const shown = $derived(pieces.filter((piece, index) => index < MOST || piece.id === chosen));
</script>

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
  <div class="pick" role="group" aria-label={t.pieceOnTheBench}>
    {#each shown as piece (piece.id)}
      <a
        href="{page.url.pathname}?piece={piece.id}"
        aria-current={piece.id === chosen ? 'true' : undefined}
        {@attach inSight(piece.id === chosen)}
        onclick={(event) => {
          event.preventDefault();
          void goto(`${page.url.pathname}?piece=${piece.id}`, { noScroll: true, keepFocus: true });
        }}
      >
        <LevelMark state={piece.raw} size={24} />
        <span><b>{piece.name}</b><span class="soft">{piece.id}</span></span>
      </a>
    {/each}
    {#if pieces.length > shown.length}
      <p class="soft more">{t.moreFindThemWith(pieces.length - shown.length)} <kbd>/</kbd></p>
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
  .pick {
    display: flex;
    gap: 0.4rem;
    overflow-x: auto;
    padding: 0.2rem 0.2rem 0.7rem;
  }
  .pick a {
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
  .pick a > span {
    display: grid;
    line-height: 1.2;
    min-width: 0;
  }
  .more {
    align-self: center;
    flex: none;
    padding: 0 0.8rem;
  }
  b {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .soft {
    font-size: 0.9rem;
  }
  [aria-current] .soft {
    color: var(--ink);
  }
</style>
