import { squareSet, type SquareSet } from '../../core/activity/slice/plan.ts';
import { QUARTERS } from '../../core/activity/slice/ruler.ts';
import { depthAt, fullProfile } from '../../core/bench/breakdown/depth.ts';
import { measureAt } from '../../core/bench/slice/block.ts';
import { SQUARE_MM } from '../../core/bench/slice/square.ts';
import { squareOrder } from '../../core/bench/slice/settings.ts';
import type { UnitPreferences } from '../../core/measure/units.ts';
import { SQUARE_FIELDS } from '../../words/plans/slice.ts';
import { RuledDraft, type BlockOf } from './ruled-draft.svelte.ts';
import { usualShape } from './draft.svelte.ts';

/** Skin with what sticks to it (check); thin edge of a side, and of a loin, as a share of its thick one (check). */
const SKIN_MM = 1.5;
const EDGE = { fillet: '30', loin: '60' } as const;

/** A side or a loin on the board, and the blocks that are wanted of it, as they are being set. */
export class SquareDraft extends RuledDraft<typeof squareSet, SquareSet> {
  constructor(units: UnitPreferences, piece: BlockOf) {
    super(squareSet, SQUARE_FIELDS, units, piece);
    this.#usual();
  }

  #usual(): void {
    const { depth, form, fish } = this.piece;
    this.texts.edge = form === 'loin' ? EDGE.loin : EDGE.fillet;
    if (fish.skinOn) this.figure('skin', SKIN_MM);
    const shape = usualShape(this.piece);
    this.figure('length', shape.length);
    this.figure('height', shape.height);
    if (depth && depth.points.length >= 2) {
      const points = fullProfile(depth);
      this.ofSide = this.piece.ofSide;
      this.figure('length', Math.min(1000, depth.lengthMm));
      for (const quarter of QUARTERS) {
        const mm = Math.max(3, depthAt(points, (depth.lengthMm * quarter) / 4));
        this.figure(quarter === 0 ? 'height' : `height${quarter}`, mm);
      }
      this.guessed = false;
    }
    // So wide that it weighs what it does.
    this.fit(this.misfit() ?? 1);
    const settings = this.settings();
    if (typeof settings === 'string') return;
    // As high as it stands in its middle where a first row ends.
    const { side, width, skin } = squareOrder(settings.set, settings.subject);
    const middle = side.length / 2;
    const across = Math.min(1, width / measureAt(side.widths, middle));
    const stands = measureAt(side.heights, middle) * (1 - (1 - side.edge) * across) - skin;
    this.figure('wantHeight', Math.max(SQUARE_MM.height.min, Math.floor(stands)));
  }
}
