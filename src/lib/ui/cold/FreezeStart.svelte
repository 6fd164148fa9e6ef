<script lang="ts">
  import { usualThickness, weightOfOne } from '$lib/core/bench/thickness.ts';
  import * as say from '$lib/words/say.ts';
  import { freezeStart as t } from '$lib/words/screens/freeze.ts';
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { thickest } from '$lib/core/bench/breakdown/depth.ts';
  import { freezeSet } from '$lib/core/activity/freeze/plan.ts';
  import { untrack } from 'svelte';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { Place } from '$lib/core/activity/cold/fold.ts';
  import type { PieceChoice } from '$lib/server/facts/choices.ts';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import { loadWords } from '$lib/words/cold.ts';
  import { FREEZE_FIELDS } from '$lib/words/plans/freeze.ts';
  import { PlanDraft } from '../plan/draft.svelte.ts';
  import PlanField from '../plan/PlanField.svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import PieceTicks from '../controls/PieceTicks.svelte';
  import ForecastDrawing from './ForecastDrawing.svelte';
  import type { forecastFreeze } from '$lib/server/plans/freeze.ts';

  /** A load on its way into a freezer: what, where, which cycle, and what is to be expected of it. */
  let {
    view,
    pieces,
    places,
    sensors,
    cycles,
    units,
    now
  }: {
    view: PieceView;
    pieces: readonly PieceChoice[];
    places: readonly Place[];
    sensors: readonly { id: string; name: string; place: string }[];
    cycles: readonly { value: string; name: string }[];
    units: UnitPreferences;
    now: number;
  } = $props();

  type Forecast = ReturnType<typeof forecastFreeze>;
  const draft = untrack(() => new PlanDraft(freezeSet, FREEZE_FIELDS, units));
  draft.texts.place = untrack(() => places[0]?.name ?? '');
  let others = $state<string[]>([]);
  let forecast = $state.raw<Forecast | null>(null);
  let trouble = $state('');
  $effect(() => {
    draft.texts.cycle ||= cycles[0]?.value ?? '';
  });
  // A freeze is proven by it: a guess is shown, and never filled in.
  const guess = $derived(usualThickness(view.piece.made.form, view.piece.grams, weightOfOne(view.lot.received)));
  const loaded = $derived(pieces.filter(({ id }) => others.includes(id)));
  const most = $derived(
    Math.max(
      thickest(view.piece.depth ?? null) ?? view.piece.made.thicknessMm ?? 0,
      ...loaded.map((piece) => piece.thicknessMm ?? 0)
    )
  );
  // What was typed stands until the choice itself changes: the page's data come anew with every reading of the house.
  $effect(() => {
    const millimetres = most;
    untrack(() => {
      if (millimetres > 0) draft.figure('thickness', millimetres);
      else draft.texts.thickness = '';
    });
  });
  /** A known freezer brings its set point and its air with it. */
  function atPlace(name: string) {
    const known = places.find((each) => each.name === name);
    if (!known) return;
    if (known.setPoint) draft.figure('air', known.setPoint.si);
    draft.texts.airClass = known.airClass;
  }
  $effect(() => {
    const name = draft.texts.place ?? '';
    untrack(() => atPlace(name));
  });
  const pieceId = $derived(view.piece.id);
  $effect(() => {
    if (draft.texts.thickness === '') return void (forecast = null);
    const asked = new URLSearchParams({ ...draft.said(), piece: pieceId, others: others.join(',') });
    if (draft.texts.lie !== 'stacked') asked.delete('stack');
    const timer = setTimeout(async () => {
      const answer = await fetch(`/api/v1/preview/freeze?${asked}`);
      const body = await answer.json();
      forecast = answer.ok ? body : null;
      trouble = answer.ok ? '' : body.detail;
    }, 150);
    return () => clearTimeout(timer);
  });
  const cycleName = (id: string) => cycles.find(({ value }) => value === id)?.name ?? id;
  const mine = $derived(forecast?.chances.find((chance) => chance.cycle.id === forecast!.cycle.id));
  const able = $derived(
    forecast?.elsewhere.flatMap(({ place: name, chances }) =>
      chances.flatMap((chance) => (chance.complete ? [{ name, chance }] : []))
    ) ?? []
  );
</script>

