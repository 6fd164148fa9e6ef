import { error } from '@sveltejs/kit';
import { EmberError } from '../../core/errors.ts';
import { errorSentence } from '../../words/errors.ts';

/** Longest key of a request; what our own pages make has 36 letters and the operation's name. */
export const KEY_LETTERS = 100;

/**
 * Whether a text is what every object answers to ("constructor"). Nothing in a house is called so, and a list kept by
 * name would find it in every house: it is refused at the door.
 */
export const isEveryObjects = (text: string): boolean => text in Object.prototype;

/** The first such text in something that was sent, by the field it stands in; null for none. */
export function everyObjectsIn(value: unknown, field = ''): { readonly field: string; readonly seen: string } | null {
  if (typeof value === 'string') return isEveryObjects(value) ? { field, seen: value } : null;
  if (typeof value !== 'object' || value === null) return null;
  for (const [key, each] of Object.entries(value)) {
    if (isEveryObjects(key)) return { field: key, seen: key };
    const found = everyObjectsIn(each, field === '' ? key : field);
    if (found) return found;
  }
  return null;
}

/** The refusal of it, where there is one. */
export function strangerIn(value: unknown): EmberError | null {
  const found = everyObjectsIn(value);
  return found && new EmberError('form.value-unknown', found);
}

/** What a form sent; what is no form, or is cut short, is refused as such. */
export async function formOf(request: Request): Promise<FormData> {
  try {
    return await request.formData();
  } catch {
    error(400, errorSentence('request.not-a-form', {}));
  }
}
