import { sliceSet, type SliceSet } from '../../core/activity/slice/plan.ts';
import { QUARTERS } from '../../core/activity/slice/ruler.ts';
import { adviseSlice, beginsWith, type SliceAdvice } from '../../core/bench/slice/recommend.ts';
import { fleshDensity, type SliceOutcome } from '../../core/bench/slice/settings.ts';
import { blockLeft } from '../../core/bench/slice/left.ts';
import { SLICE_STYLES, type SliceStyle, type Styles } from '../../core/bench/slice/styles.ts';
import type { Purpose, StyleId } from '../../core/activity/slice/lists.ts';
import { depthAt, fullProfile } from '../../core/bench/breakdown/depth.ts';
import type { UnitPreferences } from '../../core/measure/units.ts';
import { SLICE_FIELDS } from '../../words/plans/slice.ts';
import { RuledDraft, type BlockOf } from './ruled-draft.svelte.ts';

/** Length and width of what is usually cut so, in heights (the same guess as of its thickness; check). */
const SHAPES: Readonly<Record<string, number>> = { fillet: 4, loin: 2.4, block: 2.4, portion: 2 };
const USUAL_HEIGHT = 28;
/** How long, high and wide what weighs so much and is cut so usually is, mm. */
export function usualShape({ grams, form, fish, subject }: BlockOf): { length: number; height: number; width: number } {
  const height = fish.thicknessMm ?? USUAL_HEIGHT;
  const width = Math.min(400, Math.round(height * (SHAPES[form] ?? 2.4)));
  const length = Math.max(20, Math.min(1000, Math.round(grams / (fleshDensity(subject.fat) * height * width))));
  return { length, height, width };
}
/** To a tenth of a millimetre: no ruler says more. */
const round = (mm: number) => Math.round(mm * 10) / 10;

/** A block at the slicing board as it is being set. */
export class SliceDraft extends RuledDraft<typeof sliceSet, SliceSet> {
  constructor(units: UnitPreferences, piece: BlockOf) {
    super(sliceSet, SLICE_FIELDS, units, piece);
    this.#usual();
    this.take('topping');
  }

  get purpose(): Purpose {
    return this.texts.purpose as Purpose;
  }
  get style(): StyleId {
    return this.texts.style as StyleId;
  }
  /** The cuts as the house has them. */
  get styles(): Styles {
    return this.piece.subject.styles ?? SLICE_STYLES;
  }
  /** The cut that is set: one of the house's own, or a usual one. */
  get cut(): SliceStyle {
    return this.piece.subject.cuts?.[this.texts.cut!] ?? this.styles[this.style];
  }
  /** What suits this piece for what it is wanted for. */
  advice(): SliceAdvice {
    return adviseSlice(this.piece.fish, this.purpose, this.styles);
  }

  /** Begins where the cut begins that suits the piece. */
  take(purpose: Purpose): void {
    this.texts.purpose = purpose;
    this.choose(this.advice().style);
  }
  /** Begins where a cut begins, for flesh as tight as this: a style, or a cut of the house's own that is made like one. */
  choose(style: StyleId, own = ''): void {
    this.texts.style = style;
    this.texts.cut = own;
    const begin = beginsWith(style, this.advice().tightness.value, { ...this.styles, [style]: this.cut });
    this.texts.angle = String(begin.angle);
    this.figure('thickness', begin.thickness);
    this.figure('grams', this.#weighs(begin));
    this.texts.by = style === 'cubes' ? 'thickness' : 'weight';
  }

  /** A row after the first begins with what such a piece weighs of flesh as tight as this. */
  row(at: 2 | 3): void {
    const style = this.texts[`style${at}`] as StyleId | '';
    if (style === '') this.texts[`grams${at}`] = '';
    else this.figure(`grams${at}`, beginsWith(style, this.advice().tightness.value, this.styles).grams);
  }

  /** What a slice as thick as suits it weighs here, within what pieces of its style weigh: to the half gram. */
  #weighs({ thickness, angle, grams }: Pick<SliceAdvice, 'thickness' | 'angle' | 'grams'>): number {
    const settings = this.settings();
    if (typeof settings === 'string') return grams;
    const { height, width } = settings.set;
    const face = (height.si * width.si) / Math.sin((angle * Math.PI) / 180);
    const [least, most] = this.cut.grams;
    const here = fleshDensity(this.piece.subject.fat) * thickness * face;
    return Math.round(Math.min(most, Math.max(least, here)) * 2) / 2;
  }

  /** The block as its depth was measured, else as pieces of its form and weight usually are. */
  #usual(): void {
    const { grams, depth, size, subject } = this.piece;
    const density = fleshDensity(subject.fat);
    if (size) {
      // Squared on this board: its sizes are known.
      this.figure('length', size.lengthMm);
      this.figure('height', size.heightMm);
      this.figure('width', size.widthMm);
      this.guessed = false;
      return;
    }
    if (depth && depth.points.length >= 2) {
      const points = fullProfile(depth);
      this.ofSide = this.piece.ofSide;
      const length = Math.min(1000, depth.lengthMm);
      const heights = QUARTERS.map((quarter) => depthAt(points, (depth.lengthMm * quarter) / 4));
      this.figure('length', length);
      heights.forEach((mm, quarter) => this.figure(quarter === 0 ? 'height' : `height${quarter}`, Math.max(3, mm)));
      const mean = heights.reduce((sum, mm) => sum + mm, 0) / heights.length;
      this.figure('width', Math.round(Math.min(400, Math.max(5, grams / (density * length * mean)))));
      this.guessed = false;
      return;
    }
    const { height, width, length } = usualShape(this.piece);
    this.figure('height', height);
    this.figure('width', width);
    this.figure('length', length);
  }

  /** Goes on with what stays of the block once these were cut. */
  shorten(cut: SliceOutcome): void {
    const left = blockLeft(cut);
    if (!left) return;
    for (const name of ['height', 'width'] as const) {
      // What stands between is not where it was any more; the other end is.
      for (const quarter of [1, 2, 3]) this.texts[`${name}${quarter}`] = '';
      const [near, far] = left.end === 'head' ? [name, `${name}4`] : [`${name}4`, name];
      this.figure(near, round(left[name]));
      this.figure(far, round(left.far[name]));
    }
    this.figure('length', round(left.length));
    if (left.slant > 0.5) this.figure(left.end === 'head' ? 'slantHead' : 'slantTail', round(left.slant));
  }
}
