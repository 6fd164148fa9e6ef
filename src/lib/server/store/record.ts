import { canonical, canonicalEnvelope, type StoredEvent } from '../../core/record/canonical.ts';
import {
  EVENT_KINDS,
  checkBody,
  readEvent,
  type BodyOf,
  type EventKind,
  type RecordEvent
} from '../../core/record/events.ts';
import { placeCalled, placeNames, placeRef, withPlace, type PlaceNames } from '../../core/activity/cold/places.ts';
import { openCorrections, type Corrections } from './clock-corrections.ts';
import { frozenDeep } from '../../core/record/frozen-deep.ts';
import { sha256, type Db } from './open.ts';

export interface Draft<Kind extends EventKind = EventKind> {
  readonly kind: Kind;
  readonly subject: string;
  readonly happened: number;
  readonly body: BodyOf<Kind>;
}

/** A draft whose body is checked by the compiler against its kind. */
export const draft = <Kind extends EventKind>(
  kind: Kind,
  subject: string,
  happened: number,
  body: BodyOf<Kind>
): Draft<Kind> => ({ kind, subject, happened, body });

export interface Head {
  readonly seq: number;
  readonly hash: string;
  readonly recorded: number;
}

export interface LedgerFilter {
  readonly before?: number;
  readonly limit?: number;
  readonly subject?: string;
  readonly lot?: string;
  readonly actor?: string;
  readonly kind?: EventKind;
  readonly from?: number;
  readonly to?: number;
}

/** Puts the ids of places into what is written, and their names into what is read. */
function placeDoor(db: Db, corrections: Corrections) {
  const { corrected } = corrections;
  const placesSet = db.prepare<[], StoredEvent>(`SELECT * FROM events WHERE kind = 'place.set' ORDER BY seq`);
  const lastPlaceSet = db.prepare<[], { hash: string }>(
    `SELECT hash FROM events WHERE kind = 'place.set' ORDER BY seq DESC LIMIT 1`
  );
  let kept: { readonly hash: string; readonly names: PlaceNames } | null = null;
  /** Kept by the hash of the entry that last set a place: a rolled-back one leaves nothing behind. */
  function names(): PlaceNames {
    const hash = lastPlaceSet.get()?.hash ?? '';
    if (kept?.hash !== hash) {
      kept = {
        hash,
        names: placeNames(
          placesSet
            .all()
            .map((row) => readEvent(corrected(row)))
            .filter((event) => event.kind === 'place.set')
        )
      };
    }
    return kept.names;
  }
  /** An entry as the program speaks of it. */
  function named(row: StoredEvent): RecordEvent {
    const event = readEvent(corrected(row));
    const body = withPlace(event.body, (ref) => placeCalled(names(), ref, event.recorded));
    return body === event.body ? event : ({ ...event, body } as RecordEvent);
  }
  return {
    named,
    referred: <Body>(body: Body): Body => withPlace(body, (called) => placeRef(names(), called)),
    /** Changes with anything that makes an entry read otherwise. */
    version: (): string => `${lastPlaceSet.get()?.hash ?? ''} ${corrections.version()}`
  };
}

/** Entries kept ready, all subjects together: some tens of megabytes. */
const MOST_READY = 20_000;

/**
 * Entries of subjects as they were last read, the least asked for forgotten first. What is kept is known by the hash of the
 * subject's newest row, which vouches for all rows before it: one that was rolled back leaves nothing behind.
 */
function readyEntries(read: (subject: string) => RecordEvent[]) {
  const ready = new Map<string, { readonly version: string; readonly events: readonly RecordEvent[] }>();
  let count = 0;
  const forget = (subject: string) => {
    count -= ready.get(subject)?.events.length ?? 0;
    ready.delete(subject);
  };
  return (subject: string, version: string): readonly RecordEvent[] => {
    const known = ready.get(subject);
    const events = known?.version === version ? known.events : frozenDeep(read(subject));
    forget(subject);
    ready.set(subject, { version, events });
    count += events.length;
    for (const oldest of ready.keys()) {
      if (count <= MOST_READY || oldest === subject) break;
      forget(oldest);
    }
    return events;
  };
}

