import { excursionsOf } from '../../core/log/excursions.ts';
import type { LogBook } from '../../core/log/holding.ts';
import { effectiveEvents } from '../../core/record/amend.ts';
import type { BodyOf, RecordEvent } from '../../core/record/events.ts';
import type { Place } from '../../core/activity/cold/fold.ts';
import type { HouseState } from '../../core/record/house.ts';
import { judgeRun } from '../../core/rules/freezer-run.ts';
import type { RuleProfile, ScaleLimit } from '../../core/codes/profile.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import type { ProjectedPiece } from '../../core/service/hands.ts';
import { READY_MS } from '../store/logs.ts';
import type { Store } from '../store/store.ts';

type Closed = BodyOf<'excursion.closed'> & { readonly by: string; readonly at: number; readonly seq: number };
/** Something a log shows that somebody has to answer, with what lay there. */
export interface PlaceExcursion {
  /** Under which the answer stands in the ledger. */
  readonly subject: string;
  readonly place: string;
  readonly kind: BodyOf<'excursion.closed'>['kind'];
  readonly from: number;
  readonly to: number | null;
  readonly peak: number | null;
  /** Limit it passed, °C; null where there is none to pass. */
  readonly limit: number | null;
  readonly pieces: readonly string[];
  /** Why readings were not believed; an empty text for the rest. */
  readonly cause: string;
  readonly closed: Closed | null;
}

/** The air above which a place is too warm: the house's own figure, else the profile's for its kind. */
export function limitOf(place: Pick<Place, 'kind' | 'warnAbove'>, profile: RuleProfile): ScaleLimit {
  if (place.warnAbove) return { c: place.warnAbove.si, f: (place.warnAbove.si * 9) / 5 + 32 };
  return place.kind === 'freezer' || place.kind === 'blast' ? profile.receiveFrozen : profile.coldHold;
}

/** What was dealt with and not taken back. */
const closedUnder = (events: readonly RecordEvent[]): Closed[] =>
  effectiveEvents(events).flatMap((event) =>
    event.kind === 'excursion.closed' ? [{ ...event.body, by: event.actor, at: event.happened, seq: event.seq }] : []
  );

const lies = (piece: ProjectedPiece, place: string, from: number, to: number) =>
  piece.state.stays.some((stay) => stay.place === place && stay.from <= to && (stay.to ?? Infinity) >= from);

/** Holds of freezer runs that a reading broke, or a silence: by place and moment, with the pieces they concern. */
function brokenHolds(
  store: Store,
  house: HouseState,
  profile: RuleProfile,
  live: readonly ProjectedPiece[],
  now: number
) {
  const found = new Map<string, PlaceExcursion & { pieces: string[] }>();
  const logs = store.projections.logs.book(now, now);
  for (const { state, lot } of live) {
    const run = state.freezes.at(-1);
    // What was taken out unanswered is still to be answered.
    if (!run || (run.ended && now - run.ended.at > READY_MS)) continue;
    const cycles = profile.parasites.cycles.filter(({ id }) => id === run.plan.cycle);
    for (const result of judgeRun({ profile, house, logs, at: now, lot, chain: [state] }, run, cycles)) {
      for (const each of result.excursions) {
        const key = `${run.plan.place} ${each.at}`;
        const known = found.get(key);
        if (known) {
          known.pieces.push(state.id);
          continue;
        }
        const place = Object.values(house.places).find(({ name }) => name === run.plan.place);
        found.set(key, {
          subject: `place:${place?.id ?? run.plan.place.toLowerCase().replace(/[^a-z0-9]+/g, '-')}`,
          place: run.plan.place,
          kind: 'hold',
          from: each.at,
          to: each.over || run.ended ? each.until : null,
          peak: each.peak,
          limit: result.cycle.hold.c,
          pieces: [state.id],
          cause: '',
          closed: null
        });
      }
    }
  }
  return [...found.values()];
}

/** Readings that were kept apart, one entry of the ledger each. */
function quarantined(store: Store, house: HouseState): PlaceExcursion[] {
  return store.record.list({ kind: 'readings.quarantined', limit: 300 }).flatMap((event) => {
    if (event.kind !== 'readings.quarantined') return [];
    const { place, sensor, cause, count } = event.body;
    const id = Object.values(house.places).find(({ name }) => name === place)?.id;
    return [
      {
        subject: `place:${id ?? `sensor-${sensor}`}`,
        place: place || sensor,
        kind: 'quarantine' as const,
        from: event.happened,
        to: event.happened,
        peak: null,
        limit: count,
        pieces: [],
        cause,
        closed: null
      }
    ];
  });
}

interface Remembered {
  readonly logs: LogBook;
  readonly seq: number;
  readonly minute: number;
  readonly found: PlaceExcursion[];
}
/** What was found last, until an entry, a reading or the next minute may change it: every screen asks. */
const remembered = new WeakMap<Store, Remembered>();

/**
 * All that the logs of the last weeks show and somebody has to answer, or has answered, newest first. Worked out from the
 * readings: what is closed is known by its place, kind and beginning.
 *
 * @param now ms
 */
export function excursionsIn(store: Store, now: number): readonly PlaceExcursion[] {
  const logs = store.projections.logs.book(now, now);
  const { seq } = store.record.head();
  const minute = Math.floor(now / 60_000);
  const last = remembered.get(store);
  if (last && last.logs === logs && last.seq === seq && last.minute === minute) return last.found;
  const found = workedOut(store, now);
  remembered.set(store, { logs, seq, minute, found });
  return found;
}

function workedOut(store: Store, now: number): PlaceExcursion[] {
  const { projections, record } = store;
  const house = projections.currentHouse();
  const profile = profileById(house.profile, house.profiles);
  const live = projections.livePieces();
  const logs = projections.logs.book(now, now);
  const all: PlaceExcursion[] = [...brokenHolds(store, house, profile, live, now), ...quarantined(store, house)];
  for (const place of Object.values(house.places)) {
    const log = place.cold ? logs.place(place.name) : null;
    if (!log) continue;
    const isWatched = projections.logs.sensorsAt(place.name).length > 0;
    const limit = limitOf(place, profile);
    const watch = { limit, graceMs: place.graceMinutes * 60_000, until: now };
    for (const each of excursionsOf(log, watch)) {
      // A sensor that was taken away is not silent.
      if (each.kind === 'silent' && each.to === null && !isWatched) continue;
      all.push({
        ...each,
        subject: `place:${place.id}`,
        place: place.name,
        limit: each.kind === 'warm' ? limit.c : null,
        pieces: live.filter((piece) => lies(piece, place.name, each.from, each.to ?? now)).map(({ state }) => state.id),
        cause: '',
        closed: null
      });
    }
  }
  const answered = new Map<string, Closed[]>();
  return all
    .map((each) => {
      if (!answered.has(each.subject)) answered.set(each.subject, closedUnder(record.eventsOf(each.subject)));
      const closed = answered
        .get(each.subject)!
        .find(({ kind, from, place }) => kind === each.kind && place === each.place && Math.abs(from - each.from) < 1);
      return { ...each, closed: closed ?? null };
    })
    .sort((a, b) => b.from - a.from);
}
