import { DAY } from '../../measure/spans.ts';
import { running } from '../../record/occupation.ts';
import { show, type Task } from '../../service/show.ts';

/** How far a rack is drawn ahead where nothing is forecast, days. */
const DRAWN_DAYS = 7;

/** On the rack: the daily look, the day it is forecast for, and a stop that somebody found. */
export const ageShow = show({
  codes: ['age-look', 'age-ready', 'age-stopped'],
  tasks({ state: { id: piece, ages } }) {
    const run = running(ages);
    if (!run) return [];
    const stopped = run.looks.find(({ stops }) => stops.length > 0);
    const seen = { place: run.place };
    if (stopped) {
      const { field, answer } = stopped.stops[0]!;
      return [{ code: 'age-stopped', at: stopped.at, piece, seen: { ...seen, field, answer } }];
    }
    const last = Math.max(run.at, run.looks.at(-1)?.at ?? run.at);
    const tasks: Task<'age-look' | 'age-ready'>[] = [{ code: 'age-look', at: last + DAY, piece, seen }];
    const ready = (run.weighIns.at(-1) ?? run.plan).ready;
    if (ready) tasks.push({ code: 'age-ready', at: run.at + ready.likely * DAY, piece, seen });
    return tasks;
  },
  steps: ({ ages }) =>
    ages.map((run) => ({
      kind: 'age',
      from: run.at,
      to: run.ended?.at ?? run.at + ((run.weighIns.at(-1) ?? run.plan).ready?.likely ?? DRAWN_DAYS) * DAY,
      seen: { place: run.place }
    }))
});
