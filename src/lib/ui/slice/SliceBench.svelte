<script lang="ts" module>
  /** "3.3 to 5.0 mm", or one figure where they are alike. */
  function range(all: readonly number[]): string {
    if (all.length === 0) return '';
    const [least, most] = [Math.min(...all), Math.max(...all)];
    return most - least < 0.15 ? say.length(most) : `${say.length(least)}–${say.length(most)}`;
  }
</script>

<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import Answer from '$lib/ui/kit/Answer.svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import Computing from '$lib/ui/kit/Computing.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import Field from '../controls/Field.svelte';
  import type { KnifeNow } from '$lib/server/facts/knives.ts';
  import OperationForm from '../controls/OperationForm.svelte';
  import WindowLine from '../marks/WindowLine.svelte';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import { Simulation } from '$lib/ui/simulation.svelte.ts';
  import type { OtherEnd, SliceOutcome, SliceSettings } from '$lib/core/bench/slice/settings.ts';
  import { SLICE_STYLES } from '$lib/core/bench/slice/styles.ts';
  import type { HouseCut } from '$lib/core/activity/slice/fold.ts';
  import type { HandBias } from '$lib/core/bench/slice/evenness.ts';
  import type { StyleId } from '$lib/core/activity/slice/lists.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import { openSliceWorker } from '$lib/workers/slice.ts';
  import * as say from '$lib/words/say.ts';
  import { plateWords, rulerWords, sliceBench as t } from '$lib/words/screens/slice.ts';
  import { STYLE_WORDS } from '$lib/words/knife-names.ts';
  import { BLADE_WORDS, LAID_WORDS, MISTAKE_WORDS } from '$lib/words/slices.ts';
  import OnPlate from './OnPlate.svelte';
  import CameOff from './CameOff.svelte';
  import BlockCut from './BlockCut.svelte';
  import StyleDrawing from './StyleDrawing.svelte';
  import SliceFields from './SliceFields.svelte';
  import { SliceDraft } from './draft.svelte.ts';
  import type { BlockOf } from './ruled-draft.svelte.ts';

  /** A block on its way to even slices: measured, cut on the glass first, then on the board. */
  let {
    view,
    block,
    units,
    places,
    knives,
    knife,
    notes,
    cuts,
    warnMinutes,
    hand,
    onDone
  }: {
    view: PieceView;
    block: BlockOf;
    units: UnitPreferences;
    places: readonly { id: string; name: string }[];
    knives: readonly KnifeNow[];
    /** The one that was cut with last. */
    knife: string;
    /** The house's own word on a cut. */
    notes: Partial<Record<StyleId, string>>;
    /** Cuts of its own. */
    cuts: readonly Pick<HouseCut, 'id' | 'name' | 'like' | 'note'>[];
    warnMinutes: number;
    /** How the hand of whoever is here is out, by cut. */
    hand: Partial<Record<StyleId, HandBias>>;
    onDone: (result: Record<string, unknown>) => void;
  } = $props();

  const draft = untrack(() => new SliceDraft(units, block));
  let one = $state.raw<Simulation<SliceSettings, SliceOutcome, OtherEnd> | null>(null);
  onMount(() => {
    const worker = openSliceWorker();
    one = new Simulation(worker, draft.named);
    return () => worker.end();
  });
  const settings = $derived(draft.settings());
  const key = $derived(typeof settings === 'string' ? settings : JSON.stringify(settings));
  $effect(() => {
    void key;
    one?.ask(untrack(() => settings));
  });
  const cut = $derived(one?.result ?? null);
  const first = $derived(cut?.rows[cut.sequence.indexOf(0)] ?? null);
  /** Rows after the first, as they are written; they may be cut in another order. */
  const later = $derived(cut ? cut.rows.slice(1).map((_, index) => cut.rows[cut.sequence.indexOf(index + 1)]!) : []);
  const wanted = $derived(one?.shown?.set ?? null);
  const short = $derived(
    cut && wanted?.count != null && first && first.pieces < wanted.count ? wanted.count - first.pieces : 0
  );
  const gramsEach = $derived(cut?.slices.find(({ row }) => cut.sequence[row] === 0)?.gramsEach ?? 0);
  const thick = $derived(
    cut?.slices.filter(({ row }) => cut.sequence[row] === 0).map(({ thickness }) => thickness) ?? []
  );
  const better = $derived(one?.band && cut && one.band.pieces > cut.pieces ? one.band : null);
  /** Ruler against scale: more than a scale and a hand can be out by. */
  const misfit = $derived(draft.misfit());
  const isOff = $derived(misfit !== null && Math.abs(misfit - 1) > 0.06);
  /** All that lies there and goes into no slice: what squaring would lose is lost under this knife too. */
  const offcut = $derived(cut ? Math.max(cut.offcutGrams, view.piece.grams - cut.grams - cut.tailGrams) : 0);
  const unsquared = $derived(block.size === null && (block.form === 'fillet' || block.fish.skinOn));
  const paper = $derived(new URLSearchParams({ piece: view.piece.id, ...draft.said() }).toString());
  const bias = $derived(hand[draft.style] ?? null);
  let isLeft = $state(false);
  const note = $derived(cuts.find(({ id }) => id === draft.texts.cut)?.note || (notes[draft.style] ?? ''));
  const cubes = $derived(SLICE_STYLES[draft.style].cubes);
  const isAll = $derived(draft.texts.count === '');
