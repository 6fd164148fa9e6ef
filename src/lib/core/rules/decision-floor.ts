import { combineAll, RAW_ROUTES, type Reason } from '../codes/window.ts';
import { STRICTNESS, type Decision } from '../inspect/score.ts';

/** What a code refuses at the door whatever the eye sees: it came too warm. */
const REFUSED_AT_THE_DOOR: ReadonlySet<string> = new Set(['temperature.arrived-warm']);

/** Whether the code turns it away before anybody has looked at it. */
export const isRefusedAtTheDoor = (reasons: readonly Reason[]): boolean =>
  reasons.some(({ code, effect }) => effect.kind !== 'pass' && REFUSED_AT_THE_DOOR.has(code));

/**
 * The mildest decision the verdict leaves open for a lot, whatever its sheet says: nothing where some raw window may open, cooking
 * where none ever can, the way back where none at all can or the code refuses it at the door. What was decided of it before is left
 * out: a sheet looks anew.
 *
 * @param reasons of a verdict
 */
export function decisionFloor(reasons: readonly Reason[]): Decision {
  const own = reasons.filter(({ code }) => !code.startsWith('decision.'));
  const windows = combineAll(own);
  if (windows.every(({ never }) => never)) return 'send-back';
  if (isRefusedAtTheDoor(own)) return 'send-back';
  return windows.some(({ route, never }) => RAW_ROUTES.includes(route) && !never) ? 'accept' : 'cooked-only';
}

/** The stricter of what a sheet recommends and what the verdict leaves open. */
export const neverMilder = (recommended: Decision, reasons: readonly Reason[]): Decision => {
  const floor = decisionFloor(reasons);
  return STRICTNESS[floor] > STRICTNESS[recommended] ? floor : recommended;
};
