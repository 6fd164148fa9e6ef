import { expect } from 'chai';
import { openBenchHouse, type BenchHouse } from './bench-house.ts';
import { form, send } from './watch.ts';

describe('dishes in a browser', () => {
  let bench: BenchHouse;
  before(async () => {
    bench = await openBenchHouse();
  });
  after(() => bench.close());

  it('a dish is written, scaled to its portions, written anew, noted, and taken out of the book', async () => {
    const { page, quiet, close } = await bench.open('/serve/dishes');
    expect(await page.textContent('main')).to.contain('No dish is written yet');
    await send(page, 'set-dish', {
      name: 'Turbot with lime',
      lines: 'Turbot; 60; fish\nHarbour lime; 12; sauce\nMoon dust; 2'
    });
    await form(page, 'set-dish').locator('.wrong').waitFor();
    expect(await form(page, 'set-dish').locator('.wrong').textContent()).to.contain('“Moon dust” is not on the list');
    await send(page, 'set-dish', { lines: 'Turbot; 60; fish\nHarbour lime; 12; sauce\nOlive oil; 2' });
    await page.getByRole('link', { name: 'Turbot with lime' }).click();
    await page.waitForSelector('[data-dish-lines]');
    const row = (what: string) => page.locator('[data-dish-lines] tr', { hasText: what });
    expect(await row('Turbot').textContent()).to.match(/60 g\s*600 g/);
    await page.getByLabel('Portions').fill('12');
    await row('Turbot').filter({ hasText: '720 g' }).waitFor();
    expect(await page.textContent('[data-told]')).to.match(/celery/i);
    await send(page, 'set-dish', {
      lines: 'Turbot; 60; fish\nHarbour lime; 10; sauce\nOlive oil; 2',
      reason: 'too wet'
    });
    await page.waitForSelector('[data-changes]');
    expect(await page.textContent('[data-changes]')).to.contain('for ten portions: Harbour lime −20.0 g');
    await send(page, 'note-dish', { note: 'warm the plate' });
    await page.locator('section', { hasText: 'Tasted' }).getByText('warm the plate').waitFor();
    const file = await page.context().request.get(`${bench.house.url}/serve/dishes/export?id=turbot-with-lime`);
    expect(((await file.json()) as { format: string }).format).to.equal('ember-tide-dishes');
    await form(page, 'withdraw-dish').locator('button[type="submit"]').click();
    await page.getByRole('button', { name: 'Back into the book' }).waitFor();
    quiet(/422/);
    await close();
  });
});
