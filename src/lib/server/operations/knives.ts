import { z } from 'zod';
import { SHARPENINGS, STYLE_IDS } from '../../core/activity/slice/lists.ts';
import { movedStyle, SLICE_STYLES, type SliceStyle } from '../../core/bench/slice/styles.ts';
import { houseStyles, movesOf } from '../facts/slicing.ts';
import { EmberError } from '../../core/errors.ts';
import {
  choice,
  neededText,
  numeric,
  optionalNumeric,
  optionalQuantity,
  shortText,
  ticked
} from '../../core/fields/field.ts';
import { bookId } from '../input/book-id.ts';
import { draft } from '../store/record.ts';
import { operation } from './operation.ts';

/** Strokes after which an edge is looked after, where the house says nothing else (check: an evening or two of slicing). */
const USUAL_STROKES = 600;

export const setKnife = operation({
  name: 'set-knife',
  page: '/house/knife',
  summary: 'Name a knife of the house, and after how many strokes it wants its edge again; or take it out.',
  input: z.object({
    name: neededText(40),
    every: numeric(50, 20_000, { start: String(USUAL_STROKES), fallback: USUAL_STROKES, whole: true }).describe(
      'strokes from one sharpening to the next'
    ),
    withdraw: ticked
  }),
  subject: () => 'house',
  run({ house, now }, { name, every, withdraw: withdrawn }) {
    const id = bookId(name);
    if (withdrawn && !house.knives[id]) throw new EmberError('record.not-found', { field: 'name', seen: name });
    return { events: [draft('knife.set', 'house', now, { id, name, every, withdrawn })], result: { knife: id } };
  }
});

export const sharpenKnife = operation({
  name: 'sharpen-knife',
  page: '/house/knife',
  summary: 'Write down that a knife was sharpened, how, and by whom: its strokes begin anew.',
  input: z.object({
    knife: neededText(60),
    how: choice(SHARPENINGS, 'stone'),
    note: shortText(120)
  }),
  subject: () => 'house',
  run({ house, now }, { knife, how, note }) {
    const known = house.knives[knife];
    if (!known) throw new EmberError('record.not-found', { field: 'knife', seen: knife });
    const { name } = known;
    return { events: [draft('knife.sharpened', 'house', now, { knife, name, how, note })], result: { knife } };
  }
});

const THICK = { min: 0.5, max: 60 };
const WEIGHS = { min: 0.5, max: 120 };
const LEANS = { unit: '°' } as const;

/** What a house says of a cut: ends of its ranges, and a word on it. */
const ranges = {
  thinnest: optionalQuantity('length', THICK),
  thickest: optionalQuantity('length', THICK),
  lightest: optionalQuantity('mass', WEIGHS),
  heaviest: optionalQuantity('mass', WEIGHS),
  flattest: optionalNumeric(15, 90, LEANS),
  steepest: optionalNumeric(15, 90, LEANS),
  note: shortText(200),
  withdraw: ticked
};
type Ranges = z.output<z.ZodObject<typeof ranges>>;

/** @throws EmberError `quantity.out-of-range` where what is left of a range has its ends crossed, or cubes would lean */
function checkRanges(style: SliceStyle, own: Ranges): void {
  const lean = own.flattest ?? own.steepest;
  if (style.cubes && lean !== null && lean !== 90) {
    throw new EmberError('quantity.out-of-range', { field: 'flattest', unit: '°', min: 90, max: 90, seen: lean });
  }
  const set = movedStyle(style, movesOf(own));
  const turned = (
    [
      ['thickest', set.thicknesses, 'mm'],
      ['heaviest', set.grams, 'g'],
      ['steepest', set.angles, '°']
    ] as const
  ).find(([, [least, most]]) => least > most);
  if (turned) {
    const [field, [least, most], unit] = turned;
    throw new EmberError('quantity.out-of-range', { field, unit, min: least, seen: most });
  }
}

export const setStyle = operation({
  name: 'set-style',
  page: '/house/knife',
  summary: 'Move the ranges of a cut to what this house cuts, with its own word on it; or have it as usual again.',
  input: z.object({
    style: choice(STYLE_IDS, 'oblique'),
    ...ranges
  }),
  subject: () => 'house',
  run({ house, now }, { withdraw: withdrawn, ...own }) {
    const { style } = own;
    if (withdrawn && !house.styles[style]) throw new EmberError('record.not-found', { field: 'style', seen: style });
    checkRanges(SLICE_STYLES[style], { ...own, withdraw: withdrawn });
    return { events: [draft('style.set', 'house', now, { ...own, withdrawn })], result: { style } };
  }
});

export const setCut = operation({
  name: 'set-cut',
  page: '/house/knife',
  summary: "Add a cut of the house's own: like a usual one, with its own name and ranges; or take it out of the book.",
  input: z.object({
    name: neededText(40),
    like: choice(STYLE_IDS, 'oblique'),
    ...ranges
  }),
  subject: () => 'house',
  run({ house, now }, { withdraw: withdrawn, ...own }) {
    const id = bookId(own.name);
    if (withdrawn && !house.cuts[id]) throw new EmberError('record.not-found', { field: 'name', seen: own.name });
    checkRanges(houseStyles(house)[own.like], { ...own, withdraw: withdrawn });
    return { events: [draft('cut.set', 'house', now, { id, ...own, withdrawn })], result: { cut: id } };
  }
});
