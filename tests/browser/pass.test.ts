import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { closePages, openDemo, signIn, visit, type RunningHouse } from './harness.ts';
import { watch } from './watch.ts';

describe('the pass', () => {
  let house: RunningHouse;
  before(async () => {
    house = await openDemo();
  });
  after(async () => {
    await closePages();
    await house.close();
  });
  const KEY = '[data-dish="turbot-three-slices"]';
  const left = async (page: Page) => Number(await page.getAttribute(KEY, 'data-left'));
  const leaves = (page: Page, count: number) => page.waitForSelector(`${KEY}[data-left="${count}"]`);

  it('by touch: a touch a plate, on two tablets, down to the last; then another fish, and a plate is taken back', async () => {
    const one = await watch({ hasTouch: true });
    await signIn(one.page, house.url, 'p1');
    await visit(one.page, `${house.url}/serve/pass`);
    const two = await watch({ hasTouch: true });
    await signIn(two.page, house.url, 'p2');
    await visit(two.page, `${house.url}/serve/pass`);
    const begun = await left(one.page);
    expect(begun).to.be.within(4, 9);
    const key = (page: Page) => page.locator(`${KEY} button[type="submit"]`).first();
    // One touch each, and every tablet sees what the other took.
    await key(one.page).tap();
    await leaves(one.page, begun - 1);
    await leaves(two.page, begun - 1);
    for (let count = begun - 2; count >= 1; count--) {
      const { page } = count % 2 === 0 ? one : two;
      await key(page).tap();
      await leaves(one.page, count);
      await leaves(two.page, count);
    }
    // That there is but one more was said before it was gone.
    await one.page.waitForSelector(`${KEY}:has-text("The last one.")`);
    await key(one.page).tap();
    await leaves(two.page, 0);
    const taken = two.page.locator('[data-plate] button[type="submit"]').first();
    await taken.tap();
    await leaves(one.page, 1);
    for (const { quiet, close } of [one, two]) {
      quiet();
      await close();
    }
  });

  it('by keyboard: several at once, off tonight and on again', async () => {
    const { page, quiet, close } = await watch();
    await signIn(page, house.url, 'p1');
    await visit(page, `${house.url}/serve/pass`);
    const key = '[data-dish="sablefish-grilled"]';
    const begun = Number(await page.getAttribute(key, 'data-left'));
    await page.locator(`${key} summary`).focus();
    await page.keyboard.press('Enter');
    await page.focus(`${key} [name="plates-sablefish-grilled"]`);
    await page.keyboard.press('Control+a');
    await page.keyboard.type('3');
    await page.locator(`${key} button[type="submit"]`).first().focus();
    await page.keyboard.press('Enter');
    await page.waitForSelector(`${key}[data-left="${begun - 3}"]`);
    await page.locator('summary', { hasText: 'Take a dish off for tonight' }).focus();
    await page.keyboard.press('Enter');
    await page.locator('[data-off="no"]:has-text("Sablefish") button[type="submit"]').focus();
    await page.keyboard.press('Enter');
    await page.waitForFunction((of) => !document.querySelector(of), key);
    await page.locator('[data-off="yes"]:has-text("Sablefish") button[type="submit"]').focus();
    await page.keyboard.press('Enter');
    await page.waitForSelector(key);
    quiet();
    await close();
  });
});
