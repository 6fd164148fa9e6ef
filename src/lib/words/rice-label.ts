import { formatMass } from '../core/measure/format.ts';
import type { UnitPreferences } from '../core/measure/units.ts';
import type { Told } from '../core/ingredients/ingredient.ts';
import type { LabelLines } from './labels.ts';
import { timeAt } from './say.ts';
import { toldLine } from './notices.ts';

/** The lines of a tub's label: what binds is when it goes into the bin. */
export function riceLabel(
  tub: {
    readonly id: string;
    readonly name: string;
    readonly madeAt: number;
    readonly discardAt: number;
    readonly made: { readonly mass: { readonly si: number } | null; readonly place: string };
    readonly told: Told;
  },
  { zone, units }: { readonly zone: string; readonly units: UnitPreferences }
): LabelLines {
  const { mass, place } = tub.made;
  return {
    window: `BIN AT ${timeAt(tub.discardAt, zone)}`,
    name: tub.name,
    code: tub.id,
    mass: [mass && formatMass(mass.si, units), place].filter(Boolean).join(' · '),
    made: `Dressed ${timeAt(tub.madeAt, zone)}`,
    allergens: `Allergens: ${toldLine(tub.told)}`
  };
}
