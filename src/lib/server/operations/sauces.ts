import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { correctSauce } from '../../core/bench/acid/sauce.ts';
import { SAUCE_KINDS, sauceBody, type SauceBody, type SauceLine } from '../../core/activity/acid/sauce-body.ts';
import { SPENT_LIQUID } from '../../core/activity/acid/bodies.ts';
import type { HouseState } from '../../core/record/house.ts';
import { foldLineages, judge } from '../../core/rules/verdict.ts';
import { declarations, toldBody } from '../facts/declarations.ts';
import { sauceBook, sauceById } from '../facts/sauces.ts';
import { readIngredient, readIngredients } from '../../core/ingredients/read.ts';
import { rawOfLines, toldOfLines, type HouseIngredients } from '../../core/ingredients/kitchen.ts';
import { toldTogether } from '../../core/ingredients/ingredient.ts';
import { draft } from '../store/record.ts';
import { neededText, optionalQuantity, pieceId, quantity, shortText, ticked, when } from '../../core/fields/field.ts';
import { bookId } from '../input/book-id.ts';
import { pieceForStep } from './guard.ts';
import { operation } from './operation.ts';
import { readAs } from '../../core/fields/trouble.ts';

const figure = (text: string, field: string): number => {
  const match = /^(-?\d+(?:[.,]\d+)?)\s*(?:g|%|parts?)?$/.exec(text.trim());
  if (!match) throw new EmberError('form.value-unknown', { field, seen: text.slice(0, 60) });
  return Number(match[1]!.replace(',', '.'));
};

/** One line of a sauce: "Lime juice; 60", or "Egg yolk; 18; each 18" for what comes whole, g. */
export function sauceLineFrom(text: string, ingredients: HouseIngredients): SauceLine {
  const [what = '', parts = '', more = ''] = text.split(';').map((each) => each.trim());
  if (what === '') throw new EmberError('form.value-unknown', { field: 'lines', seen: text.slice(0, 60) });
  const each = /^each\s+(.+)$/i.exec(more);
  if (more !== '' && !each) throw new EmberError('form.value-unknown', { field: 'lines', seen: more });
  return {
    ...readIngredient(what, ingredients, 'lines'),
    parts: figure(parts, 'lines'),
    each: each ? figure(each[1]!, 'lines') : 0
  };
}
/** "60, 25, 15" per cent as shares that make one. */
function portionsFrom(text: string): number[] {
  const shares = text
    .split(',')
    .filter((each) => each.trim() !== '')
    .map((each) => figure(each, 'portions'));
  const sum = shares.reduce((total, each) => total + each, 0);
  if (shares.length === 0) return [1];
  if (!(sum > 0)) throw new EmberError('form.value-unknown', { field: 'portions', seen: text });
  return shares.map((each) => each / sum);
}
const lines = (text: string) => text.split(/\r?\n/).filter((line) => line.trim() !== '');

const checked = (body: unknown): SauceBody => readAs(sauceBody, body);
const nextVersion = (house: HouseState, id: string): number => {
  const known = sauceBook(house).find((sauce) => sauce.id === id);
  return known ? Math.max(...known.history.map(({ version }) => version)) + 1 : 1;
};

