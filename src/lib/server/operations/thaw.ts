import { isFrozen } from '../../core/record/frozen.ts';
import { running } from '../../core/record/occupation.ts';
import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { THAW_DRIP, THAW_METHODS, thaw, type ThawInput } from '../../core/bench/freeze/thaw.ts';
import { PACKING_IDS, SHAPE_IDS } from '../../core/activity/freeze/bodies.ts';
import { PACK_STATES } from '../../core/activity/thaw/bodies.ts';
import type { HouseState } from '../../core/record/house.ts';
import type { LotState } from '../../core/record/lot.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import { pinsFor } from '../../core/rules/verdict.ts';
import { draft } from '../store/record.ts';
import {
  MASS,
  neededText,
  optionalQuantity,
  pieceId,
  quantity,
  shortText,
  TEMPERATURE,
  THICKNESS,
  ticked,
  when
} from './fields.ts';
import { outOfFreezer, thinned, waterOf } from './freeze.ts';
import { pieceForStep, ongoing } from './guard.ts';
import { operation } from './operation.ts';
import { checkMass } from './pieces.ts';

const plan = {
  method: z.enum(THAW_METHODS).default('cold'),
  medium: quantity('temperature', { min: -2, max: 30 }).describe('air of the fridge, or the running water'),
  packing: z.enum(PACKING_IDS).default('film'),
  shape: z.enum(SHAPE_IDS).default('slab'),
  thickness: quantity('length', THICKNESS),
  startCore: quantity('temperature', { min: -60, max: 0 })
};
export const thawPlan = z.object({ ...plan, piece: pieceId.optional() });

/** More drip than this is asked about: three times what is usual at the most. Share of the weight; check. */
const ODD_DRIP = 3 * THAW_DRIP.high;

/** The forecast of a thaw, and where the surface passes the limit for warm hours. */
export function forecastThaw(house: HouseState, lot: LotState | null, input: Omit<z.infer<typeof thawPlan>, 'piece'>) {
  const { histamine, coldHold } = profileById(house.profile, house.profiles);
  const asked: ThawInput = {
    method: input.method,
    thicknessMm: input.thickness.si,
    shape: input.shape,
    startCelsius: input.startCore.si,
    mediumCelsius: input.medium.si,
    airClass: 'fridge',
    packing: input.packing,
    water: waterOf(lot, house)
  };
  const limit = Math.min(histamine.above.c, coldHold.c);
  const made = thaw(asked, limit);
  return { ...made, points: thinned(made.points), limit, thicknessMm: asked.thicknessMm, shape: asked.shape };
}

export const startThaw = operation({
  name: 'start-thaw',
  place: '/freeze/thaw',
  summary: 'Begin a thaw in the cold or under running water. A piece in a freezer comes out of it with the same entry.',
  input: z.object({
    piece: pieceId,
    place: neededText(60).describe('drawer, fridge or sink'),
    pack: z.enum(PACK_STATES).default('none').describe('packed without oxygen: none, opened, closed'),
    own: ticked.describe('it thaws in its closed pack, and you answer for it'),
    ...plan,
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, now, instant }, { piece, place: named, own, at: text, ...input }) {
    const { state, lot } = pieceForStep(store, piece, 'thaw');
    if (!isFrozen(state, lot)) throw new EmberError('record.not-allowed-now', { field: 'piece', seen: 'not frozen' });
    const at = instant(text, 'at');
    if (at < state.made.at) throw new EmberError('time.out-of-order', { field: 'at', seen: text });
    if (input.pack === 'closed' && input.method === 'cold' && !own) {
      throw new EmberError('thaw.in-closed-pack', { field: 'pack' });
    }
    const place =
      Object.values(house.places).find(({ name }) => name.toLowerCase() === named.toLowerCase())?.name ?? named;
    const out = running(state.freezes)
      ? outOfFreezer(store, house, state, { at, now, note: `to thaw in ${place}`, place: '', text })
      : [];
    const { arrival, surfaceAbove } = forecastThaw(house, lot, input);
    return {
      events: [
        ...out,
        draft('thaw.started', `piece:${piece}`, at, {
          ...input,
          place,
          forecast: arrival,
          surfaceWarmFrom: surfaceAbove?.from ?? null,
          grams: state.grams,
          pins: pinsFor(profileById(house.profile, house.profiles), house)
        })
      ],
      result: { piece, forecast: arrival }
    };
  }
});

export const endThaw = operation({
  name: 'end-thaw',
  place: '/freeze/thaw',
  summary: 'End a thaw: core, weight after (the difference is drip), and what it spent of its warm hours.',
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
