import { expect } from 'chai';
import fc from 'fast-check';
import { z } from 'zod';
import { ACID_EDGES, acidLaid, acidSet } from '../../src/lib/core/activity/acid/plan.ts';
import { ageSet } from '../../src/lib/core/activity/age/plan.ts';
import { acidStartedFrom2 } from '../../src/lib/core/activity/acid/bodies.ts';
import { cureStartedFrom2 } from '../../src/lib/core/activity/cure/bodies.ts';
import { DOSINGS, SCHOOL_IDS } from '../../src/lib/core/activity/cure/lists.ts';
import { CURE_ASKS, CURE_STARTS, cureLaid, cureSet } from '../../src/lib/core/activity/cure/plan.ts';
import { freezeSet } from '../../src/lib/core/activity/freeze/plan.ts';
import { sliceSet } from '../../src/lib/core/activity/slice/plan.ts';
import { thawSet } from '../../src/lib/core/activity/thaw/plan.ts';
import { CUTS, SET_POINTS } from '../../src/lib/core/activity/acid/lists.ts';
import { acidSettings } from '../../src/lib/core/bench/acid/settings.ts';
import { SHIPPED } from '../../src/lib/core/bench/cure/parameters.ts';
import { settingsOnRecord } from '../../src/lib/core/bench/cure/settings.ts';
import { boundsOf, fieldMeta, startOf } from '../../src/lib/core/fields/field.ts';
import { unitsOffered, withUnit, written } from '../../src/lib/core/fields/written.ts';
import { DEFAULT_PREFERENCES } from '../../src/lib/core/measure/units.ts';
import { effectiveEvents } from '../../src/lib/core/record/amend.ts';
import { patchNow, upcast, type BodyOf, type EventKind } from '../../src/lib/core/record/events.ts';
import { recorded, type PlanShape } from '../../src/lib/core/record/recorded.ts';
import { ACID_FIELDS } from '../../src/lib/words/plans/acid.ts';
import { AGE_FIELDS } from '../../src/lib/words/plans/age.ts';
import { CURE_FIELDS } from '../../src/lib/words/plans/cure.ts';
import { FREEZE_FIELDS } from '../../src/lib/words/plans/freeze.ts';
import type { FieldWords } from '../../src/lib/words/plans/plan.ts';
import { SLICE_FIELDS } from '../../src/lib/words/plans/slice.ts';
import { THAW_FIELDS } from '../../src/lib/words/plans/thaw.ts';
import { runs } from '../runs.ts';

const PLANS: readonly [name: string, shape: PlanShape, words: Readonly<Record<string, FieldWords>>][] = [
  ['cure', { ...cureSet, ...cureLaid }, CURE_FIELDS],
  ['acid', { ...acidSet, ...acidLaid }, ACID_FIELDS],
  ['freeze', freezeSet, FREEZE_FIELDS],
  ['thaw', thawSet, THAW_FIELDS],
  ['slice', sliceSet, SLICE_FIELDS],
  ['age', ageSet, AGE_FIELDS]
];
const IMPERIAL = { mass: 'oz', temperature: 'F', length: 'in', volume: 'floz' } as const;

/** Something a field takes, as a form sends it. */
function anySaid(schema: z.ZodType): fc.Arbitrary<unknown> {
  const { kind, min = 0, max = 1, values = [], optional, whole } = fieldMeta(schema)!;
  const orNothing = (said: fc.Arbitrary<unknown>) => (optional ? fc.oneof(fc.constant(''), said) : said);
  const inside = fc.double({ min, max, noNaN: true });
  switch (kind) {
    case 'quantity':
      // Rounding to a unit may step over a bound by a hair.
      return orNothing(
        fc.tuple(inside, fc.constantFrom(DEFAULT_PREFERENCES, IMPERIAL)).map(([value, house]) => {
          const near = Math.min(max - (max - min) * 0.01, Math.max(min + (max - min) * 0.01, value));
          return withUnit(...written(fieldMeta(schema)!, near, house));
        })
      );
    case 'number':
      return orNothing(whole ? fc.integer({ min, max }) : inside);
    case 'choice':
      return fc.constantFrom(...values, ...(optional ? [''] : []));
    case 'tick':
      return fc.constantFrom('on', '', true, false);
    case 'list':
      return values.length > 0 ? fc.subarray([...values]) : fc.constant([]);
    default:
      return fc.constantFrom('lime 100, water 20'.slice(0, kind === 'text' ? max : undefined));
  }
}
const anyInput = (shape: PlanShape) =>
  fc.record(Object.fromEntries(Object.entries(shape).map(([name, schema]) => [name, anySaid(schema)])));

