import { MINUTE } from '../../measure/spans.ts';
import { running } from '../../record/occupation.ts';
import { COLD_THAW_LIMIT, WATER_THAW_LIMIT } from '../../bench/freeze/thaw.ts';
import type { ThawRun } from './fold.ts';
import { ALL_ROUTES, reason, type Hazard, type JudgeContext } from '../../rules/context.ts';
import { atOrBelow } from '../../codes/profile.ts';
import { RAW_ROUTES, type Reason } from '../../codes/window.ts';

const THAWING = {
  rule: '3-501.13',
  citation: 'FDA Food Code 2022, 3-501.13: thawing at 5 °C or below, or under running water at 21 °C or below'
};
const PACK = {
  rule: '3-501.13(E)',
  citation:
    'FDA Food Code 2022, 3-501.13(E): reduced-oxygen packed fish labelled to be kept frozen leaves its pack before a cold thaw'
};

const WATER = {
  rule: '3-501.13(B)',
  citation:
    'FDA Food Code 2022, 3-501.13(B): under running water at 21 °C (70 °F) or below; ready-to-eat portions never above 5 °C (41 °F)'
};
/** What is judged of a thaw, for the table of rules. */
export const THAW_RULES = { cold: THAWING, water: WATER, pack: PACK } as const;
/** A core read within this of the end of a thaw speaks for it; the house's figure (check). ms */
const SOON_MS = 30 * MINUTE;

/** Under running water: how warm it was, and that fish for the raw routes never passed the limit of what is ready to eat. */
function underWater(context: JudgeContext, { seq, plan, ended }: ThawRun): Reason[] {
  if (plan.method !== 'water') return [];
  const { medium } = plan;
  const isTooWarm = !atOrBelow({ celsius: medium.si, unit: medium.unit }, WATER_THAW_LIMIT);
  const out: Reason[] = [];
  const rest = { routes: RAW_ROUTES, evidence: [seq, ...(ended ? [ended.seq] : [])] };
  const startedAt = context.chain.flatMap((piece) => piece.thaws).find((run) => run.seq === seq)!.at;
  if (isTooWarm) {
    const seen = {
      celsius: medium.si,
      typed: medium.typed,
      limitC: WATER_THAW_LIMIT.c,
      limitF: WATER_THAW_LIMIT.f
    };
    out.push(
      reason(context, 'thawing', 'thaw.water-warm', { kind: 'closes', at: startedAt }, WATER, { ...rest, seen })
    );
  }
  if (!ended) return out;
  const core = context.points.find(({ at }) => at > ended.at - MINUTE && at <= ended.at + SOON_MS);
  if (!core) {
    out.push(
      reason(context, 'thawing', 'thaw.core-not-read', { kind: 'missing' }, WATER, {
        ...rest,
        wouldChange: 'read-the-core'
      })
    );
  } else if (!atOrBelow({ celsius: core.celsius, unit: core.unit ?? 'C' }, COLD_THAW_LIMIT)) {
    const seen = { celsius: core.celsius, limitC: COLD_THAW_LIMIT.c };
    out.push(reason(context, 'thawing', 'thaw.ended-warm', { kind: 'closes', at: ended.at }, WATER, { ...rest, seen }));
  }
  return out;
}

/** A thaw that is going on, and one that was done in a closed pack without oxygen. */
export const thawing: Hazard = (context) => {
  const out: Reason[] = [];
  const run = running(context.piece.thaws);
  if (run) {
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
  for (const done of context.chain.flatMap((piece) => piece.thaws)) out.push(...underWater(context, done));
  return out;
};
