import { HOUR } from '../../measure/spans.ts';
import { running } from '../../record/occupation.ts';
import { show, type Task } from '../../service/show.ts';
import { acidNow } from './fold.ts';

type AcidTask = Task<'acid-ready' | 'acid-out' | 'acid-later' | 'acid-past'>;

/**
 * A piece in acid: when it is as it was wanted, then when its best is over; where some of it is for guests who want it less raw,
 * that second time as well, and that alone once the first part is out. One that was cut and found ready is to be taken out.
 */
export const acidShow = show({
  codes: ['acid-ready', 'acid-out', 'acid-later', 'acid-past'],
  tasks({ state: { id: piece, acids }, now }) {
    const run = running(acids);
    if (!run) return [];
    const { ready, past, later } = acidNow(run);
    const after = (band: { readonly likely: number } | null) => (band ? run.at + band.likely * 1000 : null);
    const first = { wanted: run.plan.set.wanted, ready: after(ready), past: after(past) };
    const second = later && { wanted: later.wanted, ready: after(later.ready), past: after(later.past) };
    const looks = second ? (run.lifted.length > 0 ? [second] : [first, second]) : [first];
    return looks.flatMap((each): AcidTask[] => {
      const seen = { wanted: each.wanted };
      const isLater = each === second;
      // While more of it is to stay in, the first look's end is the second one's way.
      if (each.past !== null && each.past <= now && (isLater || !second))
        return [{ code: 'acid-past', at: each.past, piece, seen }];
      if (each.ready === null) return [];
      if (isLater) return [{ code: 'acid-later', at: each.ready, piece, seen }];
      // Somebody cut one and found it so, or has begun to take it out: what is left to do is the rest.
      const { ready: moment } = each;
      const isFound = [...run.checks, ...run.lifted].some(({ at: done }) => done >= moment);
      return [{ code: isFound ? 'acid-out' : 'acid-ready', at: each.ready, piece, seen }];
    });
  },
  steps: ({ acids }) =>
    acids.map((run) => ({
      kind: 'acid',
      from: run.at,
      to: run.ended?.at ?? run.at + (acidNow(run).ready ? acidNow(run).ready!.likely * 1000 : HOUR),
      seen: {}
    }))
});
