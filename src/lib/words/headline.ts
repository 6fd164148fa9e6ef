import { said, words } from './speech.ts';
import type { Headline, RouteState } from '../core/rules/headline.ts';
import type { Route } from '../core/codes/window.ts';
import type { UnitPreferences } from '../core/measure/units.ts';
import { ROUTE_WORDS, sentence, wouldChange } from './findings.ts';

/** A moment in words: "16:10", "Tue 04:10". */
export type Moment = (at: number) => string;

/** A route and its state: "Raw: open until Sat 21:00", "Cooked: never". */
export const routeState = /* @__PURE__ */ said(function routeState(
  { route, state, from, thenRead, until, readBy }: RouteState,
  moment: Moment
): string {
  const name = ROUTE_WORDS[route];
  const end = until === null ? '' : ` until ${moment(until)}`;
  const read = readBy === null ? '' : `; read it by ${moment(readBy)}`;
  switch (state) {
    case 'open':
      return `${name}: open${end}${read}`;
    case 'ebbing':
      return end === '' ? `${name}: open${read}` : `${name}: use soon,${end}${read}`;
    case 'locked':
      return `${name}: locked until ${moment(from ?? 0)}${thenRead ? ', then read the core' : ''}`;
    case 'closed':
      return `${name}: closed${until === null ? '' : ` since ${moment(until)}`}`;
    case 'never':
      return route === 'cooked' ? 'Never served, not even cooked' : `Never ${name.toLowerCase()}`;
    default:
      return `${name}: not cleared`;
  }
});

export interface HeadlineWords {
  readonly line: string;
  readonly because: string;
  /** What each thing that holds it back would take, none said twice. */
  readonly toOpen: readonly string[];
  readonly instead: string;
}

/** The first line of a piece in words. */
export function headlineWords(
  headline: Headline,
  moment: Moment,
  units: Pick<UnitPreferences, 'temperature'> = { temperature: 'C' }
): HeadlineWords {
  const { deciding, toOpen, instead, state } = headline;
  const isOver = state === 'never' || state === 'closed';
  return {
    line: routeState(headline, moment),
    because: deciding ? sentence(deciding, units) : 'Nothing that is known ends it: its clocks and days still count.',
    toOpen: [...new Set(toOpen.map((each) => wouldChange(each)).filter((each) => each !== null))],
    instead: instead ? routeState(instead, moment) : isOver ? 'Not for service, raw or cooked.' : ''
  };
}

export const HEADLINE_WORDS = /* @__PURE__ */ words({
  toOpen: (count: number, route: Route | null) =>
    `What would open it${route ? ` ${ROUTE_WORDS[route].toLowerCase()}` : ''}${count === 1 ? '' : ': all of these'}`,
  roads: 'How do I open it?',
  inFull: (count: number) => `Why, in full: ${count} ${count === 1 ? 'finding' : 'findings'}`
} as const);
