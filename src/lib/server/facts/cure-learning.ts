import { learned, MOST_RUNS, type CureOutcome, type Fitted } from '../../core/bench/cure/learn.ts';
import { SHIPPED, type CureParameters } from '../../core/bench/cure/parameters.ts';
import { settingsOnRecord } from '../../core/bench/cure/settings.ts';
import type { Species } from '../../core/fish/species.ts';
import { cureNow, type CureRun } from '../../core/activity/cure/fold.ts';
import type { CureRow } from '../store/runs/cures.ts';
import type { Store } from '../store/store.ts';

/** Finished cures that are looked through for what they teach. */
const LOOKED_AT = 240;

/** A finished cure as the fit reads it; null where nothing can be computed again from it. */
export function outcomeOf(row: Pick<CureRow, 'seq' | 'species' | 'run'>): CureOutcome | null {
  const run = JSON.parse(row.run) as CureRun;
  const settings = settingsOnRecord(run.plan);
  const { ended } = run;
  if (!settings || !ended || ended.stages.length === 0) return null;
  return {
    seq: row.seq,
    species: row.species,
    fat: settings.fat,
    settings: { ...settings, stages: ended.stages, logged: ended.warmth },
    gramsAfter: ended.massAfter?.si ?? null,
    salt: ended.salt ? { where: ended.salt.where, percent: ended.salt.reading.si * 100 } : null
  };
}

interface Kept {
  readonly version: string;
  readonly outcomes: readonly CureOutcome[];
  readonly fits: Map<string, Fitted>;
}
const kept = new WeakMap<Store, Kept>();

function knowledge(store: Store): Kept {
  const version = store.projections.runs.cures.version();
  const known = kept.get(store);
  if (known?.version === version) return known;
  const outcomes = store.projections.runs.cures
    .newest(LOOKED_AT)
    .reverse()
    .flatMap((row) => outcomeOf(row) ?? []);
  const fresh: Kept = { version, outcomes, fits: new Map() };
  kept.set(store, fresh);
  return fresh;
}

/** What the house's finished cures teach of a species, whether or not it wants to use it. Fitted once for every new cure. */
export function fittedFor(store: Store, species: string, fat: Species['fat']): Fitted {
  const { outcomes, fits } = knowledge(store);
  const key = `${species} ${fat}`;
  const known = fits.get(key);
  if (known) return known;
  const fit = learned(outcomes, species, fat);
  fits.set(key, fit);
  return fit;
}

/** What a forecast leans on: learned, or as shipped where the house has switched learning off. */
export const parametersFor = (store: Store, species: string, fat: Species['fat']): CureParameters =>
  store.projections.currentHouse().learnsCures ? fittedFor(store, species, fat).parameters : SHIPPED;

export interface CurePoint {
  readonly seq: number;
  readonly piece: string;
  readonly species: string;
  readonly method: string;
  readonly ended: number;
  readonly what: 'loss' | 'salt';
  /** % of the raw weight lost, or % salt. */
  readonly measured: number;
  /** As it was forecast when it was begun or last changed, with its band. */
  readonly forecast: { readonly low: number; readonly likely: number; readonly high: number };
  readonly taste: number | null;
  readonly saltTaste: string;
}

/** Forecast against measurement of every finished cure, newest first. */
export function curePoints(store: Store): CurePoint[] {
  return store.projections.runs.cures.newest(LOOKED_AT).flatMap((row) => {
    const run = JSON.parse(row.run) as CureRun;
    const { ended, plan } = run;
    if (!ended) return [];
    const { forecast } = cureNow(run);
    const common = {
      seq: row.seq,
      piece: row.piece,
      species: row.species,
      method: plan.method,
      ended: row.ended,
      taste: ended.taste,
      saltTaste: ended.saltTaste
    };
    const lost = (grams: number) => 100 * (1 - grams / plan.grams);
    const { gramsAfter } = forecast;
    const out: CurePoint[] = [];
    if (ended.massAfter) {
      out.push({
        ...common,
        what: 'loss',
        measured: lost(ended.massAfter.si),
        forecast: { low: lost(gramsAfter.high), likely: lost(gramsAfter.likely), high: lost(gramsAfter.low) }
      });
    }
    if (ended.salt && ended.salt.where !== 'surface') {
      const asked = ended.salt.where === 'middle' ? forecast.middleSaltPercent : forecast.meanSaltPercent;
      out.push({ ...common, what: 'salt', measured: ended.salt.reading.si * 100, forecast: asked });
    }
    return out;
  });
}

/** Everything the page of what came out shows. */
export function learningView(store: Store) {
  const { outcomes } = knowledge(store);
  const kinds = new Map(outcomes.map(({ species, fat }) => [`${species} ${fat}`, { species, fat }]));
  return {
    on: store.projections.currentHouse().learnsCures,
    shipped: SHIPPED,
    points: curePoints(store),
    most: MOST_RUNS,
    fits: [...kinds.values()].map(({ species, fat }) => ({ species, fat, ...fittedFor(store, species, fat) }))
  };
}
