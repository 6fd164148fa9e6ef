import { expect } from 'chai';
import { openBenchHouse, type BenchHouse } from './bench-house.ts';
import { visit } from './harness.ts';
import { form, send } from './watch.ts';

describe('the acid bench', () => {
  let bench: BenchHouse;
  let piece = '';
  const later = (minutes: number) => bench.later(minutes / 60);
  before(async () => {
    bench = await openBenchHouse();
    piece = (
      await bench.call('receive-lot', {
        species: 'halibut',
        form: 'block',
        source: 'wild',
        water: 'sea',
        commercial: 'yes',
        supplier: 'Kelda Bay Boats',
        caughtOn: '2026-03-09',
        mass: '600 g',
        core: '1 C'
      })
    ).piece!;
  });
  after(() => bench.close());
  const open = (path: string) => bench.open(path);

  it('times follow size, liquid and look; water alone does not turn it; two lie side by side', async () => {
    const { page, quiet, close } = await open(`/acid?piece=${piece}`);
    await page.waitForSelector('[data-simulated="yes"]');
    const ready = () => page.textContent('[data-ready]');
    const changed = (was: string | null) =>
      page.waitForFunction((before) => document.querySelector('[data-ready]')?.textContent !== before, was);
    await page.waitForFunction(() => !document.querySelector('[data-ready]')?.textContent?.includes('…'));
    const twelve = await ready();
    await page.getByLabel('Size').fill('6');
    await changed(twelve);
    await page.fill('form [name="size"]', '80');
    await page.waitForSelector('[role="alert"]:has-text("1 to 60 mm; saw 80")');
    await page.fill('form [name="size"]', '12');
    await page.fill('form [name="measuredPH"]', '9');
    await page.waitForSelector('[role="alert"]:has-text("1 to 8")');
    await page.fill('form [name="measuredPH"]', '');
    await page.getByLabel('Part 1', { exact: true }).selectOption('water');
    await page.waitForSelector('[data-no-acid]');
    await form(page, 'start-acid').locator('button[type="submit"]').click();
    await page.waitForSelector('.trouble:has-text("it will not turn")');
    await page.getByLabel('Part 1', { exact: true }).selectOption('lime');
    await page.getByLabel('Millilitres of part 1').fill('60');
    await page.waitForSelector('[data-cover]:has-text("top up")');
    await page.click('text=Lay another beside it');
    await page.locator('[name="second-style"]').selectOption('at-the-pass');
    await page.waitForSelector('[data-comparing] [data-look]');
    expect(await page.textContent('[data-still-raw]')).to.contain('kills no worms');
    quiet(/422/);
    await close();
  });

  it('a dice run: covered by keyboard, its rim grows with the clock, one cut and touched, lifted out', async () => {
    const { page, quiet, close } = await open('/');
    await page.keyboard.press('6');
    await page.waitForURL('**/acid');
    await page.waitForSelector('[data-simulated="yes"]');
    const submit = form(page, 'start-acid').locator('button[type="submit"]');
    for (let presses = 0; presses < 300; presses++) {
      if (await submit.evaluate((node) => node === document.activeElement)) break;
      await page.keyboard.press('Tab');
    }
    await page.keyboard.press('Enter');
    await page.waitForSelector('[data-running]');
    await page.waitForSelector('[data-look]');
    const early = await page.textContent('[data-look]');
    await later(30);
    await visit(page, `${bench.house.url}/acid?piece=${piece}`);
    await page.waitForSelector('[data-look]');
    expect(await page.textContent('[data-look]')).to.not.equal(early);
    const before = await page.textContent('[data-ready]');
    const drawing = (await page.locator('canvas').boundingBox())!;
    // Where raw begins, nearly at the edge: it goes slower than was said.
    await page.mouse.click(drawing.x + drawing.width * 0.93, drawing.y + drawing.height / 2);
    const raw = Number(await page.inputValue('form [name="raw"]'));
    expect(raw).to.be.within(9.5, 11);
    await form(page, 'check-acid').locator('button[type="submit"]').click();
    await page.waitForSelector('[data-check]:has-text("of its pace")');
    expect(await page.textContent('[data-ready]')).to.not.equal(before);
    await later(45);
    await visit(page, `${bench.house.url}/acid?piece=${piece}`);
    await send(page, 'end-acid', { massAfter: '590', place: 'Drawer 1' });
    await page.waitForSelector('form[data-operation="start-acid"]');
    await visit(page, `${bench.house.url}/piece/${piece}`);
    expect(await page.textContent('main')).to.contain('Acid turns it white and kills no worms');
    await visit(page, `${bench.house.url}/ledger`);
    for (const words of ['Into the acid', 'Cut open in acid', 'Out of the acid']) {
      expect(await page.textContent('main')).to.contain(words);
    }
    quiet(/net::ERR|stream/i);
    await close();
  });
});