describe('plans', () => {
  for (const [name, shape, words] of PLANS) {
    it(`${name}: whatever can be set can be recorded, as it was understood and letter for letter`, () => {
      const record = recorded(shape);
      fc.assert(
        fc.property(anyInput(shape), (input) => {
          const read = z.object(shape).safeParse(input);
          if (!read.success) throw new Error(JSON.stringify([input, read.error.issues]));
          const kept = record.parse(JSON.parse(JSON.stringify(read.data)));
          // A time is recorded as an instant, and is no field of the record's shape.
          for (const key of Object.keys(shape)) {
            if (fieldMeta(shape[key]!)!.kind !== 'moment') expect(kept[key], key).to.deep.equal(read.data[key]);
          }
        }),
        runs(200)
      );
    });
    it(`${name}: each field has its word, each choice a word for each of its values`, () => {
      for (const [field, schema] of Object.entries(shape)) {
        const meta = fieldMeta(schema);
        expect(meta, field).to.not.equal(null);
        const { label, values = {} } = words[field]!;
        expect(typeof label === 'function' ? label({}) : label, field)
          .to.be.a('string')
          .and.not.equal('');
        for (const value of meta!.values ?? []) expect(values[value], `${field}: ${value}`).to.be.a('string');
      }
    });
    it(`${name}: where a field begins, it may be`, () => {
      for (const [field, schema] of Object.entries(shape)) {
        const meta = fieldMeta(schema)!;
        if (meta.start === undefined) continue;
        for (const house of [DEFAULT_PREFERENCES, IMPERIAL]) {
          const text = typeof meta.start === 'number' ? withUnit(...written(meta, meta.start, house)) : meta.start;
          expect(schema.safeParse(text).success, `${field}: ${text}`).to.equal(true);
        }
      }
    });
  }
  it('where a school begins, what it asks for can be read', () => {
    for (const school of SCHOOL_IDS) {
      for (const [field, text] of Object.entries(CURE_STARTS[school])) {
        expect(CURE_ASKS[school], school).to.include(field);
        const schema = cureSet[field as keyof typeof cureSet] as z.ZodType;
        const [unit] = unitsOffered(fieldMeta(schema)!, DEFAULT_PREFERENCES);
        expect(schema.safeParse(withUnit(text, unit)).success, `${school} ${field} ${text}`).to.equal(true);
      }
    }
  });
  it('bounds are said in the unit a field is asked for', () => {
    expect(boundsOf(cureSet).hours).to.deep.equal({ field: 'hours', unit: 'h', min: 0.08, max: 240 });
    expect(boundsOf(cureSet).target).to.deep.equal({ field: 'target', unit: '%', min: 0.1, max: 20 });
    expect(boundsOf(cureSet).thickness).to.deep.equal({ field: 'thickness', unit: 'mm', min: 2, max: 150 });
    expect(boundsOf(acidSet).celsius).to.deep.equal({ field: 'celsius', unit: '°C', min: -1, max: 25 });
    expect(startOf(cureSet.pasteWater)).to.equal(0.45);
    expect(() => startOf(cureSet.salt)).to.throw();
    expect(() => recorded({ odd: z.string() })).to.throw();
  });
});