</script>

{#if one?.trouble}
  <p class="trouble" role="alert">{one.trouble}</p>
{:else if cut && first}
  <Answer
    reached={one?.working ? 'asking' : first.pieces > 0 && short === 0 ? 'yes' : 'no'}
    ways={better || first.mostGrams ? ways : undefined}
  >
    {#if first.pieces > 0}
      <p class="figure">
        {first.pieces}
        <small>{cubes ? t.cubesOf(say.mass(gramsEach)) : t.slicesOf(say.mass(gramsEach), range(thick))}</small>
      </p>
      {#if short > 0}<p><b>{t.shortBy(short)}</b></p>{/if}
      {#if first.heavy > 0 && first.heavy === first.slices}<p>{t.allHeavier}</p>{/if}
    {:else if first.mostGrams}
      <p><b>{t.noneSoHeavy(say.mass(first.mostGrams))}</b></p>
    {:else}
      <p><b>{t.tooShort}</b></p>
    {/if}
  </Answer>
{:else}
  <Answer reached="asking"><Computing /></Answer>
{/if}
{#snippet ways()}
  {#if first?.mostGrams}
    <Button onclick={() => draft.figure('grams', Math.floor(first!.mostGrams! * 10) / 10)}>
      {t.takeGrams(say.mass(Math.floor(first.mostGrams * 10) / 10))}
    </Button>
  {/if}
  {#if better}
    <Button onclick={() => (draft.texts.first = better!.first)}>{t.fromOtherEnd[better.first](better.pieces)}</Button>
  {/if}
{/snippet}
<div class="halves bench">
  <section class="sheet">
    <h2>{t.theBlockAndThe}</h2>
    <OperationForm
      operation="record-slice"
      piece={view.piece}
      submit={t.recordTheseSlices}
      tone="ember"
      resets={false}
      onDone={(result) => {
        if (cut && Number(result.left) > 0) draft.shorten(cut);
        onDone(result);
      }}
    >
      <SliceFields {draft} own={cuts} />
      <CameOff
        together={t.slicesTogether}
        offcutHint={isAll ? t.theRest : t.stays}
        begunHint={t.emptyByKnife}
        {places}
        {knives}
        {knife}
      >
        {#snippet last()}
          {#if !isAll}<Field name="ends" label={t.nothingStays} kind="tick" />{/if}
        {/snippet}
      </CameOff>
    </OperationForm>
  </section>
  <section class="sheet" aria-live="off" data-simulated={cut ? 'yes' : 'no'}>
    <div class="title">
      <h2>{view.piece.made.name}</h2>
      <WindowLine
        window={view.verdict.windows.find(({ route }) => route === (view.piece.cures.length > 0 ? 'cured' : 'raw'))!}
        now={houseNow()}
        warnSeconds={warnMinutes * 60}
      />
    </div>
    {#if cut}
      <div class="drawn"><BlockCut {cut} left={isLeft} /></div>
      {#if cut.pieces > 0}
        <a class="link paper" href="/slice/ruler.pdf?{paper}" target="_blank" rel="noopener">{rulerWords.printIt}</a>
      {/if}
      <div class="figures">
        <p class="figure">{say.mass(cut.grams)} <small>{t.inPieces}</small></p>
        <p class="figure" data-offcut>{say.mass(offcut)} <small>{t.offCut}</small></p>
        {#if cut.tailGrams > 0}<p class="figure">{say.mass(cut.tailGrams)} <small>{t.tailKept}</small></p>{/if}
      </div>
      {#if unsquared}
        <p data-unsquared>
          {t.toLose} <a class="way" href="/slice/square?piece={view.piece.id}">{t.squareFirst}</a>
        </p>
      {/if}
      {#each later as row, index (index)}
        <p>{row.pieces > 0 ? t.thenRow(row.pieces, say.mass(row.grams / row.pieces)) : t.thenNone}</p>
      {/each}
      <p class="soft" data-ruler>{t.rulerAndScale(say.mass(cut.blockGrams), say.mass(view.piece.grams))}</p>
      {#if isOff && misfit !== null}
        <div class="off">
          <p class={misfit > 1 ? '' : 'trouble'}>
            {misfit > 1
              ? t.rulerLess(say.points((1 - 1 / misfit) * 100))
              : t.rulerMore(say.points((1 / misfit - 1) * 100))}
          </p>
          <Button onclick={() => draft.fit(misfit!)}>{t.letTheScaleDecide}</Button>
        </div>
      {/if}
      {#if first && first.pieces > 0 && wanted}
        <Fold title={plateWords.onAPlate}>
          <OnPlate {cut} style={wanted.style} {units} left={isLeft} />
        </Fold>
      {/if}
      <label class="ticked"><input type="checkbox" bind:checked={isLeft} /> {t.leftHanded}</label>
    {/if}
    <h3>{t.theHand}</h3>
    {#if bias?.known}
      <div class="off" data-hand="known">
        <p>{t.yourHand(say.points(bias.times * 100), say.points(bias.low * 100), say.points(bias.high * 100))}</p>
        {#if draft.texts.by === 'weight' && draft.texts.hand === '1'}
          <Button onclick={() => (draft.texts.hand = String(Math.round(bias!.times * 100) / 100))}
            >{t.correctForIt}</Button
          >
        {/if}
      </div>
    {:else if bias}
      <p class="soft" data-hand="unknown">{t.notKnownYet(bias.slices)}</p>
    {/if}
    <StyleDrawing style={draft.cut} called={STYLE_WORDS[draft.style]} left={isLeft} />
    <p>{BLADE_WORDS[draft.style]}</p>
    <p>{LAID_WORDS[draft.style]}</p>
    <p class="soft">{MISTAKE_WORDS[draft.style]}</p>
    {#if note !== ''}<p data-house-note>{t.here(note)}</p>{/if}
    {#each view.piece.slices.filter(({ plan }) => plan.pieces > 0) as slice (slice.seq)}
      <p class="soft">{t.slicedThen(say.dayAndTime(slice.at), slice.plan.pieces, say.mass(slice.plan.pieceGrams))}</p>
    {/each}
    <p class="caution">{t.fingers}</p>
  </section>
</div>

<style>
  h3 {
    font-weight: 700;
    margin-top: 0.9rem;
  }
  /* A layer of its own: while the knife is dragged the page around it is not painted anew. */
  .drawn {
    contain: content;
    will-change: transform;
  }
  .paper {
    display: inline-flex;
    align-items: center;
    min-height: 2.75rem;
  }
  .off {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 1rem;
    align-items: center;
  }
  .caution {
    margin-top: 0.8rem;
  }
</style>
