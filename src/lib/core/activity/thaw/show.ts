import { running } from '../../record/occupation.ts';
import { show } from '../../service/show.ts';

/** Asked after, and drawn, so long where nothing was forecast, s. */
const UNKNOWN_SECONDS = 12 * 3600;
const DRAWN_SECONDS = 3600;

/** A thaw: when its core is to be read. */
export const thawShow = show({
  codes: ['thaw-due'],
  tasks({ state: { id: piece, thaws } }) {
    const run = running(thaws);
    if (!run) return [];
    const at = run.at + (run.plan.forecast?.likely ?? UNKNOWN_SECONDS) * 1000;
    return [{ code: 'thaw-due', at, piece, seen: { place: run.plan.place } }];
  },
  steps: ({ thaws }) =>
    thaws.map((run) => ({
      kind: 'thaw',
      from: run.at,
      to: run.ended?.at ?? run.at + (run.plan.forecast?.likely ?? DRAWN_SECONDS) * 1000,
      seen: {}
    }))
});
