import { NO_HOUSE_INGREDIENTS, type HouseIngredients } from '../../ingredients/kitchen.ts';
import type { BodyOf } from '../../record/events.ts';
import { houseSlice } from '../../record/house-slice.ts';
import { changeLast, goesOn, pieceSlice, type EventOf } from '../../record/slice.ts';
import { stamp, type Stamped } from '../../record/stamped.ts';

export interface AcidRun extends Stamped {
  readonly plan: BodyOf<'acid.started'>;
  /** Pieces cut open on the way, oldest first: the last one sets the pace. */
  readonly checks: readonly (Stamped & BodyOf<'acid.checked'>)[];
  /** Parts lifted out on the way. */
  readonly lifted: readonly (Stamped & BodyOf<'acid.lifted'>)[];
  readonly ended: (Stamped & BodyOf<'acid.ended'>) | null;
}
/** How an acid run is forecast now: as it was begun, or as the last piece cut open set it. */
export const acidNow = (
  run: AcidRun
): Pick<BodyOf<'acid.started'>, 'ready' | 'past' | 'never' | 'later'> & { readonly pace: number } => {
  const check = run.checks.at(-1);
  const { ready, past, never, later, set, subject } = run.plan;
  return check ?? { ready, past, never, later, pace: set.pace ?? subject.pace };
};

interface AcidKept {
  acids: AcidRun[];
  /** What it was dressed with at service. */
  dressings: (Stamped & BodyOf<'piece.dressed'>)[];
}
export const acidSlice = pieceSlice<AcidKept>({
  start: () => ({ acids: [], dressings: [] }),
  on: {
    'acid.started': ({ acids }, event, piece) => {
      acids.push({ ...stamp(event), plan: event.body, checks: [], lifted: [], ended: null });
      piece.comesBack(event, null);
      if (event.body.place !== '') piece.liesIn(event, event.body.place, 'bath');
    },
    'acid.checked': ({ acids }, event) =>
      changeLast(acids, (run) => ({ checks: [...run.checks, { ...stamp(event), ...event.body }] }), goesOn),
    'acid.lifted': ({ acids }, event) =>
      changeLast(acids, (run) => ({ lifted: [...run.lifted, { ...stamp(event), ...event.body }] }), goesOn),
    'acid.ended': ({ acids }, event, piece) => {
      changeLast(acids, () => ({ ended: { ...stamp(event), ...event.body } }));
      if (event.body.massAfter) piece.grams = event.body.massAfter.si;
      if (event.body.place !== '') piece.liesIn(event, event.body.place);
    },
    'piece.dressed': ({ dressings }, event) => void dressings.push({ ...stamp(event), ...event.body })
  }
});

/** What the house says of its ingredients, and uses instead of them. */
export interface IngredientBooks {
  readonly ingredients: HouseIngredients;
}
type SwapEvent = EventOf<'ingredient.swapped'> | EventOf<'ingredient.back'>;
const ended = ({ swaps }: HouseIngredients, event: SwapEvent) =>
  swaps.map((swap) => (swap.id === event.body.id && swap.to === null ? { ...swap, to: event.happened } : swap));

export const ingredientBooks = houseSlice<IngredientBooks>({
  start: { ingredients: NO_HOUSE_INGREDIENTS },
  on: {
    'ingredient.set': ({ ingredients }, event) => {
      const { id, ingredient, withdrawn } = event.body;
      // One that is withdrawn is still found by what was written with it.
      return { ingredients: { ...ingredients, own: { ...ingredients.own, [id]: { ...ingredient, id, withdrawn } } } };
    },
    'ingredient.swapped': ({ ingredients }, event) => {
      const { id, instead, reason } = event.body;
      const swap = { id, instead, from: event.happened, to: null, by: event.actor, reason };
      return { ingredients: { ...ingredients, swaps: [...ended(ingredients, event), swap] } };
    },
    'ingredient.back': ({ ingredients }, event) => ({
      ingredients: { ...ingredients, swaps: ended(ingredients, event) }
    })
  }
});
