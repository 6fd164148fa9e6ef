import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import { foldLineages, judge, versionsFor } from '../../core/rules/verdict.ts';
import type { Step } from '../../core/record/occupation.ts';
import { ROUTES, type Route } from '../../core/codes/window.ts';
import { toldTogether, type Told } from '../../core/ingredients/ingredient.ts';
import { discardTime } from '../../core/rules/clocks.ts';
import type { Typed } from '../../core/measure/parse.ts';
import { draft, type Draft } from '../store/record.ts';
import {
  TEMPERATURE,
  list,
  neededText,
  optionalNumeric,
  optionalQuantity,
  pieceId,
  quantity,
  shortText,
  ticked,
  when
} from '../../core/fields/field.ts';
import { trayEnd } from '../../core/activity/tray/filling.ts';
import { onTray } from '../facts/trays.ts';
import { withBenched } from '../facts/benched.ts';
import { declarations } from '../facts/declarations.ts';
import type { PieceState } from '../../core/record/piece.ts';
import { cutOff } from './board-knife.ts';
import { computedMass, leaving, nextCodes, PART_MASS } from './pieces.ts';
import { pieceForStep } from './guard.ts';
import { operation, type OperationContext } from './operation.ts';
import { together } from './together.ts';
import { notNow } from './not-now.ts';

/**
 * How much of a piece a person means: so much, or all that is left. Silence is neither.
 *
 * @returns null for all of it
 * @throws EmberError `form.incomplete`, `form.one-of-two`, `record.mass-exceeded`
 */
function meant(grams: number, { mass, all }: { readonly mass: Typed | null; readonly all: boolean }): Typed | null {
  if (!mass && !all) throw new EmberError('form.incomplete', { field: 'mass' });
  if (mass && all) throw new EmberError('form.one-of-two', { field: 'mass', seen: mass.typed });
  if (mass && mass.si > grams + 0.5) {
    throw new EmberError('record.mass-exceeded', { field: 'mass', unit: 'g', max: grams, seen: mass.typed });
  }
  return mass;
}

/** Less than this is left of nothing. g */
const LEAST_LEFT = 0.5;

/** A piece that goes to guests, or to the bin. */
function here({ store }: OperationContext, piece: string, step: Step) {
  const { purpose } = store.projections.piece(piece).lot.received;
  if (step !== 'discard' && purpose !== 'sale') {
    throw new EmberError('record.not-for-sale', { field: 'piece', seen: purpose });
  }
  return pieceForStep(store, piece, step);
}

/**
 * What goes onto a tray: all of a piece, or what is taken of it as a piece of its own; slices stay slices.
 *
 * @throws EmberError as {@link meant}, `form.one-of-two`, `record.not-found` for slices of what is not counted
 */
function putOut(
  { store }: OperationContext,
  state: PieceState,
  input: { readonly count: number | null; readonly mass: Typed | null; readonly all: boolean },
  at: number
): { readonly piece: string; readonly events: readonly Draft[] } {
  const lifted = state.lifted?.what === 'slices' ? state.lifted : null;
  const each = lifted?.gramsEach ?? null;
  if (input.count !== null && (input.mass || input.all)) {
    throw new EmberError('form.one-of-two', { field: 'count', seen: input.count });
  }
  if (input.count !== null && each === null) {
    throw new EmberError('record.not-found', { field: 'count', seen: input.count });
  }
  const told = input.count === null ? input.mass : computedMass(input.count * each!);
  const mass = meant(state.grams, { mass: told, all: input.all });
  // The last of it, within what a scale says, is all of it.
  if (!mass || mass.si >= state.grams - LEAST_LEFT) return { piece: state.id, events: [] };
  const [code] = nextCodes(store, state.made.lot, 1);
  const { lot, name, form, thicknessMm, use } = state.made;
  const made = { code: code!, lot, name, form, mass, thicknessMm, use };
  if (!lifted) return { piece: code!, events: leaving(state, made, at) };
  const count = input.count ?? (each === null ? null : Math.max(1, Math.round(mass.si / each)));
  const { style, angleDegrees: angle } = lifted;
  return { piece: code!, events: cutOff(state, made, { what: 'slices', count, angle }, style, at) };
}

/** When it is binned on that tray, with what stands there already. @throws EmberError `tray.running` */
function onto({ store }: OperationContext, label: string, at: number, own: number): number {
  try {
    return trayEnd(at, own, onTray(store, label));
  } catch (error) {
    // The core does not know what the tray is called.
    if (error instanceof EmberError && error.code === 'tray.running') {
      throw new EmberError('tray.running', { field: 'label', seen: label });
    }
    throw error;
  }
}

