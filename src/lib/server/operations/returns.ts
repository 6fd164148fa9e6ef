import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { CREDITS } from '../../core/activity/receive/bodies.ts';
import { draft } from '../store/record.ts';
import { returnable } from '../facts/returns.ts';
import {
  choice,
  MASS,
  neededText,
  optionalNumeric,
  optionalQuantity,
  shortText,
  when
} from '../../core/fields/field.ts';
import { operation } from './operation.ts';
import { notNow } from './not-now.ts';

export const returnLot = operation({
  name: 'return-lot',
  page: '/lot/[id]',
  summary:
    'Send a lot back: what is left of it goes with its seller, and is gone from every list. What was begun with here stays, shut, for the bin.',
  input: z.object({
    lot: neededText(40),
    mass: optionalQuantity('mass', MASS).describe('what was carried away; what stands on record when empty'),
    to: shortText(80).describe('who took it; its seller when empty'),
    credit: choice(CREDITS, 'asked'),
    amount: optionalNumeric(0, 1_000_000).describe('credit asked for or agreed, in the currency of the house'),
    reason: shortText(300),
    note: shortText(300),
    at: when
  }),
  subject: (input) => `lot:${input.lot}`,
  run({ store, house, instant }, { lot: id, mass, to, at: text, ...input }) {
    const lot = store.projections.lot(id);
    const at = instant(text, 'at');
    if (at < (lot.sentBack ?? lot.received).at) throw new EmberError('time.out-of-order', { field: 'at', seen: text });
    if (lot.handedBack) {
      throw notNow('lot', 'handed-back');
    }
    const taker = to || lot.received.supplier;
    if (taker === '') throw new EmberError('form.incomplete', { field: 'to' });
    // A decision gave its reason already.
    const reason = input.reason || (lot.sentBack ? lot.decision.reason : '');
    if (reason === '') throw new EmberError('form.incomplete', { field: 'reason' });
    const { grams, stays } = returnable(store, id);
    if (!mass && grams < MASS.min) throw notNow('lot', 'nothing-left');
    const carried = mass ?? { si: grams, unit: 'g', typed: `${Math.round(grams)} g` };
    return {
      events: [
        draft('lot.returned', `lot:${id}`, at, {
          ...input,
          reason,
          mass: carried,
          to: taker,
          currency: house.currency
        })
      ],
      result: { lot: id, grams: carried.si, stays: stays.map((piece) => piece.id) }
    };
  }
});
