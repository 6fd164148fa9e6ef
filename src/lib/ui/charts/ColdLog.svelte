<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common } from '$lib/words/screens/common.ts';
  import { coldLog as t } from '$lib/words/screens/charts.ts';
  import Button from '$lib/ui/kit/Button.svelte';
  import { DAY, HOUR } from '$lib/core/measure/spans.ts';
  import { brushX, select, type D3BrushEvent } from 'd3';
  import ColdLogTable from './ColdLogTable.svelte';
  import {
    bandPath,
    curvePath,
    meanPath,
    moved,
    scales,
    spanOf,
    type Curve,
    type Dot,
    type Track
  } from './cold-log.ts';
  import { wallTicks } from './wall-ticks.ts';

  /**
   * A log of temperatures: band of least and most, mean, limit, what counts as held, what was wrong; under it the whole, on which a
   * window is drawn to look closer. Arrows move the window, plus and minus widen and narrow it.
   */
  let {
    tracks,
    curves = [],
    dots = [],
    limit,
    held = null,
    wrong = [],
    from,
    to,
    now,
    name,
    load
  }: {
    tracks: readonly Track[];
    curves?: readonly Curve[];
    dots?: readonly Dot[];
    /** °C */
    limit: number;
    held?: { readonly from: number; readonly proven: number; readonly until: number } | null;
    wrong?: readonly { readonly from: number; readonly to: number }[];
    from: number;
    to: number;
    now: number;
    name: string;
    /** Brings the tracks of a narrower window in finer grain. */
    load?: (from: number, to: number) => Promise<readonly Track[]>;
  } = $props();

  let width = $state(640);
  let chosen = $state.raw<readonly [number, number] | null>(null);
  let finer = $state.raw<readonly Track[] | null>(null);
  let strip = $state<SVGGElement>();
  const HEIGHT = 250;
  const STRIP = 46;
  const span = $derived([from, to] as const);
  const view = $derived<readonly [number, number]>(chosen ?? span);
  const shown = $derived(finer ?? tracks);
  const degrees = $derived(spanOf(tracks, curves, dots, limit));
  const big = $derived(scales({ width, height: HEIGHT, left: 58, bottom: 26 }, view, degrees));
  const small = $derived(scales({ width, height: STRIP, left: 58, bottom: 4 }, span, degrees));
  const ticks = $derived(wallTicks(view, Math.max(2, Math.floor(width / 120)), say.wallInput));
  const clip = $props.id();
  const inView = (moment: number) => Math.min(Math.max(moment, view[0]), view[1]);

  let asked = 0;
  $effect(() => {
    const window = chosen;
    if (!window || !load) return void (finer = null);
    const mine = ++asked;
    const timer = setTimeout(() => {
      void load(window[0], window[1]).then((found) => {
        if (mine === asked) finer = found;
      });
    }, 120);
    return () => clearTimeout(timer);
  });

  const choose = (next: readonly [number, number]) => {
    chosen = next[1] - next[0] >= (to - from) * 0.999 ? null : next;
  };
  $effect(() => {
    if (!strip) return;
    const brush = brushX<unknown>()
      .extent([
        [58, 1],
        [Math.max(60, width - 8), STRIP - 1]
      ])
      .on('end', (event: D3BrushEvent<unknown>) => {
        // Moved by the program, it tells nobody.
        if (!event.sourceEvent) return;
        const [a, b] = (event.selection ?? []) as [number, number];
        if (a === undefined) chosen = null;
        else choose(moved([small.x.invert(a), small.x.invert(b)], span, {}));
      });
    const node = select<SVGGElement, unknown>(strip);
    node.call(brush);
    node.call(brush.move, chosen ? [small.x(chosen[0]), small.x(chosen[1])] : null);
  });

  const STEPS: Record<string, { shift?: number; zoom?: number }> = {
    ArrowLeft: { shift: -0.25 },
    ArrowRight: { shift: 0.25 },
    '+': { zoom: 0.5 },
    '=': { zoom: 0.5 },
    '-': { zoom: 2 }
  };
  function key(event: KeyboardEvent) {
    const step = STEPS[event.key];
    if (!step || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    event.stopPropagation();
    choose(moved(view, span, step));
  }
  const last = (hours: number) => choose(moved([to - hours * HOUR, to], span, {}));
  const degree = (value: number) => say.temperature(value).replace('.0', '');
</script>

<div class="log" bind:clientWidth={width}>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
  <svg
    {width}
    height={HEIGHT}
    role="img"
    tabindex="0"
    onkeydown={key}
    aria-label={t.toArrowKeysMove(name, say.dayAndTime(view[0]), say.dayAndTime(view[1]))}
  >
    <clipPath id="{clip}-view"><rect x="58" y="0" width={Math.max(1, width - 66)} height={HEIGHT - 24} /></clipPath>
    <g clip-path="url(#{clip}-view)">
      {#if held && held.until > view[0]}
        <rect
          class="held"
          x={big.x(inView(held.from))}
          y="8"
          width={Math.max(1, big.x(inView(held.proven)) - big.x(inView(held.from)))}
          height={HEIGHT - 34}
        />
        <rect
          class="tohold"
          x={big.x(inView(held.proven))}
          y="9"
          width={Math.max(0, big.x(inView(held.until)) - big.x(inView(held.proven)))}
          height={HEIGHT - 36}
        />
      {/if}
      {#each wrong as each, index (index)}
        <rect
          class="wrong"
          x={big.x(each.from)}
          y="8"
          width={Math.max(2, big.x(each.to) - big.x(each.from))}
          height={HEIGHT - 34}
        />
      {/each}
    </g>
    {#each big.y.ticks(5) as value (value)}
      <line class="grid" x1="58" x2={width - 8} y1={big.y(value)} y2={big.y(value)} />
      <text x="52" y={big.y(value) + 4} text-anchor="end">{degree(value)}</text>
    {/each}
    {#each ticks.at.filter((tick) => big.x(tick) < width - 40) as tick (tick)}
      <text x={big.x(tick)} y={HEIGHT - 6} text-anchor="middle"
        >{ticks.days ? say.shortDay(tick) : say.dayTime(tick)}</text
      >
    {/each}
    <line class="limit" x1="58" x2={width - 8} y1={big.y(limit)} y2={big.y(limit)} />
    <g clip-path="url(#{clip}-view)">
      {#each shown as track (track.name)}
        <path class="band {track.kind}" d={bandPath(track.bins, big)} />
        <path class="mean {track.kind}" d={meanPath(track.bins, big)} />
      {/each}
      {#each curves as curve (curve.name)}
        <path class="curve {curve.kind}" d={curvePath(curve.points, big)} />
      {/each}
      {#each dots as dot, index (index)}
        {#if wrong.some((each) => dot.at >= each.from && dot.at <= each.to)}<circle
            class="warm"
            cx={big.x(dot.at)}
            cy={big.y(dot.celsius)}
            r="7"
          />{/if}
        <circle class={dot.probe} cx={big.x(dot.at)} cy={big.y(dot.celsius)} r="3.6" />
      {/each}
      {#if now > view[0] && now < view[1]}
        <line class="now" x1={big.x(now)} x2={big.x(now)} y1="4" y2={HEIGHT - 24} />
      {/if}
    </g>
  </svg>
  {#if tracks.length > 0 || dots.length > 0}
    <svg class="strip" {width} height={STRIP} aria-hidden="true">
      <rect class="bed" x="58" y="1" width={Math.max(1, width - 66)} height={STRIP - 2} />
      {#each wrong as each, index (index)}
        <rect
          class="wrong"
          x={small.x(each.from)}
          y="2"
          width={Math.max(1.5, small.x(each.to) - small.x(each.from))}
          height={STRIP - 4}
        />
      {/each}
      {#each tracks as track (track.name)}
        <path class="band {track.kind}" d={bandPath(track.bins, small)} />
      {/each}
      {#each dots as dot, index (index)}<circle
          class={dot.probe}
          cx={small.x(dot.at)}
          cy={small.y(dot.celsius)}
          r="2"
        />{/each}
      <line class="limit" x1="58" x2={width - 8} y1={small.y(limit)} y2={small.y(limit)} />
      <g bind:this={strip}></g>
    </svg>
    <p class="windows" role="group" aria-label={t.windowOnTheLog}>
      <Button aria-pressed={chosen === null} onclick={() => (chosen = null)}>{t.allOfIt}</Button>
      {#if to - from > 2 * DAY}<Button onclick={() => last(24)}>{t.lastDay}</Button>{/if}
      {#if to - from > 10 * DAY}<Button onclick={() => last(168)}>{t.lastWeek}</Button>{/if}
      <Button onclick={() => choose(moved(view, span, { zoom: 0.5 }))}>{t.closer}</Button>
      <Button disabled={chosen === null} onclick={() => choose(moved(view, span, { shift: -0.5 }))}
        >{common.earlier}</Button
      >
      <Button disabled={chosen === null} onclick={() => choose(moved(view, span, { shift: 0.5 }))}
        >{common.later}</Button
      >
      <span class="soft">{t.to(say.dayAndTime(view[0]), say.dayAndTime(view[1]))}</span>
    </p>
  {/if}
  <p class="key soft">
    {#each tracks as track (track.name)}<span
        ><svg width="26" height="10" aria-hidden="true"
          ><line class="mean {track.kind}" x1="1" x2="25" y1="5" y2="5" /></svg
        >{track.name}</span
      >{/each}{#each curves as curve (curve.name)}<span
        ><svg width="26" height="10" aria-hidden="true"
          ><line class="curve {curve.kind}" x1="1" x2="25" y1="5" y2="5" /></svg
        >{curve.name}</span
      >{/each}<span
      ><svg width="26" height="10" aria-hidden="true"><line class="limit" x1="1" x2="25" y1="5" y2="5" /></svg>{t.limit(
        degree(limit)
      )}</span
    >
  </p>
  <ColdLogTable {tracks} />
</div>

<style>
  .log {
    min-width: 0;
  }
  svg {
    display: block;
  }
  .strip {
    margin-top: 4px;
    touch-action: none;
  }
  .bed {
    fill: var(--sunk);
    stroke: var(--line);
  }
  text {
    font-size: 14px;
    fill: var(--soft);
  }
  .grid {
    stroke: var(--line);
  }
  .limit {
    stroke: var(--ink);
    stroke-width: 2;
    stroke-dasharray: 8 4;
  }
  .held {
    fill: var(--water-pale);
  }
  .tohold {
    fill: none;
    stroke: var(--water);
    stroke-dasharray: 3 3;
  }
  .wrong {
    fill: var(--ember-wash);
    stroke: var(--ember);
    stroke-width: 0.8;
  }
  .band {
    stroke: none;
    opacity: 0.5;
  }
  .band.air {
    fill: var(--strong-line);
  }
  .band.core {
    fill: var(--water);
  }
  .mean {
    fill: none;
    stroke-width: 1.8;
  }
  .mean.air {
    stroke: var(--soft);
  }
  .mean.core {
    stroke: var(--water-deep);
    stroke-width: 2.4;
  }
  .curve {
    fill: none;
    stroke-width: 2;
  }
  .curve.planned {
    stroke: var(--water);
    stroke-dasharray: 2 4;
  }
  .curve.read {
    stroke: var(--water-deep);
    stroke-dasharray: 9 4;
  }
  circle.core {
    fill: var(--water-deep);
  }
  circle.air {
    fill: var(--strong-line);
  }
  .warm {
    fill: none;
    stroke: var(--ember);
    stroke-width: 2.5;
  }
  .now {
    stroke: var(--ember-glow);
    stroke-width: 2.5;
  }
  .windows {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.35rem;
    margin-top: 0.4rem;
  }
  .key {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 1rem;
    font-size: 0.92rem;
    margin-top: 0.3rem;
  }
  .key span {
    display: inline-flex;
    align-items: center;
    gap: 0.35rem;
  }
  .log :global(.selection) {
    fill: var(--water);
    fill-opacity: 0.3;
    stroke: var(--water-deep);
  }
  @media print {
    .windows,
    .strip {
      display: none;
    }
  }
</style>
