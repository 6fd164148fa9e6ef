import { expect } from 'chai';
import { noteFields, readNote } from '../../src/lib/server/plans/note.ts';
import { NOON, openTestHouse, type TestHouse } from './house.ts';
import { NOTE } from './note-rows.ts';

describe('a delivery note of forty rows', () => {
  let house: TestHouse;
  const given = { text: NOTE, fileName: 'note.csv', dateOrder: 'dmy', supplier: 'Kelda Bay Boats', commercial: 'yes' };
  const read = (more = {}) =>
    readNote(
      { store: house.store, house: house.store.projections.currentHouse(), now: NOON },
      noteFields.parse({ ...given, ...more })
    );
  beforeEach(() => (house = openTestHouse()));
  afterEach(() => house.close());

  it('is read with its delimiter, its commas and its headings found out; each broken row says why', () => {
    const note = read();
    expect([note.delimiter, note.decimal, note.good, note.bad]).to.deep.equal([';', ',', 33, 7]);
    expect(note.columns).to.deep.equal({
      Fisch: 'species',
      'Gewicht kg': 'mass:kg',
      Caught: 'caughtOn',
      Temp: 'core:°C',
      Origin: 'source'
    });
    const why = note.rows
      .filter(({ troubles }) => troubles.length > 0)
      .map(({ row, troubles }) => [row - 2, troubles[0]!.code, troubles[0]!.field]);
    expect(why).to.deep.equal([
      [3, 'species.unknown', 'species'],
      [9, 'species.ambiguous', 'species'],
      [14, 'form.incomplete', 'mass'],
      [20, 'time.in-future', 'caughtOn'],
      [26, 'time.unreadable', 'caughtOn'],
      [31, 'quantity.out-of-range', 'core'],
      [38, 'form.value-unknown', 'source']
    ]);
    expect(note.rows[0]!.input!.mass).to.deep.include({ si: 1500 });
  });
  it('imports none until asked, then the good ones, and remembers how its columns were read', () => {
    const before = house.store.record.head().seq;
    const refused = house.act('import-note', given);
    expect(refused).to.deep.include({ ok: false, code: 'note.rows-refused' });
    expect(house.store.record.head().seq).to.equal(before);
    const columns = JSON.stringify({ ...read().columns, Origin: '' });
    const done = house.done('import-note', { ...given, columns, source: 'wild', goodOnly: 'on' });
    // With the origin left out, row 38 is good too.
    expect(done).to.deep.include({ imported: 34, refused: 6 });
    expect(house.store.projections.lots().length).to.equal(34);
    const again = read();
    expect([again.remembered, again.columns.Origin]).to.deep.equal([true, '']);
    const entry = house.store.record.list({ kind: 'note.imported' })[0]!;
    expect(entry.kind === 'note.imported' && entry.body.refused.length).to.equal(6);
  });
  it('the lots stand in one open delivery', () => {
    const { delivery, lots } = house.done('import-note', { ...given, goodOnly: 'on' }) as {
      delivery: string;
      lots: string[];
    };
    expect(new Set(lots).size).to.equal(33);
    expect(house.store.projections.lots().every(({ received }) => received.delivery === delivery)).to.equal(true);
    house.done('close-delivery', { delivery });
  });
  it('what is no table is said so', () => {
    const trouble = (text: string) => house.act('import-note', { ...given, text, goodOnly: 'on' });
    expect(trouble('hello')).to.deep.include({ code: 'note.unreadable' });
    expect(trouble('a;a\n1;2')).to.deep.include({ code: 'note.unreadable' });
    expect(trouble('a;b\n"1;2')).to.deep.include({ code: 'note.unreadable' });
    expect(trouble(`Fish;kg\n${'turbot;1\n'.repeat(501)}`)).to.deep.include({ code: 'quantity.out-of-range' });
    expect(trouble('Fish;kg\nkraken;1')).to.deep.include({ code: 'note.rows-refused' });
  });
});
