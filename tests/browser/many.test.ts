import { expect } from 'chai';
import { CHAR, FEED } from '../../src/lib/server/examples.ts';
import { openBenchHouse, type BenchHouse } from './bench-house.ts';
import { form } from './watch.ts';

describe('many pieces in one step, on the screen', () => {
  let bench: BenchHouse;
  const pieces: string[] = [];
  before(async () => {
    bench = await openBenchHouse();
    await bench.call('set-place', { name: 'Drawer 2', kind: 'drawer' });
    for (const thickness of ['28 mm', '18 mm', '22 mm']) {
      const { lot, piece } = await bench.call('receive-lot', { ...CHAR, mass: '600 g', thickness });
      await bench.call('attach-evidence', { lot, ...FEED });
      pieces.push(piece!);
    }
  });
  after(() => bench.close());
  const gone = async (id: string) =>
    (
      (await (await fetch(`${bench.house.url}/api/v1/pieces/${id}`)).json()) as {
        piece: { gone: { how: string } | null; cures: unknown[]; place: { place: string } | null };
      }
    ).piece;

  it('moved together by touching a place; cured together; binned together, and taken back together', async () => {
    const [first, second, third] = pieces as [string, string, string];
    const { page, quiet, close } = await bench.open(`/piece/${first}?do=move#move`);
    const moving = form(page, 'move-piece');
    await moving.locator('.chips button:has-text("Drawer 2")').click();
    await moving.locator('[data-others] summary').click();
    await moving.locator(`input[value="${second}"]`).check();
    await moving.locator('button[type="submit"]').click();
    await page.waitForSelector('text=Done. It is in the ledger');
    expect((await gone(second)).place?.place).to.equal('Drawer 2');
    await page.goto(`${bench.house.url}/cure?piece=${first}`);
    await page.waitForSelector('[data-simulated="yes"]');
    const curing = form(page, 'start-cure');
    await curing.locator('[data-others] summary').click();
    await curing.locator(`input[value="${second}"]`).check();
    await page.waitForSelector('button:has-text("Begin the cure of 2 pieces")');
    await curing.locator('button[type="submit"]').click();
    await page.waitForSelector('[data-running]');
    expect((await gone(second)).cures).to.have.length(1);
    await page.goto(`${bench.house.url}/serve?piece=${third}`);
    const binning = form(page, 'discard-piece');
    await page.locator('details:not([open])', { has: binning }).locator('summary').first().click();
    await binning.locator('[name="reason"]').fill('power off');
    await binning.locator('[data-others] summary').click();
    await binning.locator(`input[value="${first}"]`).check();
    await binning.locator('button:has-text("Bin all 2 pieces")').hover();
    await page.mouse.down();
    const told = page.locator('[data-told="done"]:has-text("And 1 other with it")');
    await told.waitFor();
    await page.mouse.up();
    expect((await gone(first)).gone?.how).to.equal('discarded');
    await told.locator('button:has-text("Undo")').click();
    await page.waitForSelector('[data-told="undone"]');
    for (const id of [first, third]) expect((await gone(id)).gone, id).to.equal(null);
    quiet();
    await close();
  });
});
