import { expect } from 'chai';
import fc from 'fast-check';
import { EVENT_KINDS, type EventKind } from '../../src/lib/core/record/events.ts';
import { checkPatch } from '../../src/lib/core/record/patch.ts';
import { EmberError } from '../../src/lib/core/errors.ts';
import { runs } from '../runs.ts';
import { troubleOf } from '../trouble.ts';

const grams = (si: number) => ({ si, unit: 'g', typed: `${si} g` });

describe('what a correction may change', () => {
  const kept: [string, EventKind, Record<string, unknown>][] = [
    ['a weight', 'piece.reweighed', { mass: grams(1650) }],
    ['a temperature', 'cold.read', { reading: { si: 3.8, unit: 'C', typed: '3.8 C' } }],
    ['a day', 'lot.received', { caughtOn: '2026-03-06' }],
    ['a place', 'piece.moved', { place: 'Rack' }]
  ];
  for (const [what, kind, patch] of kept) it(`${what} may`, () => expect(checkPatch(kind, patch)).to.deep.equal(patch));

  const refused: [string, EventKind, Record<string, unknown>, string, string][] = [
    ['a thousand tonnes', 'piece.reweighed', { mass: grams(1e9) }, 'quantity.out-of-range', 'mass'],
    ['less than nothing', 'piece.made', { grams: -1 }, 'quantity.out-of-range', 'grams'],
    [
      'a fish at 400 degrees',
      'cold.read',
      { reading: { si: 400, unit: 'C', typed: '400 C' } },
      'quantity.out-of-range',
      'reading'
    ],
    ['a piece as its own parent', 'piece.made', { parents: ['TUR-0313-1-A'] }, 'record.not-amendable', 'parents'],
    ['a lot that is not there', 'piece.made', { lot: 'NONE-0101-1' }, 'record.not-amendable', 'lot'],
    ['by what a key is known', 'device.keyed', { keyHash: 'f'.repeat(64) }, 'record.not-amendable', 'keyHash'],
    ['a name of 100 kB', 'piece.made', { name: 'x'.repeat(100_000) }, 'form.too-long', 'name'],
    ['a part it has not', 'piece.made', { colour: 'red' }, 'form.value-unknown', 'patch'],
    ['a correction', 'entry.amended', { reason: 'better' }, 'record.not-amendable', 'patch'],
    ['a figure without end', 'piece.made', { grams: Infinity }, 'number.not-finite', 'grams']
  ];
  for (const [what, kind, patch, code, field] of refused)
    it(`${what} may not: ${code}`, () => {
      const trouble = troubleOf(() => checkPatch(kind, patch));
      expect([trouble.code, trouble.details.field]).to.deep.equal([code, field]);
    });

  it('law: of any kind and any patch there is an answer or a coded refusal, and an answer holds no figure out of all bounds', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(EVENT_KINDS) as EventKind[])),
        fc.dictionary(
          fc.constantFrom('mass', 'grams', 'lot', 'name', 'reading', 'place', 'note', 'celsius', 'seconds', 'x'),
          fc.oneof(
            fc.double(),
            fc.string(),
            fc.array(fc.double(), { maxLength: 3 }),
            fc.record({ si: fc.double(), unit: fc.constantFrom('g', 'C', 'mm'), typed: fc.string() })
          )
        ),
        (kind, patch) => {
          let answer: Record<string, unknown>;
          try {
            answer = checkPatch(kind, patch);
          } catch (error) {
            expect(error).to.be.instanceOf(EmberError);
            return;
          }
          expect(Object.keys(answer)).to.deep.equal(Object.keys(patch));
          const { grams: weight = 0, celsius = 0 } = answer;
          if (typeof weight === 'number') expect(weight).to.be.within(0, 500_000);
          if (typeof celsius === 'number') expect(celsius).to.be.within(-80, 60);
        }
      ),
      runs(4000)
    );
  });
});
