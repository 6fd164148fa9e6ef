<script lang="ts">
  import Computing from '$lib/ui/kit/Computing.svelte';
  import * as say from '$lib/words/say.ts';
  import { cureBench as t } from '$lib/words/screens/cure.ts';
  import Button from '$lib/ui/kit/Button.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { programmeSeconds, startBy } from '$lib/core/bench/cure/changes.ts';
  import type { RecipeBody } from '$lib/core/activity/cure/recipe-body.ts';
  import { stepsOf } from '$lib/core/bench/cure/steps.ts';
  import type { School } from '$lib/core/activity/cure/lists.ts';
  import { usualThickness, weightOfOne } from '$lib/core/bench/thickness.ts';
  import { thickest } from '$lib/core/bench/breakdown/depth.ts';
  import { readInstant } from '$lib/core/measure/day.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import { cureStepWords } from '$lib/words/cure-names.ts';
  import { openCureWorker, type CureOutlook } from '$lib/workers/cure.ts';
  import Answer from '$lib/ui/kit/Answer.svelte';
  import CureAnswer from './CureAnswer.svelte';
  import { untrack } from 'svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import WithOthers from '../controls/WithOthers.svelte';
  import type { PieceChoice } from '$lib/server/facts/choices.ts';
  import CureCompare from './CureCompare.svelte';
  import CureDepths from './CureDepths.svelte';
  import CureFields from './CureFields.svelte';
  import CureFigures from './CureFigures.svelte';
  import CureGuide from './CureGuide.svelte';
  import CurePicture from './CurePicture.svelte';
  import CureZones from './CureZones.svelte';
  import type { CureSubject } from '$lib/core/bench/cure/settings.ts';
  import { CureDraft } from './draft.svelte.ts';
  import { PlanPair } from '../plan/pair.svelte.ts';
  import type { CureResult, CureSettings } from '$lib/core/bench/cure/plan.ts';

  /** A cure on its way to being begun: set, seen, compared with another, and committed with its steps. */
  let {
    view,
    piece,
    recipes,
    places,
    means,
    histamine,
    chosenRecipe,
    skinned,
    units,
    zone,
    now,
    more
  }: {
    view: PieceView;
    /** Other pieces that could go in with it. */
    more: readonly PieceChoice[];
    piece: CureSubject;
    recipes: readonly { id: string; name: string; school: School; recipe: RecipeBody }[];
    places: readonly { id: string; name: string }[];
    means: Readonly<Record<string, number>>;
    histamine: boolean;
    chosenRecipe: string | null;
    /** Its skin was weighed off it. */
    skinned: boolean;
    units: UnitPreferences;
    zone: string;
    now: number;
  } = $props();

  /** Unwrapping, drying and cutting before a service; the house's habit. s */
  const LEAD_SECONDS = 45 * 60;

  const lies = untrack(() => view.piece.place?.place ?? '');
  const deepest = $derived(thickest(view.piece.depth ?? null) ?? view.piece.made.thicknessMm ?? 0);
  /** Until somebody measures it: by its weight and form, and said to be so. */
  const guess = untrack(() => usualThickness(view.piece.made.form, view.piece.grams, weightOfOne(view.lot.received)));
  const pair = untrack(
    () =>
      new PlanPair<CureDraft, CureSettings, CureResult, CureOutlook>(
        openCureWorker,
        () => new CureDraft(units, deepest || guess || 25, means[lies] ?? 3, skinned),
        (draft) => draft.settings(piece)
      )
  );
  const { first, second } = pair;
  first.texts.place = lies;
  untrack(() => {
    const found = recipes.find(({ id }) => id === chosenRecipe);
    if (found) first.take(found.id, found.recipe);
  });
  // What was typed stands until the measured depth itself changes: the page's data come anew with every reading.
  let measured = untrack(() => deepest);
  $effect(() => {
    const millimetres = deepest;
    if (millimetres === measured || millimetres <= 0) return;
    measured = millimetres;
    untrack(() => {
      first.figure('thickness', millimetres);
    });
  });

  /** As it stood before a hand touched it: then its hours are the ones that get this fish through, where nobody took a recipe. */
  const untouched = untrack(() => JSON.stringify(first.texts));
  let begun = false;
  $effect(() => {
    const through = pair.one?.band?.through;
    if (!through || begun) return;
    begun = true;
    untrack(() => {
      if (through.hours !== null && JSON.stringify(first.texts) === untouched && first.texts.recipe === '')
        first.figure('hours', through.hours * 3600);
    });
  });

  let others = $state<string[]>([]);
  let shownAt = $state(47);
  let zonesOpen = $state(false);
  let stepsOpen = $state(false);
  let readyBy = $state('');
  function compare() {
    pair.compare();
    // The other habit is what it is compared with, as a rule.
    second.school(first.method === 'weighed' ? 'cover' : 'weighed');
  }
  const settings = $derived(pair.settings);
  const one = $derived(pair.one);
  const two = $derived(pair.two);
  const target = $derived(typeof settings === 'string' ? 1 : settings.target * 100);
  const result = $derived(one?.result ?? null);
  const shown = $derived(one?.shown ?? null);
  const steps = $derived(
    stepsOpen && result && shown
      ? stepsOf(result.stages, {
          method: shown.method,
          turned: first.texts.turned === 'on',
          drains: shown.drains === true
        })
      : []
  );
  const wantedAt = $derived.by(() => {
    if (readyBy === '') return null;
    try {
      return readInstant(readyBy, zone, 'readyBy');
    } catch {
      return null;
    }
  });
  const begin = $derived(wantedAt === null || !result ? null : startBy(wantedAt, result.stages, LEAD_SECONDS));
  const ends = $derived(result ? now + programmeSeconds(result.stages) * 1000 : null);
