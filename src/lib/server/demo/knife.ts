import type { DemoTools } from './tools.ts';

type Input = Record<string, unknown>;
interface Weighed {
  /** Grams by part of the cut map; a name first, where a test or another step asks for the piece. */
  readonly parts: readonly (readonly [part: string, grams: number, name?: string])[];
  readonly waste: readonly (readonly [what: string, grams: number])[];
}

const served = (dish: string): [string, Input] => ['serve-piece', { route: 'raw', dish, all: true }];
const binned: [string, Input] = ['discard-piece', { reason: 'stock drawn, strained', all: true }];
const fillets = ['eye-back', 'eye-belly', 'blind-back', 'blind-belly', 'fin-edge'];

/** What every board of the demo is made with. */
function boardsOf({ step, pieces }: DemoTools) {
  const weigh = (fish: string, hoursAgo: number, by: string, { parts, waste }: Weighed) => {
    const minute = 1 / 60;
    let ago = hoursAgo;
    for (const [part, grams, name] of parts) {
      ago -= 2 * minute;
      step(
        ago,
        by,
        'take-part',
        () => ({ piece: pieces[fish], part, mass: `${grams} g` }),
        (result) => (pieces[name ?? `${fish} ${part}`] = String(result.piece))
      );
    }
    for (const [what, grams] of waste) {
      ago -= minute;
      step(ago, by, 'weigh-waste', () => ({ piece: pieces[fish], what, mass: `${grams} g`, sure: true }));
    }
    return ago;
  };
  const board = (fish: string, hoursAgo: number, by: string, weighed: Weighed, close: Input, more: Input = {}) => {
    step(hoursAgo, by, 'open-board', () => ({ piece: pieces[fish], ...more }));
    const ago = weigh(fish, hoursAgo, by, weighed);
    step(ago - 1 / 60, by, 'close-board', () => ({ piece: pieces[fish], ...close }));
  };
  const gone = (fish: string, hoursAgo: number, parts: readonly string[], [operation, more]: [string, Input]) => {
    for (const part of parts) step(hoursAgo, 'p2', operation, () => ({ piece: pieces[`${fish} ${part}`], ...more }));
  };
  return { weigh, board, gone };
}
type Boards = ReturnType<typeof boardsOf>;

/** Two turbots of earlier days, eaten: what they gave moves the forecast of today's. */
function turbots({ receive, paper, daysAgo }: DemoTools, { board, gone }: Boards): void {
  const bought = [
    ['turbot-mon', 176, 'p1', [268, 214, 236, 178, 62], 2640],
    ['turbot-wed', 101, 'p3', [231, 190, 214, 152, 55], 2410]
  ] as const;
  for (const [name, ago, by, grams, mass] of bought) {
    receive(name, ago + 4, 'p1', {
      species: 'turbot',
      form: 'whole',
      source: 'farmed',
      farmSystem: 'land-based',
      area: 'Outer Vess',
      supplier: 'Graywater Landings',
      supplierLot: `GW-${ago}`,
      caughtOn: daysAgo(Math.ceil((ago + 4) / 24) + 1),
      mass: `${mass} g`,
      core: '0.9 C',
      pricePerKg: 31
    });
    paper(name, ago + 3.8, {
      type: 'feed-statement',
      issuer: 'Holm Sea Farm',
      reference: 'HSF 118',
      formulatedFeed: true,
      raised: true
    });
    const off = grams.reduce((sum, each) => sum + each, 0);
    const rest = mass - off - 5;
    board(
      name,
      ago,
      by,
      {
        parts: [
          ...fillets.map((part, index) => [part, grams[index]!] as const),
          ['head', Math.round(rest * 0.34)],
          ['frame', Math.round(rest * 0.33)],
          ['skin', Math.round(rest * 0.09)]
        ],
        waste: [
          ['viscera', Math.round(rest * 0.11)],
          ['gills', Math.round(rest * 0.03)],
          ['fins', Math.round(rest * 0.08)],
          [
            'drip',
            rest - [0.34, 0.33, 0.09, 0.11, 0.03, 0.08].reduce((sum, share) => sum + Math.round(rest * share), 0)
          ]
        ]
      },
      { place: 'Drawer 1', core: '3.1 C' }
    );
    gone(name, ago - 20, fillets, served('Turbot, thin'));
    gone(name, ago - 21, ['head', 'frame', 'skin'], binned);
  }
}

