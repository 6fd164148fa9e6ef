import { expect } from 'chai';
import fc from 'fast-check';
import { FLESH_GRAMS_PER_MM3, cutBlock, thicknessFor } from '../../src/lib/core/bench/slice/geometry.ts';
import { troubleOf } from '../trouble.ts';

const block = { length: 180, height: 30, width: 70 };

describe('slices from a block', () => {
  it('straight: 180 mm at 6 mm is 30 slices of 13.23 g, nothing left', () => {
    const plan = cutBlock(block, 90, 6);
    expect(plan.pieces).to.equal(30);
    expect(plan.gramsEach).to.be.closeTo(1.05e-3 * 6 * 70 * 30, 1e-9);
    expect(plan.offcutGrams).to.be.closeTo(0, 1e-9);
  });
  it('oblique at 30°, by hand: face 60 mm, advance 10 mm, lean 51.96 mm, 12 slices', () => {
    const plan = cutBlock(block, 30, 5);
    expect(plan.face).to.be.closeTo(60, 1e-9);
    expect(plan.advance).to.be.closeTo(10, 1e-9);
    expect(plan.pieces).to.equal(Math.floor((180 - 30 / Math.tan(Math.PI / 6)) / 10));
    expect(plan.pieces).to.equal(12);
    expect(plan.gramsEach).to.be.closeTo(1.05e-3 * 5 * 70 * 60, 1e-9);
  });
  it('a block too short for one whole slice gives none, and all of it is off-cut', () => {
    const plan = cutBlock({ length: 30, height: 30, width: 70 }, 20, 5);
    expect(plan.pieces).to.equal(0);
    expect(plan.offcutGrams).to.be.closeTo(plan.blockGrams, 1e-9);
  });

  const anyBlock = fc.record({
    length: fc.double({ min: 20, max: 400, noNaN: true }),
    height: fc.double({ min: 8, max: 60, noNaN: true }),
    width: fc.double({ min: 20, max: 120, noNaN: true })
  });
  const anyAngle = fc.double({ min: 15, max: 90, noNaN: true });
  const anyThickness = fc.double({ min: 1, max: 20, noNaN: true });
  it('slices and off-cut weigh what the block weighs', () => {
    fc.assert(
      fc.property(anyBlock, anyAngle, anyThickness, (of, angle, thickness) => {
        const plan = cutBlock(of, angle, thickness);
        expect(plan.pieces * plan.gramsEach + plan.offcutGrams).to.be.closeTo(plan.blockGrams, plan.blockGrams * 1e-6);
        expect(plan.blockGrams).to.be.closeTo(of.length * of.height * of.width * FLESH_GRAMS_PER_MM3, 1e-6);
      })
    );
  });
  it('the thickness for a weight gives that weight', () => {
    fc.assert(
      fc.property(anyBlock, anyAngle, fc.double({ min: 3, max: 15, noNaN: true }), (of, angle, grams) => {
        const perMm = (FLESH_GRAMS_PER_MM3 * of.width * of.height) / Math.sin((angle * Math.PI) / 180);
        fc.pre(grams > 0.51 * perMm && grams < Math.min(59, of.length) * perMm);
        const thickness = thicknessFor(of, angle, grams);
        expect(cutBlock(of, angle, thickness).gramsEach).to.be.closeTo(grams, 1e-9);
      })
    );
  });
  it('a flatter blade makes a longer face and never more slices', () => {
    fc.assert(
      fc.property(anyBlock, anyThickness, (of, thickness) => {
        const steep = cutBlock(of, 70, thickness);
        const flat = cutBlock(of, 35, thickness);
        expect(flat.face).to.be.greaterThan(steep.face);
        expect(flat.pieces).to.be.at.most(steep.pieces);
      })
    );
  });
  it('names the field that cannot be', () => {
    expect(troubleOf(() => cutBlock({ ...block, height: 0 }, 90, 5)).details.field).to.equal('height');
    expect(troubleOf(() => cutBlock(block, 5, 5)).details.field).to.equal('angle');
    expect(troubleOf(() => cutBlock(block, 90, Infinity)).code).to.equal('number.not-finite');
    expect(troubleOf(() => thicknessFor(block, 90, -1)).details.field).to.equal('pieceGrams');
    // 500 g off a block of 5 by 3 mm would be 31 m thick.
    const sliver = { length: 1000, width: 5, height: 3 };
    expect(troubleOf(() => thicknessFor(sliver, 90, 500)).details.max).to.be.within(0.94, 0.95);
  });
});
