import { expect } from 'chai';
import { join } from 'node:path';
import { readConfig } from '../../src/lib/server/config.ts';
import { openApp } from '../../src/lib/server/app.ts';
import { pieceView } from '../../src/lib/server/views/piece.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { storeTrouble } from '../../src/lib/server/store/open.ts';
import { draft } from '../../src/lib/server/store/record.ts';
import { openStore } from '../../src/lib/server/store/store.ts';
import { CHAR, FEED, HOUR, NOON, openTestHouse, scratch, type TestHouse } from './house.ts';
import { state, P, L } from './one-fish.ts';

describe('amending', () => {
  let house: TestHouse;
  beforeEach(() => {
    house = openTestHouse();
    house.done('receive-lot', CHAR);
    house.done('attach-evidence', { lot: L, ...FEED });
  });
  afterEach(() => {
    expect(verify(house.store, house.clock.now()).trouble).to.equal(null);
    house.close();
  });
  const seqOf = (kind: string) => house.store.record.list({ limit: 100 }).find((entry) => entry.kind === kind)!.seq;

  it('taking a paper back closes what it opened', () => {
    house.done('amend-entry', { seq: seqOf('evidence.attached'), void: true, reason: 'wrong lot' });
    expect(state(house, P, 'raw')).to.equal('not-cleared');
  });
  it('an amendment that widens has to be owned, and stays on the piece with its name and reason', () => {
    house.done('divide-piece', { piece: P, name: 'Loin', mass: '500 g' });
    house.done('discard-piece', { piece: P, reason: 'dropped', all: true });
    const amend = { seq: seqOf('piece.discarded'), void: true, reason: 'it was the other one' };
    const refusedOnce = house.act('amend-entry', amend);
    expect(refusedOnce).to.include({ ok: false, code: 'record.widens-without-owner' });
    expect(state(house, P, 'raw')).to.equal('closed');
    house.done('amend-entry', { ...amend, ownWidening: 'on' });
    expect(state(house, P, 'raw')).to.equal('open');
    const app = { store: house.store, clock: house.clock } as never;
    expect(pieceView(app, P).owned.map(({ by, reason }) => [by, reason])).to.deep.equal([
      ['p1', 'it was the other one']
    ]);
  });
  it('a slip that is mended is no exception, unless it opens what only a document opens, or what somebody decided', () => {
    // A day of catch typed a week too early: a second person mends it, and answers for nothing.
    const early = { seq: seqOf('lot.received'), patch: { caughtOn: '2026-02-20' }, reason: 'misread' };
    house.done('amend-entry', early);
    expect(state(house, P, 'raw')).to.equal('closed');
    house.clock.moveBy(60_000);
    const late = { ...early, patch: { caughtOn: '2026-03-08' }, reason: 'the slip says the 8th' };
    expect(house.done('amend-entry', late)).to.deep.include({ widens: [] });
    expect(state(house, P, 'raw')).to.equal('open');
    // What was read warm at the door is the law's: it is mended, and somebody stands for it.
    house.done('amend-entry', {
      seq: seqOf('lot.received'),
      patch: { core: { si: 9, unit: 'C', typed: '9 C' } },
      reason: 'misread'
    });
    expect(state(house, P, 'raw')).to.not.equal('open');
    const cold = {
      seq: seqOf('lot.received'),
      patch: { core: { si: 1.5, unit: 'C', typed: '1.5 C' } },
      reason: 'it was 1.5'
    };
    expect(house.act('amend-entry', cold)).to.include({ code: 'record.widens-without-owner' });
    expect(house.done('amend-entry', { ...cold, ownWidening: 'on' }).widens).to.include('raw');
    // And so is what somebody decided.
    house.done('amend-entry', { seq: seqOf('lot.received'), patch: { decision: 'cooked-only' }, reason: 'soft' });
    const looser = { seq: seqOf('lot.received'), patch: { decision: 'accept' }, reason: 'firm after all' };
    expect(house.act('amend-entry', looser)).to.include({ code: 'record.widens-without-owner' });
  });
  it('takes a bin back on the tablet it was done on; on another the same person is refused', () => {
    house.act('discard-piece', { piece: P, reason: 'dropped', all: true }, { tablet: 'bar' });
    const amend = { seq: seqOf('piece.discarded'), void: true, reason: 'the other one', ownWidening: 'on' };
    for (const tablet of ['pass', undefined])
      expect(house.act('amend-entry', amend, { tablet })).to.include({ code: 'record.needs-second-person' });
    expect(house.act('amend-entry', amend, { tablet: 'bar' })).to.include({ ok: true });
    expect(state(house, P, 'raw')).to.equal('open');
  });
  it('moves the time of an entry, and the date mark with it', () => {
    house.clock.moveBy(30 * HOUR);
    const before = house.store.projections.piece(P).windows[0]!.closes!;
    house.done('amend-entry', {
      seq: seqOf('lot.received'),
      patch: { caughtOn: '2026-03-06' },
      reason: 'read the slip again'
    });
    expect(house.store.projections.piece(P).windows[0]!.closes!).to.be.lessThan(before);
  });
  it('a piece that was never taken gives its weight back once both entries are voided', () => {
    const { piece } = house.done('divide-piece', { piece: P, name: 'Loin', mass: '500 g' }) as { piece: string };
    house.done('amend-entry', {
      seq: seqOf('piece.gave'),
      void: true,
      reason: 'weighed the wrong fish',
      ownWidening: 'on'
    });
    // The lot's first piece was made before it: the newest making is the one to void.
    house.done('amend-entry', { seq: seqOf('piece.made'), void: true, reason: 'weighed the wrong fish' });
    expect(house.store.projections.piece(P).state.grams).to.equal(2000);
    expect(() => house.store.projections.piece(piece)).to.throw(/record.not-found/);
  });
  it('refuses a change that would not make a whole entry, and an entry that is not to be amended', () => {
    expect(house.act('amend-entry', { seq: seqOf('lot.received'), patch: { mass: 'much' }, reason: 'x' })).to.include({
      code: 'record.body-invalid'
    });
    expect(house.act('amend-entry', { seq: 1, void: true, reason: 'x' })).to.include({ code: 'record.not-amendable' });
    expect(house.act('amend-entry', { seq: 999, void: true, reason: 'x' })).to.include({ code: 'record.not-found' });
    expect(house.act('amend-entry', { seq: seqOf('lot.received'), reason: 'x' })).to.include({
      code: 'form.incomplete'
    });
    expect(house.act('amend-entry', { seq: seqOf('lot.received'), patch: '{oops', reason: 'x' })).to.include({
      code: 'request.not-json'
    });
  });
});

