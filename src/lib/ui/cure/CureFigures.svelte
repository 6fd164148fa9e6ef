<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { cureFigures as t } from '$lib/words/screens/cure.ts';
  import Button from '$lib/ui/kit/Button.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import { thinEnd, type CureResult, type CureSettings } from '$lib/core/bench/cure/plan.ts';
  import type { CureSimulation } from './simulation.svelte.ts';

  /** What a plan comes to: grams to weigh out, and each figure with the range nine in ten draws fall into. */
  let { simulation, result, settings }: { simulation: CureSimulation; result: CureResult; settings: CureSettings } =
    $props();

  const band = $derived(simulation.band);
  const percent = say.points;
  const range = (of: { low: number; high: number } | undefined, show: (value: number) => string) =>
    of ? t.to(show(of.low), show(of.high)) : simulation.banding ? 'drawing …' : '…';
  const grams = (value: number) => say.mass(value);
  const after = (hours: number | null) =>
    hours === null ? t.notWithin(say.span(result.followedHours * 3600)) : t.after(say.span(hours * 3600));
  const thin = $derived(thinEnd(result));
  const isWet = $derived(result.bathGrams > 0);
  const end = $derived(result.end);
</script>

<div class="grams">
  {#if settings.method === 'desalt'}
    <p class="figure">{grams(result.bathGrams)} <small>{t.waterEachTime}</small></p>
  {:else}
    <p class="figure" data-salt>{grams(result.saltGrams)} <small>{t.salt}</small></p>
    {#if result.sugarGrams > 0}<p class="figure">{grams(result.sugarGrams)} <small>{t.sugar}</small></p>{/if}
    {#if isWet}<p class="figure">{grams(result.bathGrams)} <small>{t.inAll}</small></p>{/if}
  {/if}
  <p class="figure">{grams(end.gramsAfter)} <small>{t.ofAfter(grams(settings.grams))}</small></p>
</div>
<Fold title={t.figuresAtTheEnd} open={false} data-figures>
  <Table fixed>
    <thead>
      <tr><th>{t.atTheEnd(say.span(end.hours * 3600))}</th><th>{t.likely}</th><th>{t.nineTimesInTen}</th></tr>
    </thead>
    <tbody>
      <tr
        ><td>{t.saltOnAverage}</td><td>{percent(end.meanPercent)}</td><td>{range(band?.meanSaltPercent, percent)}</td
        ></tr
      >
      <tr>
        <td>{t.saltMiddleOfThe}</td><td>{percent(end.middlePercent)}</td>
        <td>{range(band?.middleSaltPercent, percent)}</td>
      </tr>
      <tr>
        <td>{t.waterPhaseSaltLeast}</td><td>{percent(end.leastWps)}</td><td>{range(band?.leastWps, percent)}</td>
      </tr>
      <tr>
        <td>{t.waterPhaseSaltAt}</td><td>{percent(end.surfaceWps)}</td><td>{range(band?.surfaceWps, percent)}</td>
      </tr>
      <tr><td>{t.weightAfter}</td><td>{grams(end.gramsAfter)}</td><td>{range(band?.gramsAfter, grams)}</td></tr>
      <tr>
        <td>{t.middle(settings.method === 'desalt' ? t.fallsTo : 'reaches', percent(settings.target * 100))}</td>
        <td colspan="2">{after(result.middleReachesHours)}</td>
      </tr>
      <tr><td>{t.evenedOutFaceAnd}</td><td colspan="2">{after(result.evenHours)}</td></tr>
      {#if result.zones.length > 1 && settings.method !== 'desalt'}
        <tr>
          <td>{t.thinEndHasWhat}</td>
          <td colspan="2" data-thin>{after(thin.finishHours)}</td>
        </tr>
      {/if}
      <tr><td>{t.waterActivityOnAverage}</td><td colspan="2">{say.exactly(result.meanWaterActivity, 3)}</td></tr>
    </tbody>
  </Table>
</Fold>
{#if simulation.banding}
  <p class="soft drawing">
    <progress aria-label={t.twoHundredDraws}></progress>
    {t.twoHundredDraws2}
    <Button onclick={() => simulation.stop()}>{t.stop}</Button>
  </p>
{/if}
<p class="soft small">
  {#if settings.parameters && settings.parameters.runs > 0}
    {t.forecastWithWhatOf(
      settings.parameters.runs,
      settings.parameters.runs === 1 ? 'cure' : 'cures',
      settings.parameters.from === 'species' ? t.thisSpecies : t.itsFatClass
    )}
  {:else}
    {t.forecastWithPublishedRanges}
  {/if}
  <a class="link" href="/cure/learning">{t.whatCameOut}</a>
</p>

<style>
  th:first-child {
    width: 50%;
  }
  .grams {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 2rem;
    margin: 0.4rem 0 0.6rem;
  }
  .drawing {
    display: flex;
    align-items: center;
    gap: 0.6rem;
  }
</style>
