import { businessDay, addDays, type HouseTime } from '../../measure/day.ts';
import type { Route } from '../../codes/window.ts';
import {
  LOOK_FIELDS,
  type LookAnswers,
  type LookField,
  PREPARATION,
  type PreparationStep
} from '../../activity/age/lists.ts';

const RAW: readonly Route[] = ['raw', 'cured', 'acid', 'seared'];
const ALL: readonly Route[] = [...RAW, 'cooked'];
/** Answers that end it, and for which routes: spoilage ends all of them. House rules after the trade's signs of a spoilt fish. */
const STOPS: Readonly<Record<string, readonly Route[]>> = {
  'skin wet': RAW,
  'eye sunken': RAW,
  'smell off': ALL,
  'slime some': ALL,
  'firmness soft': RAW
};
const AGAIN = new Set(['skin tacky', 'eye dull', 'smell faint']);

export interface StopFound {
  readonly field: LookField;
  readonly answer: string;
  readonly routes: readonly Route[];
}

/**
 * What a look says: signs that take the fish off the rack, and signs to be looked at again soon.
 *
 * @example
 * looked({ skin: 'dry', eye: 'clear', smell: 'off', slime: 'none', firmness: 'firm' }).stops[0].field // => 'smell'
 */
export function looked(answers: LookAnswers): { readonly stops: StopFound[]; readonly again: LookField[] } {
  const keyed = LOOK_FIELDS.map((field) => ({ field, answer: answers[field], key: `${field} ${answers[field]}` }));
  return {
    stops: keyed.flatMap(({ field, answer, key }) => (STOPS[key] ? [{ field, answer, routes: STOPS[key] }] : [])),
    again: keyed.flatMap(({ field, key }) => (AGAIN.has(key) ? [field] : []))
  };
}

/** What of the list was not done. */
export const notPrepared = (kind: keyof typeof PREPARATION, done: readonly string[]): PreparationStep[] =>
  PREPARATION[kind].filter((step) => !done.includes(step));

/**
 * Business days on which nobody looked: each day after the one it was hung on, today not yet among them.
 *
 * @param from when it was hung, ms
 * @param looks when it was looked at, ms
 * @param until now, or when it came off, ms
 */
export function missedDays(from: number, looks: readonly number[], until: number, house: HouseTime): string[] {
  const seen = new Set(looks.map((at) => businessDay(at, house)));
  const today = businessDay(until, house);
  const out: string[] = [];
  for (let day = addDays(businessDay(from, house), 1); day < today; day = addDays(day, 1)) {
    if (!seen.has(day)) out.push(day);
  }
  return out;
}
