import { EmberError } from '../../core/errors.ts';
import type { StyleId } from '../../core/activity/slice/lists.ts';
import { USES, type pieceMade } from '../../core/activity/piece/bodies.ts';
import { scaleError, scaleIntervalOf } from '../../core/bench/breakdown/mass.ts';
import type { Use } from '../../core/bench/breakdown/portions.ts';
import { choice, optionalQuantity, shortText, TEMPERATURE, when } from '../../core/fields/field.ts';
import type { Typed } from '../../core/measure/parse.ts';
import type { HouseState } from '../../core/record/house.ts';
import { occupantsOf } from '../../core/record/occupation.ts';
import type { PieceState } from '../../core/record/piece.ts';
import { offcutName } from '../../words/slices.ts';
import { draft, type Draft } from '../store/record.ts';
import type { Store } from '../store/store.ts';
import { voided } from './board.ts';
import { notNow } from './not-now.ts';
import { computedMass, creditFor, leaving, PART_MASS } from './pieces.ts';
import type { z } from 'zod';

/** What squaring and slicing have in common: pieces come off a block, are weighed, lie out, and may be put back. */

/** The ruler and the scale disagree a little; a block of so much more than its weight is another block. */
export const RULER = { times: 1.25, grams: 5 } as const;
/** Less than this is a smear on the board. g */
export const SMEAR = 0.5;

/** What is said of anything that comes off a block. */
export const offTheKnife = {
  offcutUse: choice(USES, 'mince'),
  waste: optionalQuantity('mass', PART_MASS).describe('trim that is kept for nothing'),
  gapReason: shortText(200).describe('where more than the scale can be out by went'),
  knife: shortText(60).describe('which knife of the house, by its id; empty: nobody said'),
  place: shortText(60).describe('where all of it goes; empty: it stays out, and its time runs'),
  core: optionalQuantity('temperature', TEMPERATURE).describe('core as it goes back'),
  at: when
};

/** @throws EmberError `record.mass-exceeded` for a block that is more than what lies there */
export function checkRuler(blockGrams: number, there: number): void {
  if (blockGrams <= there * RULER.times + RULER.grams) return;
  const seen = `${Math.round(blockGrams)} g`;
  throw new EmberError('record.mass-exceeded', { field: 'length', unit: 'g', max: there, seen });
}

/** When it left the cold: as was said, else as long before as the knife takes. @throws EmberError `time.out-of-order` */
export function begunAt({ made }: PieceState, at: number, seconds: number, said: number | null): number {
  const begun = said ?? Math.max(made.at, at - seconds * 1000);
  if (begun > at || begun < made.at) throw new EmberError('time.out-of-order', { field: 'begun' });
  return begun;
}

type Made = z.input<typeof pieceMade>;
/** A piece that was cut off, and what says of it that it lies out on the board. */
export function cutOff(
  parent: PieceState,
  made: Pick<Made, 'code' | 'lot' | 'name' | 'form' | 'mass' | 'thicknessMm'> & Partial<Made>,
  lies: { readonly what: 'slices' | 'off-cut'; readonly count: number | null; readonly angle: number | null },
  style: StyleId,
  at: number
): Draft[] {
  const grams = made.mass.si;
  return [
    ...leaving(parent, made, at),
    draft('slices.lifted', `piece:${made.code}`, at, {
      what: lies.what,
      style,
      count: lies.count,
      gramsEach: lies.count === null ? null : grams / lies.count,
      thicknessMm: made.thicknessMm,
      angleDegrees: lies.angle
    })
  ];
}

/** What is kept of the rest, as a piece of its own. */
export function offcutEntries(
  parent: PieceState,
  code: string,
  mass: Typed,
  { use, style }: { readonly use: Use; readonly style: StyleId },
  house: HouseState,
  at: number
): Draft[] {
  const { lot, name } = parent.made;
  const grade = use === 'raw' ? 'prime' : 'by-product';
  const creditPerKg = creditFor(house, use, grade);
  return cutOff(
    parent,
    { code, lot, name: offcutName(name, use), form: 'portion', mass, thicknessMm: null, use, grade, creditPerKg },
    { what: 'off-cut', count: null, angle: null },
    style,
    at
  );
}

