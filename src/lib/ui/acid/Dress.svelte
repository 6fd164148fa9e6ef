<script lang="ts">
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { PieceView } from '$lib/server/piece-view.ts';
  import { allergenWord } from '$lib/words/notices.ts';
  import { untrack } from 'svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { dayAndTime, formatMass } from '../format.ts';
  import { massUnits } from '../units.ts';

  /** Joined at service: the sauce, its own liquid, what else goes on it; and what has to be told with it. */
  let {
    view,
    sauces,
    liquids,
    wanted,
    units,
    zone
  }: {
    view: PieceView;
    sauces: readonly { id: string; name: string; rate: number; allergens: readonly string[] }[];
    liquids: readonly { id: string; name: string; grams: number }[];
    /** A sauce that was brought along. */
    wanted: string | null;
    units: UnitPreferences;
    zone: string;
  } = $props();
  let sauce = $state(untrack(() => wanted ?? ''));
  const chosen = $derived(sauces.find(({ id }) => id === sauce) ?? null);
</script>

<details class="sheet" open={wanted !== null || liquids.length > 0} data-dress>
  <summary>Join at service</summary>
  {#each view.piece.dressings as dressing (dressing.seq)}
    <p class="soft" data-dressed>
      {dayAndTime(dressing.at, zone)}: {[
        dressing.sauce ? `${dressing.sauce.name}, ${formatMass(dressing.sauceGrams, units)}` : '',
        dressing.liquid ? `its liquid, ${formatMass(dressing.liquidGrams, units)}` : '',
        dressing.with
      ]
        .filter((each) => each !== '')
        .join('; ')}
    </p>
  {/each}
  <OperationForm operation="dress-piece" subject={view.piece.id} seen={view.piece.lastSeq} submit="Dress it">
    <input type="hidden" name="piece" value={view.piece.id} />
    <div class="row">
      <Field
        name="sauce"
        label="Sauce"
        kind="choice"
        bind:value={sauce}
        options={[{ value: '', name: 'none' }, ...sauces.map(({ id, name }) => ({ value: id, name }))]}
      />
      {#key sauce}
        <Field
          name="sauceMass"
          label="Of it"
          kind="quantity"
          units={massUnits(units)}
          optional
          hint={chosen ? `${formatMass(chosen.rate * view.piece.grams, units)} for this much fish` : ''}
        />
      {/key}
      {#if liquids.length > 0}
        <Field
          name="liquid"
          label="Its own liquid"
          kind="choice"
          options={[
            { value: '', name: 'none' },
            ...liquids.map(({ id, name, grams }) => ({ value: id, name: `${name}, ${formatMass(grams, units)}` }))
          ]}
        />
        <Field
          name="liquidMass"
          label="Of it"
          kind="quantity"
          units={massUnits(units)}
          optional
          hint="Empty means all."
        />
      {/if}
      <Field name="with" label="And" optional placeholder="red onion, coriander, crisp maize" />
      <Field name="allergens" label="Allergens in that" optional placeholder="celery, mustard" />
      <Field name="dish" label="Dish" optional />
    </div>
    {#if chosen}
      <p data-sauce-allergens>
        Tell with it: {[...new Set([...view.allergens.map(({ allergen }) => allergen), ...chosen.allergens])]
          .map(allergenWord)
          .join(', ')}.
      </p>
    {/if}
  </OperationForm>
</details>

<style>
  details {
    margin-bottom: 1rem;
  }
  .row {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
    gap: 0.7rem;
  }
</style>
