import { z } from 'zod';
import { query } from './query.ts';
import { catalogueOf } from '../../core/fish/house-species.ts';
import { LOOKALIKES } from '../../core/fish/lookalikes.ts';
import { FAO_AREAS } from '../../core/fish/fao-areas.ts';
import { speciesIndex } from '../../core/fish/search.ts';
import { SHEET_IDS, sheetIn } from '../../core/inspect/sheets.ts';
import { HOUSE_LIMITS } from '../../core/codes/profiles/house.ts';
import { profilesOf } from '../../core/codes/profiles/index.ts';
import { yieldFields, yieldHistory } from '../facts/yields.ts';
import { meaningFields, meaningsOf } from '../views/inspection.ts';
import { learningView } from '../facts/cure-learning.ts';
import type { PageShape } from '../../core/activity/book/bodies.ts';
import { FILE_LISTS, pagesAsFile, type PagesFile } from '../../core/bench/book/file.ts';
import { bookOf, pageOf } from '../facts/book.ts';
import { scaledFields, scaledRecipe } from '../views/cure.ts';
import { ingredientRows } from '../facts/ingredients.ts';
import { scaledDish, scaledDishFields } from '../facts/dishes.ts';
import { scaledSauce, scaledSauceFields } from '../facts/scaled-sauce.ts';

/** Pages of a shape as a file to take elsewhere. */
const pagesFile = <const Shape extends PageShape>(shape: Shape) => {
  const list = FILE_LISTS[shape];
  return query({
    name: `${list}-file` as `${(typeof FILE_LISTS)[Shape]}-file`,
    path: `${list}-file`,
    summary: `The ${list} of the book as a file to take elsewhere: all, or the one named.`,
    input: z.object({ id: z.string().max(60).optional() }),
    run(room, { id }) {
      const house = room.store.projections.currentHouse();
      const pages = id ? [pageOf(house, shape, id)] : bookOf(house, shape).filter(({ withdrawn }) => !withdrawn);
      return JSON.parse(pagesAsFile(shape, pages)) as PagesFile<Shape>;
    }
  });
};

/** What ships, and what the house keeps beside it. */
export const BOOKS = [
  query({
    name: 'species',
    path: 'species',
    summary: 'The catalogue, or what answers to a name.',
    input: z.object({ q: z.string().max(80).optional() }),
    run(room, input) {
      const catalogue = catalogueOf(room.store.projections.currentHouse().species);
      return { species: input.q ? speciesIndex(catalogue)(input.q) : catalogue };
    }
  }),
  query({
    name: 'profiles',
    path: 'profiles',
    summary: 'The rule books, number by number.',
    input: z.object({}),
    run: (room) => ({ profiles: profilesOf(room.store.projections.currentHouse().profiles), limits: HOUSE_LIMITS })
  }),
  query({
    name: 'sheets',
    path: 'sheets',
    summary: 'Inspection sheets as the house has them.',
    input: z.object({}),
    run: (room) => ({ sheets: SHEET_IDS.map((sheet) => sheetIn(room.store.projections.currentHouse().sheets, sheet)) })
  }),
  query({
    name: 'lookalikes',
    path: 'lookalikes',
    summary: 'Fish taken for one another, and the marks that tell them apart.',
    input: z.object({}),
    run: () => ({ lookalikes: LOOKALIKES })
  }),
  query({
    name: 'fao-areas',
    path: 'fao-areas',
    summary: 'FAO Major Fishing Areas.',
    input: z.object({}),
    run: () => ({ areas: FAO_AREAS })
  }),
  query({
    name: 'name-meanings',
    path: 'species-named',
    summary: 'Species that answer to a market name, and why it matters which.',
    example: { name: 'white tuna' },
    input: meaningFields,
    run: meaningsOf
  }),
  query({
    name: 'recipes',
    path: 'recipes',
    summary: 'The book of cures, brines and marinades, with every version and note.',
    input: z.object({}),
    run: (room) => ({ recipes: bookOf(room.store.projections.currentHouse(), 'recipe') })
  }),
  pagesFile('recipe'),
  pagesFile('sauce'),
  pagesFile('dish'),
  query({
    name: 'recipe-scaled',
    path: 'recipe-scaled',
    summary: 'A recipe in grams for pieces, or for so much fish, rounded to what the scale shows.',
    example: { recipe: 'weighed-at-two', mass: '1 kg' },
    input: scaledFields,
    run: scaledRecipe
  }),
  query({
    name: 'cure-learning',
    path: 'cures/learning',
    summary: 'Forecast against measurement of finished cures, and what was fitted to them.',
    input: z.object({}),
    run: (room) => learningView(room.store)
  }),
  query({
    name: 'sauces',
    path: 'sauces',
    summary: 'The book of sauces and dressings, with every version.',
    input: z.object({}),
    run: (room) => ({ sauces: bookOf(room.store.projections.currentHouse(), 'sauce') })
  }),
  query({
    name: 'dishes',
    path: 'dishes',
    summary: 'The book of dishes, with every version and note.',
    input: z.object({}),
    run: (room) => ({ dishes: bookOf(room.store.projections.currentHouse(), 'dish') })
  }),
  query({
    name: 'dish-scaled',
    path: 'dish-scaled',
    summary: 'A dish in grams for so many portions, and what is different from the version before.',
    example: { dish: 'char-and-lime', portions: '12' },
    input: scaledDishFields,
    run: (room, input) => scaledDish(room.store, input)
  }),
  query({
    name: 'sauce-scaled',
    path: 'sauce-scaled',
    summary: 'A sauce in grams for pieces, or for so much fish, portion by portion.',
    example: { sauce: 'harbour-lime', mass: '400 g' },
    input: scaledSauceFields,
    run: (room, input) => scaledSauce(room.store, input)
  }),
  query({
    name: 'ingredients',
    path: 'ingredients',
    summary: 'Ingredients: what each holds and may hold, and what is used instead of those the house is out of.',
    input: z.object({}),
    run: (room) => ({ ingredients: ingredientRows(room.store.projections.currentHouse(), room.clock.now()) })
  }),
  query({
    name: 'services',
    path: 'services',
    summary: 'Sittings to be ready for.',
    input: z.object({}),
    run: (room) => ({ services: Object.values(room.store.projections.currentHouse().services) })
  }),
  query({
    name: 'yield-history',
    path: 'yields',
    summary: 'What boards gave, by species, supplier, hand or part.',
    input: yieldFields,
    run: yieldHistory
  })
];
