<script lang="ts">
  import type { WindowState } from '$lib/core/codes/window.ts';

  /** One of a family of six water-level marks: a vessel, and how the water stands in it. Shape says it, colour only helps. */
  let { state, size = 28 }: { state: WindowState; size?: number } = $props();
</script>

<svg width={size} height={size} viewBox="0 0 28 28" aria-hidden="true" class={state}>
  {#if state === 'closed'}
    <path class="vessel dry" d="M5 6v12a5 5 0 0 0 5 5h8a5 5 0 0 0 5-5V6" />
    <path class="grain" d="M10 19.5h2M15 18h2M12.5 16h1.5" />
  {:else}
    {#if state === 'open'}
      <path class="water" d="M5 8.5c3-2 6-2 9 0s6 2 9 0V18a5 5 0 0 1-5 5h-8a5 5 0 0 1-5-5z" />
    {:else if state === 'ebbing'}
      <path class="water" d="M5 15.5c3-1.6 6-1.6 9 0s6 1.6 9 0V18a5 5 0 0 1-5 5h-8a5 5 0 0 1-5-5z" />
      <path class="stroke" d="M14 6v6m-2.8-2.6L14 12.2l2.8-2.8" />
    {:else if state === 'locked'}
      <path class="water" d="M5 18.5c3-1.4 6-1.4 9 0s6 1.4 9 0a5 5 0 0 1-5 4.5h-8a5 5 0 0 1-5-4.5z" />
      <path class="stroke" d="M14 15V8m-2.8 2.8L14 8l2.8 2.8" />
    {/if}
    <path class="vessel" d="M5 5v13a5 5 0 0 0 5 5h8a5 5 0 0 0 5-5V5" />
    {#if state === 'not-cleared'}
      <path class="bar" d="M2.5 12h23" />
    {:else if state === 'never'}
      <path class="bar" d="M3 25 25 3" />
    {/if}
  {/if}
</svg>

<style>
  svg {
    flex: none;
    display: inline-block;
    vertical-align: -0.4em;
  }
  .vessel {
    fill: none;
    stroke: currentColor;
    stroke-width: 2;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
  .dry {
    stroke-dasharray: 3 3.4;
  }
  .grain,
  .stroke {
    fill: none;
    stroke: currentColor;
    stroke-width: 2;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
  .water {
    fill: var(--water);
  }
  .ebbing .water {
    fill: var(--ember-glow);
  }
  .bar {
    stroke: currentColor;
    stroke-width: 3;
    stroke-linecap: round;
  }
</style>
