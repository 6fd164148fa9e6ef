import { running } from '../../record/occupation.ts';
import { show } from '../../service/show.ts';

/** How long a fish lies on a board before somebody is asked: its parts belong in the cold between steps. The house's habit. */
export const BOARD_MINUTES = 20;

/** On the board: it lies out of the cold until the board is closed. */
export const boardShow = show({
  codes: ['board-open'],
  tasks({ state: { id: piece, boards } }) {
    const board = running(boards);
    if (!board) return [];
    return [{ code: 'board-open', at: board.at + BOARD_MINUTES * 60_000, piece, seen: { map: board.plan.map } }];
  },
  steps: ({ boards }, now) =>
    boards.map((board) => ({ kind: 'board', from: board.at, to: board.ended?.at ?? now, seen: {} }))
});
