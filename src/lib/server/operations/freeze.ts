import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { SOLID_CORE } from '../../core/bench/freeze/compliance.ts';
import { coreArrival } from '../../core/bench/freeze/pham.ts';
import type { RuleProfile } from '../../core/rules/profile.ts';
import { profileById } from '../../core/rules/profiles/index.ts';
import { pinsFor } from '../../core/rules/verdict.ts';
import type { PieceState } from '../../core/record/state.ts';
import { draft } from '../store/record.ts';
import { TEMPERATURE, THICKNESS, neededText, pieceId, quantity, shortText, when } from './fields.ts';
import { handy } from './handy.ts';
import { operation } from './operation.ts';

const plan = {
  air: quantity('temperature', { min: -90, max: 0 }),
  airClass: z.enum(['still', 'fan', 'blast']).default('still'),
  packing: z.enum(['bare', 'film', 'boxed']).default('film'),
  thickness: quantity('length', THICKNESS),
  startCore: quantity('temperature', { min: -1, max: 30 }),
  cycle: neededText(30)
};
export const freezePlan = z.object(plan);

/** The forecast of a freezer run: when the core is at the temperature its cycle counts from. */
export function forecastFreeze(profile: RuleProfile, input: z.infer<typeof freezePlan>) {
  const cycle = profile.parasites.cycles.find(({ id }) => id === input.cycle);
  if (!cycle) throw new EmberError('form.value-unknown', { field: 'cycle', seen: input.cycle });
  const target = cycle.solidAt ? SOLID_CORE.c : cycle.hold.c;
  const arrival = coreArrival({
    thicknessMm: input.thickness.si,
    startCelsius: input.startCore.si,
    airCelsius: input.air.si,
    targetCelsius: target,
    airClass: input.airClass,
    packing: input.packing
  });
  return { cycle, target, arrival };
}

/** The freezer run a piece is in now. */
function running(state: PieceState) {
  const run = state.freezes.at(-1);
  if (!run || run.ended) throw new EmberError('record.not-allowed-now', { field: 'piece', seen: 'not in a freezer' });
  return run;
}

export const startFreeze = operation({
  name: 'start-freeze',
  place: '/freeze',
  summary: 'Put a piece in a freezer, with a forecast of when its core arrives.',
  input: z.object({ piece: pieceId, place: neededText(60), ...plan, at: when }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, instant }, { piece, at: text, ...input }) {
    const { state } = handy(store, piece, { cure: 'either' });
    const at = instant(text, 'at');
    if (at < state.made.at) throw new EmberError('time.out-of-order', { field: 'at', seen: text });
    const { arrival } = forecastFreeze(profileById(house.profile, house.profiles), input);
    return {
      events: [
        draft('freeze.started', `piece:${piece}`, at, {
          ...input,
          coreArrival: arrival,
          pins: pinsFor(profileById(house.profile, house.profiles), house)
        })
      ],
      result: { piece, coreArrival: arrival }
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
    const run = running(store.projections.piece(input.piece).state);
    const at = instant(input.at, 'at');
    if (at < run.at) throw new EmberError('time.out-of-order', { field: 'at', seen: input.at });
    return {
      events: [draft('freeze.read', `piece:${input.piece}`, at, { reading: input.reading, probe: input.probe })],
      result: { piece: input.piece }
    };
  }
});

export const endFreeze = operation({
  name: 'end-freeze',
  place: '/freeze',
  summary: 'Take a piece out of the freezer to thaw in the cold.',
  input: z.object({ piece: pieceId, note: shortText(300), at: when }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, instant }, input) {
    const run = running(store.projections.piece(input.piece).state);
    const at = instant(input.at, 'at');
    if (at < (run.readings.at(-1)?.at ?? run.at))
      throw new EmberError('time.out-of-order', { field: 'at', seen: input.at });
    return {
      events: [draft('freeze.ended', `piece:${input.piece}`, at, { note: input.note })],
      result: { piece: input.piece }
    };
  }
});
