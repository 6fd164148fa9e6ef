import { EmberError } from '../errors.ts';
import { DEFAULT_PREFERENCES } from '../measure/units.ts';
import { DEFAULT_RAW_SHARE_OF_ICE_DAYS } from '../fish/freshness.ts';
import type { HouseSpeciesBook } from '../fish/house-species.ts';
import { STRICTNESS, type Decision } from '../inspect/score.ts';
import type { HouseSheet } from '../inspect/sheets.ts';
import type { HouseDocument } from '../codes/documents.ts';
import type { HouseProfile } from '../codes/profiles/house.ts';
import { NO_HOUSE_INGREDIENTS, type HouseIngredients } from '../ingredients/kitchen.ts';
import { AGEING_RULES } from '../activity/age/lists.ts';
import { effectiveEvents, undone } from './amend.ts';
import { UNIDENTIFIED } from '../activity/receive/bodies.ts';
import type { BodyOf, RecordEvent } from './events.ts';
import { hindranceOf, running, type GoneHow } from './occupation.ts';

/** Something that happened, with the entry it stands on. */
export interface Stamped {
  readonly seq: number;
  readonly at: number;
  readonly by: string;
}

export interface Reading extends Stamped {
  readonly celsius: number;
  readonly unit: string;
  readonly typed: string;
}
export type FreezeReading = Reading & { readonly probe: 'core' | 'air' };

export interface FreezeRun extends Stamped {
  readonly plan: BodyOf<'freeze.started'>;
  readonly readings: readonly FreezeReading[];
  /** The forecast as it was last made anew; null where it stands as it was planned. */
  readonly replan: (Stamped & BodyOf<'freeze.replanned'>) | null;
  readonly ended: (Stamped & BodyOf<'freeze.ended'>) | null;
}
export interface ThawRun extends Stamped {
  readonly plan: BodyOf<'thaw.started'>;
  readonly ended: (Stamped & BodyOf<'thaw.ended'>) | null;
}
/** Where a piece lay, from when to when; ms. */
export interface Stay {
  readonly seq: number;
  readonly place: string;
  /** How it came there; what is put into a run is judged by the run's own readings. */
  readonly how: 'put' | 'freeze' | 'thaw' | 'bath' | 'age';
  readonly from: number;
  readonly to: number | null;
}
export interface CureRun extends Stamped {
  readonly plan: BodyOf<'cure.started'>;
  /** What was changed on the way, oldest first: the last of them is how it runs now. */
  readonly changes: readonly (Stamped & BodyOf<'cure.changed'>)[];
  readonly done: readonly (Stamped & BodyOf<'cure.stepped'>)[];
  readonly ended: (Stamped & BodyOf<'cure.ended'>) | null;
}
export interface AcidRun extends Stamped {
  readonly plan: BodyOf<'acid.started'>;
  /** Pieces cut open on the way, oldest first: the last one sets the pace. */
  readonly checks: readonly (Stamped & BodyOf<'acid.checked'>)[];
  /** Parts lifted out on the way. */
  readonly lifted: readonly (Stamped & BodyOf<'acid.lifted'>)[];
  readonly ended: (Stamped & BodyOf<'acid.ended'>) | null;
}
export interface AgeRun extends Stamped {
  readonly plan: BodyOf<'age.started'>;
  readonly weighIns: readonly (Stamped & BodyOf<'age.weighed'>)[];
  readonly looks: readonly (Stamped & BodyOf<'age.looked'>)[];
  /** Where on which rack it is now. */
  readonly place: string;
  readonly spot: string;
  readonly ended: (Stamped & BodyOf<'age.ended'>) | null;
}
export interface SliceRun extends Stamped {
  readonly plan: BodyOf<'piece.sliced'>;
}
export interface Hold extends Stamped {
  readonly plan: BodyOf<'hold.started'>;
  readonly readings: readonly Reading[];
}
/** Time on the board: what was put on it and, once it is closed, how it came out. */
export interface BoardRun extends Stamped {
  readonly plan: BodyOf<'board.opened'>;
  /** Weighed off it so far, g: parts that became pieces, waste, and drip. */
  readonly parts: number;
  /** Of the parts, what is a by-product; and every part by its name on the cut map, g. */
  readonly byProduct: number;
  readonly byPart: Readonly<Record<string, number>>;
  readonly waste: number;
  readonly drip: number;
  /** Loads that were put on the scale, g: each may be out by as much as the scale may. */
  readonly loads: readonly number[];
  readonly ended: (Stamped & BodyOf<'board.closed'>) | null;
}
/** A core as it was typed. */
export type Core = { readonly si: number; readonly unit: string; readonly typed: string };
/** A figure that was typed wrong and mended. */
export interface Correction {
  readonly seq: number;
  readonly at: number;
  readonly by: string;
  readonly amendedBy: readonly number[];
  readonly was: string;
  readonly now: string;
}
/** Out of the cold, from when to when; ms. */
export interface TimeOut {
  readonly seq: number;
  readonly by: string;
  readonly from: number;
  readonly to: number | null;
  /** Core as it left the cold, where it was taken. */
  readonly startCore: Core | null;
  /** Core on its return, where it was taken. */
  readonly core: Core | null;
  readonly backSeq: number | null;
}
export type Evidence = Stamped & BodyOf<'evidence.attached'>;

