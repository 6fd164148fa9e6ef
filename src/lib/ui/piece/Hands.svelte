<script lang="ts">
  import { page } from '$app/state';
  import { common } from '$lib/words/screens/common.ts';
  import { hands as t } from '$lib/words/screens/piece.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import Field from '$lib/ui/controls/Field.svelte';
  import WithOthers from '$lib/ui/controls/WithOthers.svelte';
  import type { PieceChoice } from '$lib/server/facts/choices.ts';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import { lengthUnits, massUnits, temperatureUnits } from '$lib/ui/units.ts';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import { CAUSE_WORDS, USE_WORDS, WASTE_WORDS } from '$lib/words/cuts.ts';

  /** What hands do to a piece away from the board: take from it, split, trim, weigh again, move. */
  let {
    view,
    places,
    movable
  }: {
    view: PieceView;
    places: readonly string[];
    /** Other pieces that can be carried along. */
    movable: readonly PieceChoice[];
  } = $props();
  let others = $state<string[]>([]);
  const piece = $derived(view.piece);
  const choices = (words: Record<string, string>) =>
    Object.entries(words)
      .filter(([value]) => value !== '')
      .map(([value, name]) => ({ value, name }));
  const forms = t.forms;
</script>

<Fold class="sheet no-print" id="move" open={page.url.searchParams.get('do') === 'move'} title={t.moveIt}>
  <OperationForm
    operation="move-piece"
    {piece}
    submit={t.itLiesThereNow}
    also={{ others: others.join(',') }}
    onDone={() => (others = [])}
  >
    <div class="fields">
      <Field name="place" label={t.to} among={places} placeholder={t.drawer} />
      <Field name="core" label={common.core} kind="quantity" units={temperatureUnits()} optional />
    </div>
    <WithOthers pieces={movable} bind:picked={others} />
  </OperationForm>
</Fold>
<Fold class="sheet no-print" title={t.takeAPieceFrom}>
  <OperationForm operation="divide-piece" {piece} submit={t.takeIt}>
    <div class="fields">
      <Field name="name" label={t.whatItIs} placeholder={t.filletLoinBlock} />
      <Field name="form" label={t.form} kind="choice" start="fillet" options={forms} />
      <Field name="mass" label={common.weight} kind="quantity" units={massUnits()} />
      <Field name="thickness" label={t.thickness} kind="quantity" units={lengthUnits()} optional />
    </div>
  </OperationForm>
</Fold>
<Fold class="sheet no-print" title={t.splitTrimOrSkin}>
  <OperationForm operation="split-piece" {piece} submit={t.splitItEvenly}>
    <div class="fields">
      <Field name="count" label={t.intoHowMany} kind="number" start="2" />
      <Field name="name" label={t.named} placeholder={piece.made.name} optional />
      <Field name="form" label={t.form} kind="choice" start="portion" options={forms} />
    </div>
  </OperationForm>
  <OperationForm operation="trim-piece" {piece} submit={t.itIsOff}>
    <div class="fields">
      <Field name="what" label={t.whatComesOff} kind="choice" start="skin" options={choices(WASTE_WORDS)} />
      <Field name="mass" label={t.itsWeight} kind="quantity" units={massUnits()} />
      <Field name="keep" label={t.keepItFor} kind="tick" />
      <Field name="use" label={common.itsUse} kind="choice" start="crisp" options={choices(USE_WORDS)} />
    </div>
  </OperationForm>
</Fold>
<Fold class="sheet no-print" title={t.weighItAgain}>
  <OperationForm operation="reweigh-piece" {piece} submit={t.itWeighsThatNow}>
    <div class="fields">
      <Field name="mass" label={common.weight} kind="quantity" units={massUnits()} />
      <Field name="cause" label={t.theDifferenceIs} kind="choice" start="drip" options={choices(CAUSE_WORDS)} />
      <Field name="sure" label={common.itReallyWeighsThat} kind="tick" />
    </div>
  </OperationForm>
</Fold>
<Fold class="sheet no-print" title={t.writeDownACold}>
  <OperationForm operation="read-cold" {piece} submit={common.writeItDown}>
    <div class="fields">
      <Field name="reading" label={t.reading} kind="quantity" units={temperatureUnits()} />
      <Field name="place" label={t.whereItLies} optional />
    </div>
  </OperationForm>
</Fold>
