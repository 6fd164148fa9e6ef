import { scaleIntervalOf } from '../../core/bench/breakdown/mass.ts';
import { z } from 'zod';
import type { DishBody, DishLine } from '../../core/activity/book/dish-body.ts';
import { numeric } from '../../core/fields/field.ts';
import { NOTHING_TOLD, toldTogether, type LinkedLine, type Told } from '../../core/ingredients/ingredient.ts';
import { linkTo, toldOfLines } from '../../core/ingredients/kitchen.ts';
import type { HouseState } from '../../core/record/house.ts';
import type { Store } from '../store/store.ts';
import { bookOf, versionOf } from './book.ts';
import { NO_TUB } from './rice.ts';

/** A page nobody finds any more is asked after: it is never taken to hold nothing. */
const asked = (what: string): Told => ({ holds: [], mayHold: [], unsaid: [what] });

/** What goes with a dish that is not on its page: the rice of the moment, and what the board and the oil carry. */
const SHARED = { board: 'Board, shared', oil: 'Frying oil, shared' } as const;

function toldOfLine(house: HouseState, line: DishLine, at: number, rice: Told, above: readonly string[]): Told {
  // The fish is told by the piece that is served.
  if (line.kind === 'fish') return NOTHING_TOLD;
  if (line.kind === 'rice') return rice;
  if (line.kind === 'ingredient' || line.kind === 'garnish') return toldOfLines(house.ingredients, [line], at);
  const page = bookOf(house, line.kind).find(({ id }) => id === line.page);
  if (!page) return asked(line.what);
  if (line.kind !== 'dish') return toldOfLines(house.ingredients, page.lines, at, page.allergens);
  if (above.includes(line.page)) return asked(line.what);
  return toldOfDish(house, page as DishBody, at, rice, [...above, line.page]);
}

/**
 * What a dish holds and may hold by its pages and ingredients, its rice, and what the board and the oil carry to it; and of what
 * nobody said. The fish on it comes to that.
 *
 * @param rice as the tubs of the moment have it
 */
export function toldOfDish(
  house: HouseState,
  dish: Pick<DishBody, 'lines' | 'allergens' | 'board' | 'oil'>,
  at: number,
  rice: Told = NO_TUB,
  above: readonly string[] = []
): Told {
  const shared = [...(dish.board === 'shared' ? [SHARED.board] : []), ...(dish.oil === 'shared' ? [SHARED.oil] : [])];
  return toldTogether([
    // Out of a file a list may come that was typed elsewhere.
    toldOfLines(
      house.ingredients,
      shared.map((what) => ({ what, ...linkTo(what) })),
      at,
      dish.allergens
    ),
    ...dish.lines.map((line) => toldOfLine(house, line, at, rice, above))
  ]);
}

/** All that is on a dish besides fish and rice, with what stands in the dishes and pages it is made of. */
export function linesOfDish(
  house: HouseState,
  dish: Pick<DishBody, 'lines'>,
  above: readonly string[] = []
): LinkedLine[] {
  return dish.lines.flatMap((line): readonly LinkedLine[] => {
    if (line.kind === 'fish' || line.kind === 'rice') return [];
    if (line.kind === 'ingredient' || line.kind === 'garnish') return [line];
    const page = bookOf(house, line.kind).find(({ id }) => id === line.page);
    if (!page || above.includes(line.page)) return [];
    return line.kind === 'dish' ? linesOfDish(house, page as DishBody, [...above, line.page]) : page.lines;
  });
}

/** Every dish that stands in a dish, and in those. */
export function dishesIn(
  house: HouseState,
  lines: readonly DishLine[],
  seen: ReadonlySet<string> = new Set()
): Set<string> {
  const all = new Set(seen);
  for (const { kind, page } of lines) {
    if (kind !== 'dish' || all.has(page)) continue;
    all.add(page);
    const inside = bookOf(house, 'dish').find(({ id }) => id === page);
    for (const each of dishesIn(house, inside?.lines ?? [], all)) all.add(each);
  }
  return all;
}

const USUAL_PORTIONS = 10;
export const scaledDishFields = z.object({
  dish: z.string().max(60),
  version: numeric(1, Number.MAX_SAFE_INTEGER, { whole: true }).optional(),
  portions: numeric(1, 2000, { whole: true, fallback: USUAL_PORTIONS })
});

/** A dish in grams for so many portions; and what is different from the version before. */
export function scaledDish(store: Store, input: z.output<typeof scaledDishFields>) {
  const house = store.projections.currentHouse();
  const { page, version, body, changes } = versionOf(house, 'dish', input.dish, input.version);
  const interval = scaleIntervalOf(store.projections.currentHouse());
  return {
    dish: page.id,
    version,
    body,
    portions: input.portions,
    interval,
    lines: body.lines.map(({ what, kind, page: of, grams }) => ({
      what,
      kind,
      page: of,
      each: grams,
      grams: grams * input.portions,
      weighed: Math.round((grams * input.portions) / interval) * interval
    })),
    changes
  };
}
