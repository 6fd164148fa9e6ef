import { randomBytes } from 'node:crypto';
import { NOBODY } from '../room.ts';
import { EmberError, type ErrorCode, type ErrorDetails } from '../../core/errors.ts';
import { UNDOABLE } from '../../core/record/amend.ts';
import { canonical } from '../../core/record/canonical.ts';
import { sha256, storeTrouble } from '../store/open.ts';
import { draft, type Draft } from '../store/record.ts';
import type { NewEntry } from '../store/projections.ts';
import type { Store } from '../store/store.ts';
import type { HouseState } from '../../core/record/house.ts';
import type { Clock } from '../clock.ts';
import { type Operation } from './operation.ts';
import { DAY } from '../../core/measure/spans.ts';
import { instantReader } from '../input/instant.ts';
import { KEY_LETTERS, strangerIn } from '../input/strangers.ts';
import { fieldTroubles, type FieldTrouble } from '../../core/fields/trouble.ts';

export type Answer =
  | { readonly ok: true; readonly result: Record<string, unknown>; readonly seq: number; readonly repeated: boolean }
  | {
      readonly ok: false;
      readonly status: 400 | 409 | 422 | 503;
      readonly code: ErrorCode;
      readonly details: ErrorDetails;
      readonly fields: readonly FieldTrouble[];
    };

export interface Request {
  readonly operation: Operation;
  /** As it came, before any parsing. */
  readonly input: unknown;
  readonly actor: string | null;
  /** The tablet it was said on; left out by a program. */
  readonly tablet?: string;
  readonly key: string;
  /** The last sequence number of the subject that the caller had seen. */
  readonly seen?: number;
}

export type Listener = (changes: readonly { seq: number; subject: string }[]) => void;

/** How far the clock may read behind the newest entry before it is said. */
const CLOCK_TOLERANCE_MS = 2000;

/**
 * How far past the newest entry the clock may read, ms. The ledger's time never runs back: one entry under a clock that is
 * years ahead would date every later one. A house that was closed for longer says once that its clock is right.
 */
const MOST_AHEAD_MS = 400 * DAY;

/** What Undo may take back says on which tablet it was done. */
const onTablet = (each: Draft, tablet: string | undefined): Draft =>
  tablet !== undefined && (UNDOABLE as readonly string[]).includes(each.kind)
    ? ({ ...each, body: { ...each.body, tablet } } as Draft)
    : each;

const refuse = (status: 400 | 409 | 422 | 503, error: EmberError): Answer => ({
  ok: false,
  status,
  code: error.code,
  details: error.details,
  fields: error.details.field ? [{ field: error.details.field, code: error.code, details: error.details }] : []
});

/** An entry that says the clock reads earlier than the ledger, once for each time it happens. */
function clockNotice({ record }: Store, now: number): Draft[] {
  const head = record.head();
  if (head.seq === 0 || now >= head.recorded - CLOCK_TOLERANCE_MS) return [];
  const last = record.event(head.seq);
  if (last?.kind === 'clock.behind') return [];
  const recent = record.list({ limit: 1, subject: 'clock' })[0];
  if (recent && recent.recorded === head.recorded) return [];
  return [draft('clock.behind', 'clock', head.recorded, { behindSeconds: Math.round((head.recorded - now) / 1000) })];
}

/** A request whose asker is known and whose input fits its schema. */
interface ReadRequest {
  readonly data: unknown;
  readonly text: string;
  readonly fingerprint: string;
}

/** Reads a request, or hands back why it cannot be read. Nothing is looked up in the record yet. */
function readRequest({ people }: Store, { operation, actor, seen, input, key }: Request): ReadRequest | Answer {
  if (!actor && !(operation.withoutActor && people.list().length === 0)) {
    return refuse(422, new EmberError('person.required', { field: 'actor' }));
  }
  if (actor && !people.get(actor)?.name) {
    return refuse(422, new EmberError('person.unknown', { field: 'actor', seen: actor }));
  }
  if (key.length > KEY_LETTERS) return refuse(400, new EmberError('request.key-too-long', { max: KEY_LETTERS }));
  // A list, a figure or nothing has no fields that could be named.
  if (typeof input !== 'object' || input === null || Array.isArray(input)) {
    return refuse(400, new EmberError('request.not-json', {}));
  }
  const stranger = strangerIn(input);
  if (stranger) return refuse(422, stranger);
  let text: string;
  try {
    text = canonical(input);
  } catch {
    return refuse(400, new EmberError('request.not-json', {}));
  }
  const fingerprint = sha256(canonical({ operation: operation.name, input: text, actor, seen: seen ?? null }));
  const parsed = operation.input.safeParse(input);
  if (parsed.success) return { data: parsed.data, text, fingerprint };
  const fields = fieldTroubles(parsed.error.issues, input);
  const first = fields[0]!;
  return { ok: false, status: 422, code: first.code, details: first.details, fields };
}

