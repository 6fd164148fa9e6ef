import { HOUR } from '../../measure/spans.ts';
import { DEFAULT_LOGGED_GAP_SECONDS } from '../../bench/freeze/hold.ts';
import { running } from '../../record/occupation.ts';
import { show, type Task } from '../../service/show.ts';

/** A hand-written log is read at least once a shift, well inside the gap any cycle allows. */
const SHIFT = 8 * HOUR;

/** In a freezer: its next reading, and the one that proves the freeze. */
export const freezeShow = show({
  codes: ['freeze-reading', 'freeze-proof'],
  tasks({ state: { id: piece, freezes }, windows, now, lastHeard }) {
    const run = running(freezes);
    if (!run) return [];
    const seen = { place: run.plan.place };
    const due = windows.find((window) => window.route === 'raw')?.proofDue ?? null;
    const last = run.readings.at(-1)?.at ?? run.at;
    const isLogged = now - (lastHeard.get(run.plan.place) ?? -Infinity) <= DEFAULT_LOGGED_GAP_SECONDS * 1000;
    const tasks: Task<'freeze-reading' | 'freeze-proof'>[] = [];
    if (due) tasks.push({ code: 'freeze-proof', at: due, piece, seen });
    if (!isLogged && (!due || due > now)) tasks.push({ code: 'freeze-reading', at: last + SHIFT, piece, seen });
    return tasks;
  },
  steps: ({ freezes }) =>
    freezes.map((run) => ({ kind: 'freeze', from: run.at, to: run.ended?.at ?? null, seen: { place: run.plan.place } }))
});
