import { cure, type CureResult } from './plan.ts';
import { SALT_LIMITS, type CureSettings } from './programme.ts';

/** Whether a plan does what was wanted of it; and where it does not, the one figure that would. */
export interface CureThrough {
  readonly isThrough: boolean;
  /** What the middle of the thickest holds when the programme has run, % salt. */
  readonly middlePercent: number;
  /** Hours in the cure that would reach it, all else as it is; null where no time does. */
  readonly hours: number | null;
  /** Salt that would reach it in the same time, as `CureSettings.salt`; null where no strength does. */
  readonly salt: number | null;
}

/** Followed on a coarser grid than the drawing: a line of words needs no more, and twenty plans are tried for it. */
const NODES = 20;
/** As far as the middle may miss what was wanted, % salt: half of what the figure is shown to. */
const CLOSE = 0.05;
const MOST_HOURS = 240;
const STEPS = 9;

const middleOf = (result: CureResult) => result.end.middlePercent;
/** A figure as it is set on a bench: a quarter of an hour, a tenth of a per cent; never less than was found. */
const roundHours = (hours: number) => Math.ceil(hours * 4 - 1e-9) / 4;
const roundSalt = (share: number) => Math.ceil(share * 1000 - 1e-9) / 1000;

/** The least value that does it, by halving; null where the largest does not. */
function least(from: number, to: number, does: (value: number) => boolean): number | null {
  if (to <= from || !does(to)) return null;
  let [low, high] = [from, to];
  for (let step = 0; step < STEPS; step++) {
    const middle = (low + high) / 2;
    if (does(middle)) high = middle;
    else low = middle;
  }
  return high;
}

/**
 * One plan in one line: whether its middle has what was wanted when it ends, and if not, how long it would take, and how strong it
 * would have to be in the same time. In fresh water the middle falls; everywhere else it rises.
 *
 * @param settings a plan
 */
export function cureThrough(settings: CureSettings): CureThrough {
  const wanted = settings.target * 100;
  const isDesalting = settings.method === 'desalt';
  const reaches = (result: CureResult) =>
    isDesalting ? middleOf(result) <= wanted + CLOSE : middleOf(result) >= wanted - CLOSE;
  const now = cure(settings, NODES);
  const found = { isThrough: reaches(now), middlePercent: middleOf(now), hours: null, salt: null };
  if (found.isThrough || settings.stages) return found;
  const hours = least(settings.hours, MOST_HOURS, (tried) => reaches(cure({ ...settings, hours: tried }, NODES)));
  const salt = isDesalting
    ? null
    : least(settings.salt, SALT_LIMITS[settings.method].max / 100, (tried) =>
        reaches(cure({ ...settings, salt: tried }, NODES))
      );
  return {
    ...found,
    hours: hours === null ? null : Math.min(MOST_HOURS, roundHours(hours)),
    salt: salt === null ? null : Math.min(SALT_LIMITS[settings.method].max / 100, roundSalt(salt))
  };
}
