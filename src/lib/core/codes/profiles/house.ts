import { EmberError, inRange } from '../../errors.ts';
import type { RuleProfile, ScaleLimit } from '../profile.ts';

/** A house's copy of a profile: what it changed, why, and by which of the changes it is looser than its base. */
export interface HouseProfile {
  readonly id: string;
  readonly base: string;
  readonly name: string;
  readonly changes: Readonly<Record<string, number | boolean>>;
  readonly reason: string;
  readonly looser: readonly string[];
  readonly by: string;
  readonly seq: number;
}

/** One number or switch of a profile that a house may set otherwise. */
export interface HouseLimit {
  readonly id: string;
  readonly unit: string;
  readonly min: number;
  readonly max: number;
  /** A switch is 0 or 1. */
  readonly isSwitch?: boolean;
  /** Which way is looser. */
  readonly looserWhen: 'higher' | 'lower' | 'off' | 'on';
  get(profile: RuleProfile): number | null;
  set(profile: RuleProfile, value: number): RuleProfile;
}

const inBoth = <Limit extends ScaleLimit>(limit: Limit, c: number): Limit => ({
  ...limit,
  c,
  // The house gives one number; the other scale is its exact equal, so a reading means the same in both.
  f: (c * 9) / 5 + 32
});
const temperature = (
  id: string,
  key: 'receiveCold' | 'coldHold' | 'receiveFrozen',
  min: number,
  max: number
): HouseLimit => ({
  id,
  unit: '°C',
  min,
  max,
  looserWhen: 'higher',
  get: (profile) => profile[key].c,
  set: (profile, value) => ({ ...profile, [key]: inBoth(profile[key], value) })
});

export const HOUSE_LIMITS: readonly HouseLimit[] = [
  temperature('receiveCold', 'receiveCold', -2, 10),
  temperature('receiveFrozen', 'receiveFrozen', -40, -10),
  temperature('coldHold', 'coldHold', -2, 10),
  {
    id: 'freezeHoldFactor',
    unit: 'x',
    min: 0.25,
    max: 4,
    looserWhen: 'lower',
    get: () => 1,
    set: (profile, value) => ({
      ...profile,
      parasites: {
        ...profile.parasites,
        cycles: profile.parasites.cycles.map((cycle) => ({ ...cycle, holdSeconds: cycle.holdSeconds * value }))
      }
    })
  },
  {
    id: 'freezeColder',
    unit: '°C',
    min: -10,
    max: 5,
    looserWhen: 'higher',
    get: () => 0,
    set: (profile, value) => ({
      ...profile,
      parasites: {
        ...profile.parasites,
        cycles: profile.parasites.cycles.map((cycle) => ({
          ...cycle,
          hold: { c: cycle.hold.c + value, f: cycle.hold.f + (value * 9) / 5 },
          ...(cycle.solidAt ? { solidAt: { c: cycle.solidAt.c + value, f: cycle.solidAt.f + (value * 9) / 5 } } : {})
        }))
      }
    })
  },
  {
    id: 'strictAccuracy',
    unit: '',
    min: 0,
    max: 1,
    isSwitch: true,
    looserWhen: 'off',
    get: (profile) => Number(profile.parasites.accuracy === 'strict'),
    set: (profile, value) => ({
      ...profile,
      parasites: { ...profile.parasites, accuracy: value ? 'strict' : 'plain' }
    })
  },
  {
    id: 'coreClock',
    unit: '',
    min: 0,
    max: 1,
    isSwitch: true,
    looserWhen: 'off',
    get: (profile) => Number(profile.parasites.clock === 'core'),
    set: (profile, value) => ({ ...profile, parasites: { ...profile.parasites, clock: value ? 'core' : 'air' } })
  },
  {
    id: 'speciesList',
    unit: '',
    min: 0,
    max: 1,
    isSwitch: true,
    looserWhen: 'on',
    get: (profile) => (profile.parasites.exemptSpecies ? 1 : null),
    set: (profile, value) =>
      value ? profile : { ...profile, parasites: { ...profile.parasites, exemptSpecies: null } }
  },
  {
    id: 'farmExemption',
    unit: '',
    min: 0,
    max: 1,
    isSwitch: true,
    looserWhen: 'on',
    get: (profile) => Number(profile.parasites.aquaculture !== null),
    set: (profile, value) => ({
      ...profile,
      parasites: {
        ...profile.parasites,
        aquaculture: value
          ? (profile.parasites.aquaculture ?? {
              rule: {
                rule: 'house exemption',
                citation: 'Written in no rule of this profile: the house decides and owns it',
                from: 'house',
                check: true
              },
              systems: ['net-pen-open-water', 'land-based', 'pond'],
              needs: ['formulatedFeed', 'fromEmbryos', 'noHazardVerified']
            })
          : null
      }
    })
  },
  {
    id: 'dateMarkDays',
    unit: 'd',
    min: 1,
    max: 10,
    looserWhen: 'higher',
    get: (profile) => profile.dateMark.days,
    set: (profile, value) => ({ ...profile, dateMark: { ...profile.dateMark, days: value } })
  },
  {
    id: 'histamineHours',
    unit: 'h',
    min: 0,
    max: 12,
    looserWhen: 'higher',
    get: (profile) => profile.histamine.seconds / 3600,
    set: (profile, value) => ({
      ...profile,
      histamine: {
        ...profile.histamine,
        seconds: value * 3600,
        secondsIfHot: Math.min(profile.histamine.secondsIfHot, value * 3600)
      }
    })
  },
  {
    id: 'warmHours',
    unit: 'h',
    min: 0,
    max: 12,
    looserWhen: 'higher',
    get: (profile) => profile.warmClock.seconds / 3600,
    set: (profile, value) => ({
      ...profile,
      warmClock: {
        ...profile.warmClock,
        seconds: value * 3600,
        secondsIfHot: Math.min(profile.warmClock.secondsIfHot, value * 3600)
      }
    })
  },
  {
    id: 'silenceHours',
    unit: 'h',
    min: 1,
    max: 96,
    looserWhen: 'higher',
    get: (profile) => profile.warmClock.silenceSeconds / 3600,
    set: (profile, value) => ({ ...profile, warmClock: { ...profile.warmClock, silenceSeconds: value * 3600 } })
  },
  {
    id: 'trayHours',
    unit: 'h',
    min: 0.5,
    max: 6,
    looserWhen: 'higher',
    get: (profile) => (profile.timeControls[0] ? profile.timeControls[0].seconds / 3600 : null),
    set: (profile, value) => ({
      ...profile,
      // Tightened, it holds for a tray that nobody reads as well.
      timeControls: profile.timeControls.map((control, index) =>
        index === 0
          ? { ...control, seconds: value * 3600 }
          : control.unreadSeconds === undefined
            ? control
            : { ...control, unreadSeconds: Math.min(control.unreadSeconds, value * 3600) }
      )
    })
  },
  {
    id: 'tagKeepDays',
    unit: 'd',
    min: 30,
    max: 730,
    looserWhen: 'lower',
    get: (profile) => profile.shellfishTag.keepDays,
    set: (profile, value) => ({ ...profile, shellfishTag: { ...profile.shellfishTag, keepDays: value } })
  }
];

