import { act, char, COVER, feed, halibut, landed, type Example } from './example-acts.ts';
import { KNIFE } from './examples-knife.ts';

export { CHAR, COVER, FEED, type Example } from './example-acts.ts';

const file = (list: string, ...pages: object[]) =>
  JSON.stringify({ format: `ember-tide-${list}`, version: 1, [list]: pages });
const written = (what: string, ingredient: string) => ({ what, ingredient, holds: null, mayHold: [] });

const HOUSE: readonly Example[] = [
  act('join-person', { name: 'Bo' }),
  act('set-house', {
    name: 'The Ebb Counter',
    profile: 'us-fc',
    zone: 'UTC',
    dayEndsHour: 4,
    currency: 'USD',
    warnMinutes: 60,
    rawShareOfIceDays: 0.5,
    dateMarkDays: 7
  }),
  act('set-place', { name: 'Drawer 1', kind: 'drawer', setPoint: '2 C' }),
  act('set-place', { name: 'Chest', kind: 'freezer', setPoint: '-25 C' }),
  act('set-place', { name: 'Ageing cabinet', kind: 'cabinet', setPoint: '2 C' }),
  act('read-place', { place: 'Drawer 1', reading: '2 C' }),
  act('set-sensor', { name: 'Chest air', place: 'Chest', probe: 'air', accuracy: 0.3 }),
  act('set-sensor', { name: 'Drawer air', place: 'Drawer 1', probe: 'air' }),
  act('store-readings', { sensor: 'Chest air', log: '2026-03-09T10:00, -22.4\n2026-03-09T11:00, -22.1' }),
  act('key-device', { name: 'Logger', sensors: 'Chest air' }),
  act('revoke-device', { device: 'logger', reason: 'lost on the quay' }),
  act('set-rack', { place: 'Ageing cabinet', hooks: 4, shelves: 1, perShelf: 3 }),
  act('set-ageing', {
    wholeDays: 12,
    filletDays: 6,
    limitCelsius: '3 C',
    warmHours: 2,
    afterDays: 3,
    reason: 'own trials, logged'
  }),
  act('set-kitchen', { 'credit-stock': '4', 'portion-nigiri': '20', interval: '5' }),
  act('set-template', { name: 'Ours', cuts: 'Thick end; 0-40; all; cure\nThin end; 40-100; all; mince' }),
  act('set-notice', { text: 'Raw here. Ask us.', reason: 'shorter for our card' }),
  act('set-sheet', { sheet: 'fillet', 'weight-smell': '5', reason: 'smell first' }),
  act('set-species', { id: 'halibut', iceDays: '7', reason: 'a bad week' }),
  act('set-profile', {
    id: 'house-short',
    base: 'us-fc',
    name: 'Short days',
    'limit-dateMarkDays': '3',
    reason: 'short days'
  }),
  act('set-learning', { cure: 'on' }),
  act('file-document', {
    kind: 'variance',
    authority: 'Harbour Health Office',
    number: 'V-77',
    covers: 'date-mark',
    issuedOn: '2026-03-01',
    expiresOn: '2026-06-01',
    limits: 'Sides under 3 kg only'
  }),
  act('withdraw-document', { id: 'harbour-health-office-v-77', reason: 'given back' }),
  act('set-service', { name: 'Saturday', at: '2026-03-14T19:00', covers: 52 }),
  act('set-service', { name: 'Monday', at: '2026-03-16T18:00', covers: 20 }),
  act('withdraw-service', { id: 'monday-2026-03-16' })
];

const BOOK: readonly Example[] = [
  act('set-ingredient', { name: 'Shiso oil', alsoCalled: 'Leaf oil', holds: 'sesame' }),
  act('withdraw-ingredient', { id: 'shiso-oil' }),
  act('use-instead', { id: 'Light bean paste', instead: 'Barley bean paste', reason: 'none came' }),
  act('ingredient-back', { id: 'light-bean-paste' }),
  act('set-recipe', {
    name: 'Own weighed',
    school: 'weighed',
    hours: '48 h',
    target: '1 %',
    lines: 'Fine salt; salt; 2.5 %; fine\nSugar; sugar; 1 %'
  }),
  act('note-recipe', { id: 'own-weighed', note: 'a touch less of it' }),
  act('withdraw-recipe', { id: 'own-weighed', reason: 'not this season' }),
  act('import-recipes', {
    text: file('recipes', {
      name: 'From away',
      school: 'weighed',
      basis: 'fish',
      rate: 1,
      lines: [
        {
          ...written('Fine salt', 'fine-salt'),
          role: 'salt',
          amount: 0.02,
          saltKind: 'fine',
          salt: 0,
          sugar: 0,
          water: 0
        }
      ],
      stages: [],
      hours: 48,
      target: 0.01
    })
  }),
  act('set-sauce', { name: 'Own lime', kind: 'citrus', rate: '20 %', lines: 'Lime juice; 60\nOlive oil; 40' }),
  act('correct-sauce', { id: 'own-lime', mass: '500 g', 'added-0': '6', extra: 'Mustard 3 g', reason: 'sharper' }),
  act('note-sauce', { id: 'own-lime', note: 'a touch less of it' }),
  act('withdraw-sauce', { id: 'own-lime' }),
  act('import-sauces', {
    text: file('sauces', {
      name: 'From away',
      kind: 'citrus',
      rate: 0.2,
      lines: [{ ...written('Lime juice', 'lime-juice'), parts: 60, each: 0 }],
      portions: [1]
    })
  }),
  act('set-dish', { name: 'Turbot with lime', lines: 'Turbot; 60; fish\nHarbour lime; 12; sauce\nOlive oil; 2' }),
  act('note-dish', { id: 'turbot-with-lime', note: 'a touch less of it' }),
  act('withdraw-dish', { id: 'turbot-with-lime' }),
  act('import-dishes', {
    text: file('dishes', { name: 'From away', lines: [{ what: 'Char', kind: 'fish', grams: 60 }] })
  })
];

