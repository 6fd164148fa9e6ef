import { z } from 'zod';
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
import { AIR_CLASS_IDS, LIE_IDS, PACKING_IDS, SHAPE_IDS } from '../../core/activity/freeze/bodies.ts';
import type { BodyOf } from '../../core/record/events.ts';
import type { FreezeRun } from '../../core/activity/freeze/fold.ts';
import type { HouseState } from '../../core/record/house.ts';
import type { LotState } from '../../core/record/lot.ts';
import type { PieceState } from '../../core/record/piece.ts';
import { judgeRun, wentInSolid, type RunContext } from '../../core/rules/freezer-run.ts';
import { foldLineage } from '../../core/rules/verdict.ts';
import type { FreezeCycle, RuleProfile } from '../../core/codes/profile.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import { pinsFor } from '../../core/rules/verdict.ts';
import { speciesIn } from '../../core/fish/house-species.ts';
import { draft, type Draft } from '../store/record.ts';
import type { Store } from '../store/store.ts';
import { sealed } from './cold.ts';
import {
  choice,
  list,
  neededText,
  optionalNumeric,
  pieceId,
  quantity,
  shortText,
  TEMPERATURE,
  THICKNESS,
  when
} from './fields.ts';
import { pieceForStep, ongoing } from './guard.ts';
import { operation } from './operation.ts';

const plan = {
  air: quantity('temperature', { min: -90, max: 0 }),
  airClass: z.enum(AIR_CLASS_IDS).default('still'),
  packing: z.enum(PACKING_IDS).default('film'),
  shape: z.enum(SHAPE_IDS).default('slab'),
  lie: choice(LIE_IDS, 'unknown').describe('each alone with air round it, or on each other in one block'),
  stack: optionalNumeric(2, 40).describe('how many lie on each other'),
  thickness: quantity('length', THICKNESS),
  startCore: quantity('temperature', { min: -1, max: 30 }),
  cycle: neededText(30)
};
export const freezePlan = z.object({
  ...plan,
  place: shortText(60),
  piece: pieceId.optional(),
  others: list(60)
});
type PlanInput = Omit<z.infer<typeof freezePlan>, 'piece' | 'others' | 'place' | 'lie' | 'stack'>;

/**
 * How many are reckoned to lie on each other. Several of which nobody said how they lie are one block: unknown is not apart.
 *
 * @throws EmberError `form.incomplete`
 */
export function stackOf({ lie, stack }: Pick<z.infer<typeof freezePlan>, 'lie' | 'stack'>, pieces: number): number {
  if (lie === 'apart') return 1;
  if (stack !== null) return Math.ceil(stack);
  if (lie === 'stacked' && pieces < 2) throw new EmberError('form.incomplete', { field: 'stack' });
  return Math.max(1, Math.min(pieces, 40));
}

const rulesOf = (house: HouseState) => profileById(house.profile, house.profiles);

/** Water of the flesh, by the fattiness of the species; the usual share where nobody knows the fish. */
export const waterOf = (lot: LotState | null, house: HouseState): number | undefined =>
  lot?.species.length === 1 ? WATER_SHARE[speciesIn(house.species, lot.species[0]!).fat] : undefined;

