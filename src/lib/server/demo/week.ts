import { TANK_CHAR } from './farm.ts';
import { addDays } from '../../core/measure/day.ts';
import { halibut, leftOver, shellfish } from './shelves.ts';
import { type WeekTools } from './tools.ts';

/** Char with its papers, and a lot without. */
function char({ receive, paper, daysAgo, grams, celsius, divide, on, statement }: WeekTools): void {
  // Char: paper in order, filleted, one side in a weighed cure that will be ready after tonight's service has begun.
  receive('char', 50, 'p1', {
    ...TANK_CHAR,
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
    ...TANK_CHAR,
    supplierLot: 'SK-3402',
    caughtOn: daysAgo(1),
    mass: grams(3100),
    core: celsius(1.9),
    pricePerKg: 19.5,
    claim: 'same as last time'
  });
}

/** A turbot: a fillet of it, sliced, on the tray that is about to run out. */
export function turbot({ receive, paper, daysAgo, grams, celsius, divide, on, step, pieces }: WeekTools): void {
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
  step(29, 'p1', 'set-knife', () => ({ name: 'Long slicer', every: 600 }));
  step(28, 'p1', 'sharpen-knife', () => ({ knife: 'long-slicer', how: 'stone' }));
  step(27.9, 'p1', 'set-knife', () => ({ name: 'Short stiff one', every: 400 }));
  divide('turbot', 'turbot-fillet', 26, {
    name: 'Turbot fillet, upper',
    form: 'block',
    mass: grams(390),
    thickness: '24 mm'
  });
  divide('turbot', 'turbot-loin', 8, { name: 'Turbot loin', form: 'loin', mass: grams(352), thickness: '22 mm' });
  step(
    3.6,
    'p1',
    'record-slice',
    () => ({
      piece: pieces['turbot-loin'],
      purpose: 'plate',
      style: 'oblique',
      by: 'weight',
      grams: '8 g',
      thickness: '4 mm',
      angle: 35,
      length: '190 mm',
      height: '23 mm',
      height4: '17 mm',
      width: '88 mm',
      width4: '72 mm',
      offcutUse: 'mince',
      knife: 'long-slicer',
      place: 'Drawer 1'
    }),
    ({ piece }) => (pieces['turbot-tray'] = String(piece))
  );
  on('turbot-tray', 3.55, 'p1', 'weigh-slices', { weights: '8.2 7.7 8.4 8.9 8.1 7.8 8.3 8.5' });
  // The tray that is about to run out.
  on('turbot-tray', 3.45, 'p2', 'start-hold', {
    all: true,
    control: '4h',
    label: 'Counter tray, left',
    startCore: '2.1 C'
  });
  on('turbot-tray', 1.2, 'p2', 'serve-piece', { route: 'raw', mass: '120 g', dish: 'Turbot, brown butter salt' });
}

/** Sardine and bonito in the house’s own freezer. */
function frozenHere({ receive, paper, daysAgo, grams, celsius, on, chilled, chance }: WeekTools): void {
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
}

/** Gurnard for the pan, and sablefish that thawed and was cured. */
function cookedAndThawed({ receive, paper, daysAgo, grams, divide, on }: WeekTools): void {
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
}

/** All of it, in the order in which it is told. */
export function week(tools: WeekTools): void {
  char(tools);
  turbot(tools);
  frozenHere(tools);
  cookedAndThawed(tools);
  halibut(tools);
  shellfish(tools);
  leftOver(tools);
}
