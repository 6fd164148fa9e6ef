import { untrack } from 'svelte';

/**
 * What stands in a field before anything is typed. It is taken once, and again only where it is really another: page data that come
 * anew with the same would otherwise wipe what is being typed.
 *
 * @param start what the page gives, undefined where it gives nothing
 * @param set puts it into the field
 * @param emptied how often the form was emptied so far: then it stands there again
 */
export function followStart(start: () => string | undefined, set: (text: string) => void, emptied: () => number): void {
  let taken = untrack(start);
  if (taken !== undefined) set(taken);
  let before = untrack(emptied);
  $effect.pre(() => {
    const [given, times] = [start(), emptied()];
    if (given === taken && times === before) return;
    const wasNever = given === undefined && taken === undefined;
    [taken, before] = [given, times];
    if (wasNever) return;
    set(given ?? '');
  });
}
