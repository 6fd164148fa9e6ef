<script lang="ts">
  import Button from '$lib/ui/kit/Button.svelte';
  import { safety } from '$lib/words/safety.ts';
  import { lookAt, type AcidBand, type AcidResult, type AcidSettings } from '$lib/core/bench/acid/plan.ts';
  import { acidSettings } from '$lib/core/bench/acid/settings.ts';
  import { acidNow, type AcidRun } from '$lib/core/activity/acid/fold.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import { LIQUID_WORDS, LOOK_WORDS } from '$lib/words/acid.ts';
  import { openAcidWorker } from '$lib/workers/acid.ts';
  import { onMount, untrack } from 'svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { clockTime, dayAndTime, formatDuration, formatLength, formatMass, moment, until } from '../format.ts';
  import { Simulation } from '../simulation.svelte.ts';
  import { lengthUnits, massUnits } from '../units.ts';
  import AcidSection from './AcidSection.svelte';

  /** A piece in acid: its rim growing by the clock, one cut open to put the forecast right, and out. */
  let {
    view,
    run,
    places,
    names,
    units,
    zone,
    now
  }: {
    view: PieceView;
    run: AcidRun;
    places: readonly { id: string; name: string }[];
    names: Readonly<Record<string, string>>;
    units: UnitPreferences;
    zone: string;
    now: number;
  } = $props();

  const plan = $derived(run.plan);
  const forecast = $derived(acidNow(run));
  const settings = $derived<AcidSettings>({ ...acidSettings(plan.set, plan.subject), pace: forecast.pace });
  let simulation = $state.raw<Simulation<AcidSettings, AcidResult, AcidBand> | null>(null);
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
    <h2>{view.piece.made.name} in acid</h2>
    <p>Since {dayAndTime(run.at, zone)}: {poured}; wanted {LOOK_WORDS[plan.set.wanted]}.</p>
    <div class="figures">
      <p class="figure">{formatDuration(seconds)} <small>in it</small></p>
      {#if readyAt !== null}
        <p class="figure" data-ready>
          {until(readyAt, now).replace('late', 'ago')}
          <small
            >ready {clockTime(readyAt, zone)}, {formatDuration(forecast.ready!.low)} to {formatDuration(
              forecast.ready!.high
            )}{(forecast.never ?? 0) >= 0.005 ? `; may never (${Math.round(forecast.never! * 100)} of 100)` : ''}</small
          >
        </p>
      {:else}<p class="figure">never <small>as wanted: the acid runs out first</small></p>{/if}
      {#if pastAt !== null}<p class="figure">{moment(pastAt, now, zone)} <small>past its best</small></p>{/if}
      {#if later}
        <p class="figure" data-later>
          {laterAt === null ? 'never' : moment(laterAt, now, zone)}
          <small>{LOOK_WORDS[later.wanted]}, for those who want it less raw</small>
        </p>
      {/if}
    </div>
    {#each run.lifted as part (part.seq)}
      <p class="soft" data-lifted>
        {clockTime(part.at, zone)}: {formatMass(part.mass.si, units)} lifted, {LOOK_WORDS[part.look]}:
        <a class="link" href="/acid?piece={part.child}">{part.child}</a>
      </p>
    {/each}
    {#if pastAt !== null && pastAt <= now}<p class="trouble">
        Past its best: lift it out now, or call it another dish.
      </p>{/if}
    {#if result && look}
      <AcidSection
        {result}
        faces={settings.faces}
        {units}
        seconds={scrubbed ?? seconds}
        until={Math.max(600, seconds * 1.5, (forecast.past?.likely ?? 3600) * 1.3)}
        onscrub={(to) => (scrubbed = to)}
        ontouch={touched}
      />
      {#if scrubbed !== null}<Button onclick={() => (scrubbed = null)}>Back to now</Button>{/if}
    {:else}<p class="soft">Computing …</p>{/if}
    {#each run.checks as check (check.seq)}
      <p class="soft" data-check>
        {clockTime(check.at, zone)}, {names[check.by] ?? check.by}: raw middle {formatLength(check.rawMm, units)}; the
        forecast goes
        {check.pace >= 1 ? `${check.pace.toFixed(2)} times as fast` : `at ${check.pace.toFixed(2)} of its pace`} from there{check.note
          ? ` (${check.note})`
          : ''}.
      </p>
    {/each}
    <p class="still">
      {safety('acid')}
    </p>
  </section>
  <div class="stack">
    <section class="sheet">
      <h2>Cut one</h2>
      <p class="soft">How wide is its raw middle? Type it, or touch the drawing where raw begins.</p>
      <OperationForm operation="check-acid" piece={view.piece} submit="Put the forecast right">
        <Field
          name="raw"
          label="Raw middle"
          kind="quantity"
          units={lengthUnits(units)}
          bind:value={raw}
          bind:unit={rawUnit}
        />
        <Field name="note" label="Note" optional />
      </OperationForm>
    </section>
    <section class="sheet">
      <h2>Some of it now</h2>
      <p class="soft">
        {later
          ? `The part that is wanted ${LOOK_WORDS[plan.set.wanted]}; the rest stays in.`
          : 'Lifted out as a piece of its own; the rest stays in for guests who want it less raw.'}
      </p>
      <OperationForm operation="lift-acid" piece={view.piece} submit="Lift this much">
        <div class="fields">
          <Field
            name="mass"
            label="How much"
            kind="quantity"
            units={massUnits(units)}
            hint="of {formatMass(view.piece.grams, units)}"
          />
          <Field name="place" label="Where to" optional among={places} />
        </div>
      </OperationForm>
    </section>
    <section class="sheet">
      <h2>Out of it</h2>
      <OperationForm
        operation="end-acid"
        piece={view.piece}
        submit="Lift it out"
        tone={readyAt !== null && readyAt <= now ? 'ember' : 'plain'}
      >
        <Field
          name="how"
          label="Then"
          kind="choice"
          options={{ drained: 'drained, kept cold apart from its liquid', served: 'served from it at once' }}
        />
        <div class="fields">
          <Field name="massAfter" label="Weight now" kind="quantity" units={massUnits(units)} optional />
          <Field name="place" label="Where to" optional among={places} placeholder="Drawer 1" />
        </div>
        <Field
          name="liquid"
          label="Liquid kept for a sauce"
          kind="quantity"
          units={massUnits(units)}
          optional
          hint="A piece of its own: it carries this fish’s verdict, and is used within a day."
        />
        <Field name="note" label="How it looks and tastes" optional />
      </OperationForm>
    </section>
  </div>
</div>
<p class="caution">Guidance only: your local code and licensed practice decide.</p>

<style>
  .still {
    margin-top: 0.6rem;
    font-weight: 600;
  }
</style>
