import { DEFAULT_LOGGED_GAP_SECONDS } from '../bench/freeze/compliance.ts';
import { isPausedAt } from '../bench/cure/changes.ts';
import { running } from '../record/occupation.ts';
import {
  acidNow,
  cureNow,
  type AcidRun,
  type AgeRun,
  type CureRun,
  type LotState,
  type PieceState
} from '../record/state.ts';
import type { PieceClock } from '../rules/piece-clock.ts';
import { RAW_ROUTES, stateAt, type RouteWindow } from '../codes/window.ts';

/** What needs hands: a moment, what to do, and to which piece. */
export interface Task {
  readonly code:
    | 'tray-discard'
    | 'cure-due'
    | 'cure-step'
    | 'cure-paused'
    | 'acid-ready'
    | 'acid-later'
    | 'acid-past'
    | 'age-look'
    | 'age-ready'
    | 'age-stopped'
    | 'freeze-reading'
    | 'freeze-proof'
    | 'window-closes'
    | 'paper-missing'
    | 'leftover-closed'
    | 'board-open'
    | 'read-it'
    | 'thaw-due';
  readonly at: number;
  readonly piece: string;
  readonly seen: Readonly<Record<string, string | number>>;
}

export interface ProjectedPiece {
  readonly state: PieceState;
  readonly lot: LotState;
  readonly windows: readonly RouteWindow[];
  /** Codes of what is missing, for the first line of a card. */
  readonly missing: readonly string[];
  /** What its clocks use up; null where nothing is known of them. */
  readonly clock: PieceClock | null;
}

const HOUR = 3600_000;
/** How long before its silence begins to count a piece, or its place, is asked to be read, h. */
const READ_AHEAD_HOURS = 6;
/** How long a fish lies on a board before somebody is asked: its parts belong in the cold between steps. The house's habit. */
export const BOARD_MINUTES = 20;

/**
 * The hands queue: every piece still in the house, what it wants next, soonest first.
 *
 * @param now ms
 * @param warnSeconds the house's warning time
 * @param spoken when the logger of a place last spoke, ms: while one does, nobody has to read it
 */
export function handsQueue(
  pieces: readonly ProjectedPiece[],
  now: number,
  warnSeconds: number,
  spoken: ReadonlyMap<string, number> = new Map()
): Task[] {
  const tasks: Task[] = [];
  const asked = new Set<string>();
  for (const { state, lot, windows, missing, clock } of pieces) {
    if (state.gone) continue;
    const piece = state.id;
    const tray = state.holds.at(-1);
    if (tray) tasks.push({ code: 'tray-discard', at: tray.plan.discardAt, piece, seen: { label: tray.plan.label } });
    const board = running(state.boards);
    if (board) {
      tasks.push({ code: 'board-open', at: board.at + BOARD_MINUTES * 60_000, piece, seen: { map: board.plan.map } });
    }
    const cure = running(state.cures);
    if (cure) tasks.push(...cureTasks(cure, now, piece));
    const acid = running(state.acids);
    if (acid) tasks.push(...acidTasks(acid, now, piece));
    const rack = running(state.ages);
    if (rack) tasks.push(...rackTasks(rack, piece));
    const thaw = running(state.thaws);
    if (thaw) {
      const due = thaw.at + (thaw.plan.forecast?.likely ?? 12 * 3600) * 1000;
      tasks.push({ code: 'thaw-due', at: due, piece, seen: { place: thaw.plan.place } });
    }
    const freeze = running(state.freezes);
    if (freeze) {
      const raw = windows.find((window) => window.route === 'raw');
      const last = freeze.readings.at(-1)?.at ?? freeze.at;
      const isLogged = now - (spoken.get(freeze.plan.place) ?? -Infinity) <= DEFAULT_LOGGED_GAP_SECONDS * 1000;
      if (raw?.proofDue)
        tasks.push({ code: 'freeze-proof', at: raw.proofDue, piece, seen: { place: freeze.plan.place } });
      // A hand-written log is read at least once a shift, well inside the gap any cycle allows.
      if (!isLogged && (!raw?.proofDue || raw.proofDue > now)) {
        tasks.push({ code: 'freeze-reading', at: last + 8 * HOUR, piece, seen: { place: freeze.plan.place } });
      }
    }
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
    // One paper clears every piece of its lot: it is asked for once.
    const errand = `${lot.id} ${missing[0] ?? ''}`;
    if (missing.length > 0 && !freeze && !thaw && !asked.has(errand)) {
      asked.add(errand);
      tasks.push({ code: 'paper-missing', at: state.made.at, piece, seen: { missing: missing[0] ?? '' } });
    }
    const last = lastRawClose(windows);
    // What lies on a board, or beside it, is told once: by the board.
    const atBoard = board !== null || (state.made.board !== null && state.outs.at(-1)?.to === null);
    if (last !== null && !tray && !atBoard) {
      const state5 = windows.map((window) => stateAt(window, now, warnSeconds));
      if (state5.every((each) => each === 'closed' || each === 'never')) {
        tasks.push({ code: 'leftover-closed', at: last, piece, seen: {} });
      } else if (last > now && last - now < warnSeconds * 1000 * 6) {
        tasks.push({ code: 'window-closes', at: last, piece, seen: {} });
      }
    }
  }
  return tasks.sort((a, b) => a.at - b.at || a.piece.localeCompare(b.piece));
}

