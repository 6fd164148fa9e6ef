import { expect } from 'chai';
import fc from 'fast-check';
import { bare, guessLog, loggedFigure, logReader, type LogMapping } from '../../../src/lib/core/log/csv.ts';
import { troubleOf } from '../../trouble.ts';

const NOW = Date.UTC(2026, 2, 20);
const mapping = (more: Partial<LogMapping> = {}): LogMapping => ({
  delimiter: ',',
  skip: 1,
  time: 0,
  day: null,
  order: 'iso',
  zone: 'UTC',
  decimal: '.',
  values: [{ column: 1, sensor: 'chest', unit: 'C' }],
  clockOffsetSeconds: 0,
  ...more
});
const take = (lines: readonly string[], how = mapping()) => {
  const reader = logReader(how, NOW);
  lines.forEach((line, index) => reader.take(line.split(how.delimiter).map(bare), index + 1 + how.skip));
  return reader.done();
};
const only = (lines: readonly string[], how = mapping()) => take(lines, how).sensors[0]!.series;

describe('what a logger’s file looks like', () => {
  it('semicolons, decimal commas, a preamble, two sensors and a day of its own', () => {
    const guess = guessLog([
      'Serial no;88-1203;;',
      '',
      'No;Date;Time;Chest °C;Probe °F',
      '1;13.03.2026;18:00:00;-20,4;-4,0',
      '2;13.03.2026;18:05:00;-20,6;-4,2'
    ]);
    expect(guess.mapping).to.deep.include({ delimiter: ';', skip: 3, day: 1, time: 2, order: 'dmy', decimal: ',' });
    expect(guess.mapping.values).to.deep.equal([
      { column: 3, sensor: '', unit: 'C' },
      { column: 4, sensor: '', unit: 'F' }
    ]);
    expect(guess.asks).to.deep.equal(['zone']);
  });
  it('asks for the order of day and month where both fit, and for the zone where none is written', () => {
    const guess = guessLog(['time,C', '03/04/2026 10:00,-20', '04/04/2026 10:00,-21']);
    expect(guess.asks).to.deep.equal(['order', 'zone']);
    expect(guess.orders).to.deep.equal(['dmy', 'mdy']);
  });
  it('asks nothing of a file that says it all', () => {
    expect(guessLog(['time,celsius', '2026-03-13T18:00:00Z,-20', '2026-03-13T18:01:00Z,-20.1']).asks).to.deep.equal([]);
  });
  it('takes no humidity, counter or battery for a temperature', () => {
    const { mapping: found } = guessLog(['#,Time,Temp,RH %,Batt V', '1,2026-03-13T18:00:00Z,-20,55,3.1']);
    expect(found.values.map(({ column }) => column)).to.deep.equal([2]);
  });
  it('reads past a mark at the beginning and quotes round the cells', () => {
    const { mapping: found } = guessLog(['\ufeff"Time","°F"', '"2026-03-13T18:00:00Z","-4.0"']);
    expect(found).to.deep.include({ skip: 1, time: 0 });
    expect(found.values).to.deep.equal([{ column: 1, sensor: '', unit: 'F' }]);
  });
  it('a file without a time and a figure is unreadable', () => {
    expect(troubleOf(() => guessLog(['dear sir', 'the fish is cold'])).code).to.equal('log.unreadable');
    expect(troubleOf(() => guessLog([])).code).to.equal('log.unreadable');
  });
});

describe('figures of a logger', () => {
  for (const [text, decimal, value] of [
    ['-20.4', '.', -20.4],
    ['−20,4 °C', ',', -20.4],
    ['-4.0 F', '.', -4],
    ['-20,4', '.', null],
    ['1.250,5', ',', null],
    ['ERR', '.', null],
    ['', '.', null],
    ['Infinity', '.', null],
    ['NaN', '.', null]
  ] as const) {
    it(`“${text}” with a ${decimal} is ${value}`, () => expect(loggedFigure(text, decimal)).to.equal(value));
  }
});

