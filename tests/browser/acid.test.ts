import { expect } from 'chai';
import { HALIBUT } from '../server/cold-house.ts';
import { openBenchHouse, type BenchHouse } from './bench-house.ts';
import { visit } from './harness.ts';
import { form, send } from './watch.ts';

describe('the acid bench', () => {
  let bench: BenchHouse;
  let piece = '';
  const later = (minutes: number) => bench.later(minutes / 60);
  before(async () => {
    bench = await openBenchHouse();
    const got = await bench.call('receive-lot', { ...HALIBUT, mass: '600 g', thickness: '', previouslyFrozen: 'yes' });
    piece = got.piece!;
    // What is not cleared raw is not cleared in acid, and neither is the liquid it lay in.
    await bench.call('attach-evidence', {
      lot: got.lot,
      type: 'freezing-statement',
      issuer: 'Northholm Cold Store',
      frozenAt: '-25 C',
      frozenFor: '10 d'
    });
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
    const first = await ready();
    expect(first).to.contain('half the way in');
    expect(await page.textContent('[data-then]')).to.contain('of it still raw');
    // What do I have at ten minutes?
    await page.fill('[name="after"]', '10');
    await page.waitForSelector('[aria-label*="After 10 min"]');
    await page.fill('[name="after"]', '');
    // A dip takes half of it at a time: the same liquid is twice as much of it.
    await page.fill('form [name="mass"]', '100');
    await changed(first);
    await page.fill('form [name="mass"]', '');
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

  it('a dice run: covered by keyboard, its rim grows, one cut and touched, some lifted, drained, joined at service', async () => {
    const { page, quiet, close } = await open('/');
    await page.keyboard.press('6');
    await page.waitForURL('**/acid');
    await page.waitForSelector('[data-simulated="yes"]');
    const submit = form(page, 'start-acid').locator('button[type="submit"]');
    // Some guests want it less raw: a second time on the same run.
    await page.selectOption('form [name="later"]', 'set');
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
    // Dice of 7.5 mm, touched 93 % of the way out.
    expect(raw).to.be.within(5.8, 7);
    await form(page, 'check-acid').locator('button[type="submit"]').click();
    await page.waitForSelector('[data-check]:has-text("of its pace")');
    expect(await page.textContent('[data-ready]')).to.not.equal(before);
    await later(45);
    await visit(page, `${bench.house.url}/acid?piece=${piece}`);
    const second = await page.textContent('[data-later]');
    expect(second).to.contain('set through');
    await send(page, 'lift-acid', { mass: '350', place: 'Drawer 1' });
    await page.waitForSelector('[data-lifted]');
    await later(60);
    await visit(page, `${bench.house.url}/acid?piece=${piece}`);
    await send(page, 'end-acid', { massAfter: '245', place: 'Drawer 1', liquid: '300' });
    await page.waitForSelector('form[data-operation="start-acid"]');
    // What was lifted first goes out with a sauce and the liquid it lay in, and says what is in it.
    const lifted = (await (await fetch(`${bench.house.url}/api/v1/pieces/${piece}`)).json()) as { children: string[] };
    await visit(page, `${bench.house.url}/acid?piece=${lifted.children[0]}`);
    await page.waitForSelector('[data-dress]');
    const dress = form(page, 'dress-piece');
    await dress.locator('[name="sauce"]').selectOption('roasted-sesame');
    await page.waitForSelector('[data-sauce-allergens]:has-text("sesame")');
    await dress.locator('[name="liquid"]').selectOption({ index: 1 });
    await dress.locator('[name="liquidMass"]').fill('120');
    await dress.locator('[name="with"]').fill('red onion');
    await dress.locator('button[type="submit"]').click();
    await page.waitForSelector('[data-dressed]:has-text("Roasted sesame")');
    expect(await page.textContent('[data-dressed]')).to.contain('its liquid, 120 g');
    await visit(page, `${bench.house.url}/piece/${lifted.children[1]}`);
    expect(await page.textContent('main')).to.contain('it carries that fish’s verdict');
    await visit(page, `${bench.house.url}/piece/${piece}`);
    expect(await page.textContent('main')).to.contain('Whiter, still raw, no safer');
    await visit(page, `${bench.house.url}/ledger`);
    for (const words of [
      'Into the acid',
      'Cut open in acid',
      'Part taken out of the acid',
      'Taken out of the acid',
      'Dressed'
    ]) {
      expect(await page.textContent('main')).to.contain(words);
    }
    quiet(/net::ERR|stream/i);
    await close();
  });

  it('a sauce is scaled to fish, corrected by taste into its next version, and a new one is written', async () => {
    const { page, quiet, close } = await bench.open('/acid/sauces');
    expect(Number(await page.getAttribute('[data-pages]', 'data-pages'))).to.be.at.least(12);
    await page.click('text=Harbour lime');
    await page.waitForURL('**/harbour-lime');
    await page.getByRole('checkbox').first().check();
    await page.waitForURL(/pieces=/);
    await page.waitForSelector('h2:has-text("of fish")');
    await page.locator('[name="added-0"]').fill('12');
    await page.locator('[name="added-6"]').fill('not much');
    await form(page, 'correct-sauce').locator('button[type="submit"]').click();
    await page.waitForSelector('[role="alert"]');
    expect(await page.inputValue('[name="added-0"]')).to.equal('12');
    await page.locator('[name="added-6"]').fill('');
    await form(page, 'correct-sauce').locator('button[type="submit"]').click();
    await page.waitForSelector('[data-changes]:has-text("Lime juice +")');
    expect(await page.textContent('main')).to.contain('version 2');
    await page.click('text=version 1');
    await page.waitForSelector('text=version 1 of 2');
    await visit(page, `${bench.house.url}/acid/sauces/egg-yolk-and-mustard-cream`);
    expect(await page.textContent('[data-told]')).to.contain('egg, mustard');
    await page.waitForSelector('[data-whole]');
    await visit(page, `${bench.house.url}/acid/sauces`);
    // What is on no list is asked after before it is taken; one touch answers, and what it makes to be told follows.
    await page.click('summary:has-text("Write a new sauce")');
    const lines = form(page, 'set-sauce').locator('[name="lines"]');
    await lines.fill('Lemon juice; 50\nSesame dressing; 3');
    await page.click('[data-strange="asked"] button:has-text("Roasted sesame oil")');
    expect(await lines.inputValue()).to.equal('Lemon juice; 50\nRoasted sesame oil; 3');
    await page.waitForSelector('[data-told-live]:has-text("sesame")');
    await lines.fill('House dust; 3');
    for (const allergen of ['mustard', 'soy']) await page.locator('[data-strange] select').selectOption(allergen);
    expect(await lines.inputValue()).to.equal('House dust = mustard + soy; 3');
    await visit(page, `${bench.house.url}/house/ingredients?id=egg-yolk`);
    await page.locator('[name="instead"]').selectOption('soft-bean-curd');
    await form(page, 'use-instead').locator('button[type="submit"]').click();
    await page.waitForSelector('[data-out="egg-yolk"]');
    await visit(page, `${bench.house.url}/acid/sauces/egg-yolk-and-mustard-cream`);
    expect(await page.textContent('[data-told]')).to.contain('soy, mustard');
    expect(await page.textContent('[data-swapped]')).to.contain('Soft bean curd');
    await visit(page, `${bench.house.url}/house/ingredients?id=egg-yolk`);
    await form(page, 'ingredient-back').locator('button[type="submit"]').click();
    await page.waitForSelector('[data-out="egg-yolk"]', { state: 'detached' });
    await visit(page, `${bench.house.url}/acid/sauces`);
    await page.click('summary:has-text("Write a new sauce")');
    await send(page, 'set-sauce', {
      name: 'Sorrel and lemon',
      rate: '20',
      lines: 'Lemon juice; 50\nSorrel; 30'
    });
    await page.waitForSelector('a:has-text("Sorrel and lemon")');
    quiet(/422/);
    await close();
  });
});
