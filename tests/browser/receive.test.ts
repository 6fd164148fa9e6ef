import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { demoPaper } from '../../src/lib/server/demo/morning.ts';
import { BROKEN, NOTE } from '../server/note-rows.ts';
import { FROZEN, WILD as HALIBUT } from '../server/door-house.ts';
import { openBenchHouse, type BenchHouse } from './bench-house.ts';
import { visit, type RunningHouse } from './harness.ts';
import { form, send, shown } from './watch.ts';

const pdf = { name: 'statement.pdf', mimeType: 'application/pdf', buffer: Buffer.from(demoPaper(['Statement'])) };

describe('receiving and judging', () => {
  let bench: BenchHouse;
  let house: RunningHouse;
  let call: BenchHouse['call'];
  let open: BenchHouse['open'];
  const lots = async () =>
    ((await (await fetch(`${house.url}/api/v1/lots`)).json()) as { lots: unknown[] }).lots.length;
  const { species: _, ...WILD } = HALIBUT;
  const state = (page: Page, route: string) => shown(page, route).getAttribute('data-state');
  const until = (page: Page, route: string, wanted: string) =>
    page.waitForSelector(`[data-route="${route}"][data-state="${wanted}"]`);

  before(async () => {
    bench = await openBenchHouse();
    ({ house, call, open } = bench);
  });
  after(() => bench.close());

  it('a whole delivery by keyboard alone: opened, two lots, one inspected, closed', async () => {
    const { page, quiet, close } = await open('/');
    const keys = page.keyboard;
    /** Presses Tab until what has the focus answers to a test. */
    const to = async (what: string, test: string) => {
      for (let presses = 0; presses < 90; presses++) {
        if (await page.evaluate(`(() => { const at = document.activeElement; return ${test}; })()`)) return;
        await keys.press('Tab');
      }
      throw new Error(`Tab never came to ${what}`);
    };
    const field = (name: string, operation: string) =>
      to(name, `at?.name === '${name}' && at.form?.dataset.operation === '${operation}'`);
    const words = (text: string) => to(text, `at?.textContent?.trim().startsWith('${text}')`);

    await keys.press('n');
    await page.waitForURL('**/receive');
    await words('Several lots in one delivery');
    await keys.press('Enter');
    await field('supplier', 'open-delivery');
    await keys.type('Kelda Bay Boats');
    await keys.press('Enter');
    await page.waitForURL('**/receive?delivery=DEL-0309-1');
    for (const [count, name] of [
      [1, 'rodaballo'],
      [2, 'hirame']
    ] as const) {
      await page.waitForSelector(`h1:has-text("Receive lot ${count}")`);
      await to('species', `at?.id === 'species-text'`);
      await keys.type(name);
      await page.waitForSelector('.found button');
      await keys.press('Enter');
      await field('mass', 'receive-lot');
      await keys.type('2.2 kg');
      await field('source', 'receive-lot');
      await keys.type('wild');
      await field('core', 'receive-lot');
      await keys.type('1.2');
      await keys.press('Enter');
    }
    await page.waitForSelector('h1:has-text("Receive lot 3")');
    await words('Inspect');
    await keys.press('Enter');
    await page.waitForURL('**/inspect/TUR-0309-1');
    await page.waitForSelector('h1:has-text("Inspect: Turbot")');
    for (const row of ['eye', 'gill', 'skin', 'flesh', 'belly', 'smell']) {
      await field(`level-${row}`, 'inspect-lot');
      await keys.press('Space');
    }
    await page.waitForSelector('[data-recommended="hold-freeze"]');
    await field('decision', 'inspect-lot');
    await field('reason', 'inspect-lot');
    await keys.type('wild: freeze first');
    await words('Write the inspection down');
    await keys.press('Enter');
    await page.waitForSelector('.before:has-text("0.0 days on ice")');
    await words('delivery DEL');
    await keys.press('Enter');
    await page.waitForURL('**/receive?delivery=DEL-0309-1');
    await words('Finish the delivery');
    await keys.press('Enter');
    await page.waitForSelector('text=Closed Mon 9 Mar');
    expect(await page.textContent('main')).to.contain('Inspected: hold freeze');
    quiet();
    await close();
  });

  it('a whole delivery by touch alone, on an upright tablet', async () => {
    const { page, quiet, close } = await open('/receive', { viewport: { width: 820, height: 1180 }, hasTouch: true });
    // A tap opens the field; what is typed comes from the tablet's own keys.
    const write = async (selector: string, text: string) => {
      await page.tap(selector);
      await page.keyboard.type(text);
    };
    await page.tap('summary:has-text("Several lots")');
    await write('form[data-operation="open-delivery"] [name="supplier"]', 'Graywater Landings');
    await page.tap('text=Open the delivery');
    await page.waitForSelector('h1:has-text("Receive lot 1")');
    await write('#species-text', 'gurnard');
    await page.tap('.found button:has-text("Gurnard")');
    await write('form[data-operation="receive-lot"] [name="mass"]', '0.9');
    await page.selectOption('[name="source"]', 'wild');
    await write('[name="core"]', '2');
    await page.tap('text=Receive it');
    await page.waitForSelector('h1:has-text("Receive lot 2")');
    await page.tap('li:has-text("Gurnard") .act');
    await page.waitForSelector('h1:has-text("Inspect: Gurnard")');
    for (const words of [
      'flat, pupil clear',
      'bright red',
      'shining',
      'the dent stays',
      'firm and whole',
      'sea, cucumber'
    ]) {
      await page.tap(`.level:has-text("${words}")`);
    }
    await page.waitForSelector('[data-recommended="cooked-only"]');
    await page.waitForSelector('[name="decision"][value="cooked-only"]:checked', { state: 'attached' });
    await write('[name="reason"]', 'soft');
    await page.tap('text=Write the inspection down');
    await page.waitForSelector('.before:has-text("for cooking only: soft")');
    await page.tap('p a:text-is("the piece")');
    await until(page, 'raw', 'never');
    const small = await page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('main button, nav.benches a')]
        .filter((each) => each.offsetParent !== null && each.getBoundingClientRect().height < 44)
        .map((each) => each.textContent)
    );
    expect(small).to.deep.equal([]);
    quiet();
    await close();
  });

  it('a farmed char reads Not cleared; a file that lies is refused, the real paper opens it and is served safely', async () => {
    const { piece } = await call('receive-lot', {
      ...WILD,
      species: 'arctic-char',
      source: 'farmed',
      farmSystem: 'land-based',
      supplier: 'Skarnes Tank Farm'
    });
    const { page, quiet, close } = await open(`/piece/${piece}`);
    expect(await state(page, 'raw')).to.equal('not-cleared');
    const attach = form(page, 'attach-evidence');
    await attach.locator('[name="file"]').setInputFiles({
      name: 'statement.pdf',
      mimeType: 'application/pdf',
      buffer: Buffer.from('<script>alert(1)</script>')
    });
    await send(page, 'attach-evidence', { issuer: 'Skarnes Tank Farm', formulatedFeed: true, raised: true });
    await attach.locator('.wrong').waitFor();
    expect(await attach.locator('.wrong').textContent()).to.contain('its contents are something else');
    expect(await page.inputValue('[name="issuer"]')).to.equal('Skarnes Tank Farm');
    expect(await state(page, 'raw')).to.equal('not-cleared');
    await attach.locator('[name="file"]').setInputFiles(pdf);
    await send(page, 'attach-evidence', { formulatedFeed: true, raised: true });
    await until(page, 'raw', 'open');
    const link = await page.getAttribute('.paper a:has-text("statement.pdf")', 'href');
    const file = await fetch(house.url + link);
    expect(file.headers.get('content-type')).to.equal('application/pdf');
    expect(file.headers.get('content-disposition')).to.match(/^attachment/);
    expect(file.headers.get('content-security-policy')).to.contain('sandbox');
    expect(file.headers.get('x-content-type-options')).to.equal('nosniff');
    expect(Buffer.from(await file.arrayBuffer()).equals(pdf.buffer)).to.equal(true);
    expect((await fetch(`${house.url}/files/${'0'.repeat(64)}`)).status).to.equal(404);
    quiet(/422/);
    await close();
  });

  it('an expired statement opens nothing', async () => {
    const { piece } = await call('receive-lot', { ...WILD, species: 'halibut' });
    const { page, close } = await open(`/piece/${piece}`);
    await send(page, 'attach-evidence', {
      type: 'freezing-statement',
      issuer: 'Cold store',
      frozenAt: '-20',
      frozenFor: '7',
      'frozenFor:unit': 'd',
      expiresOn: '2026-03-08'
    });
    await page.waitForSelector('text=the paper had expired when the lot came in');
    expect(await state(page, 'raw')).to.equal('not-cleared');
    await close();
  });

  it('a day of catch nobody wrote down is answered for by name, said on the piece, and taken back', async () => {
    const { lot, piece } = await call('receive-lot', { ...WILD, species: 'halibut', caughtOn: '' });
    await call('attach-evidence', { lot, ...FROZEN });
    const { page, quiet, close } = await open(`/piece/${piece}`);
    expect(await page.textContent('main')).to.contain('the day of catch or harvest is not known');
    const own = form(page, 'own-exception');
    await page.click('summary:has-text("Take responsibility for an exception")');
    await own.locator('fieldset label:has-text("Cured") input').check();
    await send(page, 'own-exception', { reason: 'The boat told me by phone: Sunday.' });
    await own.locator('[role="alert"]').waitFor();
    expect(await own.locator('[role="alert"]').textContent()).to.contain('Tick that you take responsibility');
    await send(page, 'own-exception', { own: true });
    await until(page, 'cured', 'open');
    expect(await state(page, 'raw')).to.equal('not-cleared');
    expect(await page.textContent('.owned')).to.match(/Ada Skerry\s+answers for day of catch/);
    await page.click('.owned summary');
    await send(page, 'withdraw-exception', { reason: 'sent back after all' });
    await until(page, 'cured', 'not-cleared');
    quiet(/422/);
    await close();
  });

  it('shellfish want their tag, and the tag its last-served date', async () => {
    const { piece } = await call('receive-lot', { ...WILD, species: 'oyster', form: 'live', core: '', air: '5 C' });
    const { page, close } = await open(`/piece/${piece}`);
    expect(await page.textContent('main')).to.contain('shellfish without its tag');
    await send(page, 'attach-evidence', {
      type: 'shellfish-tag',
      issuer: 'Outer Skerry',
      reference: 'tag 9',
      dealer: 'VS 214',
      harvestedOn: '2026-03-08',
      harvestArea: 'Outer Skerry 3',
      mass: '2.5',
      'mass:unit': 'kg'
    });
    await until(page, 'raw', 'open');
    await page.click('summary:has-text("last-served date")');
    await send(page, 'close-tag', { lastServedOn: '2026-03-09' });
    await page.waitForSelector('text=Keep the tag until Sun, 7 Jun 2026');
    await close();
  });

  it('a name of several fish asks which and why; one nobody can name is judged by the worst, then told by its marks', async () => {
    const { page, quiet, close } = await open('/receive');
    await page.fill('#species-text', 'snapper');
    await page.waitForSelector('text=is the market name of 3 species');
    expect(await page.textContent('.senses')).to.contain('reef toxin');
    await page.click('text=Nobody can say what it is');
    await page.click('button[aria-label^="Not Rockfish"]');
    await page.selectOption('[name="source"]', 'wild');
    await page.waitForSelector('aside [data-route="cooked"][data-state="not-cleared"]');
    expect(await page.textContent('aside')).to.contain('If Snapper:');
    await send(page, 'receive-lot', {
      mass: '2',
      'mass:unit': 'kg',
      supplier: 'Kelda',
      core: '1',
      caughtOn: '2026-03-08'
    });
    await page.waitForURL('**/piece/UNI-*');
    await page.click('text=Tell it by its marks');
    await page.click('.fish label:has-text("Sea bream")');
    await page.check('.mark:has-text("steep forehead") input');
    await page.click('text=That is what it is');
    await page.waitForSelector('h1:text-is("Inspect: Sea bream")');
    await page.click('text=the piece');
    await until(page, 'cooked', 'open');
    quiet();
    await close();
  });

  it('a document of the authority is filed with its paper, opens what it covers, and is warned of on Now before it ends', async () => {
    const { piece } = await call('receive-lot', { ...WILD, species: 'halibut' });
    const { page, quiet, close } = await open('/house/documents');
    await form(page, 'file-document').locator('[name="file"]').setInputFiles(pdf);
    await page.locator('[name="covers"][value="parasites"]').check();
    await send(page, 'file-document', {
      authority: 'Harbour Health Office',
      number: 'V-77',
      issuedOn: '2026-03-01',
      expiresOn: '2026-03-20',
      limits: 'Sides under 3 kg only'
    });
    await page.waitForSelector('[data-document="ending"]:has-text("V-77")');
    await visit(page, `${house.url}/piece/${piece}`);
    await until(page, 'raw', 'open');
    expect(await page.textContent('main')).to.contain('No. V-77: Sides under 3 kg only');
    await visit(page, house.url);
    expect(await page.textContent('[data-document-ending]')).to.contain('ends on Fri, 20 Mar 2026');
    await visit(page, `${house.url}/house/documents`);
    await page.click('summary:has-text("Take it off the list")');
    await send(page, 'withdraw-document', { reason: 'given back' });
    await page.waitForSelector('[data-document="withdrawn"]');
    await visit(page, `${house.url}/piece/${piece}`);
    await until(page, 'raw', 'not-cleared');
    quiet();
    await close();
  });

  it('a note of forty rows with seven broken takes in none until asked, and keeps the mapping', async () => {
    const before = await lots();
    const { page, quiet, close } = await open('/receive/note');
    await page.setInputFiles('[name="note"]', { name: 'note.csv', mimeType: 'text/csv', buffer: Buffer.from(NOTE) });
    await page.selectOption('[name="dateOrder"]', 'dmy');
    await page.fill('[name="supplier"]', 'Kelda Bay Boats');
    await page.click('button:has-text("Read it")');
    await page.waitForSelector('text=33 rows can be received, 7 are broken');
    expect(await page.locator('tr.broken').count()).to.equal(BROKEN.size);
    expect(await page.textContent('main')).to.contain('"white tuna" is the market name of several species');
    await page.selectOption('[name="column Temp"]', '');
    await page.click('button:has-text("Read it again")');
    await page.waitForSelector('text=34 rows can be received, 6 are broken');
    await page.click('text=Take them in');
    await page.waitForSelector('[role="alert"]:has-text("6 rows are broken")');
    expect(await lots()).to.equal(before);
    expect(await page.inputValue('[name="column Temp"]')).to.equal('');
    await page.check('form[data-operation="import-note"] [name="goodOnly"]');
    await page.click('text=Take them in');
    await page.waitForURL('**/receive?delivery=*');
    expect(await page.locator('.delivery li').count()).to.equal(34);
    expect(await lots()).to.equal(before + 34);
    quiet(/422/);
    await close();
  });

  it('one piece under every rule book, side by side', async () => {
    const { lot, piece } = await call('receive-lot', { ...WILD, species: 'halibut' });
    await call('attach-evidence', { lot, ...FROZEN, frozenFor: '24 h' });
    const { page, close } = await open(`/piece/${piece}`);
    await page.click('.compare summary');
    const cell = (profile: string) =>
      page.locator(`[data-profile="${profile}"] [data-route="raw"]`).getAttribute('data-state');
    expect([await cell('us-fc'), await cell('eu'), await cell('jp')]).to.deep.equal(['not-cleared', 'open', 'open']);
    expect(await page.textContent('.compare')).to.contain('Only under US Food Code');
    await close();
  });

  it('what was taken for the own table goes on no service', async () => {
    const { page, close } = await open(
      '/receive?species=pollock&source=wild&core=2+C&commercial=no&caughtOn=2026-03-08'
    );
    await send(page, 'receive-lot', { mass: '1', 'mass:unit': 'kg', supplier: 'Ada, own line' });
    await page.waitForSelector('.wrong:has-text("may not be taken in for sale"), [role="alert"]:has-text("for sale")');
    await page.selectOption('[name="purpose"]', 'own-table');
    await send(page, 'receive-lot', {});
    await page.waitForURL('**/piece/POL-*');
    expect(await page.textContent('main')).to.contain('Not for guests');
    await page.click('nav.benches a:has-text("Serve")');
    await page.waitForSelector('.trouble:has-text("Not for guests")');
    expect(await form(page, 'serve-piece').count()).to.equal(0);
    await close();
  });

  it('the house’s books: a species, a copy of a rule book, a sheet and a notice, each with its reason', async () => {
    const { page, quiet, close } = await open('/house/species?id=halibut');
    await page.click('summary:has-text("own values")');
    await send(page, 'set-species', { iceDays: '12', reason: 'landed late in winter' });
    await page.waitForSelector('text=(shipped: 18 d)');
    await visit(page, `${house.url}/house/rules`);
    await page.click('summary:has-text("Make a copy")');
    await send(page, 'set-profile', {
      id: 'house-counter',
      name: 'Counter',
      'limit-coldHold': '6',
      reason: 'for a trial'
    });
    // A copy may be stricter than its base, never looser.
    await page.waitForSelector('.wrong:has-text("looser than the rule book")');
    await send(page, 'set-profile', { 'limit-coldHold': '4' });
    await page.waitForSelector('main li:has-text("Counter"), main section:has-text("Counter")');
    await send(page, 'set-notice', { text: 'Raw here. Ask us.', reason: 'shorter for the card' });
    await page.waitForSelector('blockquote:has-text("Raw here. Ask us.")');
    await visit(page, `${house.url}/house/sheets?sheet=fillet`);
    await send(page, 'set-sheet', { 'weight-smell': '5', 'text-smell-0': 'clean as the tide', reason: 'smell first' });
    await page.waitForSelector('text=shipped: sea, nothing');
    quiet(/422/);
    await close();
  });
});
