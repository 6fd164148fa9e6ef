import { z } from 'zod';
import { sliceSet, squareSet } from '../../src/lib/core/activity/slice/plan.ts';
import { platesOf } from '../../src/lib/core/bench/slice/plating.ts';
import { cutFor, lowerAs, squareAs } from '../../src/lib/core/bench/slice/settings.ts';

type Add = (what: string, value: number, budget: number, unit: string) => void;
type Times = (count: number, warm: number, work: (index: number) => void) => number[];

const MIXED = {
  style: 'oblique',
  by: 'weight',
  grams: '13 g',
  angle: '38',
  length: '380 mm',
  height: '36 mm',
  height2: '33 mm',
  height4: '21 mm',
  width: '95 mm',
  width1: '92 mm',
  width4: '61 mm',
  edge: '80',
  grain: '12',
  count: '12',
  style2: 'straight',
  grams2: '16 g',
  count2: '15',
  style3: 'cubes'
};
const SIDE = { length: '420 mm', height: '38 mm', height2: '34 mm', height4: '14 mm', width: '140 mm', edge: '30' };

/** What the slicing bench works out while something is dragged; in a worker there, here on the only thread. */
export function sliceRows(add: Add, times: Times, at: (sorted: number[], share: number) => number): void {
  const mixed = z.object(sliceSet).parse(MIXED);
  const cut = cutFor(mixed);
  add(
    `a mixed plan of ${cut.pieces} pieces in its best order, thin edge, turned blade, p95`,
    at(
      times(30, 3, () => void cutFor(mixed)),
      0.95
    ),
    200,
    'ms'
  );
  const side = z.object(squareSet).parse({ ...SIDE, skin: '1.5 mm', wantHeight: '22 mm', wantWidth: '45 mm' });
  const subject = { fat: 'mid' } as const;
  add(
    'a side squared, p95',
    at(
      times(30, 3, () => void squareAs({ set: side, subject })),
      0.95
    ),
    50,
    'ms'
  );
  add(
    'and the lower height that gives more, p95',
    at(
      times(15, 2, () => void lowerAs({ set: side, subject })),
      0.95
    ),
    400,
    'ms'
  );
  const plate = { arrangement: 'fan', plate: { si: 240, unit: 'mm', typed: '240 mm' }, each: 12 } as const;
  add(
    'its slices on a plate, p95',
    at(
      times(50, 5, () => void platesOf(cut, 'oblique', plate)),
      0.95
    ),
    5,
    'ms'
  );
}
