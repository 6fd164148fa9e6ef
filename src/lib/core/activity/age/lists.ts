/** Words an entry may use. A list that grows makes a new version of every shape that holds it. */

/** What is looked at every day, and what each answer means: fine, look again soon, or off the rack. */
export const LOOKS = {
  skin: ['dry', 'tacky', 'wet'],
  eye: ['clear', 'dull', 'sunken', 'no-head'],
  smell: ['clean', 'faint', 'off'],
  slime: ['none', 'some'],
  firmness: ['firm', 'springy', 'soft']
} as const;

export type LookField = keyof typeof LOOKS;

export const LOOK_FIELDS = Object.keys(LOOKS) as readonly LookField[];

export type LookAnswers = { readonly [Field in LookField]: (typeof LOOKS)[Field][number] };

/** Before it is hung. A fillet has no scales to take off and no belly to clean. */
export const PREPARATION = {
  whole: ['scaled', 'gutted', 'scrubbed', 'wiped', 'dried'],
  fillet: ['trimmed', 'wiped', 'dried']
} as const;

export type PreparationStep = (typeof PREPARATION)['whole' | 'fillet'][number];

export const PREPARATION_STEPS = [...new Set(Object.values(PREPARATION).flat())] as PreparationStep[];

/** A house's rules of ageing until it sets its own (check). */
export const AGEING_RULES = {
  wholeDays: 14,
  filletDays: 6,
  limitCelsius: 2,
  warmHours: 2,
  afterDays: 3,
  dayOneAtHanging: false
} as const;

export const AGE_KINDS = ['whole', 'fillet'] as const;

/** Whether air can get at it on the rack. */
export const AGE_PACKS = ['open', 'closed'] as const;
