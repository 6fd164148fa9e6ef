<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { cureZones as t } from '$lib/words/screens/cure.ts';
  import Table from '$lib/ui/kit/Table.svelte';
  import type { CureResult, CureSettings } from '$lib/core/bench/cure/plan.ts';

  /** Zone by zone from the head end: what goes on it, and what comes of it. */
  let { result, settings }: { result: CureResult; settings: CureSettings } = $props();
  const isDry = $derived(result.bathGrams === 0 && settings.method !== 'desalt');
  const percent = say.points;
  const time = (hours: number | null) => (hours === null ? 'later' : say.span(hours * 3600));
</script>

<Table data-zones>
  <thead>
    <tr>
      <th>{t.fromTheHeadEnd}</th><th>{t.thick}</th><th>{t.weighs}</th>
      {#if isDry}<th>{t.saltOnIt}</th>{#if result.sugarGrams > 0}<th>{t.sugar}</th>{/if}{/if}
      <th>{t.meanEnd}</th><th>{t.middleEnd}</th><th>{t.waterEnd}</th><th>{t.middleWantedAt}</th><th
        >{t.asTheThickEnd}</th
      >
    </tr>
  </thead>
  <tbody>
    {#each result.zones as zone (zone.from)}
      <tr>
        <th scope="row">{t.to(say.length(zone.from), say.length(zone.to))}</th>
        <td>{say.length(zone.mm)}</td>
        <td>{say.mass(zone.grams)}</td>
        {#if isDry}
          <td>{say.mass(zone.saltGrams)}</td>
          {#if result.sugarGrams > 0}<td>{say.mass(zone.sugarGrams)}</td>{/if}
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
