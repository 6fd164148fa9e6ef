<script lang="ts">
  import FreezeLog from '$lib/ui/charts/FreezeLog.svelte';
  import { thickest } from '$lib/core/bench/breakdown/depth.ts';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import PiecePick from '$lib/ui/controls/PiecePick.svelte';
  import { dayAndTime, formatDuration, formatTemperature } from '$lib/ui/format.ts';
  import WindowLine from '$lib/ui/marks/WindowLine.svelte';
  import { lengthUnits, startWith, temperatureUnits } from '$lib/ui/units.ts';
  import type { Band } from '$lib/core/random.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const view = $derived(data.view);
  const zone = $derived(data.house.zone);
  const units = $derived(data.house.units);
  const now = $derived(houseNow());
  const running = $derived(view?.freeze && view.freeze.run.ended === null ? view.freeze : null);
  const judged = $derived(
    running?.results.find(({ cycle }) => cycle.id === running.run.plan.cycle) ?? running?.results[0]
  );
  const raw = $derived(view?.verdict.windows.find(({ route }) => route === 'raw'));
  const names = $derived(Object.fromEntries(data.people.map(({ id, name }) => [id, name])));
  const cycles = $derived(
    data.cycles.map((cycle) => ({
      value: cycle.id,
      name: `${cycle.solidAt ? `solid at ${formatTemperature(cycle.solidAt.c, units)}, then ` : ''}${formatTemperature(cycle.hold.c, units)} for ${formatDuration(cycle.holdSeconds)} (${cycle.rule})`
    }))
  );

  // svelte-ignore state_referenced_locally
  const [firstAir, firstUnit] = startWith('temperature', -25, data.house.units);
  // svelte-ignore state_referenced_locally
  const [firstCore] = startWith('temperature', 2, data.house.units);
  let air = $state(firstAir);
  let airUnit = $state(firstUnit);
  let airClass = $state('fan');
  let packing = $state('film');
  let thickness = $state('');
  let thicknessUnit = $state<string>();
  let startCore = $state(firstCore);
  let startUnit = $state(firstUnit);
  let cycle = $state('');
  let forecast = $state.raw<{ arrival: Band | null; target: number } | null>(null);
  let trouble = $state('');
  $effect(() => {
    cycle ||= data.cycles[0]?.id ?? '';
  });
  $effect(() => {
    const mm = thickest(view?.piece.depth ?? null) ?? view?.piece.made.thicknessMm;
    if (mm) [thickness, thicknessUnit] = startWith('length', mm, data.house.units);
    else thickness = '';
  });
  $effect(() => {
    if (!view || running || thickness === '') return void (forecast = null);
    const with_ = (text: string, unit: string | undefined) => (/[a-z°]/i.test(text) ? text : `${text} ${unit}`);
    const asked = new URLSearchParams({
      air: with_(air, airUnit ?? '°C'),
      airClass,
      packing,
      thickness: with_(thickness, thicknessUnit ?? 'mm'),
      startCore: with_(startCore, startUnit ?? '°C'),
      cycle
    });
    const timer = setTimeout(async () => {
      const answer = await fetch(`/api/v1/preview/freeze?${asked}`);
      const body = await answer.json();
      forecast = answer.ok ? body : null;
      trouble = answer.ok ? '' : body.detail;
    }, 150);
    return () => clearTimeout(timer);
  });
</script>