/** The answer a key was given before: sent twice, it happens once; sent with something else, it is refused. Null for a new key. */
function answeredBefore({ requests }: Store, { key, operation, actor }: Request, read: ReadRequest): Answer | null {
  const before = requests.get(key);
  if (!before) return null;
  if (before.fingerprint === read.fingerprint) {
    const { result, seq } = JSON.parse(before.result) as { result: Record<string, unknown>; seq: number };
    return { ok: true, result, seq, repeated: true };
  }
  return refuse(
    409,
    new EmberError('record.key-reused', {
      // What somebody else sent under the same key is theirs.
      first: { operation: before.operation, input: before.actor === (actor ?? '') ? before.input : null },
      second: { operation: operation.name, input: operation.isPrivate ? null : read.text }
    })
  );
}

/** A refusal where entries that were answered for are not in the record any more; else null. */
function refusedAsLost({ noted }: Store, operation?: Operation): EmberError | null {
  const loss = noted.loss();
  if (!loss || operation?.answersFor === 'loss') return null;
  return new EmberError('store.shortened', { seen: loss.noted.seq, found: loss.found.seq });
}

/** A refusal where the machine's clock is too far ahead to be believed; else null. */
function refusedAsAhead({ record }: Store, now: number, operation?: Operation): EmberError | null {
  const { seq, recorded } = record.head();
  if (seq === 0 || operation?.answersFor === 'clock' || now - recorded <= MOST_AHEAD_MS) return null;
  return new EmberError('time.clock-ahead', { seen: now });
}

/** Why nothing is written until somebody has looked: entries are gone, or the clock cannot be believed. Null where nothing is wrong. */
const halted = (store: Store, now: number, operation?: Operation): EmberError | null =>
  refusedAsLost(store, operation) ?? refusedAsAhead(store, now, operation);

/** A refusal where the subject has entries the asker had not seen, with both; else null. */
function refusedAsStale({ record }: Store, { operation, seen }: Request, read: ReadRequest): Answer | null {
  const subject = operation.subject?.(read.data);
  if (subject === undefined || seen === undefined) return null;
  const current = record.versionOf(subject);
  // Numbers go through the whole ledger: whoever saw a later entry saw all before it. Nobody saw one that is not there yet.
  if (current <= seen && seen <= record.head().seq) return null;
  const newer = record
    .eventsOf(subject)
    .filter((event) => event.seq > seen)
    .map(({ seq, kind, body }) => ({ seq, kind, body }));
  return refuse(409, new EmberError('record.stale', { subject, seen, current, newer, yours: read.text }));
}

/** Letters that nobody guesses, 192 bits of them. */
const guardedBy = (): string => randomBytes(24).toString('base64url');

/** A result without what is said once. */
const keptOf = ({ saysOnce }: Operation, result: Record<string, unknown>) =>
  saysOnce === undefined ? result : { ...result, [saysOnce]: null };

/** Runs an operation and brings all it touched into step. Call inside a transaction. */
function runOperation(
  store: Store,
  now: number,
  { operation, actor, tablet, key }: Request,
  read: ReadRequest,
  secret: () => string
) {
  const house = store.projections.currentHouse();
  // The ledger's own time never runs backwards, whatever the machine's clock does.
  const recorded = operation.putsTimeBack ? now : Math.max(now, store.record.head().recorded);
  const by = actor ?? NOBODY;
  const outcome = operation.run(
    { store, house, now: recorded, actor: by, tablet, secret, instant: instantReader(house, recorded) },
    read.data
  );
  const events = outcome.events.map((each) => onTablet(each, tablet));
  const notices = operation.putsTimeBack ? [] : clockNotice(store, now);
  const written = store.record.append([...notices, ...events], by, recorded);
  if (operation.putsTimeBack) store.projections.rebuild(recorded);
  if (outcome.places) store.projections.rejudgeIn(outcome.places, recorded);
  // Lots before pieces: a piece is judged by its lot.
  for (const each of [...new Set(written.map((event) => event.subject))].sort()) {
    const entries = written.filter(({ subject }) => subject === each) as unknown as NewEntry[];
    store.projections.refold(each, recorded, entries);
  }
  const seq = written.at(-1)?.seq ?? store.record.head().seq;
  store.requests.put({
    key,
    operation: operation.name,
    fingerprint: read.fingerprint,
    input: operation.isPrivate ? null : read.text,
    result: JSON.stringify({ result: keptOf(operation, outcome.result), seq }),
    at: recorded,
    actor: actor ?? ''
  });
  return { answer: { ok: true, result: outcome.result, seq, repeated: false } satisfies Answer, written };
}

