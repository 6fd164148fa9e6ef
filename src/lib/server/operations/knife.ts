import { EmberError } from '../../core/errors.ts';
import { draft } from '../store/record.ts';
import { when } from '../../core/fields/field.ts';
import { pieceForStep } from './guard.ts';
import { operation } from './operation.ts';
import { slicePlan } from '../../core/activity/slice/plan.ts';
import { cutFor } from '../../core/bench/slice/settings.ts';

export const recordSlice = operation({
  name: 'record-slice',
  page: '/slice',
  summary: 'Record a block cut into slices; pieces and weights are computed again here.',
  input: slicePlan.extend({ at: when }),
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
