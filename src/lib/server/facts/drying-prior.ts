import { scaleIntervalOf } from '../../core/bench/breakdown/mass.ts';
import { DAY } from '../../core/measure/spans.ts';
import { housePrior, taughtBy, type DriedFish, type DryingPrior, type Hanging } from '../../core/bench/age/fit.ts';
import type { AgeRun } from '../../core/activity/age/fold.ts';
import type { Store } from '../store/store.ts';

/** Finished hangings that are looked through for what they teach. */
const LOOKED_AT = 60;

export const hangingOf = ({
  plan
}: {
  readonly plan: Pick<AgeRun['plan'], 'kind' | 'mass' | 'celsius' | 'humidity'>;
}): Hanging => ({
  kind: plan.kind,
  grams: plan.mass.si,
  celsius: plan.celsius.si,
  humidity: plan.humidity?.si ?? null
});
/** Its weights, the start first, by days on the rack. */
export const weightsOf = (run: AgeRun) => [
  { day: 0, grams: run.plan.mass.si },
  ...run.weighIns.map(({ at, mass }) => ({ day: Math.max(0, (at - run.at) / DAY), grams: mass.si }))
];

const kept = new WeakMap<Store, { readonly version: string; readonly fish: readonly DriedFish[] }>();
/** What finished fish of the house taught; fitted once for every new one. */
export function driedFish(store: Store): readonly DriedFish[] {
  const interval = scaleIntervalOf(store.projections.currentHouse());
  const version = `${store.projections.runs.agings.version()} ${interval}`;
  const known = kept.get(store);
  if (known?.version === version) return known.fish;
  const fish = store.projections.runs.agings.newest(LOOKED_AT).flatMap(({ run: text }) => {
    const run = JSON.parse(text) as AgeRun;
    return taughtBy(hangingOf(run), weightsOf(run), interval) ?? [];
  });
  kept.set(store, { version, fish });
  return fish;
}

/** What is believed of a fish that is hung now. */
export const priorFor = (store: Store, hanging: Hanging): DryingPrior => housePrior(hanging, driedFish(store));
