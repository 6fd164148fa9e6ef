import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { CHAR } from '../../src/lib/server/examples.ts';
import { openBenchHouse, type BenchHouse } from './bench-house.ts';
import { closePages, demoHouse, signIn, visit } from './harness.ts';
import { form, send, watch } from './watch.ts';

const OFFLINE = /ERR_INTERNET_DISCONNECTED|ERR_CONNECTION|Failed to load resource|ERR_INCOMPLETE_CHUNKED/;

/** Holds a control down for as long as it asks. */
async function hold(page: Page, text: string): Promise<void> {
  await page.locator(`button:has-text("${text}")`).hover();
  await page.mouse.down();
  await page.waitForSelector(`[data-told="done"]`);
  await page.mouse.up();
}

describe('nothing wrong under wet hands', () => {
  let bench: BenchHouse;
  const char = { ...CHAR, mass: '900 g' };
  before(async () => {
    bench = await openBenchHouse();
    await bench.call('join-person', { name: 'Bo' });
  });
  after(() => bench.close());

  it('all of it is a control of its own that is held, with its grams; a line says what was done, and Undo takes it back', async () => {
    const { piece } = await bench.call('receive-lot', char);
    const { page, quiet, close } = await bench.open(`/serve?piece=${piece}`);
    // Empty means nothing.
    await send(page, 'discard-piece', { reason: 'dropped' });
    await page.waitForSelector('form[data-operation="discard-piece"] .wrong');
    const button = form(page, 'discard-piece').locator('button:has-text("900 g")');
    await button.click();
    expect(await page.locator('[data-told="done"]').count(), 'a touch alone does nothing').to.equal(0);
    await hold(page, 'Bin all 900 g');
    const told = page.locator('[data-told="done"]');
    expect(await told.textContent()).to.match(/900 g/);
    // Only once the page shows it gone is what comes back the undoing's.
    await page.waitForSelector('.figure:has-text("900 g")', { state: 'detached' });
    await told.locator('button:has-text("Undo")').click();
    await page.waitForSelector('[data-told="undone"]');
    await page.waitForSelector('.figure:has-text("900 g")');
    // By the keyboard it is held as well.
    await page.locator('summary:has-text("Bin")').click();
    await form(page, 'discard-piece').locator('[name="reason"]').fill('dropped');
    await form(page, 'discard-piece').locator('button:has-text("900 g")').focus();
    await page.keyboard.down('Enter');
    await page.waitForSelector('[data-told="done"]');
    await page.keyboard.up('Enter');
    quiet(/422|status of 4/);
    await close();
  });

  it('who is at the tablet changes, and place, piece and typing stay', async () => {
    const { piece } = await bench.call('receive-lot', char);
    await bench.call('receive-lot', char);
    const { page, quiet, close } = await bench.open(`/serve?piece=${piece}`);
    await page.locator('summary:has-text("Bin")').click();
    await form(page, 'discard-piece').locator('[name="reason"]').fill('half typed');
    await page.locator('#who').selectOption({ label: 'Bo' });
    await page.waitForFunction(() => document.querySelector<HTMLSelectElement>('#who')?.disabled === false);
    expect(new URL(page.url()).search).to.equal(`?piece=${piece}`);
    expect(await form(page, 'discard-piece').locator('[name="reason"]').inputValue()).to.equal('half typed');
    const cookies = await page.context().cookies();
    expect(cookies.find(({ name }) => name === 'ember-person')?.value).to.equal('p2');
    quiet();
    await close();
  });

  it('a piece is carried along the rail; a bench that cannot take it says why and shows no other', async () => {
    const { piece } = await bench.call('receive-lot', char);
    await bench.call('receive-lot', char);
    const { page, quiet, close } = await bench.open(`/piece/${piece}`);
    for (const path of ['/cure', '/acid', '/slice', '/serve', '/freeze', '/age']) {
      await page.locator(`nav a[href^="${path}"]`).first().click();
      await page.waitForURL((url) => url.pathname === path);
      expect(new URL(page.url()).searchParams.get('piece'), path).to.equal(piece);
    }
    await page.locator('nav a[href^="/break"]').first().click();
    await page.waitForURL(/\/break/);
    expect(await page.textContent('main')).to.contain(piece);
    await bench.call('discard-piece', { piece: String(piece), reason: 'dropped', all: true });
    await visit(page, `${bench.house.url}/cure?piece=${piece}`);
    await page.waitForSelector(`[data-away="${piece}"]:has-text("binned")`);
    expect(await form(page, 'start-cure').count()).to.equal(0);
    quiet();
    await close();
  });

  it('an entry is corrected in a form like its own, the old beside the new', async () => {
    const { piece } = await bench.call('receive-lot', char);
    const { seq } = (await (await fetch(`${bench.house.url}/healthz`)).json()) as { seq: number };
    await bench.call('read-cold', { piece, reading: '12 C' });
    const { page, quiet, close } = await bench.open(`/ledger?seq=${seq + 1}&correct`);
    const part = page.locator('[data-part="reading"]');
    expect(await part.textContent()).to.contain('12 C');
    // What cannot be read is said before it is sent.
    await part.locator('input').fill('cold');
    await page.waitForSelector('form[data-operation="amend-entry"] [role="alert"]');
    await part.locator('input').fill('1.2');
    await send(page, 'amend-entry', { reason: 'misread' });
    await page.waitForSelector('tr:has-text("Corrected by entry")');
    const view = (await (await fetch(`${bench.house.url}/api/v1/ledger?subject=piece:${String(piece)}`)).json()) as {
      entries: { kind: string; body: { patch?: { reading: { si: number } } } }[];
    };
    expect(view.entries[0]!.body.patch!.reading.si).to.equal(1.2);
    quiet();
    await close();
  });

  it('two bin one piece: both screens say so', async () => {
    const { piece } = await bench.call('receive-lot', char);
    const one = await bench.open(`/serve?piece=${piece}`);
    const two = await bench.open(`/serve?piece=${piece}`);
    for (const { page } of [one, two]) {
      await page.locator('summary:has-text("Bin")').click();
      await form(page, 'discard-piece').locator('[name="reason"]').fill('dropped');
    }
    await two.page.context().setOffline(true);
    await hold(one.page, 'Bin all 900 g');
    await two.page.context().setOffline(false);
    await two.page.evaluate(() =>
      document.querySelector<HTMLFormElement>('form[data-operation="discard-piece"]')?.requestSubmit()
    );
    await two.page.waitForSelector('[data-told="refused"], [data-away]');
    expect(await two.page.textContent('body')).to.match(/binned/);
    await one.close();
    await two.close();
  });
});

