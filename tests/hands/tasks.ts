import { CHAR, FEED } from '../../src/lib/server/examples.ts';
import { off, type ScaleHouse } from '../browser/scale-house.ts';
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
/** Touches one of the names beside a field. */
const chip = (hand: Hand, operation: string, name: string, text: string) =>
  hand.touch(
    form(hand.page, operation)
      .locator('.field', { has: hand.page.locator(`[name="${name}"], [name="_${name}"]`) })
      .locator(`.chips button:has-text("${text}")`)
  );
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
    // Whoever delivers today has delivered before.
    before: side,
    async hands(hand) {
      await rail(hand, '/receive');
      await hand.sees('#species-text');
      await hand.type('#species-text', 'turb');
      await hand.touch('.found button:has-text("Turbot")');
      await hand.type(at(hand, 'receive-lot', 'mass'), '2.4');
      await chip(hand, 'receive-lot', 'caughtOn', 'Today');
      await chip(hand, 'receive-lot', 'supplier', 'Skarnes Tank Farm');
      await hand.type(at(hand, 'receive-lot', 'core'), '1.2');
      await submit(hand, 'receive-lot');
      await hand.page.waitForURL(/\/piece\//);
    }
  },
  {
    name: 'paper',
    before: async (house) => String((await house.bench.call('receive-lot', { ...CHAR, mass: '1200 g' })).piece),
    async hands(hand, piece) {
      await hand.touch('[data-papers] summary');
      await hand.touch(`[data-papers] a[href*="${piece}#papers"]`);
      await unfold(hand, 'attach-evidence');
      await chip(hand, 'attach-evidence', 'issuer', 'Skarnes');
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
      await hand.touch(`dialog a[href*="/piece/${lot}"]`);
      await hand.touch(`.benches a[href^="/inspect/${lot}"]`);
      await hand.sees('.attributes fieldset');
      for (const fieldset of await hand.page.locator('.attributes fieldset').all()) {
        await hand.touch(fieldset.locator('.level').first());
      }
      await hand.sees('[data-recommended]');
      await chip(hand, 'inspect-lot', 'reason', 'freeze it first');
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
      // The tablet's habit, set once: its scale is read by itself.
      await hand.page.evaluate(() => localStorage.setItem('ember-scale-by-itself', 'on'));
      await submit(hand, 'open-board');
      await hand.sees('[data-out]');
      let count = 0;
      for (const grams of [312, 248, 280, 205]) {
        await house.tell(`PUT ${grams}`);
        await off(hand.page, ++count);
        await house.tell('PUT 0');
        await hand.page.waitForSelector('[data-pan=""]');
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
      await hand.touch(`[data-task="board-open"] a[href*="${piece}"][href*="#finish"]`);
      await unfold(hand, 'close-board');
      await chip(hand, 'close-board', 'place', 'Drawer 2');
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
    async hands(hand, piece, house) {
      await hand.page.evaluate(() => localStorage.setItem('ember-scale-by-itself', 'on'));
      await rail(hand, '/age');
      await hand.touch(`[data-piece="${piece}"]`);
      await hand.sees('form[data-operation="weigh-aged"]');
      await house.tell('PUT 1998');
      await hand.sees('[data-weights="2"]');
    }
  },
  {
    name: 'slice and tray',
    async before(house) {
      const other = await side(house);
      await house.bench.call('start-hold', { all: true, piece: other, label: 'Counter left', startCore: '3 C' });
      await house.bench.call('discard-piece', { piece: other, reason: 'time is up', all: true });
      return side(house);
    },
    async hands(hand, piece) {
      await rail(hand, '/slice');
      await pick(hand, piece);
      await submit(hand, 'record-slice');
      await hand.sees('[data-lifted]');
      await chip(hand, 'start-hold', 'label', 'Counter left');
      await hand.type(at(hand, 'start-hold', 'startCore'), '3');
      await submit(hand, 'start-hold');
      await hand.sees('[data-lifted]:has-text("On its tray")');
    }
  },
  {
    name: 'serve',
    before: side,
    async hands(hand, piece, house) {
      await house.tell('PUT 180');
      await rail(hand, '/serve');
      await pick(hand, piece);
      await hand.sees('[data-pan="180"]');
      await house.tell('PUT 120');
      await hand.sees('[data-lifted]');
      await submit(hand, 'serve-piece');
      await hand.sees('[data-told="done"]');
    }
  },
  {
    name: 'bin',
    async before(house) {
      const piece = await side(house);
      await house.bench.call('start-hold', { all: true, piece, label: 'Old tray', startCore: '3 C' });
      return piece;
    },
    async hands(hand, piece, house) {
      await house.bench.later(5);
      await hand.page.reload();
      await hand.page.waitForSelector('html[data-ready]');
      await hand.hold(`[data-task="tray-discard"]:has-text("${piece}") button:has-text("Bin all")`);
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
      await hand.touch('li[data-excursion="warm"] button:has-text("Core read: cold")');
      await hand.sees('[data-told="done"]');
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
      await hand.type(at(hand, 'amend-entry', '_mass'), '80');
      await chip(hand, 'amend-entry', 'reason', 'misread');
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
      // Its label is still on the box: gone or not, it is found.
      await hand.scan(`http://house.local/piece/${piece}`);
      await hand.page.waitForURL(new RegExp(piece));
    }
  },
  {
    name: 'label',
    before: side,
    async hands(hand, piece) {
      await hand.key('/');
      await hand.write(piece.slice(4));
      await hand.touch(`dialog a[href="/piece/${piece}"]`);
      await hand.touch('.benches a[href^="/labels"]');
      await hand.sees('.label');
      await submit(hand, 'print-labels');
      await done(hand);
    }
  }
];
