import type { App } from '../../src/lib/server/app.ts';
import { boardView } from '../../src/lib/server/views/board.ts';
import { lotView } from '../../src/lib/server/views/lot.ts';
import { yieldHistory } from '../../src/lib/server/facts/yields.ts';
import { CHAR, FEED, openTestHouse } from '../server/house.ts';

type Add = (what: string, value: number, budget: number, unit: string) => void;
type Times = (count: number, warm: number, work: (index: number) => void) => number[];

/** A lot of 5,000 pieces, and the yields of 20,000 boards. */
export function breakdownRows(add: Add, times: Times, at: (sorted: number[], share: number) => number): void {
  const house = openTestHouse();
  const app = { store: house.store, clock: house.clock } as unknown as App;
  const { lot, piece } = house.done('receive-lot', { ...CHAR, mass: '400 kg', pricePerKg: 20 }) as Record<
    string,
    string
  >;
  house.done('attach-evidence', { lot, ...FEED });
  const split = (id: string) => (house.done('split-piece', { piece: id, count: 60 }) as { pieces: string[] }).pieces;
  let leaves = split(piece!);
  while (house.store.projections.relations.countOf(lot!) < 5000) {
    const [next, ...others] = leaves;
    leaves = [...others, ...split(next!)];
  }
  const pages = Math.ceil(house.store.projections.relations.countOf(lot!) / 50);
  add(
    `a page of a lot of ${house.store.projections.relations.countOf(lot!)} pieces, with its cost and flow, p95`,
    at(
      times(40, 5, (index) => void lotView(app, { id: lot!, page: 1 + (index % pages) })),
      0.95
    ),
    60,
    'ms'
  );
  const last = leaves.at(-1)!;
  house.done('open-board', { piece: last });
  add(
    'the bench of one of its pieces, p95',
    at(
      times(30, 5, () => void boardView(app, last)),
      0.95
    ),
    60,
    'ms'
  );
  let weighed = 0;
  add(
    'a part weighed off one of its pieces, written and judged, p95',
    at(
      times(30, 3, () => {
        weighed++;
        house.done('take-part', { piece: last, part: 'trim', mass: '1 g', sure: true });
      }),
      0.95
    ),
    25,
    'ms'
  );
  const put = house.store.db.prepare(
    `INSERT INTO boards (seq, piece, lot, species, supplier, form, map, hand, closed, input, usable, by_product, waste, drip, gap)
     VALUES (?, ?, 'x', ?, ?, 'whole', 'round', ?, ?, 2000, ?, 200, 900, 10, 2)`
  );
  const part = house.store.db.prepare('INSERT INTO board_parts (board, part, grams) VALUES (?, ?, ?)');
  house.store.db.transaction(() => {
    for (let index = 0; index < 20_000; index++) {
      const seq = 1_000_000 + index;
      put.run(
        seq,
        `B${index}`,
        `kind-${index % 40}`,
        `supplier-${index % 12}`,
        `p${index % 6}`,
        index,
        700 + (index % 97)
      );
      part.run(seq, index % 2 ? 'fillet-first' : 'fillet-second', 350 + (index % 31));
    }
  })();
  const by = (['species', 'supplier', 'hand', 'part'] as const).map((key) =>
    at(
      times(12, 3, () => void yieldHistory(house, { by: key, species: '', form: '' })),
      0.95
    )
  );
  add('yield history over 20,000 boards, the slowest of four ways, p95', Math.max(...by), 100, 'ms');
  if (weighed === 0) throw new Error('nothing was weighed');
  house.close();
}
