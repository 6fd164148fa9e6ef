import type { z } from 'zod';
import { kinds as receive } from '../activity/receive/bodies.ts';
import { kinds as inspect } from '../activity/inspect/bodies.ts';
import { kinds as papers } from '../activity/papers/bodies.ts';
import { kinds as piece } from '../activity/piece/bodies.ts';
import { kinds as board } from '../activity/board/bodies.ts';
import { kinds as freeze } from '../activity/freeze/bodies.ts';
import { kinds as thaw } from '../activity/thaw/bodies.ts';
import { kinds as cure } from '../activity/cure/bodies.ts';
import { kinds as acid } from '../activity/acid/bodies.ts';
import { kinds as book } from '../activity/book/bodies.ts';
import { kinds as age } from '../activity/age/bodies.ts';
import { kinds as rice } from '../activity/rice/bodies.ts';
import { kinds as slice } from '../activity/slice/bodies.ts';
import { kinds as tray } from '../activity/tray/bodies.ts';
import { kinds as cold } from '../activity/cold/bodies.ts';
import { kinds as house } from '../activity/house/bodies.ts';
import { kinds as ledger } from '../activity/ledger/bodies.ts';
import { EmberError } from '../errors.ts';
import type { StoredEvent } from './canonical.ts';
import type { KindDefinition } from './kind.ts';
import { fieldTroubles } from '../fields/trouble.ts';

/** Everything that can happen: each activity brings its own kinds. */
export const EVENT_KINDS = {
  ...receive,
  ...inspect,
  ...papers,
  ...piece,
  ...board,
  ...freeze,
  ...thaw,
  ...cure,
  ...acid,
  ...age,
  ...book,
  ...rice,
  ...slice,
  ...tray,
  ...cold,
  ...house,
  ...ledger
};

export type EventKind = keyof typeof EVENT_KINDS;
export type BodyOf<Kind extends EventKind> = z.infer<(typeof EVENT_KINDS)[Kind]['body']>;

/** An event read back: its body parsed and brought up to the current version. */
export type RecordEvent = {
  [Kind in EventKind]: {
    readonly seq: number;
    readonly happened: number;
    readonly recorded: number;
    readonly actor: string;
    readonly subject: string;
    readonly kind: Kind;
    readonly body: BodyOf<Kind>;
    /** Sequence numbers of the amendments that changed it. */
    readonly amendedBy?: readonly number[];
    /** Its body before they did. */
    readonly was?: BodyOf<Kind>;
  };
}[EventKind];

/**
 * Checks a body against its kind before it is written.
 *
 * @throws EmberError `record.kind-unknown` or `record.body-invalid`
 */
export function checkBody<Kind extends EventKind>(kindName: Kind, body: unknown): BodyOf<Kind> {
  const definition: KindDefinition | undefined = EVENT_KINDS[kindName];
  if (!definition) throw new EmberError('record.kind-unknown', { seen: kindName });
  const result = definition.body.safeParse(body);
  if (result.success) return result.data as BodyOf<Kind>;
  const { field, code, details } = fieldTroubles(result.error.issues, body)[0]!;
  throw new EmberError('record.body-invalid', { field, because: { code, details } });
}

/**
 * Changed parts of an entry as its current version names them: an amendment is on record in the words of its day, and counts
 * for as long as its entry does.
 */
export function patchNow(kindName: EventKind, patch: Record<string, unknown>): Record<string, unknown> {
  const definition: KindDefinition = EVENT_KINDS[kindName];
  return definition.patched?.(patch) ?? patch;
}

/**
 * Brings a stored body to the current version of its kind. What is stored is never rewritten.
 *
 * @throws EmberError `record.kind-unknown`, `record.version-unknown`
 */
export function upcast(
  kindName: string,
  version: number,
  body: unknown,
  kinds: Record<string, KindDefinition> = EVENT_KINDS
): unknown {
  const definition = kinds[kindName];
  if (!definition) throw new EmberError('record.kind-unknown', { seen: kindName });
  if (version > definition.version || version < 1) {
    throw new EmberError('record.version-unknown', { field: kindName, seen: version, max: definition.version });
  }
  let current = body;
  for (let from = version; from < definition.version; from++) {
    const step = definition.upcasts[from - 1];
    if (!step) throw new EmberError('record.version-unknown', { field: kindName, seen: from });
    current = step(current);
  }
  return current;
}

/** Reads a stored row. */
export function readEvent(row: StoredEvent): RecordEvent {
  return {
    seq: row.seq,
    happened: row.happened,
    recorded: row.recorded,
    actor: row.actor,
    subject: row.subject,
    kind: row.kind as EventKind,
    body: upcast(row.kind, row.version, JSON.parse(row.body))
  } as RecordEvent;
}