export type LotDecision = Stamped & { readonly decision: Decision; readonly reason: string };
export type LotInspection = Stamped & BodyOf<'lot.inspected'>;
export type OwnedException = Stamped & BodyOf<'exception.owned'>;

export interface LotState {
  readonly id: string;
  readonly received: Stamped & BodyOf<'lot.received'>;
  readonly evidence: readonly Evidence[];
  readonly inspections: readonly LotInspection[];
  readonly identified: (Stamped & BodyOf<'lot.identified'>) | null;
  readonly tags: readonly (Stamped & BodyOf<'tag.closed'>)[];
  /** What was decided last, and why. */
  readonly decision: LotDecision;
  /** Every decision in force: a stricter one joins those before it, a looser one (owned) takes their place. */
  readonly decisions: readonly LotDecision[];
  /** Species it is, or may be: one where it is settled, none where nobody could say. */
  readonly species: readonly string[];
  /** Since when it counts as sent back: the decision, or the handing over where none came before it; null where it is kept. */
  readonly sentBack: Stamped | null;
  /** What was carried away, by whom; null while nobody said. */
  readonly handedBack: (Stamped & BodyOf<'lot.returned'>) | null;
  readonly corrections: readonly Correction[];
  readonly lastSeq: number;
}

export interface PieceState {
  readonly id: string;
  readonly made: Stamped & BodyOf<'piece.made'>;
  /** Grams of it still here: made, less what it gave, was served or discarded. */
  readonly grams: number;
  readonly freezes: readonly FreezeRun[];
  readonly thaws: readonly ThawRun[];
  readonly stays: readonly Stay[];
  readonly cures: readonly CureRun[];
  readonly acids: readonly AcidRun[];
  readonly ages: readonly AgeRun[];
  /** What it was dressed with at service. */
  readonly dressings: readonly (Stamped & BodyOf<'piece.dressed'>)[];
  readonly slices: readonly SliceRun[];
  readonly holds: readonly Hold[];
  readonly readings: readonly Reading[];
  readonly served: readonly (Stamped & BodyOf<'piece.served'>)[];
  /** Exceptions in force, each answered for by the person who recorded it. */
  readonly exceptions: readonly OwnedException[];
  readonly boards: readonly BoardRun[];
  readonly outs: readonly TimeOut[];
  /** Where it was put last; null where nobody said. */
  readonly place: (Stamped & BodyOf<'piece.moved'>) | null;
  /** Thickness along it, as it was measured last. */
  readonly depth: (Stamped & BodyOf<'piece.profiled'>) | null;
  readonly gone: { readonly how: GoneHow; readonly stamp: Stamped } | null;
  /** Readings that were typed wrong and mended; and bins and serves that were taken back. */
  readonly corrections: readonly Correction[];
  readonly undone: ReturnType<typeof undone>;
  readonly lastSeq: number;
}

const stamp = (event: RecordEvent): Stamped => ({ seq: event.seq, at: event.happened, by: event.actor });
const asReading = (event: RecordEvent, reading: { si: number; unit: string; typed: string }): Reading => ({
  ...stamp(event),
  celsius: reading.si,
  unit: reading.unit,
  typed: reading.typed
});

export interface FoldOptions {
  /** Only what had happened by then; ms. */
  readonly at?: number;
  /** Only what was on record by then; ms. */
  readonly knownAt?: number;
  /** Only what stands before this entry, in order of (happened, sequence). */
  readonly before?: { readonly at: number; readonly seq: number };
  /** Amendments that are left out of the view, by sequence. */
  readonly without?: ReadonlySet<number>;
  /** When the lot of a piece was sent back: what was left of it went with it. */
  readonly sentBack?: Stamped | null;
}

