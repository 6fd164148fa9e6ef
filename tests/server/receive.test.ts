import { expect } from 'chai';
import { demoPaper } from '../../src/lib/server/demo/morning.ts';
import { compareView, pieceView } from '../../src/lib/server/views/piece.ts';
import { FILE_BYTES, sniff } from '../../src/lib/server/store/files.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { deliveryView, openDeliveries } from '../../src/lib/server/views/now.ts';
import type { EmberError } from '../../src/lib/core/errors.ts';
import type { App } from '../../src/lib/server/app.ts';
import { CHAR, NOON, openTestHouse, type TestHouse } from './house.ts';

const WILD = {
  species: 'halibut',
  form: 'fillet',
  source: 'wild',
  water: 'sea',
  commercial: 'yes',
  supplier: 'Kelda Bay Boats',
  caughtOn: '2026-03-08',
  mass: '2 kg',
  core: '1 C'
};
const FROZEN = { type: 'freezing-statement', issuer: 'Cold store', frozenAt: '-20 C', frozenFor: '7 d' };
const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64'
);

describe('receiving', () => {
  let house: TestHouse;
  let app: App;
  const raw = (piece: string) => pieceView(app, piece).verdict.windows.find(({ route }) => route === 'raw')!.state;
  const received = (lot: string) => house.store.projections.lot(lot).received;
  const take = (more = {}) => house.done('receive-lot', { ...WILD, ...more }) as { lot: string; piece: string };
  const refused = (name: string, input: unknown) => {
    const before = house.store.record.head().seq;
    const answer = house.act(name, input);
    expect(answer.ok, name).to.equal(false);
    expect(house.store.record.head().seq).to.equal(before);
    return answer as Extract<typeof answer, { ok: false }>;
  };
  beforeEach(() => {
    house = openTestHouse();
    app = { ...house, config: { mode: 'test' }, movable: house.clock, readOnly: false } as unknown as App;
  });
  afterEach(() => {
    expect(verify(house.store, house.clock.now()).trouble).to.equal(null);
    house.close();
  });

  describe('a delivery', () => {
    it('keeps each lot as it is taken, and closes', () => {
      const { delivery } = house.done('open-delivery', {
        supplier: 'Kelda Bay Boats',
        reference: '88',
        vehicle: '2 C'
      });
      expect(openDeliveries(app).map(({ code }) => code)).to.deep.equal([delivery]);
      take({ delivery });
      take({ delivery, species: 'turbot' });
      const view = deliveryView(app, String(delivery));
      expect(view.lots.map(({ name, missing }) => [name, missing[0]])).to.deep.equal([
        ['Halibut', 'parasites.not-frozen'],
        ['Turbot', 'parasites.not-frozen']
      ]);
      expect(house.done('close-delivery', { delivery })).to.deep.equal({ delivery, lots: 2 });
      expect(openDeliveries(app)).to.deep.equal([]);
      expect(refused('receive-lot', { ...WILD, delivery }).code).to.equal('record.not-allowed-now');
      expect(refused('receive-lot', { ...WILD, delivery: 'DEL-9' }).code).to.equal('record.not-found');
    });
    it('one paper speaks for all its lots of a species', () => {
      const { delivery } = house.done('open-delivery', { supplier: 'Skarnes' });
      const chars = [take({ ...CHAR, delivery }), take({ ...CHAR, delivery })];
      const other = take({ delivery });
      house.done('attach-evidence', { lot: chars[0]!.lot, ...FROZEN, wholeDelivery: 'on' });
      expect(chars.map(({ piece }) => raw(piece))).to.deep.equal(['open', 'open']);
      expect(raw(other.piece)).to.equal('not-cleared');
    });
  });

  describe('a lot', () => {
    it('keeps everything its paper says', () => {
      const { lot } = take({
        faoArea: '27',
        caughtOn: '2026-03-08',
        caughtAt: '05:30',
        landedOn: '2026-03-09',
        gear: 'longline',
        killing: 'spiked-bled',
        count: 4,
        cases: 2,
        price: 90,
        pricePer: 'case',
        ice: 'plenty',
        previouslyFrozen: 'no',
        claim: 'sushi grade'
      });
      const kept = received(lot);
      expect(kept).to.deep.include({
        faoArea: '27',
        caughtOn: '2026-03-08T05:30',
        landedOn: '2026-03-09',
        gear: 'longline',
        killing: 'spiked-bled',
        count: 4,
        ice: 'plenty',
        price: { amount: 90, per: 'case' }
      });
      // Two cases at 90 for 2 kg.
      expect(kept.pricePerKg).to.equal(90);
      expect(received(take({ price: 10, pricePer: 'lb' }).lot).pricePerKg).to.be.closeTo(22.046, 0.001);
      expect(received(take({ price: 7, pricePer: 'piece', count: 6 }).lot).pricePerKg).to.equal(21);
      expect(received(take({ pricePerKg: 19.5 }).lot).price).to.deep.equal({ amount: 19.5, per: 'kg' });
    });
    it('is refused with the field and the range: no count for a price a piece, an hour that has not come, a landing before the catch', () => {
      expect(refused('receive-lot', { ...WILD, price: 7, pricePer: 'piece' }).fields[0]).to.deep.include({
        field: 'count',
        code: 'form.incomplete'
      });
      expect(refused('receive-lot', { ...WILD, caughtOn: '2026-03-09', caughtAt: '23:30' }).code).to.equal(
        'time.in-future'
      );
      expect(refused('receive-lot', { ...WILD, caughtOn: '2019-01-01' }).code).to.equal('quantity.out-of-range');
      expect(refused('receive-lot', { ...WILD, landedOn: '2026-03-07' }).code).to.equal('time.out-of-order');
      expect(refused('receive-lot', { ...WILD, mass: '900 kg' }).fields[0]).to.deep.include({ field: 'mass' });
      expect(refused('receive-lot', { ...WILD, core: '90 C' }).fields[0]).to.deep.include({ field: 'core' });
      expect(refused('receive-lot', { ...WILD, faoArea: '99' }).fields[0]!.field).to.equal('faoArea');
      expect(refused('receive-lot', { ...WILD, count: 0 }).fields[0]!.field).to.equal('count');
    });
    it('from nobody’s trade is not for sale: refused, taken for the own table, never on a service', () => {
      const own = { commercial: 'no', supplier: 'Ada, own line' };
      expect(refused('receive-lot', { ...WILD, ...own }).code).to.equal('record.source-required');
      expect(
        refused('receive-lot', { ...WILD, ...own, species: 'oyster', form: 'live', purpose: 'own-table' }).code
      ).to.equal('record.source-required');
      take({ ...own, decision: 'send-back', reason: 'not ours to take' });
      const { lot, piece } = take({ ...own, purpose: 'own-table' });
      house.done('attach-evidence', { lot, ...FROZEN });
      expect(raw(piece)).to.equal('open');
      expect(refused('serve-piece', { piece, route: 'raw' }).code).to.equal('record.not-for-sale');
      expect(refused('start-hold', { piece, label: 'Tray', startCore: '2 C' }).code).to.equal('record.not-for-sale');
      house.done('discard-piece', { piece, reason: 'eaten by the staff' });
    });
    it('that nobody can name is judged by its candidates, and told by its marks', () => {
      const { lot, piece } = take({ species: 'unidentified', candidates: 'sea-bream,snapper' });
      house.done('attach-evidence', { lot, ...FROZEN });
      expect(raw(piece)).to.equal('not-cleared');
      expect(pieceView(app, piece).species).to.equal(null);
      expect(refused('identify-lot', { lot, species: 'turbot', marks: 'x' }).code).to.equal('form.value-unknown');
      expect(refused('identify-lot', { lot, species: 'sea-bream' }).fields[0]!.field).to.equal('marks');
      house.done('identify-lot', { lot, species: 'sea-bream', marks: 'steep forehead,molars' });
      expect(raw(piece)).to.equal('open');
      expect(pieceView(app, piece).species!.id).to.equal('sea-bream');
      expect(refused('identify-lot', { lot, species: 'snapper', marks: 'x' }).code).to.equal('record.not-allowed-now');
      expect(
        refused('receive-lot', { ...WILD, species: 'unidentified', candidates: 'sea-bream' }).fields[0]!.field
      ).to.equal('candidates');
    });
    it('is told what it carries when it is served, with the notice of the house', () => {
      const { lot, piece } = take();
      house.done('attach-evidence', { lot, ...FROZEN });
      house.done('set-notice', { text: 'Raw here. Ask us.', reason: 'shorter for our card' });
      house.done('serve-piece', { piece, route: 'raw', mass: '100 g' });
      house.done('serve-piece', { piece, route: 'cooked', mass: '100 g', susceptible: 'on' });
      expect(
        house.store.projections.piece(piece).state.served.map(({ allergens, notice }) => [allergens, notice])
      ).to.deep.equal([
        [['fish'], 'Halibut* (raw)\n* Raw here. Ask us.'],
        [['fish'], '']
      ]);
      house.done('set-notice', { text: '', reason: 'back to the shipped one' });
      expect(pieceView(app, piece).notice).to.contain('3-603.11');
    });
  });

  describe('inspection', () => {
    const fresh = {
      'level-colour': '0',
      'level-gaping': '0',
      'level-drip': '0',
      'level-flesh': '0',
      'level-blood': '0',
      'level-smell': '0'
    };
    it('scores, recommends, and keeps what the person decided', () => {
      const { lot, piece } = take({ caughtOn: '' });
      house.done('attach-evidence', { lot, ...FROZEN });
      expect(raw(piece)).to.equal('not-cleared');
      const seen = house.done('inspect-lot', { lot, ...fresh, decision: 'accept' });
      expect(seen).to.deep.include({ recommended: 'accept', points: 0, most: 30 });
      // The sheet stands in for the day of catch.
      expect(raw(piece)).to.equal('open');
      expect(pieceView(app, piece).clocks.freshness!.basis).to.equal('inspection');
      house.done('inspect-lot', {
        lot,
        ...fresh,
        'level-flesh': '3',
        decision: 'cooked-only',
        reason: 'pasty at the belly'
      });
      expect(raw(piece)).to.equal('never');
    });
    it('a looser decision than the sheet or the one before is owned by name, and stays on the piece', () => {
      const { lot, piece } = take({ decision: 'cooked-only', reason: 'looked soft' });
      house.done('attach-evidence', { lot, ...FROZEN });
      const looser = { lot, ...fresh, decision: 'accept', reason: 'looked again in the light' };
      expect(refused('inspect-lot', looser).code).to.equal('record.widens-without-owner');
      house.done('inspect-lot', { ...looser, own: 'on' });
      expect(raw(piece)).to.equal('open');
      expect(pieceView(app, piece).owned[0]).to.deep.include({ by: 'p1', reason: 'looked again in the light' });
      expect(
        refused('inspect-lot', { lot, ...fresh, 'level-smell': '3', decision: 'accept', reason: 'it is fine' }).code
      ).to.equal('record.widens-without-owner');
    });
    it('wants every row, and a reason for anything but the recommended acceptance', () => {
      const { lot } = take();
      expect(refused('inspect-lot', { lot, decision: 'accept' }).fields[0]!.field).to.equal('colour');
      expect(
        refused('inspect-lot', { lot, ...fresh, 'level-flesh': '9', decision: 'accept' }).fields[0]!.field
      ).to.equal('flesh');
      expect(refused('inspect-lot', { lot, ...fresh, decision: 'send-back' }).fields[0]!.field).to.equal('reason');
      // Wild and not frozen: the sheet recommends to hold it; taking it needs a word.
      expect(refused('inspect-lot', { lot, ...fresh, decision: 'accept' }).fields[0]!.field).to.equal('reason');
      house.done('inspect-lot', { lot, ...fresh, 'level-drip': 'unseen', decision: 'hold-freeze', reason: 'wild' });
    });
    it('is done on the house’s own sheet, once it has one', () => {
      const { lot } = take();
      house.done('set-sheet', { sheet: 'fillet', 'weight-smell': '5', 'text-smell-0': 'clean', reason: 'smell first' });
      const seen = house.done('inspect-lot', {
        lot,
        ...fresh,
        'level-smell': '1',
        decision: 'hold-freeze',
        reason: 'wild'
      });
      // Weights 2+1+1+2+1+5 = 12, three points each.
      expect(seen).to.deep.include({ points: 5, most: 36 });
      expect(refused('set-sheet', { sheet: 'fillet', 'weight-smell': '9', reason: 'too much of it' }).code).to.equal(
        'quantity.out-of-range'
      );
      house.done('set-sheet', { sheet: 'fillet', reset: 'on', reason: 'the shipped one after all' });
    });
  });

  describe('exceptions', () => {
    it('are answered for by name, shown, and taken back', () => {
      const { lot, piece } = take({ caughtOn: '' });
      house.done('attach-evidence', { lot, ...FROZEN });
      const input = {
        piece,
        code: 'freshness.no-catch-date',
        routes: 'raw,cured',
        reason: 'The boat told me by phone: Sunday.'
      };
      expect(refused('own-exception', input).code).to.equal('record.widens-without-owner');
      expect(refused('own-exception', { ...input, own: 'on', reason: 'ok' }).fields[0]!.field).to.equal('reason');
      house.done('own-exception', { ...input, own: 'on', until: '1 h' });
      expect(raw(piece)).to.equal('ebbing');
      const { owned } = pieceView(app, piece);
      expect(owned.map(({ by, exception }) => [by, exception])).to.deep.equal([['p1', true]]);
      house.clock.moveBy(3600_000);
      expect(raw(piece)).to.equal('closed');
      house.done('withdraw-exception', { piece, exception: owned[0]!.seq, reason: 'sent back after all' });
      expect(raw(piece)).to.equal('not-cleared');
    });
    it('go with the pieces taken from it', () => {
      const { lot, piece } = take({ caughtOn: '' });
      house.done('attach-evidence', { lot, ...FROZEN });
      house.done('own-exception', {
        piece,
        code: 'freshness.no-catch-date',
        routes: 'raw',
        reason: 'My own risk and my own name.',
        own: 'on'
      });
      const { piece: child } = house.done('divide-piece', { piece, name: 'Loin', mass: '500 g' });
      expect(raw(String(child))).to.equal('open');
    });
    it('what the law leaves to no name is opened by the authority’s document alone', () => {
      const { lot, piece } = take();
      const input = { piece, code: 'parasites.not-frozen', routes: 'raw', reason: 'I have done this before.' };
      expect(refused('own-exception', { ...input, own: 'on' }).code).to.equal('record.exception-refused');
      const { hash } = house.store.files.put(new TextEncoder().encode('%PDF-1.4'), 'application/pdf', 0);
      const document = {
        lot,
        type: 'authority',
        issuer: 'Harbour Health Office',
        reference: 'V-77',
        issuedOn: '2026-03-01',
        expiresOn: '2026-06-30',
        covers: 'parasites'
      };
      expect(refused('attach-evidence', { ...document, covers: 'the moon' }).code).to.equal('form.value-unknown');
      house.done('attach-evidence', document);
      expect(raw(piece)).to.equal('not-cleared');
      house.done('attach-evidence', { ...document, file: hash });
      expect(raw(piece)).to.equal('open');
    });
    it('some are refused whoever asks', () => {
      const { piece } = take({ species: 'puffer' });
      const answer = refused('own-exception', {
        piece,
        code: 'toxins.licensed-only',
        routes: 'raw',
        reason: 'I have done this before.',
        own: 'on'
      });
      expect(answer.code).to.equal('record.exception-refused');
      expect(
        refused('own-exception', { piece, code: 'no.such', routes: 'raw', reason: 'because of the moon', own: 'on' })
          .code
      ).to.equal('record.not-found');
    });
  });

  describe('books of the house', () => {
    it('a copy of a rule book: stricter freely, and never looser than its base', () => {
      const { piece } = take();
      const input = {
        id: 'house-quick',
        base: 'us-fc',
        name: 'Quick',
        'dial-freezeHoldFactor': '0.5',
        reason: 'our own study'
      };
      for (const own of ['', 'on']) {
        const answer = refused('set-profile', { ...input, own });
        expect(answer.code).to.equal('profile.below-floor');
        expect(answer.details).to.include({ field: 'dial-freezeHoldFactor', max: 1 });
      }
      house.done('set-profile', { ...input, 'dial-freezeHoldFactor': '2' });
      const under = compareView(app, piece).profiles.find(({ id }) => id === 'house-quick')!;
      expect(under.windows.find(({ route }) => route === 'raw')!.state).to.equal('not-cleared');
      // Where a base writes no farm exemption either way, the house decides, and answers for it on every verdict.
      const farm = {
        id: 'house-farm',
        base: 'jp',
        name: 'Farms',
        'dial-farmExemption': '1',
        reason: 'we know the farm'
      };
      expect(refused('set-profile', farm).code).to.equal('record.widens-without-owner');
      house.done('set-profile', { ...farm, own: 'on' });
      const seen = pieceView(app, piece, undefined, undefined, 'house-farm').verdict;
      expect(seen.reasons.map(({ code }) => code)).to.include('house.profile-looser');
      // Tightened, then loosened back to the base: that too is owned.
      house.done('set-profile', {
        id: 'house-short',
        base: 'eu',
        name: 'X',
        'dial-dateMarkDays': '3',
        reason: 'short days'
      });
      expect(
        refused('set-profile', { id: 'house-short', base: 'eu', name: 'X', reason: 'long days again' }).code
      ).to.equal('record.widens-without-owner');
      expect(refused('set-profile', { ...input, 'dial-coldHold': 'warm', own: 'on' }).code).to.equal(
        'number.not-finite'
      );
    });
    it('a species of its own, and its own values over a shipped one', () => {
      const input = {
        id: 'pale-wrasse',
        name: 'Pale wrasse',
        scientific: 'Labrus mixtus',
        iceDays: '8',
        reason: 'local fish'
      };
      house.done('set-species', input);
      const { lot, piece } = take({ species: 'pale-wrasse' });
      expect(lot).to.match(/^PAL-/);
      // What nobody says of it is taken as the worse: it carries worms.
      expect(pieceView(app, piece).species!.parasitesWhenWild).to.deep.equal(['nematode']);
      expect(refused('set-species', { id: 'new-one', reason: 'no name given' }).code).to.equal('form.incomplete');
      expect(
        refused('set-species', { id: 'skipjack', hazards: 'none', reason: 'never hurt us', own: 'on' }).code
      ).to.equal('record.needs-authority');
      expect(refused('set-species', { id: 'skipjack', iceDays: '20', reason: 'never hurt us' }).code).to.equal(
        'record.widens-without-owner'
      );
      expect(refused('set-species', { id: 'skipjack', hazards: 'moon', reason: 'never hurt us' }).code).to.equal(
        'form.value-unknown'
      );
      house.done('set-species', { id: 'halibut', iceDays: '10', reason: 'softer here' });
      expect(pieceView(app, take().piece).species!.iceDays).to.equal(10);
      house.done('set-species', { id: 'halibut', withdraw: 'on', reason: 'no longer so' });
      expect(pieceView(app, take().piece).species!.iceDays).to.equal(18);
    });
    it('the past keeps the book it was judged by', () => {
      const { lot, piece } = take();
      house.done('attach-evidence', { lot, ...FROZEN });
      house.clock.moveBy(3600_000);
      house.done('set-species', { id: 'halibut', iceDays: '1', reason: 'a very bad week' });
      expect(raw(piece)).to.equal('closed');
      expect(pieceView(app, piece, NOON, NOON + 60_000).verdict.windows[0]!.state).to.equal('open');
    });
  });

  describe('papers', () => {
    it('keep their file by its hash, and verify finds it changed or gone', () => {
      const { lot } = take();
      const { hash } = house.store.files.put(demoPaper(['Statement']), 'application/pdf', NOON);
      house.done('attach-evidence', { lot, ...FROZEN, file: hash, fileName: 'statement.pdf' });
      expect(house.store.projections.lot(lot).evidence[0]!.file).to.deep.include({ hash, name: 'statement.pdf' });
      expect(house.store.files.put(demoPaper(['Statement']), 'application/pdf', NOON).fresh).to.equal(false);
      house.store.db.prepare('UPDATE files SET content = ?').run(Buffer.from('other'));
      expect(verify(house.store, NOON).trouble).to.match(/file of entry \d+ is not what was kept/);
      house.store.files.drop(hash);
      expect(verify(house.store, NOON).trouble).to.match(/file of entry \d+ is gone/);
      house.store.files.put(demoPaper(['Statement']), 'application/pdf', NOON);
      expect(refused('attach-evidence', { lot, ...FROZEN, file: 'a'.repeat(64) }).code).to.equal('record.not-found');
    });
    it('cannot say more hours than their own days hold, nor expire before they were issued', () => {
      const { lot } = take();
      const days = { ...FROZEN, lot, frozenFrom: '2026-03-01', frozenTo: '2026-03-03' };
      expect(refused('attach-evidence', days).fields[0]!.field).to.equal('frozenFor');
      house.done('attach-evidence', { ...days, frozenTo: '2026-03-07' });
      expect(
        refused('attach-evidence', { ...FROZEN, lot, issuedOn: '2026-03-05', expiresOn: '2026-03-01' }).code
      ).to.equal('time.out-of-order');
      expect(refused('attach-evidence', { ...FROZEN, lot, issuedOn: '2026-04-05' }).code).to.equal('time.in-future');
    });
    it('a shellfish tag is kept 90 days from the last served', () => {
      const { lot } = take({ species: 'oyster', form: 'live', core: '' });
      house.done('attach-evidence', { lot, type: 'shellfish-tag', issuer: 'Skerry', reference: 'tag 9' });
      const [tag] = house.store.projections.lot(lot).evidence;
      const close = { lot, evidence: tag!.seq, lastServedOn: '2026-03-09' };
      expect(refused('close-tag', { ...close, lastServedOn: '2026-03-08' }).code).to.equal('time.out-of-order');
      expect(refused('close-tag', { ...close, lastServedOn: '2026-03-10' }).code).to.equal('time.in-future');
      // 22 days are left of March, then 30 and 31: the 38th of the rest is the 7th of June.
      expect(house.done('close-tag', close)).to.deep.equal({ lot, keepUntil: '2026-06-07' });
      expect(refused('close-tag', { ...close, evidence: 1 }).code).to.equal('record.not-found');
    });
  });
});

