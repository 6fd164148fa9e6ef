import type { LogBook } from '../../log/holding.ts';
import { UNSAID } from '../../activity/papers/bodies.ts';
import type { BodyOf } from '../../record/events.ts';
import type { HouseState } from '../../record/house.ts';
import { addDays } from '../../measure/day.ts';
import type { AuthorityScope } from '../exceptions.ts';
import type { FreezeCycle } from '../../codes/profile.ts';
import type { Lineage } from '../verdict.ts';
import type { Route } from '../../codes/window.ts';

/** Kept at, °C: what a reading in between is taken to be. */
export const KEPT_CELSIUS = 2;
export const celsius = (si: number) => ({ si, unit: 'C', typed: `${si} °C` });

/** What a paper has to say to open it, by the field of a paper that says it. */
export type PaperPoint =
  | 'formulatedFeed'
  | 'raised'
  | 'fromEmbryos'
  | 'noHazardVerified'
  | 'areaCleared'
  | 'transit'
  | 'dealer'
  | 'harvestedOn'
  | 'harvestArea'
  | 'quantity'
  | 'frozenAt'
  | 'covers';
export type PaperType = BodyOf<'evidence.attached'>['type'];

/** One thing somebody does on the way. */
export type RoadStep =
  | {
      readonly kind: 'paper';
      readonly type: PaperType;
      /** All it has to say. */
      readonly points: readonly PaperPoint[];
      /** Of these, what no paper on file says yet. */
      readonly missing: readonly PaperPoint[];
      /** A freezing statement: how cold, and how long. */
      readonly cycle: FreezeCycle | null;
      /** A document of the authority: what it has to cover. */
      readonly covers: readonly AuthorityScope[];
      readonly lot: string;
    }
  | {
      readonly kind: 'fact';
      readonly field: 'caughtOn' | 'commercial' | 'roeRinsed';
      /** The day of catch may not be before this one. */
      readonly notBefore: string | null;
      readonly lot: string;
    }
  | {
      readonly kind: 'freeze';
      readonly place: string;
      readonly cycle: FreezeCycle;
      readonly airCelsius: number;
      /** Into it now; its core is there at the latest; and held until; ms. */
      readonly from: number;
      readonly coreBy: number;
      readonly until: number;
      /** How thick it was reckoned, mm, and whether anybody measured that. */
      readonly thicknessMm: number;
      readonly measured: boolean;
      /** Slow bound of a thaw in the cold after it, h; null where none can be reckoned. */
      readonly thawHours: number | null;
    }
  /** It lies in a freezer already: kept there and read until its clock has run; then thawed. */
  | { readonly kind: 'hold'; readonly place: string; readonly until: number; readonly thawHours: number | null }
  /** Out of what it lies in, with its core read. */
  | { readonly kind: 'take-out'; readonly of: 'cure' | 'thaw'; readonly at: number }
  | { readonly kind: 'read'; readonly at: number }
  | { readonly kind: 'wait'; readonly until: number }
  | { readonly kind: 'serve-as'; readonly route: Route };

export interface Road {
  readonly route: Route;
  readonly steps: readonly RoadStep[];
  /** When it opens, ms; a paper's road opens as soon as the paper is here. */
  readonly opensAt: number;
  /** Ready to be cut: after its thaw, where it was frozen. ms */
  readonly readyAt: number;
  /** When it ends again by what is known, ms. */
  readonly until: number | null;
  /** Null where it is open at the moment it is wanted for: thawed, kept cold and read. */
  readonly misses: 'opens-later' | 'ends-before' | null;
  /** What it asks of the house: the lower the cheaper. A figure of this product's own: a reading 1, a wait 1 and a day more for every
   * day, a fact or paper of the seller 3, another route 4, a freezing 6 and its days, the authority 12 (check). */
  readonly cost: number;
}

/** A freezer of the house that is running. */
export interface RoadFreezer {
  readonly place: string;
  readonly airCelsius: number;
  readonly airClass: BodyOf<'freeze.started'>['airClass'];
  readonly litres: number | null;
  readonly watts: number | null;
}
export interface RoadsInput {
  readonly lineages: readonly Lineage[];
  readonly house: HouseState;
  readonly logs?: LogBook;
  readonly now: number;
  readonly route: Route;
  /** When it is wanted, ms. */
  readonly by: number;
  readonly freezers: readonly RoadFreezer[];
  /** Water of its flesh, share; the usual one where left out. */
  readonly water?: number;
}

/** A paper that says nothing. */
export const NO_PAPER: BodyOf<'evidence.attached'> = {
  type: 'other',
  issuer: '?',
  reference: '?',
  issuedOn: null,
  expiresOn: null,
  formulatedFeed: false,
  fromEmbryos: false,
  noHazardVerified: false,
  areaCleared: false,
  frozenAt: null,
  frozenFor: null,
  solidAt35: false,
  frozenFrom: null,
  frozenTo: null,
  ...UNSAID,
  file: null,
  note: ''
};

/** A paper of one kind that says all that the rule book asks of it, as a form of the house would take it. */
export function paperSaying(
  step: Extract<RoadStep, { kind: 'paper' }>,
  given: { readonly day: string; readonly grams: number }
): BodyOf<'evidence.attached'> {
  const says = (point: PaperPoint) => step.points.includes(point);
  const hold = step.cycle;
  return {
    ...NO_PAPER,
    type: step.type,
    formulatedFeed: says('formulatedFeed'),
    raised: says('raised'),
    fromEmbryos: says('fromEmbryos'),
    noHazardVerified: says('noHazardVerified'),
    areaCleared: says('areaCleared'),
    transit: says('transit') ? celsius(KEPT_CELSIUS) : null,
    dealer: says('dealer') ? '?' : '',
    harvestedOn: says('harvestedOn') ? given.day : null,
    harvestArea: says('harvestArea') ? '?' : '',
    mass: says('quantity') ? { si: given.grams, unit: 'g', typed: `${given.grams} g` } : null,
    frozenAt: hold ? celsius(hold.hold.c) : null,
    frozenFor: hold ? { si: hold.holdSeconds, unit: 'h', typed: `${hold.holdSeconds / 3600} h` } : null,
    solidAt35: hold?.solidAt !== undefined,
    covers: [...step.covers],
    ...(step.type === 'authority'
      ? {
          issuedOn: given.day,
          expiresOn: addDays(given.day, 365),
          file: { hash: '?', type: 'application/pdf', name: '?', bytes: 1 }
        }
      : {})
  };
}
