import { expect } from 'chai';
import { request } from 'node:http';
import { connect } from 'node:net';
import { closePages, demoHouse, openDemo, openHouse, signIn, visit } from './harness.ts';
import { form, send, shown, watch } from './watch.ts';

const NEW_CHAR = 'ARC-0313-1-A';

describe('bad input, two tabs, and trouble', () => {
  const house = demoHouse();
  const open = async (path: string, options = {}) => {
    const watched = await watch(options);
    await signIn(watched.page, house.url, 'p1');
    if ((options as { javaScriptEnabled?: boolean }).javaScriptEnabled === false)
      await watched.page.goto(house.url + path);
    else await visit(watched.page, house.url + path);
    return watched;
  };
  const post = (name: string, body: unknown, headers: Record<string, string> = {}) =>
    fetch(`${house.url}/api/v1/operations/${name}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'x-ember-person': 'p1', ...headers },
      body: typeof body === 'string' ? body : JSON.stringify(body)
    });
  const head = async () => ((await (await fetch(`${house.url}/healthz`)).json()) as { seq: number }).seq;

  it('a wrong unit is said on its field, and everything typed is kept', async () => {
    const { page, quiet, close } = await open('/receive?species=turbot');
    await send(page, 'receive-lot', {
      mass: '2 stone',
      supplier: 'Graywater Landings',
      area: 'Outer Vess',
      core: '1.2',
      source: 'wild'
    });
    const wrong = form(page, 'receive-lot').locator('.wrong');
    await wrong.waitFor();
    expect(await wrong.textContent()).to.contain('"stone" is not a unit known here');
    expect(await page.getAttribute('[name="mass"]', 'aria-invalid')).to.equal('true');
    expect(await page.inputValue('[name="mass"]')).to.equal('2 stone');
    expect(await page.inputValue('[name="area"]')).to.equal('Outer Vess');
    quiet(/422/);
    await close();
  });
  it('a refusal, and what is typed over what stood there, outlast what others write meanwhile', async () => {
    const { page, quiet, close } = await open('/freeze/places?place=chest-freezer');
    const of = form(page, 'set-place').first();
    const grace = of.locator('[name="graceMinutes"]');
    await page.evaluate(() => {
      for (const each of document.querySelectorAll('details')) each.open = true;
    });
    await grace.fill('45 stone');
    await of.locator('button[type="submit"]').click();
    await of.locator('.wrong').waitFor();
    await grace.fill('45');
    expect((await post('join-person', { name: 'Somebody Else' })).status).to.equal(200);
    // Who is at the tablet comes with the page's data: as soon as the new name stands there, they came anew.
    await page.waitForSelector('select:has-text("Somebody Else")', { state: 'attached' });
    expect(await of.locator('.wrong').count(), 'the refusal stands').to.equal(1);
    expect(await grace.inputValue(), 'what was typed stands').to.equal('45');
    quiet(/422/);
    await close();
  });
  it('a figure that could be two things is asked about, and one touch answers', async () => {
    const { page, close } = await open('/receive?species=turbot');
    const typed = { mass: '1,250', 'mass:unit': 'g', supplier: 'Graywater Landings', core: '1.2', source: 'wild' };
    await send(page, 'receive-lot', typed);
    await page.click('.which:has-text("1250 g")');
    await send(page, 'receive-lot', {});
    await page.waitForURL('**/piece/TUR-*');
    expect(await page.textContent('.head')).to.contain('1.25 kg');
    await close();
  });
  it('a thickness of 3 m and a catch of tomorrow are refused with their range', async () => {
    const answer = await post('receive-lot', {
      species: 'turbot',
      supplier: 'x',
      mass: '1 kg',
      thickness: '3 m',
      caughtOn: '2026-03-14'
    });
    expect(answer.status).to.equal(422);
    expect(((await answer.json()) as { detail: string }).detail).to.equal('Thickness must be 2 to 300 mm; saw 3 m.');
    const tomorrow = await post('receive-lot', {
      species: 'turbot',
      supplier: 'x',
      mass: '1 kg',
      caughtOn: '2026-03-14'
    });
    expect(((await tomorrow.json()) as { title: string }).title).to.equal('time.in-future');
  });
  it('what was typed outlives a reload', async () => {
    const { page, close } = await open('/receive?species=turbot');
    await page.fill('form[data-operation="receive-lot"] [name="supplier"]', 'Half-typed and Sons');
    await page.reload();
    await page.waitForSelector('html[data-ready]');
    expect(await page.inputValue('form[data-operation="receive-lot"] [name="supplier"]')).to.equal(
      'Half-typed and Sons'
    );
    await close();
  });
  it('what was typed outlives a lost network, and is sent again', async () => {
    const { page, close } = await open(`/piece/${NEW_CHAR}`);
    await page.context().setOffline(true);
    await send(page, 'read-cold', { reading: '2.5', place: 'Drawer 9' });
    await page.waitForSelector('text=Not sent: no connection');
    expect(await page.inputValue('form[data-operation="read-cold"] [name="place"]')).to.equal('Drawer 9');
    await page.context().setOffline(false);
    await send(page, 'read-cold', {});
    await page.waitForSelector('td:has-text("Cold reading")');
    await close();
  });
  it('a change on one screen shows on another without anybody touching it', async () => {
    const one = await open(`/piece/${NEW_CHAR}`);
    const other = await open('/');
    // Papers wait behind one line.
    await other.page.click('[data-papers] summary');
    await other.page.waitForFunction(() => document.querySelector('main')?.textContent?.includes('feed statement'));
    await send(one.page, 'attach-evidence', { issuer: 'Skarnes Tank Farm', formulatedFeed: true, raised: true });
    await one.page.waitForSelector('[data-route="raw"][data-state="open"]');
    await other.page.waitForFunction(() => !document.querySelector('main')?.textContent?.includes('feed statement'));
    one.quiet();
    other.quiet();
    await one.close();
    await other.close();
  });
  it('the tabs of one browser share one stream, and both follow it', async () => {
    const { page, close } = await open('/ledger');
    const second = await page.context().newPage();
    let streams = 0;
    page.context().on('request', (request) => (streams += Number(request.url().endsWith('/api/v1/stream'))));
    await visit(second, `${house.url}/ledger`);
    const before = await head();
    await post('read-cold', { piece: NEW_CHAR, reading: '2 C' });
    for (const tab of [page, second]) await tab.waitForSelector(`#e${before + 1}`);
    expect(streams).to.equal(0);
    await close();
  });
  it('a stale tab is told, with both sides, and writes nothing', async () => {
    const { page, quiet, close } = await open(`/piece/${NEW_CHAR}`);
    // This tab does not hear of the change: its stream is cut, as on a device that slept.
    await page.evaluate(() => {
      const field = document.querySelector<HTMLInputElement>('form[data-operation="read-cold"] [name="_seen"]')!;
      field.value = '1';
    });
    const before = await head();
    await send(page, 'read-cold', { reading: '4', place: 'Drawer 3' });
    await page.waitForSelector('text=Both, side by side');
    await page.waitForSelector('.trouble dd:has-text("Drawer 3")');
    expect(await head()).to.equal(before);
    quiet(/409/);
    await close();
  });
  it('a form sent twice happens once', async () => {
    const { page, close } = await open(`/piece/${NEW_CHAR}`);
    const before = await head();
    await page.evaluate(async () => {
      const element = document.querySelector<HTMLFormElement>('form[data-operation="read-cold"]')!;
      const data = new FormData(element);
      data.set('reading', '2.2');
      const init = { method: 'POST', body: data, headers: { 'x-sveltekit-action': 'true' } };
      await Promise.all([1, 2, 3].map(() => fetch('?/read-cold', init)));
    });
    expect(await head()).to.equal(before + 1);
    await close();
  });
  it('forms work before scripts load', async () => {
    const { page, close } = await open(`/piece/${NEW_CHAR}`, { javaScriptEnabled: false });
    const before = await head();
    await send(page, 'read-cold', { reading: '40', 'reading:unit': '°F' });
    await page.waitForLoadState();
    expect(await head()).to.equal(before + 1);
    await page
      .locator('details', { has: form(page, 'read-cold') })
      .locator('summary')
      .first()
      .click();
    await form(page, 'read-cold').locator('[name="reading"]').fill('2 kg');
    await form(page, 'read-cold').locator('button[type="submit"]').click();
    expect(await page.textContent('main')).to.contain('"kg" is not a unit known here');
    expect(await form(page, 'read-cold').locator('[name="reading"]').inputValue()).to.equal('2 kg');
    await close();
  });
  it('a body of 20 MB, another site’s form and a strange host name are turned away', async () => {
    const before = await head();
    const large = await post('read-cold', { piece: NEW_CHAR, reading: '2 C', place: 'x'.repeat(20_000_000) });
    expect(large.status).to.equal(413);
    expect(large.headers.get('content-type')).to.equal('application/problem+json');
    const foreign = await post(
      'read-cold',
      { piece: NEW_CHAR, reading: '2 C' },
      { origin: 'http://elsewhere.example' }
    );
    expect(foreign.status).to.equal(403);
    expect((await post('read-cold', '{"piece":')).status).to.equal(400);
    const strange = await new Promise<number | undefined>((resolve, reject) => {
      request(house.url, { headers: { host: 'elsewhere.example' } }, (answer) => resolve(answer.resume().statusCode))
        .on('error', reject)
        .end();
    });
    expect(strange).to.equal(421);
    const local = await post('read-cold', { piece: NEW_CHAR, reading: '2 C' }, { origin: house.url });
    expect(local.status).to.equal(200);
    expect(await head()).to.equal(before + 1);
  });
  it('a body that is too large is heard out, and the line goes on; one of unsaid length is counted', async () => {
    const { hostname, port } = new URL(house.url);
    /** Sends two requests down one line, the second once the first is answered; the answers' statuses, and whether the line held. */
    const twice = (first: string, body: Buffer[]) =>
      new Promise<{ statuses: string[]; closed: boolean }>((resolve, reject) => {
        const socket = connect(Number(port), hostname);
        let text = '';
        let isSecond = false;
        const statuses = () => [...text.matchAll(/^HTTP\/1\.1 (\d+)/gm)].map(([, status]) => status!);
        socket.on('data', (part: Buffer) => {
          text += part.toString('latin1');
          if (statuses().length === 1 && !isSecond) {
            isSecond = true;
            socket.write(`GET /healthz HTTP/1.1\r\nhost: ${hostname}\r\nconnection: close\r\n\r\n`);
          }
        });
        socket.on('error', () => undefined);
        setTimeout(reject, 60_000, new Error('the line hangs')).unref();
        socket.on('close', () => resolve({ statuses: statuses(), closed: statuses().length === 1 }));
        socket.write(first);
        for (const part of body) socket.write(part);
      });
    const head = `POST /api/v1/operations/read-cold HTTP/1.1\r\nhost: ${hostname}\r\ncontent-type: application/json\r\nx-ember-person: p1\r\n`;
    const large = Buffer.alloc(9_000_000, 'x');
    expect(await twice(`${head}content-length: ${large.length}\r\n\r\n`, [large])).to.deep.equal({
      statuses: ['413', '200'],
      closed: false
    });
    const chunked = (bytes: Buffer) => [
      Buffer.from(`${bytes.length.toString(16)}\r\n`),
      bytes,
      Buffer.from('\r\n0\r\n\r\n')
    ];
    const small = Buffer.from(JSON.stringify({ piece: NEW_CHAR, reading: '2 C' }));
    const unsaid = `${head}transfer-encoding: chunked\r\n\r\n`;
    expect((await twice(unsaid, chunked(small))).statuses).to.deep.equal(['200', '200']);
    expect((await twice(unsaid, chunked(large))).statuses[0]).to.equal('413');
  });
  it('a head, and a body, that dribble in are cut off', async () => {
    const patient = await openHouse({ EMBER_TIDE_HEAD_MS: '1500', EMBER_TIDE_BODY_MS: '1500' });
    const { hostname, port } = new URL(patient.url);
    const dribbled = (text: string) =>
      new Promise<string>((resolve, reject) => {
        const socket = connect(Number(port), hostname, () => socket.write(text));
        let answer = '';
        const more = setInterval(() => socket.write('x'), 200);
        socket.on('data', (part: Buffer) => (answer += part.toString('latin1')));
        socket.on('error', () => undefined);
        socket.on('close', () => {
          clearInterval(more);
          resolve(answer.slice(0, 12));
        });
        setTimeout(reject, 60_000, new Error('it was never cut off')).unref();
      });
    try {
      expect(await dribbled('GET / HTTP/1.1\r\nhost: localhost\r\nx-slow: ')).to.equal('HTTP/1.1 408');
      const body =
        'POST /api/v1/operations/read-cold HTTP/1.1\r\nhost: localhost\r\ncontent-type: application/json\r\ncontent-length: 9000\r\n\r\n';
      expect(await dribbled(body)).to.equal('HTTP/1.1 408');
    } finally {
      await patient.close();
    }
  });
  it('pages come with a strict content security policy', async () => {
    const policy = (await fetch(house.url)).headers.get('content-security-policy') ?? '';
    expect(policy)
      .to.match(/script-src 'self' 'nonce-/)
      .and.match(/object-src 'none'/);
    expect(policy).to.not.contain("script-src 'unsafe-inline'");
  });
  it('something that is not there is said so', async () => {
    const { page, quiet, close } = await open('/piece/NOPE-1');
    expect(await page.textContent('main')).to.contain('is not on record');
    quiet(/404/);
    await close();
  });
  it('a wild bonito reads Not cleared at the door, a puffer never, an unknown reef not even cooked', async () => {
    const { page, close } = await open('/receive?species=atlantic-bonito&source=wild&core=1+C');
    expect(await shown(page, 'raw').getAttribute('data-state')).to.equal('not-cleared');
    await visit(page, `${house.url}/receive?species=puffer&source=wild&core=1+C`);
    expect(await shown(page, 'cooked').getAttribute('data-state')).to.equal('never');
    await visit(page, `${house.url}/receive?species=grouper&source=wild&core=1+C`);
    expect(await shown(page, 'cooked').getAttribute('data-state')).to.equal('not-cleared');
    await close();
  });
});

