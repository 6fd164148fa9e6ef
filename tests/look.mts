import { openBrowser, openHouse, signIn, visit } from './browser/harness.ts';
// node look.mts WxH theme out path...
const [size, theme, out, ...paths] = process.argv.slice(2);
const [width, height] = size!.split('x').map(Number);
const house = await openHouse({
  EMBER_TIDE_MODE: 'demo',
  EMBER_TIDE_FROZEN_AT: '2026-03-13T20:10:00Z',
  ...(process.env.LOOK_ENV ? JSON.parse(process.env.LOOK_ENV) : {})
});
const browser = await openBrowser();
const page = await browser.newPage({ viewport: { width: width!, height: height! } });
page.on('console', (m) => {
  if (m.type() === 'error') console.log('console:', m.text());
});
await signIn(page, house.url, 'p1');
if (theme === 'dim') await page.context().addCookies([{ name: 'ember-theme', value: 'dim', url: house.url }]);
for (const [i, path] of paths.entries()) {
  await visit(page, house.url + path);
  await page.waitForTimeout(900);
  await page.screenshot({ path: `/tmp/${out}${i}.png`, fullPage: process.env.FULL === '1' });
}
await browser.close();
await house.close();