function chosen(events: readonly RecordEvent[], options: FoldOptions) {
  const { at = Infinity, knownAt = Infinity, before, without } = options;
  return effectiveEvents(events, knownAt, without).filter(
    ({ happened, seq }) =>
      happened <= at && (!before || happened < before.at || (happened === before.at && seq < before.seq))
  );
}
/** The temperature an entry gives, as it was typed; null for an entry that gives none. */
function typedIn(body: unknown): string | null {
  const { reading, core } = body as { reading?: Core; core?: Core | null };
  return (reading ?? core)?.typed ?? null;
}

function correctionOf(event: RecordEvent): Correction | null {
  if (!event.was || !event.amendedBy) return null;
  const [was, now] = [typedIn(event.was), typedIn(event.body)];
  if (was === now) return null;
  const { seq, happened: at, actor: by, amendedBy } = event;
  return { seq, at, by, amendedBy, was: was ?? '', now: now ?? '' };
}

const lastSeqOf = (events: readonly RecordEvent[]) => events.reduce((last, event) => Math.max(last, event.seq), 0);

/**
 * What a lot is, from its events. Null where the receipt is voided or had not happened.
 */
export function foldLot(id: string, events: readonly RecordEvent[], options: FoldOptions = {}): LotState | null {
  let received: LotState['received'] | null = null;
  let identified: LotState['identified'] = null;
  const evidence: Evidence[] = [];
  const inspections: LotInspection[] = [];
  const tags: LotState['tags'][number][] = [];
  let handedBack: LotState['handedBack'] = null;
  const corrections: Correction[] = [];
  for (const event of chosen(events, options)) {
    const mended = correctionOf(event);
    if (mended) corrections.push(mended);
    if (event.kind === 'lot.received') received = { ...stamp(event), ...event.body };
    else if (event.kind === 'evidence.attached') evidence.push({ ...stamp(event), ...event.body });
    else if (event.kind === 'lot.inspected') inspections.push({ ...stamp(event), ...event.body });
    else if (event.kind === 'lot.identified') identified = { ...stamp(event), ...event.body };
    else if (event.kind === 'lot.returned') handedBack = { ...stamp(event), ...event.body };
    else if (event.kind === 'tag.closed') tags.push({ ...stamp(event), ...event.body });
  }
  if (!received) return null;
  // Whoever carries it away decides it, where nobody had before.
  const carried = handedBack && { ...handedBack, decision: 'send-back' as const };
  const said = [received, ...inspections, ...(carried ? [carried] : [])];
  const decisions = said.reduce<LotDecision[]>((before, { seq, at, by, decision, reason }) => {
    const next = { seq, at, by, decision, reason };
    const last = before.at(-1);
    if (last && STRICTNESS[decision] >= STRICTNESS[last.decision]) return [...before, next];
    // What went back to the supplier is not taken in again by a later look.
    return [...before.filter((each) => each.decision === 'send-back'), next];
  }, []);
  return {
    id,
    received,
    evidence,
    inspections,
    identified,
    tags,
    decision: decisions.at(-1)!,
    decisions,
    species: speciesOf(identified ?? received),
    sentBack: sentBackOf(decisions),
    handedBack,
    corrections,
    lastSeq: lastSeqOf(events)
  };
}

const follows = (event: RecordEvent, { at, seq }: Stamped): boolean =>
  event.happened > at || (event.happened === at && event.seq > seq);
const sentBackOf = (decisions: readonly LotDecision[]): Stamped | null => {
  const first = decisions.find(({ decision }) => decision === 'send-back');
  return first ? { seq: first.seq, at: first.at, by: first.by } : null;
};

const speciesOf = ({ species, candidates }: { species: string; candidates: readonly string[] }): readonly string[] =>
  species === UNIDENTIFIED ? candidates : [species];

/** What is left below this is a smear on the board, not a piece. g. */
export const NOTHING_LEFT_GRAMS = 0.5;

/**
 * What a piece is, from its events. Null where its making is voided or had not happened.
 */