describe('people', () => {
  it('a forgotten person’s name is nowhere in the file, and the chain still holds', () => {
    const house = openTestHouse();
    house.done('join-person', { name: 'Quillfeather' });
    house.done('receive-lot', CHAR);
    house.act('read-cold', { piece: P, reading: '2 C' }, { actor: 'p2' });
    house.done('forget-person', { person: 'p2', reason: 'left' });
    const { count } = house.store.db
      .prepare(`SELECT count(*) AS count FROM requests WHERE operation = 'join-person' AND fingerprint <> ''`)
      .get() as { count: number };
    expect(count).to.equal(0);
    expect(house.store.db.serialize().toString('latin1')).to.not.contain('Quillfeather');
    expect(verify(house.store, NOON).ok).to.equal(true);
    expect(house.act('read-cold', { piece: P, reading: '2 C' }, { actor: 'p2' })).to.include({
      code: 'person.unknown'
    });
    house.close();
  });
});

describe('a clock set back', () => {
  it('is said once in the ledger, and the ledger’s own time does not run backwards', () => {
    const house = openTestHouse();
    house.done('receive-lot', CHAR);
    house.clock.moveBy(-3 * HOUR);
    expect(house.executor.clockBehindSeconds()).to.equal(3 * 3600);
    house.done('read-cold', { piece: P, reading: '2 C' });
    house.done('read-cold', { piece: P, reading: '2 C' });
    const notices = house.store.record.list({ limit: 100 }).filter(({ kind }) => kind === 'clock.behind');
    expect(notices).to.have.length(1);
    expect(notices[0]!.body).to.deep.equal({ behindSeconds: 3 * 3600 });
    const recorded = house.store.record.list({ limit: 100 }).map((entry) => entry.recorded);
    expect(recorded).to.deep.equal([...recorded].sort((a, b) => b - a));
    // What is on record stays on record: the piece is judged at the ledger's time, and everything verifies.
    const app = { store: house.store, clock: house.clock } as never;
    expect(pieceView(app, P).verdict.at).to.equal(NOON);
    expect(verify(house.store, house.clock.now()).trouble).to.equal(null);
    house.clock.moveBy(4 * HOUR);
    expect(house.executor.clockBehindSeconds()).to.equal(0);
    house.close();
  });
});

