import { DAY, HOUR } from '../../core/measure/spans.ts';
import { placeLog, type LogBook, type PlaceLog, type RunLog } from '../../core/log/holding.ts';
import { NO_READINGS, between, seriesOf, warmest, withHand, type Series } from '../../core/log/series.ts';
import { DEFAULT_LOGGED_GAP_SECONDS } from '../../core/bench/freeze/hold.ts';
import { effectiveEvents, versionsThatCount } from '../../core/record/amend.ts';
import type { RecordEvent } from '../../core/record/events.ts';
import type { Sensor } from '../../core/activity/cold/fold.ts';
import type { FreezeReading } from '../../core/activity/freeze/fold.ts';
import type { HouseState } from '../../core/record/house.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import type { RecordStore } from './record.ts';
import type { Readings } from './readings.ts';

/** How far back the air of a place is kept ready: longer than any fish keeps unfrozen. What lay there earlier asks for more. */
export const READY_MS = 35 * DAY;
const BEFORE_MS = DAY;

interface Asked {
  readonly at: number;
  readonly known: number;
  /** An entry of a place that is tried, and not written yet. */
  readonly tried?: RecordEvent;
}

/** A sensor at a place, from when to when. */
interface Post {
  readonly sensor: string;
  readonly probe: Sensor['probe'];
  /** ± °C, as it was known of it there. */
  readonly accuracy: number;
  readonly place: string;
  readonly from: number;
  to: number;
}

/**
 * Where every sensor the house ever had stood. One that was taken off the list still read what it read. What it read before
 * anybody said where it stood is taken as read where it was first put.
 */
function postsOf(events: readonly RecordEvent[]): Post[] {
  const last = new Map<string, Post>();
  const out: Post[] = [];
  for (const event of effectiveEvents(events)) {
    if (event.kind !== 'sensor.set') continue;
    const { id, probe, accuracy, withdrawn, place } = event.body;
    const before = last.get(id);
    if (before) before.to = event.happened;
    const from = before ? event.happened : -Infinity;
    const post = { sensor: id, probe, accuracy, place: withdrawn ? '' : place, from, to: Infinity };
    last.set(id, post);
    out.push(post);
  }
  return out;
}

const gapOf = (house: HouseState) =>
  (profileById(house.profile, house.profiles).parasites.loggedGapSeconds ?? DEFAULT_LOGGED_GAP_SECONDS) * 1000;

/** Where sensors stand and stood, and how places are called. */
function openPosts(record: RecordStore) {
  let books: { seq: number; posts: readonly Post[]; ids: ReadonlyMap<string, string> } | null = null;
  /** What the books of the house ever said of sensors and places. */
  function everSaid() {
    const seq = record.versionOf('house');
    if (books?.seq !== seq) {
      const events = record.eventsOf('house');
      const ids = events.flatMap((each) =>
        each.kind === 'place.set' ? [[each.body.name, each.body.id] as const] : []
      );
      books = { seq, posts: postsOf(events), ids: new Map(ids) };
    }
    return books;
  }

  /** Every sensor that ever stood there, with its time there. */
  const postsAt = (place: string, probe: Sensor['probe']) =>
    everSaid().posts.filter((post) => post.probe === probe && post.place === place);

  return { everSaid, postsAt };
}

/** Reads what was measured in a place, and puts it together. */
function logReader(record: RecordStore, readings: Readings, houseNow: () => HouseState) {
  const { everSaid, postsAt } = openPosts(record);
  function airBetween(place: string, from: number, to: number, house: HouseState, { known }: Asked): Series {
    const parts = postsAt(place, 'air').map((post) =>
      // A reading of the very moment it was moved is one of the place it left.
      readings.between(post.sensor, Math.max(from, post.from + 1), Math.min(to, post.to), known)
    );
    return warmest(parts, gapOf(house));
  }

  /** The thermometer of the place itself, read and written down. */
  function handBetween(place: string, from: number, to: number, { known, tried }: Asked): FreezeReading[] {
    const id = everSaid().ids.get(place);
    if (!id) return [];
    const written = record.eventsOf(`place:${id}`);
    const entries = tried?.subject === `place:${id}` ? [...written, tried] : written;
    // A reading that was struck without warrant stands beside the one that took its place: the warmer counts.
    return versionsThatCount(entries, known).flatMap((event) =>
      event.kind === 'place.read' && event.happened >= from && event.happened <= to
        ? [
            {
              seq: event.seq,
              by: event.actor,
              at: event.happened,
              celsius: event.body.reading.si,
              unit: event.body.reading.unit,
              typed: event.body.reading.typed,
              probe: 'air' as const
            }
          ]
        : []
    );
  }

  /** The newest entry that keeps readings of one of them; 0 where none is kept yet. */
  const seqOf = (sensors: readonly string[], { known }: Asked) =>
    Math.max(
      0,
      ...sensors.map((sensor) => {
        if (known === Infinity) return record.versionOf(`sensor:${sensor}`);
        return record.eventsOf(`sensor:${sensor}`).findLast(({ recorded }) => recorded <= known)?.seq ?? 0;
      })
    );

  function makePlace(place: string, from: number, asked: Asked): PlaceLog | null {
    const house = houseNow();
    const air = airBetween(place, from, asked.at, house, asked);
    const hand = handBetween(place, from, asked.at, asked);
    if (air.length + hand.length === 0) return null;
    const sensors = postsAt(place, 'air').map(({ sensor }) => sensor);
    const seqs = [seqOf(sensors, asked), ...hand.slice(-1).map(({ seq }) => seq)];
    return placeLog(
      withHand(air, seriesOf(hand)),
      gapOf(house),
      seqs.filter((seq) => seq > 0),
      air
    );
  }

  function makeRun(
    place: string,
    core: string,
    from: number,
    to: number,
    asked: Asked,
    ready: PlaceLog | null
  ): RunLog | null {
    const house = houseNow();
    const posts = postsAt(place, 'air').filter((post) => post.from < to && post.to > from);
    const hand = handBetween(place, from, to, asked);
    const air =
      ready && from >= asked.at - READY_MS
        ? between(ready.logged, from, to)
        : airBetween(place, from, to, house, asked);
    const inCore = core === '' ? NO_READINGS : readings.between(core, from, to, asked.known);
    if (air.length + inCore.length + hand.length === 0) return null;
    const probes = core === '' ? [] : everSaid().posts.filter((post) => post.sensor === core && post.from < to);
    const sensors = [...posts, ...probes.slice(-1)];
    return {
      air,
      core: inCore,
      hand,
      accuracy: sensors.length > 0 ? Math.max(...sensors.map(({ accuracy }) => accuracy)) : null,
      seq: seqOf(
        sensors.map(({ sensor }) => sensor),
        asked
      )
    };
  }

  return { everSaid, airBetween, handBetween, makePlace, makeRun };
}

