<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { hangForm as t } from '$lib/words/screens/age.ts';
  import { PREPARATION, type PreparationStep } from '$lib/core/activity/age/lists.ts';
  import { ageSet } from '$lib/core/activity/age/plan.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { PieceChoice } from '$lib/server/facts/choices.ts';
  import { PREPARATION_WORDS } from '$lib/words/age.ts';
  import { answered } from '$lib/ui/answered.svelte.ts';
  import { untrack } from 'svelte';
  import HangAnswer from './HangAnswer.svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { AGE_FIELDS } from '$lib/words/plans/age.ts';
  import { PlanDraft } from '../plan/draft.svelte.ts';
  import PlanField from '../plan/PlanField.svelte';

  /** A piece on its way to the rack: the list before it, its start weight, its place, what it is to lose. */
  let {
    piece,
    cabinets,
    free,
    units
  }: {
    piece: PieceChoice;
    cabinets: readonly string[];
    /** Free places by cabinet. */
    free: Readonly<Record<string, readonly string[]>>;
    units: UnitPreferences;
  } = $props();
  const kind = untrack(() => (piece.form === 'whole' || piece.form === 'gutted' ? 'whole' : 'fillet'));
  const draft = untrack(() => new PlanDraft(ageSet, AGE_FIELDS, units));
  draft.texts.place = untrack(() => cabinets[0] ?? '');
  let done = $state<string[]>([]);
  const list = $derived<readonly PreparationStep[]>(kind === 'whole' ? PREPARATION.whole : PREPARATION.fillet);
  const asked = $derived(answered()?.fields.lost !== undefined);
  /** It weighs clearly less than is on record: where the rest went is asked before it is refused. */
  const isLess = $derived.by(() => {
    const set = draft.read();
    return typeof set !== 'string' && set.mass.si < piece.grams * 0.95;
  });
  /** What the forecast is asked: by the weight on record until it was weighed. */
  const forecast = $derived.by(() => {
    if (typeof draft.read(['celsius', 'humidity', 'target']) === 'string') return null;
    const { celsius, humidity, target, mass } = draft.said();
    const weighed = draft.texts.mass?.trim() ? mass! : `${piece.grams} g`;
    return new URLSearchParams({
      piece: piece.id,
      mass: weighed,
      celsius: celsius!,
      humidity: humidity!,
      target: target!
    }).toString();
  });
  const cabinet = $derived(draft.texts.place ?? '');
  const spots = $derived(free[cabinet] ?? []);
  const firstFree = () => spots.find((spot) => spot.startsWith(kind === 'whole' ? 'H' : 'S')) ?? '';
  draft.texts.spot = untrack(firstFree);
  // Another cabinet, another hook; what was chosen stands while only the page's data come anew.
  let chosenIn = untrack(() => cabinet);
  $effect(() => {
    if (cabinet === chosenIn) return;
    chosenIn = cabinet;
    draft.texts.spot = untrack(firstFree);
  });
</script>

<OperationForm
  operation="start-age"
  {piece}
  submit={list.every((step) => done.includes(step)) ? t.hangIt : t.hangItUnprepared}
  tone="ember"
>
  <HangAnswer asked={forecast} onTarget={(loss) => draft.figure('target', loss)} />
  <fieldset>
    <legend>{t.beforeItHangs}</legend>
    {#each list as step (step)}
      <label class="ticked"
        ><input type="checkbox" name="prepared" value={step} bind:group={done} /> {PREPARATION_WORDS[step]}</label
      >
    {/each}
    <p class="soft">
      {t.whatIsLeftOut}
    </p>
  </fieldset>
  <div class="fields">
    <PlanField {draft} name="mass" hint={t.onRecord(say.mass(piece.grams))} />
    <PlanField {draft} name="target" optional />
    <Field
      name="place"
      label={draft.label('place')}
      kind="choice"
      bind:value={draft.texts.place}
      options={cabinets.map((name) => ({ value: name, name }))}
    />
    <Field
      name="spot"
      label={draft.label('spot')}
      kind="choice"
      bind:value={draft.texts.spot}
      options={[...spots.map((spot) => ({ value: spot, name: spot })), { value: '', name: t.noneOfThem }]}
    />
    <PlanField {draft} name="celsius" />
    <PlanField {draft} name="humidity" optional />
    <PlanField {draft} name="pack" />
  </div>
  {#if isLess || asked}<Field
      name="lost"
      label={t.whereTheRestWent}
      hint={t.itWasHeavier(say.mass(piece.grams))}
    />{/if}
  <PlanField {draft} name="note" optional />
</OperationForm>

<style>
  legend {
    font-weight: 600;
  }
</style>
