import { inRange } from '../../errors.ts';

/** Acidity of raw fish flesh where nobody measured it: 6.0 to 6.6 is usual (check). */
export const FLESH_PH = 6.2;
/** Salt in the water phase that holds back non-proteolytic C. botulinum by itself, %. FDA Hazards guide, ch. 13 and App. 4. */
export const ROP_LEAST_WPS = 5;
/** A reduced-oxygen pack without a plan is opened within this; FDA Food Code 2022, 3-502.12(F). h */
export const ROP_HOURS = 48;

/**
 * Days until *Listeria monocytogenes*, were it there, has grown ten-fold; Infinity where this form gives no growth.
 *
 * µ = 0.419 ((T + 2.83)/27.83)² (aw - 0.923)/(1 - 0.923) (1 - 10^(4.97 - pH)) per hour: Mejlholm & Dalgaard (2009), J. Food
 * Prot. 72, with its other terms at 1. Without lag: the worse side.
 *
 * @param celsius where it is kept
 * @param waterActivity of its water
 * @example
 * daysToTenfold(4, 0.96, 6.2).toFixed(1) // => '8.4'
 */
export function daysToTenfold(celsius: number, waterActivity: number, ph = FLESH_PH): number {
  const t = inRange(celsius, { field: 'celsius', unit: '°C', min: -5, max: 25 });
  const aw = inRange(waterActivity, { field: 'waterActivity', unit: '', min: 0, max: 1 });
  const acidity = inRange(ph, { field: 'ph', unit: '', min: 3, max: 8 });
  if (aw <= 0.923 || acidity <= 4.97 || t <= -2.83) return Infinity;
  const growth = 0.419 * ((t + 2.83) / 27.83) ** 2 * ((aw - 0.923) / (1 - 0.923)) * (1 - 10 ** (4.97 - acidity));
  return Math.LN10 / growth / 24;
}

export const GUARD_CODES = [
  'cure.still-raw',
  'cure.closed-pack',
  'cure.closed-pack-late',
  'cure.closed-pack-salted',
  'cure.open',
  'cure.listeria',
  'cure.plan'
] as const;
export interface Guard {
  readonly code: (typeof GUARD_CODES)[number];
  readonly seen: Readonly<Record<string, string | number | boolean>>;
}
export interface GuardInput {
  readonly celsius: number;
  /** Lowest water-phase salt anywhere in it by the low end of the forecast, %. */
  readonly leastWps: number;
  readonly waterActivity: number;
  /** A bag with the air pressed out, or a vacuum pack. */
  readonly closedPack: boolean;
  /** In it so far, or to be, h. */
  readonly hours: number;
  /** Hours after which it holds what `leastWps` says: the end of what was forecast. `hours` where left out. */
  readonly reachedHours?: number;
}

/** What is said of every cure, next to its figures and on its verdict. */
export function guardsOf({
  celsius,
  leastWps,
  waterActivity,
  closedPack,
  hours,
  reachedHours = hours
}: GuardInput): Guard[] {
  // Salt that arrives after the 48 hours came too late to hold anything back.
  const isSalted = leastWps >= ROP_LEAST_WPS && reachedHours <= ROP_HOURS;
  // Rounded down: 4.96 is no 5.
  const wps = Math.floor(leastWps * 10 + 1e-9) / 10;
  const days = daysToTenfold(Math.min(25, Math.max(-5, celsius)), waterActivity);
  const pack: Guard = closedPack
    ? isSalted
      ? { code: 'cure.closed-pack-salted', seen: { wps, needed: ROP_LEAST_WPS } }
      : {
          code: hours > ROP_HOURS ? 'cure.closed-pack-late' : 'cure.closed-pack',
          seen: { wps, needed: ROP_LEAST_WPS, hours: Math.round(hours), limit: ROP_HOURS }
        }
    : { code: 'cure.open', seen: { wps, needed: ROP_LEAST_WPS } };
  return [
    { code: 'cure.still-raw', seen: {} },
    pack,
    {
      code: 'cure.listeria',
      seen: {
        days: Number.isFinite(days) ? Math.round(days * 10) / 10 : 0,
        grows: Number.isFinite(days),
        celsius: Math.round(celsius * 10) / 10,
        waterActivity: Math.round(waterActivity * 1000) / 1000
      }
    },
    { code: 'cure.plan', seen: {} }
  ];
}
