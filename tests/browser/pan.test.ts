import { expect } from 'chai';
import { CHAR, FEED } from '../../src/lib/server/examples.ts';
import type { BenchHouse } from './bench-house.ts';
import { atRest, off, openScaleHouse, touch, type ScaleHouse } from './scale-house.ts';

describe('a weight is taken once, and for the part that is shown', () => {
  let scaled: ScaleHouse;
  let tell: ScaleHouse['tell'];
  let call: BenchHouse['call'];
  let open: BenchHouse['open'];
  before(async () => {
    scaled = await openScaleHouse();
    ({ tell } = scaled);
    ({ call, open } = scaled.bench);
  });
  after(() => scaled.close());
  /** A turbot on the board, at the bench. */
  async function onBoard() {
    const turbot = {
      species: 'turbot',
      source: 'wild',
      water: 'sea',
      commercial: 'yes',
      supplier: 'Graywater Landings'
    };
    const { piece } = await call('receive-lot', { ...turbot, form: 'whole', caughtOn: '2026-03-09', mass: '3000 g' });
    await call('open-board', { piece });
    const bench = await open(`/break?piece=${piece}`);
    const taken = async () =>
      (
        (await (await fetch(`${scaled.bench.house.url}/api/v1/boards/${piece}`)).json()) as {
          taken: { part: string; grams: number }[];
        }
      ).taken.map(({ part, grams }) => [part, grams]);
    return { ...bench, taken };
  }

  it('what lies on the pan is weighed once: it has to change before the next weight is taken', async () => {
    const { page, close, taken } = await onBoard();
    await touch(page, 'eye-back');
    await tell('PUT 300');
    await atRest(page, '300 g');
    await page.keyboard.press('w');
    await page.keyboard.press('w');
    await off(page, 1);
    // Another part is touched, and the first still lies there.
    await touch(page, 'eye-belly');
    await page.keyboard.press('w');
    await page.waitForSelector('text=Change what lies on the pan');
    await tell('PUT 150');
    await atRest(page, '150 g');
    await tell('PUT 300');
    await atRest(page, '300 g');
    expect(await page.locator('[data-taken]').count()).to.equal(1);
    await page.keyboard.press('w');
    await off(page, 2);
    expect(await taken()).to.deep.equal([
      ['eye-back', 300],
      ['eye-belly', 300]
    ]);
    await tell('PUT 0');
    await close();
  });

  it('a part that is touched while the page is busy is the one that is weighed', async () => {
    const { page, close, taken } = await onBoard();
    await tell('PUT 0');
    await touch(page, 'eye-back');
    await tell('PUT 280');
    await atRest(page, '280 g');
    // The house is slow to hand out the page of the next part.
    await page.route(/__data\.json.*eye-belly/, async (route) => {
      await new Promise((resolve) => setTimeout(resolve, 1500));
      await route.continue();
    });
    await page.locator('svg [data-part="eye-belly"]').click();
    await page.keyboard.press('w');
    await off(page, 1);
    expect(await taken()).to.deep.equal([['eye-belly', 280]]);
    await tell('PUT 0');
    await close();
  });

  it('by itself it takes part after part, and no hand touches the glass; what is odd for a part is asked about', async () => {
    const { page, close, taken } = await onBoard();
    await tell('PUT 0');
    await page.click('button:has-text("Takes them by itself")');
    const waits = async (part: string) => page.waitForSelector(`svg [data-part="${part}"][aria-current="true"]`);
    await waits('eye-back');
    await tell('PUT 312');
    await off(page, 1);
    await waits('eye-belly');
    // It lies there still: it is weighed once.
    await page.waitForTimeout(2500);
    expect(await page.locator('[data-taken]').count()).to.equal(1);
    await tell('PUT 0');
    await page.waitForSelector('[data-pan=""]');
    // A hundred times less than such a part weighs is no such part.
    await tell('PUT 8');
    await page.waitForSelector('text=is odd for this part');
    await tell('PUT 0');
    await page.waitForSelector('[data-pan=""]');
    await tell('PUT 248');
    await off(page, 2);
    await tell('PUT 0');
    expect(await taken()).to.deep.equal([
      ['eye-back', 312],
      ['eye-belly', 248]
    ]);
    await page.click('button:has-text("Takes them by itself")');
    await close();
  });

  it('slices lifted from the pan are counted by what is gone from it', async () => {
    const { call, open } = scaled.bench;
    const lot = await call('receive-lot', { ...CHAR, mass: '900 g' });
    await call('attach-evidence', { lot: lot.lot, ...FEED });
    await tell('PUT 180');
    const { page, close } = await open(`/serve?piece=${lot.piece}`);
    await page.waitForSelector('[data-pan="180"]');
    for (const [left, words] of [
      [168, '1 slice lifted from the pan, 12 g'],
      [155, '2 slices lifted from the pan, 25 g']
    ] as const) {
      await tell(`PUT ${left}`);
      await page.waitForSelector(`[data-lifted]:has-text("${words}")`);
      await page.waitForSelector(`[data-pan="${left}"]`);
    }
    expect(await page.inputValue('form[data-operation="serve-piece"] [name="mass"]')).to.equal('25');
    await page.locator('form[data-operation="serve-piece"] button[type="submit"]').click();
    await page.waitForSelector('[data-told="done"]:has-text("Served 25 g")');
    await tell('PUT 0');
    await close();
  });
});
