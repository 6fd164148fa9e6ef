<script lang="ts">
  import { legible } from '$lib/ui/charts/legible.ts';
  import * as say from '$lib/words/say.ts';
  import { curePicture as t } from '$lib/words/screens/cure.ts';
  import Slide from '$lib/ui/kit/Slide.svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import type { CureResult } from '$lib/core/bench/cure/plan.ts';
  import { cureStageWords } from '$lib/words/cure.ts';
  import { frontOf, paint, thicknessShare, toneAt } from './picture.ts';

  /** The piece cut along its length, salt by place and depth, scrubbed through time; its thickness is drawn larger than life. */
  let {
    result,
    faces,
    target,
    index = $bindable(),
    name = 'The piece cut along its length'
  }: {
    result: CureResult;
    faces: 1 | 2;
    /** % */
    target: number;
    index: number;
    name?: string;
  } = $props();

  const W = 640;
  const H = 190;
  const left = 54;
  const right = 628;
  const top = 20;
  const bottom = 158;
  /** Painted coarser than shown: the eye reads a flow of salt, not its pixels. */
  const wide = 287;
  const high = 69;
  let canvas = $state<HTMLCanvasElement>();
  const zones = $derived(result.zones);
  let what = $state<'salt' | 'sugar'>('salt');
  const isSweet = $derived(what === 'sugar' && result.sweet.length > 0);
  const pictured = $derived(isSweet ? { picture: result.sweet, layers: result.layers, zones } : result);
  const at = $derived(Math.min(index, result.frames.length - 1));
  const frame = $derived(result.frames[at]!);
  const mostSalt = $derived(Math.max(...result.frames.map(({ surfacePercent }) => surfacePercent), target * 1.2, 0.5));
  const mostSugar = $derived(result.sweet.reduce((more, each) => Math.max(more, each), 0.5));
  const most = $derived(isSweet ? mostSugar : mostSalt);
  const thick = $derived(Math.max(...zones.map(({ mm }) => mm)));
  const lengthMm = $derived(zones.at(-1)!.to);

  const x = (share: number) => left + share * (right - left);
  const topAt = (share: number) => bottom - thicknessShare(zones, share) * (bottom - top);
  const stations = Array.from({ length: 49 }, (_, step) => step / 48);
  const outline = $derived(
    `M${left} ${bottom}` + stations.map((share) => `L${x(share)} ${topAt(share)}`).join('') + `L${right} ${bottom}Z`
  );
  const upper = $derived(stations.map((share) => `${x(share)},${topAt(share)}`).join(' '));
  const front = $derived(isSweet ? [] : frontOf(result, at, target));
  /** The front of the wanted salt, in unbroken stretches; from both faces where both are open. */
  const fronts = $derived.by(() => {
    const runs: string[] = [];
    for (const side of faces === 2 ? ['upper', 'lower'] : ['upper']) {
      let run: string[] = [];
      for (const { share, depth } of [...front, { share: 1, depth: null }]) {
        if (depth === null) {
          if (run.length > 1) runs.push(run.join(' '));
          run = [];
          continue;
        }
        const reach = (bottom - topAt(share)) * (faces === 2 ? depth / 2 : depth);
        run.push(`${x(share)},${side === 'upper' ? topAt(share) + reach : bottom - reach}`);
      }
    }
    return runs;
  });

  let image: ImageData | null = null;
  $effect(() => {
    const context = canvas?.getContext('2d');
    if (!context) return;
    image ??= context.createImageData(wide, high);
    paint(image.data, wide, high, pictured, at, faces, most);
    context.putImageData(image, 0, 0);
  });

  const stage = $derived.by(() => {
    let until = 0;
    for (const each of result.stages) {
      until += each.seconds;
      if (frame.hours * 3600 <= until + 1) return each.id;
    }
    return result.stages.at(-1)!.id;
  });
  const hours = (value: number) => (value < 3 ? `${Math.round(value * 60)} min` : `${say.exactly(value, 1)} h`);
  const percent = say.points;
  const said = $derived(
    t.afterAtTheFace(
      hours(frame.hours),
      cureStageWords(stage),
      percent(frame.surfacePercent),
      percent(frame.middlePercent),
      percent(frame.meanPercent)
    )
  );
