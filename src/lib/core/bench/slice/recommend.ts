import { inRange } from '../../errors.ts';
import { onCurve, SLICE_STYLES, type Styles } from './styles.ts';
import type { Purpose, StyleId } from '../../activity/slice/lists.ts';

/** As much of a piece as its slicing goes by. */
export interface SlicedFish {
  readonly texture: 'firm' | 'medium' | 'soft';
  readonly fat: 'lean' | 'mid' | 'rich';
  readonly group: string;
  /** How stiff it is by the guide to rigor; null where nobody knows. */
  readonly rigor: 'before' | 'setting' | 'stiff' | 'passing' | 'past' | null;
  /** Days it has aged hung or racked. */
  readonly agedDays: number;
  /** Salt in it as it was cured, by mean share of water and flesh, %; 0 where it was not. */
  readonly saltPercent: number;
  readonly inAcid: boolean;
  readonly wasFrozen: boolean;
  /** Its skin is still on. */
  readonly skinOn: boolean;
  /** mm; null where nobody measured or can guess. */
  readonly thicknessMm: number | null;
  readonly form: string;
  readonly boiled: boolean;
}

/** What makes a fish's flesh tighter or looser than its kind, by code; words stand elsewhere. */
export const TIGHT_REASONS = ['texture', 'rich', 'before-rigor', 'stiff', 'aged', 'cured', 'acid', 'thawed'] as const;
export type TightReason = (typeof TIGHT_REASONS)[number];

export interface Tightness {
  /** 0 is the softest flesh, 1 the tightest. */
  readonly value: number;
  readonly reasons: readonly { readonly code: TightReason; readonly by: number }[];
}

const BY_TEXTURE = { soft: 0.2, medium: 0.5, firm: 0.8 } as const;
/**
 * How much each loosens or tightens, on the scale on which textures lie 0.3 apart. The house's own judgement of what cooks say; check.
 * Ageing loosens by the day until it has done all it does.
 */
const STEPS = {
  rich: -0.05,
  'before-rigor': 0.1,
  stiff: 0.1,
  agedDay: -0.02,
  agedMost: -0.2,
  curedPercent: 0.04,
  curedMost: 0.2,
  acid: 0.1,
  thawed: -0.08
} as const;

/**
 * How tight a piece's flesh is: its kind's, and what was done to it.
 *
 * @throws EmberError `quantity.out-of-range`
 */
export function tightness(fish: SlicedFish): Tightness {
  inRange(fish.agedDays, { field: 'days', unit: 'd', min: 0, max: 400 });
  inRange(fish.saltPercent, { field: 'salt', unit: '%', min: 0, max: 40 });
  const steps: [TightReason, number][] = [['texture', BY_TEXTURE[fish.texture]]];
  const add = (code: TightReason, by: number) => void (by !== 0 && steps.push([code, by]));
  if (fish.fat === 'rich') add('rich', STEPS.rich);
  if (fish.rigor === 'before') add('before-rigor', STEPS['before-rigor']);
  if (fish.rigor === 'setting' || fish.rigor === 'stiff') add('stiff', STEPS.stiff);
  add('aged', Math.max(STEPS.agedMost, STEPS.agedDay * fish.agedDays));
  add('cured', Math.min(STEPS.curedMost, STEPS.curedPercent * fish.saltPercent));
  if (fish.inAcid) add('acid', STEPS.acid);
  if (fish.wasFrozen) add('thawed', STEPS.thawed);
  const sum = steps.reduce((total, [, by]) => total + by, 0);
  return { value: Math.min(1, Math.max(0, sum)), reasons: steps.map(([code, by]) => ({ code, by })) };
}

/** Why a style, by code. */
export const STYLE_REASONS = [
  'slippery',
  'chewy-thin',
  'cured-side',
  'oily-skin-on',
  'dressed',
  'tight-plate',
  'tight-topping',
  'soft-plate',
  'middle-plate',
  'topping'
] as const;
export type StyleReason = (typeof STYLE_REASONS)[number];

export interface SliceAdvice {
  readonly style: StyleId;
  readonly why: StyleReason;
  readonly tightness: Tightness;
  /** Where the bench begins: degrees from the board, mm, g a piece. */
  readonly angle: number;
  readonly thickness: number;
  readonly grams: number;
  /** Styles that would do as well, the next best first. */
  readonly others: readonly StyleId[];
}