export function foldPiece(id: string, events: readonly RecordEvent[], options: FoldOptions = {}): PieceState | null {
  const freezes: (Omit<FreezeRun, 'readings'> & { readings: FreezeReading[] })[] = [];
  const thaws: ThawRun[] = [];
  const stays: Stay[] = [];
  const cures: CureRun[] = [];
  const acids: AcidRun[] = [];
  const ages: AgeRun[] = [];
  const dressings: PieceState['dressings'][number][] = [];
  const ageNow = (more: (run: AgeRun) => Partial<AgeRun>) => {
    const run = ages.at(-1);
    if (run && !run.ended) ages[ages.length - 1] = { ...run, ...more(run) };
  };
  const slices: SliceRun[] = [];
  const holds: (Omit<Hold, 'readings'> & { readings: Reading[] })[] = [];
  const readings: Reading[] = [];
  const servedParts: PieceState['served'][number][] = [];
  const exceptions: OwnedException[] = [];
  const boards: (Omit<BoardRun, 'loads'> & { loads: number[] })[] = [];
  const outs: TimeOut[] = [];
  let place: PieceState['place'] = null;
  let depth: PieceState['depth'] = null;
  let made: PieceState['made'] | null = null;
  let grams = 0;
  let gone: PieceState['gone'] = null;
  const onBoard = () => running(boards);
  const leave = (how: GoneHow, event: RecordEvent) => {
    // What lies on the board is not gone before the board is closed and its weights are balanced.
    if (!gone && !onBoard() && grams <= NOTHING_LEFT_GRAMS) gone = { how, stamp: stamp(event) };
  };
  const weigh = (kind: 'parts' | 'waste' | 'drip', load: number) => {
    grams -= load;
    const board = onBoard();
    if (!board) return;
    board.loads.push(load);
    boards[boards.length - 1] = { ...board, [kind]: board[kind] + load };
  };
  const tally = ({ part, grade, grams: load }: BodyOf<'piece.gave'>) => {
    const board = onBoard();
    if (!board) return;
    const byPart = { ...board.byPart, [part]: (board.byPart[part] ?? 0) + load };
    const byProduct = board.byProduct + (grade === 'by-product' ? load : 0);
    boards[boards.length - 1] = { ...board, byPart, byProduct };
  };
  const goesOut = (event: RecordEvent, startCore: Core | null) => {
    const last = outs.at(-1);
    if (last && last.to === null) return;
    outs.push({
      seq: event.seq,
      by: event.actor,
      from: event.happened,
      to: null,
      startCore,
      core: null,
      backSeq: null
    });
  };
  const comesBack = (event: RecordEvent, core: TimeOut['core']) => {
    const last = outs.at(-1);
    if (last && last.to === null) outs[outs.length - 1] = { ...last, to: event.happened, core, backSeq: event.seq };
  };
  const liesIn = (event: RecordEvent, name: string, how: Stay['how'] = 'put') => {
    leavesPlace(event);
    if (name !== '') stays.push({ seq: event.seq, place: name, how, from: event.happened, to: null });
  };
  const leavesPlace = (event: RecordEvent) => {
    const last = stays.at(-1);
    if (last && last.to === null) stays[stays.length - 1] = { ...last, to: event.happened };
  };
  const corrections: Correction[] = [];
  // What the house had put work into when its lot went back stays behind, shut, for the bin: nobody carries off a cured side.
  let goesBack: boolean | null = null;
  const settle = () => {
    goesBack ??= hindranceOf({ boards, freezes, thaws, cures, acids, ages, holds, gone }, 'send-back') === null;
  };
  const { sentBack } = options;
  for (const event of chosen(events, options)) {
    const mended = correctionOf(event);
    if (mended) corrections.push(mended);
    if (made && sentBack && follows(event, sentBack)) settle();
    switch (event.kind) {
      case 'piece.made':
        made = { ...stamp(event), ...event.body };
        grams = event.body.mass.si;
        if (event.body.board !== null) goesOut(event, null);
        // Cut later from what stayed behind, it stays as well.
        if (event.body.parents.length > 0 && sentBack && follows(event, sentBack)) goesBack = false;
        break;
      case 'piece.gave':
        weigh('parts', event.body.grams);
        tally(event.body);
        leave('divided', event);
        break;
      case 'piece.wasted':
        weigh(event.body.what === 'drip' ? 'drip' : 'waste', event.body.mass.si);
        leave('divided', event);
        break;
      case 'board.opened':
        boards.push({
          ...stamp(event),
          plan: event.body,
          parts: 0,
          byProduct: 0,
          byPart: {},
          waste: 0,
          drip: 0,
          loads: [],
          ended: null
        });
        goesOut(event, event.body.core);
        leavesPlace(event);
        break;
      case 'board.closed': {
        const board = onBoard();
        if (!board) break;
        boards[boards.length - 1] = { ...board, ended: { ...stamp(event), ...event.body } };
        grams = event.body.remains;
        leave('divided', event);
        break;
      }
      case 'piece.moved':
        place = { ...stamp(event), ...event.body };
        if (event.body.cold) comesBack(event, event.body.core);
        else goesOut(event, event.body.core);
        liesIn(event, event.body.place);
        break;
      case 'piece.reweighed':
        grams = event.body.mass.si;
        break;
      case 'piece.profiled':
        depth = { ...stamp(event), ...event.body };
        break;
      case 'freeze.started':
        freezes.push({ ...stamp(event), plan: event.body, readings: [], replan: null, ended: null });
        comesBack(event, event.body.startCore);
        liesIn(event, event.body.place, 'freeze');
        break;
      case 'freeze.replanned': {
        const run = freezes.at(-1);
        if (run) freezes[freezes.length - 1] = { ...run, replan: { ...stamp(event), ...event.body } };
        break;
      }
      case 'freeze.read':
        freezes.at(-1)?.readings.push({ ...asReading(event, event.body.reading), probe: event.body.probe });
        break;
      case 'freeze.ended': {
        const run = freezes.at(-1);
        if (run) freezes[freezes.length - 1] = { ...run, ended: { ...stamp(event), ...event.body } };
        liesIn(event, event.body.place);
        break;
      }
      case 'thaw.started':
        thaws.push({ ...stamp(event), plan: event.body, ended: null });
        liesIn(event, event.body.place, 'thaw');
        break;
      case 'thaw.ended': {
        const run = thaws.at(-1);
        if (run) thaws[thaws.length - 1] = { ...run, ended: { ...stamp(event), ...event.body } };
        break;
      }
      case 'cure.started':
        cures.push({ ...stamp(event), plan: event.body, changes: [], done: [], ended: null });
        comesBack(event, null);
        if (event.body.place !== '') liesIn(event, event.body.place, 'bath');
        break;
      case 'cure.changed': {
        const run = cures.at(-1);
        if (run && !run.ended) {
          cures[cures.length - 1] = { ...run, changes: [...run.changes, { ...stamp(event), ...event.body }] };
        }
        break;
      }
      case 'cure.stepped': {
        const run = cures.at(-1);
        if (run && !run.ended) {
          cures[cures.length - 1] = { ...run, done: [...run.done, { ...stamp(event), ...event.body }] };
        }
        break;
      }
      case 'cure.ended': {
        const run = cures.at(-1);
        if (run) cures[cures.length - 1] = { ...run, ended: { ...stamp(event), ...event.body } };
        if (event.body.massAfter) grams = event.body.massAfter.si;
        if (event.body.place !== '') liesIn(event, event.body.place);
        break;
      }
      case 'acid.started':
        acids.push({ ...stamp(event), plan: event.body, checks: [], lifted: [], ended: null });
        comesBack(event, null);
        if (event.body.place !== '') liesIn(event, event.body.place, 'bath');
        break;
      case 'acid.checked': {
        const run = acids.at(-1);
        if (run && !run.ended)
          acids[acids.length - 1] = { ...run, checks: [...run.checks, { ...stamp(event), ...event.body }] };
        break;
      }
      case 'acid.lifted': {
        const run = acids.at(-1);
        if (run && !run.ended)
          acids[acids.length - 1] = { ...run, lifted: [...run.lifted, { ...stamp(event), ...event.body }] };
        break;
      }
      case 'piece.dressed':
        dressings.push({ ...stamp(event), ...event.body });
        break;
      case 'acid.ended': {
        const run = acids.at(-1);
        if (run) acids[acids.length - 1] = { ...run, ended: { ...stamp(event), ...event.body } };
        if (event.body.massAfter) grams = event.body.massAfter.si;
        if (event.body.place !== '') liesIn(event, event.body.place);
        break;
      }
      case 'age.started':
        ages.push({
          ...stamp(event),
          plan: event.body,
          weighIns: [],
          looks: [],
          place: event.body.place,
          spot: event.body.spot,
          ended: null
        });
        grams = event.body.mass.si;
        comesBack(event, null);
        liesIn(event, event.body.place, 'age');
        break;
      case 'age.weighed':
        ageNow((run) => ({ weighIns: [...run.weighIns, { ...stamp(event), ...event.body }] }));
        grams = event.body.mass.si;
        break;
      case 'age.looked':
        ageNow((run) => ({ looks: [...run.looks, { ...stamp(event), ...event.body }] }));
        break;
      case 'age.moved':
        if (event.body.place !== ages.at(-1)?.place) liesIn(event, event.body.place, 'age');
        ageNow(() => ({ place: event.body.place, spot: event.body.spot }));
        break;
      case 'age.ended':
        ageNow(() => ({ ended: { ...stamp(event), ...event.body } }));
        if (event.body.massAfter) grams = event.body.massAfter.si;
        if (event.body.place !== '') liesIn(event, event.body.place);
        break;
      case 'piece.sliced':
        slices.push({ ...stamp(event), plan: event.body });
        break;
      case 'cold.read':
        readings.push(asReading(event, event.body.reading));
        break;
      case 'hold.started':
        holds.push({ ...stamp(event), plan: event.body, readings: [] });
        // From here the tray's own clock runs, and counts every minute.
        comesBack(event, event.body.startCore);
        leavesPlace(event);
        break;
      case 'hold.read':
        holds.at(-1)?.readings.push(asReading(event, event.body.reading));
        break;
      case 'exception.owned':
        exceptions.push({ ...stamp(event), ...event.body });
        break;
      case 'exception.withdrawn': {
        const index = exceptions.findIndex(({ seq }) => seq === event.body.exception);
        if (index >= 0) exceptions.splice(index, 1);
        break;
      }
      case 'piece.served':
        servedParts.push({ ...stamp(event), ...event.body });
        grams -= event.body.mass.si;
        leave('served', event);
        break;
      case 'piece.discarded':
        grams -= event.body.mass ? event.body.mass.si : grams;
        leave('discarded', event);
        break;
      default:
        break;
    }
  }
  if (!made) return null;
  if (sentBack && !gone) settle();
  if (sentBack && goesBack) {
    gone = { how: 'returned', stamp: { ...sentBack, at: Math.max(sentBack.at, made.at) } };
    grams = 0;
  }
  if (gone && stays.at(-1)?.to === null) stays[stays.length - 1] = { ...stays.at(-1)!, to: leftAt(gone) };
  return {
    id,
    made,
    grams: Math.max(0, grams),
    freezes,
    thaws,
    stays,
    cures,
    acids,
    ages,
    dressings,
    slices,
    holds,
    readings,
    served: servedParts,
    exceptions,
    boards,
    outs,
    place,
    depth,
    gone,
    corrections,
    undone: undone(events, options.knownAt),
    lastSeq: lastSeqOf(events)
  };
}

