import { expect } from 'chai';
import { closePages, openHouse, visit, type RunningHouse } from './harness.ts';
import { form, send, shown, watch, type WatchedPage } from './watch.ts';

const NOON = '2026-03-09T12:00:00Z';
const moveClock = (url: string, byHours: number) =>
  fetch(`${url}/api/v1/demo/clock`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ byHours, frozen: true })
  });

describe('one fish from the door to the plate', () => {
  let house: RunningHouse;
  let watched: WatchedPage;
  before(async () => {
    house = await openHouse({ EMBER_TIDE_FROZEN_AT: NOON });
    watched = await watch();
  });
  after(async () => {
    await closePages();
    await house.close();
  });
  const at = (path: string) => visit(watched.page, house.url + path);
  const state = (route: string) => shown(watched.page, route).getAttribute('data-state');
  const until = (route: string, state: string) =>
    watched.page.waitForSelector(`[data-route="${route}"][data-state="${state}"]`, { state: 'attached' });

  it('an empty house says what comes first', async () => {
    await at('/');
    expect(await watched.page.textContent('main')).to.contain('The boards are clear');
    await at('/freeze');
    expect(await watched.page.textContent('main')).to.contain('Nothing to freeze yet');
  });
  it('somebody joins, says who is here, and sets the house', async () => {
    const { page } = watched;
    await at('/house');
    await send(page, 'join-person', { name: 'Ada Skerry' });
    await page.waitForSelector('text=p1 in the ledger');
    await page.selectOption('#who', { label: 'Ada Skerry' });
    await send(page, 'set-house', { name: 'The Test Counter', zone: 'Europe/Oslo' });
    await page.waitForSelector('.where b:has-text("The Test Counter")');
  });
  it('receives a farmed char; its verdict forms while the form is filled', async () => {
    const { page } = watched;
    await at('/receive');
    await page.fill('#species-text', 'omble chevalier');
    await page.click('.found button:has-text("Arctic char")');
    await page.selectOption('[name="farmSystem"]', 'land-based');
    await page.selectOption('[name="form"]', 'fillet');
    await page.fill('[name="caughtOn"]', '2026-03-08');
    await page.fill('[name="core"]', '1.4');
    await until('raw', 'not-cleared');
    await page.waitForFunction(() => !document.querySelector('[data-code="temperature.not-taken"]'));
    expect(await page.textContent('aside')).to.contain('how the farm raised and fed it');
    await send(page, 'receive-lot', {
      mass: '2.4',
      'mass:unit': 'kg',
      thickness: '28',
      supplier: 'Skarnes Tank Farm',
      claim: 'sushi grade'
    });
    await page.waitForURL('**/piece/ARC-0309-1-A');
    expect(await page.textContent('.head')).to.contain('2.40 kg');
    expect(await page.textContent('main')).to.contain('A claim, not evidence');
  });
  it('reads Not cleared until the paper is attached, then opens', async () => {
    const { page } = watched;
    expect(await state('raw')).to.equal('not-cleared');
    await send(page, 'attach-evidence', { issuer: 'Skarnes Tank Farm', formulatedFeed: true, raised: true });
    await until('raw', 'open');
    expect(await page.textContent('main')).to.contain('by a statement from Skarnes Tank Farm');
  });
  it('gives a loin, which is cured by a real calculation', async () => {
    const { page } = watched;
    await send(page, 'divide-piece', { name: 'Loin', form: 'block', mass: '600', thickness: '26' });
    await page.waitForSelector('a:has-text("ARC-0309-1-B")');
    await at('/cure?piece=ARC-0309-1-B');
    await page.waitForSelector('[data-simulated="yes"]');
    const reads = () => page.textContent('tr:has-text("Salt, middle of the thickest")');
    const short = await reads();
    await page.fill('[name="rest"]', '0');
    await page.fill('[name="hours"]', '70');
    await page.waitForFunction(
      (before) => document.querySelector('main')?.textContent?.includes('At the end, 70 h') && before !== '',
      short
    );
    expect(await reads()).to.not.equal(short);
    await page.waitForFunction(() => !document.querySelector('table')?.textContent?.includes('…'));
    await send(page, 'start-cure', { hours: '20', rest: '0', salt: '2.5', sugar: '1', faces: '2' });
    await page.waitForSelector('[data-running]');
    expect(await page.textContent('[data-running]')).to.contain('weighed cure');
    await at('/piece/ARC-0309-1-B');
    expect(await state('cured')).to.equal('locked');
  });
  it('opens cured only once somebody has taken it out', async () => {
    const { page } = watched;
    await moveClock(house.url, 21);
    await at('/piece/ARC-0309-1-B');
    expect(await state('cured')).to.equal('not-cleared');
    await at('/cure?piece=ARC-0309-1-B');
    await send(page, 'end-cure', { massAfter: '585' });
    await page.waitForSelector('form[data-operation="start-cure"]');
    await at('/piece/ARC-0309-1-B');
    expect(await state('cured')).to.equal('open');
    expect(await state('raw')).to.equal('closed');
  });
  it('is sliced by a real calculation', async () => {
    const { page } = watched;
    await at('/slice?piece=ARC-0309-1-B');
    await page.selectOption('[name="style"]', 'straight');
    await page.fill('[name="length"]', '200');
    await page.fill('[name="height"]', '26');
    await page.fill('[name="width"]', '100');
    await page.selectOption('[name="by"]', 'thickness');
    await page.fill('[name="thickness"]', '5');
    await page.waitForSelector('[data-answer="yes"]:has-text("40"):has-text("slices of")');
    await send(page, 'record-slice', {});
    await page.waitForSelector('[data-lifted="ARC-0309-1-C"]:has-text("40 pieces, 585 g")');
  });
  it('goes out on a clock, is served, and the rest is binned when time is up', async () => {
    const { page } = watched;
    await send(page, 'start-hold', { label: 'Counter left', startCore: '3' });
    await page.waitForSelector('[data-lifted="ARC-0309-1-C"]:has-text("On its tray")');
    await at('/serve?piece=ARC-0309-1-C');
    await page.waitForSelector('.trays:has-text("Counter left")');
    await until('cured', 'open');
    await send(page, 'serve-piece', { route: 'cured', mass: '400', dish: 'Char, dill' });
    await page.waitForSelector('text=185 g');
    await moveClock(house.url, 4);
    await at('/');
    expect(await page.textContent('.queue')).to.contain('Bin Counter left');
    await at('/serve?piece=ARC-0309-1-C');
    expect(await page.textContent('main')).to.contain('No route is open for this piece now');
    await form(page, 'discard-piece').locator('[name="reason"]').fill('time is up');
    await page.locator('button:has-text("Bin all 185 g")').hover();
    await page.mouse.down();
    await page.waitForSelector('[data-told="done"]:has-text("Binned 185 g")');
    await page.mouse.up();
    await page.waitForFunction(() => !document.querySelector('.trays'));
  });
  it('is found again in the ledger, with its name, and can be taken out as CSV', async () => {
    const { page } = watched;
    await at('/ledger?lot=ARC-0309-1');
    const text = (await page.textContent('table')) ?? '';
    for (const words of [
      'Lot received',
      'Paper attached',
      'Cure started',
      'Sliced',
      'Tray started',
      'Served',
      'Binned',
      'Ada Skerry'
    ]) {
      expect(text).to.contain(words);
    }
    const [download] = await Promise.all([page.waitForEvent('download'), page.click('text=All as CSV')]);
    expect(download.suggestedFilename()).to.equal('ledger.csv');
    await send(page, 'sign-day', { note: 'all counted' });
    await page.waitForSelector('text=Done. It is in the ledger.');
  });
  it('a wild fish goes through the freezer by hand-written readings', async () => {
    const { page } = watched;
    await at('/receive?species=halibut&source=wild&form=block&caughtOn=2026-03-09&core=1+C');
    await send(page, 'receive-lot', {
      mass: '900',
      thickness: '30',
      supplier: 'Kelda Bay Boats',
      decision: 'hold-freeze',
      reason: 'wild'
    });
    await page.waitForURL('**/piece/HAL-*');
    const piece = page.url().split('/').at(-1)!;
    await at(`/freeze?piece=${piece}`);
    await page.waitForSelector('section:has-text("When the core arrives") .figure');
    await page.fill('[name="air"]', '-20');
    await page.waitForSelector('text=This freezer cannot do it');
    await send(page, 'start-freeze', { place: 'Upright', air: '-30', startCore: '1' });
    await page.waitForSelector('form[data-operation="read-freeze"]');
    for (const hours of [6, 40, 40, 40, 40, 8]) {
      await moveClock(house.url, hours);
      await at(`/freeze?piece=${piece}`);
      await send(page, 'read-freeze', { reading: hours === 6 ? '-20' : '-22.5' });
      await page.waitForSelector('text=Done. It is in the ledger.');
    }
    await until('raw', 'open');
    await send(page, 'end-freeze', { note: 'drawer 1' });
    await page.waitForSelector('form[data-operation="start-freeze"]');
    await at(`/piece/${piece}`);
    expect(await state('raw')).to.equal('open');
    expect(await page.textContent('main')).to.contain('Frozen here for 168 h');
    watched.quiet();
  });
  it('an entry amended on the screen shows both, and a widening one asks for an owner', async () => {
    const { page } = watched;
    await at('/ledger?lot=ARC-0309-1');
    // By this the house knows on which tablet something was done.
    const names = (await page.context().cookies()).map(({ name }) => name);
    expect(names).to.include('ember-tablet');
    // A bin is taken back at once, or by a second person; a tray whose time was up by nobody.
    await page.click('tr:has-text("Binned") >> text=Correct');
    await send(page, 'amend-entry', { void: true, reason: 'it was another tray' });
    await page.waitForSelector('[role="alert"]:has-text("Later a second person corrects it")');
    await visit(page, `${house.url}/ledger?lot=ARC-0309-1`);
    await page.click('tr:has-text("Tray started") >> text=Correct');
    await send(page, 'amend-entry', { void: true, reason: 'never left the cold' });
    await page.waitForSelector('[role="alert"]:has-text("nothing does")');
    // A cure begun on the wrong piece is a plain slip: who strikes it out owns that raw is open again.
    await at('/cure?piece=HAL-0310-1-A');
    await page.waitForSelector('[data-simulated="yes"]');
    await send(page, 'start-cure', { hours: '20', rest: '0', salt: '2.5', sugar: '1', faces: '2' });
    await page.waitForSelector('[data-running]');
    await at('/ledger?lot=HAL-0310-1');
    await page.click('tr:has-text("Cure started") >> text=Correct');
    await send(page, 'amend-entry', { void: true, reason: 'the wrong piece' });
    await page.waitForSelector('[role="alert"]:has-text("Tick that you take responsibility")');
    await form(page, 'amend-entry').locator('[name="ownWidening"]').check();
    await form(page, 'amend-entry').locator('button[type="submit"]').click();
    await page.waitForSelector('text=responsibility taken');
    await at('/piece/HAL-0310-1-A');
    expect(await state('raw')).to.equal('open');
    expect(await page.textContent('main'))
      .to.contain('the wrong piece')
      .and.contain('Ada Skerry');
    watched.quiet(/422/);
  });
});
