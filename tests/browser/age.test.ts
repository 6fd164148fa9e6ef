import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { runScale } from '../../devices/scale.ts';
import { openBenchHouse, type BenchHouse } from './bench-house.ts';
import { visit } from './harness.ts';
import { form, send } from './watch.ts';

const CABINET = 'Ageing cabinet';

describe('the ageing rack', () => {
  let bench: BenchHouse;
  let first = '';
  let second = '';
  const fish = async (species: string) => {
    const got = await bench.call('receive-lot', {
      species,
      form: 'gutted',
      source: 'farmed',
      farmSystem: 'land-based',
      water: 'fresh',
      commercial: 'yes',
      supplier: 'Skarnes Tank Farm',
      caughtOn: '2026-03-09',
      mass: '2000 g',
      core: '1 C',
      pricePerKg: 20
    });
    const feed = { type: 'feed-statement', issuer: 'Skarnes Tank Farm', formulatedFeed: true, raised: true };
    await bench.call('attach-evidence', { lot: got.lot, ...feed, fromEmbryos: true, noHazardVerified: true });
    return got.piece!;
  };
  let stopScale: () => void;
  before(async () => {
    const said: string[] = [];
    stopScale = await runScale(0, 0, (text) => said.push(text), Date.now);
    const [, scale, pan] = /:(\d+), its pan at 127\.0\.0\.1:(\d+)/.exec(said[0]!)!;
    bench = await openBenchHouse({ EMBER_TIDE_SCALE: `127.0.0.1:${scale}`, EMBER_TIDE_PAN: `127.0.0.1:${pan}` });
    first = await fish('arctic-char');
    second = await fish('arctic-char');
  });
  after(async () => {
    await bench.close();
    stopScale();
  });
  const spotOf = (page: Page, piece: string) =>
    page.evaluate(
      (id) => document.querySelector(`[data-piece="${id}"]`)?.closest('[data-spot]')?.getAttribute('data-spot'),
      piece
    );
  const hangs = (page: Page, piece: string, spot: string) =>
    page.waitForSelector(`[data-spot="${spot}"] [data-piece="${piece}"]`);
  /** Presses Tab until something of this selector is reached. */
  async function tabTo(page: Page, selector: string) {
    for (let presses = 0; presses < 300; presses++) {
      if (await page.evaluate((wanted) => document.activeElement?.matches(wanted) ?? false, selector)) return;
      await page.keyboard.press('Tab');
    }
    throw new Error(`never reached ${selector}`);
  }
  const read = () => bench.call('read-place', { place: CABINET, reading: '2 C' });

  it('an empty house says what it takes; a cabinet is drawn with its hooks and shelves', async () => {
    const { page, quiet, close } = await bench.open('/');
    await page.keyboard.press('7');
    await page.waitForURL('**/age');
    await page.waitForSelector('text=No ageing cabinet yet');
    await bench.call('set-place', { name: CABINET, kind: 'cabinet', setPoint: '2 C' });
    await page.waitForSelector(`[data-rack="${CABINET}"]`);
    await page.waitForSelector('[data-cabinet-air="unread"]');
    await send(page, 'set-rack', { hooks: '4', shelves: '1', perShelf: '3' });
    await page.waitForFunction(() => document.querySelectorAll('[data-spot]').length === 7);
    await bench.call('set-service', { name: 'Saturday', at: '2026-03-14T18:00' });
    quiet(/ERR_INCOMPLETE_CHUNKED|ERR_NETWORK_CHANGED/);
    await close();
  });

  it('by keyboard alone: the list ticked, hung, weighed, looked at, forecast moving day by day, pulled', async () => {
    await read();
    const { page, quiet, close } = await bench.open(`/age?piece=${first}`);
    await page.waitForSelector('form[data-operation="start-age"]');
    expect(await form(page, 'start-age').locator('button[type="submit"]').textContent()).to.contain('unprepared');
    for (const step of ['scaled', 'gutted', 'scrubbed', 'wiped', 'dried']) {
      await tabTo(page, `[name="prepared"][value="${step}"]`);
      await page.keyboard.press('Space');
    }
    await tabTo(page, 'form[data-operation="start-age"] [name="mass"]');
    await page.keyboard.type('2000');
    await tabTo(page, 'form[data-operation="start-age"] [name="target"]');
    await page.keyboard.press('Control+a');
    await page.keyboard.type('6');
    await page.keyboard.press('Enter');
    await hangs(page, first, 'H1');
    await page.waitForSelector('[data-aged]');
    const ready = () => page.textContent('[data-ready-day]');
    const widths: string[] = [(await ready())!];
    for (const grams of ['1976', '1953', '1930']) {
      await bench.later(24);
      await read();
      await visit(page, `${bench.house.url}/age?piece=${first}`);
      await tabTo(page, 'form[data-operation="weigh-aged"] [name="mass"]');
      await page.keyboard.type(grams);
      await page.keyboard.press('Enter');
      await page.waitForSelector(`[data-weights="${widths.length + 1}"]`);
      await tabTo(page, 'form[data-operation="look-aged"] [data-fine]');
      // One touch writes it: what a button says is done when it was pressed.
      await page.keyboard.press('Enter');
      await page.waitForSelector('text=Ada Skerry.');
      widths.push((await ready())!);
    }
    expect(new Set(widths).size).to.be.greaterThan(2);
    // 6 % at about 1.2 % a day: Saturday, the fifth day, finds it ready.
    expect(await page.textContent(`[data-row="${first}"] [data-for]`)).to.contain('ready');
    expect(await page.textContent(`[data-row="${first}"] [data-advice]`)).to.contain('Take it out for Saturday');
    expect(await page.textContent('[data-cost]')).to.contain('70 g gone');
    await tabTo(page, 'form[data-operation="end-age"] [name="massAfter"]');
    await page.keyboard.type('1929');
    await page.keyboard.press('Enter');
    await page.waitForSelector('text=Nothing hangs here');
    await visit(page, `${bench.house.url}/ledger`);
    for (const words of ['Hung to age', 'Weighed on the rack', 'Looked at on the rack', 'Taken out of the rack'])
      expect(await page.textContent('main')).to.contain(words);
    quiet(/ERR_INCOMPLETE_CHUNKED|ERR_NETWORK_CHANGED/);
    await close();
  });

  it('by touch: dragged to another hook, carried to a shelf, and stopped by smell', async () => {
    await bench.call('start-age', {
      piece: second,
      place: CABINET,
      spot: 'H2',
      mass: '2000 g',
      celsius: '2 C',
      prepared: 'scaled,gutted,scrubbed,wiped,dried'
    });
    await read();
    const { page, quiet, close } = await bench.open(`/age?piece=${second}`, { viewport: { width: 820, height: 1180 } });
    await hangs(page, second, 'H2');
    const centre = async (selector: string) => {
      const box = (await page.locator(selector).boundingBox())!;
      return { x: box.x + box.width / 2, y: box.y + 60 };
    };
    const touch = await page.context().newCDPSession(page);
    const finger = (type: string, points: { x: number; y: number }[]) =>
      touch.send('Input.dispatchTouchEvent', { type: type as 'touchStart', touchPoints: points });
    const [from, to] = [await centre(`[data-piece="${second}"]`), await centre('[data-spot="H4"]')];
    await finger('touchStart', [from]);
    await page.waitForTimeout(150);
    for (let step = 1; step <= 20; step++) {
      await finger('touchMove', [
        { x: from.x + ((to.x - from.x) * step) / 20, y: from.y + ((to.y - from.y) * step) / 20 }
      ]);
      await page.waitForTimeout(30);
    }
    await page.waitForTimeout(300);
    await finger('touchEnd', []);
    await hangs(page, second, 'H4');
    await page.waitForFunction(async (id) => {
      const answer = await fetch(`/api/v1/ageing`);
      const { pieces } = (await answer.json()) as { pieces: { id: string; run: { spot: string } }[] };
      return pieces.find((each) => each.id === id)?.run.spot === 'H4';
    }, second);
    // The drag is done with here too: places are offered again.
    await page.waitForSelector('form[data-operation="move-aged"] [name="spot"]:not([type="hidden"])', {
      state: 'attached'
    });
    await send(page, 'move-aged', { spot: 'S1.2' });
    await hangs(page, second, 'S1.2');
    expect(await spotOf(page, second)).to.equal('S1.2');
    await bench.later(22);
    await read();
    // On the scale, and one key: it is weighed.
    await fetch(`${bench.house.url}/api/v1/devices/scale`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ put: 1981 })
    });
    await visit(page, `${bench.house.url}/age?piece=${second}`);
    await page.waitForSelector('[data-scale="weight"][data-stable="true"]:has-text("1.98")');
    await page.keyboard.press('w');
    await page.waitForSelector('[data-weights="2"]');
    expect(await page.textContent('[data-lost]')).to.contain('0.9');
    await send(page, 'weigh-aged', { mass: '2400' });
    await page.waitForSelector('.wrong:has-text("does not gain")');
    const look = form(page, 'look-aged');
    for (const set of await look.locator('fieldset').all()) await set.locator('input').first().check();
    await look.locator('[name="smell"][value="off"]').check();
    await look.locator('button[type="submit"]').click();
    await page.waitForSelector('[data-stopped]:has-text("Smell off")');
    expect(await page.textContent(`[data-row="${second}"] [data-advice]`)).to.contain('Never');
    await visit(page, `${bench.house.url}/`);
    await page.waitForSelector('text=Take it out of the rack: smell off');
    await visit(page, `${bench.house.url}/piece/${second}`);
    expect(await page.textContent('[data-route="raw"]')).to.contain('Closed');
    quiet(/422|ERR_INCOMPLETE_CHUNKED|ERR_NETWORK_CHANGED/);
    await close();
  });
});
