import { EmberError, inRange } from '../../errors.ts';
import type { Stage } from './programme.ts';

export type CureChange =
  /** Lifted out, and kept aside what it lay in. */
  | { readonly kind: 'pause' }
  | { readonly kind: 'resume' }
  /** The stage it is in lasts so much longer from now; 0 ends it. h */
  | { readonly kind: 'left'; readonly hours: number };

/** A pause nobody has ended yet is drawn as long as this. s */
const OPEN_PAUSE_SECONDS = 3600;

export interface Running {
  readonly index: number;
  readonly stage: Stage;
  /** When it began, s since the start. */
  readonly from: number;
}

/**
 * The stage a programme is in; null once it has run. A pause lasts until somebody ends it.
 *
 * @param seconds since the start
 */
export function stageAt(stages: readonly Stage[], seconds: number): Running | null {
  let from = 0;
  for (const [index, stage] of stages.entries()) {
    if (stage.open || seconds < from + stage.seconds) return { index, stage, from };
    from += stage.seconds;
  }
  return null;
}

export const isPausedAt = (stages: readonly Stage[], seconds: number): boolean =>
  stageAt(stages, seconds)?.stage.id === 'paused';

/**
 * A programme as it is after a change made while it runs: what has been stays, what comes is moved.
 *
 * @param seconds since the start
 * @throws EmberError `cure.not-running` where there is nothing to change, `form.value-unknown` for a change that does not fit
 */
export function changed(stages: readonly Stage[], seconds: number, change: CureChange): Stage[] {
  const at = inRange(seconds, { field: 'at', unit: 's', min: 0, max: 90 * 86400 });
  const running = stageAt(stages, at);
  const last = stages.length - 1;
  if (change.kind === 'left') {
    inRange(change.hours, { field: 'hours', unit: 'h', min: 0, max: 240 });
    // What has run out can still be given more time: it lies in it until somebody lifts it.
    const { index, from } = running ?? { index: last, from: total(stages.slice(0, last)) };
    if (stages[index]!.id === 'paused') {
      throw new EmberError('form.value-unknown', { field: 'change', seen: 'a time left, while it is paused' });
    }
    const lasted = at - from;
    return stages.map((stage, i) =>
      i === index ? { ...stage, seconds: Math.max(1, lasted + change.hours * 3600) } : stage
    );
  }
  if (!running) throw new EmberError('cure.not-running', { field: 'change' });
  const { index, stage, from } = running;
  const lasted = Math.max(1, at - from);
  if (change.kind === 'pause') {
    if (stage.id === 'paused' || stage.contact.kind === 'closed') {
      throw new EmberError('form.value-unknown', { field: 'change', seen: 'a pause, while nothing lies on it' });
    }
    const contact = { kind: 'closed', keep: true } as const;
    const pause: Stage = { id: 'paused', seconds: OPEN_PAUSE_SECONDS, contact, open: true };
    const back: Stage = { id: stage.id, seconds: Math.max(1, stage.seconds - lasted), contact: { kind: 'again' } };
    return [...stages.slice(0, index), { ...stage, seconds: lasted }, pause, back, ...stages.slice(index + 1)];
  }
  if (stage.id !== 'paused') {
    throw new EmberError('form.value-unknown', { field: 'change', seen: 'going on, while it is not paused' });
  }
  const { open: _, ...over } = stage;
  return stages.map((each, i) => (i === index ? { ...over, seconds: lasted } : each));
}

/**
 * A programme as it was really run: cut off at its end, or its last stage as long as it lay in it.
 *
 * @param seconds from the start to when it was taken out
 */
export function executed(stages: readonly Stage[], seconds: number): Stage[] {
  const end = inRange(seconds, { field: 'at', unit: 's', min: 0, max: 365 * 86400 });
  const out: Stage[] = [];
  let from = 0;
  for (const [index, { open: _, ...stage }] of stages.entries()) {
    const left = end - from;
    if (left <= 0 && out.length > 0) break;
    const isLast = index === stages.length - 1 || _ === true;
    const lasted = Math.max(1, isLast ? left : Math.min(stage.seconds, left));
    out.push({ ...stage, seconds: lasted });
    from += lasted;
  }
  return out;
}

const total = (stages: readonly Stage[]) => stages.reduce((sum, { seconds }) => sum + seconds, 0);
/** How long a programme takes, s. */
export const programmeSeconds = total;

/**
 * When hands must begin so that a cure is through by a service.
 *
 * @param readyAt ms
 * @param leadSeconds for unwrapping, drying and cutting
 * @example
 * startBy(86_400_000, [{ id: 'rest', seconds: 3600, contact: { kind: 'closed', keep: false } }], 600) // => 82200000
 */
export const startBy = (readyAt: number, stages: readonly Stage[], leadSeconds = 0): number =>
  readyAt - (total(stages) + leadSeconds) * 1000;
