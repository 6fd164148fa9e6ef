import { expect } from 'chai';
import { beginsWith } from '../../src/lib/core/bench/slice/recommend.ts';
import { sketchOf } from '../../src/lib/core/bench/slice/sketch.ts';
import { movedStyle, onCurve, SLICE_STYLES } from '../../src/lib/core/bench/slice/styles.ts';

type Point = readonly [number, number];
type Ends = readonly [Point, Point];
/** How far the second line lies from the first, square to it. */
function apart([[x0, y0], [x1, y1]]: Ends, [[u0, v0]]: Ends): number {
  const length = Math.hypot(x1 - x0, y1 - y0);
  return Math.abs((u0 - x0) * (y1 - y0) - (v0 - y0) * (x1 - x0)) / length;
}
const ends = (points: readonly Point[]): Ends => [points[0]!, points.at(-1)!];

describe('a drawing of a cut', () => {
  for (const style of Object.values(SLICE_STYLES)) {
    it(`shows ${style.id} at its angle, slices as thick as it begins, inside the block`, () => {
      const { lines, length, height, skin } = sketchOf(style);
      const through = lines.filter(({ isScore, points }) => !isScore && points[0]![1] < points.at(-1)![1]);
      expect(through.length).to.be.greaterThan(2);
      const [first, second] = through.map(({ points }) => ends(points));
      expect(apart(first!, second!)).to.be.closeTo(onCurve(style.thickness, 0.5), 1e-9);
      const [[x0, y0], [x1, y1]] = first!;
      const lean = (Math.atan2(y1 - y0, x1 - x0) * 180) / Math.PI;
      expect(lean).to.be.closeTo(onCurve(style.angle, 0.5), 1e-9);
      for (const [at, up] of lines.flatMap(({ points }) => points)) {
        expect(at).to.be.within(0, length);
        expect(up).to.be.within(0, height);
      }
      expect(skin).to.equal(style.skin === 'off' ? null : style.skin === 'on' ? 'above' : 'below');
    });
  }
  it('leaves the skin under a long bias, scores half-way down, rocks the rippled one, divides cubes twice', () => {
    expect(Math.min(...sketchOf(SLICE_STYLES.bias).lines.flatMap(({ points }) => points.map(([, up]) => up)))).to.equal(
      1
    );
    const scored = sketchOf(SLICE_STYLES.scored);
    expect(scored.lines.filter(({ isScore }) => isScore).map(({ points }) => points[0]![1])).to.satisfy(
      (ups: number[]) => ups.length > 2 && ups.every((up) => up === scored.height / 2)
    );
    expect(sketchOf(SLICE_STYLES.ripple).lines[0]!.points.length).to.be.greaterThan(10);
    const flat = sketchOf(SLICE_STYLES.cubes).lines.filter(({ points }) => points[0]![1] === points.at(-1)![1]);
    expect(flat).to.have.length(1);
  });
});

describe('a cut with its ranges moved', () => {
  const moves = { thinnest: null, thickest: 4, lightest: null, heaviest: 9, flattest: null, steepest: 40 };
  it('begins within them at any tightness, and never thicker in tighter flesh', () => {
    for (const style of Object.values(SLICE_STYLES).filter(({ cubes }) => !cubes)) {
      const own = movedStyle(style, moves);
      let before = Infinity;
      for (let tight = 0; tight <= 1; tight += 0.05) {
        const { thickness } = beginsWith(style.id, tight, { ...SLICE_STYLES, [style.id]: own });
        expect(thickness).to.be.at.most(Math.max(4, own.thicknesses[0]));
        expect(thickness).to.be.at.most(before);
        before = thickness;
      }
    }
  });
  it('leaves a range as it is where nobody moved it', () => {
    const nothing = {
      thinnest: null,
      thickest: null,
      lightest: null,
      heaviest: null,
      flattest: null,
      steepest: null
    };
    for (const style of Object.values(SLICE_STYLES)) expect(movedStyle(style, nothing)).to.deep.equal(style);
  });
});
