/** Routes, windows and reasons: what a verdict is made of. */
export const ROUTES = ['raw', 'cured', 'acid', 'seared', 'cooked'] as const;
export type Route = (typeof ROUTES)[number];
/** Routes that leave living parasites alive: cure, acid and a seared crust are looks, not kill steps. */
export const RAW_ROUTES: readonly Route[] = ['raw', 'cured', 'acid', 'seared'];

export type WindowState = 'not-cleared' | 'locked' | 'open' | 'ebbing' | 'closed' | 'never';

/**
 * What a finding does to a route. `opens` with `needsProof` is a clock that must run and then be proven by a reading:
 * at that moment the route reads not cleared, never open by itself.
 */
export type Effect =
  | { readonly kind: 'pass' }
  | { readonly kind: 'opens'; readonly at: number; readonly needsProof: boolean }
  | { readonly kind: 'closes'; readonly at: number }
  /** Open, but from that moment not without a reading: what nobody has heard of for so long is not cleared. */
  | { readonly kind: 'read-by'; readonly at: number }
  | { readonly kind: 'missing' }
  | { readonly kind: 'never' };

export interface RuleReference {
  readonly profile: string;
  readonly rule: string;
  readonly citation: string;
  readonly check: boolean;
}

export interface Reason {
  /** Stable code; the sentence is in lib/words. */
  readonly code: string;
  readonly hazard: string;
  readonly routes: readonly Route[];
  readonly effect: Effect;
  readonly rule: RuleReference;
  /** Entries of the ledger it leans on. */
  readonly evidence: readonly number[];
  /** Figures and names for the sentence. */
  readonly seen: Readonly<Record<string, string | number | boolean | null>>;
  /** What would change it; null where nothing would. */
  readonly wouldChange: string | null;
  /** Set where a person answers for it: it stood in the way, and no longer does. */
  readonly owned?: { readonly seq: number; readonly by: string; readonly reason: string; readonly at: number };
  /** Set where an amendment that may take nothing away struck what it leans on: it stands all the same. */
  readonly struck?: true;
  /** Set where it speaks of some candidates, and not all, of a fish that nobody identified. */
  readonly candidate?: string;
  /** Set where it speaks of some of the lots of a batch, and not all: their codes. */
  readonly lots?: string;
}

/** Change-points of one route. Stored; the state at a moment is read off them. */
export interface RouteWindow {
  readonly route: Route;
  readonly never: boolean;
  readonly missing: boolean;
  /** Ms, or null where nothing holds it back. */
  readonly opens: number | null;
  /** From this moment a reading is needed before it may open, or stay open; ms. */
  readonly proofDue: number | null;
  readonly closes: number | null;
}

/**
 * Puts findings together, for every route at once: any never wins, then anything missing; it opens when the last clock has
 * run and closes at the first end.
 */
export function combineAll(reasons: readonly Reason[]): RouteWindow[] {
  const windows = ROUTES.map((route) => ({
    route,
    never: false,
    missing: false,
    opens: null as number | null,
    proofDue: null as number | null,
    closes: null as number | null
  }));
  for (const { routes, effect } of reasons) {
    if (effect.kind === 'pass') continue;
    for (const window of windows) {
      if (!routes.includes(window.route)) continue;
      if (effect.kind === 'never') window.never = true;
      else if (effect.kind === 'missing') window.missing = true;
      else if (effect.kind === 'read-by') window.proofDue = Math.min(window.proofDue ?? Infinity, effect.at);
      else if (effect.kind === 'opens') {
        window.opens = Math.max(window.opens ?? -Infinity, effect.at);
        if (effect.needsProof) window.proofDue = Math.min(window.proofDue ?? Infinity, effect.at);
      } else window.closes = Math.min(window.closes ?? Infinity, effect.at);
    }
  }
  return windows;
}

/**
 * The state of a window at a moment.
 *
 * @param warnSeconds how long before its end an open window reads as ebbing
 * @example
 * stateAt({ route: 'raw', never: false, missing: false, opens: 10000, proofDue: null, closes: 20000 }, 5000, 1) // => 'locked'
 */
export function stateAt(window: RouteWindow, at: number, warnSeconds: number): WindowState {
  if (window.never) return 'never';
  if (window.closes !== null && at >= window.closes) return 'closed';
  if (window.missing) return 'not-cleared';
  if (window.proofDue !== null && at >= window.proofDue) return 'not-cleared';
  if (window.opens !== null && at < window.opens) {
    // A window that would close before it opens is no promise at all.
    return window.closes !== null && window.closes <= window.opens ? 'closed' : 'locked';
  }
  // Past the checks above a moment to be read by lies ahead, and is an end like any other.
  const end = Math.min(window.closes ?? Infinity, window.proofDue ?? Infinity);
  return end - at < warnSeconds * 1000 ? 'ebbing' : 'open';
}

/** True where `after` allows anything, at any moment, that `before` did not. */
export function isWider(before: RouteWindow, after: RouteWindow): boolean {
  const span = (window: RouteWindow): [number, number] => {
    if (window.never || window.missing) return [Infinity, Infinity];
    const opens = window.opens ?? -Infinity;
    // A clock still to be proven counts as promised from its end on: bringing it nearer is a widening too. What has to be
    // read by a moment ends there.
    const readBy = window.proofDue !== null && window.proofDue > opens ? window.proofDue : Infinity;
    return [opens, Math.min(window.closes ?? Infinity, readBy)];
  };
  const [fromBefore, toBefore] = span(before);
  const [fromAfter, toAfter] = span(after);
  if (fromAfter >= toAfter) return false;
  if (fromBefore >= toBefore) return true;
  const needsProof = ({ opens, proofDue }: RouteWindow) => proofDue !== null && proofDue <= (opens ?? -Infinity);
  const proofLifted = needsProof(before) && !needsProof(after);
  return fromAfter < fromBefore || toAfter > toBefore || proofLifted;
}
