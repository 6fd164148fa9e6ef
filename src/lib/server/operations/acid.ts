import { z } from 'zod';
import { listedAs } from '../../core/activity/cold/places.ts';
import { EmberError } from '../../core/errors.ts';
import {
  ACID_NODES,
  acidBand,
  acidPlan,
  lookAt,
  paceFromCheck,
  type AcidSettings
} from '../../core/bench/acid/plan.ts';
import { SET_POINTS, type SetPoint } from '../../core/activity/acid/lists.ts';
import { ACID_ENDS, SPENT_LIQUID } from '../../core/activity/acid/bodies.ts';
import { NO_CUT } from '../../core/activity/piece/bodies.ts';
import { acidNow, type AcidRun } from '../../core/activity/acid/fold.ts';
import { type HouseState } from '../../core/record/house.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import { versionsFor } from '../../core/rules/verdict.ts';
import { toldBody } from '../facts/declarations.ts';
import { toldOfAcid } from '../facts/told.ts';
import { draft } from '../store/record.ts';
import { computedMass, leaving, nextCodes } from './pieces.ts';
import { ownThickness, together } from './together.ts';
import type { Store } from '../store/store.ts';
import { list, pick, optionalQuantity, pieceId, quantity, shortText, when } from '../../core/fields/field.ts';
import { pieceForStep, ongoing } from './guard.ts';
import { operation, type OperationContext } from './operation.ts';
import { acidLaid, acidPlanFields, acidSet } from '../../core/activity/acid/plan.ts';
import { acidSettings, liquidParts } from '../../core/bench/acid/settings.ts';
import { acidSubject, solved } from '../plans/acid.ts';

const DRAWS = 200;
/** When it is as wanted and past it; and, where some of it is for guests who want it less raw, the same for their look. */
function forecast(settings: AcidSettings, later: SetPoint | null) {
  const times = (wanted: SetPoint) => {
    const band = acidBand({ ...settings, wanted }, 0.5, DRAWS, solved);
    return { ready: band.readySeconds, past: band.pastSeconds, never: band.never.ready };
  };
  return { ...times(settings.wanted), later: later && { wanted: later, ...times(later) } };
}

/** One piece into the bath: when it is as wanted, and when past its best. */
function oneAcid(
  { store, house }: Pick<OperationContext, 'store' | 'house'>,
  input: AcidStart,
  at: number,
  text: string | undefined
) {
  const { state } = pieceForStep(store, input.piece, 'acid');
  if (at < state.made.at) throw new EmberError('time.out-of-order', { field: 'at', seen: text });
  const { runs: _, ...subject } = acidSubject(store, input.piece);
  const set = pick(input, acidSet);
  const settings = acidSettings(set, subject);
  if (!acidPlan(settings, ACID_NODES, solved).sour) throw new EmberError('acid.none', { field: 'liquid' });
  const second = input.later === '' ? null : input.later;
  if (second && SET_POINTS.indexOf(second) <= SET_POINTS.indexOf(input.wanted)) {
    throw new EmberError('form.value-unknown', { field: 'later', seen: `${second}, which is no later than wanted` });
  }
  const { ready, past, never, later } = forecast(settings, second);
  return {
    ready,
    past,
    later,
    event: draft('acid.started', `piece:${input.piece}`, at, {
      set,
      subject,
      ready,
      past,
      never,
      later,
      salt: input.salt?.si ?? 0,
      place: input.place,
      ...toldBody(toldOfAcid(house, settings.liquid, input.also, at)),
      pins: versionsFor(profileById(house.profile, house.profiles), house)
    })
  };
}

const acidStart = acidPlanFields.extend({ ...acidLaid });
type AcidStart = z.output<typeof acidStart>;

/** Pieces in one bath: the liquid is of all of them, and what was cut alike goes by its cut, a whole side by its own thickness. */
function inOneBath(store: Store, input: AcidStart, ids: readonly string[]): AcidStart[] {
  if (ids.length === 1) return [input];
  const sum = ids.reduce((total, id) => total + pieceForStep(store, id, 'acid').state.grams, 0);
  const mass = computedMass(sum);
  return ids.map((piece) => ({
    ...input,
    piece,
    mass,
    size: piece === input.piece || input.cut !== 'fillet' ? input.size : ownThickness(store, piece)
  }));
}

