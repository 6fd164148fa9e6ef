import { SCAN_MS } from '../../src/lib/ui/keys.ts';
import axe from 'axe-core';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { PLACES } from '../../src/lib/ui/places.ts';
import { IS_LONG, oneIn } from '../runs.ts';
import { VIEWS } from './demo-views.ts';
import { demoHouse, signIn, visit } from './harness.ts';
import { overEdge, pressedOnPaper, tooSmall } from './manners.ts';
import { watch, type WatchedPage } from './watch.ts';

const ALL_RULES = ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'];
/** Those that another light or another width can break; names and roles are the same in all of them. */
const RULES_OF_LOOK = ['color-contrast', 'link-in-text-block', 'target-size', 'scrollable-region-focusable'];

/** Serious faults, gathered in the page: what passed is not sent, for it is a hundred times as much. */
async function faults(page: Page, runOnly: readonly string[]): Promise<string[]> {
  if (runOnly.length === 0) return [];
  await page.evaluate((source) => {
    // What another visit brought is there still where the page only changed its looks.
    if (!('axe' in window)) window.eval(source);
  }, axe.source);
  return page.evaluate(async (rules) => {
    const { violations } = await (window as unknown as { axe: typeof axe }).axe.run(document, {
      runOnly: [...rules],
      resultTypes: ['violations']
    });
    return violations
      .filter(({ impact }) => impact === 'serious' || impact === 'critical')
      .map(({ id, nodes }) => `${id}: ${nodes[0]!.target.join(' ')} (${nodes.length}) ${nodes[0]!.failureSummary}`);
  }, runOnly);
}

