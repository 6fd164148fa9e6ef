import { expect } from 'chai';
import type { App } from '../../src/lib/server/app.ts';
import { pieceView } from '../../src/lib/server/views/piece.ts';
import { EVENT_KINDS } from '../../src/lib/core/record/events.ts';
import { documentState, endingDocuments, WARN_DAYS } from '../../src/lib/core/codes/documents.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { troubleOf } from '../trouble.ts';
import { openTestHouse, type TestHouse } from './house.ts';

const DAY = 86_400_000;
const HALIBUT = {
  species: 'halibut',
  form: 'fillet',
  source: 'wild',
  commercial: 'yes',
  supplier: 'Kelda Bay Boats',
  caughtOn: '2026-03-08',
  mass: '2 kg',
  core: '1 C'
};
const VARIANCE = {
  kind: 'variance',
  authority: 'Harbour Health Office',
  number: 'V-77',
  covers: 'parasites',
  issuedOn: '2026-03-01',
  expiresOn: '2026-03-11',
  limits: 'Sides under 3 kg only'
};

describe('documents of the authority on file', () => {
  let house: TestHouse;
  let piece: string;
  beforeEach(() => {
    house = openTestHouse();
    piece = String(house.done('receive-lot', HALIBUT).piece);
  });
  afterEach(() => house.close());
  const app = () => ({ store: house.store, clock: house.clock }) as unknown as App;
  const view = (id = piece) => pieceView(app(), id).verdict;
  const raw = (id = piece) => view(id).windows.find(({ route }) => route === 'raw')!.state;
  const file = () =>
    house.store.files.put(new TextEncoder().encode('%PDF-1.4'), 'application/pdf', house.clock.now()).hash;
  const refusal = (name: string, input: object) => {
    const answer = house.act(name, input);
    if (answer.ok) throw new Error(`${name} was taken`);
    return answer;
  };
  const state = () => house.store.projections.currentHouse();

  it('opens what it covers for every lot, and says whose word it is and how far; its end closes it', () => {
    expect(raw()).to.equal('not-cleared');
    expect(house.done('file-document', { ...VARIANCE, file: file() })).to.deep.include({ opens: true });
    expect(raw()).to.be.oneOf(['open', 'ebbing']);
    const owned = view().reasons.find((reason) => reason.owned)!.owned!;
    expect(owned).to.deep.include({ by: 'Harbour Health Office', reason: 'No. V-77: Sides under 3 kg only' });
    const closes = view().windows.find(({ route }) => route === 'raw')!.closes!;
    // The day it ends is in it, to the close of that business day.
    expect(new Date(closes).toISOString().slice(0, 10)).to.equal('2026-03-12');
    house.clock.moveTo(closes, true);
    expect(raw()).to.equal('closed');
  });
  it('opens nothing without the document itself, for another species, or for a fish nobody named', () => {
    expect(house.done('file-document', VARIANCE)).to.deep.include({ opens: false });
    expect(raw()).to.equal('not-cleared');
    house.done('file-document', { ...VARIANCE, number: 'V-78', species: 'turbot', file: file() });
    expect(raw()).to.equal('not-cleared');
    house.done('file-document', { ...VARIANCE, number: 'V-79', species: 'halibut', file: file() });
    expect(raw()).to.be.oneOf(['open', 'ebbing']);
    const nameless = String(house.done('receive-lot', { ...HALIBUT, species: 'unidentified' }).piece);
    expect(raw(nameless)).to.not.be.oneOf(['open', 'ebbing']);
  });
  it('opens nothing it does not cover, and no sort that is never served', () => {
    house.done('file-document', { ...VARIANCE, covers: 'date-mark', file: file() });
    expect(raw()).to.equal('not-cleared');
    house.done('file-document', {
      ...VARIANCE,
      number: 'V-80',
      covers: 'parasites, reef-area, identity',
      file: file()
    });
    const puffer = String(house.done('receive-lot', { ...HALIBUT, species: 'puffer' }).piece);
    expect(raw(puffer)).to.equal('never');
  });
  it('mended, it keeps its file; taken off the list, it opens nothing more', () => {
    const { document } = house.done('file-document', { ...VARIANCE, file: file() });
    house.done('file-document', { ...VARIANCE, id: document, expiresOn: '2026-09-01', reason: 'renewed' });
    expect(state().documents[String(document)]!.expiresOn).to.equal('2026-09-01');
    expect(raw()).to.be.oneOf(['open', 'ebbing']);
    house.done('withdraw-document', { id: document, reason: 'given back' });
    expect(raw()).to.equal('not-cleared');
    expect(refusal('withdraw-document', { id: document, reason: 'again' }).code).to.equal('record.not-found');
    house.done('file-document', { ...VARIANCE, file: file() });
    expect(raw()).to.be.oneOf(['open', 'ebbing']);
  });
  it('is refused without a scope, with days that cannot be, or twice', () => {
    expect(refusal('file-document', { ...VARIANCE, covers: '' }).details.field).to.equal('covers');
    expect(refusal('file-document', { ...VARIANCE, covers: 'everything' }).details.field).to.equal('covers');
    expect(refusal('file-document', { ...VARIANCE, species: 'moonfish-x' }).code).to.equal('species.unknown');
    expect(refusal('file-document', { ...VARIANCE, issuedOn: '2026-05-01', expiresOn: '2026-06-01' }).code).to.equal(
      'time.in-future'
    );
    expect(refusal('file-document', { ...VARIANCE, expiresOn: '2026-02-01' }).code).to.equal('time.out-of-order');
    expect(refusal('file-document', { ...VARIANCE, file: 'a'.repeat(64) }).details.field).to.equal('file');
    expect(refusal('file-document', { ...VARIANCE, id: 'nobody' }).code).to.equal('record.not-found');
    house.done('file-document', VARIANCE);
    expect(refusal('file-document', VARIANCE).details.taken).to.equal(true);
  });
  it('puffer: with the licence of the house on file and the licensed channel, until the day it ends', () => {
    const lot = house.done('receive-lot', { ...HALIBUT, species: 'puffer' });
    const puffer = String(lot.piece);
    const states = () => view(puffer).windows.map(({ state: each }) => each);
    const all = (each: string) => expect(new Set(states())).to.deep.equal(new Set([each]));
    all('never');
    const LICENCE = { ...VARIANCE, kind: 'licence', number: 'PL-7', covers: 'puffer', limits: '' };
    house.done('file-document', { ...LICENCE, number: 'PL-6' });
    house.done('attach-evidence', {
      lot: lot.lot,
      type: 'licence',
      issuer: 'Kelda Bay Boats',
      reference: 'CH-1'
    });
    // A number without the paper is no licence.
    all('never');
    expect(refusal('file-document', { ...LICENCE, kind: 'variance', file: file() }).details.field).to.equal('covers');
    house.done('file-document', { ...LICENCE, file: file() });
    const cooked = view(puffer).windows.find(({ route }) => route === 'cooked')!;
    expect(cooked.state).to.not.equal('never');
    const told = view(puffer).reasons.find(({ code }) => code === 'toxins.licensed')!;
    expect(told.seen).to.deep.include({ licence: 'PL-7', until: '2026-03-11' });
    const end = told.effect.kind === 'closes' ? told.effect.at : 0;
    house.clock.moveTo(end - 1000, true);
    expect(view(puffer).reasons.map(({ code }) => code)).to.include('toxins.licensed');
    house.clock.moveTo(end, true);
    all('never');
  });
  it('a number of a licence kept in the house’s own entry, as it once was, opens nothing', () => {
    const { upcasts, version, body } = EVENT_KINDS['house.set'];
    const before = { ...state(), pufferLicence: 'PL 7' };
    const now = upcasts.reduce((each: unknown, upcast) => upcast(each), before);
    expect(version).to.equal(upcasts.length + 1);
    expect(body.parse(now)).to.not.have.property('pufferLicence');
  });
  it('is warned of before it ends, and after, until it is taken off the list', () => {
    const { document } = house.done('file-document', { ...VARIANCE, expiresOn: '2026-06-01', file: file() });
    const of = () => state().documents[String(document)]!;
    const end = Date.UTC(2026, 5, 1, 12);
    const at = (days: number) => documentState(of(), end + days * DAY, state());
    expect(at(-WARN_DAYS - 1)).to.equal('in-force');
    expect(at(-WARN_DAYS + 1)).to.equal('ending');
    expect(at(0)).to.equal('ending');
    expect(at(1)).to.equal('ended');
    expect(documentState(of(), Date.UTC(2026, 1, 1), state())).to.equal('not-yet');
    const ending = (days: number) => endingDocuments([of()], end + days * DAY, state()).map((each) => each.state);
    expect([ending(-60), ending(-3), ending(9)]).to.deep.equal([[], ['ending'], ['ended']]);
    house.done('withdraw-document', { id: document, reason: 'over' });
    expect(ending(9)).to.deep.equal([]);
  });
});

