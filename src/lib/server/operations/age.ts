import { scaleIntervalOf } from '../../core/bench/breakdown/mass.ts';
import { DAY } from '../../core/measure/spans.ts';
import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { canFollow, sortWeights } from '../../core/bench/age/fit.ts';
import { ageForecast } from '../../core/bench/age/forecast.ts';
import { looked } from '../../core/bench/age/looks.ts';
import { LOOKS, AGEING_RULES } from '../../core/activity/age/lists.ts';
import { AGEING_NUMBERS } from '../../core/bench/age/parameters.ts';
import { AGE_ENDS } from '../../core/activity/age/bodies.ts';
import { running } from '../../core/record/occupation.ts';
import { type AgeRun } from '../../core/activity/age/fold.ts';
import { type PieceState } from '../../core/record/piece.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import { versionsFor } from '../../core/rules/verdict.ts';
import { weightsOf } from '../facts/drying-prior.ts';
import { hangingForecast, hungAs } from '../plans/age.ts';
import { draft } from '../store/record.ts';
import type { Store } from '../store/store.ts';
import {
  choice,
  neededText,
  numeric,
  optionalQuantity,
  pieceId,
  quantity,
  shortText,
  ticked,
  when,
  pick
} from '../../core/fields/field.ts';
import type { Typed } from '../../core/measure/parse.ts';
import { after, ongoing, pieceForStep } from './guard.ts';
import { operation } from './operation.ts';
import { AGED_MASS, agePlan, ageSet, lossWanted } from '../../core/activity/age/plan.ts';
import { notNow } from './not-now.ts';

/** Whoever else hangs on a spot; null for nobody. */
export function hangsAt(store: Store, place: string, spot: string, but: string): string | null {
  if (spot === '') return null;
  const there = store.projections.livePieces().find(({ state }) => {
    const run = running(state.ages);
    return run && state.id !== but && run.place === place && run.spot === spot;
  });
  return there?.state.made.name ?? null;
}
function freeSpot(store: Store, place: string, spot: string, but: string): void {
  const seen = hangsAt(store, place, spot, but);
  if (seen) throw new EmberError('age.spot-taken', { field: 'spot', seen });
}

/** Two scales, and what dripped on the way: more than this share is not lost without a word. */
const MOST_UNSAID = 0.05;

/**
 * What a piece lost between its last weight and the rack, as an entry of its own; null where that is no more than scales and drip.
 *
 * @throws EmberError `record.mass-gone` where more is missing and nobody says where it went
 */
function goneSince({ grams }: PieceState, { mass, lost }: { readonly mass: Typed; readonly lost: string }) {
  if (mass.si >= grams * (1 - MOST_UNSAID)) return null;
  if (lost.length < 3) {
    throw new EmberError('record.mass-gone', { field: 'lost', unit: 'g', max: grams, seen: mass.si });
  }
  return { mass, before: grams, cause: 'other', note: lost } as const;
}

export const startAge = operation({
  name: 'start-age',
  page: '/age',
  summary: 'Hang a piece to age: what was done to it before, its start weight, and what it is to lose.',
  input: agePlan.extend({
    lost: shortText(120).describe('where the rest went, where it weighs less than is on record'),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, instant }, input) {
    const { state } = pieceForStep(store, input.piece, 'hang');
    if (state.made.form === 'live' || state.holds.length > 0) {
      throw state.holds.length > 0
        ? notNow('piece', 'hindered', { hindrance: { kind: 'in', occupant: 'tray' } })
        : notNow('piece', 'alive');
    }
    const at = after(state, instant(input.at, 'at'), input.at);
    // Two scales may differ; what weighs much more than is on record is another fish.
    if (input.mass.si > state.grams * 1.05) {
      throw new EmberError('record.mass-exceeded', {
        field: 'mass',
        unit: 'g',
        max: state.grams,
        seen: input.mass.typed
      });
    }
    const gone = goneSince(state, input);
    freeSpot(store, input.place, input.spot, input.piece);
    const set = pick(input, ageSet);
    const kind = hungAs(state.made.form);
    const { prior, forecast } = hangingForecast(store, set, kind);
    return {
      events: [
        ...(gone ? [draft('piece.reweighed', `piece:${input.piece}`, at, gone)] : []),
        draft('age.started', `piece:${input.piece}`, at, {
          ...set,
          kind,
          prior,
          ready: forecast.targetDay,
          pins: versionsFor(profileById(house.profile, house.profiles), house)
        })
      ],
      result: { piece: input.piece, readyDays: forecast.targetDay?.likely ?? null }
    };
  }
});

