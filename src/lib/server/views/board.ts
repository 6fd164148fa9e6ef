import type { HouseState } from '../../core/record/house.ts';
import type { PieceState } from '../../core/record/piece.ts';
import {
  cutMap,
  forLicensedHands,
  mapFor,
  mapId,
  orderOfWork,
  partsOf,
  templatesOf
} from '../../core/bench/breakdown/maps.ts';
import { MAP_IDS } from '../../core/bench/breakdown/map-types.ts';
import { balanceOf } from '../../core/bench/breakdown/mass.ts';
import { PORTIONS, portionsFrom } from '../../core/bench/breakdown/portions.ts';
import { effectiveEvents } from '../../core/record/amend.ts';
import { running } from '../../core/record/occupation.ts';
import { type BoardRun } from '../../core/activity/board/fold.ts';
import { secondsOut } from '../../core/rules/out-of-cold.ts';
import { spentBy } from '../../core/activity/cold/hazards/clock.ts';
import { soonestWarm } from '../../core/rules/piece-clock.ts';
import { foldLineages, type JudgeInput } from '../../core/rules/verdict.ts';
import { BOARD_MINUTES } from '../../core/activity/board/show.ts';
import { stateAt, type Route, type RouteWindow } from '../../core/codes/window.ts';
import type { Room } from '../room.ts';
import { costOfPiece, costsOf } from '../facts/costs.ts';
import { candidatesOfLot } from '../facts/lot-species.ts';
import { presentOf } from './now.ts';
import { expectedYield } from '../facts/yields.ts';

export interface BoardAsked {
  readonly map?: string;
  readonly template?: string;
  readonly school?: string;
  readonly ways?: Readonly<Record<string, string>>;
}

/** Map, school, ways and division: as the board was opened with, or as they would be. */
function chosenMap(asked: BoardAsked, board: BoardRun | null, suggested: ReturnType<typeof mapFor>) {
  if (board) {
    const [school = '', ...ways] = board.plan.school.split(' ');
    return { map: mapId.catch(suggested).parse(board.plan.map), school, ways, template: board.plan.template };
  }
  const map = mapId.catch(suggested).parse(asked.map ?? suggested);
  return { map, school: asked.school ?? '', ways: Object.values(asked.ways ?? {}), template: asked.template ?? '' };
}

/** The bench of one piece: its cut map, what was weighed off it, its balance, yield, cost and portions. */
export function boardView(room: Room, pieceId: string, asked: BoardAsked = {}) {
  const { store } = room;
  const house = store.projections.currentHouse();
  const now = presentOf(room);
  const found = store.projections.piece(pieceId);
  const { state, lot } = found;
  const species = candidatesOfLot(lot, house);
  const only = species.length === 1 ? species[0]! : null;
  const licensed = forLicensedHands(species);
  const board = running(state.boards);
  const last = state.boards.at(-1) ?? null;
  const chosen = chosenMap(asked, board ?? null, mapFor(only, state.made.form));
  const map = cutMap(chosen.map);
  const templates = templatesOf(house.templates);
  const template = map.id === 'side' ? (templates.find(({ id }) => id === chosen.template) ?? templates[0]!) : null;
  const ways: Record<string, string> = Object.fromEntries(
    map.choices.map(({ id, ways: all }) => [id, all.find((way) => chosen.ways.includes(way)) ?? all[0]!])
  );
  const school = map.schools.find(({ id }) => id === chosen.school) ?? map.schools[0]!;

  const money = costsOf(room, lot.id);
  const shown = board ?? last;
  const taken = takenOff(room, pieceId, { money, shown, house, now });
  const wastes = wasteOf(room, pieceId, shown);
  const forecast = expectedYield(store, house, lot, state.made.form);
  const balance = shown && balanceOf(shown, shown.ended?.remains ?? 0);
  const input = shown?.plan.grams ?? state.grams;
  const uncut = board ? Math.max(0, balance!.open) : state.gone ? 0 : state.grams;
  const inputs = foldLineages(store.projections.lineages(pieceId), {
    house,
    at: now,
    knownAt: now,
    logs: store.projections.logs.book(now, now)
  });
  const usable = taken.filter(({ grade, onThisBoard }) => grade === 'prime' && onThisBoard);
  const usableGrams = usable.reduce((sum, { grams }) => sum + grams, 0);
  const usableCents = usable.reduce((sum, { cost }) => sum + (cost?.in ?? 0), 0);
  return {
    piece: state,
    lot: { id: lot.id, supplier: lot.received.supplier, pricePerKg: lot.received.pricePerKg },
    lots: found.lots,
    species: species.map(({ id, name, handling, texture, fat }) => ({ id, name, handling, texture, fat })),
    maps: MAP_IDS,
    map: map.id,
    suggested: mapFor(only, state.made.form),
    schools: map.schools.map(({ id }) => id),
    school: school.id,
    choices: map.choices,
    ways,
    template: template?.id ?? '',
    division: template?.parts ?? [],
    templates: templates.map(({ id, name }) => ({ id, name })),
    /** No guidance is given: only licensed hands may open it. */
    licensed,
    order: licensed ? [] : orderOfWork(map, school.id, ways, state.made.form),
    parts: (licensed ? [] : partsOf(map, template)).map((part) => ({
      ...part,
      expected: { low: part.share[0] * input, high: part.share[1] * input }
    })),
    board,
    closed: board ? null : (last?.ended ?? null),
    shown,
    balance,
    taken,
    wastes,
    forecast,
    input,
    secondsOut: secondsOut(inputs[0].chain, now),
    warm: warmLeft(inputs, now),
    outSince: state.outs.at(-1)?.to === null ? state.outs.at(-1)!.from : null,
    raw: stateAt(
      found.windows.find(({ route }) => route === 'raw')!,
      now,
      house.warnMinutes * 60
    ),
    cost: costOfPiece(money, pieceId),
    unpriced: money.unpriced,
    usable: { grams: usableGrams, cents: usableCents },
    portions: portionsFrom(
      taken.filter(({ gone }) => !gone).map(({ use, left, routes }) => ({ use, grams: left, routes })),
      uncut > 0 && state.made.grade === 'prime'
        ? {
            grams: uncut,
            routes: routesOpen(found.windows, now),
            share: shareLeft(forecast, input, usableGrams, uncut)
          }
        : null,
      house.kitchen?.portions ?? PORTIONS
    ),
    places: Object.values(house.places).map(({ name }) => name)
  };
}
type Shown = PieceState['boards'][number] | null;

