import { expect } from 'chai';
import { demoPaper } from '../../src/lib/server/demo/morning.ts';
import { compareView, pieceView } from '../../src/lib/server/views/piece.ts';
import { FILE_BYTES, sniff } from '../../src/lib/server/store/files.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { deliveryView, openDeliveries } from '../../src/lib/server/views/now.ts';
import type { EmberError } from '../../src/lib/core/errors.ts';
import { CHAR, NOON } from './house.ts';
import { FROZEN, PNG, WILD, doorHouse } from './door-house.ts';

describe('receiving', () => {
  const door = doorHouse();
  const { raw, received, take, refused } = door;

  describe('a delivery', () => {
    it('keeps each lot as it is taken, and closes', () => {
      const { delivery } = door.house.done('open-delivery', {
        supplier: 'Kelda Bay Boats',
        reference: '88',
        vehicle: '2 C'
      });
      expect(openDeliveries(door.app).map(({ code }) => code)).to.deep.equal([delivery]);
      take({ delivery });
      take({ delivery, species: 'turbot' });
      const view = deliveryView(door.app, String(delivery));
      expect(view.lots.map(({ name, missing }) => [name, missing[0]])).to.deep.equal([
        ['Halibut', 'parasites.not-frozen'],
        ['Turbot', 'parasites.not-frozen']
      ]);
      expect(door.house.done('close-delivery', { delivery })).to.deep.equal({ delivery, lots: 2 });
      expect(openDeliveries(door.app)).to.deep.equal([]);
      expect(refused('receive-lot', { ...WILD, delivery }).code).to.equal('record.not-allowed-now');
      expect(refused('receive-lot', { ...WILD, delivery: 'DEL-9' }).code).to.equal('record.not-found');
    });
    it('one paper speaks for all its lots of a species', () => {
      const { delivery } = door.house.done('open-delivery', { supplier: 'Skarnes' });
      const chars = [take({ ...CHAR, delivery }), take({ ...CHAR, delivery })];
      const other = take({ delivery });
      door.house.done('attach-evidence', { lot: chars[0]!.lot, ...FROZEN, wholeDelivery: 'on' });
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
      door.house.done('attach-evidence', { lot, ...FROZEN });
      expect(raw(piece)).to.equal('open');
      expect(refused('serve-piece', { piece, route: 'raw', all: true }).code).to.equal('record.not-for-sale');
      expect(refused('start-hold', { all: true, piece, label: 'Tray', startCore: '2 C' }).code).to.equal(
        'record.not-for-sale'
      );
      door.house.done('discard-piece', { piece, reason: 'eaten by the staff', all: true });
    });
    it('that nobody can name is judged by its candidates, and told by its marks', () => {
      const { lot, piece } = take({ species: 'unidentified', candidates: 'sea-bream,snapper' });
      door.house.done('attach-evidence', { lot, ...FROZEN });
      expect(raw(piece)).to.equal('not-cleared');
      expect(pieceView(door.app, piece).species).to.equal(null);
      expect(refused('identify-lot', { lot, species: 'turbot', marks: 'x' }).code).to.equal('form.value-unknown');
      expect(refused('identify-lot', { lot, species: 'sea-bream' }).fields[0]!.field).to.equal('marks');
      door.house.done('identify-lot', { lot, species: 'sea-bream', marks: 'steep forehead,molars' });
      expect(raw(piece)).to.equal('open');
      expect(pieceView(door.app, piece).species!.id).to.equal('sea-bream');
      expect(refused('identify-lot', { lot, species: 'snapper', marks: 'x' }).code).to.equal('record.not-allowed-now');
      expect(
        refused('receive-lot', { ...WILD, species: 'unidentified', candidates: 'sea-bream' }).fields[0]!.field
      ).to.equal('candidates');
    });
    it('is told what it carries when it is served, with the notice of the house', () => {
      const { lot, piece } = take();
      door.house.done('attach-evidence', { lot, ...FROZEN });
      door.house.done('set-notice', { text: 'Raw here. Ask us.', reason: 'shorter for our card' });
      door.house.done('serve-piece', { piece, route: 'raw', mass: '100 g' });
      door.house.done('serve-piece', { piece, route: 'cooked', mass: '100 g', susceptible: 'on' });
      expect(
        door.house.store.projections.piece(piece).state.served.map(({ allergens, notice }) => [allergens, notice])
      ).to.deep.equal([
        [['fish'], 'Halibut* (raw)\n* Raw here. Ask us.'],
        [['fish'], '']
      ]);
      door.house.done('set-notice', { text: '', reason: 'back to the shipped one' });
      expect(pieceView(door.app, piece).notice).to.contain('3-603.11');
    });
  });

  describe('books of the house', () => {
    it('a copy of a rule book: stricter freely, and never looser than its base', () => {
      const { piece } = take();
      const input = {
        id: 'house-quick',
        base: 'us-fc',
        name: 'Quick',
        'limit-freezeHoldFactor': '0.5',
        reason: 'our own study'
      };
      for (const own of ['', 'on']) {
        const answer = refused('set-profile', { ...input, own });
        expect(answer.code).to.equal('profile.below-floor');
        expect(answer.details).to.include({ field: 'limit-freezeHoldFactor', max: 1 });
      }
      door.house.done('set-profile', { ...input, 'limit-freezeHoldFactor': '2' });
      const under = compareView(door.app, piece).profiles.find(({ id }) => id === 'house-quick')!;
      expect(under.windows.find(({ route }) => route === 'raw')!.state).to.equal('not-cleared');
      // Where a base writes no farm exemption either way, the house decides, and answers for it on every verdict.
      const farm = {
        id: 'house-farm',
        base: 'jp',
        name: 'Farms',
        'limit-farmExemption': '1',
        reason: 'we know the farm'
      };
      expect(refused('set-profile', farm).code).to.equal('record.widens-without-owner');
      door.house.done('set-profile', { ...farm, own: 'on' });
      const seen = pieceView(door.app, piece, undefined, undefined, 'house-farm').verdict;
      expect(seen.reasons.map(({ code }) => code)).to.include('house.profile-looser');
      // Tightened, then loosened back to the base: that too is owned.
      door.house.done('set-profile', {
        id: 'house-short',
        base: 'eu',
        name: 'X',
        'limit-dateMarkDays': '3',
        reason: 'short days'
      });
      expect(
        refused('set-profile', { id: 'house-short', base: 'eu', name: 'X', reason: 'long days again' }).code
      ).to.equal('record.widens-without-owner');
      expect(refused('set-profile', { ...input, 'limit-coldHold': 'warm', own: 'on' }).code).to.equal(
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
      door.house.done('set-species', input);
      const { lot, piece } = take({ species: 'pale-wrasse' });
      expect(lot).to.match(/^PAL-/);
      // What nobody says of it is taken as the worse: it carries worms.
      expect(pieceView(door.app, piece).species!.parasitesWhenWild).to.deep.equal(['nematode']);
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
      door.house.done('set-species', { id: 'halibut', iceDays: '10', reason: 'softer here' });
      expect(pieceView(door.app, take().piece).species!.iceDays).to.equal(10);
      door.house.done('set-species', { id: 'halibut', withdraw: 'on', reason: 'no longer so' });
      expect(pieceView(door.app, take().piece).species!.iceDays).to.equal(18);
    });
    it('the past keeps the book it was judged by', () => {
      const { lot, piece } = take();
      door.house.done('attach-evidence', { lot, ...FROZEN });
      door.house.clock.moveBy(3600_000);
      door.house.done('set-species', { id: 'halibut', iceDays: '1', reason: 'a very bad week' });
      expect(raw(piece)).to.equal('closed');
      expect(pieceView(door.app, piece, NOON, NOON + 60_000).verdict.windows[0]!.state).to.equal('open');
    });
  });

  describe('papers', () => {
    it('keep their file by its hash, and verify finds it changed or gone', () => {
      const { lot } = take();
      const { hash } = door.house.store.files.put(demoPaper(['Statement']), 'application/pdf', NOON);
      door.house.done('attach-evidence', { lot, ...FROZEN, file: hash, fileName: 'statement.pdf' });
      expect(door.house.store.projections.lot(lot).evidence[0]!.file).to.deep.include({ hash, name: 'statement.pdf' });
      expect(door.house.store.files.put(demoPaper(['Statement']), 'application/pdf', NOON).fresh).to.equal(false);
      door.house.store.db.prepare('UPDATE files SET content = ?').run(Buffer.from('other'));
      expect(verify(door.house.store, NOON).trouble).to.match(/file of entry \d+ is not what was kept/);
      door.house.store.files.drop(hash);
      expect(verify(door.house.store, NOON).trouble).to.match(/file of entry \d+ is gone/);
      door.house.store.files.put(demoPaper(['Statement']), 'application/pdf', NOON);
      expect(refused('attach-evidence', { lot, ...FROZEN, file: 'a'.repeat(64) }).code).to.equal('record.not-found');
    });
    it('cannot say more hours than their own days hold, nor expire before they were issued', () => {
      const { lot } = take();
      const days = { ...FROZEN, lot, frozenFrom: '2026-03-01', frozenTo: '2026-03-03' };
      expect(refused('attach-evidence', days).fields[0]!.field).to.equal('frozenFor');
      door.house.done('attach-evidence', { ...days, frozenTo: '2026-03-07' });
      expect(
        refused('attach-evidence', { ...FROZEN, lot, issuedOn: '2026-03-05', expiresOn: '2026-03-01' }).code
      ).to.equal('time.out-of-order');
      expect(refused('attach-evidence', { ...FROZEN, lot, issuedOn: '2026-04-05' }).code).to.equal('time.in-future');
    });
    it('a shellfish tag is kept 90 days from the last served', () => {
      const { lot } = take({ species: 'oyster', form: 'live', core: '' });
      door.house.done('attach-evidence', { lot, type: 'shellfish-tag', issuer: 'Skerry', reference: 'tag 9' });
      const [tag] = door.house.store.projections.lot(lot).evidence;
      const close = { lot, evidence: tag!.seq, lastServedOn: '2026-03-09' };
      expect(refused('close-tag', { ...close, lastServedOn: '2026-03-08' }).code).to.equal('time.out-of-order');
      expect(refused('close-tag', { ...close, lastServedOn: '2026-03-10' }).code).to.equal('time.in-future');
      // 22 days are left of March, then 30 and 31: the 38th of the rest is the 7th of June.
      expect(door.house.done('close-tag', close)).to.deep.equal({ lot, keepUntil: '2026-06-07' });
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
