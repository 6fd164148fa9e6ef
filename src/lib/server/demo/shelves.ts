import type { WeekTools } from './tools.ts';

/** What of the week lies on the shelves: thawed halibut, shellfish, a turbot of last week. */

/** Halibut out of the freezer: a whole cycle on the premises, proven, thawed, sliced. */
export function halibut({ receive, daysAgo, grams, celsius, divide, on, chance }: WeekTools): void {
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
}

/** Shellfish with and without its tag, and what nobody named. */
export function shellfish({ receive, paper, daysAgo, grams, celsius }: WeekTools): void {
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
}

/** A turbot of last week. */
export function leftOver({ receive, paper, daysAgo, grams, celsius, divide, on }: WeekTools): void {
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
  on('turbot-old', 189, 'p1', 'discard-piece', { reason: 'frame and head to stock', all: true });
}
