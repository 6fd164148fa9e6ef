import { z } from 'zod';
import { profileById } from '../../core/codes/profiles/index.ts';
import { riceEnd, riceRule } from '../../core/activity/rice/clock.ts';
import { tubs } from '../../core/activity/rice/subject.ts';
import type { TubState } from '../../core/activity/rice/fold.ts';
import { EmberError } from '../../core/errors.ts';
import { readIngredients } from '../../core/ingredients/read.ts';
import { businessDay } from '../../core/measure/day.ts';
import { versionsFor } from '../../core/rules/verdict.ts';
import { MASS, neededText, optionalQuantity, pieceId, quantity, shortText, when } from '../../core/fields/field.ts';
import { operation } from '../operations/operation.ts';
import { draft } from '../store/record.ts';
import type { Store } from '../store/store.ts';
import { notNow } from '../operations/not-now.ts';

/** Rice comes off the fire at 100 °C. */
const RICE_TEMPERATURE = { min: -10, max: 100 };

/** The next free code of a business day. */
function tubCode(store: Store, day: string): string {
  const head = `RICE-${day.slice(5, 7)}${day.slice(8, 10)}-`;
  const taken = new Set(store.projections.subjects.all().map(({ state }) => state.id));
  for (let next = 1; ; next++) if (!taken.has(head + next)) return head + next;
}

/** A tub that is still here. @throws EmberError `record.not-allowed-now` */
function liveTub(store: Store, id: string): TubState {
  const tub = store.projections.subjects.get<TubState>(tubs, id);
  if (!tub.live) throw notNow('tub', 'tub-binned');
  return tub;
}
const notBefore = (tub: TubState, at: number, text: string | undefined) => {
  if (at < tub.madeAt) throw new EmberError('time.out-of-order', { field: 'at', seen: text ?? 'now' });
};

export const makeTub = operation({
  name: 'make-tub',
  page: '/rice',
  summary: 'A tub of rice is dressed: its clock runs from here, by the house’s rule book, and ends in the bin.',
  input: z.object({
    name: neededText(60).default('Sushi rice'),
    mass: optionalQuantity('mass', MASS).describe('dressed rice in it'),
    place: shortText(60),
    dressing: shortText(300).describe('ingredients of its dressing, with commas between'),
    note: shortText(300),
    at: when.describe('when it was dressed; now when left out')
  }),
  run({ store, house, instant }, { dressing, at: text, ...input }) {
    const at = instant(text, 'at');
    const profile = profileById(house.profile, house.profiles);
    const id = tubCode(store, businessDay(at, house));
    const discardAt = riceEnd(at, riceRule(profile).hours);
    return {
      events: [
        draft('tub.made', `tub:${id}`, at, {
          ...input,
          dressing: readIngredients(dressing, house.ingredients, 'dressing'),
          discardAt,
          pins: versionsFor(profile)
        })
      ],
      result: { tub: id, discardAt }
    };
  }
});

export const readTub = operation({
  name: 'read-tub',
  page: '/rice',
  summary: 'Write down the temperature of a tub of rice as it cools.',
  input: z.object({
    tub: pieceId,
    reading: quantity('temperature', RICE_TEMPERATURE),
    note: shortText(200),
    at: when
  }),
  subject: (input) => `tub:${input.tub}`,
  run({ store, instant }, { tub: id, reading, note, at: text }) {
    const at = instant(text, 'at');
    notBefore(liveTub(store, id), at, text);
    return { events: [draft('tub.read', `tub:${id}`, at, { reading, note })], result: { tub: id } };
  }
});

export const binTub = operation({
  name: 'bin-tub',
  page: '/rice',
  summary: 'Bin what is left of a tub of rice. It is not added to the next one.',
  input: z.object({
    tub: pieceId,
    mass: optionalQuantity('mass', MASS).describe('what was left in it'),
    reason: shortText(200),
    at: when
  }),
  subject: (input) => `tub:${input.tub}`,
  run({ store, instant }, { tub: id, mass, reason, at: text }) {
    const at = instant(text, 'at');
    notBefore(liveTub(store, id), at, text);
    return { events: [draft('tub.binned', `tub:${id}`, at, { mass, reason })], result: { tub: id } };
  }
});
