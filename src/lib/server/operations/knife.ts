import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { cutBlock } from '../../core/bench/slice/geometry.ts';
import { draft } from '../store/record.ts';
import { numeric, pieceId, quantity, when } from './fields.ts';
import { pieceForStep } from './guard.ts';
import { operation } from './operation.ts';

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
    const { state } = pieceForStep(store, piece, 'slice');
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
