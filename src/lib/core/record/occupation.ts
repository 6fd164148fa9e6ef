/** What a piece can be in. It may be in two at once: a cure goes on in a freezer. */
export const OCCUPANTS = ['board', 'freezer', 'thaw', 'cure', 'acid', 'rack', 'tray'] as const;
export type Occupant = (typeof OCCUPANTS)[number];

/** How a piece can end. What a lot that is sent back still had of it goes back with it. */
export type GoneHow = 'discarded' | 'served' | 'divided' | 'returned';

/** Anything that begins and ends on a piece. */
export interface Run {
  readonly ended: unknown;
}
/** As much of a piece as says what it is in. */
export interface Occupied {
  readonly boards: readonly Run[];
  readonly freezes: readonly Run[];
  readonly thaws: readonly Run[];
  readonly cures: readonly Run[];
  readonly acids: readonly Run[];
  readonly ages: readonly Run[];
  readonly holds: readonly unknown[];
  readonly gone: { readonly how: GoneHow } | null;
}

/**
 * The run that goes on now, of all runs of one kind; null where none does.
 *
 * @example
 * running([{ ended: 3 }, { ended: null }]) // => { ended: null }
 * @example
 * running([{ ended: null }, { ended: 3 }]) // => null
 */
export const running = <One extends Run>(runs: readonly One[]): One | null => {
  const last = runs.at(-1);
  return last && last.ended === null ? last : null;
};
const IS_IN: Readonly<Record<Occupant, (piece: Occupied) => boolean>> = {
  board: ({ boards }) => running(boards) !== null,
  freezer: ({ freezes }) => running(freezes) !== null,
  thaw: ({ thaws }) => running(thaws) !== null,
  cure: ({ cures }) => running(cures) !== null,
  acid: ({ acids }) => running(acids) !== null,
  rack: ({ ages }) => running(ages) !== null,
  // What went out under time control does not come back from it.
  tray: ({ holds }) => holds.length > 0
};

/** Whether a piece is in one of them now. */
export const isIn = (piece: Occupied, occupant: Occupant): boolean => piece.gone === null && IS_IN[occupant](piece);
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
  'freezer-run': { within: ['freezer', 'cure', 'tray'], needs: 'freezer' },
  thaw: { within: ['freezer'] },
  'end-thaw': { within: ['thaw', 'tray'], needs: 'thaw' },
  cure: { within: [] },
  'cure-run': { within: ['cure', 'tray'], needs: 'cure' },
  'end-cure': { within: ['freezer', 'thaw', 'cure', 'tray'], needs: 'cure' },
  acid: { within: [] },
  'acid-run': { within: ['acid', 'tray'], needs: 'acid' },
  hang: { within: [] },
  'rack-run': { within: ['rack'], needs: 'rack' },
  slice: { within: ['board', 'thaw', 'cure', 'acid', 'tray'] },
  dress: { within: ['tray'] },
  serve: { within: ['thaw', 'cure', 'acid', 'tray'] },
  'put-out': { within: ['acid'] },
  'tray-run': { within: ['freezer', 'thaw', 'cure', 'acid', 'tray'], needs: 'tray' },
  // What work was put into is the house's own: it is not carried away by the seller.
  'send-back': { within: ['freezer', 'thaw'] },
  discard: { within: ['freezer', 'thaw', 'cure', 'acid', 'rack', 'tray'] }
} as const satisfies Readonly<Record<string, Rule>>;
export type Step = keyof typeof STEPS;
export const STEP_IDS = Object.keys(STEPS) as readonly Step[];

/** Why a step may not begin: gone, in something, or not in what it needs. */
export type Hindrance =
  | { readonly kind: 'gone'; readonly how: GoneHow }
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
