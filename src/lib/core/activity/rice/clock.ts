import { HOUR } from '../../measure/spans.ts';
import type { Cited, RuleProfile } from '../../codes/profile.ts';
import type { TubState } from './fold.ts';

export interface RiceRule extends Cited {
  /** From dressing to the bin, h. */
  readonly hours: number;
}

/** How long dressed rice stands out of the cold and off the heat, by rule book. Where one says nothing, the shortest of the others. */
const RULES: Readonly<Record<string, RiceRule>> = {
  'us-fc': {
    hours: 4,
    rule: 'time as the control',
    citation: 'FDA Food Code 2022 3-501.19(B): from 57 °C (135 °F) or hotter, 4 h, marked, then discarded',
    from: 'code'
  },
  jp: {
    hours: 2,
    rule: 'eaten within 2 h of making',
    citation:
      'MHLW manual of mass cooking facilities: served within 2 h of making, or held at 10 °C and below or 65 °C and above',
    from: 'code',
    check: true
  },
  uk: {
    hours: 2,
    rule: 'hot food below 63 °C once',
    citation:
      'Food Safety and Hygiene (England) Regulations 2013, Sch. 4, hot holding: below 63 °C for one period of up to 2 h',
    from: 'code',
    check: true
  },
  eu: {
    hours: 2,
    rule: 'house decision',
    citation:
      'Reg. (EC) 852/2004 Art. 5 leaves it to the plan of the house; here the shortest time of the other rule books',
    from: 'house',
    check: true
  }
};

/** The rule a house's rice stands under. A copy of a rule book stands under its base. */
export const riceRule = (profile: RuleProfile): RiceRule => RULES[profile.house?.base ?? profile.id] ?? RULES.eu!;

/**
 * When rice dressed at a moment is to be binned. Its clock begins with the dressing: when it left 57 °C is later, and unknown
 * without a reading of its coolest part.
 *
 * @param dressedAt ms
 * @returns ms
 * @example
 * riceEnd(0, 4) // => 14400000
 */
export const riceEnd = (dressedAt: number, hours: number): number => dressedAt + hours * HOUR;

/** When a tub is to be binned: as it was marked, or earlier where the house's rule book says so now. */
export const tubEnd = (tub: Pick<TubState, 'made'>, profile: RuleProfile): number =>
  Math.min(tub.made.discardAt, riceEnd(tub.made.at, riceRule(profile).hours));
