import { expect } from 'chai';
import fc from 'fast-check';
import { ordersFitting, wallReader, writtenTime, type TimeOrder } from '../../../src/lib/core/log/times.ts';
import { troubleOf } from '../../trouble.ts';

describe('times as loggers write them', () => {
  const cases: [string, TimeOrder, string | null][] = [
    ['2026-03-12T18:00:00Z', 'iso', '2026-03-12T18:00:00Z'],
    ['2026-03-12 18:00', 'iso', '2026-03-12T18:00:00Z'],
    ['2026/03/12 18:00:30', 'iso', '2026-03-12T18:00:30Z'],
    ['2026-03-12T18:00:00.250', 'iso', '2026-03-12T18:00:00.250Z'],
    ['2026-03-31 23:59', 'iso', '2026-03-31T23:59:00Z'],
    ['12.03.2026 18:00', 'dmy', '2026-03-12T18:00:00Z'],
    ['12/03/26 6:05:09', 'dmy', '2026-03-12T06:05:09Z'],
    ['03/12/2026 06:15 PM', 'mdy', '2026-03-12T18:15:00Z'],
    ['03/12/2026 12:15 AM', 'mdy', '2026-03-12T00:15:00Z'],
    ['1773338400', 'unix', '2026-03-12T18:00:00Z'],
    ['1773338400000', 'unix-ms', '2026-03-12T18:00:00Z'],
    ['2026-02-30 18:00', 'iso', null],
    ['2026-13-01 18:00', 'iso', null],
    ['2026-03-12 24:30', 'iso', null],
    ['2026-03-12 18:61', 'iso', null],
    ['31.04.2026 10:00', 'dmy', null],
    ['yesterday', 'iso', null],
    ['nonsensical T10:00', 'iso', null],
    ['nonsense..T10:00', 'iso', null],
    ['', 'dmy', null]
  ];
  for (const [text, order, instant] of cases) {
    it(`“${text}” as ${order} is ${instant ?? 'no time'}`, () => {
      expect(writtenTime(text, order)?.wall ?? null).to.equal(instant === null ? null : Date.parse(instant));
    });
  }
  it('keeps an offset that is written with the time, and says where none is', () => {
    expect(writtenTime('2026-03-12T18:00:00+02:00', 'iso')!.offsetMinutes).to.equal(120);
    expect(writtenTime('2026-03-12 18:00 -0330', 'iso')!.offsetMinutes).to.equal(-210);
    expect(writtenTime('2026-03-12T18:00:00Z', 'iso')!.offsetMinutes).to.equal(0);
    expect(writtenTime('2026-03-12T18:00:00', 'iso')!.offsetMinutes).to.equal(null);
  });
  it('the quick way and the long way read the same', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 4_000_000_000 }), fc.constantFrom('T', ' '), (seconds, mark) => {
        const text = new Date(seconds * 1000 + (seconds % 1000)).toISOString().replace('T', mark);
        for (const length of [16, 19, 23]) {
          const quick = writtenTime(text.slice(0, length), 'iso')!.wall;
          // Another mark between the figures of the day sends it the long way.
          expect(writtenTime(text.slice(0, length).replaceAll('-', '/'), 'iso')!.wall).to.equal(quick);
        }
        expect(writtenTime(text, 'iso')).to.deep.equal({ wall: seconds * 1000 + (seconds % 1000), offsetMinutes: 0 });
      })
    );
  });
  it('says which orders fit: both where no day is past the twelfth', () => {
    expect(ordersFitting(['03/04/2026 10:00', '05/04/2026 10:00'])).to.deep.equal(['dmy', 'mdy']);
    expect(ordersFitting(['03/04/2026 10:00', '13/04/2026 10:00'])).to.deep.equal(['dmy']);
    expect(ordersFitting(['2026-04-03 10:00'])).to.deep.equal(['iso']);
    expect(ordersFitting([])).to.deep.equal([]);
  });
});

describe('wall times in a zone', () => {
  const wall = (text: string) => Date.parse(`${text}Z`);
  const read = wallReader('Europe/Copenhagen');
  it('mean one instant as a rule', () => {
    expect(read(wall('2026-03-12T18:00:00'))).to.deep.equal([Date.parse('2026-03-12T17:00:00Z')]);
    expect(read(wall('2026-07-12T18:07:30'))).to.deep.equal([Date.parse('2026-07-12T16:07:30Z')]);
  });
  it('mean none in the hour that spring leaves out', () => {
    expect(read(wall('2026-03-29T02:30:00'))).to.deep.equal([]);
    expect(read(wall('2026-03-29T03:00:00'))).to.have.length(1);
  });
  it('mean two in the hour that autumn repeats', () => {
    expect(read(wall('2026-10-25T02:30:00'))).to.deep.equal([
      Date.parse('2026-10-25T00:30:00Z'),
      Date.parse('2026-10-25T01:30:00Z')
    ]);
  });
  it('an unknown zone is named', () => {
    expect(troubleOf(() => wallReader('Mare/Tranquillitatis'))).to.include({ code: 'time.zone-unknown' });
  });
});
