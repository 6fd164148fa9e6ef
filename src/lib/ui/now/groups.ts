import { DANGERS, STATIONS, URGENT, byDanger, stationOf, type Danger, type Station } from '$lib/core/service/danger.ts';
import type { Alarm, Todo as AnyTodo } from '$lib/core/service/todo.ts';
import type { AnyTaskCode } from '$lib/words/tasks.ts';

type Todo = AnyTodo<AnyTaskCode>;

/** A row of what is to be done: a task of a piece, or an alarm of a place. */
export type Row = { readonly key: string; readonly danger: Danger; readonly at: number; readonly place: string } & (
  { readonly task: Todo; readonly alarm: null } | { readonly task: null; readonly alarm: Alarm }
);

/** Tasks and alarms together, worst first; a place that is asked about twice is asked once. */
export function rowsOf(tasks: readonly Todo[], alarms: readonly Alarm[], now: number): Row[] {
  const unread = new Set(alarms.filter(({ danger }) => danger === 'unread').map(({ place }) => place));
  return [
    ...alarms.map((alarm): Row => ({
      key: `${alarm.place} ${alarm.kind} ${alarm.from} ${alarm.cause}`,
      danger: alarm.danger,
      at: alarm.from,
      place: alarm.place,
      task: null,
      alarm
    })),
    ...tasks
      .filter(({ code, place }) => code !== 'read-it' || !unread.has(place))
      .map((task): Row => ({
        key: `${task.code} ${task.piece || task.name}`,
        danger: task.danger,
        at: task.at,
        place: task.place,
        task,
        alarm: null
      }))
  ].sort(byDanger(now));
}

export interface Group {
  readonly key: string;
  readonly rows: readonly Row[];
}
const grouped = (rows: readonly Row[], key: (row: Row) => string): Group[] => {
  const found = new Map<string, Row[]>();
  for (const row of rows) found.set(key(row), [...(found.get(key(row)) ?? []), row]);
  return [...found].map(([key, rows]) => ({ key, rows }));
};

/** What is pressing in one group, then what waits, by when it is wanted. */
export function byHour(rows: readonly Row[]): { readonly urgent: readonly Row[]; readonly waiting: readonly Group[] } {
  return {
    urgent: rows.filter(({ danger }) => URGENT.has(danger)),
    waiting: DANGERS.filter((danger) => !URGENT.has(danger))
      .map((danger) => ({ key: danger, rows: rows.filter((row) => row.danger === danger) }))
      .filter((group) => group.rows.length > 0)
  };
}
export const stationOfRow = ({ task }: Row): Station => (task ? stationOf(task.code) : 'cold');
export const byStation = (rows: readonly Row[]): Group[] =>
  grouped(rows, stationOfRow).sort((a, b) => STATIONS.indexOf(a.key as Station) - STATIONS.indexOf(b.key as Station));
export const byPlace = (rows: readonly Row[]): Group[] => grouped(rows, ({ place }) => place);
/** Papers that one supplier owes are asked for in one go. */
export const bySupplier = (rows: readonly Row[]): Group[] => grouped(rows, ({ task }) => task?.supplier ?? '');
