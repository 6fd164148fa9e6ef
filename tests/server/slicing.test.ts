import { expect } from 'chai';
import fc from 'fast-check';
import { slicedFrom1 } from '../../src/lib/core/activity/slice/bodies.ts';
import { secondsOut } from '../../src/lib/core/rules/out-of-cold.ts';
import { handOf } from '../../src/lib/server/facts/hands.ts';
import { aimOf, slicedFish } from '../../src/lib/server/facts/slicing.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { runs } from '../runs.ts';
import { CHAR, FEED, HOUR, NOON, openTestHouse, type TestHouse } from './house.ts';

const MINUTE = 60_000;
const PLAN = {
  style: 'oblique',
  by: 'weight',
  grams: '10 g',
  angle: 40,
  length: '200 mm',
  height: '30 mm',
  height4: '22 mm',
  width: '70 mm',
  width4: '60 mm'
};

/** A char block of 400 g in a cold drawer, cleared raw by its paper, at a Monday noon. */
function blockHouse(): { readonly house: TestHouse; readonly block: string } {
  const house = openTestHouse();
  house.done('set-place', { name: 'Drawer', kind: 'drawer' });
  const { lot, piece } = house.done('receive-lot', CHAR) as { lot: string; piece: string };
  house.done('attach-evidence', { lot, ...FEED });
  house.done('move-piece', { piece, place: 'Drawer' });
  const block = String(house.done('divide-piece', { piece, name: 'Char, loin', form: 'block', mass: '400 g' }).piece);
  house.clock.moveTo(NOON + HOUR, true);
  return { house, block };
}
const state = (house: TestHouse, piece: string) => house.store.projections.piece(piece).state;
const chain = (house: TestHouse, ...pieces: string[]) => pieces.map((piece) => state(house, piece));
interface Cut {
  readonly piece: string;
  readonly pieces: number;
  readonly slices: string[];
  readonly offcut: string | null;
  readonly left: number;
}
const cut = (house: TestHouse, block: string, more: object = {}) =>
  house.done('record-slice', { piece: block, ...PLAN, ...more }) as unknown as Cut;

describe('slices become pieces', () => {
  it('counted and weighed, the rest for mince; the block is all given, to the gram', () => {
    const { house, block } = blockHouse();
    const made = cut(house, block, { mass: '262 g', place: 'Drawer' });
    const slices = state(house, made.piece);
    expect(slices.made).to.include({ name: 'Char, oblique slices', grams: 262, use: '', form: 'portion' });
    expect(slices.lifted).to.include({ what: 'slices', count: made.pieces, style: 'oblique' });
    expect(slices.lifted!.gramsEach! * made.pieces).to.be.closeTo(262, 1e-9);
    expect(slices.made.thicknessMm).to.be.within(1.5, 8);
    const offcut = state(house, made.offcut!);
    expect(offcut.made).to.include({ name: 'Char, off-cut for mince', grams: 138, grade: 'by-product', use: 'mince' });
    expect(state(house, block).gone).to.include({ how: 'divided' });
    expect(verify(house.store, NOON + HOUR).trouble).to.equal(null);
    house.close();
  });
  it('so many of it: the block stays, lighter by what was cut', () => {
    const { house, block } = blockHouse();
    const made = cut(house, block, { count: 5, place: 'Drawer', waste: '12 g' });
    expect(made.pieces).to.equal(5);
    expect(made.offcut).to.equal(null);
    const { grams, gone } = state(house, block);
    expect(gone).to.equal(null);
    expect(grams).to.be.closeTo(400 - 12 - state(house, made.piece).grams, 1e-6);
    expect(made.left).to.be.closeTo(grams, 1e-6);
    // And may be cut again.
    expect(cut(house, block, { length: '150 mm', count: 3, place: 'Drawer' }).pieces).to.equal(3);
    house.close();
  });
  it('rows of other weights are pieces of their own', () => {
    const { house, block } = blockHouse();
    const made = cut(house, block, { count: 6, style2: 'cubes', place: 'Drawer' });
    expect(made.slices).to.have.length(2);
    expect(made.slices.map((id) => state(house, id).lifted!.style)).to.have.members(['oblique', 'cubes']);
    house.close();
  });
  it('whatever is cut, weighed and kept: grams are conserved', () => {
    const anyCut = fc.record({
      count: fc.option(fc.integer({ min: 1, max: 30 })),
      grams: fc.integer({ min: 7, max: 14 }),
      mass: fc.option(fc.integer({ min: 20, max: 250 })),
      waste: fc.option(fc.integer({ min: 1, max: 40 })),
      offcut: fc.option(fc.integer({ min: 1, max: 100 })),
      reason: fc.constantFrom('', 'fell')
    });
    fc.assert(
      fc.property(anyCut, ({ count, grams, mass, waste, offcut, reason }) => {
        const { house, block } = blockHouse();
        const gram = (value: number | null) => (value === null ? '' : `${value} g`);
        const answer = house.act('record-slice', {
          piece: block,
          ...PLAN,
          grams: `${grams} g`,
          count,
          mass: gram(mass),
          waste: gram(waste),
          offcut: gram(offcut),
          gapReason: reason
        });
        const children = house.store.projections.relations.childrenOf(block).map(({ id }) => state(house, id));
        const wasted = house.store.record
          .eventsOf(`piece:${block}`)
          .reduce((sum, event) => sum + (event.kind === 'piece.wasted' ? event.body.mass.si : 0), 0);
        const given = children.reduce((sum, child) => sum + child.made.grams, 0);
        const kept = state(house, block).grams;
        // What the scale may be out by is the only thing that may be missing.
        expect(given + wasted + kept).to.be.closeTo(400, answer.ok ? 8 : 1e-6);
        if (answer.ok && count !== null) expect(given + wasted + kept).to.be.closeTo(400, 1e-6);
        expect(verify(house.store, NOON + HOUR).trouble).to.equal(null);
        house.close();
      }),
      { ...runs(120), endOnFailure: true }
    );
  });
});

