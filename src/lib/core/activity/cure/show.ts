import { isPausedAt } from '../../bench/cure/changes.ts';
import { running } from '../../record/occupation.ts';
import { show } from '../../service/show.ts';
import { cureNow } from './fold.ts';

/** A running cure: its next step that nobody has said was done, and its end. Nothing is due while it is paused. */
export const cureShow = show({
  codes: ['cure-due', 'cure-step', 'cure-paused'],
  tasks({ state: { id: piece, cures }, now }) {
    const run = running(cures);
    if (!run) return [];
    const { stages, steps, dueAt } = cureNow(run);
    if (isPausedAt(stages, (now - run.at) / 1000)) {
      return [{ code: 'cure-paused', at: run.changes.at(-1)?.at ?? run.at, piece, seen: {} }];
    }
    const done = new Set(run.done.map(({ step }) => step));
    // What lies at the very start was done by beginning it.
    const next = steps.find(({ id, seconds }) => seconds > 0 && !done.has(id));
    const at = next ? run.at + next.seconds * 1000 : Infinity;
    const step = { code: 'cure-step' as const, at, piece, seen: { step: next?.code ?? '', id: next?.id ?? '' } };
    const due = { code: 'cure-due' as const, at: dueAt, piece, seen: { method: run.plan.method } };
    return at < dueAt ? [step, due] : [due];
  },
  steps: ({ cures }) =>
    cures.map((run) => ({
      kind: 'cure',
      from: run.at,
      to: run.ended?.at ?? cureNow(run).dueAt,
      seen: { method: run.plan.method }
    }))
});
