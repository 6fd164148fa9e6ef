import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { businessDay } from '../../core/measure/day.ts';
import { draft } from '../store/record.ts';
import type { Store } from '../store/store.ts';
import { neededText, optionalQuantity, shortText, TEMPERATURE, when } from '../../core/fields/field.ts';
import { lotEntries, lotShape } from '../plans/lot.ts';
import { operation } from './operation.ts';
import { notNow } from './not-now.ts';

/** A delivery that is open: known, and not closed. */
export function openDeliveryState(store: Store, code: string) {
  const events = store.record.eventsOf(`delivery:${code}`);
  const opened = events.find((event) => event.kind === 'delivery.opened');
  if (!opened || opened.kind !== 'delivery.opened') {
    throw new EmberError('record.not-found', { field: 'delivery', seen: code });
  }
  if (events.some((event) => event.kind === 'delivery.closed')) {
    throw notNow('delivery', 'delivery-closed');
  }
  return opened;
}

export const openDelivery = operation({
  name: 'open-delivery',
  page: '/receive',
  summary: 'Start a delivery of several lots from one supplier; each lot is written down as it is taken.',
  input: z.object({
    supplier: neededText(),
    reference: shortText(80).describe("the delivery note's number"),
    vehicle: optionalQuantity('temperature', TEMPERATURE).describe('air of the vehicle or box'),
    note: shortText(300),
    at: when
  }),
  run({ store, house, instant }, { at: text, ...input }) {
    const at = instant(text, 'at');
    const day = businessDay(at, house);
    let counter = 1;
    let code: string;
    do code = `DEL-${day.slice(5, 7)}${day.slice(8, 10)}-${counter++}`;
    while (store.record.versionOf(`delivery:${code}`) > 0);
    return {
      events: [draft('delivery.opened', `delivery:${code}`, at, { code, ...input })],
      result: { delivery: code }
    };
  }
});

export const closeDelivery = operation({
  name: 'close-delivery',
  page: '/receive',
  summary: 'Finish a delivery: all its lots are written down.',
  input: z.object({ delivery: neededText(40), note: shortText(300) }),
  subject: (input) => `delivery:${input.delivery}`,
  run({ store, now }, input) {
    openDeliveryState(store, input.delivery);
    const lots = store.projections.lots().filter(({ received }) => received.delivery === input.delivery).length;
    return {
      events: [draft('delivery.closed', `delivery:${input.delivery}`, now, { note: input.note, lots })],
      result: { delivery: input.delivery, lots }
    };
  }
});

export const receiveLot = operation({
  name: 'receive-lot',
  page: '/receive',
  summary: 'Receive one lot: what it is, where from, how cold, and what was decided.',
  input: z.object({ ...lotShape, delivery: shortText(40), at: when }),
  run(context, { at: text, delivery, ...input }) {
    if (delivery !== '') openDeliveryState(context.store, delivery);
    const { events, lot, piece } = lotEntries(context, input, context.instant(text, 'at'), delivery);
    return { events, result: { lot, piece, delivery } };
  }
});