describe('the time that slicing takes', () => {
  it('runs from when the block left the cold, for the slices and for the block alike', () => {
    const { house, block } = blockHouse();
    const begun = new Date(NOON + 40 * MINUTE).toISOString();
    const made = cut(house, block, { count: 8, begun });
    house.clock.moveTo(NOON + HOUR + 10 * MINUTE, true);
    const now = NOON + HOUR + 10 * MINUTE;
    expect(secondsOut(chain(house, block), now)).to.equal(30 * 60);
    expect(secondsOut(chain(house, block, made.piece), now)).to.equal(30 * 60);
    // Nobody said where it went: it is out until it is put somewhere.
    house.done('move-piece', { piece: made.piece, place: 'Drawer' });
    house.clock.moveTo(now + HOUR, true);
    expect(secondsOut(chain(house, block, made.piece), now + HOUR)).to.equal(30 * 60);
    expect(secondsOut(chain(house, block), now + HOUR)).to.equal(90 * 60);
    house.close();
  });
  it('silence is not cold: as long as so many slices take', () => {
    const { house, block } = blockHouse();
    const made = cut(house, block, { place: 'Drawer' });
    const out = secondsOut(chain(house, block, made.piece), NOON + HOUR);
    expect(out).to.equal(120 + 6 * made.pieces);
    expect(state(house, made.piece).stays.at(-1)).to.include({ place: 'Drawer', to: null });
    house.close();
  });
  it('is spent, whoever takes the entry back', () => {
    const { house, block } = blockHouse();
    const begun = new Date(NOON + 5 * MINUTE).toISOString();
    const made = cut(house, block, { begun });
    const { seq } = house.store.record.list({ kind: 'piece.sliced' })[0]!;
    const raw = () => house.store.projections.piece(made.piece).windows.find(({ route }) => route === 'raw')!;
    const before = raw().closes;
    house.clock.moveTo(NOON + 2 * HOUR, true);
    house.act('amend-entry', { seq, void: true, reason: 'it lay in the cold', ownWidening: true });
    expect(raw().closes ?? 0).to.be.at.most(before ?? Infinity);
    house.close();
  });
  it('cannot begin before the block was, nor after it was cut', () => {
    const { house, block } = blockHouse();
    const refused = (begun: number, at?: number) =>
      house.act('record-slice', {
        piece: block,
        ...PLAN,
        begun: new Date(begun).toISOString(),
        ...(at ? { at: new Date(at).toISOString() } : {})
      });
    expect(refused(NOON - HOUR)).to.include({ ok: false, code: 'time.out-of-order' });
    expect(refused(NOON + 50 * MINUTE, NOON + 30 * MINUTE)).to.include({ ok: false, code: 'time.out-of-order' });
    expect(refused(NOON + 3 * HOUR)).to.include({ ok: false, code: 'time.in-future' });
    house.close();
  });
});

