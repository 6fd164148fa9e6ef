import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { CHAR, FEED } from '../server/house.ts';
import { OSLO, openBenchHouse, type BenchHouse } from './bench-house.ts';
import { visit } from './harness.ts';
import { form, send } from './watch.ts';

describe('the cure bench', () => {
  let bench: BenchHouse;
  let piece = '';
  const call: BenchHouse['call'] = (...asked) => bench.call(...asked);
  const later = (byHours: number) => bench.later(byHours);
  before(async () => {
    bench = await openBenchHouse();
    await call('set-house', { ...OSLO, dateMarkDays: 7 });
    const lot = await call('receive-lot', { ...CHAR, mass: '1800 g', thickness: '26 mm', core: '1 C' });
    await call('attach-evidence', { lot: lot.lot, ...FEED });
    piece = (
      await call('divide-piece', { piece: lot.piece, name: 'Side', form: 'fillet', mass: '800 g', thickness: '26 mm' })
    ).piece!;
    await call('set-depth', { piece, length: '300 mm', t0: '26 mm', t3: '22 mm', t6: '8 mm' });
  });
  after(() => bench.close());
  const open = (path: string) => bench.open(path);
  const simulated = (page: Page) => page.waitForSelector('[data-simulated="yes"]');
  const cell = (page: Page, row: string) => page.textContent(`tr:has-text("${row}") td:nth-child(2)`);

  it('shows the thin end ahead along the measured depth, and shares the salt out so that both finish together', async () => {
    const { page, quiet, close } = await open(`/cure?piece=${piece}`);
    await simulated(page);
    await page.getByLabel('Cover', { exact: true }).check();
    await page.click('[data-figures] summary');
    await page.waitForSelector('[data-thin]');
    expect((await page.textContent('[data-readings]'))!.replace(/\s+/g, ' ')).to.contain(
      '48 g salt and 48 g sugar; as the mix’s 24 g and 24 g'
    );
    const means = async () => {
      const rows = await page.locator('[data-zones] tbody tr').all();
      return Promise.all(rows.map(async (row) => parseFloat((await row.locator('td').nth(-5).textContent())!)));
    };
    await page.click('summary:has-text("Grams and hours by zone")');
    await page.waitForSelector('[data-zones] tbody tr:nth-child(12)');
    const laid = await means();
    expect(laid.at(-1)! / laid[0]!).to.be.greaterThan(1.5);
    await page.click('summary:has-text("Where cooks disagree")');
    await page.selectOption('[name="dosing"]', 'together');
    await page.waitForFunction(() => {
      const cells = [...document.querySelectorAll('[data-zones] tbody tr')].map((row) =>
        parseFloat(row.querySelector('td:nth-last-child(5)')!.textContent!)
      );
      return Math.abs(cells.at(-1)! / cells[0]! - 1) < 0.05;
    });
    quiet();
    await close();
  });

  it('the picture is scrubbed through time, and says what it shows', async () => {
    const { page, quiet, close } = await open(`/cure?piece=${piece}`);
    await simulated(page);
    const drawn = () =>
      page.evaluate(() => {
        const canvas = document.querySelector('canvas')!;
        const pixels = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height).data;
        // Just below the face of the thick end, its inside, and clear of the thin end.
        const { width, height } = canvas;
        return {
          face: pixels[(6 * width + 20) * 4]!,
          middle: pixels[((height - 4) * width + 20) * 4]!,
          corner: pixels[(2 * width + width - 3) * 4 + 3]!
        };
      });
    const scrub = page.getByLabel('Hour shown');
    await scrub.fill('0');
    const early = await page.textContent('[data-cut]');
    const before = await drawn();
    await scrub.fill('47');
    expect(await page.textContent('[data-cut]')).to.not.equal(early);
    const after = await drawn();
    expect(before.face).to.be.lessThan(before.middle);
    expect(after.middle).to.be.lessThan(before.middle);
    expect(after.corner).to.equal(0);
    expect(await page.getAttribute('svg[role="img"]', 'aria-label')).to.contain('middle of the thickest');
    quiet();
    await close();
  });

  it('words for what cannot be, with the field; what was typed stays', async () => {
    const { page, quiet, close } = await open(`/cure?piece=${piece}`);
    await simulated(page);
    const refused: [Record<string, string>, RegExp][] = [
      [{ salt: '400' }, /Salt, finished must be 0 to 100 %; saw 400 %/],
      [{ salt: '15' }, /Salt, finished must be 0\.2 to 12 %; saw 15/],
      [{ salt: '2', thickness: '0' }, /Thickness, thick end must be 2 to 150 mm; saw 0/],
      [{ thickness: '26', salt: '0', sugar: '4' }, /sugar alone is no cure/],
      [{ salt: '2', celsius: '30' }, /Kept at must be -1 to 15 °C; saw 30/]
    ];
    for (const [fields, words] of refused) {
      for (const [name, value] of Object.entries(fields)) await page.fill(`form [name="${name}"]`, value);
      await page.waitForFunction(
        ([source]) => new RegExp(source!).test(document.querySelector('[role="alert"]')?.textContent ?? ''),
        [words.source]
      );
    }
    await page.getByLabel('Wet brine', { exact: true }).check();
    await page.fill('form [name="celsius"]', '3');
    await page.fill('form [name="salt"]', '30');
    await page.waitForSelector('[role="alert"]:has-text("0.5 to 26.4 %")');
    await form(page, 'start-cure').locator('button[type="submit"]').click();
    await page.waitForSelector('.trouble:has-text("26.4")');
    expect(await page.inputValue('form [name="salt"]')).to.equal('30');
    quiet(/422/);
    await close();
  });

  it('two plans for one piece, side by side', async () => {
    const { page, quiet, close } = await open(`/cure?piece=${piece}`);
    await simulated(page);
    await page.click('text=Compare with another plan');
    const compare = page.locator('[data-comparing]');
    await compare.locator('tr:has-text("School") td:has-text("Cover")').waitFor();
    const start = () => compare.locator('tr:has-text("ready") td, tr:has-text("Start by") td').allTextContents();
    const [first, second] = await start();
    expect(first).to.not.equal(second);
    await page.fill('form [name="readyBy"]', '2026-03-14T18:00');
    await compare.locator('tr:has-text("Start by")').waitFor();
    await page.waitForSelector('.hint:has-text("Start by")');
    const middle = async () => (await compare.locator('tr:has-text("Middle of the thickest") td').allTextContents())[1];
    const before = await middle();
    await compare.locator('[name="hours"]').fill('80');
    await page.waitForFunction(
      (was) => document.querySelector('[data-comparing] table')?.textContent?.includes(was ?? '') === false,
      before
    );
    expect(await middle()).to.not.equal(before);
    await page.fill('form [name="readyBy"]', '2026-03-09T18:00');
    await page.waitForSelector('.hint:has-text("Too late by")');
    quiet();
    await close();
  });

  it('by keyboard alone: a recipe is taken, begun, its steps done, paused, taken up, weighed; the chart moves', async () => {
    const { page, quiet, close } = await open('/');
    const reach = async (selector: string) => {
      const target = page.locator(selector).first();
      await target.waitFor();
      for (let presses = 0; presses < 400; presses++) {
        if (await target.evaluate((node) => node === document.activeElement)) return;
        await page.keyboard.press('Tab');
      }
      throw new Error(`${selector} was never reached`);
    };
    const type = async (selector: string, text: string) => {
      await reach(selector);
      await page.keyboard.press('ControlOrMeta+a');
      await page.keyboard.type(text);
    };
    const submit = async (operation: string) => {
      await reach(`form[data-operation="${operation}"] button[type="submit"]`);
      await page.keyboard.press('Enter');
    };
    await page.keyboard.press('5');
    await page.waitForURL('**/cure');
    await reach(`a[href="/cure?piece=${piece}"]`);
    await page.keyboard.press('Enter');
    await page.waitForURL(`**/cure?piece=${piece}`);
    await simulated(page);
    // The school is a group of radio buttons: the arrow walks it.
    await reach('form input[name="method"]:checked');
    await page.keyboard.press('ArrowLeft');
    await page.waitForSelector('form [name="parts"]');
    await reach('form [name="recipe"]');
    await page.keyboard.type('Even dill');
    await page.waitForFunction(() => document.querySelector<HTMLInputElement>('form [name="hours"]')?.value === '36');
    await type('form [name="hours"]', '24');
    await type('form [name="rest"]', '6');
    await reach('form details summary');
    await page.keyboard.press('Enter');
    await reach('form [name="turned"]');
    await page.keyboard.press('Space');
    await submit('start-cure');
    await page.waitForSelector('[data-running]');
    await simulated(page);
    expect(await page.textContent('[data-running]')).to.contain('Even dill cover, version 1');

    await later(12);
    await visit(page, `${bench.house.url}/`);
    await page.waitForSelector('text=Turn it');
    await visit(page, `${bench.house.url}/cure?piece=${piece}`);
    await submit('step-cure');
    await page.waitForSelector('[data-steps] tr:has-text("done Tue")');
    await reach('summary:has-text("Pause it")');
    await page.keyboard.press('Enter');
    await reach('form [name="change"]');
    await page.keyboard.type('take');
    await submit('change-cure');
    await page.waitForSelector('[data-stage]:has-text("paused")');
    await later(2);
    await visit(page, `${bench.house.url}/cure?piece=${piece}`);
    await submit('change-cure');
    await page.waitForSelector('[data-stage]:has-text("in its cure")');
    await later(20);
    await visit(page, `${bench.house.url}/cure?piece=${piece}`);
    await page.waitForSelector('[data-stage]:has-text("programme over")');
    await type('form [name="massAfter"]', '742');
    await reach('form [name="saltTaste"]');
    await page.keyboard.type('right');
    await type('form [name="saltReading"]', '3.9');
    await submit('end-cure');
    await page.waitForSelector('form[data-operation="start-cure"]');

    await visit(page, `${bench.house.url}/cure/learning`);
    expect(await page.getAttribute('svg[data-points]', 'data-points')).to.equal('1');
    expect(await page.textContent('[data-fits]')).to.contain('Arctic char');
    quiet(/net::ERR|stream/i);
    await close();
  });

  it('a second cure moves the chart and narrows the next forecast; learning is switched off and on', async () => {
    const { page, quiet, close } = await open(`/cure?piece=${piece}`);
    await simulated(page);
    await page.waitForSelector('text=Forecast with what 1 cure of this house taught');
    await send(page, 'start-cure', { hours: '24', rest: '0' });
    await page.waitForSelector('[data-running]');
    await later(24);
    await visit(page, `${bench.house.url}/cure?piece=${piece}`);
    await send(page, 'end-cure', { massAfter: '731', saltReading: '2.2', saltTaste: 'right', taste: '4' });
    await page.waitForSelector('form[data-operation="start-cure"]');
    await visit(page, `${bench.house.url}/cure/learning`);
    expect(await page.getAttribute('svg[data-points]', 'data-points')).to.equal('2');
    await send(page, 'set-learning', {});
    await page.waitForSelector('[data-learning="off"]');
    await visit(page, `${bench.house.url}/cure?piece=${piece}`);
    await page.waitForSelector('text=Forecast with published ranges');
    await visit(page, `${bench.house.url}/cure/learning`);
    await send(page, 'set-learning', {});
    await page.waitForSelector('[data-learning="on"]');
    expect(await cell(page, 'Arctic char')).to.equal('2');
    quiet();
    await close();
  });

  it('a recipe is written, noted, scaled to two pieces, exported, imported and taken to the bench', async () => {
    const { page, quiet, close } = await open('/cure/recipes');
    await page.click('summary:has-text("Write a new recipe")');
    await send(page, 'set-recipe', {
      name: 'Tea and rye',
      school: 'weighed',
      lines: 'Flake salt; salt; 2.4 %; flake\nBrown sugar; sugar; 1 %\nTea, smoked; aromatic; 0.5 %',
      hours: '40',
      target: '1.1'
    });
    await page.click('a:has-text("Tea and rye")');
    await page.waitForURL('**/cure/recipes/tea-and-rye');
    await send(page, 'note-recipe', { note: 'half the tea' });
    await page.waitForSelector('text=half the tea');
    for (const box of await page.locator('.ticks input, input[type="checkbox"][value^="ARC"]').all()) await box.check();
    await page.waitForFunction(() => !document.querySelector('h2')?.textContent?.includes('1.00 kg'));
    const weigh = await page.textContent('[data-scaled] tr:has-text("Flake salt") b');
    expect(parseFloat(weigh!)).to.be.within(38, 48);
    await page.getByLabel('No scale: salt by volume').check();
    await page.waitForSelector('[data-scaled] td:has-text("ml")');
    const file = (await (await fetch(`${bench.house.url}/cure/recipes/export?id=tea-and-rye`)).json()) as {
      recipes: { hours: number }[];
    };
    file.recipes[0]!.hours = 44;
    await visit(page, `${bench.house.url}/cure/recipes`);
    await page.click('summary:has-text("Take recipes elsewhere")');
    await page.locator('input[type="file"]').setInputFiles({
      name: 'recipes.json',
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify(file))
    });
    await page.waitForFunction(() => document.querySelector<HTMLTextAreaElement>('[name="text"]')!.value.length > 100);
    await form(page, 'import-recipes').locator('button[type="submit"]').click();
    await page.waitForSelector('text=1 taken in, 0 known already');
    // The form clears itself once the page has its news: what is typed before that is not waited for.
    await visit(page, `${bench.house.url}/cure/recipes`);
    await page.click('summary:has-text("Take recipes elsewhere")');
    await page.fill('[name="text"]', '{"format":"other"}');
    await form(page, 'import-recipes').locator('button[type="submit"]').click();
    await page.waitForSelector('.trouble:has-text("Nothing was taken")');
    await page.click('a:has-text("Tea and rye")');
    await page.waitForSelector('text=version 2');
    await page.click('text=Take it to the bench');
    await page.waitForURL('**/cure?recipe=tea-and-rye**');
    await page.waitForFunction(() => document.querySelector<HTMLInputElement>('form [name="hours"]')?.value === '44');
    quiet(/422/);
    await close();
  });
});
