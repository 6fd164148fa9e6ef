import { expect } from 'chai';
import { everyObjectsIn } from '../../src/lib/server/input/strangers.ts';
import { houseShown } from '../../src/lib/server/views/house.ts';
import { charHouse, openTestHouse, type TestHouse } from './house.ts';

describe('what stands at the door', () => {
  let house: TestHouse;
  beforeEach(() => (house = openTestHouse()));
  afterEach(() => house.close());
  const codeOf = (answer: ReturnType<TestHouse['act']>) => (answer.ok ? 'done' : answer.code);

  it('finds what every object answers to, however deep, and says where', () => {
    expect(everyObjectsIn({ piece: 'TUR-1', lines: [{ what: 'Salt' }] })).to.equal(null);
    expect(everyObjectsIn({ lines: [{ what: 'toString' }] })).to.deep.equal({ field: 'lines', seen: 'toString' });
    expect(everyObjectsIn(JSON.parse('{"__proto__":1}'))).to.deep.equal({ field: '__proto__', seen: '__proto__' });
  });
  it('such a name is refused by every operation, in its field', () => {
    const answer = house.act('set-place', { name: 'constructor', kind: 'drawer', setPoint: '2 C' });
    expect(codeOf(answer)).to.equal('form.value-unknown');
    if (!answer.ok) expect(answer.fields[0]!.field).to.equal('name');
  });
  it('a key has at most 100 letters', () => {
    const join = (key: string) => codeOf(house.act('join-person', { name: `Bo ${key.length}` }, { key }));
    expect(join('k'.repeat(101))).to.equal('request.key-too-long');
    expect(join('k'.repeat(100))).to.equal('done');
  });
  it('a name is kept as it is seen, so that two that look alike are one', () => {
    house.done('join-person', { name: 'Tove' });
    expect(codeOf(house.act('join-person', { name: 'To\u200bve' }))).to.equal('form.value-unknown');
  });
  it('the last person cannot be forgotten: nobody could write any more', () => {
    expect(codeOf(house.act('forget-person', { person: 'p1' }))).to.equal('person.last');
    house.done('join-person', { name: 'Bo' });
    expect(codeOf(house.act('forget-person', { person: 'p1' }))).to.equal('done');
    expect(codeOf(house.act('forget-person', { person: 'p2' }, { actor: 'p2' }))).to.equal('person.last');
  });
  it('by what a logger’s key is known is shown to nobody', () => {
    house.done('set-sensor', { name: 'Chest air' });
    const request = { name: 'Chest logger', sensors: 'Chest air' };
    const first = house.act('key-device', request, { key: 'once' });
    const again = house.act('key-device', request, { key: 'once' });
    const key = first.ok ? String(first.result.key) : '';
    expect(key).to.match(/^a-key/);
    expect(again.ok && again.repeated ? again.result.key : 'said twice').to.equal(null);
    const rows = house.store.db.prepare('SELECT * FROM requests').all();
    expect(JSON.stringify([rows, house.store.record.list({})])).to.not.contain(key);
    const kept = house.store.projections.currentHouse();
    const { keyHash } = Object.values(kept.devices)[0]!;
    expect(keyHash).to.match(/^[0-9a-f]{64}$/);
    expect(JSON.stringify(houseShown(kept))).to.not.contain(keyHash);
    expect(houseShown(kept).devices).to.have.nested.property('chest-logger.name', 'Chest logger');
  });
});

describe('a correction is held to what forms are held to', () => {
  const at = charHouse();
  it('a weight no scale shows, a parent that is itself, and a correction of a correction are refused; a slip is mended', () => {
    const made = at.house.store.record.eventsOf(`piece:${at.piece}`).find(({ kind }) => kind === 'piece.made')!;
    const amend = (seq: number, patch: object) => at.house.act('amend-entry', { seq, patch, reason: 'a slip' });
    const codes = [{ grams: 1e9 }, { parents: [at.piece] }, { lot: 'NONE-0101-1' }, { name: 'x'.repeat(100_000) }].map(
      (patch) => amend(made.seq, patch)
    );
    expect(codes.map((answer) => (answer.ok ? 'done' : answer.code))).to.deep.equal([
      'quantity.out-of-range',
      'record.not-amendable',
      'record.not-amendable',
      'form.too-long'
    ]);
    expect(amend(made.seq, { name: 'Char, whole' }).ok).to.equal(true);
    const correction = at.house.store.record.head().seq;
    const again = amend(correction, { reason: 'a better one' });
    expect(again.ok ? 'done' : again.code).to.equal('record.not-amendable');
  });
});
