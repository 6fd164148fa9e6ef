<script lang="ts">
  import type { DishBody, DishLine } from '$lib/core/activity/book/dish-body.ts';
  import { ingredientText } from '$lib/core/ingredients/read.ts';
  import { untrack } from 'svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';

  /** A dish being written: a new one, or the next version of one. */
  let { id = '', dish = null }: { id?: string; dish?: DishBody | null } = $props();
  const EXAMPLE = 'Turbot; 60; fish\nHarbour lime; 12; sauce\nChives; 2';
  const start = untrack(() => dish);
  const lineText = (line: DishLine) =>
    line.kind === 'ingredient' ? `${ingredientText(line)}; ${line.grams}` : `${line.what}; ${line.grams}; ${line.kind}`;
</script>

<OperationForm
  operation="set-dish"
  subject={id}
  submit={id ? 'Keep as the next version' : 'Write it into the book'}
  also={{ id }}
>
  <div class="fields broad">
    <Field name="name" label="Name" value={start?.name ?? ''} />
    <Field name="goodFor" label="Good for" optional value={start?.goodFor ?? ''} />
  </div>
  <Field
    name="lines"
    label="On a portion"
    kind="long"
    value={start?.lines.map(lineText).join('\n') ?? ''}
    placeholder={EXAMPLE}
    hint="One a line: what; grams on one portion; fish, sauce, recipe or dish. Without a last word it is an ingredient of the list."
  />
  <Field name="steps" label="Steps" kind="long" optional value={start?.steps.join('\n') ?? ''} hint="One a line." />
  {#if id}<Field name="reason" label="What is different in it" optional />{/if}
</OperationForm>
