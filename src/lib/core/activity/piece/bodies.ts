import { z } from 'zod';
import { ROUTES } from '../../codes/window.ts';
import { FORMS } from '../receive/bodies.ts';
import { kind, second, type Kinds } from '../../record/kind.ts';
import { finite, typedValue } from '../../record/values.ts';

/** What can happen to any piece: made, divided, weighed, moved, labelled. A shape is never edited once shipped: a new version is added and the old one upcast. */

/** What a part is for, as a rule; an empty text where nobody said. */
export const USES = ['', 'raw', 'cure', 'acid', 'sear', 'cook', 'mince', 'stock', 'crisp', 'roe', 'other'] as const;

/** The first grade bears the cost; a by-product is credited at its own value. */
export const GRADES = ['prime', 'by-product'] as const;

export const pieceMade = z.object({
  code: z.string(),
  /** The lot it came from; of a batch from several lots, that of its first parent. */
  lot: z.string(),
  parents: z.array(z.string()),
  name: z.string(),
  form: z.enum(FORMS),
  grams: finite,
  mass: typedValue,
  thicknessMm: finite.nullable(),
  /** Which part of its cut map it is; an empty text for none. */
  part: z.string(),
  use: z.enum(USES),
  grade: z.enum(GRADES),
  /** Value of a by-product for a kilogram, in the house's currency. */
  creditPerKg: finite.nullable(),
  /** The opening of the board it was cut on; null where it was taken off no board. */
  board: z.number().int().nullable()
});

/** A piece that is no part of any cut map. */
export const NO_CUT = { part: '', use: '', grade: 'prime', creditPerKg: null, board: null } as const;

export const pieceMadeFrom1 = (body: unknown) => ({ ...NO_CUT, ...(body as object) });

export const WASTES = [
  'viscera',
  'gills',
  'scales',
  'head',
  'frame',
  'fins',
  'skin',
  'shell',
  'bones',
  'blood-line',
  'trim',
  'liquor',
  'drip',
  'other'
] as const;

export const pieceWasted = z.object({ what: z.enum(WASTES), mass: typedValue, note: z.string() });

/** Into a place: a drawer, a rack, a box. What was out of the cold is back in it, where the place is cold. */
export const pieceMoved = z.object({
  place: z.string(),
  cold: z.boolean(),
  core: typedValue.nullable(),
  /** How long it had been out of the cold, s. */
  secondsOut: finite
});

export const REWEIGH_CAUSES = ['drip', 'drying', 'scale', 'uptake', 'other'] as const;

export const pieceReweighed = z.object({
  mass: typedValue,
  before: finite,
  cause: z.enum(REWEIGH_CAUSES),
  note: z.string()
});

/** Thickness along a piece: points from its thick end, for an even cure and for the slowest point of a freeze. */
export const pieceProfiled = z.object({
  lengthMm: finite,
  points: z.array(z.object({ at: finite, mm: finite })),
  note: z.string()
});

export const labelPrinted = z.object({
  size: z.string(),
  printer: z.string(),
  job: z.string(),
  copies: finite,
  /** What it promises; of labels printed before they were written down, nothing. */
  said: z.array(z.object({ route: z.enum(ROUTES), from: finite.nullable(), until: finite.nullable() }))
});
export const labelPrintedFrom1 = (body: unknown) => ({ said: [], ...(body as object) });

/** Stands on the parent when a piece leaves it, so that its own weight falls without reading its children. */
export const pieceGave = z.object({ child: z.string(), grams: finite, part: z.string(), grade: z.enum(GRADES) });

export const pieceGaveFrom1 = (body: unknown) => ({ part: '', grade: 'prime', ...(body as object) });

export const kinds = {
  'piece.made': second(pieceMade, pieceMadeFrom1),
  'piece.gave': second(pieceGave, pieceGaveFrom1),
  'piece.wasted': kind(pieceWasted),
  'piece.moved': kind(pieceMoved),
  'piece.reweighed': kind(pieceReweighed),
  'piece.profiled': kind(pieceProfiled),
  'label.printed': second(labelPrinted, labelPrintedFrom1, false)
} satisfies Kinds;
