import { expect } from 'chai';
import { planOf } from '../../src/lib/server/facts/slicing.ts';
import { depthKnown } from '../../src/lib/server/facts/knife-bench.ts';
import { handWeeks } from '../../src/lib/server/facts/hands.ts';
import { knifeLately, knivesNow } from '../../src/lib/server/facts/knives.ts';
import { nowView } from '../../src/lib/server/views/now.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { CHAR, FEED, HOUR, NOON, openTestHouse, type TestHouse } from './house.ts';

const DAY = 24 * HOUR;
const PLAN = {
  style: 'straight',
  by: 'thickness',
  thickness: '6 mm',
  angle: 90,
  length: '150 mm',
  height: '28 mm',
  width: '80 mm',
  place: 'Drawer'
};

/** A house with two blocks of char in a drawer, and two knives. */
function knifeHouse() {
  const house = openTestHouse();
  house.done('set-place', { name: 'Drawer', kind: 'drawer' });
  const { lot, piece } = house.done('receive-lot', CHAR) as { lot: string; piece: string };
  house.done('attach-evidence', { lot, ...FEED });
  house.done('move-piece', { piece, place: 'Drawer' });
  const block = () => String(house.done('divide-piece', { piece, name: 'Char', form: 'block', mass: '360 g' }).piece);
  house.done('set-knife', { name: 'Long slicer', every: 60 });
  house.done('set-knife', { name: 'Short one' });
  house.clock.moveTo(NOON + HOUR, true);
  return { house, block };
}
const knife = (house: TestHouse, id = 'long-slicer') => knivesNow(house).find((each) => each.id === id)!;

describe('knives of the house', () => {
  it('count the slices cut with them, want their edge after so many, and begin anew when they have it', () => {
    const { house, block } = knifeHouse();
    expect(knife(house)).to.include({ strokes: 0, isDue: false, sharpened: null });
    // 150 mm at 6 mm each: 25 strokes.
    for (const times of [1, 2, 3]) {
      house.done('record-slice', { ...PLAN, piece: block(), knife: 'long-slicer' });
      expect(knife(house)).to.include({ strokes: 25 * times, isDue: times === 3 });
    }
    expect(knife(house, 'short-one')).to.include({ strokes: 0, every: 600 });
    house.clock.moveTo(NOON + 2 * HOUR, true);
    house.done('sharpen-knife', { knife: 'long-slicer', how: 'stone', note: 'both stones' });
    expect(knife(house)).to.include({ strokes: 0, isDue: false });
    expect(knife(house).sharpened).to.include({ how: 'stone', note: 'both stones', by: 'p1', at: NOON + 2 * HOUR });
    expect(verify(house.store, NOON + 2 * HOUR).trouble).to.equal(null);
    house.close();
  });
  it('strokes are made, though the slicing is put back; a squaring costs four a block', () => {
    const { house, block } = knifeHouse();
    const { piece } = house.done('record-slice', { ...PLAN, piece: block(), knife: 'long-slicer' });
    house.done('put-slices-back', { piece });
    expect(knife(house).strokes).to.equal(25);
    const side = {
      length: '150 mm',
      height: '28 mm',
      width: '80 mm',
      edge: '100',
      wantHeight: '24 mm',
      wantWidth: '35 mm'
    };
    const { blocks } = house.done('square-piece', { ...side, piece: block(), knife: 'long-slicer' });
    expect(blocks).to.have.length(2);
    expect(knife(house).strokes).to.equal(33);
    house.close();
  });
  it('the one that somebody cut with last is at hand; one that was taken out is not', () => {
    const { house, block } = knifeHouse();
    expect(knifeLately(house, 'p1')).to.equal('');
    house.done('record-slice', { ...PLAN, piece: block(), knife: 'short-one' });
    house.done('record-slice', { ...PLAN, piece: block() });
    expect(knifeLately(house, 'p1')).to.equal('short-one');
    expect(knifeLately(house, 'p2')).to.equal('');
    house.done('set-knife', { name: 'Short one', withdraw: true });
    expect(knifeLately(house, 'p1')).to.equal('');
    house.close();
  });
  it('one nobody named is none, and a number of strokes has its bounds', () => {
    const { house, block } = knifeHouse();
    expect(house.act('record-slice', { ...PLAN, piece: block(), knife: 'cleaver' })).to.include({
      ok: false,
      code: 'record.not-found'
    });
    expect(house.act('sharpen-knife', { knife: 'cleaver' })).to.include({ code: 'record.not-found' });
    expect(house.act('set-knife', { name: 'Cleaver', withdraw: true })).to.include({ code: 'record.not-found' });
    expect(house.act('set-knife', { name: 'Cleaver', every: 3 })).to.include({ code: 'quantity.out-of-range' });
    house.close();
  });
});

