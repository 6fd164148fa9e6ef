<script lang="ts">
  import { DAY } from '$lib/core/measure/spans.ts';
  import type { Bin } from '$lib/core/log/series.ts';
  import { bandPath, meanPath, scales, spanOf } from './cold-log.ts';

  /** The last day of a place at a glance: least to most, mean, and the limit it must not pass. */
  let { bins, limit, to }: { bins: readonly Bin[]; limit: number; to: number } = $props();
  const WIDTH = 320;
  const HEIGHT = 54;
  const drawn = $derived(
    scales(
      { width: WIDTH + 8, height: HEIGHT, left: 0, bottom: 2 },
      [to - DAY, to],
      spanOf([{ name: '', kind: 'air', bins }], [], [], limit)
    )
  );
</script>

<svg viewBox="0 0 {WIDTH} {HEIGHT}" preserveAspectRatio="none" aria-hidden="true">
  <rect width={WIDTH} height={HEIGHT} class="bed" />
  <path class="band" d={bandPath(bins, drawn)} />
  <path class="mean" d={meanPath(bins, drawn)} />
  <line class="limit" x1="0" x2={WIDTH} y1={drawn.y(limit)} y2={drawn.y(limit)} />
</svg>

<style>
  svg {
    display: block;
    width: 100%;
    height: 54px;
  }
  .bed {
    fill: var(--sunk);
  }
  .band {
    fill: var(--water-pale);
  }
  .mean {
    fill: none;
    stroke: var(--water-deep);
    stroke-width: 1.6;
    vector-effect: non-scaling-stroke;
  }
  .limit {
    stroke: var(--ink);
    stroke-width: 1.6;
    stroke-dasharray: 6 4;
    vector-effect: non-scaling-stroke;
  }
</style>
