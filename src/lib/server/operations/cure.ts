import { z } from 'zod';
import { listedAs } from '../../core/activity/cold/places.ts';
import { EmberError } from '../../core/errors.ts';
import { changed, executed, programmeSeconds, stageAt, type CureChange } from '../../core/bench/cure/changes.ts';
import { stepsOf } from '../../core/bench/cure/steps.ts';
import { CURE_CHANGES, SALT_TASTES } from '../../core/activity/cure/bodies.ts';
import { curePlan, cureSet } from '../../core/activity/cure/plan.ts';
import { cureSettings } from '../../core/bench/cure/settings.ts';
import { pick } from '../../core/fields/field.ts';
import { cureNow } from '../../core/activity/cure/fold.ts';
import { type HouseState } from '../../core/record/house.ts';
import { METER_PLACES } from '../../core/bench/cure/learn.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import { versionsFor } from '../../core/rules/verdict.ts';
import { saidInstant } from '../../core/measure/day.ts';
import { cureSubject, forecastBody, runningSettings, warmthOf } from '../plans/cure.ts';
import { pageOf } from '../facts/book.ts';
import { toldBody } from '../facts/declarations.ts';
import { toldOfCure } from '../facts/told.ts';
import { draft } from '../store/record.ts';
import {
  list,
  neededText,
  optionalNumeric,
  optionalQuantity,
  pieceId,
  shortText,
  when
} from '../../core/fields/field.ts';
import { pieceForStep, ongoing } from './guard.ts';
import { operation, type OperationContext } from './operation.ts';
import { longer, ownThickness, squareOf, together } from './together.ts';
import type { Store } from '../store/store.ts';
import { notNow } from './not-now.ts';

const pins = (house: HouseState) => versionsFor(profileById(house.profile, house.profiles), house);
const placeNamed = (house: HouseState, named: string) => listedAs(house, named)?.name ?? named;

/** One piece into its cure: what it is told, and what it comes to. */
function oneCure(
  { store, house }: Pick<OperationContext, 'store' | 'house'>,
  input: z.output<typeof curePlan>,
  at: number,
  text: string | undefined
) {
  const { state } = pieceForStep(store, input.piece, 'cure');
  if (at < state.made.at) throw new EmberError('time.out-of-order', { field: 'at', seen: text });
  const subject = cureSubject(store, input.piece);
  const { profile } = subject;
  const set = pick(input, cureSet);
  const settings = cureSettings(set, subject);
  const { result, forecast } = forecastBody(settings, at);
  const { turned, pressed, pack } = input;
  const recipe = input.recipe === '' ? null : pageOf(house, 'recipe', input.recipe);
  const choices = { method: settings.method, turned, drains: settings.drains === true };
  const dueAt = at + programmeSeconds(result.stages) * 1000;
  return {
    result,
    dueAt,
    event: draft('cure.started', `piece:${input.piece}`, at, {
      method: settings.method,
      grams: settings.grams,
      thickness: input.thickness,
      faces: settings.faces,
      celsius: settings.celsius,
      saltGrams: result.saltGrams,
      sugarGrams: result.sugarGrams,
      hours: settings.hours,
      target: settings.target,
      forecast,
      dueAt,
      set,
      subject: { ...subject, profile: profile && { ...profile, points: [...profile.points] } },
      stages: [...result.stages],
      steps: stepsOf(result.stages, choices),
      place: placeNamed(house, input.place),
      pack,
      turned,
      pressed,
      recipe: recipe ? { id: recipe.id, name: recipe.name, version: recipe.version } : null,
      ...toldBody(toldOfCure(house, recipe, settings.method, input.also, at)),
      readyBy: input.readyBy ? saidInstant(input.readyBy, house.zone, 'readyBy') : null,
      pins: pins(house)
    })
  };
}

/** A piece that goes in with another: its own thickness, and the time that takes. Its thin end is that of its own record. */
function withIt(store: Store, input: z.output<typeof curePlan>, piece: string): z.output<typeof curePlan> {
  if (piece === input.piece) return input;
  const thickness = ownThickness(store, piece);
  const times = squareOf(thickness, input.thickness);
  return {
    ...input,
    piece,
    thickness,
    thin: null,
    hours: longer(input.hours, times),
    rest: input.rest && longer(input.rest, times)
  };
}

export const startCure = operation({
  name: 'start-cure',
  page: '/cure',
  summary:
    'Start a cure of any school, of one piece or of several; grams, steps and forecast of each are computed again here.',
  input: curePlan.extend({ others: list(30).describe('more pieces that go in with it'), at: when }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, instant }, { at: text, others, ...input }) {
    const at = instant(text, 'at');
    const made = together(input.piece, others).map((id) =>
      oneCure({ store, house }, withIt(store, input, id), at, text)
    );
    const [first] = made;
    return {
      events: made.map(({ event }) => event),
      result: {
        piece: input.piece,
        pieces: together(input.piece, others),
        saltGrams: first!.result.saltGrams,
        sugarGrams: first!.result.sugarGrams,
        dueAt: first!.dueAt,
        finishes: made.map(({ dueAt }) => dueAt)
      }
    };
  }
});

