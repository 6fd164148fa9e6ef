/** Remakes docs/screenshots from the demo house at 1280x800, with its clock frozen. `npm run shots [-- name …]`. */
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { runScale } from '../devices/scale.ts';
import { closeBrowser, openHouse, signIn, theBrowser } from '../tests/browser/harness.ts';

const FROZEN_AT = '2026-03-13T20:10:00Z';
const folder = process.env.EMBER_TIDE_SHOTS ?? join(import.meta.dirname, '..', 'docs', 'screenshots');
const [width, height] = (process.env.EMBER_TIDE_SIZE ?? '1280x800').split('x').map(Number) as [number, number];
const theme = process.env.EMBER_TIDE_THEME ?? 'light';
const wanted = process.argv.slice(2);

// A scale of its own, with a fillet on its pan.
const said: string[] = [];
const stopScale = await runScale(0, 0, (text) => said.push(text), Date.now);
const [, scale, pan] = /:(\d+), its pan at 127\.0\.0\.1:(\d+)/.exec(said[0]!)!;
const house = await openHouse({
  EMBER_TIDE_MODE: 'demo',
  EMBER_TIDE_FROZEN_AT: FROZEN_AT,
  EMBER_TIDE_SCALE: `127.0.0.1:${scale}`,
  EMBER_TIDE_PAN: `127.0.0.1:${pan}`
});
await fetch(`${house.url}/api/v1/devices/scale`, {
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify({ put: 284 })
});
mkdirSync(folder, { recursive: true });
try {
  const context = await (await theBrowser()).newContext({ viewport: { width, height }, reducedMotion: 'reduce' });
  const page = await context.newPage();
  await signIn(page, house.url, 'p1');
  if (theme === 'dim') await context.addCookies([{ name: 'ember-theme', value: 'dim', url: house.url }]);
  const views: Record<string, string> = {
    now: '/',
    receive: '/receive?species=atlantic-bonito&source=wild&core=1.2+C',
    break: '/break?piece=TUR-0313-1-A&part=blind-back',
    lot: '/lot/TUR-0309-1?by=money',
    piece: '/piece/ATL-0304-1-A',
    freeze: '/freeze?piece=ATL-0304-1-A',
    places: '/freeze/places',
    cure: '/cure?piece=RAI-0312-1-C&recipe=even-dill-cover',
    recipe: '/cure/recipes/light-paste-sweet?pieces=RAI-0312-1-C',
    acid: '/acid?piece=HAL-0302-1-A',
    age: '/age',
    slice: '/slice?piece=HAL-0302-1-B',
    rice: '/rice',
    serve: '/serve/pass',
    ledger: '/ledger',
    inspect: '/inspect/JOH-0313-1',
    delivery: '/receive?delivery=DEL-0313-1',
    house: '/house'
  };
  for (const [name, path] of Object.entries(views)) {
    if (wanted.length > 0 && !wanted.includes(name)) continue;
    await page.goto(house.url + path);
    await page.waitForSelector('html[data-ready]');
    await page.waitForLoadState('networkidle', { timeout: 2000 }).catch(() => {});
    if (name === 'break') await page.waitForSelector('[data-scale="weight"][data-stable="true"]');
    if (name === 'cure') await page.waitForSelector('[data-simulated="yes"]');
    await page.screenshot({ path: join(folder, `${name}${theme === 'dim' ? '-dim' : ''}.png`) });
    console.log(`${name}: ${path}`);
  }
  if (theme === 'light' && (wanted.length === 0 || wanted.includes('now-dim'))) {
    await context.addCookies([{ name: 'ember-theme', value: 'dim', url: house.url }]);
    await page.goto(house.url);
    await page.waitForSelector('html[data-ready]');
    await page.screenshot({ path: join(folder, 'now-dim.png') });
  }
} finally {
  await closeBrowser();
  await house.close();
  stopScale();
}
