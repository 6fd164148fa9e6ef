import type { z } from 'zod';
import { EmberError } from '../errors.ts';
import * as acid from './acid-bodies.ts';
import * as ageing from './age-bodies.ts';
import * as bodies from './bodies.ts';
import type { StoredEvent } from './canonical.ts';

/** One kind of event: its current version, the shape of its body, and how each older version becomes the next. */
export interface KindDefinition {
  readonly version: number;
  readonly body: z.ZodType;
  /** upcasts[n] turns a body of version n + 1 into version n + 2. */
  readonly upcasts: readonly ((body: unknown) => unknown)[];
  /** Whether an entry may be amended by the people of the house. */
  readonly amendable: boolean;
}

const kind = <Body extends z.ZodType>(body: Body, amendable = true) => ({
  version: 1,
  body,
  upcasts: [] as readonly ((body: unknown) => unknown)[],
  amendable
});

/** A kind whose first version is brought up by `from1`. */
const second = <Body extends z.ZodType>(body: Body, from1: (body: unknown) => unknown, amendable = true) => ({
  version: 2,
  body,
  upcasts: [from1] as readonly ((body: unknown) => unknown)[],
  amendable
});

/** A kind with two versions before it. */
const third = <Body extends z.ZodType>(
  body: Body,
  from1: (body: unknown) => unknown,
  from2: (body: unknown) => unknown,
  amendable = true
) => ({
  version: 3,
  body,
  upcasts: [from1, from2] as readonly ((body: unknown) => unknown)[],
  amendable
});

export const EVENT_KINDS = {
  'lot.received': third(bodies.lotReceived, bodies.lotReceivedFrom1, bodies.lotReceivedFrom2),
  'lot.inspected': kind(bodies.lotInspected),
  'lot.identified': kind(bodies.lotIdentified),
  'lot.returned': kind(bodies.lotReturned),
  'delivery.opened': kind(bodies.deliveryOpened),
  'delivery.closed': kind(bodies.deliveryClosed, false),
  'note.imported': kind(bodies.noteImported, false),
  'evidence.attached': third(bodies.evidenceAttached, bodies.evidenceFrom1, bodies.evidenceFrom2),
  'tag.closed': kind(bodies.tagClosed),
  'exception.owned': kind(bodies.exceptionOwned, false),
  'exception.withdrawn': kind(bodies.exceptionWithdrawn, false),
  'piece.made': second(bodies.pieceMade, bodies.pieceMadeFrom1),
  'piece.gave': second(bodies.pieceGave, bodies.pieceGaveFrom1),
  'piece.wasted': kind(bodies.pieceWasted),
  'piece.moved': kind(bodies.pieceMoved),
  'piece.reweighed': kind(bodies.pieceReweighed),
  'piece.profiled': kind(bodies.pieceProfiled),
  'board.opened': kind(bodies.boardOpened),
  'board.closed': kind(bodies.boardClosed),
  'label.printed': kind(bodies.labelPrinted, false),
  'freeze.started': third(bodies.freezeStarted, bodies.freezeStartedFrom1, bodies.freezeStartedFrom2),
  'freeze.read': kind(bodies.freezeRead),
  'freeze.replanned': kind(bodies.freezeReplanned),
  'freeze.ended': second(bodies.freezeEnded, bodies.freezeEndedFrom1),
  'thaw.started': kind(bodies.thawStarted),
  'thaw.ended': kind(bodies.thawEnded),
  'cure.started': second(bodies.cureStarted, bodies.cureStartedFrom1),
  'cure.changed': kind(bodies.cureChanged),
  'cure.stepped': kind(bodies.cureStepped),
  'cure.ended': second(bodies.cureEnded, bodies.cureEndedFrom1),
  'acid.started': second(acid.acidStarted, acid.acidFrom1),
  'acid.checked': second(acid.acidChecked, acid.acidFrom1),
  'acid.lifted': kind(acid.acidLifted, false),
  'acid.ended': kind(acid.acidEnded),
  'piece.dressed': kind(acid.pieceDressed),
  'age.started': kind(ageing.ageStarted),
  'age.weighed': kind(ageing.ageWeighed),
  'age.moved': kind(ageing.ageMoved),
  'age.looked': kind(ageing.ageLooked),
  'age.ended': kind(ageing.ageEnded),
  'piece.sliced': kind(bodies.sliced),
  'cold.read': kind(bodies.coldRead),
  'hold.started': kind(bodies.holdStarted),
  'hold.read': kind(bodies.holdRead),
  'piece.served': second(bodies.served, bodies.servedFrom1),
  'piece.discarded': kind(bodies.discarded),
  'house.set': third(bodies.houseSet, bodies.houseSetFrom1, bodies.houseSetFrom2, false),
  'species.set': kind(bodies.speciesSet, false),
  'profile.set': kind(bodies.profileSet, false),
  'sheet.set': kind(bodies.sheetSet, false),
  'notice.set': kind(bodies.noticeSet, false),
  'document.filed': kind(bodies.documentFiled, false),
  'place.set': second(bodies.placeSet, bodies.placeSetFrom1, false),
  'sensor.set': kind(bodies.sensorSet, false),
  'device.keyed': kind(bodies.deviceKeyed, false),
  'device.revoked': kind(bodies.deviceRevoked, false),
  'place.read': kind(bodies.placeRead),
  'excursion.closed': kind(bodies.excursionClosed, false),
  'template.set': kind(bodies.templateSet, false),
  'kitchen.set': kind(bodies.kitchenSet, false),
  'recipe.set': kind(bodies.recipeSet, false),
  'recipe.noted': kind(bodies.recipeNoted, false),
  'learning.set': kind(bodies.learningSet, false),
  'sauce.set': kind(acid.sauceSet, false),
  'ingredient.set': kind(acid.ingredientSet, false),
  'ingredient.swapped': kind(acid.ingredientSwapped, false),
  'ingredient.back': kind(acid.ingredientBack, false),
  'ageing.set': kind(ageing.ageingSet, false),
  'rack.set': kind(ageing.rackSet, false),
  'service.set': kind(ageing.serviceSet, false),
  'person.joined': kind(bodies.personJoined, false),
  'person.forgotten': kind(bodies.personForgotten, false),
  'day.signed': kind(bodies.daySigned, false),
  'backup.made': kind(bodies.backupMade, false),
  'clock.behind': kind(bodies.clockBehind, false),
  'readings.stored': second(bodies.readingsStored, bodies.readingsStoredFrom1, false),
  'readings.quarantined': kind(bodies.readingsQuarantined, false),
  'log.imported': kind(bodies.logImported, false),
  'entry.amended': kind(bodies.amended)
} satisfies Record<string, KindDefinition>;

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
  if (!result.success) {
    const issue = result.error.issues[0];
    throw new EmberError('record.body-invalid', { field: issue?.path.join('.'), seen: issue?.message });
  }
  return result.data as BodyOf<Kind>;
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