/** Flesh as tight as this is laid over thin, mm of block below which a fillet is cut to strips. */
const TIGHT = 0.65;
const SOFT = 0.35;
const THIN_MM = 9;
/** Salt at which a side holds together on its skin under a flat blade, %. */
const CURED = 1.5;

function plainStyle(fish: SlicedFish, purpose: Purpose, tight: number): readonly [StyleId, StyleReason] {
  const isThin = fish.thicknessMm !== null && fish.thicknessMm < THIN_MM;
  if (fish.group === 'cephalopod') return fish.boiled ? ['ripple', 'slippery'] : ['strips', 'chewy-thin'];
  if (purpose === 'dressed') return ['cubes', 'dressed'];
  if (isThin && tight >= SOFT && !fish.skinOn) return ['strips', 'chewy-thin'];
  if (fish.skinOn && fish.fat !== 'lean' && (fish.thicknessMm ?? 99) < 25) return ['scored', 'oily-skin-on'];
  if (purpose === 'thin') return tight >= 0.5 ? ['translucent', 'tight-plate'] : ['oblique', 'soft-plate'];
  if (purpose === 'plate') {
    if (tight >= TIGHT) return ['translucent', 'tight-plate'];
    return ['straight', tight < SOFT ? 'soft-plate' : 'middle-plate'];
  }
  return ['oblique', tight >= TIGHT ? 'tight-topping' : 'topping'];
}

/** A cured side comes off its skin under a long flat blade, where that is not thicker than its flesh would have it. */
function styleFor(fish: SlicedFish, purpose: Purpose, tight: number, styles: Styles): readonly [StyleId, StyleReason] {
  const plain = plainStyle(fish, purpose, tight);
  const isSide = fish.saltPercent >= CURED && ['fillet', 'loin'].includes(fish.form) && !fish.boiled;
  const isThinner = beginsWith('bias', tight, styles).thickness <= beginsWith(plain[0], tight, styles).thickness;
  return isSide && isThinner && plain[0] !== 'cubes' ? ['bias', 'cured-side'] : plain;
}

const OTHERS: Readonly<Record<StyleId, readonly StyleId[]>> = {
  straight: ['oblique', 'cubes'],
  oblique: ['straight', 'translucent'],
  translucent: ['oblique'],
  strips: ['oblique'],
  cubes: ['straight'],
  ripple: ['oblique'],
  scored: ['straight', 'oblique'],
  bias: ['oblique', 'straight']
};
const toHalf = (value: number) => Math.round(value * 2) / 2;

/** What a style begins with for flesh so tight: degrees, mm to the half (thin ones to a tenth), g to the half. */
export function beginsWith(
  style: StyleId,
  tight: number,
  styles: Styles = SLICE_STYLES
): Pick<SliceAdvice, 'angle' | 'thickness' | 'grams'> {
  const { angle, thickness, grams } = styles[style];
  const [least, most] = grams;
  const mm = onCurve(thickness, tight);
  return {
    angle: Math.round(onCurve(angle, tight)),
    thickness: mm < 3 ? Math.round(mm * 10) / 10 : toHalf(mm),
    grams: toHalf(most - (most - least) * tight)
  };
}

/**
 * The cut that suits a piece: by its kind, what it is for, how thick it is, and how tight its flesh is by now. Tighter flesh never
 * gets a thicker slice, longer ageing never a thinner one.
 *
 * @throws EmberError `quantity.out-of-range`
 * @example
 * adviseSlice({ texture: 'firm', fat: 'lean', group: 'finfish', rigor: null, agedDays: 0, saltPercent: 0, inAcid: false, wasFrozen: false, skinOn: false, thicknessMm: 24, form: 'block', boiled: false }, 'plate').style // => 'translucent'
 */
export function adviseSlice(fish: SlicedFish, purpose: Purpose, styles: Styles = SLICE_STYLES): SliceAdvice {
  const tight = tightness(fish);
  const [style, why] = styleFor(fish, purpose, tight.value, styles);
  return { style, why, tightness: tight, ...beginsWith(style, tight.value, styles), others: OTHERS[style] };
}
