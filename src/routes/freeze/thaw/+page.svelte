<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common, titled } from '$lib/words/screens/common.ts';
  import { freezeThawPage as t } from '$lib/words/screens/freeze.ts';
  import { untrack } from 'svelte';
  import { thickest } from '$lib/core/bench/breakdown/depth.ts';
  import { THAW_MEDIUM, thawSet } from '$lib/core/activity/thaw/plan.ts';
  import type { forecastThaw } from '$lib/server/plans/thaw.ts';
  import ThermalSection from '$lib/ui/charts/ThermalSection.svelte';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import ColdTabs from '$lib/ui/cold/ColdTabs.svelte';
  import ForecastDrawing from '$lib/ui/cold/ForecastDrawing.svelte';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import PiecePick from '$lib/ui/controls/PiecePick.svelte';
  import WithOthers from '$lib/ui/controls/WithOthers.svelte';
  import { massUnits, temperatureUnits } from '$lib/ui/units.ts';
  import { running } from '$lib/core/record/occupation.ts';
  import { PlanDraft } from '$lib/ui/plan/draft.svelte.ts';
  import PlanField from '$lib/ui/plan/PlanField.svelte';
  import { THAW_FIELDS } from '$lib/words/plans/thaw.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  let others = $state<string[]>([]);
  const view = $derived(data.view);
  const now = $derived(Math.floor(houseNow() / 30_000) * 30_000);
  const run = $derived(running(view?.piece.thaws ?? []));
  const draft = untrack(() => new PlanDraft(thawSet, THAW_FIELDS, data.house.units));
  const isWater = $derived(draft.texts.method === 'water');
  type Forecast = ReturnType<typeof forecastThaw>;
  let forecast = $state.raw<Forecast | null>(null);
  let trouble = $state('');
  const most = $derived(thickest(view?.piece.depth ?? null) ?? view?.piece.made.thicknessMm ?? 0);
  const pieceId = $derived(view?.piece.id);
  const isRunning = $derived(run !== null);
  // What was typed stands until the choice itself changes: the page's data come anew with every reading of the house.
  $effect(() => {
    const millimetres = most;
    void pieceId;
    untrack(() => {
      if (millimetres > 0) draft.figure('thickness', millimetres);
      else draft.texts.thickness = '';
    });
  });
  $effect(() => {
    const usual = THAW_MEDIUM[isWater ? 'water' : 'cold'];
    untrack(() => draft.figure('medium', usual));
  });
  $effect(() => {
    if (!pieceId || isRunning || draft.texts.thickness === '') return void (forecast = null);
    const asked = new URLSearchParams({ ...draft.said(), piece: pieceId });
    const timer = setTimeout(async () => {
      const answer = await fetch(`/api/v1/preview/thaw?${asked}`);
      const body = await answer.json();
      forecast = answer.ok ? body : null;
      trouble = answer.ok ? '' : body.detail;
    }, 150);
    return () => clearTimeout(timer);
  });
  const mark = $derived(view?.verdict.reasons.find(({ code }) => code.startsWith('date-mark.')) ?? null);
</script>

<svelte:head><title>{titled(t.thaw)}</title></svelte:head>
<h1>{t.thaw}</h1>
<ColdTabs />
<PiecePick
  pieces={data.pieces}
  chosen={data.chosen}
  away={data.away}
  left={data.left}
  empty={t.nothingFrozenLiesHere}
