import { expect } from 'chai';
import {
  hindranceOf,
  mayBegin,
  OCCUPANTS,
  occupantsOf,
  STEP_IDS,
  STEPS,
  type Occupant
} from '../../src/lib/core/record/occupation.ts';
import { hindranceWords } from '../../src/lib/words/occupation.ts';

type Occupied = Parameters<typeof occupantsOf>[0];
const RUNNING = [{ ended: null }];
const FREE = {
  boards: [],
  freezes: [],
  thaws: [],
  cures: [],
  acids: [],
  ages: [],
  holds: [],
  gone: null
} as unknown as Occupied;
const SLOT: Record<Occupant, keyof Occupied> = {
  board: 'boards',
  freezer: 'freezes',
  thaw: 'thaws',
  cure: 'cures',
  acid: 'acids',
  rack: 'ages',
  tray: 'holds'
};
const inside = (...occupants: Occupant[]): Occupied =>
  Object.assign({}, FREE, ...occupants.map((each) => ({ [SLOT[each]]: RUNNING }))) as Occupied;

describe('what a piece is in', () => {
  it('is told by its last run of each kind; a tray never ends', () => {
    expect(occupantsOf(FREE)).to.deep.equal([]);
    for (const each of OCCUPANTS) expect(occupantsOf(inside(each))).to.deep.equal([each]);
    expect(occupantsOf(inside('cure', 'freezer'))).to.deep.equal(['freezer', 'cure']);
    const over = Object.assign({}, FREE, {
      cures: [{ ended: {} }],
      freezes: [{ ended: null }, { ended: {} }]
    }) as Occupied;
    expect(occupantsOf(over)).to.deep.equal([]);
  });
  it('law: a step begins exactly within what its row allows, and every hindrance has words', () => {
    for (const step of STEP_IDS)
      for (const a of OCCUPANTS)
        for (const b of OCCUPANTS) {
          const piece = inside(a, b);
          const rule: { within: readonly Occupant[]; needs?: Occupant } = STEPS[step];
          const fits =
            [a, b].every((each) => rule.within.includes(each)) && (!rule.needs || [a, b].includes(rule.needs));
          expect(mayBegin(piece, step), `${step} in ${a} and ${b}`).to.equal(fits);
          const hindrance = hindranceOf(piece, step);
          if (hindrance) expect(hindranceWords(hindrance)).to.not.match(/undefined/);
        }
  });
  it('lying free anything begins but what goes on with something; gone nothing does', () => {
    for (const step of STEP_IDS) expect(mayBegin(FREE, step), step).to.equal(!('needs' in STEPS[step]));
    const gone = { ...FREE, gone: { how: 'served', stamp: { seq: 1, at: 0, by: 'p1' } } } as Occupied;
    for (const step of STEP_IDS) expect(hindranceOf(gone, step)).to.deep.equal({ kind: 'gone', how: 'served' });
  });
  it('nothing on a tray goes back into the cold, a cure, acid or a rack', () => {
    for (const step of ['freeze', 'thaw', 'cure', 'acid', 'hang', 'break-down', 'put-out'] as const)
      expect(hindranceOf(inside('tray'), step), step).to.deep.equal({ kind: 'in', occupant: 'tray' });
  });
});
