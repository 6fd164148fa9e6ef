import { MINUTE } from '../measure/spans.ts';
import { RAW_ROUTES, stateAt, type Route, type RouteWindow, type WindowState } from './window.ts';

/** What a label says of a piece's windows, and whether it still holds. */

/** How a route stands on a label. */
export interface LabelRoute {
  readonly route: Route;
  readonly state: WindowState;
  /** Where it opens later, ms. */
  readonly from: number | null;
  /** Its end by what is known, or by when it has to be read again; null for none. ms */
  readonly until: number | null;
}
const SERVED: readonly WindowState[] = ['open', 'ebbing', 'locked'];
/** Whether a route may be served, now or once its clock has run. */
export const mayServe = ({ state }: Pick<LabelRoute, 'state'>): boolean => SERVED.includes(state);

type Seen = RouteWindow & { readonly state: WindowState };
/** Its end, or the moment by when it has to be read again: an end like any other, unless the proof is that of its opening. */
function endOf({ opens, closes, proofDue }: RouteWindow): number | null {
  const readBy = proofDue !== null && proofDue > (opens ?? -Infinity) ? proofDue : Infinity;
  const end = Math.min(closes ?? Infinity, readBy);
  return Number.isFinite(end) ? end : null;
}
/** The two routes that stand on a label: the rawest of the raw ones that is or may come open (raw itself where none is), and the pan. */
export function routesOnLabel(windows: readonly Seen[]): { readonly raw: LabelRoute; readonly cooked: LabelRoute } {
  const said = (route: Route): LabelRoute => {
    const window = windows.find((each) => each.route === route);
    if (!window) return { route, state: 'not-cleared', from: null, until: null };
    const { state, opens } = window;
    return { route, state, from: state === 'locked' ? opens : null, until: endOf(window) };
  };
  const rawRoutes = RAW_ROUTES.map(said);
  return {
    // The rawest that may be served: a label that says "cooked" where raw is open would waste it.
    raw:
      rawRoutes.find((each) => each.state === 'open' || each.state === 'ebbing') ??
      rawRoutes.find(mayServe) ??
      rawRoutes[0]!,
    cooked: said('cooked')
  };
}

/** What a label promises: a route by which it may be served, from when (null: at once) and until when (null: no end); ms. */
export interface LabelPromise {
  readonly route: Route;
  readonly from: number | null;
  readonly until: number | null;
}
/**
 * What a label printed now promises. What opens only once somebody has read it is no promise yet.
 *
 * @param now ms
 * @example
 * promisesOf([{ route: 'cooked', never: false, missing: false, opens: null, proofDue: null, closes: 7200000 }], 0) // => [{ route: 'cooked', from: null, until: 7200000 }]
 */
export function promisesOf(windows: readonly RouteWindow[], now: number): LabelPromise[] {
  const isProven = ({ opens, proofDue }: RouteWindow) =>
    opens === null || opens <= now || (proofDue ?? Infinity) > opens;
  const seen = windows.filter(isProven).map((window) => ({ ...window, state: stateAt(window, now, 0) }));
  const { raw, cooked } = routesOnLabel(seen);
  return [raw, cooked].filter(mayServe).map(({ route, from, until }) => ({ route, from, until }));
}

/** So much earlier an end may come before a label has to be printed anew: a share of what it promised, and never less than the least. The house's own figures: check. */
const SLACK = { share: 0.05, leastMs: 15 * MINUTE } as const;
/**
 * The first of a label's promises that no longer holds: its route is shut, opens later, or ends clearly earlier than the label says. One whose time is
 * over anyway misleads nobody; nor does a label that promises less than stands now.
 *
 * @param label when it was printed, ms, and what it promised
 * @param now ms
 * @returns what was said and until when it may be served by now, ms, null where it may not; or null where all holds
 * @example
 * brokenPromise({ at: 0, said: [{ route: 'cooked', from: null, until: 7200000 }] }, [], 3600000) // => { route: 'cooked', said: 7200000, until: null }
 */
export function brokenPromise(
  label: { readonly at: number; readonly said: readonly LabelPromise[] },
  windows: readonly RouteWindow[],
  now: number
): { route: Route; said: number | null; until: number | null } | null {
  for (const { route, from, until: said } of label.said) {
    if (said !== null && said <= now) continue;
    const window = windows.find((each) => each.route === route);
    const state = window && stateAt(window, now, 0);
    if (!window || !state || !mayServe({ state })) return { route, said, until: null };
    // Served by the hour on its label it would go out too early.
    if (state === 'locked' && window.opens! > (from ?? label.at)) return { route, said, until: null };
    const until = endOf(window);
    if (until === null) continue;
    const slack = said === null ? 0 : Math.max(SLACK.leastMs, SLACK.share * (said - label.at));
    if (said === null || until < said - slack) return { route, said, until };
  }
  return null;
}
