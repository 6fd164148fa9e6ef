<script lang="ts">
  import Fold from '$lib/ui/kit/Fold.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { lengthUnits, massUnits } from '$lib/ui/units.ts';
  import { STYLE_IDS, type StyleId } from '$lib/core/activity/slice/lists.ts';
  import type { SliceStyle } from '$lib/core/bench/slice/styles.ts';
  import * as say from '$lib/words/say.ts';
  import { houseStyles as t } from '$lib/words/screens/slice.ts';
  import { STYLE_WORDS } from '$lib/words/knife-names.ts';

  /** The cuts as this house has them, and where it moves their ranges. */
  let { styles, own }: { styles: readonly SliceStyle[]; own: Partial<Record<StyleId, { readonly note: string }>> } =
    $props();
  const span = (least: string, most: string) => (least === most ? least : `${least}–${most}`);
</script>

<section class="sheet stack" data-styles>
  <h2>{t.cuts}</h2>
  <Table>
    <thead>
      <tr
        >{#each t.head as head (head)}<th>{head}</th>{/each}</tr
      >
    </thead>
    <tbody>
      {#each styles as style (style.id)}
        <tr data-style={style.id}>
          <td>
            {STYLE_WORDS[style.id]}
            {#if own[style.id]}<b>{t.ours}</b> {own[style.id]!.note}{/if}
          </td>
          <td>{span(say.length(style.thicknesses[0]), say.length(style.thicknesses[1]))}</td>
          <td>{span(say.mass(style.grams[0]), say.mass(style.grams[1]))}</td>
          <td>{span(`${style.angles[0]}°`, `${style.angles[1]}°`)}</td>
        </tr>
      {/each}
    </tbody>
  </Table>
  <Fold title={t.move}>
    <OperationForm operation="set-style" subject="style" submit={t.keep}>
      <div class="fields">
        <Field
          name="style"
          label={t.cut}
          kind="choice"
          start="oblique"
          options={STYLE_IDS.map((value) => ({ value, name: STYLE_WORDS[value] }))}
        />
        <Field name="thinnest" label={t.thinnest} kind="quantity" units={lengthUnits()} optional />
        <Field name="thickest" label={t.thickest} kind="quantity" units={lengthUnits()} optional />
        <Field name="lightest" label={t.lightest} kind="quantity" units={massUnits()} optional />
        <Field name="heaviest" label={t.heaviest} kind="quantity" units={massUnits()} optional />
        <Field name="flattest" label={t.flattest} optional />
        <Field name="steepest" label={t.steepest} optional />
        <Field name="note" label={t.note} optional />
      </div>
      <p class="soft">{t.emptyAsUsual}</p>
      <Field name="withdraw" label={t.asUsual} kind="tick" />
    </OperationForm>
  </Fold>
</section>