describe('a tablet that loses the house', () => {
  const house = demoHouse();
  it('keeps its page and says so, whatever is touched; once the house is back the touch is done', async () => {
    const { page, quiet, close } = await watch();
    await signIn(page, house.url, 'p1');
    await visit(page, `${house.url}/serve`);
    await page.waitForSelector('html[data-kept]');
    await page.context().setOffline(true);
    await page.locator('nav a[href^="/cure"]').first().click();
    await page.waitForSelector('.lost');
    expect(await page.textContent('h1')).to.equal('Serve');
    await page.locator('#who').selectOption({ index: 2 });
    await page.waitForSelector('[data-told="refused"]');
    await page.locator('h1').click();
    await page.keyboard.press('/');
    await page.getByLabel('What to find').fill('tur');
    await page.waitForSelector('dialog:has-text("Not connected")');
    await page.keyboard.press('Escape');
    expect(await page.textContent('h1')).to.equal('Serve');
    await page.context().setOffline(false);
    await page.waitForSelector('h1:has-text("Cure")');
    quiet(OFFLINE);
    await close();
  });
  it('what was sent and not answered is asked after, and is not written twice', async () => {
    const { page, close } = await watch();
    await signIn(page, house.url, 'p1');
    const piece = 'ARC-0311-1-C';
    const entries = async () => ((await (await fetch(`${house.url}/healthz`)).json()) as { seq: number }).seq;
    await visit(page, `${house.url}/piece/${piece}`);
    const before = await entries();
    // It comes to the house, and the answer is lost on the way back.
    await page.route('**/piece/*?/read-cold', async (route) => {
      await route.fetch();
      await route.abort('connectionreset');
    });
    await send(page, 'read-cold', { reading: '2.2' });
    await page.waitForSelector('text=It came through before the line broke');
    expect(await entries()).to.equal(before + 1);
    await page.unroute('**/piece/*?/read-cold');
    // What never came is not written by asking; sent again, it happens once.
    await page.route('**/piece/*?/read-cold', (route) => route.abort('connectionreset'));
    await send(page, 'read-cold', { reading: '2.3' });
    await page.waitForSelector('text=Not sent: no connection');
    await page.unroute('**/piece/*?/read-cold');
    expect(await entries()).to.equal(before + 1);
    await send(page, 'read-cold', {});
    await page.waitForSelector('text=Done. It is in the ledger');
    expect(await entries()).to.equal(before + 2);
    await close();
  });
  it('a plan that was recorded stands on its bench as it was', async () => {
    const { page, quiet, close } = await watch();
    await signIn(page, house.url, 'p1');
    await visit(page, `${house.url}/slice`);
    const length = form(page, 'record-slice').locator('[name="length"]');
    await page.waitForFunction(
      () =>
        Number(document.querySelector<HTMLInputElement>('form[data-operation="record-slice"] [name="length"]')?.value) >
        0
    );
    const stood = Number(await length.inputValue());
    await page.click('summary:has-text("How many, and what then")');
    await page.fill('[name="count"]', '3');
    await page.waitForSelector('[data-answer="yes"]:has-text("3")');
    await send(page, 'record-slice', {});
    await page.waitForSelector('[data-lifted]:has-text("3 pieces")');
    // The block is as it was, but for what was cut off it.
    await page.waitForFunction((was) => {
      const now = document.querySelector<HTMLInputElement>('form[data-operation="record-slice"] [name="length"]');
      return now !== null && Number(now.value) < was && Number(now.value) > was / 2;
    }, stood);
    expect(await form(page, 'record-slice').locator('[name="count"]').inputValue()).to.equal('3');
    expect(await page.locator('main .trouble').allTextContents()).to.deep.equal([]);
    quiet();
    await close();
  });
  it('a house that says nothing any more is missed after three beats, though the line stands', async () => {
    const { page, close } = await watch();
    await signIn(page, house.url, 'p1');
    await visit(page, `${house.url}/serve`);
    const pid = house.pid;
    process.kill(pid, 'SIGSTOP');
    try {
      // Three beats by the tablet's own clock; how long a busy machine takes to show it is not measured here.
      await page.waitForSelector('.lost');

      await page.locator('nav a[href^="/cure"]').first().click();
      await page.waitForTimeout(500);
      expect(await page.textContent('h1')).to.equal('Serve');
    } finally {
      process.kill(pid, 'SIGCONT');
    }
    await page.waitForSelector('h1:has-text("Cure")');
    await page.waitForSelector('.lost', { state: 'detached' });
    await close();
  });
  after(closePages);
});
