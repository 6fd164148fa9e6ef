import { scaleIntervalOf } from '../../core/bench/breakdown/mass.ts';
import { DAY } from '../../core/measure/spans.ts';
import { pullAdvice, type Advice } from '../../core/bench/age/advice.ts';
import { ageForecast, fitOf, lossBand, type AgeForecast } from '../../core/bench/age/forecast.ts';
import { missedDays, notPrepared } from '../../core/bench/age/looks.ts';
import { binned, between } from '../../core/log/series.ts';
import { running } from '../../core/record/occupation.ts';
import { type AgeRun } from '../../core/activity/age/fold.ts';
import { type HouseState } from '../../core/record/house.ts';
import { type PieceState } from '../../core/record/piece.ts';
import { verdict, type Verdict } from '../../core/rules/verdict.ts';
import { stateAt } from '../../core/codes/window.ts';
import type { Room } from '../room.ts';
import { costOfPiece, costsOf } from '../facts/costs.ts';
import { excursionsIn } from '../facts/excursions.ts';
import { presentOf } from './now.ts';
import { weightsOf } from '../facts/drying-prior.ts';
import { lossWanted } from '../../core/activity/age/plan.ts';

/** A rack nobody described: two rails of hooks, one above the other, would be too many for most cabinets. */
const PLAIN_RACK = { hooks: 6, shelves: 2, perShelf: 4 } as const;
/** Bins of the cabinet's log that are drawn. */
const BINS = 84;

/** Places of a cabinet, by name: hooks first, then shelf after shelf. */
export function spotsOf({ hooks, shelves, perShelf }: { hooks: number; shelves: number; perShelf: number }) {
  return {
    hooks: Array.from({ length: hooks }, (_, index) => `H${index + 1}`),
    shelves: Array.from({ length: shelves }, (_, shelf) =>
      Array.from({ length: perShelf }, (_, index) => `S${shelf + 1}.${index + 1}`)
    )
  };
}

export interface RackedPiece {
  readonly id: string;
  readonly name: string;
  readonly species: string;
  readonly seq: number;
  readonly run: AgeRun;
  readonly grams: number;
  readonly day: number;
  readonly forecast: AgeForecast;
  readonly advice: Advice;
  readonly missed: readonly string[];
  readonly unprepared: readonly string[];
  /** Signs that took it off the rack. */
  readonly stops: readonly { readonly field: string; readonly answer: string }[];
  readonly verdict: Pick<Verdict, 'windows' | 'reasons'>;
  readonly cost: {
    readonly lostGrams: number;
    /** In the house's currency, whole cents; null where nobody wrote a price down. */
    readonly lostCents: number | null;
    readonly perGramStart: number | null;
    readonly perGramNow: number | null;
    readonly currency: string;
  };
}

/** When the last of its raw routes closes: null for never, -Infinity where none is open. */
function lastRaw(windows: Verdict['windows'], now: number): number | null {
  const raw = windows.filter(
    ({ route, never, missing, proofDue }) =>
      (route === 'raw' || route === 'seared') && !never && !missing && (proofDue === null || proofDue > now)
  );
  if (raw.length === 0) return -Infinity;
  return raw.some(({ closes }) => closes === null) ? null : Math.max(...raw.map(({ closes }) => closes!));
}

function costOf(room: Room, id: string, lot: string, run: AgeRun, grams: number): RackedPiece['cost'] {
  const lostGrams = run.plan.mass.si - grams;
  const costs = costsOf(room, lot);
  const cost = costOfPiece(costs, id);
  const perGram = cost?.priced && cost.here > 0 ? cost.here : null;
  return {
    lostGrams,
    lostCents: perGram === null ? null : Math.round((perGram / run.plan.mass.si) * lostGrams),
    perGramStart: perGram === null ? null : perGram / run.plan.mass.si,
    perGramNow: perGram === null ? null : perGram / grams,
    currency: costs.currency
  };
}

