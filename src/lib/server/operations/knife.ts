import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { cure, cureBand, type CureInput } from '../../core/bench/cure/plan.ts';
import { cutBlock } from '../../core/bench/slice/geometry.ts';
import { speciesOfLot } from '../lot-species.ts';
import { profileById } from '../../core/rules/profiles/index.ts';
import { pinsFor } from '../../core/rules/verdict.ts';
import { draft } from '../store/record.ts';
import type { Store } from '../store/store.ts';
import { numeric, optionalQuantity, pieceId, quantity, shortText, when } from './fields.ts';
import { handy } from './handy.ts';
import { operation } from './operation.ts';

export const curePlan = z.object({
  piece: pieceId,
  method: z.enum(['cover', 'weighed']),
  thickness: quantity('length', { min: 2, max: 150 }),
  faces: numeric(1, 2).transform((value): 1 | 2 => (value >= 2 ? 2 : 1)),
  celsius: quantity('temperature', { min: -1, max: 15 }),
  salt: quantity('concentration', { min: 0.002, max: 1 }),
  sugar: quantity('concentration', { min: 0, max: 1 }),
  hours: quantity('duration', { min: 900, max: 240 * 3600 }),
  target: quantity('concentration', { min: 0.001, max: 0.2 })
});

/** The core's input for a cure of this piece, from what a person set. */
export function cureInputFor(store: Store, input: z.infer<typeof curePlan>): CureInput {
  const { state, lot } = store.projections.piece(input.piece);
  return {
    method: input.method,
    grams: state.grams,
    thicknessMm: input.thickness.si,
    faces: input.faces,
    celsius: input.celsius.si,
    // A fish nobody could name is taken as neither lean nor rich.
    fat: speciesOfLot(lot, store.projections.currentHouse())?.fat ?? 'mid',
    thawed: lot.received.frozen || state.freezes.some((run) => run.ended !== null),
    salt: input.salt.si,
    sugar: input.sugar.si,
    hours: input.hours.si / 3600,
    target: input.target.si
  };
}

export const startCure = operation({
  name: 'start-cure',
  place: '/cure',
  summary: 'Begin a cover or a weighed cure; every figure is computed again here.',
  input: curePlan.extend({ at: when }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, instant }, { at: text, ...input }) {
    const { state } = handy(store, input.piece);
    const at = instant(text, 'at');
    if (at < state.made.at) throw new EmberError('time.out-of-order', { field: 'at', seen: text });
    const model = cureInputFor(store, input);
    const result = cure(model);
    const { draws: _, ...band } = cureBand(model);
    return {
      events: [
        draft('cure.started', `piece:${input.piece}`, at, {
          method: model.method,
          grams: model.grams,
          thickness: input.thickness,
          faces: model.faces,
          celsius: model.celsius,
          saltGrams: result.saltGrams,
          sugarGrams: result.sugarGrams,
          hours: model.hours,
          target: model.target,
          forecast: {
            ...band,
            middleReachesAt: result.middleReachesHours === null ? null : at + result.middleReachesHours * 3600_000
          },
          dueAt: at + input.hours.si * 1000,
          pins: pinsFor(profileById(house.profile, house.profiles), house)
        })
      ],
      result: { piece: input.piece, saltGrams: result.saltGrams, sugarGrams: result.sugarGrams }
    };
  }
});

export const endCure = operation({
  name: 'end-cure',
  place: '/cure',
  summary: 'Take a piece out of its cure, weighed if possible.',
  input: z.object({
    piece: pieceId,
    massAfter: optionalQuantity('mass', { min: 1, max: 500_000 }),
    note: shortText(300),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, instant }, input) {
    const { state } = store.projections.piece(input.piece);
    const run = state.cures.at(-1);
    if (!run || run.ended) throw new EmberError('record.not-allowed-now', { field: 'piece', seen: 'not in a cure' });
    const at = instant(input.at, 'at');
    if (at < run.at) throw new EmberError('time.out-of-order', { field: 'at', seen: input.at });
    // A cure draws water; a piece that doubled was weighed with its tray.
    if (input.massAfter && input.massAfter.si > run.plan.grams * 1.5) {
      throw new EmberError('quantity.out-of-range', {
        field: 'massAfter',
        unit: 'g',
        max: Math.round(run.plan.grams * 1.5),
        seen: input.massAfter.typed
      });
    }
    return {
      events: [draft('cure.ended', `piece:${input.piece}`, at, { massAfter: input.massAfter, note: input.note })],
      result: { piece: input.piece }
    };
  }
});

export const slicePlan = z.object({
  cut: z.enum(['straight', 'oblique']),
  length: quantity('length', { min: 5, max: 1000 }),
  height: quantity('length', { min: 3, max: 200 }),
  width: quantity('length', { min: 5, max: 400 }),
  thickness: quantity('length', { min: 0.5, max: 60 }),
  angle: numeric(15, 90).default(90)
});

/** The cut as the core computes it from what a person set. */
export function cutFor(input: z.infer<typeof slicePlan>) {
  const angle = input.cut === 'straight' ? 90 : input.angle;
  return cutBlock(
    { length: input.length.si, height: input.height.si, width: input.width.si },
    angle,
    input.thickness.si
  );
}

export const recordSlice = operation({
  name: 'record-slice',
  place: '/slice',
  summary: 'Record a block cut into slices; pieces and weights are computed again here.',
  input: slicePlan.extend({ piece: pieceId, at: when }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, instant }, { piece, at: text, ...input }) {
    const { state } = store.projections.piece(piece);
    if (state.gone) throw new EmberError('record.not-allowed-now', { field: 'piece', seen: state.gone.how });
    const at = instant(text, 'at');
    if (at < state.made.at) throw new EmberError('time.out-of-order', { field: 'at', seen: text });
    const cut = cutFor(input);
    // The ruler and the scale disagree a little; a block of twice the piece's weight is another block.
    if (cut.blockGrams > state.grams * 1.25 + 5) {
      throw new EmberError('record.mass-exceeded', {
        field: 'length',
        unit: 'g',
        max: state.grams,
        seen: `${Math.round(cut.blockGrams)} g`
      });
    }
    return {
      events: [
        draft('piece.sliced', `piece:${piece}`, at, {
          cut: input.cut,
          length: input.length,
          height: input.height,
          width: input.width,
          thickness: input.thickness,
          angleDegrees: cut.angle,
          pieces: cut.pieces,
          pieceGrams: cut.gramsEach,
          offcutGrams: cut.offcutGrams
        })
      ],
      result: { piece, pieces: cut.pieces, pieceGrams: cut.gramsEach }
    };
  }
});
