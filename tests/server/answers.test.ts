import { expect } from 'chai';
import { IS_LONG } from '../runs.ts';
import { join } from 'node:path';
import { answerQuery } from '../../src/lib/server/api.ts';
import type { App } from '../../src/lib/server/app.ts';
import { movableClock } from '../../src/lib/server/clock.ts';
import { EXAMPLES } from '../../src/lib/server/examples.ts';
import { OPERATIONS, QUERIES } from '../../src/lib/server/registry.ts';
import { openStore } from '../../src/lib/server/store/store.ts';
import { nowView } from '../../src/lib/server/views/now.ts';
import { answerTroubles } from './answers.ts';
import { copyDemo } from './demo.ts';
import { actedOut } from './acted.ts';
import { NOON, scratch } from './house.ts';

describe('what the document says of answers', () => {
  it('is true of every example, done one after another; and every operation has one', () => {
    actedOut().close();
    const told = new Set(EXAMPLES.map(({ operation }) => operation));
    expect(OPERATIONS.filter(({ name }) => !told.has(name)).map(({ name }) => name)).to.deep.equal([]);
  });
  it('is no empty word: an answer of another shape is found out', () => {
    const whole = { result: { piece: 'A', pieces: ['A'] }, seq: 1, repeated: false };
    expect(answerTroubles('move-piece', whole)).to.deep.equal([]);
    expect(answerTroubles('move-piece', { ...whole, result: { piece: 'A' } })).to.have.length(1);
    expect(answerTroubles('move-piece', { ...whole, seq: '1' })).to.have.length(1);
    expect(answerTroubles('lots', { lots: [{ id: 5 }] })).to.not.deep.equal([]);
  });
  it('is true of every query in a house in full swing, piece by piece', async () => {
    const folder = scratch();
    copyDemo(join(folder.path, 'demo.db'));
    const store = openStore(join(folder.path, 'demo.db'));
    const app = { store, clock: movableClock(NOON, true) } as unknown as App;
    try {
      const lots = store.projections.lots().map(({ id }) => id);
      const pieces = nowView(app).pieces.map(({ id }) => id);
      expect(Math.min(lots.length, pieces.length)).to.be.greaterThan(10);
      const ids: Record<string, readonly string[]> = { pieces, lots };
      const asked = new Set<string>();
      const troubles: string[] = [];
      for (const { name, path } of QUERIES) {
        const [kind, rest] = path.split('/{id}');
        // The costly questions are asked of every fifth piece; on any day the others of every other.
        const every = (rest === '' ? 1 : 5) * (IS_LONG ? 1 : 2);
        for (const id of rest === undefined ? [] : (ids[kind!] ?? []).filter((_, index) => index % every === 0)) {
          const answer = answerQuery(app, `${kind}/${id}${rest}`, new URLSearchParams());
          if (answer.status !== 200) continue;
          asked.add(name);
          troubles.push(...answerTroubles(name, await answer.json()).map((each) => `${id} ${each}`));
        }
      }
      for (const name of ['now', 'house', 'ledger', 'ageing-rack', 'cold-places', 'lots', 'recipes', 'ingredients']) {
        const { path } = QUERIES.find((query) => query.name === name)!;
        troubles.push(...answerTroubles(name, await answerQuery(app, path, new URLSearchParams()).json()));
      }
      expect(asked.size).to.be.greaterThan(8);
      expect(troubles.slice(0, 40)).to.deep.equal([]);
    } finally {
      store.close();
      folder.clear();
    }
  });
});
