<script lang="ts">
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { DAY } from '$lib/core/measure/spans.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { RouteWindow } from '$lib/core/codes/window.ts';
  import type { FreezeRunView } from '$lib/server/views/cold.ts';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import ColdLog from '../charts/ColdLog.svelte';
  import ThermalSection from '../charts/ThermalSection.svelte';
  import type { Track } from '../charts/cold-log.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { dayAndTime, formatDuration, formatTemperature } from '../format.ts';
  import WindowLine from '../marks/WindowLine.svelte';
  import { startWith, temperatureUnits } from '../units.ts';

  /** A load in its freezer: what the readings prove, against what was forecast, and its release. */
  let {
    view,
    freeze,
    cycles,
    names,
    places,
    units,
    zone,
    now,
    warnSeconds
  }: {
    view: PieceView;
    freeze: FreezeRunView;
    cycles: readonly { value: string; name: string }[];
    names: Readonly<Record<string, string>>;
    places: readonly { id: string; name: string }[];
    units: UnitPreferences;
    zone: string;
    now: number;
    warnSeconds: number;
  } = $props();

  const run = $derived(freeze.run);
  const judged = $derived(freeze.results.find(({ cycle }) => cycle.id === run.plan.cycle) ?? freeze.results[0]!);
  const proven = $derived(freeze.results.find(({ satisfiedAt }) => satisfiedAt !== null) ?? null);
  const raw = $derived(
    view.verdict.windows.find(({ route }) => route === 'raw') as (RouteWindow & { state: never }) | undefined
  );
  const name = (id: string) => cycles.find(({ value }) => value === id)?.name ?? id;
  const end = $derived(run.ended?.at ?? now);
  const until = $derived(judged.holdFrom === null ? end : judged.holdFrom + judged.cycle.holdSeconds * 1000);
  const to = $derived(Math.max(end, Math.min(until, end + 14 * DAY)) + 600_000);
  const tracks = $derived<Track[]>([
    ...(freeze.air.length > 0 ? [{ name: 'air, logged', kind: 'air' as const, bins: freeze.air }] : []),
    ...(freeze.core.length > 0 ? [{ name: 'core, logged', kind: 'core' as const, bins: freeze.core }] : [])
  ]);
  const hand = $derived([...run.readings, ...freeze.hand.map((reading) => ({ ...reading, probe: 'air' as const }))]);
  const dots = $derived([
    { at: run.at, celsius: run.plan.startCore.si, probe: 'core' as const },
    ...hand.map(({ at, celsius, probe }) => ({ at, celsius, probe }))
  ]);
  const place = $derived(places.find((each) => each.name === run.plan.place));
  async function load(from: number, upTo: number): Promise<readonly Track[]> {
    if (!place) return tracks;
    const answer = await fetch(`/api/v1/places/${place.id}/log?from=${from}&to=${upTo}&points=600`);
    if (!answer.ok) return tracks;
    const { bins, sensors } = (await answer.json()) as {
      bins: Track['bins'];
      sensors: { sensor: string; bins: Track['bins'] }[];
    };
    const core = sensors.find(({ sensor }) => sensor === run.plan.coreSensor);
    return [
      { name: 'air, logged', kind: 'air', bins },
      ...(core ? [{ name: 'core, logged', kind: 'core' as const, bins: core.bins }] : [])
    ];
  }
  const arrival = $derived((run.replan ?? run.plan).coreArrival);
  const warmerThanPlanned = $derived(
    freeze.airNow !== null && freeze.airNow > (run.replan ?? run.plan).air.si + 1 ? freeze.airNow : null
  );
  const replanAir = $derived(freeze.airNow === null ? ['', ''] : startWith('temperature', freeze.airNow, units));
</script>

