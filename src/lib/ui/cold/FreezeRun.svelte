<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common } from '$lib/words/screens/common.ts';
  import { freezeRun as t } from '$lib/words/screens/freeze.ts';
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { DAY } from '$lib/core/measure/spans.ts';
  import type { RouteWindow } from '$lib/core/codes/window.ts';
  import type { FreezeRunView } from '$lib/server/views/cold.ts';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import ColdLog from '../charts/ColdLog.svelte';
  import ThermalSection from '../charts/ThermalSection.svelte';
  import type { Track } from '../charts/cold-log.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import WindowLine from '../marks/WindowLine.svelte';
  import { startWith, temperatureUnits } from '../units.ts';

  /** A load in its freezer: what the readings prove, against what was forecast, and its release. */
  let {
    view,
    freeze,
    cycles,
    names,
    places,
    now,
    warnSeconds
  }: {
    view: PieceView;
    freeze: FreezeRunView;
    cycles: readonly { value: string; name: string }[];
    names: Readonly<Record<string, string>>;
    places: readonly { id: string; name: string }[];
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
    ...(freeze.air.length > 0 ? [{ name: t.airLogged, kind: 'air' as const, bins: freeze.air }] : []),
    ...(freeze.core.length > 0 ? [{ name: t.coreLogged, kind: 'core' as const, bins: freeze.core }] : [])
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
      { name: t.airLogged, kind: 'air', bins },
      ...(core ? [{ name: t.coreLogged, kind: 'core' as const, bins: core.bins }] : [])
    ];
  }
  const arrival = $derived((run.replan ?? run.plan).coreArrival);
  const warmerThanPlanned = $derived(
    freeze.airNow !== null && freeze.airNow > (run.replan ?? run.plan).air.si + 1 ? freeze.airNow : null
  );
  const replanAir = $derived(freeze.airNow === null ? ['', ''] : startWith('temperature', freeze.airNow));
</script>

