import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { correctSauce } from '../../core/bench/acid/sauce.ts';
import { SAUCE_KINDS, sauceBody, type SauceBody, type SauceLine } from '../../core/activity/acid/sauce-body.ts';
import { SPENT_LIQUID } from '../../core/activity/acid/bodies.ts';
import { foldLineages, judge } from '../../core/rules/verdict.ts';
import { declarations, toldBody } from '../facts/declarations.ts';
import { pageOf, versionOf } from '../facts/book.ts';
import { readIngredient, readIngredients } from '../../core/ingredients/read.ts';
import { rawOfLines, toldOfLines, type HouseIngredients } from '../../core/ingredients/kitchen.ts';
import { toldTogether } from '../../core/ingredients/ingredient.ts';
import { draft } from '../store/record.ts';
import { neededText, optionalQuantity, pieceId, quantity, shortText, when } from '../../core/fields/field.ts';
import { pieceForStep } from './guard.ts';
import { operation } from './operation.ts';
import { noteOn, pageFields, pageToWrite, takeIn, textLines, withdraw, written } from './pages.ts';
import { readAs } from '../../core/fields/trouble.ts';
import { notNow } from './not-now.ts';

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
const checked = (body: unknown): SauceBody => readAs(sauceBody, body);
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
    ...pageFields
  }),
  subject: () => 'house',
  run(context, input) {
    const { house } = context;
    const id = pageToWrite(house, 'sauce', input);
    const page = checked({
      name: input.name,
      kind: input.kind,
      rate: input.rate.si,
      lines: textLines(input.lines).map((line) => sauceLineFrom(line, house.ingredients)),
      portions: portionsFrom(input.portions),
      steps: textLines(input.steps),
      goodFor: input.goodFor,
      // Typed before ingredients were a list: told on, whatever the lines now say.
      allergens: input.id === '' ? [] : pageOf(house, 'sauce', input.id).allergens
    });
    return written(context, 'sauce', { id, page, reason: input.reason });
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
  run(context, { id, mass, extra, reason, ...rest }) {
    const { house } = context;
    const { body: sauce } = versionOf(house, 'sauce', id);
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
    return written(context, 'sauce', { id, page: next, reason });
  }
});

export const noteSauce = noteOn('sauce');
export const withdrawSauce = withdraw('sauce');
export const importSauces = takeIn('sauce');

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
      throw notNow('piece', 'not-cut');
    }
    const sauce = input.sauce === '' ? null : pageOf(house, 'sauce', input.sauce);
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
        throw notNow('liquid', 'window-shut', { seen: window.state, route: 'acid' });
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
