<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { stateAt, type RouteWindow } from '$lib/core/codes/window.ts';
  import { STATE_WORDS, ROUTE_WORDS } from '$lib/words/findings.ts';
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
  const words = $derived.by(() => {
    if (state === 'open' || state === 'ebbing') {
      if (window.closes === null) return 'Open';
      return `${state === 'ebbing' ? 'Ebbing, until' : STATE_WORDS.open} ${say.moment(window.closes, now)}`;
    }
    if (state === 'locked') {
      return `${STATE_WORDS.locked} ${say.moment(window.opens ?? now, now)}${window.proofDue !== null ? ', then a reading' : ''}`;
    }
    if (state === 'closed' && window.closes !== null && window.closes <= now)
      return `Closed ${say.moment(window.closes, now)}`;
    if (state === 'never' && window.route === 'cooked') return 'Never served';
    if (state === 'not-cleared' && window.proofDue !== null && !window.missing) return 'Not cleared: reading due';
    return STATE_WORDS[state];
  });
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
