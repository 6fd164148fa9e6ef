import type { SliceSet } from '../../core/activity/slice/plan.ts';
import { cutFor } from '../../core/bench/slice/settings.ts';
import * as say from '../../words/say.ts';
import { rulerWords as t } from '../../words/screens/slice.ts';
import { sliceSubject } from '../facts/slicing.ts';
import { inThread } from '../labels/thread.ts';
import type { RulerOrder } from '../labels/ruler.ts';
import type { Room } from '../room.ts';

/**
 * Where the blade stands for every slice of a plan, as a paper ruler.
 *
 * @throws EmberError as the cut itself, `record.not-found`
 */
export function rulerOf({ store }: Room, piece: string, set: SliceSet): RulerOrder {
  const { state, lot } = store.projections.piece(piece);
  const cut = cutFor(set, sliceSubject(lot, store.projections.currentHouse()));
  const [first] = cut.slices;
  return {
    kind: 'ruler',
    marks: [
      ...(first ? [{ at: first.from.at, label: '', skew: first.from.skew }] : []),
      ...cut.slices.map(({ to }, index) => ({ at: to.at, label: String(index + 1), skew: to.skew }))
    ],
    length: cut.block.length,
    words: {
      title: t.title(state.made.name),
      lines: [
        t.slices(cut.pieces, say.mass(first?.gramsEach ?? 0), `${say.number(first?.from.angle ?? 90, 0)}°`),
        t.zero[cut.order.first]
      ],
      check: t.check
    }
  };
}

export const rulerPdf = (room: Room, piece: string, set: SliceSet): Promise<Buffer> =>
  inThread(rulerOf(room, piece, set));
