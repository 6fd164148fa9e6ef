<script lang="ts">
  import { GONE_WORDS } from '$lib/words/occupation.ts';
  import { partOfWaste } from '$lib/core/bench/breakdown/maps.ts';
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
  import { formatDuration, formatMass } from '$lib/ui/format.ts';
  import LevelMark from '$lib/ui/marks/LevelMark.svelte';
  import { BENCH_SAFETY, MAP_WORDS } from '$lib/words/cuts.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const view = $derived(data.view);
  const units = $derived(data.house.units);
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
  const chosen = $derived(view?.parts.some(({ id }) => id === data.part) ? data.part : null);
  /** Minutes out of the cold so far, by the house's clock. */
  const out = $derived(
    view ? view.secondsOut + (view.outSince === null ? 0 : Math.max(0, (houseNow() - data.now) / 1000)) : 0
  );
</script>

<svelte:head><title>Break down · Ember Tide</title></svelte:head>
<h1>Break down</h1>
<PiecePick pieces={data.pieces} chosen={data.chosen} empty="Nothing lies here to be cut." />
{#if view}
  <section class="title">
    <div>
      <h2>
        <LevelMark state={view.raw} size={26} />
        <a href="/piece/{view.piece.id}">{view.piece.made.name}</a>
        <span class="soft">{view.piece.id}</span>
      </h2>
      <p class="soft">
        {MAP_WORDS[view.map]}{view.board ? '' : view.closed ? ' · board closed' : ''} · from
        <a class="link" href="/lot/{view.lot.id}">{view.lot.supplier || view.lot.id}</a>
      </p>
    </div>
    <p class="figure">
      {formatMass(view.board ? view.input : view.piece.grams, units)}
      <small
        >{view.board
          ? 'on the board'
          : view.piece.gone
            ? `left, ${GONE_WORDS[view.piece.gone.how]}`
            : 'before the knife'}</small
      >
    </p>
    {#if view.board}
      <p class="figure out" data-out>
        {formatDuration(out)} <small>out of the cold, spent from its hours</small>
      </p>
    {/if}
  </section>
  {#if view.licensed}
    <p class="trouble">
      This may be a kind that only licensed hands may open, through a licensed channel. No map and no order of work is
      given for it here.
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
          />
        </section>
        {#if view.balance}
          <section class="sheet third">
            <h2>Balance</h2>
            <Balance balance={view.balance} {units} closed={view.closed !== null} />
            {#if view.closed?.gapReason}<p class="soft">The rest: “{view.closed.gapReason}”</p>{/if}
          </section>
        {/if}
        {#if view.board || view.taken.length > 0}
          <Taken {view} {units} />
        {/if}
        {#if !view.board}<OrderOfWork {view} fresh={!view.piece.gone} />{/if}
      </div>
      <div class="side">
        {#if view.board}
          <div class="second"><WeighPart {view} {units} {chosen} playable={data.playable} /></div>
          <div class="fourth"><BoardClose {view} {units} /></div>
        {:else if !view.piece.gone}
          <div class="second"><BoardOpen {view} {units} /></div>
        {/if}
        {#if view.board}<OrderOfWork {view} fresh={false} />{/if}
        <BoardMoney {view} {units} />
        <p class="caution">{BENCH_SAFETY} Guidance only: your local code and licensed practice decide.</p>
      </div>
    </div>
  {/if}
{/if}
{#if data.pieces.length > 1}<Combine pieces={data.pieces} {units} />{/if}

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
  @media (max-width: 1000px) {
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
