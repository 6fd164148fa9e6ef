import type { StyleId } from '../../activity/slice/lists.ts';

/**
 * The ways to slice raw, cured and boiled fish, as data: the blade, how thick by how tight the flesh is, what a piece weighs, and
 * for what. Angles and thicknesses as cooks give them; houses differ (check against the house's own hand).
 */

/** A value by how tight the flesh is: straight between the points, the first and the last reach to the ends. */
export type Curve = readonly (readonly [tightness: number, value: number])[];

export interface SliceStyle {
  readonly id: StyleId;
  /** Degrees from the board: as it begins, by tightness. */
  readonly angle: Curve;
  /** The angles it is still this style at. */
  readonly angles: readonly [number, number];
  /** mm, by tightness: never rises. Of cubes their edge, of strips their width. */
  readonly thickness: Curve;
  /** Thinner or thicker it is another style, mm. */
  readonly thicknesses: readonly [number, number];
  /** What a piece weighs, g. */
  readonly grams: readonly [number, number];
  readonly cubes: boolean;
  /** How the blade moves, which side lies down, how pieces are laid: by code, in words elsewhere. */
  readonly blade: 'one-draw' | 'laid-over' | 'rocked' | 'drawn-long' | 'pushed' | 'score-first';
  readonly skin: 'off' | 'on' | 'down';
  readonly laid: 'leaning' | 'on-rice' | 'fan' | 'mound' | 'block' | 'overlapping';
}

export const SLICE_STYLES: Readonly<Record<StyleId, SliceStyle>> = {
  straight: {
    id: 'straight',
    angle: [[0, 90]],
    angles: [80, 90],
    thickness: [
      [0, 12],
      [0.2, 10],
      [0.35, 9],
      [0.65, 6]
    ],
    thicknesses: [5, 14],
    grams: [9, 18],
    cubes: false,
    blade: 'one-draw',
    skin: 'off',
    laid: 'leaning'
  },
  oblique: {
    id: 'oblique',
    angle: [
      [0.2, 45],
      [0.5, 38],
      [0.8, 30]
    ],
    angles: [25, 50],
    thickness: [
      [0, 8],
      [0.2, 7],
      [0.5, 5],
      [0.8, 3.5],
      [1, 3]
    ],
    thicknesses: [3, 8],
    grams: [6, 14],
    cubes: false,
    blade: 'laid-over',
    skin: 'off',
    laid: 'on-rice'
  },
  translucent: {
    id: 'translucent',
    angle: [
      [0.5, 25],
      [0.8, 20],
      [1, 15]
    ],
    angles: [15, 25],
    thickness: [
      [0.5, 2.5],
      [0.8, 1.8],
      [1, 1]
    ],
    thicknesses: [1, 2.5],
    grams: [2, 5],
    cubes: false,
    blade: 'laid-over',
    skin: 'off',
    laid: 'fan'
  },
  strips: {
    id: 'strips',
    angle: [[0, 90]],
    angles: [80, 90],
    thickness: [
      [0.3, 4],
      [0.9, 2]
    ],
    thicknesses: [2, 4],
    grams: [1, 2],
    cubes: false,
    blade: 'score-first',
    skin: 'off',
    laid: 'mound'
  },
  cubes: {
    id: 'cubes',
    angle: [[0, 90]],
    angles: [90, 90],
    thickness: [
      [0, 16],
      [0.2, 15],
      [0.65, 12]
    ],
    thicknesses: [12, 20],
    grams: [2, 8],
    cubes: true,
    blade: 'pushed',
    skin: 'off',
    laid: 'block'
  },
  ripple: {
    id: 'ripple',
    angle: [
      [0.5, 45],
      [1, 30]
    ],
    angles: [30, 45],
    thickness: [
      [0.4, 5],
      [1, 3]
    ],
    thicknesses: [3, 5],
    grams: [5, 8],
    cubes: false,
    blade: 'rocked',
    skin: 'on',
    laid: 'overlapping'
  },
  scored: {
    id: 'scored',
    angle: [[0, 90]],
    angles: [75, 90],
    thickness: [
      [0, 10],
      [1, 8]
    ],
    thicknesses: [7, 10],
    grams: [9, 12],
    cubes: false,
    blade: 'score-first',
    skin: 'on',
    laid: 'on-rice'
  },
  bias: {
    id: 'bias',
    angle: [
      [0.3, 25],
      [1, 18]
    ],
    angles: [15, 30],
    thickness: [
      [0.3, 4],
      [1, 2]
    ],
    thicknesses: [2, 5],
    grams: [6, 18],
    cubes: false,
    blade: 'drawn-long',
    skin: 'down',
    laid: 'overlapping'
  }
};

/**
 * A value by tightness.
 *
 * @example
 * onCurve([[0, 12], [0.2, 10]], 0.1) // => 11
 * @example
 * onCurve([[0.5, 2.5], [1, 1]], 0.2) // => 2.5
 */
export function onCurve(curve: Curve, tightness: number): number {
  let before = curve[0]!;
  if (tightness <= before[0]) return before[1];
  for (const point of curve) {
    if (point[0] >= tightness) {
      const span = point[0] - before[0];
      return span === 0 ? point[1] : before[1] + ((point[1] - before[1]) * (tightness - before[0])) / span;
    }
    before = point;
  }
  return before[1];
}

/** How a house has a cut: its ends of a range, null where it keeps the usual one. Degrees, mm, g. */
export interface StyleMoves {
  readonly thinnest: number | null;
  readonly thickest: number | null;
  readonly lightest: number | null;
  readonly heaviest: number | null;
  readonly flattest: number | null;
  readonly steepest: number | null;
}
export type Styles = Readonly<Record<StyleId, SliceStyle>>;

const moved = ([least, most]: readonly [number, number], low: number | null, high: number | null) =>
  [low ?? Math.min(least, high ?? least), high ?? Math.max(most, low ?? most)] as const;
const within = (curve: Curve, [least, most]: readonly [number, number]): Curve =>
  curve.map(([tightness, value]) => [tightness, Math.min(most, Math.max(least, value))] as const);

/**
 * A cut with ends of its ranges moved: what it begins with lies within them. A curve that falls still falls, so tighter flesh gets no
 * thicker slice.
 *
 * @example
 * movedStyle(SLICE_STYLES.bias, { thinnest: 4, thickest: 6, lightest: null, heaviest: null, flattest: null, steepest: null }).thickness // => [[0.3, 4], [1, 4]]
 */
export function movedStyle(style: SliceStyle, moves: StyleMoves): SliceStyle {
  const thicknesses = moved(style.thicknesses, moves.thinnest, moves.thickest);
  const angles = style.cubes ? style.angles : moved(style.angles, moves.flattest, moves.steepest);
  return {
    ...style,
    thicknesses,
    thickness: within(style.thickness, thicknesses),
    angles,
    angle: within(style.angle, angles),
    grams: moved(style.grams, moves.lightest, moves.heaviest)
  };
}

/**
 * The cuts as a house has them.
 *
 * @example
 * stylesOf({ straight: { thinnest: null, thickest: 8, lightest: null, heaviest: null, flattest: null, steepest: null } }).straight.thicknesses // => [5, 8]
 */
export function stylesOf(own: Readonly<Partial<Record<StyleId, StyleMoves>>>): Styles {
  return Object.fromEntries(
    Object.values(SLICE_STYLES).map((style) => {
      const moves = own[style.id];
      return [style.id, moves ? movedStyle(style, moves) : style];
    })
  ) as unknown as Styles;
}
