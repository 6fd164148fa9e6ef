<script lang="ts">
  import Computing from '$lib/ui/kit/Computing.svelte';
  import * as say from '$lib/words/say.ts';
  import { common } from '$lib/words/screens/common.ts';
  import { cureRun as t } from '$lib/words/screens/cure.ts';
  import Button from '$lib/ui/kit/Button.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { HOUR } from '$lib/core/measure/spans.ts';
  import { isPausedAt, stageAt } from '$lib/core/bench/cure/changes.ts';
  import type { CureRunView } from '$lib/server/views/cure.ts';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import { cureStageWords, METER_WORDS, SALT_TASTE_WORDS } from '$lib/words/cure.ts';
  import { CURE_NAMES, cureStepWords } from '$lib/words/cure-names.ts';
  import { openCureWorker } from '$lib/workers/cure.ts';
  import { onMount, untrack } from 'svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { massUnits } from '../units.ts';
  import CureFigures from './CureFigures.svelte';
  import CureGuide from './CureGuide.svelte';
  import CurePicture from './CurePicture.svelte';
  import CureZones from './CureZones.svelte';
  import { CureSimulation } from './simulation.svelte.ts';

  /** A cure that runs: where it stands, what hands do next, how it may be changed, and its end. */
  let {
    view,
    running,
    places,
    names,
    histamine,
    now
  }: {
    view: PieceView;
    running: CureRunView;
    places: readonly { id: string; name: string }[];
    names: Readonly<Record<string, string>>;
    histamine: boolean;
    now: number;
  } = $props();

  const run = $derived(running.run);
  const plan = $derived(run.plan);
  const seconds = $derived((now - run.at) / 1000);
  const stage = $derived(stageAt(running.now.stages, seconds));
  const paused = $derived(isPausedAt(running.now.stages, seconds));
  const done = $derived(new Map(run.done.map((step) => [step.step, step])));
  const next = $derived(running.now.steps.find(({ id, seconds: at }) => at > 0 && !done.has(id)) ?? null);
  const dueAt = $derived(running.now.dueAt);

  let simulation = $state.raw<CureSimulation | null>(null);
  let chosen = $state<number | null>(null);
  let change = $state('left');
  onMount(() => {
    const worker = openCureWorker();
    simulation = new CureSimulation(worker);
    return () => worker.end();
  });
  const asked = $derived(running.settings ? JSON.stringify(running.settings) : null);
  $effect(() => {
    if (asked === null) return;
    simulation?.ask(untrack(() => running.settings!));
  });
  const result = $derived(simulation?.result ?? null);
  const shown = $derived(simulation?.shown ?? null);
  /** The picture opens at this moment, and stays where a hand puts it. */
  const nowIndex = $derived.by(() => {
    if (!result) return 0;
    const later = result.frames.findIndex(({ hours }) => hours * 3600 >= seconds);
    return later < 0 ? result.frames.length - 1 : later;
  });
  const forecast = $derived(running.now.forecast);
  const percent = say.points;
  const range = (band: { low: number; high: number }) => t.to(percent(band.low), percent(band.high));
  const options = (words: Readonly<Record<string, string>>) =>
    Object.entries(words).map(([value, name]) => ({ value, name }));
</script>