const leftAt = (gone: { readonly stamp: Stamped } | null) => gone?.stamp.at ?? null;

/** How an acid run is forecast now: as it was begun, or as the last piece cut open set it. */
export const acidNow = (
  run: AcidRun
): Pick<BodyOf<'acid.started'>, 'ready' | 'past' | 'never' | 'later'> & { readonly pace: number } => {
  const check = run.checks.at(-1);
  const { ready, past, never, later, settings } = run.plan;
  return check ?? { ready, past, never, later, pace: settings.pace };
};

/** How a cure runs now: as it was begun, or as it was last changed. */
export const cureNow = (run: CureRun): Pick<BodyOf<'cure.started'>, 'stages' | 'steps' | 'forecast' | 'dueAt'> =>
  run.changes.at(-1) ?? run.plan;

/** What the house keeps of its knife work: places, divisions of a side, by-product values and portions. */
export interface KnifeBooks {
  readonly places: Readonly<Record<string, Place>>;
  /** Since when, and until when, a name stood on the list as a cold place; ms. */
  readonly coldSpans: readonly { readonly name: string; readonly from: number; readonly to: number }[];
  readonly templates: Readonly<Record<string, CutTemplate>>;
  readonly kitchen: BodyOf<'kitchen.set'> | null;
}
/** What measures the cold: sensors, and the loggers that may send their readings. */
export interface ColdBooks {
  readonly sensors: Readonly<Record<string, Sensor>>;
  readonly devices: Readonly<Record<string, Device>>;
}
/** What the house keeps of its curing: recipes of its own, what was said of any, and whether its forecasts learn. */
export interface CureBooks {
  readonly recipes: Readonly<Record<string, HouseRecipe>>;
  readonly recipeNotes: readonly (Stamped & BodyOf<'recipe.noted'>)[];
  readonly learnsCures: boolean;
}
/** What the authority allows the house, by documents on file. */
export interface DocumentBooks {
  readonly documents: Readonly<Record<string, HouseDocument>>;
}
/** What the house says of its ingredients, and what it uses instead of what it is out of. */
export interface IngredientBooks {
  readonly ingredients: HouseIngredients;
}
/** Sauces of the house's own, and own versions over those that ship. */
export interface SauceBooks {
  readonly sauces: Readonly<Record<string, HouseSauce>>;
}
export interface HouseSauce {
  readonly id: string;
  readonly versions: readonly (Stamped & BodyOf<'sauce.set'>)[];
}
/** What the house keeps of its ageing, and the sittings it is to be ready for. */
export interface AgeBooks {
  readonly ageing: BodyOf<'ageing.set'> & { readonly by: string; readonly seq: number };
  readonly racks: Readonly<Record<string, BodyOf<'rack.set'>>>;
  readonly services: Readonly<Record<string, Service>>;
}
export type Service = Omit<BodyOf<'service.set'>, 'withdrawn'>;
/** A recipe with all its versions, oldest first; the last is the one in use. */
export interface HouseRecipe {
  readonly id: string;
  readonly versions: readonly (Stamped & BodyOf<'recipe.set'>)[];
}
export type Sensor = Omit<BodyOf<'sensor.set'>, 'withdrawn'>;
export type Device = BodyOf<'device.keyed'> & { readonly revoked: (Stamped & { readonly reason: string }) | null };
export type Place = Omit<BodyOf<'place.set'>, 'withdrawn'>;
export type CutTemplate = Omit<BodyOf<'template.set'>, 'withdrawn'>;

