import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { FORMS } from '../../core/record/bodies.ts';
import { draft } from '../store/record.ts';
import { neededText, optionalQuantity, pieceId, quantity, shortText, TEMPERATURE, THICKNESS, when } from './fields.ts';
import { operation } from './operation.ts';

export const dividePiece = operation({
  name: 'divide-piece',
  place: '/piece/[id]',
  summary: 'Take a piece from a piece (a fillet from a fish, a block from a fillet), weighed.',
  input: z.object({
    piece: pieceId,
    name: neededText(60),
    form: z.enum(FORMS).default('fillet'),
    mass: quantity('mass', { min: 1, max: 500_000 }),
    thickness: optionalQuantity('length', THICKNESS),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, instant }, input) {
    const parent = store.projections.piece(input.piece);
    const at = instant(input.at, 'at');
    if (parent.state.gone)
      throw new EmberError('record.not-allowed-now', { field: 'piece', seen: parent.state.gone.how });
    if (at < parent.state.made.at) throw new EmberError('time.out-of-order', { field: 'at', seen: input.at });
    if (input.mass.si > parent.state.grams + 0.5) {
      throw new EmberError('record.mass-exceeded', {
        field: 'mass',
        unit: 'g',
        max: parent.state.grams,
        seen: input.mass.typed
      });
    }
    const root = parent.lot.id;
    let letter = 1;
    let code: string;
    do code = `${root}-${letters(letter++)}`;
    while (store.record.versionOf(`piece:${code}`) > 0);
    return {
      events: [
        draft('piece.gave', `piece:${input.piece}`, at, { child: code, grams: input.mass.si }),
        draft('piece.made', `piece:${code}`, at, {
          code,
          lot: root,
          parents: [input.piece],
          name: input.name,
          form: input.form,
          grams: input.mass.si,
          mass: input.mass,
          thicknessMm: input.thickness?.si ?? null
        })
      ],
      result: { piece: code }
    };
  }
});

/** 1 is A, 26 is Z, 27 is AA. */
export function letters(count: number): string {
  let left = count;
  let out = '';
  while (left > 0) {
    out = String.fromCharCode(65 + ((left - 1) % 26)) + out;
    left = Math.floor((left - 1) / 26);
  }
  return out;
}

export const readCold = operation({
  name: 'read-cold',
  place: '/piece/[id]',
  summary: 'Write down the temperature of a piece in the cold.',
  input: z.object({ piece: pieceId, reading: quantity('temperature', TEMPERATURE), place: shortText(60), at: when }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, instant }, input) {
    const { state } = store.projections.piece(input.piece);
    const at = instant(input.at, 'at');
    if (at < state.made.at) throw new EmberError('time.out-of-order', { field: 'at', seen: input.at });
    return {
      events: [draft('cold.read', `piece:${input.piece}`, at, { reading: input.reading, place: input.place })],
      result: { piece: input.piece }
    };
  }
});
