<script lang="ts">
  import Button from '$lib/ui/kit/Button.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { HOUR } from '$lib/core/measure/spans.ts';
  import { isPausedAt, stageAt } from '$lib/core/bench/cure/changes.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { CureRunView } from '$lib/server/views/cure.ts';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import { cureStageWords, cureStepWords, METER_WORDS, SALT_TASTE_WORDS, SCHOOL_WORDS } from '$lib/words/cure.ts';
  import { openCureWorker } from '$lib/workers/cure.ts';
  import { onMount, untrack } from 'svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { dayAndTime, formatDuration, formatMass, formatTemperature, until } from '../format.ts';
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
    units,
    zone,
    now
  }: {
    view: PieceView;
    running: CureRunView;
    places: readonly { id: string; name: string }[];
    names: Readonly<Record<string, string>>;
    histamine: boolean;
    units: UnitPreferences;
    zone: string;
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
  const percent = (value: number) => `${value.toFixed(value < 1 ? 2 : 1)} %`;
  const range = (band: { low: number; high: number }) => `${percent(band.low)} to ${percent(band.high)}`;
  const options = (words: Readonly<Record<string, string>>) =>
    Object.entries(words).map(([value, name]) => ({ value, name }));
</script>

<div class="halves main">
  <section class="sheet" data-running data-simulated={result ? 'yes' : 'no'}>
    <h2>{view.piece.made.name}: {SCHOOL_WORDS[plan.method].noun}</h2>
    <p>
      {#if plan.method === 'desalt'}Desalting{:else}{formatMass(plan.saltGrams, units)} salt, {formatMass(
          plan.sugarGrams,
          units
        )} sugar on{/if}
      {formatMass(plan.grams, units)}, since {dayAndTime(run.at, zone)}{plan.place
        ? ` in ${plan.place}`
        : ''}{plan.recipe ? `; ${plan.recipe.name}, version ${plan.recipe.version}` : ''}.
    </p>
    <div class="figures">
      <p class="figure" data-stage>
        {stage ? cureStageWords(stage.stage.id) : 'programme over'}
        {#if stage && !stage.stage.open}
          <small>{formatDuration(Math.max(0, stage.from + stage.stage.seconds - seconds))} left of it</small>
        {/if}
      </p>
      <p class="figure">{paused ? 'paused' : until(dueAt, now)} <small>due {dayAndTime(dueAt, zone)}</small></p>
    </div>
    {#if plan.readyBy && dueAt > plan.readyBy}
      <p class="trouble">
        Wanted by {dayAndTime(plan.readyBy, zone)}, through {formatDuration((dueAt - plan.readyBy) / 1000)} later. Shorten
        it, or say so to the pass.
      </p>
    {/if}
    {#if simulation && result && shown}
      <CurePicture
        {result}
        faces={plan.faces}
        target={plan.target * 100}
        {units}
        bind:index={() => chosen ?? nowIndex, (value) => (chosen = value)}
      />
      <p class="soft small">
        {running.readings > 0
          ? `Simulated in the air of ${plan.place} as it was read, then at ${formatTemperature(plan.celsius, units)}.`
          : `Simulated at ${formatTemperature(plan.celsius, units)}: no sensor speaks of where it lies.`}
        {#if chosen !== null}<Button onclick={() => (chosen = null)}>Back to now</Button>{/if}
      </p>
      <CureFigures {simulation} {result} settings={shown} {units} />
      <Fold title="By zone"><CureZones {result} settings={shown} {units} /></Fold>
    {:else if !running.settings}
      <p class="soft">
        Begun in an earlier version of this record: forecast {range(forecast.meanSaltPercent)} salt on average, {range(
          forecast.middleSaltPercent
        )} in the middle.
      </p>
    {:else}<p class="soft">Computing …</p>{/if}
    {#each run.changes as each (each.seq)}
      <p class="soft" data-change>
        {dayAndTime(each.at, zone)}, {names[each.by] ?? each.by}: {each.change === 'left'
          ? `${formatDuration((each.hours ?? 0) * 3600)} from then`
          : each.change === 'pause'
            ? 'paused'
            : 'taken up again'}{each.note ? ` (${each.note})` : ''}.
      </p>
    {/each}
  </section>
  <div class="stack">
    <section class="sheet">
      <h2>Steps</h2>
      <Table data-steps>
        <tbody>
          {#each running.now.steps as step (step.id)}
            {@const was = done.get(step.id)}
            {@const at = run.at + step.seconds * 1000}
            <tr class:next={step.id === next?.id}>
              <td>{cureStepWords(step.code)}</td>
              <td class="soft">{dayAndTime(at, zone)}</td>
              <td>
                {#if was}done {dayAndTime(was.at, zone)}, {names[was.by] ?? was.by}
                {:else if step.seconds === 0}done at the start
                {:else if step.id === next?.id && !paused}<b>{until(at, now)}</b>{/if}
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
            submit="{cureStepWords(next.code)}: done"
            tone={run.at + next.seconds * 1000 <= now ? 'ember' : 'quiet'}
            also={{ step: next.id }}
          ></OperationForm>
        {/key}
      {/if}
    </section>
    <section class="sheet">
      <h2>Take it out</h2>
      <OperationForm
        operation="end-cure"
        piece={view.piece}
        submit="Take it out"
        tone={dueAt <= now ? 'ember' : 'plain'}
      >
        <div class="fields">
          <Field
            name="massAfter"
            label="Weight now"
            kind="quantity"
            units={massUnits(units)}
            optional
            hint="forecast {formatMass(forecast.gramsAfter.low, units)} to {formatMass(
              forecast.gramsAfter.high,
              units
            )}"
          />
          <Field name="saltTaste" label="Salt, tasted" kind="choice" options={options(SALT_TASTE_WORDS)} />
          <Field name="taste" label="How good, 1 to 5" kind="number" optional />
          <Field name="saltReading" label="Salt meter" kind="quantity" units={['%']} optional />
          <Field name="saltWhere" label="Its probe stood in" kind="choice" options={options(METER_WORDS)} />
          <Field name="place" label="Where to" optional among={places} placeholder="Drawer 1" />
        </div>
        <Field name="note" label="How it feels and tastes" optional />
      </OperationForm>
    </section>
    {#if running.settings}
      <Fold
        class="sheet"
        open={paused}
        title={paused ? 'Paused: take it up again' : 'Pause it, shorten it, give it more'}
      >
        <OperationForm
          operation="change-cure"
          piece={view.piece}
          also={{ change: paused && 'resume' }}
          submit={paused ? 'Back into it' : 'Change it'}
          tone={paused ? 'ember' : 'plain'}
        >
          {#if !paused}
            <Field
              name="change"
              label="Change"
              kind="choice"
              bind:value={change}
              options={{
                left: 'so much longer from now (0: this stage ends)',
                pause: 'lift it out, and keep what it lay in'
              }}
            />
            {#if change === 'left'}
              <Field name="hours" label="From now" kind="quantity" units={['h', 'min']} />
            {/if}
          {/if}
          <Field name="note" label="Why" optional />
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
