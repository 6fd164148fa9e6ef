import { HOUR } from '../measure/spans.ts';
import { acidShow } from '../activity/acid/show.ts';
import { ageShow } from '../activity/age/show.ts';
import { boardShow } from '../activity/board/show.ts';
import { cureShow } from '../activity/cure/show.ts';
import { freezeShow } from '../activity/freeze/show.ts';
import { pieceShow } from '../activity/piece/show.ts';
import { sliceShow } from '../activity/slice/show.ts';
import { thawShow } from '../activity/thaw/show.ts';
import { trayShow } from '../activity/tray/show.ts';
import { RAW_ROUTES, stateAt, type RouteWindow } from '../codes/window.ts';
import type { LotState } from '../record/lot.ts';
import { running } from '../record/occupation.ts';
import type { PieceState } from '../record/piece.ts';
import { warmShare, type PieceClock } from '../rules/piece-clock.ts';
import type { Show, Step, Task } from './show.ts';

/** What each activity shows of a piece. */
const SHOWS = [trayShow, boardShow, cureShow, acidShow, ageShow, thawShow, freezeShow, sliceShow, pieceShow] as const;
type ShownCode = (typeof SHOWS)[number] extends infer Each ? (Each extends Show<infer Code> ? Code : never) : never;
/** What a piece wants whatever lies behind it. */
type OwnCode = 'window-closes' | 'paper-missing' | 'leftover-closed' | 'read-it' | 'warm-hours';
export type TaskCode = ShownCode | OwnCode;
export type HandsTask = Task<TaskCode>;

export interface ProjectedPiece {
  readonly state: PieceState;
  readonly lot: LotState;
  readonly windows: readonly RouteWindow[];
  /** Codes of what is missing, for the first line of a card. */
  readonly missing: readonly string[];
  /** What its clocks use up; null where nothing is known of them. */
  readonly clock: PieceClock | null;
}

/** How long before its silence begins to count a piece, or its place, is asked to be read, h. */
const READ_AHEAD_HOURS = 6;

/**
 * The hands queue: every piece still in the house, what it wants next, soonest first.
 *
 * @param now ms
 * @param warnSeconds the house's warning time
 * @param lastHeard when the logger of a place last spoke, ms: while one does, nobody has to read it
 */
export function handsQueue(
  pieces: readonly ProjectedPiece[],
  now: number,
  warnSeconds: number,
  lastHeard: ReadonlyMap<string, number> = new Map()
): HandsTask[] {
  const tasks: HandsTask[] = [];
  const asked = new Set<string>();
  const warm = new Map<string, HandsTask>();
  for (const { state, lot, windows, missing, clock } of pieces) {
    if (state.gone) continue;
    const piece = state.id;
    const tray = state.holds.at(-1);
    const board = running(state.boards);
    for (const each of SHOWS) tasks.push(...(each.tasks({ state, windows, now, lastHeard }) as readonly HandsTask[]));
    // One reading of a place speaks for all that lies in it: it is asked for once.
    const readBy = clock?.warm.readBy ?? null;
    const where = state.stays.at(-1)?.to === null ? state.stays.at(-1)!.place : '';
    const inSight =
      readBy !== null &&
      readBy - now < READ_AHEAD_HOURS * HOUR &&
      windows.some((window) => stateAt(window, now, 0) === 'open');
    if (inSight && !tray && !board && !asked.has(`read ${where || piece}`)) {
      asked.add(`read ${where || piece}`);
      tasks.push({ code: 'read-it', at: readBy, piece, seen: { place: where } });
    }
    // What lies on a board, or beside it, is told once: by the board.
    const atBoard = board !== null || (state.made.board !== null && state.outs.at(-1)?.to === null);
    // A tray and a board have clocks of their own; where nobody read it, reading it comes first.
    const warmUntil = clock && !tray && !atBoard ? warmEnd(clock, now) : null;
    if (warmUntil !== null && windows.some((window) => stateAt(window, now, 0) === 'open')) {
      // What lies together is carried together: the first of them speaks.
      const known = warm.get(where || piece);
      const pieces = Number(known?.seen.pieces ?? 0) + 1;
      const first = known && known.at <= warmUntil ? known : { at: warmUntil, piece };
      warm.set(where || piece, {
        code: 'warm-hours',
        at: first.at,
        piece: first.piece,
        seen: { place: where, pieces }
      });
    }
    // One paper clears every piece of its lot: it is asked for once.
    const errand = `${lot.id} ${missing[0] ?? ''}`;
    if (missing.length > 0 && !running(state.freezes) && !running(state.thaws) && !asked.has(errand)) {
      asked.add(errand);
      tasks.push({ code: 'paper-missing', at: state.made.at, piece, seen: { missing: missing[0] ?? '' } });
    }
    const last = lastClose(windows.filter(({ route }) => RAW_ROUTES.includes(route)));
    if (!tray && !atBoard && windows.length > 0) {
      // Whatever shut them, and even where none was ever open: nobody serves it any more, and it lies there.
      if (windows.every((window) => ['closed', 'never'].includes(stateAt(window, now, warnSeconds)))) {
        const at = Math.min(now, lastClose(windows) ?? state.made.at);
        tasks.push({ code: 'leftover-closed', at, piece, seen: {} });
      } else if (last !== null && last > now && last - now < warnSeconds * 1000 * 6) {
        tasks.push({ code: 'window-closes', at: last, piece, seen: {} });
      }
    }
  }
  return [...tasks, ...warm.values()].sort((a, b) => a.at - b.at || a.piece.localeCompare(b.piece));
}

/** What went on with a piece, goes on and is planned, as the tide chart draws it. */
export const stepsOf = (state: PieceState, now: number): Step[] => SHOWS.flatMap((each) => [...each.steps(state, now)]);

/** When a piece that is in the warm now has used up what it may, ms; null where it is not, or nobody knows it to be. */
function warmEnd(clock: PieceClock, now: number): number | null {
  const { spells, budgetSeconds, readBy } = clock.warm;
  if (readBy !== null && readBy <= now) return null;
  const isOut = spells.some(({ from, to }) => from <= now && (to === null || to > now));
  const left = budgetSeconds * (1 - warmShare(clock, now));
  return isOut && left > 0 ? now + left * 1000 : null;
}

/** When the last of these that could still open closes; null where none has an end. */
function lastClose(windows: readonly RouteWindow[]): number | null {
  const ends = windows
    .filter((window) => !window.never && !window.missing && window.closes !== null)
    .map((window) => window.closes!);
  return ends.length > 0 ? Math.max(...ends) : null;
}
