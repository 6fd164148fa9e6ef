import { expect } from 'chai';
import { inflateSync } from 'node:zlib';
import { z } from 'zod';
import { sliceSet } from '../../src/lib/core/activity/slice/plan.ts';
import { cutFor } from '../../src/lib/core/bench/slice/settings.ts';
import { CHECK_BAR, printedRuler, STRIP } from '../../src/lib/server/labels/ruler.ts';
import { rulerOf } from '../../src/lib/server/views/ruler.ts';
import { sliceSubject } from '../../src/lib/server/facts/slicing.ts';
import { CHAR, openTestHouse } from './house.ts';

const MM = 72 / 25.4;
const SET = {
  style: 'oblique',
  by: 'weight',
  grams: '10 g',
  angle: 40,
  length: '300 mm',
  height: '30 mm',
  height4: '22 mm',
  width: '70 mm'
};
/** A ruler for a piece of char, and the cut it is of. */
function rulerHouse(more: object = {}) {
  const house = openTestHouse();
  const { piece } = house.done('receive-lot', { ...CHAR, mass: '700 g' }) as { piece: string };
  const set = z.object(sliceSet).parse({ ...SET, ...more });
  const { lot } = house.store.projections.piece(piece);
  const cut = cutFor(set, sliceSubject(lot, house.store.projections.currentHouse()));
  const order = rulerOf(house, piece, set);
  house.close();
  return { order, cut };
}
/** Every straight stroke drawn in a PDF, mm: from its packed streams, as they are written ("x y m x y l"). */
function strokesOf(pdf: Buffer): { left: number; right: number; tall: number }[] {
  const strokes: { left: number; right: number; tall: number }[] = [];
  for (let at = pdf.indexOf('stream\n'); at >= 0; at = pdf.indexOf('stream\n', at + 7)) {
    if (pdf.subarray(at - 3, at).toString() === 'end') continue;
    let text: string;
    try {
      text = inflateSync(pdf.subarray(at + 7)).toString('latin1');
    } catch {
      // A font, or a picture that is packed otherwise.
      continue;
    }
    for (const [, ...found] of text.matchAll(/([\d.-]+) ([\d.-]+) m\s+([\d.-]+) ([\d.-]+) l/g)) {
      const [x1, y1, x2, y2] = found.map((number) => Number(number) / MM) as [number, number, number, number];
      strokes.push({ left: Math.min(x1, x2), right: Math.max(x1, x2), tall: Math.abs(y1 - y2) });
    }
  }
  return strokes;
}

describe('a paper ruler at true size', () => {
  it('says where the blade stands for each slice, from the end that is cut first', () => {
    const { order, cut } = rulerHouse();
    expect(order.marks.slice(1).map(({ at }) => at)).to.deep.equal(cut.slices.map(({ to }) => to.at));
    expect(order.marks.at(-1)!.label).to.equal(String(cut.pieces));
    expect(order.words.lines[1]).to.match(/^Nought is the head end/);
    expect(rulerHouse({ first: 'tail' }).order.words.lines[1]).to.match(/^Nought is the tail end/);
  });
  it('measured in the PDF: its bar is 100 mm, its millimetres are, and each blade is within a tenth of one', async () => {
    const { order } = rulerHouse();
    const strokes = strokesOf(await printedRuler(order));
    const bar = strokes.find(({ left, right }) => Math.abs(right - left - CHECK_BAR) < 0.01);
    expect(bar, 'the bar').to.not.equal(undefined);
    const edge = strokes.find(({ left, right }) => Math.abs(right - left - STRIP) < 0.01)!;
    // Ticks of ten are 5 mm tall: 27 of them on the first strip, ten millimetres apart.
    const tens = strokes.filter(({ left, right, tall }) => right - left < 0.01 && Math.abs(tall - 5) < 0.01);
    const first = tens.map(({ left }) => left - edge.left).slice(0, STRIP / 10 + 1);
    first.forEach((at, index) => expect(at).to.be.closeTo(index * 10, 0.01));
    // Blades are 17 mm tall.
    const blades = strokes.filter(({ tall }) => Math.abs(tall - 17) < 0.01).map(({ left }) => left - edge.left);
    const wanted = order.marks.filter(({ at }) => at <= STRIP).map(({ at }) => at);
    expect(blades.length).to.be.at.least(wanted.length);
    wanted.forEach((at, index) => expect(blades[index], `blade ${index}`).to.be.closeTo(at, 0.1));
  });
  it('a block longer than the paper goes on on a second strip, and its marks with it', () => {
    const { order } = rulerHouse();
    expect(order.length).to.equal(300);
    expect(order.marks.some(({ at }) => at > STRIP)).to.equal(true);
  });
  it('across the grain the blades are turned as the grain runs', async () => {
    const { order } = rulerHouse({ grain: '20' });
    expect(order.marks.every(({ skew }) => skew === 20)).to.equal(true);
    const strokes = strokesOf(await printedRuler(order));
    const leaning = strokes.filter(({ tall, left, right }) => Math.abs(tall - 17) < 0.01 && right - left > 1);
    expect(leaning[0]!.right - leaning[0]!.left).to.be.closeTo(17 * Math.tan((20 * Math.PI) / 180), 0.01);
  });
});
