import { expect } from 'chai';
import { CHAR, COVER, FEED } from '../../src/lib/server/examples.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { HOUR, openTestHouse, type TestHouse } from './house.ts';

describe('many pieces in one step', () => {
  let house: TestHouse;
  let thick: string;
  let thin: string;
  let bare: string;
  const side = (mass: string, thickness: string) => {
    const { lot, piece } = house.done('receive-lot', { ...CHAR, mass, thickness }) as { lot: string; piece: string };
    house.done('attach-evidence', { lot, ...FEED });
    return piece;
  };
  beforeEach(() => {
    house = openTestHouse();
    house.done('set-place', { name: 'Drawer 1', kind: 'drawer' });
    thick = side('900 g', '30 mm');
    thin = side('400 g', '15 mm');
    bare = side('300 g', '');
  });
  afterEach(() => {
    expect(verify(house.store, house.clock.now()).trouble).to.equal(null);
    house.close();
  });
  const state = (id: string) => house.store.projections.piece(id).state;

  it('one cure takes many: each by its own weight, each with its own finish by the square of its thickness', () => {
    const plan = { ...COVER, thickness: '30 mm', thin: '' };
    const { finishes } = house.done('start-cure', { piece: thick, others: thin, ...plan }) as { finishes: number[] };
    const [long, short] = finishes.map((due) => due - house.clock.now());
    expect(short! / long!).to.be.closeTo(0.25, 0.01);
    const [one, two] = [thick, thin].map((id) => state(id).cures.at(-1)!.plan);
    expect(one!.grams).to.equal(900);
    expect(two!.grams).to.equal(400);
    expect(two!.thickness.si).to.equal(15);
    // Alone at its own thickness and time it would be the same cure.
    const alone = side('400 g', '15 mm');
    house.done('start-cure', { piece: alone, ...plan, thickness: '15 mm', hours: '6 h', rest: '3 h' });
    expect(state(alone).cures.at(-1)!.plan.saltGrams).to.be.closeTo(two!.saltGrams, 0.01);
    expect(state(alone).cures.at(-1)!.plan.forecast).to.deep.equal(two!.forecast);
  });
  it('a piece whose thickness nobody knows is not guessed: nothing is begun at all', () => {
    const asked = { piece: thick, others: `${thin},${bare}`, ...COVER, thickness: '30 mm', thin: '' };
    expect(house.act('start-cure', asked)).to.include({ ok: false, code: 'piece.thickness-unknown' });
    expect([thick, thin, bare].map((id) => state(id).cures.length)).to.deep.equal([0, 0, 0]);
  });
  it('one bath is shared: more fish in the same liquid takes longer', () => {
    const bath = { cut: 'slice', size: '8 mm', faces: 2, liquid: 'lime 150', celsius: '4 C', wanted: 'half' };
    const alone = house.done('start-acid', { piece: side('400 g', '15 mm'), ...bath }) as { readySeconds: number };
    const shared = house.done('start-acid', { piece: thin, others: [thick], ...bath }) as {
      readySeconds: number | null;
      pieces: string[];
    };
    expect(shared.pieces).to.deep.equal([thin, thick]);
    expect(shared.readySeconds ?? Infinity).to.be.greaterThan(alone.readySeconds);
    expect(state(thick).acids).to.have.length(1);
  });
  it('moved and binned together; what one of them cannot do, none does', () => {
    house.done('move-piece', { piece: thick, others: [thin, bare], place: 'Drawer 1', core: '2 C' });
    expect([thick, thin, bare].map((id) => state(id).place?.place)).to.deep.equal(['Drawer 1', 'Drawer 1', 'Drawer 1']);
    // The core that was read is that of the one it was read of.
    expect([thick, thin].map((id) => state(id).place?.core?.si ?? null)).to.deep.equal([2, null]);
    house.done('start-cure', { piece: thin, ...COVER, thickness: '15 mm', thin: '' });
    house.clock.moveBy(HOUR);
    const answer = house.act('start-cure', { piece: thick, others: thin, ...COVER, thickness: '30 mm', thin: '' });
    expect(answer).to.include({ ok: false });
    expect(state(thick).cures).to.have.length(0);
    const gone = house.done('discard-piece', { piece: thick, others: [bare], reason: 'the power was off', all: true });
    expect(gone).to.deep.include({ grams: 1200, pieces: [thick, bare] });
    expect([thick, thin, bare].map((id) => state(id).gone?.how ?? null)).to.deep.equal([
      'discarded',
      null,
      'discarded'
    ]);
  });
});