export const startAcid = operation({
  name: 'start-acid',
  page: '/acid',
  summary:
    'Put a piece, or several in one bath, into acid: when each is as wanted, and when past its best, are computed again here.',
  input: acidStart.extend({ others: list(30).describe('more pieces in the same bath, whole'), at: when }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, instant }, { at: text, others, ...input }) {
    const ids = together(input.piece, others);
    const { state } = pieceForStep(store, input.piece, 'acid');
    if (ids.length === 1 && input.mass && input.mass.si > state.grams + 0.5) {
      throw new EmberError('record.mass-exceeded', {
        field: 'mass',
        unit: 'g',
        max: state.grams,
        seen: input.mass.typed
      });
    }
    const at = instant(text, 'at');
    const made = inOneBath(store, input, ids).map((each) => oneAcid({ store, house }, each, at, text));
    const [first] = made;
    return {
      events: made.map(({ event }) => event),
      result: {
        piece: input.piece,
        pieces: ids,
        readySeconds: first!.ready?.likely ?? null,
        pastSeconds: first!.past?.likely ?? null,
        laterSeconds: first!.later?.ready?.likely ?? null
      }
    };
  }
});

/** How a run is computed now, with the pace its last cut piece set. */
export const settingsNow = ({ plan, ...run }: AcidRun): AcidSettings => ({
  ...acidSettings(plan.set, plan.subject),
  pace: acidNow({ plan, ...run }).pace
});

export const checkAcid = operation({
  name: 'check-acid',
  page: '/acid',
  summary: 'One piece cut open: how wide its raw middle is. The forecast goes on from there.',
  input: z.object({
    piece: pieceId,
    raw: quantity('length', { min: 0, max: 400 }).describe('width of the raw middle'),
    note: shortText(200),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, instant }, input) {
    const run = ongoing(pieceForStep(store, input.piece, 'acid-run').state.acids, 'acid');
    const at = instant(input.at, 'at');
    if (at < lastOf(run)) throw new EmberError('time.out-of-order', { field: 'at', seen: input.at });
    const pace = paceFromCheck(settingsNow(run), input.raw.si, (at - run.at) / 1000, solved);
    const { ready, past, never, later } = forecast({ ...settingsNow(run), pace }, run.plan.later?.wanted ?? null);
    return {
      events: [
        draft('acid.checked', `piece:${input.piece}`, at, {
          rawMm: input.raw.si,
          pace,
          ready,
          past,
          never,
          later,
          note: input.note
        })
      ],
      result: { piece: input.piece, pace, readySeconds: ready?.likely ?? null }
    };
  }
});

const lastOf = (run: AcidRun) => Math.max(run.at, run.checks.at(-1)?.at ?? 0, run.lifted.at(-1)?.at ?? 0);

export const liftAcid = operation({
  name: 'lift-acid',
  page: '/acid',
  summary: 'Take part of a piece out as it was first wanted; the rest stays in for guests who want it less raw.',
  input: z.object({
    piece: pieceId,
    mass: quantity('mass', { min: 1, max: 50_000 }),
    name: shortText(60).describe('of the part; its own name with its look where left out'),
    place: shortText(60).describe('where it is kept'),
    note: shortText(200),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, instant }, { piece, mass, name, place, note, at: text }) {
    const { state, lot } = pieceForStep(store, piece, 'acid-run');
    const run = ongoing(state.acids, 'acid');
    const at = instant(text, 'at');
    if (at < lastOf(run)) throw new EmberError('time.out-of-order', { field: 'at', seen: text });
    if (mass.si >= state.grams) {
      throw new EmberError('record.mass-exceeded', { field: 'mass', unit: 'g', max: state.grams, seen: mass.typed });
    }
    const { look } = lookAt(acidPlan(settingsNow(run), ACID_NODES, solved), (at - run.at) / 1000);
    const child = nextCodes(store, lot.id, 1)[0]!;
    const { made } = state;
    return {
      events: [
        draft('acid.lifted', `piece:${piece}`, at, { child, mass, look, note }),
        ...leaving(
          state,
          {
            code: child,
            lot: made.lot,
            name: name || `${made.name.slice(0, 40)}, ${look}`,
            form: 'portion',
            mass,
            thicknessMm: made.thicknessMm,
            use: 'acid',
            grade: made.grade
          },
          at
        ),
        ...(place === '' ? [] : [placed(house, child, place, at)])
      ],
      result: { piece: child, look }
    };
  }
});

