import { said } from '../speech.ts';
import { ACID_FIELDS } from './acid.ts';
import { AGE_FIELDS } from './age.ts';
import { CURE_FIELDS } from './cure.ts';
import { FREEZE_FIELDS } from './freeze.ts';
import { labelOf, type FieldWords } from './plan.ts';
import { PLATE_FIELDS, SLICE_FIELDS, SQUARE_FIELDS } from './slice.ts';
import { THAW_FIELDS } from './thaw.ts';

/** Whose words a refusal speaks in, by the name of what was asked. */
const WORDS: Readonly<Record<string, Readonly<Record<string, FieldWords>>>> = {
  'start-cure': CURE_FIELDS,
  'cure-preview': CURE_FIELDS,
  'start-acid': ACID_FIELDS,
  'acid-preview': ACID_FIELDS,
  'start-freeze': FREEZE_FIELDS,
  'freeze-preview': FREEZE_FIELDS,
  'start-thaw': THAW_FIELDS,
  'thaw-preview': THAW_FIELDS,
  'record-slice': SLICE_FIELDS,
  'slice-preview': SLICE_FIELDS,
  'plate-preview': { ...SLICE_FIELDS, ...PLATE_FIELDS },
  'square-piece': SQUARE_FIELDS,
  'square-preview': SQUARE_FIELDS,
  'start-age': AGE_FIELDS
};

/**
 * What the fields of an operation or a query are called where they are set.
 *
 * @param asked its name
 * @param input what was sent to it: some words go by it
 */
export const namedIn = /* @__PURE__ */ said(function namedIn(
  asked: string,
  input: unknown
): (field: string) => string | undefined {
  const words = WORDS[asked] ?? {};
  const set = (typeof input === 'object' && input !== null ? input : {}) as Record<string, string>;
  return (field) => labelOf(words, field, set);
});
