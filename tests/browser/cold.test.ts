import { oneIn } from '../runs.ts';
import { expect } from 'chai';
import { runLogger, type LoggerSetting } from '../../devices/logger.ts';
import { HALIBUT } from '../server/cold-house.ts';
import { NOON, OSLO, openBenchHouse, type BenchHouse } from './bench-house.ts';
import { visit, type RunningHouse } from './harness.ts';
import { send, shown } from './watch.ts';

let key = ''; // As the page says it, once.

describe('cold places, freezers and their logs', () => {
  let bench: BenchHouse;
  let house: RunningHouse;
  let call: BenchHouse['call'];
  let open: BenchHouse['open'];
  let piece = '';
  before(async () => {
    bench = await openBenchHouse();
    ({ house, call, open } = bench);
    await call('set-house', OSLO);
    piece = (await call('receive-lot', HALIBUT)).piece!;
  });
  // Loggers of a test that failed must not keep the run alive.
  const loggers: (() => void)[] = [];
  afterEach(() => loggers.splice(0).forEach((stop) => stop()));
  after(() => bench.close());

  it('a house without places says what they are for; a freezer, its sensors and a key are named', async () => {
    const { page, quiet, close } = await open('/freeze/places');
    expect(await page.textContent('main')).to.contain('No place is named yet');
    await send(page, 'set-place', { name: 'Chest freezer', kind: 'freezer', setPoint: '-24', litres: '240' });
    await page.waitForSelector('[data-place="chest-freezer"]');
    const sensor = page.locator('section', { has: page.locator('summary:has-text("A new sensor")') });
    await sensor.locator('summary').first().click();
    const fill = async (fields: Record<string, string>) => {
      for (const [name, value] of Object.entries(fields)) {
        const field = sensor.locator(`form[data-operation="set-sensor"] [name="${name}"]`).first();
        if ((await field.evaluate((node) => node.tagName)) === 'SELECT') await field.selectOption(value);
        else await field.fill(value);
      }
      await sensor.locator('form[data-operation="set-sensor"] button[type="submit"]').first().click();
    };
    await fill({ name: 'Chest air', place: 'Chest freezer', probe: 'air' });
    await page.waitForSelector('[data-place="chest-freezer"]:has-text("Chest air: air")');
    await fill({ name: 'Core probe', place: 'Chest freezer', probe: 'core' });
    await page.waitForSelector('[data-place="chest-freezer"]:has-text("Core probe: core")');
    const logger = page.locator('form[data-operation="key-device"]').last();
    await page.locator('summary:has-text("Give a logger a key")').click();
    await logger.locator('[name="name"]').fill('Chest logger');
    for (const label of ['Chest air', 'Core probe']) await logger.locator(`label:has-text("${label}") input`).check();
    await logger.locator('button[type="submit"]').click();
    await page.waitForSelector('.device:has-text("Chest logger"):has-text("Chest air and Core probe")');
    key = (await page.getAttribute('[data-key]', 'data-key'))!;
    expect(key).to.match(/^[\w-]{32}$/);
    expect(await page.textContent('[data-key] code')).to.equal(key);
    quiet();
    await close();
  });

  it('what is half typed on a bench outlives the readings that come meanwhile', async () => {
    const paths: { path: string; fields: Record<string, string> }[] = [
      { path: `/freeze?piece=${piece}`, fields: { air: '-22', thickness: '41', startCore: '3' } },
      { path: `/cure?piece=${piece}`, fields: { thickness: '41' } },
      { path: `/slice?piece=${piece}`, fields: { height: '33', width: '61' } },
      { path: `/break/depth?piece=${piece}`, fields: { length: '222' } },
      { path: '/freeze/places', fields: { name: 'a shelf that somebody is naming' } }
    ];
    let celsius = -24;
    for (const { path, fields } of oneIn(3, paths)) {
      const { page, quiet, close } = await open(path);
      for (const [name, value] of Object.entries(fields)) {
        const field = page.locator(`[name="${name}"]`).first();
        const folded = page.locator('details:not([open])', { has: field });
        if ((await folded.count()) > 0) await folded.first().locator('summary').first().click();
        await field.fill(value!);
      }
      let isAnew = false;
      page.on('response', (answer) => (isAnew ||= answer.url().includes('__data.json')));
      // Until the page has heard of one: its stream may not be open yet at the first.
      for (let tries = 0; tries < 90 && !isAnew; tries++) {
        celsius += 0.01;
        const sent = await fetch(`${house.url}/api/v1/readings`, {
          method: 'POST',
          headers: { authorization: `Bearer ${key}`, 'content-type': 'application/json' },
          body: JSON.stringify({ readings: [{ sensor: 'Chest air', at: NOON, celsius }] })
        });
        expect(sent.status).to.equal(200);
        await page.waitForTimeout(500);
      }
      expect(isAnew, path).to.equal(true);
      await page.waitForTimeout(300);
      for (const [name, value] of Object.entries(fields)) {
        expect(await page.locator(`[name="${name}"]`).first().inputValue(), `${path} ${name}`).to.equal(value);
      }
      quiet();
      await close();
    }
  });

  it('a freeze runs with a sped-up logger through defrosts and a warm core to its release', async () => {
    const { page, quiet, close } = await open(`/freeze?piece=${piece}`);
    // The freezer brings its set point along, and the forecast stands beside it.
    expect(await page.inputValue('[name="air"]')).to.equal('-24');
    await page.waitForSelector('[data-earliest]');
    // Stacked, it freezes as one block, and is told so before it goes in.
    await page.selectOption('form [name="lie"]', 'stacked');
    await page.fill('form [name="stack"]', '3');
    await page.waitForSelector('[data-load="load.one-block"]:has-text("Lay them apart")');
    await page.selectOption('form [name="lie"]', 'apart');
    await page.waitForSelector('[data-load="load.one-block"]', { state: 'detached' });
    await send(page, 'start-freeze', { coreSensor: 'core-probe', startCore: '1', airClass: 'fan' });
    await page.waitForSelector('h2:has-text("in Chest freezer")');

    const first: Partial<LoggerSetting> = { scenario: 'defrost', core: 'Core probe', speed: 7200 };
    const stop = await runLogger({ url: house.url, key }, 0, () => undefined, first);
    loggers.push(stop);
    // Its defrosts break nothing while the core stays cold. A core that is read warm does: the hold that was counting starts anew,
    // on this screen, without a touch. Before one counts a warm reading is the fish still cooling, so it is read until one does.
    for (let turn = 0; turn < 30 && (await page.locator('[data-excursion]').count()) === 0; turn++) {
      await call('read-freeze', { piece, reading: '-12 C', probe: 'core' });
      await page.waitForTimeout(1500);
    }
    await page.waitForSelector('[data-excursion]');
    await page.waitForSelector('text=The clock starts again');
    stop();
    const now = await open('/');
    await now.page.waitForSelector('[data-excursion="hold"]');
    await now.close();

    const again = await runLogger({ url: house.url, key }, 0, () => undefined, { speed: 14_400 });
    loggers.push(again);
    await page.waitForSelector('[data-proven]', { timeout: 120_000 });
    again();
    const ways = await page.textContent('[data-ways]');
    expect(ways).to.contain('this counts');
    await page.waitForSelector('button:has-text("Take it out")');
    await send(page, 'end-freeze', { place: 'Drawer 1' });
    await page.waitForSelector('h2:has-text("in a freezer")');
    quiet();
    await visit(page, `${house.url}/piece/${piece}`);
    expect(await shown(page, 'raw').getAttribute('data-state')).to.equal('open');

    // The record the rule book asks for: what was proven, by whom, and until when it is kept.
    await visit(page, `${house.url}/freeze/record/${piece}`);
    const record = (await page.textContent('main'))!;
    expect(record).to.contain('Ada Skerry');
    expect(record).to.match(/excursion/i);
    quiet();
    await close();
  });

  it('the excursion is closed by name with what was done, and the ledger shows it', async () => {
    const { page, quiet, close } = await open('/freeze/places');
    const card = page.locator('article[data-excursion="hold"]', { hasText: 'Chest freezer' }).first();
    await card.waitFor();
    const before = await page.locator('article[data-excursion="hold"]').count();
    await card.locator('summary').click();
    await card.locator('[name="action"]').selectOption('defrost');
    await card.locator('[name="note"]').fill('its own defrost, core stayed cold');
    await card.locator('button[type="submit"]').click();
    // Its card goes, and the form's own answer with it: that may stand for one frame only.
    await page.waitForFunction(
      (count) => document.querySelectorAll('article[data-excursion="hold"]').length < count,
      before
    );
    await visit(page, `${house.url}/freeze/places/chest-freezer`);
    expect(await page.textContent('main')).to.contain('its own defrost, core stayed cold');
    await visit(page, `${house.url}/ledger`);
    expect(await page.textContent('main')).to.contain('its own defrost');
    quiet();
    await close();
  });

  it('a messy file is looked at, asked about, taken in, and what was not taken is named by its row', async () => {
    const { page, quiet, close } = await open('/freeze/import');
    const rows = ['Logger 88-1203;;', 'Zeit;Luft °C;Tür', '01.03.2026 10:00;-24,1;zu', '01.03.2026 10:05;-24,0;zu'];
    for (let minute = 10; minute < 60; minute += 5) rows.push(`01.03.2026 10:${minute};-23,${minute};zu`);
    rows.push(
      '01.03.2026 10:30;-23,30;zu',
      'Batterie schwach;;',
      '01.03.2026 11:00;85,0;zu',
      '01.04.2026 11:00;-24,0;zu'
    );
    await page.setInputFiles('input[type="file"]', {
      name: 'kühltruhe.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(rows.join('\n'))
    });
    await page.waitForSelector('h2:has-text("kühltruhe.csv")');
    const take = page.locator('button:has-text("Receive it")');
    expect(await take.isDisabled()).to.equal(true);
    await page.locator('label:has-text("Times are written") select').selectOption('dmy');
    await page.locator('label:has-text("The logger’s clock keeps") select').selectOption('Europe/Oslo');
    await page.locator('select[aria-label="Sensor of Luft °C"]').selectOption('chest-air');
    await page.waitForSelector('td:has-text("-24.1 °C")');
    await take.click();
    await page.waitForSelector('[data-kept="12"]');
    const refused = (await page.textContent('[data-refused]'))!;
    expect(refused).to.match(/row 16/);
    expect(refused).to.match(/row 17/);
    expect(refused).to.match(/row 18/);
    expect(await page.textContent('main')).to.match(/1 twice\s+over/);
    await page.click('button:has-text("Another file")');
    await page.waitForSelector('td:has-text("kühltruhe.csv")');
    quiet();
    await close();
  });

  it('the log of a place is brushed by mouse and by keyboard, and a finer grain is fetched', async () => {
    const { page, quiet, close } = await open('/freeze/places/chest-freezer');
    const span = () => page.textContent('.windows .soft');
    const whole = await span();
    const box = (await page.locator('svg.strip').boundingBox())!;
    const finer = page.waitForResponse((answer) => answer.url().includes('/log?from='));
    await page.mouse.move(box.x + box.width * 0.7, box.y + 20);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width * 0.9, box.y + 20, { steps: 5 });
    await page.mouse.up();
    expect((await finer).status()).to.equal(200);
    const brushed = await span();
    expect(brushed).to.not.equal(whole);
    await page.locator('svg[role="img"]').focus();
    await page.keyboard.press('+');
    const closer = await span();
    expect(closer).to.not.equal(brushed);
    await page.keyboard.press('ArrowLeft');
    expect(await span()).to.not.equal(closer);
    await page.click('button:has-text("All of it")');
    expect(await span()).to.equal(whole);
    quiet();
    await close();
  });

  it('a thaw is forecast, begun in the cold, weighed and closed; a closed pack is stopped at the form', async () => {
    const lot = await call('receive-lot', {
      species: 'sablefish',
      form: 'block',
      source: 'wild',
      water: 'sea',
      commercial: 'yes',
      supplier: 'Northholm Cold Store',
      mass: '1400 g',
      thickness: '45 mm',
      core: '-20 C',
      frozen: true
    });
    const { page, quiet, close } = await open(`/freeze/thaw?piece=${lot.piece}`);
    await page.waitForSelector('section:has-text("When it is through") .figure');
    await page.selectOption('[name="pack"]', 'closed');
    await page.waitForSelector('[data-pack]');
    await send(page, 'start-thaw', { place: 'Drawer 1' });
    await page.waitForSelector('form[data-operation="start-thaw"] [role="alert"]');
    expect(await page.inputValue('form[data-operation="start-thaw"] [name="place"]')).to.equal('Drawer 1');
    await page.selectOption('[name="pack"]', 'opened');
    await send(page, 'start-thaw', {});
    await page.waitForSelector('h2:has-text("thaws in Drawer 1")');
    await send(page, 'end-thaw', { core: '0.5', massAfter: '1.37', 'massAfter:unit': 'kg' });
    await page.waitForSelector('h2:has-text("thaws in Drawer 1")', { state: 'detached' });
    quiet();
    await close();
  });
  it('a place is called otherwise: its card, what lies there and its log keep to it; a name that is taken is refused', async () => {
    await call('set-place', { name: 'Drawer 9', kind: 'drawer' });
    await call('move-piece', { piece, place: 'Drawer 9' });
    const { page, quiet, close } = await open('/freeze/places');
    const card = page.locator('[data-place="drawer-9"]');
    await card.locator('summary:has-text("Set it up")').click();
    const name = card.locator('form[data-operation="set-place"] [name="name"]').first();
    await name.fill('chest FREEZER');
    await card.locator('button:has-text("Keep it")').first().click();
    await card.locator('[role="alert"]:has-text("is called Chest freezer already")').first().waitFor();
    expect(await name.inputValue()).to.equal('chest FREEZER');
    await name.fill('Drawer by the pass');
    await card.locator('button:has-text("Keep it")').first().click();
    await card.locator('h2:has-text("Drawer by the pass")').waitFor();
    await card.locator(`a[href="/piece/${piece}"]`).waitFor();
    await visit(page, `${house.url}/piece/${piece}`);
    const text = (await page.textContent('main')) ?? '';
    expect(text).to.contain('Drawer by the pass');
    expect(text).to.not.contain('Drawer 9');
    quiet(/422/);
    await close();
  });
});
