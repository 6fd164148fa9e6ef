import { expect } from 'chai';
import { SPECIES } from '../../src/lib/core/fish/species.ts';
import { guessColumns, noteDay, readRow, speciesFromNote, type NoteOptions } from '../../src/lib/core/receive/note.ts';
import { troubleOf } from '../trouble.ts';

const options = (more: Partial<NoteOptions> = {}): NoteOptions => ({
  columns: { Fish: 'species', Weight: 'mass:kg', Caught: 'caughtOn', Temp: 'core:°C', Price: 'price' },
  decimal: '.',
  dateOrder: 'iso',
  defaults: { supplier: 'Kelda Bay Boats' },
  ...more
});

describe('a delivery note', () => {
  it('columns are guessed by their headings, in other tongues too, none twice', () => {
    expect(guessColumns(['Espèce', 'Poids (kg)', 'Lot', 'Temp (°F)', 'Origin', 'Price/kg', 'Item'])).to.deep.equal({
      Espèce: 'species',
      'Poids (kg)': 'mass:kg',
      Lot: 'supplierLot',
      'Temp (°F)': 'core:°F',
      Origin: 'source',
      'Price/kg': 'price',
      Item: ''
    });
  });
  it('days: ISO as they are, others only in the order that was said', () => {
    expect(noteDay('2026-03-07', 'dmy', 'caughtOn')).to.equal('2026-03-07');
    expect(noteDay('07.03.26', 'dmy', 'caughtOn')).to.equal('2026-03-07');
    expect(noteDay('3/7/2026', 'mdy', 'caughtOn')).to.equal('2026-03-07');
    for (const bad of ['3/7/2026', '2026-02-30', '2026-13-01', 'yesterday', '']) {
      expect(troubleOf(() => noteDay(bad, 'iso', 'caughtOn')).code, bad).to.equal('time.unreadable');
    }
    expect(troubleOf(() => noteDay('31.2.2026', 'dmy', 'caughtOn')).code).to.equal('time.unreadable');
  });
  it('species: one by name, asked where it is several, a hint where it is none', () => {
    expect(speciesFromNote('OMBLE CHEVALIER', SPECIES)).to.equal('arctic-char');
    expect(speciesFromNote('arctic-char', SPECIES)).to.equal('arctic-char');
    expect(troubleOf(() => speciesFromNote('white tuna', SPECIES))).to.deep.include({ code: 'species.ambiguous' });
    const unknown = troubleOf(() => speciesFromNote('arctic chhar', SPECIES));
    expect([unknown.code, unknown.details.candidates?.[0]]).to.deep.equal(['species.unknown', 'Arctic char']);
  });
  it('a row becomes a lot’s input; bare figures take the column’s unit, written ones keep theirs', () => {
    const { input, troubles } = readRow(
      { Fish: 'turbot', Weight: '12.4', Caught: '2026-03-07', Temp: '34 F', Price: '€ 31.50' },
      options(),
      SPECIES
    );
    expect(troubles).to.deep.equal([]);
    expect(input).to.deep.equal({
      supplier: 'Kelda Bay Boats',
      species: 'turbot',
      mass: '12.4 kg',
      caughtOn: '2026-03-07',
      core: '34 F',
      price: '31.50'
    });
  });
  it('decimal commas, thousands and empty cells', () => {
    const row = { Fish: 'turbot', Weight: '1.240,5', Price: '1.031,50', Temp: '' };
    expect(readRow(row, options({ decimal: ',' }), SPECIES).input).to.deep.include({
      mass: '1240.5 kg',
      price: '1031.50'
    });
    expect(readRow({ ...row, Weight: '1,240.5' }, options(), SPECIES).input.mass).to.equal('1240.5 kg');
    expect(readRow(row, options({ decimal: ',' }), SPECIES).input).to.not.have.property('core');
  });
  it('what lay round it when it came is read too; a word that says neither is asked about', () => {
    const columns = { Fish: 'species', Packing: 'pack', TTI: 'packIndicator', Ice: 'ice', 'Truck temp (°F)': 'air:°F' };
    expect(guessColumns(Object.keys(columns))).to.deep.equal(columns);
    const read = (pack: string) =>
      readRow(
        { Fish: 'turbot', Packing: pack, TTI: 'Yes', Ice: 'Plenty', 'Truck temp (°F)': '44' },
        options({ columns }),
        SPECIES
      ).input;
    expect(read('Vacuum packed')).to.include({ pack: 'closed', packIndicator: 'yes', ice: 'plenty', air: '44 °F' });
    expect(['Sealed', 'MAP', 'loose', 'no', 'boxed'].map((word) => read(word).pack)).to.deep.equal([
      'closed',
      'closed',
      'none',
      'none',
      'boxed'
    ]);
  });
  it('every trouble of a row is said, not only the first', () => {
    const { troubles } = readRow({ Fish: 'kraken', Caught: '3/4/26' }, options(), SPECIES);
    expect(troubles.map(({ code }) => code)).to.deep.equal(['species.unknown', 'time.unreadable']);
  });
});
