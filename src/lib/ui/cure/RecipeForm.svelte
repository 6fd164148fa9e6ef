<script lang="ts">
  import type { RecipeBody } from '$lib/core/activity/cure/recipe-body.ts';
  import { SCHOOL_IDS, type School } from '$lib/core/activity/cure/lists.ts';
  import { SCHOOL_WORDS } from '$lib/words/cure.ts';
  import { untrack } from 'svelte';
  import { page } from '$app/state';
  import IngredientsField from '../controls/IngredientsField.svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { recipeLinesText } from './recipe-text.ts';

  /** A recipe being written: a new one, or the next version of one. */
  let { id = '', recipe = null }: { id?: string; recipe?: RecipeBody | null } = $props();
  const shown = (value: number | undefined) => (value ? String(Number((value * 100).toFixed(3))) : '');
  const plain = (value: number | undefined) => (value ? String(Number(value.toFixed(3))) : '');
  const EXAMPLE = 'Fine salt; salt; 2 %; fine\nWhite sugar; sugar; 0.8 %\nDill; aromatic; 1 %';
  const start = untrack(() => recipe);
  let school = $state<string>(start?.school ?? 'weighed');
  let basis = $state<string>(start?.basis ?? 'fish');
</script>

<OperationForm
  operation="set-recipe"
  subject={id}
  submit={id ? 'Keep as the next version' : 'Write it into the book'}
  also={{ id }}
>
  <div class="fields">
    <Field name="name" label="Name" value={start?.name ?? ''} />
    <Field
      name="school"
      label="School"
      kind="choice"
      bind:value={school}
      options={SCHOOL_IDS.map((value) => ({ value, name: SCHOOL_WORDS[value].name }))}
    />
    <Field
      name="basis"
      label="Amounts are"
      kind="choice"
      bind:value={basis}
      options={{ fish: '% of the fish’s weight', parts: 'parts of a mix' }}
    />
    {#if basis === 'parts'}
      <Field
        name="rate"
        label="The mix, of the fish"
        kind="quantity"
        units={['%']}
        value={shown(start?.basis === 'parts' ? start.rate : undefined)}
      />
    {/if}
  </div>
  <IngredientsField
    name="lines"
    label="Lines"
    lines
    ingredients={page.data.house.ingredients}
    at={page.data.now}
    value={start ? recipeLinesText(start) : ''}
    before={start?.allergens ?? []}
    placeholder={EXAMPLE}
    hint="One a line: an ingredient; salt, sugar, water, paste, sour, spirit or aromatic; how much; then the kind of salt (fine, coarse, flake), or what a paste holds: salt 12, sugar 10, water 46 (%)."
  />
  <div class="fields">
    <Field name="hours" label="Time in it" kind="quantity" units={['h', 'min']} value={plain(start?.hours)} />
    <Field name="rest" label="Rest after" kind="quantity" units={['h']} optional value={plain(start?.restHours)} />
    <Field
      name="size"
      label="For how thick"
      kind="quantity"
      units={['mm', 'in']}
      optional
      value={plain(start?.forMm ?? undefined)}
    />
    <Field
      name="faces"
      label="Open"
      kind="choice"
      value={String(start?.forFaces ?? 2)}
      options={[
        { value: '2', name: 'both faces' },
        { value: '1', name: 'one face (skin on)' }
      ]}
    />
    <Field name="target" label="Wanted in the middle" kind="quantity" units={['%']} value={shown(start?.target)} />
    {#if school === ('desalt' satisfies School)}
      <Field name="startSalt" label="Salt in it now" kind="quantity" units={['%']} value={shown(start?.startSalt)} />
      <Field name="changes" label="Waters in all" kind="number" value={String(start?.changes ?? 3)} />
    {:else if school === ('marinade' satisfies School)}
      <Field
        name="presalt"
        label="Salted first with"
        kind="quantity"
        units={['%']}
        optional
        value={shown(start?.presalt)}
      />
      <Field name="presaltMinutes" label="for, minutes" kind="number" optional value={plain(start?.presaltMinutes)} />
    {/if}
    <Field name="goodFor" label="Good for" optional value={start?.goodFor ?? ''} />
  </div>
  <Field name="steps" label="Steps" kind="long" optional value={start?.steps.join('\n') ?? ''} hint="One a line." />
  {#if id}<Field name="reason" label="What is different in this version" optional />{/if}
</OperationForm>
