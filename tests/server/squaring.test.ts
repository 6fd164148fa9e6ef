import { expect } from 'chai';
import fc from 'fast-check';
import { secondsOut } from '../../src/lib/core/rules/out-of-cold.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { runs } from '../runs.ts';
import { CHAR, FEED, HOUR, NOON, openTestHouse, type TestHouse } from './house.ts';

const MINUTE = 60_000;
/** 320 long, 36 falling to 18 high, 110 wide with a thin edge: 1.06 kg by the ruler. */
const SIDE = {
  length: '320 mm',
  height: '36 mm',
  height4: '18 mm',
  width: '160 mm',
  edge: '40',
  skin: '1.5 mm',
  wantHeight: '22 mm',
  wantWidth: '60 mm'
};

/** A char side of 1200 g in a cold drawer, cleared raw by its paper, an hour after noon. */
function sideHouse(): { readonly house: TestHouse; readonly side: string } {
  const house = openTestHouse();
  house.done('set-place', { name: 'Drawer', kind: 'drawer' });
  const { lot, piece } = house.done('receive-lot', { ...CHAR, mass: '1.2 kg' }) as { lot: string; piece: string };
  house.done('attach-evidence', { lot, ...FEED });
  house.done('move-piece', { piece, place: 'Drawer' });
  house.clock.moveTo(NOON + HOUR, true);
  return { house, side: piece };
}
const state = (house: TestHouse, piece: string) => house.store.projections.piece(piece).state;
interface Squared {
  readonly piece: string;
  readonly blocks: string[];
  readonly offcut: string | null;
}
const square = (house: TestHouse, side: string, more: object = {}) =>
  house.done('square-piece', { piece: side, ...SIDE, ...more }) as unknown as Squared;
const wastes = (house: TestHouse, piece: string) =>
  house.store.record.eventsOf(`piece:${piece}`).flatMap((event) => (event.kind === 'piece.wasted' ? [event.body] : []));

