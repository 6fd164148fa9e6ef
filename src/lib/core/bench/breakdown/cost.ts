import { EmberError } from '../../errors.ts';
import type { Movement } from './mass.ts';

/**
 * Divides whole cents by weights, to the cent: each gets the whole cents of its share, and what is left over goes to the
 * largest remainders, the first of equal ones first.
 *
 * @param total cents, 0 or more
 * @param weights 0 or more; all 0 is an error where there is something to divide
 * @returns whole cents that add up to the total
 * @throws EmberError `quantity.out-of-range`
 * @example
 * splitCents(100, [1, 1, 1]) // => [34, 33, 33]
 */
export function splitCents(total: number, weights: readonly number[]): number[] {
  if (!Number.isInteger(total) || total < 0) {
    throw new EmberError('quantity.out-of-range', { field: 'cost', min: 0, seen: total });
  }
  const sum = weights.reduce((all, weight) => all + weight, 0);
  if (!Number.isFinite(sum) || weights.some((weight) => weight < 0) || (sum <= 0 && total > 0)) {
    throw new EmberError('quantity.out-of-range', { field: 'mass', min: 0, seen: sum });
  }
  if (total === 0) return weights.map(() => 0);
  const exact = weights.map((weight) => (total * weight) / sum);
  const out = exact.map(Math.floor);
  const left = total - out.reduce((all, cents) => all + cents, 0);
  const order = exact
    .map((share, index) => ({ index, rest: share - Math.floor(share) }))
    .sort((a, b) => b.rest - a.rest || a.index - b.index);
  for (let index = 0; index < left; index++) out[order[index % order.length]!.index]! += 1;
  return out;
}

/** A piece as its cost sees it. */
export interface CostPiece {
  readonly id: string;
  readonly grams: number;
  readonly left: number;
  readonly grade: string;
  readonly creditPerKg: number | null;
  readonly moves: readonly Movement[];
}

/** Where the money of a piece went, in whole cents. What came in is always what is here, what it gave, and what is lost. */
export interface PieceCost {
  readonly in: number;
  /** Still borne by what is left of it. */
  here: number;
  served: number;
  /** Binned, or borne by nothing: a fish that was all waste. */
  lost: number;
  /** Gone back to whoever sold it: what credit is owed for. */
  returned: number;
  /** To each piece it gave. */
  readonly gave: Map<string, number>;
}

/** By-products are credited at their own value; never more than there is to share. */
const credit = (piece: CostPiece | undefined, grams: number): number | null =>
  piece?.grade === 'by-product' && piece.creditPerKg !== null
    ? Math.round((piece.creditPerKg * 100 * grams) / 1000)
    : null;

/** Moves in their order; those of one board as one, where the board was opened. */
function steps(moves: readonly Movement[]): Movement[][] {
  const out: Movement[][] = [];
  const boards = new Map<number, Movement[]>();
  for (const move of moves) {
    if (move.board === null) {
      out.push([move]);
      continue;
    }
    const known = boards.get(move.board);
    if (known) known.push(move);
    else {
      const fresh = [move];
      boards.set(move.board, fresh);
      out.push(fresh);
    }
  }
  return out;
}

/**
 * Cost flows with mass. What a step wastes is borne by what it leaves; by-products take their own value and no more; what is
 * binned takes its share with it. One board is one step, in whatever order its parts were weighed.
 *
 * @param pieces every piece of the lots, parents before their children
 * @param roots cents each lot's first piece came in with
 * @returns cents by piece; together exactly what came in
 * @example
 * allocate([{ id: 'a', grams: 1000, left: 400, grade: 'prime', creditPerKg: null,
 *   moves: [{ kind: 'waste', grams: 600, to: 'frame', board: null, at: 0 }] }], new Map([['a', 999]])).get('a').here // => 999
 */
export function allocate(pieces: readonly CostPiece[], roots: ReadonlyMap<string, number>): Map<string, PieceCost> {
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const owed = new Map<string, number>(roots);
  const out = new Map<string, PieceCost>();
  for (const piece of pieces) {
    const cost: PieceCost = { in: owed.get(piece.id) ?? 0, here: 0, served: 0, lost: 0, returned: 0, gave: new Map() };
    let cents = cost.in;
    let grams = piece.grams;
    for (const step of steps(piece.moves)) {
      const leaving = step.filter(
        ({ kind }) => kind === 'gave' || kind === 'served' || kind === 'binned' || kind === 'returned'
      );
      const gone = step.reduce((sum, move) => sum + move.grams, 0);
      const rest = Math.max(0, grams - gone);
      cents = divide(leaving, rest, cents, cost);
      grams = Math.max(0, grams - gone);
    }
    // Nothing is left that could bear it.
    if (piece.left > 0 && grams > 0) cost.here = cents;
    else cost.lost += cents;
    out.set(piece.id, cost);
    for (const [child, share] of cost.gave) owed.set(child, (owed.get(child) ?? 0) + share);
  }
  return out;

  function divide(leaving: readonly Movement[], rest: number, cents: number, cost: PieceCost): number {
    const credits = leaving.map((move) => (move.kind === 'gave' ? credit(byId.get(move.to), move.grams) : null));
    const bearing = leaving.map((move, index) => (credits[index] === null ? Math.max(0, move.grams) : 0));
    const borne = bearing.reduce((sum, weight) => sum + weight, rest);
    const wanted = credits.map((value) => value ?? 0);
    const sum = wanted.reduce((all, value) => all + value, 0);
    // By-products alone bear it all; and where they are worth more than there is, they share what there is.
    const given = sum > cents || (borne === 0 && sum > 0) ? splitCents(cents, wanted) : wanted;
    const over = cents - given.reduce((all, value) => all + value, 0);
    const shares = borne > 0 ? splitCents(over, [...bearing, rest]) : [...leaving.map(() => 0), over];
    leaving.forEach((move, index) => {
      const share = given[index]! + shares[index]!;
      if (move.kind === 'served') cost.served += share;
      else if (move.kind === 'binned') cost.lost += share;
      else if (move.kind === 'returned') cost.returned += share;
      else cost.gave.set(move.to, (cost.gave.get(move.to) ?? 0) + share);
    });
    return shares[leaving.length]!;
  }
}

/** Parents before children, in the order given otherwise. A cycle is an error: nothing can come from itself. */
export function parentsFirst<Piece extends { readonly id: string }>(
  pieces: readonly Piece[],
  parents: ReadonlyMap<string, readonly string[]>
): Piece[] {
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const state = new Map<string, 'open' | 'done'>();
  const out: Piece[] = [];
  const visit = (piece: Piece) => {
    const seen = state.get(piece.id);
    if (seen === 'done') return;
    if (seen === 'open') throw new EmberError('record.body-invalid', { field: 'parents', seen: piece.id });
    state.set(piece.id, 'open');
    for (const parent of parents.get(piece.id) ?? []) {
      const known = byId.get(parent);
      if (known) visit(known);
    }
    state.set(piece.id, 'done');
    out.push(piece);
  };
  for (const piece of pieces) visit(piece);
  return out;
}
