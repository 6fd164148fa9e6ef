import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { promisesOf } from '../../core/codes/promise.ts';
import { LABEL_SIZES } from '../../core/trace/label.ts';
import { draft } from '../store/record.ts';
import { list, numeric, shortText } from '../../core/fields/field.ts';
import { operation } from './operation.ts';

export const printLabels = operation({
  name: 'print-labels',
  page: '/labels',
  summary:
    'Write down that labels of pieces, or of what else is kept, were printed: which, at which size, as which job of the printer.',
  input: z.object({
    pieces: list(200),
    size: z.string().refine((id) => LABEL_SIZES.some((size) => size.id === id)),
    job: shortText(120).describe('what the printer calls it; nothing where the PDF was printed by hand'),
    skip: numeric(0, 100, { fallback: 0 })
  }),
  run({ store, now }, input) {
    if (input.pieces.length === 0) throw new EmberError('form.incomplete', { field: 'pieces' });
    return {
      events: input.pieces.map((id) => {
        const kept = store.projections.subjects.find(id);
        return draft('label.printed', kept ? `${kept.kind.kind}:${id}` : `piece:${id}`, now, {
          size: input.size,
          printer: input.job === '' ? 'by hand' : 'label printer',
          job: input.job,
          copies: 1,
          said: kept ? [] : promisesOf(store.projections.piece(id).windows, now)
        });
      }),
      result: { pieces: input.pieces, job: input.job }
    };
  }
});
