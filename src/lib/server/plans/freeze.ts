import type { z } from 'zod';
import type { FreezeSet, freezePreview } from '../../core/activity/freeze/plan.ts';
import { EmberError } from '../../core/errors.ts';
import {
  cycleChances,
  forecast,
  targetOf,
  thicknessWithin,
  type FreezerPlan
} from '../../core/bench/freeze/forecast.ts';
import { blockOf } from '../../core/bench/freeze/pham.ts';
import { WATER_SHARE } from '../../core/bench/cure/parameters.ts';
import type { FreezeRun } from '../../core/activity/freeze/fold.ts';
import type { HouseState } from '../../core/record/house.ts';
import type { LotState } from '../../core/record/lot.ts';
import { wentInSolid, type RunContext } from '../../core/rules/freezer-run.ts';
import { foldLineage } from '../../core/rules/verdict.ts';
import type { FreezeCycle, RuleProfile } from '../../core/codes/profile.ts';
import { speciesIn } from '../../core/fish/house-species.ts';
import type { Store } from '../store/store.ts';
import { profileById } from '../../core/codes/profiles/index.ts';

export const rulesOf = (house: HouseState) => profileById(house.profile, house.profiles);

/**
 * How many are reckoned to lie on each other. Several of which nobody said how they lie are one block: unknown is not apart.
 *
 * @throws EmberError `form.incomplete`
 */
export function stackOf({ lie, stack }: Pick<FreezeSet, 'lie' | 'stack'>, pieces: number): number {
  if (lie === 'apart') return 1;
  if (stack !== null) return Math.ceil(stack);
  if (lie === 'stacked' && pieces < 2) throw new EmberError('form.incomplete', { field: 'stack' });
  return Math.max(1, Math.min(pieces, 40));
}

/** Water of the flesh, by the fattiness of the species; the usual share where nobody knows the fish. */
export const waterOf = (lot: LotState | null, house: HouseState): number | undefined =>
  lot?.species.length === 1 ? WATER_SHARE[speciesIn(house.species, lot.species[0]!).fat] : undefined;

/** What goes into a freezer, as the models take it. */
export function freezerPlan(
  house: HouseState,
  input: Pick<FreezeSet, 'thickness' | 'shape' | 'startCore' | 'air' | 'airClass' | 'packing'>,
  more: { place: string; loadGrams: number | null; water?: number; stack: number }
): FreezerPlan {
  const place = Object.values(house.places).find(({ name }) => name === more.place);
  return {
    thicknessMm: input.thickness.si,
    shape: input.shape,
    startCelsius: input.startCore.si,
    airCelsius: input.air.si,
    airClass: input.airClass,
    packing: input.packing,
    loadGrams: more.loadGrams,
    stack: more.stack,
    litres: place?.litres ?? null,
    watts: place?.watts ?? null,
    water: more.water
  };
}

export function cycleOf(profile: RuleProfile, id: string): FreezeCycle {
  const cycle = profile.parasites.cycles.find((each) => each.id === id);
  if (!cycle) throw new EmberError('form.value-unknown', { field: 'cycle', seen: id });
  return cycle;
}

/** The forecast of a freezer run: when the core is there, what every cycle would make of it, and what else could do it. */
export function forecastFreeze(store: Store, house: HouseState, input: z.output<typeof freezePreview>) {
  const profile = rulesOf(house);
  const cycle = cycleOf(profile, input.cycle);
  const target = targetOf(cycle);
  const found = [input.piece, ...input.others].flatMap((id) => (id ? [store.projections.piece(id)] : []));
  const loadGrams = found.length > 0 ? found.reduce((sum, { state }) => sum + state.grams, 0) : null;
  const going = freezerPlan(house, input, {
    place: input.place,
    loadGrams,
    stack: stackOf(input, found.length),
    water: waterOf(found[0]?.lot ?? null, house)
  });
  const made = forecast(going, target);
  const places = Object.values(house.places).filter(
    ({ kind, setPoint, name }) => (kind === 'freezer' || kind === 'blast') && setPoint && name !== input.place
  );
  return {
    cycle,
    target,
    arrival: made.arrival,
    pham: made.pham,
    simulated: made.simulated,
    load: made.load,
    points: thinned(made.run.points),
    pictures: made.run.pictures,
    ...blockOf(going),
    stack: going.stack ?? 1,
    chances: cycleChances(going, profile.parasites.cycles),
    /** Other freezers of the house, with what each cycle would make of the same load there. */
    elsewhere: places.map((place) => {
      const there = { ...going, airCelsius: place.setPoint!.si, airClass: place.airClass };
      return { place: place.name, air: place.setPoint!.si, chances: cycleChances(there, profile.parasites.cycles) };
    }),
    /** What would do it in this one: thinner fish, for a core that arrives within a working day. */
    thinner: thicknessWithin(going, target, 8 * 3600)
  };
}

/** A curve for a chart: no more points than pixels. */
export function thinned<Point>(points: readonly Point[], most = 160): Point[] {
  if (points.length <= most) return [...points];
  const step = (points.length - 1) / (most - 1);
  return Array.from({ length: most }, (_, index) => points[Math.round(index * step)]!);
}

/** What a run of a piece is judged in; of a batch with several ways back, by the one on which it was solid before. */
export function runContext(store: Store, house: HouseState, piece: string, run: FreezeRun, at: number): RunContext {
  const ways = store.projections.lineages(piece).map((lineage) => foldLineage(lineage, at, Infinity));
  const way = ways.find((each) => wentInSolid(each, run)) ?? ways[0]!;
  return { profile: rulesOf(house), house, logs: store.projections.logs.book(at, Infinity), at, ...way };
}
