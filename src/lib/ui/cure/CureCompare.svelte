<script lang="ts">
  import Table from '$lib/ui/kit/Table.svelte';
  import { page } from '$app/state';
  import { programmeSeconds, startBy } from '$lib/core/bench/cure/changes.ts';
  import { guardsOf } from '$lib/core/bench/cure/guards.ts';
  import { thinEnd } from '$lib/core/bench/cure/plan.ts';
  import type { School } from '$lib/core/activity/cure/lists.ts';
  import type { RecipeBody } from '$lib/core/activity/cure/recipe-body.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import { SCHOOL_WORDS } from '$lib/words/cure.ts';
  import { sentence } from '$lib/words/findings.ts';
  import { dayAndTime, formatDuration, formatMass } from '../format.ts';
  import Beside from '../plan/Beside.svelte';
  import CureFields from './CureFields.svelte';
  import CurePicture from './CurePicture.svelte';
  import type { CureSubject } from '$lib/core/bench/cure/settings.ts';
  import type { CureDraft } from './draft.svelte.ts';
  import type { CureSimulation } from './simulation.svelte.ts';

  /** Two plans for one piece, side by side. */
  let {
    second,
    piece,
    recipes,
    units,
    zone,
    now,
    wantedAt,
    leadSeconds,
    closedPack,
    one,
    two,
    onclose
  }: {
    second: CureDraft;
    piece: CureSubject;
    recipes: readonly { id: string; name: string; school: School; recipe: RecipeBody }[];
    units: UnitPreferences;
    zone: string;
    now: number;
    wantedAt: number | null;
    leadSeconds: number;
    closedPack: boolean;
    one: CureSimulation;
    two: CureSimulation;
    onclose: () => void;
  } = $props();

  let shownAt = $state(47);
  const percent = (value: number) => `${value.toFixed(value < 1 ? 2 : 1)} %`;
  const after = (hours: number | null) =>
    hours === null ? 'not within what was followed' : formatDuration(hours * 3600);
  const plans = $derived(
    [one, two].map((simulation) => {
      const { result, shown, band } = simulation;
      if (!result || !shown) return null;
      const leastWps = band?.leastWps.low ?? result.end.leastWps;
      const notes = guardsOf({
        celsius: shown.celsius,
        leastWps,
        waterActivity: result.meanWaterActivity,
        closedPack,
        hours: result.end.hours
      }).filter(({ code }) => code === 'cure.listeria' || code.startsWith('cure.closed'));
      return { result, shown, band, notes, thin: thinEnd(result) };
    })
  );
  type Plan = NonNullable<(typeof plans)[number]>;
  const rows: readonly { name: string; of: (plan: Plan) => string }[] = $derived([
    { name: 'School', of: ({ shown }) => SCHOOL_WORDS[shown.method].name },
    {
      name: 'Salt, sugar',
      of: ({ result }) => `${formatMass(result.saltGrams, units)}, ${formatMass(result.sugarGrams, units)}`
    },
    { name: 'Hours in all', of: ({ result }) => formatDuration(programmeSeconds(result.stages)) },
    {
      name: wantedAt === null ? 'Begun now, ready' : 'Start by',
      of: ({ result }) =>
        wantedAt === null
          ? dayAndTime(now + programmeSeconds(result.stages) * 1000, zone)
          : dayAndTime(startBy(wantedAt, result.stages, leadSeconds), zone)
    },
    { name: 'Salt, on average', of: ({ result, band }) => withBand(result.end.meanPercent, band?.meanSaltPercent) },
    { name: 'At the face', of: ({ result }) => percent(result.end.surfacePercent) },
    {
      name: 'Middle of the thickest',
      of: ({ result, band }) => withBand(result.end.middlePercent, band?.middleSaltPercent)
    },
    { name: 'Thin end, on average', of: ({ thin }) => percent(thin.meanPercent) },
    { name: 'Middle reaches what is wanted', of: ({ result }) => after(result.middleReachesHours) },
    { name: 'Evened out', of: ({ result }) => after(result.evenHours) },
    { name: 'Weight after', of: ({ result }) => formatMass(result.end.gramsAfter, units) },
    { name: 'Water-phase salt, least', of: ({ result, band }) => withBand(result.end.leastWps, band?.leastWps) },
    { name: 'Water activity', of: ({ result }) => result.meanWaterActivity.toFixed(3) },
    {
      name: 'Risk',
      of: ({ notes }) => notes.map(({ code, seen }) => sentence({ code, seen }, page.data.house.units)).join(' ')
    }
  ]);
  const withBand = (value: number, band: { low: number; high: number } | undefined) =>
    band ? `${percent(value)} (${percent(band.low)} to ${percent(band.high)})` : percent(value);
</script>

<Beside name="The second plan" outcome="Side by side" trouble={two.trouble} {onclose}>
  {#snippet fields()}
    <CureFields draft={second} {piece} {recipes} {units} places={[]} means={{}} />
  {/snippet}
  {#if plans[1]}
    <CurePicture
      name="The second plan, cut along the length"
      result={plans[1].result}
      faces={plans[1].shown.faces}
      target={plans[1].shown.target * 100}
      {units}
      bind:index={shownAt}
    />
  {/if}
  <Table>
    <thead><tr><th></th><th>First plan</th><th>Second plan</th></tr></thead>
    <tbody>
      {#each rows as row (row.name)}
        <tr>
          <th scope="row">{row.name}</th>
          {#each plans as plan, index (index)}<td>{plan ? row.of(plan) : '…'}</td>{/each}
        </tr>
      {/each}
    </tbody>
  </Table>
</Beside>

<style>
  th[scope='row'] {
    min-width: 8.5rem;
  }
</style>
