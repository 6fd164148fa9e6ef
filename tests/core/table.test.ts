import { expect } from 'chai';
import fc from 'fast-check';
import { SPECIES } from '../../src/lib/core/fish/species.ts';
import {
  claimsOf,
  fishNamedIn,
  matrixOf,
  notFor,
  untrueOf,
  type Claims,
  type FishFacts
} from '../../src/lib/core/service/table.ts';
import { runs } from '../runs.ts';
import { troubleOf } from '../trouble.ts';

const PLAIN = { source: '', from: '', neverFrozen: false } as const;
const card = (name: string, more: Partial<Omit<Claims, 'lineCaught'>> = {}) => claimsOf({ name, ...PLAIN, ...more });
const FISH: FishFacts = {
  source: 'wild',
  area: 'Outer bank, FAO 27',
  gear: 'longline',
  killing: 'bled',
  frozen: 'no',
  agedDays: 0
};
const NOBODY: FishFacts = { ...FISH, source: 'unknown', area: '', gear: 'unknown', frozen: 'unknown' };

describe('what a card says of its fish', () => {
  it('is said by its name as well as by what was ticked', () => {
    expect(card('Wild turbot')).to.deep.include({ source: 'wild', neverFrozen: false });
    expect(card('Line-caught bass, fresh')).to.deep.include({ lineCaught: true, neverFrozen: true });
    expect(card('Farmed char')).to.deep.include({ source: 'farmed' });
    expect(card('Wilder turbot, freshwater')).to.deep.equal({ ...PLAIN, lineCaught: false });
    expect(troubleOf(() => card('Wild turbot', { source: 'farmed' })).code).to.equal('form.value-unknown');
  });
  it('is true of a piece only where it is known, and of a mix only where it is true of each of its lots', () => {
    const all = { source: 'wild', from: 'outer BANK', neverFrozen: true, lineCaught: true } as const;
    expect(untrueOf(all, [FISH])).to.deep.equal([]);
    expect(untrueOf(all, [NOBODY])).to.have.members(['source', 'from', 'neverFrozen', 'lineCaught']);
    expect(untrueOf(all, [FISH, { ...FISH, frozen: 'yes' }])).to.deep.equal(['neverFrozen']);
    expect(untrueOf(card('Turbot'), [NOBODY])).to.deep.equal([]);
    expect(troubleOf(() => untrueOf(all, [])).code).to.equal('form.incomplete');
  });
  it('law: more lots in a piece never make more of it true', () => {
    const fact = fc.record({
      source: fc.constantFrom('wild' as const, 'farmed' as const, 'unknown' as const),
      area: fc.constantFrom('', 'Outer bank', 'Inner sound'),
      gear: fc.constantFrom('unknown' as const, 'longline' as const, 'trawl' as const),
      killing: fc.constant('unknown' as const),
      frozen: fc.constantFrom('yes' as const, 'no' as const, 'unknown' as const),
      agedDays: fc.constant(0)
    });
    const claims = fc.record({
      source: fc.constantFrom('' as const, 'wild' as const, 'farmed' as const),
      from: fc.constantFrom('', 'bank'),
      neverFrozen: fc.boolean(),
      lineCaught: fc.boolean()
    });
    fc.assert(
      fc.property(claims, fact, fact, (said, one, other) => {
        expect(untrueOf(said, [one, other])).to.include.members(untrueOf(said, [one]));
      }),
      { ...runs(200), endOnFailure: true }
    );
  });
});

describe('fish that a name speaks of', () => {
  const named = (name: string, ...others: string[]) => fishNamedIn(name, SPECIES, others);
  it('are found in its words, the longest first, and several stay several', () => {
    expect(named('Kelp-pressed turbot')).to.deep.equal([['turbot']]);
    expect(named('Six oysters')[0]).to.include('oyster');
    expect(named('Spoon-meat bowl')).to.deep.equal([]);
    expect(named('Atlantic bonito and halibut').flat()).to.include.members(['atlantic-bonito', 'halibut']);
  });
  it('what something else on the plate is called does not count, nor a name of another tongue', () => {
    expect(named('Turbot in oyster sauce').flat()).to.include('oyster');
    expect(named('Turbot in oyster sauce', 'Oyster sauce')).to.deep.equal([['turbot']]);
    expect(named('Clams steamed in sake').flat()).to.not.include('atlantic-salmon');
  });
});

describe('whom a dish is not for', () => {
  const dish = { route: 'cooked', raw: [], rawEgg: false, tells: [], hazards: ['vibrio'] } as const;
  it('anything raw of an animal is not for who is highly susceptible, however the fish is cooked', () => {
    expect(notFor(dish)).to.deep.equal([]);
    expect(notFor({ ...dish, rawEgg: true })).to.deep.equal(['susceptible']);
    expect(notFor({ ...dish, raw: ['Salmon roe'] })).to.deep.equal(['susceptible']);
    for (const route of ['raw', 'cured', 'acid', 'seared'] as const) {
      expect(notFor({ ...dish, route })).to.deep.equal(['susceptible', 'liver']);
    }
    expect(notFor({ ...dish, tells: ['alcohol'] })).to.deep.equal(['no-alcohol']);
  });
});

describe('a table of allergens', () => {
  it('has a column for each that a dish holds or may hold, in the order of the list, names of the house last', () => {
    const told = { unsaid: [] };
    const { columns, cells } = matrixOf(
      [
        { ...told, holds: ['fish', 'house powder'], mayHold: ['mollusc'] },
        { ...told, holds: ['egg'], mayHold: ['fish'] }
      ],
      ['milk', 'egg', 'fish', 'mollusc']
    );
    expect(columns).to.deep.equal(['egg', 'fish', 'mollusc', 'house powder']);
    expect(cells).to.deep.equal([
      ['', 'holds', 'may', 'holds'],
      ['holds', 'may', '', '']
    ]);
    expect(matrixOf([], [])).to.deep.equal({ columns: [], cells: [] });
  });
});