export type HouseState = BodyOf<'house.set'> & {
  readonly lastSeq: number;
  /** Species as this house has them, where it differs from what ships. */
  readonly species: HouseSpeciesBook;
  /** Rule profiles of the house's own. */
  readonly profiles: Readonly<Record<string, HouseProfile>>;
  readonly sheets: Readonly<Record<string, HouseSheet>>;
  /** The raw-food notice in the house's words; null for the shipped text. */
  readonly notice: (Stamped & { readonly text: string }) | null;
} & KnifeBooks &
  ColdBooks &
  CureBooks &
  SauceBooks &
  IngredientBooks &
  DocumentBooks &
  AgeBooks;

/** A house before anybody has set anything. Zone UTC on purpose: a wrong guess would move every day mark. */
export const NEW_HOUSE: HouseState = {
  name: 'New house',
  profile: 'us-fc',
  zone: 'UTC',
  dayEndsHour: 4,
  units: DEFAULT_PREFERENCES,
  currency: 'EUR',
  countFromCore: true,
  strictAccuracy: false,
  warnMinutes: 120,
  rawShareOfIceDays: DEFAULT_RAW_SHARE_OF_ICE_DAYS,
  dateMarkDays: 7,
  susceptibleGuests: false,
  species: {},
  profiles: {},
  sheets: {},
  notice: null,
  places: {},
  coldSpans: [],
  templates: {},
  kitchen: null,
  sensors: {},
  devices: {},
  recipes: {},
  recipeNotes: [],
  learnsCures: true,
  ageing: { ...AGEING_RULES, reason: '', looser: [], by: '', seq: 0 },
  racks: {},
  services: {},
  sauces: {},
  ingredients: NO_HOUSE_INGREDIENTS,
  documents: {},
  lastSeq: 0
};

