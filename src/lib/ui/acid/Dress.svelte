<script lang="ts">
  import Fold from '$lib/ui/kit/Fold.svelte';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import { page } from '$app/state';
  import { toldTogether, type Told } from '$lib/core/ingredients/ingredient.ts';
  import { namesOf } from '$lib/core/codes/allergens.ts';
  import { ALSO_HINT, TOLD_WORDS, toldLine } from '$lib/words/notices.ts';
  import IngredientsField from '../controls/IngredientsField.svelte';
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
    sauces: readonly { id: string; name: string; rate: number; told: Told }[];
    liquids: readonly { id: string; name: string; grams: number }[];
    /** A sauce that was brought along. */
    wanted: string | null;
    units: UnitPreferences;
    zone: string;
  } = $props();
  let sauce = $state(untrack(() => wanted ?? ''));
  const chosen = $derived(sauces.find(({ id }) => id === sauce) ?? null);
</script>

<Fold class="sheet" open={wanted !== null || liquids.length > 0} data-dress title="Join at service">
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
  <OperationForm operation="dress-piece" piece={view.piece} submit="Dress it">
    <div class="fields">
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
      <Field name="dish" label="Dish" optional />
    </div>
    <IngredientsField
      name="with"
      label="And"
      optional
      ingredients={page.data.house.ingredients}
      at={page.data.now}
      placeholder="Red onion, Coriander"
      hint={ALSO_HINT}
    />
    {#if chosen}
      <p data-sauce-allergens>
        {TOLD_WORDS.with(chosen.name)}
        {toldLine(toldTogether([namesOf(view.told), chosen.told]))}
      </p>
    {/if}
  </OperationForm>
</Fold>