<div class="halves main">
  <section class="sheet">
    <div class="title">
      <h2>{view.piece.made.name} in {run.plan.place}</h2>
      {#if raw}<WindowLine window={raw} {now} {warnSeconds} />{/if}
    </div>
    <div class="figures">
      <p class="figure">
        {say.span(judged.heldSeconds)} <small>{t.provenOf(say.span(judged.cycle.holdSeconds))}</small>
      </p>
      {#if judged.satisfiedAt === null}
        <p class="figure">
          {say.span(Math.max(0, judged.cycle.holdSeconds - judged.heldSeconds))} <small>{t.stillToProve}</small>
        </p>
      {:else}
        <p class="figure">{say.dayAndTime(judged.satisfiedAt)} <small>{t.complete}</small></p>
      {/if}
    </div>
    <ColdLog
      name="Log of {run.plan.place} since {say.dayAndTime(run.at)}"
      {tracks}
      {dots}
      curves={[
        ...(freeze.asRead ? [{ name: t.coreInTheAir, kind: 'read' as const, points: freeze.asRead.curve }] : []),
        { name: t.coreAsForecast, kind: 'planned' as const, points: freeze.planned.curve }
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
      load={tracks.length > 0 ? load : undefined}
    />
    {#each judged.excursions as excursion, index (index)}
      <p class="trouble" data-excursion>
        {t.onAboveTheHold(
          say.temperature(excursion.peak),
          say.dayAndTime(excursion.at),
          excursion.until > excursion.at ? t.aboveFor(say.span((excursion.until - excursion.at) / 1000)) : '',
          say.temperature(judged.cycle.hold.c)
        )}
      </p>
    {/each}
    {#each judged.gaps as gap, index (index)}
      <p class="trouble" data-gap>
        {t.noReadingFromTo(say.dayAndTime(gap.from), say.dayAndTime(gap.to))}
      </p>
    {/each}
    <h3>{t.cutThrough(freeze.asRead ? t.inTheAirAsIt : t.byTheForecast)}</h3>
    <ThermalSection
      pictures={(freeze.asRead ?? freeze.planned).pictures}
      shape={run.plan.stack > 1 ? 'slab' : run.plan.shape}
      thicknessMm={run.plan.thickness.si * run.plan.stack}
      target={freeze.target}
      at={(end - run.at) / 1000}
    />
    <h3>{t.whatItProvesBy}</h3>
    <div class="sideways">
      <Table data-ways>
        <thead><tr><th>{t.evidence}</th><th>{t.readingsTaken}</th><th>{t.proven}</th><th>{t.complete2}</th></tr></thead>
        <tbody>
          {#each freeze.ways as { clock, accuracy, result } (clock + accuracy)}
            <tr class:counts={clock === judged.clock && accuracy === judged.accuracy}>
              <td>{clock === 'core' ? t.coreOrTheSlow : t.airAlone}</td>
              <td
                >{accuracy === 'strict' ? t.strictlyCAdded(freeze.accuracy ?? 0.5) : t.plainly}{clock ===
                  judged.clock && accuracy === judged.accuracy
                  ? t.thisCounts
                  : ''}</td
              >
              <td>{say.span(result.heldSeconds)}</td>
              <td>{result.satisfiedAt ? say.dayAndTime(result.satisfiedAt) : t.notYet}</td>
            </tr>
          {/each}
        </tbody>
      </Table>
      <Table>
        <thead><tr><th>{t.cycle}</th><th>{t.proven}</th><th>{t.complete2}</th></tr></thead>
        <tbody>
          {#each freeze.results as result (result.cycle.id)}
            <tr>
              <td>{name(result.cycle.id)}</td>
              <td>{say.span(result.heldSeconds)}</td>
              <td>{result.satisfiedAt ? say.dayAndTime(result.satisfiedAt) : t.notYet}</td>
            </tr>
          {/each}
        </tbody>
      </Table>
    </div>
    <p class="soft small">
      {t.solidIsACore(judged.cycle.citation)}
      {#if arrival}{t.forecastForTheCore(
          say.dayAndTime(run.at + arrival.low * 1000),
          say.dayAndTime(run.at + arrival.high * 1000),
          run.replan ? t.madeAnew : '',
          say.temperature((run.replan ?? run.plan).air.si)
        )}
      {:else}{t.theAirWasToo}{/if}
      {#if freeze.asRead}
        {t.inTheAirAs(
          freeze.asRead.arrival ? t.arrives(say.dayAndTime(freeze.asRead.arrival)) : t.doesNotArrive,
          freeze.planned.arrival ? say.dayAndTime(freeze.planned.arrival) : 'never'
        )}
      {/if}
      {#if freeze.readings}{t.airAndCoreReadings(freeze.readings.air, freeze.readings.core)}{/if}
    </p>
  </section>
  <div class="stack">
    {#if !run.ended}
      {#if proven}
        <p class="ready" data-proven>
          {t.provenComplete(name(proven.cycle.id), say.dayAndTime(proven.satisfiedAt!))}
        </p>
      {/if}
      {#if warmerThanPlanned !== null}
        <section class="sheet">
          <h2>{t.theAirIsWarmer}</h2>
          <p>
            {t.onAverageInThe(say.temperature(warmerThanPlanned), say.temperature((run.replan ?? run.plan).air.si))}
          </p>
          <OperationForm operation="replan-freeze" piece={view.piece} submit={t.forecastAnew}>
            <Field
              name="air"
              label={t.airAsItIs}
              kind="quantity"
              units={temperatureUnits()}
              start={replanAir[0]}
              startUnit={replanAir[1]}
            />
          </OperationForm>
        </section>
      {/if}
      <section class="sheet">
        <h2>{t.readingNow}</h2>
        <OperationForm operation="read-freeze" piece={view.piece} submit={common.writeItDown} tone="ember">
          <Field name="reading" label={t.reading} kind="quantity" units={temperatureUnits()} />
          <Field
            name="probe"
            label={t.takenIn}
            kind="choice"
            start="core"
            options={{ core: t.theCoreOfThe, air: t.theAirOfThe }}
          />
          <Field name="at" label={common.when} kind="time" optional hint={common.emptyMeansNow} />
        </OperationForm>
      </section>
      <Fold class="sheet" open={proven !== null} title={t.takeItOut}>
        <p class="soft small">
          {t.toThawItWith(proven ? t.whatItsReadingsProve : t.itsReadingsProveNo)}
          <a class="link" href="/freeze/thaw?piece={view.piece.id}">{t.beginAThaw}</a>
          {t.instead}
        </p>
        <OperationForm operation="end-freeze" piece={view.piece} submit={proven ? t.releaseIt : t.takeItOutNot}>
          <Field name="place" label={common.whereTo} optional among={places} placeholder={common.drawer} />
          <Field name="note" label={common.note} optional />
        </OperationForm>
      </Fold>
    {/if}
    <p><a class="link" href="/freeze/record/{view.piece.id}">{t.theFreezingRecord}</a>{t.toPrintOrTo}</p>
    {#if freeze.mates.length > 0}
      <section class="sheet">
        <h2>{t.withItIn(run.plan.place)}</h2>
        <ul>
          {#each freeze.mates as mate (mate.id)}
            <li>
              <a class="link" href="/freeze?piece={mate.id}">{mate.name}</a>
              <span class="soft">{t.since(say.dayAndTime(mate.since))}</span>
            </li>
          {/each}
        </ul>
      </section>
    {/if}
    <section class="sheet">
      <h2>{t.readingsByHand}</h2>
      <Table>
        <tbody>
          {#each [...hand].sort((a, b) => b.at - a.at).slice(0, 40) as reading (reading.seq)}
            <tr>
              <td class="soft">{say.dayAndTime(reading.at)}</td>
              <td
                >{say.temperature(reading.celsius)}
                <span class="soft">{t.asTyped(reading.probe, reading.typed)}</span></td
              >
              <td class="soft">{names[reading.by] ?? reading.by}</td>
            </tr>
          {:else}<tr><td class="soft">{t.none(freeze.readings ? t.aLoggerSpeaksFor : t.theClockHasNot)}</td></tr>{/each}
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
