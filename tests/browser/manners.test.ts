import { expect } from 'chai';
import type { Browser, Page } from 'playwright-core';
import { get } from 'node:http';
import { gzipSync } from 'node:zlib';
import { oneIn } from '../runs.ts';
import { VIEWS } from './demo-views.ts';
import { demoHouse, launch, signIn, visit } from './harness.ts';
import { overEdge } from './manners.ts';
import { form, watch } from './watch.ts';

describe('manners of the house', () => {
  const house = demoHouse();

  it('Now sends at most 140 kB of scripts, packed', async () => {
    const watched = await watch();
    const sent: Promise<number>[] = [];
    watched.page.on('response', (answer) => {
      if (answer.url().endsWith('.js')) sent.push(answer.body().then((body) => gzipSync(body).length));
    });
    await visit(watched.page, house.url);
    await watched.page.waitForLoadState('load');
    const bytes = (await Promise.all(sent)).reduce((sum, each) => sum + each, 0);
    expect(bytes).to.be.within(40_000, 140_000);
    await watched.close();
  });

  /** The head of an answer, and what comes first of its body. */
  const headOf = (path: string) =>
    new Promise<{ packed: string | undefined; first: Buffer }>((resolve, reject) => {
      const request = get(house.url + path, { headers: { 'accept-encoding': 'gzip' } }, (answer) => {
        answer.once('data', (first: Buffer) => {
          resolve({ packed: answer.headers['content-encoding'], first });
          request.destroy();
        });
      });
      request.once('error', reject);
    });
  it('pages and answers are packed; the stream of changes is not held back', async () => {
    for (const path of ['/', '/ledger', '/api/v1/now', '/api/v1/openapi.json'])
      expect((await headOf(path)).packed, path).to.equal('gzip');
    const stream = await headOf('/api/v1/stream');
    expect(stream.packed).to.equal(undefined);
    expect(stream.first.toString()).to.contain('retry');
  });

  it('no answer is guessed at, and no page is kept for whoever has the tablet next', async () => {
    const html = await fetch(house.url, { headers: { accept: 'text/html' } });
    const [, script] = /(_app\/immutable\/[\w./-]+\.js)/.exec(await html.text())!;
    expect(html.headers.get('cache-control')).to.equal('private, no-store');
    for (const path of ['/', new URL(script!, `${house.url}/`).pathname, '/mark.svg', '/api/v1/now'])
      expect((await fetch(house.url + path)).headers.get('x-content-type-options'), path).to.equal('nosniff');
  });

  it('can be put on a home screen: a manifest whose pictures are as large as it says', async () => {
    const page = await (await fetch(house.url)).text();
    const [, path] = /rel="manifest" href="([^"]+)"/.exec(page)!;
    const manifest = (await (await fetch(new URL(path!, house.url))).json()) as {
      start_url: string;
      icons: { src: string; sizes: string; type: string; purpose?: string }[];
    };
    expect(manifest.start_url).to.equal('/');
    expect(manifest.icons.some(({ purpose }) => purpose === 'maskable')).to.equal(true);
    for (const { src, sizes, type } of manifest.icons) {
      const picture = await fetch(house.url + src);
      expect(picture.headers.get('content-type'), src).to.equal(type);
      if (type !== 'image/png') continue;
      const bytes = Buffer.from(await picture.arrayBuffer());
      expect(`${bytes.readUInt32BE(16)}x${bytes.readUInt32BE(20)}`, src).to.equal(sizes);
    }
  });

  it('works before scripts load: nothing says that it is computing, and every bench shows its fish', async () => {
    const watched = await watch({ javaScriptEnabled: false });
    const benches = VIEWS.filter((each) => /^\/(cure|acid|age|slice|break|freeze|serve|piece)\b/.test(each));
    for (const path of oneIn(4, benches)) {
      await watched.page.goto(house.url + path);
      const text = await watched.page.locator('main').innerText();
      expect(text.length, path).to.be.greaterThan(200);
      expect(text, path).to.not.contain('Computing');
    }
    await watched.close();
  });

  it('a panel gives the place back to who opened it, and says its name', async () => {
    const watched = await watch();
    const { page } = watched;
    await visit(page, house.url);
    for (const key of ['/', '?']) {
      const opener = page.locator(`.foot button[aria-keyshortcuts="${key}"]`);
      await opener.click();
      expect(await page.locator('dialog[open]').getAttribute('aria-label')).to.match(/\w/);
      await page.keyboard.press('Escape');
      await page.waitForSelector('dialog', { state: 'detached' });
      await page.waitForFunction(
        (shortcut) => document.activeElement?.getAttribute('aria-keyshortcuts') === shortcut,
        key
      );
    }
    watched.quiet();
    await watched.close();
  });

  it("what is chosen is marked where the reader's colours stand in for ours", async () => {
    const watched = await watch({ forcedColors: 'active' });
    await visit(watched.page, house.url);
    const outline = (selector: string) =>
      watched.page
        .locator(selector)
        .first()
        .evaluate((element) => getComputedStyle(element).outlineStyle);
    expect(await outline('[aria-pressed="true"]')).to.equal('solid');
    expect(await outline('[aria-pressed="false"]')).to.equal('none');
    expect(await outline('.rail [aria-current="page"]')).to.equal('solid');
    await watched.close();
  });

  it('a time that comes twice is asked about before it is written, and one that is jumped over is told at once', async () => {
    const watched = await watch();
    const { page } = watched;
    await signIn(page, house.url, 'p1');
    await visit(page, `${house.url}/serve`);
    const planned = form(page, 'set-service').last();
    await planned.locator('[name="name"]').fill('Late tasting');
    await planned.locator('[name="at"]').fill('2026-03-08T02:30');
    expect(await planned.locator('[role="alert"]').textContent()).to.contain('there is no 02:30');
    await planned.locator('[name="at"]').fill('2026-11-01T01:30');
    await planned.locator('button:has-text("Plan it")').click();
    await page.waitForSelector('text=01:30 comes twice. Say which one.');
    expect(await page.textContent('main')).to.not.contain('Sun 1 Nov');
    await planned.locator('button:has-text("the second")').click();
    await planned.locator('button:has-text("Plan it")').click();
    await page.waitForSelector('text=Sun 1 Nov, 01:30');
    const { services } = (await (await fetch(`${house.url}/api/v1/house`)).json()) as {
      services: Record<string, { name: string; at: number }>;
    };
    expect(Object.values(services).find(({ name }) => name === 'Late tasting')!.at).to.equal(
      Date.UTC(2026, 10, 1, 6, 30)
    );
    watched.quiet(/422/);
    await watched.close();
  });

  describe('with letters twice as large', () => {
    let browser: Browser;
    let page: Page;
    before(async () => {
      browser = await launch('--blink-settings=defaultFontSize=32,defaultFixedFontSize=26');
      page = await (await browser.newContext({ reducedMotion: 'reduce' })).newPage();
      await signIn(page, house.url, 'p1');
    });
    after(() => browser.close());

    it('nothing runs off the edge at 1280 and 820', async () => {
      const over: string[] = [];
      // One place in seven each day, all of them in the long run.
      for (const path of oneIn(7, VIEWS)) {
        await visit(page, house.url + path);
        for (const width of [1280, 820]) {
          await page.setViewportSize({ width, height: 1000 });
          const size = await page.evaluate(() => getComputedStyle(document.documentElement).fontSize);
          expect(size).to.equal('32px');
          const by = await overEdge(page);
          if (by > 0) over.push(`${path} is ${by} wider than ${width}`);
        }
      }
      expect(over).to.deep.equal([]);
    });
  });
});
