import { expect } from 'chai';
import fc from 'fast-check';
import { RAW_ROUTES } from '../../src/lib/core/codes/window.ts';
import { decisionFloor, neverMilder } from '../../src/lib/core/rules/decision-floor.ts';
import { STRICTNESS, type Decision } from '../../src/lib/core/inspect/score.ts';
import { SPECIES } from '../../src/lib/core/fish/species.ts';
import { anyCase, anyHour } from './cases.ts';
import { ask, celsius } from './build.ts';
import { runs } from '../runs.ts';

const DECISIONS = Object.keys(STRICTNESS) as Decision[];

describe('a sheet never recommends what the verdict refuses', () => {
  it('a fish that came warm goes back; one that is never raw is cooked; one that is nothing goes back', () => {
    const at = (lot: object) => decisionFloor(ask({ lot }, 1).reasons);
    expect(at({})).to.equal('accept');
    expect(at({ species: 'atlantic-mackerel', source: 'wild', core: celsius(9.5) })).to.equal('send-back');
    const onlyCooked = SPECIES.map(({ id }) => ask({ lot: { species: id, source: 'wild' } }, 1)).filter(({ windows }) =>
      windows.every(({ route, never }) => never === (route !== 'cooked'))
    );
    expect(onlyCooked.length).to.be.greaterThan(0);
    for (const { reasons } of onlyCooked) expect(STRICTNESS[decisionFloor(reasons)]).to.be.at.least(2);
    expect(at({ species: 'puffer', source: 'wild' })).to.equal('send-back');
  });
  it('law: what is recommended always has a window that may open, and never is milder than the sheet', () => {
    const seed = 818;
    fc.assert(
      fc.property(anyCase, anyHour, fc.constantFrom(...DECISIONS), (of, hours, sheet) => {
        const { reasons, windows } = ask(of, hours);
        const said = neverMilder(sheet, reasons);
        expect(STRICTNESS[said]).to.be.at.least(STRICTNESS[sheet]);
        // Where the verdict leaves nothing, nothing is taken; what was decided before is not asked here.
        if (windows.every(({ never }) => never) && !reasons.some(({ code }) => code.startsWith('decision.')))
          expect(said).to.equal('send-back');
        const isRawRefused = windows.every(({ route, never }) => !RAW_ROUTES.includes(route) || never);
        if (isRawRefused && !reasons.some(({ code }) => code.startsWith('decision.')))
          expect(STRICTNESS[said], `seed ${seed}`).to.be.at.least(STRICTNESS['cooked-only']);
      }),
      { seed, ...runs(200) }
    );
  });
});
