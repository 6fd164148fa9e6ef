import { z } from 'zod';
import { listedAs } from '../../core/activity/cold/places.ts';
import { EmberError } from '../../core/errors.ts';
import { forecast, targetOf } from '../../core/bench/freeze/forecast.ts';
import type { BodyOf } from '../../core/record/events.ts';
import type { FreezeRun } from '../../core/activity/freeze/fold.ts';
import type { HouseState } from '../../core/record/house.ts';
import type { PieceState } from '../../core/record/piece.ts';
import { judgeRun } from '../../core/rules/freezer-run.ts';
import { versionsFor } from '../../core/rules/verdict.ts';
import { draft, type Draft } from '../store/record.ts';
import type { Store } from '../store/store.ts';
import { sealed } from './cold.ts';
import { pieceId, quantity, shortText, TEMPERATURE, when } from '../../core/fields/field.ts';
import { pieceForStep, ongoing } from './guard.ts';
import { operation } from './operation.ts';
import { cycleOf, freezerPlan, runContext, stackOf, waterOf, rulesOf } from '../plans/freeze.ts';
import { freezePlan, freezeSet } from '../../core/activity/freeze/plan.ts';

export const startFreeze = operation({
  name: 'start-freeze',
  page: '/freeze',
  summary: 'Put pieces in a freezer together, with a forecast of when the core of the thickest arrives.',
  input: freezePlan.extend({ at: when }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, instant }, { piece, others, at: text, ...input }) {
    const { place: named, coreSensor } = input;
    const ids = [...new Set([piece, ...others])];
    const found = ids.map((id) => pieceForStep(store, id, 'freeze'));
    const at = instant(text, 'at');
    const late = found.find(({ state }) => at < state.made.at);
    if (late) throw new EmberError('time.out-of-order', { field: 'at', seen: text });
    const known = listedAs(house, named);
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
      coreArrival: arrival,
      loadGrams,
      pins: versionsFor(profile, house)
    };
    return {
      events: ids.map((id) => draft('freeze.started', `piece:${id}`, at, body)),
      result: { piece, pieces: ids, coreArrival: arrival }
    };
  }
});

export const readFreeze = operation({
  name: 'read-freeze',
  page: '/freeze',
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
  page: '/freeze',
  summary: 'Forecast again with the air as it really is: from here its slow bound counts.',
  input: z.object({
    piece: pieceId,
    air: freezeSet.air,
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
      { thickness, startCore, airClass, packing, shape, air: input.air },
      { place, loadGrams, stack, water: waterOf(lot, house) }
    );
    const { arrival } = forecast(going, targetOf(cycleOf(profile, run.plan.cycle)));
    return {
      events: [
        draft('freeze.replanned', `piece:${state.id}`, instant(input.at, 'at'), {
          air: input.air,
          coreArrival: arrival,
          cause: input.cause,
          pins: versionsFor(profile, house)
        })
      ],
      result: { piece: state.id, coreArrival: arrival }
    };
  }
});

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
  page: '/freeze',
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
