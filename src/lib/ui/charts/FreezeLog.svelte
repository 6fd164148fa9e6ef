<script lang="ts">
  import { line, scaleLinear, scaleTime } from 'd3';
  import type { FreezeRun } from '$lib/core/record/state.ts';
  import { clockTime, dayName, formatTemperature } from '../format.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';

  /** Readings of a freezer run against the threshold of its cycle, with the stretch that counts as held. */
  let {
    run,
    threshold,
    holdFrom,
    needSeconds,
    now,
    zone,
    units
  }: {
    run: FreezeRun;
    threshold: number;
    holdFrom: number | null;
    needSeconds: number;
    now: number;
    zone: string;
    units: UnitPreferences;
  } = $props();

  let width = $state(640);
  const height = 230;
  const end = $derived(Math.max(run.ended?.at ?? now, (holdFrom ?? run.at) + needSeconds * 1000));
  const x = $derived(scaleTime([run.at, end], [54, width - 12]));
  const coldest = $derived(Math.min(threshold - 6, ...run.readings.map(({ celsius }) => celsius)));
  const y = $derived(scaleLinear([coldest - 2, Math.max(4, run.plan.startCore.si)], [height - 26, 12]));
  const ticks = $derived(x.ticks(Math.max(2, Math.floor(width / 110))));
  const path = $derived((probe: string) =>
    line<{ at: number; celsius: number }>()
      .x((each) => x(each.at))
      .y((each) => y(each.celsius))(
      probe === 'core'
        ? [{ at: run.at, celsius: run.plan.startCore.si }, ...run.readings.filter((each) => each.probe === probe)]
        : run.readings.filter((each) => each.probe === probe)
    )
  );
  const last = $derived(run.readings.at(-1)?.at ?? run.at);
</script>

<div bind:clientWidth={width}>
  <svg {width} {height} role="img" aria-label="Freezer readings over time; the same figures stand in the table below.">
    {#if holdFrom !== null}
      <rect
        class="held"
        x={x(holdFrom)}
        y="12"
        width={Math.max(1, x(Math.min(last, end)) - x(holdFrom))}
        height={height - 38}
      />
      <rect
        class="tohold"
        x={x(Math.min(last, end))}
        y="12"
        width={Math.max(0, x(holdFrom + needSeconds * 1000) - x(last))}
        height={height - 38}
      />
    {/if}
    {#each y.ticks(5) as value (value)}
      <line class="grid" x1="54" x2={width - 12} y1={y(value)} y2={y(value)} />
      <text x="48" y={y(value) + 4} text-anchor="end">{formatTemperature(value, units).replace('.0', '')}</text>
    {/each}
    {#each ticks.filter((tick) => x(tick) < width - 44) as tick (Number(tick))}
      <text x={x(tick)} y={height - 6} text-anchor="middle"
        >{dayName(Number(tick), zone)} {clockTime(Number(tick), zone)}</text
      >
    {/each}
    <line class="limit" x1="54" x2={width - 12} y1={y(threshold)} y2={y(threshold)} />
    <path class="air" d={path('air')} />
    <path class="core" d={path('core')} />
    {#each run.readings as reading (reading.seq)}
      {#if reading.celsius > threshold && holdFrom !== null}
        <circle class="warm" cx={x(reading.at)} cy={y(reading.celsius)} r="7" />
      {/if}
      <circle class={reading.probe} cx={x(reading.at)} cy={y(reading.celsius)} r="3.5" />
    {/each}
    {#if now < end}<line class="now" x1={x(now)} x2={x(now)} y1="6" y2={height - 24} />{/if}
  </svg>
</div>

<style>
  svg {
    display: block;
  }
  text {
    font-size: 12.5px;
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
  path {
    fill: none;
    stroke-width: 2;
  }
  path.core {
    stroke: var(--water-deep);
  }
  path.air {
    stroke: var(--strong-line);
    stroke-dasharray: 4 3;
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
</style>
