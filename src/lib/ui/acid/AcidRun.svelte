<script lang="ts">
  import { lookAt, type AcidBand, type AcidResult, type AcidSettings } from '$lib/core/bench/acid/plan.ts';
  import { acidNow, type AcidRun } from '$lib/core/record/state.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { PieceView } from '$lib/server/piece-view.ts';
  import { LIQUID_WORDS, LOOK_WORDS } from '$lib/words/acid.ts';
  import { openAcidWorker } from '$lib/workers/acid.ts';
  import { onMount, untrack } from 'svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { clockTime, dayAndTime, formatDuration, formatLength, until } from '../format.ts';
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
  const settings = $derived<AcidSettings>({ ...plan.settings, pace: forecast.pace });
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
  const pastAt = $derived(at(forecast.past?.likely));
  const poured = $derived(
    plan.settings.liquid
      .map(({ what, id, ml }) => `${Math.round(ml)} ml ${what === 'sour' ? (LIQUID_WORDS[id!] ?? id) : what}`)
      .join(', ')
  );
  function touched(rawMm: number) {
    [raw, rawUnit] = [rawMm.toFixed(1), 'mm'];
  }
</script>

<div class="two">
  <section class="sheet" data-running data-simulated={result ? 'yes' : 'no'}>
    <h2>{view.piece.made.name} in acid</h2>
    <p>Since {dayAndTime(run.at, zone)}: {poured}; wanted {LOOK_WORDS[plan.settings.wanted]}.</p>
    <div class="figures">
      <p class="figure">{formatDuration(seconds)} <small>in it</small></p>
      {#if readyAt !== null}
        <p class="figure" data-ready>
          {until(readyAt, now).replace('late', 'ago')}
          <small
            >ready {clockTime(readyAt, zone)}, {formatDuration(forecast.ready!.low)} to {formatDuration(
              forecast.ready!.high
            )}</small
          >
        </p>
      {:else}<p class="figure">never <small>as wanted: the acid runs out first</small></p>{/if}
      {#if pastAt !== null}<p class="figure">{clockTime(pastAt, zone)} <small>past its best</small></p>{/if}
    </div>
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
      {#if scrubbed !== null}<button type="button" class="back" onclick={() => (scrubbed = null)}>Back to now</button
        >{/if}
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
      White is a look. Acid kills no worms and no germs: this piece opens and closes as a raw one does.
    </p>
  </section>
  <div class="side">
    <section class="sheet">
      <h2>Cut one</h2>
      <p class="soft">How wide is its raw middle? Type it, or touch the drawing where raw begins.</p>
      <OperationForm
        operation="check-acid"
        subject={view.piece.id}
        seen={view.piece.lastSeq}
        submit="Put the forecast right"
      >
        <input type="hidden" name="piece" value={view.piece.id} />
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
      <h2>Out of it</h2>
      <OperationForm
        operation="end-acid"
        subject={view.piece.id}
        seen={view.piece.lastSeq}
        submit="Lift it out"
        tone={readyAt !== null && readyAt <= now ? 'ember' : 'plain'}
      >
        <input type="hidden" name="piece" value={view.piece.id} />
        <Field
          name="how"
          label="Then"
          kind="choice"
          options={[
            { value: 'drained', name: 'drained, kept cold apart from its liquid' },
            { value: 'served', name: 'served from it at once' }
          ]}
        />
        <div class="row">
          <Field name="massAfter" label="Weight now" kind="quantity" units={massUnits(units)} optional />
          <Field name="place" label="Where to" optional list="after-acid" placeholder="Drawer 1" />
        </div>
        <datalist id="after-acid"
          >{#each places as place (place.id)}<option value={place.name}></option>{/each}</datalist
        >
        <Field name="note" label="How it looks and tastes" optional />
      </OperationForm>
    </section>
  </div>
</div>
<p class="caution">Guidance only: your local code and licensed practice decide.</p>

<style>
  .two {
    display: grid;
    grid-template-columns: minmax(0, 1.3fr) minmax(300px, 1fr);
    gap: 1.2rem;
    align-items: start;
    margin-bottom: 1rem;
  }
  .side {
    display: grid;
    gap: 0.8rem;
    min-width: 0;
  }
  .figures {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 2rem;
    margin: 0.6rem 0;
  }
  .row {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
    gap: 0.7rem;
  }
  .back {
    min-height: 48px;
    padding: 0 0.9rem;
    border: 1px solid var(--strong-line);
    border-radius: 3px;
  }
  .still {
    margin-top: 0.6rem;
    font-weight: 600;
  }
  @media (max-width: 1000px) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
