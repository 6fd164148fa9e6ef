import { acidSlice } from '../activity/acid/fold.ts';
import { ageSlice } from '../activity/age/fold.ts';
import { boardSlice } from '../activity/board/fold.ts';
import { coldSlice } from '../activity/cold/fold.ts';
import { cureSlice } from '../activity/cure/fold.ts';
import { freezeSlice } from '../activity/freeze/fold.ts';
import { inspectSlice } from '../activity/inspect/fold.ts';
import { ownSlice } from '../activity/piece/fold.ts';
import { sliceSlice } from '../activity/slice/fold.ts';
import { thawSlice } from '../activity/thaw/fold.ts';
import { traySlice } from '../activity/tray/fold.ts';
import { undone } from './amend.ts';
import type { BodyOf, EventKind, RecordEvent } from './events.ts';
import { foldedOnce } from './folded-once.ts';
import { hindranceOf, running, type GoneHow } from './occupation.ts';
import type { PieceHands, PieceSlice, Settled, Stay, TimeOut, Together } from './slice.ts';
import { correctionOf, stamp, type Correction, type Stamped } from './stamped.ts';
import { lastSeqOf, viewed, type ViewOptions } from './view.ts';

/** Every activity's part of a piece, in the order in which they heed an entry. */
const SLICES = [
  ownSlice,
  boardSlice,
  freezeSlice,
  thawSlice,
  cureSlice,
  acidSlice,
  ageSlice,
  sliceSlice,
  traySlice,
  coldSlice,
  inspectSlice
] as const;
type Kept = Together<ReturnType<(typeof SLICES)[number]['start']>>;

export type PieceState = Settled<Kept> & {
  readonly id: string;
  readonly made: Stamped & BodyOf<'piece.made'>;
  /** Grams of it still here: made, less what it gave, was served or discarded. */
  readonly grams: number;
  readonly stays: readonly Stay[];
  readonly outs: readonly TimeOut[];
  readonly gone: { readonly how: GoneHow; readonly stamp: Stamped } | null;
  /** Readings that were typed wrong and mended; and bins and serves that were taken back. */
  readonly corrections: readonly Correction[];
  readonly undone: ReturnType<typeof undone>;
  readonly lastSeq: number;
};

export interface PieceOptions extends ViewOptions {
  /** When the lot of a piece was sent back: what was left of it went with it. */
  readonly sentBack?: Stamped | null;
}

type Heed = (kept: object, event: RecordEvent, piece: PieceHands) => void;
const HEEDS = new Map<EventKind, Heed[]>();
for (const slice of SLICES as readonly PieceSlice<object>[]) {
  for (const [kind, heed] of Object.entries(slice.on) as [EventKind, Heed][]) {
    HEEDS.set(kind, [...(HEEDS.get(kind) ?? []), heed]);
  }
}

/** What is left below this is a smear on the board, not a piece. g. */
export const NOTHING_LEFT_GRAMS = 0.5;

const follows = (event: RecordEvent, { at, seq }: Stamped): boolean =>
  event.happened > at || (event.happened === at && event.seq > seq);

/** Where a piece lies, and how long it was out of the cold: what every activity moves it by. */
function whereabouts() {
  const stays: Stay[] = [];
  const outs: TimeOut[] = [];
  const leavesPlace: PieceHands['leavesPlace'] = ({ happened: to }) => {
    const last = stays.at(-1);
    if (last && last.to === null) stays[stays.length - 1] = { ...last, to };
  };
  const isOut = () => outs.at(-1)?.to === null;
  return {
    stays,
    outs,
    leavesPlace,
    liesIn: ((event, place, how = 'put') => {
      leavesPlace(event);
      if (place !== '') stays.push({ seq: event.seq, place, how, from: event.happened, to: null });
    }) satisfies PieceHands['liesIn'],
    goesOut: (({ seq, actor: by, happened: from }, startCore) => {
      if (!isOut()) outs.push({ seq, by, from, to: null, startCore, core: null, backSeq: null });
    }) satisfies PieceHands['goesOut'],
    comesBack: (({ seq: backSeq, happened: to }, core) => {
      if (isOut()) outs[outs.length - 1] = { ...outs.at(-1)!, to, core, backSeq };
    }) satisfies PieceHands['comesBack'],
    wasOut: (({ seq, actor: by, happened: to }, ms) => {
      if (isOut() || ms <= 0) return;
      const last = outs.at(-1);
      const isBooked = last && last.to !== null && last.startCore === null && last.core === null;
      // Two plates one after the other: both their minutes are spent, though they were not that long apart.
      if (isBooked && last.to! > to - ms) {
        const end = Math.max(to, last.to!);
        outs[outs.length - 1] = { ...last, from: end - ms - (last.to! - last.from), to: end, backSeq: seq };
      } else outs.push({ seq, by, from: to - ms, to, startCore: null, core: null, backSeq: seq });
    }) satisfies PieceHands['wasOut']
  };
}

function fold(id: string, events: readonly RecordEvent[], options: PieceOptions): PieceState | null {
  const kept = Object.assign({}, ...SLICES.map(({ start }) => start())) as Kept;
  const { stays, outs, ...moves } = whereabouts();
  const { sentBack } = options;
  let gone: PieceState['gone'] = null;
  const piece: PieceHands = {
    ...moves,
    grams: 0,
    made: null,
    leave: (how, event) => {
      // What lies on the board is not gone before the board is closed and its weights are balanced.
      if (!gone && !running(kept.boards) && piece.grams <= NOTHING_LEFT_GRAMS) gone = { how, stamp: stamp(event) };
    }
  };
  // What the house had put work into when its lot went back stays behind, shut, for the bin: nobody carries off a cured side.
  let goesBack: boolean | null = null;
  const settle = () => (goesBack ??= hindranceOf({ ...kept, gone }, 'send-back') === null);
  const corrections: Correction[] = [];
  for (const event of viewed(events, options)) {
    const mended = correctionOf(event);
    if (mended) corrections.push(mended);
    if (sentBack && follows(event, sentBack)) {
      // Cut later from what stayed behind, it stays as well.
      if (event.kind === 'piece.made' && event.body.parents.length > 0) goesBack = false;
      else if (piece.made) settle();
    }
    for (const heed of HEEDS.get(event.kind) ?? []) heed(kept, event, piece);
  }
  if (!piece.made) return null;
  if (sentBack && !gone && settle()) {
    gone = { how: 'returned', stamp: { ...sentBack, at: Math.max(sentBack.at, piece.made.at) } };
    piece.grams = 0;
  }
  if (gone && stays.at(-1)?.to === null) {
    stays[stays.length - 1] = { ...stays.at(-1)!, to: (gone as NonNullable<PieceState['gone']>).stamp.at };
  }
  return {
    ...kept,
    id,
    made: piece.made,
    grams: Math.max(0, piece.grams),
    stays,
    outs,
    gone,
    corrections,
    undone: undone(events, options.knownAt),
    lastSeq: lastSeqOf(events)
  };
}

/** What a piece is, from its events. Null where its making is voided or had not happened. */
export const foldPiece = foldedOnce(fold, ({ sentBack }) =>
  sentBack ? `${sentBack.at} ${sentBack.seq} ${sentBack.by}` : ''
);
