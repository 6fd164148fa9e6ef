import { expect } from 'chai';
import { ask } from './build.ts';

describe('what is shut for ever', () => {
  it('lists nothing that would change it, and no later closing of the same routes', () => {
    for (const lot of [{ species: 'puffer', source: 'wild' as const }, { species: 'crab' }, { species: 'eel' }]) {
      const seen = ask({ lot }, 4);
      const shut = seen.windows.filter(({ never }) => never).map(({ route }) => route);
      expect(shut.length, lot.species).to.be.greaterThan(0);
      for (const reason of seen.reasons.filter(({ routes }) => routes.every((route) => shut.includes(route)))) {
        expect(reason.wouldChange, `${lot.species} ${reason.code}`).to.equal(null);
        expect(['never', 'missing', 'pass'], `${lot.species} ${reason.code}`).to.include(reason.effect.kind);
      }
    }
  });
  it('the pan keeps its own: what closes it and what it lacks are said', () => {
    const seen = ask({ lot: { species: 'eel' } }, 4);
    expect(seen.reasons.some(({ routes, effect }) => routes.includes('cooked') && effect.kind === 'closes')).to.equal(
      true
    );
  });
});
