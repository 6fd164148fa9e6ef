import { openDemo, theBrowser, visit } from '../tests/browser/harness.ts';
const size = (process.env.EMBER_TIDE_SIZE ?? '1280x800').split('x').map(Number);
const house = await openDemo();
const browser = await theBrowser();
for (const arg of process.argv.slice(2)) {
  const [name, path, js] = arg.split('@@') as [string, string, string?];
  const context = await browser.newContext({ viewport: { width: size[0]!, height: size[1]! }, reducedMotion: 'reduce' });
  await context.addCookies([{ name: 'ember-person', value: 'p1', url: house.url }, ...(process.env.EMBER_TIDE_THEME === 'dim' ? [{ name: 'ember-theme', value: 'dim', url: house.url }] : [])]);
  const page = await context.newPage();
  page.setDefaultTimeout(15000);
  await visit(page, house.url + path);
  if (js) await (new Function('page', 'url', `return (async () => { ${js} })()`) as any)(page, house.url);
  await page.waitForTimeout(400);
  await page.screenshot({ path: `/tmp/shots/${name}.png`, fullPage: process.env.FULL === '1' });
  await context.close();
}
await house.close();
await browser.close();
