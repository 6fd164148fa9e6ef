import { EmberError } from '../../errors.ts';
import { MINUTE } from '../../measure/spans.ts';

/** A tray is filled within so long; what comes later would be topping up. ms. The house's figure; check. */
export const FILLING_MS = 15 * MINUTE;

/** What stands on a tray already: since when, and when it is binned, ms. */
export interface OnTray {
  readonly at: number;
  readonly discardAt: number;
}

/**
 * When something put onto a tray is to be binned: with the first of what stands there. A tray whose clock runs is not topped up: that
 * takes a new tray and a new clock (FDA Food Code 2022 3-501.19(B): marked once, served or discarded by then).
 *
 * @param at when it is put there, ms
 * @param own when it would be binned by itself, ms
 * @throws EmberError `tray.running` where the tray was begun longer ago than filling one takes, or is to be binned already
 * @example
 * trayEnd(60_000, 14_460_000, [{ at: 0, discardAt: 14_400_000 }]) // => 14400000
 */
export function trayEnd(at: number, own: number, there: readonly OnTray[]): number {
  const first = there.reduce((least, each) => Math.min(least, each.at), Infinity);
  const end = there.reduce((least, { discardAt }) => Math.min(least, discardAt), own);
  if (at - first > FILLING_MS || end <= at) throw new EmberError('tray.running', { field: 'label' });
  return end;
}
