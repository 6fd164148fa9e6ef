import { acidCourse } from '../../src/lib/core/bench/acid/front.ts';
import { acidPlan, type AcidSettings } from '../../src/lib/core/bench/acid/plan.ts';
import { uptakeConstantSurface } from '../../src/lib/core/bench/cure/analytic.ts';
import { learned, predicted, type CureOutcome } from '../../src/lib/core/bench/cure/learn.ts';
import { SALT_SATURATION, SHIPPED } from '../../src/lib/core/bench/cure/parameters.ts';
import { cure, cureBand, type CureSettings } from '../../src/lib/core/bench/cure/plan.ts';
import { programmeOf, zonesOf } from '../../src/lib/core/bench/cure/programme.ts';
import { simulate } from '../../src/lib/core/bench/cure/simulate.ts';
import { soluteIn } from '../../src/lib/core/bench/cure/solute.ts';
import { SIDE } from '../core/cure/side.ts';

type Add = (what: string, value: number, budget: number, unit: string) => void;
type Times = (count: number, warm: number, work: (index: number) => void) => number[];
type At = (sorted: number[], share: number) => number;

const DEPTH = 0.014;
const DIFFUSIVITY = 3e-10;
const SECONDS = 48 * 3600;

/** One zone under a face that stays saturated, as finely as asked for. */
function slab(nodes: number, stepShare: number): number {
  const salt = soluteIn([{ depth: DEPTH, water: 10, face: 1 }], nodes, SALT_SATURATION);
  salt.meet({ kind: 'laid', dose: [1e4], drains: 0 });
  let time = 0;
  let step = 5;
  while (time < SECONDS - 1e-6) {
    const to = Math.min(SECONDS, time + step);
    salt.step(DIFFUSIVITY * (to - time), [0]);
    time = to;
    step = Math.max(step, stepShare * time);
  }
  return salt.taken(0) / (10 * SALT_SATURATION);
}

/** Cures: one plan, its band, what it learns from, and what accuracy costs against the closed series. */
export function cureRows(add: Add, times: Times, at: At): void {
  const side: CureSettings = { ...SIDE, hours: 72 };
  const stages = programmeOf(side);
  const zones = zonesOf(side);
  const draw = { diffusivity: SHIPPED.diffusivity.likely, mostLoss: SHIPPED.mostLoss.likely };
  const options = { nodes: 60, stepShare: 0.02, withSugar: true, outputs: [72 * 3600], layers: 0 };
  add(
    '12 zones x 60 nodes x 72 h, salt and sugar (median)',
    at(
      times(40, 15, () => void simulate(side, stages, zones, draw, options)),
      0.5
    ),
    25,
    'ms'
  );
  add(
    'the same with all its frames and what comes after (median)',
    at(
      times(40, 10, () => void cure(side)),
      0.5
    ),
    40,
    'ms'
  );
  add(
    'its band, 200 draws (median)',
    at(
      times(7, 2, () => void cureBand(side)),
      0.5
    ),
    1500,
    'ms'
  );
  const exact = uptakeConstantSurface((DIFFUSIVITY * SECONDS) / DEPTH ** 2);
  const cheapest = [0.16, 0.08, 0.04, 0.02, 0.01]
    .flatMap((share) =>
      [10, 15, 30, 60].map((nodes) => ({ nodes, share, off: Math.abs(slab(nodes, share) / exact - 1) }))
    )
    .filter(({ off }) => off < 0.005)
    .map((each) => ({
      ...each,
      took: at(
        times(200, 60, () => void slab(each.nodes, each.share)),
        0.5
      )
    }))
    .sort((a, b) => a.took - b.took)[0]!;
  const series = at(
    times(200, 60, () => void uptakeConstantSurface((DIFFUSIVITY * SECONDS) / DEPTH ** 2)),
    0.5
  );
  add(
    `a slab to 0.5 % (${cheapest.nodes} nodes, steps of ${cheapest.share * 100} %), times the closed series`,
    cheapest.took / series,
    5000,
    'x'
  );
  const outcomes = Array.from({ length: 40 }, (_, seq): CureOutcome => {
    const settings = { ...side, thicknessMm: 18 + (seq % 6) * 3, hours: 20 + (seq % 4) * 10 };
    const { grams } = predicted({ settings, salt: null }, { diffusivity: 5e-10, mostLoss: 0.22 });
    const percent = 2 + (seq % 3) / 2;
    return { seq, species: 'char', fat: 'mid', settings, gramsAfter: grams, salt: { where: 'mean', percent } };
  });
  add(
    'fitted to 40 finished cures, once for each new one (median)',
    at(
      times(5, 2, () => void learned(outcomes, 'char', 'mid')),
      0.5
    ),
    500,
    'ms'
  );
}

/** Acid: a course once for a shape and a liquid, and a size dragged over it. */
export function acidRows(add: Add, times: Times, at: At): void {
  const shape = { kind: 'brick', halves: [1, 1, 1] } as const;
  add(
    'acid into a die, three axes, 20 cells to the middle (median)',
    at(
      times(7, 2, () => void acidCourse({ shape, strength: 6.7, liquid: 0.8 })),
      0.5
    ),
    600,
    'ms'
  );
  const course = acidCourse({ shape, strength: 6.7, liquid: 0.8 });
  const dice: AcidSettings = {
    cut: 'dice',
    sizes: [12],
    faces: 2,
    grams: 400,
    celsius: 5,
    liquid: [{ what: 'sour', id: 'lime', ml: 320 }],
    measuredPH: null,
    dark: false,
    wanted: 'half',
    pace: 1
  };
  add(
    'another size over a course that is known (worst of 200)',
    at(
      times(200, 50, (index) => void acidPlan({ ...dice, sizes: [4 + (index % 40) / 2] }, 20, () => course)),
      1
    ),
    16,
    'ms'
  );
}