describe('a side squared into blocks', () => {
  it('each block is a piece that knows its size; skin and rest have their names; the side is all given', () => {
    const { house, side } = sideHouse();
    const made = square(house, side, { place: 'Drawer' });
    expect(made.blocks.length).to.be.greaterThan(0);
    const block = state(house, made.blocks[0]!);
    expect(block.made).to.include({ form: 'block', thicknessMm: 22, use: '' });
    expect(block.made.name).to.match(/, block 1$/);
    expect(block.blockSize).to.include({ heightMm: 22, widthMm: 60 });
    // (H - 1.5) has to be 22 at 60 mm from the thick edge: solved by hand, H(1 - 0.6 x 60 / 160) = 23.5, H = 30.32, 101 mm along.
    expect(block.blockSize!.lengthMm).to.be.closeTo(101, 0.1);
    expect(wastes(house, side).map(({ what }) => what)).to.deep.equal(['skin']);
    expect(state(house, made.offcut!).made).to.include({ use: 'mince', grade: 'by-product' });
    expect(state(house, side).gone).to.include({ how: 'divided' });
    expect(verify(house.store, NOON + HOUR).trouble).to.equal(null);
    house.close();
  });
  it('a block is sliced from the size it has', () => {
    const { house, side } = sideHouse();
    const { blocks } = square(house, side, { place: 'Drawer' });
    const { lengthMm, heightMm, widthMm } = state(house, blocks[0]!).blockSize!;
    const cut = house.done('record-slice', {
      piece: blocks[0]!,
      style: 'straight',
      by: 'thickness',
      thickness: '8 mm',
      angle: 90,
      length: `${lengthMm} mm`,
      height: `${heightMm} mm`,
      width: `${widthMm} mm`,
      place: 'Drawer'
    });
    expect(cut.pieces).to.equal(Math.floor(lengthMm / 8));
    house.close();
  });
  it('whatever is weighed, kept and binned: grams are conserved', () => {
    const anySquaring = fc.record({
      mass: fc.option(fc.integer({ min: 100, max: 700 })),
      skinMass: fc.option(fc.integer({ min: 10, max: 90 })),
      waste: fc.option(fc.integer({ min: 1, max: 200 })),
      offcut: fc.option(fc.integer({ min: 1, max: 700 })),
      gapReason: fc.constantFrom('', 'fell')
    });
    fc.assert(
      fc.property(anySquaring, ({ gapReason, ...grams }) => {
        const { house, side } = sideHouse();
        const weighed = Object.fromEntries(
          Object.entries(grams).map(([name, value]) => [name, value === null ? '' : `${value} g`])
        );
        const answer = house.act('square-piece', { piece: side, ...SIDE, ...weighed, gapReason });
        const children = house.store.projections.relations
          .childrenOf(side)
          .map(({ id }) => state(house, id).made.grams);
        const all = [...children, ...wastes(house, side).map(({ mass }) => mass.si), state(house, side).grams];
        // What the scale may be out by, on each of six weighings, is the only thing that may be missing.
        expect(all.reduce((sum, each) => sum + each, 0)).to.be.closeTo(1200, answer.ok ? 12 : 1e-6);
        expect(verify(house.store, NOON + HOUR).trouble).to.equal(null);
        house.close();
      }),
      { ...runs(120), endOnFailure: true }
    );
  });
  it('its time out of the cold goes with every block: as was said, else as long as so many blocks take', () => {
    const { house, side } = sideHouse();
    const begun = new Date(NOON + 30 * MINUTE).toISOString();
    const { blocks, offcut } = square(house, side, { begun, place: 'Drawer' });
    for (const piece of [...blocks, offcut!])
      expect(secondsOut([state(house, side), state(house, piece)], NOON + HOUR), piece).to.equal(30 * 60);
    house.close();
    const other = sideHouse();
    const silent = square(other.house, other.side);
    other.house.clock.moveTo(NOON + 2 * HOUR, true);
    // It lies out still: an hour, and what the knife took.
    expect(
      secondsOut(
        [other.side, silent.blocks[0]!].map((id) => state(other.house, id)),
        NOON + 2 * HOUR
      )
    ).to.equal(3600 + 120 + 45 * silent.blocks.length);
    other.house.close();
  });
  it('is put back: the side weighs what it did, the time stays spent; not once a block was sliced', () => {
    const { house, side } = sideHouse();
    const begun = new Date(NOON + 30 * MINUTE).toISOString();
    const { blocks } = square(house, side, { begun, waste: '20 g', place: 'Drawer' });
    house.done('put-blocks-back', { piece: blocks[0]! });
    expect(state(house, side)).to.include({ grams: 1200, gone: null });
    expect(secondsOut([state(house, side)], NOON + HOUR)).to.equal(30 * 60);
    expect(house.act('put-blocks-back', { piece: blocks[0]! })).to.include({ ok: false, code: 'record.not-found' });
    const again = square(house, side, { place: 'Drawer' });
    house.done('start-hold', { all: true, piece: again.blocks[0]!, label: 'Left', startCore: '3 C' });
    expect(house.act('put-blocks-back', { piece: again.offcut! })).to.include({ code: 'record.not-allowed-now' });
    expect(verify(house.store, NOON + HOUR).trouble).to.equal(null);
    house.close();
  });
  it('what cannot be is said by its field: no such block, a side that is not this one, more than was there, a gap', () => {
    const { house, side } = sideHouse();
    const refused = (more: object) => house.act('square-piece', { piece: side, ...SIDE, ...more });
    expect(refused({ wantHeight: '60 mm' })).to.include({ ok: false, code: 'slice.no-block' });
    expect(refused({ length: '900 mm' })).to.include({ ok: false, code: 'record.mass-exceeded' });
    expect(refused({ mass: '1300 g' })).to.include({ ok: false, code: 'record.mass-exceeded' });
    expect(refused({ offcut: '100 g' })).to.include({ ok: false, code: 'record.not-balanced' });
    expect(refused({ wantWidth: '0 mm' })).to.include({ ok: false });
    expect(refused({ begun: new Date(NOON - HOUR).toISOString() })).to.include({ code: 'time.out-of-order' });
    house.close();
  });
});
