import { page } from '$app/state';

/** What a house said to a form, as far as its fields show it. */
export interface Refusal {
  readonly operation: string;
  readonly fields: Readonly<Record<string, { readonly message: string; readonly candidates?: readonly string[] }>>;
}

let kept = $state.raw<{ readonly path: string; readonly refusal: Refusal } | null>(null);

/**
 * What the house last said to a form of this place. The page's own answer is gone as soon as the page's data come anew, and on a busy
 * evening that is at once: a refusal stands until something else is said, or the place is left.
 */
export function answered<Answer extends Refusal>(): Answer | null {
  const fresh = page.form as Answer | null;
  // Some pages' own actions answer with something else than a deed.
  if (fresh && 'fields' in fresh) return fresh;
  return kept?.path === page.url.pathname ? (kept.refusal as Answer) : null;
}
/** @param path where it was sent from */
export function keepRefusal(path: string, refusal: Refusal | null): void {
  kept = refusal ? { path, refusal } : null;
}
