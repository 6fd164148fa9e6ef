<script lang="ts">
  import Table from '$lib/ui/kit/Table.svelte';
  import type { CureResult, CureSettings } from '$lib/core/bench/cure/plan.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import { formatDuration, formatLength, formatMass } from '../format.ts';

  /** Zone by zone from the head end: what goes on it, and what comes of it. */
  let { result, settings, units }: { result: CureResult; settings: CureSettings; units: UnitPreferences } = $props();
  const isDry = $derived(result.bathGrams === 0 && settings.method !== 'desalt');
  const percent = (value: number) => `${value.toFixed(value < 1 ? 2 : 1)} %`;
  const time = (hours: number | null) => (hours === null ? 'later' : formatDuration(hours * 3600));
</script>

<Table data-zones>
  <thead>
    <tr>
      <th>From the head end</th><th>Thick</th><th>Weighs</th>
      {#if isDry}<th>Salt on it</th>{#if result.sugarGrams > 0}<th>Sugar</th>{/if}{/if}
      <th>Mean, end</th><th>Middle, end</th><th>Water, end</th><th>Middle wanted at</th><th>As the thick end at</th>
    </tr>
  </thead>
  <tbody>
    {#each result.zones as zone (zone.from)}
      <tr>
        <th scope="row">{formatLength(zone.from, units)} to {formatLength(zone.to, units)}</th>
        <td>{formatLength(zone.mm, units)}</td>
        <td>{formatMass(zone.grams, units)}</td>
        {#if isDry}
          <td>{formatMass(zone.saltGrams, units)}</td>
          {#if result.sugarGrams > 0}<td>{formatMass(zone.sugarGrams, units)}</td>{/if}
        {/if}
        <td>{percent(zone.meanPercent)}</td>
        <td>{percent(zone.middlePercent)}</td>
        <td>{percent(zone.waterPercent)}</td>
        <td>{time(zone.reachesHours)}</td>
        <td>{time(zone.finishHours)}</td>
      </tr>
    {/each}
  </tbody>
</Table>

<style>
  td,
  th {
    white-space: nowrap;
  }
</style>
