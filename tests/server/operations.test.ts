import { expect } from 'chai';
import { verify } from '../../src/lib/server/store/verify.ts';
import { CHAR, FEED, HOUR, openTestHouse, type TestHouse } from './house.ts';
import { state, P, L } from './one-fish.ts';

const CHEST = {
  place: 'Chest',
  air: '-28 C',
  airClass: 'fan',
  packing: 'film',
  thickness: '28 mm',
  startCore: '2 C',
  cycle: 'us-168h'
};

describe('one fish through the house', () => {
  let house: TestHouse;
  beforeEach(() => (house = openTestHouse()));
  afterEach(() => {
    expect(verify(house.store, house.clock.now()).trouble).to.equal(null);
    house.close();
  });

  it('received, papered, divided, cured, sliced, held, served and found in the ledger', () => {
    expect(house.done('receive-lot', CHAR)).to.deep.equal({ lot: L, piece: P, delivery: '' });
    expect(state(house, P, 'raw')).to.equal('not-cleared');
    house.done('attach-evidence', { lot: L, ...FEED });
    expect(state(house, P, 'raw')).to.equal('open');
    const { piece } = house.done('divide-piece', {
      piece: P,
      name: 'Loin',
      form: 'block',
      mass: '600 g',
      thickness: '26 mm'
    }) as { piece: string };
    expect(house.store.projections.piece(P).state.grams).to.equal(1400);
    const { saltGrams } = house.done('start-cure', {
      piece,
      method: 'weighed',
      thickness: '26 mm',
      faces: '2',
      celsius: '3 C',
      salt: '2.5 %',
      sugar: '1 %',
      hours: '20 h',
      target: '1 %'
    }) as { saltGrams: number };
    expect(saltGrams).to.be.within(15, 18);
    expect(state(house, piece, 'cured')).to.equal('locked');
    house.clock.moveBy(21 * HOUR);
    expect(state(house, piece, 'cured')).to.equal('not-cleared');
    house.done('end-cure', { piece, massAfter: '585 g' });
    expect(state(house, piece, 'cured')).to.equal('open');
    expect(state(house, piece, 'raw')).to.equal('closed');
    const cut = house.done('record-slice', {
      piece,
      style: 'straight',
      length: '200 mm',
      height: '26 mm',
      width: '100 mm',
      thickness: '5 mm'
    });
    expect(cut).to.include({ pieces: 40 });
    const slices = String(cut.piece);
    house.done('start-hold', { all: true, piece: slices, control: '4h', label: 'Left', startCore: '4 C' });
    house.clock.moveBy(3 * HOUR);
    house.done('serve-piece', { piece: slices, route: 'cured', mass: '500 g' });
    house.clock.moveBy(1.5 * HOUR);
    expect(house.act('serve-piece', { piece: slices, route: 'cured', all: true })).to.include({
      ok: false,
      code: 'record.not-allowed-now'
    });
    house.done('discard-piece', { piece: slices, reason: 'time is up', all: true });
    const kinds = house.store.record.list({ lot: L }).map(({ kind }) => kind);
    expect(kinds).to.include.members([
      'lot.received',
      'evidence.attached',
      'cure.started',
      'piece.sliced',
      'piece.served',
      'piece.discarded'
    ]);
  });

  it('frozen by hand-written readings, taken out, opened', () => {
    house.done('receive-lot', { ...CHAR, species: 'halibut', source: 'wild', farmSystem: '', water: 'sea' });
    const piece = 'HAL-0309-1-A';
    house.done('start-freeze', { piece, ...CHEST });
    house.clock.moveBy(6 * HOUR);
    house.done('read-freeze', { piece, reading: '-4.5F', probe: 'core' });
    for (let day = 0; day < 7; day++) {
      expect(state(house, piece, 'raw')).to.equal('locked');
      house.clock.moveBy(24 * HOUR);
      if (day < 6) house.done('read-freeze', { piece, reading: '-22 C', probe: 'core' });
    }
    expect(state(house, piece, 'raw')).to.equal('not-cleared');
    house.done('read-freeze', { piece, reading: '-20 C', probe: 'core' });
    expect(state(house, piece, 'raw')).to.equal('open');
    expect(house.act('serve-piece', { piece, route: 'raw', all: true })).to.include({ code: 'record.not-allowed-now' });
    house.done('end-freeze', { piece });
    house.done('serve-piece', { piece, route: 'raw', mass: '100 g' });
  });

  it('what befalls the parent in the very minute, but after the child left it, is not the child’s', () => {
    house.done('receive-lot', { ...CHAR, species: 'halibut', source: 'wild', farmSystem: '', water: 'sea' });
    const parent = 'HAL-0309-1-A';
    const { piece } = house.done('divide-piece', { piece: parent, name: 'Loin', mass: '500 g' }) as { piece: string };
    house.done('start-freeze', { piece: parent, ...CHEST });
    expect(state(house, parent, 'raw')).to.equal('locked');
    expect(state(house, piece, 'raw')).to.equal('not-cleared');
    // Taken from it while it lies in the freezer, a piece is out, and is promised nothing.
    house.clock.moveBy(HOUR);
    const { piece: later } = house.done('divide-piece', { piece: parent, name: 'Tail', mass: '300 g' }) as {
      piece: string;
    };
    expect(state(house, later, 'raw')).to.equal('not-cleared');
  });

  it('a piece keeps what befell its parent before it left, and not after', () => {
    house.done('receive-lot', CHAR);
    house.done('attach-evidence', { lot: L, ...FEED });
    const { piece } = house.done('divide-piece', { piece: P, name: 'Loin', mass: '500 g' }) as { piece: string };
    house.clock.moveBy(HOUR);
    house.done('discard-piece', { piece: P, reason: 'dropped', all: true });
    expect(state(house, piece, 'raw')).to.equal('open');
    expect(state(house, P, 'raw')).to.equal('closed');
  });
});

