import { HOUR_SECONDS } from '../measure/spans.ts';
import { EmberError, inRange } from '../errors.ts';
import { seededChance } from '../random.ts';

/** What a simulated logger can be made to live through. */
export const LOGGER_SCENARIOS = [
  'steady',
  'defrost',
  'drift',
  'power-cut',
  'door-open',
  'dead-battery',
  'wrong-clock'
] as const;
export type LoggerScenario = (typeof LOGGER_SCENARIOS)[number];

export interface LoggerSay {
  /** Air of the cabinet, °C; null while the logger is silent. */
  readonly air: number | null;
  /** A probe in the middle of fish that went in at the start, °C. */
  readonly core: number | null;
  /** How far its own clock is behind the true one, s. */
  readonly behindSeconds: number;
}

/** Every eight hours a defrost lifts the air for most of an hour; twelve minutes of it above -18 °C. */
const DEFROST = { every: 8 * HOUR_SECONDS, first: 5 * HOUR_SECONDS, lasts: 40 * 60, peak: 11 };
const POWER = { from: 6 * HOUR_SECONDS, to: 11 * HOUR_SECONDS, hoursToWarm: 20 };
const DOOR = { from: 4 * HOUR_SECONDS, to: 4 * HOUR_SECONDS + 50 * 60, peak: 14 };
const BATTERY_SECONDS = 10 * HOUR_SECONDS;
const DRIFT_PER_HOUR = 0.12;
const CLOCK_BEHIND_SECONDS = 3 * HOUR_SECONDS;
const CORE_HOURS = 2.2;

/** What lifts the air above its set point at a moment of the scenario, °C. */
function lift(scenario: LoggerScenario, seconds: number, setPoint: number): number {
  const bump = (since: number, lasts: number, peak: number) =>
    since < 0 || since > lasts * 2 ? 0 : since < lasts ? (peak * since) / lasts : peak * (2 - since / lasts);
  switch (scenario) {
    case 'defrost': {
      const since = (seconds - DEFROST.first) % DEFROST.every;
      return seconds < DEFROST.first ? 0 : bump(since, DEFROST.lasts / 2, DEFROST.peak);
    }
    case 'drift':
      return (DRIFT_PER_HOUR * seconds) / HOUR_SECONDS;
    case 'power-cut': {
      const without = Math.min(Math.max(0, seconds - POWER.from), POWER.to - POWER.from) / HOUR_SECONDS;
      const warmed = (20 - setPoint) * (1 - Math.exp(-without / POWER.hoursToWarm));
      const back = Math.max(0, seconds - POWER.to) / HOUR_SECONDS;
      return warmed * Math.exp(-back / 1.5);
    }
    case 'door-open':
      return bump(seconds - DOOR.from, (DOOR.to - DOOR.from) / 2, DOOR.peak);
    default:
      return 0;
  }
}

/**
 * What a logger in a freezer says some time into a scenario: a machine that cuts in and out, a little noise, and whatever befalls
 * it. The same seed says the same.
 *
 * @param seconds since the scenario began
 * @param loadedSeconds since the fish with the probe went in, if not with the scenario
 * @param setPoint of the cabinet, °C
 * @throws EmberError `form.value-unknown`, `quantity.out-of-range`
 * @example
 * loggerSays('dead-battery', 20 * 3600, -24).air // => null
 */
export function loggerSays(
  scenario: LoggerScenario,
  seconds: number,
  setPoint: number,
  seed = 0.5,
  loadedSeconds = seconds
): LoggerSay {
  if (!LOGGER_SCENARIOS.includes(scenario))
    throw new EmberError('form.value-unknown', { field: 'scenario', seen: scenario });
  inRange(seconds, { field: 'seconds', unit: 's', min: 0, max: 4e8 });
  inRange(loadedSeconds, { field: 'loadedSeconds', unit: 's', min: 0, max: 4e8 });
  inRange(setPoint, { field: 'setPoint', unit: '°C', min: -90, max: 20 });
  const chance = seededChance((seed + seconds * 0.000_137) % 1);
  const machine = 0.5 * Math.sin((2 * Math.PI * seconds) / 1500);
  const air = setPoint + machine + lift(scenario, seconds, setPoint) + chance.uniform(-0.1, 0.1);
  const silent =
    (scenario === 'dead-battery' && seconds > BATTERY_SECONDS) ||
    (scenario === 'power-cut' && seconds > POWER.from && seconds < POWER.to);
  // The fish follows the air slowly: a short lift hardly reaches its middle.
  const slow = scenario === 'drift' || scenario === 'power-cut' ? lift(scenario, seconds, setPoint) * 0.8 : 0;
  const core = setPoint + 0.3 + slow + (2 - setPoint) * Math.exp(-loadedSeconds / (CORE_HOURS * HOUR_SECONDS));
  const round = (value: number) => Math.round(value * 10) / 10;
  return {
    air: silent ? null : round(air),
    core: silent ? null : round(core),
    behindSeconds: scenario === 'wrong-clock' ? CLOCK_BEHIND_SECONDS : 0
  };
}
