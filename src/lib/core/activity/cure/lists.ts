/** Words an entry may use. A list that grows makes a new version of every shape that holds it. */

export const SCHOOL_IDS = ['cover', 'weighed', 'brine', 'film', 'desalt', 'marinade'] as const;

export type School = (typeof SCHOOL_IDS)[number];

export const DOSINGS = ['face', 'weight', 'together'] as const;

export type Dosing = (typeof DOSINGS)[number];

export const STAGE_IDS = ['cure', 'brine', 'film', 'soak', 'paste', 'rest', 'dry', 'paused'] as const;

export const CURE_STEP_CODES = [
  'lay-on',
  'into-brine',
  'into-water',
  'into-paste',
  'turn',
  'baste',
  'pour-off',
  'change-water',
  'lift',
  'wipe',
  'rinse',
  'dry',
  'rest-over',
  'put-back'
] as const;

export const SALT_KINDS = ['fine', 'coarse', 'flake'] as const;

export type SaltKind = (typeof SALT_KINDS)[number];