/** The one door to the table of events. Statements are prepared once. */
export function openRecord(db: Db) {
  const insert = db.prepare<StoredEvent>(
    `INSERT INTO events (seq, happened, recorded, actor, kind, subject, version, body, prev, hash)
     VALUES (@seq, @happened, @recorded, @actor, @kind, @subject, @version, @body, @prev, @hash)`
  );
  const lastRow = db.prepare<[], Head>('SELECT seq, hash, recorded FROM events ORDER BY seq DESC LIMIT 1');
  const bySubject = db.prepare<[string], StoredEvent>('SELECT * FROM events WHERE subject = ? ORDER BY happened, seq');
  const bySeq = db.prepare<[number], StoredEvent>('SELECT * FROM events WHERE seq = ?');
  const subjectSeq = db.prepare<[string], { seq: number | null }>(
    'SELECT max(seq) AS seq FROM events WHERE subject = ?'
  );
  const since = db.prepare<[number, number], { seq: number; subject: string }>(
    'SELECT seq, subject FROM events WHERE seq > ? ORDER BY seq LIMIT ?'
  );
  const firstAfter = db.prepare<[number], { seq: number | null }>(
    'SELECT min(seq) AS seq FROM events WHERE recorded > ?'
  );
  const between = db.prepare<[number, number], StoredEvent>(
    'SELECT * FROM events WHERE seq > ? AND seq <= ? ORDER BY seq'
  );
  const everything = db.prepare<[], StoredEvent>('SELECT * FROM events ORDER BY seq');

  const newest = db.prepare<[string], { hash: string }>(
    'SELECT hash FROM events WHERE subject = ? ORDER BY seq DESC LIMIT 1'
  );
  const { named, referred, version } = placeDoor(db, openCorrections(db));
  const ready = readyEntries((subject) => bySubject.all(subject).map(named));
  const head = (): Head => lastRow.get() ?? { seq: 0, hash: '', recorded: 0 };

  return {
    head,
    /** Appends drafts to the chain. Call inside a transaction. */
    append(drafts: readonly Draft[], actor: string, recorded: number): RecordEvent[] {
      let { seq, hash } = head();
      return drafts.map((each) => {
        const body = referred(checkBody(each.kind, each.body));
        const row = {
          seq: seq + 1,
          happened: Math.round(each.happened),
          recorded: Math.round(recorded),
          actor,
          kind: each.kind,
          subject: each.subject,
          version: EVENT_KINDS[each.kind].version,
          body: canonical(body),
          prev: hash
        };
        const stored: StoredEvent = { ...row, hash: sha256(canonicalEnvelope(row)) };
        insert.run(stored);
        ({ seq, hash } = stored);
        return named(stored);
      });
    },
    /** Entries of a subject in the order they happened. They are shared: nobody changes them. */
    eventsOf: (subject: string): readonly RecordEvent[] =>
      ready(subject, `${newest.get(subject)?.hash ?? ''} ${version()}`),
    event(seq: number): RecordEvent | null {
      const row = bySeq.get(seq);
      return row ? named(row) : null;
    },
    row: (seq: number): StoredEvent | null => bySeq.get(seq) ?? null,
    /** The first entry that is dated after a moment; 0 for none. */
    firstAfter: (at: number): number => firstAfter.get(at)?.seq ?? 0,
    /** The last sequence number that touched a subject; 0 for none. */
    versionOf: (subject: string): number => subjectSeq.get(subject)?.seq ?? 0,
    since: (seq: number, limit = 500) => since.all(seq, limit),
    iterate: () => everything.iterate(),
    /** Rows after a number, up to another, in order. */
    rows: (after: number, to: number): StoredEvent[] => between.all(after, to),
    /** A row as the program speaks of it: of the current version, with its place by name. */
    read: named,
    list(filter: LedgerFilter): RecordEvent[] {
      const where: string[] = [];
      const values: Record<string, string | number> = { limit: Math.min(filter.limit ?? 100, 5000) };
      const add = (clause: string, name: string, value: string | number | undefined) => {
        if (value === undefined || value === '') return;
        where.push(clause);
        values[name] = value;
      };
      add('seq < @before', 'before', filter.before);
      add('subject = @subject', 'subject', filter.subject);
      add('actor = @actor', 'actor', filter.actor);
      add('kind = @kind', 'kind', filter.kind);
      add('happened >= @from', 'from', filter.from);
      add('happened < @to', 'to', filter.to);
      if (filter.lot) {
        where.push(
          `(subject = 'lot:' || @lot OR subject IN (SELECT 'piece:' || piece FROM piece_lots WHERE lot = @lot))`
        );
        values.lot = filter.lot;
      }
      const clause = where.length > 0 ? `WHERE ${where.join(' AND ')}` : '';
      return db
        .prepare<[typeof values], StoredEvent>(`SELECT * FROM events ${clause} ORDER BY seq DESC LIMIT @limit`)
        .all(values)
        .map(named);
    }
  };
}

export type RecordStore = ReturnType<typeof openRecord>;
