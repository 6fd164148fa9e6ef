import { expect } from 'chai';
import fc from 'fast-check';
import { saidInstant, wallText } from '../../src/lib/core/measure/day.ts';
import { DAY, HOUR, MINUTE } from '../../src/lib/core/measure/spans.ts';
import { offsetText, wallReadings } from '../../src/lib/core/measure/wall.ts';
import { runs } from '../runs.ts';
import { troubleOf } from '../trouble.ts';

const ZONES = ['UTC', 'Europe/Oslo', 'America/St_Johns', 'Australia/Lord_Howe', 'Asia/Kolkata', 'Pacific/Apia'];
const inZone = (zone: string) => (at: number) => wallText(at, zone);

describe('a time as somebody says it', () => {
  for (const [zone, twice, skipped] of [
    ['Europe/Oslo', '2026-10-25T02:30', '2026-03-29T02:30'],
    ['America/New_York', '2026-11-01T01:30', '2026-03-08T02:30'],
    ['Australia/Lord_Howe', '2026-04-05T01:45', '2026-10-04T02:15']
  ] as const) {
    it(`that comes twice in ${zone} is asked about, and each answer is one of the two`, () => {
      const { code, details } = troubleOf(() => saidInstant(twice, zone, 'at'));
      expect(code).to.equal('time.exists-twice');
      const [first, second] = (details.candidates ?? []).map((text) => saidInstant(text, zone, 'at'));
      expect(wallText(first!, zone)).to.equal(twice);
      expect(wallText(second!, zone)).to.equal(twice);
      expect(second! - first!).to.equal(zone === 'Australia/Lord_Howe' ? 30 * MINUTE : HOUR);
    });
    it(`that the clocks jump over in ${zone} is refused`, () => {
      expect(troubleOf(() => saidInstant(skipped, zone, 'at')).code).to.equal('time.does-not-exist');
    });
  }
  it('on any other night is one moment; a day alone is none to ask about', () => {
    expect(saidInstant('2026-03-14T18:30', 'Europe/Oslo')).to.equal(Date.UTC(2026, 2, 14, 17, 30));
    expect(saidInstant('2026-10-25T02:30:00+01:00', 'Europe/Oslo')).to.equal(Date.UTC(2026, 9, 25, 1, 30));
    expect(saidInstant('2026-10-25', 'Europe/Oslo')).to.equal(Date.UTC(2026, 9, 24, 22));
    expect(troubleOf(() => saidInstant('half past six', 'UTC', 'at')).code).to.equal('time.unreadable');
  });

  it('every moment is found again from its wall time, with its offset', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...ZONES),
        fc.integer({ min: Date.UTC(2020, 0, 1) / MINUTE, max: Date.UTC(2030, 0, 1) / MINUTE }),
        (zone, minute) => {
          const at = minute * MINUTE;
          const wall = wallText(at, zone);
          const readings = wallReadings(wall, inZone(zone));
          expect(readings).to.include(at);
          expect(readings.length).to.be.within(1, 2);
          expect(saidInstant(wall + offsetText(wall, at), zone)).to.equal(at);
        }
      ),
      runs(2000)
    );
  });
  it('a time of the wall has no reading just where the clocks jump', () => {
    const ahead = (at: number, zone: string) => Date.parse(`${wallText(at, zone)}Z`) - at;
    let jumps = 0;
    for (const zone of ZONES)
      for (let day = Date.UTC(2026, 0, 1); day < Date.UTC(2027, 0, 1); day += DAY) {
        if (ahead(day + DAY, zone) <= ahead(day, zone)) continue;
        for (let at = day; at < day + DAY; at += 30 * MINUTE) {
          const jumped = ahead(at + 30 * MINUTE, zone) - ahead(at, zone);
          // The quarter of an hour before the jump is there, the one after it is not.
          const within = new Date(at + 45 * MINUTE + ahead(at, zone)).toISOString().slice(0, 16);
          expect(wallReadings(within, inZone(zone)).length, `${zone} ${within}`).to.equal(jumped > 0 ? 0 : 1);
          if (jumped > 0) jumps++;
          if (jumped > 0) break;
        }
      }
    expect(jumps).to.be.greaterThan(2);
  });
  it('what is no time has none', () => {
    expect(wallReadings('soon', inZone('UTC'))).to.deep.equal([]);
    expect(wallReadings('2026-13-40T25:00', inZone('UTC'))).to.deep.equal([]);
  });
});
