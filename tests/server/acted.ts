import { expect } from 'chai';
import { EXAMPLES } from '../../src/lib/server/examples.ts';
import { HOUR, openTestHouse, type TestHouse } from './house.ts';

/** A house in which every example was done, one after another. Whoever opens it closes it. */
export function actedOut(): TestHouse {
  const house = openTestHouse();
  for (const { operation, input, later = 0 } of EXAMPLES) {
    house.clock.moveTo(house.clock.now() + later * HOUR, true);
    const answer = house.act(operation, input);
    expect(answer.ok, `${operation} ${answer.ok ? '' : answer.code}`).to.equal(true);
  }
  return house;
}