describe('files that no entry names', () => {
  let house: TestHouse;
  beforeEach(() => (house = openTestHouse()));
  afterEach(() => house.close());
  const MB = 1024 * 1024;
  /** A paper of some size whose bytes no other has. */
  const put = (bytes: number, mark: number) => {
    const content = new Uint8Array(bytes);
    new DataView(content.buffer).setUint32(0, mark);
    return house.store.files.put(content, 'application/pdf', house.clock.now()).hash;
  };
  const count = () => (house.store.db.prepare('SELECT count(*) AS n FROM files').get() as { n: number }).n;

  it('are as many as fit, and go after a day; what an entry names stays, a document’s paper too', () => {
    const { lot } = house.done('receive-lot', HALIBUT);
    house.done('attach-evidence', { lot, type: 'chill-record', issuer: 'Boats', reference: 'a', file: put(9 * MB, 1) });
    house.done('file-document', { ...VARIANCE, file: put(9 * MB, 2) });
    for (let mark = 10; mark < 21; mark++) put(9 * MB, mark);
    expect(troubleOf(() => put(9 * MB, 30)).code).to.equal('file.none-names-them');
    expect(put(9 * MB, 15), 'one that is here already').to.be.a('string');
    house.clock.moveTo(house.clock.now() + DAY + 1, true);
    put(9 * MB, 31);
    expect(count()).to.equal(3);
    expect(verify(house.store, house.clock.now()).trouble).to.equal(null);
    house.store.db.exec(`DELETE FROM files WHERE hash IN (SELECT json_extract(body, '$.file.hash') FROM events
      WHERE kind = 'document.filed')`);
    expect(verify(house.store, house.clock.now()).trouble).to.match(/the file of entry \d+ is gone/);
  });
});
