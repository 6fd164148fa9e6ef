import { scaleIntervalOf } from '../../core/bench/breakdown/mass.ts';
import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { overlaps, TEMPLATES } from '../../core/bench/breakdown/templates.ts';
import { CREDITS, PORTIONS } from '../../core/bench/breakdown/portions.ts';
import { USES } from '../../core/activity/piece/bodies.ts';
import { draft } from '../store/record.ts';
import { neededText, shortText, ticked } from '../../core/fields/field.ts';
import { bookId } from '../input/book-id.ts';
import { operation } from './operation.ts';

const MOST_CUTS = 10;
/** One cut a line: "Centre loin; 22-76; back; raw". */
export function templateLine(line: string, number: number) {
  const [name = '', span = '', band = '', use = ''] = line.split(';').map((part) => part.trim());
  const match = /^(\d+(?:\.\d+)?)\s*(?:-|–|to)\s*(\d+(?:\.\d+)?)\s*%?$/.exec(span);
  const field = `line ${number}`;
  if (name === '' || !match) throw new EmberError('form.value-unknown', { field, seen: line.slice(0, 60) });
  const from = Number(match[1]) / 100;
  const to = Number(match[2]) / 100;
  if (!(from >= 0 && to <= 1 && to > from)) {
    throw new EmberError('quantity.out-of-range', { field, unit: '%', min: 0, max: 100, seen: span });
  }
  const bands = ['all', 'back', 'belly'] as const;
  const found = bands.find((each) => each === (band || 'all'));
  const wanted = USES.find((each) => each === use);
  if (!found || wanted === undefined) {
    throw new EmberError('form.value-unknown', { field, seen: found ? use : band });
  }
  return { id: bookId(name), name: name.slice(0, 40), from, to, band: found, use: wanted };
}

export const setTemplate = operation({
  name: 'set-template',
  page: '/house/knife',
  summary: 'Set how the house divides a side: a cut a line, its name, from and to in % of the length, band, use.',
  input: z.object({
    name: neededText(60),
    cuts: z
      .string()
      .max(2000)
      .default('')
      .describe('a cut a line: name; from-to in % of the length; all, back or belly; use'),
    withdraw: ticked
  }),
  subject: () => 'house',
  run({ house, now }, input) {
    // A division that ships keeps its id under the house's hand.
    const id = TEMPLATES.find(({ name }) => name === input.name)?.id ?? bookId(input.name);
    if (input.withdraw) {
      const known = house.templates[id];
      if (!known) throw new EmberError('record.not-found', { field: 'name', seen: input.name });
      return { events: [draft('template.set', 'house', now, { ...known, withdrawn: true })], result: { template: id } };
    }
    const parts = input.cuts
      .split(/\r?\n/)
      .filter((line) => line.trim() !== '')
      .map((line, index) => templateLine(line, index + 1));
    if (parts.length === 0 || parts.length > MOST_CUTS) {
      throw new EmberError('quantity.out-of-range', { field: 'cuts', min: 1, max: MOST_CUTS, seen: parts.length });
    }
    const twice = parts.find((part, index) => parts.findIndex((other) => other.id === part.id) !== index);
    if (twice) throw new EmberError('form.value-unknown', { field: 'cuts', seen: twice.name, taken: true });
    const [over] = overlaps(parts);
    if (over) throw new EmberError('form.value-unknown', { field: 'cuts', seen: `${over[0]} lies over ${over[1]}` });
    return {
      events: [draft('template.set', 'house', now, { id, name: input.name, parts, withdrawn: false })],
      result: { template: id }
    };
  }
});

export const setKitchen = operation({
  name: 'set-kitchen',
  page: '/house/knife',
  summary: "Set what by-products are worth, what a portion weighs, and the scale's interval.",
  input: z
    .object({ note: shortText(200) })
    .catchall(z.union([z.string(), z.number(), z.boolean()]))
    .describe('credit-<use> for a kilogram; portion-<id> in grams; interval in grams'),
  subject: () => 'house',
  run({ house, now }, input) {
    const number = (field: string, min: number, max: number, fallback: number | undefined) => {
      const raw = input[field];
      if (raw === undefined || raw === '') return fallback;
      const value = Number(String(raw).replace(',', '.'));
      if (!Number.isFinite(value) || value < min || value > max) {
        throw new EmberError('quantity.out-of-range', { field, min, max, seen: String(raw) });
      }
      return value;
    };
    const before = house.kitchen;
    const credits = Object.fromEntries(
      USES.flatMap((use) => {
        const value = number(`credit-${use}`, 0, 10_000, before?.credits[use] ?? CREDITS[use]);
        return use === '' || value === undefined ? [] : [[use, value]];
      })
    );
    const portions = (before?.portions ?? PORTIONS).map((portion) => ({
      ...portion,
      uses: [...portion.uses],
      grams: number(`portion-${portion.id}`, 1, 5000, portion.grams)!
    }));
    const scaleInterval = number('interval', 0.1, 50, scaleIntervalOf({ kitchen: before }))!;
    return {
      events: [draft('kitchen.set', 'house', now, { credits, portions, scaleInterval })],
      result: { scaleInterval }
    };
  }
});
