import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { EVENT_KINDS, checkBody, type RecordEvent, patchNow } from '../../core/record/events.ts';
import { checkMoved } from '../../core/record/moved.ts';
import { checkPatch } from '../../core/record/patch.ts';
import { effectiveEvents, refusalOf, unwarranted } from '../../core/record/amend.ts';
import { foldLineages, judge, type Lineage } from '../../core/rules/verdict.ts';
import { combineAll, isWider, type Reason, type Route, type RouteWindow } from '../../core/codes/window.ts';
import { isOwnable, needsAuthority } from '../../core/rules/exceptions.ts';
import { massText } from '../../core/measure/format.ts';
import { DAY } from '../../core/measure/spans.ts';
import { businessDay } from '../../core/measure/day.ts';
import { readingsEarlier } from '../store/clock-corrections.ts';
import { chunksOf, sensorNamed } from '../store/readings.ts';
import { seriesOf, type LogReading } from '../../core/log/series.ts';
import { draft } from '../store/record.ts';
import { neededText, numeric, shortText, ticked, when } from '../../core/fields/field.ts';
import { operation, type OperationContext } from './operation.ts';
import { notNow } from './not-now.ts';

function judgedOf(
  context: OperationContext,
  lineages: readonly Lineage[],
  logs = context.store.projections.logs.book(context.now, context.now)
): { readonly windows: readonly RouteWindow[]; readonly reasons: readonly Reason[] } | null {
  try {
    const { house, now: at } = context;
    // All that is on record counts, the amendment that is being tried with it.
    const inputs = foldLineages(lineages, { house, at, knownAt: Infinity, logs });
    const { reasons } = judge(inputs.map((input) => ({ ...input, knownAt: at })));
    return { windows: combineAll(reasons), reasons };
  } catch (error) {
    if (error instanceof EmberError && error.code === 'record.not-found') return null;
    throw error;
  }
}

/** What a person decided, and what somebody may answer for: mended, it is decided anew, by name. */
const isDecided = (reason: Reason): boolean => isOwnable(reason) || reason.code.startsWith('decision.');
/**
 * Whether a correction opens more than the slip had shut: what held a route back, and holds it back no more, is what only a document
 * of the authority opens, or what somebody decided. Then it is an exception, and somebody stands for it by name.
 */
const isException = (route: Route, was: readonly Reason[], becomes: readonly Reason[]): boolean => {
  const still = new Set(becomes.filter(({ routes }) => routes.includes(route)).map(({ code }) => code));
  return was.some(
    (reason) =>
      reason.routes.includes(route) && (needsAuthority(reason) || isDecided(reason)) && !still.has(reason.code)
  );
};

/**
 * The routes that the amendment would widen, over every piece the touched subject speaks about. To strike an entry out is always an
 * exception where it widens; to mend a slip in one only where it opens what a document or a person has to.
 */
function widened(context: OperationContext, amendment: RecordEvent): string[] {
  const { store } = context;
  const [kind, id] = amendment.subject.split(':') as [string, string];
  const { relations } = store.projections;
  const family = (piece: string, known = new Set<string>()): Set<string> => {
    if (known.has(piece)) return known;
    known.add(piece);
    for (const child of relations.childrenOf(piece)) if (child.made !== null) family(child.id, known);
    return known;
  };
  const place = kind === 'place' ? store.projections.logs.placeNamed(id) : null;
  const pieces =
    kind === 'lot'
      ? relations.piecesOf(id)
      : kind === 'piece'
        ? [...family(id)]
        : place !== null
          ? store.projections.piecesIn(place)
          : [];
  const tried = place === null ? undefined : store.projections.logs.trial(context.now, amendment);
  const routes = new Set<string>();
  const isStruck = amendment.kind === 'entry.amended' && amendment.body.void;
  for (const piece of pieces) {
    const before = store.projections.lineages(piece);
    const added = (events: readonly RecordEvent[], subject: string) =>
      subject === amendment.subject ? [...events, amendment] : events;
    const after = before.map((strand) => ({
      ...strand,
      lot: added(strand.lot, `lot:${strand.lotId}`),
      pieces: strand.pieces.map((link) => ({ id: link.id, events: added(link.events, `piece:${link.id}`) }))
    }));
    const was = judgedOf(context, before);
    const becomes = judgedOf(context, after, tried);
    if (!was || !becomes) continue;
    becomes.windows.forEach((window, index) => {
      if (!isWider(was.windows[index]!, window)) return;
      if (isStruck || isException(window.route, was.reasons, becomes.reasons)) routes.add(window.route);
    });
  }
  return [...routes];
}

