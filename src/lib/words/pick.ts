import type { Stage } from '../core/service/stage.ts';
import { words } from './speech.ts';

/** Where a piece stands in the day, as the head of a group. */
export const STAGE_NAMES: Readonly<Record<Stage, string>> = /* @__PURE__ */ words({
  board: 'On the board',
  freezer: 'In a freezer',
  thaw: 'Thawing',
  cure: 'In a cure',
  acid: 'In acid',
  rack: 'On the rack',
  tray: 'On a tray',
  frozen: 'Frozen',
  whole: 'Whole fish',
  cut: 'Cut'
});