export const setSauce = operation({
  name: 'set-sauce',
  page: '/acid/sauces',
  summary: 'Write a sauce, or a new version of one. What was is kept.',
  input: z.object({
    id: shortText(60).describe('of the sauce it is a new version of; nothing for a new one'),
    name: neededText(80),
    kind: z.enum(SAUCE_KINDS),
    rate: quantity('concentration', { min: 0.005, max: 5 }).describe('the whole of it, of the fish'),
    lines: z
      .string()
      .min(1)
      .max(4000)
      .describe(
        'one a line: an ingredient; parts; each 18 (g, for what comes whole). One that is not on the list says what it holds: Shiso oil = sesame + may soy'
      ),
    portions: shortText(60).describe('in which it is folded in, per cent with commas between'),
    steps: z.string().max(3000).default(''),
    goodFor: shortText(120),
    reason: shortText(200).describe('what is different in this version')
  }),
  subject: () => 'house',
  run({ house, now }, input) {
    const id = input.id === '' ? bookId(input.name) : sauceById(house, input.id).id;
    if (input.id === '' && sauceBook(house).some((sauce) => sauce.id === id && !sauce.withdrawn)) {
      throw new EmberError('form.value-unknown', { field: 'name', seen: input.name, taken: true });
    }
    const sauce = checked({
      name: input.name,
      kind: input.kind,
      rate: input.rate.si,
      lines: lines(input.lines).map((line) => sauceLineFrom(line, house.ingredients)),
      portions: portionsFrom(input.portions),
      steps: lines(input.steps),
      goodFor: input.goodFor,
      // Typed before ingredients were a list: told on, whatever the lines now say.
      allergens: input.id === '' ? [] : sauceById(house, input.id).allergens
    });
    const version = nextVersion(house, id);
    return {
      events: [draft('sauce.set', 'house', now, { id, version, sauce, reason: input.reason, withdrawn: false })],
      result: { sauce: id, version }
    };
  }
});

const ADDED = /^added-(\d+)$/;

export const correctSauceOperation = operation({
  name: 'correct-sauce',
  page: '/acid/sauces/[id]',
  summary: 'What was added by taste while it was made becomes the next version, for any weight of fish.',
  input: z
    .object({
      id: neededText(60),
      mass: quantity('mass', { min: 1, max: 100_000 }).describe('of fish it was made for'),
      extra: shortText(300).describe('what is new in it: "Ginger 4 g, Shiso oil = sesame 2 g"'),
      reason: shortText(200)
    })
    .catchall(z.union([z.string(), z.number()]))
    .describe('one field "added-<line from 0>" each, g; less than nothing for what was left out'),
  subject: () => 'house',
  run({ house, now }, { id, mass, extra, reason, ...rest }) {
    const { history, version: inUse } = sauceById(house, id);
    const { sauce } = history.findLast((each) => each.version === inUse)!;
    const added = sauce.lines.map(() => 0);
    for (const [key, value] of Object.entries(rest)) {
      const line = ADDED.exec(key)?.[1];
      if (line === undefined || value === '') continue;
      if (Number(line) >= added.length) throw new EmberError('form.value-unknown', { field: key, seen: String(value) });
      added[Number(line)] = figure(String(value), key);
    }
    const fresh = extra
      .split(',')
      .filter((each) => each.trim() !== '')
      .map((each) => {
        const match = /^\s*(\S.*?)\s+(\d+(?:\.\d+)?)\s*g?\s*$/.exec(each);
        if (!match) throw new EmberError('form.value-unknown', { field: 'extra', seen: each.trim() });
        return { ...readIngredient(match[1]!, house.ingredients, 'extra'), grams: Number(match[2]) };
      });
    const next = correctSauce(sauce, mass.si, added, fresh);
    const version = nextVersion(house, id);
    return {
      events: [draft('sauce.set', 'house', now, { id, version, sauce: next, reason, withdrawn: false })],
      result: { sauce: id, version }
    };
  }
});

export const withdrawSauce = operation({
  name: 'withdraw-sauce',
  page: '/acid/sauces/[id]',
  summary: 'Take a sauce out of the book, or put one back. Its versions are kept.',
  input: z.object({ id: neededText(60), back: ticked }),
  subject: () => 'house',
  run({ house, now }, { id, back }) {
    const { history, withdrawn } = sauceById(house, id);
    if (withdrawn !== back) {
      throw new EmberError('record.not-allowed-now', {
        field: 'sauce',
        seen: back ? 'in the book' : 'out of the book'
      });
    }
    const { sauce, version } = history.at(-1)!;
    return {
      events: [draft('sauce.set', 'house', now, { id, version, sauce, reason: '', withdrawn: !back })],
      result: { sauce: id, withdrawn: !back }
    };
  }
});

