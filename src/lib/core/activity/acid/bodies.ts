import { z } from 'zod';
import { SET_POINTS } from './lists.ts';
import { acidSet } from './plan.ts';
import { ingredientBody } from '../../ingredients/ingredient.ts';
import { recorded } from '../../record/recorded.ts';
import { pins, typedValue, finite, band } from '../../record/values.ts';
import { toldBesides } from '../cure/bodies.ts';
import { kind, second, third, type Kinds } from '../../record/kind.ts';

/** What can happen to fish in acid, and with its sauces. */

/** The fish a forecast was computed for, and how fast acid goes into its kind in this house. */
const acidSubject = z.object({ grams: finite, dark: z.boolean(), pace: finite });
/** Share of the forecast's draws in which the acid runs out first; older entries counted those among the slow. */
const never = finite.optional();
const later = z.object({ wanted: z.enum(SET_POINTS), ready: band.nullable(), past: band.nullable(), never });
/** Into the acid: what is to be expected, s from the start; null where it never gets there. */
export const acidStarted = z.object({
  set: recorded(acidSet),
  subject: acidSubject,
  ready: band.nullable(),
  past: band.nullable(),
  never,
  /** For guests who want it less raw: a second, later look of the same run; null for none. */
  later: later.nullable(),
  /** Salt seasoned into the liquid, share by weight: it seasons, the front does not know it. */
  salt: finite,
  place: z.string(),
  allergens: z.array(z.string()),
  ...toldBesides,
  pins
});
/** One piece cut open: how wide its raw middle was, and the pace the forecast goes on with. */
export const acidChecked = z.object({
  rawMm: finite,
  pace: finite,
  ready: band.nullable(),
  past: band.nullable(),
  never,
  later: later.nullable(),
  note: z.string()
});
/** The first versions knew one look a run. */
export const acidFrom1 = (body: unknown) => ({ later: null, ...(body as object) });
/** Version 2 kept what was set as the model took it: said again field by field, as it would have been typed. */
export const acidStartedFrom2 = (body: unknown) => {
  const { settings, ...rest } = body as { settings: OlderSettings };
  const said = (si: number, unit: string) => ({ si, unit, typed: `${si} ${unit}` });
  const [size, second, third] = settings.sizes;
  const { grams, dark, pace, cut, faces, celsius, liquid, measuredPH, wanted } = settings;
  return {
    ...rest,
    set: {
      cut,
      size: said(size!, 'mm'),
      second: second === undefined ? null : said(second, 'mm'),
      third: third === undefined ? null : said(third, 'mm'),
      faces,
      mass: said(grams, 'g'),
      celsius: said(celsius, 'C'),
      liquid: liquid.map(({ what, id, ml }) => `${what === 'sour' ? id : what} ${ml}`).join(', '),
      measuredPH,
      wanted,
      pace
    },
    subject: { grams, dark, pace }
  };
};
/** Settings that were amended while version 2 was in use. */
export const acidPatched = ({ settings, ...rest }: Record<string, unknown>): Record<string, unknown> => {
  if (settings === undefined) return rest;
  const { set, subject } = acidStartedFrom2({ settings });
  return { set, subject, ...rest };
};
/** What version 2 kept. */
interface OlderSettings {
  readonly cut: string;
  readonly sizes: readonly number[];
  readonly faces: 1 | 2;
  readonly grams: number;
  readonly celsius: number;
  readonly liquid: readonly { readonly what: string; readonly id?: string; readonly ml: number }[];
  readonly measuredPH: number | null;
  readonly dark: boolean;
  readonly wanted: string;
  readonly pace: number;
}
/** Part of it lifted out as it was first wanted, a piece of its own; the rest stays in for those who want it less raw. */
export const acidLifted = z.object({ child: z.string(), mass: typedValue, look: z.enum(SET_POINTS), note: z.string() });
export const ACID_ENDS = ['drained', 'served'] as const;
export const acidEnded = z.object({
  how: z.enum(ACID_ENDS),
  massAfter: typedValue.nullable(),
  look: z.enum(SET_POINTS),
  place: z.string(),
  note: z.string()
});

/** The part a spent liquid has in the tree of its lot: it carries its fish's verdict, and a clock of its own. */
export const SPENT_LIQUID = 'spent-liquid';

/** Joined at service: a sauce, its own liquid, what else goes on it. The fish weighs what it weighed. */
export const pieceDressed = z.object({
  sauce: z.object({ id: z.string(), name: z.string(), version: z.number().int() }).nullable(),
  /** Of sauce and of liquid, g. */
  sauceGrams: finite,
  liquid: z.string(),
  liquidGrams: finite,
  with: z.string(),
  dish: z.string(),
  allergens: z.array(z.string()),
  ...toldBesides,
  /** Of it, what is raw of an animal, by name: the notice goes with that as well. */
  raw: z.array(z.string()).optional(),
  note: z.string()
});

/** An ingredient of the house's own, or what the house knows besides of one that ships. */
export const ingredientSet = z.object({
  id: z.string(),
  ingredient: ingredientBody,
  reason: z.string(),
  withdrawn: z.boolean()
});
/** Of one written when nobody said whether alcohol, colour or an enhancer is in it. */
export const ingredientSetFrom1 = (body: unknown) => {
  const { ingredient, ...rest } = body as { readonly ingredient: object };
  return { ...rest, ingredient: { tell: [], ...ingredient } };
};
/** The house is out of one and uses another instead (nothing: left out), until it is back. */
export const ingredientSwapped = z.object({ id: z.string(), instead: z.string(), reason: z.string() });
export const ingredientBack = z.object({ id: z.string() });

export const kinds = {
  'acid.started': { ...third(acidStarted, acidFrom1, acidStartedFrom2), patched: acidPatched },
  'acid.checked': second(acidChecked, acidFrom1),
  'acid.lifted': kind(acidLifted, false),
  'acid.ended': kind(acidEnded),
  'piece.dressed': kind(pieceDressed),
  'ingredient.set': second(ingredientSet, ingredientSetFrom1, false),
  'ingredient.swapped': kind(ingredientSwapped, false),
  'ingredient.back': kind(ingredientBack, false)
} satisfies Kinds;
