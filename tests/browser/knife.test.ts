import { expect } from 'chai';
import * as say from '../../src/lib/words/say.ts';
import { CHAR, FEED } from '../server/house.ts';
import { atRest, openScaleHouse, type ScaleHouse } from './scale-house.ts';

describe('from the side to the plate', () => {
  let scaled: ScaleHouse;
  before(async () => {
    scaled = await openScaleHouse();
    const { call } = scaled.bench;
    await call('set-place', { name: 'Drawer 1', kind: 'drawer' });
    await call('set-knife', { name: 'Long slicer', every: 200 });
  });
  after(() => scaled.close());

  /** A cleared side of char in the drawer, and its page on the squaring board. */
  async function side(touched: boolean) {
    const { call, open } = scaled.bench;
    const { lot, piece } = await call('receive-lot', { ...CHAR, mass: '1.2 kg', thickness: '34 mm' });
    await call('attach-evidence', { lot, ...FEED });
    await call('move-piece', { piece, place: 'Drawer 1' });
    return open(`/slice/square?piece=${piece}`, { hasTouch: touched });
  }
  const grams = async (path: string): Promise<number> =>
    ((await (await fetch(`${scaled.bench.house.url}/api/v1/pieces/${path}`)).json()) as { piece: { grams: number } })
      .piece.grams;

  it('by touch: squared, sliced, weighed with the scale unplugged half-way, put on its tray, plated', async () => {
    const { tell } = scaled;
    const { page, quiet, close } = await side(true);
    await page.waitForSelector('[data-answer="yes"]');
    // A lower block that gives more is one touch away.
    const ways = page.locator('[data-answer] button');
    await ways.first().waitFor();
    await ways.first().tap();
    await page.waitForFunction(() => document.querySelectorAll('[data-answer] button').length === 0);
    expect(await page.locator('[data-loss="belly"], [data-loss="skin"]').count()).to.equal(2);
    await page.selectOption('[name="knife"]', 'long-slicer');
    await page.getByRole('button', { name: 'Drawer 1' }).tap();
    await page.getByRole('button', { name: 'Keep these blocks' }).tap();
    await page.locator('[data-squared] a', { hasText: 'Slice it' }).first().tap();
    await page.waitForURL('**/slice?piece=*');
    await page.waitForSelector('[data-answer="yes"]');
    // The block knows its size: nothing is guessed, and nothing of it is still to lose.
    expect(await page.locator('[data-guessed], [data-unsquared]').count()).to.equal(0);
    await page.locator('summary', { hasText: 'How many, and what then' }).tap();
    await page.fill('[name="count"]', '5');
    await page.waitForSelector('[data-answer="yes"]:has-text("5")');
    await page.getByRole('button', { name: 'Drawer 1' }).tap();
    await page.getByRole('button', { name: 'Keep these slices' }).tap();
    const made = page.locator('[data-lifted]').first();
    await made.filter({ hasText: '5 pieces' }).waitFor();
    const slices = (await made.getAttribute('data-lifted'))!;
    const each = (await grams(slices)) / 5;
    // Two from the scale, then it is gone: the third is typed, and the fourth is taken once it is back.
    await made.locator('summary', { hasText: 'How even they are' }).tap();
    const weigh = async (load: number, count: number) => {
      await tell(`PUT ${load}`);
      await atRest(page, say.mass(load));
      await made.getByRole('button', { name: 'Take this weight' }).tap();
      await page.waitForFunction(
        (n) => document.querySelector<HTMLInputElement>('[name="weights"]')!.value.trim().split(' ').length === n,
        count
      );
      await tell('PUT 0');
      await atRest(page, say.mass(0));
    };
    const near = Math.round(each);
    await weigh(near, 1);
    await weigh(near + 1, 2);
    await tell('UNPLUG');
    await page.waitForSelector('[data-scale="lost"]');
    await made.locator('[name="weights"]').fill(`${await made.locator('[name="weights"]').inputValue()} ${near}`);
    await tell('PLUG');
    await page.waitForSelector('[data-scale="weight"]');
    await weigh(near, 4);
    await made.getByRole('button', { name: 'Keep these weights' }).tap();
    await made.locator('[data-even]').waitFor();
    await made.locator('[name="label"]').fill('Counter left');
    await made.locator('[name="startCore"]').fill('3');
    await made.getByRole('button', { name: 'Put them on a tray' }).tap();
    await page.waitForSelector(`[data-lifted="${slices}"]:has-text("On its tray")`);
    const plated = page.locator(`[data-lifted="${slices}"]`);
    await plated.locator('summary', { hasText: 'On a plate' }).tap();
    await plated.locator('[data-plates]').waitFor();
    await plated.locator('[name="each"]').fill('5');
    await plated.locator('[data-plates="1"]').waitFor();
    await plated.locator('[name="plate"]').fill('100');
    await plated.locator('[data-plates="0"]').waitFor();
    quiet();
    await close();
  });

  it('by keyboard alone: the same, and the knife says that it wants its edge', async () => {
    const { page, quiet, close } = await side(false);
    await page.waitForSelector('[data-answer="yes"]');
    const type = async (name: string, text: string) => {
      await page.focus(`[name="${name}"]`);
      await page.keyboard.press('Control+a');
      await page.keyboard.type(text);
    };
    // Higher than it stands anywhere: said, and nothing is written.
    await type('wantHeight', '60');
    await page.waitForSelector('[data-answer="no"]');
    await type('wantHeight', '15');
    await page.waitForSelector('[data-answer="yes"]');
    await type('place', 'Drawer 1');
    await page.keyboard.press('Enter');
    await page.waitForSelector('[data-squared]');
    await page.locator('[data-squared] a', { hasText: 'Slice it' }).first().focus();
    await page.keyboard.press('Enter');
    await page.waitForURL('**/slice?piece=*');
    await page.waitForSelector('[data-answer="yes"]');
    await type('grams', '8');
    await type('place', 'Drawer 1');
    await page.keyboard.press('Enter');
    const made = page.locator('[data-lifted]').first();
    await made.filter({ hasText: 'pieces' }).waitFor();
    await made.locator('summary', { hasText: 'How even they are' }).focus();
    await page.keyboard.press('Enter');
    await made.locator('[name="weights"]').focus();
    await page.keyboard.type('8.1 7.9 8.3');
    await page.keyboard.press('Enter');
    await made.locator('[data-even]').waitFor();
    await made.locator('[name="label"]').focus();
    await page.keyboard.type('Counter right');
    await made.locator('[name="startCore"]').focus();
    await page.keyboard.type('3');
    await page.keyboard.press('Enter');
    await page.waitForSelector('[data-lifted]:has-text("On its tray")');
    await made.locator('summary', { hasText: 'On a plate' }).focus();
    await page.keyboard.press('Enter');
    await made.locator('[data-plates]').waitFor();
    expect(Number(await made.locator('[data-plates]').getAttribute('data-plates'))).to.be.greaterThan(0);
    quiet();
    await close();
  });

  it('a cut of the house’s own, drawn and kept under its name; then several kinds on one plate', async () => {
    const { call, open } = scaled.bench;
    await call('set-cut', { name: 'Sunday cut', like: 'straight', thickest: '7 mm', note: 'three to a plate' });
    const { lot, piece } = await call('receive-lot', { ...CHAR, mass: '1.2 kg', thickness: '34 mm' });
    await call('attach-evidence', { lot, ...FEED });
    const block = (await call('divide-piece', { piece, name: 'Char', form: 'block', mass: '300 g' })) as {
      piece: string;
    };
    const { page, quiet, close } = await open(`/slice?piece=${block.piece}`, { hasTouch: true });
    await page.waitForSelector('[data-answer="yes"]');
    const ours = page.getByRole('button', { name: 'Sunday cut' });
    await ours.tap();
    await page.waitForSelector('[data-house-note]:has-text("three to a plate")');
    expect(await ours.getAttribute('aria-pressed')).to.equal('true');
    expect(await page.inputValue('[name="style"]')).to.equal('straight');
    await page.waitForSelector('[data-sketch="straight"]');
    // Another cut of the list is that cut, and no longer ours.
    await page.selectOption('[name="style"]', 'oblique');
    await page.waitForSelector('[data-sketch="oblique"]');
    expect(await ours.getAttribute('aria-pressed')).to.equal('false');
    await ours.tap();
    await page.waitForSelector('[data-answer="yes"]');
    await page.getByRole('button', { name: 'Keep these slices' }).tap();
    await page.locator('[data-lifted]:has-text("Sunday cut")').waitFor();
    await page.getByRole('link', { name: 'Several kinds on one plate' }).tap();
    await page.waitForURL('**/slice/plate');
    await page.waitForSelector('[data-together]');
    await page.fill('[name="plate"]', '400');
    await page.waitForSelector('[data-together="yes"]');
    expect(await page.locator('[data-kind]').count()).to.be.greaterThan(1);
    await page.fill('[name="plate"]', '100');
    await page.waitForSelector('[data-together="over"] [role="alert"]');
    // It says how many do, and takes them at a touch until they lie there.
    for (let tries = 0; tries < 4 && (await page.locator('[data-together="over"]').count()) > 0; tries++) {
      await page.locator('[data-together="over"] button').first().tap();
    }
    await page.waitForSelector('[data-together="yes"], [data-together="no"]');
    quiet();
    await close();
  });
});
