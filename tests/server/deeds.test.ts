import { expect } from 'chai';
import { NOON, charHouse } from './house.ts';

describe('what ends a piece', () => {
  const at = charHouse();
  const grams = () => at.house.store.projections.piece(at.piece).state.grams;
  const serve = (more: object) => at.house.act('serve-piece', { piece: at.piece, route: 'raw', ...more });
  const bin = (more: object) => at.house.act('discard-piece', { piece: at.piece, ...more });

  it('silence is neither all of it nor some: a weight, or "all of it"', () => {
    const before = grams();
    expect(serve({})).to.include({ ok: false, code: 'form.incomplete' });
    expect(serve({ mass: '' })).to.include({ ok: false, code: 'form.incomplete' });
    expect(bin({ reason: 'dropped' })).to.include({ ok: false, code: 'form.incomplete' });
    expect(bin({ reason: 'dropped', mass: '20 g', all: true })).to.include({ ok: false, code: 'form.one-of-two' });
    expect(grams()).to.equal(before);
    expect(bin({ reason: 'dropped', mass: '20 g' }).ok).to.equal(true);
    expect(grams()).to.equal(before - 20);
    expect(serve({ all: 'on' }).ok).to.equal(true);
    expect(grams()).to.equal(0);
  });
  it('a letter is no reason', () => {
    for (const reason of ['', 'x', 'ab']) {
      const answer = bin({ reason, all: true });
      expect(answer, reason).to.include({ ok: false });
      expect(answer.ok ? [] : answer.fields.map(({ field }) => field)).to.deep.equal(['reason']);
    }
    expect(bin({ reason: 'off', all: true }).ok).to.equal(true);
  });
  it('is undone within two minutes by who did it on the same tablet, and not after', () => {
    const before = grams();
    const undo = (tablet: string) =>
      at.house.act(
        'amend-entry',
        { seq: at.house.store.record.head().seq, void: true, reason: 'undone at once', ownWidening: true },
        { tablet }
      );
    at.house.act('discard-piece', { piece: at.piece, reason: 'dropped', all: true }, { tablet: 'bar' });
    expect(undo('hall')).to.include({ ok: false, code: 'record.needs-second-person' });
    at.house.clock.moveTo(NOON + 119_000, true);
    expect(undo('bar').ok).to.equal(true);
    expect(grams()).to.equal(before);
    at.house.act('discard-piece', { piece: at.piece, reason: 'dropped', all: true }, { tablet: 'bar' });
    at.house.clock.moveTo(NOON + 240_000, true);
    expect(undo('bar')).to.include({ ok: false, code: 'record.needs-second-person' });
    expect(grams()).to.equal(0);
  });
});