</script>

{#if one?.trouble}
  <p class="trouble" role="alert">{one.trouble}</p>
{:else if one && result && shown}
  <CureAnswer
    through={one.band?.through ?? null}
    settings={shown}
    onHours={(hours) => (first.texts.hours = String(hours))}
    onSalt={(share) => (first.texts.salt = String(Number((share * 100).toFixed(1))))}
  />
{:else}
  <Answer reached="asking"><Computing /></Answer>
{/if}
<div class="halves bench">
  <section class="sheet">
    <h2>{t.theCure}</h2>
    <OperationForm
      operation="start-cure"
      piece={view.piece}
      submit={others.length > 0 ? t.beginTheCureOf(others.length + 1) : t.beginTheCure}
      tone="ember"
      also={{ others: others.join(',') }}
    >
      <CureFields draft={first} {piece} {recipes} {places} {means} isForm guessed={deepest <= 0 && guess !== null} />
      <Field
        name="readyBy"
        label={t.readyBy}
        kind="time"
        optional
        bind:value={readyBy}
        hint={begin === null
          ? ends === null
            ? ''
            : t.begunNowItIs(say.dayAndTime(ends))
          : begin < now
            ? t.tooLateByShorten(say.span((now - begin) / 1000))
            : t.startByWithMin(say.dayAndTime(begin), say.until(begin, now), LEAD_SECONDS / 60)}
      />
      <WithOthers pieces={more} bind:picked={others} hint={t.eachByItsThickness} />
    </OperationForm>
  </section>
  <section class="sheet" aria-live="off" data-simulated={result ? 'yes' : 'no'}>
    <div class="title">
      <h2>{t.saltMovingIn}</h2>
      {#if !pair.comparing}
        <Button onclick={compare}>{t.compareWithAnotherPlan}</Button>
      {/if}
    </div>
    {#if one && result && shown}
      <CurePicture {result} faces={shown.faces} {target} bind:index={shownAt} />
      <CureFigures simulation={one} {result} settings={shown} />
      <h3>{t.byDepthAtThe}</h3>
      <CureDepths
        plans={[
          { name: pair.comparing ? t.firstPlan : t.salt, result },
          ...(pair.comparing && two?.result ? [{ name: t.secondPlan, result: two.result }] : [])
        ]}
        {target}
      />
      <!-- What is closed is not drawn: a dragged control would have to draw it anew every time. -->
      <Fold bind:open={zonesOpen} title={result.zones.length > 1 ? t.gramsAndHoursBy : t.gramsAndHours}>
        {#if zonesOpen}<CureZones {result} settings={shown} />{/if}
      </Fold>
      <Fold bind:open={stepsOpen} title={t.stepsAndClocks}>
        {#if stepsOpen}<Table>
            <tbody>
              {#each steps as step (step.id)}
                <tr>
                  <td>{step.seconds === 0 ? t.atOnce : t.after(say.span(step.seconds))}</td>
                  <td>{cureStepWords(step.code)}</td>
                  <td class="soft">{say.dayAndTime((begin ?? now) + step.seconds * 1000)}</td>
                </tr>
              {/each}
            </tbody>
          </Table>{/if}
      </Fold>
    {/if}
  </section>
</div>
{#if pair.comparing && two}
  <CureCompare
    {second}
    {piece}
    {recipes}
    {now}
    {wantedAt}
    leadSeconds={LEAD_SECONDS}
    closedPack={first.texts.pack === 'closed'}
    one={one!}
    {two}
    onclose={() => (pair.comparing = false)}
  />
{/if}
<CureGuide
  method={first.method}
  {histamine}
  guards={result && shown
    ? {
        celsius: shown.celsius,
        leastWps: one?.band?.leastWps.low ?? result.end.leastWps,
        waterActivity: result.meanWaterActivity,
        closedPack: first.texts.pack === 'closed',
        hours: result.end.hours
      }
    : null}
/>

<style>
  .halves > section {
    contain: layout;
  }
  h3 {
    font-weight: 700;
    margin-top: 0.9rem;
  }
</style>
