<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { cureLearned as t } from '$lib/words/screens/cure.ts';
  import ChartFrame from '../charts/ChartFrame.svelte';
  import { scaleLinear } from 'd3';

  interface Dot {
    readonly seq: number;
    readonly piece: string;
    readonly name: string;
    readonly measured: number;
    readonly forecast: { readonly low: number; readonly likely: number; readonly high: number };
  }
  /** Forecast against measurement: what lies on the line came out as it was said. */
  let { points, what }: { points: readonly Dot[]; what: string } = $props();

  const W = 420;
  const H = 330;
  const left = 46;
  const right = 404;
  const top = 22;
  const bottom = 286;
  const most = $derived(Math.max(1, ...points.flatMap(({ measured, forecast }) => [measured, forecast.high])) * 1.08);
  const least = $derived(Math.min(0, ...points.flatMap(({ measured, forecast }) => [measured, forecast.low])) * 1.08);
  const x = $derived(scaleLinear([least, most], [left, right]));
  const y = $derived(scaleLinear([least, most], [bottom, top]));
  const held = $derived(
    points.filter(({ measured, forecast }) => forecast.low <= measured && measured <= forecast.high).length
  );
</script>

<div class="least">
  <ChartFrame
    width={W}
    height={H}
    says={t.forecastAgainstMeasurementOf(what, points.length, points.length === 1 ? 'cure' : 'cures', held)}
    data-points={points.length}
  >
    {#each x.ticks(5) as tick (tick)}
      <line class="grid" x1={x(tick)} x2={x(tick)} y1={top} y2={bottom} />
      <line class="grid" x1={left} x2={right} y1={y(tick)} y2={y(tick)} />
      <text x={x(tick)} y={bottom + 16} text-anchor="middle">{tick}</text>
      <text x={left - 6} y={y(tick) + 4} text-anchor="end">{tick}</text>
    {/each}
    <line class="same" x1={x(least)} y1={y(least)} x2={x(most)} y2={y(most)} />
    {#each points as point (point.seq)}
      <line
        class="band"
        x1={x(point.forecast.low)}
        x2={x(point.forecast.high)}
        y1={y(point.measured)}
        y2={y(point.measured)}
      />
      <circle cx={x(point.forecast.likely)} cy={y(point.measured)} r="5.5">
        <title
          >{t.forecastMeasured(
            point.name,
            point.piece,
            say.exactly(point.forecast.likely, 1),
            say.exactly(point.measured, 1)
          )}</title
        >
      </circle>
    {/each}
    <text x={right} y={H - 8} text-anchor="end">{t.forecast}</text>
    <text x="4" y="15">{t.measured}</text>
    {#snippet caption()}
      <span class="soft">
        {t.ofWithinTheBand(held, points.length)}
      </span>
    {/snippet}
  </ChartFrame>
</div>

<style>
  .least {
    max-width: 480px;
  }
  .same {
    stroke: var(--ink);
    stroke-width: 1.5;
    stroke-dasharray: 7 4;
  }
  .band {
    stroke: var(--water);
    stroke-width: 3;
  }
  circle {
    fill: var(--water-deep);
    stroke: var(--surface);
    stroke-width: 1.5;
  }
</style>
