<script lang="ts">
  import StepsFields from '$lib/ui/book/StepsFields.svelte';
  import * as say from '$lib/words/say.ts';
  import { common } from '$lib/words/screens/common.ts';
  import { recipeForm as t } from '$lib/words/screens/cure.ts';
  import type { RecipeBody } from '$lib/core/activity/cure/recipe-body.ts';
  import { SCHOOL_IDS, type School } from '$lib/core/activity/cure/lists.ts';
  import { CURE_NAMES } from '$lib/words/cure-names.ts';
  import { untrack } from 'svelte';
  import { page } from '$app/state';
  import IngredientsField from '../controls/IngredientsField.svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { recipeLinesText } from './recipe-text.ts';

  /** A recipe being written: a new one, or the next version of one. */
  let { id = '', recipe = null }: { id?: string; recipe?: RecipeBody | null } = $props();
  const shown = (value: number | undefined) => (value ? String(say.number(value * 100, 3)) : '');
  const plain = (value: number | undefined) => (value ? String(Number(value.toFixed(3))) : '');
  const EXAMPLE = t.fineSaltSaltFine;
  const start = untrack(() => recipe);
  let school = $state<string>(start?.school ?? 'weighed');
  let basis = $state<string>(start?.basis ?? 'fish');
</script>

<OperationForm operation="set-recipe" subject={id} submit={id ? t.keepAsTheNext : t.writeItIntoThe} also={{ id }}>
  <div class="fields">
    <Field name="name" label={common.name} start={start?.name ?? ''} />
    <Field
      name="school"
      label={common.school}
      kind="choice"
      bind:value={school}
      options={SCHOOL_IDS.map((value) => ({ value, name: CURE_NAMES[value].name }))}
    />
    <Field
      name="basis"
      label={t.amountsAre}
      kind="choice"
      bind:value={basis}
      options={{ fish: t.ofTheFishsWeight, parts: t.partsOfAMix }}
    />
    {#if basis === 'parts'}
      <Field
        name="rate"
        label={t.theMixOfThe}
        kind="quantity"
        units={['%']}
        start={shown(start?.basis === 'parts' ? start.rate : undefined)}
      />
    {/if}
  </div>
  <IngredientsField
    name="lines"
    label={t.lines}
    lines
    ingredients={page.data.house.ingredients}
    at={page.data.now}
    start={start ? recipeLinesText(start) : ''}
    before={start?.allergens ?? []}
    placeholder={EXAMPLE}
    hint={t.oneALineAn}
  />
  <div class="fields">
    <Field name="hours" label={t.timeInIt} kind="quantity" units={['h', 'min']} start={plain(start?.hours)} />
    <Field name="rest" label={t.restAfter} kind="quantity" units={['h']} optional start={plain(start?.restHours)} />
    <Field
      name="size"
      label={t.forHowThick}
      kind="quantity"
      units={['mm', 'in']}
      optional
      start={plain(start?.forMm ?? undefined)}
    />
    <Field
      name="faces"
      label={t.open}
      kind="choice"
      start={String(start?.forFaces ?? 2)}
      options={[
        { value: '2', name: t.bothFaces },
        { value: '1', name: t.oneFaceSkinOn }
      ]}
    />
    <Field name="target" label={t.wantedInTheMiddle} kind="quantity" units={['%']} start={shown(start?.target)} />
    {#if school === ('desalt' satisfies School)}
      <Field name="startSalt" label={t.saltInItNow} kind="quantity" units={['%']} start={shown(start?.startSalt)} />
      <Field name="changes" label={t.watersInAll} kind="number" start={String(start?.changes ?? 3)} />
    {:else if school === ('marinade' satisfies School)}
      <Field
        name="presalt"
        label={t.saltedFirstWith}
        kind="quantity"
        units={['%']}
        optional
        start={shown(start?.presalt)}
      />
      <Field name="presaltMinutes" label={t.forMinutes} kind="number" optional start={plain(start?.presaltMinutes)} />
    {/if}
    <Field name="goodFor" label={common.goodFor} optional start={start?.goodFor ?? ''} />
  </div>
  <StepsFields steps={start?.steps} changes={Boolean(id)} />
</OperationForm>