/** A trout side by the five cuts: loin and bellies lie in the drawer, the tail goes to the mince. */
function trout({ step, receive, paper, daysAgo, pieces }: DemoTools, { board, gone }: Boards): void {
  receive('trout', 31, 'p2', {
    species: 'rainbow',
    form: 'fillet',
    source: 'farmed',
    farmSystem: 'land-based',
    water: 'fresh',
    area: 'Skarnes tanks',
    supplier: 'Skarnes Tank Farm',
    supplierLot: 'SK-3379',
    caughtOn: daysAgo(2),
    mass: '1320 g',
    core: '1.1 C',
    pricePerKg: 24,
    thickness: '31 mm'
  });
  paper('trout', 30.8, {
    type: 'feed-statement',
    issuer: 'Skarnes Tank Farm',
    reference: 'FS-2288',
    formulatedFeed: true,
    raised: true,
    fromEmbryos: true,
    noHazardVerified: true
  });
  board(
    'trout',
    27,
    'p2',
    {
      parts: [
        ['shoulder', 178],
        ['loin', 522, 'trout-loin'],
        ['belly-front', 118],
        ['belly-back', 96],
        ['tail', 152, 'trout-tail'],
        ['skin', 112],
        ['pin-strip', 21]
      ],
      waste: [
        ['blood-line', 46],
        ['drip', 12]
      ]
    },
    { place: 'Drawer 2', core: '2.8 C', gapReason: 'a corner of the belly fell, and went to the bin unweighed' },
    { template: 'five-cuts', 'way-skin': 'skin-first' }
  );
  step(26, 'p2', 'set-depth', () => ({
    piece: pieces['trout-loin'],
    length: '310 mm',
    t0: '31 mm',
    t2: '29 mm',
    t4: '24 mm',
    t6: '13 mm'
  }));
  gone('trout', 22, ['shoulder', 'pin-strip', 'belly-back'], binned);
}

/** Today's: whole, on the board since a while, half weighed. */
function today({ step, receive, paper, daysAgo, pieces }: DemoTools, { weigh }: Boards): void {
  receive('turbot-today', 4.2, 'p1', {
    species: 'turbot',
    form: 'whole',
    source: 'farmed',
    farmSystem: 'land-based',
    area: 'Outer Vess',
    supplier: 'Graywater Landings',
    supplierLot: 'GW-795',
    caughtOn: daysAgo(1),
    mass: '3180 g',
    core: '0.6 C',
    pricePerKg: 31
  });
  paper('turbot-today', 4.1, {
    type: 'feed-statement',
    issuer: 'Holm Sea Farm',
    reference: 'HSF 121',
    formulatedFeed: true,
    raised: true,
    expiresOn: daysAgo(-80)
  });
  step(0.32, 'p1', 'open-board', () => ({ piece: pieces['turbot-today'], mass: '3162 g', core: '1.4 C' }));
  weigh('turbot-today', 0.3, 'p1', {
    parts: [
      ['eye-back', 318],
      ['eye-belly', 251],
      ['fin-edge', 66],
      ['liver-roe', 141]
    ],
    waste: [
      ['viscera', 214],
      ['gills', 58]
    ]
  });
}

/** Boards of the last days and the one that lies there now: steps of the demo that breaking down adds. */
export function knifeWork(tools: DemoTools): void {
  const { step, pieces } = tools;
  for (const [name, kind] of [
    ['Drawer 1', 'drawer'],
    ['Drawer 2', 'drawer'],
    ['Ice rack', 'rack'],
    ['Counter box', 'box'],
    ['Pass', 'bench']
  ] as const) {
    step(286, 'p1', 'set-place', () => ({ name, kind }));
  }
  const boards = boardsOf(tools);
  turbots(tools, boards);
  trout(tools, boards);
  today(tools, boards);
  // What was left of the trout's tail and of an older char goes into one batch.
  step(6, 'p2', 'combine-pieces', () => ({
    pieces: `${pieces['trout-tail']},${pieces['char-trim']}`,
    name: 'Mince, trout and char',
    use: 'mince'
  }));
  step(
    19,
    'p1',
    'trim-piece',
    () => ({ piece: pieces['char-block'], what: 'trim', mass: '38 g', keep: true, use: 'mince' }),
    (result) => (pieces['char-trim'] = String(result.kept))
  );
}
