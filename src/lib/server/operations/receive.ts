import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { speciesById } from '../../core/fish/species.ts';
import { DECISIONS, FARM_SYSTEMS, FORMS } from '../../core/record/bodies.ts';
import { profileById } from '../../core/rules/profiles/index.ts';
import { pinsFor } from '../../core/rules/verdict.ts';
import { addDays, businessDay } from '../../core/service/day.ts';
import { draft } from '../store/record.ts';
import type { Store } from '../store/store.ts';
import {
  neededText,
  optionalDay,
  optionalNumeric,
  optionalQuantity,
  pieceId,
  quantity,
  shortText,
  ticked,
  when
} from './fields.ts';
import { operation } from './operation.ts';

export const MASS = { min: 1, max: 500_000 };
export const THICKNESS = { min: 2, max: 300 };
export const TEMPERATURE = { min: -80, max: 60 };

/** A lot's code: three letters of the species, the business day, a counter. */
function lotCode(store: Store, species: string, day: string): string {
  const letters = species
    .replace(/[^a-z]/g, '')
    .slice(0, 3)
    .toUpperCase();
  const prefix = `${letters}-${day.slice(5, 7)}${day.slice(8, 10)}`;
  for (let counter = 1; ; counter++) {
    const code = `${prefix}-${counter}`;
    if (store.record.versionOf(`lot:${code}`) === 0) return code;
  }
}

export const receiveLot = operation({
  name: 'receive-lot',
  place: '/receive',
  summary: 'Take in one lot: what it is, where from, how cold, and what was decided.',
  input: z.object({
    species: neededText(60),
    form: z.enum(FORMS).default('whole'),
    source: z.enum(['wild', 'farmed', 'unknown']).default('unknown'),
    farmSystem: z
      .union([z.literal(''), z.enum(FARM_SYSTEMS)])
      .optional()
      .transform((value) => (value ? value : null)),
    water: z.enum(['sea', 'fresh', 'brackish', 'unknown']).default('unknown'),
    area: shortText(),
    supplier: neededText(),
    supplierLot: shortText(60),
    commercial: z.enum(['yes', 'no', 'unknown']).default('unknown'),
    caughtOn: optionalDay.describe('day of catch or harvest'),
    mass: quantity('mass', MASS),
    thickness: optionalQuantity('length', THICKNESS),
    core: optionalQuantity('temperature', TEMPERATURE),
    frozen: ticked,
    pricePerKg: optionalNumeric(0, 100_000),
    claim: shortText(200).describe("the seller's words; a claim, never evidence"),
    decision: z.enum(DECISIONS).default('accept'),
    reason: shortText(300),
    at: when
  }),
  run({ store, house, now, instant }, input) {
    const species = speciesById(input.species);
    const at = instant(input.at, 'at');
    if (input.caughtOn) {
      const day = businessDay(now, house);
      if (input.caughtOn > day) throw new EmberError('time.in-future', { field: 'caughtOn', seen: input.caughtOn });
      if (input.caughtOn < addDays(day, -1100)) {
        throw new EmberError('quantity.out-of-range', {
          field: 'caughtOn',
          unit: 'd',
          max: 1100,
          seen: input.caughtOn
        });
      }
    }
    if (input.decision !== 'accept' && input.reason === '') {
      throw new EmberError('form.incomplete', { field: 'reason' });
    }
    if (input.source === 'farmed' && input.farmSystem === null) {
      throw new EmberError('form.incomplete', { field: 'farmSystem' });
    }
    const code = lotCode(store, species.id, businessDay(at, house));
    const piece = `${code}-A`;
    const { at: _, ...given } = input;
    return {
      events: [
        draft('lot.received', `lot:${code}`, at, {
          ...given,
          code,
          currency: house.currency,
          pins: pinsFor(profileById(house.profile))
        }),
        draft('piece.made', `piece:${piece}`, at, {
          code: piece,
          lot: code,
          parents: [],
          name: species.name,
          form: input.form,
          grams: input.mass.si,
          mass: input.mass,
          thicknessMm: input.thickness?.si ?? null
        })
      ],
      result: { lot: code, piece }
    };
  }
});

export const attachEvidence = operation({
  name: 'attach-evidence',
  place: '/piece/[id]',
  summary:
    'Add a paper to a lot: feed statement, freezing statement, harvest-area document, chill record, shellfish tag.',
  input: z.object({
    lot: neededText(40),
    type: z.enum(['feed-statement', 'freezing-statement', 'area-document', 'chill-record', 'shellfish-tag', 'other']),
    issuer: neededText(),
    reference: shortText(),
    issuedOn: optionalDay,
    expiresOn: optionalDay,
    formulatedFeed: ticked,
    fromEmbryos: ticked,
    noHazardVerified: ticked,
    areaCleared: ticked,
    frozenAt: optionalQuantity('temperature', TEMPERATURE),
    frozenFor: optionalQuantity('duration', { min: 60, max: 3 * 365 * 86400 }),
    solidAt35: ticked,
    note: shortText(300)
  }),
  subject: (input) => `lot:${input.lot}`,
  run({ store, now }, { lot, ...paper }) {
    store.projections.lot(lot);
    if (paper.type === 'freezing-statement') {
      if (!paper.frozenAt) throw new EmberError('form.incomplete', { field: 'frozenAt' });
      if (!paper.frozenFor) throw new EmberError('form.incomplete', { field: 'frozenFor' });
    }
    return { events: [draft('evidence.attached', `lot:${lot}`, now, paper)], result: { lot } };
  }
});

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