export const startHold = operation({
  name: 'start-hold',
  page: '/serve',
  summary:
    'Put some of a piece on a tray, in slices or grams, or all of it if that is said: from here that has a time to be binned.',
  input: z.object({
    piece: pieceId,
    count: optionalNumeric(1, 400, { whole: true }).describe('slices of it, where it is counted'),
    mass: optionalQuantity('mass', PART_MASS).describe('or so much of it'),
    all: ticked.describe('all that is left of it, instead'),
    control: z.enum(['4h', '6h']).default('4h'),
    label: neededText(60),
    startCore: quantity('temperature', TEMPERATURE),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run(context, input) {
    const { state } = here(context, input.piece, 'put-out');
    const profile = profileById(context.house.profile, context.house.profiles);
    const control = profile.timeControls.find(({ id }) => id === input.control);
    if (!control) throw new EmberError('form.value-unknown', { field: 'control', seen: input.control });
    const at = context.instant(input.at, 'at');
    if (at < state.made.at) throw new EmberError('time.out-of-order', { field: 'at', seen: input.at });
    const own = discardTime(at, { celsius: input.startCore.si, unit: input.startCore.unit }, control);
    const discardAt = onto(context, input.label, at, own);
    const put = putOut(context, state, input, at);
    return {
      events: [
        ...put.events,
        draft('hold.started', `piece:${put.piece}`, at, {
          control: input.control,
          label: input.label,
          startCore: input.startCore,
          discardAt,
          pins: versionsFor(profile)
        })
      ],
      result: { piece: put.piece, discardAt }
    };
  }
});

export const readHold = operation({
  name: 'read-hold',
  page: '/serve',
  summary: 'Write down the temperature of a tray under time control.',
  input: z.object({ piece: pieceId, reading: quantity('temperature', TEMPERATURE), at: when }),
  subject: (input) => `piece:${input.piece}`,
  run(context, input) {
    const { state } = here(context, input.piece, 'tray-run');
    const hold = state.holds.at(-1)!;
    const at = context.instant(input.at, 'at');
    if (at < hold.at) throw new EmberError('time.out-of-order', { field: 'at', seen: input.at });
    return {
      events: [draft('hold.read', `piece:${input.piece}`, at, { reading: input.reading })],
      result: { piece: input.piece }
    };
  }
});

/** What goes to a guest of one piece. */
export interface Served {
  readonly piece: string;
  readonly route: Route;
  readonly mass: Typed;
  readonly dish: string;
  /** What the dish holds besides the fish. */
  readonly besides?: Told;
  readonly susceptible: boolean;
  readonly at: number;
  /** It was cut to order for this: the entry of that, which is judged with it. */
  readonly benched?: Draft;
}
/**
 * The entry of what is served of a piece, judged at its moment.
 *
 * @throws EmberError `record.not-allowed-now` where the route's window is shut, or the piece is where nothing is served from;
 *   `record.not-for-sale`
 */
export function servedEntry(context: OperationContext, told: Served): Draft {
  const { piece, route, mass, dish, susceptible, at } = told;
  const { store, house } = context;
  here(context, piece, 'serve');
  const seen = judge(
    foldLineages(withBenched(store, piece, told.benched), {
      house,
      at,
      knownAt: context.now,
      logs: store.projections.logs.book(at, context.now),
      susceptible
    })
  );
  const window = seen.windows.find((each) => each.route === route)!;
  if (window.state !== 'open' && window.state !== 'ebbing') {
    throw notNow('route', 'window-shut', { seen: window.state, route });
  }
  const { notice, ...own } = declarations(store, piece, house, route, dish);
  const {
    holds: allergens,
    mayHold,
    unsaid
  } = told.besides
    ? toldTogether([{ holds: own.allergens, mayHold: own.mayHold, unsaid: own.unsaid }, told.besides])
    : { ...own, holds: own.allergens };
  return draft('piece.served', `piece:${piece}`, at, {
    mass,
    dish,
    route,
    allergens: [...allergens],
    mayHold: [...mayHold],
    unsaid: [...unsaid],
    notice,
    pins: seen.pins
  });
}

export const servePiece = operation({
  name: 'serve-piece',
  page: '/serve',
  summary: 'Serve some or all of a piece by a route whose window is open.',
  input: z.object({
    piece: pieceId,
    route: z.enum(ROUTES),
    mass: optionalQuantity('mass', { min: 1, max: 500_000 }).describe('how much of it'),
    all: ticked.describe('all that is left of it, instead of a weight'),
    dish: shortText(80),
    susceptible: ticked.describe('for a guest who is highly susceptible'),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run(context, input) {
    const { state } = here(context, input.piece, 'serve');
    const at = context.instant(input.at, 'at');
    const mass = meant(state.grams, input) ?? { si: state.grams, unit: 'g', typed: `${Math.round(state.grams)} g` };
    const { piece, route, dish, susceptible } = input;
    return {
      events: [servedEntry(context, { piece, route, mass, dish, susceptible, at })],
      result: { piece: input.piece, grams: mass.si }
    };
  }
});

export const discardPiece = operation({
  name: 'discard-piece',
  page: '/serve',
  summary: 'Bin a piece, or part of it, or several whole, with the reason.',
  input: z.object({
    piece: pieceId,
    others: list(60).describe('more pieces, all of each'),
    reason: neededText(200, 3).describe('why, in a word at least'),
    mass: optionalQuantity('mass', { min: 1, max: 500_000 }).describe('how much of it'),
    all: ticked.describe('all that is left of it, instead of a weight'),
    at: when
  }),
  subject: (input) => `piece:${input.piece}`,
  run(context, input) {
    const at = context.instant(input.at, 'at');
    const { reason } = input;
    const made = together(input.piece, input.others).map((id) => {
      const { state } = here(context, id, 'discard');
      const mass = id === input.piece ? meant(state.grams, input) : null;
      return {
        event: draft('piece.discarded', `piece:${id}`, at, { reason, mass }),
        grams: mass?.si ?? state.grams
      };
    });
    return {
      events: made.map(({ event }) => event),
      result: {
        piece: input.piece,
        pieces: together(input.piece, input.others),
        grams: made.reduce((sum, { grams }) => sum + grams, 0)
      }
    };
  }
});