describe('hands over the weeks', () => {
  it('a mark a weighing for whoever cut, the oldest first; what is older than twelve weeks is gone', () => {
    const { house, block } = knifeHouse();
    const weigh = (weights: string) => {
      const { piece } = house.done('record-slice', { ...PLAN, by: 'weight', grams: '14 g', piece: block() });
      house.done('weigh-slices', { piece, weights });
    };
    weigh('14 14 14 14');
    house.clock.moveTo(NOON + 2 * HOUR, true);
    weigh('15.4 14 15.4 19');
    const { hands, from, to } = handWeeks(house);
    expect(to - from).to.equal(84 * DAY);
    expect(hands.map(({ person }) => person)).to.deep.equal(['p1']);
    const [first, second] = hands[0]!.marks;
    expect(first).to.deep.include({
      at: NOON + HOUR,
      style: 'straight',
      slices: 4,
      bias: 0,
      spread: 0,
      inTolerance: 1
    });
    // 63.8 g of 56 wanted; three of four within a tenth.
    expect(second!.bias).to.be.closeTo(63.8 / 56 - 1, 1e-9);
    expect(second!.inTolerance).to.equal(0.75);
    house.clock.moveTo(NOON + 85 * DAY, true);
    expect(handWeeks(house).hands).to.deep.equal([]);
    house.close();
  });
});

describe('how a house has its cuts', () => {
  it('stands in its book, moves what a block gives, and is taken back', () => {
    const { house, block } = knifeHouse();
    const piece = block();
    const plan = { ...PLAN, by: 'weight', grams: '18 g', piece };
    house.done('set-style', { style: 'straight', thickest: '6 mm', note: 'thin here' });
    expect(house.act('record-slice', plan)).to.include({ ok: false, code: 'slice.none' });
    house.done('set-style', { style: 'straight', withdraw: true });
    expect(house.store.projections.currentHouse().styles).to.deep.equal({});
    expect(house.done('record-slice', plan).pieces).to.be.greaterThan(0);
    expect(house.act('set-style', { style: 'straight', withdraw: true })).to.include({ code: 'record.not-found' });
    house.close();
  });
  it('an end past the other, and cubes under a leaning blade, are refused by their field', () => {
    const { house } = knifeHouse();
    expect(house.act('set-style', { style: 'straight', thinnest: '9 mm', thickest: '6 mm' })).to.include({
      ok: false,
      code: 'quantity.out-of-range'
    });
    expect(house.act('set-style', { style: 'cubes', flattest: '45' })).to.include({ code: 'quantity.out-of-range' });
    expect(house.act('set-style', { style: 'oblique', thinnest: '0.1 mm' })).to.include({ ok: false });
    house.close();
  });
});

describe('a cut of the house’s own', () => {
  const SUNDAY = { name: 'Sunday cut', like: 'straight', thickest: '7 mm', heaviest: '9 g', note: 'three a plate' };
  it('cuts by its own ranges, names what comes of it, and is judged by them', () => {
    const { house, block } = knifeHouse();
    const piece = block();
    house.done('set-cut', SUNDAY);
    const plan = { ...PLAN, by: 'weight', grams: '18 g', piece };
    expect(house.act('record-slice', { ...plan, cut: 'sunday-cut' })).to.include({ ok: false, code: 'slice.none' });
    const cut = house.done('record-slice', { ...plan, grams: '7 g', cut: 'sunday-cut' });
    expect(house.store.projections.piece(String(cut.piece)).state.made.name).to.match(/, Sunday cut$/);
    house.close();
  });
  it('is like what it is said to be like, and one that is not in the book cuts nothing', () => {
    const { house, block } = knifeHouse();
    const piece = block();
    const plan = { ...PLAN, by: 'weight', grams: '7 g', piece };
    expect(house.act('record-slice', { ...plan, cut: 'sunday-cut' })).to.include({
      ok: false,
      code: 'form.value-unknown'
    });
    house.done('set-cut', { ...SUNDAY, like: 'oblique' });
    expect(house.act('record-slice', { ...plan, cut: 'sunday-cut' })).to.include({ code: 'form.value-unknown' });
    expect(house.act('set-cut', { ...SUNDAY, name: 'Other', withdraw: true })).to.include({ code: 'record.not-found' });
    house.done('set-cut', { ...SUNDAY, withdraw: true });
    expect(house.store.projections.currentHouse().cuts).to.deep.equal({});
    house.close();
  });
  it('what was cut by it is looked at as usual once it is out of the book', () => {
    const { house, block } = knifeHouse();
    house.done('set-cut', SUNDAY);
    const made = house.done('record-slice', { ...PLAN, by: 'weight', grams: '7 g', piece: block(), cut: 'sunday-cut' });
    const { state } = house.store.projections.piece(String(made.piece));
    expect(planOf(house, state)?.set.cut).to.equal('sunday-cut');
    house.done('set-cut', { ...SUNDAY, withdraw: true });
    expect(planOf(house, state)?.set.cut).to.equal('');
    house.close();
  });
});