/**
 * The other side of a weight that left one piece for another: what left is what came, so both are amended together.
 *
 * @throws EmberError where a batch of several parents would weigh what no parent gave
 */
function otherSide(
  { store }: OperationContext,
  original: RecordEvent,
  change: { readonly void: boolean; readonly patch: Record<string, unknown> }
): { entry: RecordEvent; patch: Record<string, unknown> }[] {
  const standing = (subject: string) => effectiveEvents(store.record.eventsOf(subject));
  if (original.kind === 'piece.made') {
    const mass = change.patch.mass as { si: number } | undefined;
    if (!change.void && !mass) return [];
    const { code, parents } = original.body;
    if (!change.void && parents.length > 1) {
      throw new EmberError('record.not-amendable', { field: 'patch', seen: original.kind, batch: true });
    }
    return parents.flatMap((parent) =>
      standing(`piece:${parent}`)
        .filter((event) => event.kind === 'piece.gave' && event.body.child === code)
        .map((entry) => ({ entry, patch: change.void ? {} : { grams: mass!.si } }))
    );
  }
  if (original.kind !== 'piece.gave') return [];
  const grams = change.patch.grams as number | undefined;
  if (!change.void && grams === undefined) return [];
  return standing(`piece:${original.body.child}`).flatMap((entry) => {
    if (entry.kind !== 'piece.made') return [];
    if (entry.body.parents.length > 1) {
      throw new EmberError('record.not-amendable', { field: 'patch', seen: original.kind, batch: true });
    }
    const mass = { si: grams ?? 0, unit: 'g', typed: massText(grams ?? 0) };
    return [{ entry, patch: change.void ? {} : { grams, mass } }];
  });
}

