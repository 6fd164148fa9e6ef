<script lang="ts">
  import Computing from '$lib/ui/kit/Computing.svelte';
  import * as say from '$lib/words/say.ts';
  import { common } from '$lib/words/screens/common.ts';
  import { acidRun as t } from '$lib/words/screens/acid.ts';
  import Button from '$lib/ui/kit/Button.svelte';
  import { safety } from '$lib/words/safety.ts';
  import { lookAt, type AcidResult, type AcidSettings } from '$lib/core/bench/acid/plan.ts';
  import { acidSettings } from '$lib/core/bench/acid/settings.ts';
  import { acidNow, type AcidRun } from '$lib/core/activity/acid/fold.ts';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import { LIQUID_WORDS, LOOK_WORDS } from '$lib/words/acid.ts';
  import { openAcidWorker, type AcidOutlook } from '$lib/workers/acid.ts';
  import { onMount, untrack } from 'svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { Simulation } from '../simulation.svelte.ts';
  import { lengthUnits, massUnits } from '../units.ts';
  import AcidSection from './AcidSection.svelte';

  /** A piece in acid: its rim growing by the clock, one cut open to put the forecast right, and out. */
  let {
    view,
    run,
    places,
    names,
    now
  }: {
    view: PieceView;
    run: AcidRun;
    places: readonly { id: string; name: string }[];
    names: Readonly<Record<string, string>>;
    now: number;
  } = $props();

  const plan = $derived(run.plan);
  const forecast = $derived(acidNow(run));
  const settings = $derived<AcidSettings>({ ...acidSettings(plan.set, plan.subject), pace: forecast.pace });
  let simulation = $state.raw<Simulation<AcidSettings, AcidResult, AcidOutlook> | null>(null);
  let raw = $state('');
  let rawUnit = $state<string>();
  let scrubbed = $state<number | null>(null);
  onMount(() => {
    const worker = openAcidWorker();
    simulation = new Simulation(worker);
    return () => worker.end();
  });
  const asked = $derived(JSON.stringify(settings));
  $effect(() => {
    void asked;
    simulation?.ask(untrack(() => settings));
  });
  const result = $derived(simulation?.result ?? null);
  const seconds = $derived(Math.max(0, (now - run.at) / 1000));
  const look = $derived(result ? lookAt(result, seconds) : null);
  const at = (offset: number | undefined) => (offset === undefined ? null : run.at + offset * 1000);
  const readyAt = $derived(at(forecast.ready?.likely));
  const later = $derived(forecast.later);
  const laterAt = $derived(at(later?.ready?.likely));
  // While the rest is to stay in for a second look, that look's end is its end.
  const pastAt = $derived(at((later ? later.past : forecast.past)?.likely));
  const poured = $derived(
    settings.liquid
      .map(({ what, id, ml }) => `${Math.round(ml)} ml ${what === 'sour' ? (LIQUID_WORDS[id!] ?? id) : what}`)
      .join(', ')
  );
  function touched(rawMm: number) {
    [raw, rawUnit] = [rawMm.toFixed(1), 'mm'];
  }
</script>