/** What came off a piece, the newest board's apart from earlier ones: what became of it, and what it cost. */
function takenOff(
  room: Room,
  pieceId: string,
  { money, shown, house, now }: { money: ReturnType<typeof costsOf>; shown: Shown; house: HouseState; now: number }
) {
  const children = money.pieces.filter((piece) => (money.parents.get(piece.id) ?? []).includes(pieceId));
  return children.map((row) => {
    const child = room.store.projections.piece(row.id);
    return {
      id: row.id,
      name: row.name,
      part: row.part,
      use: row.use,
      grade: row.grade,
      grams: row.grams,
      left: row.left,
      gone: row.gone,
      place: child.state.place?.place ?? '',
      onThisBoard: shown !== null && child.state.made.board === shown.seq,
      untouched: child.state.lastSeq === child.state.made.seq && child.children.length === 0,
      raw: stateAt(
        child.windows.find(({ route }) => route === 'raw')!,
        now,
        house.warnMinutes * 60
      ),
      routes: routesOpen(child.windows, now),
      cost: costOfPiece(money, row.id)
    };
  });
}

/** What was thrown away while a board was open. */
function wasteOf(room: Room, pieceId: string, shown: Shown) {
  return effectiveEvents(room.store.record.eventsOf(`piece:${pieceId}`)).flatMap((event) =>
    event.kind === 'piece.wasted' && shown && event.seq > shown.seq && (!shown.ended || event.seq < shown.ended.seq)
      ? [{ seq: event.seq, what: event.body.what, grams: event.body.mass.si }]
      : []
  );
}

/** Routes by which it may be served, now or once their clock has run. */
const routesOpen = (windows: readonly RouteWindow[], now: number): Route[] =>
  windows.filter((window) => ['open', 'ebbing', 'locked'].includes(stateAt(window, now, 0))).map(({ route }) => route);

/** What is left of its time in the warm now, and what a board of the usual length would leave of it, s. */
function warmLeft(inputs: readonly JudgeInput[], now: number) {
  const clock = soonestWarm(inputs);
  if (!clock) return null;
  const left = Math.max(0, clock.budgetSeconds - spentBy(clock.spells, now));
  return { left, usual: BOARD_MINUTES * 60, after: Math.max(0, left - BOARD_MINUTES * 60) };
}
export type BoardView = ReturnType<typeof boardView>;

/** The usable share of what is not yet weighed: what the forecast holds for the whole, less what is off already. */
function shareLeft(forecast: { low: number; likely: number; high: number }, input: number, off: number, uncut: number) {
  const left = (share: number) => Math.min(1, Math.max(0, (share * input - off) / uncut));
  return { low: left(forecast.low), likely: left(forecast.likely), high: left(forecast.high) };
}
