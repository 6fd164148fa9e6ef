import type { BodyOf } from '../../record/events.ts';
import { houseSlice, put } from '../../record/house-slice.ts';
import { changeLast, goesOn, pieceSlice } from '../../record/slice.ts';
import { stamp, type Stamped } from '../../record/stamped.ts';

/** Time on the board: what was put on it and, once it is closed, how it came out. */
export interface BoardRun extends Stamped {
  readonly plan: BodyOf<'board.opened'>;
  /** Weighed off it so far, g: parts that became pieces, waste, and drip. */
  readonly parts: number;
  /** Of the parts, what is a by-product; and every part by its name on the cut map, g. */
  readonly byProduct: number;
  readonly byPart: Readonly<Record<string, number>>;
  readonly waste: number;
  readonly drip: number;
  /** Loads that were put on the scale, g: each may be out by as much as the scale may. */
  readonly loads: readonly number[];
  readonly ended: (Stamped & BodyOf<'board.closed'>) | null;
}
const NOTHING_YET = { parts: 0, byProduct: 0, byPart: {}, waste: 0, drip: 0, loads: [], ended: null };

export const boardSlice = pieceSlice<{ boards: BoardRun[] }>({
  start: () => ({ boards: [] }),
  on: {
    'board.opened': ({ boards }, event, piece) => {
      boards.push({ ...stamp(event), plan: event.body, ...NOTHING_YET });
      piece.goesOut(event, event.body.core);
      piece.leavesPlace(event);
    },
    'piece.gave': ({ boards }, { body: { part, grade, grams } }) =>
      changeLast(
        boards,
        (board) => ({
          parts: board.parts + grams,
          loads: [...board.loads, grams],
          byPart: { ...board.byPart, [part]: (board.byPart[part] ?? 0) + grams },
          byProduct: board.byProduct + (grade === 'by-product' ? grams : 0)
        }),
        goesOn
      ),
    'piece.wasted': ({ boards }, { body: { what, mass } }) => {
      const kind = what === 'drip' ? 'drip' : 'waste';
      changeLast(boards, (board) => ({ [kind]: board[kind] + mass.si, loads: [...board.loads, mass.si] }), goesOn);
    },
    'board.closed': ({ boards }, event, piece) => {
      if (boards.at(-1)?.ended !== null) return;
      changeLast(boards, () => ({ ended: { ...stamp(event), ...event.body } }));
      piece.grams = event.body.remains;
      piece.leave('divided', event);
    }
  }
});

export type CutTemplate = Omit<BodyOf<'template.set'>, 'withdrawn'>;
/** What the house keeps of its knife work: divisions of a side, by-product values and portions. */
export interface KnifeBooks {
  readonly templates: Readonly<Record<string, CutTemplate>>;
  readonly kitchen: BodyOf<'kitchen.set'> | null;
}
export const knifeBooks = houseSlice<KnifeBooks>({
  start: { templates: {}, kitchen: null },
  on: {
    'template.set': ({ templates }, event) => {
      const { withdrawn, ...own } = event.body;
      return { templates: put(templates, own, withdrawn) };
    },
    'kitchen.set': (_, { body }) => ({ kitchen: body })
  }
});
