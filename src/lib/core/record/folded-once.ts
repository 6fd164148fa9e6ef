import type { RecordEvent } from './events.ts';
import { frozenDeep } from './frozen-deep.ts';
import type { ViewOptions } from './view.ts';

/** Views of one subject that are kept: what was cut from a fish sees it as it was then. */
const MOST_VIEWS = 64;

/**
 * Folds that are kept as long as the entries they were made from. Only entries that nobody can change are known again (a frozen
 * list), and only a view that shows all of them: what came of them is then the same whenever it is asked.
 *
 * @param fold makes the state; a pure function of the entries, the options and the key
 * @returns the same fold, whose results are shared and frozen where they are kept
 */
export function foldedOnce<State extends object | null, Options extends ViewOptions>(
  fold: (id: string, events: readonly RecordEvent[], options: Options) => State,
  keyOf: (options: Options) => string = () => ''
): (id: string, events: readonly RecordEvent[], options?: Options) => State {
  const kept = new WeakMap<readonly RecordEvent[], Map<string, State>>();
  return (id, events, options = {} as Options) => {
    if (!Object.isFrozen(events) || !showsAll(events, options)) return fold(id, events, options);
    const { before } = options;
    const key = `${id} ${before ? `${before.at} ${before.seq}` : ''} ${keyOf(options)}`;
    const own = kept.get(events) ?? new Map<string, State>();
    kept.set(events, own);
    const known = own.get(key);
    if (known !== undefined) return known;
    const state = frozenDeep(fold(id, events, options));
    if (own.size >= MOST_VIEWS) own.clear();
    own.set(key, state);
    return state;
  };
}

/** Whether a view leaves nothing out but by the order of entries: neither as it was written nor as it was put right does an entry lie behind its end. */
function showsAll(
  events: readonly RecordEvent[],
  { at = Infinity, knownAt = Infinity, without }: ViewOptions
): boolean {
  if (without && without.size > 0) return false;
  return events.every(
    (event) =>
      event.recorded <= knownAt &&
      event.happened <= at &&
      (event.kind !== 'entry.amended' || (event.body.happened ?? -Infinity) <= at)
  );
}
