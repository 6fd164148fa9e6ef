import { z } from 'zod';
import { listedAs } from '../../core/activity/cold/places.ts';
import { EmberError } from '../../core/errors.ts';
import { scaleError, slipOfThousand } from '../../core/bench/breakdown/mass.ts';
import { CREDITS, type Use } from '../../core/bench/breakdown/portions.ts';
import { massText } from '../../core/measure/format.ts';
import type { Typed } from '../../core/measure/parse.ts';
import { NO_CUT, REWEIGH_CAUSES, USES, WASTES } from '../../core/activity/piece/bodies.ts';
import { FORMS } from '../../core/activity/receive/bodies.ts';
import type { BodyOf } from '../../core/record/events.ts';
import { running } from '../../core/record/occupation.ts';
import { type HouseState } from '../../core/record/house.ts';
import { type PieceState } from '../../core/record/piece.ts';
import { draft, type Draft } from '../store/record.ts';
import type { Store } from '../store/store.ts';
import {
  list,
  choice,
  neededText,
  numeric,
  optionalQuantity,
  pieceId,
  quantity,
  shortText,
  TEMPERATURE,
  THICKNESS,
  ticked,
  when
} from '../../core/fields/field.ts';
import { together } from './together.ts';
import { after, pieceForStep } from './guard.ts';
import { operation } from './operation.ts';
import { depthFields, depthPoints } from '../plans/depth.ts';

/** Cheeks of a small fish weigh little; nothing weighs nothing. g */
const LEAST_PART = 0.5;
/** What is read at all: wide enough for a slip by a thousand to be seen as one, and asked about. */
export const PART_MASS = { min: 0.05, max: 5_000_000 };

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

/** Codes for pieces that come from a lot: the next letters that nobody has. */
export function nextCodes(store: Store, lot: string, count: number): string[] {
  const out: string[] = [];
  // As many as there are pieces are taken as a rule; voided ones may have taken more.
  let letter = store.projections.relations.countOf(lot);
  while (out.length < count) {
    const code = `${lot}-${letters(++letter)}`;
    if (store.record.versionOf(`piece:${code}`) === 0) out.push(code);
  }
  return out;
}

/** A mass that was computed and not typed, kept like one. */
export const computedMass = (grams: number): Typed => ({ si: grams, unit: 'g', typed: massText(grams) });

/**
 * Refuses a weight that cannot be: more than is there, or off by a thousand. What the scale may be out by is not more.
 *
 * @param least what such a part weighs at the least, g; 0 where nothing is known
 */
export function checkMass(mass: Typed, there: number, least: number, sure: boolean, slack = 0.5): void {
  const slip = slipOfThousand(mass.si, there + slack, least);
  if (slip !== null && !(sure && slip === 1000)) {
    throw new EmberError('record.mass-slip', {
      field: 'mass',
      seen: mass.typed,
      candidates: [massText(mass.si * slip)]
    });
  }
  if (mass.si < LEAST_PART) {
    throw new EmberError('quantity.out-of-range', { field: 'mass', unit: 'g', min: LEAST_PART, seen: mass.typed });
  }
  if (mass.si > there + slack) {
    throw new EmberError('record.mass-exceeded', { field: 'mass', unit: 'g', max: there, seen: mass.typed });
  }
}

/** What a by-product of a use is worth for a kilogram here; null where nobody said, and then it bears its share. */
export const creditFor = (house: HouseState, use: Use, grade: string): number | null =>
  grade === 'by-product' ? (house.kitchen?.credits[use] ?? CREDITS[use] ?? null) : null;

/**
 * The board whose time out of the cold a piece is part of; null for one that is in the cold. What comes of such a piece is out
 * with it, whoever cut it, until that board is closed or it is put in a cold place.
 */
export function boardOf(piece: PieceState): number | null {
  const out = piece.outs.at(-1);
  if (!out || out.to !== null) return null;
  return running(piece.boards)?.seq ?? piece.made.board ?? out.seq;
}

