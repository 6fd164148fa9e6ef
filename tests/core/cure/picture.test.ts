import { expect } from 'chai';
import { cure, type CureSettings } from '../../../src/lib/core/bench/cure/plan.ts';
import { frontOf, paint, saltAt, thicknessShare, toneAt } from '../../../src/lib/ui/cure/picture.ts';
import { SIDE } from './side.ts';

const side: CureSettings = { ...SIDE, sugar: 0.06 };
const result = cure(side);
const last = result.frames.length - 1;
const sweet = { picture: result.sweet, layers: result.layers, zones: result.zones };

describe('the picture of a cure', () => {
  it('is as thick as its zones, and the salt of it is theirs', () => {
    expect(thicknessShare(result.zones, 0)).to.be.closeTo(1, 1e-12);
    expect(thicknessShare(result.zones, 1)).to.be.closeTo(result.zones.at(-1)!.mm / result.zones[0]!.mm, 1e-12);
    // The middle of the second zone, in its innermost layer.
    const inside = saltAt(result, last, 1.5 / 12, 1);
    expect(inside).to.be.closeTo(result.zones[1]!.middlePercent, 0.02);
  });
  it('saltier outside than inside while it cures, and the sugar stays behind the salt', () => {
    for (const share of [0.05, 0.3, 0.6]) {
      for (let depth = 0.1; depth < 1; depth += 0.1) {
        expect(saltAt(result, last, share, depth)).to.be.at.most(saltAt(result, last, share, depth - 0.1) + 1e-6);
      }
    }
    const reach = (of: typeof sweet) => saltAt(of, 12, 0.05, 0.4) / saltAt(of, 12, 0.05, 0.02);
    expect(reach(sweet)).to.be.lessThan(reach(result));
    expect(cure({ ...side, sugar: 0 }).sweet).to.have.length(0);
  });
  it('the front stands where the wanted salt stands, deeper in the thin end by its share, and nowhere where all is past it', () => {
    const front = frontOf(result, 20, 1);
    const here = front.find(({ depth }) => depth !== null)!;
    expect(saltAt(result, 20, here.share, here.depth!)).to.be.closeTo(1, 0.05);
    const depths = front.flatMap(({ depth }) => (depth === null ? [] : [depth]));
    depths.forEach((depth, index) => index > 0 && expect(depth).to.be.at.least(depths[index - 1]! - 1e-3));
    expect(front.at(-1)!.depth).to.equal(null);
    expect(frontOf(result, 20, 90).every(({ depth }) => depth === null)).to.equal(true);
  });
  it('paints the piece and leaves the rest clear; both faces open, it is the same from above and below', () => {
    const [width, height] = [60, 40];
    const pixels = new Uint8ClampedArray(width * height * 4);
    paint(pixels, width, height, result, last, 1, 10);
    const alpha = (x: number, y: number) => pixels[(y * width + x) * 4 + 3];
    expect([alpha(0, 2), alpha(59, 2), alpha(59, 38)]).to.deep.equal([255, 0, 255]);
    const both = cure({ ...side, faces: 2 });
    paint(pixels, width, height, both, 10, 2, 10);
    const red = (x: number, y: number) => pixels[(y * width + x) * 4]!;
    expect(Math.abs(red(2, 1) - red(2, 38))).to.be.at.most(6);
    expect(red(2, 20)).to.be.greaterThan(red(2, 1));
  });
  it('the scale goes from pale to deep and no further', () => {
    expect(toneAt(0, 10)).to.equal('rgb(243 221 210)');
    expect(toneAt(10, 10)).to.equal('rgb(23 69 95)');
    expect(toneAt(25, 10)).to.equal(toneAt(10, 10));
    expect(toneAt(-1, 10)).to.equal(toneAt(0, 10));
  });
});
