import { CHAR, FEED } from '../../src/lib/server/examples.ts';
import { off, touch, atRest, type ScaleHouse } from '../browser/scale-house.ts';
import { form } from '../browser/watch.ts';
import type { Hand } from './hand.ts';

/** One thing a cook does, from Now to the word that it is done. */
export interface HandTask {
  readonly name: string;
  /** What lies there before; what it returns is handed to the hands. */
  readonly before: (house: ScaleHouse) => Promise<string>;
  readonly hands: (hand: Hand, given: string, house: ScaleHouse) => Promise<void>;
}

const at = (hand: Hand, operation: string, name: string) =>
  form(hand.page, operation).locator(`[name="${name}"]`).first();
const submit = (hand: Hand, operation: string) =>
  hand.touch(form(hand.page, operation).locator('button[type="submit"]'));
const rail = (hand: Hand, path: string) => hand.touch(`nav.rail a[href^="${path}"]`);
/** Opens what a form stands behind, where it does. */
const unfold = async (hand: Hand, operation: string) => {
  const of = form(hand.page, operation).first();
  await of.waitFor({ state: 'attached' });
  if (await of.isVisible()) return;
  await hand.touch(hand.page.locator('details:not([open])', { has: of }).last().locator('summary').first());
};
/** Picks a piece from the row of a bench. */
const pick = async (hand: Hand, piece: string) => {
  await hand.touch(`.pick a[href*="${piece}"]`);
  await hand.sees(`.pick a[href*="${piece}"][aria-current="true"]`);
};
const done = (hand: Hand) => hand.sees('[role="status"]:has-text("Done. It is in the ledger")');

const turbot = (house: ScaleHouse, form = 'whole') =>
  house.bench.call('receive-lot', {
    ...CHAR,
    species: 'turbot',
    water: 'sea',
    caughtOn: '2026-03-09',
    form,
    mass: form === 'whole' ? '3 kg' : '900 g'
  });
/** A cleared side of char. */
async function side(house: ScaleHouse): Promise<string> {
  const { lot, piece } = await house.bench.call('receive-lot', { ...CHAR, mass: '900 g' });
  await house.bench.call('attach-evidence', { lot, ...FEED });
  return piece!;
}

