import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { CHAR, COVER, FEED } from '../../src/lib/server/examples.ts';
import { openBenchHouse, type BenchHouse } from './bench-house.ts';
import { visit } from './harness.ts';

describe('Now: each thing with its deed', () => {
  let bench: BenchHouse;
  let fish = 0;
  const side = async () => {
    const { lot, piece } = await bench.call('receive-lot', { ...CHAR, mass: '900 g', supplierLot: `L${++fish}` });
    await bench.call('attach-evidence', { lot, ...FEED });
    return piece!;
  };
  const row = (page: Page, text: string) => page.locator(`li[data-danger]:has-text("${text}")`).first();
  const gone = (page: Page, text: string) =>
    page.locator(`li[data-danger]:has-text("${text}")`).first().waitFor({ state: 'detached' });
  before(async () => {
    bench = await openBenchHouse();
    await bench.call('set-place', { name: 'Drawer 2', kind: 'drawer' });
    await bench.call('set-place', { name: 'Drawer 3', kind: 'drawer' });
  });
  after(() => bench.close());

  it('worst first; a tray that is over is binned in its row and taken back, an alarm answered at a touch, a step done', async () => {
    const tray = await side();
    const cured = await side();
    await bench.call('start-hold', { all: true, piece: tray, label: 'Old tray', startCore: '3 C' });
    await bench.call('start-cure', { piece: cured, place: 'Drawer 3', ...COVER });
    await bench.call('move-piece', { piece: await side(), place: 'Drawer 2' });
    await bench.call('read-place', { place: 'Drawer 2', reading: '9 C' });
    await bench.later(3);
    await bench.call('read-place', { place: 'Drawer 2', reading: '2 C' });
    await bench.later(7);
    const { page, quiet, close } = await bench.open('/');
    const dangers = await page.locator('li[data-danger]').evaluateAll((all) => all.map((each) => each.dataset.danger));
    expect(dangers.slice(0, 2)).to.deep.equal(['running-out', 'too-warm']);
    // A tray hours over stands first, and is binned where it stands.
    const first = page.locator('li[data-danger]').first();
    expect(await first.textContent())
      .to.contain('Old tray')
      .and.contain('6 h late');
    await first.locator('button:has-text("Bin all 900 g")').hover();
    await page.mouse.down();
    await page.waitForSelector('[data-told="done"]:has-text("Binned 900 g")');
    await page.mouse.up();
    await gone(page, 'Old tray');
    await page.locator('[data-told] button:has-text("Undo")').click();
    await row(page, 'Old tray').waitFor();
    // What was too warm is answered at a touch, and its answer taken back.
    await row(page, 'Drawer 2 was too warm').locator('button:has-text("Core read: cold")').click();
    await gone(page, 'Drawer 2 was too warm');
    await page.locator('[data-told] button:has-text("Undo")').click();
    await row(page, 'Drawer 2 was too warm').waitFor();
    await row(page, 'Drawer 2 was too warm').locator('button:has-text("Door shut")').click();
    await gone(page, 'Drawer 2 was too warm');
    // The step of a cure is done where it stands; what comes next stands there then.
    const step = page.locator(`li[data-task="cure-step"]:has-text("${cured}")`);
    const words = await step.locator('b').textContent();
    await step.locator('button:has-text("It is done")').click();
    await page.waitForFunction(
      ([id, said]) =>
        ![...document.querySelectorAll('li[data-task="cure-step"]')].some(
          (each) => each.textContent?.includes(id!) && each.querySelector('b')?.textContent === said
        ),
      [cured, words]
    );
    quiet();
    await close();
  });

  it('what nobody read is one line, each place read in it; papers wait by supplier; by place, and mine', async () => {
    await bench.call('join-person', { name: 'Bo' });
    await bench.call('receive-lot', { ...CHAR, mass: '700 g', supplier: 'Kelda Bay Boats' }, 'p2');
    for (const place of ['Drawer 2', 'Drawer 3']) {
      await bench.call('set-sensor', { name: `Air of ${place}`, place, probe: 'air' });
      await bench.call('store-readings', { sensor: `Air of ${place}`, log: '2026-03-09T11:00Z, 2.0' });
    }
    await bench.later(15);
    const { page, quiet, close } = await bench.open('/');
    const line = page.locator('li[data-danger="unread"]');
    await line.waitFor();
    expect(await line.count()).to.equal(1);
    const forms = line.locator('form[data-operation="read-place"]');
    const places = await forms.count();
    expect(places).to.be.at.least(2);
    await forms.first().locator('[name="reading"]').fill('2.5');
    await forms.first().locator('button[type="submit"]').click();
    await page.waitForSelector('[data-told="done"]:has-text("2.5 °C")');
    // A reading is corrected, not undone.
    expect(await page.locator('[data-told] button:has-text("Undo")').count()).to.equal(0);
    await page.click('[data-papers] summary');
    expect(await page.textContent('[data-papers]')).to.contain('1 paper from Kelda Bay Boats');
    await visit(page, `${bench.house.url}/?by=place`);
    expect(await page.textContent('main')).to.contain('Nobody said where');
    await visit(page, `${bench.house.url}/?by=mine`);
    expect(await page.locator('li[data-danger]:has-text("Kelda")').count()).to.equal(0);
    expect(await page.locator('li[data-task="paper-missing"]').count()).to.equal(0);
    await page.locator('#who').selectOption({ label: 'Bo' });
    await page.waitForSelector('[data-papers], li[data-task="paper-missing"]', { state: 'attached' });
    quiet();
    await close();
  });

  it('a label that promises more than stands is asked for in its row, and no more once a new one is on', async () => {
    const piece = await side();
    await bench.call('print-labels', { pieces: [piece], size: 'roll-60x40' });
    await bench.call('move-piece', { piece, place: 'the pass' });
    await bench.later(3);
    await bench.call('move-piece', { piece, place: 'Drawer 2', cold: true });
    const { page, quiet, close } = await bench.open('/');
    const stale = page.locator(`li[data-task="label-stale"]:has-text("${piece}")`);
    expect(await stale.textContent()).to.contain('sooner than it says');
    await stale.locator('.deeds a').click();
    await page.waitForURL(`**/labels?piece=${piece}`);
    await page.click('button:has-text("They are stuck on")');
    await page.waitForSelector('[role="status"]:has-text("ledger")');
    await visit(page, bench.house.url);
    expect(await stale.count()).to.equal(0);
    quiet();
    await close();
  });
});