function onRack(state: PieceState): AgeRun {
  return ongoing(state.ages, 'rack');
}
const lastOf = (run: AgeRun) => Math.max(run.at, run.weighIns.at(-1)?.at ?? run.at, run.looks.at(-1)?.at ?? run.at);
function inOrder(run: AgeRun, at: number, text: string | undefined): number {
  if (at < lastOf(run)) throw new EmberError('time.out-of-order', { field: 'at', seen: text ?? 'now' });
  return at;
}

export const weighAged = operation({
  name: 'weigh-aged',
  page: '/age',
  summary: 'Weigh a piece on the rack: when it is ready is forecast anew from its own weights.',
  input: z.object({
    piece: pieceId,
    mass: quantity('mass', AGED_MASS),
    sure: ticked.describe('it really weighs that, though it does not go with its other weights'),
    note: shortText(200),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, instant }, { piece, mass, sure, note, at: text }) {
    const run = onRack(pieceForStep(store, piece, 'rack-run').state);
    const at = inOrder(run, instant(text, 'at'), text);
    const interval = scaleIntervalOf(store.projections.currentHouse());
    const earlier = weightsOf(run);
    const now = { day: (at - run.at) / DAY, grams: mass.si };
    const before = sortWeights(earlier, interval).used.at(-1)!;
    const follows = canFollow(before, now, interval);
    if (follows !== 'yes' && !sure) {
      throw new EmberError(follows === 'up' ? 'age.weight-up' : 'age.weight-drop', {
        field: 'mass',
        unit: 'g',
        seen: mass.typed,
        before: Math.round(before.grams * 10) / 10
      });
    }
    const forecast = ageForecast([...earlier, now], run.plan.prior, lossWanted(run.plan), now.day, interval);
    return {
      events: [
        draft('age.weighed', `piece:${piece}`, at, {
          mass,
          sure: sure && follows !== 'yes',
          ready: forecast.targetDay,
          note
        })
      ],
      result: { piece, loss: forecast.loss.likely, readyDays: forecast.targetDay?.likely ?? null }
    };
  }
});

export const lookAged = operation({
  name: 'look-aged',
  page: '/age',
  summary: 'The daily look at a piece on the rack: skin, eye, smell, slime, flesh. Some answers take it off.',
  input: z.object({
    piece: pieceId,
    skin: z.enum(LOOKS.skin),
    eye: z.enum(LOOKS.eye),
    smell: z.enum(LOOKS.smell),
    slime: z.enum(LOOKS.slime),
    firmness: z.enum(LOOKS.firmness),
    note: shortText(300),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, instant }, { piece, note, at: text, ...answers }) {
    const run = onRack(pieceForStep(store, piece, 'rack-run').state);
    const at = inOrder(run, instant(text, 'at'), text);
    const { stops, again } = looked(answers);
    return {
      events: [
        draft('age.looked', `piece:${piece}`, at, {
          answers,
          stops: stops.map(({ field, answer, routes }) => ({ field, answer, routes: [...routes] })),
          note
        })
      ],
      result: { piece, stops: stops.map(({ field }) => field), again }
    };
  }
});

export const moveAged = operation({
  name: 'move-aged',
  page: '/age',
  summary: 'Hang a piece on another hook or shelf place.',
  input: z.object({ piece: pieceId, place: neededText(60), spot: shortText(12), at: when }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, instant }, { piece, place, spot, at: text }) {
    const run = onRack(pieceForStep(store, piece, 'rack-run').state);
    const at = instant(text, 'at');
    if (at < run.at) throw new EmberError('time.out-of-order', { field: 'at', seen: text ?? 'now' });
    freeSpot(store, place, spot, piece);
    return {
      events: [draft('age.moved', `piece:${piece}`, at, { place, spot })],
      result: { piece, place, spot }
    };
  }
});

