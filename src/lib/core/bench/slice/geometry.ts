import { inRange } from '../../errors.ts';

/** Fish flesh, g per mm³ (1.05 g/ml). */
export const FLESH_GRAMS_PER_MM3 = 1.05e-3;

export interface Block {
  /** Along the board, mm. */
  readonly length: number;
  /** Thickness standing on the board, mm. */
  readonly height: number;
  /** Across the blade, mm. */
  readonly width: number;
}

export interface CutPlan {
  /** Blade from the board, degrees; 90 is straight down. */
  readonly angle: number;
  /** Slice thickness at right angles to the blade, mm. */
  readonly thickness: number;
  /** How far the blade moves along the board between slices, mm. */
  readonly advance: number;
  /** Long side of a slice's face, mm. */
  readonly face: number;
  readonly gramsEach: number;
  readonly pieces: number;
  readonly blockGrams: number;
  /** End wedges and the remainder, g. */
  readonly offcutGrams: number;
}

/** Slices thinner or thicker than this are no slices. */
const SLICE_MM = { field: 'thickness', unit: 'mm', min: 0.5, max: 60 } as const;
/** A slice that is whole but for a hundredth of a thousandth of its advance is whole: the saw-tooth of binary fractions. */
const WHOLE = 1e-9;

function checkBlock(block: Block): void {
  inRange(block.length, { field: 'length', unit: 'mm', min: 5, max: 1000 });
  inRange(block.height, { field: 'height', unit: 'mm', min: 3, max: 200 });
  inRange(block.width, { field: 'width', unit: 'mm', min: 5, max: 400 });
}

/**
 * Slices from a squared block. Straight: mass = ρ t H W. Oblique at θ: face W x H/sin θ, mass = ρ t W H/sin θ, advance
 * t/sin θ, whole slices = floor((L - H/tan θ)/(t/sin θ)); the end wedges are off-cut. Plane geometry.
 *
 * @throws EmberError naming the field, its unit and the range
 * @example
 * cutBlock({ length: 180, height: 30, width: 70 }, 90, 6).pieces // => 30
 */
export function cutBlock(block: Block, angle: number, thickness: number): CutPlan {
  checkBlock(block);
  const theta = (inRange(angle, { field: 'angle', unit: '°', min: 15, max: 90 }) * Math.PI) / 180;
  inRange(thickness, SLICE_MM);
  const sine = Math.sin(theta);
  const advance = thickness / sine;
  const lean = angle === 90 ? 0 : block.height / Math.tan(theta);
  const gramsEach = (FLESH_GRAMS_PER_MM3 * thickness * block.width * block.height) / sine;
  const pieces = Math.max(0, Math.floor((block.length - lean) / advance + WHOLE));
  const blockGrams = FLESH_GRAMS_PER_MM3 * block.length * block.height * block.width;
  return {
    angle,
    thickness,
    advance,
    face: block.height / sine,
    gramsEach,
    pieces,
    blockGrams,
    offcutGrams: Math.max(0, blockGrams - pieces * gramsEach)
  };
}

/**
 * Slice thickness that gives a wanted piece weight from this block.
 *
 * @param grams wanted weight of one slice
 * @returns mm
 * @throws EmberError `quantity.out-of-range` where no slice of this block weighs that: with what the thinnest and thickest do
 * @example
 * thicknessFor({ length: 180, height: 30, width: 70 }, 90, 13.23).toFixed(1) // => '6.0'
 */
export function thicknessFor(block: Block, angle: number, grams: number): number {
  checkBlock(block);
  const theta = (inRange(angle, { field: 'angle', unit: '°', min: 15, max: 90 }) * Math.PI) / 180;
  inRange(grams, { field: 'pieceGrams', unit: 'g', min: 0.5, max: 500 });
  const gramsPerMm = (FLESH_GRAMS_PER_MM3 * block.width * block.height) / Math.sin(theta);
  const most = Math.min(SLICE_MM.max, block.length);
  inRange(grams, {
    field: 'pieceGrams',
    unit: 'g',
    min: Number((gramsPerMm * SLICE_MM.min).toFixed(2)),
    max: Number((gramsPerMm * most).toFixed(2))
  });
  return grams / gramsPerMm;
}
