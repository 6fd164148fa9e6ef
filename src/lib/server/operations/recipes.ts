import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { readRecipes, settingsOf } from '../../core/bench/cure/recipe.ts';
import { LINE_ROLES, recipeBody, type RecipeBody, type RecipeLine } from '../../core/activity/cure/recipe-body.ts';
import { SALT_KINDS, SCHOOL_IDS } from '../../core/activity/cure/lists.ts';
import type { HouseState } from '../../core/record/house.ts';
import { SHIPPED_RECIPES } from '../../core/bench/cure/recipes/index.ts';
import { recipeBook, recipeById } from '../facts/recipes.ts';
import type { HouseIngredients } from '../../core/ingredients/kitchen.ts';
import { readIngredient } from '../../core/ingredients/read.ts';
import { draft } from '../store/record.ts';
import {
  neededText,
  numeric,
  optionalNumeric,
  optionalQuantity,
  quantity,
  shortText,
  ticked
} from '../../core/fields/field.ts';
import { bookId } from '../input/book-id.ts';
import { operation } from './operation.ts';
import { readAs } from '../../core/fields/trouble.ts';

const percent = (text: string, field: string): number => {
  const match = /^(\d+(?:[.,]\d+)?)\s*%?$/.exec(text.trim());
  if (!match) throw new EmberError('form.value-unknown', { field, seen: text.slice(0, 60) });
  return Number(match[1]!.replace(',', '.'));
};

/**
 * One line of a recipe: "Dark bean paste; paste; 8; salt 12, sugar 10, water 46" or "Fine salt; salt; 2 %; fine". The amount is
 * per cent of the fish's weight, or parts.
 */
export function recipeLineFrom(
  text: string,
  number: number,
  basis: RecipeBody['basis'],
  ingredients: HouseIngredients
): RecipeLine {
  const field = `line ${number}`;
  const [what = '', role = '', amount = '', more = ''] = text.split(';').map((part) => part.trim());
  const known = LINE_ROLES.find((each) => each === role.toLowerCase());
  if (what === '' || !known) {
    throw new EmberError('form.value-unknown', { field: 'lines', seen: `${field}: ${(role || text).slice(0, 60)}` });
  }
  const value = percent(amount, 'lines');
  const line: RecipeLine = {
    ...readIngredient(what, ingredients, 'lines'),
    role: known,
    amount: basis === 'fish' ? value / 100 : value,
    saltKind: '',
    salt: 0,
    sugar: 0,
    water: 0
  };
  for (const part of more.split(',').filter((each) => each.trim() !== '')) {
    const kind = SALT_KINDS.find((each) => each === part.trim().toLowerCase());
    if (kind) line.saltKind = kind;
    else {
      const match = /^\s*(salt|sugar|water)\s+(\S.*)$/i.exec(part);
      if (!match) throw new EmberError('form.value-unknown', { field: 'lines', seen: `${field}: ${part.trim()}` });
      line[match[1]!.toLowerCase() as 'salt' | 'sugar' | 'water'] = percent(match[2]!, 'lines') / 100;
    }
  }
  return line;
}

const lines = (text: string) => text.split(/\r?\n/).filter((line) => line.trim() !== '');

/** The next version of a recipe, or its first. */
function nextVersion(house: HouseState, id: string): number {
  const known = recipeBook(house).find((recipe) => recipe.id === id);
  return known ? Math.max(...known.history.map(({ version }) => version)) + 1 : 1;
}

const checked = (body: unknown): RecipeBody => {
  const recipe = readAs(recipeBody, body);
  settingsOf(recipe);
  return recipe;
};