export const dressPiece = operation({
  name: 'dress-piece',
  page: '/acid',
  summary: 'Join at service: a sauce, the piece’s own liquid, garnish. Its allergens go with what is served.',
  input: z.object({
    piece: pieceId,
    sauce: shortText(60),
    sauceMass: optionalQuantity('mass', { min: 0.5, max: 20_000 }),
    liquid: z.union([z.literal(''), pieceId]).default(''),
    liquidMass: optionalQuantity('mass', { min: 0.5, max: 20_000 }),
    with: shortText(200).describe('garnish and what else goes on it: ingredients with commas between'),
    dish: shortText(80),
    note: shortText(200),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, instant, now }, input) {
    const { state } = pieceForStep(store, input.piece, 'dress');
    const at = instant(input.at, 'at');
    if (at < state.made.at) throw new EmberError('time.out-of-order', { field: 'at', seen: input.at });
    if (state.made.form === 'live') {
      throw new EmberError('record.not-allowed-now', { field: 'piece', seen: 'not cut yet' });
    }
    const sauce = input.sauce === '' ? null : sauceById(house, input.sauce);
    if (!sauce && input.liquid === '' && input.with === '') throw new EmberError('form.incomplete', { field: 'sauce' });
    const liquid = input.liquid === '' ? null : pieceForStep(store, input.liquid, 'dress').state;
    const used = [];
    if (liquid) {
      if (liquid.made.part !== SPENT_LIQUID) {
        throw new EmberError('form.value-unknown', { field: 'liquid', seen: liquid.made.name });
      }
      // Another fish's liquid brings another record with it: together they are a batch, and no dressing.
      const family = [input.piece, ...state.made.parents];
      if (!liquid.made.parents.some((parent) => family.includes(parent))) {
        throw new EmberError('record.combine-refused', {
          field: 'liquid',
          seen: 'the liquid of another fish carries that fish’s record; make them one batch first'
        });
      }
      const mass = input.liquidMass ?? { si: liquid.grams, unit: 'g', typed: `${Math.round(liquid.grams)} g` };
      if (mass.si > liquid.grams + 0.5) {
        throw new EmberError('record.mass-exceeded', {
          field: 'liquidMass',
          unit: 'g',
          max: liquid.grams,
          seen: mass.typed
        });
      }
      const seen = judge(
        foldLineages(store.projections.lineages(liquid.id), {
          house,
          at,
          knownAt: now,
          logs: store.projections.logs.book(at, now)
        })
      );
      const window = seen.windows.find(({ route }) => route === 'acid')!;
      if (window.state !== 'open' && window.state !== 'ebbing') {
        throw new EmberError('record.not-allowed-now', { field: 'liquid', seen: window.state, route: 'acid' });
      }
      used.push(
        draft('piece.served', `piece:${liquid.id}`, at, {
          mass,
          dish: input.dish || `over ${state.made.name}`,
          route: 'acid',
          ...declarations(store, liquid.id, house, 'acid'),
          pins: seen.pins
        })
      );
    }
    const liquidGrams = liquid ? (input.liquidMass?.si ?? liquid.grams) : 0;
    const garnish = readIngredients(input.with, house.ingredients, 'with');
    const told = toldTogether([
      toldOfLines(house.ingredients, sauce?.lines ?? [], at, sauce?.allergens),
      toldOfLines(house.ingredients, garnish, at)
    ]);
    return {
      events: [
        draft('piece.dressed', `piece:${input.piece}`, at, {
          sauce: sauce && { id: sauce.id, name: sauce.name, version: sauce.version },
          sauceGrams: input.sauceMass?.si ?? (sauce ? sauce.rate * state.grams : 0),
          liquid: input.liquid,
          liquidGrams,
          with: input.with,
          dish: input.dish,
          ...toldBody(told),
          raw: rawOfLines(house.ingredients, [...(sauce?.lines ?? []), ...garnish], at),
          note: input.note
        }),
        ...used
      ],
      result: { piece: input.piece, allergens: told.holds, mayHold: told.mayHold, unsaid: told.unsaid }
    };
  }
});
