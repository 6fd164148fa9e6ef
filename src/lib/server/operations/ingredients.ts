import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { ingredientBody, TELLS, type Ingredient } from '../../core/ingredients/ingredient.ts';
import { ingredientById, ingredientNamed, isCircle } from '../../core/ingredients/kitchen.ts';
import { allergenNamed } from '../../core/ingredients/read.ts';
import { ALLERGENS, type Allergen } from '../../core/codes/allergens.ts';
import type { HouseState } from '../../core/record/house.ts';
import { draft } from '../store/record.ts';
import { list, neededText, shortText, ticked } from '../../core/fields/field.ts';
import { bookId } from '../input/book-id.ts';
import { operation } from './operation.ts';
import { notNow } from './not-now.ts';

const MOST = 20;
const allergens = (names: readonly string[], field: string): Allergen[] =>
  names.map((name) => {
    const found = allergenNamed(name);
    if (!found) throw new EmberError('form.value-unknown', { field, seen: name, candidates: [...ALLERGENS] });
    return found;
  });

/** One of the list by its id or any of its names. */
function known(house: HouseState, text: string, field: string): Ingredient {
  const found = ingredientById(house.ingredients, text) ?? ingredientNamed(house.ingredients, text);
  if (!found) throw new EmberError('ingredient.unknown', { field, seen: text });
  return found;
}

export const setIngredient = operation({
  name: 'set-ingredient',
  page: '/house/ingredients',
  summary:
    'Write an ingredient of the house’s own, or what is known besides of one that ships. What ships is never told less: one that holds less is another ingredient.',
  input: z.object({
    id: shortText(60).describe('of the one it is about; nothing for a new one'),
    name: neededText(60),
    alsoCalled: shortText(300).describe('other names recipes call it by, with commas between'),
    holds: list(MOST).describe('allergens it is made with'),
    mayHold: list(MOST).describe('allergens it may contain'),
    raw: ticked.describe('of an animal, and eaten raw: the notice goes with a dish of it'),
    tell: list(3).describe('alcohol, colour or enhancer: what a guest may ask besides'),
    nothing: ticked.describe('its label was read, and it holds none'),
    note: shortText(200),
    reason: shortText(200)
  }),
  subject: () => 'house',
  run({ house, now }, input) {
    const id = input.id === '' ? bookId(input.name) : known(house, input.id, 'id').id;
    const holds = allergens(input.holds, 'holds');
    const mayHold = allergens(input.mayHold, 'mayHold');
    // Nothing ticked is not the same as nothing in it.
    if (holds.length === 0 && mayHold.length === 0 && !input.nothing) {
      throw new EmberError('form.incomplete', { field: 'holds' });
    }
    const names = [input.name, ...input.alsoCalled.split(',')].map((each) => each.trim()).filter((each) => each !== '');
    for (const name of names) {
      const other = ingredientNamed(house.ingredients, name);
      if (other && other.id !== id) {
        throw new EmberError('form.value-unknown', { field: 'name', seen: name, taken: true });
      }
    }
    if (input.id === '' && ingredientById(house.ingredients, id)) {
      throw new EmberError('form.value-unknown', { field: 'name', seen: input.name, taken: true });
    }
    const ingredient = ingredientBody.parse({
      name: names[0],
      alsoCalled: names.slice(1),
      holds,
      mayHold: mayHold.filter((each) => !holds.includes(each)),
      raw: input.raw,
      tell: input.tell.map((each) => {
        const tell = TELLS.find((one) => one === each.toLowerCase());
        if (!tell) throw new EmberError('form.value-unknown', { field: 'tell', seen: each, candidates: TELLS });
        return tell;
      }),
      note: input.note
    });
    return {
      events: [draft('ingredient.set', 'house', now, { id, ingredient, reason: input.reason, withdrawn: false })],
      result: { ingredient: id }
    };
  }
});

export const withdrawIngredient = operation({
  name: 'withdraw-ingredient',
  page: '/house/ingredients',
  summary:
    'Take the house’s own ingredient off the list, or what it said of one that ships. What was written with it stays told.',
  input: z.object({ id: neededText(60) }),
  subject: () => 'house',
  run({ house, now }, { id }) {
    const own = house.ingredients.own[id];
    if (!own || own.withdrawn) throw new EmberError('ingredient.unknown', { field: 'id', seen: id });
    const { withdrawn: _, id: __, ...ingredient } = own;
    return {
      events: [draft('ingredient.set', 'house', now, { id, ingredient, reason: '', withdrawn: true })],
      result: { ingredient: id }
    };
  }
});

export const useInstead = operation({
  name: 'use-instead',
  page: '/house/ingredients',
  summary:
    'The house is out of one: what is used instead changes every recipe and sauce that carries it, from now until it is back.',
  input: z.object({
    id: neededText(60).describe('what the house is out of, by id or name'),
    instead: shortText(60).describe('what is used instead; nothing where it is left out'),
    reason: shortText(200)
  }),
  subject: () => 'house',
  run({ house, now }, input) {
    const one = known(house, input.id, 'id');
    const instead = input.instead === '' ? null : known(house, input.instead, 'instead');
    if (instead && isCircle(house.ingredients, one.id, instead.id, now)) {
      throw new EmberError('ingredient.in-a-circle', { field: 'instead', seen: instead.name });
    }
    return {
      events: [
        draft('ingredient.swapped', 'house', now, { id: one.id, instead: instead?.id ?? '', reason: input.reason })
      ],
      result: { ingredient: one.id, instead: instead?.id ?? null }
    };
  }
});

export const ingredientIsBack = operation({
  name: 'ingredient-back',
  page: '/house/ingredients',
  summary: 'The house has it again: recipes and sauces are made as they are written.',
  input: z.object({ id: neededText(60) }),
  subject: () => 'house',
  run({ house, now }, { id }) {
    const one = known(house, id, 'id');
    if (!house.ingredients.swaps.some((swap) => swap.id === one.id && swap.to === null)) {
      throw notNow('id', 'ingredient-in-use', { name: one.name });
    }
    return {
      events: [draft('ingredient.back', 'house', now, { id: one.id })],
      result: { ingredient: one.id }
    };
  }
});
