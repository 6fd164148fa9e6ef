<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { titled } from '$lib/words/screens/common.ts';
  import { breakPage as t } from '$lib/words/screens/break.ts';
  import { GONE_WORDS } from '$lib/words/occupation.ts';
  import { partOfWaste } from '$lib/core/bench/breakdown/maps.ts';
  import { afterNavigate } from '$app/navigation';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import Balance from '$lib/ui/cut/Balance.svelte';
  import BoardClose from '$lib/ui/cut/BoardClose.svelte';
  import BoardMoney from '$lib/ui/cut/BoardMoney.svelte';
  import BoardOpen from '$lib/ui/cut/BoardOpen.svelte';
  import Combine from '$lib/ui/cut/Combine.svelte';
  import CutMap from '$lib/ui/cut/CutMap.svelte';
  import OrderOfWork from '$lib/ui/cut/OrderOfWork.svelte';
  import Taken from '$lib/ui/cut/Taken.svelte';
  import WeighPart from '$lib/ui/cut/WeighPart.svelte';
  import PiecePick from '$lib/ui/controls/PiecePick.svelte';
  import LevelMark from '$lib/ui/marks/LevelMark.svelte';
  import { BENCH_SAFETY, MAP_WORDS } from '$lib/words/cuts.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const view = $derived(data.view);
  const takenBy = $derived.by(() => {
    const out: Record<string, number> = {};
    for (const { part, grams, onThisBoard } of view?.taken ?? []) {
      if (onThisBoard) out[part] = (out[part] ?? 0) + grams;
    }
    for (const { what, grams } of view?.wastes ?? []) {
      const part = partOfWaste(view?.parts ?? [], what);
      if (part) out[part.id] = (out[part.id] ?? 0) + grams;
    }
    return out;
  });
  /** Parts that nothing came off yet, in the order of the work. */
  const waiting = $derived((view?.parts ?? []).filter(({ id }) => takenBy[id] === undefined).map(({ id }) => id));
  /** The part that was touched last, also while the page is still on its way to it: what the form shows is what it writes. */
  let ahead = $state<string | null>(null);
  afterNavigate(() => (ahead = null));
  const touched = $derived(ahead ?? data.part);
  const chosen = $derived(view?.parts.some(({ id }) => id === touched) ? touched : null);
  /** Minutes out of the cold so far, by the house's clock. */
  const out = $derived(
    view ? view.secondsOut + (view.outSince === null ? 0 : Math.max(0, (houseNow() - data.now) / 1000)) : 0
  );
</script>

<svelte:head><title>{titled(t.breakDown)}</title></svelte:head>
<h1>{t.breakDown}</h1>
<PiecePick pieces={data.pieces} chosen={data.chosen} away={data.away} left={data.left} empty={t.nothingLiesHereTo} />
{#if view}
  <section class="title">
    <div>
      <h2>
        <LevelMark state={view.raw} size={26} />
        <a class="way" href="/piece/{view.piece.id}">{view.piece.made.name}</a>
        <span class="soft">{view.piece.id}</span>
      </h2>
      <p class="soft">
        {t.from(MAP_WORDS[view.map], view.board ? '' : view.closed ? t.boardClosed : '')}
        <a class="link way" href="/lot/{view.lot.id}">{view.lot.supplier || view.lot.id}</a>
      </p>
    </div>
    <p class="figure">
      {say.mass(view.board ? view.input : view.piece.grams)}
      <small
        >{view.board
          ? t.onTheBoard
          : view.piece.gone
            ? t.left(GONE_WORDS[view.piece.gone.how])
            : t.beforeTheKnife}</small
      >
    </p>
    {#if view.board}
      <p class="figure out" data-out>
        {say.span(out)} <small>{t.outOfTheCold}</small>
      </p>
    {/if}
  </section>
  {#if view.licensed}
    <p class="trouble">
      {t.thisMayBeA}
    </p>
  {:else}
    <div class="halves main">
      <div class="left">
        <section class="sheet first">
          <CutMap
            map={view.map}
            parts={view.parts}
            division={view.division}
            taken={takenBy}
            {chosen}
            touchable={view.board !== null}
            onTouch={(part) => (ahead = part)}
          />
        </section>
        {#if view.balance}
          <section class="sheet third">
            <h2>{t.balance}</h2>
            <Balance balance={view.balance} closed={view.closed !== null} />
            {#if view.closed?.gapReason}<p class="soft">{t.theRest(view.closed.gapReason)}</p>{/if}
          </section>
        {/if}
        {#if view.board || view.taken.length > 0}
          <Taken {view} />
        {/if}
        {#if !view.board}<OrderOfWork {view} fresh={!view.piece.gone} />{/if}
      </div>
      <div class="side">
        {#if view.board}
          <div class="second"><WeighPart {view} {chosen} {waiting} playable={data.playable} /></div>
          <div class="fourth"><BoardClose {view} /></div>
        {:else if !view.piece.gone}
          <div class="second"><BoardOpen {view} /></div>
        {/if}
        {#if view.board}<OrderOfWork {view} fresh={false} />{/if}
        <BoardMoney {view} />
        <p class="caution">{t.guidanceOnlyYourLocal(BENCH_SAFETY)}</p>
      </div>
    </div>
  {/if}
{/if}
{#if data.pieces.length > 1}<Combine pieces={data.pieces} />{/if}

<style>
  .title {
    margin: 0.2rem 0 0.8rem;
  }
  .title h2 {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.5rem;
  }
  .out {
    color: var(--ember);
  }
  .left,
  .side {
    display: grid;
    gap: 0.8rem;
    grid-template-columns: minmax(0, 1fr);
  }
  @media (max-width: 62.5em) {
    /* On a tablet the scale lies under the map, before what came off so far. */
    .left,
    .side {
      display: contents;
    }
    .halves > * > :global(*) {
      order: 5;
    }
    .halves .first {
      order: 1;
    }
    .halves .second {
      order: 2;
    }
    .halves .third {
      order: 3;
    }
    .halves .fourth {
      order: 4;
    }
  }
</style>
