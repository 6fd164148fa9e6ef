/** What a field is called on its bench, by what else is set there, and what stands beside it. */
export interface FieldWords {
  readonly label: string | ((set: Readonly<Record<string, string>>) => string);
  /** A line under it that always stands there. */
  readonly hint?: string;
  readonly placeholder?: string;
  /** Of a choice, each of its values; the empty one for "nobody said". */
  readonly values?: Readonly<Record<string, string>>;
}
/** The words of a plan: a field that has none is no field of it. */
export type PlanWords<Shape> = { readonly [Name in keyof Shape]: FieldWords };

/** A field's own word, as it stands on the bench just now. */
export const labelOf = (
  words: Readonly<Record<string, FieldWords>>,
  field: string,
  set: Readonly<Record<string, string>>
): string | undefined => {
  const label = words[field]?.label;
  return typeof label === 'function' ? label(set) : label;
};
