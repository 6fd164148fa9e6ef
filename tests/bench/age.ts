import { lossAfter } from '../../src/lib/core/bench/age/drying.ts';
import { shippedPrior, type WeighIn } from '../../src/lib/core/bench/age/fit.ts';
import { ageForecast } from '../../src/lib/core/bench/age/forecast.ts';
import { PREPARATION } from '../../src/lib/core/activity/age/lists.ts';
import { rackView } from '../../src/lib/server/views/rack.ts';
import type { App } from '../../src/lib/server/app.ts';
import { CHAR, FEED, openTestHouse } from '../server/house.ts';

type Add = (what: string, value: number, budget: number, unit: string) => void;
type Times = (count: number, warm: number, work: (index: number) => void) => number[];
type At = (sorted: number[], share: number) => number;

const FISH = 60;
const DAYS = 30;
const CABINET = 'Ageing cabinet';

/** A full rack: every fish weighed every day for a month. */
const rack = (): { weights: WeighIn[]; grams: number }[] =>
  Array.from({ length: FISH }, (_, fish) => {
    const grams = 1500 + fish * 60;
    const drying = { rate: 0.008 + fish * 1e-4, most: 0.24 + fish * 1e-3 };
    const weights = Array.from({ length: DAYS + 1 }, (__, day) => ({
      day,
      grams: Math.round(grams * (1 - (day === 0 ? 0 : lossAfter(drying, day))) + 2 * Math.sin(day * 7 + fish))
    }));
    return { weights, grams };
  });

/** Forecasts of a full rack, and the whole of what its screen asks for: verdicts, costs, advice, the cabinet's log. */
export function ageRows(add: Add, times: Times, at: At): void {
  const fish = rack();
  const once = () => {
    for (const { weights, grams } of fish) {
      const prior = shippedPrior({ kind: 'whole', grams, celsius: 2, humidity: 0.8 });
      ageForecast(weights, prior, 0.12, DAYS, 1);
    }
  };
  add(
    `rack of ${FISH} x ${DAYS} days, forecast (median)`,
    at(
      times(15, 5, () => once()),
      0.5
    ),
    200,
    'ms'
  );

  const house = openTestHouse();
  house.done('set-place', { name: CABINET, kind: 'cabinet', setPoint: '2 C' });
  house.done('set-rack', { place: CABINET, hooks: 40, shelves: 4, perShelf: 6 });
  house.done('set-service', { name: 'Saturday', at: '2026-03-14T18:00' });
  const ids = fish.map(({ grams }, index) => {
    const lot = house.done('receive-lot', { ...CHAR, form: 'gutted', mass: `${grams} g`, price: 20, pricePer: 'kg' });
    house.done('attach-evidence', { lot: lot.lot, ...FEED });
    const spot = index < 40 ? `H${index + 1}` : '';
    const prepared = PREPARATION.whole.join(',');
    house.done('start-age', { piece: lot.piece, place: CABINET, spot, mass: `${grams} g`, celsius: '2 C', prepared });
    return String(lot.piece);
  });
  for (let day = 1; day <= 10; day++) {
    house.clock.moveTo(house.clock.now() + 86_400_000, true);
    house.done('read-place', { place: CABINET, reading: '2 C' });
    ids.forEach((piece, index) => house.done('weigh-aged', { piece, mass: `${fish[index]!.weights[day]!.grams} g` }));
  }
  const app = { store: house.store, clock: house.clock } as unknown as App;
  add(
    `everything the screen of a rack of ${FISH} asks for (median)`,
    at(
      times(9, 3, () => void rackView(app)),
      0.5
    ),
    1000,
    'ms'
  );
  house.close();
}
