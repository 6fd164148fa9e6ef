import { lossAfter } from '../../core/bench/age/drying.ts';
import { PREPARATION } from '../../core/activity/age/lists.ts';
import { addDays } from '../../core/measure/day.ts';
import type { DemoTools } from './tools.ts';

const FINE = { skin: 'dry', eye: 'clear', smell: 'clean', slime: 'none', firmness: 'firm' };
const CABINET = 'Ageing cabinet';

interface Hung {
  readonly name: string;
  /** Hours ago. */
  readonly from: number;
  readonly grams: number;
  readonly rate: number;
  readonly spot: string;
  readonly target: string;
  readonly weighed: readonly number[];
  readonly looked: readonly number[];
  readonly prepared?: readonly string[];
}

const daily = (from: number, until: number) => {
  const out: number[] = [];
  for (let ago = from - 22; ago > until; ago -= 24) out.push(ago);
  return out;
};

/** What every fish on the rack is bought and hung with. */
function rackTools({ step, receive, paper, daysAgo, celsius, pieces }: DemoTools) {
  const farmed = (name: string, ago: number, species: string, grams: number, caught: number, price: number) => {
    receive(name, ago, 'p1', {
      species,
      form: 'gutted',
      source: 'farmed',
      farmSystem: 'land-based',
      water: species === 'turbot' ? 'sea' : 'fresh',
      area: 'Outer Vess',
      supplier: 'Graywater Landings',
      supplierLot: `GW-${700 + caught}`,
      caughtOn: daysAgo(caught),
      mass: `${grams + 15} g`,
      core: celsius(1),
      pricePerKg: price
    });
    paper(name, ago - 0.2, {
      type: 'feed-statement',
      issuer: 'Holm Sea Farm',
      reference: `HSF ${100 + caught}`,
      formulatedFeed: true,
      raised: true,
      fromEmbryos: true,
      noHazardVerified: true,
      expiresOn: daysAgo(-90)
    });
  };
  const hang = ({ name, from, grams, rate, spot, target, weighed, looked, prepared = PREPARATION.whole }: Hung) => {
    step(from, 'p2', 'start-age', () => ({
      piece: pieces[name],
      place: CABINET,
      spot,
      mass: `${grams} g`,
      target,
      celsius: '1 C',
      humidity: '80 %',
      prepared: prepared.join(',')
    }));
    for (const ago of weighed) {
      const day = (from - ago) / 24;
      // A cloth and a drip: a few grams one way and the other.
      const off = 2 * Math.sin(day * 7 + grams);
      const mass = `${Math.round(grams * (1 - lossAfter({ rate, most: 0.27 }, day)) + off)} g`;
      step(ago, 'p3', 'weigh-aged', () => ({ piece: pieces[name], mass }));
    }
    for (const ago of looked) step(ago - 0.05, 'p3', 'look-aged', () => ({ piece: pieces[name], ...FINE }));
  };
  return { farmed, hang };
}

/** The ageing cabinet, its logger, and what hangs in it: one nearly there, one for the end of the week, one hung in a hurry. */
export function rackOf(tools: DemoTools): void {
  const { step, receive, paper, daysAgo, celsius, pieces } = tools;
  const { farmed, hang } = rackTools(tools);
  step(284, 'p1', 'set-place', () => ({ name: CABINET, kind: 'cabinet', setPoint: '1 C', warnAbove: '2 C' }));
  step(279, 'p1', 'set-sensor', () => ({
    name: 'Cabinet air',
    place: CABINET,
    accuracy: 0.3,
    calibratedOn: daysAgo(60)
  }));
  step(278, 'p1', 'set-rack', () => ({ place: CABINET, hooks: 6, shelves: 2, perShelf: 4 }));

  farmed('aged-before', 283, 'turbot', 2800, 13, 31);
  hang({
    name: 'aged-before',
    from: 281,
    grams: 2800,
    rate: 0.0112,
    spot: 'H6',
    target: '9 %',
    weighed: daily(281, 80),
    looked: daily(281, 80)
  });
  // Its thermometer is written down with the morning's look, logger or not.
  for (const ago of daily(302, 50)) step(ago, 'p3', 'read-place', () => ({ place: CABINET, reading: celsius(1.1) }));
  step(78, 'p2', 'end-age', () => ({ piece: pieces['aged-before'], how: 'pulled', place: 'Drawer 1' }));
  step(54, 'p2', 'serve-piece', () => ({
    piece: pieces['aged-before'],
    route: 'raw',
    dish: 'aged turbot, its own garum',
    all: true
  }));

  farmed('age-turbot', 150, 'turbot', 3340, 8, 31);
  hang({
    name: 'age-turbot',
    from: 147,
    grams: 3340,
    rate: 0.0096,
    spot: 'H2',
    target: '9 %',
    weighed: daily(147, 1),
    // Nobody looked at it on one day.
    looked: daily(147, 1).filter((_, index) => index !== 3)
  });
  farmed('age-char', 122, 'arctic-char', 2450, 6, 19.5);
  hang({
    name: 'age-char',
    from: 120,
    grams: 2450,
    rate: 0.0125,
    spot: 'H4',
    target: '6 %',
    weighed: daily(120, 1),
    looked: daily(120, 1)
  });
  receive('age-bonito', 56, 'p2', {
    species: 'atlantic-bonito',
    form: 'gutted',
    source: 'wild',
    area: 'Vess Banks',
    supplier: 'Kelda Bay Boats',
    supplierLot: 'KB-131',
    caughtOn: daysAgo(3),
    mass: '1935 g',
    core: celsius(0.9),
    pricePerKg: 14
  });
  paper('age-bonito', 55.8, {
    type: 'chill-record',
    issuer: 'Kelda Bay Boats',
    reference: 'deck sheet 9',
    note: 'slurry ice aboard'
  });
  hang({
    name: 'age-bonito',
    from: 52,
    grams: 1920,
    rate: 0.014,
    spot: 'H5',
    target: '8 %',
    weighed: [],
    looked: [28],
    prepared: ['gutted', 'scrubbed']
  });
}

/** Sittings ahead: tonight, and the Saturday that comes. */
export function sittings({ step, daysAgo }: DemoTools): void {
  const today = daysAgo(0);
  const weekday = new Date(`${today}T12:00:00Z`).getUTCDay();
  const saturday = addDays(today, (6 - weekday + 7) % 7 || 7);
  step(30, 'p1', 'set-service', () => ({ name: 'Tonight', at: `${today}T18:30`, covers: 34 }));
  step(30, 'p1', 'set-service', () => ({ name: 'Saturday', at: `${saturday}T19:00`, covers: 52 }));
}