describe('a messy log', () => {
  const messy = [
    '2026-03-13T18:00:00,-20.0',
    '2026-03-13T18:10:00,-20.2',
    '2026-03-13T18:05:00,-20.1',
    '2026-03-13T18:05:00,-20.1',
    '2026-03-13T18:10:00,-19.2',
    'yesterday,-20',
    '2026-03-13T18:15:00,ERR',
    '2026-03-13T18:20:00,',
    '2026-03-13T18:25:00,85',
    '2026-03-13T18:25:00,-140',
    '2027-01-01T00:00:00,-20',
    '1970-01-01T00:00:10,-20'
  ];
  it('is put in order, once each, of one instant the warmer, and the rest is named by its row', () => {
    const report = take(messy);
    const { series, duplicates, conflicts } = report.sensors[0]!;
    expect([...series.celsius]).to.deep.equal([-20, -20.1, -19.2]);
    expect({ duplicates, conflicts }).to.deep.equal({ duplicates: 1, conflicts: 1 });
    expect(report.rows).to.equal(messy.length);
    expect(report.unsorted).to.equal(3);
    expect(report.troubles.map(({ row, code }) => `${row} ${code}`)).to.deep.equal([
      '7 time.unreadable',
      '8 quantity.unreadable',
      '9 quantity.empty',
      '10 broken-probe',
      '11 broken-probe',
      '12 future',
      '13 before-sensor'
    ]);
    expect(report.counts).to.include({ 'broken-probe': 2, future: 1 });
  });
  it('no row is lost: taken, twice there, or named', () => {
    const report = take(messy);
    const named = Object.values(report.counts).reduce((a, b) => a + b, 0);
    const { series, duplicates, conflicts } = report.sensors[0]!;
    expect(series.length + duplicates + conflicts + named).to.equal(messy.length);
  });
  it('lists at most two hundred troubles and counts them all', () => {
    const report = take(Array.from({ length: 500 }, () => 'never,1'));
    expect(report.troubles).to.have.length(200);
    expect(report.counts['time.unreadable']).to.equal(500);
  });
  it('the order of rows changes nothing but how many stood before their time', () => {
    const rows = Array.from({ length: 30 }, (_, index) => {
      const at = new Date(NOW - 86_400_000 + (index % 25) * 60_000).toISOString();
      return `${at},${(-20 - (index % 7) / 10).toFixed(1)}`;
    });
    const whole = only(rows);
    fc.assert(
      fc.property(fc.shuffledSubarray(rows, { minLength: rows.length }), (shuffled) => {
        const series = only(shuffled);
        expect([...series.at]).to.deep.equal([...whole.at]);
        expect([...series.celsius]).to.deep.equal([...whole.celsius]);
      })
    );
  });
});

describe('clocks of loggers', () => {
  it('a time without a zone is refused where nobody said which', () => {
    const trouble = troubleOf(() => take(['2026-03-13T18:00:00,-20'], mapping({ zone: '' })));
    expect(trouble).to.include({ code: 'log.zone-needed' });
  });
  it('a time with an offset needs none', () => {
    expect(only(['2026-03-13T18:00:00+01:00,-20'], mapping({ zone: '' })).at[0]).to.equal(
      Date.parse('2026-03-13T17:00:00Z')
    );
  });
  it('a clock that was three hours behind is put right', () => {
    const series = only(['2026-03-13T15:00:00Z,-20'], mapping({ clockOffsetSeconds: 3 * 3600 }));
    expect(series.at[0]).to.equal(Date.parse('2026-03-13T18:00:00Z'));
  });
  it('an hour that spring leaves out is no time, and is named', () => {
    const zone = 'Europe/Copenhagen';
    const reader = logReader(mapping({ zone }), Date.UTC(2026, 3, 2));
    reader.take(['2026-03-29 01:30', '-20'], 2);
    reader.take(['2026-03-29 02:30', '-20'], 3);
    reader.take(['2026-03-29 03:30', '-20'], 4);
    const report = reader.done();
    expect(report.troubles).to.deep.equal([{ row: 3, code: 'time.does-not-exist', seen: '2026-03-29 02:30' }]);
    // An hour on the wall was left out: half past one and half past three are an hour apart.
    const { at } = report.sensors[0]!.series;
    expect(at[1]! - at[0]!).to.equal(3600_000);
  });
  it('the hour that autumn repeats is taken in the order of the file', () => {
    const reader = logReader(mapping({ zone: 'Europe/Copenhagen' }), Date.UTC(2026, 10, 1));
    ['01:40', '02:10', '02:40', '02:10', '02:40', '03:10'].forEach((time, index) =>
      reader.take([`2026-10-25 ${time}`, String(-20 - index)], index + 2)
    );
    const report = reader.done();
    const { at, length } = report.sensors[0]!.series;
    expect(length).to.equal(6);
    expect(report.repeatedHour).to.equal(4);
    for (let index = 1; index < length; index++) expect(at[index]! - at[index - 1]!).to.equal(30 * 60_000);
  });
});