describe('a file’s kind', () => {
  const code = async (bytes: Uint8Array, type = '', name = '') => {
    try {
      return await sniff(bytes, { type, name });
    } catch (error) {
      return (error as EmberError).code;
    }
  };
  it('is read off its bytes', async () => {
    expect(await code(PNG, 'image/png', 'tag.png')).to.equal('image/png');
    expect(await code(demoPaper(['x']), 'application/pdf', 'A.PDF')).to.equal('application/pdf');
    expect(
      await code(Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.alloc(32)]), 'image/jpg', 'a.jpeg')
    ).to.equal('image/jpeg');
    expect(await code(PNG, 'application/octet-stream')).to.equal('image/png');
  });
  it('that lies, by its name or by its sender, is refused', async () => {
    expect(await code(Buffer.from('<script>alert(1)</script>'), 'image/png', 'tag.png')).to.equal('file.type-lies');
    expect(await code(PNG, 'application/pdf', 'tag.pdf')).to.equal('file.type-lies');
    expect(await code(PNG, 'image/png', 'tag.html')).to.equal('file.type-lies');
    expect(await code(Buffer.from('MZ\x90\x00programme'), '', 'statement.pdf')).to.equal('file.type-lies');
  });
  it('that is no paper, empty or too large is refused', async () => {
    expect(await code(Buffer.from('hello'), 'text/plain', 'a.txt')).to.equal('file.type-refused');
    expect(await code(Buffer.alloc(0))).to.equal('file.empty');
    expect(await code(Buffer.alloc(FILE_BYTES + 1))).to.equal('file.too-large');
  });
});
