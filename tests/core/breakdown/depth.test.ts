import { expect } from 'chai';
import fc from 'fast-check';
import { depthAt, evenDepth, fullProfile } from '../../../src/lib/core/bench/breakdown/depth.ts';

const wedge = {
  lengthMm: 300,
  points: [
    { at: 0, mm: 30 },
    { at: 300, mm: 10 }
  ]
};

describe('even depth', () => {
  it('an even slab needs nothing', () => {
    const even = evenDepth(
      {
        lengthMm: 200,
        points: [
          { at: 0, mm: 25 },
          { at: 200, mm: 25 }
        ]
      },
      500,
      25
    );
    expect(even).to.include({ most: 25, least: 25, timesLonger: 1, fold: null, cutOff: null });
    expect(even.trim.grams).to.equal(0);
  });
  it('shaving a wedge costs the triangle above the line', () => {
    // Above 20 mm: half the length, a triangle of 10 mm: 750 of 6,000 mm2.
    const { trim } = evenDepth(wedge, 800, 20);
    expect(trim.share).to.be.closeTo(0.125, 1e-3);
    expect(trim.grams).to.be.closeTo(100, 1);
    expect(trim.timesLonger).to.be.closeTo(4, 1e-9);
  });
  it('folding the thin end under makes a wedge more even and costs nothing', () => {
    const { fold, timesLonger } = evenDepth(wedge, 800, 30);
    expect(fold).to.not.equal(null);
    expect(fold!.timesLonger).to.be.lessThan(timesLonger);
    expect(fold!.atMm).to.be.within(150, 300);
    expect(fold!.atMm + fold!.underMm).to.be.closeTo(300, 1e-6);
  });
  it('finds the thin end whichever way the piece lies', () => {
    const turned = {
      lengthMm: 300,
      points: [
        { at: 0, mm: 10 },
        { at: 300, mm: 30 }
      ]
    };
    const [one, other] = [evenDepth(wedge, 800, 30), evenDepth(turned, 800, 30)];
    expect(other.fold!.atMm).to.be.closeTo(300 - one.fold!.atMm, 1e-6);
    expect(other.cutOff!.grams).to.be.closeTo(one.cutOff!.grams, 1e-6);
  });
  it('cutting the thin end off costs what lies beyond the line', () => {
    // Thinner than 18 mm from 180 mm on: (18 + 10) / 2 * 120 of 6,000 mm2.
    const { cutOff } = evenDepth(wedge, 800, 30);
    expect(cutOff!.atMm).to.be.closeTo(180, 2);
    expect(cutOff!.grams).to.be.closeTo((800 * 1680) / 6000, 4);
    expect(cutOff!.timesLonger).to.be.lessThan(3.2);
  });
  it('nothing it proposes is worse than what was there, and no grams appear', () => {
    const any = fc.array(fc.integer({ min: 4, max: 80 }), { minLength: 2, maxLength: 7 });
    fc.assert(
      fc.property(any, fc.integer({ min: 5, max: 80 }), fc.integer({ min: 60, max: 800 }), (depths, wanted, length) => {
        const points = depths.map((mm, index) => ({ at: (length * index) / (depths.length - 1), mm }));
        const even = evenDepth({ lengthMm: length, points }, 700, wanted);
        expect(even.timesLonger).to.be.at.least(1);
        expect(even.trim.timesLonger).to.be.at.most(even.timesLonger + 1e-9);
        expect(even.trim.grams).to.be.within(0, 700);
        if (even.fold) expect(even.fold.timesLonger).to.be.at.most(even.trim.timesLonger + 1e-9);
        if (even.cutOff) expect(even.cutOff.grams).to.be.within(0, 700);
      })
    );
  });
  it('reads between points and holds the ends', () => {
    const points = fullProfile({
      lengthMm: 100,
      points: [
        { at: 80, mm: 10 },
        { at: 20, mm: 30 }
      ]
    });
    expect(points.map(({ at }) => at)).to.deep.equal([0, 20, 80, 100]);
    expect(depthAt(points, 50)).to.equal(20);
    expect(depthAt(points, 0)).to.equal(30);
    expect(depthAt(points, 100)).to.equal(10);
  });
  it('says what is wrong with points that make no profile', () => {
    const code = (profile: Parameters<typeof fullProfile>[0]) => {
      try {
        fullProfile(profile);
      } catch (error) {
        return (error as { code: string }).code;
      }
      return 'none';
    };
    expect(code({ lengthMm: 100, points: [{ at: 0, mm: 10 }] })).to.equal('form.incomplete');
    expect(
      code({
        lengthMm: 100,
        points: [
          { at: 0, mm: 10 },
          { at: 120, mm: 10 }
        ]
      })
    ).to.equal('quantity.out-of-range');
    expect(
      code({
        lengthMm: 100,
        points: [
          { at: 0, mm: 0 },
          { at: 100, mm: 10 }
        ]
      })
    ).to.equal('quantity.out-of-range');
    expect(
      code({
        lengthMm: 100,
        points: [
          { at: 50, mm: 9 },
          { at: 50, mm: 10 }
        ]
      })
    ).to.equal('form.value-unknown');
    expect(code({ lengthMm: NaN, points: wedge.points })).to.not.equal('none');
  });
});