/** A book with one entry put in, or taken out. */
function put<Entry extends { id: string }>(book: Readonly<Record<string, Entry>>, own: Entry, withdrawn: boolean) {
  const { [own.id]: _, ...others } = book;
  return withdrawn ? others : { ...others, [own.id]: own };
}

type IngredientEvent = Extract<RecordEvent, { kind: 'ingredient.set' | 'ingredient.swapped' | 'ingredient.back' }>;
function withIngredient(book: HouseIngredients, event: IngredientEvent): HouseIngredients {
  if (event.kind === 'ingredient.set') {
    const { id, ingredient, withdrawn } = event.body;
    // One that is withdrawn is still found by what was written with it.
    return { ...book, own: { ...book.own, [id]: { ...ingredient, id, withdrawn } } };
  }
  const { id } = event.body;
  const ended = book.swaps.map((swap) =>
    swap.id === id && swap.to === Infinity ? { ...swap, to: event.happened } : swap
  );
  if (event.kind === 'ingredient.back') return { ...book, swaps: ended };
  const { instead, reason } = event.body;
  const swap = { id, instead, from: event.happened, to: Infinity, by: event.actor, reason };
  return { ...book, swaps: [...ended, swap] };
}

/** How the house is set, from its events. */
export function foldHouse(events: readonly RecordEvent[], options: FoldOptions = {}): HouseState {
  let house = NEW_HOUSE;
  for (const event of chosen(events, options)) {
    const { seq, actor: by } = event;
    if (event.kind === 'house.set') house = { ...house, ...event.body };
    else if (event.kind === 'species.set') {
      const { [event.body.id]: _, ...others } = house.species;
      const { withdrawn, ...own } = event.body;
      house = { ...house, species: withdrawn ? others : { ...others, [own.id]: { ...own, by, seq } } };
    } else if (event.kind === 'profile.set') {
      house = { ...house, profiles: { ...house.profiles, [event.body.id]: { ...event.body, by, seq } } };
    } else if (event.kind === 'sheet.set') {
      house = { ...house, sheets: { ...house.sheets, [event.body.id]: { ...event.body, by, seq } } };
    } else if (event.kind === 'notice.set') {
      house = { ...house, notice: event.body.text === '' ? null : { ...stamp(event), text: event.body.text } };
    } else if (event.kind === 'document.filed') {
      const { reason: _, ...own } = event.body;
      const document = { ...own, seq, at: event.happened };
      house = { ...house, documents: { ...house.documents, [own.id]: document } };
    } else if (event.kind === 'place.set') {
      const { withdrawn, ...own } = event.body;
      const before = house.places[own.id];
      const isCold = own.cold && !withdrawn;
      const at = event.happened;
      const goesOn = before?.cold === true && isCold && before.name === own.name;
      const spans = house.coldSpans.map((span) =>
        !goesOn && span.name === before?.name && span.to === Infinity ? { ...span, to: at } : span
      );
      house = {
        ...house,
        places: put(house.places, own, withdrawn),
        coldSpans: isCold && !goesOn ? [...spans, { name: own.name, from: at, to: Infinity }] : spans
      };
    } else if (event.kind === 'template.set') {
      const { withdrawn, ...own } = event.body;
      house = { ...house, templates: put(house.templates, own, withdrawn) };
    } else if (event.kind === 'sensor.set') {
      const { withdrawn, ...own } = event.body;
      house = { ...house, sensors: put(house.sensors, own, withdrawn) };
    } else if (event.kind === 'device.keyed') {
      house = { ...house, devices: { ...house.devices, [event.body.id]: { ...event.body, revoked: null } } };
    } else if (event.kind === 'device.revoked') {
      const known = house.devices[event.body.id];
      if (!known) continue;
      const revoked = { ...stamp(event), reason: event.body.reason };
      house = { ...house, devices: { ...house.devices, [known.id]: { ...known, revoked } } };
    } else if (event.kind === 'kitchen.set') {
      house = { ...house, kitchen: event.body };
    } else if (event.kind === 'recipe.set') {
      const { id } = event.body;
      const versions = [...(house.recipes[id]?.versions ?? []), { ...stamp(event), ...event.body }];
      house = { ...house, recipes: { ...house.recipes, [id]: { id, versions } } };
    } else if (event.kind === 'recipe.noted') {
      house = { ...house, recipeNotes: [...house.recipeNotes, { ...stamp(event), ...event.body }] };
    } else if (event.kind === 'learning.set') {
      house = { ...house, learnsCures: event.body.cure };
    } else if (event.kind === 'sauce.set') {
      const { id } = event.body;
      const versions = [...(house.sauces[id]?.versions ?? []), { ...stamp(event), ...event.body }];
      house = { ...house, sauces: { ...house.sauces, [id]: { id, versions } } };
    } else if (
      event.kind === 'ingredient.set' ||
      event.kind === 'ingredient.swapped' ||
      event.kind === 'ingredient.back'
    ) {
      house = { ...house, ingredients: withIngredient(house.ingredients, event) };
    } else if (event.kind === 'ageing.set') {
      house = { ...house, ageing: { ...event.body, by, seq } };
    } else if (event.kind === 'rack.set') {
      house = { ...house, racks: { ...house.racks, [event.body.place]: event.body } };
    } else if (event.kind === 'service.set') {
      const { withdrawn, ...own } = event.body;
      house = { ...house, services: put(house.services, own, withdrawn) };
    } else continue;
    house = { ...house, lastSeq: seq };
  }
  return house;
}

/**
 * Which part of a subject follows its kind: "piece:P-7K3Q" is the piece P-7K3Q.
 *
 * @throws EmberError `record.not-found`
 * @example
 * subjectId('piece:P-7K3Q', 'piece') // => 'P-7K3Q'
 */
export function subjectId(subject: string, kind: string): string {
  if (!subject.startsWith(`${kind}:`)) throw new EmberError('record.not-found', { field: kind, seen: subject });
  return subject.slice(kind.length + 1);
}
