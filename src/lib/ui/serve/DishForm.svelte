<script lang="ts">
  import StepsFields from '$lib/ui/book/StepsFields.svelte';
  import { common } from '$lib/words/screens/common.ts';
  import { dishForm as t } from '$lib/words/screens/serve.ts';
  import { USUAL_BENCH_SECONDS, type DishBody, type DishLine } from '$lib/core/activity/book/dish-body.ts';
  import { ingredientText } from '$lib/core/ingredients/read.ts';
  import { ROUTES } from '$lib/core/codes/window.ts';
  import { ROUTE_WORDS } from '$lib/words/findings.ts';
  import { SOURCE_OPTIONS } from '$lib/words/receive.ts';
  import { untrack } from 'svelte';
  import Fold from '../kit/Fold.svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';

  /** A dish being written: a new one, or the next version of one. */
  let { id = '', dish = null }: { id?: string; dish?: DishBody | null } = $props();
  const EXAMPLE = t.turbotFishHarbourLime;
  const start = untrack(() => dish);
  const lineText = (line: DishLine) => {
    if (line.kind === 'ingredient') return `${ingredientText(line)}; ${line.grams}`;
    const what = line.kind === 'garnish' ? ingredientText(line) : line.what;
    return [what, amount(line), line.kind, line.style || line.form].filter((each) => each !== '').join('; ');
  };
  const option = (value: 'wild' | 'farmed') => ({ value, name: SOURCE_OPTIONS[value]! });
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
  <Fold title={t.cardAndWhoFor} open={Boolean(start?.source || start?.from || start?.neverFrozen || start?.oil)}>
    <p class="soft">{t.cardWhy}</p>
    <div class="fields broad">
      <Field
        name="source"
        label={t.cardSays}
        kind="choice"
        start={start?.source ?? ''}
        options={[{ value: '', name: t.saysNothing }, ...(['wild', 'farmed'] as const).map(option)]}
      />
      <Field name="from" label={t.from} optional start={start?.from ?? ''} />
      <Field name="neverFrozen" label={t.neverFrozen} kind="tick" start={start?.neverFrozen ? 'on' : ''} />
      <Field
        name="board"
        label={t.board}
        kind="choice"
        start={start?.board ?? 'shared'}
        options={[
          { value: 'shared', name: t.sharedBoard },
          { value: 'apart', name: t.apart }
        ]}
      />
      <Field
        name="oil"
        label={t.oil}
        kind="choice"
        start={start?.oil ?? ''}
        options={[
          { value: '', name: t.notFried },
          { value: 'shared', name: t.sharedOil },
          { value: 'apart', name: t.apart }
        ]}
      />
      <Field
        name="benchSeconds"
        label={t.benchSeconds}
        kind="number"
        start={String(start?.benchSeconds ?? USUAL_BENCH_SECONDS)}
      />
      <Field name="notFor" label={t.notFor} optional start={start?.notFor ?? ''} />
    </div>
  </Fold>
  <StepsFields steps={start?.steps} changes={Boolean(id)} />
</OperationForm>