export const setRecipe = operation({
  name: 'set-recipe',
  page: '/cure/recipes',
  summary: 'Write a recipe, or a new version of one. What was is kept.',
  input: z.object({
    id: shortText(60).describe('of the recipe it is a new version of; nothing for a new one'),
    name: neededText(80),
    school: z.enum(SCHOOL_IDS),
    basis: z.enum(['fish', 'parts']).default('fish'),
    rate: optionalQuantity('concentration', { min: 0.001, max: 50 }).describe('parts: the whole mix, of the fish'),
    lines: z.string().max(4000).describe('one a line: what; role; amount; fine, or salt 12, sugar 10, water 46'),
    hours: quantity('duration', { min: 300, max: 240 * 3600 }),
    rest: optionalQuantity('duration', { min: 0, max: 240 * 3600 }),
    target: quantity('concentration', { min: 0.001, max: 0.2 }),
    startSalt: optionalQuantity('concentration', { min: 0, max: 0.25 }),
    changes: optionalNumeric(1, 12),
    presalt: optionalQuantity('concentration', { min: 0, max: 0.2 }),
    presaltMinutes: optionalNumeric(0, 1440),
    size: optionalQuantity('length', { min: 2, max: 150 }).describe('thickest point its hours are for'),
    faces: numeric(1, 2)
      .default(2)
      .transform((value): 1 | 2 => (value >= 2 ? 2 : 1)),
    steps: z.string().max(4000).default(''),
    goodFor: shortText(120),
    note: shortText(500),
    reason: shortText(200).describe('what is different in this version')
  }),
  subject: () => 'house',
  run({ house, now }, input) {
    const id = input.id === '' ? bookId(input.name) : recipeById(house, input.id).id;
    if (input.id === '' && recipeBook(house).some((recipe) => recipe.id === id && !recipe.withdrawn)) {
      throw new EmberError('form.value-unknown', { field: 'name', seen: input.name, taken: true });
    }
    const recipe = checked({
      name: input.name,
      school: input.school,
      basis: input.basis,
      rate: input.rate?.si ?? 1,
      lines: lines(input.lines).map((line, index) => recipeLineFrom(line, index + 1, input.basis, house.ingredients)),
      hours: input.hours.si / 3600,
      restHours: (input.rest?.si ?? 0) / 3600,
      target: input.target.si,
      startSalt: input.startSalt?.si ?? 0,
      changes: Math.round(input.changes ?? 1),
      presalt: input.presalt?.si ?? 0,
      presaltMinutes: input.presaltMinutes ?? 0,
      forMm: input.size?.si ?? null,
      forFaces: input.faces,
      steps: lines(input.steps),
      goodFor: input.goodFor,
      // Typed before ingredients were a list: told on, whatever the lines now say.
      allergens: input.id === '' ? [] : recipeById(house, input.id).allergens,
      note: input.note
    });
    const version = nextVersion(house, id);
    return {
      events: [draft('recipe.set', 'house', now, { id, version, recipe, reason: input.reason, withdrawn: false })],
      result: { recipe: id, version }
    };
  }
});

export const noteRecipe = operation({
  name: 'note-recipe',
  page: '/cure/recipes/[id]',
  summary: 'Keep a taste correction as a note on a recipe as it is.',
  input: z.object({ id: neededText(60), note: neededText(300) }),
  subject: () => 'house',
  run({ house, now }, { id, note }) {
    const { version } = recipeById(house, id);
    return { events: [draft('recipe.noted', 'house', now, { id, version, note })], result: { recipe: id, version } };
  }
});

export const withdrawRecipe = operation({
  name: 'withdraw-recipe',
  page: '/cure/recipes/[id]',
  summary: 'Take a recipe out of the book, or put one back. Its versions are kept.',
  input: z.object({ id: neededText(60), back: ticked, reason: shortText(200) }),
  subject: () => 'house',
  run({ house, now }, { id, back, reason }) {
    const { version: _, history, withdrawn } = recipeById(house, id);
    if (withdrawn !== back) {
      throw new EmberError('record.not-allowed-now', {
        field: 'recipe',
        seen: back ? 'in the book' : 'out of the book'
      });
    }
    const { recipe, version } = history.at(-1)!;
    return {
      events: [draft('recipe.set', 'house', now, { id, version, recipe, reason, withdrawn: !back })],
      result: { recipe: id, withdrawn: !back }
    };
  }
});

export const importRecipes = operation({
  name: 'import-recipes',
  page: '/cure/recipes',
  summary: 'Take in a file of recipes. One of a known name becomes its next version; what is alike is left alone.',
  input: z.object({ text: z.string().min(1).max(500_000).describe('JSON as it was exported') }),
  subject: () => 'house',
  run({ house, now }, { text }) {
    const recipes = readRecipes(text);
    const taken: string[] = [];
    const seen = new Set<string>();
    const events = recipes.flatMap((recipe) => {
      const shipped = SHIPPED_RECIPES.find(({ name }) => name === recipe.name);
      const id = shipped?.id ?? bookId(recipe.name);
      if (seen.has(id))
        throw new EmberError('recipe.unreadable', {
          field: 'text',
          because: { code: 'form.value-unknown', details: { field: 'name', seen: recipe.name, taken: true } }
        });
      seen.add(id);
      const known = recipeBook(house).find((each) => each.id === id);
      const current = known?.history.at(-1)?.recipe;
      if (known && !known.withdrawn && JSON.stringify(recipeBody.parse(current)) === JSON.stringify(recipe)) return [];
      taken.push(id);
      const version = nextVersion(house, id);
      return [draft('recipe.set', 'house', now, { id, version, recipe, reason: 'from a file', withdrawn: false })];
    });
    return { events, result: { taken, alike: recipes.length - taken.length } };
  }
});

export const setLearning = operation({
  name: 'set-learning',
  page: '/cure/learning',
  summary: 'Say whether forecasts of cures lean on what this house weighed and measured.',
  input: z.object({ cure: ticked }),
  subject: () => 'house',
  run({ now }, { cure }) {
    return { events: [draft('learning.set', 'house', now, { cure })], result: { cure } };
  }
});