<div class="halves main">
  <section class="sheet" data-running data-simulated={result ? 'yes' : 'no'}>
    <h2>{view.piece.made.name}: {CURE_NAMES[plan.method].noun}</h2>
    <p>
      {#if plan.method === 'desalt'}{t.desalting}{:else}{t.saltSugarOn(
          say.mass(plan.saltGrams),
          say.mass(plan.sugarGrams)
        )}{/if}
      {t.since(
        say.mass(plan.grams),
        say.dayAndTime(run.at),
        plan.place ? ` in ${plan.place}` : '',
        plan.recipe ? t.version(plan.recipe.name, plan.recipe.version) : ''
      )}
    </p>
    <div class="figures">
      <p class="figure" data-stage>
        {stage ? cureStageWords(stage.stage.id) : t.programmeOver}
        {#if stage && !stage.stage.open}
          <small>{t.leftOfIt(say.span(Math.max(0, stage.from + stage.stage.seconds - seconds)))}</small>
        {/if}
      </p>
      <p class="figure">{paused ? t.paused : say.until(dueAt, now)} <small>{t.due(say.dayAndTime(dueAt))}</small></p>
    </div>
    {#if plan.readyBy && dueAt > plan.readyBy}
      <p class="trouble">
        {t.wantedByThroughLater(say.dayAndTime(plan.readyBy), say.span((dueAt - plan.readyBy) / 1000))}
      </p>
    {/if}
    {#if simulation && result && shown}
      <CurePicture
        {result}
        faces={plan.faces}
        target={plan.target * 100}
        bind:index={() => chosen ?? nowIndex, (value) => (chosen = value)}
      />
      <p class="soft small">
        {running.readings > 0
          ? t.simulatedInTheAir(plan.place, say.temperature(plan.celsius))
          : t.simulatedAtNoSensor(say.temperature(plan.celsius))}
        {#if chosen !== null}<Button onclick={() => (chosen = null)}>{t.backToNow}</Button>{/if}
      </p>
      <CureFigures {simulation} {result} settings={shown} />
      <Fold title={t.byZone}><CureZones {result} settings={shown} /></Fold>
    {:else if !running.settings}
      <p class="soft">
        {t.begunInAnEarlier(range(forecast.meanSaltPercent), range(forecast.middleSaltPercent))}
      </p>
    {:else}<Computing />{/if}
    {#each run.changes as each (each.seq)}
      <p class="soft" data-change>
        {say.dayAndTime(each.at)}, {names[each.by] ?? each.by}: {each.change === 'left'
          ? t.fromThen(say.span((each.hours ?? 0) * 3600))
          : each.change === 'pause'
            ? t.paused
            : t.takenUpAgain}{each.note ? ` (${each.note})` : ''}.
      </p>
    {/each}
  </section>
  <div class="stack">
    <section class="sheet">
      <h2>{common.steps}</h2>
      <Table data-steps>
        <tbody>
          {#each running.now.steps as step (step.id)}
            {@const was = done.get(step.id)}
            {@const at = run.at + step.seconds * 1000}
            <tr class:next={step.id === next?.id}>
              <td>{cureStepWords(step.code)}</td>
              <td class="soft">{say.dayAndTime(at)}</td>
              <td>
                {#if was}{t.done(say.dayAndTime(was.at), names[was.by] ?? was.by)}
                {:else if step.seconds === 0}{t.doneAtTheStart}
                {:else if step.id === next?.id && !paused}<b>{say.until(at, now)}</b>{/if}
              </td>
            </tr>
          {/each}
        </tbody>
      </Table>
      {#if next && !paused}
        {#key next.id}
          <OperationForm
            operation="step-cure"
            piece={view.piece}
            submit={t.done2(cureStepWords(next.code))}
            tone={run.at + next.seconds * 1000 <= now ? 'ember' : 'quiet'}
            also={{ step: next.id }}
          ></OperationForm>
        {/key}
      {/if}
    </section>
    <section class="sheet">
      <h2>{t.takeItOut}</h2>
      <OperationForm
        operation="end-cure"
        piece={view.piece}
        submit={t.takeItOut}
        tone={dueAt <= now ? 'ember' : 'plain'}
      >
        <div class="fields">
          <Field
            name="massAfter"
            label={common.weightNow}
            kind="quantity"
            units={massUnits()}
            optional
            hint={t.forecastTo(say.mass(forecast.gramsAfter.low), say.mass(forecast.gramsAfter.high))}
          />
          <Field name="saltTaste" label={t.saltTasted} kind="choice" options={options(SALT_TASTE_WORDS)} />
          <Field name="taste" label={t.howGoodTo} kind="number" optional />
          <Field name="saltReading" label={t.saltMeter} kind="quantity" units={['%']} optional />
          <Field name="saltWhere" label={t.itsProbeStoodIn} kind="choice" options={options(METER_WORDS)} />
          <Field name="place" label={common.whereTo} optional among={places} placeholder={common.drawer} />
        </div>
        <Field name="note" label={t.howItFeelsAnd} optional />
      </OperationForm>
    </section>
    {#if running.settings}
      <Fold class="sheet" open={paused} title={paused ? t.pausedTakeItUp : t.pauseItShortenIt}>
        <OperationForm
          operation="change-cure"
          piece={view.piece}
          also={{ change: paused && 'resume' }}
          submit={paused ? t.backIntoIt : t.changeIt}
          tone={paused ? 'ember' : 'plain'}
        >
          {#if !paused}
            <Field
              name="change"
              label={t.change}
              kind="choice"
              bind:value={change}
              options={{
                left: t.soMuchLongerFrom,
                pause: t.liftItOutAnd
              }}
            />
            {#if change === 'left'}
              <Field name="hours" label={t.fromNow} kind="quantity" units={['h', 'min']} />
            {/if}
          {/if}
          <Field name="note" label={common.why} optional />
        </OperationForm>
      </Fold>
    {/if}
  </div>
</div>
<CureGuide
  method={plan.method}
  {histamine}
  guards={{
    celsius: plan.celsius,
    leastWps: forecast.leastWps?.low ?? 0,
    waterActivity: forecast.waterActivity ?? 1,
    closedPack: plan.pack === 'closed',
    hours: seconds / 3600,
    reachedHours: (dueAt - run.at) / HOUR
  }}
/>

<style>
  .next td {
    font-weight: 650;
  }
</style>
