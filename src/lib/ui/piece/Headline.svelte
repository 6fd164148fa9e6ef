<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { page } from '$app/state';
  import { headlineOf } from '$lib/core/rules/headline.ts';
  import type { Route } from '$lib/core/codes/window.ts';
  import { headlineWords, HEADLINE_WORDS as SAY } from '$lib/words/headline.ts';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import LevelMark from '../marks/LevelMark.svelte';

  /** What is asked first: the route wanted, its state, until when, and the one thing that decides it; then what would open it. */
  let {
    verdict,
    route,
    now,
    warnSeconds,
    roads = ''
  }: {
    verdict: PieceView['verdict'];
    route: Route;
    now: number;
    warnSeconds: number;
    /** Where the ways to open it are asked for; nothing for no link. */
    roads?: string;
  } = $props();
  const head = $derived(headlineOf(verdict, route, now, warnSeconds));
  const words = $derived(headlineWords(head, (at) => say.moment(at, now), page.data.house.units));
</script>

<section class="head {head.state}" data-headline={head.state} data-headline-route={route}>
  <div class="first">
    <LevelMark state={head.state} size={44} />
    <div>
      <p class="line">{words.line}</p>
      <p class="because">{words.because}</p>
      {#if words.instead}<p class="instead">{words.instead}</p>{/if}
    </div>
  </div>
  {#if words.toOpen.length > 0}
    <div class="open" data-to-open={words.toOpen.length}>
      <h2>{SAY.toOpen(words.toOpen.length, head.instead?.route ?? null)}</h2>
      <ul>
        {#each words.toOpen as each (each)}<li>{each}</li>{/each}
      </ul>
    </div>
  {/if}
  {#if roads && head.state !== 'open' && head.state !== 'ebbing'}<a class="roads no-print" href={roads}>{SAY.roads}</a
    >{/if}
</section>

<style>
  .head {
    display: grid;
    grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr) auto;
    gap: 0.6rem 1.4rem;
    align-items: start;
    padding: 0.9rem 1.1rem;
    margin-bottom: 0.9rem;
    background: var(--surface);
    border: 1px solid var(--line);
    border-left: 8px solid var(--water);
    border-radius: 3px;
    overflow-wrap: anywhere;
  }
  .never,
  .closed {
    border-left-color: var(--soft);
  }
  .not-cleared,
  .ebbing {
    border-left-color: var(--ember);
  }
  .first {
    display: flex;
    gap: 0.9rem;
    align-items: flex-start;
    min-width: 0;
  }
  .line {
    font-size: 1.6rem;
    font-weight: 700;
    line-height: 1.2;
  }
  .because {
    margin-top: 0.25rem;
  }
  .instead {
    font-weight: 600;
    margin-top: 0.25rem;
  }
  .roads {
    display: inline-grid;
    align-content: center;
    justify-self: end;
    grid-column: -2;
    align-self: center;
    min-height: 48px;
    padding: 0 1rem;
    font-weight: 600;
    border: 1px solid var(--water);
    border-radius: 3px;
    color: var(--ink);
  }
  .open h2 {
    font-size: 1rem;
  }
  .open li {
    padding: 0.15rem 0;
  }
  @media (max-width: 62.5em) {
    .head {
      grid-template-columns: minmax(0, 1fr);
    }
    .roads {
      justify-self: start;
    }
  }
</style>
