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
import { instantReader } from '../input/instant.ts';
import { fieldTroubles, type FieldTrouble } from '../input/trouble.ts';

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

/** What Undo may take back says on which tablet it was done. */
const onTablet = (each: Draft, tablet: string | undefined): Draft =>
  tablet !== undefined && (UNDOABLE as readonly string[]).includes(each.kind)
    ? ({ ...each, body: { ...each.body, tablet } } as Draft)
    : each;

/** Runs operations: the only writer of the record. */
export function createExecutor(store: Store, clock: Clock) {
  const listeners = new Set<Listener>();

  const refuse = (status: 400 | 409 | 422 | 503, error: EmberError): Answer => ({
    ok: false,
    status,
    code: error.code,
    details: error.details,
    fields: error.details.field ? [{ field: error.details.field, code: error.code, details: error.details }] : []
  });

  /** An entry that says the clock reads earlier than the ledger, once for each time it happens. */
  function clockNotice(now: number): Draft[] {
    const head = store.record.head();
    if (head.seq === 0 || now >= head.recorded - CLOCK_TOLERANCE_MS) return [];
    const last = store.record.event(head.seq);
    if (last?.kind === 'clock.behind') return [];
    const recent = store.record.list({ limit: 1, subject: 'clock' })[0];
    if (recent && recent.recorded === head.recorded) return [];
    return [draft('clock.behind', 'clock', head.recorded, { behindSeconds: Math.round((head.recorded - now) / 1000) })];
  }

  function execute(request: Request): Answer {
    const { operation, actor, tablet, key, seen } = request;
    if (!actor && !(operation.withoutActor && store.people.list().length === 0)) {
      return refuse(422, new EmberError('person.required', { field: 'actor' }));
    }
    if (actor && !store.people.get(actor)?.name) {
      return refuse(422, new EmberError('person.unknown', { field: 'actor', seen: actor }));
    }
    let input: string;
    try {
      input = canonical(request.input);
    } catch {
      return refuse(400, new EmberError('request.not-json', {}));
    }
    const fingerprint = sha256(canonical({ operation: operation.name, input, actor, seen: seen ?? null }));
    const parsed = operation.input.safeParse(request.input);
    if (!parsed.success) {
      const fields = fieldTroubles(parsed.error.issues as never);
      const first = fields[0]!;
      return { ok: false, status: 422, code: first.code, details: first.details, fields };
    }
    const changes: { seq: number; subject: string }[] = [];
    try {
      const answer = store.db
        .transaction((): Answer => {
          const before = store.requests.get(key);
          if (before) {
            if (before.fingerprint !== fingerprint) {
              return refuse(
                409,
                new EmberError('record.key-reused', {
                  first: { operation: before.operation, input: before.input },
                  second: { operation: operation.name, input: operation.isPrivate ? null : input }
                })
              );
            }
            return {
              ...(JSON.parse(before.result) as { result: Record<string, unknown>; seq: number }),
              ok: true,
              repeated: true
            };
          }
          const subject = operation.subject?.(parsed.data);
          if (subject !== undefined && seen !== undefined) {
            const current = store.record.versionOf(subject);
            if (current !== seen) {
              const newer = store.record
                .eventsOf(subject)
                .filter((event) => event.seq > seen)
                .map(({ seq, kind, body }) => ({ seq, kind, body }));
              return refuse(409, new EmberError('record.stale', { subject, seen, current, newer, yours: input }));
            }
          }
          const now = clock.now();
          const house = store.projections.currentHouse();
          // The ledger's own time never runs backwards, whatever the machine's clock does.
          const recorded = Math.max(now, store.record.head().recorded);
          const outcome = operation.run(
            { store, house, now: recorded, actor: actor ?? 'nobody', tablet, instant: instantReader(house, recorded) },
            parsed.data
          );
          const events = outcome.events.map((each) => onTablet(each, tablet));
          const written = store.record.append([...clockNotice(now), ...events], actor ?? 'nobody', recorded);
          const subjects = new Set(written.map((event) => event.subject));
          if (outcome.places) store.projections.rejudgeIn(outcome.places, recorded);
          // Lots before pieces: a piece is judged by its lot.
          for (const each of [...subjects].sort()) {
            const entries = written.filter(({ subject: of }) => of === each) as unknown as NewEntry[];
            store.projections.refold(each, recorded, entries);
          }
          changes.push(...written.map(({ seq, subject: touched }) => ({ seq, subject: touched })));
          const result = { result: outcome.result, seq: written.at(-1)?.seq ?? store.record.head().seq };
          store.requests.put({
            key,
            operation: operation.name,
            fingerprint,
            input: operation.isPrivate ? null : input,
            result: JSON.stringify(result),
            at: recorded
          });
          return { ok: true, ...result, repeated: false };
        })
        .immediate();
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
      readonly result: Result;
    }
  ): Result {
    const changes: { seq: number; subject: string }[] = [];
    try {
      const result = store.db
        .transaction(() => {
          const now = Math.max(clock.now(), store.record.head().recorded);
          const outcome = work({ store, house: store.projections.currentHouse(), now });
          const written = store.record.append([...outcome.events], actor, now);
          changes.push(...written.map(({ seq, subject }) => ({ seq, subject })));
          store.projections.rejudgeIn(outcome.places, now);
          // A place has no number of its own to show: whoever looks at it is entries by its name.
          const { seq } = store.record.head();
          changes.push(...outcome.places.map((place) => ({ seq, subject: `air:${place}` })));
          return outcome.result;
        })
        .immediate();
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
    /** Called after each commit with what it touched. Returns the way to stop. */
    onChange(listener: Listener): () => void {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    /** Seconds the clock reads behind the newest entry; 0 when all is well. */
    clockBehindSeconds(): number {
      const behind = store.record.head().recorded - clock.now();
      return behind > CLOCK_TOLERANCE_MS ? Math.round(behind / 1000) : 0;
    }
  };
}

export type Executor = ReturnType<typeof createExecutor>;
