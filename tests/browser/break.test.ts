import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import jsQR from 'jsqr';
import type { BenchHouse } from './bench-house.ts';
import { atRest, off, openScaleHouse, touch, type ScaleHouse } from './scale-house.ts';
import { theBrowser, visit, type RunningHouse } from './harness.ts';
import { drawPdf } from './pdf.ts';
import { form, send } from './watch.ts';

/** Chromium says so when the stream to a scale ends with its page. */
const STREAM_ENDED = /ERR_INCOMPLETE_CHUNKED|ERR_NETWORK_CHANGED|404/;

interface Fish {
  readonly species: string;
  readonly grams: number;
  readonly parts: readonly (readonly [part: string, grams: number])[];
  readonly waste: readonly (readonly [part: string, grams: number])[];
}
const TURBOT: Fish = {
  species: 'turbot',
  grams: 3000,
  parts: [
    ['eye-back', 312],
    ['eye-belly', 248],
    ['blind-back', 280],
    ['blind-belly', 205],
    ['fin-edge', 61],
    ['head', 640],
    ['frame', 520],
    ['skin', 190]
  ],
  waste: [
    ['viscera', 210],
    ['gills', 60],
    ['fins', 268]
  ]
};
const BONITO: Fish = {
  species: 'atlantic-bonito',
  grams: 2400,
  parts: [
    ['back-first', 330],
    ['back-second', 318],
    ['belly-first', 244],
    ['belly-second', 236],
    ['collars', 110],
    ['dark-muscle', 120],
    ['head', 380],
    ['frame', 230]
  ],
  waste: [
    ['viscera', 240],
    ['gills', 62],
    ['skin', 125]
  ]
};

