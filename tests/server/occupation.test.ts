import { expect } from 'chai';
import type { App } from '../../src/lib/server/app.ts';
import { pieceChoices } from '../../src/lib/server/facts/choices.ts';
import { occupantsOf, type Occupant } from '../../src/lib/core/record/occupation.ts';
import type { TestHouse } from './house.ts';
import { BEGINS, houseWithChar, INTO, into } from './into.ts';

describe('what a piece is in decides what may begin with it', () => {
  let house: TestHouse;
  const open = () => {
    const opened = houseWithChar();
    house = opened.house;
    return opened.piece;
  };
  const app = () => ({ store: house.store, clock: house.clock }) as unknown as App;

  // Each of these was taken once.
  for (const [occupant, step, name] of [
    ['cure', 'put-out', 'a tray is not begun while it cures'],
    ['freezer', 'put-out', 'a tray is not begun in a freezer'],
    ['thaw', 'put-out', 'a tray is not begun while it thaws'],
    ['freezer', 'slice', 'slices are not recorded in a freezer'],
    ['rack', 'slice', 'slices are not recorded on the rack'],
    ['tray', 'freeze', 'nothing on a tray goes into a freezer'],
    ['tray', 'cure', 'nothing on a tray goes into a cure'],
    ['tray', 'acid', 'nothing on a tray goes into acid']
  ] as const) {
    it(name, () => {
      const piece = open();
      into(house, piece, occupant);
      const [, operation, input] = BEGINS.find(([each]) => each === step)!;
      const answer = house.act(operation, { piece, ...input });
      expect(answer).to.deep.include({ ok: false, code: 'record.not-allowed-now' });
      house.close();
    });
  }

  for (const occupant of Object.keys(INTO) as Occupant[]) {
    it(`in ${occupant}: what is offered to pick is what its operation takes`, () => {
      const piece = open();
      into(house, piece, occupant);
      const choice = pieceChoices(app()).find(({ id }) => id === piece)!;
      expect(choice.in).to.deep.equal([occupant]);
      expect(occupantsOf(house.store.projections.piece(piece).state)).to.deep.equal([occupant]);
      for (const [step, operation, input] of BEGINS) {
        house.clock.moveTo(house.clock.now() + 60_000, true);
        const answer = house.act(operation, { piece, ...input });
        const refused = !answer.ok && answer.code === 'record.not-allowed-now' && answer.details.field === 'piece';
        if (choice.may.includes(step)) expect(refused, `${step}: ${JSON.stringify(answer)}`).to.equal(false);
        else expect(refused, `${step} was not refused: ${JSON.stringify(answer)}`).to.equal(true);
        // What was taken put it somewhere else: from there another test goes on.
        if (answer.ok && !['slice', 'divide', 'move', 'dress'].includes(step)) break;
      }
      house.close();
    });
  }
  it('gone, nothing begins with it', () => {
    const piece = open();
    house.done('discard-piece', { piece, reason: 'dropped', all: true });
    for (const [, operation, input] of BEGINS) {
      const answer = house.act(operation, { piece, ...input });
      expect(answer).to.deep.include({ ok: false, code: 'record.not-allowed-now' });
    }
    expect(pieceChoices(app()).some(({ id }) => id === piece)).to.equal(false);
    house.close();
  });
});
