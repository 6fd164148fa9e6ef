<script lang="ts">
  import Fold from '$lib/ui/kit/Fold.svelte';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import { lengthUnits, massUnits, temperatureUnits } from '$lib/ui/units.ts';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import { CAUSE_WORDS, USE_WORDS, WASTE_WORDS } from '$lib/words/cuts.ts';

  /** What hands do to a piece away from the board: take from it, split, trim, weigh again, move. */
  let { view, units, places }: { view: PieceView; units: UnitPreferences; places: readonly string[] } = $props();
  const piece = $derived(view.piece);
  const choices = (words: Record<string, string>) =>
    Object.entries(words)
      .filter(([value]) => value !== '')
      .map(([value, name]) => ({ value, name }));
  const forms = ['fillet', 'loin', 'block', 'portion'].map((value) => ({ value, name: value }));
</script>

<Fold class="sheet no-print" title="Move it">
  <OperationForm operation="move-piece" {piece} submit="It lies there now">
    <div class="fields">
      <Field name="place" label="To" among={places} placeholder="Drawer 2" />
      <Field name="core" label="Core" kind="quantity" units={temperatureUnits(units)} optional />
    </div>
  </OperationForm>
</Fold>
<Fold class="sheet no-print" title="Take a piece from it">
  <OperationForm operation="divide-piece" {piece} submit="Take it">
    <div class="fields">
      <Field name="name" label="What it is" placeholder="fillet, loin block …" />
      <Field name="form" label="Form" kind="choice" value="fillet" options={forms} />
      <Field name="mass" label="Weight" kind="quantity" units={massUnits(units)} />
      <Field name="thickness" label="Thickness" kind="quantity" units={lengthUnits(units)} optional />
    </div>
  </OperationForm>
</Fold>
<Fold class="sheet no-print" title="Split, trim or skin it">
  <OperationForm operation="split-piece" {piece} submit="Split it evenly">
    <div class="fields">
      <Field name="count" label="Into how many" kind="number" value="2" />
      <Field name="name" label="Named" placeholder={piece.made.name} optional />
      <Field name="form" label="Form" kind="choice" value="portion" options={forms} />
    </div>
  </OperationForm>
  <OperationForm operation="trim-piece" {piece} submit="It is off">
    <div class="fields">
      <Field name="what" label="What comes off" kind="choice" value="skin" options={choices(WASTE_WORDS)} />
      <Field name="mass" label="Its weight" kind="quantity" units={massUnits(units)} />
      <Field name="keep" label="Keep it, for" kind="tick" />
      <Field name="use" label="Its use" kind="choice" value="crisp" options={choices(USE_WORDS)} />
    </div>
  </OperationForm>
</Fold>
<Fold class="sheet no-print" title="Weigh it again">
  <OperationForm operation="reweigh-piece" {piece} submit="It weighs that now">
    <div class="fields">
      <Field name="mass" label="Weight" kind="quantity" units={massUnits(units)} />
      <Field name="cause" label="The difference is" kind="choice" value="drip" options={choices(CAUSE_WORDS)} />
      <Field name="sure" label="It really weighs that" kind="tick" />
    </div>
  </OperationForm>
</Fold>
<Fold class="sheet no-print" title="Write down a cold reading">
  <OperationForm operation="read-cold" {piece} submit="Write it down">
    <div class="fields">
      <Field name="reading" label="Reading" kind="quantity" units={temperatureUnits(units)} />
      <Field name="place" label="Where it lies" optional />
    </div>
  </OperationForm>
</Fold>
