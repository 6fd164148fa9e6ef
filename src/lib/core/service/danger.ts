/**
 * What is looked to first, worst first: trays and boards that run out; air that is too warm; a fish that uses up its time in the
 * warm; a moment that passes; what every window is shut for; what nobody has read; then by the hour it is wanted; then papers.
 */
export const DANGERS = [
  'running-out',
  'too-warm',
  'warm-hours',
  'moment',
  'shut',
  'unread',
  'before-service',
  'tonight',
  'later',
  'paper'
] as const;
export type Danger = (typeof DANGERS)[number];

/** What is never folded away. */
export const URGENT: ReadonlySet<Danger> = new Set(DANGERS.slice(0, DANGERS.indexOf('before-service')));

/** The hours that part what is near from what is not, ms. */
export interface Horizon {
  readonly now: number;
  /** The house's warning time. */
  readonly warnMs: number;
  /** When the next service begins; null where none is planned. */
  readonly service: number | null;
  /** When the business day ends. */
  readonly dayEnds: number;
}

/** Out of the cold by their nature: past their time they are the worst there is. */
const CLOCKED: ReadonlySet<string> = new Set(['tray-discard', 'board-open', 'rice-discard']);
/** What stands whenever it was said: these have no hour that could come first. */
const ALWAYS: Readonly<Record<string, Danger>> = {
  'paper-missing': 'paper',
  'warm-hours': 'warm-hours',
  'leftover-closed': 'shut',
  'acid-past': 'moment',
  'age-stopped': 'moment'
};
const READINGS: ReadonlySet<string> = new Set(['read-it', 'freeze-reading']);
/** Days are their measure: an hour more or less changes nothing. */
const SLOW: ReadonlySet<string> = new Set(['age-look', 'age-ready', 'cure-paused', 'knife-due']);

/**
 * How pressing a task is.
 *
 * @param task its code, and when it is wanted, ms
 * @example
 * dangerOf({ code: 'tray-discard', at: 0 }, { now: 60000, warnMs: 3600000, service: null, dayEnds: 86400000 }) // => 'running-out'
 * @example
 * dangerOf({ code: 'cure-due', at: 7200000 }, { now: 0, warnMs: 3600000, service: null, dayEnds: 86400000 }) // => 'tonight'
 */
export function dangerOf(
  { code, at }: { readonly code: string; readonly at: number },
  { now, warnMs, service, dayEnds }: Horizon
): Danger {
  const always = ALWAYS[code];
  if (always) return always;
  if (at - now < warnMs && !SLOW.has(code)) {
    if (CLOCKED.has(code)) return 'running-out';
    return READINGS.has(code) ? 'unread' : 'moment';
  }
  if (service !== null && at < service) return 'before-service';
  return at < dayEnds ? 'tonight' : 'later';
}

/** How pressing it is that a place was too warm, silent or not believed. While it is too warm every minute counts. */
export function dangerOfAlarm({ kind, to }: { readonly kind: string; readonly to: number | null }): Danger {
  if (kind === 'warm') return 'too-warm';
  return kind === 'silent' && to === null ? 'unread' : 'moment';
}

export interface Ranked {
  readonly danger: Danger;
  readonly at: number;
}
/**
 * Worst first. Of moments that pass the nearest comes first, before or behind: what was due a minute ago can still be saved, what was
 * due yesterday cannot. Of all others the one that was due first.
 *
 * @param now ms
 */
export const byDanger =
  (now: number) =>
  (a: Ranked, b: Ranked): number => {
    const ranks = DANGERS.indexOf(a.danger) - DANGERS.indexOf(b.danger);
    if (ranks !== 0) return ranks;
    return a.danger === 'moment' ? Math.abs(a.at - now) - Math.abs(b.at - now) : a.at - b.at;
  };

/** Where the work is done that a task asks for. */
export const STATIONS = ['board', 'cold', 'freeze', 'cure', 'acid', 'age', 'rice', 'serve', 'papers'] as const;
export type Station = (typeof STATIONS)[number];
const STATION_OF: Readonly<Record<string, Station>> = {
  'board-open': 'board',
  'knife-due': 'board',
  'read-it': 'cold',
  'warm-hours': 'cold',
  'thaw-due': 'freeze',
  'tray-discard': 'serve',
  'window-closes': 'serve',
  'leftover-closed': 'serve',
  'label-stale': 'serve',
  'paper-missing': 'papers'
};
/** The station of a task: an activity's own codes begin with its name. */
export const stationOf = (code: string): Station =>
  STATION_OF[code] ?? STATIONS.find((station) => code.startsWith(`${station}-`)) ?? 'cold';
