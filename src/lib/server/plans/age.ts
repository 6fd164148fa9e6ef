import type { Band } from '../../core/random.ts';
import type { z } from 'zod';
import type { agePreview, AgeSet } from '../../core/activity/age/plan.ts';
import { lossWanted } from '../../core/activity/age/plan.ts';
import { ageForecast, fitOf, lossBand, type AgeForecast } from '../../core/bench/age/forecast.ts';
import type { DryingPrior } from '../../core/bench/age/fit.ts';
import { HISTAMINE_AGEING } from '../../core/bench/age/parameters.ts';
import { scaleIntervalOf } from '../../core/bench/breakdown/mass.ts';
import { speciesIn } from '../../core/fish/house-species.ts';
import { hangingOf, priorFor } from '../facts/drying-prior.ts';
import type { Store } from '../store/store.ts';

const WHOLE: ReadonlySet<string> = new Set(['whole', 'gutted']);
/** Whole fish and fillets have rules of their own: what it is was said when it was made. */
export const hungAs = (form: string): 'whole' | 'fillet' => (WHOLE.has(form) ? 'whole' : 'fillet');

/** What is believed of a piece on the day it is hung. */
export function hangingForecast(
  store: Store,
  set: Pick<AgeSet, 'mass' | 'celsius' | 'humidity' | 'target'>,
  kind: 'whole' | 'fillet'
): { readonly prior: DryingPrior; readonly forecast: AgeForecast; readonly lossAt: (day: number) => Band } {
  const prior = priorFor(store, hangingOf({ plan: { ...set, kind } }));
  const interval = scaleIntervalOf(store.projections.currentHouse());
  const start = [{ day: 0, grams: set.mass.si }];
  const fitted = fitOf(start, prior, interval);
  return {
    prior,
    forecast: ageForecast(start, prior, lossWanted(set), 0, interval, fitted),
    lossAt: (day) => lossBand(fitted.fit, set.mass.si, day)
  };
}

/** A hanging in one line: when it has lost what is wanted, and where its longest days are over first, what it will have lost by then. */
export interface HangingAnswer {
  readonly wanted: number;
  /** Days; null: in such air it never gets there. */
  readonly ready: Band | null;
  /** Days it may hang at most, by the house and by its kind. */
  readonly days: number;
  readonly inTime: boolean;
  /** Share lost when those are over. */
  readonly lossByThen: Band;
}

/**
 * @param input a piece and how it would be hung
 * @throws EmberError as the piece is not there
 */
export function hangingAnswer(store: Store, input: z.output<typeof agePreview>): HangingAnswer {
  const { state, lot } = store.projections.piece(input.piece);
  const house = store.projections.currentHouse();
  const kind = hungAs(state.made.form);
  const { forecast, lossAt } = hangingForecast(store, input, kind);
  // A test on file is weighed by the verdict: here the fewer days are planned with while nobody has filed one.
  const isHistamine =
    lot.species.some((id) => speciesIn(house.species, id).hazards.includes('histamine')) &&
    !lot.evidence.some(({ type }) => type === 'histamine-test');
  const most = kind === 'whole' ? house.ageing.wholeDays : house.ageing.filletDays;
  const days = isHistamine ? Math.min(most, HISTAMINE_AGEING.days) : most;
  const ready = forecast.targetDay;
  return {
    wanted: lossWanted(input),
    ready,
    days,
    inTime: ready !== null && ready.likely <= days,
    lossByThen: lossAt(days)
  };
}
