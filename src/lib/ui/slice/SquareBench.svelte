<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import Answer from '$lib/ui/kit/Answer.svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import Computing from '$lib/ui/kit/Computing.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import Slide from '$lib/ui/kit/Slide.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import Field from '../controls/Field.svelte';
  import type { KnifeNow } from '$lib/server/facts/knives.ts';
  import OperationForm from '../controls/OperationForm.svelte';
  import PlanField from '../plan/PlanField.svelte';
  import { Simulation } from '$lib/ui/simulation.svelte.ts';
  import { massUnits } from '$lib/ui/units.ts';
  import type { SquareAnswer, SquareSettings } from '$lib/core/bench/slice/settings.ts';
  import { LOSSES, SQUARE_MM, type Lower } from '$lib/core/bench/slice/square.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import { openSquareWorker } from '$lib/workers/square.ts';
  import * as say from '$lib/words/say.ts';
  import { sliceBench, sliceFields, squarePage as t } from '$lib/words/screens/slice.ts';
  import { LOSS_WORDS } from '$lib/words/slices.ts';
  import type { BlockOf } from './ruled-draft.svelte.ts';
  import CameOff from './CameOff.svelte';
  import SideCut from './SideCut.svelte';
  import { SquareDraft } from './square-draft.svelte.ts';

  /** A side or a loin on its way to blocks: what lies in it of the height and width that are wanted, and what is lost by name. */
  let {
    view,
    block,
    units,
    currency,
    perGram,
    places,
    knives,
    knife,
    onDone
  }: {
    view: PieceView;
    block: BlockOf;
    units: UnitPreferences;
    currency: string;
    /** Cents; null where no price is on record. */
    perGram: number | null;
    places: readonly { id: string; name: string }[];
    knives: readonly KnifeNow[];
    /** The one that was cut with last. */
    knife: string;
    onDone: (result: Record<string, unknown>) => void;
  } = $props();

  const draft = untrack(() => new SquareDraft(units, block));
  let one = $state.raw<Simulation<SquareSettings, SquareAnswer, Lower | null> | null>(null);
  onMount(() => {
    const worker = openSquareWorker();
    one = new Simulation(worker, draft.named);
    return () => worker.end();
  });
  const settings = $derived(draft.settings());
  const key = $derived(typeof settings === 'string' ? settings : JSON.stringify(settings));
  $effect(() => {
    void key;
    one?.ask(untrack(() => settings));
  });
  const out = $derived(one?.result ?? null);
  const lower = $derived(one?.band ?? null);
  const misfit = $derived(draft.misfit());
  const isOff = $derived(misfit !== null && Math.abs(misfit - 1) > 0.06);
  const height = $derived(typeof settings === 'string' ? null : settings.set.wantHeight.si);
  const width = $derived(typeof settings === 'string' ? null : settings.set.wantWidth.si);
  /** What lies there by the scale, shared out as the ruler finds it. */
  const share = $derived(out ? view.piece.grams / out.wholeGrams : 1);
  const lost = $derived(
    out && out.blocks.length > 0
      ? LOSSES.map((loss) => ({ loss, grams: out.losses[loss] * share })).filter(({ grams }) => grams >= 0.5)
      : []
  );
  const lengths = $derived(out ? [...new Set(out.blocks.map(({ from, to }) => say.length(to - from)))].join(', ') : '');
</script>

