<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { cureCompare as t } from '$lib/words/screens/cure.ts';
  import Table from '$lib/ui/kit/Table.svelte';
  import { page } from '$app/state';
  import { programmeSeconds, startBy } from '$lib/core/bench/cure/changes.ts';
  import { guardsOf } from '$lib/core/bench/cure/guards.ts';
  import { thinEnd } from '$lib/core/bench/cure/plan.ts';
  import type { School } from '$lib/core/activity/cure/lists.ts';
  import type { RecipeBody } from '$lib/core/activity/cure/recipe-body.ts';
  import { CURE_NAMES } from '$lib/words/cure-names.ts';
  import { sentence } from '$lib/words/findings.ts';
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
    now: number;
    wantedAt: number | null;
    leadSeconds: number;
    closedPack: boolean;
    one: CureSimulation;
    two: CureSimulation;
    onclose: () => void;
  } = $props();

  let shownAt = $state(47);
  const percent = say.points;
  const after = (hours: number | null) => (hours === null ? t.notWithinWhatWas : say.span(hours * 3600));
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
    { name: t.school, of: ({ shown }) => CURE_NAMES[shown.method].name },
    {
      name: t.saltSugar,
      of: ({ result }) => `${say.mass(result.saltGrams)}, ${say.mass(result.sugarGrams)}`
    },
    { name: t.hoursInAll, of: ({ result }) => say.span(programmeSeconds(result.stages)) },
    {
      name: wantedAt === null ? t.begunNowReady : t.startBy,
      of: ({ result }) =>
        wantedAt === null
          ? say.dayAndTime(now + programmeSeconds(result.stages) * 1000)
          : say.dayAndTime(startBy(wantedAt, result.stages, leadSeconds))
    },
    { name: t.saltOnAverage, of: ({ result, band }) => withBand(result.end.meanPercent, band?.meanSaltPercent) },
    { name: t.atTheFace, of: ({ result }) => percent(result.end.surfacePercent) },
    {
      name: t.middleOfTheThickest,
      of: ({ result, band }) => withBand(result.end.middlePercent, band?.middleSaltPercent)
    },
    { name: t.thinEndOnAverage, of: ({ thin }) => percent(thin.meanPercent) },
    { name: t.middleReachesWhatIs, of: ({ result }) => after(result.middleReachesHours) },
    { name: t.evenedOut, of: ({ result }) => after(result.evenHours) },
    { name: t.weightAfter, of: ({ result }) => say.mass(result.end.gramsAfter) },
    { name: t.waterPhaseSaltLeast, of: ({ result, band }) => withBand(result.end.leastWps, band?.leastWps) },
    { name: t.waterActivity, of: ({ result }) => say.exactly(result.meanWaterActivity, 3) },
    {
      name: t.risk,
      of: ({ notes }) => notes.map(({ code, seen }) => sentence({ code, seen }, page.data.house.units)).join(' ')
    }
  ]);
  const withBand = (value: number, band: { low: number; high: number } | undefined) =>
    band ? t.to(percent(value), percent(band.low), percent(band.high)) : percent(value);
</script>

<Beside name={t.theSecondPlan} outcome={t.sideBySide} trouble={two.trouble} {onclose}>
  {#snippet fields()}
    <CureFields draft={second} {piece} {recipes} places={[]} means={{}} />
  {/snippet}
  {#if plans[1]}
    <CurePicture
      name="The second plan, cut along the length"
      result={plans[1].result}
      faces={plans[1].shown.faces}
      target={plans[1].shown.target * 100}
      bind:index={shownAt}
    />
  {/if}
  <Table>
    <thead><tr><th></th><th>{t.firstPlan}</th><th>{t.secondPlan}</th></tr></thead>
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