describe('a slicing that was none', () => {
  it('is put back: the block weighs what it did, and the time it lay out is spent', () => {
    const { house, block } = blockHouse();
    const begun = new Date(NOON + 40 * MINUTE).toISOString();
    const made = cut(house, block, { begun, mass: '250 g', waste: '20 g', place: 'Drawer' });
    expect(state(house, block).gone).to.not.equal(null);
    house.done('put-slices-back', { piece: made.piece });
    expect(state(house, block)).to.include({ grams: 400, gone: null });
    expect(state(house, block).slices[0]!.plan).to.deep.include({ pieces: 0, slices: [], offcut: null });
    expect(secondsOut(chain(house, block), NOON + HOUR)).to.equal(20 * 60);
    expect(house.act('put-slices-back', { piece: made.piece })).to.include({ ok: false, code: 'record.not-found' });
    expect(verify(house.store, NOON + HOUR).trouble).to.equal(null);
    house.close();
  });
  it('not once any of it was served, put on a tray or cut again', () => {
    const { house, block } = blockHouse();
    const made = cut(house, block, { place: 'Drawer' });
    house.done('start-hold', { all: true, piece: made.piece, label: 'Left', startCore: '3 C' });
    expect(house.act('put-slices-back', { piece: made.offcut! })).to.include({ code: 'record.not-allowed-now' });
    expect(house.act('put-slices-back', { piece: block })).to.include({ code: 'record.not-found' });
    house.close();
  });
});

describe('from the board to the tray', () => {
  it('by one touch and one reading; served in grams, never twice', () => {
    const { house, block } = blockHouse();
    const { piece } = cut(house, block, { mass: '200 g', place: 'Drawer' });
    house.done('start-hold', { all: true, piece, label: 'Counter left', startCore: '3 C' });
    house.done('serve-piece', { piece, route: 'raw', mass: '50 g' });
    expect(state(house, piece).grams).to.equal(150);
    // What is left of the block stands on no tray.
    expect(house.store.projections.livePieces().filter(({ state: each }) => each.holds.length > 0)).to.have.length(1);
    expect(house.act('serve-piece', { piece, route: 'raw', mass: '151 g' })).to.include({
      code: 'record.mass-exceeded'
    });
    house.close();
  });
  it('what is cut from a tray keeps the tray’s hour', () => {
    const { house, block } = blockHouse();
    const { discardAt } = house.done('start-hold', {
      all: true,
      piece: block,
      label: 'Counter left',
      startCore: '3 C'
    });
    house.clock.moveTo(NOON + 3 * HOUR, true);
    const { piece } = cut(house, block);
    const raw = house.store.projections.piece(piece).windows.find(({ route }) => route === 'raw')!;
    expect(raw.closes ?? 0).to.be.at.most(Number(discardAt));
    house.close();
  });
});

