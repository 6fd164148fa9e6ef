import { ALL_ROUTES, reason, type Hazard } from '../context.ts';
import { RAW_ROUTES } from '../window.ts';

/** Where it came from, and what the person at the door decided. A person may always be stricter than the tool. */
export const source: Hazard = (context) => {
  const { received } = context.lot;
  const cited = context.profile.commercialSource;
  const evidence = [received.seq];
  const out = [];
  if (received.commercial === 'no') {
    out.push(
      reason(context, 'source', 'source.not-commercial', { kind: 'never' }, cited, { routes: ALL_ROUTES, evidence })
    );
  } else if (received.commercial === 'unknown') {
    out.push(
      reason(context, 'source', 'source.unknown', { kind: 'missing' }, cited, {
        routes: ALL_ROUTES,
        evidence,
        wouldChange: 'name-the-source'
      })
    );
  } else {
    out.push(
      reason(context, 'source', 'source.named', { kind: 'pass' }, cited, {
        routes: ALL_ROUTES,
        evidence,
        seen: { supplier: received.supplier }
      })
    );
  }
  if (received.decision === 'cooked-only') {
    out.push(
      reason(context, 'source', 'decision.cooked-only', { kind: 'never' }, cited, {
        routes: RAW_ROUTES,
        evidence,
        seen: { by: received.by, reason: received.reason }
      })
    );
  }
  if (received.decision === 'send-back') {
    out.push(
      reason(context, 'source', 'decision.sent-back', { kind: 'closes', at: received.at }, cited, {
        routes: ALL_ROUTES,
        evidence,
        seen: { by: received.by, reason: received.reason }
      })
    );
  }
  return out;
};
