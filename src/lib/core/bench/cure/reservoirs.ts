import { inRange } from '../../errors.ts';

/** One thickness zone of a piece, as salt sees it: a slab open on one face (x = 0), closed on the other. */
export interface SlabZone {
  /** From the open face to the closed one (skin, or the middle of a slab open on both faces), m. */
  readonly depth: number;
  /** Water under one square metre of open face at the start, kg. */
  readonly water: number;
  /** Open face, m²: zones of one bath share it by their faces. */
  readonly face: number;
}

/** What stands at the open faces from a moment on. */
export type Contact =
  /** Solid laid on, zone by zone: it dissolves in the water it draws. kg per m² of face. */
  | { readonly kind: 'laid'; readonly dose: readonly number[]; readonly drains: number }
  /** One stirred bath for all zones, kg. */
  | { readonly kind: 'bath'; readonly solute: number; readonly water: number }
  /** Nothing: wiped, rinsed, or in the air. */
  | { readonly kind: 'closed'; readonly keep: boolean }
  /** Back into what it was lifted from. */
  | { readonly kind: 'again' };

interface Reservoir {
  readonly zones: readonly number[];
  /** Whether `solute` and `water` are kg, or kg per m² of its one zone. */
  readonly isBath: boolean;
  /** What a square metre of each zone counts in it: its face in a bath, 1 where it is the only one. */
  readonly weight: Float64Array;
  readonly drains: number;
  solute: number;
  water: number;
  strength: number;
  /** Strength of the flesh that stands in balance with it, over its own: by the strength of the step before. */
  share: number;
}

/** What stands at the faces of each zone: laid, drawn, or a bath; and what was thrown away or put by. */
export function reservoirsAt(zones: readonly SlabZone[], saturation: number, shareAt: (strength: number) => number) {
  const face = Float64Array.from(zones, (zone) => zone.face);
  const single = new Float64Array(zones.length).fill(1);
  let reservoirs: Reservoir[] = [];
  let kept: Reservoir[] = [];
  let thrown = 0;
  const scale = (reservoir: Reservoir) => (reservoir.isBath ? 1 : zones[reservoir.zones[0]!]!.face);
  const throwAway = (all: readonly Reservoir[]) => {
    for (const each of all) thrown += each.solute * scale(each);
  };

  function change(contact: Contact): void {
    if (contact.kind === 'again') {
      throwAway(reservoirs);
      [reservoirs, kept] = [kept, []];
      return;
    }
    if (contact.kind === 'closed' && contact.keep) {
      throwAway(kept);
      [kept, reservoirs] = [reservoirs, []];
      return;
    }
    throwAway(reservoirs);
    throwAway(kept);
    kept = [];
    if (contact.kind === 'closed') reservoirs = [];
    else if (contact.kind === 'bath') {
      inRange(contact.water, { field: 'bath', unit: 'kg', min: 1e-9, max: 1e6 });
      const { solute, water } = contact;
      const all = zones.map((_, zone) => zone);
      const strength = Math.min(saturation, solute / water);
      reservoirs = [
        { zones: all, isBath: true, weight: face, drains: 0, solute, water, strength, share: shareAt(strength) }
      ];
    } else {
      reservoirs = contact.dose.map((solute, zone) => ({
        zones: [zone],
        isBath: false,
        weight: single,
        drains: contact.drains,
        solute,
        water: 0,
        strength: solute > 0 ? saturation : 0,
        share: shareAt(solute > 0 ? saturation : 0)
      }));
    }
  }

  const all = () => [...reservoirs, ...kept];
  return {
    now: (): readonly Reservoir[] => reservoirs,
    change,
    /** Solute that ran off one of them, kg, or kg per m² of its one zone. */
    drain: (reservoir: Reservoir, solute: number) => void (thrown += solute * scale(reservoir)),
    outside: () => all().reduce((total, each) => total + each.solute * scale(each), thrown),
    left(zone: number): number {
      const reservoir = all().find((each) => each.zones.includes(zone));
      return reservoir && !reservoir.isBath ? reservoir.solute : 0;
    }
  };
}
