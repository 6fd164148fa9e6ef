import { EmberError } from '../errors.ts';
import { fromBase, toBase } from '../measure/units.ts';
import type { Typed } from '../measure/parse.ts';

/** What is at the door, as far as a slip of the unit can be told from it. */
export interface Arriving {
  readonly mass: Typed;
  readonly count: number | null;
  readonly core: Typed | null;
  /** It is a fish as it was caught: nobody sells one lighter than a few grams. */
  readonly isWholeFish: boolean;
  /** The heaviest of its kind, g; null where nobody knows, or the kind is not settled. */
  readonly heaviest?: number | null;
  readonly frozen: boolean;
}

/** The lightest whole fish that is sold by weight, g: below it lie fry and glass eels, which come by the kilogram. The house's own figure: check. */
const LEAST_WHOLE = 5;
/** The heaviest a fish is taken for that was meant in kilograms, g. */
const MOST_WHOLE = 700_000;
/** Fish of which the heaviest weighs no more than this are sold by weight, uncounted, g; of them so much comes in one box, g. The house's own figures: check. */
const SMALL = { most: 5000, box: 20_000 } as const;
/** A core at the door warmer than any sea, °C: surface water seldom passes 31. */
const WARMER_THAN_SEA = 32;
/** Where the core of chilled fish lies, °C: between melting ice for sea fish and a neglected box. */
const CHILLED = { min: -3, max: 10 } as const;

/**
 * Asks about what is most likely another unit: grams for kilograms, °C for °F and the other way round; and about one fish that weighs
 * more than any of its kind, for it is a box of them. Whoever is sure says so.
 *
 * @throws EmberError `receive.mass-odd`, `receive.too-heavy`, `receive.core-odd`, with what it may be instead as `candidates`
 * @example
 * checkArriving({ mass: { si: 2400, unit: 'kg', typed: '2.4 kg' }, count: 1, core: null, isWholeFish: true, frozen: false }) // => undefined
 */
export function checkArriving({ mass, count, core, isWholeFish, heaviest = null, frozen }: Arriving): void {
  const each = mass.si / Math.max(1, count ?? 1);
  if (isWholeFish && each < LEAST_WHOLE && each * 1000 <= MOST_WHOLE) {
    throw new EmberError('receive.mass-odd', {
      field: 'mass',
      seen: mass.typed,
      candidates: [`${Math.round(mass.si * 100) / 100} kg`]
    });
  }
  const isBox = count === null && heaviest !== null && heaviest <= SMALL.most && mass.si <= SMALL.box;
  if (isWholeFish && heaviest !== null && each > heaviest && !isBox) {
    const isGrams = each / 1000 >= LEAST_WHOLE;
    throw new EmberError('receive.too-heavy', {
      // Nobody said how many there are: most likely that is what is missing.
      field: count === null ? 'count' : 'mass',
      seen: mass.typed,
      max: heaviest,
      unit: 'g',
      candidates: count !== null && isGrams ? [`${Math.round(mass.si) / 1000} g`] : []
    });
  }
  if (!core || frozen) return;
  const isCelsius = core.unit !== 'F';
  const figure = Math.round(fromBase('temperature', isCelsius ? 'C' : 'F', core.si) * 10) / 10;
  const other = toBase('temperature', isCelsius ? 'F' : 'C', figure);
  const isOdd = isCelsius ? core.si >= WARMER_THAN_SEA : core.si < CHILLED.min;
  if (isOdd && other >= CHILLED.min && other <= CHILLED.max) {
    throw new EmberError('receive.core-odd', {
      field: 'core',
      seen: core.typed,
      candidates: [`${figure} ${isCelsius ? 'F' : 'C'}`]
    });
  }
}
