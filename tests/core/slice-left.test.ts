import { expect } from 'chai';
import fc from 'fast-check';
import { z } from 'zod';
import { sliceSet } from '../../src/lib/core/activity/slice/plan.ts';
import { volumeOf } from '../../src/lib/core/bench/slice/block.ts';
import { blockLeft } from '../../src/lib/core/bench/slice/left.ts';
import { blockOf, cutFor, fleshDensity } from '../../src/lib/core/bench/slice/settings.ts';
import { runs } from '../runs.ts';

const plan = (more: Record<string, unknown>) =>
  z.object(sliceSet).parse({
    style: 'straight',
    by: 'thickness',
    thickness: '10 mm',
    angle: 90,
    length: '200 mm',
    height: '40 mm',
    height4: '20 mm',
    width: '60 mm',
    count: '5',
    ...more
  });

describe('what stays of a block', () => {
  it('begun at its head: five of 10 mm leave 150, as high as it was there', () => {
    const left = blockLeft(cutFor(plan({})))!;
    // It falls by 20 mm over 200: at 50 it is 35 high.
    expect(left).to.deep.include({ length: 150, end: 'head', width: 60 });
    expect(left.height).to.be.closeTo(35, 1e-9);
    expect(left.slant).to.be.closeTo(0, 1e-9);
  });
  it('begun at its tail: its tail end moves, and is higher than it was', () => {
    const left = blockLeft(cutFor(plan({ first: 'tail' })))!;
    expect(left).to.deep.include({ length: 150, end: 'tail', far: { height: 40, width: 60 } });
    expect(left.height).to.be.closeTo(25, 1e-9);
  });
  it('under a leaning blade its face slants; where nothing was cut nothing is left over', () => {
    const leaning = blockLeft(cutFor(plan({ style: 'oblique', angle: 45, thickness: '6 mm' })))!;
    expect(leaning.slant).to.be.closeTo(leaning.height, 1e-9);
    expect(blockLeft(cutFor(plan({ length: '8 mm' })))).to.equal(null);
  });
  it('by law: slices and what stays are the whole block, from either end', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 60 }),
        fc.integer({ min: 20, max: 60 }),
        fc.integer({ min: 1, max: 8 }),
        fc.constantFrom('head', 'tail'),
        (height, height4, count, first) => {
          const set = plan({ height: `${height} mm`, height4: `${height4} mm`, count: String(count), first });
          const cut = cutFor(set);
          const left = blockLeft(cut)!;
          const [head, tail] = left.end === 'head' ? [left.height, height4] : [height, left.height];
          const rest = plan({ length: `${left.length} mm`, height: `${head} mm`, height4: `${tail} mm` });
          const grams = volumeOf(blockOf(rest)) * fleshDensity('mid');
          expect(cut.grams + grams).to.be.closeTo(cut.blockGrams, cut.blockGrams * 1e-6);
        }
      ),
      { ...runs(300), endOnFailure: true }
    );
  });
});
