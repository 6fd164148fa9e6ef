<script lang="ts">
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
  import { dayAndTime, formatDuration, formatMass, formatTemperature, until } from '$lib/ui/format.ts';
  import { massUnits, temperatureUnits } from '$lib/ui/units.ts';
  import { running } from '$lib/core/record/occupation.ts';
  import { PlanDraft } from '$lib/ui/plan/draft.svelte.ts';
  import PlanField from '$lib/ui/plan/PlanField.svelte';
  import { THAW_FIELDS } from '$lib/words/plans/thaw.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const view = $derived(data.view);
  const units = $derived(data.house.units);
  const zone = $derived(data.house.zone);
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

<svelte:head><title>Thaw · Ember Tide</title></svelte:head>
<h1>Thaw</h1>
<ColdTabs />
<PiecePick pieces={data.pieces} chosen={data.chosen} empty="Nothing frozen lies here to be thawed." />
{#if view && run}
  <div class="cards">
    <section class="sheet">
      <h2>{view.piece.made.name} thaws in {run.plan.place}</h2>
      <p class="figure">
        {formatDuration(Math.max(0, (now - run.at) / 1000))} <small>so far, since {dayAndTime(run.at, zone)}</small>
      </p>
      {#if run.plan.forecast}
        <p>
          Likely through {until(run.at + run.plan.forecast.likely * 1000, now)}, between {dayAndTime(
            run.at + run.plan.forecast.low * 1000,
            zone
          )} and {dayAndTime(run.at + run.plan.forecast.high * 1000, zone)}. A probe in the middle decides.
        </p>
      {:else}<p class="trouble">By the forecast this never thaws: the medium is too cold.</p>{/if}
      {#if data.running}
        <ThermalSection
          pictures={data.running.pictures}
          shape={run.plan.shape}
          thicknessMm={data.running.thicknessMm}
          target={data.running.limit}
          {units}
          at={(now - run.at) / 1000}
        />
      {/if}
      {#if run.plan.method === 'water' && run.plan.surfaceWarmFrom !== null}
        <p class="trouble">
          From {dayAndTime(run.at + run.plan.surfaceWarmFrom * 1000, zone)} its surface is warm by the forecast: that time
          is spent from its warm hours. Dry it and put it in the cold as soon as it is through.
        </p>
      {/if}
      {#if run.plan.pack === 'closed'}
        <p class="trouble">
          It lies in a closed pack without oxygen. Open it {run.plan.method === 'water' ? 'at once afterwards' : 'now'}.
        </p>
      {/if}
      {#if view.clocks.histamine}
        <p>
          Warm hours: {formatDuration(view.clocks.histamine.spentSeconds)} of {formatDuration(
            view.clocks.histamine.budgetSeconds
          )} spent before this thaw is closed.
        </p>
      {/if}
      {#if mark && mark.effect.kind === 'closes'}<p>Date mark: until {dayAndTime(mark.effect.at, zone)}.</p>{/if}
    </section>
    <section class="sheet">
      <h2>It is through</h2>
      <OperationForm operation="end-thaw" piece={view.piece} submit="Thawed" tone="ember">
        <Field name="core" label="Core" kind="quantity" optional units={temperatureUnits(units)} />
        <Field
          name="massAfter"
          label="Weight after"
          kind="quantity"
          optional
          units={massUnits(units)}
          hint="{formatMass(run.plan.grams, units)} before; what is missing is drip, usually 1 to 5 %."
        />
        <Field name="sure" label="It weighs that, however odd" kind="tick" />
        <Field name="note" label="Note" optional />
        <Field name="at" label="When" kind="time" optional hint="Empty means now." />
      </OperationForm>
      <p class="soft">
        Thawed fish has another date and another place: <a class="link" href="/labels?piece={view.piece.id}"
          >label it again</a
        >.
      </p>
    </section>
  </div>
{:else if view}
  {#key view.piece.id}
    <div class="cards">
      <section class="sheet">
        <h2>Thaw {view.piece.made.name}</h2>
        <OperationForm operation="start-thaw" piece={view.piece} submit="Begin the thaw" tone="ember">
          <div class="fields broad">
            <PlanField {draft} name="method" />
            <PlanField {draft} name="place" among={data.places} placeholder={isWater ? 'Fish sink' : 'Drawer 1'} />
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
                Open it first: without oxygen botulinum grows from 3.3 °C, and fish packed so and labelled to be kept
                frozen leaves its pack before a cold thaw (FDA Food Code 3-501.13(E)). Left closed it is not cleared for
                any route.
              {:else}
                Under running water it may stay closed only until it is through: open it at once then.
              {/if}
            </p>
            {#if !isWater}<Field
                name="own"
                label="It thaws closed all the same, and I answer for it"
                kind="tick"
              />{/if}
          {/if}
        </OperationForm>
      </section>
      <section class="sheet" aria-live="polite">
        <h2>When it is through</h2>
        {#if forecast?.arrival}
          <p class="figure">{formatDuration(forecast.arrival.likely)} <small>likely</small></p>
          <p>
            {dayAndTime(now + forecast.arrival.low * 1000, zone)} to {dayAndTime(
              now + forecast.arrival.high * 1000,
              zone
            )}. Drip about {(forecast.drip.low * 100).toFixed(0)} to {(forecast.drip.high * 100).toFixed(0)} %, {formatMass(
              view.piece.grams * forecast.drip.low,
              units
            )} to {formatMass(view.piece.grams * forecast.drip.high, units)}.
          </p>
          <ForecastDrawing {forecast} limit={forecast.limit} beside="surface" {now} {zone} {units} />
          {#if forecast.surfaceAbove}
            <p class="trouble" data-surface>
              Its surface passes {formatTemperature(forecast.limit, units)} after {formatDuration(
                forecast.surfaceAbove.from
              )}, while the middle still thaws: {formatDuration(forecast.surfaceAbove.seconds)} of warm time. Ready-to-eat
              portions may not pass 5 °C under water (FDA Food Code 3-501.13(B)): colder water, or thinner pieces.
            </p>
          {/if}
        {:else if forecast}
          <p class="trouble">At that temperature it does not thaw in any useful time.</p>
        {:else}<p class="soft">{trouble || 'Give the thickness, and the forecast stands here.'}</p>{/if}
        <p class="caution">
          Cold and slow keeps water in the flesh. Thawed fish for raw service is dated from the day it is opened or
          thawed; frozen days do not count. Guidance only: your local code decides.
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
