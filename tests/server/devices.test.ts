import { expect } from 'chai';
import fc from 'fast-check';
import { readFileSync, readdirSync } from 'node:fs';
import { connect } from 'node:net';
import { join } from 'node:path';
import { emptyPan, obey, play, readPan, runScale, CAPACITY_GRAMS } from '../../devices/scale.ts';
import { runPrinter } from '../../devices/printer.ts';
import { parseScaleLine, scaleLine, type ScaleMessage } from '../../src/lib/core/device/scale-line.ts';
import { deviceAddress, openScale, type ScaleState } from '../../src/lib/server/devices/scale.ts';
import { bindingType, typeFor } from '../../src/lib/server/labels/print.ts';
import { labelPdf, labelsAsPdf, sendToPrinter } from '../../src/lib/server/labels/sheets.ts';
import { labelData } from '../../src/lib/server/views/label.ts';
import { LABEL_SIZES, labelOf } from '../../src/lib/core/trace/label.ts';
import { labelWords } from '../../src/lib/words/labels.ts';
import { readConfig } from '../../src/lib/server/config.ts';
import type { App } from '../../src/lib/server/app.ts';
import { eventually } from '../patience.ts';
import { CHAR, FEED, HOUR, NOON, openTestHouse, scratch, type TestHouse } from './house.ts';

const portOf = (said: string[], which: number) => Number(/127\.0\.0\.1:(\d+)[^:]*?(?::(\d+))?$/.exec(said[0]!)![which]);
describe('the line protocol of a scale', () => {
  const messages: ScaleMessage[] = [
    { kind: 'hello', name: 'bench-2', capacity: 6000, interval: 0.5 },
    { kind: 'weight', grams: -3, tare: 120, stable: false },
    { kind: 'weight', grams: 842.5, tare: 0, stable: true },
    { kind: 'over' },
    { kind: 'under' },
    { kind: 'done', what: 'TARE' },
    { kind: 'refused', why: 'not at rest' }
  ];
  it('reads what it writes', () => {
    for (const message of messages) expect(parseScaleLine(scaleLine(message))).to.deep.equal(message);
  });
  it('refuses every line that is not one of its own, and reads no weight into it', () => {
    const lines = [
      '',
      'WEIGHT',
      'WEIGHT 84 STABLE',
      'WEIGHT 8e9 0 STABLE',
      'WEIGHT NaN 0 STABLE',
      'WEIGHT 84 0 MAYBE',
      'SCALE x capacity=0 interval=1',
      'OVER it',
      'HTTP/1.1 200 OK',
      'WEIGHT 1.2345 0 STABLE',
      `OK ${'x'.repeat(300)}`
    ];
    for (const line of lines)
      expect(() => parseScaleLine(line), line)
        .to.throw()
        .with.property('code', 'device.line-unreadable');
  });
  it('never breaks on noise', () => {
    fc.assert(
      fc.property(fc.string(), (line) => {
        try {
          const message = parseScaleLine(line);
          if (message.kind === 'weight') expect(Number.isFinite(message.grams)).to.equal(true);
        } catch (error) {
          expect((error as { code: string }).code).to.equal('device.line-unreadable');
        }
      })
    );
  });
});

