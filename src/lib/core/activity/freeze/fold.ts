import type { BodyOf } from '../../record/events.ts';
import { changeLast, pieceSlice } from '../../record/slice.ts';
import { asReading, stamp, type Reading, type Stamped } from '../../record/stamped.ts';

export type FreezeReading = Reading & { readonly probe: 'core' | 'air' };
export interface FreezeRun extends Stamped {
  readonly plan: BodyOf<'freeze.started'>;
  readonly readings: readonly FreezeReading[];
  /** The forecast as it was last made anew; null where it stands as it was planned. */
  readonly replan: (Stamped & BodyOf<'freeze.replanned'>) | null;
  readonly ended: (Stamped & BodyOf<'freeze.ended'>) | null;
}

export const freezeSlice = pieceSlice<{ freezes: FreezeRun[] }>({
  start: () => ({ freezes: [] }),
  on: {
    'freeze.started': ({ freezes }, event, piece) => {
      freezes.push({ ...stamp(event), plan: event.body, readings: [], replan: null, ended: null });
      piece.comesBack(event, event.body.startCore);
      piece.liesIn(event, event.body.place, 'freeze');
    },
    'freeze.replanned': ({ freezes }, event) =>
      changeLast(freezes, () => ({ replan: { ...stamp(event), ...event.body } })),
    'freeze.read': ({ freezes }, event) =>
      changeLast(freezes, ({ readings }) => ({
        readings: [...readings, { ...asReading(event, event.body.reading), probe: event.body.probe }]
      })),
    'freeze.ended': ({ freezes }, event, piece) => {
      changeLast(freezes, () => ({ ended: { ...stamp(event), ...event.body } }));
      piece.liesIn(event, event.body.place);
    }
  }
});