describe('a knife that wants its edge', () => {
  it('is a row of what hands have to do, until it has it', () => {
    const { house, block } = knifeHouse();
    const rows = () => nowView(house).tasks.filter(({ code }) => code === 'knife-due');
    const cut = () => house.done('record-slice', { ...PLAN, piece: block(), knife: 'long-slicer' });
    cut();
    cut();
    expect(rows()).to.deep.equal([]);
    cut();
    expect(rows().map(({ name, station, danger, seen }) => ({ name, station, danger, seen }))).to.deep.equal([
      { name: 'Long slicer', station: 'board', danger: 'tonight', seen: { strokes: 75, knife: 'long-slicer' } }
    ]);
    house.done('set-service', { name: 'Evening', at: new Date(NOON + 8 * HOUR).toISOString() });
    expect(rows()[0]).to.include({ danger: 'before-service' });
    house.clock.moveTo(NOON + 2 * HOUR, true);
    house.done('sharpen-knife', { knife: 'long-slicer', how: 'stone' });
    expect(rows()).to.deep.equal([]);
    cut();
    expect(rows()).to.deep.equal([]);
    house.close();
  });
});

describe('a cut of a side that was measured', () => {
  it('is as deep as its stretch of the side; measured itself, as it was measured', () => {
    const house = openTestHouse();
    house.done('set-place', { name: 'Drawer', kind: 'drawer' });
    const { piece } = house.done('receive-lot', { ...CHAR, form: 'fillet' }) as { piece: string };
    house.done('set-depth', { piece, length: '400 mm', t0: '40 mm', t6: '16 mm' });
    house.done('open-board', { piece, template: 'five-cuts' });
    const loin = String(house.done('take-part', { piece, part: 'loin', mass: '400 g' }).piece);
    const belly = String(house.done('take-part', { piece, part: 'belly-front', mass: '150 g' }).piece);
    const stateOf = (id: string) => house.store.projections.piece(id).state;
    // From 22 to 76 % of 400 mm; it falls by 24 mm over all of it.
    expect(depthKnown(house, stateOf(loin))).to.deep.include({ ofSide: true });
    const { depth } = depthKnown(house, stateOf(loin));
    expect(depth!.lengthMm).to.be.closeTo(216, 1e-9);
    expect(depth!.points[0]!.mm).to.be.closeTo(40 - 24 * 0.22, 1e-9);
    expect(depth!.points.at(-1)!.mm).to.be.closeTo(40 - 24 * 0.76, 1e-9);
    expect(depthKnown(house, stateOf(belly)).depth!.points[0]!.mm).to.be.lessThan(40);
    house.done('set-depth', { piece: loin, length: '210 mm', t0: '33 mm', t6: '22 mm' });
    expect(depthKnown(house, stateOf(loin))).to.include({ ofSide: false });
    expect(depthKnown(house, stateOf(loin)).depth!.lengthMm).to.equal(210);
    house.close();
  });
  it('nothing is known of a cut whose side nobody measured, nor of what was cut from no side', () => {
    const { house, block } = knifeHouse();
    expect(depthKnown(house, house.store.projections.piece(block()).state)).to.deep.equal({
      depth: null,
      ofSide: false
    });
    house.close();
  });
});