<div class="halves main">
  <section class="sheet">
    <div class="title">
      <h2>{view.piece.made.name} in {run.plan.place}</h2>
      {#if raw}<WindowLine window={raw} {now} {warnSeconds} {zone} />{/if}
    </div>
    <div class="figures">
      <p class="figure">
        {formatDuration(judged.heldSeconds)} <small>proven of {formatDuration(judged.cycle.holdSeconds)}</small>
      </p>
      {#if judged.satisfiedAt === null}
        <p class="figure">
          {formatDuration(Math.max(0, judged.cycle.holdSeconds - judged.heldSeconds))} <small>still to prove</small>
        </p>
      {:else}
        <p class="figure">{dayAndTime(judged.satisfiedAt, zone)} <small>complete</small></p>
      {/if}
    </div>
    <ColdLog
      name="Log of {run.plan.place} since {dayAndTime(run.at, zone)}"
      {tracks}
      {dots}
      curves={[
        ...(freeze.asRead
          ? [{ name: 'core in the air as read', kind: 'read' as const, points: freeze.asRead.curve }]
          : []),
        { name: 'core as forecast', kind: 'planned' as const, points: freeze.planned.curve }
      ].map((curve) => ({ ...curve, points: curve.points.filter(({ at }) => at <= to) }))}
      limit={judged.cycle.hold.c}
      held={judged.holdFrom === null
        ? null
        : { from: judged.holdFrom, proven: judged.holdFrom + judged.heldSeconds * 1000, until }}
      wrong={[
        ...judged.excursions.map(({ at, until: last }) => ({ from: at, to: Math.max(last, at + 60_000) })),
        ...judged.gaps
      ]}
      from={run.at}
      {to}
      {now}
      {zone}
      {units}
      load={tracks.length > 0 ? load : undefined}
    />
    {#each judged.excursions as excursion, index (index)}
      <p class="trouble" data-excursion>
        {formatTemperature(excursion.peak, units)} on {dayAndTime(excursion.at, zone)}{excursion.until > excursion.at
          ? `, above for ${formatDuration((excursion.until - excursion.at) / 1000)}`
          : ''}: above {formatTemperature(judged.cycle.hold.c, units)}. The hold started anew.
      </p>
    {/each}
    {#each judged.gaps as gap, index (index)}
      <p class="trouble" data-gap>
        No reading from {dayAndTime(gap.from, zone)} to {dayAndTime(gap.to, zone)}: unknown is not cold. The hold
        started anew.
      </p>
    {/each}
    <h3>Cut through, {freeze.asRead ? 'in the air as it was read' : 'by the forecast'}</h3>
    <ThermalSection
      pictures={(freeze.asRead ?? freeze.planned).pictures}
      shape={run.plan.stack > 1 ? 'slab' : run.plan.shape}
      thicknessMm={run.plan.thickness.si * run.plan.stack}
      target={freeze.target}
      {units}
      at={(end - run.at) / 1000}
    />
    <h3>What it proves, by either clock</h3>
    <div class="sideways">
      <Table data-ways>
        <thead><tr><th>Evidence</th><th>Readings taken</th><th>Proven</th><th>Complete</th></tr></thead>
        <tbody>
          {#each freeze.ways as { clock, accuracy, result } (clock + accuracy)}
            <tr class:counts={clock === judged.clock && accuracy === judged.accuracy}>
              <td>{clock === 'core' ? 'core, or the slow forecast by air' : 'air alone'}</td>
              <td
                >{accuracy === 'strict' ? `strictly, ± ${freeze.accuracy ?? 0.5} °C added` : 'plainly'}{clock ===
                  judged.clock && accuracy === judged.accuracy
                  ? ' · this counts'
                  : ''}</td
              >
              <td>{formatDuration(result.heldSeconds)}</td>
              <td>{result.satisfiedAt ? dayAndTime(result.satisfiedAt, zone) : 'not yet'}</td>
            </tr>
          {/each}
        </tbody>
      </Table>
      <Table>
        <thead><tr><th>Cycle</th><th>Proven</th><th>Complete</th></tr></thead>
        <tbody>
          {#each freeze.results as result (result.cycle.id)}
            <tr>
              <td>{name(result.cycle.id)}</td>
              <td>{formatDuration(result.heldSeconds)}</td>
              <td>{result.satisfiedAt ? dayAndTime(result.satisfiedAt, zone) : 'not yet'}</td>
            </tr>
          {/each}
        </tbody>
      </Table>
    </div>
    <p class="soft small">
      {judged.cycle.citation}. “Solid” is a core at or below −18 °C, this product’s own definition.
      {#if arrival}Forecast for the core: {dayAndTime(run.at + arrival.low * 1000, zone)} to {dayAndTime(
          run.at + arrival.high * 1000,
          zone
        )}{run.replan ? ', made anew' : ''}; the slow end counts for air readings, and does not run while the air reads
        more than 1 °C above the {formatTemperature((run.replan ?? run.plan).air.si, units)} it was made for.
      {:else}The air was too warm for the core ever to arrive by forecast; only core readings count.{/if}
      {#if freeze.asRead}
        In the air as it was read the likely core {freeze.asRead.arrival
          ? `arrives ${dayAndTime(freeze.asRead.arrival, zone)}`
          : 'does not arrive'}; as planned {freeze.planned.arrival
          ? dayAndTime(freeze.planned.arrival, zone)
          : 'never'}.
      {/if}
      {#if freeze.readings}{freeze.readings.air} air and {freeze.readings.core} core readings were logged.{/if}
    </p>
  </section>
  <div class="stack">
    {#if !run.ended}
      {#if proven}
        <p class="ready" data-proven>
          Proven: {name(proven.cycle.id)}, complete {dayAndTime(proven.satisfiedAt!, zone)}.
        </p>
      {/if}
      {#if warmerThanPlanned !== null}
        <section class="sheet">
          <h2>The air is warmer than planned</h2>
          <p>
            {formatTemperature(warmerThanPlanned, units)} on average in the last hours, {formatTemperature(
              (run.replan ?? run.plan).air.si,
              units
            )} in the forecast.
          </p>
          <OperationForm operation="replan-freeze" piece={view.piece} submit="Forecast anew">
            <Field
              name="air"
              label="Air, as it is"
              kind="quantity"
              units={temperatureUnits(units)}
              value={replanAir[0]}
              unit={replanAir[1]}
            />
          </OperationForm>
        </section>
      {/if}
      <section class="sheet">
        <h2>Reading now</h2>
        <OperationForm operation="read-freeze" piece={view.piece} submit="Write it down" tone="ember">
          <Field name="reading" label="Reading" kind="quantity" units={temperatureUnits(units)} />
          <Field
            name="probe"
            label="Taken in"
            kind="choice"
            value="core"
            options={{ core: 'the core of the thickest piece', air: 'the air of the freezer' }}
          />
          <Field name="at" label="When" kind="time" optional hint="Empty means now." />
        </OperationForm>
      </section>
      <Fold class="sheet" open={proven !== null} title="Take it out">
        <p class="soft small">
          {proven
            ? 'What its readings prove is written down with it.'
            : 'Its readings prove no cycle yet: out now, it is not cleared.'}
          To thaw it with a forecast, <a class="link" href="/freeze/thaw?piece={view.piece.id}">begin a thaw</a> instead.
        </p>
        <OperationForm
          operation="end-freeze"
          piece={view.piece}
          submit={proven ? 'Release it' : 'Take it out, not cleared'}
        >
          <Field name="place" label="Where to" optional among={places} placeholder="Drawer 1" />
          <Field name="note" label="Note" optional />
        </OperationForm>
      </Fold>
    {/if}
    <p><a class="link" href="/freeze/record/{view.piece.id}">The freezing record</a>, to print or to show.</p>
    {#if freeze.mates.length > 0}
      <section class="sheet">
        <h2>With it in {run.plan.place}</h2>
        <ul>
          {#each freeze.mates as mate (mate.id)}
            <li>
              <a class="link" href="/freeze?piece={mate.id}">{mate.name}</a>
              <span class="soft">since {dayAndTime(mate.since, zone)}</span>
            </li>
          {/each}
        </ul>
      </section>
    {/if}
    <section class="sheet">
      <h2>Readings by hand</h2>
      <Table>
        <tbody>
          {#each [...hand].sort((a, b) => b.at - a.at).slice(0, 40) as reading (reading.seq)}
            <tr>
              <td class="soft">{dayAndTime(reading.at, zone)}</td>
              <td
                >{formatTemperature(reading.celsius, units)}
                <span class="soft">{reading.probe}, as typed “{reading.typed}”</span></td
              >
              <td class="soft">{names[reading.by] ?? reading.by}</td>
            </tr>
          {:else}<tr
              ><td class="soft">None{freeze.readings ? '; a logger speaks for it' : ': the clock has not begun'}.</td
              ></tr
            >{/each}
        </tbody>
      </Table>
    </section>
  </div>
</div>

<style>
  h3 {
    font-weight: 700;
    margin-top: 0.8rem;
  }
  .counts td {
    font-weight: 650;
  }
  .trouble {
    margin-top: 0.5rem;
  }
  .ready {
    border-left: 4px solid var(--water);
    background: var(--sunk);
    padding: 0.5rem 0.9rem;
  }
</style>