/**
 * A piece in acid: when it is as it was wanted, then when its best is over; where some of it is for guests who want it less raw,
 * that second time as well, and that alone once the first part is out.
 */
function acidTasks(run: AcidRun, now: number, piece: string): Task[] {
  const { ready, past, later } = acidNow(run);
  const after = (band: { readonly likely: number } | null) => (band ? run.at + band.likely * 1000 : null);
  const first = { wanted: run.plan.settings.wanted, ready: after(ready), past: after(past) };
  const second = later && { wanted: later.wanted, ready: after(later.ready), past: after(later.past) };
  const looks = second ? (run.lifted.length > 0 ? [second] : [first, second]) : [first];
  return looks.flatMap((each): Task[] => {
    const seen = { wanted: each.wanted };
    const isLater = each === second;
    // While more of it is to stay in, the first look's end is the second one's way.
    if (each.past !== null && each.past <= now && (isLater || !second))
      return [{ code: 'acid-past', at: each.past, piece, seen }];
    if (each.ready === null) return [];
    return [{ code: isLater ? 'acid-later' : 'acid-ready', at: each.ready, piece, seen }];
  });
}

/** On the rack: the daily look, the day it is forecast for, and a stop that somebody found. */
function rackTasks(run: AgeRun, piece: string): Task[] {
  const stopped = run.looks.find(({ stops }) => stops.length > 0);
  const seen = { place: run.place };
  if (stopped) {
    const { field, answer } = stopped.stops[0]!;
    return [{ code: 'age-stopped', at: stopped.at, piece, seen: { ...seen, field, answer } }];
  }
  const last = Math.max(run.at, run.looks.at(-1)?.at ?? run.at);
  const tasks: Task[] = [{ code: 'age-look', at: last + 24 * HOUR, piece, seen }];
  const ready = (run.weighIns.at(-1) ?? run.plan).ready;
  if (ready) tasks.push({ code: 'age-ready', at: run.at + ready.likely * 24 * HOUR, piece, seen });
  return tasks;
}

/** A running cure: its next step that nobody has said was done, and its end. Nothing is due while it is paused. */
function cureTasks(run: CureRun, now: number, piece: string): Task[] {
  const { stages, steps, dueAt } = cureNow(run);
  if (isPausedAt(stages, (now - run.at) / 1000)) {
    return [{ code: 'cure-paused', at: run.changes.at(-1)?.at ?? run.at, piece, seen: {} }];
  }
  const done = new Set(run.done.map(({ step }) => step));
  // What lies at the very start was done by beginning it.
  const next = steps.find(({ id, seconds }) => seconds > 0 && !done.has(id));
  const at = next ? run.at + next.seconds * 1000 : Infinity;
  return [
    ...(next && at < dueAt ? [{ code: 'cure-step' as const, at, piece, seen: { step: next.code, id: next.id } }] : []),
    { code: 'cure-due', at: dueAt, piece, seen: { method: run.plan.method } }
  ];
}

/** When the last raw route that could still open closes; null where none has an end. */
function lastRawClose(windows: readonly RouteWindow[]): number | null {
  const ends = windows
    .filter((window) => RAW_ROUTES.includes(window.route) && !window.never && !window.missing && window.closes !== null)
    .map((window) => window.closes!);
  return ends.length > 0 ? Math.max(...ends) : null;
}
