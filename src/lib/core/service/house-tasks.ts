import type { Task } from './show.ts';

/** What the house itself wants of hands, whatever fish lies in it. */
export type HouseCode = 'knife-due';

/** As much of a knife as its reminder goes by. */
export interface KnifeDue {
  readonly id: string;
  readonly name: string;
  readonly strokes: number;
  readonly isDue: boolean;
}
export interface HouseTask extends Task<HouseCode> {
  readonly name: string;
}

/**
 * Knives that want their edge: now, which is before the next service.
 *
 * @param now ms
 * @example
 * houseTasks([{ id: 'long', name: 'Long', strokes: 610, isDue: true }], 5)[0].seen // => { strokes: 610, knife: 'long' }
 */
export const houseTasks = (knives: readonly KnifeDue[], now: number): HouseTask[] =>
  knives
    .filter(({ isDue }) => isDue)
    .map(({ id, name, strokes }) => ({ code: 'knife-due', at: now, piece: '', name, seen: { strokes, knife: id } }));
