<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { dress as t } from '$lib/words/screens/acid.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import { page } from '$app/state';
  import { toldTogether, type Told } from '$lib/core/ingredients/ingredient.ts';
  import { namesOf } from '$lib/core/codes/allergens.ts';
  import { ALSO_WORDS, TOLD_WORDS, toldLine } from '$lib/words/notices.ts';
  import IngredientsField from '../controls/IngredientsField.svelte';
  import { untrack } from 'svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { massUnits } from '../units.ts';

  /** Joined at service: the sauce, its own liquid, what else goes on it; and what has to be told with it. */
  let {
    view,
    sauces,
    liquids,
    wanted
  }: {
    view: PieceView;
    sauces: readonly { id: string; name: string; rate: number; told: Told }[];
    liquids: readonly { id: string; name: string; grams: number }[];
    /** A sauce that was brought along. */
    wanted: string | null;
  } = $props();
  let sauce = $state(untrack(() => wanted ?? ''));
  const chosen = $derived(sauces.find(({ id }) => id === sauce) ?? null);
</script>

<Fold class="sheet" open={wanted !== null || liquids.length > 0} data-dress title={t.joinAtService}>
  {#each view.piece.dressings as dressing (dressing.seq)}
    <p class="soft" data-dressed>
      {say.dayAndTime(dressing.at)}: {[
        dressing.sauce ? `${dressing.sauce.name}, ${say.mass(dressing.sauceGrams)}` : '',
        dressing.liquid ? t.itsLiquid(say.mass(dressing.liquidGrams)) : '',
        dressing.with
      ]
        .filter((each) => each !== '')
        .join('; ')}
    </p>
  {/each}
  <OperationForm operation="dress-piece" piece={view.piece} submit={t.dressIt}>
    <div class="fields">
      <Field
        name="sauce"
        label={t.sauce}
        kind="choice"
        bind:value={sauce}
        options={[{ value: '', name: t.none }, ...sauces.map(({ id, name }) => ({ value: id, name }))]}
      />
      {#key sauce}
        <Field
          name="sauceMass"
          label={t.ofIt}
          kind="quantity"
          units={massUnits()}
          optional
          hint={chosen ? t.forThisMuchFish(say.mass(chosen.rate * view.piece.grams)) : ''}
        />
      {/key}
      {#if liquids.length > 0}
        <Field
          name="liquid"
          label={t.itsOwnLiquid}
          kind="choice"
          options={[
            { value: '', name: t.none },
            ...liquids.map(({ id, name, grams }) => ({ value: id, name: `${name}, ${say.mass(grams)}` }))
          ]}
        />
        <Field name="liquidMass" label={t.ofIt} kind="quantity" units={massUnits()} optional hint={t.emptyMeansAll} />
      {/if}
      <Field name="dish" label={t.dish} optional />
    </div>
    <IngredientsField
      name="with"
      label={t.and}
      optional
      ingredients={page.data.house.ingredients}
      at={page.data.now}
      placeholder={t.redOnionCoriander}
      hint={ALSO_WORDS.hint}
    />
    {#if chosen}
      <p data-sauce-allergens>
        {TOLD_WORDS.with(chosen.name)}
        {toldLine(toldTogether([namesOf(view.told), chosen.told]))}
      </p>
    {/if}
  </OperationForm>
</Fold>
