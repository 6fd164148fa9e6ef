import { ALL_ROUTES, reason, type Hazard } from '../context.ts';
import { RAW_ROUTES, type Reason } from '../window.ts';

const THAWING = {
  rule: '3-501.13',
  citation: 'FDA Food Code 2022, 3-501.13: thawing at 5 °C or below, or under running water at 21 °C or below'
};
const PACK = {
  rule: '3-501.13(E)',
  citation:
    'FDA Food Code 2022, 3-501.13(E): reduced-oxygen packed fish labelled to be kept frozen leaves its pack before a cold thaw'
};

/** A thaw that is going on, and one that was done in a closed pack without oxygen. */
export const thawing: Hazard = (context) => {
  const out: Reason[] = [];
  const run = context.piece.thaws.at(-1);
  if (run && !run.ended) {
    out.push(
      reason(context, 'thawing', 'thaw.running', { kind: 'missing' }, THAWING, {
        routes: RAW_ROUTES,
        evidence: [run.seq],
        seen: { place: run.plan.place },
        wouldChange: 'end-the-thaw'
      })
    );
  }
  // Under running water the pack may also be opened at once afterwards: the rule allows it there.
  const closed = context.chain
    .flatMap((piece) => piece.thaws)
    .find(({ plan }) => plan.pack === 'closed' && plan.method === 'cold');
  if (closed) {
    out.push(
      reason(context, 'thawing', 'thaw.closed-pack', { kind: 'missing' }, PACK, {
        routes: ALL_ROUTES,
        evidence: [closed.seq],
        wouldChange: 'discard-it'
      })
    );
  }
  return out;
};
