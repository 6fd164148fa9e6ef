import { expect } from 'chai';
import fc from 'fast-check';
import { EmberError, type ErrorCode } from '../../src/lib/core/errors.ts';
import { formatDuration, formatMass, formatTemperature } from '../../src/lib/core/measure/format.ts';
import { parseQuantity, readNumber } from '../../src/lib/core/measure/parse.ts';
import { UNITS, fromBase, toBase, type Kind } from '../../src/lib/core/measure/units.ts';
import { runs } from '../runs.ts';
import { troubleOf } from '../trouble.ts';

describe('quantities as a cook writes them', () => {
  const readable: [Kind, string, number][] = [
    ['mass', '3 lb 2 oz', 3 * 453.59237 + 2 * (453.59237 / 16)],
    ['mass', '2,5 kg', 2500],
    ['mass', '2.5kg', 2500],
    ['mass', '1 250 g', 1250],
    ['mass', "1'250 g", 1250],
    ['mass', '1,250.5 g', 1250.5],
    ['mass', '1.250,5 g', 1250.5],
    ['mass', '1,250,000 g', 1_250_000],
    ['mass', '0,250 kg', 250],
    ['mass', '1.250 kg', 1250],
    ['temperature', '-4F', -20],
    ['temperature', '\u22124 °F', -20],
    ['temperature', '-31 f', -35],
    ['temperature', '-20 °C', -20],
    ['length', '1 in', 25.4],
    ['length', '2,8 cm', 28],
    ['duration', '1 h 20 min', 4800],
    ['duration', '2 d 4 h', 2 * 86400 + 4 * 3600],
    ['concentration', '2.5 %', 0.025],
    ['concentration', '25 g/kg', 0.025],
    ['volume', '2 fl oz', 2 * 29.5735295625]
  ];
  for (const [kind, text, expected] of readable) {
    it(`reads "${text}"`, () => {
      const read = parseQuantity(kind, text);
      expect(read.si).to.be.closeTo(expected, 1e-9);
      expect(read.typed).to.equal(text);
    });
  }

  const refused: [Kind, string, ErrorCode][] = [
    ['mass', '1,250 g', 'quantity.ambiguous'],
    ['mass', '12', 'quantity.unit-missing'],
    ['mass', '12 stone', 'quantity.unit-unknown'],
    ['mass', '', 'quantity.empty'],
    ['mass', 'kg', 'quantity.unreadable'],
    ['mass', 'two kilos', 'quantity.unreadable'],
    ['mass', '2 oz 3 lb', 'quantity.unreadable'],
    ['mass', '3 lb -2 oz', 'quantity.unreadable'],
    ['temperature', '4 C 2 C', 'quantity.unreadable'],
    ['temperature', '4 kg', 'quantity.unit-unknown'],
    ['mass', '1,25,0 g', 'quantity.unreadable'],
    ['mass', 'NaN g', 'quantity.unreadable']
  ];
  for (const [kind, text, code] of refused) {
    it(`refuses "${text}" with ${code}`, () => {
      expect(troubleOf(() => parseQuantity(kind, text, { field: 'x' })).code).to.equal(code);
    });
  }

  it('asks which of two things an ambiguous figure is, with the unit on both', () => {
    const trouble = troubleOf(() => parseQuantity('mass', '1,250 g', { field: 'mass' }));
    expect(trouble.details.candidates).to.deep.equal(['1250 g', '1.25 g']);
  });
  it('does not run two figures into one', () => {
    expect(troubleOf(() => parseQuantity('mass', '3 2 oz')).code).to.equal('quantity.unit-missing');
  });
  it('keeps the boundary of a range and refuses one step beyond, naming field, and the range in the unit that was written', () => {
    expect(parseQuantity('length', '300 mm', { min: 2, max: 300 }).si).to.equal(300);
    const trouble = troubleOf(() => parseQuantity('length', '3 m', { field: 'thickness', min: 2, max: 300 }));
    expect(trouble.details).to.include({ field: 'thickness', unit: 'mm', min: 2, max: 300, seen: '3 m' });
    const inches = troubleOf(() => parseQuantity('length', '99 in', { min: 25.4, max: 254 })).details;
    expect(inches).to.include({ unit: 'in', min: 1, max: 10 });
  });

  it('comes back from every unit to the figure it was', () => {
    const units = Object.entries(UNITS).flatMap(([kind, of]) =>
      Object.keys(of).map((unit) => [kind as Kind, unit] as const)
    );
    expect(units.length).to.be.greaterThan(15);
    fc.assert(
      fc.property(fc.constantFrom(...units), fc.double({ min: -1e6, max: 1e6, noNaN: true }), ([kind, unit], value) => {
        expect(fromBase(kind, unit, toBase(kind, unit, value))).to.be.closeTo(value, 1e-6);
      })
    );
  });
  it('never answers NaN, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 20 }), (text) => {
        try {
          expect(Number.isFinite(parseQuantity('mass', text, { defaultUnit: 'g' }).si)).to.equal(true);
        } catch (error) {
          expect(error).to.be.instanceOf(EmberError);
        }
      }),
      runs(3000)
    );
  });
  it('reads one number the same with a point or a comma as decimal mark', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 999 }), fc.integer({ min: 0, max: 99 }), (whole, part) => {
        const digits = String(part).padStart(2, '0');
        expect(readNumber(`${whole},${digits}`)).to.equal(readNumber(`${whole}.${digits}`));
      })
    );
  });
});

describe('figures as a cook says them', () => {
  it('says weights, temperatures and times at a useful grain', () => {
    expect(formatMass(1234.5, { mass: 'g' })).to.equal('1.23 kg');
    expect(formatMass(8.44, { mass: 'g' })).to.equal('8.4 g');
    expect(formatMass(453.59237, { mass: 'oz' })).to.equal('1 lb');
    expect(formatMass(-0.01, { mass: 'g' })).to.equal('0.0 g');
    expect(formatTemperature(5, { temperature: 'F' })).to.equal('41.0 °F');
    expect(formatDuration(7 * 86400)).to.equal('7 d');
    expect(formatDuration(-90 * 60)).to.equal('-1 h 30 min');
  });
});
