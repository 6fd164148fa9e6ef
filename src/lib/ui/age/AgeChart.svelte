<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { ageChart as t } from '$lib/words/screens/age.ts';
  import { DAY } from '$lib/core/measure/spans.ts';
  import type { RackedPiece } from '$lib/server/views/rack.ts';
  import ChartFrame from '../charts/ChartFrame.svelte';
  import { CHART, weightChart } from './chart.ts';
  import { lossWanted } from '$lib/core/activity/age/plan.ts';

  /** Weights by day, the fan of what is to come, the weight that is wanted, and today. */
  let { piece, now }: { piece: RackedPiece; now: number } = $props();
  const weights = $derived([
    { day: 0, grams: piece.run.plan.mass.si, odd: false },
    ...piece.run.weighIns.map(({ at, mass }, index) => ({
      day: (at - piece.run.at) / DAY,
      grams: mass.si,
      odd: piece.forecast.odd.some((each) => each.index === index + 1)
    }))
  ]);
  const wanted = $derived(piece.run.plan.mass.si * (1 - lossWanted(piece.run.plan)));
  const chart = $derived(weightChart(piece.forecast.curve, weights, wanted));
  const table = $derived({
    name: t.theWeightsAsA,
    head: [t.day, t.weight, t.lost],
    rows: weights.map(({ day, grams, odd }) => [
      say.exactly(day, 1),
      say.mass(grams),
      odd ? t.leftOutItDoes : say.percent(1 - grams / weights[0]!.grams)
    ])
  });
  const today = $derived(chart.x(Math.max(0, (now - piece.run.at) / DAY)));
</script>

<ChartFrame
  width={CHART.width}
  height={CHART.height}
  says={t.weightsOfByDay(piece.name)}
  data-weights={weights.length}
  {table}
>
  {#each chart.y.ticks(5) as tick (tick)}
    <line class="grid" x1={CHART.left} x2={CHART.right} y1={chart.y(tick)} y2={chart.y(tick)} />
    <text x={CHART.left - 8} y={chart.y(tick) + 4} text-anchor="end">{say.mass(tick)}</text>
  {/each}
  {#each chart.days as day (day)}
    <text x={chart.x(day)} y={CHART.bottom + 18} text-anchor="middle">{day}</text>
  {/each}
  <text x={CHART.right} y={CHART.bottom + 34} text-anchor="end">{t.daysOnTheRack}</text>
  <path class="fan" d={chart.fan} />
  <path class="middle" d={chart.middle} />
  <line class="wanted" x1={CHART.left} x2={CHART.right} y1={chart.wanted} y2={chart.wanted} />
  <text class="name" x={CHART.left + 6} y={chart.wanted - 6}
    >{t.wantedLost(say.percent(lossWanted(piece.run.plan)))}</text
  >
  {#if today <= CHART.right}
    <line class="now" x1={today} x2={today} y1={CHART.top} y2={CHART.bottom} />
  {/if}
  {#each weights as weight, index (index)}
    {#if weight.odd}
      <path class="odd" d="M{chart.x(weight.day) - 6} {chart.y(weight.grams) - 6} l12 12 m0 -12 l-12 12" data-odd />
    {:else}<circle cx={chart.x(weight.day)} cy={chart.y(weight.grams)} r="4.5" />{/if}
  {/each}
</ChartFrame>

<style>
  .fan {
    fill: var(--water-pale);
  }
  .middle {
    fill: none;
    stroke: var(--water-deep);
    stroke-width: 2;
  }
  .wanted {
    stroke: var(--ink);
    stroke-dasharray: 6 4;
    stroke-width: 1.5;
  }
  .now {
    stroke: var(--ember);
    stroke-width: 1.5;
  }
  circle {
    fill: var(--surface);
    stroke: var(--ink);
    stroke-width: 2;
  }
  .odd {
    fill: none;
    stroke: var(--ember);
    stroke-width: 2.5;
  }
</style>