describe('the simulated scale', () => {
  it('settles, rounds to its interval, and shows less the tare', () => {
    const pan = emptyPan(0);
    play(pan, 'PUT 120.4', 1000);
    expect(readPan(pan, 1100, 1)).to.include({ stable: false });
    expect(readPan(pan, 3000, 1)).to.deep.equal({ kind: 'weight', grams: 120, tare: 0, stable: true });
    expect(obey(pan, 'TARE', 3000)).to.deep.equal({ kind: 'done', what: 'TARE' });
    play(pan, 'ADD 400', 3000);
    expect(obey(pan, 'TARE', 3100)).to.include({ kind: 'refused' });
    expect(readPan(pan, 5000, 0)).to.include({ grams: 400, tare: 120 });
    obey(pan, 'CLEAR', 5000);
    expect(readPan(pan, 5000, 0)).to.include({ grams: 520, tare: 0 });
  });
  it('is overloaded, creeps, shakes, and is set to zero', () => {
    const pan = emptyPan(0);
    play(pan, `PUT ${CAPACITY_GRAMS + 1}`, 0);
    expect(readPan(pan, 5000, 0)).to.deep.equal({ kind: 'over' });
    play(pan, 'PUT 0', 5000);
    play(pan, 'DRIFT 6', 10_000);
    expect(readPan(pan, 70_000, 0)).to.include({ grams: 6 });
    play(pan, 'DRIFT -30', 70_000);
    expect(readPan(pan, 130_000, 0)).to.deep.equal({ kind: 'under' });
    play(pan, 'DRIFT 0', 130_000);
    play(pan, 'PUT 9', 130_000);
    expect(obey(pan, 'ZERO', 140_000)).to.deep.equal({ kind: 'done', what: 'ZERO' });
    expect(readPan(pan, 140_000, 0)).to.include({ grams: 0 });
    play(pan, 'NOISE 4', 140_000);
    expect(readPan(pan, 150_000, 2)).to.include({ stable: false, grams: 8 });
    play(pan, 'PUT 900', 150_000);
    play(pan, 'NOISE 0', 150_000);
    expect(obey(pan, 'ZERO', 160_000)).to.include({ kind: 'refused' });
  });
  it('knows its words and no others', () => {
    const pan = emptyPan(0);
    for (const line of ['PUT', 'PUT x', 'DRIFT x', 'NOISE -1', 'EXPLODE'])
      expect(play(pan, line, 0), line).to.equal('unknown');
    expect(play(pan, 'unplug', 0)).to.equal('unplug');
    expect(obey(pan, 'DANCE', 0)).to.include({ kind: 'refused' });
  });
});

describe('the house’s line to a scale', () => {
  let stop: () => void;
  let scale = 0;
  let pan = 0;
  const tell = (line: string) =>
    new Promise<string>((resolve, reject) => {
      const socket = connect(pan, '127.0.0.1', () => socket.write(`${line}\n`));
      socket.on('data', (answer) => {
        socket.end();
        resolve(answer.toString());
      });
      socket.on('error', reject);
    });
  before(async () => {
    const said: string[] = [];
    stop = await runScale(
      0,
      0,
      (text) => said.push(text),
      () => performance.timeOrigin + performance.now()
    );
    const [, first, second] = /:(\d+), its pan at 127\.0\.0\.1:(\d+)/.exec(said[0]!)!;
    [scale, pan] = [Number(first), Number(second)];
  });
  after(() => stop());

  it('shows what lies on it, is lost when it is unplugged, and comes back by itself', async () => {
    const link = openScale({ host: '127.0.0.1', port: scale });
    let last: ScaleState = link.state();
    const off = link.follow((state) => (last = state));
    await tell('PUT 842');
    await eventually(() => last.status === 'weight' && last.stable && last.grams === 842, 'a weight at rest');
    expect(last).to.include({ name: 'simulated', interval: 1 });
    link.send('TARE');
    await eventually(() => last.grams === 0 && last.tare === 842, 'the tare');
    await tell('UNPLUG');
    await eventually(() => last.status === 'lost', 'lost');
    expect(last.stable).to.equal(false);
    expect(() => link.send('TARE'))
      .to.throw()
      .with.property('code', 'device.no-scale');
    await tell('PLUG');
    await eventually(() => last.status === 'weight', 'back');
    await tell('PUT 99999');
    await eventually(() => last.status === 'over', 'overload');
    off();
    link.close();
  });
  it('without a scale says so, and takes no command', () => {
    const link = openScale(null);
    expect(link.state().status).to.equal('none');
    expect(() => link.send('ZERO'))
      .to.throw()
      .with.property('code', 'device.no-scale');
    link.follow(() => undefined)();
  });
  it('addresses are read, and what is none is said', () => {
    expect(deviceAddress('10.0.0.7:4001')).to.deep.equal({ host: '10.0.0.7', port: 4001 });
    expect(deviceAddress('')).to.equal(null);
    for (const wrong of ['scale', 'scale:', 'scale:99999', 'a b:4'])
      expect(() => deviceAddress(wrong), wrong).to.throw(/host:port/);
    expect(readConfig({}).scale).to.equal(null);
    expect(readConfig({ EMBER_TIDE_MODE: 'demo' }).scale).to.deep.equal({ host: '127.0.0.1', port: 47_801 });
  });
});

