import { ALL_ROUTES, reason, type Hazard } from '../../../rules/context.ts';
import { RAW_ROUTES, type Reason } from '../../../codes/window.ts';

/** Where it came from, and what the person at the door decided. A person may always be stricter than the tool. */
export const source: Hazard = (context) => {
  const { received, decisions } = context.lot;
  const cited = context.profile.commercialSource;
  const evidence = [received.seq];
  const out: Reason[] = [];
  // Own table and training are no sale: the rule on sources does not speak of them, and no service may take them.
  const kept = received.purpose !== 'sale' && received.commercial !== 'yes';
  const recreationalShellfish = received.commercial === 'no' && context.species.group === 'mollusc';
  if (kept && !recreationalShellfish) {
    out.push(
      reason(context, 'source', 'source.not-for-sale', { kind: 'pass' }, cited, {
        routes: ALL_ROUTES,
        evidence,
        seen: { purpose: received.purpose }
      })
    );
  } else if (received.commercial === 'no') {
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
  // A stricter decision joins the ones before it; each speaks for itself.
  for (const { seq, at, by, decision, reason: why } of decisions) {
    const rest = { evidence: [seq], seen: { by, reason: why } };
    if (decision === 'cooked-only') {
      out.push(
        reason(context, 'source', 'decision.cooked-only', { kind: 'never' }, cited, { routes: RAW_ROUTES, ...rest })
      );
    } else if (decision === 'send-back') {
      out.push(
        reason(context, 'source', 'decision.sent-back', { kind: 'closes', at }, cited, { routes: ALL_ROUTES, ...rest })
      );
    }
  }
  // The ban binds houses that serve such guests by what they are; at a bar it is advice to the guest, and a warning to the cook.
  if (context.house.susceptibleGuests) {
    out.push(
      reason(context, 'guests', 'guests.susceptible', { kind: 'never' }, context.profile.susceptible, {
        seen: { house: true }
      })
    );
  } else if (context.susceptible) {
    out.push(reason(context, 'guests', 'guests.warning', { kind: 'pass' }, context.profile.susceptible));
  }
  return out;
};
