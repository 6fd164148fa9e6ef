<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common } from '$lib/words/screens/common.ts';
  import { SPAN_NAMES, tide as t } from '$lib/words/screens/charts.ts';
  import Button from '$lib/ui/kit/Button.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import type { NowView } from '$lib/server/views/now.ts';
  import { type Route, ROUTES, stateAt } from '$lib/core/codes/window.ts';
  import { ROUTE_WORDS } from '$lib/words/findings.ts';
  import LevelMark from '../marks/LevelMark.svelte';
  import WindowLine from '../marks/WindowLine.svelte';
  import { SPANS, frame, water, type SpanId } from './tide.ts';
  import { wallTicks } from './wall-ticks.ts';

  let { rows, now, warnSeconds }: { rows: NowView['rows']; now: number; warnSeconds: number } = $props();

  let span = $state<SpanId>('days');
  let shift = $state(0);
  let route = $state<Route>('raw');
  let width = $state(900);
  let drag: { x: number; shift: number } | null = null;

  const ROW = 47;
  const HEAD = 30;
  /** Depth of a clock's vessel beside the name. */
  const DEEP = 31;
  const used = (clock: NonNullable<NowView['rows'][number]['clock']>) =>
    t.ofItsTimeIn(
      clock.spent === null ? t.daysOnIceNot : t.ofItsDaysOn(Math.round(Math.min(1, clock.spent) * 100)),
      Math.round(Math.min(1, clock.warm) * 100)
    );
  const LEFT = $derived(width < 720 ? 178 : 216);
  const of = $derived(frame(now, span, shift, LEFT, width));
  const { hours, lines: most } = $derived(SPANS.find(({ id }) => id === span)!);
  const lines = $derived(
    wallTicks([of.from, of.to], most, say.wallInput).at.map((at) => ({
      at,
      x: of.x(at),
      major: say.wallInput(at).endsWith('T00:00')
    }))
  );
  const height = $derived(HEAD + rows.length * ROW + 6);
  const nowX = $derived(of.x(now));
  const words = (piece: NowView['rows'][number]) => piece.windows.find((window) => window.route === route)!;
  const clip = (x: number) => Math.min(Math.max(x, LEFT), width);
  const short = (name: string) =>
    name.length > (LEFT > 180 ? 18 : 14) ? `${name.slice(0, LEFT > 180 ? 17 : 13)}…` : name;

  const pan = (by: number) => (shift += by * (hours / 6));
  function keys(event: KeyboardEvent) {
    const index = SPANS.findIndex(({ id }) => id === span);
    if (event.key === 'ArrowRight') pan(1);
    else if (event.key === 'ArrowLeft') pan(-1);
    else if (event.key === '+' && index > 0) span = SPANS[index - 1]!.id;
    else if (event.key === '-' && index < SPANS.length - 1) span = SPANS[index + 1]!.id;
    else if (event.key === 'Home') shift = 0;
    else return;
    event.preventDefault();
  }
</script>