describe('a record that may not be written to, and a clock set back', () => {
  it('read-only: every page says so, and nothing is taken', async () => {
    const house = await openDemo({ EMBER_TIDE_FROZEN_AT: '2026-03-13T19:00:00Z', EMBER_TIDE_READONLY: '1' });
    try {
      const watched = await watch();
      await signIn(watched.page, house.url, 'p1');
      await visit(watched.page, `${house.url}/piece/${NEW_CHAR}`);
      const text = await watched.page.textContent('body');
      expect(text).to.contain('The record cannot be written to');
      expect(text).to.contain('behind the newest entry of the ledger');
      await send(watched.page, 'read-cold', { reading: '2' });
      await watched.page.waitForSelector('[role="alert"]:has-text("Nothing was saved")');
    } finally {
      await closePages();
      await house.close();
    }
  });
  it('let on to the network, it answers to plain addresses over http, forms and all', async () => {
    const house = await openDemo({ HOST: '0.0.0.0' });
    const url = house.url.replace('localhost', '127.0.0.2');
    const before = ((await (await fetch(`${url}/healthz`)).json()) as { seq: number }).seq;
    const body = new FormData();
    body.append('name', 'Somebody New');
    const answer = await fetch(`${url}/house?/join-person`, {
      method: 'POST',
      body,
      headers: { origin: new URL(url).origin, cookie: 'ember-person=p1' }
    });
    expect(answer.status).to.equal(200);
    expect(((await (await fetch(`${url}/healthz`)).json()) as { seq: number }).seq).to.equal(before + 1);
    await house.close();
  });
  it('asked to stop, it closes open streams and ends within its patience', async () => {
    const house = await openDemo();
    const stream = await fetch(`${house.url}/api/v1/stream`);
    const reader = stream.body!.getReader();
    await reader.read();
    const asked = performance.now();
    await house.close();
    let ended = false;
    while (!ended) ended = (await reader.read().catch(() => ({ done: true }))).done;
    expect(performance.now() - asked).to.be.lessThan(4000);
    expect(house.process.exitCode).to.equal(0);
  });
});
