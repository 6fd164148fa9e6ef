import { expect } from 'chai';
import { gunzipSync } from 'node:zlib';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { movableClock } from '../../src/lib/server/clock.ts';
import { createExecutor } from '../../src/lib/server/operations/execute.ts';
import { operationByName } from '../../src/lib/server/registry.ts';
import { openStore, type Store } from '../../src/lib/server/store/store.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { copyDemo } from './demo.ts';
import { CHAR, FEED, HOUR, NOON, openTestHouse, scratch, type TestHouse } from './house.ts';

const OLD_HOUSE = join(import.meta.dirname, '../fixtures/house-2026-11.db.gz');

/** What is said of every piece here, but for the names of places. */
const said = (store: Store) =>
  store.projections
    .livePieces()
    .map(({ state, windows, missing, clock }) => [
      state.id,
      windows.map(({ route, opens, closes, never }) => [route, opens, closes, never]),
      missing,
      clock?.warm ?? null
    ]);

describe('a place that is called otherwise', () => {
  let house: TestHouse;
  let piece: string;
  const state = () => house.store.projections.piece(piece).state;
  const clockOf = () => house.store.projections.livePieces().find((each) => each.state.id === piece)!.clock;
  beforeEach(() => {
    house = openTestHouse();
    house.done('set-place', { name: 'Drawer' });
    piece = house.done('receive-lot', CHAR).piece as string;
    house.done('attach-evidence', { lot: 'ARC-0309-1', ...FEED });
    house.done('move-piece', { piece, place: 'drawer' });
  });
  afterEach(() => house.close());
  const rename = (id: string, name: string) => house.done('set-place', { id, name });

  it('is the same place: what lay in it lies in it still, as cold as it was, and what is told of it is told of it', () => {
    house.done('set-sensor', { name: 'Drawer air', place: 'Drawer' });
    house.done('make-tub', { mass: '2 kg', place: 'Drawer', dressing: 'Rice vinegar', core: '60 C' });
    house.clock.moveTo(NOON + HOUR, true);
    const before = said(house.store);
    rename('drawer', 'Top drawer, left');
    expect(said(house.store)).to.deep.equal(before);
    expect(state().stays.at(-1)!.place).to.equal('Top drawer, left');
    expect(house.store.projections.currentHouse().sensors['drawer-air']!.place).to.equal('Top drawer, left');
    expect(JSON.stringify(house.store.projections.subjects.live())).to.contain('Top drawer, left');
    expect(house.store.projections.piecesIn('Top drawer, left')).to.deep.equal([piece]);
    expect(house.store.projections.piecesIn('Drawer')).to.deep.equal([]);
    // What comes after is told of it by either way of asking.
    house.done('read-place', { place: 'top drawer, left', reading: '3 C' });
    const told = house.store.record.list({ limit: 1 })[0]!;
    expect(told.kind === 'place.read' && told.body.place).to.equal('Top drawer, left');
    expect(verify(house.store, house.clock.now()).trouble).to.equal(null);
  });
  it('stands in the record by its id; what was on nobody’s list stands there in the words that were said', () => {
    house.done('move-piece', { piece, place: 'by the door' });
    house.done('move-piece', { piece, place: '@drawer' });
    const rows = [...house.store.record.iterate()].filter(({ kind }) => kind === 'piece.moved');
    expect(rows.map(({ body }) => (JSON.parse(body) as { place: string }).place)).to.deep.equal([
      '@drawer',
      'by the door',
      '@@drawer'
    ]);
    expect(state().stays.map(({ place }) => place)).to.include.members(['Drawer', 'by the door', '@drawer']);
  });
  it('never makes cold what lay in a place nobody listed, whatever it is called afterwards', () => {
    house.done('move-piece', { piece, place: 'Top drawer' });
    house.clock.moveTo(NOON + 3 * HOUR, true);
    house.done('read-cold', { piece, reading: '2 C' });
    const spent = clockOf()!.warm;
    expect(spent).to.not.equal(null);
    const before = said(house.store);
    rename('drawer', 'Top drawer');
    expect(said(house.store)).to.deep.equal(before);
    expect(clockOf()!.warm).to.deep.equal(spent);
    expect(state().stays.at(-1)!.place).to.equal('“Top drawer”');
    // Nor where a place is named to look like that.
    house.done('set-place', { name: '“Top drawer”' });
    expect(state().stays.at(-1)!.place).to.equal('““Top drawer””');
    expect(clockOf()!.warm).to.deep.equal(spent);
  });
  it('leaves its name free: another may bear it, and each keeps what was its own', () => {
    rename('drawer', 'Top drawer');
    const { place } = house.done('set-place', { name: 'Drawer', kind: 'bench' });
    expect(place).to.equal('drawer-2');
    expect(state().stays.at(-1)!.place).to.equal('Top drawer');
    house.done('move-piece', { piece, place: 'Drawer' });
    expect(
      state()
        .stays.map(({ place: where }) => where)
        .slice(-2)
    ).to.deep.equal(['Top drawer', 'Drawer']);
    // Taken off the list and named again it is the same place; another name would be another.
    house.done('set-place', { id: 'drawer-2', name: 'Drawer', withdraw: true });
    expect(house.done('set-place', { name: 'drawer', kind: 'bench' }).place).to.equal('drawer-2');
  });
  it('is refused the name of another, and an id that is none', () => {
    house.done('set-place', { name: 'Rack' });
    expect(house.act('set-place', { id: 'drawer', name: 'rack' })).to.include({ ok: false, code: 'place.name-taken' });
    expect(house.act('set-place', { id: 'nowhere', name: 'New' })).to.include({ ok: false, code: 'place.unknown' });
    expect(house.act('set-place', { id: 'drawer', name: 'Drawer', kind: 'fridge' }).ok).to.equal(true);
  });
  it('no other takes the name of one that was taken off the list: what lies there would seem to lie in the cold', () => {
    const at = NOON + 3 * HOUR;
    house.done('set-place', { name: 'Fridge', kind: 'fridge' });
    house.done('move-piece', { piece, place: 'Fridge' });
    house.done('set-place', { id: 'fridge', name: 'Fridge', withdraw: true });
    house.clock.moveTo(at, true);
    expect(house.act('set-place', { id: 'drawer', name: 'fridge' })).to.include({ code: 'place.name-taken' });
    // And should the record say so all the same, the judge tells them apart.
    const { db, record, projections } = house.store;
    const set = record.list({ kind: 'place.set' }).find(({ body }) => (body as { id: string }).id === 'drawer')!;
    const spent = (clock: ReturnType<typeof clockOf>) => (clock?.warm ? JSON.stringify(clock.warm) : '');
    projections.refold('house', at);
    const before = spent(clockOf());
    db.transaction(() => {
      record.append(
        [{ kind: 'place.set', subject: 'house', happened: at, body: { ...set.body, name: 'Fridge' } } as never],
        'p1',
        at
      );
      projections.refold('house', at);
    })();
    expect(state().stays.at(-1)!.place).to.equal('Fridge (fridge)');
    expect(before).to.not.equal('');
    // Never less than was spent before.
    const spans = (text: string) => (JSON.parse(text) as { spells: { from: number; to: number }[] }).spells;
    const sum = (text: string) => spans(text).reduce((all, { from, to }) => all + Math.min(to, at) - from, 0);
    expect(sum(spent(clockOf()))).to.be.at.least(sum(before));
  });
  it('a sensor called otherwise keeps its readings; its old name is free for another', () => {
    house.done('set-sensor', { name: 'Air', place: 'Drawer' });
    expect(house.done('set-sensor', { id: 'air', name: 'Drawer air', place: 'Drawer' }).sensor).to.equal('air');
    expect(house.done('set-sensor', { name: 'Air', place: '' }).sensor).to.equal('air-2');
    expect(house.act('set-sensor', { id: 'air-2', name: 'drawer AIR' })).to.include({ code: 'place.name-taken' });
    expect(house.act('set-sensor', { id: 'none', name: 'x' })).to.include({ code: 'sensor.unknown' });
    const { sensors } = house.store.projections.currentHouse();
    expect(Object.values(sensors).map(({ id, name, place }) => [id, name, place])).to.deep.equal([
      ['air', 'Drawer air', 'Drawer'],
      ['air-2', 'Air', '']
    ]);
  });
  it('an amendment that moves a stay means the place, and not its name', () => {
    const { seq } = house.store.record.list({ kind: 'piece.moved', limit: 1 })[0]!;
    house.done('set-place', { name: 'Rack' });
    house.done('amend-entry', { seq, patch: JSON.stringify({ place: 'Rack' }), reason: 'it was the rack' });
    rename('rack', 'Rack by the wall');
    expect(state().stays.at(-1)!.place).to.equal('Rack by the wall');
  });
  it('is not called so where the entry was rolled back', () => {
    const { db, record } = house.store;
    const set = house.store.record.list({ kind: 'place.set', limit: 1 })[0]!;
    const body = { ...(set.body as object), name: 'Never' };
    expect(() =>
      db.transaction(() => {
        record.append([{ kind: 'place.set', subject: 'house', happened: NOON, body: body as never }], 'p1', NOON);
        expect(record.eventsOf(`piece:${piece}`).at(-1)!.body).to.include({ place: 'Never' });
        throw new Error('no');
      })()
    ).to.throw('no');
    expect(record.eventsOf(`piece:${piece}`).at(-1)!.body).to.include({ place: 'Drawer' });
  });
});

