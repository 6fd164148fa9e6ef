<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common } from '$lib/words/screens/common.ts';
  import { weighPart as t } from '$lib/words/screens/break.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { goto } from '$app/navigation';
  import { answered } from '$lib/ui/answered.svelte.ts';
  import { page } from '$app/state';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import { SCALE_BY_ITSELF } from '$lib/ui/devices/habit.ts';
  import ScalePanel from '$lib/ui/devices/ScalePanel.svelte';
  import { massUnits } from '$lib/ui/units.ts';
  import { partWord, USE_WORDS, WASTE_WORDS } from '$lib/words/cuts.ts';
  import type { BoardView } from '$lib/server/views/board.ts';

  /** The part that was touched, and the scale: a weight makes it a piece, or waste. */
  let {
    view,
    chosen,
    playable,
    waiting = []
  }: {
    view: BoardView;
    chosen: string | null;
    playable: boolean;
    /** Parts that nothing came off yet, in the order of the work. */
    waiting?: readonly string[];
  } = $props();
  const part = $derived(view.parts.find(({ id }) => id === chosen) ?? null);
  const asWaste = $derived(
    part !== null && (page.url.searchParams.get('as') ?? (part.use === '' ? 'waste' : 'piece')) === 'waste'
  );
  const as = (what: string) => {
    const url = new URL(page.url);
    url.searchParams.set('as', what);
    return url.pathname + url.search;
  };
  let mass = $state('');
  let unit = $state<string>();
  let box = $state<HTMLElement>();
  const refused = $derived(answered()?.fields.mass !== undefined);

  const isByItself = () => localStorage.getItem(SCALE_BY_ITSELF) === 'on';
  /** What settles before a part was touched is the first that waits. */
  function begin() {
    const [first] = waiting;
    if (!first) return;
    const url = new URL(page.url);
    url.searchParams.set('part', first);
    void goto(url.pathname + url.search, { noScroll: true, keepFocus: true });
  }
  function take(grams: number) {
    mass = String(grams);
    unit = 'g';
    // The field has to hold the figure before the form is sent.
    setTimeout(() => box?.querySelector<HTMLFormElement>('form[data-operation]')?.requestSubmit(), 0);
  }
  function done() {
    mass = '';
    const url = new URL(page.url);
    url.searchParams.delete('as');
    // Where the scale is read by itself the next part waits without a touch.
    const next = isByItself() ? waiting.find((id) => id !== chosen) : undefined;
    if (next) url.searchParams.set('part', next);
    else url.searchParams.delete('part');
    void goto(url.pathname + url.search, { noScroll: true, keepFocus: true });
  }
</script>

<section class="sheet" bind:this={box}>
  <h2>{t.onTheScale}</h2>
  <ScalePanel
    {playable}
    onTake={part ? take : null}
    usual={part?.expected ?? null}
    onByItself={() => !part && begin()}
  />
  {#if !part}
    <p class="soft ask">{t.touchAPartOf}</p>
    {#key view.wastes.length}
      <OperationForm operation="weigh-waste" piece={view.piece} submit={t.weighItAsWaste} also={{ sure: 'on' }}>
        <div class="fields">
          <Field
            name="what"
            label={t.dripOrOtherWaste}
            kind="choice"
            start="drip"
            options={Object.entries(WASTE_WORDS).map(([value, name]) => ({ value, name }))}
          />
          <Field name="mass" label={common.weight} kind="quantity" units={massUnits()} />
        </div>
      </OperationForm>
    {/key}
  {:else}
    <p class="part">
      <b>{partWord(part)}</b>
      <span class="soft">
        {t.usuallyToOfThis(say.mass(part.expected.low), say.mass(part.expected.high))}
      </span>
    </p>
    <p class="as" role="group" aria-label={t.whatBecomesOfIt}>
      <a href={as('piece')} aria-current={asWaste ? undefined : 'true'} data-sveltekit-noscroll data-sveltekit-keepfocus
        >{t.aPiece}</a
      >
      <a href={as('waste')} aria-current={asWaste ? 'true' : undefined} data-sveltekit-noscroll data-sveltekit-keepfocus
        >{common.waste}</a
      >
    </p>
    {#key `${part.id} ${asWaste}`}
      {#if asWaste}
        <OperationForm operation="weigh-waste" piece={view.piece} submit={t.weighItAsWaste} onDone={done}>
          <div class="fields">
            <Field name="mass" label={common.weight} kind="quantity" units={massUnits()} bind:value={mass} bind:unit />
            <Field
              name="what"
              label={t.whatItIs}
              kind="choice"
              start={part.waste ?? 'other'}
              options={Object.entries(WASTE_WORDS).map(([value, name]) => ({ value, name }))}
            />
          </div>
          {#if refused}<Field name="sure" label={common.itReallyWeighsThat} kind="tick" />{/if}
        </OperationForm>
      {:else}
        <OperationForm
          operation="take-part"
          piece={view.piece}
          submit={t.itBecomesAPiece}
          tone="ember"
          onDone={done}
          also={{ part: part.id }}
        >
          <div class="fields">
            <Field name="mass" label={common.weight} kind="quantity" units={massUnits()} bind:value={mass} bind:unit />
            <Field
              name="use"
              label={common.itsUse}
              kind="choice"
              start={part.use || 'other'}
              options={Object.entries(USE_WORDS)
                .filter(([value]) => value !== '')
                .map(([value, name]) => ({ value, name }))}
            />
          </div>
          <Fold title={t.moreAboutIt}>
            <div class="fields">
              <Field name="name" label={t.itsOwnName} optional />
              <Field
                name="grade"
                label={t.grade}
                kind="choice"
                start={part.grade}
                options={{ prime: t.firstGradeBearsThe, 'by-product': t.byProductAtIts }}
              />
            </div>
          </Fold>
          {#if refused}<Field name="sure" label={common.itReallyWeighsThat} kind="tick" />{/if}
        </OperationForm>
      {/if}
    {/key}
  {/if}
</section>

<style>
  section {
    display: grid;
    gap: 0.7rem;
    grid-template-columns: minmax(0, 1fr);
  }
  .part b {
    font-size: 1.35rem;
    color: var(--ember);
    margin-right: 0.4rem;
  }
</style>