describe('cures and acid of older entries', () => {
  const some = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  it('a cure is computed from what it was', () => {
    const settings = fc.record({
      method: fc.constantFrom(...SCHOOL_IDS),
      grams: some(50, 9000),
      thicknessMm: some(5, 60),
      thinMm: fc.option(some(2, 5)),
      profile: fc.constant(null),
      faces: fc.constantFrom(1 as const, 2 as const),
      celsius: some(0, 8),
      fat: fc.constantFrom('lean', 'mid', 'rich'),
      thawed: fc.boolean(),
      salt: some(0.01, 0.2),
      sugar: some(0, 0.2),
      hours: some(0.1, 90),
      target: some(0.002, 0.1),
      restHours: some(0, 48),
      dosing: fc.constantFrom(...DOSINGS),
      drains: fc.boolean(),
      parameters: fc.constant(SHIPPED)
    });
    fc.assert(
      fc.property(settings, fc.boolean(), (old, soaked) => {
        const more = soaked ? { bathTimes: 2.5, changes: 3, presalt: 0.012, presaltMinutes: 40, pasteWater: 0.4 } : {};
        const body = cureStartedFrom2({ settings: { ...old, ...more }, kept: 'as it was' }) as never;
        const now = settingsOnRecord(body)! as unknown as Record<string, number>;
        const sugar = old.method === 'desalt' ? 0 : old.sugar;
        for (const [name, value] of Object.entries({ ...old, ...more, sugar })) {
          if (typeof value === 'number') expect(now[name], name).to.be.closeTo(value, 1e-9);
          else expect(now[name], name).to.deep.equal(value);
        }
        expect(body).to.include({ kept: 'as it was' });
      }),
      runs(200)
    );
    expect(settingsOnRecord(cureStartedFrom2({ settings: null }) as never)).to.equal(null);
  });
  it('what was amended in an older shape counts in the current one', () => {
    const cured = { method: 'weighed', grams: 500, thicknessMm: 20, thinMm: null, profile: null, faces: 1, celsius: 2 };
    const cure = { ...cured, fat: 'mid', thawed: false, salt: 0.02, sugar: 0, hours: 24, target: 0.01, restHours: 0 };
    const settings = { ...cure, dosing: 'weight', drains: false, parameters: SHIPPED };
    const acid = { cut: 'dice', sizes: [9], faces: 2, grams: 300, celsius: 3, liquid: [], dark: false, pace: 1 };
    const poured = { ...acid, measuredPH: null, wanted: 'half' };
    const cases: [EventKind, number, Record<string, unknown>, Record<string, unknown>][] = [
      ['cure.started', 2, { settings, note: 'a' }, { settings: { ...settings, celsius: 11 } }],
      ['acid.started', 2, { settings: poured, salt: 0 }, { settings: { ...poured, celsius: 14 }, salt: 0.01 }],
      [
        'age.started',
        1,
        { celsius: 1, target: 0.1, humidity: 0.8, note: '' },
        { celsius: 9, humidity: null, note: 'x' }
      ]
    ];
    for (const [kind, version, old, patch] of cases) {
      const now = upcast(kind, version, old) as object;
      const wanted = upcast(kind, version, { ...old, ...patch });
      expect({ ...now, ...patchNow(kind, patch) }, kind).to.deep.equal(wanted);
      // Brought up once, it stays as it is.
      expect(patchNow(kind, patchNow(kind, patch)), kind).to.deep.equal(patchNow(kind, patch));
    }
    const hung = { seq: 1, happened: 0, recorded: 0, actor: 'p1', subject: 'piece:X', kind: 'age.started' as const };
    const amended = { ...hung, seq: 2, recorded: 1, kind: 'entry.amended' as const };
    const [seen] = effectiveEvents([
      { ...hung, body: upcast('age.started', 1, { celsius: 1, target: 0.1, humidity: null }) },
      { ...amended, body: { amends: 1, void: false, happened: null, patch: { celsius: 9 }, reason: 'x', widens: [] } }
    ] as never);
    expect((seen!.body as BodyOf<'age.started'>).celsius.si).to.equal(9);
  });
  it('fish in acid is computed from what it was', () => {
    const settings = fc.constantFrom(...CUTS).chain((cut) =>
      fc.record({
        cut: fc.constant(cut),
        sizes: fc.tuple(...ACID_EDGES[cut].map(() => some(2, 50))),
        faces: fc.constantFrom(1 as const, 2 as const).map((faces) => (cut === 'fillet' ? faces : 2)),
        grams: some(10, 4000),
        celsius: some(0, 20),
        liquid: fc.constantFrom(
          [{ what: 'sour', id: 'lime', ml: 200.5 }],
          [
            { what: 'sour', id: 'rice-vinegar', ml: 40 },
            { what: 'water', ml: 12 },
            { what: 'oil', ml: 3 }
          ]
        ),
        measuredPH: fc.option(some(2, 5)),
        dark: fc.boolean(),
        wanted: fc.constantFrom(...SET_POINTS),
        pace: some(0.3, 3)
      })
    );
    fc.assert(
      fc.property(settings, (old) => {
        const body = acidStartedFrom2({ settings: old }) as { set: never; subject: never };
        expect(acidSettings(body.set, body.subject)).to.deep.equal(old);
      }),
      runs(200)
    );
  });
});