describe('law: calling a place otherwise changes no window of any piece', () => {
  const folder = scratch();
  after(() => folder.clear());
  const houses: [string, (file: string) => void][] = [
    ['the demo house', copyDemo],
    ['a ledger from before places had ids', (file) => writeFileSync(file, gunzipSync(readFileSync(OLD_HOUSE)))]
  ];
  houses.forEach(([name, put], index) => {
    it(name, () => {
      const file = join(folder.path, `${index}.db`);
      put(file);
      const store = openStore(file);
      // Judged at one moment: time alone moves windows, too.
      const now = store.record.head().recorded;
      const executor = createExecutor(store, movableClock(now, true));
      store.projections.rebuild(now);
      const before = said(store);
      const places = Object.values(store.projections.currentHouse().places);
      const lain = places.filter(({ name: each }) => store.projections.piecesIn(each).length > 0);
      expect(lain.length).to.be.greaterThan(2);
      for (const { id, kind, airClass, setPoint, warnAbove, litres, watts, graceMinutes } of lain.slice(0, 4)) {
        const typed = (value: { typed: string } | null) => value?.typed ?? '';
        const rest = { airClass, setPoint: typed(setPoint), warnAbove: typed(warnAbove), graceMinutes };
        const answer = executor.execute({
          operation: operationByName('set-place')!,
          input: { id, name: `Now ${id}`, kind, ...rest, litres: litres ?? '', watts: watts ?? '' },
          actor: 'p1',
          key: `rename-${id}`
        });
        expect(answer.ok, JSON.stringify(answer)).to.equal(true);
      }
      expect(said(store)).to.deep.equal(before);
      expect(verify(store, now).trouble).to.equal(null);
      store.close();
    });
  });
});
