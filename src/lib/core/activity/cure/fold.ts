import type { BodyOf } from '../../record/events.ts';
import { houseSlice } from '../../record/house-slice.ts';
import { changeLast, goesOn, pieceSlice } from '../../record/slice.ts';
import { stamp, type Stamped } from '../../record/stamped.ts';

export interface CureRun extends Stamped {
  readonly plan: BodyOf<'cure.started'>;
  /** What was changed on the way, oldest first: the last of them is how it runs now. */
  readonly changes: readonly (Stamped & BodyOf<'cure.changed'>)[];
  readonly done: readonly (Stamped & BodyOf<'cure.stepped'>)[];
  readonly ended: (Stamped & BodyOf<'cure.ended'>) | null;
}
/** How a cure runs now: as it was begun, or as it was last changed. */
export const cureNow = (run: CureRun): Pick<BodyOf<'cure.started'>, 'stages' | 'steps' | 'forecast' | 'dueAt'> =>
  run.changes.at(-1) ?? run.plan;

export const cureSlice = pieceSlice<{ cures: CureRun[] }>({
  start: () => ({ cures: [] }),
  on: {
    'cure.started': ({ cures }, event, piece) => {
      cures.push({ ...stamp(event), plan: event.body, changes: [], done: [], ended: null });
      piece.comesBack(event, null);
      if (event.body.place !== '') piece.liesIn(event, event.body.place, 'bath');
    },
    'cure.changed': ({ cures }, event) =>
      changeLast(cures, (run) => ({ changes: [...run.changes, { ...stamp(event), ...event.body }] }), goesOn),
    'cure.stepped': ({ cures }, event) =>
      changeLast(cures, (run) => ({ done: [...run.done, { ...stamp(event), ...event.body }] }), goesOn),
    'cure.ended': ({ cures }, event, piece) => {
      changeLast(cures, () => ({ ended: { ...stamp(event), ...event.body } }));
      if (event.body.massAfter) piece.grams = event.body.massAfter.si;
      if (event.body.place !== '') piece.liesIn(event, event.body.place);
    }
  }
});

/** What the house keeps of its curing besides its book: whether its forecasts learn. */
export interface CureBooks {
  readonly learnsCures: boolean;
}
export const cureBooks = houseSlice<CureBooks>({
  start: { learnsCures: true },
  on: {
    'learning.set': (_, event) => ({ learnsCures: event.body.cure })
  }
});
