<script lang="ts" module>
  const OFFCUT_USES = ['mince', 'raw', 'acid', 'cook', 'stock', 'other'] as const;
</script>

<script lang="ts">
  import type { Snippet } from 'svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import Field from '../controls/Field.svelte';
  import { massUnits, temperatureUnits } from '$lib/ui/units.ts';
  import type { KnifeNow } from '$lib/server/facts/knives.ts';
  import { USE_WORDS } from '$lib/words/cuts.ts';
  import { sliceBench as t } from '$lib/words/screens/slice.ts';
  import KnifeField from './KnifeField.svelte';

  /** What came off under the knife: on the scale, and where it goes; what was kept of the rest, and since when it lies out. */
  let {
    together,
    offcutHint,
    begunHint,
    places,
    knives,
    knife,
    first,
    last
  }: {
    /** What all of it together is called. */
    together: string;
    offcutHint: string;
    begunHint: string;
    places: readonly { id: string; name: string }[];
    knives: readonly KnifeNow[];
    /** The one that was cut with last. */
    knife: string;
    /** Fields of this board before the rest, and after it. */
    first?: Snippet;
    last?: Snippet;
  } = $props();
</script>

<h3>{t.onTheScale}</h3>
<div class="fields">
  <Field name="mass" label={together} kind="quantity" units={massUnits()} optional hint={t.orByRuler} />
  <Field name="place" label={t.place} optional among={places} hint={t.emptyStaysOut} />
</div>
<KnifeField {knives} lately={knife} />
<Fold title={t.theRestOfIt}>
  <div class="fields">
    {@render first?.()}
    <Field name="offcut" label={t.offCutWeight} kind="quantity" units={massUnits()} optional hint={offcutHint} />
    <Field
      name="offcutUse"
      label={t.offCutFor}
      kind="choice"
      start="mince"
      options={OFFCUT_USES.map((value) => ({ value, name: USE_WORDS[value]! }))}
    />
    <Field name="waste" label={t.trim} kind="quantity" units={massUnits()} optional />
    <Field name="begun" label={t.outSince} kind="time" optional hint={begunHint} />
    <Field name="core" label={t.core} kind="quantity" units={temperatureUnits()} optional />
    <Field name="gapReason" label={t.gapReason} optional />
  </div>
  {@render last?.()}
</Fold>

<style>
  h3 {
    font-weight: 700;
    margin-top: 0.9rem;
  }
</style>
