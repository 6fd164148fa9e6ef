import { expect } from 'chai';
import type { App } from '../../src/lib/server/app.ts';
import { labelPdf, printedOf } from '../../src/lib/server/labels/sheets.ts';
import { riceView } from '../../src/lib/server/rice/views.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { nowView } from '../../src/lib/server/views/now.ts';
import { kindWords } from '../../src/lib/words/kinds.ts';
import { taskWords } from '../../src/lib/words/tasks.ts';
import { HOUR, openTestHouse, type TestHouse } from './house.ts';

const TUB = { mass: '3 kg', place: 'Counter', dressing: 'Rice vinegar, White sugar, Fine salt' };

describe('tubs of rice', () => {
  let house: TestHouse;
  beforeEach(() => (house = openTestHouse()));
  afterEach(() => house.close());
  const app = () => ({ store: house.store, clock: house.clock, config: { printer: null } }) as unknown as App;
  const make = (more = {}) => String(house.done('make-tub', { ...TUB, ...more }).tub);
  const later = (ms: number) => house.clock.moveTo(house.clock.now() + ms, true);
  const refused = (name: string, input: object) => {
    const answer = house.act(name, input);
    if (answer.ok) throw new Error(`${name} was taken`);
    return answer;
  };

  it('made, read, binned: in the view, the queue, the chart, the ledger; and gone from all but the ledger', () => {
    const start = house.clock.now();
    const tub = make();
    later(20 * 60_000);
    house.done('read-tub', { tub, reading: '41 C' });
    const [seen] = riceView(app()).tubs;
    expect([seen!.id, seen!.discardAt, seen!.readings[0]!.celsius]).to.deep.equal([tub, start + 4 * HOUR, 41]);
    const now = nowView(app());
    const task = now.tasks.find(({ piece }) => piece === tub)!;
    expect([task.at, task.path, taskWords(task)]).to.deep.equal([
      start + 4 * HOUR,
      `/rice?tub=${tub}`,
      'Bin the rice: Sushi rice'
    ]);
    const row = now.rows.find(({ id }) => id === tub)!;
    expect(row.windows.map(({ opens, closes }) => [opens, closes])).to.deep.equal(
      Array(5).fill([start, start + 4 * HOUR])
    );
    expect(row.steps).to.deep.include({
      kind: 'rice',
      from: start,
      to: start + 4 * HOUR,
      seen: { name: 'Sushi rice' },
      label: 'Rice'
    });
    later(HOUR);
    house.done('bin-tub', { tub, mass: '600 g', reason: 'end of lunch' });
    expect([riceView(app()).tubs, nowView(app()).rows, nowView(app()).tasks]).to.deep.equal([[], [], []]);
    expect(riceView(app()).binned.map(({ id }) => id)).to.deep.equal([tub]);
    const kinds = house.store.record.eventsOf(`tub:${tub}`).map(({ kind }) => kindWords(kind));
    expect(kinds).to.deep.equal(['Rice dressed', 'Rice read', 'Rice binned']);
    expect(verify(house.store, house.clock.now()).trouble).to.equal(null);
    later(25 * HOUR);
    expect(riceView(app()).binned).to.deep.equal([]);
  });
  it('stays late in sight until it is binned, however late', () => {
    const tub = make();
    later(30 * HOUR);
    expect(riceView(app()).tubs.map(({ id }) => id)).to.deep.equal([tub]);
    expect(nowView(app()).tasks.map(({ piece }) => piece)).to.deep.equal([tub]);
    house.done('bin-tub', { tub });
  });
  it('its clock is that of its dressing, told late or not; nothing mends it longer', () => {
    later(3 * HOUR);
    const dressed = house.clock.now() - 2 * HOUR;
    const tub = make({ at: new Date(dressed).toISOString() });
    expect(riceView(app()).tubs[0]!.discardAt).to.equal(dressed + 4 * HOUR);
    const { seq } = house.store.record.eventsOf(`tub:${tub}`)[0]!;
    const change = { seq, reason: 'it was later', happened: new Date(house.clock.now()).toISOString() };
    expect(refused('amend-entry', change).code).to.equal('record.not-amendable');
    expect(refused('make-tub', { ...TUB, at: new Date(house.clock.now() + HOUR).toISOString() }).code).to.equal(
      'time.in-future'
    );
  });
  it('tells what its dressing holds, and asks where nobody said', () => {
    make({ dressing: 'Rice vinegar, Malt vinegar' });
    make({ dressing: '' });
    const [first, second] = riceView(app()).tubs;
    expect(first!.told.holds).to.deep.equal(['barley']);
    expect(second!.told).to.deep.include({ holds: [], unsaid: ['the dressing of the rice'] });
    expect(printedOf(app(), second!.id).words.allergens).to.contain('ask what it holds');
    expect(refused('make-tub', { ...TUB, dressing: 'Moon dust' }).details.field).to.equal('dressing');
  });
  it('its label says first when it is to be binned, and is written down as printed', async () => {
    const tub = make();
    const { words, path } = printedOf(app(), tub);
    expect(words.window).to.match(/^BIN AT /);
    expect(path).to.equal(`/rice?tub=${tub}`);
    expect((await labelPdf(app(), [tub], 'roll-60x40', 'http://house.test')).subarray(0, 5).toString()).to.equal(
      '%PDF-'
    );
    house.done('print-labels', { pieces: tub, size: 'roll-60x40' });
    expect(house.store.record.eventsOf(`tub:${tub}`).at(-1)!.kind).to.equal('label.printed');
  });
  it('is refused where it cannot be: binned twice, read once binned, before it was made, no such tub', () => {
    const tub = make();
    const early = new Date(house.clock.now() - HOUR).toISOString();
    expect(refused('read-tub', { tub, reading: '40 C', at: early }).code).to.equal('time.out-of-order');
    expect(refused('bin-tub', { tub, at: early }).code).to.equal('time.out-of-order');
    expect(refused('read-tub', { tub, reading: '300 C' }).details.field).to.equal('reading');
    expect(refused('read-tub', { tub: 'RICE-0101-9', reading: '40 C' }).code).to.equal('record.not-found');
    house.done('bin-tub', { tub });
    expect(refused('bin-tub', { tub }).code).to.equal('record.not-allowed-now');
    expect(refused('read-tub', { tub, reading: '40 C' }).code).to.equal('record.not-allowed-now');
    // A second one of the day has its own name.
    expect(make()).to.not.equal(tub);
  });
  it('a piece’s name is no tub’s, and a tub’s no piece’s', () => {
    const tub = make();
    expect(refused('serve-piece', { piece: tub, route: 'raw', all: true }).code).to.equal('record.not-found');
    expect(refused('print-labels', { pieces: 'NO-0101-1-A', size: 'roll-60x40' }).code).to.equal('record.not-found');
  });
});