describe('sent twice, sent late, sent wrong', () => {
  let house: TestHouse;
  beforeEach(() => {
    house = openTestHouse();
    house.done('receive-lot', CHAR);
  });
  afterEach(() => house.close());
  const reading = { piece: P, reading: '2 C' };
  const head = () => house.store.record.head().seq;

  it('the same key with the same body happens once and answers the same', () => {
    const first = house.act('read-cold', reading, { key: 'k1' });
    const at = head();
    const second = house.act('read-cold', reading, { key: 'k1' });
    expect(second).to.deep.include({ ok: true, repeated: true, result: (first as { result: unknown }).result });
    expect(head()).to.equal(at);
  });
  it('the same key with another body is a clash that shows both', () => {
    house.act('read-cold', reading, { key: 'k1' });
    const answer = house.act('read-cold', { ...reading, reading: '3 C' }, { key: 'k1' });
    expect(answer).to.include({ ok: false, status: 409, code: 'record.key-reused' });
    const { first, second } = (
      answer as unknown as { details: { first: { input: string }; second: { input: string } } }
    ).details;
    expect([first.input, second.input].join()).to.contain('2 C').and.contain('3 C');
  });
  it('a stale version is a clash that shows what came between', () => {
    const seen = house.store.record.versionOf(`piece:${P}`);
    house.done('read-cold', reading);
    const at = head();
    const answer = house.act('read-cold', { ...reading, reading: '9 C' }, { seen });
    expect(answer).to.include({ ok: false, status: 409, code: 'record.stale' });
    const { newer, yours } = (answer as unknown as { details: { newer: unknown[]; yours: string } }).details;
    expect(newer).to.have.length(1);
    expect(yours).to.contain('9 C');
    expect(head()).to.equal(at);
  });
  it('a refused form uses up nothing: mended, the same key is good', () => {
    const at = head();
    expect(house.act('read-cold', { piece: P, reading: '2 kg' }, { key: 'k2' })).to.include({ ok: false, status: 422 });
    expect(head()).to.equal(at);
    expect(house.act('read-cold', reading, { key: 'k2' })).to.include({ ok: true, repeated: false });
  });

  const refused: [string, string, Record<string, unknown>, string, string][] = [
    ['a wrong unit', 'receive-lot', { ...CHAR, mass: '2 C' }, 'quantity.unit-unknown', 'mass'],
    ['a negative weight', 'receive-lot', { ...CHAR, mass: '-2 kg' }, 'quantity.out-of-range', 'mass'],
    ['a catch of tomorrow', 'receive-lot', { ...CHAR, caughtOn: '2026-03-10' }, 'time.in-future', 'caughtOn'],
    ['a thickness of 3 m', 'receive-lot', { ...CHAR, thickness: '3 m' }, 'quantity.out-of-range', 'thickness'],
    ['a half-filled form', 'receive-lot', { species: 'turbot', mass: '1 kg' }, 'form.incomplete', 'supplier'],
    ['an unknown species', 'receive-lot', { ...CHAR, species: 'kraken' }, 'species.unknown', 'species'],
    ['two readings of one weight', 'receive-lot', { ...CHAR, mass: '1,250 g' }, 'quantity.ambiguous', 'mass'],
    ['sending back without a reason', 'receive-lot', { ...CHAR, decision: 'send-back' }, 'form.incomplete', 'reason'],
    ['farmed, but how?', 'receive-lot', { ...CHAR, farmSystem: '' }, 'form.incomplete', 'farmSystem'],
    [
      'a part heavier than the whole',
      'divide-piece',
      { piece: P, name: 'x', mass: '2.1 kg' },
      'record.mass-exceeded',
      'mass'
    ],
    ['a piece nobody has', 'read-cold', { piece: 'XXX-1', reading: '2 C' }, 'record.not-found', 'piece'],
    [
      'a dose of 400 %',
      'start-cure',
      {
        piece: P,
        method: 'weighed',
        thickness: '20 mm',
        faces: 1,
        celsius: '3 C',
        salt: '400 %',
        sugar: '0 %',
        hours: '5 h',
        target: '1 %'
      },
      'quantity.out-of-range',
      'salt'
    ],
    [
      'a cure at 30 °C',
      'start-cure',
      {
        piece: P,
        method: 'weighed',
        thickness: '20 mm',
        faces: 1,
        celsius: '30 C',
        salt: '2 %',
        sugar: '0 %',
        hours: '5 h',
        target: '1 %'
      },
      'quantity.out-of-range',
      'celsius'
    ],
    ['a reading without a freezer', 'read-freeze', { piece: P, reading: '-20 C' }, 'record.not-allowed-now', 'piece'],
    [
      'a freezer cycle of another book',
      'start-freeze',
      { piece: P, place: 'x', air: '-30 C', thickness: '20 mm', startCore: '2 C', cycle: 'eu-24h' },
      'form.value-unknown',
      'cycle'
    ],
    [
      'a tray that starts warm',
      'start-hold',
      { piece: P, label: 'x', startCore: '6 C' },
      'quantity.out-of-range',
      'startCore'
    ],
    [
      'serving what is not cleared',
      'serve-piece',
      { piece: P, route: 'raw', all: true },
      'record.not-allowed-now',
      'route'
    ],
    [
      'a paper for freezing without figures',
      'attach-evidence',
      { lot: L, type: 'freezing-statement', issuer: 'x' },
      'form.incomplete',
      'frozenAt'
    ],
    [
      'a reading of tomorrow',
      'read-cold',
      { piece: P, reading: '2 C', at: '2026-03-10T12:00' },
      'time.in-future',
      'at'
    ],
    [
      'a reading from before the piece',
      'read-cold',
      { piece: P, reading: '2 C', at: '2026-03-08T12:00' },
      'time.out-of-order',
      'at'
    ],
    [
      'a zone that is not',
      'set-house',
      {
        name: 'x',
        profile: 'eu',
        zone: 'Vess',
        dayEndsHour: 4,
        currency: 'EUR',
        warnMinutes: 60,
        rawShareOfIceDays: 0.3,
        dateMarkDays: 7
      },
      'time.zone-unknown',
      'zone'
    ],
    [
      'a house looser than its profile',
      'set-house',
      {
        name: 'x',
        profile: 'eu',
        zone: 'UTC',
        dayEndsHour: 4,
        currency: 'EUR',
        warnMinutes: 60,
        rawShareOfIceDays: 0.9,
        dateMarkDays: 7
      },
      'quantity.out-of-range',
      'rawShareOfIceDays'
    ]
  ];
  for (const [what, name, input, code, field] of refused) {
    it(`${what}: ${code} on ${field}, nothing written`, () => {
      const at = head();
      const answer = house.act(name, input);
      expect(answer).to.include({ ok: false, code });
      expect((answer as unknown as { fields: { field: string }[] }).fields.map((each) => each.field)).to.include(field);
      expect(head()).to.equal(at);
    });
  }
  it('nobody is nobody: a name has to stand on every entry', () => {
    expect(house.act('read-cold', reading, { actor: null })).to.include({ code: 'person.required' });
    expect(house.act('read-cold', reading, { actor: 'p77' })).to.include({ code: 'person.unknown' });
  });
});
