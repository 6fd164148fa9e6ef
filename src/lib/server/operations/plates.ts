import { EmberError } from '../../core/errors.ts';
import { plateFrom } from '../../core/service/pass.ts';
import type { BookPage } from '../facts/book.ts';
import { toldOfDish } from '../facts/dishes.ts';
import { hasRice, otherThan, stockFor, stockOf, wantsOf } from '../facts/pass.ts';
import { riceNow } from '../facts/rice.ts';
import { insteadName, insteadWords, PLATE_WORDS } from '../../words/plates.ts';
import { draft, type Draft } from '../store/record.ts';
import { notNow } from './not-now.ts';
import type { OperationContext } from './operation.ts';
import { computedMass } from './pieces.ts';
import { servedEntry } from './serve.ts';

/** How plates go out. */
export interface PlatesAsked {
  readonly plates: number;
  /** With another fish, where the first is gone, or the card is not true of what is left. */
  readonly instead: boolean;
  readonly susceptible: boolean;
  readonly at: number;
}
export interface PlatesOut {
  readonly events: readonly Draft[];
  readonly pieces: readonly string[];
  readonly grams: number;
}

/** What all plates take of one piece, under the name of the dish as those plates are. */
interface Taken {
  readonly piece: string;
  readonly name: string;
  readonly grams: number;
  readonly plates: number;
}

/**
 * The entries of plates of a dish: from the pieces that have to go first, each judged at its moment. All of them or none.
 *
 * @param gone what other plates of the same touch take already, g by piece; what these take comes to that
 * @throws EmberError `record.not-allowed-now`, `dish.not-for-the-pass`, `dish.off`, `dish.short`, `dish.instead`, and as `servedEntry`
 */
export function platesOut(
  context: OperationContext,
  dish: BookPage<'dish'>,
  asked: PlatesAsked,
  gone = new Map<string, number>()
): PlatesOut {
  const { house, store } = context;
  const { at, susceptible } = asked;
  const wants = wantsOf(dish, house);
  if (dish.withdrawn) throw notNow('dish', 'out-of-the-book');
  if (!wants || dish.route === '') throw new EmberError('dish.not-for-the-pass', { field: 'dish', seen: dish.name });
  if ((house.off[dish.id] ?? 0) > at) throw new EmberError('dish.off', { field: 'dish', seen: dish.name });
  const { route } = dish;
  const fish = dish.lines.filter(({ kind }) => kind === 'fish');
  const rice = riceNow(store, house, at);
  if (hasRice(dish) && rice.until === null) {
    throw new EmberError('dish.short', { field: 'dish', seen: PLATE_WORDS.rice });
  }
  const besides = toldOfDish(house, dish, at, rice.told);
  const stock = stockFor(store, dish, stockOf(store, route, at), at);
  const blocks = new Set(stock.filter(({ isBlock }) => isBlock).map(({ id }) => id));
  const left = () => stock.map((each) => ({ ...each, grams: Math.max(0, each.grams - (gone.get(each.id) ?? 0)) }));
  const taken = new Map<string, Taken>();
  for (let plate = 0; plate < asked.plates; plate++) {
    const from = plateFrom(wants, left());
    if (from.short !== null) throw new EmberError('dish.short', { field: 'dish', seen: fish[from.short]!.what });
    const other = from.instead ? otherThan({ store, now: at }, dish, from, wants) : null;
    if (other && !asked.instead) throw new EmberError('dish.instead', { field: 'dish', seen: insteadWords(other) });
    const name = other ? insteadName(dish.name, other) : dish.name;
    const seen = new Set<string>();
    for (const { piece, grams } of from.shares) {
      const key = `${piece} ${name}`;
      const before = taken.get(key) ?? { grams: 0, plates: 0 };
      // Two lines of one plate may be of one piece: it is cut for that plate once.
      taken.set(key, { piece, name, grams: before.grams + grams, plates: before.plates + (seen.has(key) ? 0 : 1) });
      seen.add(key);
      gone.set(piece, (gone.get(piece) ?? 0) + grams);
    }
  }
  const all = [...taken.values()];
  // A block is cut to order, and goes back; what was sliced before, or stands on a tray, has its time on record.
  const ofAll = all.map((each) => ({
    ...each,
    benched:
      blocks.has(each.piece) && dish.benchSeconds > 0
        ? draft('piece.benched', `piece:${each.piece}`, at, {
            ms: 1000 * dish.benchSeconds * each.plates,
            dish: each.name
          })
        : undefined
  }));
  const benched = ofAll.flatMap(({ benched: entry }) => entry ?? []);
  const served = ofAll.map(({ piece, name, grams, benched: entry }) =>
    servedEntry(context, {
      piece,
      route,
      mass: computedMass(grams),
      dish: name,
      besides,
      susceptible,
      at,
      benched: entry
    })
  );
  return {
    events: [...benched, ...served],
    pieces: [...new Set(all.map(({ piece }) => piece))],
    grams: all.reduce((sum, { grams }) => sum + grams, 0)
  };
}
