<script lang="ts">
  import StepsFields from '$lib/ui/book/StepsFields.svelte';
  import * as say from '$lib/words/say.ts';
  import { common } from '$lib/words/screens/common.ts';
  import { sauceForm as t } from '$lib/words/screens/acid.ts';
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
  const EXAMPLE = t.limeJuiceOliveOil;
  const start = untrack(() => sauce);
  const rate = start ? String(say.number(start.rate * 100, 2)) : '';
</script>

<OperationForm operation="set-sauce" subject={id} submit={id ? t.keepAsTheNext : t.writeItIntoThe} also={{ id }}>
  <div class="fields">
    <Field name="name" label={common.name} start={start?.name ?? ''} />
    <Field
      name="kind"
      label={common.kind}
      kind="choice"
      start={start?.kind ?? 'citrus'}
      options={SAUCE_KINDS.map((value) => ({ value, name: SAUCE_KIND_WORDS[value] }))}
    />
    <Field name="rate" label={t.allOfItOf} kind="quantity" units={['%']} start={rate} />
    <Field
      name="portions"
      label={t.foldedIn}
      optional
      start={start ? portionsText(start.portions) : '60, 25, 15'}
      hint={t.perCentTastingBetween}
    />
    <Field name="goodFor" label={common.goodFor} optional start={start?.goodFor ?? ''} />
  </div>
  <IngredientsField
    name="lines"
    label={t.lines}
    lines
    ingredients={page.data.house.ingredients}
    at={page.data.now}
    start={start ? sauceLinesText(start.lines) : ''}
    before={start?.allergens ?? []}
    placeholder={EXAMPLE}
    hint={t.oneALineAn}
  />
  <StepsFields steps={start?.steps} changes={Boolean(id)} />
</OperationForm>