describe('slices on the scale', () => {
  const weigh = (house: TestHouse, piece: string, weights: string, more: object = {}) =>
    house.act('weigh-slices', { piece, weights, ...more });
  it('tell how even they are against what was wanted, which are odd, and stand in the ledger', () => {
    const { house, block } = blockHouse();
    const { piece } = cut(house, block, { place: 'Drawer' });
    const told = house.done('weigh-slices', { piece, weights: '10.2 9.8 g; 12, 10' });
    expect(told).to.deep.include({ count: 4, odd: [3] });
    expect(told.bias).to.be.closeTo(0.05, 1e-9);
    expect(state(house, piece).weighed[0]).to.deep.include({ weights: [10.2, 9.8, 12, 10], per: 1, aimGrams: 10 });
    // In rows of five each is a fifth.
    expect(house.done('weigh-slices', { piece, weights: '51 50', per: '5' }).bias).to.be.closeTo(0.01, 1e-9);
    expect(verify(house.store, NOON + HOUR).trouble).to.equal(null);
    house.close();
  });
  it('are no more than were cut, weigh no more than all of them, and are slices', () => {
    const { house, block } = blockHouse();
    const { piece } = cut(house, block, { count: 3, place: 'Drawer' });
    expect(weigh(house, piece, '10 10 10 10')).to.include({ code: 'record.mass-exceeded' });
    expect(weigh(house, piece, '10 40')).to.include({ code: 'record.mass-exceeded' });
    expect(weigh(house, piece, 'ten')).to.include({ code: 'quantity.unreadable' });
    expect(weigh(house, piece, '10 900')).to.include({ code: 'quantity.out-of-range' });
    expect(weigh(house, block, '10')).to.include({ code: 'record.not-found' });
    house.close();
  });
  it('teach how a hand is out, of whoever cut them; corrected for it the ruler asks for less', () => {
    const { house, block } = blockHouse();
    const room = { store: house.store, clock: house.clock } as never;
    const { piece } = cut(house, block, { count: 8, place: 'Drawer' });
    weigh(house, piece, '10.8 10.9 10.7 10.8 10.9');
    const { oblique } = handOf(room, 'p1');
    expect(oblique).to.include({ slices: 5, sessions: 1, known: true });
    expect(oblique!.times).to.be.closeTo(1.082, 0.001);
    expect(handOf(room, 'p2')).to.deep.equal({});
    const plain = state(house, piece).lifted!.gramsEach!;
    const again = cut(house, block, { count: 4, length: '150 mm', hand: 1.08, place: 'Drawer' });
    expect(aimOf(house.store, state(house, again.piece))).to.deep.equal({ aim: 10, cut: 10 / 1.08 });
    expect(plain).to.be.greaterThan(0);
    // Cut for less and weighing what was wanted, the hand is still as heavy as it was.
    weigh(house, again.piece, '10 10.1 9.9 10');
    expect(handOf(room, 'p1').oblique!.times).to.be.closeTo(1.081, 0.003);
    house.close();
  });
});

describe('what cannot be cut is refused, with what can', () => {
  const { house, block } = blockHouse();
  after(() => house.close());
  const refused = (more: object) => {
    const answer = house.act('record-slice', { piece: block, ...PLAN, ...more });
    if (answer.ok) throw new Error('it was taken');
    return { code: answer.code, field: answer.details.field, max: answer.details.max };
  };
  it('a slice that no blade gives here: the heaviest there is', () => {
    expect(refused({ grams: '100 g' })).to.deep.include({ code: 'slice.none', field: 'grams' });
    expect(Number(refused({ grams: '100 g' }).max)).to.be.within(15, 60);
    expect(refused({ by: 'thickness', thickness: '60 mm', length: '30 mm' })).to.deep.include({ code: 'slice.none' });
  });
  it('a 340 g slice, kilograms for grams, nothing wide, a block of another weight', () => {
    expect(refused({ grams: '340 g' })).to.deep.include({ code: 'quantity.out-of-range', field: 'grams' });
    expect(refused({ mass: '2 kg' }).code).to.be.oneOf(['record.mass-slip', 'record.mass-exceeded']);
    expect(refused({ width: '0 mm' })).to.deep.include({ code: 'quantity.out-of-range', field: 'width' });
    expect(refused({ width: '140 mm' })).to.deep.include({ code: 'record.mass-exceeded', field: 'length' });
    expect(refused({ mass: '380 g', offcut: '90 g' }).code).to.be.oneOf([
      'record.not-balanced',
      'record.mass-exceeded'
    ]);
    expect(refused({ mass: '200 g', offcut: '50 g' })).to.deep.include({
      code: 'record.not-balanced',
      field: 'gapReason'
    });
  });
});

describe('what slicing goes by', () => {
  it('kind, days hung, salt and ice are read off the record', () => {
    const { house, block } = blockHouse();
    const room = { store: house.store, clock: house.clock };
    expect(slicedFish(room as never, block)).to.include({
      texture: 'medium',
      fat: 'mid',
      agedDays: 0,
      wasFrozen: false
    });
    house.close();
  });
  it('a block that was cut before its slices were pieces is read as it was', () => {
    const typed = { si: 200, unit: 'mm', typed: '200 mm' };
    const older = { cut: 'straight', length: typed, height: typed, width: typed, thickness: typed };
    const now = slicedFrom1({ ...older, angleDegrees: 90, pieces: 40, pieceGrams: 7.5075, offcutGrams: 0 });
    expect(now).to.include({ style: 'straight', by: 'thickness', angle: 90, pieces: 40, begun: null, edge: 100 });
    expect(now).to.not.have.any.keys('cut', 'angleDegrees');
    expect(now.grams).to.deep.equal({ si: 7.5075, unit: 'g', typed: '7.5 g' });
  });
});
