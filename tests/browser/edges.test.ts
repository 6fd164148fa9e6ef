import { oneIn } from '../runs.ts';
import { expect } from 'chai';
import { PLACES } from '../../src/lib/ui/places.ts';
import { closePages, openHouse, signIn, visit, type RunningHouse } from './harness.ts';
import { overEdge } from './manners.ts';
import { send, watch } from './watch.ts';

const LONG =
  'Grand Association of the Outer Skerry Longline and Handline Fishers of Vessmouth and its Northern Banks Ltd';

describe('nothing in it yet, and names without end', () => {
  let house: RunningHouse;
  let actor = '';
  const call = async (name: string, body: unknown) => {
    const answer = await fetch(`${house.url}/api/v1/operations/${name}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', ...(actor ? { 'x-ember-person': actor } : {}) },
      body: JSON.stringify(body)
    });
    expect(answer.status, `${name}: ${answer.status === 200 ? '' : await answer.clone().text()}`).to.equal(200);
    return ((await answer.json()) as { result: Record<string, string> }).result;
  };
  before(async () => {
    house = await openHouse({ EMBER_TIDE_FROZEN_AT: '2026-03-09T12:00:00Z' });
  });
  after(async () => {
    await closePages();
    await house.close();
  });

  it('every place of an empty house says what to do, and none is broken', async () => {
    const watched = await watch({ viewport: { width: 820, height: 1180 } });
    for (const { path } of PLACES) {
      await visit(watched.page, house.url + path);
      const text = (await watched.page.textContent('main')) ?? '';
      expect(text.length, path).to.be.greaterThan(40);
      expect(text, path).to.not.match(/undefined|NaN|\[object/);
    }
    await visit(watched.page, house.url);
    for (const path of oneIn(4, [
      '/receive/note',
      '/freeze/places',
      '/freeze/thaw',
      '/freeze/import',
      '/acid/sauces',
      '/acid/sauces/roasted-sesame',
      '/cure/recipes',
      '/cure/recipes/even-dill-cover',
      '/cure/learning',
      '/serve/pass',
      '/serve/choice',
      '/serve/table',
      '/serve/lineup',
      '/serve/dishes',
      '/house/species',
      '/house/species?add',
      '/house/rules',
      '/house/sheets',
      '/house/knife',
      '/break/depth',
      '/slice/square',
      '/slice/plate',
      '/labels'
    ])) {
      await visit(watched.page, house.url + path);
      expect(await watched.page.textContent('main'), path).to.not.match(/undefined|NaN|\[object/);
    }
    await visit(watched.page, house.url);
    await watched.page.click('text=add yourself in House');
    await watched.page.waitForURL('**/house');
    watched.quiet();
    await watched.close();
  });
  it('nobody is asked for their name only once they have written something', async () => {
    const watched = await watch();
    await visit(watched.page, `${house.url}/receive?species=turbot`);
    await call('join-person', { name: LONG.slice(0, 58) });
    actor = 'p1';
    await send(watched.page, 'receive-lot', { mass: '1', 'mass:unit': 'kg', supplier: 'x', core: '1' });
    await watched.page.waitForSelector('[role="alert"]:has-text("pick your name at the top")');
    expect(await watched.page.inputValue('form[data-operation="receive-lot"] [name="supplier"]')).to.equal('x');
    await watched.close();
  });
  it('long names and many pieces stay inside the screen, light and dim', async () => {
    await call('set-house', {
      name: LONG.slice(0, 78),
      profile: 'eu',
      zone: 'Pacific/Auckland',
      dayEndsHour: 4,
      currency: 'NZD',
      warnMinutes: 90,
      rawShareOfIceDays: 0.3,
      dateMarkDays: 3,
      temperature: 'F',
      mass: 'oz',
      length: 'in'
    });
    const { piece } = await call('receive-lot', {
      species: 'lake-or-brackish-bass',
      source: 'wild',
      water: 'brackish',
      commercial: 'yes',
      supplier: LONG,
      area: LONG,
      claim: LONG,
      caughtOn: '2026-03-08',
      mass: '40 lb',
      core: '34 F',
      thickness: '2 in',
      form: 'fillet'
    });
    for (let count = 0; count < 12; count++) {
      await call('divide-piece', {
        piece,
        name: `${LONG.slice(0, 50)} ${count}`,
        form: 'block',
        mass: '2 lb',
        thickness: '1 in'
      });
    }
    await call('start-freeze', {
      piece,
      place: LONG.slice(0, 58),
      air: '-31 F',
      thickness: '2 in',
      startCore: '34 F',
      cycle: 'eu-24h'
    });
    const { delivery } = await call('open-delivery', { supplier: LONG, reference: LONG.slice(0, 78), vehicle: '34 F' });
    const { lot } = await call('receive-lot', {
      species: 'unidentified',
      candidates: ['lake-or-brackish-bass', 'surgeonfish', 'salmon-or-trout-roe', 'crab-stick'],
      supplier: LONG,
      claim: LONG,
      mass: '12 lb',
      core: '34 F',
      delivery
    });
    await call('set-profile', {
      id: 'house-long',
      base: 'us-fc',
      name: LONG.slice(0, 58),
      'limit-coldHold': 4,
      reason: LONG
    });
    await call('set-species', { id: 'turbot', name: LONG.slice(0, 58), iceDays: 9, reason: LONG });
    await call('set-notice', { text: `${LONG} ${LONG} ${LONG}`, reason: LONG });
    // A board with everything wrong at once: a fish nobody named, long names, a weight that cannot be, a gap.
    const whole = await call('receive-lot', {
      species: 'unidentified',
      supplier: LONG,
      mass: '9 lb',
      form: 'whole',
      decision: 'accept'
    });
    await call('open-board', { piece: whole.piece, map: 'round' });
    const part = await call('take-part', {
      piece: whole.piece,
      part: 'fillet-first',
      mass: '1 lb',
      name: LONG.slice(0, 78)
    });
    await call('weigh-waste', { piece: whole.piece, what: 'other', mass: '3 lb', note: LONG });
    await call('set-place', { name: LONG.slice(0, 58), kind: 'bench' });
    await call('move-piece', { piece: part.piece, place: LONG.slice(0, 58) });
    await call('set-template', { name: LONG.slice(0, 58), cuts: `${LONG.slice(0, 38)}; 0-50; all; raw` });
    // A freezer with a long name, read warm by hand, with a sensor nobody calibrated and readings that cannot be.
    const freezer = `${LONG.slice(0, 50)} ice`;
    const { place } = await call('set-place', { name: freezer, kind: 'freezer', setPoint: '-13 F' });
    await call('set-sensor', { name: `${LONG.slice(0, 50)} air`, place: freezer });
    await call('read-place', { place: freezer, reading: '50 F' });
    const keyed = await call('key-device', { name: LONG.slice(0, 58), sensors: `${LONG.slice(0, 50)} air` });
    await fetch(`${house.url}/api/v1/readings`, {
      method: 'POST',
      headers: { authorization: `Bearer ${String(keyed.key)}`, 'content-type': 'application/json' },
      body: JSON.stringify({ readings: [{ sensor: LONG.slice(0, 58), at: '2026-03-09T12:00:00Z', celsius: 85 }] })
    });
    // A cure in a pack without air, of a recipe with a long name, too late and paused; and one that came out far from its forecast.
    const side = { supplier: LONG, mass: '3 lb', core: '34 F', form: 'fillet', thickness: '1 in' };
    const fresh = await call('receive-lot', { ...side, species: 'atlantic-mackerel', commercial: 'yes' });
    const half = await call('divide-piece', { piece: fresh.piece, name: LONG.slice(0, 58), mass: '1 lb' });
    const { recipe } = await call('set-recipe', {
      name: LONG.slice(0, 78),
      school: 'weighed',
      lines: `${LONG.slice(0, 58)} = ?; salt; 2.2 %; flake\nTea; aromatic; 0.001 %`,
      hours: '48 h',
      target: '1.2 %',
      goodFor: LONG,
      steps: LONG
    });
    await call('note-recipe', { id: recipe, note: `${LONG} ${LONG}` });
    const plan = { method: 'weighed', thickness: '1 in', thin: '0.1 in', faces: 2, celsius: '50 F', hours: '1 h' };
    const salted = { ...plan, salt: '2.2 %', sugar: '1 %', target: '1.2 %', turned: true, pack: 'closed', recipe };
    await call('start-cure', { ...salted, piece: half.piece, place: LONG.slice(0, 58), readyBy: '2026-03-09T01:00' });
    await call('change-cure', { piece: half.piece, change: 'pause', note: LONG });
    await call('start-cure', { ...salted, piece: fresh.piece });
    await call('end-cure', {
      piece: fresh.piece,
      massAfter: '2.9 lb',
      saltReading: '9 %',
      saltTaste: 'high',
      taste: 1
    });
    const dice = await call('divide-piece', { piece: fresh.piece, name: LONG.slice(0, 58), mass: '0.5 lb' });
    await call('start-acid', {
      piece: dice.piece,
      cut: 'brick',
      size: '2 in',
      second: '0.2 in',
      third: '0.3 in',
      celsius: '60 F',
      liquid: 'orange 30, water 30, lime 1',
      wanted: 'set',
      place: LONG.slice(0, 58),
      also: `${LONG.slice(0, 58)} = ?, Soy sauce`
    });
    const { sauce } = await call('set-sauce', {
      name: LONG.slice(0, 78),
      kind: 'creamy',
      rate: '400 %',
      lines: `${LONG.slice(0, 58)} = mustard + may milk; 0.001; each 2000\n${LONG.slice(3, 58)} = ?; 999`,
      portions: '10, 20, 30, 20, 10, 10',
      steps: LONG,
      goodFor: LONG
    });
    // Aged in a hurry, in a bag, in a cabinet nobody reads, with weights that cannot be, and stopped; and one still to hang.
    const cabinet = `${LONG.slice(0, 50)} dry`;
    await call('set-place', { name: cabinet, kind: 'cabinet' });
    await call('set-rack', { place: cabinet, hooks: 9, shelves: 3, perShelf: 7 });
    await call('set-service', { name: LONG.slice(0, 58), at: '2026-03-14T19:00', covers: 2000 });
    const aged = await call('receive-lot', { ...side, form: 'gutted', species: 'atlantic-bonito', commercial: 'yes' });
    const onRack = { piece: aged.piece, place: cabinet, spot: 'H1', celsius: '50 F', target: '30 %', pack: 'closed' };
    await call('start-age', { ...onRack, mass: '3 lb', note: LONG });
    for (const mass of ['4 lb', '0.5 lb'])
      await call('weigh-aged', { piece: aged.piece, mass, sure: true, note: LONG });
    await call('look-aged', {
      piece: aged.piece,
      skin: 'wet',
      eye: 'sunken',
      smell: 'off',
      slime: 'some',
      firmness: 'soft',
      note: LONG
    });
    const toHang = await call('receive-lot', { ...side, form: 'whole', species: 'arctic-char', commercial: 'yes' });
    const extra = [
      '/acid/sauces',
      `/acid/sauces/${sauce}?pieces=${fresh.piece}`,
      `/acid?piece=${fresh.piece}&sauce=${sauce}`,
      '/serve',
      `/age?piece=${aged.piece}`,
      `/age?piece=${toHang.piece}`,
      `/acid?piece=${dice.piece}`,
      `/acid?piece=${fresh.piece}`,
      `/cure?piece=${half.piece}`,
      `/cure?piece=${fresh.piece}&recipe=${recipe}`,
      '/cure/recipes',
      `/cure/recipes/${recipe}?pieces=${fresh.piece}`,
      '/cure/learning',
      '/freeze/places',
      `/freeze/places/${place}`,
      '/freeze/import',
      `/freeze/thaw?piece=${piece}`,
      `/freeze/record/${piece}`,
      `/break?piece=${whole.piece}&part=fillet-second`,
      `/break?piece=${piece}`,
      `/break/depth?piece=${part.piece}`,
      `/lot/${whole.lot}`,
      `/lot/${whole.lot}?by=money`,
      `/labels?piece=${part.piece}&piece=${whole.piece}&size=letter-30`,
      '/house/knife?by=supplier',
      `/receive?delivery=${delivery}`,
      `/inspect/${lot}`,
      '/house/rules?copy=house-long',
      '/house/species?id=turbot',
      '/house/sheets'
    ];
    const watched = await watch({ viewport: { width: 820, height: 1180 } });
    const { page } = watched;
    await signIn(page, house.url, 'p1');
    for (const path of [
      ...oneIn(3, [...PLACES.map(({ path: each }) => each), `/piece/${piece}`, `/freeze?piece=${piece}`]),
      ...oneIn(5, extra)
    ]) {
      await visit(page, house.url + path);
      for (const theme of ['light', 'dim']) {
        await page.evaluate((now) => (document.documentElement.dataset.theme = now), theme);
        const over = await overEdge(page);
        expect(over, `${theme} ${path}`).to.be.at.most(0);
        if (process.env.EMBER_TIDE_EDGES) {
          await page.screenshot({ path: `${process.env.EMBER_TIDE_EDGES}/${theme}${path.replaceAll(/\W/g, '-')}.png` });
        }
      }
    }
    watched.quiet();
    await watched.close();
  });
  it('the house’s units are on every screen: pounds, inches and Fahrenheit', async () => {
    const watched = await watch();
    const { page } = watched;
    await signIn(page, house.url, 'p1');
    await visit(page, `${house.url}/slice`);
    expect(await page.textContent('.figures')).to.match(/\d oz/);
    await visit(page, `${house.url}/freeze`);
    expect(await page.textContent('main')).to.contain('-4.0 °F');
    expect(await page.textContent('.top time')).to.contain('10 Mar');
    watched.quiet();
    await watched.close();
  });
  it('a profile that says no says so under its own rule, and another can be asked', async () => {
    const watched = await watch();
    const { page } = watched;
    await visit(page, `${house.url}/receive?species=lake-or-brackish-bass&source=wild&water=brackish&core=34+F`);
    await page.waitForSelector('[data-code="parasites.fluke-not-cleared"]', { state: 'attached' });
    const { pieces } = (await (await fetch(`${house.url}/api/v1/now`)).json()) as { pieces: { id: string }[] };
    await visit(page, `${house.url}/piece/${pieces[0]!.id}`);
    expect(await page.textContent('.halves')).to.contain('parasites other than trematodes');
    await page.selectOption('.ask select', 'us-fc');
    await page.click('.ask button');
    await page.waitForSelector('text=By US Food Code');
    expect(await page.textContent('.halves')).to.not.contain('trematodes');
    await watched.close();
  });
  it('a ledger can be narrowed to a day, a lot and a person, and read back page by page', async () => {
    const watched = await watch();
    const { page } = watched;
    await visit(page, `${house.url}/ledger?day=2026-03-09`);
    expect(await page.locator('tbody tr').count()).to.be.greaterThan(20);
    await visit(page, `${house.url}/ledger?day=2026-03-08`);
    expect(await page.textContent('main')).to.contain('No entry here for that choice');
    await visit(page, `${house.url}/ledger?before=3`);
    expect(await page.locator('tbody tr').count()).to.equal(2);
    watched.quiet();
    await watched.close();
  });
});
