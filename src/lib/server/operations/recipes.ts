import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { settingsOf } from '../../core/bench/cure/recipe.ts';
import { LINE_ROLES, recipeBody, type RecipeBody, type RecipeLine } from '../../core/activity/cure/recipe-body.ts';
import { SALT_KINDS, SCHOOL_IDS } from '../../core/activity/cure/lists.ts';
import { pageOf } from '../facts/book.ts';
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
import { operation } from './operation.ts';
import { noteOn, pageFields, pageToWrite, takeIn, textLines, withdraw, written } from './pages.ts';
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
    note: shortText(500),
    ...pageFields
  }),
  subject: () => 'house',
  run(context, input) {
    const { house } = context;
    const id = pageToWrite(house, 'recipe', input);
    const page = checked({
      name: input.name,
      school: input.school,
      basis: input.basis,
      rate: input.rate?.si ?? 1,
      lines: textLines(input.lines).map((line, index) =>
        recipeLineFrom(line, index + 1, input.basis, house.ingredients)
      ),
      hours: input.hours.si / 3600,
      restHours: (input.rest?.si ?? 0) / 3600,
      target: input.target.si,
      startSalt: input.startSalt?.si ?? 0,
      changes: Math.round(input.changes ?? 1),
      presalt: input.presalt?.si ?? 0,
      presaltMinutes: input.presaltMinutes ?? 0,
      forMm: input.size?.si ?? null,
      forFaces: input.faces,
      steps: textLines(input.steps),
      goodFor: input.goodFor,
      // Typed before ingredients were a list: told on, whatever the lines now say.
      allergens: input.id === '' ? [] : pageOf(house, 'recipe', input.id).allergens,
      note: input.note
    });
    return written(context, 'recipe', { id, page, reason: input.reason });
  }
});

export const noteRecipe = noteOn('recipe');
export const withdrawRecipe = withdraw('recipe');
export const importRecipes = takeIn('recipe');

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
