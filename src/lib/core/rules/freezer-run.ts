import { DAY } from '../measure/spans.ts';
import { judgeCycle } from '../bench/freeze/compliance.ts';
import { SOLID_CORE, type ComplianceOptions, type CycleResult } from '../bench/freeze/hold.ts';
import type { LogBook, RunLog } from '../log/holding.ts';
import type { FreezeRun } from '../activity/freeze/fold.ts';
import type { JudgeContext } from './context.ts';
import { atOrBelow, type FreezeCycle } from '../codes/profile.ts';

/** What a freezer run is judged in: the rule book, what loggers said, and the way the piece came. */
export type RunContext = Pick<JudgeContext, 'profile' | 'house' | 'logs' | 'at' | 'lot' | 'chain'>;

/**
 * Whether a piece was solid when a run of it began: it came frozen, or lay in a freezer before, and nobody read its core soft
 * since, at the end of a thaw or in the cold: a thaw that was begun is not yet one. What was typed as its core on the way into the next freezer is no such reading.
 */
export function wentInSolid({ lot, chain }: Pick<RunContext, 'lot' | 'chain'>, run: FreezeRun): boolean {
  let solidSince = lot.received.frozen ? lot.received.at : -Infinity;
  for (const piece of chain)
    for (const { at, seq, ended } of piece.freezes)
      if (seq !== run.seq && at < run.at) solidSince = Math.max(solidSince, Math.min(ended?.at ?? run.at, run.at));
  if (solidSince === -Infinity) return false;
  const isSince = (at: number) => at >= solidSince && at <= run.at;
  const isSoft = (celsius: number, unit: string) => !atOrBelow({ celsius, unit }, SOLID_CORE);
  return !chain.some(
    ({ thaws, readings }) =>
      thaws.some(({ ended }) => ended?.core && isSince(ended.at) && isSoft(ended.core.si, ended.core.unit)) ||
      readings.some(({ at, celsius, unit }) => isSince(at) && isSoft(celsius, unit))
  );
}

/** A cycle that wants it solid at a temperature no reading came near, and that nobody is running, need not be followed. */
export function isHopeless(cycle: FreezeCycle, run: FreezeRun, log: RunLog | null): boolean {
  const { solidAt } = cycle;
  if (!solidAt || run.plan.cycle === cycle.id) return false;
  const near = (celsius: number) => celsius <= solidAt.c + 0.5;
  return !(
    run.readings.some((reading) => near(reading.celsius)) ||
    log?.air.celsius.some(near) ||
    log?.core.celsius.some(near)
  );
}

/** A run that readings prove is proven within weeks: what a freezer did afterwards, for months, need not be read. */
export const FIRST_LOOK_MS = 21 * DAY;

/** What loggers say of a run, up to a moment. */
export const logOfRun = (logs: LogBook, run: FreezeRun, at: number): RunLog | null =>
  logs.run(run.plan.place, run.plan.coreSensor, run.at, Math.min(run.ended?.at ?? at, at));

/** Judges one freezer run against the cycles of the profile, by the clock the house counts from, or by another one. */
export function judgeRun(
  context: RunContext,
  run: FreezeRun,
  cycles: readonly FreezeCycle[] = context.profile.parasites.cycles,
  by: Partial<Pick<ComplianceOptions, 'clock' | 'accuracy'>> = {}
): CycleResult[] {
  const { parasites } = context.profile;
  // The house may be stricter than the code (count from the core), never looser.
  const clock = by.clock ?? (parasites.clock === 'core' || context.house.countFromCore ? 'core' : 'air');
  const accuracy =
    by.accuracy ?? (parasites.accuracy === 'strict' || context.house.strictAccuracy ? 'strict' : 'plain');
  const startsSolid = cycles.some(({ solidAt }) => solidAt) && wentInSolid(context, run);
  const end = Math.min(run.ended?.at ?? context.at, context.at);
  const judged = (until: number) => {
    const log = context.logs.run(run.plan.place, run.plan.coreSensor, run.at, until);
    const readings = log && log.hand.length > 0 ? [...run.readings, ...log.hand] : run.readings;
    return cycles.map((cycle) =>
      judgeCycle(
        readings,
        cycle,
        {
          clock,
          accuracy,
          accuracyCelsius: log?.accuracy ?? undefined,
          handGapShare: parasites.handGapShare,
          loggedGapSeconds: parasites.loggedGapSeconds,
          startedAt: run.at,
          slowArrivalSeconds: (run.replan ?? run.plan).coreArrival?.high ?? null,
          fastArrivalSeconds: (run.replan ?? run.plan).coreArrival?.low ?? null,
          startsSolid,
          plannedAirCelsius: (run.replan ?? run.plan).air.si
        },
        log ?? undefined
      )
    );
  };
  const soon = Math.min(end, run.at + FIRST_LOOK_MS);
  const first = judged(soon);
  return soon < end && first.some(({ satisfiedAt }) => satisfiedAt === null) ? judged(end) : first;
}
