import { ALL_ROUTES, reason, type Hazard } from '../../rules/context.ts';
import type { Cited } from '../../codes/profile.ts';

const RECORD: Cited = {
  rule: 'house record',
  citation: "A figure typed wrong is struck, not erased; what was taken back stays in sight (the house's decision)",
  from: 'house'
};

/** Figures that were typed wrong and mended, and bins and serves that a second person took back: said on what they touched. */
export const corrections: Hazard = (context) => [
  ...[...context.lot.corrections, ...context.chain.flatMap((piece) => piece.corrections)].map(
    ({ seq, amendedBy, was, now, by }) =>
      reason(context, 'corrections', 'record.corrected', { kind: 'pass' }, RECORD, {
        routes: ALL_ROUTES,
        evidence: [seq, ...amendedBy],
        seen: { was, now, by }
      })
  ),
  ...context.chain
    .flatMap((piece) => piece.undone)
    .map(({ seq, of, what, by, reason: why }) =>
      reason(context, 'corrections', 'record.taken-back', { kind: 'pass' }, RECORD, {
        routes: ALL_ROUTES,
        evidence: [of, seq],
        seen: { what, by, reason: why }
      })
    )
];
