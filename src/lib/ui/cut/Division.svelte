<script lang="ts">
  import { legible } from '$lib/ui/charts/legible.ts';
  import type { CutTemplate } from '$lib/core/activity/board/fold.ts';
  import { sideShape } from './shapes.ts';

  /** A division of a side, drawn small; its cuts stand in words beside it. */
  let { parts }: { parts: CutTemplate['parts'] } = $props();
</script>

<svg {@attach legible} viewBox="30 60 590 180" aria-hidden="true">
  {#each parts as part (part.id)}
    {@const shape = sideShape(part)}
    <path d={shape.d} />
    {#if shape.at}<text x={shape.at[0]} y={shape.at[1]}>{part.name.slice(0, 18)}</text>{/if}
  {/each}
</svg>

<style>
  svg {
    width: 100%;
    height: auto;
  }
  path {
    fill: var(--water-pale);
    stroke: var(--ink);
    stroke-width: 2;
  }
  text {
    font-size: calc(14px * var(--drawn, 1));
    font-weight: 600;
    text-anchor: middle;
    fill: var(--ink);
  }
</style>
