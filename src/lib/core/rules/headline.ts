import { EmberError } from '../errors.ts';
import { stateAt, type Reason, type Route, type RouteWindow, type WindowState } from '../codes/window.ts';

/** A route as it stands at a moment. */
export interface RouteState {
  readonly route: Route;
  readonly state: WindowState;
  /** When it opens, where it is locked; ms. */
  readonly from: number | null;
  /** Where it opens only on a reading taken then. */
  readonly thenRead: boolean;
  /** When it ends or ended, by what is known; null where nothing ends it. ms */
  readonly until: number | null;
  /** When it has to be read again so as not to be unheard of before that; null where it need not. ms */
  readonly readBy: number | null;
}

/** What a person asks first of a piece: may it be served as I want it, until when, and what decides that. */
export interface Headline extends RouteState {
  /** The one finding that decides it; null where it is open and nothing ends it. */
  readonly deciding: Reason | null;
  /** Findings that something would still change, where it (or what it may be instead) is not open: each has to go. */
  readonly toOpen: readonly Reason[];
  /** Where it is shut for ever or over: the rawest route that is open, or may come open; null for none. */
  readonly instead: RouteState | null;
}

type Judged = { readonly windows: readonly RouteWindow[]; readonly reasons: readonly Reason[] };

function stand(window: RouteWindow, at: number, warnSeconds: number): RouteState {
  const state = stateAt(window, at, warnSeconds);
  const isProofOfOpening = window.proofDue !== null && window.proofDue <= (window.opens ?? -Infinity);
  const isUnheardFirst = window.proofDue !== null && !isProofOfOpening && window.proofDue < (window.closes ?? Infinity);
  const end = window.closes ?? Infinity;
  // One that would close before it opens is closed already, and since no moment in particular.
  const isKnown = Number.isFinite(end) && (state !== 'closed' || end <= at);
  return {
    route: window.route,
    state,
    from: state === 'locked' ? window.opens : null,
    thenRead: state === 'locked' && isProofOfOpening,
    until: isKnown ? end : null,
    readBy: isUnheardFirst && (state === 'open' || state === 'ebbing') ? window.proofDue : null
  };
}

/** The finding of a kind that comes first, or last. */
function turning(reasons: readonly Reason[], kinds: readonly Reason['effect']['kind'][], last = false): Reason | null {
  const timed = reasons.filter(({ effect }) => kinds.includes(effect.kind));
  const at = ({ effect }: Reason) => ('at' in effect ? effect.at : 0);
  return timed.reduce<Reason | null>(
    (best, each) => (best === null || (last ? at(each) > at(best) : at(each) < at(best)) ? each : best),
    null
  );
}

/** What decides the state a route is in: read off in the order the window itself is. */
function decider(reasons: readonly Reason[], window: RouteWindow, state: WindowState): Reason | null {
  const ofRoute = reasons.filter(({ routes }) => routes.includes(window.route));
  const needsProof = ofRoute.filter(({ effect }) => effect.kind === 'opens' && effect.needsProof);
  const due = () =>
    turning([...needsProof, ...ofRoute.filter(({ effect }) => effect.kind === 'read-by')], ['opens', 'read-by']);
  switch (state) {
    case 'never':
      return turning(ofRoute, ['never']);
    case 'closed':
      return turning(ofRoute, ['closes']);
    case 'not-cleared':
      return turning(ofRoute, ['missing']) ?? due();
    case 'locked':
      return turning(ofRoute, ['opens'], true);
    default:
      return turning(ofRoute, ['closes', 'read-by']);
  }
}

/**
 * The first line of a piece: one route, its state, until when, and the one thing that decides it; then what would open it.
 *
 * @param warnSeconds how long before its end a window reads as ebbing
 * @throws EmberError `form.value-unknown` for a route that was not judged
 */
export function headlineOf(judged: Judged, route: Route, at: number, warnSeconds: number): Headline {
  const window = judged.windows.find((each) => each.route === route);
  if (!window) throw new EmberError('form.value-unknown', { field: 'route', seen: route });
  const said = stand(window, at, warnSeconds);
  const { state } = said;
  const isOver = state === 'never' || state === 'closed';
  const others = judged.windows
    .filter((each) => each.route !== route)
    .map((each) => stand(each, at, warnSeconds))
    .filter((each) => each.state !== 'never' && each.state !== 'closed');
  const instead = isOver ? (others.find(isOpen) ?? others[0] ?? null) : null;
  // What is shut for ever asks for nothing; what it may still be instead does.
  const told = isOver ? instead : said;
  return {
    ...said,
    deciding: decider(judged.reasons, window, state),
    toOpen: told && !isOpen(told) ? opening(judged.reasons, told.route, at) : [],
    instead
  };
}
const isOpen = ({ state }: RouteState): boolean => state === 'open' || state === 'ebbing';
/** Findings that hold a route back and that something would change. */
const opening = (reasons: readonly Reason[], route: Route, at: number): Reason[] =>
  reasons.filter(
    ({ routes, effect, wouldChange }) =>
      routes.includes(route) &&
      wouldChange !== null &&
      (effect.kind === 'missing' ||
        (effect.kind === 'opens' && (effect.at > at || effect.needsProof)) ||
        (effect.kind === 'read-by' && effect.at <= at))
  );

/** The route a piece is most likely wanted for: what it lies in now, what it was cut for, or raw. */
export function wantedRoute(piece: {
  readonly use: string;
  readonly inCure: boolean;
  readonly inAcid: boolean;
  readonly cured: boolean;
}): Route {
  if (piece.inAcid) return 'acid';
  if (piece.inCure) return 'cured';
  const byUse: Readonly<Record<string, Route>> = {
    raw: 'raw',
    cure: 'cured',
    acid: 'acid',
    sear: 'seared',
    cook: 'cooked',
    mince: 'cooked',
    stock: 'cooked',
    crisp: 'cooked',
    roe: 'cooked'
  };
  return byUse[piece.use] ?? (piece.cured ? 'cured' : 'raw');
}

/** Whether a finding may still be changed for any route: nothing is asked for where all is shut for ever. */
export function holdsBack(judged: Judged): Reason[] {
  const alive = new Set(judged.windows.filter(({ never }) => !never).map(({ route }) => route));
  return judged.reasons.filter(
    ({ effect, routes, wouldChange }) =>
      effect.kind === 'missing' && wouldChange !== null && routes.some((route) => alive.has(route))
  );
}
