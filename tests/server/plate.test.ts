import { expect } from 'chai';
import { plateOf, readySlices, wantedOf } from '../../src/lib/server/facts/plate.ts';
import { troubleOf } from '../trouble.ts';
import { CHAR, FEED, HOUR, NOON, openTestHouse } from './house.ts';

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

/** A house with slices of char and of turbot ready in a drawer. */
function plateHouse() {
  const house = openTestHouse();
  house.done('set-place', { name: 'Drawer', kind: 'drawer' });
  const sliced = (lot: Record<string, unknown>, plan: Record<string, unknown>) => {
    const { lot: id, piece } = house.done('receive-lot', lot) as { lot: string; piece: string };
    house.done('attach-evidence', { lot: id, ...FEED });
    house.done('move-piece', { piece, place: 'Drawer' });
    const block = String(house.done('divide-piece', { piece, name: 'Block', form: 'block', mass: '360 g' }).piece);
    house.clock.moveTo(NOON + HOUR, true);
    return String(house.done('record-slice', { ...PLAN, ...plan, piece: block }).piece);
  };
  const char = sliced(CHAR, {});
  const turbot = sliced({ ...CHAR, species: 'turbot' }, { style: 'oblique', angle: '40' });
  return { house, char, turbot };
}

describe('slices that lie ready for a plate', () => {
  it('are told by their plan, and fewer once some were served: the first ones went', () => {
    const { house, char } = plateHouse();
    const before = readySlices(house).find(({ id }) => id === char)!;
    expect(before).to.deep.include({ left: 25, arrangement: 'leaning' });
    expect(before.slices[0]).to.deep.include({ number: 1, thick: 6 });
    const { grams } = before.slices[0]!;
    house.done('discard-piece', { piece: char, mass: `${3 * grams} g`, reason: 'dropped' });
    const after = readySlices(house).find(({ id }) => id === char)!;
    expect(after.left).to.equal(22);
    expect(after.slices[0]!.number).to.equal(4);
    house.close();
  });
  it('lie together, lean before rich, whatever order they are told in', () => {
    const { house, char, turbot } = plateHouse();
    const wanted = wantedOf(`${char}, ${turbot}`, '3,5');
    const { kinds, fits } = plateOf(house, wanted, { plate: 280, left: false });
    expect(fits).to.equal(true);
    expect(kinds.map(({ kind }) => wanted[kind]!.piece)).to.deep.equal([turbot, char]);
    expect(kinds.map(({ placed }) => placed.length)).to.deep.equal([5, 3]);
    house.close();
  });
  it('more than there are, no slices, a word for a number: each refused by its field', () => {
    const { house, char } = plateHouse();
    const plate = { plate: 240, left: false };
    expect(troubleOf(() => plateOf(house, [{ piece: char, count: 26 }], plate))).to.include({
      code: 'quantity.out-of-range'
    });
    const whole = house.store.projections.piece(char).state.made.parents[0]!;
    expect(troubleOf(() => plateOf(house, [{ piece: whole, count: 1 }], plate))).to.include({
      code: 'record.not-found'
    });
    expect(troubleOf(() => wantedOf('A, B', '3'))).to.include({ code: 'form.value-unknown' });
    expect(troubleOf(() => wantedOf('A', 'some'))).to.include({ code: 'form.value-unknown' });
    house.close();
  });
});
