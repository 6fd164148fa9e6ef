import { openHouse, openBrowser, signIn, visit } from './browser/harness.ts';
const [, , path = '/cure', name = 'a', size = '1280x800', theme = 'light', script = ''] = process.argv;
const house = await openHouse({
  EMBER_TIDE_MODE: 'demo',
  EMBER_TIDE_FROZEN_AT: process.env.AT ?? '2026-03-13T20:10:00Z',
  ...(process.env.EMPTY ? { EMBER_TIDE_MODE: 'test' } : {})
});
const browser = await openBrowser();
const [width, height] = size.split('x').map(Number);
const page = await browser.newPage({ viewport: { width: width!, height: height! } });
page.on('console', (m) => m.type() === 'error' && console.log('console', m.text()));
page.on('pageerror', (e) => console.log('pageerror', e.message));
await signIn(page, house.url, 'p1');
await page.context().addCookies([{ name: 'ember-theme', value: theme, url: house.url }]);
await visit(page, house.url + path);
await page.waitForTimeout(1500);
if (script) {
  const fn = new Function('page', `return (async()=>{${script}})()`);
  await fn(page);
  await page.waitForTimeout(1500);
}
await page.screenshot({ path: `/tmp/shots/${name}.png`, fullPage: process.env.FULL === '1' });
await browser.close();
await house.close();
