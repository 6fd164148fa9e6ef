import { dangerOf, dangerOfAlarm, stationOf, type Horizon } from '../../core/service/danger.ts';
import { businessDay, businessDayEnd } from '../../core/measure/day.ts';
import type { Alarm, Todo } from '../../core/service/todo.ts';
import type { HouseState } from '../../core/record/house.ts';
import type { ProjectedPiece } from '../../core/service/hands.ts';
import type { AnyTaskCode } from '../../words/tasks.ts';
import type { Store } from '../store/store.ts';
import type { PlaceExcursion } from '../facts/excursions.ts';

type AskedFor = Pick<Todo<AnyTaskCode>, 'code' | 'at' | 'piece' | 'seen' | 'name' | 'path'>;

/** The next service, and the hours that part what is near from what is not. */
export function horizonOf(house: HouseState, now: number): Horizon & { readonly serviceName: string } {
  const next = Object.values(house.services)
    .filter(({ at }) => at > now)
    .sort((a, b) => a.at - b.at)[0];
  return {
    now,
    warnMs: house.warnMinutes * 60_000,
    service: next?.at ?? null,
    serviceName: next?.name ?? '',
    dayEnds: businessDayEnd(businessDay(now, house), house)
  };
}

/**
 * What each task is about beside its moment: how pressing it is, where it is done, where the piece lies and who had it in hand last,
 * its supplier and lot, and what is needed to do it at a touch.
 */
export function todoOf(
  { record }: Store,
  tasks: readonly AskedFor[],
  live: readonly ProjectedPiece[],
  horizon: Horizon
): Todo<AnyTaskCode>[] {
  const pieces = new Map(live.map((piece) => [piece.state.id, piece]));
  return tasks.map((task) => {
    const of = pieces.get(task.piece);
    const stay = of?.state.stays.at(-1);
    return {
      ...task,
      danger: dangerOf(task, horizon),
      station: stationOf(task.code),
      place: String(task.seen.place ?? '') || (stay?.to === null ? stay.place : ''),
      lot: of?.lot.id ?? '',
      supplier: of?.lot.received.supplier ?? '',
      grams: of?.state.grams ?? 0,
      seq: of?.state.lastSeq ?? 0,
      by: of ? (record.event(of.state.lastSeq)?.actor ?? '') : ''
    };
  });
}

/** Alarms of places that nobody has dealt with, each with how pressing it is. */
export const alarmsOf = (excursions: readonly PlaceExcursion[]): Alarm[] =>
  excursions
    .filter(({ closed }) => !closed)
    .map(({ place, kind, from, to, peak, limit, cause, pieces, subject }) => ({
      place,
      kind,
      from,
      to,
      peak,
      limit,
      cause,
      pieces: pieces.length,
      subject,
      danger: dangerOfAlarm({ kind, to })
    }));