describe('a full record, and one that may not be written to', () => {
  let folder: ReturnType<typeof scratch>;
  beforeEach(() => (folder = scratch()));
  afterEach(() => folder.clear());

  it('full: says so, writes nothing by halves, and goes on once there is room', () => {
    const file = join(folder.path, 'ember-tide.db');
    openTestHouse(file).close();
    const pages = (() => {
      const store = openStore(file);
      const count = store.db.pragma('page_count', { simple: true }) as number;
      store.close();
      return count;
    })();
    const house = openTestHouse(file, { maxPages: pages + 12 });
    let answer = house.act('receive-lot', CHAR);
    for (let tries = 0; answer.ok && tries < 200; tries++) answer = house.act('receive-lot', CHAR);
    expect(answer).to.include({ ok: false, status: 503, code: 'store.full' });
    // Nor are readings, papers or the entry that would note a copy; and what was there holds.
    const head = house.store.record.head();
    const full = (work: () => unknown) => {
      try {
        work();
        return 'done';
      } catch (error) {
        return (storeTrouble(error) as { code: string }).code;
      }
    };
    const paper = new Uint8Array(4_000_000).fill(7);
    expect(full(() => house.store.files.put(paper, 'application/pdf', NOON))).to.equal('store.full');
    const many = Array.from({ length: 4000 }, () => draft('clock.behind', 'clock', NOON, { behindSeconds: 1 }));
    const write = () => house.executor.write('system', () => ({ events: many, places: [], result: null }));
    expect(full(write)).to.equal('store.full');
    expect(house.store.record.head()).to.deep.equal(head);
    expect(verify(house.store, NOON).trouble).to.equal(null);
    expect(verify(house.store, NOON).trouble).to.equal(null);
    house.store.db.pragma('max_page_count = 1000000');
    expect(house.act('receive-lot', CHAR).ok).to.equal(true);
    expect(verify(house.store, NOON).ok).to.equal(true);
    house.close();
  });
  it('read-only: opens for reading, says so, refuses to write', () => {
    const file = join(folder.path, 'ember-tide.db');
    const first = openTestHouse(file);
    first.done('receive-lot', CHAR);
    first.close();
    const app = openApp({ EMBER_TIDE_DATA: folder.path, EMBER_TIDE_READONLY: '1' });
    expect(app.readOnly).to.equal(true);
    expect(app.store.projections.lots()).to.have.length(1);
    const house = openTestHouse(file, { readonly: true });
    expect(house.act('read-cold', { piece: P, reading: '2 C' })).to.include({
      ok: false,
      status: 503,
      code: 'store.read-only'
    });
    house.close();
    app.store.close();
  });
});

describe('what the outside may set', () => {
  it('only a demo or a test may move the clock', () => {
    expect(readConfig({ EMBER_TIDE_FROZEN_AT: '2026-01-01T00:00:00Z' })).to.include({
      mode: 'production',
      frozenAt: null
    });
    expect(readConfig({ EMBER_TIDE_MODE: 'test', EMBER_TIDE_FROZEN_AT: '2026-01-01T00:00:00Z' }).frozenAt).to.equal(
      Date.UTC(2026, 0, 1)
    );
    expect(readConfig({ EMBER_TIDE_MODE: 'anything' }).mode).to.equal('production');
  });
});
