import { expect } from 'chai';
import { closePages, openDemo, signIn, visit, type RunningHouse } from './harness.ts';
import { form, watch } from './watch.ts';

describe('the slicing bench', () => {
  let house: RunningHouse;
  before(async () => {
    house = await openDemo();
  });
  after(async () => {
    await closePages();
    await house.close();
  });
  const answer = '[data-answer="yes"]';
  const grams = async (piece: string): Promise<number> =>
    ((await (await fetch(`${house.url}/api/v1/pieces/${piece}`)).json()) as { piece: { grams: number } }).piece.grams;

  it('by touch: the cut suits what it is for, the block is measured, the slices go onto a tray; another slicing is put back', async () => {
    const { page, quiet, close } = await watch({ hasTouch: true });
    await signIn(page, house.url, 'p1');
    await visit(page, `${house.url}/slice?piece=HAL-0302-1-B`);
    await page.waitForSelector(answer);
    expect(await page.getAttribute('[data-advice]', 'data-advice')).to.equal('oblique');
    await page.selectOption('[name="purpose"]', 'plate');
    await page.waitForSelector('[data-advice="straight"]');
    expect(await page.inputValue('[name="style"]')).to.equal('straight');
    // Another cut may be chosen, and what suits better is said.
    await page.selectOption('[name="style"]', 'cubes');
    await page.waitForSelector('[data-advice="straight"]:has-text("suits better")');
    await page.getByRole('button', { name: 'Take that cut' }).tap();
    await page.waitForSelector('[data-advice="straight"]:has-text("It suits")');
    const before = await grams('HAL-0302-1-B');
    await page.fill('[name="height4"]', '22');
    await page.waitForSelector('[data-ruler]');
    await page.getByRole('button', { name: 'Let the scale decide the width' }).tap();
    await page.waitForFunction(() => !document.querySelector('.off'));
    await page.locator('summary', { hasText: 'How many, and what then' }).tap();
    await page.fill('[name="count"]', '4');
    await page.waitForSelector(`${answer}:has-text("4")`);
    await page.getByRole('button', { name: 'Drawer 1' }).tap();
    await page.getByRole('button', { name: 'Keep these slices' }).tap();
    const made = page.locator('[data-lifted]').first();
    await made.filter({ hasText: '4 pieces' }).waitFor();
    const slices = (await made.getAttribute('data-lifted'))!;
    expect((await grams('HAL-0302-1-B')) + (await grams(slices))).to.be.closeTo(before, 0.01);
    // On the scale: three alike and one odd, told by its number.
    await made.locator('summary', { hasText: 'How even they are' }).tap();
    const asked = Number(await page.inputValue('[name="grams"]'));
    const weights = [1, 1.02, 1.3, 0.98].map((times) => (asked * times).toFixed(1)).join(' ');
    await made.locator('[name="weights"]').fill(weights);
    await made.locator('[data-odd]:has-text("3")').waitFor();
    expect(Number(await made.locator('[data-even]').getAttribute('data-even'))).to.equal(0.75);
    await made.getByRole('button', { name: 'Keep these weights' }).tap();
    await page.waitForSelector('[data-hand="unknown"]');
    await made.locator('[name="label"]').fill('Counter right');
    await made.locator('[name="startCore"]').fill('3');
    await made.getByRole('button', { name: 'Put them on a tray' }).tap();
    await page.waitForSelector(`[data-lifted="${slices}"]:has-text("On its tray")`);
    // Once more, and it was not so.
    const left = await grams('HAL-0302-1-B');
    await page.getByRole('button', { name: 'Keep these slices' }).tap();
    const again = page.locator('[data-lifted]', { hasText: 'not cut after all' }).first();
    await again.waitFor();
    const gone = (await again.getAttribute('data-lifted'))!;
    await again.getByRole('button', { name: 'not cut after all' }).tap();
    await page.waitForSelector(`[data-lifted="${gone}"]`, { state: 'detached' });
    expect(await grams('HAL-0302-1-B')).to.be.closeTo(left, 0.01);
    quiet();
    await close();
  });

  it('by keyboard alone: what does not fit says so with the nearest that does, then it is cut to the end', async () => {
    const { page, quiet, close } = await watch();
    await signIn(page, house.url, 'p2');
    await visit(page, `${house.url}/slice?piece=ARC-0311-1-D`);
    await page.waitForSelector(answer);
    const type = async (name: string, text: string) => {
      await page.focus(`[name="${name}"]`);
      await page.keyboard.press('Control+a');
      await page.keyboard.type(text);
    };
    await type('grams', '90');
    await page.waitForSelector('[data-answer="no"]:has-text("The heaviest is")');
    await page.locator('[data-answer] button').first().focus();
    await page.keyboard.press('Enter');
    await page.waitForSelector(answer);
    expect(Number(await page.inputValue('[name="grams"]'))).to.be.within(5, 90);
    await type('height', '0');
    await page.waitForSelector('[role="alert"]:has-text("Height")');
    await type('height', '24');
    await type('grams', '12');
    await page.waitForSelector(`${answer}:has-text("12 g")`);
    await type('place', 'Drawer 2');
    await page.keyboard.press('Enter');
    await page.waitForSelector('[data-lifted]:has-text("pieces")');
    // All of it was cut: it is on this bench no more.
    await page.waitForSelector('form[data-operation="record-slice"]', { state: 'detached' });
    expect(await form(page, 'start-hold').count()).to.be.greaterThan(0);
    quiet();
    await close();
  });
});
