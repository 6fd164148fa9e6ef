import { z } from 'zod';
import { ACTIVITIES } from './activities.ts';
import { query, type Query } from './query.ts';
import { EmberError } from '../core/errors.ts';
import { acidPlan, lookAt } from '../core/bench/acid/plan.ts';
import { cure } from '../core/bench/cure/plan.ts';
import { catalogueOf } from '../core/fish/house-species.ts';
import { LOOKALIKES } from '../core/fish/lookalikes.ts';
import { FAO_AREAS } from '../core/fish/fao-areas.ts';
import { speciesIndex } from '../core/fish/search.ts';
import { SHEET_IDS, sheetIn } from '../core/inspect/sheets.ts';
import { DIALS } from '../core/codes/profiles/house.ts';
import { profilesOf } from '../core/codes/profiles/index.ts';
import { readInstant } from '../core/measure/day.ts';
import { rackView } from './age/views.ts';
import { boardView } from './board-view.ts';
import { depthPreview } from './depth-preview.ts';
import { labelData } from './labels.ts';
import { labelWords } from '../words/labels.ts';
import { lotFields, lotView } from './lot-view.ts';
import { optionalNumeric, optionalQuantity } from './operations/fields.ts';
import { depthFields } from './operations/pieces.ts';
import { yieldFields, yieldHistory } from './yields.ts';
import { doorFields, doorVerdict } from './door.ts';
import { inspectionFields, inspectionPreview, meaningFields, meaningsOf } from './inspection.ts';
import { noteFields, readNote } from './note.ts';
import { freezePlan, forecastFreeze } from './operations/freeze.ts';
import { acidFields, acidSettingsFor } from './operations/acid.ts';
import { cutFor, slicePlan } from './operations/knife.ts';
import { curePlan, cureSettingsFor } from './cure/settings.ts';
import { learningView } from './cure/learning.ts';
import { recipeBook, recipeById } from './cure/recipes.ts';
import { scaledFields, scaledRecipe } from './cure/views.ts';
import { recipesAsFile } from '../core/bench/cure/recipe.ts';
import { ingredientRows } from './ingredients.ts';
import { roadFields, roadsAsked } from './roads.ts';
import { sauceBook, scaledSauce, scaledSauceFields } from './sauces.ts';
import { instantReader } from './operations/operation.ts';
import { compareView, pieceView } from './piece-view.ts';
import { excursionsIn } from './cold/excursions.ts';
import { coldPlaces, freezeRunView, freezingRecord, placeLogFields, placeLogView } from './cold/views.ts';
import { forecastThaw, thawPlan } from './operations/thaw.ts';
import { deliveryView, ledgerFilter, ledgerView, nowView, presentOf } from './views.ts';

const id = z.object({ id: z.string() });

