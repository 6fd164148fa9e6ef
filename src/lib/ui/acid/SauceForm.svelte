<script lang="ts">
  import { SAUCE_KINDS, type SauceBody } from '$lib/core/activity/acid/sauce-body.ts';
  import { SAUCE_KIND_WORDS } from '$lib/words/acid.ts';
  import { untrack } from 'svelte';
  import { page } from '$app/state';
  import IngredientsField from '../controls/IngredientsField.svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { portionsText, sauceLinesText } from './sauce-text.ts';

  /** A sauce being written: a new one, or the next version of one. */
  let { id = '', sauce = null }: { id?: string; sauce?: SauceBody | null } = $props();
  const EXAMPLE = 'Lime juice; 60\nOlive oil; 30\nEgg yolk; 18; each 18';
  const start = untrack(() => sauce);
  const rate = start ? String(Number((start.rate * 100).toFixed(2))) : '';
</script>

<OperationForm
  operation="set-sauce"
  subject={id}
  submit={id ? 'Keep as the next version' : 'Write it into the book'}
  also={{ id }}
>
  <div class="fields">
    <Field name="name" label="Name" value={start?.name ?? ''} />
    <Field
      name="kind"
      label="Kind"
      kind="choice"
      value={start?.kind ?? 'citrus'}
      options={SAUCE_KINDS.map((value) => ({ value, name: SAUCE_KIND_WORDS[value] }))}
    />
    <Field name="rate" label="All of it, of the fish" kind="quantity" units={['%']} value={rate} />
    <Field
      name="portions"
      label="Folded in"
      optional
      value={start ? portionsText(start.portions) : '60, 25, 15'}
      hint="Per cent, tasting between."
    />
    <Field name="goodFor" label="Good for" optional value={start?.goodFor ?? ''} />
  </div>
  <IngredientsField
    name="lines"
    label="Lines"
    lines
    ingredients={page.data.house.ingredients}
    at={page.data.now}
    value={start ? sauceLinesText(start.lines) : ''}
    before={start?.allergens ?? []}
    placeholder={EXAMPLE}
    hint="One a line: an ingredient; parts by weight; each 18 (g) for what comes whole."
  />
  <Field name="steps" label="Steps" kind="long" optional value={start?.steps.join('\n') ?? ''} hint="One a line." />
  {#if id}<Field name="reason" label="What is different in this version" optional />{/if}
</OperationForm>
