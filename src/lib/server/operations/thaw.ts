import { isFrozen } from '../../core/record/frozen.ts';
import { running } from '../../core/record/occupation.ts';
import { z } from 'zod';
import { listedAs } from '../../core/activity/cold/places.ts';
import { EmberError } from '../../core/errors.ts';
import { THAW_DRIP } from '../../core/bench/freeze/thaw.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import { versionsFor } from '../../core/rules/verdict.ts';
import { draft } from '../store/record.ts';
import {
  list,
  MASS,
  optionalQuantity,
  pieceId,
  shortText,
  TEMPERATURE,
  ticked,
  when
} from '../../core/fields/field.ts';
import { outOfFreezer } from './freeze.ts';
import { pieceForStep, ongoing } from './guard.ts';
import { operation, type OperationContext } from './operation.ts';
import { ownThickness, together } from './together.ts';
import { checkMass } from './pieces.ts';
import { thawPlan } from '../../core/activity/thaw/plan.ts';
import { forecastThaw } from '../plans/thaw.ts';
import { notNow } from './not-now.ts';

/** More drip than this is asked about: three times what is usual at the most. Share of the weight; check. */
const ODD_DRIP = 3 * THAW_DRIP.high;

/** One piece into its thaw; out of the freezer first, where it is in one. */
function oneThaw(
  { store, house, now }: Pick<OperationContext, 'store' | 'house' | 'now'>,
  { piece, own, ...input }: z.output<typeof thawPlan>,
  at: number,
  text: string | undefined
) {
  const { state, lot } = pieceForStep(store, piece, 'thaw');
  if (!isFrozen(state, lot)) throw notNow('piece', 'not-frozen');
  if (at < state.made.at) throw new EmberError('time.out-of-order', { field: 'at', seen: text });
  if (input.pack === 'closed' && input.method === 'cold' && !own) {
    throw new EmberError('thaw.in-closed-pack', { field: 'pack' });
  }
  const place = listedAs(house, input.place)?.name ?? input.place;
  const out = running(state.freezes)
    ? outOfFreezer(store, house, state, { at, now, note: `to thaw in ${place}`, place: '', text })
    : [];
  const { arrival, surfaceAbove } = forecastThaw(house, lot, input);
  const started = draft('thaw.started', `piece:${piece}`, at, {
    ...input,
    place,
    forecast: arrival,
    surfaceWarmFrom: surfaceAbove?.from ?? null,
    grams: state.grams,
    pins: versionsFor(profileById(house.profile, house.profiles), house)
  });
  return { events: [...out, started], arrival };
}

export const startThaw = operation({
  name: 'start-thaw',
  page: '/freeze/thaw',
  summary:
    'Start a thaw in the cold or under running water, of one piece or of several, each with its own forecast. A piece in a freezer comes out of it with the same entry.',
  input: thawPlan.extend({ others: list(30).describe('more pieces that thaw with it'), at: when }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, now, instant }, { others, at: text, ...input }) {
    const at = instant(text, 'at');
    const made = together(input.piece, others).map((piece) => {
      const thickness = piece === input.piece ? input.thickness : ownThickness(store, piece);
      return oneThaw({ store, house, now }, { ...input, piece, thickness }, at, text);
    });
    return {
      events: made.flatMap(({ events }) => events),
      result: { piece: input.piece, pieces: together(input.piece, others), forecast: made[0]!.arrival }
    };
  }
});

export const endThaw = operation({
  name: 'end-thaw',
  page: '/freeze/thaw',
  summary:
    'Take a piece out of its thaw: core, weight after (the difference is drip), and what it used of its warm hours.',
  input: z.object({
    piece: pieceId,
    core: optionalQuantity('temperature', TEMPERATURE),
    massAfter: optionalQuantity('mass', MASS),
    sure: ticked.describe('it weighs that, however odd'),
    note: shortText(300),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, instant }, input) {
    const { state } = pieceForStep(store, input.piece, 'end-thaw');
    const run = ongoing(state.thaws, 'thaw');
    const at = instant(input.at, 'at');
    if (at < run.at) throw new EmberError('time.out-of-order', { field: 'at', seen: input.at });
    const { massAfter, core } = input;
    if (massAfter) {
      checkMass(massAfter, state.grams * 1.02, state.grams * 0.7, input.sure, state.grams * 0.02);
      const least = state.grams * (1 - ODD_DRIP);
      if (massAfter.si < least && !input.sure) {
        throw new EmberError('quantity.out-of-range', {
          field: 'massAfter',
          unit: 'g',
          min: Math.round(least),
          max: Math.round(state.grams),
          seen: massAfter.typed
        });
      }
    }
    // Under water the surface is warm by the forecast; in the cold the place's own log says what it was.
    const { method, surfaceWarmFrom } = run.plan;
    const seconds = (at - run.at) / 1000;
    const warmSeconds = method === 'water' && surfaceWarmFrom !== null ? Math.max(0, seconds - surfaceWarmFrom) : 0;
    const drip = massAfter ? state.grams - massAfter.si : null;
    const subject = `piece:${state.id}`;
    return {
      events: [
        draft('thaw.ended', subject, at, { core, warmSeconds, drip, note: input.note }),
        ...(core ? [draft('cold.read', subject, at, { reading: core, place: run.plan.place })] : []),
        ...(massAfter
          ? [
              draft('piece.reweighed', subject, at, {
                mass: massAfter,
                before: state.grams,
                cause: 'drip',
                note: 'thawed'
              })
            ]
          : [])
      ],
      result: { piece: state.id, drip, warmSeconds }
    };
  }
});
