import type { Band } from '../../random.ts';

export interface Sitting {
  readonly id: string;
  readonly name: string;
  /** ms */
  readonly at: number;
}
export type Fit = 'under' | 'ready' | 'over';
export interface SittingOutlook extends Sitting {
  readonly loss: Band;
  /** Whether it will have lost what was wanted by then, nearly enough. */
  readonly fit: Fit;
  /** Whether it may still be served raw then. */
  readonly open: boolean;
}
export type AdviceCode =
  | 'stopped'
  | 'closed'
  | 'not-cleared'
  | 'over-now'
  | 'ready-for'
  | 'ready-no-service'
  | 'closes-first'
  | 'never-reaches'
  | 'after-services';
export interface Advice {
  /** Pull it now, for a sitting, later, or never as wanted. */
  readonly what: 'now' | 'service' | 'later' | 'never';
  readonly code: AdviceCode;
  readonly service: Sitting | null;
  readonly sittings: readonly SittingOutlook[];
}

/** Near enough to what was wanted, as a share of it: below it is still too moist, above it is a drier dish. The house's habit. */
export const NEAR_ENOUGH = { from: 0.9, to: 1.3 } as const;

const fitOf = (loss: number, target: number): Fit =>
  loss < NEAR_ENOUGH.from * target ? 'under' : loss > NEAR_ENOUGH.to * target ? 'over' : 'ready';

/**
 * Pull now, for Saturday, or never: the first sitting at which the fish has lost what was wanted while it may still be served raw.
 *
 * @param lossAt share lost at a moment, ms
 * @param targetAt when the wanted loss is reached, ms; null: never in such air
 * @param closes when its last raw route closes, ms; null: nothing closes it; -Infinity: none is cleared
 */
export function pullAdvice(input: {
  readonly now: number;
  readonly target: number;
  readonly lossAt: (at: number) => Band;
  readonly targetAt: number | null;
  readonly closes: number | null;
  readonly stopped: boolean;
  readonly sittings: readonly Sitting[];
}): Advice {
  const { now, target, lossAt, targetAt, stopped } = input;
  const closes = input.closes ?? Infinity;
  const sittings = input.sittings
    .filter(({ at }) => at >= now)
    .sort((a, b) => a.at - b.at)
    .map((sitting): SittingOutlook => {
      const loss = lossAt(sitting.at);
      return { ...sitting, loss, fit: fitOf(loss.likely, target), open: sitting.at <= closes };
    });
  const say = (what: Advice['what'], code: AdviceCode, service: Sitting | null = null): Advice => ({
    what,
    code,
    service,
    sittings
  });
  if (stopped) return say('never', 'stopped');
  if (closes === -Infinity) return say('never', 'not-cleared');
  if (closes <= now) return say('never', 'closed');
  const fit = fitOf(lossAt(now).likely, target);
  if (fit === 'over') return say('now', 'over-now');
  const first = sittings.find((each) => each.open && each.fit === 'ready');
  if (first) return say('service', 'ready-for', first);
  if (fit === 'ready') return say('now', 'ready-no-service');
  if (targetAt === null) return say('never', 'never-reaches');
  if (targetAt > closes) return say('never', 'closes-first');
  return say('later', 'after-services');
}
