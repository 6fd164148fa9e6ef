<script lang="ts">
  import { interpolateRgb, scaleLinear } from 'd3';
  import type { CureFrame } from '$lib/core/bench/cure/plan.ts';

  /** The piece cut through: salt by depth at one hour, drawn as layers, with the skin where it is closed. */
  let {
    frame,
    faces,
    thicknessMm,
    target,
    most
  }: { frame: CureFrame; faces: 1 | 2; thicknessMm: number; target: number; most: number } = $props();

  const W = 560;
  const H = 250;
  const top = 22;
  const bottom = 216;
  const layers = $derived.by(() => {
    const open = frame.saltPercent;
    return faces === 2 ? [...open, ...[...open].reverse()] : open;
  });
  const tone = $derived(
    scaleLinear<string>()
      .domain([0, most * 0.35, most])
      .range(['#f3ddd2', '#8fb9cb', '#17455f'])
      .interpolate(interpolateRgb)
      .clamp(true)
  );
  const each = $derived((bottom - top) / layers.length);
  const x = $derived(scaleLinear([0, most], [300, W - 20]));
  const curve = $derived(
    layers.map((salt, index) => `${x(Math.min(salt, most))},${top + (index + 0.5) * each}`).join(' ')
  );
  // A fillet's outline: rounded shoulder, thin edge; the layers are clipped to it.
  const outline = `M18 ${top} H238 Q272 ${top} 276 ${(top + bottom) / 2} Q272 ${bottom} 238 ${bottom} H18 Q8 ${(top + bottom) / 2} 18 ${top}Z`;
</script>

<svg
  viewBox="0 0 {W} {H}"
  role="img"
  aria-label="Cross-section after {frame.hours.toFixed(1)} hours: {frame.surfacePercent.toFixed(
    1
  )} % salt at the surface, {frame.middlePercent.toFixed(2)} % in the middle."
>
  <defs><clipPath id="fillet"><path d={outline} /></clipPath></defs>
  <g clip-path="url(#fillet)">
    {#each layers as salt, index (index)}
      <rect x="0" y={top + index * each} width="290" height={each + 0.6} fill={tone(salt)} />
    {/each}
    {#each [0.18, 0.34, 0.5, 0.66, 0.82] as at (at)}
      <path class="grain" d="M{20 + at * 260} {top} q-14 {(bottom - top) / 2} 0 {bottom - top}" />
    {/each}
  </g>
  <path class="contour" d={outline} />
  <path class="face" d="M18 {top} H238" />
  {#if faces === 2}<path class="face" d="M18 {bottom} H238" />{:else}<path
      class="skin"
      d="M18 {bottom + 4} H246"
    />{/if}
  <text x="20" y="14">open face</text>
  <text x="20" y={H - 14}>{faces === 2 ? 'open face' : 'skin, closed'} · {Math.round(thicknessMm)} mm</text>
  <line class="axis" x1="300" x2={W - 20} y1={bottom} y2={bottom} />
  {#each x.ticks(4) as tick (tick)}
    <line class="axis" x1={x(tick)} x2={x(tick)} y1={bottom} y2={bottom + 5} />
    <text x={x(tick)} y={H - 12} text-anchor="middle">{tick}</text>
  {/each}
  <text x={W - 20} y="14" text-anchor="end">% salt by depth</text>
  <line class="target" x1={x(Math.min(target, most))} x2={x(Math.min(target, most))} y1={top} y2={bottom} />
  <polyline class="curve" points={curve} />
</svg>

<style>
  svg {
    width: 100%;
    height: auto;
  }
  text {
    font-size: 14px;
    fill: var(--soft);
  }
  .contour {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .grain {
    fill: none;
    stroke: #ffffff;
    stroke-opacity: 0.35;
    stroke-width: 1.5;
  }
  .face {
    stroke: var(--water);
    stroke-width: 4;
    stroke-dasharray: 2 5;
  }
  .skin {
    stroke: var(--ink);
    stroke-width: 6;
  }
  .axis {
    stroke: var(--strong-line);
  }
  .target {
    stroke: var(--ember-glow);
    stroke-width: 2;
    stroke-dasharray: 6 4;
  }
  .curve {
    fill: none;
    stroke: var(--water-deep);
    stroke-width: 3;
  }
</style>
