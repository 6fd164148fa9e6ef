import * as say from './say.ts';
import { said, words } from './speech.ts';
import type { LoadWarning } from '../core/bench/freeze/forecast.ts';
import type { CORRECTIVE, EXCURSION_KINDS } from '../core/activity/cold/bodies.ts';

/** How the air moves, as a cook would say it. */
export const AIR_WORDS: Record<string, string> = /* @__PURE__ */ words({
  still: 'still air (chest, upright)',
  fan: 'a fan',
  blast: 'a blast of air',
  plate: 'between plates',
  bath: 'a bath of brine or spirit'
});
export const PACKING_WORDS: Record<string, string> = /* @__PURE__ */ words({
  bare: 'bare on a rack',
  film: 'in film',
  boxed: 'in a box'
});
export const SHAPE_WORDS: Record<string, string> = /* @__PURE__ */ words({
  slab: 'flat: fillet, side, block',
  cylinder: 'round and long: loin, gutted fish',
  sphere: 'as thick as long: head piece, ball'
});
export const LIE_WORDS: Record<string, string> = /* @__PURE__ */ words({
  apart: 'each alone, air round it',
  stacked: 'on each other, or touching',
  unknown: 'not said'
});
export const PACK_WORDS: Record<string, string> = /* @__PURE__ */ words({
  none: 'air reaches it',
  opened: 'packed without oxygen, opened now',
  closed: 'packed without oxygen, left closed'
});

export const CORRECTIVE_WORDS: Record<(typeof CORRECTIVE)[number], string> = /* @__PURE__ */ words({
  moved: 'moved to another place',
  'core-checked': 'core read again, and cold',
  discarded: 'binned',
  'hold-restarted': 'freezing clock started again',
  'door-closed': 'door shut',
  defrost: 'a defrost, and the core read',
  'sensor-mended': 'sensor mended or replaced',
  'machine-mended': 'machine mended',
  cooked: 'cooked instead',
  other: 'something else'
});

interface Shown {
  readonly kind: (typeof EXCURSION_KINDS)[number];
  readonly place: string;
  readonly to: number | null;
  readonly cause: string;
  readonly limit: number | null;
}
const CAUSES: Record<string, string> = /* @__PURE__ */ words({
  future: 'dated in the future',
  'broken-probe': 'of a probe that cannot be right (85 °C, or past any cold place)',
  'before-sensor': 'dated before there was a sensor',
  'sensor-unknown': 'of a sensor nobody has named',
  'not-its-own': 'of a sensor its key is not for',
  'too-old': 'older than a logger may send by itself',
  'clock-off': 'its clock is days off',
  flood: 'more than a logger reads',
  'no-value': 'without a figure',
  'key-revoked': 'sent with a key that was taken back'
});
/** Why readings were not believed. */
export const causeWords = /* @__PURE__ */ said((cause: string): string => CAUSES[cause] ?? cause);

/** What is wrong at a place, in a few words. */
export const excursionTitle = /* @__PURE__ */ said(function excursionTitle({
  kind,
  place,
  to,
  cause,
  limit
}: Shown): string {
  switch (kind) {
    case 'warm':
      return to === null ? `${place} is too warm` : `${place} was too warm`;
    case 'silent':
      return to === null ? `${place}: its sensor is silent` : `${place}: a gap in its log`;
    case 'hold':
      return `${place}: a warm reading started the freezing clock again`;
    case 'quarantine':
      return `${place}: ${limit ?? 'some'} readings not believed, ${causeWords(cause)}`;
  }
});

/** What may be done about it; the person decides. */
export const WHAT_MAY_BE_DONE: Record<Shown['kind'], string> = /* @__PURE__ */ words({
  warm: 'Move what is inside, read a core, then say what you did. Above the limit for more than 4 h it is lost for raw service; a histamine fish has used warm hours.',
  silent:
    'Unread is not cold. Read the thermometer and a core now, and mend the sensor. In a freezer the clock starts again with the next reading.',
  hold: 'The freezing clock starts again by itself. Read the core and keep it frozen until the later hour, or freeze it elsewhere.',
  quarantine: 'Check the probe, its wires and the logger’s clock. Nothing of it counts until it is mended.'
});

/** What is said of a load. */
export const loadWords = /* @__PURE__ */ said(function loadWords({ code, seen, limit }: LoadWarning): string {
  const figure = (value: number) => say.exactly(value, value < 10 ? 1 : 0);
  switch (code) {
    case 'load.too-much-for-room':
      return `${figure(seen)} kg for 100 l of room; a good freezer takes ${limit} kg a day (IEC 62552; check). The air will warm: freeze less at once.`;
    case 'load.too-much-for-machine':
      return `Its machine alone needs ${figure(seen)} h for this heat. The core waits for the machine, not for the air.`;
    case 'load.one-block':
      return `They freeze as one block: ${figure(seen)} h to its middle, where each alone would take ${figure(limit)} h. Lay them apart, with air between, and stack them once they are solid.`;
    case 'load.thicker-than-guide':
      return `${figure(seen)} mm thick: the cycles may not suit more than ${limit} mm (FDA Hazards guide, ch. 5). Freeze it thinner, and read its core.`;
    case 'load.unknown':
      return 'Its room and machine are not on record. How the load warms the air is left out.';
  }
});

/** Words for what went wrong with a row of a logger's file. */
export const ROW_WORDS: Record<string, string> = /* @__PURE__ */ words({
  'time.unreadable': 'the time cannot be read',
  'time.does-not-exist': 'a time the clocks went forward over',
  'quantity.unreadable': 'the figure cannot be read',
  'quantity.empty': 'no figure',
  'log.zone-needed': 'the time names no zone',
  future: 'dated in the future',
  'broken-probe': 'cannot be right: a broken probe',
  'before-sensor': 'dated before there was a sensor'
});
/** What a column of a logger's file may say of its times. */
export const ORDER_WORDS: Record<string, string> = /* @__PURE__ */ words({
  iso: 'year, month, day (2026-03-13)',
  dmy: 'day first (13/03/2026)',
  mdy: 'month first (03/13/2026)',
  unix: 'seconds since 1970',
  'unix-ms': 'milliseconds since 1970'
});
