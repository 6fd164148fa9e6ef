<script lang="ts">
  import type { SliceStyle } from '$lib/core/bench/slice/styles.ts';
  import { sketchOf } from '$lib/core/bench/slice/sketch.ts';
  import { houseStyles as t } from '$lib/words/screens/slice.ts';

  /** How a cut is made: the block from the side, the blade at its angle, slices as thick as it begins. */
  let { style, called, left = false }: { style: SliceStyle; called: string; left?: boolean } = $props();

  const PAD = 2;
  const HIGH = 30;
  const sketch = $derived(sketchOf(style));
  const x = (mm: number) => PAD + (left ? sketch.length - mm : mm);
  const y = (mm: number) => HIGH - mm;
  const path = (points: readonly (readonly [number, number])[]) =>
    points.map(([at, up], index) => `${index === 0 ? 'M' : 'L'}${x(at).toFixed(2)} ${y(up).toFixed(2)}`).join('');
</script>

<svg
  viewBox="0 0 {sketch.length + 2 * PAD} {HIGH + 3}"
  role="img"
  aria-label={t.drawn(called)}
  data-sketch={style.id}
  data-left={left ? '' : undefined}
>
  <rect class="flesh" x={PAD} y={y(sketch.height)} width={sketch.length} height={sketch.height} />
  {#each sketch.lines as { points, isScore }, index (index)}
    <path class={isScore ? 'cut score' : 'cut'} d={path(points)} />
  {/each}
  {#if sketch.skin}
    {@const up = sketch.skin === 'above' ? sketch.height : 0}
    <path class="skin" d="M{PAD} {y(up)}h{sketch.length}" />
  {/if}
  <path class="board" d="M0 {HIGH + 1.4}h{sketch.length + 2 * PAD}" />
</svg>

<style>
  svg {
    width: 100%;
    max-width: 15rem;
    height: auto;
  }
  .flesh {
    fill: #efc9b4;
  }
  .cut {
    fill: none;
    stroke: #132334;
    stroke-width: 0.6;
  }
  .score {
    stroke-dasharray: 1.6 1;
  }
  .skin {
    fill: none;
    stroke: var(--water-deep);
    stroke-width: 1.6;
  }
  .board {
    fill: none;
    stroke: var(--strong-line);
    stroke-width: 1.2;
  }
</style>
