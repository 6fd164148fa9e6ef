import { brokenPromise } from '../../codes/promise.ts';
import { stateAt } from '../../codes/window.ts';
import { running } from '../../record/occupation.ts';
import { show } from '../../service/show.ts';

/** The label it bears: printed anew where it promises more than stands. A tray and a board have clocks of their own. */
export const pieceShow = show({
  codes: ['label-stale'],
  tasks({ state: { id: piece, label, holds, boards }, windows, now }) {
    // Of what nobody may serve now the label misleads nobody; what is shut for good is decided, not labelled.
    const isServed = windows.some((window) => stateAt(window, now, 0) === 'open');
    if (!label || !isServed || holds.length > 0 || running(boards)) return [];
    const broken = brokenPromise(label, windows, now);
    if (!broken) return [];
    const { route, said, until } = broken;
    return [{ code: 'label-stale', at: until ?? now, piece, seen: { route, said: said ?? '', until: until ?? '' } }];
  },
  steps: () => []
});