const changeFrom = (kind: CureChange['kind'], hours: number | null): CureChange => {
  if (kind !== 'left') return { kind };
  if (hours === null) throw new EmberError('form.incomplete', { field: 'hours' });
  return { kind, hours };
};

export const changeCure = operation({
  name: 'change-cure',
  page: '/cure',
  summary: 'Pause a running cure, go on with it, or give it more or less time from now; it is forecast again.',
  input: z.object({
    piece: pieceId,
    change: z.enum(CURE_CHANGES).describe('pause, resume, or left: so much longer from now'),
    hours: optionalQuantity('duration', { min: 0, max: 240 * 3600 }),
    note: shortText(200),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, now, instant }, input) {
    const { state } = pieceForStep(store, input.piece, 'cure-run');
    const run = ongoing(state.cures, 'cure');
    const at = instant(input.at, 'at');
    const last = run.changes.at(-1)?.at ?? run.at;
    if (at < last) throw new EmberError('time.out-of-order', { field: 'at', seen: input.at });
    const { stages: before } = cureNow(run);
    const hours = input.hours ? input.hours.si / 3600 : null;
    const stages = changed(before, (at - run.at) / 1000, changeFrom(input.change, hours));
    const settings = runningSettings(store, run, stages, now);
    if (!settings) throw notNow('piece', 'old-cure');
    const { forecast } = forecastBody(settings, run.at);
    const choices = { method: settings.method, turned: run.plan.turned, drains: settings.drains === true };
    const dueAt = run.at + programmeSeconds(stages) * 1000;
    return {
      events: [
        draft('cure.changed', `piece:${input.piece}`, at, {
          change: input.change,
          hours,
          stages,
          steps: stepsOf(stages, choices),
          forecast,
          dueAt,
          note: input.note,
          pins: pins(house)
        })
      ],
      result: { piece: input.piece, dueAt }
    };
  }
});

export const stepCure = operation({
  name: 'step-cure',
  page: '/cure',
  summary: 'Say that a step of a running cure was done.',
  input: z.object({ piece: pieceId, step: neededText(60), note: shortText(200), at: when }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, instant }, input) {
    const { state } = pieceForStep(store, input.piece, 'cure-run');
    const run = ongoing(state.cures, 'cure');
    const at = instant(input.at, 'at');
    if (at < run.at) throw new EmberError('time.out-of-order', { field: 'at', seen: input.at });
    const step = cureNow(run).steps.find(({ id }) => id === input.step);
    if (!step) throw new EmberError('record.not-found', { field: 'step', seen: input.step });
    if (run.done.some((each) => each.step === step.id)) {
      throw notNow('step', 'step-done');
    }
    return {
      events: [draft('cure.stepped', `piece:${input.piece}`, at, { step: step.id, code: step.code, note: input.note })],
      result: { piece: input.piece, step: step.id }
    };
  }
});

/** A cure draws water, and desalting lets it drink; a piece that doubled was weighed with its tray. */
const MOST_GAIN = 1.5;
/** No cure here takes half of a fish: a figure below that is a slip, and would teach the next forecast nonsense. */
const LEAST_LEFT = 0.5;

export const endCure = operation({
  name: 'end-cure',
  page: '/cure',
  summary: 'Take a piece out of its cure, weighed and tasted if possible; what it came to teaches the next forecast.',
  input: z.object({
    piece: pieceId,
    massAfter: optionalQuantity('mass', { min: 1, max: 500_000 }),
    taste: optionalNumeric(1, 5).describe('how good it was, 1 to 5'),
    saltTaste: z.enum(SALT_TASTES).default('unknown'),
    saltReading: optionalQuantity('concentration', { min: 0.0005, max: 0.27 }).describe('of a salt meter, by weight'),
    saltWhere: z.enum(METER_PLACES).default('mean'),
    place: shortText(60).describe('where it goes'),
    note: shortText(300),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, instant }, input) {
    const { state } = pieceForStep(store, input.piece, 'end-cure');
    const run = ongoing(state.cures, 'cure');
    const at = instant(input.at, 'at');
    const last = run.changes.at(-1)?.at ?? run.at;
    if (at < last) throw new EmberError('time.out-of-order', { field: 'at', seen: input.at });
    const { grams } = run.plan;
    if (input.massAfter && (input.massAfter.si > grams * MOST_GAIN || input.massAfter.si < grams * LEAST_LEFT)) {
      throw new EmberError('quantity.out-of-range', {
        field: 'massAfter',
        unit: 'g',
        min: Math.round(grams * LEAST_LEFT),
        max: Math.round(grams * MOST_GAIN),
        seen: input.massAfter.typed
      });
    }
    const { stages } = cureNow(run);
    return {
      events: [
        draft('cure.ended', `piece:${input.piece}`, at, {
          massAfter: input.massAfter,
          note: input.note,
          taste: input.taste === null ? null : Math.round(input.taste),
          saltTaste: input.saltTaste,
          salt: input.saltReading ? { reading: input.saltReading, where: input.saltWhere } : null,
          place: placeNamed(house, input.place),
          stages: stages.length > 0 ? executed(stages, (at - run.at) / 1000) : [],
          warmth: warmthOf(store, run.plan.place, run.at, at)
        })
      ],
      result: { piece: input.piece, stage: stageAt(stages, (at - run.at) / 1000)?.stage.id ?? null }
    };
  }
});
