import { thickest } from '../../core/bench/breakdown/depth.ts';
import { EmberError } from '../../core/errors.ts';
import type { Typed } from '../../core/measure/parse.ts';
import type { PieceState } from '../../core/record/piece.ts';
import type { Store } from '../store/store.ts';

/** The pieces of one step: the one on the bench, and those that go in with it, each once. */
export const together = (piece: string, others: readonly string[]): string[] => [...new Set([piece, ...others])];

/**
 * How thick a piece is by its own record: as it was measured, else as it was made. What goes in with another has its own finish, and
 * nobody guesses it.
 *
 * @throws EmberError `piece.thickness-unknown`, naming it
 */
export function ownThickness(store: Store, piece: string): Typed {
  const { made, depth }: PieceState = store.projections.piece(piece).state;
  const mm = thickest(depth) ?? made.thicknessMm;
  if (mm === null) throw new EmberError('piece.thickness-unknown', { field: 'others', seen: made.name, piece });
  return { si: mm, unit: 'mm', typed: `${Math.round(mm * 10) / 10} mm` };
}

/** Salt and heat go in by the square of the way: so many times as long as the piece on the bench takes. */
export const squareOf = (own: Typed, bench: Typed): number => (own.si / bench.si) ** 2;
/** A time, so many times as long, as it would be typed. */
export const longer = (time: Typed, times: number): Typed => {
  const seconds = time.si * times;
  return { si: seconds, unit: 'h', typed: `${Math.round(seconds / 36) / 100} h` };
};
