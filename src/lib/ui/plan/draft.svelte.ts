import { EmberError } from '../../core/errors.ts';
import { fieldMeta, type FieldMeta } from '../../core/fields/field.ts';
import { fieldTroubles } from '../../core/fields/trouble.ts';
import { unitsOffered, withUnit, written } from '../../core/fields/written.ts';
import type { UnitPreferences } from '../../core/measure/units.ts';
import type { PlanShape } from '../../core/record/recorded.ts';
import { errorSentence } from '../../words/errors.ts';
import { labelOf, type PlanWords } from '../../words/plans/plan.ts';
import { z } from 'zod';

/** What a plan says once it can be read; else why it cannot, in a sentence. */
export type Read<Shape extends PlanShape> = { readonly [Name in keyof Shape]: z.output<Shape[Name]> } | string;

/**
 * A plan as it is being typed: every field of it as text, with the unit beside it. It is read by the plan's own schema, as the
 * server will read it.
 */
export class PlanDraft<Shape extends PlanShape> {
  /** What stands in each field. */
  texts = $state<Record<string, string>>({});
  /** The unit beside it. */
  units = $state<Record<string, string>>({});
  readonly shape: Shape;
  readonly words: PlanWords<Shape>;
  readonly house: UnitPreferences;
  readonly #schema: z.ZodObject;
  #last: { readonly key: string; readonly read: Read<Shape> } | null = null;

  constructor(shape: Shape, words: PlanWords<Shape>, house: UnitPreferences) {
    this.shape = shape;
    this.words = words;
    this.house = house;
    this.#schema = z.object(shape);
    for (const name of Object.keys(shape)) this.begin(name);
  }

  meta(name: string): FieldMeta {
    const schema = this.shape[name];
    return (schema && fieldMeta(schema)) ?? { kind: 'text' };
  }

  /** Puts a field where it begins. */
  begin(name: string): void {
    const meta = this.meta(name);
    const { start } = meta;
    if (meta.kind === 'quantity') this.units[name] ??= unitsOffered(meta, this.house)[0]!;
    if (typeof start === 'number') this.figure(name, start);
    else this.texts[name] = start ?? '';
  }

  /** Puts a figure into a field, in the unit it is asked for or the house likes: of a quantity in its base unit. */
  figure(name: string, value: number): void {
    const [text, unit] = written(this.meta(name), value, this.house);
    this.texts[name] = text;
    if (unit) this.units[name] = unit;
  }

  /** The unit a bare figure counts in. */
  unitOf(name: string): string | undefined {
    return this.units[name];
  }

  /** What a field is called just now. */
  label(name: string): string {
    return labelOf(this.words as never, name, this.texts) ?? name;
  }

  /** A second plan begins as the first. */
  copyFrom(other: PlanDraft<Shape>): void {
    this.texts = { ...other.texts };
    this.units = { ...other.units };
  }

  /** What was said, as a form or an address sends it. */
  said(): Record<string, string> {
    return Object.fromEntries(
      Object.keys(this.shape).map((name) => [name, withUnit(this.texts[name] ?? '', this.unitOf(name))])
    );
  }

  /**
   * Reads it as the server will.
   *
   * @param asked the fields that count; the others are as if nobody had said anything
   * @param besides fields that are no field of text
   */
  read(
    asked: readonly (keyof Shape & string)[] = Object.keys(this.shape),
    besides: Readonly<Record<string, string>> = {}
  ): Read<Shape> {
    const said = asked.map((name) => [name, withUnit(this.texts[name] ?? '', this.unitOf(name))]);
    const input = { ...Object.fromEntries(said), ...besides };
    // Several parts of a bench ask at each move of a hand: the same words are read once.
    const key = JSON.stringify(input);
    if (this.#last?.key !== key) this.#last = { key, read: this.#parsed(input) };
    return this.#last.read;
  }
  #parsed(input: Record<string, string>): Read<Shape> {
    const result = this.#schema.safeParse(input);
    if (result.success) return result.data as never;
    const { code, details } = fieldTroubles(result.error.issues, input)[0]!;
    return this.sentence(new EmberError(code, details));
  }

  /** What went wrong, in the words of this bench. */
  sentence({ code, details }: EmberError): string {
    return errorSentence(code, details, this.named);
  }

  /** A field's own word, for a sentence. */
  named = (field: string): string | undefined => labelOf(this.words as never, field, this.texts);

  /** What comes of it, or why nothing does. */
  attempt<Result>(work: () => Result): Result | string {
    try {
      return work();
    } catch (error) {
      if (error instanceof EmberError) return this.sentence(error);
      throw error;
    }
  }
}
