import { expect } from 'chai';
import { DAY, HOUR, MINUTE } from '../../src/lib/core/measure/spans.ts';
import { wallText } from '../../src/lib/core/measure/day.ts';
import { wallTicks } from '../../src/lib/ui/charts/wall-ticks.ts';

const BEGIN = Date.UTC(2026, 2, 27, 9, 7);
const inZone = (zone: string) => (at: number) => wallText(at, zone);

describe('round times along an axis', () => {
  for (const [span, most, every] of [
    [50 * MINUTE, 5, 15 * MINUTE],
    [14 * HOUR, 7, 2 * HOUR],
    [78 * HOUR, 13, 6 * HOUR],
    [180 * HOUR, 8, DAY],
    [340 * HOUR, 8, 2 * DAY],
    [300 * DAY, 11, 28 * DAY]
  ] as const)
    it(`of ${span / HOUR} h, at most ${most}, stand ${every / HOUR} h apart`, () => {
      const { at, days } = wallTicks([BEGIN, BEGIN + span], most, inZone('UTC'));
      expect(at.length).to.be.within(2, most + 1);
      at.slice(1).forEach((each, index) => expect(each - at[index]!).to.equal(every));
      expect(days).to.equal(every >= DAY);
    });

  for (const zone of ['Europe/Oslo', 'Asia/Kolkata', 'America/St_Johns', 'Pacific/Auckland', 'Asia/Kathmandu'])
    it(`is round on the wall in ${zone}, also across a change of clocks`, () => {
      const midnights = wallTicks([BEGIN, BEGIN + 12 * DAY], 12, inZone(zone)).at;
      expect(midnights).to.have.length.within(11, 13);
      for (const at of midnights) expect(wallText(at, zone)).to.match(/T00:00$/);
      for (const at of wallTicks([BEGIN, BEGIN + 3 * DAY], 12, inZone(zone)).at)
        expect(Number(wallText(at, zone).slice(11, 13)) % 6, wallText(at, zone)).to.equal(0);
    });

  it('ends, and has nothing, where the axis has no length', () => {
    expect(wallTicks([BEGIN, BEGIN], 5, inZone('UTC')).at).to.deep.equal([]);
    expect(wallTicks([BEGIN, BEGIN - HOUR], 5, inZone('UTC')).at).to.deep.equal([]);
  });
});
