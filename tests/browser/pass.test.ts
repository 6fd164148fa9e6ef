import { expect } from 'chai';
import { MOST_AT_ONCE } from '../../src/lib/core/service/pass.ts';
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

  it('a broken line: touches stay in order and are sent when it is back, and what another tablet sold meanwhile is told', async () => {
    const key = '[data-dish="halibut-sliced-to-order"]';
    const plates = async (page: Page) => Number(await page.getAttribute(key, 'data-left'));
    const [one, two] = [await watch({ hasTouch: true }), await watch({ hasTouch: true })];
    await signIn(one.page, house.url, 'p1');
    await signIn(two.page, house.url, 'p2');
    await visit(one.page, `${house.url}/serve/pass`);
    await visit(two.page, `${house.url}/serve/pass`);
    const begun = await plates(one.page);
    expect(begun).to.be.greaterThan(4);
    await one.page.context().setOffline(true);
    const touch = (page: Page) => page.locator(`${key} button[type="submit"]`).first().tap();
    // Each touch is answered at once, on the tablet itself.
    await touch(one.page);
    await one.page.waitForSelector(`${key}[data-left="${begun - 1}"]`);
    await touch(one.page);
    await one.page.waitForSelector(`${key}[data-left="${begun - 2}"]`);
    await one.page.waitForSelector('[data-waiting="2"]');
    // Meanwhile the other sells all but one.
    await two.page.locator(`${key} summary`).tap();
    for (let count = begun; count > 1;) {
      const sold = Math.min(MOST_AT_ONCE, count - 1);
      await two.page.fill(`${key} [name="plates-halibut-sliced-to-order"]`, String(sold));
      await touch(two.page);
      count -= sold;
      await two.page.waitForSelector(`${key}[data-left="${count}"]`);
    }
    // Its count is the tablet's own until the house has said so as well.
    await two.page.waitForFunction(() => localStorage.getItem('ember-pass:waiting') === '[]');
    await one.page.context().setOffline(false);
    await one.page.waitForSelector('[data-refused="1"]');
    await one.page.waitForSelector(`${key}[data-left="0"]`);
    await one.page.waitForFunction(() => !document.querySelector('[data-waiting]'));
    await one.page.locator('[data-refused] button').tap();
    await one.page.waitForFunction(() => !document.querySelector('[data-refused]'));
    one.quiet(/Failed to load resource|ERR_INTERNET_DISCONNECTED/);
    two.quiet();
    await one.close();
    await two.close();
  });

  it('the cook’s choice by touch: laid out pale to rich, a seat without raw is swapped, a course goes to all seats', async () => {
    const { page, quiet, close } = await watch({ hasTouch: true });
    await signIn(page, house.url, 'p1');
    await visit(page, `${house.url}/serve/choice`);
    const form = page.locator('form[data-operation="set-party"]');
    await form.locator('[name="name"]').fill('Counter, seats 1 and 2');
    await form.locator('[value="sablefish-grilled"]').tap();
    await form.locator('[value="halibut-in-lime"]').tap();
    await form.locator('button[type="submit"]').tap();
    const party = page.locator('[data-party]');
    await party.waitFor();
    expect(await party.locator('[data-course="1"]').textContent()).to.include('Halibut in lime');
    await party.locator('summary', { hasText: 'Seat 2 does not have' }).tap();
    const seat = party.locator('form[data-operation="set-seat"]').nth(1);
    await seat.locator('[name="noRaw"]').tap();
    await seat.locator('button[type="submit"]').tap();
    await party.locator('[data-course="1"] [data-seat="2"]', { hasText: 'instead: it is raw' }).waitFor();
    await party.locator('form[data-operation="send-course"] button[type="submit"]').tap();
    await page.waitForFunction(() => !document.querySelector('[data-course="1"]'));
    expect(await party.locator('[data-course="2"]').count()).to.equal(1);
    quiet();
    await close();
  });

  it('at the table and before service: what is in a dish by the piece on the counter, under another list, and on one sheet', async () => {
    const { page, quiet, close } = await watch();
    await signIn(page, house.url, 'p1');
    await visit(page, `${house.url}/serve/table`);
    const row = page.locator('[data-row="six-oysters"]');
    expect(await row.locator('[data-cell="holds"]').count()).to.equal(2);
    expect(await page.textContent('[data-told="six-oysters"]')).to.include('weak liver');
    await page.selectOption('[name="profile"]', 'jp');
    await page.waitForURL('**/serve/table?profile=jp');
    await page.locator('th', { hasText: 'apple' }).waitFor();
    const csv = await page.request.get(`${house.url}/serve/table/export`);
    expect(await csv.text()).to.include('Six oysters');
    await visit(page, `${house.url}/serve/lineup`);
    expect(await page.locator('[data-on] tbody tr').count()).to.be.greaterThan(0);
    expect(await page.locator('h2', { hasText: 'Sell first' }).count()).to.equal(1);
    quiet();
    await close();
  });
});