/** The two entries with which a piece leaves another. */
export function leaving(
  parent: PieceState,
  made: Pick<BodyOf<'piece.made'>, 'code' | 'lot' | 'name' | 'form' | 'mass' | 'thicknessMm'> &
    Partial<BodyOf<'piece.made'>>,
  at: number
): Draft[] {
  const body = { ...NO_CUT, board: boardOf(parent), ...made, parents: [parent.id], grams: made.mass.si };
  return [
    draft('piece.gave', `piece:${parent.id}`, at, {
      child: body.code,
      grams: body.mass.si,
      part: body.part,
      grade: body.grade
    }),
    draft('piece.made', `piece:${body.code}`, at, body)
  ];
}

export const dividePiece = operation({
  name: 'divide-piece',
  page: '/piece/[id]',
  summary: 'Take a piece from a piece (a fillet from a fish, a block from a fillet), weighed.',
  input: z.object({
    piece: pieceId,
    name: neededText(60),
    form: z.enum(FORMS).default('fillet'),
    mass: quantity('mass', PART_MASS),
    thickness: optionalQuantity('length', THICKNESS),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, instant }, input) {
    // A portion may be broken off what lies in a freezer: it is out from then on.
    const { state, lot } = pieceForStep(store, input.piece, 'divide');
    const at = after(state, instant(input.at, 'at'), input.at);
    checkMass(input.mass, state.grams, 0, false);
    const [code] = nextCodes(store, lot.id, 1);
    const { name, form, mass } = input;
    const thicknessMm = input.thickness?.si ?? null;
    return {
      events: leaving(state, { code: code!, lot: lot.id, name, form, mass, thicknessMm }, at),
      result: { piece: code }
    };
  }
});

export const splitPiece = operation({
  name: 'split-piece',
  page: '/piece/[id]',
  summary: 'Split a piece into so many of one weight; the piece itself is then all given.',
  input: z.object({
    piece: pieceId,
    count: numeric(2, 60).describe('how many pieces'),
    name: shortText(60),
    form: choice(FORMS, 'portion'),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, instant }, input) {
    const { state, lot } = pieceForStep(store, input.piece, 'split');
    const at = after(state, instant(input.at, 'at'), input.at);
    const count = Math.round(input.count);
    const each = state.grams / count;
    if (each < LEAST_PART) {
      throw new EmberError('quantity.out-of-range', {
        field: 'count',
        max: Math.floor(state.grams / LEAST_PART),
        seen: count
      });
    }
    const codes = nextCodes(store, lot.id, count);
    return {
      events: codes.flatMap((code, index) =>
        leaving(
          state,
          {
            code,
            lot: lot.id,
            name: `${input.name || state.made.name} ${index + 1}`,
            form: input.form,
            mass: computedMass(each),
            thicknessMm: state.made.thicknessMm,
            use: state.made.use,
            grade: state.made.grade,
            creditPerKg: state.made.creditPerKg
          },
          at
        )
      ),
      result: { pieces: codes }
    };
  }
});

export const trimPiece = operation({
  name: 'trim-piece',
  page: '/piece/[id]',
  summary: 'Trim or skin a piece: what comes off is kept as a piece of its own, or weighed as waste.',
  input: z.object({
    piece: pieceId,
    what: z.enum(WASTES).default('trim'),
    mass: quantity('mass', PART_MASS),
    keep: ticked.describe('keep it as a by-product'),
    use: choice(USES, 'mince'),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, instant }, input) {
    const { state, lot } = pieceForStep(store, input.piece, 'trim');
    const at = after(state, instant(input.at, 'at'), input.at);
    checkMass(input.mass, state.grams, 0, false);
    if (!input.keep) {
      return {
        events: [draft('piece.wasted', `piece:${state.id}`, at, { what: input.what, mass: input.mass, note: '' })],
        result: { piece: state.id }
      };
    }
    const [code] = nextCodes(store, lot.id, 1);
    return {
      events: leaving(
        state,
        {
          code: code!,
          lot: lot.id,
          name: `${state.made.name}, ${input.what.replace('-', ' ')}`.slice(0, 80),
          form: 'portion',
          mass: input.mass,
          thicknessMm: null,
          part: input.what,
          use: input.use,
          grade: 'by-product',
          creditPerKg: creditFor(house, input.use, 'by-product')
        },
        at
      ),
      result: { piece: state.id, kept: code }
    };
  }
});

