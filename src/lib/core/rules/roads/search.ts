import { DAY } from '../../measure/spans.ts';
import { running } from '../../record/occupation.ts';
import { addDays } from '../../measure/day.ts';
import type { RecordEvent } from '../../record/events.ts';
import { foldLineages, judge, type Lineage, type Verdict } from '../verdict.ts';
import { ROUTES, type Route } from '../../codes/window.ts';
import { remedies } from './remedies.ts';
import { corrected, COSTS, PROVING_CELSIUS, READ_EVERY, writer, type Remedy, type Writer } from './trial.ts';
import { celsius, KEPT_CELSIUS, type Road, type RoadsInput, type RoadStep } from './steps.ts';

/** A day of catch is looked for so far back, days. */
const DAYS_BACK = 30;
const MOST_STEPS = 3;
const MOST_ROADS = 4;
const MOST_OTHERS = 2;
const isOpen = (state: string) => state === 'open' || state === 'ebbing';

/** What a search goes on with. */
interface Search extends RoadsInput {
  readonly write: Writer;
  readonly piece: string;
}

/** Strands with what some remedies would write; where it is not in the freezer it is kept cold and read. */
function withRemedies(input: Search, chosen: readonly Remedy[], keptUntil: number): Lineage[] {
  const frozen = chosen.find(({ softFrom }) => softFrom !== undefined);
  const readings: RecordEvent[] = [];
  for (let at = (frozen ? frozen.outFrom! : input.now) + READ_EVERY; at <= keptUntil; at += READ_EVERY)
    readings.push(input.write('cold.read', `piece:${input.piece}`, at, { reading: celsius(KEPT_CELSIUS), place: '' }));
  return input.lineages.map((strand) => {
    const lot = chosen.flatMap(({ lot: its }) => (its?.id === strand.lotId ? [its.event] : []));
    const more = [...chosen.flatMap(({ piece }) => piece ?? []), ...readings];
    return { ...withMore(strand, more), lot: [...strand.lot, ...lot] };
  });
}
/** A strand with more entries on the piece itself. */
const withMore = (strand: Lineage, more: readonly RecordEvent[]): Lineage => ({
  ...strand,
  pieces: strand.pieces.map((each, index) =>
    index === strand.pieces.length - 1 ? { ...each, events: [...each.events, ...more] } : each
  )
});

/** What holds a route back, as one word for each finding: what a step takes away of it makes the step worth a thought. */
const blocks = ({ reasons }: Verdict, route: Route): Set<string> =>
  new Set(
    reasons
      .filter((reason) => reason.routes.includes(route) && reason.effect.kind === 'missing')
      .map(({ code, lots = '' }) => `${code} ${lots}`)
  );

interface Seen {
  readonly at: number;
  readonly needsReading: boolean;
  readonly until: number | null;
}
/** When a route is first open after some steps; null where it never is. */
function opening(input: Search, route: Route, chosen: readonly Remedy[]): Seen | null {
  let at = Math.max(input.now, ...chosen.map(({ readyAt }) => readyAt));
  for (let turn = 0; turn < 3; turn++) {
    const plain = judgedAt(input, chosen, at);
    const window = plain.windows.find((each) => each.route === route)!;
    if (isOpen(window.state)) return { at, needsReading: false, until: window.closes };
    if (window.state === 'not-cleared' && window.proofDue !== null && !window.missing) {
      const read = judgedAt(input, chosen, at, true).windows.find((each) => each.route === route)!;
      if (isOpen(read.state)) return { at, needsReading: true, until: read.closes };
      return null;
    }
    if (window.state !== 'locked' || window.opens === null || window.opens <= at) return null;
    at = window.opens;
  }
  return null;
}
function judgedAt(input: Search, chosen: readonly Remedy[], at: number, read = false): Verdict {
  const { house, logs, write, piece } = input;
  const asked = { house, at, knownAt: at, logs };
  const lineages = withRemedies(input, chosen, at);
  if (!read) return judge(foldLineages(lineages, asked));
  const run = running(foldLineages(lineages, asked)[0].chain.at(-1)!.freezes);
  const reading = celsius(run ? Math.min(run.plan.air.si, PROVING_CELSIUS) : KEPT_CELSIUS);
  const now = run
    ? write('freeze.read', `piece:${piece}`, at, { reading, probe: 'core' })
    : write('cold.read', `piece:${piece}`, at, { reading, place: '' });
  return judge(
    foldLineages(
      lineages.map((strand) => withMore(strand, [now])),
      asked
    )
  );
}

/** Sets of at most so many, the smallest first. */
function* subsets<Item>(items: readonly Item[], most: number): Generator<Item[]> {
  for (let size = 0; size <= most; size++) {
    const pick = function* (from: number, left: number): Generator<Item[]> {
      if (left === 0) yield [];
      else
        for (let index = from; index <= items.length - left; index++)
          for (const rest of pick(index + 1, left - 1)) yield [items[index]!, ...rest];
    };
    yield* pick(0, size);
  }
}
/** Two steps that stand for each other: papers of one kind, freezings. */
const sameKind = (a: RoadStep, b: RoadStep): boolean =>
  a.kind === b.kind &&
  (a.kind !== 'paper' || b.kind !== 'paper' || (a.type === b.type && a.lot === b.lot)) &&
  a.kind !== 'fact';

