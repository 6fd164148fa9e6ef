import { DAY } from '../core/measure/spans.ts';
import type { Advice, SittingOutlook } from '../core/bench/age/advice.ts';
import type { AgeForecast } from '../core/bench/age/forecast.ts';
import type { AgeRun } from '../core/activity/age/fold.ts';
import { ADVICE_WORDS } from './age.ts';
import * as say from './say.ts';
import { said } from './speech.ts';

/** The day it is forecast for, with its interval: "Sat, day 8 (7 to 10)". */
export const readyWords = /* @__PURE__ */ said((run: AgeRun, { targetDay }: Pick<AgeForecast, 'targetDay'>): string => {
  if (!targetDay) return 'never in this air';
  const { low, likely, high } = targetDay;
  const day = (value: number) => Math.max(1, Math.ceil(value));
  const far = high >= 60 ? 'or never' : `to ${day(high)}`;
  return `${say.dayName(run.at + likely * DAY)}, day ${day(likely)} (${day(low)} ${far})`;
});

/** What to do with it, in a few words. */
export const adviceWords = /* @__PURE__ */ said(({ code, service }: Pick<Advice, 'code' | 'service'>): string =>
  code === 'ready-for' && service ? `${ADVICE_WORDS[code]} ${service.name}` : ADVICE_WORDS[code]
);

/** How it will be at a sitting. */
export const outlookWords = /* @__PURE__ */ said(({ fit, open, loss }: SittingOutlook): string => {
  if (!open) return 'window closed';
  return `${say.percent(loss.likely)} ${fit === 'ready' ? 'ready' : fit === 'under' ? 'too moist' : 'too dry'}`;
});