<section aria-labelledby="tide-title">
  <div class="bar no-print">
    <h2 id="tide-title">{t.tideChart}</h2>
    <div class="joined" role="group" aria-label={t.routeShownAsWater}>
      {#each ROUTES as each (each)}
        <Button aria-pressed={route === each} onclick={() => (route = each)}>{ROUTE_WORDS[each]}</Button>
      {/each}
    </div>
    <div class="joined" role="group" aria-label={t.stretchOfTime}>
      {#each SPANS as each (each.id)}
        <Button
          aria-pressed={span === each.id}
          onclick={() => {
            span = each.id;
            shift = 0;
          }}>{SPAN_NAMES[each.id]}</Button
        >
      {/each}
    </div>
    <div class="joined" role="group" aria-label={t.moveAlongTime}>
      <Button aria-label={common.earlier} onclick={() => pan(-1)}>‹</Button>
      <Button onclick={() => (shift = 0)} disabled={shift === 0}>{t.toNow}</Button>
      <Button aria-label={common.later} onclick={() => pan(1)}>›</Button>
    </div>
  </div>
  <!-- The drawing is a picture with links in it; arrow keys move it along time, plus and minus zoom. -->
  <!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
  <div
    class="chart"
    bind:clientWidth={width}
    role="group"
    aria-label={t.tideChartWindowsArrow(ROUTE_WORDS[route])}
    tabindex="0"
    onkeydown={keys}
    onpointerdown={(event) => (drag = event.isPrimary ? { x: event.clientX, shift } : null)}
    onpointermove={(event) => {
      if (drag && event.buttons) shift = drag.shift - ((event.clientX - drag.x) / (width - LEFT)) * hours;
    }}
    onpointerup={() => (drag = null)}
  >
    <svg {width} {height} viewBox="0 0 {width} {height}">
      {#each lines as line (line.at)}
        {#if line.x > LEFT}
          <line
            class={line.major ? 'day' : 'hour'}
            x1={line.x}
            x2={line.x}
            y1={line.major ? 4 : HEAD - 6}
            y2={height}
          />
          {#if Math.abs(line.x + 24 - nowX) > 46 && line.x < width - 34}
            <text class="tick" class:major={line.major} x={line.x + 5} y="18">
              {line.major ? say.dayName(line.at) : say.clockTime(line.at)}
            </text>
          {/if}
        {/if}
      {/each}
      {#each rows as piece, index (piece.id)}
        {@const top = HEAD + index * ROW}
        {@const window = words(piece)}
        {@const state = stateAt(window, now, warnSeconds)}
        <line class="floor" x1="0" x2={width} y1={top + ROW - 3} y2={top + ROW - 3} />
        <path
          class="water"
          class:ebbing={state === 'ebbing'}
          d={water(window, piece.madeAt, of, top + 5, top + ROW - 3, warnSeconds)}
        />
        {#if window.proofDue !== null && window.proofDue > of.from && window.proofDue < of.to}
          <path class="proof" d="M{of.x(window.proofDue)} {top + 6}v{ROW - 12}m-4 -4l4 4l4 -4" />
        {/if}
        {#each piece.steps as step, index (index)}
          {@const from = clip(of.x(step.from))}
          {@const to = clip(of.x(step.to ?? window.opens ?? now))}
          {#if step.kind === 'slice'}
            {#if from > LEFT && from < width}<path class="cut" d="M{from - 4} {top + 32}l8 -16" />{/if}
          {:else if to > from + 1}
            <rect class="step {step.kind}" x={from} y={top + 13} width={to - from} height="18" rx="2" />
            {#if to - from > 74}<text class="steptext {step.kind}" x={Math.max(from, LEFT) + 6} y={top + 26.5}
                >{step.label}</text
              >{/if}
          {/if}
        {/each}
        <rect class="label" x="0" y={top} width={LEFT - 6} height={ROW - 3} />
        <a href={piece.path} aria-label="{piece.name}, {piece.id}" draggable="false">
          <rect class="hit" x="0" y={top} width={LEFT - 6} height={ROW - 3} />
          <svg x="2" y={top + 9} width="26" height="26"><LevelMark {state} size={26} /></svg>
          <text class="name" x="36" y={top + 20}>{short(piece.name)}</text>
          <text class="code" x="36" y={top + 36}>{piece.id}</text>
          {#if piece.clock}
            {@const cool = Math.max(0, 1 - piece.clock.warm)}
            {#if piece.clock.spent !== null && piece.clock.raw !== null}
              {@const left = Math.max(0, 1 - piece.clock.spent)}
              <rect class="vessel" x={LEFT - 24} y={top + 6} width="6" height={DEEP} />
              <rect class="left" x={LEFT - 24} y={top + 6 + DEEP * (1 - left)} width="6" height={DEEP * left} />
              <path class="rawend" d="M{LEFT - 26} {top + 6 + DEEP * piece.clock.raw} h10" />
            {/if}
            <rect class="vessel" x={LEFT - 15} y={top + 6} width="4" height={DEEP} />
            <rect class="left warm" x={LEFT - 15} y={top + 6 + DEEP * (1 - cool)} width="4" height={DEEP * cool} />
          {/if}
        </a>
      {/each}
      {#if nowX > LEFT && nowX < width}
        <line class="now" x1={nowX} x2={nowX} y1="22" y2={height} />
        <text class="nowtext" x={nowX} y="14" text-anchor="middle">{say.clockTime(now)}</text>
      {/if}
    </svg>
  </div>
  <p class="soft key">
    {t.besideEachNameWhat}
  </p>
  <Fold class="table" title={t.theSameAsA}>
    <Table>
      <thead
        ><tr><th>{common.piece}</th><th>{ROUTE_WORDS[route]}</th><th>{t.used}</th><th>{common.steps}</th></tr></thead
      >
      <tbody>
        {#each rows as piece (piece.id)}
          <tr>
            <td><a class="link" href={piece.path}>{piece.name}</a> <span class="soft">{piece.id}</span></td>
            <td><WindowLine window={words(piece)} {now} {warnSeconds} named={false} /></td>
            <td>{piece.clock ? used(piece.clock) : t.notKnown}</td>
            <td>
              {#each piece.steps as step, index (index)}
                <div>
                  {step.label}: {say.dayAndTime(step.from)}{step.to && step.to !== step.from
                    ? t.to(say.moment(step.to, now))
                    : ''}
                </div>
              {/each}
            </td>
          </tr>
        {/each}
      </tbody>
    </Table>
  </Fold>
</section>

<style>
  .bar {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.6rem 1rem;
    margin-bottom: 0.5rem;
  }
  .bar h2 {
    margin-right: auto;
  }
  .key {
    font-size: 0.9rem;
    margin: 0.3rem 0;
  }
  .chart {
    background: var(--surface);
    border: 1px solid var(--line);
    border-radius: 3px;
    touch-action: pan-y;
    overflow: hidden;
    user-select: none;
  }
  svg {
    display: block;
  }
  .floor {
    stroke: var(--line);
  }
  .hour {
    stroke: var(--line);
    stroke-dasharray: 1 4;
  }
  .day {
    stroke: var(--line);
    stroke-width: 1.5;
  }
  .tick {
    font-size: 14px;
    fill: var(--soft);
  }
  .tick.major {
    font-weight: 700;
    fill: var(--ink);
  }
  .water {
    fill: var(--water-pale);
    stroke: var(--water);
    stroke-width: 1.5;
  }
  .water.ebbing {
    fill: var(--ember-wash);
    stroke: var(--ember-glow);
  }
  .step {
    stroke-width: 1.5;
    fill: var(--surface);
    stroke: var(--water-deep);
  }
  .step.freeze {
    stroke: none;
    fill: var(--ink);
    fill-opacity: 0.78;
  }
  .step.cure {
    stroke: var(--ink);
    stroke-dasharray: 2 2;
  }
  .step.acid {
    stroke-dasharray: 5 2;
  }
  .step.board {
    fill: var(--ember-wash);
    stroke: var(--ember);
  }
  .step.hold {
    stroke: none;
    fill: var(--ember-glow);
    fill-opacity: 0.9;
  }
  .steptext {
    font-size: 14px;
    fill: var(--ink);
  }
  .steptext.freeze {
    fill: var(--surface);
  }
  .steptext.hold {
    fill: #1a0d05;
    font-weight: 600;
  }
  .proof,
  .cut {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
    stroke-linecap: round;
  }
  .vessel {
    fill: var(--sunk);
    stroke: var(--line);
  }
  .left {
    fill: var(--water);
  }
  .left.warm {
    fill: var(--ember-glow);
  }
  .rawend {
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .label {
    fill: var(--surface);
  }
  .hit {
    fill: transparent;
  }
  a:hover .hit,
  a:focus-visible .hit {
    fill: var(--water-pale);
    fill-opacity: 0.5;
  }
  .name {
    font-size: 15px;
    font-weight: 600;
    fill: var(--ink);
  }
  .code {
    font-size: 14px;
    fill: var(--soft);
  }
  .now {
    stroke: var(--ember-glow);
    stroke-width: 2.5;
  }
  .nowtext {
    font-size: 14px;
    font-weight: 700;
    fill: var(--ember);
  }
  .table {
    margin-top: 0.5rem;
  }
</style>