export const amendEntry = operation({
  name: 'amend-entry',
  page: '/ledger',
  summary:
    'Correct an entry by adding one: undo it, move its time, or change fields. What the law leaves to no name it does not open: then "stands" says so.',
  input: z.object({
    seq: numeric(1, Number.MAX_SAFE_INTEGER),
    void: ticked,
    happened: when,
    patch: z
      .union([z.string().max(20_000), z.record(z.string(), z.unknown())])
      .default('')
      .transform((value, context): Record<string, unknown> => {
        if (typeof value !== 'string') return value;
        if (value.trim() === '') return {};
        try {
          const parsed: unknown = JSON.parse(value);
          if (parsed && typeof parsed === 'object' && !Array.isArray(parsed)) return parsed as Record<string, unknown>;
        } catch {
          // Falls through to the same message: it is not an object of fields.
        }
        context.addIssue({ code: 'custom', message: 'request.not-json', params: { code: 'request.not-json' } });
        return z.NEVER;
      }),
    reason: neededText(300),
    ownWidening: ticked.describe('I stand for what this opens and only a document of the authority may open')
  }),
  run(context, said) {
    const { store } = context;
    const original = store.record.event(said.seq);
    if (!original) throw new EmberError('record.not-found', { field: 'seq', seen: said.seq });
    const input = { ...said, patch: checkPatch(original.kind, patchNow(original.kind, said.patch)) };
    if (!EVENT_KINDS[original.kind].amendable) {
      throw new EmberError('record.not-amendable', { field: 'seq', seen: original.kind });
    }
    const moved = input.happened ? context.instant(input.happened, 'happened') : null;
    // A correction changes nothing of its own: it is struck, and another is written.
    if (original.kind === 'entry.amended' && !input.void)
      throw new EmberError('record.not-amendable', { field: 'void', seen: original.kind });
    if (!input.void && moved === null && Object.keys(input.patch).length === 0) {
      throw new EmberError('form.incomplete', { field: 'patch' });
    }
    if (!input.void && original.kind !== 'entry.amended') {
      const standing = effectiveEvents(store.record.eventsOf(original.subject)).find(({ seq }) => seq === original.seq);
      checkBody(original.kind, { ...((standing ?? original).body as object), ...input.patch });
    }
    const sides = [{ entry: original, patch: input.patch }, ...otherSide(context, original, input)];
    let stands = false;
    const drafts = sides.map(({ entry, patch }) => {
      const body = {
        amends: entry.seq,
        void: input.void,
        // Where a weight is mended and the time with it, both ends move.
        happened: moved,
        patch,
        reason: input.reason,
        widens: [] as string[],
        ...(context.tablet === undefined ? {} : { tablet: context.tablet })
      };
      const tried: RecordEvent = {
        seq: Number.MAX_SAFE_INTEGER,
        happened: context.now,
        recorded: context.now,
        actor: context.actor,
        subject: entry.subject,
        kind: 'entry.amended',
        body
      };
      const standing = [...store.record.eventsOf(entry.subject), tried];
      const refused = refusalOf(tried, standing);
      if (refused === 'never') throw new EmberError('record.exception-refused', { field: 'seq', seen: entry.kind });
      if (refused) throw new EmberError('record.needs-second-person', { field: 'seq', seen: entry.kind });
      if (moved !== null) checkMoved(effectiveEvents(standing), entry.seq);
      stands ||= unwarranted(standing).includes(tried.seq);
      body.widens = widened(context, tried);
      return draft('entry.amended', entry.subject, context.now, body);
    });
    const widens = [...new Set(drafts.flatMap(({ body }) => (body as { widens: string[] }).widens))];
    if (widens.length > 0 && !input.ownWidening) {
      throw new EmberError('record.widens-without-owner', { field: 'ownWidening', seen: widens.join(', ') });
    }
    const [kind, id] = original.subject.split(':') as [string, string];
    const place = kind === 'place' ? store.projections.logs.placeNamed(id) : null;
    return { events: drafts, places: place === null ? [] : [place], result: { amends: input.seq, widens, stands } };
  }
});

export const signDay = operation({
  name: 'sign-day',
  page: '/ledger',
  summary: 'Sign the business day: the head of the ledger is written down, so that a cut-off log is noticed.',
  input: z.object({ note: shortText(300) }),
  run({ store, house, now }, input) {
    const { seq, hash } = store.record.head();
    const day = businessDay(now, house);
    const seal = store.seal?.word(day, { seq, hash }) ?? null;
    const people = store.people.vouched();
    const body = { day, headSeq: seq, headHash: hash, note: input.note, seal, people };
    return {
      events: [draft('day.signed', `day:${day}`, now, body)],
      result: { day, seq, hash }
    };
  }
});

export const confirmClock = operation({
  name: 'confirm-clock',
  page: '/house',
  summary: "Say that the machine's clock is right although it reads far past the last entry.",
  input: z.object({ reason: neededText(200) }),
  answersFor: 'clock',
  run({ store, now }, { reason }) {
    const aheadSeconds = Math.max(0, Math.round((now - store.record.head().recorded) / 1000));
    return { events: [draft('clock.confirmed', 'clock', now, { aheadSeconds, reason })], result: { aheadSeconds } };
  }
});

/** A clock that is a little behind is set; the ledger waits for it. ms */
const LEAST_AHEAD = DAY;

