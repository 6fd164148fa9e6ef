<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { acidFigures as t } from '$lib/words/screens/acid.ts';
  import Table from '$lib/ui/kit/Table.svelte';
  import { fruitFor, sourLiquid } from '$lib/core/bench/acid/liquid.ts';
  import { lookAt, type AcidBand, type AcidResult, type AcidSettings } from '$lib/core/bench/acid/plan.ts';
  import { acidRange as range, acidSpan as coarse, LIQUID_WORDS, millilitres } from '$lib/words/acid.ts';

  /** What one has when it is as wanted, and what the liquid can do. */
  let { result, band, settings }: { result: AcidResult; band: AcidBand | null; settings: AcidSettings } = $props();
  const then = $derived(result.readySeconds === null ? null : lookAt(result, result.readySeconds));
  const isFlat = $derived(settings.cut === 'fillet' && settings.faces === 1);
  const fruits = $derived(
    settings.liquid.flatMap(({ what, id, ml: poured }) => {
      const fruit = what === 'sour' && poured > 0 ? fruitFor(poured, sourLiquid(id!)) : null;
      return fruit ? [{ id: id!, ...fruit }] : [];
    })
  );
</script>

<Table fixed>
  <tbody>
    {#if then}
      <tr data-then
        ><td>{t.whatYouHaveThen}</td><td>{t.rimOfItStill(say.length(then.rimMm), Math.round(then.raw * 100))}</td></tr
      >
    {/if}
    <tr
      ><td>{t.setThrough}</td><td
        >{result.setSeconds === null
          ? t.notWithThisLiquid
          : `${coarse(result.setSeconds)} (${range(band?.setSeconds, band?.never.set)})`}</td
      ></tr
    >
    <tr>
      <td>{t.liquid}</td>
      <td
        >{millilitres(result.liquid.ml)}{result.liquid.oilMl > 0
          ? t.andOilWhichAdds(millilitres(result.liquid.oilMl))
          : ''}</td
      >
    </tr>
    {#if result.topUpMl === 0}
      <tr>
        <td>{t.coversIt}</td>
        <td>{t.yesFromAboutOn(millilitres(result.coverMl), isFlat ? t.fleshSideDownMm : '')}</td>
      </tr>
    {/if}
    <tr
      ><td>{t.phAcidItCan}</td><td
        >{t.molHL(say.exactly(result.liquid.pH, 1), say.exactly(result.liquid.available, 2))}</td
      ></tr
    >
    {#each fruits as fruit (fruit.id)}
      <tr><td>{t.toSqueeze}</td><td>{t.toBeSure(fruit.likely, LIQUID_WORDS[fruit.id] ?? '', fruit.enough)}</td></tr>
    {/each}
    {#if settings.dark}<tr><td>{t.darkFish}</td><td>{t.bindsAboutTwiceAs}</td></tr>{/if}
  </tbody>
</Table>

<style>
  td:first-child {
    width: 34%;
  }
</style>