/** The same steps with the earliest day of catch with which they are in time, looked for backwards; with none where no day is. */
function earliestCatch(input: Search, route: Route, chosen: readonly Remedy[]): Remedy[] {
  const index = chosen.findIndex(({ step }) => step.kind === 'fact' && step.field === 'caughtOn');
  if (index < 0) return [...chosen];
  const one = chosen[index]!;
  const { lot } = input.lineages.find(({ lotId }) => lotId === one.lot!.id)!;
  const latest = (one.step as Extract<RoadStep, { kind: 'fact' }>).notBefore!;
  const unsaid: Remedy = { ...one, step: { ...(one.step as Extract<RoadStep, { kind: 'fact' }>), notBefore: null } };
  let best = chosen.map((each, at) => (at === index ? unsaid : each));
  for (let back = 0; back <= DAYS_BACK; back++) {
    const day = addDays(latest, -back);
    const tried: Remedy = {
      ...one,
      step: { ...(one.step as Extract<RoadStep, { kind: 'fact' }>), notBefore: day },
      lot: { id: one.lot!.id, event: corrected(input.write, lot, input.now, { caughtOn: day }) }
    };
    const all = chosen.map((each, at) => (at === index ? tried : each));
    if (missesOf(input, route, all) !== null) break;
    best = all;
  }
  return best;
}
/** Whether it is open when it is wanted, or how it misses that. */
function missesOf(input: Search, route: Route, chosen: readonly Remedy[]): Road['misses'] {
  const seen = opening(input, route, chosen);
  const readyAt = Math.max(seen?.at ?? Infinity, ...chosen.map(({ softFrom }) => softFrom ?? 0));
  if (readyAt > input.by) return 'opens-later';
  const then = opening(input, route, withReady(chosen, input.by));
  return then && then.at <= input.by ? null : 'ends-before';
}
/** The same steps, looked at no sooner than a moment. */
const withReady = (chosen: readonly Remedy[], at: number): Remedy[] =>
  chosen.length === 0
    ? [{ step: { kind: 'wait', until: at }, cost: 0, readyAt: at }]
    : chosen.map((each) => ({ ...each, readyAt: Math.max(each.readyAt, at) }));

function roadOf(input: Search, route: Route, chosen: readonly Remedy[], seen: Seen): Road {
  const frozen = chosen.find(({ softFrom }) => softFrom !== undefined);
  const readyAt = Math.max(seen.at, frozen?.softFrom ?? 0);
  const waits = !frozen && seen.at > input.now;
  const steps: RoadStep[] = [
    ...(route === input.route ? [] : [{ kind: 'serve-as' as const, route }]),
    ...chosen.map(({ step }) => step),
    ...(waits ? [{ kind: 'wait' as const, until: seen.at }] : []),
    ...(seen.needsReading ? [{ kind: 'read' as const, at: seen.at }] : [])
  ];
  const cost =
    chosen.reduce((sum, each) => sum + each.cost, 0) +
    (waits ? COSTS.wait + (seen.at - input.now) / DAY : 0) +
    (seen.needsReading ? COSTS.read : 0) +
    (route === input.route ? 0 : COSTS.other);
  const misses = missesOf(input, route, chosen);
  return { route, steps, opensAt: seen.at, readyAt, until: seen.until, misses, cost };
}

/**
 * The cheapest ways to have a piece open as it is wanted, by when it is wanted: papers of the seller, facts nobody wrote down,
 * freezing here, a reading, a wait, the authority; and the other routes it may go. Each was judged as it would be recorded:
 * nothing is promised that the judge would not say.
 *
 * @returns the cheapest first, those in time before those that are not, other routes after the one wanted; none where it is shut for ever
 * @throws EmberError `record.not-found` where the piece does not exist
 */
export function findRoads(asked: RoadsInput): Road[] {
  const input: Search = { ...asked, write: writer(), piece: asked.lineages[0]?.pieces.at(-1)?.id ?? '' };
  const now = judgedAt(input, [], input.now);
  const roads: Road[] = [];
  const stands = now.windows.find(({ route }) => route === input.route)!;
  if (!stands.never && stands.state !== 'closed') {
    const before = blocks(now, input.route);
    const useful = remedies(input, now, input.write).filter((each) => {
      if (each.step.kind === 'hold' || each.step.kind === 'take-out') return true;
      const after = blocks(judgedAt(input, [each], each.readyAt), input.route);
      return [...before].some((code) => !after.has(code));
    });
    const found: (readonly Remedy[])[] = [];
    for (const chosen of subsets(useful, MOST_STEPS)) {
      if (chosen.some((each, at) => chosen.slice(0, at).some((other) => sameKind(each.step, other.step)))) continue;
      if (found.some((each) => each.every((one) => chosen.includes(one)))) continue;
      const seen = opening(input, input.route, chosen);
      if (!seen) continue;
      found.push(chosen);
      const fitted = earliestCatch(input, input.route, chosen);
      roads.push(roadOf(input, input.route, fitted, opening(input, input.route, fitted) ?? seen));
    }
  }
  const others = ROUTES.filter((route) => route !== input.route).flatMap((route) => {
    const seen = opening(input, route, []);
    return seen ? [roadOf(input, route, [], seen)] : [];
  });
  return [...fewest(roads, MOST_ROADS), ...fewest(others, MOST_OTHERS)].sort(
    (a, b) => Number(b.misses === null) - Number(a.misses === null)
  );
}
/** The cheapest, those in time first. Of two ways alike the one that is neither sooner nor cheaper says nothing new. */
function fewest(roads: readonly Road[], most: number): Road[] {
  const sorted = [...roads].sort(
    (a, b) => Number(b.misses === null) - Number(a.misses === null) || a.cost - b.cost || a.opensAt - b.opensAt
  );
  return sorted.filter((road, at) => !sorted.slice(0, at).some((other) => isAlike(other, road))).slice(0, most);
}
const isAlike = (a: Road, b: Road): boolean =>
  a.route === b.route &&
  a.steps.length === b.steps.length &&
  a.steps.every((step, at) => sameKind(step, b.steps[at]!) || (step.kind === 'fact' && b.steps[at]!.kind === 'fact')) &&
  a.readyAt <= b.readyAt;
