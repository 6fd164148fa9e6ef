import { seededChance } from '../../core/random.ts';
import { businessDay, addDays, type HouseTime } from '../../core/measure/day.ts';
import { ACTIVITIES } from '../activities.ts';
import { movableClock } from '../clock.ts';
import { createExecutor } from '../operations/execute.ts';
import { operationByName } from '../operations/registry.ts';
import { rackOf } from './age.ts';
import { coldLogs, coldPlacesOf } from './cold.ts';
import { curesOf } from './cure.ts';
import { knifeWork } from './knife.ts';
import { demoPaper, morning } from './morning.ts';
import type { Store } from '../store/store.ts';

/** A made-up raw bar in a made-up harbour town: everybody and everything here is invented. */
export const DEMO_HOUSE = {
  name: 'The Ebb Counter, Vessmouth',
  profile: 'us-fc',
  zone: 'America/New_York',
  dayEndsHour: 4,
  currency: 'USD',
  countFromCore: true,
  strictAccuracy: false,
  warnMinutes: 120,
  rawShareOfIceDays: 0.5,
  dateMarkDays: 7
};
export const DEMO_PEOPLE = ['Tove Lindqvale', 'Osei Marrow', 'Yuna Castellane-Featherstone'];

type Input = Record<string, unknown>;
interface Step {
  readonly hoursAgo: number;
  readonly by: string;
  readonly operation: string;
  readonly input: () => Input;
  readonly then?: (result: Record<string, unknown>) => void;
}

/**
 * Fills an empty store with a week in full swing, through the same operations as everything else.
 *
 * @param startedAt the moment the demo begins, ms: everything is told relative to it
 * @param seed the same seed gives the same weights and temperatures
 */
