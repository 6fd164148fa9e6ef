import { expect } from 'chai';
import { CHAR, charHouse } from './house.ts';

describe('what is most likely another unit', () => {
  const at = charHouse();
  const WHOLE = { ...CHAR, species: 'turbot', form: 'whole', source: 'wild', farmSystem: '', water: 'sea' };
  const take = (more: object) => at.house.act('receive-lot', { ...WHOLE, ...more });
  const asked = (more: object) => {
    const answer = take(more);
    return answer.ok ? null : [answer.code, ...(answer.details.candidates ?? [])];
  };

  it('grams for kilograms: a turbot of 2.4 g is asked about, a sardine of 60 g and a fillet are not', () => {
    expect(asked({ mass: '2.4 g' })).to.deep.equal(['receive.mass-odd', '2.4 kg']);
    expect(asked({ mass: '24 g', count: 12 })).to.deep.equal(['receive.mass-odd', '24 kg']);
    expect(asked({ mass: '2.4 kg' })).to.equal(null);
    expect(asked({ species: 'sardine', mass: '60 g' })).to.equal(null);
    expect(asked({ form: 'fillet', mass: '4 g' })).to.equal(null);
  });
  it('°C for °F and the other way round, at the door of what is chilled', () => {
    expect(asked({ mass: '2 kg', core: '34 C' })).to.deep.equal(['receive.core-odd', '34 F']);
    expect(asked({ mass: '2 kg', core: '2 F' })).to.deep.equal(['receive.core-odd', '2 C']);
    expect(asked({ mass: '2 kg', core: '-20 C', frozen: true })).to.equal(null);
  });
  it('one fish heavier than any of its kind: how many are there, or is it another unit', () => {
    expect(asked({ species: 'sardine', mass: '25 kg' })).to.deep.equal(['receive.too-heavy']);
    // A box of small fish is weighed, not counted.
    expect(asked({ species: 'sardine', mass: '8 kg' })).to.equal(null);
    expect(asked({ mass: '40 kg' })).to.deep.equal(['receive.too-heavy']);
    expect(asked({ species: 'sardine', mass: '25 kg', count: 1 })).to.deep.equal(['receive.too-heavy', '25 g']);
    expect(asked({ species: 'sardine', mass: '25 kg', count: 1, sure: true })).to.equal(null);
    expect(asked({ species: 'sardine', mass: '25 kg', count: 260 })).to.equal(null);
    // Of fillets a box is a box, and of what may be several kinds nobody knows.
    expect(asked({ species: 'sardine', form: 'fillet', mass: '25 kg' })).to.equal(null);
    const nameless = { species: 'unidentified', candidates: 'sardine,herring' };
    expect(asked({ ...nameless, mass: '25 kg' })).to.equal(null);
    expect(asked({ mass: '24.9 kg' })).to.equal(null);
    expect(asked({ mass: '26 kg', count: 1 })).to.deep.equal(['receive.too-heavy', '26 g']);
  });
  it('what the rules turn away at the door as too warm, and somebody accepts', () => {
    const mackerel = { species: 'atlantic-mackerel', mass: '600 g' };
    expect(asked({ ...mackerel, core: '9.5 C' })).to.deep.equal(['receive.warm-accepted', 'send-back']);
    expect(asked({ ...mackerel, core: '1.5 C' })).to.equal(null);
    // Frozen goods are warm at one degree; what comes alive is judged by its air.
    expect(asked({ mass: '2 kg', core: '1 C', frozen: true })).to.deep.equal(['receive.warm-accepted', 'send-back']);
    // Sent back nobody is asked; and whoever takes it all the same is told what the rules say, as before.
    expect(asked({ ...mackerel, core: '9.5 C', decision: 'send-back', reason: 'warm' })).to.equal(null);
    const taken = at.house.done('receive-lot', { ...WHOLE, ...mackerel, core: '9.5 C', sure: true });
    const { lot } = at.house.store.projections.piece(String(taken.piece));
    expect(lot.received.core!.si).to.equal(9.5);
  });
  it('whoever is sure says so', () => {
    expect(asked({ mass: '2.4 g', core: '34 C', sure: true })).to.equal(null);
  });
});
