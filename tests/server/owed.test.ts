import { expect } from 'chai';
import { join } from 'node:path';
import { openStore } from '../../src/lib/server/store/store.ts';
import { rulesDigest } from '../../src/lib/server/store/rules-digest.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { eventually } from '../patience.ts';
import { charHouse, CHAR, scratch, type TestHouse } from './house.ts';

const RULES = {
  name: 'The Ebb Counter',
  profile: 'us-fc',
  zone: 'UTC',
  dayEndsHour: 4,
  currency: 'USD',
  warnMinutes: 60,
  rawShareOfIceDays: 0.4,
  dateMarkDays: 6
};
const OLD = '[]';
const shapeOf = ({ store }: TestHouse) =>
  store.db.prepare<[], { shape: number }>('SELECT shape FROM projection_shape').get()!.shape;
const windowsOf = ({ store }: TestHouse, id: string) =>
  store.db.prepare<[string], { windows: string }>('SELECT windows FROM pieces WHERE id = ?').get(id)!.windows;

describe('new rules of a house, and what is gone', () => {
  const at = charHouse();
  /** Some that are gone, and one that is here. */
  const some = (count: number) =>
    Array.from({ length: count }, () => {
      const piece = String(at.house.done('receive-lot', CHAR).piece);
      at.house.done('discard-piece', { piece, all: true, reason: 'for the test' });
      // Old in a way that is seen: what closed when it went closes then by any rules.
      at.house.store.db.prepare('UPDATE pieces SET windows = ? WHERE id = ?').run(OLD, piece);
      return piece;
    });

  it('what is here is judged at once, what is gone after the answer; who asks for it finds it judged', () => {
    const [gone] = some(9);
    const before = windowsOf(at.house, at.piece);
    at.house.done('set-house', RULES);
    expect(windowsOf(at.house, at.piece)).to.not.equal(before);
    expect(windowsOf(at.house, gone!), 'it waits').to.equal(OLD);
    expect(shapeOf(at.house), 'and the record says so').to.equal(0);
    at.house.store.projections.piece(gone!);
    expect(windowsOf(at.house, gone!)).to.not.equal(OLD);
    expect(shapeOf(at.house)).to.equal(rulesDigest());
    expect(verify(at.house.store, at.house.clock.now()).trouble).to.equal(null);
  });
  it('by and by all of it is judged, with nobody asking', async () => {
    const gone = some(15);
    at.house.done('set-house', RULES);
    await eventually(() => shapeOf(at.house) !== 0, 'all of it judged');
    expect(shapeOf(at.house)).to.equal(rulesDigest());
    expect(gone.filter((id) => windowsOf(at.house, id) === OLD)).to.deep.equal([]);
  });
  it('a house that ends before is judged anew when it is next opened', () => {
    const [gone] = some(7);
    at.house.done('set-house', RULES);
    const folder = scratch();
    const file = join(folder.path, 'ended.db');
    at.house.store.db.prepare('VACUUM INTO ?').run(file);
    const next = openStore(file);
    try {
      const row = next.db.prepare<[string], { windows: string }>('SELECT windows FROM pieces WHERE id = ?').get(gone!)!;
      expect(row.windows).to.not.equal(OLD);
      expect(verify(next, at.house.clock.now()).trouble).to.equal(null);
    } finally {
      next.close();
      folder.clear();
    }
  });
  it('a record that takes nothing any more stops no reader: it is tried again later', async () => {
    const [gone] = some(7);
    at.house.done('set-house', RULES);
    const { db, projections } = at.house.store;
    db.pragma('query_only = 1');
    // As many turns of the clock as all of it would need.
    await new Promise((done) => setTimeout(done, 60));
    expect(projections.piece(gone!).state.gone!.how).to.equal('discarded');
    db.pragma('query_only = 0');
    expect([shapeOf(at.house), windowsOf(at.house, gone!)]).to.deep.equal([0, OLD]);
    projections.piece(gone!);
    expect(windowsOf(at.house, gone!)).to.not.equal(OLD);
  });
  it('what is taken back leaves nothing owed, and what was owed before stays so', () => {
    const [gone] = some(7);
    const refused = () =>
      at.house.store.transact(() => {
        at.house.store.projections.refold('house', at.house.clock.now());
        throw new Error('taken back');
      });
    expect(refused).to.throw('taken back');
    at.house.store.projections.forgetCached();
    expect(shapeOf(at.house), 'nothing was changed').to.equal(rulesDigest());
    at.house.done('set-house', RULES);
    const lookedAt = () =>
      at.house.store.transact(() => {
        at.house.store.projections.settle();
        throw new Error('taken back');
      });
    expect(lookedAt).to.throw('taken back');
    at.house.store.projections.forgetCached();
    expect([shapeOf(at.house), windowsOf(at.house, gone!)]).to.deep.equal([0, OLD]);
    at.house.store.projections.settle();
    expect(windowsOf(at.house, gone!)).to.not.equal(OLD);
  });
});