/>
{#if view && run}
  <div class="cards">
    <section class="sheet">
      <h2>{t.thawsIn(view.piece.made.name, run.plan.place)}</h2>
      <p class="figure">
        {say.span(Math.max(0, (now - run.at) / 1000))} <small>{t.soFarSince(say.dayAndTime(run.at))}</small>
      </p>
      {#if run.plan.forecast}
        <p>
          {t.likelyThroughBetweenAnd(
            say.until(run.at + run.plan.forecast.likely * 1000, now),
            say.dayAndTime(run.at + run.plan.forecast.low * 1000),
            say.dayAndTime(run.at + run.plan.forecast.high * 1000)
          )}
        </p>
      {:else}<p class="trouble">{t.byTheForecastThis}</p>{/if}
      {#if data.running}
        <ThermalSection
          pictures={data.running.pictures}
          shape={run.plan.shape}
          thicknessMm={data.running.thicknessMm}
          target={data.running.limit}
          at={(now - run.at) / 1000}
        />
      {/if}
      {#if run.plan.method === 'water' && run.plan.surfaceWarmFrom !== null}
        <p class="trouble">
          {t.fromItsSurfaceIs(say.dayAndTime(run.at + run.plan.surfaceWarmFrom * 1000))}
        </p>
      {/if}
      {#if run.plan.pack === 'closed'}
        <p class="trouble">
          {t.itLiesInA(run.plan.method === 'water' ? t.atOnceAfterwards : 'now')}
        </p>
      {/if}
      {#if view.clocks.histamine}
        <p>
          {t.warmHoursOfSpent(
            say.span(view.clocks.histamine.spentSeconds),
            say.span(view.clocks.histamine.budgetSeconds)
          )}
        </p>
      {/if}
      {#if mark && mark.effect.kind === 'closes'}<p>{t.dateMarkUntil(say.dayAndTime(mark.effect.at))}</p>{/if}
    </section>
    <section class="sheet">
      <h2>{t.itIsThrough}</h2>
      <OperationForm operation="end-thaw" piece={view.piece} submit={t.thawed} tone="ember">
        <Field name="core" label={common.core} kind="quantity" optional units={temperatureUnits()} />
        <Field
          name="massAfter"
          label={t.weightAfter}
          kind="quantity"
          optional
          units={massUnits()}
          hint={t.beforeWhatIsMissing(say.mass(run.plan.grams))}
        />
        <Field name="sure" label={t.itWeighsThatHowever} kind="tick" />
        <Field name="note" label={common.note} optional />
        <Field name="at" label={common.when} kind="time" optional hint={common.emptyMeansNow} />
      </OperationForm>
      <p class="soft">
        {t.thawedFishHasAnother} <a class="link" href="/labels?piece={view.piece.id}">{t.labelItAgain}</a>.
      </p>
    </section>
  </div>
{:else if view}
  {#key view.piece.id}
    <div class="cards">
      <section class="sheet">
        <h2>{t.thaw2(view.piece.made.name)}</h2>
        <OperationForm
          operation="start-thaw"
          piece={view.piece}
          submit={t.beginTheThaw}
          tone="ember"
          also={{ others: others.join(',') }}
        >
          <div class="fields broad">
            <PlanField {draft} name="method" />
            <PlanField {draft} name="place" among={data.places} placeholder={isWater ? t.fishSink : t.drawer} />
            <PlanField {draft} name="medium" />
            <PlanField {draft} name="packing" />
            <PlanField {draft} name="pack" />
            <PlanField {draft} name="shape" />
            <PlanField {draft} name="thickness" />
            <PlanField {draft} name="startCore" />
          </div>
          {#if draft.texts.pack === 'closed'}
            <p class="trouble" data-pack>
              {#if !isWater}
                {t.openItFirstWithout}
              {:else}
                {t.underRunningWaterIt}
              {/if}
            </p>
            {#if !isWater}<Field name="own" label={t.itThawsClosedAll} kind="tick" />{/if}
          {/if}
          <WithOthers
            pieces={data.pieces.filter(
              ({ id, may, isFrozen }) => id !== view.piece.id && may.includes('thaw') && isFrozen
            )}
            bind:picked={others}
            hint={t.eachByItsThickness}
          />
        </OperationForm>
      </section>
      <section class="sheet" aria-live="polite">
        <h2>{t.whenItIsThrough}</h2>
        {#if forecast?.arrival}
          <p class="figure">{say.span(forecast.arrival.likely)} <small>{t.likely}</small></p>
          <p>
            {t.toDripAboutTo(
              say.dayAndTime(now + forecast.arrival.low * 1000),
              say.dayAndTime(now + forecast.arrival.high * 1000),
              say.exactly(forecast.drip.low * 100, 0),
              say.exactly(forecast.drip.high * 100, 0),
              say.mass(view.piece.grams * forecast.drip.low),
              say.mass(view.piece.grams * forecast.drip.high)
            )}
          </p>
          <ForecastDrawing {forecast} limit={forecast.limit} beside="surface" {now} />
          {#if forecast.surfaceAbove}
            <p class="trouble" data-surface>
              {t.itsSurfacePassesAfter(
                say.temperature(forecast.limit),
                say.span(forecast.surfaceAbove.from),
                say.span(forecast.surfaceAbove.seconds)
              )}
            </p>
          {/if}
        {:else if forecast}
          <p class="trouble">{t.atThatTemperatureIt}</p>
        {:else}<p class="soft">{trouble || t.giveTheThicknessAnd}</p>{/if}
        <p class="caution">
          {t.coldAndSlowKeeps}
        </p>
      </section>
    </div>
  {/key}
{/if}

<style>
  .cards section {
    display: grid;
    gap: 0.5rem;
    min-width: 0;
  }
</style>