export const TASKS: readonly HandTask[] = [
  {
    name: 'receive',
    before: async () => '',
    async hands(hand) {
      await rail(hand, '/receive');
      await hand.sees('#species-text');
      await hand.type('#species-text', 'turb');
      await hand.touch('.found button:has-text("Turbot")');
      await hand.type(at(hand, 'receive-lot', 'mass'), '2.4');
      await hand.type(at(hand, 'receive-lot', 'caughtOn'), '2026-03-09');
      await hand.type(at(hand, 'receive-lot', 'supplier'), 'Graywater Landings');
      await hand.type(at(hand, 'receive-lot', 'core'), '1.2');
      await submit(hand, 'receive-lot');
      await hand.page.waitForURL(/\/piece\//);
    }
  },
  {
    name: 'paper',
    before: async (house) => String((await house.bench.call('receive-lot', { ...CHAR, mass: '1200 g' })).piece),
    async hands(hand, piece) {
      await hand.touch(`.queue a[href*="${piece}"]`);
      await unfold(hand, 'attach-evidence');
      await hand.type(at(hand, 'attach-evidence', 'issuer'), 'Skarnes Tank Farm');
      for (const name of ['raised', 'formulatedFeed', 'fromEmbryos', 'noHazardVerified']) {
        await hand.touch(at(hand, 'attach-evidence', name));
      }
      await submit(hand, 'attach-evidence');
      await hand.sees('[data-route="raw"][data-state="open"]');
    }
  },
  {
    name: 'inspect',
    before: async (house) => String((await turbot(house)).lot),
    async hands(hand, lot) {
      await hand.key('/');
      await hand.write(lot);
      await hand.touch(`dialog a[href*="${lot}"], [role="dialog"] a[href*="${lot}"]`);
      await hand.touch(`a[href^="/inspect/${lot}"]`);
      await hand.sees('.attributes fieldset');
      for (const fieldset of await hand.page.locator('.attributes fieldset').all()) {
        await hand.touch(fieldset.locator('.level').first());
      }
      await hand.sees('[data-recommended]');
      await hand.type(at(hand, 'inspect-lot', 'reason'), 'freeze');
      await submit(hand, 'inspect-lot');
      await hand.sees('.before');
    }
  },
  {
    name: 'board of four',
    before: async (house) => String((await turbot(house)).piece),
    async hands(hand, piece, house) {
      await rail(hand, '/break');
      await pick(hand, piece);
      await submit(hand, 'open-board');
      await hand.sees('[data-out]');
      let count = 0;
      for (const [part, grams] of [
        ['eye-back', 312],
        ['eye-belly', 248],
        ['blind-back', 280],
        ['blind-belly', 205]
      ] as const) {
        hand.touches++;
        await touch(hand.page, part);
        await house.tell(`PUT ${grams}`);
        await atRest(hand.page, `${grams} g`);
        await hand.touch('[data-take], button:has-text("Take"), [data-scale] ~ * button');
        await off(hand.page, ++count);
      }
    }
  },
  {
    name: 'finish the board',
    async before(house) {
      const { piece } = await turbot(house);
      await house.bench.call('open-board', { piece });
      await house.bench.call('take-part', { piece, part: 'eye-back', mass: '2998 g', sure: true });
      return piece!;
    },
    async hands(hand, piece) {
      await rail(hand, '/break');
      await pick(hand, piece);
      await unfold(hand, 'close-board');
      await hand.type(at(hand, 'close-board', 'place'), 'Drawer 2');
      await hand.type(at(hand, 'close-board', 'core'), '2.8');
      await submit(hand, 'close-board');
      await hand.sees('text=board finished');
    }
  },
  {
    name: 'freeze',
    before: async (house) => String((await turbot(house, 'fillet')).piece),
    async hands(hand, piece) {
      await rail(hand, '/freeze');
      await pick(hand, piece);
      await hand.type(at(hand, 'start-freeze', 'place'), 'Chest freezer');
      await hand.type(at(hand, 'start-freeze', 'startCore'), '1.5');
      await submit(hand, 'start-freeze');
      await hand.sees('form[data-operation="read-freeze"]');
    }
  },
  {
    name: 'cure',
    before: side,
    async hands(hand, piece) {
      await rail(hand, '/cure');
      await pick(hand, piece);
      await hand.sees('[data-simulated="yes"]');
      await submit(hand, 'start-cure');
      await hand.sees('[data-running]');
    }
  },
  {
    name: 'acid and check',
    before: side,
    async hands(hand, piece, house) {
      await rail(hand, '/acid');
      await pick(hand, piece);
      await hand.sees('[data-simulated="yes"]');
      await submit(hand, 'start-acid');
      await hand.sees('[data-running]');
      await house.bench.later(1 / 6);
      await hand.type(at(hand, 'check-acid', 'raw'), '6');
      await submit(hand, 'check-acid');
      await hand.sees('[data-check]');
    }
  },
  {
    name: 'weigh-in',
    async before(house) {
      const { piece } = await house.bench.call('receive-lot', { ...CHAR, form: 'whole', caughtOn: '2026-03-09' });
      const prepared = 'scaled,gutted,scrubbed,wiped,dried';
      await house.bench.call('start-age', {
        piece,
        place: 'Ageing cabinet',
        mass: '2000 g',
        prepared,
        celsius: '2 C',
        spot: 'H1'
      });
      return piece!;
    },
    async hands(hand, piece) {
      await rail(hand, '/age');
      await hand.touch(`[data-piece="${piece}"]`);
      await hand.sees('form[data-operation="weigh-aged"]');
      await hand.type(at(hand, 'weigh-aged', 'mass'), '1998');
      await submit(hand, 'weigh-aged');
      await hand.sees('[data-weights="2"]');
    }
  },
  {
    name: 'slice and tray',
    before: side,
    async hands(hand, piece) {
      await rail(hand, '/slice');
      await pick(hand, piece);
      await submit(hand, 'record-slice');
      await done(hand);
      await rail(hand, '/serve');
      await unfold(hand, 'start-hold');
      await hand.type(at(hand, 'start-hold', 'label'), 'Counter left');
      await hand.type(at(hand, 'start-hold', 'startCore'), '3');
      await submit(hand, 'start-hold');
      await hand.sees('.trays:has-text("Counter left")');
    }
  },
  {
    name: 'serve',
    before: side,
    async hands(hand, piece) {
      await rail(hand, '/serve');
      await pick(hand, piece);
      await hand.type(at(hand, 'serve-piece', 'mass'), '60');
      await submit(hand, 'serve-piece');
      await hand.sees('[data-told="done"]');
    }
  },
  {
    name: 'bin',
    async before(house) {
      const piece = await side(house);
      await house.bench.call('start-hold', { piece, label: 'Old tray', startCore: '3 C' });
      return piece;
    },
    async hands(hand, piece, house) {
      await house.bench.later(5);
      await hand.page.reload();
      await hand.page.waitForSelector('html[data-ready]');
      await hand.touch(`.queue a[href*="${piece}"]`);
      await rail(hand, '/serve');
      await hand.page.waitForURL(/\/serve/);
      await unfold(hand, 'discard-piece');
      await hand.type(at(hand, 'discard-piece', 'reason'), 'time is up');
      await hand.hold('button:has-text("Bin all")');
      await hand.sees('[data-told="done"]');
    }
  },
  {
    name: 'alarm',
    async before(house) {
      await house.bench.call('move-piece', { piece: await side(house), place: 'Drawer 2' });
      await house.bench.call('read-place', { place: 'Drawer 2', reading: '9 C' });
      await house.bench.later(1);
      await house.bench.call('read-place', { place: 'Drawer 2', reading: '2 C' });
      return '';
    },
    async hands(hand) {
      await hand.touch('[data-excursion] a, [data-excursion]');
      await hand.sees('article[data-excursion]');
      const card = hand.page.locator('article[data-excursion]:has(form)').first();
      await hand.touch(card.locator('summary').first());
      await hand.type(card.locator('[name="note"]'), 'core 3 C, door shut');
      await hand.touch(card.locator('button[type="submit"]'));
      await hand.page.waitForFunction(() => document.querySelectorAll('article[data-excursion] form').length === 0);
    }
  },
  {
    name: 'correct',
    async before(house) {
      const piece = await side(house);
      await house.bench.call('serve-piece', { piece, route: 'raw', mass: '60 g' });
      return piece;
    },
    async hands(hand) {
      await rail(hand, '/ledger');
      await hand.touch('tr:has-text("Served") button:has-text("Correct")');
      await hand.type(at(hand, 'amend-entry', 'patch'), '{"grams": 80}');
      await hand.type(at(hand, 'amend-entry', 'reason'), 'misread');
      await submit(hand, 'amend-entry');
      await hand.sees('tr:has-text("Corrected"), tr:has-text("corrected")');
    }
  },
  {
    name: 'sign',
    before: async () => '',
    async hands(hand) {
      await rail(hand, '/ledger');
      await submit(hand, 'sign-day');
      await done(hand);
    }
  },
  {
    name: 'find',
    async before(house) {
      const piece = await side(house);
      await house.bench.call('discard-piece', { piece, reason: 'dropped', all: true });
      return piece;
    },
    async hands(hand, piece) {
      // Find does not know what is gone: by the ledger.
      await rail(hand, '/ledger');
      await hand.touch(`td a[href*="${piece}"]`);
      await hand.page.waitForURL(new RegExp(piece));
    }
  },
  {
    name: 'label',
    before: side,
    async hands(hand, piece) {
      await hand.key('/');
      await hand.write(piece.slice(0, 8));
      await hand.touch(`[role="dialog"] a[href*="${piece}"], dialog a[href*="${piece}"]`);
      await hand.touch('a[href^="/labels"]');
      await hand.sees('.label');
      await submit(hand, 'print-labels');
      await done(hand);
    }
  }
];