{#if one?.trouble}
  <p class="trouble" role="alert">{one.trouble}</p>
{:else if out}
  <Answer reached={one?.working ? 'asking' : out.blocks.length > 0 ? 'yes' : 'no'} ways={lower ? ways : undefined}>
    {#if out.blocks.length > 0}
      <p class="figure">
        {out.blocks.length}
        <small
          >{t.blocksOf(
            out.blocks.length,
            say.mass(out.grams * share),
            say.points((out.grams / out.wholeGrams) * 100)
          )}</small
        >
      </p>
      <p>{t.blockLengths(lengths)}</p>
    {:else}
      <p><b>{t.none}</b></p>
    {/if}
  </Answer>
{:else}
  <Answer reached="asking"><Computing /></Answer>
{/if}
{#snippet ways()}
  {#if lower}
    <Button onclick={() => draft.figure('wantHeight', lower!.height)}>
      {t.lower(say.length(lower.height), say.mass(lower.grams * share))}
    </Button>
  {/if}
{/snippet}
<div class="halves bench">
  <section class="sheet">
    <h2>{t.theBlocks}</h2>
    <OperationForm operation="square-piece" piece={view.piece} submit={t.squareIt} tone="ember" resets={false} {onDone}>
      <div class="fields">
        <PlanField {draft} name="wantHeight" />
        <PlanField {draft} name="wantWidth" />
        <PlanField {draft} name="least" optional />
      </div>
      <Slide
        min={SQUARE_MM.height.min}
        max={SQUARE_MM.height.max / 2}
        aria-label={draft.label('wantHeight')}
        value={height}
        onslide={(at) => draft.figure('wantHeight', at)}
      />
      <Slide
        min={SQUARE_MM.width.min}
        max={SQUARE_MM.width.max / 2}
        aria-label={draft.label('wantWidth')}
        value={width}
        onslide={(at) => draft.figure('wantWidth', at)}
      />
      <h3>{t.theSide}</h3>
      {#if draft.ofSide}<p class="soft" data-of-side>{sliceFields.ofItsSide}</p>{/if}
      {#if draft.guessed}<p class="soft" data-guessed>{t.guessed}</p>{/if}
      <div class="fields">
        {#each ['length', 'height', 'width'] as const as name (name)}<PlanField {draft} {name} />{/each}
        <PlanField {draft} name="height4" optional />
        <PlanField {draft} name="width4" optional />
        <PlanField {draft} name="edge" />
        <PlanField {draft} name="skin" optional />
        <PlanField {draft} name="dark" optional />
      </div>
      <Fold title={t.moreOfTheSide}>
        <div class="fields">
          {#each [1, 2, 3] as const as at (at)}
            <PlanField {draft} name="height{at}" optional />
            <PlanField {draft} name="width{at}" optional />
          {/each}
          <PlanField {draft} name="slantHead" optional />
          <PlanField {draft} name="slantTail" optional />
        </div>
      </Fold>
      <CameOff
        together={t.blocksTogether}
        offcutHint={sliceBench.theRest}
        begunHint={t.emptyByKnife}
        {places}
        {knives}
        {knife}
      >
        {#snippet first()}
          <Field
            name="skinMass"
            label={t.skinWeight}
            kind="quantity"
            units={massUnits()}
            optional
            hint={sliceBench.orByRuler}
          />
        {/snippet}
      </CameOff>
    </OperationForm>
  </section>
  <section class="sheet" aria-live="off" data-simulated={out ? 'yes' : 'no'}>
    <h2>{view.piece.made.name} <small>{say.mass(view.piece.grams)}</small></h2>
    {#if out}
      <SideCut {out} />
      {#if lost.length > 0}
        <h3>{t.lost}</h3>
        <Table>
          <thead>
            <tr
              >{#each t.head.slice(0, perGram === null ? 2 : 3) as head (head)}<th>{head}</th>{/each}</tr
            >
          </thead>
          <tbody>
            {#each lost as { loss, grams } (loss)}
              <tr data-loss={loss}>
                <td>{LOSS_WORDS[loss]}</td>
                <td>{say.mass(grams)}</td>
                {#if perGram !== null}<td>{say.money(Math.round(grams * perGram), currency)}</td>{/if}
              </tr>
            {/each}
          </tbody>
        </Table>
      {/if}
      <p class="soft">{t.bound(say.mass(out.boundGrams * share))}</p>
      <p class="soft" data-ruler>{sliceBench.rulerAndScale(say.mass(out.wholeGrams), say.mass(view.piece.grams))}</p>
      {#if isOff && misfit !== null}
        <Button onclick={() => draft.fit(misfit!)}>{sliceBench.letTheScaleDecide}</Button>
      {/if}
    {/if}
    <p class="caution">{sliceBench.fingers}</p>
  </section>
</div>

<style>
  h3 {
    font-weight: 700;
    margin-top: 0.9rem;
  }
  .caution {
    margin-top: 0.8rem;
  }
</style>
