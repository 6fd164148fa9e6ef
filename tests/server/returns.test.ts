import { expect } from 'chai';
import type { App } from '../../src/lib/server/app.ts';
import { pieceChoices } from '../../src/lib/server/facts/choices.ts';
import { lotView } from '../../src/lib/server/views/lot.ts';
import { pieceView } from '../../src/lib/server/views/piece.ts';
import { nowView } from '../../src/lib/server/views/now.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import type { Occupant } from '../../src/lib/core/record/occupation.ts';
import { CHAR, HOUR, type TestHouse } from './house.ts';
import { BEGINS, houseWithChar, into } from './into.ts';

describe('a lot that is sent back has ended', () => {
  let house: TestHouse;
  let lot: string;
  let piece: string;
  beforeEach(() => {
    ({ house, lot, piece } = houseWithChar());
  });
  afterEach(() => house.close());
  const app = () => ({ store: house.store, clock: house.clock }) as unknown as App;
  const later = (ms = HOUR) => house.clock.moveTo(house.clock.now() + ms, true);
  const refused = (name: string, input: object) => {
    const answer = house.act(name, input);
    if (answer.ok) throw new Error(`${name} was taken`);
    return answer;
  };
  const gone = (id = piece) => house.store.projections.piece(id).state.gone?.how ?? null;
  const lives = () => house.store.projections.livePieces().map(({ state }) => state.id);
  const seenAnywhere = () => JSON.stringify([pieceChoices(app()), nowView(app())]).includes(`"${piece}"`);
  const back = { credit: 'asked', amount: 31.5, reason: 'soft, and it smells' };
  const LOOKED = Object.fromEntries(
    ['colour', 'gaping', 'drip', 'flesh', 'blood', 'smell'].map((id) => [`level-${id}`, '0'])
  );
  const sentBack = { kind: 'gone', how: 'returned' };
  const inspected = { decision: 'send-back', reason: 'soft, and it smells' };

  it('gone everywhere: not offered, not wanted, not on the chart, and nothing begins with it', () => {
    expect(seenAnywhere()).to.equal(true);
    later();
    const { grams } = house.done('return-lot', { lot, ...back });
    expect(grams).to.equal(house.store.projections.lot(lot).received.mass.si);
    expect([gone(), lives(), seenAnywhere()]).to.deep.equal(['returned', [], false]);
    expect(BEGINS.length).to.be.greaterThan(5);
    for (const [, name, input] of BEGINS) {
      const answer = refused(name, { piece, ...input });
      expect(answer, name).to.deep.include({ code: 'record.not-allowed-now' });
      expect(answer.details.hindrance, name).to.deep.equal(sentBack);
    }
    expect(refused('discard-piece', { piece, reason: 'dropped', all: true }).details.hindrance).to.deep.equal(sentBack);
    expect(verify(house.store, house.clock.now()).trouble).to.equal(null);
  });
  for (const [how, end] of [
    ['an inspection', () => house.done('inspect-lot', { lot, ...LOOKED, ...inspected })],
    ['the decision at the door', () => ({ piece, lot } = house.done('receive-lot', { ...CHAR, ...inspected }) as never)]
  ] as const) {
    it(`${how} that sends it back ends it as well; who took it is written down later`, () => {
      later();
      end();
      expect([gone(), seenAnywhere()]).to.deep.equal(['returned', false]);
      const sent = house.store.projections.lot(lot);
      expect([sent.sentBack?.at, sent.handedBack]).to.deep.equal([house.clock.now(), null]);
      later();
      house.done('return-lot', { lot, mass: '2 kg', to: 'The driver', credit: 'none' });
      const { handedBack, sentBack } = house.store.projections.lot(lot);
      expect(handedBack).to.deep.include({ to: 'The driver', credit: 'none', amount: null, reason: inspected.reason });
      expect([sentBack?.at, handedBack?.at, handedBack?.mass.si]).to.deep.equal([
        sent.sentBack!.at,
        house.clock.now(),
        2000
      ]);
    });
  }
  it('keeps the weight, who took it and the credit; every gram and cent of the lot is told', () => {
    house.done('divide-piece', { piece, name: 'Part', form: 'block', mass: '300 g' });
    later();
    house.done('serve-piece', { piece, route: 'cooked', mass: '100 g', core: '65 C' });
    const whole = house.store.projections.lot(lot).received.mass.si;
    house.done('return-lot', { lot, ...back, to: '' });
    const view = lotView(app(), { id: lot });
    expect(view.lot.handedBack).to.deep.include({ to: CHAR.supplier, amount: 31.5, currency: 'EUR' });
    expect(view.grams).to.deep.include({ served: 100, returned: whole - 100, prime: 0 });
    expect(view.rows.map(({ gone: each, left }) => [each, left])).to.deep.equal([
      ['returned', 0],
      ['returned', 0]
    ]);
    const { here, served, lost, returned } = view.cents;
    const paid = Math.round(((view.lot.received.pricePerKg ?? 0) * whole) / 10);
    expect(here + served + lost + returned).to.equal(paid);
    expect(Math.abs(returned - paid * (1 - 100 / whole))).to.be.lessThan(2);
    const ends = view.flow.links.filter(({ target }) => target === 'fate returned');
    expect(ends.reduce((sum, { grams }) => sum + grams, 0)).to.equal(whole - 100);
  });
  for (const occupant of ['board', 'cure', 'acid', 'rack', 'tray'] as Occupant[]) {
    it(`what is in ${occupant} stays behind: in sight, shut, for the bin, and whatever is cut from it`, () => {
      into(house, piece, occupant);
      later(60_000);
      const { stays } = house.done('return-lot', { lot, ...back, mass: '1 g' });
      expect(stays).to.deep.equal([piece]);
      expect([gone(), lives()]).to.deep.equal([null, [piece]]);
      const states = pieceView(app(), piece).verdict.windows.map(({ state }) => state);
      expect(states.every((state) => state === 'closed' || state === 'never')).to.equal(true);
      later(60_000);
      if (occupant === 'cure') {
        house.done('end-cure', { piece, place: 'Drawer 1' });
        later(60_000);
        const cut = String(house.done('divide-piece', { piece, name: 'End', form: 'block', mass: '200 g' }).piece);
        expect([gone(), gone(cut)]).to.deep.equal([null, null]);
      }
      if (occupant !== 'board') house.done('discard-piece', { piece, reason: 'its lot was sent back', all: true });
      expect(gone()).to.equal(occupant === 'board' ? null : 'discarded');
    });
  }
  for (const occupant of ['freezer', 'thaw'] as Occupant[]) {
    it(`what is in ${occupant} goes back`, () => {
      into(house, piece, occupant);
      later();
      expect(house.done('return-lot', { lot, ...back }).stays).to.deep.equal([]);
      expect(gone()).to.equal('returned');
    });
  }
  it('before it went it was here: asked about then, it is judged as it was', () => {
    const before = house.clock.now();
    later();
    house.done('return-lot', { lot, ...back });
    const then = pieceView(app(), piece, before);
    expect(then.verdict.windows.some(({ state }) => state === 'open')).to.equal(true);
    expect(pieceView(app(), piece).verdict.windows.every(({ state }) => state === 'closed')).to.equal(true);
  });
  it('is not taken back, nor twice; a weight typed wrong is mended; nothing later takes it in again', () => {
    later();
    const early = new Date(house.clock.now() - 9 * HOUR).toISOString();
    expect(refused('return-lot', { lot, ...back, at: early }).code).to.equal('time.out-of-order');
    expect(refused('return-lot', { lot, credit: 'asked' }).details.field).to.equal('reason');
    expect(refused('return-lot', { lot: 'NO-0101-1', ...back }).code).to.equal('record.not-found');
    house.done('return-lot', { lot, ...back });
    expect(refused('return-lot', { lot, ...back }).details.field).to.equal('lot');
    const { seq } = house.store.projections.lot(lot).handedBack!;
    const strike = { seq, reason: 'a slip', void: true };
    expect(house.act('amend-entry', strike).ok).to.equal(false);
    expect(gone()).to.equal('returned');
    later(60_000);
    house.done('inspect-lot', { lot, ...LOOKED, decision: 'accept', reason: 'it was fine', own: 'on' });
    expect(gone()).to.equal('returned');
  });
  it('with nothing left there is nothing to send; a mince of two lots stays, shut by the one sent back', () => {
    later();
    const other = house.done('receive-lot', CHAR) as { piece: string };
    const halves = [piece, other.piece].map((each) =>
      String(house.done('divide-piece', { piece: each, name: 'Trim', form: 'block', mass: '300 g' }).piece)
    );
    const mince = String(house.done('combine-pieces', { pieces: halves, name: 'Mince' }).piece);
    later(60_000);
    house.done('return-lot', { lot, ...back });
    expect([gone(piece), gone(mince), gone(other.piece)]).to.deep.equal(['returned', null, null]);
    expect(pieceView(app(), mince).verdict.windows.some(({ state }) => state === 'open')).to.equal(false);
    const { lot: third, piece: all } = house.done('receive-lot', CHAR) as { lot: string; piece: string };
    house.done('discard-piece', { piece: all, reason: 'dropped', all: true });
    expect(refused('return-lot', { lot: third, ...back }).details).to.deep.include({ field: 'lot' });
  });
});
