import type { BodyOf, RecordEvent } from '../../record/events.ts';
import { effectiveEvents } from '../../record/amend.ts';
import type { BoardRun } from '../../activity/board/fold.ts';

/** A scale nobody told the interval of: a kitchen scale that shows grams. */
const PLAIN_INTERVAL = 1;
/**
 * What the house's scale shows, or tells apart, g: its verification interval, as the house set it.
 *
 * @example
 * scaleIntervalOf({ kitchen: null }) // => 1
 */
export const scaleIntervalOf = ({ kitchen }: { readonly kitchen: { readonly scaleInterval: number } | null }): number =>
  kitchen?.scaleInterval ?? PLAIN_INTERVAL;

/** One change of a piece's weight. Grams are positive where they leave it. */
export interface Movement {
  readonly kind: 'gave' | 'waste' | 'drip' | 'gap' | 'scale' | 'cure' | 'served' | 'binned' | 'returned';
  readonly grams: number;
  /** The piece it went into, what kind of waste it was, or the dish. */
  readonly to: string;
  /** The opening of the board it happened on; null off the board. */
  readonly board: number | null;
  readonly at: number;
}

/** What became of a piece's weight. */
export interface MassFlow {
  readonly made: BodyOf<'piece.made'>;
  readonly moves: readonly Movement[];
  /** Still here, g. */
  readonly left: number;
}

/**
 * Every gram of a piece, from its entries: what was made is always what moved and what is left.
 *
 * @param returnedAt when what was left of it went back with its lot; ms, null where it did not
 * @returns null where its making is voided
 */
export function massFlow(
  events: readonly RecordEvent[],
  knownAt = Infinity,
  returnedAt: number | null = null
): MassFlow | null {
  let made: BodyOf<'piece.made'> | null = null;
  let left = 0;
  let board: number | null = null;
  const moves: Movement[] = [];
  const move = (kind: Movement['kind'], grams: number, to: string, at: number) => {
    if (grams === 0) return;
    moves.push({ kind, grams, to, board, at });
    left -= grams;
  };
  for (const event of effectiveEvents(events, knownAt)) {
    const { happened: at } = event;
    if (event.kind === 'piece.made') {
      made = event.body;
      left = event.body.mass.si;
    } else if (event.kind === 'board.opened') board = event.seq;
    else if (event.kind === 'piece.gave') move('gave', event.body.grams, event.body.child, at);
    else if (event.kind === 'piece.wasted') {
      move(event.body.what === 'drip' ? 'drip' : 'waste', event.body.mass.si, event.body.what, at);
    } else if (event.kind === 'board.closed' && board !== null) {
      move('gap', left - event.body.remains, event.body.gapReason, at);
      board = null;
    } else if (event.kind === 'piece.reweighed') {
      const { cause } = event.body;
      move(cause === 'drip' || cause === 'drying' ? 'drip' : 'scale', left - event.body.mass.si, cause, at);
    } else if (event.kind === 'cure.ended' && event.body.massAfter) {
      move('cure', left - event.body.massAfter.si, '', at);
    } else if (event.kind === 'piece.served') move('served', event.body.mass.si, event.body.dish, at);
    else if (event.kind === 'piece.discarded') {
      move('binned', event.body.mass?.si ?? left, event.body.reason, at);
    }
  }
  if (returnedAt !== null) move('returned', left, '', returnedAt);
  return made && { made, moves, left };
}

/** Where the weights of a board stand. */
export interface Balance {
  readonly input: number;
  readonly parts: number;
  readonly waste: number;
  readonly drip: number;
  /** Not weighed yet: what is still on the board, or what is missing. Negative where more came off than went on. g */
  readonly open: number;
  /** What the scale may be out by over all its loads, g. */
  readonly tolerance: number;
  readonly closes: boolean;
}

/**
 * The largest error a scale may show in service for one load: twice the maximum permissible error at verification.
 * Source: OIML R 76-1:2006, table 6, accuracy class III (to 500 e: 0.5 e; to 2000 e: 1 e; above: 1.5 e), doubled in service.
 *
 * @param load on the scale, g
 * @param interval verification interval e, g
 * @returns g
 * @example
 * scaleError(850, 1) // => 2
 */
export function scaleError(load: number, interval: number): number {
  const intervals = Math.abs(load) / interval;
  return (intervals <= 500 ? 1 : intervals <= 2000 ? 2 : 3) * interval;
}

/**
 * Parts, waste and drip against the input. It closes where what is missing could be the scale's doing over every load it
 * weighed, and not where a real gap could hide in it.
 *
 * @param remains grams of the piece that stay uncut, weighed
 * @example
 * balanceOf({ plan: { grams: 1000, scaleInterval: 1 }, parts: 700, waste: 298, drip: 0, loads: [700, 298] }).closes // => true
 */
export function balanceOf(
  board: Pick<BoardRun, 'parts' | 'waste' | 'drip' | 'loads'> & {
    readonly plan: Pick<BoardRun['plan'], 'grams' | 'scaleInterval'>;
  },
  remains = 0
): Balance {
  const { grams: input, scaleInterval } = board.plan;
  const loads = [input, ...board.loads, ...(remains > 0 ? [remains] : [])];
  const tolerance = loads.reduce((sum, load) => sum + scaleError(load, scaleInterval), 0);
  const open = input - board.parts - board.waste - board.drip - remains;
  return {
    input,
    parts: board.parts,
    waste: board.waste,
    drip: board.drip,
    open,
    tolerance,
    closes: Math.abs(open) <= tolerance
  };
}

/**
 * Whether a weight looks a thousand times too small or too large for what it is meant to be: a kilogram typed as a gram, or
 * the other way round.
 *
 * @param grams as understood
 * @param most what it can be at most, g
 * @param least what such a part weighs at the least, g; 0 where nothing is known
 * @returns the factor that would make sense of it, or null
 * @example
 * slipOfThousand(0.85 * 1000000, 1200, 300) // => 0.001
 */
export function slipOfThousand(grams: number, most: number, least: number): 0.001 | 1000 | null {
  // Where nothing is known of the part, a fiftieth of what is there is the least that anybody would mean.
  const meant = least > 0 ? least / 3 : most / 50;
  if (grams > most && grams / 1000 <= most && grams / 1000 >= meant) return 0.001;
  if (least > 0 && grams < least / 20 && grams * 1000 <= most && grams * 1000 >= least / 3) return 1000;
  return null;
}
