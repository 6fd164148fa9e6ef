<script lang="ts">
  import { PREPARATION, type PreparationStep } from '$lib/core/activity/age/lists.ts';
  import { TARGET_LOSS } from '$lib/core/bench/age/parameters.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { PieceChoice } from '$lib/server/facts/choices.ts';
  import { PREPARATION_WORDS } from '$lib/words/age.ts';
  import { untrack } from 'svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { formatMass } from '../format.ts';
  import { massUnits, startWith, temperatureUnits } from '../units.ts';

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
  let cabinet = $state(untrack(() => cabinets[0] ?? ''));
  let done = $state<string[]>([]);
  const list = $derived<readonly PreparationStep[]>(kind === 'whole' ? PREPARATION.whole : PREPARATION.fillet);
  const [celsius, degrees] = untrack(() => startWith('temperature', 2, units));
  const spots = $derived(free[cabinet] ?? []);
</script>

<OperationForm
  operation="start-age"
  subject={piece.id}
  seen={piece.seq}
  submit={list.every((step) => done.includes(step)) ? 'Hang it' : 'Hang it unprepared'}
  tone="ember"
>
  <input type="hidden" name="piece" value={piece.id} />
  <fieldset>
    <legend>Before it hangs</legend>
    {#each list as step (step)}
      <label class="tick"
        ><input type="checkbox" name="prepared" value={step} bind:group={done} /> {PREPARATION_WORDS[step]}</label
      >
    {/each}
    <p class="soft">
      What is left out is kept: an unprepared fish stays under its days on ice, and may not hang longer than they last.
    </p>
  </fieldset>
  <div class="row">
    <Field
      name="mass"
      label="Start weight"
      kind="quantity"
      units={massUnits(units)}
      hint="{formatMass(piece.grams, units)} on record"
    />
    <Field
      name="target"
      label="To lose"
      kind="quantity"
      units={['%']}
      optional
      value={String(TARGET_LOSS * 100)}
      hint="of its weight"
    />
    <Field
      name="place"
      label="Cabinet"
      kind="choice"
      bind:value={cabinet}
      options={cabinets.map((name) => ({ value: name, name }))}
    />
    {#key cabinet}
      <Field
        name="spot"
        label="Hook or shelf place"
        kind="choice"
        value={(kind === 'whole'
          ? spots.find((spot) => spot.startsWith('H'))
          : spots.find((spot) => spot.startsWith('S'))) ?? ''}
        options={[...spots.map((spot) => ({ value: spot, name: spot })), { value: '', name: 'none of them' }]}
      />
    {/key}
    <Field
      name="celsius"
      label="Cabinet stands at"
      kind="quantity"
      units={temperatureUnits(units)}
      value={celsius}
      unit={degrees}
    />
    <Field name="humidity" label="Humidity in it" kind="quantity" units={['%']} optional />
    <Field
      name="pack"
      label="Round it"
      kind="choice"
      options={[
        { value: 'open', name: 'open air' },
        { value: 'closed', name: 'a bag or film without air' }
      ]}
    />
  </div>
  <Field name="note" label="Note" optional />
</OperationForm>

<style>
  .row {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
    gap: 0.7rem;
  }
  legend {
    font-weight: 600;
  }
  .tick {
    display: flex;
    align-items: center;
    gap: 0.6rem;
    min-height: 48px;
  }
  .tick input {
    width: 26px;
    height: 26px;
  }
</style>
