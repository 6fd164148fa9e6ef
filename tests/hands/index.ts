/**
 * `npm run hands [-- names]`: what each of the tasks of a day costs the hands, in touches, keys, scrolls and seconds at a human pace.
 * All of them, and the costs are written into docs/hands.md beside those of before.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { closeBrowser } from '../browser/harness.ts';
import { openScaleHouse } from '../browser/scale-house.ts';
import { Hand, PACE, type Cost } from './hand.ts';
import { TASKS } from './tasks.ts';

const asked = process.argv.slice(2);
const tasks = TASKS.filter(({ name }) => asked.length === 0 || asked.includes(name));
const house = await openScaleHouse();
const { call, open } = house.bench;
await call('set-place', { name: 'Drawer 2', kind: 'drawer', setPoint: '2 C' });
await call('set-place', { name: 'Chest freezer', kind: 'freezer', setPoint: '-25 C' });
await call('set-place', { name: 'Ageing cabinet', kind: 'cabinet', setPoint: '2 C' });
await call('set-rack', { place: 'Ageing cabinet', hooks: 4, shelves: 1, perShelf: 3 });
await call('read-place', { place: 'Ageing cabinet', reading: '2 C' });

const costs: Record<string, Cost> = {};
let failed = 0;
for (const { name, before, hands } of tasks) {
  await house.tell('PUT 0');
  const given = await before(house);
  const { page, close } = await open('/');
  page.setDefaultTimeout(20_000);
  const hand = new Hand(page);
  try {
    await hands(hand, given, house);
    costs[name] = hand.cost();
    const { touches, keys, scrolls, seconds } = hand.cost();
    console.log(`${name.padEnd(18)} ${touches} touches, ${keys} keys, ${scrolls} scrolls, ${seconds} s`);
  } catch (error) {
    failed++;
    console.log(`${name.padEnd(18)} FAILED: ${String(error).slice(0, 700)}`);
    console.log(await page.locator('[role="alert"], .wrong').allTextContents(), page.url());
  }
  await close();
}
await house.close();
await closeBrowser();

if (asked.length === 0 && failed === 0) {
  const was = Object.fromEntries(
    Object.entries(
      JSON.parse(readFileSync(join(import.meta.dirname, 'before.json'), 'utf8')) as Record<string, number[]>
    ).map(([name, [touches = 0, keys = 0, scrolls = 0, seconds = 0]]) => [name, { touches, keys, scrolls, seconds }])
  );
  const line = ({ touches, keys, scrolls, seconds }: Cost) => `${touches} | ${keys} | ${scrolls} | ${seconds}`;
  const sum = (of: Record<string, Cost>) =>
    Math.round(TASKS.reduce((total, { name }) => total + (of[name]?.seconds ?? 0), 0) * 10) / 10;
  writeFileSync(
    join(import.meta.dirname, '..', '..', 'docs', 'hands.md'),
    `# What a day costs the hands

Seventeen tasks, each begun on Now and ended when the page says that it is done, counted by \`npm run hands\` in headless Chromium at
1280x800: touches of the glass, keys, scrolls to what lies out of sight. The seconds are those of a cook at ${PACE.touch} s a touch,
${PACE.key} s a key, ${PACE.scroll} s a scroll and the second that something is held; reading and waiting are not in them, nor is laying fish on a scale.

| Task | touches, before | keys | scrolls | seconds | touches, now | keys | scrolls | seconds |
| --- | --- | --- | --- | --- | --- | --- | --- | --- |
${TASKS.map(({ name }) => `| ${name} | ${line(was[name]!)} | ${line(costs[name]!)} |`).join('\n')}
| **all** | | | | **${sum(was)}** | | | | **${sum(costs)}** |
`
  );
}
process.exit(failed === 0 ? 0 : 1);
