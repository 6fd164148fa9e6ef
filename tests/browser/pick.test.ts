import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { CHAR, FEED } from '../../src/lib/server/examples.ts';
import { openBenchHouse, type BenchHouse } from './bench-house.ts';
import { theBrowser, visit } from './harness.ts';
import { drawPdf } from './pdf.ts';

describe('one way to pick a piece, and to find anything', () => {
  let bench: BenchHouse;
  let side = '';
  let turbot = '';
  let gone = '';
  before(async () => {
    bench = await openBenchHouse();
    await bench.call('set-place', { name: 'Drawer 2', kind: 'drawer' });
    const char = await bench.call('receive-lot', { ...CHAR, mass: '900 g' });
    await bench.call('attach-evidence', { lot: char.lot, ...FEED });
    side = char.piece!;
    const flat = { ...CHAR, species: 'turbot', water: 'sea', caughtOn: '2026-03-09', supplier: 'Kelda Bay Boats' };
    turbot = (await bench.call('receive-lot', { ...flat, mass: '700 g' })).piece!;
    gone = (await bench.call('receive-lot', { ...flat, mass: '600 g' })).piece!;
    await bench.call('discard-piece', { piece: gone, reason: 'dropped', all: true });
    await bench.call('move-piece', { piece: turbot, place: 'Drawer 2' });
    const froze = (await bench.call('receive-lot', { ...flat, mass: '500 g' })).piece!;
    await bench.call('start-hold', { all: true, piece: froze, label: 'Counter', startCore: '3 C' });
  });
  after(() => bench.close());
  /** A scanner that types like a keyboard. */
  /** As a scanner types: all of it at once, wherever the eye is. */
  const scan = (page: Page, text: string) =>
    page.evaluate(
      (keys) => {
        for (const key of keys) document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
      },
      [...text, 'Enter']
    );
  const chosen = (page: Page, id: string) => page.waitForSelector(`.pick a[href*="${id}"][aria-current="true"]`);

  it('three letters, a place, a stage; what is not offered is counted with its reason', async () => {
    const { page, quiet, close } = await bench.open('/cure');
    expect(await page.textContent('[data-left]')).to.contain('1 on a tray already');
    await page.fill('[data-picking]', 'dra tur');
    await page.waitForFunction(() => document.querySelectorAll('.pick a:not(.link)').length === 1);
    await page.keyboard.press('Enter');
    await chosen(page, turbot);
    await page.click('.bys button:has-text("By place")');
    await page.waitForSelector(`.drawer:has-text("Drawer 2") a[href*="${turbot}"]`);
    await page.click('.bys button:has-text("By stage")');
    await page.click(`.drawer:has-text("Cut") a[href*="${side}"]`);
    await chosen(page, side);
    await page.fill('[data-picking]', 'no such');
    await page.waitForSelector('.pick :text("Nothing here by that name")');
    quiet();
    await close();
  });

  it('a scanner lays its piece on the bench, wherever the eye is, and no letter of it is a key', async () => {
    const { page, quiet, close } = await bench.open(`/serve?piece=${side}`);
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await scan(page, `http://harbour:31290/piece/${turbot}`);
    await chosen(page, turbot);
    expect(new URL(page.url()).pathname).to.equal('/serve');
    // In the picker's own field its letters are letters.
    await page.focus('[data-picking]');
    await page.keyboard.type(`http://harbour:31290/piece/${side}`);
    await page.keyboard.press('Enter');
    await chosen(page, side);
    await visit(page, `${bench.house.url}/house`);
    await scan(page, `http://harbour:31290/piece/${turbot}`);
    await page.waitForURL(`**/piece/${turbot}`);
    quiet();
    await close();
  });

  it('a photograph of a label is read, and one without says so', async () => {
    const sheet = await fetch(`${bench.house.url}/labels/sheet.pdf?piece=${turbot}&size=roll-100x50`);
    const drawn = await drawPdf(await theBrowser(), Buffer.from(await sheet.arrayBuffer()));
    const { page, quiet, close } = await bench.open(`/cure?piece=${side}`);
    const picture = await page.evaluate(
      ({ grey, width, height }) => {
        const canvas = document.createElement('canvas');
        [canvas.width, canvas.height] = [width, height];
        const pixels = Uint8ClampedArray.from(grey.flatMap((level) => [level, level, level, 255]));
        canvas.getContext('2d')!.putImageData(new ImageData(pixels, width, height), 0, 0);
        return canvas.toDataURL('image/png').split(',')[1]!;
      },
      { ...drawn, grey: [...drawn.grey] }
    );
    const photo = (buffer: Buffer) => ({ name: 'label.png', mimeType: 'image/png', buffer });
    await page.setInputFiles('.photo input', photo(Buffer.from(picture, 'base64')));
    await chosen(page, turbot);
    const blank = await page.screenshot({ clip: { x: 0, y: 0, width: 60, height: 60 } });
    await page.setInputFiles('.photo input', photo(blank));
    await page.waitForSelector('.photo:has-text("No code of a piece in it")');
    quiet();
    await close();
  });

  it('Find knows what is gone, suppliers, lots, places, people and entries; what it does not know has a way on', async () => {
    const { page, quiet, close } = await bench.open('/');
    await page.keyboard.press('/');
    const input = page.locator('dialog[open] input').first();
    const found = async (text: string, kind: string, words: string) => {
      await input.fill(text);
      await page.waitForSelector(`[data-found="${kind}"]:has-text("${words}")`);
    };
    await found(gone, 'piece', 'binned');
    await found('kelda', 'supplier', '3 lots');
    await found(side.slice(0, -2), 'lot', 'Skarnes');
    await found('drawer', 'place', 'Drawer 2');
    await found('skerry', 'person', 'Ada Skerry');
    await found('turbt', 'species', 'Turbot');
    await found('3', 'entry', 'No. 3');
    await input.fill('zzzz');
    await page.waitForSelector('dialog :text("Nothing by that name, here or gone")');
    await page.click('dialog a:has-text("Look in the ledger")');
    await page.waitForURL('**/ledger');
    quiet();
    await close();
  });
});
