<script lang="ts">
  import { legible } from './legible.ts';
  import * as say from '$lib/words/say.ts';
  import { depthDrawing as t } from '$lib/words/screens/charts.ts';
  import type { DepthPlan } from '$lib/core/bench/breakdown/depth.ts';

  /** The long section of a piece, five times as high as it is: its depth, the depth wanted, the fold. Points can be dragged. */
  let {
    preview,
    stations,
    ondrag
  }: {
    preview: DepthPlan | null;
    stations: readonly string[];
    ondrag: (station: number, mm: number) => void;
  } = $props();
  const WIDTH = 620;
  const FLOOR = 190;
  const high = $derived(Math.max(40, (preview?.most ?? 30) * 1.25));
  const x = (at: number) => 18 + (at / (preview?.lengthMm ?? 1)) * (WIDTH - 36);
  const y = (mm: number) => FLOOR - (mm / high) * 165;
  const outline = $derived(
    preview
      ? `M${x(0)} ${FLOOR} ${preview.points.map((point) => `L${x(point.at).toFixed(1)} ${y(point.mm).toFixed(1)}`).join(' ')} L${x(preview.lengthMm)} ${FLOOR} Z`
      : ''
  );
  let dragged = $state<number | null>(null);
  let box = $state<SVGSVGElement>();
  /** How far beside a point a thumb still means it, in units of the drawing. */
  const REACH = 40;
  function pressed(event: PointerEvent) {
    if (!preview || !box) return;
    const { left, width } = box.getBoundingClientRect();
    const at = ((event.clientX - left) / width) * WIDTH;
    const near = stations
      .map((text, station) => ({
        station,
        off: Math.abs(x((preview.lengthMm * station) / 6) - at),
        given: text.trim() !== ''
      }))
      .filter(({ off, given }) => given && off < REACH)
      .sort((a, b) => a.off - b.off)[0];
    if (!near) return;
    event.preventDefault();
    dragged = near.station;
  }
  function moved(event: PointerEvent) {
    if (dragged === null || !box) return;
    const { top, height } = box.getBoundingClientRect();
    const at = ((event.clientY - top) / height) * 230;
    ondrag(dragged, Math.max(1, Math.min(high, ((FLOOR - at) / 165) * high)));
  }
</script>

<svg
  {@attach legible}
  viewBox="0 0 {WIDTH} 230"
  bind:this={box}
  role="img"
  aria-label={t.longSectionOfThe}
  onpointerdown={pressed}
  onpointermove={moved}
  onpointerup={() => (dragged = null)}
  onpointerleave={() => (dragged = null)}
>
  <path d="M10 {FLOOR} H{WIDTH - 10}" class="floor" />
  {#if preview}
    <defs>
      <clipPath id="above"><rect x="0" y="0" width={WIDTH} height={y(preview.wanted)} /></clipPath>
    </defs>
    <path d={outline} class="flesh" />
    <path d={outline} class="shaved" clip-path="url(#above)" />
    <path d="M10 {y(preview.wanted)} H{WIDTH - 10}" class="wanted" />
    <text x={WIDTH - 12} y={y(preview.wanted) - 6} text-anchor="end">{t.wanted(say.length(preview.wanted))}</text>
    {#if preview.fold}
      <path d="M{x(preview.fold.atMm)} 20 V{FLOOR + 14}" class="fold" />
      <text x={x(preview.fold.atMm)} y={FLOOR + 30} text-anchor="middle">{t.foldHere}</text>
    {/if}
    {#each stations as text, station (station)}
      {#if text.trim() !== ''}
        {@const at = (preview.lengthMm * station) / 6}
        {@const point = preview.points.find((each) => Math.abs(each.at - at) < 0.01)}
        {#if point}
          <!-- The same figure is a field below, for keys. -->
          <circle cx={x(at)} cy={y(point.mm)} r="11" class:held={dragged === station} />
        {/if}
      {/if}
    {/each}
  {/if}
</svg>

<style>
  svg {
    width: 100%;
    height: auto;
    touch-action: none;
  }
  .floor {
    stroke: var(--ink);
    stroke-width: 2;
  }
  .flesh {
    fill: var(--water-pale);
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .shaved {
    fill: var(--ember-wash);
  }
  .wanted {
    stroke: var(--ember);
    stroke-width: 1.6;
    stroke-dasharray: 7 5;
  }
  .fold {
    stroke: var(--ink);
    stroke-width: 1.4;
    stroke-dasharray: 3 4;
  }
  circle {
    fill: var(--surface);
    stroke: var(--ink);
    stroke-width: 2;
    cursor: ns-resize;
  }
  circle.held {
    stroke: var(--ember);
    stroke-width: 3.5;
  }
  text {
    font-size: calc(14px * var(--drawn, 1));
    font-weight: 600;
    fill: var(--ink);
  }
</style>
