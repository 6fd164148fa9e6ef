<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { acidFigures as t } from '$lib/words/screens/acid.ts';
  import Table from '$lib/ui/kit/Table.svelte';
  import { fruitFor, sourLiquid } from '$lib/core/bench/acid/liquid.ts';
  import { lookAt, type AcidBand, type AcidResult, type AcidSettings } from '$lib/core/bench/acid/plan.ts';
  import { LIQUID_WORDS, LOOK_WORDS } from '$lib/words/acid.ts';

  /** When it is as wanted, when past its best, and what the liquid can do. */
  let { result, band, settings }: { result: AcidResult; band: AcidBand | null; settings: AcidSettings } = $props();
  const coarse = (seconds: number) =>
    say.span(
      seconds < 120
        ? Math.round(seconds / 5) * 5
        : seconds < 7200
          ? Math.round(seconds / 60) * 60
          : Math.round(seconds / 600) * 600
    );
  const range = (of: { low: number; high: number } | null | undefined, never = 0) =>
    of ? t.to2(coarse(of.low), coarse(of.high), mayNever(never)) : '…';
  /** Fruit and fish differ: in so many of the draws the acid runs out first. */
  const mayNever = (share: number) => (share >= 0.005 ? t.mayNeverOf(Math.round(share * 100)) : '');
  const then = $derived(result.readySeconds === null ? null : lookAt(result, result.readySeconds));
  const isFlat = $derived(settings.cut === 'fillet' && settings.faces === 1);
  const ml = (value: number) => `${Math.round(value)} ml`;
  const fruits = $derived(
    settings.liquid.flatMap(({ what, id, ml: poured }) => {
      const fruit = what === 'sour' && poured > 0 ? fruitFor(poured, sourLiquid(id!)) : null;
      return fruit ? [{ id: id!, ...fruit }] : [];
    })
  );
</script>

{#if !result.sour}
  <p class="trouble" data-no-acid>{t.noAcidToSpeak}</p>
{:else}
  <div class="times">
    <p class="figure" data-ready>
      {result.readySeconds === null ? t.never : coarse(result.readySeconds)}
      <small
        >{t.to(
          LOOK_WORDS[settings.wanted],
          result.readySeconds === null ? t.theAcidRunsOut : `, ${range(band?.readySeconds, band?.never.ready)}`
        )}</small
      >
    </p>
    <p class="figure">
      {result.pastSeconds === null ? t.not : coarse(result.pastSeconds)}
      <small
        >{t.pastItsBest(
          result.pastSeconds === null ? t.withThisLittleAcid : `, ${range(band?.pastSeconds, band?.never.past)}`
        )}</small
      >
    </p>
  </div>
{/if}
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
      <td>{ml(result.liquid.ml)}{result.liquid.oilMl > 0 ? t.andOilWhichAdds(ml(result.liquid.oilMl)) : ''}</td>
    </tr>
    <tr>
      <td>{t.coversIt}</td>
      <td data-cover
        >{result.topUpMl > 0
          ? t.noWhatPokesOut(
              ml(result.coverMl),
              isFlat ? t.standMmDeepUnder : t.coverIt,
              ml(result.topUpMl),
              isFlat ? '' : t.orTurnIt
            )
          : t.yesFromAboutOn(ml(result.coverMl), isFlat ? t.fleshSideDownMm : '')}</td
      >
    </tr>
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
  .times {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 2rem;
    margin: 0.5rem 0;
  }
  td:first-child {
    width: 34%;
  }
</style>
