import type { ServerActivity } from '../activity.ts';
import { binTub, makeTub, readTub } from './operations.ts';
import { riceQuery, tubLabel } from './views.ts';

/** Rice: tubs under one clock each. */
export const rice = {
  operations: [makeTub, readTub, binTub],
  queries: [riceQuery],
  label: { kind: 'tub', lines: tubLabel },
  demo({ step, celsius }) {
    const tub = { id: '' };
    step(
      1.2,
      'p2',
      'make-tub',
      () => ({ mass: '3.4 kg', place: 'Counter', dressing: 'Rice vinegar, White sugar, Fine salt, Kelp' }),
      (result) => (tub.id = String(result.tub))
    );
    for (const [ago, about] of [
      [1.15, 74],
      [0.9, 41],
      [0.7, 36]
    ] as const) {
      step(ago, 'p2', 'read-tub', () => ({ tub: tub.id, reading: celsius(about) }));
    }
  }
} satisfies ServerActivity;