const limitOf = (id: string): HouseLimit => {
  const found = HOUSE_LIMITS.find((each) => each.id === id);
  if (!found) throw new EmberError('profile.unknown', { field: 'changes', seen: id });
  return found;
};

/**
 * Which of a house's changes are looser than the profile they change.
 *
 * @throws EmberError `profile.unknown` for a limit that is not there, `quantity.out-of-range`
 */
export function looserChanges(base: RuleProfile, changes: HouseProfile['changes']): string[] {
  return Object.entries(changes).flatMap(([id, raw]) => {
    const { get, looserWhen, unit, min, max } = limitOf(id);
    const value = inRange(Number(raw), { field: id, unit, min, max });
    const before = get(base) ?? 0;
    const looser = looserWhen === 'higher' || looserWhen === 'on' ? value > before : value < before;
    return looser ? [id] : [];
  });
}

const built = new WeakMap<HouseProfile, RuleProfile>();

/**
 * Changes that a copy may not make, whoever asks: looser than the law of its base. A farm exemption where the base writes none
 * either way is the house's to decide and to own; all else has its base's number as its floor.
 */
export const belowFloor = (base: RuleProfile, changes: HouseProfile['changes']): string[] =>
  looserChanges(base, changes).filter((id) => id !== 'farmExemption');

/**
 * The profile a house's copy comes to. Its version names the base's and the entry that set it. A number looser than the base's
 * law does not act, also where an older entry says it.
 */
export function buildProfile(base: RuleProfile, own: HouseProfile): RuleProfile {
  const known = built.get(own);
  if (known) return known;
  let profile: RuleProfile = base;
  const refused = belowFloor(base, own.changes);
  for (const [id, value] of Object.entries(own.changes))
    if (!refused.includes(id)) profile = limitOf(id).set(profile, Number(value));
  profile = {
    ...profile,
    id: own.id,
    name: own.name,
    edition: `${base.edition}, changed by the house`,
    version: `${base.version}, house entry ${own.seq}`,
    house: {
      base: base.id,
      reason: own.reason,
      by: own.by,
      seq: own.seq,
      looser: own.looser.filter((id) => !refused.includes(id)),
      refused
    }
  };
  built.set(own, profile);
  return profile;
}