describe('every place of the demo house', () => {
  const house = demoHouse();
  // One visit shows a screen at both widths and in both lights: they do not depend on each other, so each is looked at once.
  describe('no serious accessibility fault in both lights, nothing off the edge at both widths, nothing too small to touch or read, a quiet console', () => {
    let watched: WatchedPage;
    before(async () => {
      watched = await watch({ viewport: { width: 1280, height: 800 } });
      await signIn(watched.page, house.url, 'p1');
    });
    after(() => watched.close());
    const titles = new Map<string, string>();
    const isPlace = (path: string) => PLACES.some((place) => place.path === path);
    const [places, rest] = [VIEWS.filter(isPlace), VIEWS.filter((path) => !isPlace(path))];
    // Of what is no place one in five each day; all of them in the long run.
    const looked = [...places, ...oneIn(5, rest)];
    // Names and roles are asked in one light; what the light itself can break in both at one place in four, and by turns elsewhere.
    const inDim = new Set(looked.filter((_, index) => index % 2 === 1));
    const inBoth = new Set(IS_LONG ? looked : oneIn(4, places));
    const rulesIn = (light: 'light' | 'dim', path: string) => {
      if (inDim.has(path) === (light === 'dim')) return ALL_RULES;
      return inBoth.has(path) ? RULES_OF_LOOK : [];
    };
    for (const path of looked) {
      it(path, async () => {
        const { page } = watched;
        await page.setViewportSize({ width: 1280, height: 800 });
        await visit(page, house.url + path);
        if (/^\/(cure|acid)(\?|$)/.test(path)) await page.waitForSelector('[data-simulated="yes"]');
        const view = path.split('?')[0]!;
        const title = await page.title();
        expect(titles.get(title) ?? view, `${title} is the title of two views`).to.equal(view);
        titles.set(title, view);
        expect(await faults(page, rulesIn('light', path)), `${path}, light, 1280 wide`).to.deep.equal([]);
        expect(await overEdge(page), `${path} is wider than 1280`).to.be.at.most(0);
        await page.setViewportSize({ width: 820, height: 1180 });
        await page.evaluate(() => (document.documentElement.dataset.theme = 'dim'));
        expect(await faults(page, rulesIn('dim', path)), `${path}, dim, 820 wide`).to.deep.equal([]);
        expect(await overEdge(page), `${path} is wider than 820`).to.be.at.most(0);
        expect(await pressedOnPaper(page), `${path}, printed`).to.deep.equal([]);
        expect(await tooSmall(page), `${path}, 820 wide`).to.deep.equal([]);
        watched.quiet();
      });
    }
  });

  it('the dim light is kept from page to page', async () => {
    const watched = await watch();
    await watched.page.context().addCookies([{ name: 'ember-theme', value: 'dim', url: house.url }]);
    await visit(watched.page, house.url);
    expect(await watched.page.getAttribute('html', 'data-theme')).to.equal('dim');
    await watched.close();
  });

  it('works by keyboard: a key a place, n, / and ?, and Escape out of a panel', async () => {
    const watched: WatchedPage = await watch();
    const { page } = watched;
    await visit(page, house.url);
    for (const { key, path } of PLACES) {
      await page.keyboard.press(key);
      await page.waitForURL(house.url + path);
      // What follows faster than a hand strikes is a scanner's.
      await page.waitForTimeout(2 * SCAN_MS);
    }
    await page.keyboard.press('n');
    await page.waitForURL(`${house.url}/receive`);
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await page.waitForTimeout(2 * SCAN_MS);
    await page.keyboard.press('?');
    await page.waitForSelector('dialog:has-text("A new lot")');
    await page.keyboard.press('Escape');
    await page.waitForSelector('dialog:has-text("A new lot")', { state: 'detached' });
    await page.waitForTimeout(2 * SCAN_MS);
    await page.keyboard.press('/');
    await page.waitForSelector('[aria-label="What to find"]');
    await page.keyboard.type('sardi');
    await page.waitForSelector('dialog a:has-text("SAR-0313-1-A")');
    await page.keyboard.press('Enter');
    await page.waitForURL('**/piece/SAR-0313-1-A');
    watched.quiet();
    await watched.close();
  });

  it('how a piece may be opened: from its first line to the ways, and the letter to the seller', async () => {
    const watched = await watch();
    const { page } = watched;
    await visit(page, `${house.url}/piece/EUR-0313-1-A`);
    expect(await page.getAttribute('[data-headline]', 'data-headline')).to.equal('not-cleared');
    await page.click('text=How do I open it?');
    await page.waitForURL('**/roads?want=raw');
    expect(await page.locator('[data-road]').count()).to.be.greaterThan(1);
    await page.locator('[data-letter] summary').first().click();
    expect(await page.textContent('[data-letter][open] pre')).to.contain('lot EUR-0313-1');
    await page.selectOption('[name="want"]', 'cooked');
    await page.click('main form button');
    await page.waitForSelector('[data-already]');
    watched.quiet();
    await watched.close();
  });

  it('the tide chart moves and zooms by keyboard, and stands as a table too', async () => {
    const watched = await watch();
    const { page } = watched;
    await visit(page, house.url);
    // Of all rows: one that is open for weeks looks the same wherever one looks.
    const water = async () =>
      (
        await page
          .locator('.chart path.water')
          .all()
          .then((all) => Promise.all(all.map((each) => each.getAttribute('d'))))
      ).join();
    const before = await water();
    await page.locator('.chart').focus();
    await page.keyboard.press('ArrowRight');
    expect(await water()).to.not.equal(before);
    await page.keyboard.press('Home');
    expect(await water()).to.equal(before);
    await page.keyboard.press('-');
    expect(await page.getAttribute('button:has-text("Week")', 'aria-pressed')).to.equal('true');
    await page.click('text=The same as a table');
    const rows = await page.locator('details.table tbody tr').count();
    expect(rows).to.equal(await page.locator('.chart a').count());
    expect(rows).to.be.greaterThan(12);
    await watched.close();
  });

  it('a lot can be received by keyboard alone', async () => {
    const watched = await watch();
    const { page } = watched;
    await signIn(page, house.url, 'p1');
    await visit(page, house.url);
    await page.keyboard.press('n');
    await page.waitForURL('**/receive');
    await page.focus('#species-text');
    await page.keyboard.type('rodaballo');
    await page.keyboard.press('Enter');
    const to = async (name: string) => {
      for (let presses = 0; presses < 40; presses++) {
        if (await page.evaluate((wanted) => (document.activeElement as HTMLInputElement | null)?.name === wanted, name))
          return;
        await page.keyboard.press('Tab');
      }
      throw new Error(`Tab never came to ${name}`);
    };
    await to('mass');
    await page.keyboard.type('2.2 kg');
    await to('source');
    await page.keyboard.type('wild');
    await to('supplier');
    await page.keyboard.type('Kelda Bay Boats');
    await to('core');
    await page.keyboard.type('1.2');
    await page.keyboard.press('Enter');
    await page.waitForURL('**/piece/TUR-*');
    expect(await page.textContent('main')).to.contain('2.20 kg');
    watched.quiet();
    await watched.close();
  });
});