/** Logs of places, by name and by how far back they reach. */
type Kept = Map<string, PlaceLog | null>;

/** What sensors and hands say of places, for judging: read from the packed days, put together once, kept until it changes. */
export function openLogs(record: RecordStore, readings: Readings, houseNow: () => HouseState) {
  const { everSaid, airBetween, handBetween, makePlace, makeRun } = logReader(record, readings, houseNow);

  /**
   * A book that remembers what it was asked.
   *
   * @param places what another book of the same hour put together, as far as it still stands
   */
  function makeBook(asked: Asked, places: Kept = new Map()): LogBook {
    const runs = new Map<string, RunLog | null>();
    const kept = <Value>(book: Map<string, Value>, key: string, make: () => Value): Value => {
      if (!book.has(key)) book.set(key, make());
      return book.get(key)!;
    };
    const ready = asked.at - READY_MS;
    // What was once warm stays so: a piece that has lain there for longer is told of all of it, in steps that others share. With
    // what was read just before it came: a log that began later would begin otherwise.
    const place = (name: string, since = asked.at) => {
      const wanted = since - BEFORE_MS;
      const from = wanted >= ready ? ready : Math.floor(wanted / READY_MS) * READY_MS;
      return kept(places, `${name}|${from}`, () => makePlace(name, from, asked));
    };
    return {
      place,
      run: (name, core, from, to) =>
        kept(runs, `${name}|${core}|${from}|${to}`, () => makeRun(name, core, from, to, asked, place(name)))
    };
  }

  let current: { book: LogBook; house: string; versions: Map<string, string>; kept: Kept } | null = null;
  /** For each place, what changes with anything its log could be made of. */
  const versions = (): Map<string, string> => {
    const { posts, ids } = everSaid();
    const out = new Map<string, string>();
    for (const { place, sensor } of posts) out.set(place, `${out.get(place) ?? ''} ${readings.versionOf(sensor)}`);
    for (const [place, id] of ids) out.set(place, `${out.get(place) ?? ''} ${record.versionOf(`place:${id}`)}`);
    return out;
  };
  /** The book of the present: a place that nothing new was said of is not put together again. */
  function present(at: number): LogBook {
    const house = `${everSaid().seq} ${Math.floor(at / HOUR)}`;
    const now = versions();
    const stands = (place: string) => current?.versions.get(place) === now.get(place);
    if (current?.house === house && now.size === current.versions.size && [...now.keys()].every(stands)) {
      return current.book;
    }
    const kept: Kept = new Map(
      current?.house === house ? [...current.kept].filter(([key]) => stands(key.slice(0, key.lastIndexOf('|')))) : []
    );
    current = { book: makeBook({ at, known: Infinity }, kept), house, versions: now, kept };
    return current.book;
  }

  return {
    /** A rolled-back entry may have left a book behind that knows it. */
    forgetCached(): void {
      current = null;
    },
    /**
     * What was read by a moment and known by another.
     *
     * @param at ms; the present where it lies at or after the newest entry
     */
    book(at: number, known: number): LogBook {
      const newest = record.head().recorded;
      if (at < newest || known < newest) return makeBook({ at, known });
      return present(at);
    },
    /** The present as it would be with an entry that is tried. */
    trial: (at: number, tried: RecordEvent): LogBook => makeBook({ at, known: Infinity, tried }),
    /** The name of a place by its id, also of one that was taken off the list. */
    placeNamed: (id: string): string | null => houseNow().placeNames[id] ?? null,
    gapMs: () => gapOf(houseNow()),
    /** Sensors that stand there now. */
    sensorsAt: (place: string, probe: Sensor['probe'] = 'air') =>
      Object.values(houseNow().sensors).filter((sensor) => sensor.place === place && sensor.probe === probe),
    /** The air of a place over any span, for a chart. */
    air: (place: string, from: number, to: number): Series =>
      airBetween(place, from, to, houseNow(), { at: to, known: Infinity }),
    hand: (place: string, from: number, to: number): FreezeReading[] =>
      handBetween(place, from, to, { at: to, known: Infinity })
  };
}
export type Logs = ReturnType<typeof openLogs>;
