import { ageingNow, openBoard, type PieceState } from './state.ts';

/** What a piece can be in. It may be in two at once: a cure goes on in a freezer. */
export const OCCUPANTS = ['board', 'freezer', 'thaw', 'cure', 'acid', 'rack', 'tray'] as const;
export type Occupant = (typeof OCCUPANTS)[number];

type Occupied = Pick<PieceState, 'boards' | 'freezes' | 'thaws' | 'cures' | 'acids' | 'ages' | 'holds' | 'gone'>;

const runs = (all: readonly { readonly ended: unknown }[]): boolean => {
  const last = all.at(-1);
  return last !== undefined && last.ended === null;
};
const IS_IN: Readonly<Record<Occupant, (piece: Occupied) => boolean>> = {
  board: (piece) => openBoard(piece) !== null,
  freezer: ({ freezes }) => runs(freezes),
  thaw: ({ thaws }) => runs(thaws),
  cure: ({ cures }) => runs(cures),
  acid: ({ acids }) => runs(acids),
  rack: (piece) => ageingNow(piece) !== null,
  // What went out under time control does not come back from it.
  tray: ({ holds }) => holds.length > 0
};

/** Whether a piece is in one of them now. */
export const isIn = (piece: Occupied, occupant: Occupant): boolean => IS_IN[occupant](piece);
/** All a piece is in now; none where it lies free. */
export const occupantsOf = (piece: Occupied): Occupant[] => OCCUPANTS.filter((each) => isIn(piece, each));

interface Rule {
  /** What it may be in while the step begins; anything else is in the way. */
  readonly within: readonly Occupant[];
  /** What it has to be in. */
  readonly needs?: Occupant;
}
/** Every kind of step, and what a piece may be in when it begins. */
export const STEPS = {
  divide: { within: ['freezer', 'tray'] },
  split: { within: ['tray'] },
  trim: { within: ['tray'] },
  reweigh: { within: ['tray'] },
  move: { within: ['cure', 'tray'] },
  measure: { within: ['board', 'tray'] },
  combine: { within: ['tray'] },
  'break-down': { within: [] },
  'board-work': { within: ['board', 'tray'], needs: 'board' },
  freeze: { within: ['cure'] },
  thaw: { within: ['freezer'] },
  'end-thaw': { within: ['thaw', 'tray'], needs: 'thaw' },
  cure: { within: [] },
  'cure-run': { within: ['cure', 'tray'], needs: 'cure' },
  acid: { within: [] },
  'acid-run': { within: ['acid', 'tray'], needs: 'acid' },
  hang: { within: [] },
  'rack-run': { within: ['rack'], needs: 'rack' },
  slice: { within: ['board', 'thaw', 'cure', 'acid', 'tray'] },
  dress: { within: ['tray'] },
  serve: { within: ['thaw', 'cure', 'acid', 'tray'] },
  'put-out': { within: ['acid'] },
  'tray-run': { within: ['freezer', 'thaw', 'cure', 'acid', 'tray'], needs: 'tray' },
  discard: { within: ['freezer', 'thaw', 'cure', 'acid', 'rack', 'tray'] }
} as const satisfies Readonly<Record<string, Rule>>;
export type Step = keyof typeof STEPS;
export const STEP_IDS = Object.keys(STEPS) as readonly Step[];

/** Why a step may not begin: gone, in something, or not in what it needs. */
export type Hindrance =
  | { readonly kind: 'gone'; readonly how: 'discarded' | 'served' | 'divided' }
  | { readonly kind: 'in'; readonly occupant: Occupant }
  | { readonly kind: 'not-in'; readonly occupant: Occupant };

/**
 * Whether a step may begin with a piece as it stands: null where it may. Every guard and every list of pieces to pick from asks
 * this, so that none offers what another refuses.
 */
export function hindranceOf(piece: Occupied, step: Step): Hindrance | null {
  if (piece.gone) return { kind: 'gone', how: piece.gone.how };
  const rule: Rule = STEPS[step];
  const inTheWay = OCCUPANTS.find((each) => !rule.within.includes(each) && isIn(piece, each));
  if (inTheWay) return { kind: 'in', occupant: inTheWay };
  return rule.needs && !isIn(piece, rule.needs) ? { kind: 'not-in', occupant: rule.needs } : null;
}
export const mayBegin = (piece: Occupied, step: Step): boolean => hindranceOf(piece, step) === null;