const DOOR: readonly Example[] = [
  act('open-delivery', { supplier: 'Skarnes Tank Farm' }),
  char({ delivery: 'DEL-0309-1' }),
  feed('ARC-0309-1'),
  act('inspect-lot', {
    lot: 'ARC-0309-1',
    'level-colour': '0',
    'level-gaping': '0',
    'level-drip': '0',
    'level-flesh': '0',
    'level-blood': '0',
    'level-smell': '0',
    decision: 'accept'
  }),
  act('close-delivery', { delivery: 'DEL-0309-1' }),
  act('move-piece', { piece: 'ARC-0309-1-A', place: 'Drawer 1' }),
  act('read-cold', { piece: 'ARC-0309-1-A', reading: '2 C' }),
  halibut(),
  act('own-exception', {
    piece: 'HAL-0309-1-A',
    code: 'freshness.no-catch-date',
    routes: 'raw,cured',
    reason: 'The boat told me by phone: Sunday.',
    own: 'on',
    until: '1 h'
  }),
  act('withdraw-exception', { piece: 'HAL-0309-1-A', exception: 54, reason: 'sent back after all' }),
  act('amend-entry', { seq: 51, void: true, reason: 'it was the other one' }),
  act('return-lot', { lot: 'HAL-0309-1', credit: 'asked', amount: 31.5, reason: 'soft, and it smells' }),
  act('import-note', {
    supplier: 'Kelda Bay Boats',
    dateOrder: 'dmy',
    commercial: 'yes',
    text: 'Fish;Form;Weight kg;Caught;Temp;Origin;Bought of\r\nturbot;whole;1,5;8.3.2026;1,2;wild;boat'
  }),
  landed({ species: 'oyster', form: 'live', caughtOn: '2026-03-08', mass: '2 kg', core: '' }),
  act('attach-evidence', { lot: 'OYS-0309-1', type: 'shellfish-tag', issuer: 'Skerry', reference: 'tag 9' }),
  act('close-tag', { lot: 'OYS-0309-1', evidence: 64, lastServedOn: '2026-03-09' }),
  landed({ species: 'unidentified', candidates: 'sea-bream,snapper', caughtOn: '2026-03-08' }),
  act('identify-lot', { lot: 'UNI-0309-1', species: 'sea-bream', marks: 'steep forehead,molars' }),
  act('print-labels', { pieces: 'ARC-0309-1-A', size: 'roll-60x40' })
];

const COLD: readonly Example[] = [
  halibut(),
  act('start-freeze', {
    piece: 'HAL-0309-2-A',
    place: 'Chest',
    air: '-25 C',
    airClass: 'fan',
    packing: 'bare',
    thickness: '30 mm',
    startCore: '1 C',
    cycle: 'us-168h'
  }),
  act('replan-freeze', { piece: 'HAL-0309-2-A', air: '-22 C', cause: 'lid iced up' }),
  act('read-freeze', { piece: 'HAL-0309-2-A', reading: '-21 C', probe: 'core' }, 12),
  act('store-readings', {
    sensor: 'Drawer air',
    log: ['21:00, 2', '21:10, 8', '21:30, 8', '21:50, 8', '22:10, 8', '22:30, 2', '22:50, 2']
      .map((reading) => `2026-03-09T${reading}`)
      .join('\n')
  }),
  act('close-excursion', {
    place: 'Drawer 1',
    kind: 'warm',
    from: 1773090300000,
    action: 'core-checked',
    note: 'core 2 °C'
  }),
  act('end-freeze', { piece: 'HAL-0309-2-A', place: 'Chest' }, 180),
  act('start-thaw', {
    piece: 'HAL-0309-2-A',
    place: 'Drawer 1',
    method: 'cold',
    medium: '3 C',
    thickness: '30 mm',
    startCore: '-20 C',
    shape: 'slab',
    packing: 'film'
  }),
  act('end-thaw', { piece: 'HAL-0309-2-A', core: '2 C' }, 20)
];

