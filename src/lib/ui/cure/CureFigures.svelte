<script lang="ts">
  import Button from '$lib/ui/kit/Button.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import { thinEnd, type CureResult, type CureSettings } from '$lib/core/bench/cure/plan.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import { formatDuration, formatMass } from '../format.ts';
  import type { CureSimulation } from './simulation.svelte.ts';

  /** What a plan comes to: grams to weigh out, and each figure with the range nine in ten draws fall into. */
  let {
    simulation,
    result,
    settings,
    units
  }: { simulation: CureSimulation; result: CureResult; settings: CureSettings; units: UnitPreferences } = $props();

  const band = $derived(simulation.band);
  const percent = (value: number) => `${value.toFixed(value < 1 ? 2 : 1)} %`;
  const range = (of: { low: number; high: number } | undefined, show: (value: number) => string) =>
    of ? `${show(of.low)} to ${show(of.high)}` : simulation.banding ? 'drawing …' : '…';
  const grams = (value: number) => formatMass(value, units);
  const after = (hours: number | null) =>
    hours === null
      ? `not within ${formatDuration(result.followedHours * 3600)}`
      : `after ${formatDuration(hours * 3600)}`;
  const thin = $derived(thinEnd(result));
  const isWet = $derived(result.bathGrams > 0);
  const end = $derived(result.end);
</script>

<div class="grams">
  {#if settings.method === 'desalt'}
    <p class="figure">{grams(result.bathGrams)} <small>water, each time</small></p>
  {:else}
    <p class="figure" data-salt>{grams(result.saltGrams)} <small>salt</small></p>
    {#if result.sugarGrams > 0}<p class="figure">{grams(result.sugarGrams)} <small>sugar</small></p>{/if}
    {#if isWet}<p class="figure">{grams(result.bathGrams)} <small>in all</small></p>{/if}
  {/if}
  <p class="figure">{grams(end.gramsAfter)} <small>of {grams(settings.grams)} after</small></p>
</div>
<Table fixed>
  <thead>
    <tr><th>At the end, {formatDuration(end.hours * 3600)}</th><th>Likely</th><th>Nine times in ten</th></tr>
  </thead>
  <tbody>
    <tr><td>Salt, on average</td><td>{percent(end.meanPercent)}</td><td>{range(band?.meanSaltPercent, percent)}</td></tr
    >
    <tr>
      <td>Salt, middle of the thickest</td><td>{percent(end.middlePercent)}</td>
      <td>{range(band?.middleSaltPercent, percent)}</td>
    </tr>
    <tr>
      <td>Water-phase salt, least anywhere</td><td>{percent(end.leastWps)}</td><td>{range(band?.leastWps, percent)}</td>
    </tr>
    <tr>
      <td>Water-phase salt at the face</td><td>{percent(end.surfaceWps)}</td><td>{range(band?.surfaceWps, percent)}</td>
    </tr>
    <tr><td>Weight after</td><td>{grams(end.gramsAfter)}</td><td>{range(band?.gramsAfter, grams)}</td></tr>
    <tr>
      <td>Middle {settings.method === 'desalt' ? 'falls to' : 'reaches'} {percent(settings.target * 100)}</td>
      <td colspan="2">{after(result.middleReachesHours)}</td>
    </tr>
    <tr><td>Evened out (face and middle within 0.5 %)</td><td colspan="2">{after(result.evenHours)}</td></tr>
    {#if result.zones.length > 1 && settings.method !== 'desalt'}
      <tr>
        <td>Thin end has what the thick end will have</td>
        <td colspan="2" data-thin>{after(thin.finishHours)}</td>
      </tr>
    {/if}
    <tr><td>Water activity, on average</td><td colspan="2">{result.meanWaterActivity.toFixed(3)}</td></tr>
  </tbody>
</Table>
{#if simulation.banding}
  <p class="soft drawing">
    <progress aria-label="Two hundred draws"></progress> two hundred draws …
    <Button onclick={() => simulation.stop()}>Stop</Button>
  </p>
{/if}
<p class="soft small">
  {#if settings.parameters && settings.parameters.runs > 0}
    Forecast with what {settings.parameters.runs}
    {settings.parameters.runs === 1 ? 'cure' : 'cures'} of this house taught ({settings.parameters.from === 'species'
      ? 'this species'
      : 'its fat class'}).
  {:else}
    Forecast with published ranges: no cure of this kind was weighed here yet.
  {/if}
  <a class="link" href="/cure/learning">What came out</a>
</p>

<style>
  th:first-child {
    width: 50%;
  }
  .grams {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 2rem;
    margin: 0.4rem 0 0.6rem;
  }
  .drawing {
    display: flex;
    align-items: center;
    gap: 0.6rem;
  }
</style>