<h1>Freeze</h1>
<PiecePick pieces={data.pieces} chosen={data.chosen} empty="Nothing to freeze yet." />
{#if view && running && judged}
  <div class="two">
    <section class="sheet">
      <div class="title">
        <h2>{view.piece.made.name} in {running.run.plan.place}</h2>
        {#if raw}<WindowLine window={raw} {now} warnSeconds={data.house.warnMinutes * 60} {zone} />{/if}
      </div>
      <div class="figures">
        <p class="figure">
          {formatDuration(judged.heldSeconds)} <small>proven of {formatDuration(judged.cycle.holdSeconds)}</small>
        </p>
        <p class="figure">
          {formatDuration(Math.max(0, judged.cycle.holdSeconds - judged.heldSeconds))} <small>still to prove</small>
        </p>
      </div>
      <FreezeLog
        run={running.run}
        threshold={judged.cycle.hold.c}
        holdFrom={judged.holdFrom}
        needSeconds={judged.cycle.holdSeconds}
        {now}
        {zone}
        {units}
      />
      {#each judged.excursions as excursion (excursion.seq)}
        <p class="trouble">
          {formatTemperature(excursion.celsius, units)} on {dayAndTime(excursion.at, zone)}: above {formatTemperature(
            judged.cycle.hold.c,
            units
          )}. The hold started anew.
        </p>
      {/each}
      {#each judged.gaps as gap (gap.from)}
        <p class="trouble">
          No reading from {dayAndTime(gap.from, zone)} to {dayAndTime(gap.to, zone)}: unknown is not cold. The hold
          started anew.
        </p>
      {/each}
      <table class="plain">
        <thead><tr><th>Cycle</th><th>Proven</th><th>Complete</th></tr></thead>
        <tbody>
          {#each running.results as result (result.cycle.id)}
            <tr>
              <td>{cycles.find(({ value }) => value === result.cycle.id)?.name}</td>
              <td>{formatDuration(result.heldSeconds)}</td>
              <td>{result.satisfiedAt ? dayAndTime(result.satisfiedAt, zone) : 'not yet'}</td>
            </tr>
          {/each}
        </tbody>
      </table>
      <p class="soft small">
        Counted by the {judged.clock} clock, readings taken {judged.accuracy === 'strict'
          ? 'strictly: ±0.5 °C added'
          : 'plainly'}; {judged.cycle.citation}. “Solid” is a core at or below −18 °C, this product’s own definition.
        {#if running.run.plan.coreArrival}
          Forecast for the core: {dayAndTime(running.run.at + running.run.plan.coreArrival.low * 1000, zone)} to {dayAndTime(
            running.run.at + running.run.plan.coreArrival.high * 1000,
            zone
          )} (Pham 1986).
        {:else}The air was too warm for the core ever to arrive by forecast; only core readings count.{/if}
      </p>
    </section>
    <div class="side">
      <section class="sheet">
        <h2>Reading now</h2>
        <OperationForm
          operation="read-freeze"
          subject={view.piece.id}
          seen={view.piece.lastSeq}
          submit="Write it down"
          tone="ember"
        >
          <input type="hidden" name="piece" value={view.piece.id} />
          <Field name="reading" label="Reading" kind="quantity" units={temperatureUnits(units)} />
          <Field
            name="probe"
            label="Taken in"
            kind="choice"
            value="core"
            options={[
              { value: 'core', name: 'the core of the thickest piece' },
              { value: 'air', name: 'the air of the freezer' }
            ]}
          />
          <Field name="at" label="When" kind="time" optional hint="Empty means now." />
        </OperationForm>
      </section>
      <details class="sheet">
        <summary>Take it out to thaw</summary>
        <OperationForm operation="end-freeze" subject={view.piece.id} seen={view.piece.lastSeq} submit="Take it out">
          <input type="hidden" name="piece" value={view.piece.id} />
          <Field name="note" label="Where to" optional />
        </OperationForm>
      </details>
      <section class="sheet">
        <h2>Readings</h2>
        <table class="plain">
          <tbody>
            {#each [...running.run.readings].reverse() as reading (reading.seq)}
              <tr>
                <td class="soft">{dayAndTime(reading.at, zone)}</td>
                <td
                  >{formatTemperature(reading.celsius, units)}
                  <span class="soft">{reading.probe}, as typed “{reading.typed}”</span></td
                >
                <td class="soft">{names[reading.by] ?? reading.by}</td>
              </tr>
            {:else}<tr><td class="soft">None yet: the clock has not begun.</td></tr>{/each}
          </tbody>
        </table>
      </section>
    </div>
  </div>
{:else if view}
  <div class="two">
    <section class="sheet">
      <h2>Put {view.piece.made.name} in a freezer</h2>
      <OperationForm
        operation="start-freeze"
        subject={view.piece.id}
        seen={view.piece.lastSeq}
        submit="Into the freezer"
        tone="ember"
      >
        <input type="hidden" name="piece" value={view.piece.id} />
        <div class="row">
          <Field name="place" label="Freezer" placeholder="Chest freezer" />
          <Field name="cycle" label="Cycle of the rule book" kind="choice" options={cycles} bind:value={cycle} />
          <Field
            name="air"
            label="Freezer air"
            kind="quantity"
            units={temperatureUnits(units)}
            bind:value={air}
            bind:unit={airUnit}
          />
          <Field
            name="airClass"
            label="How the air moves"
            kind="choice"
            bind:value={airClass}
            options={[
              { value: 'still', name: 'still (chest, upright)' },
              { value: 'fan', name: 'fan' },
              { value: 'blast', name: 'blast' }
            ]}
          />
          <Field
            name="packing"
            label="Packed"
            kind="choice"
            bind:value={packing}
            options={[
              { value: 'bare', name: 'bare on a rack' },
              { value: 'film', name: 'in film' },
              { value: 'boxed', name: 'in a box' }
            ]}
          />
          <Field
            name="thickness"
            label="Thickest point"
            hint={view.piece.depth ? 'of its measured depth' : ''}
            kind="quantity"
            units={lengthUnits(units)}
            bind:value={thickness}
            bind:unit={thicknessUnit}
          />
          <Field
            name="startCore"
            label="Core now"
            kind="quantity"
            units={temperatureUnits(units)}
            bind:value={startCore}
            bind:unit={startUnit}
          />
        </div>
      </OperationForm>
    </section>
    <section class="sheet" aria-live="polite">
      <h2>When the core arrives</h2>
      {#if forecast?.arrival}
        <p class="figure">
          {formatDuration(forecast.arrival.likely)}
          <small>likely, to {formatTemperature(forecast.target, units)}</small>
        </p>
        <p>
          Between {formatDuration(forecast.arrival.low)} and {formatDuration(forecast.arrival.high)}. The slow end
          counts until a core reading says better.
        </p>
        <p class="soft small">
          Pham (1986), a slab frozen from both faces; band from 200 draws over air, packing and method.
        </p>
      {:else if forecast}
        <p class="trouble">
          This freezer cannot do it: its air has to be at least 1 °C colder than {formatTemperature(
            forecast.target,
            units
          )}. Ask for a colder set point.
        </p>
      {:else}
        <p class="soft">{trouble || 'Give the thickness, and the forecast stands here.'}</p>
      {/if}
      <p class="caution">
        The clock starts when the core is at temperature, not when the door shuts. Salt, lime, vinegar, wasabi and
        spirits kill no worms. Guidance only: your local code decides.
      </p>
    </section>
  </div>
{/if}
<details class="sheet log">
  <summary>Keep a sensor’s log</summary>
  <OperationForm operation="store-readings" submit="Keep it">
    <Field name="sensor" label="Sensor" placeholder="Chest freezer, air" />
    <Field name="log" label="Readings: a line each, time then °C" kind="long" placeholder="2026-03-12T18:00, -22.4" />
  </OperationForm>
  {#if data.days.length > 0}
    <p class="soft">Kept: {data.days.map(({ sensor, day }) => `${sensor} ${day}`).join(', ')}</p>
  {/if}
</details>

<style>
  .two {
    display: grid;
    grid-template-columns: minmax(0, 1.35fr) minmax(300px, 1fr);
    gap: 1.2rem;
    align-items: start;
  }
  .title {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 0.4rem 1rem;
  }
  .figures {
    display: flex;
    gap: 2.2rem;
    flex-wrap: wrap;
    margin: 0.6rem 0;
  }
  .side {
    display: grid;
    gap: 0.8rem;
  }
  .row {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(210px, 1fr));
    gap: 0.8rem;
  }
  .small {
    font-size: 0.9rem;
    margin-top: 0.5rem;
  }
  .caution {
    margin-top: 1rem;
  }
  .trouble {
    margin-top: 0.5rem;
  }
  summary {
    font-weight: 700;
    cursor: pointer;
    min-height: 32px;
  }
  .log {
    margin-top: 1.2rem;
  }
  @media (max-width: 1000px) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
