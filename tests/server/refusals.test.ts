import { expect } from 'chai';
import { z } from 'zod';
import { EmberError } from '../../src/lib/core/errors.ts';
import { fieldMeta } from '../../src/lib/core/fields/field.ts';
import { fieldTroubles, readAs, readFileAs } from '../../src/lib/core/fields/trouble.ts';
import { errorSentence } from '../../src/lib/words/errors.ts';
import { fieldName } from '../../src/lib/words/field-names.ts';
import { namedIn } from '../../src/lib/words/plans/index.ts';
import { OPERATIONS, QUERIES } from '../../src/lib/server/registry.ts';

/** What a hand, a form or a program may send into any field. */
const ODD: readonly unknown[] = [
  '',
  ' ',
  'x!',
  '🐟',
  'NaN',
  '-1e9',
  '99999999 kg',
  '300 in',
  '3 m',
  '-400 F',
  '12 %',
  'Infinity',
  '1e400',
  null,
  undefined,
  true,
  NaN,
  -1e12,
  1e12,
  0.5,
  [],
  ['x', 'y'],
  [null],
  {},
  'a'.repeat(2000),
  Array.from({ length: 500 }, (_, index) => `p${index}`)
];
/** How a validator speaks; a person does not. */
const VALIDATOR =
  /expected|received|invalid|must match|pattern|>=|<=|\bNaN\b(?!")|\[object|undefined|too (small|big)|regex|enum/i;

describe('refusals', () => {
  const shapes = [...OPERATIONS, ...QUERIES].flatMap(({ name, input }) =>
    input instanceof z.ZodObject ? [{ name, input }] : []
  );
  it('no field of any operation or query answers in a validator’s words, whatever is sent', () => {
    expect(shapes.length).to.be.greaterThan(90);
    let seen = 0;
    for (const { name, input } of shapes) {
      for (const field of Object.keys(input.shape)) {
        for (const odd of ODD) {
          const sent = { [field]: odd };
          const result = input.safeParse(sent);
          if (result.success) continue;
          for (const trouble of fieldTroubles(result.error.issues, sent)) {
            const sentence = errorSentence(trouble.code, trouble.details, namedIn(name, sent));
            // What was sent is said back, and is no word of ours.
            const plain = sentence.replace(String(trouble.details.seen ?? ''), '');
            expect(plain, `${name}.${trouble.field} of ${JSON.stringify(odd)}`).to.not.match(VALIDATOR);
            expect(plain, `${name}.${trouble.field}`).to.match(/[.?]$/);
            seen++;
          }
        }
      }
    }
    expect(seen).to.be.greaterThan(2000);
  });
  it('every field of every operation and query has a word of its own', () => {
    for (const { name, input } of shapes) {
      for (const field of Object.keys(input.shape)) {
        const word = namedIn(name, {})(field) ?? fieldName(field);
        expect(word, `${name}.${field}`)
          .to.match(/^(\p{Lu}|pH)/u)
          .and.not.equal(field);
      }
    }
    expect(fieldName('recipes.1.lines.2.amount')).to.equal('Recipe 2, line 3, amount');
  });
  it('a figure out of its range names the field by its word on the bench, and the range in the unit that was written', () => {
    const start = OPERATIONS.find(({ name }) => name === 'start-cure')!;
    const said = (more: object) => {
      const input = { method: 'brine', ...more };
      const result = start.input.safeParse(input);
      const field = Object.keys(more)[0]!;
      const found = fieldTroubles(result.error!.issues, input).find((trouble) => trouble.field === field)!;
      return errorSentence(found.code, found.details, namedIn('start-cure', input));
    };
    expect(said({ salt: '300 %' })).to.equal('Salt, of brine must be 0 to 100 %; saw 300 %.');
    expect(said({ thickness: '20 in' })).to.equal('Thickness, thick end must be 0.079 to 5.906 in; saw 20 in.');
    expect(said({ celsius: '90 F' })).to.equal('Kept at must be 30.2 to 59 °F; saw 90 F.');
    expect(said({ hours: '400 h' })).to.equal('In the brine must be 0.08 to 240 h; saw 400 h.');
    expect(said({ changes: 99 })).to.equal('Waters in all must be 1 to 12; saw 99.');
    expect(said({ changes: 'many' })).to.equal('Waters in all: "many" is not a number.');
    expect(said({ method: 'smoke' })).to.match(/^School: smoke cannot be used. Use cover, weighed/);
    expect(said({ place: 'x'.repeat(61) })).to.equal('Where it lies: at most 60 letters; saw 61.');
  });
  it('nothing said is needed, not nought: an empty figure is never read as 0', () => {
    const rack = OPERATIONS.find(({ name }) => name === 'set-rack')!;
    const input = { place: 'Cabinet', hooks: '', shelves: null, perShelf: true };
    const codes = Object.fromEntries(
      fieldTroubles(rack.input.safeParse(input).error!.issues, input).map(({ field, code }) => [field, code])
    );
    expect(codes).to.deep.equal({
      hooks: 'form.incomplete',
      shelves: 'form.incomplete',
      perShelf: 'form.value-unknown'
    });
  });
  it('a logger whose accuracy nobody knows is taken as one of half a degree, never as one that cannot err', () => {
    const { input } = OPERATIONS.find(({ name }) => name === 'set-sensor')! as unknown as { input: z.ZodObject };
    const accuracy = input.shape.accuracy as z.ZodType;
    expect(['', undefined, null].map((said) => accuracy.parse(said))).to.deep.equal([0.5, 0.5, 0.5]);
    expect(accuracy.parse('0')).to.equal(0);
  });
  it('a file that cannot be read says which row of it, and why', () => {
    const shape = z.object({ recipes: z.array(z.object({ hours: z.number().max(240) })) });
    const wrong = (text: string) => {
      try {
        return readFileAs('recipe.unreadable', shape, text);
      } catch (error) {
        return errorSentence((error as EmberError).code, (error as EmberError).details);
      }
    };
    expect(wrong('{')).to.equal('This file cannot be read as recipes. That cannot be read as JSON. Nothing was taken.');
    expect(wrong('{"recipes":[{"hours":1},{"hours":999}]}')).to.contain('Recipe 2, time must be at most 240; saw 999.');
    expect(wrong('{"recipes":[{"hours":"long"}]}')).to.contain('Recipe 1, time: "long" is not a number.');
    expect(() => readAs(shape, {}))
      .to.throw(EmberError)
      .with.property('code', 'form.incomplete');
  });
  it('a field made with a default or a description is still the field it was', () => {
    const start = OPERATIONS.find(({ name }) => name === 'record-slice')!.input as z.ZodObject;
    expect(fieldMeta(start.shape.angle as z.ZodType)).to.include({ kind: 'number', min: 15, max: 90 });
    expect(fieldMeta(start.shape.length as z.ZodType)).to.include({ kind: 'quantity', of: 'length', min: 5 });
    expect(fieldMeta(z.string())).to.equal(null);
  });
});