describe('breaking down at the bench', () => {
  let bench: BenchHouse;
  let house: RunningHouse;
  let call: BenchHouse['call'];
  let open: BenchHouse['open'];
  let scaled: ScaleHouse;
  let tell: ScaleHouse['tell'];
  let printed: ScaleHouse['printed'];
  const receive = (fish: Fish) =>
    call('receive-lot', {
      species: fish.species,
      form: 'whole',
      source: 'farmed',
      farmSystem: 'land-based',
      water: 'sea',
      commercial: 'yes',
      supplier: 'Graywater Landings',
      caughtOn: '2026-03-08',
      mass: `${fish.grams} g`,
      core: '1 C',
      pricePerKg: 31
    });
  const kilos = (grams: number) => (grams >= 1000 ? `${(grams / 1000).toFixed(2)} kg` : `${grams} g`);

  before(async () => {
    scaled = await openScaleHouse();
    ({ tell, printed } = scaled);
    ({ house, call, open } = scaled.bench);
    bench = scaled.bench;
    await call('set-place', { name: 'Drawer 2', kind: 'drawer' });
  });
  after(() => scaled.close());

  // One fish of each map, each by one of the two ways: the way does not depend on the map.
  for (const fish of [TURBOT]) {
    it(`a whole ${fish.species} with the scale: each part touched, weighed by one key, balanced, into the cold`, async () => {
      const { lot, piece } = await receive(fish);
      const { page, quiet, close } = await open(`/break?piece=${piece}`);
      await form(page, 'open-board').locator('button[type="submit"]').click();
      await page.waitForSelector('[data-out]');
      let count = 0;
      for (const [part, grams] of [...fish.parts, ...fish.waste]) {
        await bench.later(1 / 60);
        await touch(page, part);
        await tell(`PUT ${grams}`);
        await atRest(page, kilos(grams));
        await page.keyboard.press('w');
        await off(page, ++count);
      }
      const rest = fish.grams - [...fish.parts, ...fish.waste].reduce((sum, [, grams]) => sum + grams, 0);
      expect(rest).to.be.within(0, 8);
      await page.waitForSelector('[data-closes="true"]');
      await send(page, 'close-board', { place: 'Drawer 2', core: '2.8' });
      await page.waitForSelector('text=board finished');
      const view = (await (await fetch(`${house.url}/api/v1/boards/${piece}`)).json()) as {
        taken: { part: string; grams: number; place: string; cost: { in: number } }[];
        piece: { gone: { how: string } };
        secondsOut: number;
      };
      expect(view.taken.map(({ part, grams }) => [part, grams])).to.deep.equal(fish.parts.map((each) => [...each]));
      expect(view.taken.every(({ place }) => place === 'Drawer 2')).to.equal(true);
      expect(view.taken.reduce((sum, { cost }) => sum + cost.in, 0)).to.equal(Math.round(fish.grams * 3.1));
      expect(view.piece.gone.how).to.equal('divided');
      expect(view.secondsOut).to.equal((fish.parts.length + fish.waste.length) * 60);
      await visit(page, `${house.url}/lot/${lot}`);
      expect(await page.locator('[data-piece]').count()).to.equal(fish.parts.length + 1);
      quiet(STREAM_ENDED);
      await close();
    });
  }
  for (const fish of [BONITO]) {
    it(`a whole ${fish.species} by typing, by keyboard alone`, async () => {
      const { piece } = await receive(fish);
      const { page, quiet, close } = await open(`/break?piece=${piece}`);
      await form(page, 'open-board').locator('button[type="submit"]').focus();
      await page.keyboard.press('Enter');
      await page.waitForSelector('[data-out]');
      let count = 0;
      for (const [part, grams] of [...fish.parts, ...fish.waste]) {
        // A part of the drawing is a link: Tab comes to it, Enter touches it.
        await page.locator(`svg [data-part="${part}"]`).focus();
        await page.keyboard.press('Enter');
        await page.waitForSelector(`svg [data-part="${part}"][aria-current="true"]`);
        const operation = fish.waste.some(([id]) => id === part) ? 'weigh-waste' : 'take-part';
        await form(page, operation).locator('[name="mass"]').focus();
        await page.keyboard.type(`${grams} g`);
        await page.keyboard.press('Enter');
        await off(page, ++count);
      }
      await send(page, 'close-board', {});
      await page.waitForSelector('text=board finished');
      quiet(STREAM_ENDED);
      await close();
    });
  }

  it('a silent gap is not closed: it is asked for, kept what was typed, and named', async () => {
    const { piece } = await receive(TURBOT);
    await call('open-board', { piece });
    await call('take-part', { piece, part: 'eye-back', mass: '312 g' });
    const { page, close } = await open(`/break?piece=${piece}`);
    await send(page, 'close-board', { place: 'Drawer 2' });
    await page.waitForSelector('[role="alert"]:has-text("2688 g are not weighed yet")');
    expect(await form(page, 'close-board').locator('[name="place"]').inputValue()).to.equal('Drawer 2');
    await send(page, 'close-board', { gapReason: 'the rest went to the fishmonger’s cat' });
    await page.waitForSelector('text=board finished');
    expect(await page.textContent('main')).to.contain('fishmonger’s cat');
    await close();
  });

  it('kilograms for grams: asks, and takes the answer at a touch', async () => {
    const { piece } = await receive(TURBOT);
    await call('open-board', { piece });
    const { page, close } = await open(`/break?piece=${piece}&part=eye-back`);
    await send(page, 'take-part', { mass: '312 kg' });
    await page.waitForSelector('text=by a factor of a thousand');
    await page.click('button:has-text("312 g")');
    await form(page, 'take-part').locator('button[type="submit"]').click();
    await off(page, 1);
    await close();
  });

  it('the scale unplugged in the middle: said, typing goes on, and it comes back by itself', async () => {
    const { piece } = await receive(TURBOT);
    await call('open-board', { piece });
    const { page, close } = await open(`/break?piece=${piece}`);
    await touch(page, 'eye-back');
    await tell('PUT 300');
    await atRest(page, '300 g');
    await tell('UNPLUG');
    await page.waitForSelector('[data-scale="lost"]:has-text("type the weights")');
    await page.keyboard.press('w');
    expect(await page.locator('[data-taken]').count(), 'no weight is taken from a scale that is gone').to.equal(0);
    await send(page, 'take-part', { mass: '301 g' });
    await off(page, 1);
    await tell('PLUG');
    await touch(page, 'eye-belly');
    await atRest(page, '300 g');
    await page.keyboard.press('w');
    await off(page, 2);
    // What was taken lies there still and trembles: it is not at rest first of all.
    await tell('NOISE 5');
    await page.waitForSelector('[data-scale="weight"][data-stable="false"]');
    await touch(page, 'blind-back');
    await page.keyboard.press('w');
    await page.waitForSelector('text=Not at rest yet');
    expect(await page.locator('[data-taken]').count(), 'nor from one that moves').to.equal(2);
    await tell('NOISE 0');
    await tell('PUT 16000');
    await page.waitForSelector('[data-scale="over"]:has-text("Too much")');
    await tell('PUT 0');
    await close();
  });

  it('two tablets on one fish: the second sees the first’s piece, and a clash is refused with both values', async () => {
    const { piece } = await receive(TURBOT);
    await call('open-board', { piece });
    const [one, two] = [
      await open(`/break?piece=${piece}&part=eye-back`),
      await open(`/break?piece=${piece}&part=eye-belly`)
    ];
    await send(one.page, 'take-part', { mass: '312 g' });
    // Without anybody touching the second.
    await two.page.waitForSelector('[data-taken]:has-text("eye-side back")');
    // Cut off from the house's changes, it goes on from what it last saw.
    await two.page.evaluate(() => {
      for (const input of document.querySelectorAll<HTMLInputElement>(
        'form[data-operation="take-part"] [name="_seen"]'
      )) {
        input.value = String(Number(input.value) - 1);
      }
    });
    await two.page.locator('form[data-operation="take-part"] [name="mass"]').fill('250 g');
    await two.page.locator('form[data-operation="take-part"] button[type="submit"]').click();
    const clash = await two.page.waitForSelector(
      '[role="alert"]:has-text("Somebody changed this meanwhile"):has-text("250 g")'
    );
    const said = (await clash.textContent()) ?? '';
    expect(said).to.contain('312').and.to.contain('250 g');
    const view = (await (await fetch(`${house.url}/api/v1/boards/${piece}`)).json()) as { taken: unknown[] };
    expect(view.taken).to.have.length(1);
    await one.close();
    await two.close();
  });

  it('spoon meat and trim into one batch, picked by touch', async () => {
    const { piece } = await receive(TURBOT);
    const { pieces } = (await call('split-piece', { piece, count: 3, name: 'Trim' })) as unknown as {
      pieces: string[];
    };
    const { page, quiet, close } = await open('/break');
    await page.click('summary:has-text("into one batch")');
    for (const id of pieces.slice(0, 2)) await page.check(`input[type="checkbox"][value="${id}"]`);
    await send(page, 'combine-pieces', { name: 'Mince of today' });
    await page.waitForSelector('[aria-label="Piece on the bench"] >> text=Mince of today');
    quiet(STREAM_ENDED);
    await close();
  });

  it('an even depth: typed, drawn by dragging, kept, and found again by the cure bench', async () => {
    const { piece } = await receive(TURBOT);
    const made = await call('divide-piece', { piece, name: 'Fillet', mass: '600 g' });
    const { page, quiet, close } = await open(`/break/depth?piece=${made.piece}`);
    const field = (station: number) => form(page, 'set-depth').locator(`[name="t${station}"]`);
    await field(0).fill('30');
    await field(6).fill('10');
    await page.waitForSelector('.figure:has-text("9.0 times")');
    await page.locator('main svg circle').first().scrollIntoViewIfNeeded();
    const point = (await page.locator('main svg circle').first().boundingBox())!;
    await page.mouse.move(point.x + point.width / 2, point.y + point.height / 2);
    await page.mouse.down();
    await page.mouse.move(point.x + point.width / 2, point.y + point.height / 2 + 30, { steps: 4 });
    await page.mouse.up();
    const drawn = Number(await field(0).inputValue());
    expect(drawn).to.be.lessThan(30).and.greaterThan(10);
    await form(page, 'set-depth').locator('button[type="submit"]').click();
    await page.waitForSelector('text=measured before');
    await visit(page, `${house.url}/cure?piece=${made.piece}`);
    await page.waitForFunction(
      (mm) => document.querySelector<HTMLInputElement>('[name="thickness"]')?.value === String(mm),
      drawn
    );
    quiet(STREAM_ENDED);
    await close();
  });

  it('labels open as a PDF, their codes are read back, and the printer keeps them', async () => {
    const { piece } = await receive(TURBOT);
    const { page, quiet, close } = await open('/labels');
    await page.waitForSelector('text=Pick a piece');
    await page.check(`input[type="checkbox"][value="${piece}"]`);
    await page.waitForSelector(`.label:has-text("${piece}")`);
    const content = Buffer.from(
      await (await fetch(`${house.url}/labels/sheet.pdf?piece=${piece}&size=roll-100x50`)).arrayBuffer()
    );
    const { grey, width, height } = await drawPdf(await theBrowser(), content);
    const pixels = Uint8ClampedArray.from(grey.flatMap((level) => [level, level, level, 255]));
    expect(jsQR(pixels, width, height)?.data).to.equal(`${house.url}/piece/${piece}`);
    await form(page, 'print-labels').locator('button[type="submit"]').click();
    await page.waitForSelector('text=Done. It is in the ledger');
    expect(readFileSync(join(printed.path, '0001-labels-1.pdf')).subarray(0, 5).toString()).to.equal('%PDF-');
    const entries = (await (await fetch(`${house.url}/api/v1/ledger?subject=piece:${piece}`)).json()) as {
      entries: { kind: string; body: { job?: string } }[];
    };
    expect(entries.entries[0]).to.deep.include({ kind: 'label.printed' });
    expect(entries.entries[0]!.body.job).to.equal('0001-labels-1.pdf');
    quiet(STREAM_ENDED);
    await close();
  });
});
