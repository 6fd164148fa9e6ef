import { expect } from 'chai';
import fc from 'fast-check';
import { canonical, canonicalEnvelope } from '../../src/lib/core/record/canonical.ts';
import { effectiveEvents } from '../../src/lib/core/record/amend.ts';
import { EVENT_KINDS, checkBody, readEvent, upcast, type RecordEvent } from '../../src/lib/core/record/events.ts';
import { foldHouse } from '../../src/lib/core/record/house.ts';
import { foldLot } from '../../src/lib/core/record/lot.ts';
import { foldPiece } from '../../src/lib/core/record/piece.ts';
import { HOUR, LOT, PAPER, START, celsius, event, freezeRead, freezeStart, lineageOf, typed } from './build.ts';
import { troubleOf } from '../trouble.ts';

const amend = (
  seq: number,
  amends: number,
  more: { patch?: Record<string, unknown>; void?: boolean; happened?: number | null; recorded?: number }
) =>
  event(
    'entry.amended',
    50 + seq,
    {
      amends,
      void: more.void ?? false,
      happened: more.happened ?? null,
      patch: more.patch ?? {},
      reason: 'slip',
      widens: []
    },
    { seq, recorded: more.recorded }
  );
const cold = (seq: number, hours: number, c: number) =>
  event('cold.read', hours, { reading: celsius(c), place: 'Drawer' }, { seq });
const readings = (events: readonly RecordEvent[]) =>
  events.flatMap((each) => (each.kind === 'cold.read' ? [each.body.reading.si] : []));

describe('the canonical spelling', () => {
  it('sorts keys, keeps arrays, spells numbers one way (RFC 8785)', () => {
    expect(canonical({ z: 1e21, a: [3, 1], é: 'x', b: { d: 0.1, c: -0 } })).to.equal(
      '{"a":[3,1],"b":{"c":0,"d":0.1},"z":1e+21,"é":"x"}'
    );
  });
  it('does not depend on the order in which keys were set', () => {
    fc.assert(
      fc.property(fc.dictionary(fc.string(), fc.jsonValue()), (value) => {
        const turned = Object.fromEntries(Object.entries(value).reverse());
        expect(canonical(turned)).to.equal(canonical(value));
        expect(JSON.parse(canonical(value))).to.deep.equal(JSON.parse(JSON.stringify(value)));
      })
    );
  });
  it('refuses what JSON cannot hold', () => {
    expect(troubleOf(() => canonical({ a: NaN })).code).to.equal('record.body-invalid');
    expect(troubleOf(() => canonical(undefined)).code).to.equal('record.body-invalid');
  });
  it('of an envelope is the canonical spelling of the whole, the stored body untouched', () => {
    const row = {
      seq: 3,
      happened: 1,
      recorded: 2,
      actor: 'p"1',
      kind: 'k',
      subject: 's',
      version: 1,
      body: '{"a":1}',
      prev: 'ab'
    };
    expect(canonicalEnvelope(row)).to.equal(canonical({ ...row, body: { a: 1 } }));
  });
});

describe('bodies and versions', () => {
  it('a body with a wrong type is refused and names where', () => {
    const trouble = troubleOf(() =>
      checkBody('freeze.read', { reading: { si: 'cold', unit: 'C', typed: '' }, probe: 'core' })
    );
    expect(trouble.code).to.equal('record.body-invalid');
    expect(trouble.details.field).to.equal('reading.si');
  });
  it('old bodies are brought up step by step, and nothing else is', () => {
    const kinds = {
      thing: {
        version: 3,
        amendable: true,
        body: EVENT_KINDS['person.joined'].body,
        upcasts: [
          (body: unknown) => ({ ...(body as object), two: true }),
          (body: unknown) => ({ ...(body as object), three: true })
        ]
      }
    };
    expect(upcast('thing', 1, { one: true }, kinds)).to.deep.equal({ one: true, two: true, three: true });
    expect(upcast('thing', 3, { now: true }, kinds)).to.deep.equal({ now: true });
    expect(troubleOf(() => upcast('thing', 4, {}, kinds)).code).to.equal('record.version-unknown');
    expect(troubleOf(() => upcast('other', 1, {}, kinds)).code).to.equal('record.kind-unknown');
  });
});

