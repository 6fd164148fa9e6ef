<script lang="ts">
  import StepsFields from '$lib/ui/book/StepsFields.svelte';
  import { common } from '$lib/words/screens/common.ts';
  import { dishForm as t } from '$lib/words/screens/serve.ts';
  import type { DishBody, DishLine } from '$lib/core/activity/book/dish-body.ts';
  import { ingredientText } from '$lib/core/ingredients/read.ts';
  import { ROUTES } from '$lib/core/codes/window.ts';
  import { ROUTE_WORDS } from '$lib/words/findings.ts';
  import { untrack } from 'svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';

  /** A dish being written: a new one, or the next version of one. */
  let { id = '', dish = null }: { id?: string; dish?: DishBody | null } = $props();
  const EXAMPLE = t.turbotFishHarbourLime;
  const start = untrack(() => dish);
  const lineText = (line: DishLine) =>
    line.kind === 'ingredient'
      ? `${ingredientText(line)}; ${line.grams}`
      : [line.what, amount(line), line.kind, ...(line.style === '' ? [] : [line.style])].join('; ');
  const amount = ({ count, grams }: DishLine) =>
    count === null ? String(grams) : `${count} x ${Math.round((grams / count) * 100) / 100}`;
</script>

<OperationForm operation="set-dish" subject={id} submit={id ? t.keepAsTheNext : t.writeItIntoThe} also={{ id }}>
  <div class="fields broad">
    <Field name="name" label={common.name} start={start?.name ?? ''} />
    <Field name="goodFor" label={common.goodFor} optional start={start?.goodFor ?? ''} />
    <Field
      name="route"
      label={t.route}
      kind="choice"
      start={start?.route ?? ''}
      options={[{ value: '', name: t.notSaid }, ...ROUTES.map((value) => ({ value, name: ROUTE_WORDS[value] }))]}
    />
    <Field
      name="price"
      label={t.price}
      kind="number"
      optional
      start={start?.price == null ? '' : String(start.price)}
    />
  </div>
  <Field
    name="lines"
    label={t.onAPortion}
    kind="long"
    start={start?.lines.map(lineText).join('\n') ?? ''}
    placeholder={EXAMPLE}
    hint={t.oneALineWhat}
  />
  <StepsFields steps={start?.steps} changes={Boolean(id)} />
</OperationForm>