export const reweighPiece = operation({
  name: 'reweigh-piece',
  page: '/piece/[id]',
  summary: 'Weigh a piece again; the difference is put down to drip, drying, the scale, or water taken up.',
  input: z.object({
    piece: pieceId,
    mass: quantity('mass', PART_MASS),
    cause: choice(REWEIGH_CAUSES, 'drip'),
    note: shortText(200),
    sure: ticked.describe('it weighs that, however odd'),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, instant }, input) {
    const { state } = pieceForStep(store, input.piece, 'reweigh');
    const at = after(state, instant(input.at, 'at'), input.at);
    const before = state.grams;
    const grew = input.cause === 'uptake' || input.cause === 'other';
    const slack = scaleError(before, 1);
    checkMass(input.mass, grew ? before * 1.3 : before, before * 0.3, input.sure, slack);
    return {
      events: [
        draft('piece.reweighed', `piece:${state.id}`, at, {
          mass: input.mass,
          before,
          cause: input.cause,
          note: input.note
        })
      ],
      result: { piece: state.id, grams: input.mass.si }
    };
  }
});

export const movePiece = operation({
  name: 'move-piece',
  page: '/piece/[id]',
  summary: 'Move a piece, or several, to a place: a drawer, a rack, a box. In a cold place its time out ends.',
  input: z.object({
    piece: pieceId,
    others: list(60).describe('more pieces that go there with it'),
    place: neededText(60),
    core: optionalQuantity('temperature', TEMPERATURE).describe('of the piece itself, not of those that go with it'),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, instant }, input) {
    const said = instant(input.at, 'at');
    const pieces = together(input.piece, input.others);
    const events = pieces.map((id) => {
      const { state } = pieceForStep(store, id, 'move');
      const core = id === input.piece ? input.core : null;
      return movedTo(house, state, input.place, core, after(state, said, input.at));
    });
    return { events, result: { piece: input.piece, pieces } };
  }
});

/** The entry with which a piece reaches a place. A place nobody listed is not cold: what lies there spends its time. */
export function movedTo(
  house: HouseState,
  state: { readonly id: string; readonly outs: readonly { readonly from: number; readonly to: number | null }[] },
  place: string,
  core: Typed | null,
  at: number
): Draft {
  const known = listedAs(house, place);
  const out = state.outs.at(-1);
  return draft('piece.moved', `piece:${state.id}`, at, {
    place: known?.name ?? place,
    cold: known?.cold ?? false,
    core,
    secondsOut: out && out.to === null ? Math.max(0, at - out.from) / 1000 : 0
  });
}

export const setDepth = operation({
  name: 'set-depth',
  page: '/break/depth',
  summary: 'Keep the thickness of a piece along its length, for an even cure and for the slowest point of a freeze.',
  input: depthFields.extend({ note: shortText(200), at: when }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, instant }, input) {
    const { state } = pieceForStep(store, input.piece, 'measure');
    const at = after(state, instant(input.at, 'at'), input.at);
    const profile = depthPoints(input);
    if (profile.points.length < 2) throw new EmberError('form.incomplete', { field: 'points' });
    return {
      events: [draft('piece.profiled', `piece:${state.id}`, at, { ...profile, note: input.note })],
      result: { piece: state.id }
    };
  }
});

export const readCold = operation({
  name: 'read-cold',
  page: '/piece/[id]',
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