/** A piece that was made this moment, put into a place. */
const placed = (house: HouseState, code: string, name: string, at: number) => {
  const known = listedAs(house, name);
  return draft('piece.moved', `piece:${code}`, at, {
    place: known?.name ?? name,
    cold: known?.cold ?? false,
    core: null,
    secondsOut: 0
  });
};

/** Acid draws a little, liquid clings: a piece that weighs half as much again was weighed with its bath. */
const MOST_GAIN = 1.5;

export const endAcid = operation({
  name: 'end-acid',
  page: '/acid',
  summary: 'Take a piece out of its acid, to be kept cold apart from it, or served from it at once.',
  input: z.object({
    piece: pieceId,
    how: z.enum(ACID_ENDS).default('drained'),
    massAfter: optionalQuantity('mass', { min: 1, max: 500_000 }),
    place: shortText(60).describe('where it is kept'),
    liquid: optionalQuantity('mass', { min: 1, max: 50_000 }).describe('of its liquid that is kept for a sauce'),
    note: shortText(300),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, instant }, input) {
    const { state, lot } = pieceForStep(store, input.piece, 'acid-run');
    const run = ongoing(state.acids, 'acid');
    const at = instant(input.at, 'at');
    if (at < lastOf(run)) throw new EmberError('time.out-of-order', { field: 'at', seen: input.at });
    if (input.massAfter && input.massAfter.si > state.grams * MOST_GAIN) {
      throw new EmberError('quantity.out-of-range', {
        field: 'massAfter',
        unit: 'g',
        max: Math.round(state.grams * MOST_GAIN),
        seen: input.massAfter.typed
      });
    }
    const { look } = lookAt(acidPlan(settingsNow(run), ACID_NODES, solved), (at - run.at) / 1000);
    const { how, massAfter, place, note, liquid } = input;
    const poured = liquidParts(run.plan.set.liquid).reduce((sum, { ml }) => sum + ml, 0);
    // What comes out is what went in, and what the fish gave.
    if (liquid && liquid.si > (poured + state.grams * 0.2) * 1.1) {
      const max = Math.round((poured + state.grams * 0.2) * 1.1);
      throw new EmberError('record.mass-exceeded', { field: 'liquid', unit: 'g', max, seen: liquid.typed });
    }
    const ended = draft('acid.ended', `piece:${input.piece}`, at, { how, massAfter, look, place, note });
    if (!liquid) return { events: [ended], result: { piece: input.piece, look } };
    const code = nextCodes(store, lot.id, 1)[0]!;
    return {
      events: [
        ended,
        // The fish gives no flesh to it: what it carries is the fish's record.
        draft('piece.gave', `piece:${input.piece}`, at, {
          child: code,
          grams: 0,
          part: SPENT_LIQUID,
          grade: 'by-product'
        }),
        draft('piece.made', `piece:${code}`, at, {
          ...NO_CUT,
          code,
          lot: state.made.lot,
          parents: [input.piece],
          name: `Liquid of ${state.made.name}`.slice(0, 60),
          form: 'portion',
          grams: liquid.si,
          mass: liquid,
          thicknessMm: null,
          part: SPENT_LIQUID,
          use: 'other',
          grade: 'by-product'
        }),
        ...(place === '' ? [] : [placed(house, code, place, at)])
      ],
      result: { piece: input.piece, look, liquid: code }
    };
  }
});
