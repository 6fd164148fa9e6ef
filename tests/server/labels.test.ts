import { expect } from 'chai';
import { nowView } from '../../src/lib/server/views/now.ts';
import { HOUR, NOON, charHouse } from './house.ts';

describe('a label that says more than stands', () => {
  const at = charHouse();
  const print = () => at.house.done('print-labels', { pieces: [at.piece], size: 'roll-60x40', job: 'job-1' });
  const later = (hours: number) => at.house.clock.moveTo(NOON + hours * HOUR, true);
  const asked = () =>
    nowView(at.house)
      .tasks.filter(({ code }) => code === 'label-stale')
      .map(({ piece, seen }) => [piece, seen.route]);

  it('is asked for anew once it lay warm, and no more once it is printed', () => {
    print();
    expect(asked()).to.deep.equal([]);
    at.house.done('move-piece', { piece: at.piece, place: 'the pass', cold: false });
    later(3);
    at.house.done('move-piece', { piece: at.piece, place: 'top drawer', cold: true });
    expect(asked()).to.deep.equal([[at.piece, 'raw']]);
    print();
    expect(asked()).to.deep.equal([]);
  });
  it('where no label was printed, or before labels were kept word for word, nobody is asked', () => {
    at.house.done('move-piece', { piece: at.piece, place: 'the pass', cold: false });
    later(3);
    at.house.done('move-piece', { piece: at.piece, place: 'top drawer', cold: true });
    expect(asked()).to.deep.equal([]);
  });
  it('raw is shut and cooked is open: what it says of raw misleads', () => {
    print();
    const levels = Object.fromEntries(
      ['colour', 'gaping', 'drip', 'flesh', 'blood', 'smell'].map((each) => [`level-${each}`, '0'])
    );
    const { lot } = at.house.store.projections.piece(at.piece);
    at.house.done('inspect-lot', { lot: lot.id, ...levels, decision: 'cooked-only', reason: 'for the grill' });
    expect(asked()).to.deep.equal([[at.piece, 'raw']]);
  });
  it('a printed label stands in the ledger with what it promised', () => {
    print();
    const { label, lastSeq } = at.house.store.projections.piece(at.piece).state;
    expect(label).to.include({ seq: lastSeq, size: 'roll-60x40' });
    expect(label!.said.map(({ route }) => route)).to.deep.equal(['raw', 'cooked']);
    for (const { until } of label!.said) expect(until === null || until > NOON).to.equal(true);
  });
});