</script>

<figure>
  <div class="drawing">
    <canvas bind:this={canvas} width={wide} height={high} aria-hidden="true"></canvas>
    <svg {@attach legible} viewBox="0 0 {W} {H}" role="img" aria-label="{name}. {said}.">
      <path class="around" d="M{left} {top}H{right}V{bottom}H{left}Z {outline}" />
      <path class="contour" d={outline} />
      <polyline class="face" points={upper} />
      {#if faces === 2}<path class="face" d="M{left} {bottom}H{right}" />
      {:else}<path class="skin" d="M{left} {bottom + 3}H{right}" />{/if}
      {#each fronts as points, run (run)}<polyline class="front" {points} />{/each}
      <text x={left} y="13">{t.openFace}</text>
      <text x={left} y={H - 12}>{faces === 2 ? t.openFace2 : t.skinClosed}</text>
      <text x={right} y={H - 12} text-anchor="end">{t.long(say.length(lengthMm))}</text>
      <text x={left - 8} y={topAt(0) + 12} text-anchor="end">{say.length(zones[0]!.mm)}</text>
      {#if zones.length > 1}
        <text x={right} y={topAt(1) - 12} text-anchor="end">{say.length(zones.at(-1)!.mm)}</text>
      {/if}
      <text x={(left + right) / 2} y={H - 12} text-anchor="middle">{t.thickestZone(say.length(thick))}</text>
    </svg>
  </div>
  <figcaption>
    <label>
      <span class="unseen">{t.hourShown}</span>
      <Slide min="0" max={result.frames.length - 1} value={at} aria-valuetext={said} onslide={(at) => (index = at)} />
    </label>
    <div class="key">
      <span data-cut>{said}.</span>
      {#if result.sweet.length > 0}
        <Button aria-pressed={isSweet} onclick={() => (what = isSweet ? 'salt' : 'sugar')}>
          {t.show(isSweet ? t.theSalt : t.theSugar)}
        </Button>
      {/if}
      <span class="tones soft">
        0 <span
          class="bar"
          style:background="linear-gradient(to right, {[0, 0.2, 0.35, 0.6, 1]
            .map((share) => toneAt(share * most, most))
            .join(', ')})"
        ></span>
        {percent(most)}
        {isSweet ? t.sugar : t.salt}
        {#if fronts.length > 0}<span class="dash"></span> {percent(target)}{/if}
      </span>
    </div>
  </figcaption>
</figure>

<style>
  /* Dragged, it is drawn anew every frame: what lies around it is not. */
  figure {
    contain: layout;
  }
  .drawing {
    position: relative;
  }
  canvas {
    position: absolute;
    left: calc(54 / 640 * 100%);
    width: calc(574 / 640 * 100%);
    top: calc(20 / 190 * 100%);
    height: calc(138 / 190 * 100%);
  }
  svg {
    position: relative;
    display: block;
    width: 100%;
    height: auto;
    /* On a narrow page its letters are larger than it is wide. */
    overflow: visible;
  }
  text {
    font-size: calc(14px * var(--drawn, 1));
    fill: var(--soft);
  }
  .around {
    fill: var(--surface);
    fill-rule: evenodd;
  }
  .contour {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .face {
    fill: none;
    stroke: var(--water);
    stroke-width: 4;
    stroke-dasharray: 2 5;
  }
  .skin {
    stroke: var(--ink);
    stroke-width: 6;
  }
  .front {
    fill: none;
    stroke: #fffaf5;
    stroke-width: 2.5;
    stroke-dasharray: 8 4;
  }
  .key {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 0.2rem 1.2rem;
  }
  .tones {
    display: flex;
    align-items: center;
    gap: 0.4rem;
    font-size: 0.9rem;
  }
  .bar {
    width: 90px;
    height: 12px;
    border: 1px solid var(--line);
  }
  .dash {
    width: 30px;
    height: 12px;
    margin-left: 0.6rem;
    background: linear-gradient(90deg, #fffaf5 60%, transparent 60%) 0 50% / 10px 3px repeat-x #4e86a1;
  }
</style>