const CURE: readonly Example[] = [
  char({ caughtOn: '2026-03-17' }),
  feed('ARC-0318-1'),
  act('start-cure', { piece: 'ARC-0318-1-A', ...COVER }),
  act('step-cure', { piece: 'ARC-0318-1-A', step: 'lay-on' }, 12),
  act('change-cure', { piece: 'ARC-0318-1-A', change: 'left', hours: '30 h' }),
  act('end-cure', { piece: 'ARC-0318-1-A' }, 18)
];

const dice = (piece: string) =>
  act('start-acid', {
    piece,
    cut: 'dice',
    size: '12 mm',
    celsius: '5 C',
    liquid: 'lime 1200, orange 200, oil 50',
    wanted: 'half'
  });
const ACID: readonly Example[] = [
  char({ caughtOn: '2026-03-18', mass: '1200 g' }),
  feed('ARC-0319-1'),
  dice('ARC-0319-1-A'),
  act('check-acid', { piece: 'ARC-0319-1-A', raw: '5 mm' }, 0.7),
  act('lift-acid', { piece: 'ARC-0319-1-A', mass: '500 g', place: 'Drawer 1' }, 0.1),
  act('end-acid', { piece: 'ARC-0319-1-A', liquid: '500 g' }, 0.2),
  act('dress-piece', {
    piece: 'ARC-0319-1-A',
    sauce: 'roasted-sesame',
    with: 'red onion, Mustard',
    dish: 'char in lime'
  })
];

const RACK: readonly Example[] = [
  char({ form: 'gutted', caughtOn: '2026-03-18' }),
  feed('ARC-0319-2'),
  act('start-age', {
    piece: 'ARC-0319-2-A',
    place: 'Ageing cabinet',
    spot: 'H1',
    mass: '2000 g',
    target: '8 %',
    celsius: '2 C',
    humidity: '80 %',
    prepared: 'scaled,gutted,scrubbed,wiped,dried'
  }),
  act('weigh-aged', { piece: 'ARC-0319-2-A', mass: '1972 g' }, 20),
  act('look-aged', {
    piece: 'ARC-0319-2-A',
    skin: 'dry',
    eye: 'clear',
    smell: 'clean',
    slime: 'none',
    firmness: 'firm'
  }),
  act('move-aged', { piece: 'ARC-0319-2-A', place: 'Ageing cabinet', spot: 'S1.2' }),
  act('end-age', { piece: 'ARC-0319-2-A', how: 'stopped', note: 'a cancelled table' })
];

const PASS: readonly Example[] = [
  char({ caughtOn: '2026-03-19' }),
  feed('ARC-0320-1'),
  act('start-hold', { all: true, piece: 'ARC-0320-1-A', label: 'Left', startCore: '2 C' }),
  act('read-hold', { piece: 'ARC-0320-1-A', reading: '4 C' }, 0.5),
  act('serve-piece', { piece: 'ARC-0320-1-A', route: 'cooked', mass: '200 g' }),
  act('set-dish', { name: 'Char, cooked', lines: 'Arctic char; 60; fish\nOlive oil; 2', route: 'cooked', price: 18 }),
  act('serve-dish', { dish: 'char-cooked', plates: 2 }),
  act('take-plate-back', {}),
  act('set-party', { name: 'Counter, two', seats: 2, courses: 'char-cooked', pace: 12 }),
  act('set-seat', { party: 'counter-two', seat: 2, avoid: 'sesame', noRaw: true }),
  act('send-course', { party: 'counter-two', course: 1 }, 0.2),
  act('close-party', { party: 'counter-two' }, 0.5),
  act('set-dish-off', { dish: 'char-cooked' }),
  act('discard-piece', { piece: 'ARC-0320-1-A', reason: 'time is up', all: true }, 5),
  act('make-tub', { mass: '3 kg', place: 'Counter', dressing: 'Rice vinegar, White sugar, Fine salt' }),
  act('read-tub', { tub: 'RICE-0320-1', reading: '41 C' }, 0.5),
  act('bin-tub', { tub: 'RICE-0320-1' }, 2),
  act('forget-person', { person: 'p2', reason: 'left' }),
  act('sign-day', { note: 'counted and signed' }),
  // A clock that is years ahead, believed by mistake; and set right a day later.
  act('confirm-clock', { reason: 'closed over the winter' }, 500 * 24),
  act('confirm-loss', { reason: 'the machine lost its power' }),
  act('correct-clock', { really: '2026-03-21T09:00:00Z', reason: 'the clock was a year ahead' }, -499 * 24)
];

/**
 * One act after another in a made-up house whose first is at noon (UTC) on 9 March 2026 by its first person: each operation
 * at least once. The document shows the first of each; the tests do them all.
 */
export const EXAMPLES: readonly Example[] = [
  ...HOUSE,
  ...BOOK,
  ...DOOR,
  ...KNIFE,
  ...COLD,
  ...CURE,
  ...ACID,
  ...RACK,
  ...PASS
];