describe('labels', () => {
  let house: TestHouse;
  let piece: string;
  const app = () => ({ store: house.store, clock: house.clock }) as unknown as App;
  before(() => {
    house = openTestHouse();
    const received = house.done('receive-lot', CHAR);
    piece = String(received.piece);
    house.done('attach-evidence', { lot: received.lot, ...FEED });
    house.done('set-place', { name: 'Drawer 2', kind: 'drawer' });
    house.done('move-piece', { piece, place: 'Drawer 2' });
  });
  after(() => house.close());
  const textOf = async (content: Buffer) => {
    const { extractText, getDocumentProxy } = await import('unpdf');
    const { text, totalPages } = await extractText(await getDocumentProxy(new Uint8Array(content)), {
      mergePages: true
    });
    return { text, totalPages };
  };

  it('say code, kind, weight, days, window, place and allergens', () => {
    const words = labelWords(labelData(app(), piece), house.store.projections.currentHouse());
    expect(words.name).to.equal('Arctic char');
    expect(words.code).to.contain(piece);
    expect(words.mass).to.equal('2.00 kg · Drawer 2');
    expect(words.made).to.equal('Made 9 Mar 2026 · Skarnes Tank Farm, farmed, harvested 8 Mar 2026');
    expect(words.window).to.match(/^Raw until \d+ Mar, \d\d:\d\d · Cooked until \d+ Mar, \d\d:\d\d$/);
    expect(words.allergens).to.equal('Allergens: fish');
  });
  it('the use-by is the last business day before its last window closes', () => {
    const label = labelOf({
      code: 'P',
      name: 'x',
      species: [],
      lots: [],
      grams: 1,
      madeOn: '2026-03-09',
      place: '',
      use: '',
      origins: [],
      allergens: [],
      mayHold: [],
      unsaid: [],
      zone: 'UTC',
      dayEndsHour: 4,
      now: NOON,
      windows: [
        {
          route: 'raw',
          never: false,
          missing: false,
          opens: null,
          proofDue: null,
          closes: NOON + 20 * HOUR,
          state: 'open'
        },
        // Closes at the very end of the business day of the 11th: that day still counts.
        {
          route: 'cooked',
          never: false,
          missing: false,
          opens: null,
          proofDue: null,
          closes: Date.UTC(2026, 2, 12, 4),
          state: 'open'
        }
      ]
    });
    expect(label).to.deep.include({
      useBy: '2026-03-11',
      raw: { route: 'raw', state: 'open', from: null, until: NOON + 20 * HOUR }
    });
  });
  for (const { id, sheet } of LABEL_SIZES) {
    it(`${id}: a PDF that reads back, ${sheet ? 'many on a sheet' : 'one a page'}`, async () => {
      const { text, totalPages } = await textOf(await labelPdf(app(), [piece, piece, piece], id, 'http://house.test'));
      expect(totalPages).to.equal(sheet ? 1 : 3);
      expect(text.match(new RegExp(piece, 'g'))).to.have.length(3);
      expect(text).to.contain('Arctic char').and.to.contain('Allergens: fish');
    });
  }
  it('read back from the PDF in thirty states, each with what binds on top, in type for an arm’s length', async () => {
    const house_ = house.store.projections.currentHouse();
    const base = labelData(app(), piece);
    const ends = [null, NOON + HOUR, NOON + 20 * HOUR];
    const stands = ['open', 'ebbing', 'locked', 'not-cleared', 'closed', 'never'] as const;
    const labels = stands.flatMap((raw, r) =>
      stands.slice(0, 5).map((cooked, c) => ({
        ...base,
        code: `LBL-${r}${c}`,
        raw: { route: 'raw' as const, state: raw, from: raw === 'locked' ? NOON : null, until: ends[c % 3]! },
        cooked: {
          route: 'cooked' as const,
          state: cooked,
          from: cooked === 'locked' ? NOON : null,
          until: ends[r % 3]!
        }
      }))
    );
    expect(labels.length).to.equal(30);
    for (const { id, width, height, margin, sheet } of LABEL_SIZES) {
      if (sheet) continue;
      const { extractText, getDocumentProxy } = await import('unpdf');
      const content = await labelsAsPdf(labels, id, { origin: 'http://house.test', house: house_ });
      const { text } = await extractText(await getDocumentProxy(new Uint8Array(content)), { mergePages: false });
      expect(text.length, id).to.equal(30);
      labels.forEach((label, index) => {
        const { window } = labelWords(label, house_);
        expect(text[index]!.replace(/\s+/g, ' ').startsWith(window), `${id} ${label.code}: ${text[index]}`).to.equal(
          true
        );
        expect(text[index]!.replace(/\s+/g, ' '))
          .to.contain(label.code)
          .and.contain('Allergens: fish')
          .and.contain('Skarnes Tank Farm');
        const [wide, tall] = [width - 2 * margin, height - 2 * margin].map((mm) => (mm * 72) / 25.4);
        expect(bindingType(window, wide!, tall!), `${id} ${window}`).to.be.at.least(7);
      });
    }
  });
  it('stay on their label however long their names are', () => {
    const long = labelWords(
      {
        ...labelData(app(), piece),
        name: 'Grand Association of Outer Skerry Longline and Handline Fishers, second fillet of the blind side',
        place: 'Drawer 2 on the left under the window'.repeat(2),
        allergens: Array<string>(8).fill('molluscs')
      },
      house.store.projections.currentHouse()
    );
    const short = labelWords(labelData(app(), piece), house.store.projections.currentHouse());
    for (const { width, height, margin } of LABEL_SIZES) {
      const [wide, tall] = [((width - 2 * margin) * 0.66 * 72) / 25.4, ((height - 2 * margin) * 72) / 25.4];
      expect(typeFor(long, wide, tall)).to.be.within(4, typeFor(short, wide, tall));
      expect(typeFor(short, wide, tall)).to.be.at.least(5);
    }
  });
  it('a sheet that was begun is gone on with, and one that is full goes over', async () => {
    const full = await textOf(await labelPdf(app(), Array<string>(25).fill(piece), 'a4-24', 'http://house.test'));
    expect(full.totalPages).to.equal(2);
    const begun = await textOf(await labelPdf(app(), Array<string>(20).fill(piece), 'a4-24', 'http://house.test', 5));
    expect(begun.totalPages).to.equal(2);
  });
  it('of no piece, of an unknown one, or at an unknown size are refused', async () => {
    const code = (pieces: string[], size: string) =>
      labelPdf(app(), pieces, size, 'http://house.test').then(
        () => 'made',
        (error: { code: string }) => error.code
      );
    expect(await code([], 'a4-24')).to.equal('form.incomplete');
    expect(await code(['NOPE-1'], 'a4-24')).to.equal('record.not-found');
    expect(await code([piece], 'poster')).to.equal('form.value-unknown');
  });
  it('go to the printer, which keeps what it printed as files', async () => {
    const folder = scratch();
    const said: string[] = [];
    const stop = await runPrinter(0, folder.path, (text) => said.push(text));
    const port = portOf([said[0]!.split(',')[0]!], 1);
    const content = await labelPdf(app(), [piece], 'roll-60x40', 'http://house.test');
    const file = await sendToPrinter({ host: '127.0.0.1', port }, 'labels one/two', content);
    expect(file).to.equal('0001-labels-one-two.pdf');
    expect(readFileSync(join(folder.path, file)).equals(content)).to.equal(true);
    const refused = await sendToPrinter({ host: '127.0.0.1', port }, 'x', Buffer.from('no pdf at all')).catch(
      (error: { code: string }) => error.code
    );
    expect(refused).to.equal('device.no-printer');
    expect(readdirSync(folder.path)).to.have.length(1);
    stop();
    for (const address of [null, { host: '127.0.0.1', port }]) {
      expect(await sendToPrinter(address, 'x', content).catch((error: { code: string }) => error.code)).to.equal(
        'device.no-printer'
      );
    }
    folder.clear();
  });
});
