import { HOUR } from '../../measure/spans.ts';
import { guardsOf, ROP_HOURS } from '../../bench/cure/guards.ts';
import { cureNow } from './fold.ts';
import { ALL_ROUTES, reason, type Hazard } from '../../rules/context.ts';
import type { Cited } from '../../codes/profile.ts';
import { RAW_ROUTES, type Effect, type Reason } from '../../codes/window.ts';

export const PACK: Cited = {
  rule: '3-502.12',
  citation:
    'FDA Food Code 2022, 3-502.12: fish is reduced-oxygen packed only if frozen before, during and after; a labelled pack held at 5 °C or below and opened within 48 h needs no plan. FDA Hazards guide, ch. 13: 5 % water-phase salt. Whether the 48 h cover unfrozen fish is for the authority',
  check: true
};
const CITED: Readonly<Record<string, Cited>> = {
  'cure.still-raw': { rule: '3-402.11', citation: 'FDA Food Code 2022, 3-402.11: a cure is no parasite destruction' },
  'cure.listeria': {
    rule: 'growth estimate',
    citation: 'Mejlholm and Dalgaard (2009), J. Food Prot. 72: an estimate, never a permission',
    check: true
  },
  'cure.plan': {
    rule: '3-502.11',
    citation: 'FDA Food Code 2022, 3-502.11: curing may need a variance and a HACCP plan'
  }
};

/** What a cure means for the piece: what it does not kill, what grows in it, and what its pack may do. */
export const curing: Hazard = (context) => {
  const cures = context.chain.flatMap((link) => link.cures);
  const last = cures.at(-1);
  if (!last) return [];
  const out: Reason[] = [];
  for (const run of cures) {
    const { forecast, dueAt } = cureNow(run);
    // Taken out before its programme was through, it never held what was forecast for its end.
    const isThrough = run.ended === null || run.ended.at >= dueAt;
    const until = run.ended?.at ?? context.at;
    const evidence = [run.seq, ...(run.ended ? [run.ended.seq] : [])];
    const guards = guardsOf({
      celsius: run.plan.celsius,
      // What nobody forecast is taken as no salt at all.
      leastWps: forecast.leastWps?.low ?? 0,
      waterActivity: forecast.waterActivity ?? 1,
      closedPack: run.plan.pack === 'closed',
      hours: (until - run.at) / HOUR,
      reachedHours: isThrough ? (dueAt - run.at) / HOUR : Infinity
    });
    for (const { code, seen } of guards) {
      const isPack = code.startsWith('cure.closed-pack');
      // The pack of every cure on the way counts; the rest is said once, of the last.
      if (run !== last && !isPack) continue;
      if (code === 'cure.open') continue;
      const limit = run.at + ROP_HOURS * HOUR;
      const inTime = run.ended !== null && run.ended.at <= limit;
      const closes: Effect = { kind: 'closes', at: limit };
      // A forecast of salt opens no closed pack: an approved plan on file does, and that is read with the papers.
      const effect: Effect = isPack && !inTime ? closes : { kind: 'pass' };
      out.push(
        reason(context, 'curing', code, effect, isPack ? PACK : CITED[code]!, {
          routes: effect.kind === 'closes' ? ALL_ROUTES : RAW_ROUTES,
          evidence,
          seen
        })
      );
    }
  }
  return out;
};