/** One piece on a rack as its people ask about it: what it lost, when it is ready, for which service, and what speaks against it. */
export function rackedPiece(
  room: Room,
  state: PieceState,
  run: AgeRun,
  lot: string,
  species: string,
  now: number
): RackedPiece {
  const { store } = room;
  const house = store.projections.currentHouse();
  const interval = scaleIntervalOf(store.projections.currentHouse());
  const day = Math.min(120, Math.max(0, (now - run.at) / DAY));
  const weights = weightsOf(run);
  const fitted = fitOf(weights, run.plan.prior, interval);
  const forecast = ageForecast(weights, run.plan.prior, lossWanted(run.plan), day, interval, fitted);
  const logs = store.projections.logs.book(now, now);
  const judged = verdict(store.projections.lineages(state.id), house, now, now, undefined, logs);
  const stops = run.looks.flatMap((look) => look.stops);
  const read = fitted.sorted.used[0]!.grams;
  return {
    id: state.id,
    name: state.made.name,
    species,
    seq: state.lastSeq,
    run,
    grams: state.grams,
    day,
    forecast,
    advice: pullAdvice({
      now,
      target: lossWanted(run.plan),
      lossAt: (at) => lossBand(fitted.fit, read, Math.min(120, Math.max(0, (at - run.at) / DAY - fitted.from))),
      targetAt: forecast.targetDay === null ? null : run.at + forecast.targetDay.likely * DAY,
      closes: lastRaw(judged.windows, now),
      stopped: stops.length > 0,
      sittings: Object.values(house.services)
    }),
    missed: missedDays(
      run.at,
      run.looks.map(({ at }) => at),
      now,
      house
    ),
    unprepared: notPrepared(run.plan.kind, run.plan.prepared),
    stops,
    verdict: { windows: judged.windows, reasons: judged.reasons },
    cost: costOf(room, state.id, lot, run, state.grams)
  };
}

/** A cabinet: its places, its air in the last week, and what is open of it. */
function cabinetView(room: Room, place: string, house: HouseState, now: number) {
  const log = room.store.projections.logs.book(now, now).place(place);
  const from = now - 7 * DAY;
  const series = log ? between(log.series, from, now) : null;
  const count = series?.length ?? 0;
  const values = series ? Array.from(series.celsius) : [];
  const last = count > 0 ? { at: series!.at[count - 1]!, celsius: series!.celsius[count - 1]! } : null;
  return {
    place,
    id: Object.values(house.places).find(({ name }) => name === place)?.id ?? null,
    rack: house.racks[place] ?? { place, ...PLAIN_RACK },
    log: series && count > 0 ? { from, to: now, bins: binned(series, from, now, BINS) } : null,
    last,
    mean: count > 0 ? values.reduce((sum, value) => sum + value, 0) / count : null,
    peak: count > 0 ? Math.max(...values) : null,
    excursions: excursionsIn(room.store, now)
      .filter((each) => each.place === place && !each.closed)
      .map(({ kind, from: since, to, peak }) => ({ kind, from: since, to, peak }))
  };
}

/** The ageing racks of the house: cabinets, what hangs in them, and the services ahead. */
export function rackView(room: Room) {
  const { projections } = room.store;
  const now = presentOf(room);
  const house = projections.currentHouse();
  const warn = house.warnMinutes * 60;
  const pieces = projections
    .livePieces()
    .flatMap(({ state, lot }) => {
      const run = running(state.ages);
      return run ? [rackedPiece(room, state, run, lot.id, lot.received.species, now)] : [];
    })
    .sort((a, b) => a.run.at - b.run.at || a.id.localeCompare(b.id));
  const cabinets = new Set([
    ...Object.values(house.places)
      .filter(({ kind }) => kind === 'cabinet')
      .map(({ name }) => name),
    ...pieces.map(({ run }) => run.place)
  ]);
  return {
    at: now,
    rules: house.ageing,
    services: Object.values(house.services)
      .filter(({ at }) => at > now - DAY / 4)
      .sort((a, b) => a.at - b.at),
    cabinets: [...cabinets].sort().map((place) => cabinetView(room, place, house, now)),
    pieces: pieces.map((piece) => ({
      ...piece,
      states: piece.verdict.windows.map((window) => ({ route: window.route, state: stateAt(window, now, warn) }))
    }))
  };
}
export type RackView = ReturnType<typeof rackView>;
