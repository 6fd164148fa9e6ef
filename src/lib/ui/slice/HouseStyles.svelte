<script lang="ts">
  import Fold from '$lib/ui/kit/Fold.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { lengthUnits, massUnits } from '$lib/ui/units.ts';
  import { STYLE_IDS, type StyleId } from '$lib/core/activity/slice/lists.ts';
  import type { HouseCut } from '$lib/core/activity/slice/fold.ts';
  import type { SliceStyle } from '$lib/core/bench/slice/styles.ts';
  import StyleDrawing from './StyleDrawing.svelte';
  import * as say from '$lib/words/say.ts';
  import { houseStyles as t } from '$lib/words/screens/slice.ts';
  import { STYLE_WORDS } from '$lib/words/knife-names.ts';

  /** The cuts as this house has them, and where it moves their ranges. */
  let {
    styles,
    own,
    cuts
  }: {
    styles: readonly SliceStyle[];
    own: Partial<Record<StyleId, { readonly note: string }>>;
    /** Cuts of its own, each with its ranges. */
    cuts: readonly { readonly cut: HouseCut; readonly style: SliceStyle }[];
  } = $props();
  const options = STYLE_IDS.map((value) => ({ value, name: STYLE_WORDS[value] }));
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
          {@render figures(style, STYLE_WORDS[style.id])}
        </tr>
      {/each}
      {#each cuts as { cut, style } (cut.id)}
        <tr data-cut={cut.id}>
          <td>
            {cut.name}
            <b>{t.ours}</b>
            {t.like(STYLE_WORDS[cut.like])}
            {cut.note}
          </td>
          {@render figures(style, cut.name)}
        </tr>
      {/each}
    </tbody>
  </Table>
  <Fold title={t.move}>
    <OperationForm operation="set-style" subject="style" submit={t.keep}>
      <div class="fields">
        <Field name="style" label={t.cut} kind="choice" start="oblique" {options} />
        {@render ranges()}
      </div>
      <p class="soft">{t.emptyAsUsual}</p>
      <Field name="withdraw" label={t.asUsual} kind="tick" />
    </OperationForm>
  </Fold>
  <Fold title={t.addOne}>
    <OperationForm operation="set-cut" subject="cut" submit={t.keepIt}>
      <div class="fields">
        <Field name="name" label={t.name} among={cuts.map(({ cut: { name } }) => ({ name }))} />
        <Field name="like" label={t.likeWhat} kind="choice" start="oblique" {options} />
        {@render ranges()}
      </div>
      <p class="soft">{t.emptyAsUsual}</p>
      <Field name="withdraw" label={t.takeOut} kind="tick" />
    </OperationForm>
  </Fold>
</section>
{#snippet figures(style: SliceStyle, called: string)}
  <td><StyleDrawing {style} {called} /></td>
  <td>{span(say.length(style.thicknesses[0]), say.length(style.thicknesses[1]))}</td>
  <td>{span(say.mass(style.grams[0]), say.mass(style.grams[1]))}</td>
  <td>{span(`${style.angles[0]}°`, `${style.angles[1]}°`)}</td>
{/snippet}
{#snippet ranges()}
  <Field name="thinnest" label={t.thinnest} kind="quantity" units={lengthUnits()} optional />
  <Field name="thickest" label={t.thickest} kind="quantity" units={lengthUnits()} optional />
  <Field name="lightest" label={t.lightest} kind="quantity" units={massUnits()} optional />
  <Field name="heaviest" label={t.heaviest} kind="quantity" units={massUnits()} optional />
  <Field name="flattest" label={t.flattest} optional />
  <Field name="steepest" label={t.steepest} optional />
  <Field name="note" label={t.note} optional />
{/snippet}
