import { expect } from 'chai';
import { pieceView } from '../../src/lib/server/views/piece.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import type { App } from '../../src/lib/server/app.ts';
import { openTestHouse, type TestHouse } from './house.ts';

export const WILD = {
  species: 'halibut',
  form: 'fillet',
  source: 'wild',
  water: 'sea',
  commercial: 'yes',
  supplier: 'Kelda Bay Boats',
  caughtOn: '2026-03-08',
  mass: '2 kg',
  core: '1 C'
};
export const FROZEN = { type: 'freezing-statement', issuer: 'Cold store', frozenAt: '-20 C', frozenFor: '7 d' };
export const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64'
);

/** A house of its own for each test of the suite that asks, verified after each; and hands at its door. */
export function doorHouse() {
  let house: TestHouse;
  let app: App;
  const raw = (piece: string) => pieceView(app, piece).verdict.windows.find(({ route }) => route === 'raw')!.state;
  const received = (lot: string) => house.store.projections.lot(lot).received;
  const take = (more = {}) => house.done('receive-lot', { ...WILD, ...more }) as { lot: string; piece: string };
  const refused = (name: string, input: unknown) => {
    const before = house.store.record.head().seq;
    const answer = house.act(name, input);
    expect(answer.ok, name).to.equal(false);
    expect(house.store.record.head().seq).to.equal(before);
    return answer as Extract<typeof answer, { ok: false }>;
  };
  beforeEach(() => {
    house = openTestHouse();
    app = { ...house, config: { mode: 'test' }, movable: house.clock, readOnly: false } as unknown as App;
  });
  afterEach(() => {
    expect(verify(house.store, house.clock.now()).trouble).to.equal(null);
    house.close();
  });

  return {
    get house() {
      return house;
    },
    get app() {
      return app;
    },
    raw,
    received,
    take,
    refused
  };
}
