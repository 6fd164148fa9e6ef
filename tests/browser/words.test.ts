import { expect } from 'chai';
import { SHIPPED_SAUCES } from '../../src/lib/core/bench/acid/sauces/index.ts';
import { PORTIONS } from '../../src/lib/core/bench/breakdown/portions.ts';
import { TEMPLATES } from '../../src/lib/core/bench/breakdown/templates.ts';
import { SHIPPED_RECIPES } from '../../src/lib/core/bench/cure/recipes/index.ts';
import { FAO_AREAS } from '../../src/lib/core/fish/fao-areas.ts';
import { SPECIES } from '../../src/lib/core/fish/species.ts';
import { INGREDIENTS } from '../../src/lib/core/ingredients/catalogue.ts';
import { SHEETS } from '../../src/lib/core/inspect/sheets.ts';
import { PROFILES } from '../../src/lib/core/codes/profiles/index.ts';
import { STRANGE } from '../../src/lib/words/speech.ts';
import { demoHouse, signIn, visit } from './harness.ts';
import { VIEWS } from './demo-views.ts';
import { overEdge } from './manners.ts';
import { oneIn } from '../runs.ts';
import { watch } from './watch.ts';

/** Every text in something, however deep. */
function textsIn(value: unknown): string[] {
  if (typeof value === 'string') return [value];
  if (typeof value !== 'object' || value === null) return [];
  return Object.values(value).flatMap(textsIn);
}
const decoded = (text: string) =>
  text
    .replace(/&quot;/g, '"')
    .replace(/&#39;/g, "'")
    .replace(/&lt;/g, '<')
    .replace(/&gt;/g, '>')
    .replace(/&amp;/g, '&');
/** What a page says as it comes from the server: texts between tags, and those that are heard or hinted. */
function textsOf(html: string): string[] {
  const body = html
    .replace(/<!--[\s\S]*?-->/g, '')
    .replace(/<(script|style|noscript|kbd|pre|code|cite|textarea)\b[\s\S]*?<\/\1>/g, ' ')
    .replace(/<(\w+)[^>]* translate="no"[^>]*>[\s\S]*?<\/\1>/g, ' ');
  const heard = [...body.matchAll(/\s(?:aria-label|placeholder|title|alt)="([^"]*)"/g)].map(([, text]) => text!);
  return [...body.replace(/<[^>]*>/g, '\u0000').split('\u0000'), ...heard].map((text) => decoded(text).trim());
}
const UNITS = /^(?:kg|mm|min|pH|lb|oz|ml|px|cm|ppm|kB|MB|in|mol|US|No)$/;
/** Words that a text has in plain letters: outside brackets, and not of anything the house or its books call so. */
function plainWords(text: string, names: readonly string[]): string[] {
  let left = text.replace(/⟦[^⟧]*⟧/g, ' ');
  const words = () => (left.match(/[A-Za-z]{2,}/g) ?? []).filter((word) => !UNITS.test(word));
  if (words().length === 0) return [];
  // A drawing cuts a name that is too long for it.
  const cut = left.replace(/…$/, '').trim();
  if (cut.length > 8 && names.some((name) => name.startsWith(cut))) return [];
  // "Turbot, head" is drawn as "head" beside its parent.
  if (names.some((name) => name.endsWith(`, ${left.trim()}`))) return [];
  for (const name of names) if (left.includes(name)) left = left.replaceAll(name, ' ');
  left = left.replace(/\b[A-Z]{3,4}(?:-\d+)+(?:-[A-Z])*/g, ' ');
  return words();
}

describe('English made strange', () => {
  const house = demoHouse();
  it('no place says a plain English word: all it says is in the catalogue', async () => {
    const record = (await (await fetch(`${house.url}/ledger/export?format=jsonl`)).text()).trim().split('\n');
    const people = await (await fetch(`${house.url}/`)).text();
    const persons = [...people.matchAll(/<option value="p\d+"[^>]*>([^<]*)</g)].map(([, name]) => name);
    const books = [
      persons,
      PORTIONS,
      SPECIES,
      SHIPPED_RECIPES,
      SHIPPED_SAUCES,
      SHEETS,
      INGREDIENTS,
      TEMPLATES,
      PROFILES,
      FAO_AREAS
    ];
    // A lone word in small letters may be a choice that is shown as it is kept: that one has to be said.
    const names = [...new Set([...record.map((line) => JSON.parse(line) as unknown), books].flatMap(textsIn))]
      .filter((text) => text.length > 2 && /[A-Z ]/.test(text.trim()))
      .sort((a, b) => b.length - a.length);
    const plain: string[] = [];
    for (const path of VIEWS) {
      const answer = await fetch(house.url + path, {
        headers: { accept: 'text/html', cookie: `ember-locale=${STRANGE}; ember-person=p1` }
      });
      expect(answer.status, path).to.equal(200);
      const texts = textsOf(await answer.text());
      expect(
        texts.some((text) => text.startsWith('⟦')),
        path
      ).to.equal(true);
      for (const text of texts) if (plainWords(text, names).length > 0) plain.push(`${path}: ${text}`);
    }
    expect([...new Set(plain)]).to.deep.equal([]);
  });

  it('no place shows a date or a code as a machine writes it', async () => {
    const machines: string[] = [];
    for (const path of oneIn(4, VIEWS)) {
      const answer = await fetch(house.url + path, { headers: { accept: 'text/html', cookie: 'ember-person=p1' } });
      for (const text of textsOf(await answer.text()))
        // How a seller may write a day is shown as it is written.
        if (
          !text.endsWith('year first') &&
          /\b20\d\d-\d\d-\d\d|\bus-fc\b|\beu-853\b|\b(?:undefined|NaN|null|\[object)\b/.test(text)
        )
          machines.push(`${path}: ${text.slice(0, 120)}`);
    }
    expect([...new Set(machines)]).to.deep.equal([]);
  });

  it('40 % longer, nothing runs off the edge at 1280 and 820', async () => {
    const watched = await watch();
    const { page } = watched;
    await signIn(page, house.url, 'p1');
    await page.context().addCookies([{ name: 'ember-locale', value: STRANGE, url: house.url }]);
    const over: string[] = [];
    for (const path of oneIn(5, VIEWS.slice(0, 24))) {
      await visit(page, house.url + path);
      for (const [width, height] of [
        [1280, 800],
        [820, 1180]
      ] as const) {
        await page.setViewportSize({ width, height });
        const by = await overEdge(page);
        if (by > 0) over.push(`${path} is ${by} wider than ${width}`);
      }
    }
    expect(over).to.deep.equal([]);
    watched.quiet();
    await watched.close();
  });
});