export const endAge = operation({
  name: 'end-age',
  page: '/age',
  summary: 'Take a piece out of the rack: for a service, or because something stopped it.',
  input: z.object({
    piece: pieceId,
    how: choice(AGE_ENDS, 'pulled'),
    massAfter: optionalQuantity('mass', AGED_MASS),
    sure: ticked,
    place: shortText(60).describe('where it is kept'),
    service: shortText(60),
    note: shortText(300),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, instant }, { piece, how, massAfter, sure, place, service, note, at: text }) {
    const run = onRack(pieceForStep(store, piece, 'rack-run').state);
    const at = inOrder(run, instant(text, 'at'), text);
    if (service !== '' && !house.services[service]) {
      throw new EmberError('form.value-unknown', { field: 'service', seen: service });
    }
    if (massAfter && !sure) {
      const before = sortWeights(weightsOf(run), scaleIntervalOf(store.projections.currentHouse())).used.at(-1)!;
      const follows = canFollow(
        before,
        { day: (at - run.at) / DAY, grams: massAfter.si },
        scaleIntervalOf(store.projections.currentHouse())
      );
      if (follows !== 'yes') {
        throw new EmberError(follows === 'up' ? 'age.weight-up' : 'age.weight-drop', {
          field: 'massAfter',
          unit: 'g',
          seen: massAfter.typed,
          before: Math.round(before.grams * 10) / 10
        });
      }
    }
    const weighed = massAfter
      ? [draft('age.weighed', `piece:${piece}`, at, { mass: massAfter, sure, ready: null, note: '' })]
      : [];
    return {
      events: [...weighed, draft('age.ended', `piece:${piece}`, at, { how, massAfter, place, service, note })],
      result: { piece, days: (at - run.at) / DAY }
    };
  }
});

export const setRack = operation({
  name: 'set-rack',
  page: '/age',
  summary: 'Say how many hooks and shelf places an ageing cabinet has.',
  input: z.object({
    place: neededText(60),
    hooks: numeric(0, 40).transform(Math.round),
    shelves: numeric(0, 8).transform(Math.round),
    perShelf: numeric(1, 12).transform(Math.round)
  }),
  subject: () => 'house',
  run({ house, now }, input) {
    if (!Object.values(house.places).some(({ name }) => name === input.place)) {
      throw new EmberError('place.unknown', { field: 'place', seen: input.place });
    }
    if (input.hooks + input.shelves === 0) throw new EmberError('form.incomplete', { field: 'hooks' });
    return { events: [draft('rack.set', 'house', now, input)], result: { place: input.place } };
  }
});

export const setAgeing = operation({
  name: 'set-ageing',
  page: '/age',
  summary:
    'The house’s ageing rules: longest days, warmth of the cabinet, days after the rack. Looser ones ask for a reason.',
  input: z.object({
    wholeDays: numeric(1, 45),
    filletDays: numeric(1, 21),
    limitCelsius: quantity('temperature', { min: -1, max: 5 }),
    warmHours: numeric(0.25, 12),
    afterDays: numeric(1, 7),
    dayOneAtHanging: ticked,
    reason: shortText(200)
  }),
  subject: () => 'house',
  run({ now }, { limitCelsius, reason, ...input }) {
    const rules = { ...input, limitCelsius: limitCelsius.si };
    const looser = AGEING_NUMBERS.filter((field) => rules[field] > AGEING_RULES[field] + 1e-9);
    if (looser.length > 0 && reason === '') {
      throw new EmberError('age.looser-without-reason', { field: 'reason', seen: looser.join(', ') });
    }
    return { events: [draft('ageing.set', 'house', now, { ...rules, reason, looser })], result: { looser } };
  }
});
