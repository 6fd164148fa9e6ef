import { expect } from 'chai';
import { everyObjectsIn } from '../../src/lib/server/input/strangers.ts';
import { houseShown } from '../../src/lib/server/views/house.ts';
import { INTO_CHEST } from './cold-house.ts';
import { charHouse, HOUR, NOON, openTestHouse, type TestHouse } from './house.ts';

const codeOf = (answer: ReturnType<TestHouse['act']>) => (answer.ok ? 'done' : answer.code);

describe('what stands at the door', () => {
  let house: TestHouse;
  beforeEach(() => (house = openTestHouse()));
  afterEach(() => house.close());

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
  it('nor a second of a name in letters that look like its own: not of people, places or sensors', () => {
    house.done('join-person', { name: 'Tove' });
    house.done('set-place', { name: 'Chest', kind: 'freezer' });
    house.done('set-sensor', { name: 'Chest air' });
    const made = (name: string, input: object) => codeOf(house.act(name, input));
    for (const looks of ['T\u043eve', 'TOVE', '\uff34ove', 'tov\u0435 ']) {
      expect(made('join-person', { name: looks }), looks).to.equal('form.value-unknown');
    }
    expect(house.done('set-place', { name: '\u0421hest', kind: 'freezer' })).to.include({ place: 'chest' });
    house.done('set-place', { name: 'Upright', kind: 'freezer' });
    expect(made('set-place', { id: 'upright', name: '\u0421hest', kind: 'freezer' })).to.equal('place.name-taken');
    expect(house.done('set-sensor', { name: 'Chest \u0430ir' })).to.deep.equal({ sensor: 'chest-air' });
    expect(made('join-person', { name: 'Тимур' })).to.equal('done');
  });
  it('a key used by two people shows neither what the other sent', () => {
    house.done('join-person', { name: 'Bo' });
    house.act('set-place', { name: 'Drawer of Ada', kind: 'drawer' }, { key: 'k' });
    const clash = (actor: string) => {
      const answer = house.act('set-place', { name: 'Shelf', kind: 'drawer' }, { key: 'k', actor });
      return answer.ok ? '' : JSON.stringify(answer.details);
    };
    expect(clash('p1')).to.contain('Drawer of Ada').and.contain('Shelf');
    expect(clash('p2')).to.not.contain('Drawer of Ada');
    expect(clash('p2')).to.contain('Shelf');
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
  it('no time is moved out of the life of a piece, nor out of the run it belongs to', () => {
    const { house, piece } = at;
    const hour = (hours: number) => new Date(NOON + hours * HOUR).toISOString();
    const later = (hours: number) => house.clock.moveTo(NOON + hours * HOUR, true);
    const last = () => house.store.record.head().seq;
    const move = (seq: number, hours: number) =>
      codeOf(house.act('amend-entry', { seq, happened: hour(hours), reason: 'typed late', ownWidening: true }));
    const made = house.store.record.eventsOf(`piece:${piece}`).find(({ kind }) => kind === 'piece.made')!.seq;
    house.done('set-place', { name: 'Chest', kind: 'freezer', setPoint: '-25 C' });
    later(2);
    house.done('start-freeze', { ...INTO_CHEST, piece });
    const begun = last();
    later(4);
    house.done('read-freeze', { piece, reading: '-12 C', probe: 'core' });
    const read = last();
    later(6);
    house.done('discard-piece', { piece, reason: 'time is up', all: true });
    const binned = last();
    later(9);
    // Before it was there, before it was begun, after it was binned; and the making, the beginning and the end past the rest.
    for (const [what, seq, hours] of [
      ['a reading before the freezing', read, 1.5],
      ['a reading after the bin', read, 7],
      ['a freezing before the fish', begun, -1],
      ['a freezing after its reading', begun, 5],
      ['the bin before the reading', binned, 3],
      ['the making after the freezing', made, 3]
    ] as const)
      expect(move(seq, hours), what).to.equal('time.out-of-order');
    expect(move(read, 3)).to.equal('done');
    expect(move(begun, 1)).to.equal('done');
    expect(move(binned, 5)).to.equal('done');
  });
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
