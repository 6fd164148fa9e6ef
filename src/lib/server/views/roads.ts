import { DAY } from '../../core/measure/spans.ts';
import { z } from 'zod';
import { WATER_SHARE } from '../../core/bench/cure/parameters.ts';
import { speciesIn } from '../../core/fish/house-species.ts';
import { findRoads } from '../../core/rules/roads/search.ts';
import { ROUTES, type Route } from '../../core/codes/window.ts';
import { readInstant } from '../../core/measure/day.ts';
import type { HouseState } from '../../core/record/house.ts';
import { requestLetter } from '../../words/roads.ts';
import type { Room } from '../room.ts';
import { presentOf } from './now.ts';

export const roadFields = z.object({
  id: z.string().max(40).describe('of the piece'),
  route: z.enum(ROUTES).default('raw').describe('as it is wanted'),
  by: z.string().max(40).optional().describe('when it is wanted; the next sitting, or tomorrow evening, where left out')
});

/** When something is wanted where nobody said: the next sitting of the house, or this time tomorrow. */
export function nextWanted(house: Pick<HouseState, 'services'>, now: number): number {
  const next = Object.values(house.services)
    .map(({ at }) => at)
    .filter((at) => at > now)
    .sort((a, b) => a - b)[0];
  return next ?? now + DAY;
}

/**
 * The ways a piece may be open as it is wanted, and the letter each asks of its seller.
 *
 * @throws EmberError `record.not-found`, `time.unreadable`
 */
export function roadsView(room: Room, pieceId: string, route: Route, by: number) {
  const { store } = room;
  const now = presentOf(room);
  const house = store.projections.currentHouse();
  const { state, lot } = store.projections.piece(pieceId);
  const lineages = store.projections.lineages(pieceId);
  const freezers = Object.values(house.places).flatMap((place) =>
    (place.kind === 'freezer' || place.kind === 'blast') && place.setPoint
      ? [
          {
            place: place.name,
            airCelsius: place.setPoint.si,
            airClass: place.airClass,
            litres: place.litres,
            watts: place.watts
          }
        ]
      : []
  );
  const water = lot.species.length === 1 ? WATER_SHARE[speciesIn(house.species, lot.species[0]!).fat] : undefined;
  const roads = findRoads({
    lineages,
    house,
    logs: store.projections.logs.book(now, now),
    now,
    route,
    by,
    freezers,
    water
  });
  const lots = new Map(lineages.map(({ lotId }) => [lotId, store.projections.lot(lotId)]));
  return {
    piece: { id: state.id, name: state.made.name, grams: state.grams },
    route,
    by,
    now,
    roads: roads.map((road) => ({ ...road, letter: requestLetter(road, lots, house) }))
  };
}

/** The same as a program asks it. */
export function roadsAsked(room: Room, input: z.infer<typeof roadFields>) {
  const house = room.store.projections.currentHouse();
  const by = input.by ? readInstant(input.by, house.zone, 'by') : nextWanted(house, presentOf(room));
  return roadsView(room, input.id, input.route, by);
}