/**
 * Runs operations: the only writer of the record.
 *
 * @param secret where keys come from; a demo and a test say theirs
 */
export function createExecutor(store: Store, clock: Clock, secret: () => string = guardedBy) {
  const listeners = new Set<Listener>();

  function execute(request: Request): Answer {
    const read = readRequest(store, request);
    if ('ok' in read) return read;
    const changes: { seq: number; subject: string }[] = [];
    try {
      const answer = store.transact((): Answer => {
        const before = answeredBefore(store, request, read);
        if (before) return before;
        const halt = halted(store, clock.now(), request.operation);
        if (halt) return refuse(503, halt);
        const stale = refusedAsStale(store, request, read);
        if (stale) return stale;
        const done = runOperation(store, clock.now(), request, read, secret);
        changes.push(...done.written.map(({ seq, subject }) => ({ seq, subject })));
        return done.answer;
      });
      if (answer.ok && request.operation.answersFor === 'loss') store.noted.ownUp();
      if (changes.length > 0) for (const listener of listeners) listener(changes);
      return answer;
    } catch (error) {
      store.projections.forgetCached();
      const trouble = storeTrouble(error);
      if (!(trouble instanceof EmberError)) throw error;
      const status = trouble.code.startsWith('store.') ? 503 : trouble.code === 'record.stale' ? 409 : 422;
      return refuse(status, trouble);
    }
  }

  /**
   * Writes what no person did: readings that came, and what has to be said of them. One transaction, like everything else.
   *
   * @param work keeps what it has to and hands back the entries; places name where pieces are judged anew
   */
  function write<Result>(
    actor: string,
    work: (context: { store: Store; house: HouseState; now: number }) => {
      readonly events: readonly Draft[];
      readonly places: readonly string[];
      /** The earliest moment that is new in them, ms; left out where it may be any. */
      readonly since?: number;
      readonly result: Result;
    }
  ): Result {
    const changes: { seq: number; subject: string }[] = [];
    try {
      const result = store.transact(() => {
        const halt = halted(store, clock.now());
        if (halt) throw halt;
        const now = Math.max(clock.now(), store.record.head().recorded);
        const outcome = work({ store, house: store.projections.currentHouse(), now });
        const written = store.record.append([...outcome.events], actor, now);
        changes.push(...written.map(({ seq, subject }) => ({ seq, subject })));
        store.projections.rejudgeIn(outcome.places, now, outcome.since);
        // A place has no number of its own to show: whoever looks at it is entries by its name.
        const { seq } = store.record.head();
        changes.push(...outcome.places.map((place) => ({ seq, subject: `air:${place}` })));
        return outcome.result;
      });
      if (changes.length > 0) for (const listener of listeners) listener(changes);
      return result;
    } catch (error) {
      store.projections.forgetCached();
      throw storeTrouble(error);
    }
  }

  return {
    execute,
    write,
    /** What the house's clock shows. */
    now: (): number => clock.now(),
    /** Called after each commit with what it touched. Returns the way to stop. */
    onChange(listener: Listener): () => void {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    /** Seconds the clock reads past the newest entry, where that is more than is believed; else 0. */
    clockAheadSeconds(): number {
      const { seq, recorded } = store.record.head();
      const ahead = clock.now() - recorded;
      return seq > 0 && ahead > MOST_AHEAD_MS ? Math.round(ahead / 1000) : 0;
    },
    /** Seconds the clock reads behind the newest entry; 0 when all is well. */
    clockBehindSeconds(): number {
      const behind = store.record.head().recorded - clock.now();
      return behind > CLOCK_TOLERANCE_MS ? Math.round(behind / 1000) : 0;
    }
  };
}

export type Executor = ReturnType<typeof createExecutor>;
