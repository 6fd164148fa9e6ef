<script lang="ts">
  import { legible } from '$lib/ui/charts/legible.ts';
  import * as say from '$lib/words/say.ts';
  import { cabinetAir as t } from '$lib/words/screens/age.ts';
  import type { RackView } from '$lib/server/views/rack.ts';
  import { extent, scaleLinear } from 'd3';

  /** The air of a cabinet in the last week, its limit, and what somebody has to answer. */
  let { cabinet, limit, now }: { cabinet: RackView['cabinets'][number]; limit: number; now: number } = $props();
  const W = 360;
  const H = 120;
  const y = $derived.by(() => {
    const [low, high] = extent(cabinet.log?.bins.flatMap(({ min, max }) => [min, max]) ?? []);
    return scaleLinear([Math.min(low ?? 0, 0) - 0.5, Math.max(high ?? 0, limit) + 0.5], [H - 18, 8]);
  });
  const x = $derived(scaleLinear([cabinet.log?.from ?? 0, cabinet.log?.to ?? 1], [34, W - 4]));
</script>

<div data-cabinet-air={cabinet.log ? 'read' : 'unread'}>
  <h3>{t.itsAirLastDays}</h3>
  {#if cabinet.log}
    <svg
      {@attach legible}
      viewBox="0 0 {W} {H}"
      role="img"
      aria-label={t.meanWarmest(cabinet.place, say.temperature(cabinet.mean!), say.temperature(cabinet.peak!))}
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
      <b>{say.temperature(cabinet.last!.celsius)}</b>
      <span class="soft">{say.since(cabinet.last!.at, now)}</span>{t.meanWarmest2(
        say.temperature(cabinet.mean!),
        say.temperature(cabinet.peak!)
      )}
    </p>
  {:else}
    <p class="trouble">
      {t.nobodyReadsThisCabinet}
    </p>
  {/if}
  {#each cabinet.excursions as excursion (excursion.kind + excursion.from)}
    <p class="trouble">
      {excursion.kind === 'warm'
        ? t.tooWarmSince(say.dayAndTime(excursion.from))
        : t.silentSince(say.dayAndTime(excursion.from))}{excursion.peak === null
        ? ''
        : t.upTo(say.temperature(excursion.peak))}.
      {#if cabinet.id}<a class="link" href="/freeze/places/{cabinet.id}">{t.answerIt}</a>{/if}
    </p>
  {/each}
  {#if cabinet.id}<p><a class="link way" href="/freeze/places/{cabinet.id}">{t.itsWholeLog}</a></p>{/if}
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
    font-size: calc(14px * var(--drawn, 1));
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