/**
 * What nobody weighed but the scale misses: a gap larger than the scale may be out by has to be said.
 *
 * @param weighed all that was weighed, g
 * @throws EmberError `record.not-balanced`
 */
export function checkGap(gap: number, weighed: readonly number[], reason: string, house: HouseState): void {
  const interval = scaleIntervalOf(house);
  const tolerance = weighed.filter((load) => load > 0).reduce((sum, load) => sum + scaleError(load, interval), 0);
  if (Math.abs(gap) > tolerance && reason === '') {
    throw new EmberError('record.not-balanced', { field: 'gapReason', unit: 'g', seen: gap, max: tolerance });
  }
}

/** @throws EmberError `record.mass-exceeded` where more came off than was there */
export function checkUsed(used: number, there: number, field: string, house: HouseState): void {
  if (used <= there + scaleError(there, scaleIntervalOf(house))) return;
  throw new EmberError('record.mass-exceeded', { field, unit: 'g', max: there, seen: `${Math.round(used)} g` });
}

/** @throws EmberError `record.not-found` for a knife the house does not have */
export function checkKnife(knife: string, house: HouseState): void {
  if (knife !== '' && !house.knives[knife]) throw new EmberError('record.not-found', { field: 'knife', seen: knife });
}

/** What is kept for nothing, and what nobody weighed but the scale misses. */
export function lost(
  piece: string,
  wastes: readonly { readonly what: 'trim' | 'skin'; readonly mass: Typed | null }[],
  { gap, reason }: { readonly gap: number; readonly reason: string },
  at: number
): Draft[] {
  const entry = (what: 'trim' | 'skin' | 'drip' | 'other', mass: Typed, note: string) =>
    draft('piece.wasted', `piece:${piece}`, at, { what, mass, note });
  return [
    ...wastes.flatMap(({ what, mass }) => (mass ? [entry(what, mass, '')] : [])),
    ...(gap > SMEAR ? [entry(reason === '' ? 'drip' : 'other', computedMass(gap), reason)] : [])
  ];
}

/** Whether nothing has happened to a piece since it was lifted, but that it was put somewhere. */
const untouched = ({
  state,
  children
}: {
  readonly state: PieceState;
  readonly children: readonly string[];
}): boolean =>
  children.length === 0 && state.grams === state.made.mass.si && occupantsOf(state).length === 0 && state.gone === null;

/**
 * Undoes a run under the knife: what it gave is no piece any more, the block has its weight again. That it lay out stays.
 *
 * @param patch what its entry says from now on
 * @throws EmberError `record.not-now` where something was done to one of them since
 */
export function putBack(
  store: Store,
  now: number,
  run: { readonly parent: string; readonly seq: number; readonly codes: readonly string[] },
  patch: Readonly<Record<string, unknown>>
): Draft[] {
  const { parent, seq, codes } = run;
  const children = codes.map((code) => store.projections.piece(code));
  if (!children.every(untouched)) throw notNow('piece', 'worked-on');
  const { recorded } = store.record.event(seq)!;
  const reason = 'not cut after all';
  // What was written in the same breath goes with it.
  const undone = store.record
    .eventsOf(`piece:${parent}`)
    .filter((event) => event.seq > seq && event.recorded === recorded)
    .filter(
      (event) => event.kind === 'piece.wasted' || (event.kind === 'piece.gave' && codes.includes(event.body.child))
    );
  return [
    ...undone.map((event) => voided(event.seq, `piece:${parent}`, now, reason)),
    ...children.map(({ state }) => voided(state.made.seq, `piece:${state.id}`, now, reason)),
    draft('entry.amended', `piece:${parent}`, now, {
      amends: seq,
      void: false,
      happened: null,
      patch,
      reason,
      widens: []
    })
  ];
}
