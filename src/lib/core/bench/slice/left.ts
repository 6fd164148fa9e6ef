import { cotangent, measureAt } from './block.ts';
import type { SliceOutcome } from './settings.ts';

/** What stays of a block once its slices were cut: how long it is, and the face it was left with. mm */
export interface BlockLeft {
  readonly length: number;
  /** The end they were cut from. */
  readonly end: 'head' | 'tail';
  readonly height: number;
  readonly width: number;
  /** How far that face slants. */
  readonly slant: number;
  /** Its other end. */
  readonly far: { readonly height: number; readonly width: number };
}
/** Shorter than this a ruler tells of no block; lower and narrower neither. */
const SHORTEST = 5;

/**
 * What stays of a block after a plan that took only some of it: it begins, or ends, at its last face, which leans as the blade did.
 *
 * @returns null where nothing was cut
 */
export function blockLeft({
  slices,
  order,
  block
}: Pick<SliceOutcome, 'slices' | 'order' | 'block'>): BlockLeft | null {
  const last = slices.at(-1)?.to;
  if (!last) return null;
  const away = Math.min(last.at, block.length - SHORTEST);
  const at = order.first === 'head' ? away : block.length - away;
  const length = block.length - away;
  const height = Math.max(SHORTEST, measureAt(block.heights, at));
  const far = order.first === 'head' ? block.length : 0;
  return {
    length,
    end: order.first,
    height,
    width: Math.max(SHORTEST, measureAt(block.widths, at)),
    slant: Math.max(0, Math.min(height * cotangent(last.angle), length / 2 - 1)),
    far: { height: measureAt(block.heights, far), width: measureAt(block.widths, far) }
  };
}
