import { z } from 'zod';
import {
  choice,
  faces,
  oneOf,
  openChoice,
  optionalNumeric,
  optionalQuantity,
  pieceId,
  quantity,
  shortText,
  ticked,
  when,
  type Settled
} from '../../fields/field.ts';
import { DOSINGS, SCHOOL_IDS, type School } from './lists.ts';

/** Whether air can get at it while it cures: a bag with the air pressed out counts as closed. */
export const CURE_PACKS = ['open', 'closed'] as const;

/**
 * What a cook sets of a cure. Unit, range and start of each stand here and nowhere else; what a school allows besides is in
 * `SALT_LIMITS`, and where it begins in `CURE_STARTS`.
 */
export const cureSet = {
  method: oneOf(SCHOOL_IDS, 'weighed'),
  thickness: quantity('length', { min: 2, max: 150, start: 25 }).describe('thick end'),
  thin: optionalQuantity('length', { min: 1, max: 150 }).describe('thin end; the measured depth where left out'),
  faces: faces(1),
  celsius: quantity('temperature', { min: -1, max: 15, start: 3 }),
  salt: quantity('concentration', { unit: '%', min: 0, max: 1 }).describe(
    'of the fish (cover, film), in the finished piece (weighed), of the liquid (brine, marinade), in the fish (desalting)'
  ),
  sugar: optionalQuantity('concentration', { unit: '%', min: 0, max: 1, start: 0 }),
  parts: shortText(20).describe('cover: salt to sugar, such as 2:1; then sugar need not be said'),
  rateMeans: openChoice(['salt', 'mix'], 'salt').describe('cover with parts: what the rate is of'),
  hours: quantity('duration', { unit: 'h', min: 0.08 * 3600, max: 240 * 3600 }),
  rest: optionalQuantity('duration', { unit: 'h', min: 0, max: 240 * 3600, start: 0 }),
  target: quantity('concentration', { unit: '%', min: 0.001, max: 0.2, start: 0.01 }),
  dosing: openChoice(DOSINGS, 'weight'),
  liquid: openChoice(['kept', 'drained'], 'kept'),
  bathTimes: optionalNumeric(0.1, 50, { unit: '×', start: 2 }).describe('liquid by the fish’s weight'),
  changes: optionalNumeric(1, 12, { whole: true, start: 3 }),
  presalt: optionalQuantity('concentration', { unit: '%', min: 0, max: 0.2, start: 0 }),
  presaltMinutes: optionalNumeric(0, 1440, { unit: 'min', start: 0 }),
  pasteWater: optionalQuantity('concentration', { unit: '%', min: 0.15, max: 0.95, start: 0.45 }),
  flat: ticked.describe('take it as even, whatever its measured depth says')
};
export type CureSet = Settled<typeof cureSet>;

/** How it is laid down: no figure of the model, and on record all the same. */
export const cureLaid = {
  place: shortText(60).describe('where it lies; its log is the temperature of the cure'),
  pack: choice(CURE_PACKS, 'open').describe('whether air can get at it'),
  turned: ticked.describe('turned and basted; else left closed'),
  pressed: ticked,
  recipe: shortText(60),
  also: shortText(200).describe('ingredients put on it besides the recipe, with commas between'),
  readyBy: when.describe('the service it has to be ready for')
};

/** Everything set on the cure bench, for one piece. */
export const curePlan = z.object({ piece: pieceId, ...cureSet, ...cureLaid });
export type CurePlan = z.output<typeof curePlan>;

/** What a school asks for; the others it does without. */
export const CURE_ASKS: Record<School, readonly (keyof CureSet)[]> = {
  cover: ['salt', 'parts', 'rateMeans', 'sugar', 'hours', 'rest', 'target', 'dosing', 'liquid'],
  weighed: ['salt', 'sugar', 'hours', 'rest', 'target', 'dosing'],
  brine: ['salt', 'sugar', 'bathTimes', 'hours', 'rest', 'target'],
  film: ['salt', 'sugar', 'hours', 'rest', 'target', 'dosing'],
  desalt: ['salt', 'bathTimes', 'changes', 'hours', 'rest', 'target'],
  marinade: ['salt', 'sugar', 'bathTimes', 'pasteWater', 'presalt', 'presaltMinutes', 'hours', 'rest', 'target']
};

/** Where a school begins, the middle of its usual range, as it is typed in the unit its field asks for. */
export const CURE_STARTS: Record<School, Partial<Record<keyof CureSet, string>>> = {
  cover: { salt: '6', sugar: '6', parts: '1:1', hours: '30', rest: '24', target: '1.2', dosing: 'face' },
  weighed: { salt: '2.5', sugar: '1', hours: '48', rest: '12', target: '1', dosing: 'weight' },
  brine: { salt: '5', sugar: '0', hours: '6', rest: '2', target: '0.8', bathTimes: '2' },
  film: { salt: '1.5', sugar: '0', hours: '0.75', rest: '2', target: '0.3', dosing: 'face' },
  desalt: { salt: '18', hours: '12', rest: '0', target: '3', bathTimes: '5', changes: '3' },
  marinade: {
    salt: '6',
    sugar: '20',
    hours: '36',
    rest: '0',
    target: '0.8',
    bathTimes: '0.35',
    presalt: '1.2',
    presaltMinutes: '40',
    pasteWater: '45'
  }
};
