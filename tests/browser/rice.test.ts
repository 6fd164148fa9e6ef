import { expect } from 'chai';
import type { BrowserContext, Page } from 'playwright-core';
import { closePages, openDemo, signIn, theBrowser, visit, type RunningHouse } from './harness.ts';

describe('rice in a browser', () => {
  let house: RunningHouse;
  let context: BrowserContext;
  let page: Page;
  before(async () => {
    house = await openDemo();
    context = await (
      await theBrowser()
    ).newContext({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
    page = await context.newPage();
    await signIn(page, house.url, 'p1');
  });
  after(async () => {
    await closePages();
    await house.close();
  });

  it('a tub is dressed, read, stands on Now and the chart, has a label, and goes into the bin', async () => {
    await visit(page, `${house.url}/`);
    await page.keyboard.press('r');
    await page.waitForURL('**/rice');
    await page.getByLabel('Called').fill('Red rice');
    await page.getByRole('button', { name: 'Start its clock' }).click();
    const tubs = page.locator('[data-tub]');
    await tubs.nth(1).waitFor();
    expect(await tubs.count()).to.equal(2);
    // The one whose clock ends first stands first.
    expect(await tubs.nth(0).textContent()).to.contain('Sushi rice');
    await tubs.nth(1).getByRole('link').click();
    await page.waitForURL('**/rice?tub=*');
    const id = new URL(page.url()).searchParams.get('tub')!;
    await page.getByRole('textbox', { name: 'It reads' }).fill('38');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await page.getByText('38.0 °C').waitFor();
    await page.getByRole('link', { name: 'Its label' }).click();
    await page.getByText(/^BIN AT /).waitFor();
    await visit(page, `${house.url}/`);
    expect(
      await page
        .locator('.chart')
        .getByRole('link', { name: `Red rice, ${id}` })
        .count()
    ).to.equal(1);
    await visit(page, `${house.url}/rice?tub=${id}`);
    await page.getByText('Bin it').first().click();
    await page.getByLabel('Why').fill('end of lunch');
    await page.getByRole('button', { name: 'Bin it' }).click();
    await page.getByRole('link', { name: `Red rice, ${id}` }).waitFor();
    expect(await tubs.count()).to.equal(1);
    await visit(page, `${house.url}/ledger`);
    expect(await page.getByText('Rice binned').count()).to.be.greaterThan(0);
  });
  it('once its time is over it says so first, and opens the bin', async () => {
    await context.request.post(`${house.url}/api/v1/operations/make-tub`, {
      headers: { 'x-ember-person': 'p1', 'idempotency-key': 'rice-over-1' },
      data: { name: 'Forgotten rice', at: '2026-03-13T10:00' }
    });
    await visit(page, `${house.url}/rice`);
    const late = page.locator('[data-tub]').nth(0);
    expect(await late.textContent()).to.match(/Bin it now[\s\S]*Forgotten rice/);
    await page.getByRole('button', { name: 'Bin it' }).waitFor();
  });
});
