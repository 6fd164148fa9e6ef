import { openHouse } from './browser/harness.ts';
const house = await openHouse({ EMBER_TIDE_MODE: 'demo', EMBER_TIDE_FROZEN_AT: '2026-03-13T20:10:00Z' });
for (const p of [
  '/lot/TUR-0309-1?by=money',
  '/labels?piece=RAI-0312-1-C',
  '/labels/sheet.pdf?piece=RAI-0312-1-C&size=a4-24',
  '/api/v1/lots'
]) {
  const r = await fetch(house.url + p);
  const t = await r.text();
  console.log(
    p,
    r.status,
    p.includes('api') ? [...t.matchAll(/"id":"([A-Z]+-\d+-\d+)"/g)].map((m) => m[1]).join(' ') : t.slice(0, 80)
  );
}
console.log(house.log().slice(-1500));
await house.close();