const QUERIES_OF_FISH: readonly Query[] = [
  query({
    name: 'delivery',
    path: 'deliveries/{id}',
    summary: 'One delivery: its lots, what was decided and what holds each back.',
    input: id,
    run: (app, input) => deliveryView(app, input.id)
  }),
  query({
    name: 'lot-tree',
    path: 'lots/{id}/tree',
    summary: 'What became of a lot: a page of its pieces, its weights and money, and how both flow.',
    input: lotFields,
    run: (app, input) => lotView(app, { ...input, live: input.live === true || input.live === '1' })
  }),
  query({
    name: 'board',
    path: 'boards/{id}',
    summary: 'A piece on the board, or as it would be: cut map, balance, yield, cost, portions.',
    input: z.object({ id: z.string(), map: z.string().optional(), template: z.string().optional() }),
    run: (app, { id: piece, ...asked }) => boardView(app, piece, asked)
  }),
  query({
    name: 'label',
    path: 'pieces/{id}/label',
    summary: 'What stands on the label of a piece; its PDF is at /labels/sheet.pdf?piece=…&size=….',
    input: id,
    run(app, input) {
      const label = labelData(app, input.id);
      return { ...label, lines: labelWords(label, app.store.projections.currentHouse()) };
    }
  }),
  query({
    name: 'yield-history',
    path: 'yields',
    summary: 'What boards gave, by species, supplier, hand or part.',
    input: yieldFields,
    run: yieldHistory
  }),
  query({
    name: 'depth-preview',
    path: 'preview/depth',
    summary: 'What it takes to make a piece cure evenly: trim, fold or cut off, and what that costs.',
    input: depthFields.extend({ wanted: optionalQuantity('length', { min: 2, max: 400 }) }),
    run: depthPreview
  }),
  query({
    name: 'compare',
    path: 'pieces/{id}/compare',
    summary: 'One piece under every rule profile, side by side.',
    input: id,
    run: (app, input) => compareView(app, input.id)
  }),
  query({
    name: 'name-meanings',
    path: 'species-named',
    summary: 'Species that answer to a market name, and why it matters which.',
    input: meaningFields,
    run: meaningsOf
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
    name: 'sheets',
    path: 'sheets',
    summary: 'Inspection sheets as the house has them.',
    input: z.object({}),
    run: (app) => ({ sheets: SHEET_IDS.map((sheet) => sheetIn(app.store.projections.currentHouse().sheets, sheet)) })
  }),
  query({
    name: 'inspection-preview',
    path: 'preview/inspection',
    summary: 'What a sheet says so far, and what it would recommend.',
    input: inspectionFields,
    run: inspectionPreview
  }),
  query({
    name: 'note-preview',
    path: 'preview/delivery-note',
    summary: 'A delivery note read row by row. Nothing is written.',
    post: true,
    input: noteFields,
    run(app, input) {
      const { store, clock } = app;
      const house = store.projections.currentHouse();
      const now = clock.now();
      return readNote({ store, house, now, actor: 'nobody', instant: instantReader(house, now) }, input);
    }
  }),
  query({
    name: 'now',
    path: 'now',
    summary: 'What needs hands, and every window in the house.',
    input: z.object({}),
    run: nowView
  }),
  query({
    name: 'lots',
    path: 'lots',
    summary: 'Every lot received.',
    input: z.object({}),
    run: (app) => ({ lots: app.store.projections.lots() })
  }),
  query({
    name: 'lot',
    path: 'lots/{id}',
    summary: 'One lot.',
    input: id,
    run: (app, input) => app.store.projections.lot(input.id)
  }),
  query({
    name: 'piece',
    path: 'pieces/{id}',
    summary: 'One piece: state, verdict, history.',
    input: id,
    run: (app, input) => pieceView(app, input.id)
  }),
  query({
    name: 'verdict',
    path: 'pieces/{id}/verdict',
    summary: 'The verdict at a moment, by what was on record at another.',
    input: id.extend({ at: z.string().optional(), knownAt: z.string().optional(), profile: z.string().optional() }),
    run(app, input) {
      const { zone } = app.store.projections.currentHouse();
      const time = (text: string | undefined, field: string) => (text ? readInstant(text, zone, field) : undefined);
      return pieceView(app, input.id, time(input.at, 'at'), time(input.knownAt, 'knownAt'), input.profile).verdict;
    }
  }),
  query({
    name: 'door-verdict',
    path: 'preview/verdict',
    summary: 'The verdict on a lot still at the door.',
    input: doorFields,
    run: doorVerdict
  }),
  query({
    name: 'freeze-preview',
    path: 'preview/freeze',
    summary: 'When the core would arrive in a freezer.',
    input: freezePlan,
    run: (app, input) => forecastFreeze(app.store, app.store.projections.currentHouse(), input)
  }),
  query({
    name: 'thaw-preview',
    path: 'preview/thaw',
    summary: 'How long a thaw takes, and how warm its surface gets.',
    input: thawPlan,
    run(app, input) {
      const lot = input.piece ? app.store.projections.piece(input.piece).lot : null;
      return forecastThaw(app.store.projections.currentHouse(), lot, input);
    }
  }),
  query({
    name: 'cold-places',
    path: 'places',
    summary: 'The cold places: sensors, last readings, what lies in them, open excursions.',
    input: z.object({}),
    run: coldPlaces
  }),
  query({
    name: 'place-log',
    path: 'places/{id}/log',
    summary: 'The log of a place in bins; no extreme of it is lost.',
    input: placeLogFields,
    run: placeLogView
  }),
  query({
    name: 'excursions',
    path: 'excursions',
    summary: 'What the logs of the last weeks show and somebody has to answer.',
    input: z.object({ open: z.coerce.boolean().default(true) }),
    run: (app, { open }) => ({
      excursions: excursionsIn(app.store, presentOf(app)).filter(({ closed }) => !open || closed === null)
    })
  }),
  query({
    name: 'freeze-run',
    path: 'pieces/{id}/freeze',
    summary: 'The last freezer run of a piece: log, forecast, and what it proves by either clock.',
    input: id,
    run: (app, input) => ({ freeze: freezeRunView(app, input.id) })
  }),
  query({
    name: 'freezing-record',
    path: 'pieces/{id}/freezing-record',
    summary: 'The freezing record the rule book asks for, and until when it is kept.',
    input: id,
    run: (app, input) => freezingRecord(app, input.id)
  }),
  query({
    name: 'cure-preview',
    path: 'preview/cure',
    summary: 'A cure as it would run: grams by zone, salt through time, weight, and when.',
    input: curePlan,
    run(app, input) {
      const { picture, sweet, ...result } = cure(cureSettingsFor(app.store, input));
      return { ...result, picture: Array.from(picture), sweet: Array.from(sweet) };
    }
  }),
  query({
    name: 'recipes',
    path: 'recipes',
    summary: 'The book of cures, brines and marinades, with every version and note.',
    input: z.object({}),
    run: (app) => ({ recipes: recipeBook(app.store.projections.currentHouse()) })
  }),
  query({
    name: 'recipes-file',
    path: 'recipes-file',
    summary: 'Recipes as a file to take elsewhere: all, or the one named.',
    input: z.object({ id: z.string().max(60).optional() }),
    run(app, input) {
      const house = app.store.projections.currentHouse();
      const book = input.id ? [recipeById(house, input.id)] : recipeBook(house).filter(({ withdrawn }) => !withdrawn);
      return JSON.parse(recipesAsFile(book)) as unknown;
    }
  }),
  query({
    name: 'recipe-scaled',
    path: 'recipe-scaled',
    summary: 'A recipe in grams for pieces, or for so much fish, rounded to what the scale shows.',
    input: scaledFields,
    run: scaledRecipe
  }),
  query({
    name: 'cure-learning',
    path: 'cures/learning',
    summary: 'Forecast against measurement of finished cures, and what was fitted to them.',
    input: z.object({}),
    run: (app) => learningView(app.store)
  }),
  query({
    name: 'acid-preview',
    path: 'preview/acid',
    summary:
      'Fish in acid as it would go: rim and raw share through time, when it is as wanted, and when past its best.',
    input: acidFields.extend({ after: optionalNumeric(0, 7 * 1440).describe('min: what would I have then?') }),
    run(app, { after, ...input }) {
      const { course, ...plan } = acidPlan(acidSettingsFor(app.store, input));
      const then = after === null ? null : lookAt({ ...plan, course }, after * 60);
      return { ...plan, moments: course.moments, stalls: course.stalls, then };
    }
  }),
  query({
    name: 'sauces',
    path: 'sauces',
    summary: 'The book of sauces and dressings, with every version.',
    input: z.object({}),
    run: (app) => ({ sauces: sauceBook(app.store.projections.currentHouse()) })
  }),
  query({
    name: 'roads',
    path: 'pieces/{id}/roads',
    summary:
      'How to open a piece by when it is wanted: the cheapest ways with their dates, and the letter to the seller.',
    input: roadFields,
    run: roadsAsked
  }),
  query({
    name: 'ingredients',
    path: 'ingredients',
    summary: 'Ingredients: what each holds and may hold, and what is used instead of those the house is out of.',
    input: z.object({}),
    run: (app) => ({ ingredients: ingredientRows(app.store.projections.currentHouse(), app.clock.now()) })
  }),
  query({
    name: 'sauce-scaled',
    path: 'sauce-scaled',
    summary: 'A sauce in grams for pieces, or for so much fish, portion by portion.',
    input: scaledSauceFields,
    run: (app, input) => scaledSauce(app.store, input)
  }),
  query({
    name: 'ageing-rack',
    path: 'ageing',
    summary:
      'What hangs to age: weights, forecast, when to pull it and for which service, what stops it; and the cabinets.',
    input: z.object({}),
    run: rackView
  }),
  query({
    name: 'services',
    path: 'services',
    summary: 'Sittings to be ready for.',
    input: z.object({}),
    run: (app) => ({ services: Object.values(app.store.projections.currentHouse().services) })
  }),
  query({
    name: 'slice-preview',
    path: 'preview/slice',
    summary: 'Slices from a block.',
    input: slicePlan,
    run: (_, input) => cutFor(input)
  }),
  query({
    name: 'ledger',
    path: 'ledger',
    summary: 'Entries, newest first.',
    input: ledgerFilter,
    run: (app, input) => ({ entries: ledgerView(app, input) })
  }),
  query({
    name: 'species',
    path: 'species',
    summary: 'The catalogue, or what answers to a name.',
    input: z.object({ q: z.string().max(80).optional() }),
    run(app, input) {
      const catalogue = catalogueOf(app.store.projections.currentHouse().species);
      return { species: input.q ? speciesIndex(catalogue)(input.q) : catalogue };
    }
  }),
  query({
    name: 'profiles',
    path: 'profiles',
    summary: 'The rule profiles, number by number.',
    input: z.object({}),
    run: (app) => ({ profiles: profilesOf(app.store.projections.currentHouse().profiles), dials: DIALS })
  }),
  query({
    name: 'house',
    path: 'house',
    summary: 'How the house is set.',
    input: z.object({}),
    run: (app) => app.store.projections.currentHouse()
  }),
  query({
    name: 'people',
    path: 'people',
    summary: 'Who is in the house.',
    input: z.object({}),
    run: (app) => ({ people: app.store.people.list() })
  }),
  query({
    name: 'readings',
    path: 'readings/{sensor}/{day}',
    summary: 'The kept log of a sensor on one business day.',
    input: z.object({ sensor: z.string(), day: z.string() }),
    run: (app, input) => ({ readings: app.store.readings.day(input.sensor, input.day) })
  })
];

/** Everything that can be asked, of fish and of what else activities keep. */
export const QUERIES: readonly Query[] = [...QUERIES_OF_FISH, ...ACTIVITIES.flatMap(({ queries = [] }) => queries)];

/** Finds the query a path belongs to, with the parts in braces filled in. */
export function matchQuery(path: string, post = false): { query: Query; parts: Record<string, string> } {
  const asked = path.split('/');
  for (const candidate of QUERIES) {
    if ((candidate.post ?? false) !== post) continue;
    const pattern = candidate.path.split('/');
    if (pattern.length !== asked.length) continue;
    const parts: Record<string, string> = {};
    const fits = pattern.every((piece, index) => {
      if (!piece.startsWith('{')) return piece === asked[index];
      parts[piece.slice(1, -1)] = decodeURIComponent(asked[index]!);
      return true;
    });
    if (fits) return { query: candidate, parts };
  }
  throw new EmberError('request.unknown-path', { seen: path });
}
