import { DAY } from '../../core/measure/spans.ts';
import type { Advice, SittingOutlook } from '../../core/bench/age/advice.ts';
import type { AgeForecast } from '../../core/bench/age/forecast.ts';
import type { AgeRun } from '../../core/activity/age/fold.ts';
import { ADVICE_WORDS } from '../../words/age.ts';
import { dayName } from '../format.ts';

/**
 * A share as a cook says it.
 *
 * @example
 * percent(0.0834) // => '8.3\u00a0%'
 */
export const percent = (share: number): string => `${(share * 100).toFixed(1)}\u00a0%`;

/** The day it is forecast for, with its interval: "Sat, day 8 (7 to 10)". */
export function readyWords(run: AgeRun, { targetDay }: Pick<AgeForecast, 'targetDay'>, zone: string): string {
  if (!targetDay) return 'never in this air';
  const { low, likely, high } = targetDay;
  const day = (value: number) => Math.max(1, Math.ceil(value));
  const far = high >= 60 ? 'or never' : `to ${day(high)}`;
  return `${dayName(run.at + likely * DAY, zone)}, day ${day(likely)} (${day(low)} ${far})`;
}

/** What to do with it, in a few words. */
export const adviceWords = ({ code, service }: Pick<Advice, 'code' | 'service'>): string =>
  code === 'ready-for' && service ? `${ADVICE_WORDS[code]} ${service.name}` : ADVICE_WORDS[code];

/** How it will be at a sitting. */
export const outlookWords = ({ fit, open, loss }: SittingOutlook): string => {
  if (!open) return 'window closed';
  return `${percent(loss.likely)} ${fit === 'ready' ? 'ready' : fit === 'under' ? 'too moist' : 'too dry'}`;
};
