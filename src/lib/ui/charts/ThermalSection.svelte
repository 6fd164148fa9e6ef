<script lang="ts">
  import { legible } from './legible.ts';
  import * as say from '$lib/words/say.ts';
  import { thermalSection as t } from '$lib/words/screens/charts.ts';
  import Slide from '$lib/ui/kit/Slide.svelte';
  import { interpolateRgb, scaleLinear } from 'd3';
  import type { Shape, ThermalPicture } from '$lib/core/bench/freeze/simulate.ts';
  import { iceDepth } from './thermal.ts';

  /** The piece cut through while it freezes or thaws: temperature by depth, scrubbed through time. */
  let {
    pictures,
    shape,
    thicknessMm,
    target,
    at
  }: {
    pictures: readonly ThermalPicture[];
    shape: Shape;
    thicknessMm: number;
    /** °C */
    target: number;
    /** Opens at this moment, s; the end where left out. */
    at?: number;
  } = $props();

  const W = 560;
  const H = 210;
  const top = 20;
  const bottom = 186;
  const middle = (top + bottom) / 2;
  let chosen = $state<number | null>(null);
  const opening = $derived.by(() => {
    if (at === undefined) return pictures.length - 1;
    const later = pictures.findIndex(({ seconds }) => seconds >= at);
    return later < 0 ? pictures.length - 1 : later;
  });
  const index = $derived(Math.min(chosen ?? opening, pictures.length - 1));
  const picture = $derived(pictures[index]!);
  const most = $derived(Math.max(...pictures.map(({ layers }) => Math.max(...layers)), 2));
  const least = $derived(Math.min(...pictures.map(({ layers }) => Math.min(...layers)), target));
  const tone = scaleLinear<string>()
    .domain([-30, -12, -2.5, -1, 4])
    .range(['#2b6480', '#6ea6bf', '#c9e0ea', '#efd9cf', '#e9c3b3'])
    .interpolate(interpolateRgb)
    .clamp(true);
  const x = $derived(scaleLinear([least, most], [310, W - 16]));
  const half = $derived((bottom - top) / 2);
  const step = $derived(half / picture.layers.length);
  /** From face to face. */
  const whole = $derived([...[...picture.layers].reverse(), ...picture.layers]);
  const curve = $derived(whole.map((celsius, layer) => `${x(celsius)},${top + (layer + 0.5) * step}`).join(' '));
  const outline = `M18 ${top} H238 Q272 ${top} 276 ${middle} Q272 ${bottom} 238 ${bottom} H18 Q8 ${middle} 18 ${top}Z`;
  const clip = $props.id();
  const front = $derived(iceDepth(picture.layers, thicknessMm));
  const said = $derived(
    t.inMiddleUnderThe(
      say.span(picture.seconds),
      say.temperature(picture.layers[0]!),
      say.temperature(picture.layers.at(-1)!)
    ) +
      (front.whole
        ? front.frozen
          ? t.iceAllThrough
          : t.noIceYet
        : t.iceBelowTheFace(front.outside ? t.downTo : t.leftFrom, say.length(front.millimetres)))
  );
  const isFlat = $derived(shape === 'slab');
</script>

<figure>
  <svg {@attach legible} viewBox="0 0 {W} {H}" role="img" aria-label={t.thePieceCutThrough(said)}>
    {#if isFlat}
      <clipPath id="{clip}-cut"><path d={outline} /></clipPath>
      <g clip-path="url(#{clip}-cut)">
        {#each whole as celsius, layer (layer)}
          <rect x="0" y={top + layer * step} width="290" height={step + 0.6} fill={tone(celsius)} />
        {/each}
        {#each [0.2, 0.4, 0.6, 0.8] as across (across)}
          <path class="grain" d="M{20 + across * 250} {top} q-14 {half} 0 {bottom - top}" />
        {/each}
      </g>
      <path class="contour" d={outline} />
    {:else}
      {#each [...picture.layers.entries()].reverse() as [layer, celsius] (layer)}
        <circle cx="150" cy={middle} r={(layer + 1) * step} fill={tone(celsius)} />
      {/each}
      <circle class="contour" cx="150" cy={middle} r={half} />
    {/if}
    <text x="20" y="13">{t.face}</text>
    <text x="20" y={H - 8}>{t.face2(say.length(thicknessMm), isFlat ? 'thick' : 'across')}</text>
    <line class="axis" x1="310" x2={W - 16} y1={bottom} y2={bottom} />
    {#each x.ticks(4) as tick (tick)}
      <line class="axis" x1={x(tick)} x2={x(tick)} y1={bottom} y2={bottom + 5} />
      <text x={x(tick)} y={H - 6} text-anchor="middle">{say.temperature(tick).replace('.0', '')}</text>
    {/each}
    <line class="target" x1={x(target)} x2={x(target)} y1={top} y2={bottom} />
    <polyline class="curve" points={curve} />
  </svg>
  <figcaption>
    <label>
      <span class="unseen">{t.timeSinceItWent}</span>
      <Slide min="0" max={pictures.length - 1} value={index} aria-valuetext={said} onslide={(at) => (chosen = at)} />
    </label>
    <span data-cut>{said}.</span>
  </figcaption>
</figure>

<style>
  svg {
    width: 100%;
    height: auto;
    display: block;
  }
  text {
    font-size: calc(14px * var(--drawn, 1));
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
    stroke-opacity: 0.3;
    stroke-width: 1.5;
  }
  .axis {
    stroke: var(--strong-line);
  }
  .target {
    stroke: var(--ink);
    stroke-width: 2;
    stroke-dasharray: 8 4;
  }
  .curve {
    fill: none;
    stroke: var(--water-deep);
    stroke-width: 3;
  }
</style>