<div class="halves">
  <section class="sheet">
    <h2>{t.putInAFreezer(view.piece.made.name)}</h2>
    <OperationForm
      operation="start-freeze"
      piece={view.piece}
      submit={others.length > 0 ? t.intoTheFreezerPieces(others.length + 1) : t.intoTheFreezer}
      tone="ember"
      also={{ others: others.join(',') }}
    >
      <div class="fields broad">
        <PlanField {draft} name="place" among={places} />
        <div class="whole">
          <Field
            name="cycle"
            label={draft.label('cycle')}
            kind="choice"
            options={cycles}
            bind:value={draft.texts.cycle}
          />
        </div>
        <PlanField {draft} name="air" />
        <PlanField {draft} name="airClass" />
        <PlanField {draft} name="packing" />
        <PlanField {draft} name="shape" />
        <PlanField
          {draft}
          name="lie"
          hint={draft.texts.lie === 'unknown' && others.length > 0 ? t.reckonedAsOneBlock : ''}
        />
        {#if draft.texts.lie === 'stacked'}<PlanField {draft} name="stack" />{/if}
        <PlanField
          {draft}
          name="thickness"
          hint={view.piece.depth
            ? t.ofItsMeasuredDepth
            : most > 0 || guess === null
              ? ''
              : t.aboutMeasureIt(say.length(guess))}
        />
        <PlanField {draft} name="startCore" />
        {#if sensors.length > 0}
          <Field
            name="coreSensor"
            label={draft.label('coreSensor')}
            hint={FREEZE_FIELDS.coreSensor.hint}
            kind="choice"
            bind:value={draft.texts.coreSensor}
            options={[{ value: '', name: t.none }, ...sensors.map(({ id, name }) => ({ value: id, name }))]}
          />
        {/if}
      </div>
    </OperationForm>
    {#if pieces.length > 0}
      <Fold title={t.morePiecesGoIn(others.length > 0 ? `: ${others.length}` : '')}>
        <PieceTicks {pieces} bind:picked={others} />
      </Fold>
    {/if}
  </section>
  <section class="sheet" aria-live="polite">
    <h2>{t.whenTheCoreArrives}</h2>
    {#if forecast?.arrival}
      <p class="figure">
        {say.span(forecast.arrival.likely)}
        <small>{t.likelyTo(say.temperature(forecast.target))}</small>
      </p>
      <p>
        {t.betweenAndTheSlow(say.span(forecast.arrival.low), say.span(forecast.arrival.high))}
      </p>
      {#if mine?.complete}
        <p class="window" data-earliest>
          {t.rawAtTheEarliest} <b>{say.dayAndTime(now + mine.complete.high * 1000)}</b>{t.ifTheLogProves(
            say.dayAndTime(now + mine.complete.likely * 1000)
          )}
        </p>
      {/if}
      <ForecastDrawing {forecast} limit={forecast.target} beside="medium" {now} />
      <p class="soft small">
        {t.twoWaysToReckon(
          forecast.pham ? say.span(forecast.pham.likely) : t.noAnswer,
          forecast.simulated ? say.span(forecast.simulated.likely) : t.noAnswer
        )}
      </p>
    {:else if forecast}
      <p class="trouble" data-cannot>
        {t.thisFreezerCannotDo(cycleName(forecast.cycle.id), say.temperature(mine?.needsAir ?? forecast.target - 1))}
      </p>
      <ul class="could">
        {#each able as { name, chance } (name + chance.cycle.id)}
          <li>
            <b>{name}</b>
            {t.couldCompleteAtThe(cycleName(chance.cycle.id), say.dayAndTime(now + chance.complete!.high * 1000))}
          </li>
        {/each}
        {#each forecast.chances.filter(({ complete }) => complete) as chance (chance.cycle.id)}
          <li>{t.thisFreezerCould(cycleName(chance.cycle.id))}</li>
        {/each}
        <li>{t.aColderSetPoint(say.temperature(mine?.needsAir ?? forecast.target - 1))}</li>
        <li>{t.aSupplierWhoFreezes}</li>
      </ul>
    {:else}
      <p class="soft">{trouble || t.giveTheThicknessAnd}</p>
    {/if}
    {#if forecast}
      {#each forecast.load as warning (warning.code)}
        <p class={warning.code === 'load.unknown' ? 'soft small' : 'trouble'} data-load={warning.code}>
          {loadWords(warning)}
        </p>
      {/each}
      <Fold title={t.everyCycle}>
        <Table>
          <thead><tr><th>{t.cycle}</th><th>{t.airItNeeds}</th><th>{t.completeLikelyToSlow}</th></tr></thead>
          <tbody>
            {#each forecast.chances as chance (chance.cycle.id)}
              <tr>
                <td>{cycleName(chance.cycle.id)}</td>
                <td>{say.temperature(chance.needsAir)}</td>
                <td>
                  {#if chance.complete}{t.to(
                      say.dayAndTime(now + chance.complete.likely * 1000),
                      say.dayAndTime(now + chance.complete.high * 1000)
                    )}{:else}{t.notInThisAir}{/if}
                </td>
              </tr>
            {/each}
          </tbody>
        </Table>
      </Fold>
      {#if forecast.thinner !== null && forecast.arrival && forecast.arrival.likely > 8 * 3600}
        <p class="soft small">{t.cutToTheCore(say.length(forecast.thinner))}</p>
      {/if}
    {/if}
    <p class="caution">
      {t.theClockStartsWhen}
    </p>
  </section>
</div>

<style>
  .whole {
    grid-column: 1 / -1;
    order: 1;
  }
  .window {
    margin: 0.5rem 0;
    padding: 0.4rem 0.8rem;
    border-left: 4px solid var(--water);
    background: var(--sunk);
  }
  .could {
    margin: 0.6rem 0;
    display: grid;
    gap: 0.3rem;
    list-style: disc;
    padding-left: 1.2rem;
  }
  .trouble,
  .caution {
    margin-top: 0.7rem;
  }
</style>