export function seedDemo(store: Store, startedAt: number, seed = 0.42): void {
  const chance = seededChance(seed);
  const clock = movableClock(startedAt - 12 * 86_400_000, true);
  const executor = createExecutor(store, clock);
  const { execute } = executor;
  const house: HouseTime = { zone: DEMO_HOUSE.zone, dayEndsHour: DEMO_HOUSE.dayEndsHour };
  const daysAgo = (days: number) => addDays(businessDay(startedAt, house), -days);
  const grams = (about: number) => `${Math.round(about * chance.uniform(0.95, 1.05))} g`;
  const celsius = (about: number) => `${(about + chance.uniform(-0.3, 0.3)).toFixed(1)} C`;
  let keys = 0;
  const perform = (by: string | null, name: string, input: Input): Record<string, unknown> => {
    const operation = operationByName(name)!;
    const answer = execute({ operation, input, actor: by, key: `demo-${++keys}` });
    if (!answer.ok) throw new Error(`demo: ${name} refused: ${answer.code} ${JSON.stringify(answer.details)}`);
    return answer.result;
  };

  perform(null, 'join-person', { name: DEMO_PEOPLE[0]! });
  for (const name of DEMO_PEOPLE.slice(1)) perform('p1', 'join-person', { name });
  perform('p1', 'set-house', DEMO_HOUSE);

  const steps: Step[] = [];
  const pieces: Record<string, string> = {};
  const lots: Record<string, string> = {};
  const step = (hoursAgo: number, by: string, operation: string, input: () => Input, then?: Step['then']) =>
    steps.push({ hoursAgo, by, operation, input, then });
  const receive = (name: string, hoursAgo: number, by: string, input: Input | (() => Input), place = 'Drawer 1') => {
    const given = () => (typeof input === 'function' ? input() : input);
    step(
      hoursAgo,
      by,
      'receive-lot',
      () => ({ commercial: 'yes', water: 'sea', decision: 'accept', pack: 'none', ice: 'plenty', ...given() }),
      (result) => {
        lots[name] = String(result.lot);
        pieces[name] = String(result.piece);
      }
    );
    // From the scale into the cold at once, before anything else is done to it.
    step(hoursAgo - 0.02, by, 'move-piece', () => ({ piece: pieces[name], place }));
  };
  const paper = (name: string, hoursAgo: number, input: Input) =>
    step(hoursAgo, 'p2', 'attach-evidence', () => ({ lot: lots[name], ...input }));
  const divide = (from: string, name: string, hoursAgo: number, input: Input) =>
    step(
      hoursAgo,
      'p1',
      'divide-piece',
      () => ({ piece: pieces[from], ...input }),
      (result) => {
        pieces[name] = String(result.piece);
      }
    );
  const on = (name: string, hoursAgo: number, by: string, operation: string, input: Input) =>
    step(hoursAgo, by, operation, () => ({ piece: pieces[name], ...input }));
  const chilled = {
    type: 'chill-record',
    issuer: 'Kelda Bay Boats',
    reference: 'deck sheet',
    note: 'slurry ice aboard'
  };

  const { hash: statement } = store.files.put(
    demoPaper([
      'Skarnes Tank Farm',
      'Feed statement FS-2291',
      'Pelleted feed, no live parasites. Invented for a demo.'
    ]),
    'application/pdf',
    clock.now()
  );

  // Char: paper in order, filleted, one side in a weighed cure that will be ready after tonight's service has begun.
  receive('char', 50, 'p1', {
    species: 'arctic-char',
    form: 'gutted',
    source: 'farmed',
    farmSystem: 'land-based',
    water: 'fresh',
    area: 'Skarnes tanks',
    supplier: 'Skarnes Tank Farm',
    supplierLot: 'SK-3381',
    caughtOn: daysAgo(3),
    mass: grams(2900),
    core: celsius(1.6),
    pricePerKg: 19.5,
    claim: 'sashimi quality',
    thickness: '52 mm'
  });
  paper('char', 49.8, {
    type: 'feed-statement',
    issuer: 'Skarnes Tank Farm',
    reference: 'FS-2291',
    expiresOn: addDays(daysAgo(0), 200),
    formulatedFeed: true,
    raised: true,
    fromEmbryos: true,
    noHazardVerified: true,
    file: statement,
    fileName: 'feed-statement-FS-2291.pdf'
  });
  divide('char', 'char-side', 44, { name: 'Char side, skin on', form: 'fillet', mass: grams(870), thickness: '28 mm' });
  divide('char', 'char-side-2', 43.8, {
    name: 'Char side, second',
    form: 'fillet',
    mass: grams(850),
    thickness: '27 mm'
  });
  divide('char-side-2', 'char-block', 43, {
    name: 'Char loin block',
    form: 'block',
    mass: grams(420),
    thickness: '26 mm'
  });
  on('char-side', 2.2, 'p2', 'start-cure', {
    method: 'weighed',
    thickness: '28 mm',
    faces: 1,
    celsius: '3 C',
    salt: '2.4 %',
    sugar: '1 %',
    hours: '36 h',
    rest: '6 h',
    target: '1.2 %',
    thin: '9 mm',
    place: 'Drawer 2',
    turned: true,
    readyBy: `${daysAgo(0)}T18:00`
  });
  on('char-block', 20, 'p1', 'read-cold', { reading: celsius(1.4), place: 'Drawer 2' });

  // The same farm this morning, and the paper did not come with the box.
  receive('char-new', 5, 'p2', {
    species: 'arctic-char',
    form: 'gutted',
    source: 'farmed',
    farmSystem: 'land-based',
    water: 'fresh',
    area: 'Skarnes tanks',
    supplier: 'Skarnes Tank Farm',
    supplierLot: 'SK-3402',
    caughtOn: daysAgo(1),
    mass: grams(3100),
    core: celsius(1.9),
    pricePerKg: 19.5,
    claim: 'same as last time'
  });

  receive('turbot', 30, 'p1', {
    species: 'turbot',
    form: 'gutted',
    source: 'farmed',
    farmSystem: 'land-based',
    water: 'sea',
    area: 'Outer Vess',
    supplier: 'Graywater Landings',
    supplierLot: 'GW-770',
    caughtOn: daysAgo(2),
    mass: grams(2400),
    core: celsius(0.8),
    pricePerKg: 31
  });
  paper('turbot', 29.7, {
    type: 'feed-statement',
    issuer: 'Holm Sea Farm',
    reference: 'HSF 118',
    formulatedFeed: true,
    raised: true,
    expiresOn: addDays(daysAgo(0), 90)
  });
  divide('turbot', 'turbot-fillet', 26, {
    name: 'Turbot fillet, upper',
    form: 'block',
    mass: grams(390),
    thickness: '24 mm'
  });
  divide('turbot', 'turbot-tray', 8, { name: 'Turbot slices', form: 'portion', mass: grams(310), thickness: '22 mm' });
  on('turbot-tray', 6, 'p1', 'record-slice', {
    cut: 'oblique',
    length: '150 mm',
    height: '22 mm',
    width: '80 mm',
    thickness: '3 mm',
    angle: 35
  });
  // The tray that is about to run out.
  on('turbot-tray', 3.45, 'p2', 'start-hold', { control: '4h', label: 'Counter tray, left', startCore: '2.1 C' });
  on('turbot-tray', 1.2, 'p2', 'serve-piece', { route: 'raw', mass: '120 g', dish: 'Turbot, brown butter salt' });

  // Sardine: a night boat, straight into the blast cabinet.
  receive(
    'sardine',
    9,
    'p2',
    {
      species: 'sardine',
      form: 'whole',
      source: 'wild',
      area: 'Vess Sound',
      supplier: 'Kelda Bay Boats',
      supplierLot: 'night haul',
      caughtOn: daysAgo(1),
      mass: grams(3400),
      core: celsius(0.4),
      pricePerKg: 6.2,
      decision: 'hold-freeze',
      reason: 'freeze for vinegared service',
      thickness: '24 mm'
    },
    'Ice rack'
  );
  paper('sardine', 8.8, chilled);
  on('sardine', 7.5, 'p2', 'start-freeze', {
    lie: 'apart',
    place: 'Blast cabinet',
    air: '-40 C',
    airClass: 'blast',
    packing: 'film',
    thickness: '24 mm',
    startCore: '1 C',
    cycle: 'us-15h'
  });
  for (const [ago, probe, value] of [
    [6, 'air', -38.5],
    [4.8, 'core', -27],
    [3.5, 'core', -36.2],
    [1, 'core', -37]
  ] as const) {
    on('sardine', ago, 'p2', 'read-freeze', { reading: `${value} C`, probe });
  }

  // Bonito: the long cycle, and the chest freezer drifted in the middle of it.
  receive('bonito', 226, 'p1', {
    species: 'atlantic-bonito',
    form: 'fillet',
    source: 'wild',
    area: 'Vess Banks',
    supplier: 'Kelda Bay Boats',
    supplierLot: 'KB-92',
    caughtOn: daysAgo(10),
    mass: grams(1850),
    core: celsius(1.1),
    pricePerKg: 14,
    decision: 'hold-freeze',
    reason: 'not on the tuna list',
    thickness: '38 mm'
  });
  paper('bonito', 225.5, chilled);
  on('bonito', 225, 'p1', 'start-freeze', {
    lie: 'apart',
    place: 'Chest freezer',
    air: '-25 C',
    airClass: 'still',
    packing: 'film',
    thickness: '38 mm',
    startCore: '2 C',
    cycle: 'us-168h'
  });
  for (let ago = 210; ago > 4; ago -= 14) {
    const drifted = ago < 110 && ago > 90;
    on('bonito', ago, ago % 28 === 0 ? 'p1' : 'p3', 'read-freeze', {
      reading: drifted ? '-17.6 C' : `${(-22.6 + chance.uniform(-0.6, 0.6)).toFixed(1)} C`,
      probe: 'core'
    });
  }

  // Gurnard: a warm delivery.
  receive('gurnard', 6.5, 'p3', {
    species: 'gurnard',
    form: 'whole',
    source: 'wild',
    area: 'Vess Sound',
    supplier: 'Graywater Landings',
    supplierLot: 'GW-781',
    caughtOn: daysAgo(1),
    mass: grams(2100),
    core: '7.4 C',
    pricePerKg: 9,
    decision: 'cooked-only',
    reason: 'ice had gone from the top box'
  });

  // Sablefish: frozen by the supplier, thawed here, in a sweet cure.
  receive(
    'sablefish',
    40,
    'p1',
    {
      species: 'sablefish',
      form: 'fillet',
      source: 'wild',
      area: 'North shelf',
      supplier: 'Graywater Landings',
      supplierLot: 'GW-F12',
      caughtOn: daysAgo(40),
      mass: grams(1600),
      core: '-19.4 C',
      frozen: true,
      pricePerKg: 38,
      thickness: '32 mm'
    },
    'Upright freezer'
  );
  on('sablefish', 38, 'p1', 'start-thaw', {
    place: 'Drawer 1',
    method: 'cold',
    medium: '2 C',
    packing: 'film',
    pack: 'opened',
    thickness: '32 mm',
    startCore: '-19.4 C'
  });
  on('sablefish', 23, 'p1', 'end-thaw', { core: '0.4 C' });
  paper('sablefish', 39.5, {
    type: 'freezing-statement',
    issuer: 'Graywater Landings',
    reference: 'cold store 4',
    frozenAt: '-25 C',
    frozenFor: '30 d'
  });
  divide('sablefish', 'sable-block', 22, {
    name: 'Sablefish centre',
    form: 'block',
    mass: grams(640),
    thickness: '30 mm'
  });
  on('sable-block', 21, 'p1', 'start-cure', {
    method: 'cover',
    thickness: '30 mm',
    faces: 2,
    celsius: '3 C',
    salt: '5 %',
    sugar: '6 %',
    hours: '18 h',
    target: '0.8 %',
    place: 'Drawer 2'
  });
  on('sable-block', 2.8, 'p1', 'end-cure', {
    massAfter: '604 g',
    taste: 4,
    saltTaste: 'right',
    saltReading: '3.1 %',
    note: 'firm, wiped and dried'
  });

  // Halibut: a whole freezer cycle on the premises, proven, thawed, ready.
  receive('halibut', 262, 'p1', {
    species: 'halibut',
    form: 'loin',
    source: 'wild',
    area: 'Vess Banks',
    supplier: 'Kelda Bay Boats',
    supplierLot: 'KB-88',
    caughtOn: daysAgo(12),
    mass: grams(2200),
    core: celsius(0.6),
    pricePerKg: 27,
    decision: 'hold-freeze',
    reason: 'wild: freeze first',
    thickness: '42 mm'
  });
  on('halibut', 260, 'p1', 'start-freeze', {
    lie: 'apart',
    place: 'Upright freezer',
    air: '-30 C',
    airClass: 'fan',
    packing: 'film',
    thickness: '42 mm',
    startCore: '1 C',
    cycle: 'us-168h'
  });
  for (let ago = 252; ago >= 60; ago -= 16) {
    on('halibut', ago, 'p3', 'read-freeze', {
      reading: `${(-27 + chance.uniform(-1, 1)).toFixed(1)} C`,
      probe: 'core'
    });
  }
  on('halibut', 52, 'p1', 'end-freeze', { note: 'to thaw in drawer 1', place: 'Drawer 1' });
  divide('halibut', 'halibut-block', 25, { name: 'Halibut saku', form: 'block', mass: grams(480), thickness: '30 mm' });
  on('halibut-block', 24.5, 'p1', 'record-slice', {
    cut: 'straight',
    length: '200 mm',
    height: '30 mm',
    width: '70 mm',
    thickness: '6 mm'
  });

  receive(
    'clams',
    28,
    'p3',
    {
      species: 'razor-clam',
      form: 'live',
      source: 'wild',
      area: 'Vess flats, approved',
      supplier: 'Outer Skerry Shellfish',
      supplierLot: 'OS-55',
      caughtOn: daysAgo(2),
      mass: grams(2600),
      air: '5.2 C',
      ice: 'some',
      pricePerKg: 16
    },
    'Counter box'
  );
  paper('clams', 27.9, {
    type: 'shellfish-tag',
    issuer: 'Outer Skerry Shellfish',
    reference: 'tag 4410',
    issuedOn: daysAgo(2),
    dealer: 'VS 0214 SP',
    harvestedOn: daysAgo(2),
    harvestArea: 'Vess flats 3',
    mass: '3 kg'
  });
  receive(
    'oysters',
    4.5,
    'p3',
    {
      species: 'oyster',
      form: 'live',
      source: 'farmed',
      farmSystem: 'other',
      area: 'Skerry Bay',
      supplier: 'Outer Skerry Shellfish',
      supplierLot: 'OS-61',
      caughtOn: daysAgo(1),
      mass: grams(5200),
      air: '6.1 C',
      pricePerKg: 12,
      claim: 'tag is in the post'
    },
    'Counter box'
  );
  receive(
    'eel',
    11,
    'p3',
    {
      species: 'eel',
      form: 'whole',
      source: 'wild',
      water: 'brackish',
      area: 'Vess estuary',
      supplier: 'Graywater Landings',
      supplierLot: 'GW-779',
      caughtOn: daysAgo(1),
      mass: grams(1300),
      core: celsius(1.2),
      pricePerKg: 24
    },
    'Ice rack'
  );
  // What was left of an older turbot: its days are over.
  receive('turbot-old', 200, 'p1', {
    species: 'turbot',
    form: 'gutted',
    source: 'farmed',
    farmSystem: 'land-based',
    area: 'Outer Vess',
    supplier: 'Graywater Landings',
    supplierLot: 'GW-741',
    caughtOn: daysAgo(10),
    mass: grams(1900),
    core: celsius(1),
    pricePerKg: 31
  });
  paper('turbot-old', 199, {
    type: 'feed-statement',
    issuer: 'Holm Sea Farm',
    reference: 'HSF 111',
    formulatedFeed: true,
    raised: true
  });
  divide('turbot-old', 'turbot-old-fillet', 190, {
    name: 'Turbot fillet, last week',
    form: 'fillet',
    mass: grams(340)
  });
  on('turbot-old', 189, 'p1', 'discard-piece', { reason: 'frame and head to stock' });

  const tools = { step, receive, paper, daysAgo, grams, celsius, lots, pieces };
  morning(tools);
  knifeWork(tools);
  coldPlacesOf(tools);
  curesOf(tools);
  rackOf(tools);
  for (const { demo } of ACTIVITIES) demo?.(tools);

  for (const { hoursAgo, by, operation, input, then } of steps.sort((a, b) => b.hoursAgo - a.hoursAgo)) {
    clock.moveTo(startedAt - hoursAgo * 3600_000, true);
    const result = perform(by, operation, input());
    then?.(result);
  }
  clock.moveTo(startedAt - 120_000, true);
  coldLogs(store, executor, startedAt - 120_000, perform);
  clock.moveTo(startedAt - 60_000, true);
  perform('p3', 'sign-day', { note: 'counted and signed' });
}
