import { running } from '../../record/occupation.ts';
import { cureNow } from '../../activity/cure/fold.ts';
import type { foldLineages } from '../verdict.ts';
import { celsius, KEPT_CELSIUS, type RoadsInput } from './steps.ts';
import { COSTS, type Remedy, type Writer } from './trial.ts';

/** What a piece lies in and is taken out of: a cure once its time is up, a thaw once it is soft by the slow bound of its forecast. */
export function ending(input: RoadsInput, folded: ReturnType<typeof foldLineages>, write: Writer): Remedy[] {
  const piece = folded[0].chain.at(-1)!;
  const subject = `piece:${piece.id}`;
  const out: Remedy[] = [];
  const cure = running(piece.cures);
  if (cure) {
    const at = Math.max(input.now, cureNow(cure).dueAt);
    const body = {
      massAfter: null,
      note: '',
      taste: null,
      saltTaste: 'unknown' as const,
      salt: null,
      place: '',
      stages: [],
      warmth: []
    };
    const step = { kind: 'take-out' as const, of: 'cure' as const, at };
    out.push({ step, cost: COSTS.read, readyAt: at, piece: [write('cure.ended', subject, at, body)] });
  }
  const thaw = running(piece.thaws);
  if (thaw) {
    const seconds = thaw.plan.forecast?.high ?? 0;
    const at = Math.max(input.now, thaw.at + seconds * 1000);
    const body = { core: celsius(KEPT_CELSIUS), warmSeconds: 0, drip: null, note: '' };
    const step = { kind: 'take-out' as const, of: 'thaw' as const, at };
    out.push({ step, cost: COSTS.read, readyAt: at, piece: [write('thaw.ended', subject, at, body)] });
  }
  return out;
}
