import { scaleIntervalOf } from '../../core/bench/breakdown/mass.ts';
import { z } from 'zod';
import type { DishBody, DishLine } from '../../core/activity/book/dish-body.ts';
import { numeric } from '../../core/fields/field.ts';
import { toldTogether, type Told } from '../../core/ingredients/ingredient.ts';
import { toldOfLines } from '../../core/ingredients/kitchen.ts';
import type { HouseState } from '../../core/record/house.ts';
import type { Store } from '../store/store.ts';
import { bookOf, versionOf } from './book.ts';

/** A page nobody finds any more is asked after: it is never taken to hold nothing. */
const asked = (what: string): Told => ({ holds: [], mayHold: [], unsaid: [what] });

function toldOfLine(house: HouseState, line: DishLine, at: number, above: readonly string[]): Told {
  // The fish is told by the piece that is served.
  if (line.kind === 'fish') return { holds: [], mayHold: [], unsaid: [] };
  if (line.kind === 'ingredient') return toldOfLines(house.ingredients, [line], at);
  const page = bookOf(house, line.kind).find(({ id }) => id === line.page);
  if (!page) return asked(line.what);
  if (line.kind !== 'dish') return toldOfLines(house.ingredients, page.lines, at, page.allergens);
  if (above.includes(line.page)) return asked(line.what);
  return toldOfDish(house, page as DishBody, at, [...above, line.page]);
}

/** What a dish holds and may hold by its pages and ingredients, and of what nobody said; the fish on it comes to that. */
export const toldOfDish = (
  house: HouseState,
  dish: Pick<DishBody, 'lines' | 'allergens'>,
  at: number,
  above: readonly string[] = []
): Told =>
  toldTogether([
    // Out of a file a list may come that was typed elsewhere.
    toldOfLines(house.ingredients, [], at, dish.allergens),
    ...dish.lines.map((line) => toldOfLine(house, line, at, above))
  ]);

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
