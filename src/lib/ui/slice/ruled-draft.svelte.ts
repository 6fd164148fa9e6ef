import { QUARTERS, type Ruled } from '../../core/activity/slice/ruler.ts';
import { widthThatFits, type SliceSubject } from '../../core/bench/slice/settings.ts';
import type { UnitPreferences } from '../../core/measure/units.ts';
import type { PlanShape } from '../../core/record/recorded.ts';
import type { PlanWords } from '../../words/plans/plan.ts';
import { PlanDraft } from '../plan/draft.svelte.ts';
import type { BlockSize } from '../../core/activity/slice/fold.ts';
import type { DepthProfile } from '../../core/bench/breakdown/depth.ts';
import type { SlicedFish } from '../../core/bench/slice/recommend.ts';

/** As much of a piece as its block is guessed from. */
export interface BlockOf {
  readonly grams: number;
  readonly form: string;
  readonly depth: DepthProfile | null;
  /** That depth is its stretch of the side it was cut from: it was not measured itself. */
  readonly ofSide: boolean;
  /** Of a block that was squared. */
  readonly size: BlockSize | null;
  readonly fish: SlicedFish;
  readonly subject: SliceSubject;
}

/** A plan for something a ruler was laid on: what the scale says of it as well. */
export abstract class RuledDraft<Shape extends PlanShape, Set extends Ruled> extends PlanDraft<Shape> {
  /** Nobody laid a ruler on it yet: its sizes are guessed from its weight. */
  guessed = $state(true);
  /** Its depths were read off the side it was cut from. */
  ofSide = $state(false);
  protected readonly piece: BlockOf;

  constructor(shape: Shape, words: PlanWords<Shape>, units: UnitPreferences, piece: BlockOf) {
    super(shape, words, units);
    this.piece = piece;
  }

  settings(): { readonly set: Set; readonly subject: SliceSubject } | string {
    const set = this.read();
    return typeof set === 'string' ? set : { set: set as unknown as Set, subject: this.piece.subject };
  }

  /** How much wider it has to be told for ruler and scale to agree; 1 where they do, null where it cannot be read. */
  misfit(): number | null {
    const settings = this.settings();
    if (typeof settings === 'string') return null;
    const found = this.attempt(() => widthThatFits(settings, this.piece.grams));
    return typeof found === 'number' ? found : null;
  }
  /** Lets the scale decide: every width is told so much wider. */
  fit(times: number): void {
    const settings = this.settings();
    if (typeof settings === 'string') return;
    for (const quarter of QUARTERS) {
      const name = quarter === 0 ? 'width' : (`width${quarter}` as const);
      const width = settings.set[name];
      if (width) this.figure(name, Math.min(400, Math.max(5, Math.round(width.si * times * 10) / 10)));
    }
  }
}
