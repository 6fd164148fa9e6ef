import { expect } from 'chai';
import { boardView } from '../../src/lib/server/views/board.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import type { App } from '../../src/lib/server/app.ts';
import { CHAR, FEED, openTestHouse, type TestHouse } from './house.ts';

export const TURBOT = {
  ...CHAR,
  species: 'turbot',
  form: 'whole',
  water: 'sea',
  mass: '3 kg',
  supplier: 'Graywater Landings',
  thickness: '',
  pricePerKg: 30
};
export const BONITO = {
  ...CHAR,
  species: 'atlantic-bonito',
  form: 'whole',
  source: 'wild',
  farmSystem: '',
  water: 'sea',
  mass: '2 kg',
  pricePerKg: 12
};
/** The house as a view reads it. */
export const appOf = ({ store, clock }: TestHouse) => ({ store, clock }) as unknown as App;

/** A house of its own for each test of the suite that asks, verified after each; and hands at its board. */
export function knifeHouse() {
  let house: TestHouse;
  beforeEach(() => {
    house = openTestHouse();
  });
  afterEach(() => {
    expect(verify(house.store, house.clock.now()).trouble).to.equal(null);
    house.close();
  });
  const receive = (input: object): { lot: string; piece: string } => house.done('receive-lot', input) as never;
  const refusal = (name: string, input: object) => {
    const answer = house.act(name, input);
    if (answer.ok) throw new Error(`${name} was taken`);
    return answer;
  };
  const view = (piece: string) => boardView(appOf(house), piece);
  const later = (minutes: number) => house.clock.moveTo(house.clock.now() + minutes * 60_000, true);
  const state = (piece: string) => house.store.projections.piece(piece).state;
  /** A turbot on the board. */
  const onBoard = () => {
    const { lot, piece } = receive(TURBOT);
    house.done('attach-evidence', { lot, ...FEED });
    house.done('open-board', { piece });
    return { lot, piece };
  };
  const take = (piece: string, part: string, mass: string, more: object = {}) => {
    later(1);
    return String(house.done('take-part', { piece, part, mass, ...more }).piece);
  };

  return {
    get house() {
      return house;
    },
    receive,
    refusal,
    view,
    later,
    state,
    onBoard,
    take
  };
}
