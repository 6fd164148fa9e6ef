import { ACID_EDGES, type AcidSet } from '../../activity/acid/plan.ts';
import { EmberError } from '../../errors.ts';
import { SOUR_LIQUIDS, type LiquidPart } from './liquid.ts';
import type { AcidSettings } from './plan.ts';

/** What fish in acid is computed from besides what is set. */
export interface AcidSubject {
  readonly grams: number;
  /** It binds more acid than pale fish. */
  readonly dark: boolean;
  /** How fast acid goes into its kind in this house, against the shipped figure. */
  readonly pace: number;
}

/**
 * "lime 200, water 30" as parts.
 *
 * @throws EmberError `form.value-unknown` naming the part
 */
export function liquidParts(text: string): LiquidPart[] {
  return text
    .split(',')
    .filter((each) => each.trim() !== '')
    .map((each) => {
      const match = /^\s*([a-z][a-z -]*?)\s+(\d+(?:\.\d+)?)\s*(?:ml)?\s*$/i.exec(each);
      const name = match?.[1]?.toLowerCase().replace(/ /g, '-');
      const ml = Number(match?.[2]);
      if (name === 'water' || name === 'oil') return { what: name, ml };
      if (!match || !SOUR_LIQUIDS.some(({ id }) => id === name)) {
        throw new EmberError('form.value-unknown', { field: 'liquid', seen: each.trim() });
      }
      return { what: 'sour', id: name!, ml };
    });
}

/**
 * The settings of the model for what a cook set, of this piece: the one way there, for the bench, the preview, the deed and a
 * run in its liquid alike.
 *
 * @throws EmberError where the liquid cannot be read, or an edge its cut is told by was left out
 */
export function acidSettings(set: AcidSet, subject: AcidSubject): AcidSettings {
  return {
    cut: set.cut,
    sizes: ACID_EDGES[set.cut].map((field) => {
      const edge = set[field];
      if (!edge) throw new EmberError('form.incomplete', { field });
      return edge.si;
    }),
    faces: set.cut === 'fillet' ? set.faces : 2,
    grams: set.mass?.si ?? subject.grams,
    celsius: set.celsius.si,
    liquid: liquidParts(set.liquid),
    measuredPH: set.measuredPH,
    dark: subject.dark,
    wanted: set.wanted,
    pace: set.pace ?? subject.pace
  };
}
