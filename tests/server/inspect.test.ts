import { expect } from 'chai';
import { pieceView } from '../../src/lib/server/views/piece.ts';
import { FROZEN, doorHouse } from './door-house.ts';

describe('inspecting and answering for', () => {
  const door = doorHouse();
  const { raw, take, refused } = door;

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
      door.house.done('attach-evidence', { lot, ...FROZEN });
      expect(raw(piece)).to.equal('not-cleared');
      const seen = door.house.done('inspect-lot', { lot, ...fresh, decision: 'accept' });
      expect(seen).to.deep.include({ recommended: 'accept', points: 0, most: 30 });
      // The sheet stands in for the day of catch.
      expect(raw(piece)).to.equal('open');
      expect(pieceView(door.app, piece).clocks.freshness!.basis).to.equal('inspection');
      door.house.done('inspect-lot', {
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
      door.house.done('attach-evidence', { lot, ...FROZEN });
      const looser = { lot, ...fresh, decision: 'accept', reason: 'looked again in the light' };
      expect(refused('inspect-lot', looser).code).to.equal('record.widens-without-owner');
      door.house.done('inspect-lot', { ...looser, own: 'on' });
      expect(raw(piece)).to.equal('open');
      expect(pieceView(door.app, piece).owned[0]).to.deep.include({ by: 'p1', reason: 'looked again in the light' });
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
      door.house.done('inspect-lot', {
        lot,
        ...fresh,
        'level-drip': 'unseen',
        decision: 'hold-freeze',
        reason: 'wild'
      });
    });
    it('is done on the house’s own sheet, once it has one', () => {
      const { lot } = take();
      door.house.done('set-sheet', {
        sheet: 'fillet',
        'weight-smell': '5',
        'text-smell-0': 'clean',
        reason: 'smell first'
      });
      const seen = door.house.done('inspect-lot', {
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
      door.house.done('set-sheet', { sheet: 'fillet', reset: 'on', reason: 'the shipped one after all' });
    });
  });

  describe('exceptions', () => {
    it('are answered for by name, shown, and taken back', () => {
      const { lot, piece } = take({ caughtOn: '' });
      door.house.done('attach-evidence', { lot, ...FROZEN });
      const input = {
        piece,
        code: 'freshness.no-catch-date',
        routes: 'raw,cured',
        reason: 'The boat told me by phone: Sunday.'
      };
      expect(refused('own-exception', input).code).to.equal('record.widens-without-owner');
      expect(refused('own-exception', { ...input, own: 'on', reason: 'ok' }).fields[0]!.field).to.equal('reason');
      door.house.done('own-exception', { ...input, own: 'on', until: '1 h' });
      expect(raw(piece)).to.equal('ebbing');
      const { owned } = pieceView(door.app, piece);
      expect(owned.map(({ by, exception }) => [by, exception])).to.deep.equal([['p1', true]]);
      door.house.clock.moveBy(3600_000);
      expect(raw(piece)).to.equal('closed');
      door.house.done('withdraw-exception', { piece, exception: owned[0]!.seq, reason: 'sent back after all' });
      expect(raw(piece)).to.equal('not-cleared');
    });
    it('go with the pieces taken from it', () => {
      const { lot, piece } = take({ caughtOn: '' });
      door.house.done('attach-evidence', { lot, ...FROZEN });
      door.house.done('own-exception', {
        piece,
        code: 'freshness.no-catch-date',
        routes: 'raw',
        reason: 'My own risk and my own name.',
        own: 'on'
      });
      const { piece: child } = door.house.done('divide-piece', { piece, name: 'Loin', mass: '500 g' });
      expect(raw(String(child))).to.equal('open');
    });
    it('what the law leaves to no name is opened by the authority’s document alone', () => {
      const { lot, piece } = take();
      const input = { piece, code: 'parasites.not-frozen', routes: 'raw', reason: 'I have done this before.' };
      expect(refused('own-exception', { ...input, own: 'on' }).code).to.equal('record.exception-refused');
      const { hash } = door.house.store.files.put(new TextEncoder().encode('%PDF-1.4'), 'application/pdf', 0);
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
      door.house.done('attach-evidence', document);
      expect(raw(piece)).to.equal('not-cleared');
      door.house.done('attach-evidence', { ...document, file: hash });
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
});
