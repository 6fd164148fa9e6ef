/** Where half of the water that can freeze is ice: twice the initial freezing point of -1 °C (share of ice 1 - Tf/T). °C */
const HALF_ICE_CELSIUS = -2;

export interface IceDepth {
  /** All of it is ice, or none is. */
  readonly whole: boolean;
  readonly frozen: boolean;
  /** The ice is on the outside: it freezes. Otherwise it is left inside: it thaws. */
  readonly outside: boolean;
  /** Depth of the boundary below the face, mm. */
  readonly millimetres: number;
}

/**
 * How deep the ice reaches in a cut piece.
 *
 * @param layers temperatures from the middle outward, °C
 * @param thicknessMm from face to face
 * @example
 * iceDepth([-1, -1, -3, -5], 40).millimetres // => 10
 */
export function iceDepth(layers: readonly number[], thicknessMm: number): IceDepth {
  const isIce = (celsius: number) => celsius <= HALF_ICE_CELSIUS;
  const count = layers.filter(isIce).length;
  const outside = isIce(layers.at(-1)!);
  const whole = count === 0 || count === layers.length;
  const depth = (thicknessMm / 2) * ((outside ? count : layers.length - count) / layers.length);
  return { whole, frozen: count > 0, outside, millimetres: depth };
}
