import type { OwnedException } from '../record/state.ts';
import type { Reason, Route } from './window.ts';

/**
 * Findings a person may answer for with name and reason. Everything else is refused: poisons and licensed species, a source
 * that is none, shellfish without a tag, what was discarded or served, expired time control, warm hours already spent.
 */
export const OWNABLE: ReadonlySet<string> = new Set([
  'parasites.not-frozen',
  'parasites.no-farm-paper',
  'parasites.paper-expired',
  'parasites.roe-not-rinsed',
  'parasites.fluke-not-cleared',
  'parasites.freezer-too-warm',
  'parasites.kudoa',
  'decision.hold-to-freeze',
  'temperature.not-taken',
  'temperature.arrived-warm',
  'histamine.no-chill-record',
  'freshness.no-catch-date',
  'toxins.purging-oil',
  'toxins.area-unknown',
  'identification.none',
  'ageing.cabinet-unread'
]);

/** Whether a finding may be answered for: it holds something back, and its code is on the list. */
export const isOwnable = (reason: Pick<Reason, 'code' | 'effect'>): boolean =>
  reason.effect.kind === 'missing' && OWNABLE.has(reason.code);

/**
 * Findings with the house's exceptions over them: what a person answers for no longer holds back on the routes they named,
 * and says who it was. With an end, the routes close then. The finding itself stays in sight.
 *
 * @param exceptions in force on the piece and on those it came from
 */
export function withExceptions(reasons: readonly Reason[], exceptions: readonly OwnedException[]): Reason[] {
  return reasons.flatMap((reason): Reason[] => {
    if (!isOwnable(reason)) return [reason];
    let open: readonly Route[] = reason.routes;
    const out: Reason[] = [];
    for (const own of exceptions) {
      if (own.code !== reason.code) continue;
      const routes = open.filter((route) => own.routes.includes(route));
      if (routes.length === 0) continue;
      open = open.filter((route) => !routes.includes(route));
      out.push({
        ...reason,
        routes,
        effect: own.until === null ? { kind: 'pass' } : { kind: 'closes', at: own.until },
        wouldChange: null,
        owned: { seq: own.seq, by: own.by, reason: own.reason, at: own.at }
      });
    }
    return open.length > 0 ? [{ ...reason, routes: open }, ...out] : out;
  });
}
