import { expect } from 'chai';
import { PREPARATION } from '../../src/lib/core/activity/age/lists.ts';
import { driedFish, priorFor } from '../../src/lib/server/facts/drying-prior.ts';
import { agePreview } from '../../src/lib/core/activity/age/plan.ts';
import { hangingAnswer } from '../../src/lib/server/plans/age.ts';
import { rackView, spotsOf } from '../../src/lib/server/views/rack.ts';
import { pieceView } from '../../src/lib/server/views/piece.ts';
import { nowView } from '../../src/lib/server/views/now.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { errorSentence } from '../../src/lib/words/errors.ts';
import { entryWords } from '../../src/lib/words/entry.ts';
import type { App } from '../../src/lib/server/app.ts';
import { CHAR, FEED, NOON, openTestHouse, type TestHouse } from './house.ts';

const CABINET = 'Ageing cabinet';
const DAY = 86_400_000;
const FINE = { skin: 'dry', eye: 'clear', smell: 'clean', slime: 'none', firmness: 'firm' };
const HANG = {
  place: CABINET,
  spot: 'H1',
  mass: '2000 g',
  target: '8 %',
  celsius: '2 C',
  humidity: '80 %',
  prepared: PREPARATION.whole.join(',')
};

describe('the ageing rack', () => {
  let house: TestHouse;
  let piece: string;
  beforeEach(() => {
    house = openTestHouse();
    house.done('set-place', { name: CABINET, kind: 'cabinet', setPoint: '2 C' });
    piece = whole();
  });
  afterEach(() => {
    expect(verify(house.store, house.clock.now()).trouble).to.equal(null);
    house.close();
  });
  function whole(): string {
    const got = house.done('receive-lot', { ...CHAR, form: 'gutted', price: 20, pricePer: 'kg' });
    house.done('attach-evidence', { lot: got.lot, ...FEED });
    return String(got.piece);
  }
  const app = () => ({ store: house.store, clock: house.clock }) as unknown as App;
  const later = (hours: number) => house.clock.moveTo(Math.round(house.clock.now() + hours * 3600_000), true);
  const read = () => house.done('read-place', { place: CABINET, reading: '2 C' });
  const refusal = (name: string, input: object) => {
    const answer = house.act(name, input);
    if (answer.ok) throw new Error(`${name} was taken`);
    return answer;
  };
  const racked = (id = piece) => rackView(app()).pieces.find((each) => each.id === id)!;
  const raw = (id = piece) => pieceView(app(), id).verdict.windows.find(({ route }) => route === 'raw')!;

  it('before it hangs, one line says whether it loses what is wanted in the days it may hang, and what it loses by then', () => {
    const answer = (more: object = {}, id = piece) =>
      hangingAnswer(house.store, agePreview.parse({ piece: id, ...HANG, ...more }));
    const soon = answer({ target: '3 %' });
    expect(soon).to.deep.include({ inTime: true, days: 14 });
    expect(soon.ready!.low).to.be.below(soon.ready!.likely).and.above(0);
    const never = answer({ target: '45 %' });
    expect(never.inTime).to.equal(false);
    // What it proposes instead, it reaches.
    expect(answer({ target: `${never.lossByThen.likely * 99} %` }).inTime).to.equal(true);
    // What was hung by it is recorded as it was forecast.
    house.done('start-age', { piece, ...HANG });
    const { ready } = house.store.projections.piece(piece).state.ages.at(-1)!.plan;
    expect(ready).to.deep.equal(answer().ready);
    // A histamine kind may hang fewer days, until somebody files a test.
    const bonito = house.done('receive-lot', { ...CHAR, species: 'atlantic-bonito', form: 'gutted' });
    expect(answer({}, String(bonito.piece)).days).to.equal(7);
  });
  it('what is missing since its last weight is said, or it does not hang', () => {
    const { grams } = house.store.projections.piece(piece).state;
    const light = { piece, ...HANG, mass: `${Math.round(grams * 0.8)} g` };
    expect(refusal('start-age', light)).to.deep.include({ code: 'record.mass-gone' });
    expect(refusal('start-age', { ...light, lost: 'x' }).fields.map(({ field }) => field)).to.deep.equal(['lost']);
    house.done('start-age', { ...light, lost: 'head and fins off, to stock' });
    const [entry] = house.store.record.list({ kind: 'piece.reweighed' });
    expect(entry!.body).to.deep.include({ before: grams, note: 'head and fins off, to stock' });
    expect(racked().grams).to.equal(Math.round(grams * 0.8));
  });
  it('a week on the rack: hung, weighed, looked at, forecast ever closer, pulled for the service it was ready for', () => {
    house.done('set-service', { name: 'Friday', at: '2026-03-13T18:00', covers: 30 });
    house.done('set-service', { name: 'Monday', at: '2026-03-16T18:00' });
    house.done('start-age', { piece, ...HANG });
    read();
    const first = racked();
    expect(first.forecast).to.deep.include({ from: 'prior', weighIns: 0 });
    expect(first.advice.sittings.map(({ name }) => name)).to.deep.equal(['Friday', 'Monday']);
    const widths: number[] = [];
    for (const grams of [1972, 1945, 1919, 1893, 1868, 1844]) {
      later(24);
      read();
      house.done('weigh-aged', { piece, mass: `${grams} g` });
      house.done('look-aged', { piece, ...FINE });
      const { targetDay } = racked().forecast;
      widths.push(targetDay!.high - targetDay!.low);
    }
    widths.slice(1).forEach((width, index) => expect(width).to.be.lessThan(widths[index]! + 1e-9));
    expect(widths.at(-1)! / widths[0]!).to.be.lessThan(0.3);
    const now = racked();
    expect(now.missed).to.deep.equal([]);
    expect(now.day).to.be.closeTo(6, 1e-6);
    expect(now.forecast.loss.likely).to.be.closeTo(0.078, 0.003);
    expect(now.advice).to.include({ code: 'ready-for' });
    expect(now.advice.service!.name).to.equal('Monday');
    // 156 g of 40 euro for two kilograms.
    expect(now.cost.lostCents).to.equal(312);
    expect(now.cost.perGramNow! * 1844).to.be.closeTo(4000, 1);
    house.done('end-age', { piece, massAfter: '1843 g', place: 'Drawer 1', service: now.advice.service!.id });
    expect(rackView(app()).pieces).to.have.length(0);
    const { state } = house.store.projections.piece(piece);
    expect(state.grams).to.equal(1843);
    expect(state.stays.at(-1)!.place).to.equal('Drawer 1');
    expect(house.done('serve-piece', { piece, route: 'raw', mass: '500 g' }).grams).to.equal(500);
  });
  it('a look that smells off stops it: every route closes, and hands are told', () => {
    house.done('start-age', { piece, ...HANG });
    read();
    later(20);
    const { stops } = house.done('look-aged', { piece, ...FINE, smell: 'off', note: 'sour at the belly' });
    expect(stops).to.deep.equal(['smell']);
    expect(racked().advice.code).to.equal('stopped');
    expect(raw().state).to.equal('closed');
    expect(nowView(app()).tasks[0]).to.include({ code: 'age-stopped', piece });
    house.done('end-age', { piece, how: 'stopped', note: 'binned' });
    expect(refusal('serve-piece', { piece, route: 'cooked', all: true }).details.seen).to.equal('closed');
    house.done('discard-piece', { piece, reason: 'off', all: true });
  });
  it('a weight that went up is asked about, and left out of the forecast where somebody stands by it', () => {
    house.done('start-age', { piece, ...HANG });
    later(24);
    house.done('weigh-aged', { piece, mass: '1976 g' });
    later(24);
    const before = racked().forecast.targetDay!;
    const up = refusal('weigh-aged', { piece, mass: '2150 g' });
    expect(up.code).to.equal('age.weight-up');
    expect(errorSentence(up.code, up.details)).to.contain('1976 g').and.to.contain('does not gain');
    const slip = refusal('weigh-aged', { piece, mass: '195 g' });
    expect(slip.code).to.equal('age.weight-drop');
    house.done('weigh-aged', { piece, mass: '2150 g', sure: 'on' });
    const after = racked();
    expect(after.forecast.odd).to.deep.equal([{ index: 2, why: 'up' }]);
    expect(after.forecast.targetDay!.likely).to.be.closeTo(before.likely, 1e-9);
    // The next true weight goes with the first two, not with the one that was stood by.
    house.done('weigh-aged', { piece, mass: '1952 g' });
    expect(racked().forecast.weighIns).to.equal(2);
  });
  it('two weigh-ins a minute apart are one', () => {
    house.done('start-age', { piece, ...HANG });
    later(24);
    house.done('weigh-aged', { piece, mass: '1976 g' });
    later(1 / 60);
    house.done('weigh-aged', { piece, mass: '1973 g' });
    const { forecast } = racked();
    expect(forecast).to.include({ merged: 1, weighIns: 1 });
    expect(forecast.gramsADay.likely).to.be.within(10, 60);
  });
  it('a day nobody looked shows; a cabinet nobody read is not cleared, and a reading a day is enough', () => {
    house.done('start-age', { piece, ...HANG });
    read();
    later(24);
    read();
    house.done('look-aged', { piece, ...FINE });
    later(48);
    expect(racked().missed).to.deep.equal(['2026-03-11']);
    // Unread for two days: not cleared, and nobody knows whether its time in the warm is spent.
    expect(raw().state).to.equal('not-cleared');
    const view = rackView(app()).cabinets[0]!;
    expect(view.last!.celsius).to.equal(2);
    const other = whole();
    house.done('start-age', { piece: other, ...HANG, spot: 'H2' });
    read();
    later(20);
    expect(raw(other).state).to.equal('open');
  });
  it('a cabinet without a log says so', () => {
    house.done('start-age', { piece, ...HANG });
    expect(rackView(app()).cabinets[0]).to.include({ log: null, last: null });
    later(30);
    expect(racked().advice.code).to.equal('not-cleared');
  });
  it('on the rack it is on no other bench, and is neither served nor put out before it is off', () => {
    house.done('start-age', { piece, ...HANG });
    for (const [name, input] of [
      ['start-age', { piece, ...HANG, spot: 'H3' }],
      ['open-board', { piece }],
      ['reweigh-piece', { piece, mass: '1900 g', cause: 'drying' }],
      ['start-hold', { all: true, piece, label: 'left', startCore: '2 C' }],
      ['serve-piece', { piece, route: 'raw', all: true }]
    ] as const) {
      expect(refusal(name, input).details.hindrance, name).to.deep.equal({ kind: 'in', occupant: 'rack' });
    }
    expect(refusal('weigh-aged', { piece: whole(), mass: '1900 g' }).details.hindrance).to.deep.equal({
      kind: 'not-in',
      occupant: 'rack'
    });
  });
  it('a hook holds one fish; it moves to a free one, and the rack is drawn as the house says', () => {
    house.done('start-age', { piece, ...HANG });
    const other = whole();
    expect(refusal('start-age', { piece: other, ...HANG }).code).to.equal('age.spot-taken');
    house.done('start-age', { piece: other, ...HANG, spot: 'H2' });
    expect(refusal('move-aged', { piece: other, place: CABINET, spot: 'H1' }).details.field).to.equal('spot');
    house.done('move-aged', { piece: other, place: CABINET, spot: 'S1.2' });
    expect(racked(other).run.spot).to.equal('S1.2');
    house.done('set-rack', { place: CABINET, hooks: 3, shelves: 1, perShelf: 2 });
    const { rack } = rackView(app()).cabinets[0]!;
    expect(spotsOf(rack)).to.deep.equal({ hooks: ['H1', 'H2', 'H3'], shelves: [['S1.1', 'S1.2']] });
    expect(refusal('set-rack', { place: 'Nowhere', hooks: 1, shelves: 0, perShelf: 1 }).code).to.equal('place.unknown');
    expect(refusal('set-rack', { place: CABINET, hooks: 0, shelves: 0, perShelf: 1 }).code).to.equal('form.incomplete');
  });
  it('what finished fish taught is what the next is believed to do', () => {
    const hanging = { kind: 'whole' as const, grams: 2000, celsius: 2, humidity: 0.8 };
    const shipped = priorFor(house.store, hanging);
    house.done('start-age', { piece, ...HANG });
    for (const grams of [1984, 1968, 1953, 1938]) {
      later(24);
      house.done('weigh-aged', { piece, mass: `${grams} g` });
    }
    expect(driedFish(house.store)).to.have.length(0);
    house.done('end-age', { piece, how: 'pulled' });
    expect(driedFish(house.store)).to.have.length(1);
    const taught = priorFor(house.store, hanging);
    expect(taught).to.include({ fish: 1 });
    expect(taught.rate).to.be.lessThan(shipped.rate);
    expect(taught.rateSigma).to.be.lessThan(shipped.rateSigma);
    const next = whole();
    house.done('start-age', { piece: next, ...HANG });
    expect(racked(next).forecast).to.include({ from: 'house', earlierFish: 1 });
  });
  it('looser rules of the house ask for a reason, and stand on the verdict with it', () => {
    const rules = { wholeDays: 20, filletDays: 6, limitCelsius: '4 C', warmHours: 2, afterDays: 3 };
    expect(refusal('set-ageing', rules).code).to.equal('age.looser-without-reason');
    house.done('start-age', { piece, ...HANG });
    house.done('set-ageing', { ...rules, reason: 'own trials, logged' });
    const seen = pieceView(app(), piece).verdict.reasons;
    expect(seen.map(({ code }) => code)).to.include('ageing.rules-looser');
    expect(seen.find(({ code }) => code === 'ageing.house-maximum')!.seen.days).to.equal(20);
    expect(refusal('set-ageing', { ...rules, limitCelsius: '8 C', reason: 'x' }).details.field).to.equal(
      'limitCelsius'
    );
  });
  it('what it is was said when it was made: a fillet has a fillet’s list and days', () => {
    const side = String(house.done('receive-lot', CHAR).piece);
    house.done('start-age', { piece: side, ...HANG, spot: 'S1.1', prepared: 'trimmed,wiped,dried' });
    expect(racked(side).run.plan.kind).to.equal('fillet');
    expect(racked(side).unprepared).to.deep.equal([]);
    const limit = racked(side).verdict.reasons.find(({ code }) => code === 'ageing.house-maximum')!;
    expect(limit.seen.days).to.equal(6);
  });
  it('refuses what cannot be, and names the field', () => {
    const fields = (input: object) => refusal('start-age', { piece, ...HANG, ...input });
    expect(fields({ mass: '2600 g' }).code).to.equal('record.mass-exceeded');
    expect(fields({ celsius: '30 C' }).details.field).to.equal('celsius');
    expect(fields({ humidity: '180 %' }).details.field).to.equal('humidity');
    expect(fields({ target: '90 %' }).details.field).to.equal('target');
    expect(fields({ prepared: 'blessed' }).code).to.equal('form.value-unknown');
    expect(fields({ at: '2026-03-01T10:00' }).code).to.equal('time.out-of-order');
    house.done('start-age', { piece, ...HANG });
    expect(refusal('look-aged', { piece, ...FINE, slime: undefined }).details.field).to.equal('slime');
    later(30);
    house.done('weigh-aged', { piece, mass: '1970 g' });
    const early = new Date(house.clock.now() - 20 * 3600_000).toISOString();
    expect(refusal('weigh-aged', { piece, mass: '1975 g', at: early }).code).to.equal('time.out-of-order');
    expect(refusal('end-age', { piece, service: 'nobody-knows' }).details.field).to.equal('service');
    expect(refusal('end-age', { piece, massAfter: '2100 g' }).code).to.equal('age.weight-up');
  });
  it('services are named, changed and taken off', () => {
    const { service } = house.done('set-service', { name: 'Saturday', at: '2026-03-14T19:00', covers: 52 });
    house.done('set-service', { id: service, name: 'Saturday, late', at: '2026-03-14T21:00' });
    const [only] = rackView(app()).services;
    expect(only).to.include({ name: 'Saturday, late', covers: null, at: Date.UTC(2026, 2, 14, 21) });
    house.done('withdraw-service', { id: service });
    expect(rackView(app()).services).to.have.length(0);
    expect(refusal('withdraw-service', { id: service }).code).to.equal('form.value-unknown');
    expect(refusal('set-service', { name: 'X', at: 'soon' }).details.field).to.equal('at');
  });
  it('the ledger reads it, and a weight that was wrong is amended', () => {
    house.done('start-age', { piece, ...HANG });
    later(24);
    house.done('weigh-aged', { piece, mass: '1950 g' });
    const events = house.store.record.eventsOf(`piece:${piece}`);
    const wrong = events.find(({ kind }) => kind === 'age.weighed')!;
    const hung = events.find(({ kind }) => kind === 'age.started')!;
    const told = entryWords(hung).join(', ');
    for (const words of ['2000 g', CABINET, 'humidity 80 %', 'scaled']) expect(told).to.contain(words);
    house.done('look-aged', { piece, ...FINE, smell: 'faint', note: 'near the gills' });
    const look = house.store.record.eventsOf(`piece:${piece}`).at(-1)!;
    expect(entryWords(look)).to.include.members(['skin dry', 'smell faint, look again tonight', 'near the gills']);
    house.done('set-service', { name: 'Saturday', at: '2026-03-14T19:00' });
    const planned = house.store.record.eventsOf('house').at(-1)!;
    expect(entryWords(planned).join(', ')).to.contain('Sat 14 Mar');
    const patch = JSON.stringify({ mass: { si: 1975, unit: 'g', typed: '1975 g' } });
    const answer = house.act('amend-entry', { seq: wrong.seq, reason: 'misread', patch });
    expect(answer.ok, JSON.stringify(answer)).to.equal(true);
    expect(racked().grams).to.equal(1975);
    expect(NOON + DAY).to.equal(house.clock.now());
  });
});