<div class="halves main">
  <section class="sheet" data-running data-simulated={result ? 'yes' : 'no'}>
    <h2>{t.inAcid(view.piece.made.name)}</h2>
    <p>{t.sinceWanted(say.dayAndTime(run.at), poured, LOOK_WORDS[plan.set.wanted])}</p>
    <div class="figures">
      <p class="figure">{say.span(seconds)} <small>{t.inIt}</small></p>
      {#if readyAt !== null}
        <p class="figure" data-ready>
          {say.since(readyAt, now)}
          <small
            >{t.readyTo(
              say.clockTime(readyAt),
              say.span(forecast.ready!.low),
              say.span(forecast.ready!.high),
              (forecast.never ?? 0) >= 0.005 ? t.mayNeverOf(Math.round(forecast.never! * 100)) : ''
            )}</small
          >
        </p>
      {:else}<p class="figure">{t.never} <small>{t.asWantedTheAcid}</small></p>{/if}
      {#if pastAt !== null}<p class="figure">{say.moment(pastAt, now)} <small>{t.pastItsBest}</small></p>{/if}
      {#if later}
        <p class="figure" data-later>
          {laterAt === null ? t.never2 : say.moment(laterAt, now)}
          <small>{t.forThoseWhoWant(LOOK_WORDS[later.wanted])}</small>
        </p>
      {/if}
    </div>
    {#each run.lifted as part (part.seq)}
      <p class="soft" data-lifted>
        {t.lifted(say.clockTime(part.at), say.mass(part.mass.si), LOOK_WORDS[part.look])}
        <a class="link" href="/acid?piece={part.child}">{part.child}</a>
      </p>
    {/each}
    {#if pastAt !== null && pastAt <= now}<p class="trouble">
        {t.pastItsBestLift}
      </p>{/if}
    {#if result && look}
      <AcidSection
        {result}
        faces={settings.faces}
        seconds={scrubbed ?? seconds}
        until={Math.max(600, seconds * 1.5, (forecast.past?.likely ?? 3600) * 1.3)}
        onscrub={(to) => (scrubbed = to)}
        ontouch={touched}
      />
      {#if scrubbed !== null}<Button onclick={() => (scrubbed = null)}>{t.backToNow}</Button>{/if}
    {:else}<Computing />{/if}
    {#each run.checks as check (check.seq)}
      <p class="soft" data-check>
        {t.rawMiddleTheForecast(
          say.clockTime(check.at),
          names[check.by] ?? check.by,
          say.length(check.rawMm),
          check.pace >= 1 ? t.timesAsFast(say.exactly(check.pace, 2)) : t.atOfItsPace(say.exactly(check.pace, 2)),
          check.note ? ` (${check.note})` : ''
        )}
      </p>
    {/each}
    <p class="still">
      {safety('acid')}
    </p>
  </section>
  <div class="stack">
    <section class="sheet">
      <h2>{t.cutOne}</h2>
      <p class="soft">{t.howWideIsIts}</p>
      <OperationForm operation="check-acid" piece={view.piece} submit={t.putTheForecastRight}>
        <Field
          name="raw"
          label={t.rawMiddle}
          kind="quantity"
          units={lengthUnits()}
          bind:value={raw}
          bind:unit={rawUnit}
        />
        <Field name="note" label={common.note} optional />
      </OperationForm>
    </section>
    <section class="sheet">
      <h2>{t.someOfItNow}</h2>
      <p class="soft">
        {later ? t.thePartThatIs(LOOK_WORDS[plan.set.wanted]) : t.liftedOutAsA}
      </p>
      <OperationForm operation="lift-acid" piece={view.piece} submit={t.liftThisMuch}>
        <div class="fields">
          <Field
            name="mass"
            label={t.howMuch}
            kind="quantity"
            units={massUnits()}
            hint={t.of(say.mass(view.piece.grams))}
          />
          <Field name="place" label={common.whereTo} optional among={places} />
        </div>
      </OperationForm>
    </section>
    <section class="sheet">
      <h2>{t.outOfIt}</h2>
      <OperationForm
        operation="end-acid"
        piece={view.piece}
        submit={t.liftItOut}
        tone={readyAt !== null && readyAt <= now ? 'ember' : 'plain'}
      >
        <Field
          name="how"
          label={t.then}
          kind="choice"
          options={{ drained: t.drainedKeptColdApart, served: t.servedFromItAt }}
        />
        <div class="fields">
          <Field name="massAfter" label={common.weightNow} kind="quantity" units={massUnits()} optional />
          <Field name="place" label={common.whereTo} optional among={places} placeholder={common.drawer} />
        </div>
        <Field
          name="liquid"
          label={t.liquidKeptForA}
          kind="quantity"
          units={massUnits()}
          optional
          hint={t.aPieceOfIts}
        />
        <Field name="note" label={t.howItLooksAnd} optional />
      </OperationForm>
    </section>
  </div>
</div>
<p class="caution">{t.guidanceOnlyYourLocal}</p>

<style>
  .still {
    margin-top: 0.6rem;
    font-weight: 600;
  }
</style>