/** What goes into a freezer, as the models take it. */
export function freezerPlan(
  house: HouseState,
  input: PlanInput,
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
export function forecastFreeze(store: Store, house: HouseState, input: z.infer<typeof freezePlan>) {
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

export const startFreeze = operation({
  name: 'start-freeze',
  place: '/freeze',
  summary: 'Put pieces in a freezer together, with a forecast of when the core of the thickest arrives.',
  input: z.object({
    piece: pieceId,
    others: list(60).describe('more pieces that go in with it'),
    place: neededText(60),
    coreSensor: shortText(60).describe('sensor whose probe stands in the core of this load'),
    ...plan,
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, instant }, { piece, others, place: named, coreSensor, at: text, ...input }) {
    const ids = [...new Set([piece, ...others])];
    const found = ids.map((id) => pieceForStep(store, id, 'freeze'));
    const at = instant(text, 'at');
    const late = found.find(({ state }) => at < state.made.at);
    if (late) throw new EmberError('time.out-of-order', { field: 'at', seen: text });
    const known = Object.values(house.places).find(({ name }) => name.toLowerCase() === named.toLowerCase());
    const place = known?.name ?? named;
    if (coreSensor !== '' && house.sensors[coreSensor]?.probe !== 'core') {
      throw new EmberError('sensor.unknown', { field: 'coreSensor', seen: coreSensor });
    }
    const loadGrams = found.reduce((sum, { state }) => sum + state.grams, 0);
    const stack = stackOf(input, ids.length);
    const profile = rulesOf(house);
    const cycle = cycleOf(profile, input.cycle);
    const water = waterOf(found[0]!.lot, house);
    const { arrival } = forecast(freezerPlan(house, input, { place, loadGrams, water, stack }), targetOf(cycle));
    const body = {
      ...input,
      stack,
      place,
      coreSensor,
      coreArrival: arrival,
      loadGrams,
      pins: pinsFor(profile, house)
    };
    return {
      events: ids.map((id) => draft('freeze.started', `piece:${id}`, at, body)),
      result: { piece, pieces: ids, coreArrival: arrival }
    };
  }
});

export const readFreeze = operation({
  name: 'read-freeze',
  place: '/freeze',
  summary: 'Write down a reading of a freezer run: core or air.',
  input: z.object({
    piece: pieceId,
    reading: quantity('temperature', TEMPERATURE),
    probe: z.enum(['core', 'air']).default('core'),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, instant }, input) {
    const run = ongoing(pieceForStep(store, input.piece, 'freezer-run').state.freezes, 'freezer');
    const at = instant(input.at, 'at');
    if (at < run.at) throw new EmberError('time.out-of-order', { field: 'at', seen: input.at });
    return {
      events: [draft('freeze.read', `piece:${input.piece}`, at, { reading: input.reading, probe: input.probe })],
      result: { piece: input.piece }
    };
  }
});

export const replanFreeze = operation({
  name: 'replan-freeze',
  place: '/freeze',
  summary: 'Make the forecast anew with the air as it really is: from here its slow bound counts.',
  input: z.object({
    piece: pieceId,
    air: quantity('temperature', { min: -90, max: 0 }),
    cause: shortText(200),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, instant }, input) {
    const { state, lot } = pieceForStep(store, input.piece, 'freezer-run');
    const run = ongoing(state.freezes, 'freezer');
    const profile = rulesOf(house);
    const { thickness, startCore, airClass, packing, shape, place, loadGrams, stack } = run.plan;
    const going = freezerPlan(
      house,
      { thickness, startCore, airClass, packing, shape, air: input.air, cycle: run.plan.cycle },
      { place, loadGrams, stack, water: waterOf(lot, house) }
    );
    const { arrival } = forecast(going, targetOf(cycleOf(profile, run.plan.cycle)));
    return {
      events: [
        draft('freeze.replanned', `piece:${state.id}`, instant(input.at, 'at'), {
          air: input.air,
          coreArrival: arrival,
          cause: input.cause,
          pins: pinsFor(profile, house)
        })
      ],
      result: { piece: state.id, coreArrival: arrival }
    };
  }
});

/** What a run of a piece is judged in; of a batch with several ways back, by the one on which it was solid before. */
export function runContext(store: Store, house: HouseState, piece: string, run: FreezeRun, at: number): RunContext {
  const ways = store.projections.lineages(piece).map((lineage) => foldLineage(lineage, at, Infinity));
  const way = ways.find((each) => wentInSolid(each, run)) ?? ways[0]!;
  return { profile: rulesOf(house), house, logs: store.projections.logs.book(at, Infinity), at, ...way };
}

/** What the readings prove at a moment, as the record of the release keeps it. */
export function releaseOf(
  store: Store,
  house: HouseState,
  piece: string,
  run: FreezeRun,
  at: number
): BodyOf<'freeze.ended'>['release'] {
  const context = runContext(store, house, piece, run, at);
  const { logs } = context;
  const results = judgeRun(context, run);
  const best =
    results.find(({ satisfiedAt, cycle }) => satisfiedAt !== null && cycle.id === run.plan.cycle) ??
    results.find(({ satisfiedAt }) => satisfiedAt !== null) ??
    results.find(({ cycle }) => cycle.id === run.plan.cycle);
  if (!best) return null;
  const log = logs.run(run.plan.place, run.plan.coreSensor, run.at, at);
  return {
    cycle: best.cycle.id,
    clock: best.clock,
    accuracy: best.accuracy,
    satisfiedAt: best.satisfiedAt,
    heldSeconds: best.heldSeconds,
    gaps: best.gaps.length,
    excursions: best.excursions.length,
    sensors: log
      ? [
          { sensor: run.plan.place, readings: log.air.length },
          ...(run.plan.coreSensor === '' ? [] : [{ sensor: run.plan.coreSensor, readings: log.core.length }])
        ]
      : []
  };
}

/** The entries with which a piece comes out of its freezer; what loggers said is sealed first. */
export function outOfFreezer(
  store: Store,
  house: HouseState,
  state: PieceState,
  { at, now, note, place, text }: { at: number; now: number; note: string; place: string; text: string | undefined }
): Draft[] {
  const run = ongoing(state.freezes, 'freezer');
  if (at < (run.readings.at(-1)?.at ?? run.at)) throw new EmberError('time.out-of-order', { field: 'at', seen: text });
  const sensors = store.projections.logs.sensorsAt(run.plan.place).map(({ id }) => id);
  if (run.plan.coreSensor !== '') sensors.push(run.plan.coreSensor);
  const seals = sealed(store, sensors, house, now);
  const release = releaseOf(store, house, state.id, run, at);
  return [...seals, draft('freeze.ended', `piece:${state.id}`, at, { note, place, release })];
}

export const endFreeze = operation({
  name: 'end-freeze',
  place: '/freeze',
  summary: 'Take a piece out of the freezer. What its readings prove is written down with it.',
  input: z.object({ piece: pieceId, note: shortText(300), place: shortText(60), at: when }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, now, instant }, input) {
    const { state } = pieceForStep(store, input.piece, 'freezer-run');
    const at = instant(input.at, 'at');
    const events = outOfFreezer(store, house, state, { at, now, note: input.note, place: input.place, text: input.at });
    const last = events.at(-1)!.body as BodyOf<'freeze.ended'>;
    return { events, result: { piece: input.piece, release: last.release } };
  }
});
