/**
 * A piece as acid sees it, by its smallest half-dimension: 1. Axis 0 is that one; the others are longer or absent (Infinity).
 * Axis 0 of a cylinder is its radius or, where it is flat, axis 1 is its height: `radial` says which axis is round.
 */
export interface AcidShape {
  readonly kind: 'slab' | 'brick' | 'cylinder' | 'sphere';
  /** Half-dimensions along each axis that acid comes in by, as multiples of the smallest. A cylinder: radius, half height. */
  readonly halves: readonly number[];
}

export interface FrontMoment {
  /** D t / a², a the smallest half-dimension. */
  readonly fourier: number;
  /** Of the volume still raw. */
  readonly raw: number;
  /** Rim along the smallest axis through the middle, as a share of the half-thickness. */
  readonly rim: number;
  /** Acid left in the liquid, as a share of what it could give. */
  readonly left: number;
}