export const correctClock = operation({
  name: 'correct-clock',
  page: '/house',
  summary:
    'Put the times right of entries that a clock far ahead dated: say when the first of them really was. All of them count as that much earlier, and the ledger goes on from now.',
  input: z.object({
    really: neededText(40).describe('when the first of them was really written'),
    reason: neededText(200)
  }),
  putsTimeBack: true,
  run({ store, now, instant }, { really, reason }) {
    const head = store.record.head();
    const fromSeq = store.record.firstAfter(now);
    const first = fromSeq === 0 ? null : store.record.row(fromSeq)!;
    if (!first || head.recorded - now < LEAST_AHEAD) {
      throw notNow('really', 'no-entry-ahead');
    }
    const at = instant(really, 'really');
    const aheadMs = first.recorded - at;
    const before = fromSeq > 1 ? store.record.event(fromSeq - 1)!.recorded : -Infinity;
    // Neither before what was written before them, nor so late that the last of them has yet to come.
    if (at < before || head.recorded - aheadMs > now) {
      throw new EmberError('time.out-of-order', { field: 'really', seen: really });
    }
    readingsEarlier(store.db, now, aheadMs);
    store.readings.forgetCached();
    const body = { fromSeq, toSeq: head.seq, aheadMs, reason };
    return {
      events: [draft('clock.corrected', 'clock', now, body)],
      result: { entries: head.seq - fromSeq + 1, aheadMs }
    };
  }
});

export const confirmLoss = operation({
  name: 'confirm-loss',
  page: '/ledger',
  summary: 'Go on without entries that were answered for and are not in the record any more.',
  input: z.object({ reason: neededText(200) }),
  answersFor: 'loss',
  run({ store, now }, { reason }) {
    const { seq, hash } = store.record.head();
    const { noted, found } = store.noted.loss() ?? { noted: { seq, hash }, found: { seq, hash } };
    const body = { notedSeq: noted.seq, notedHash: noted.hash, foundSeq: found.seq, foundHash: found.hash, reason };
    return { events: [draft('loss.confirmed', 'record', now, body)], result: { noted: noted.seq, found: found.seq } };
  }
});

/** One line of a pasted log: a time, then a temperature in °C. */
function logLine(context: OperationContext, line: string, number: number): LogReading {
  const [time, value] = line.split(/[;,\t]/).map((part) => part.trim());
  const celsius = Number(value);
  const at = context.instant(time || 'none', `line ${number}`);
  if (!value || !Number.isFinite(celsius) || celsius < -90 || celsius > 60) {
    throw new EmberError('quantity.out-of-range', {
      field: `line ${number}`,
      unit: '°C',
      min: -90,
      max: 60,
      seen: value ?? ''
    });
  }
  return { at, celsius };
}

export const storeReadings = operation({
  name: 'store-readings',
  page: '/freeze/import',
  summary: 'Keep readings copied by hand: one line a reading, time and °C. Packed by day, its hash in the ledger.',
  input: z.object({ sensor: neededText(60), log: z.string().min(1).max(400_000) }),
  run(context, input) {
    const { store, house, now } = context;
    const sensor = sensorNamed(house.sensors, input.sensor);
    const lines = input.log.split(/\r?\n/).filter((line) => line.trim() !== '');
    const series = store.readings.news(
      sensor.id,
      seriesOf(lines.map((line, index) => logLine(context, line, index + 1)))
    );
    const chunks = chunksOf(sensor.id, series, house, { source: 'hand', origin: context.actor, clockOffsetSeconds: 0 });
    const events = chunks.map((chunk) =>
      draft('readings.stored', `sensor:${sensor.id}`, now, store.readings.keep(chunk, now))
    );
    return {
      events,
      places: sensor.place === '' ? [] : [sensor.place],
      result: { readings: lines.length, days: chunks.map(({ body }) => body.day) }
    };
  }
});