describe('correcting by adding', () => {
  it('a patch changes the entry it names, and says so', () => {
    const seen = effectiveEvents([cold(1, 1, 9), amend(2, 1, { patch: { reading: celsius(2) } })]);
    expect(readings(seen)).to.deep.equal([2]);
    expect(seen[0]!.amendedBy).to.deep.equal([2]);
  });
  it('a void takes it out, and voiding the void puts it back', () => {
    const events = [cold(1, 1, 9), amend(2, 1, { void: true })];
    expect(readings(effectiveEvents(events))).to.deep.equal([]);
    expect(readings(effectiveEvents([...events, amend(3, 2, { void: true })]))).to.deep.equal([9]);
    expect(
      readings(effectiveEvents([...events, amend(3, 2, { void: true }), amend(4, 3, { void: true })]))
    ).to.deep.equal([]);
  });
  it('a later patch wins over an earlier one, part by part', () => {
    const seen = effectiveEvents([
      cold(1, 1, 9),
      amend(2, 1, { patch: { reading: celsius(2), place: 'Rack' } }),
      amend(3, 1, { patch: { reading: celsius(3) } })
    ]);
    expect(seen[0]!.body).to.deep.include({ place: 'Rack', reading: celsius(3) });
  });
  it('a moved time changes the order of what happened', () => {
    const events = [cold(1, 1, 1), cold(2, 2, 2), amend(3, 1, { happened: START + 5 * HOUR })];
    expect(readings(effectiveEvents(events))).to.deep.equal([2, 1]);
  });
  it('what was not yet on record does not count', () => {
    const events = [cold(1, 1, 9), amend(2, 1, { void: true, recorded: START + 100 * HOUR })];
    expect(readings(effectiveEvents(events, START + 99 * HOUR))).to.deep.equal([9]);
    expect(readings(effectiveEvents(events, START + 100 * HOUR))).to.deep.equal([]);
  });
});

describe('folding', () => {
  const { lot, pieces } = lineageOf({
    events: [
      freezeStart(1),
      freezeRead(2, -20),
      event('piece.gave', 3, { child: 'Q', grams: 400, part: '', grade: 'prime' })
    ]
  });
  it('follows the weight of a piece to nothing', () => {
    const events = pieces[0]!.events;
    expect(foldPiece('P', events)!.grams).to.equal(600);
    const rest = event('piece.served', 4, {
      mass: typed(600, 'g'),
      dish: '',
      allergens: [],
      notice: '',
      route: 'raw',
      pins: { profile: '', catalogue: '', model: '' }
    });
    expect(foldPiece('P', [...events, rest])!.gone).to.include({ how: 'served' });
    expect(foldPiece('P', events)!.gone).to.equal(null);
  });
  it('knows only what had happened by the time asked about', () => {
    const at = (hours: number) => foldPiece('P', pieces[0]!.events, { at: START + hours * HOUR })!;
    expect(at(0.5).freezes).to.have.length(0);
    expect(at(1.5).freezes[0]!.readings).to.have.length(0);
    expect(at(2).freezes[0]!.readings).to.have.length(1);
    expect(foldPiece('P', pieces[0]!.events, { at: START - 1 })).to.equal(null);
  });
  it('a receipt that was voided leaves no lot', () => {
    expect(foldLot('L', lot)!.received.supplier).to.equal('Kelda Bay Boats');
    expect(foldLot('L', [...lot, amend(9, 0, { void: true })])).to.equal(null);
  });
  it('a house nobody has set stands in UTC and is strict about the core', () => {
    expect(foldHouse([])).to.include({ zone: 'UTC', countFromCore: true, lastSeq: 0 });
  });
});

describe('entries of the first version', () => {
  const stored = (kind: string, body: unknown, version = 1) => ({
    seq: 1,
    happened: START,
    recorded: START,
    actor: 'p1',
    kind,
    subject: 'lot:L',
    version,
    body: JSON.stringify(body),
    prev: '',
    hash: ''
  });
  it('are read as the second, and are whole by its shape', () => {
    const { candidates, faoArea, purpose, landedOn, gear, killing, count, cases, ...first } = LOT;
    const { ice, previouslyFrozen, roeRinsed, price, delivery, ...old } = first;
    expect([candidates, faoArea, purpose, landedOn, gear, killing, count, cases].length).to.equal(8);
    expect([ice, previouslyFrozen, roeRinsed, price, delivery].length).to.equal(5);
    const read = readEvent(stored('lot.received', { ...old, pricePerKg: 20 }));
    expect(checkBody('lot.received', read.body)).to.deep.equal(read.body);
    expect(read.body).to.deep.include({ purpose: 'sale', candidates: [], price: { amount: 20, per: 'kg' } });
    const { file, frozenFrom, frozenTo, ...paperBefore } = PAPER;
    expect([file, frozenFrom, frozenTo]).to.deep.equal([null, null, null]);
    expect(checkBody('evidence.attached', readEvent(stored('evidence.attached', paperBefore)).body)).to.deep.equal(
      PAPER
    );
    const served = { mass: typed(1, 'g'), dish: '', route: 'raw', pins: LOT.pins };
    expect(readEvent(stored('piece.served', served)).body).to.deep.include({ allergens: [], notice: '' });
  });
  it('a version newer than this program knows is refused', () => {
    expect(() => readEvent(stored('lot.received', LOT, 4))).to.throw('record.version-unknown');
  });
});
