<script lang="ts">
  import { stateAt, type RouteWindow } from '$lib/core/codes/window.ts';
  import { ROUTE_WORDS } from '$lib/words/findings.ts';
  import { windowWords } from '$lib/words/window.ts';
  import LevelMark from './LevelMark.svelte';

  /** A route's window in a mark and a few words. */
  let {
    window,
    now,
    warnSeconds,
    named = true,
    size = 28
  }: { window: RouteWindow; now: number; warnSeconds: number; named?: boolean; size?: number } = $props();

  const state = $derived(stateAt(window, now, warnSeconds));
  const words = $derived(windowWords(window, now, warnSeconds));
</script>

<span class="line" data-state={state} data-route={window.route}>
  <LevelMark {state} {size} />
  {#if named}<b>{ROUTE_WORDS[window.route]}</b>{/if}
  <span>{words}</span>
</span>

<style>
  .line {
    display: inline-flex;
    align-items: center;
    gap: 0.5rem;
  }
  b {
    min-width: 3.9rem;
  }
  [data-state='ebbing'] span {
    color: var(--ember);
    font-weight: 600;
  }
  [data-state='closed'] span,
  [data-state='never'] span {
    color: var(--soft);
  }
</style>
