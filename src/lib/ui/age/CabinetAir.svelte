<script lang="ts">
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { RackView } from '$lib/server/views/rack.ts';
  import { extent, scaleLinear } from 'd3';
  import { dayAndTime, formatTemperature, until } from '../format.ts';

  /** The air of a cabinet in the last week, its limit, and what somebody has to answer. */
  let {
    cabinet,
    limit,
    units,
    zone,
    now
  }: { cabinet: RackView['cabinets'][number]; limit: number; units: UnitPreferences; zone: string; now: number } =
    $props();
  const W = 360;
  const H = 120;
  const y = $derived.by(() => {
    const [low, high] = extent(cabinet.log?.bins.flatMap(({ min, max }) => [min, max]) ?? []);
    return scaleLinear([Math.min(low ?? 0, 0) - 0.5, Math.max(high ?? 0, limit) + 0.5], [H - 18, 8]);
  });
  const x = $derived(scaleLinear([cabinet.log?.from ?? 0, cabinet.log?.to ?? 1], [34, W - 4]));
</script>

<div data-cabinet-air={cabinet.log ? 'read' : 'unread'}>
  <h3>Its air, last 7 days</h3>
  {#if cabinet.log}
    <svg
      viewBox="0 0 {W} {H}"
      role="img"
      aria-label="{cabinet.place}: mean {formatTemperature(cabinet.mean!, units)}, warmest {formatTemperature(
        cabinet.peak!,
        units
      )}."
    >
      <line class="limit" x1="34" x2={W - 4} y1={y(limit)} y2={y(limit)} />
      <text x="30" y={y(limit) + 4} text-anchor="end">{limit}°</text>
      <text x="30" y={y(0) + 4} text-anchor="end">0°</text>
      {#each cabinet.log.bins as bin (bin.from)}
        <line
          class:warm={bin.max > limit}
          class="bin"
          x1={x((bin.from + bin.to) / 2)}
          x2={x((bin.from + bin.to) / 2)}
          y1={y(bin.min) + 1}
          y2={y(bin.max) - 1}
        />
      {/each}
    </svg>
    <p>
      <b>{formatTemperature(cabinet.last!.celsius, units)}</b>
      <span class="soft">{until(cabinet.last!.at, now).replace('late', 'ago')}</span>; mean {formatTemperature(
        cabinet.mean!,
        units
      )}, warmest {formatTemperature(cabinet.peak!, units)}
    </p>
  {:else}
    <p class="trouble">
      Nobody reads this cabinet. What hangs in it is not cleared for raw service after a day: set a sensor, or write its
      thermometer down daily.
    </p>
  {/if}
  {#each cabinet.excursions as excursion (excursion.kind + excursion.from)}
    <p class="trouble">
      {excursion.kind === 'warm'
        ? `Too warm since ${dayAndTime(excursion.from, zone)}`
        : `Silent since ${dayAndTime(excursion.from, zone)}`}{excursion.peak === null
        ? ''
        : `, up to ${formatTemperature(excursion.peak, units)}`}.
      {#if cabinet.id}<a class="link" href="/freeze/places/{cabinet.id}">Answer it</a>{/if}
    </p>
  {/each}
  {#if cabinet.id}<p><a class="link" href="/freeze/places/{cabinet.id}">Its whole log</a></p>{/if}
</div>

<style>
  h3 {
    font-weight: 700;
    margin-bottom: 0.3rem;
  }
  svg {
    width: 100%;
    height: auto;
    max-width: 460px;
  }
  text {
    font-size: 12px;
    fill: var(--soft);
  }
  .limit {
    stroke: var(--ink);
    stroke-dasharray: 5 4;
  }
  .bin {
    stroke: var(--water-deep);
    stroke-width: 3;
    stroke-linecap: round;
  }
  .bin.warm {
    stroke: var(--ember);
  }
</style>
