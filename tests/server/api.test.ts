import { createConfig, lintFromString } from '@redocly/openapi-core';
import { expect } from 'chai';
import { readFileSync, readdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { answerOperation, answerQuery } from '../../src/lib/server/api.ts';
import { openApi } from '../../src/lib/server/openapi.ts';
import { ERROR_CODES } from '../../src/lib/core/errors.ts';
import type { App } from '../../src/lib/server/app.ts';
import { OPERATIONS } from '../../src/lib/server/registry.ts';
import { QUERIES } from '../../src/lib/server/registry.ts';
import { changeStream, closeStreams, MOST_FOR_ONE, MOST_MISSED } from '../../src/lib/server/stream.ts';
import { PLACES } from '../../src/lib/ui/places.ts';
import { answerTroubles } from './answers.ts';
import { CHAR, openTestHouse, type TestHouse } from './house.ts';

const routes = join(import.meta.dirname, '..', '..', 'src', 'routes');
const read = (...path: string[]) => readFileSync(join(routes, ...path), 'utf8');
const folderOf = (place: string) => place.split('/').filter(Boolean);

const ui = join(import.meta.dirname, '..', '..', 'src', 'lib', 'ui');
/** A place's page with the parts of ours that it is made of. */
function screenOf(place: string): string {
  const page = read(...folderOf(place), '+page.svelte');
  const parts = [...page.matchAll(/from '\$lib\/ui\/([\w/]+\.svelte)'/g)].map(([, part]) => part!);
  const text = (part: string) => readFileSync(join(ui, part), 'utf8');
  const inner = parts.flatMap((part) =>
    [...text(part).matchAll(/from '\.\/([\w]+\.svelte)'/g)].map(([, name]) => join(dirname(part), name!))
  );
  const whole = [page, ...[...parts, ...inner].map(text)].join('\n');
  // A part that several pages share is told which operation it is for: `operation="note-{shape}"`, and `shape="dish"`.
  const told = [...whole.matchAll(/operation="([\w-]+)\{(\w+)\}"/g)].flatMap(([, begins, told]) =>
    [...page.matchAll(new RegExp(`\\b${told}="(\\w+)"`, 'g'))].map(([, value]) => `operation="${begins}${value}"`)
  );
  return [whole, ...told].join('\n');
}

describe('one registry on both sides', () => {
  it('every operation has a form on its page and an API route in the document', () => {
    const { paths } = openApi();
    expect(OPERATIONS.length).to.be.greaterThan(15);
    for (const { name, page } of OPERATIONS) {
      expect(paths, name).to.have.property(`/api/v1/operations/${name}`);
      expect(read(...folderOf(page), '+page.server.ts'), name).to.contain(`actionsFor('${page}')`);
      expect(screenOf(page), name).to.contain(`operation="${name}"`);
    }
  });
  it('every form on a screen is an operation of the registry', () => {
    const names = new Set(OPERATIONS.map(({ name }) => name));
    const pages = readdirSync(routes, { recursive: true, encoding: 'utf8' }).filter((name) =>
      name.endsWith('+page.svelte')
    );
    const parts = readdirSync(ui, { recursive: true, encoding: 'utf8' })
      .filter((name) => name.endsWith('.svelte'))
      .map((name) => readFileSync(join(ui, name), 'utf8'));
    const used = [...pages.map((page) => read(page)), ...parts].flatMap((text) =>
      [...text.matchAll(/operation="([\w-]+)"/g)].map(([, name]) => name!)
    );
    expect(used.length).to.be.greaterThan(15);
    used.forEach((name) => expect(names.has(name), name).to.equal(true));
  });
  it('the document is OpenAPI 3.1 and names every query and its inputs', () => {
    const document = openApi();
    expect(document.openapi).to.equal('3.1.0');
    for (const { path } of QUERIES) expect(document.paths).to.have.property(`/api/v1/${path}`);
    const receive = (
      document.paths['/api/v1/operations/receive-lot'] as {
        post: { requestBody: { content: Record<string, { schema: { properties: object } }> } };
      }
    ).post;
    expect(receive.requestBody.content['application/json']!.schema.properties).to.include.keys(
      'species',
      'mass',
      'core',
      'decision'
    );
  });
  it('passes a linter of such documents, and lists every code a refusal may bear', async () => {
    const document = openApi();
    const config = await createConfig({ extends: ['recommended'] });
    const lint = async (source: object) =>
      (await lintFromString({ source: JSON.stringify(source), config })).map(
        ({ ruleId, message, location }) => `${ruleId}: ${message} ${location[0]?.pointer ?? ''}`
      );
    expect(await lint(document)).to.deep.equal([]);
    // It does look: the same without its refusals is no good document.
    const bare = { ...document, paths: { '/x': { get: { operationId: 'x', responses: { 200: {} } } } } };
    expect((await lint(bare)).length).to.be.greaterThan(1);
    expect(document.components.schemas.Problem.properties.title.enum).to.deep.equal(ERROR_CODES);
  });
  it('every query that wants something of the asker has an example', () => {
    for (const { name, path, input, example } of QUERIES) {
      if (/\{/.test(path) || !input.safeParse({}).success) expect(example, name).to.be.an('object');
    }
  });
  it('every place on the rail has its page', () => {
    for (const { path } of PLACES) expect(() => read(...folderOf(path), '+page.svelte')).to.not.throw();
    expect(new Set(PLACES.map(({ key }) => key)).size).to.equal(PLACES.length);
  });
});

describe('the API', () => {
  let house: TestHouse;
  let app: App;
  beforeEach(() => {
    house = openTestHouse();
    app = { ...house, config: { mode: 'test' }, movable: house.clock, readOnly: false } as unknown as App;
    house.done('receive-lot', CHAR);
  });
  afterEach(() => house.close());
  const post = (name: string, body: unknown, headers: Record<string, string> = {}) =>
    answerOperation(app, name, new Headers(headers), body, { person: { id: 'p1' } });
  const get = (path: string, search = '') => answerQuery(app, path, new URLSearchParams(search));

  it('does what a form does, once for a key', async () => {
    const twice = [1, 2].map(() =>
      post('read-cold', { piece: 'ARC-0309-1-A', reading: '2 C' }, { 'idempotency-key': 'a' })
    );
    const [first, second] = (await Promise.all(twice.map((answer) => answer.json()))) as {
      seq: number;
      repeated: boolean;
    }[];
    expect(second).to.include({ seq: first!.seq, repeated: true });
  });
  it('answers with problem details: field, code and sentence', async () => {
    const answer = post('read-cold', { piece: 'ARC-0309-1-A', reading: '1,250 C' });
    expect(answer.status).to.equal(422);
    expect(answer.headers.get('content-type')).to.equal('application/problem+json');
    const body = (await answer.json()) as { fields: { field: string; code: string; message: string }[] };
    expect(body.fields[0]).to.include({ field: 'reading', code: 'quantity.ambiguous' });
    expect(body.fields[0]!.message).to.contain('1250 °C or 1.25 °C');
  });
  it('a stale If-Match is a 409 with both sides', async () => {
    const answer = post('read-cold', { piece: 'ARC-0309-1-A', reading: '2 C' }, { 'if-match': '"1"' });
    expect(answer.status).to.equal(409);
    expect(await answer.json())
      .to.have.nested.property('conflict.newer')
      .with.length.greaterThan(0);
  });
  it('answers each query as the document says, or says what is missing', async () => {
    house.done('open-delivery', { supplier: 'Kelda Bay Boats' });
    house.done('set-place', { name: 'Drawer 1' });
    const { piece } = house.done('receive-lot', CHAR) as { piece: string };
    for (let block = 0; block < 2; block++) {
      house.done('divide-piece', { piece, name: 'Block', form: 'block', mass: '300 g' });
    }
    const cut = { style: 'straight', by: 'thickness', thickness: '6 mm', angle: 90, count: 6 };
    house.done('record-slice', { ...cut, piece: 'ARC-0309-2-C', length: '120 mm', height: '26 mm', width: '80 mm' });
    house.done('set-dish', { name: 'Char and lime', lines: 'Char; 60; fish\nHarbour lime; 12; sauce' });
    for (const { name, path, post, example = {} } of QUERIES) {
      const filled = path.replace(/\{(\w+)\}/g, (_, key: string) => example[key] ?? 'no-example');
      const asked = Object.entries(example).filter(([key]) => !path.includes(`{${key}}`));
      const answer = post
        ? answerQuery(app, filled, new URLSearchParams(), example)
        : get(filled, new URLSearchParams(asked).toString());
      const text = await answer.text();
      expect(answer.status, `${name} ${text.slice(0, 500)}`).to.equal(200);
      expect(answerTroubles(name, JSON.parse(text)), name).to.deep.equal([]);
    }
    expect(get('pieces/NOPE-1').status).to.equal(404);
    expect(get('nothing/here').status).to.equal(404);
    expect(get('preview/slice', 'cut=straight&length=9 km&height=3 cm&width=7 cm&thickness=6 mm').status).to.equal(422);
    expect(answerOperation(app, 'no-such', new Headers(), {}, { person: { id: 'p1' } }).status).to.equal(404);
  });
  it('answers a verdict for another moment, knowledge and profile', async () => {
    const ask = async (search: string) =>
      (await get('pieces/ARC-0309-1-A/verdict', search).json()) as {
        windows: { state: string }[];
        pins: { profile: string };
      };
    expect((await ask('')).windows[0]!.state).to.equal('not-cleared');
    expect((await ask('profile=eu')).pins.profile).to.match(/^eu/);
    expect((await ask('at=2026-03-30T12:00')).windows[0]!.state).to.equal('closed');
    expect(get('pieces/ARC-0309-1-A/verdict', 'profile=mars').status).to.equal(422);
  });
  it('streams each change after its commit, and what was missed on coming back', async () => {
    const readAll = async (lastEventId: string | null, act: () => void) => {
      const reader = changeStream(app, 'tablet', lastEventId).body!.getReader();
      act();
      closeStreams();
      let text = '';
      for (let part = await reader.read(); !part.done; part = await reader.read())
        text += new TextDecoder().decode(part.value);
      return text;
    };
    const head = house.store.record.head().seq;
    const live = await readAll(null, () => house.done('read-cold', { piece: 'ARC-0309-1-A', reading: '2 C' }));
    expect(live)
      .to.contain(`id: ${head + 1}\nevent: change`)
      .and.contain('piece:ARC-0309-1-A');
    const missed = await readAll(String(head), () => undefined);
    expect(missed).to.contain(`id: ${head + 1}\n`);
    const refused = await readAll(null, () => void house.act('read-cold', { piece: 'ARC-0309-1-A', reading: 'x' }));
    expect(refused).to.not.contain('event: change');
  });
  it('tells whoever was away for long to read anew, instead of a part of what was missed', async () => {
    const first = async (lastEventId: number) => {
      const reader = changeStream(app, 'tablet', String(lastEventId)).body!.getReader();
      closeStreams();
      let text = '';
      for (let part = await reader.read(); !part.done; part = await reader.read())
        text += new TextDecoder().decode(part.value);
      return { reload: text.includes('event: reload'), changes: text.split('event: change').length - 1 };
    };
    const from = house.store.record.head().seq;
    // Each an entry of a subject of its own: what grows has to be read anew with every one.
    for (let more = 0; more < MOST_MISSED; more++) house.done('join-person', { name: `Somebody ${more}` });
    const head = house.store.record.head().seq;
    expect(head - from).to.be.at.least(MOST_MISSED);
    expect(await first(head - MOST_MISSED)).to.deep.equal({ reload: false, changes: MOST_MISSED });
    expect(await first(head - MOST_MISSED - 1)).to.deep.equal({ reload: true, changes: 0 });
    // An id of another record, before a restore.
    expect(await first(head + 9)).to.deep.equal({ reload: true, changes: 0 });
  });
  it('a device has a few lines at a time; those it leaves are free again', async () => {
    const one = (who: string) => changeStream(app, who, null);
    const lines = Array.from({ length: MOST_FOR_ONE }, () => one('tablet'));
    expect(lines.map(({ status }) => status)).to.deep.equal(Array(MOST_FOR_ONE).fill(200));
    expect(one('tablet').status).to.equal(429);
    expect(one('another').status).to.equal(200);
    await lines[0]!.body!.cancel();
    expect(one('tablet').status).to.equal(200);
    expect(one('tablet').status).to.equal(429);
    closeStreams();
    expect(one('tablet').status).to.equal(200);
    closeStreams();
  });
});
