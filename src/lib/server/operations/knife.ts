import { EmberError } from '../../core/errors.ts';
import { slicePlan, sliceSet } from '../../core/activity/slice/plan.ts';
import { USES, type pieceMade } from '../../core/activity/piece/bodies.ts';
import { scaleError, scaleIntervalOf } from '../../core/bench/breakdown/mass.ts';
import { cutFor, type SliceOutcome } from '../../core/bench/slice/settings.ts';
import { evenness, weightsTold } from '../../core/bench/slice/evenness.ts';
import { knifeSeconds } from '../../core/bench/slice/time.ts';
import {
  choice,
  neededText,
  optionalQuantity,
  pick,
  pieceId,
  shortText,
  TEMPERATURE,
  ticked,
  when
} from '../../core/fields/field.ts';
import type { Typed } from '../../core/measure/parse.ts';
import type { HouseState } from '../../core/record/house.ts';
import { isIn, occupantsOf } from '../../core/record/occupation.ts';
import type { PieceState } from '../../core/record/piece.ts';
import { offcutName, slicesName } from '../../words/slices.ts';
import { aimOf, sliceSubject } from '../facts/slicing.ts';
import { draft, type Draft } from '../store/record.ts';
import { after, pieceForStep } from './guard.ts';
import { voided } from './board.ts';
import { notNow } from './not-now.ts';
import { operation } from './operation.ts';
import { checkMass, computedMass, creditFor, leaving, movedTo, nextCodes, PART_MASS } from './pieces.ts';
import { z } from 'zod';

/** The ruler and the scale disagree a little; a block of so much more than its weight is another block. */
const RULER = { times: 1.25, grams: 5 } as const;
/** Less than this is a smear on the board. g */
const SMEAR = 0.5;

export const cutInput = slicePlan.extend({
  mass: optionalQuantity('mass', PART_MASS).describe(
    'of all slices of the first row, weighed; by the ruler when empty'
  ),
  mass2: optionalQuantity('mass', PART_MASS).describe('of the second row'),
  mass3: optionalQuantity('mass', PART_MASS).describe('of the third row'),
  ends: ticked.describe('nothing of the block stays'),
  offcut: optionalQuantity('mass', PART_MASS).describe('what is kept of the rest, weighed'),
  offcutUse: choice(USES, 'mince'),
  waste: optionalQuantity('mass', PART_MASS).describe('trim that is kept for nothing'),
  gapReason: shortText(200).describe('where more than the scale can be out by went'),
  begun: when.describe('when the block left the cold; when empty, as long before as so many slices take'),
  place: shortText(60).describe('where all of it goes; empty: it stays out, and its time runs'),
  core: optionalQuantity('temperature', TEMPERATURE).describe('core as it goes back'),
  at: when
});

type CutInput = z.output<typeof cutInput>;

/** What comes of one row: weighed, or by the ruler as the scale puts it right. */
interface Lot {
  readonly row: number;
  readonly count: number;
  readonly mass: Typed;
  readonly thickness: number;
  readonly angle: number;
}

function lotsOf(input: CutInput, cut: SliceOutcome, there: number): Lot[] {
  // The scale is believed: what the ruler has more or less of is shared out over all of it.
  const share = Math.min(RULER.times, there / cut.blockGrams);
  return cut.sequence.flatMap((row, order): Lot[] => {
    const { pieces, grams } = cut.rows[order]!;
    if (pieces === 0) return [];
    const own = cut.slices.filter((slice) => slice.row === order);
    const weighed = [input.mass, input.mass2, input.mass3][row] ?? null;
    return [
      {
        row,
        count: pieces,
        mass: weighed ?? computedMass(grams * share),
        thickness: own.reduce((sum, each) => sum + each.thickness, 0) / own.length,
        angle: own[0]!.from.angle
      }
    ];
  });
}

/** What is kept of the rest, and what of the block stays: grams that add up to what was there. */
function restOf(input: CutInput, there: number, sliced: number, house: HouseState) {
  const waste = input.waste?.si ?? 0;
  const left = there - sliced - waste;
  const isEnd = input.count === null || input.ends;
  if (!isEnd) return { waste, offcut: input.offcut, gap: 0 };
  const offcut = input.offcut ?? (left > SMEAR ? computedMass(left) : null);
  const gap = left - (offcut?.si ?? 0);
  const interval = scaleIntervalOf(house);
  const tolerance = [there, sliced, waste, offcut?.si ?? 0]
    .filter((load) => load > 0)
    .reduce((sum, load) => sum + scaleError(load, interval), 0);
  if (Math.abs(gap) > tolerance && input.gapReason === '') {
    throw new EmberError('record.not-balanced', { field: 'gapReason', unit: 'g', seen: gap, max: tolerance });
  }
  return { waste, offcut, gap };
}

/** A piece that was cut off, and what says of it that it lies out on the board. */
function cutOff(
  parent: PieceState,
  made: Pick<z.input<typeof pieceMade>, 'code' | 'lot' | 'name' | 'form' | 'mass' | 'thicknessMm'> &
    Partial<z.input<typeof pieceMade>>,
  lies: { readonly what: 'slices' | 'off-cut'; readonly count: number | null; readonly angle: number | null },
  style: CutInput['style'],
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

function sliceEntries(parent: PieceState, code: string, each: Lot, input: CutInput, at: number): Draft[] {
  const style = (each.row === 0 ? '' : input[`style${(each.row + 1) as 2 | 3}`]) || input.style;
  const { lot, name, use } = parent.made;
  const thicknessMm = Math.max(0.5, Number(each.thickness.toFixed(2)));
  return cutOff(
    parent,
    { code, lot, name: slicesName(name, style), form: 'portion', mass: each.mass, thicknessMm, use },
    { what: 'slices', count: each.count, angle: each.angle },
    style,
    at
  );
}
function offcutEntries(
  parent: PieceState,
  code: string,
  mass: Typed,
  { offcutUse: use, style }: CutInput,
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

/** @throws EmberError `record.mass-exceeded`, `slice.none` */
function checkCut(input: CutInput, cut: SliceOutcome, there: number): void {
  if (cut.blockGrams > there * RULER.times + RULER.grams) {
    const seen = `${Math.round(cut.blockGrams)} g`;
    throw new EmberError('record.mass-exceeded', { field: 'length', unit: 'g', max: there, seen });
  }
  if (cut.pieces === 0) {
    const most = cut.rows[0]!.mostGrams;
    throw new EmberError('slice.none', {
      field: input.by === 'weight' ? 'grams' : 'thickness',
      ...(most === null ? {} : { seen: input.grams?.typed ?? '', unit: 'g', max: Math.floor(most * 10) / 10 })
    });
  }
  for (const field of ['mass', 'mass2', 'mass3', 'offcut', 'waste'] as const) {
    if (input[field]) checkMass(input[field], there, 0, false);
  }
}

/** When it left the cold: as was said, else as long before as so many slices take. @throws EmberError `time.out-of-order` */
function begunAt(input: CutInput, { made }: PieceState, at: number, slices: number, said: number | null): number {
  const begun = said ?? Math.max(made.at, at - knifeSeconds(slices) * 1000);
  if (begun > at || begun < made.at)
    throw new EmberError('time.out-of-order', { field: 'begun', seen: input.begun ?? '' });
  return begun;
}

/** What is kept for nothing, and what nobody weighed but the scale misses. */
function lost(input: CutInput, piece: string, gap: number, at: number): Draft[] {
  const entry = (what: 'trim' | 'drip' | 'other', mass: Typed, note: string) =>
    draft('piece.wasted', `piece:${piece}`, at, { what, mass, note });
  return [
    ...(input.waste ? [entry('trim', input.waste, '')] : []),
    ...(gap > SMEAR ? [entry(input.gapReason === '' ? 'drip' : 'other', computedMass(gap), input.gapReason)] : [])
  ];
}

export const recordSlice = operation({
  name: 'record-slice',
  page: '/slice',
  summary: 'Cut a block into slices: they become a piece, counted and weighed, and so does what is kept of the rest.',
  input: cutInput,
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, instant }, input) {
    const { state, lot } = pieceForStep(store, input.piece, 'slice');
    const at = after(state, instant(input.at, 'at'), input.at);
    const cut = cutFor(input, sliceSubject(lot, house));
    const there = state.grams;
    checkCut(input, cut, there);
    const said = input.begun === undefined || input.begun === '' ? null : instant(input.begun, 'begun');
    const begun = begunAt(input, state, at, cut.pieces, said);
    const lots = lotsOf(input, cut, there);
    const sliced = lots.reduce((sum, { mass }) => sum + mass.si, 0);
    const { waste, offcut, gap } = restOf(input, there, sliced, house);
    const used = sliced + waste + (offcut?.si ?? 0);
    if (used > there + scaleError(there, scaleIntervalOf(house))) {
      const field = input.mass ? 'mass' : 'offcut';
      throw new EmberError('record.mass-exceeded', { field, unit: 'g', max: there, seen: `${Math.round(used)} g` });
    }
    const codes = nextCodes(store, lot.id, lots.length + (offcut ? 1 : 0));
    const off = offcut ? codes.at(-1)! : null;
    const pieceGrams = lots[0]!.mass.si / lots[0]!.count;
    const slices = lots.map((_, index) => codes[index]!);
    const left = Math.max(0, there - used - Math.max(0, gap));
    const back = (id: string) => movedTo(house, { id, outs: [{ from: begun, to: null }] }, input.place, input.core, at);
    const stays = left > SMEAR && !isIn(state, 'board') ? [state.id] : [];
    return {
      events: [
        draft('piece.sliced', `piece:${state.id}`, at, {
          ...pick(input, sliceSet),
          pieces: cut.pieces,
          pieceGrams,
          offcutGrams: offcut?.si ?? 0,
          begun,
          slices,
          offcut: off
        }),
        ...lots.flatMap((each, index) => sliceEntries(state, codes[index]!, each, input, at)),
        ...(off && offcut ? offcutEntries(state, off, offcut, input, house, at) : []),
        ...lost(input, state.id, gap, at),
        // Nobody said where: then all of it lies where it lay, and its time in the warm runs on.
        ...(input.place === '' ? [] : [...codes, ...stays].map(back))
      ],
      result: { piece: slices[0]!, pieces: cut.pieces, pieceGrams, slices, offcut: off, left }
    };
  }
});

/** Whether nothing has happened to a piece since it was lifted, but that it was put somewhere. */
const untouched = ({
  state,
  children
}: {
  readonly state: PieceState;
  readonly children: readonly string[];
}): boolean =>
  children.length === 0 && state.grams === state.made.mass.si && occupantsOf(state).length === 0 && state.gone === null;

export const putSlicesBack = operation({
  name: 'put-slices-back',
  page: '/slice',
  summary:
    'Undo a slicing: what it gave is no piece any more, the block has its weight again. The time it lay out is spent.',
  input: z.object({ piece: pieceId.describe('the slices, or the off-cut') }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, now }, input) {
    const [parent = ''] = store.projections.piece(input.piece).state.made.parents;
    const block = parent === '' ? null : store.projections.piece(parent);
    const run = block?.state.slices.find(({ plan }) => [...plan.slices, plan.offcut].includes(input.piece));
    if (!block || !run) throw new EmberError('record.not-found', { field: 'piece', seen: input.piece });
    const codes = [...run.plan.slices, ...(run.plan.offcut ? [run.plan.offcut] : [])];
    const children = codes.map((code) => store.projections.piece(code));
    if (!children.every(untouched)) throw notNow('piece', 'worked-on');
    const { recorded } = store.record.event(run.seq)!;
    const reason = 'not cut after all';
    // What was written in the same breath goes with it; that it lay out stays.
    const undone = store.record
      .eventsOf(`piece:${parent}`)
      .filter((event) => event.seq > run.seq && event.recorded === recorded)
      .filter(
        (event) => event.kind === 'piece.wasted' || (event.kind === 'piece.gave' && codes.includes(event.body.child))
      );
    return {
      events: [
        ...undone.map(({ seq }) => voided(seq, `piece:${parent}`, now, reason)),
        ...children.map(({ state }) => voided(state.made.seq, `piece:${state.id}`, now, reason)),
        draft('entry.amended', `piece:${parent}`, now, {
          amends: run.seq,
          void: false,
          happened: null,
          patch: { pieces: 0, slices: [], offcut: null, offcutGrams: 0 },
          reason,
          widens: []
        })
      ],
      result: { piece: parent, grams: run.plan.pieces * run.plan.pieceGrams }
    };
  }
});

/** Slices that were weighed may weigh so much more than all of them did: the scale, twice. */
const WEIGHED_MORE = 1.1;

export const weighSlices = operation({
  name: 'weigh-slices',
  page: '/slice',
  summary:
    'Weigh slices one by one, or in rows of five, in the order in which they were cut: how even they are, and how a hand is out.',
  input: z.object({
    piece: pieceId.describe('the slices'),
    weights: neededText(4000).describe('weights in the order of cutting, g or with a unit each'),
    per: choice(['1', '5'], '1').describe('slices in each weighing')
  }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, now }, input) {
    const { state } = store.projections.piece(input.piece);
    const { lifted } = state;
    if (!lifted || lifted.count === null || lifted.gramsEach === null) {
      throw new EmberError('record.not-found', { field: 'piece', seen: input.piece });
    }
    const weights = weightsTold(input.weights);
    const per = Number(input.per);
    const { aim: aimGrams, cut: cutGrams } = aimOf(store, state)!;
    const told = evenness(
      weights.map((grams) => grams / per),
      aimGrams
    );
    const all = weights.reduce((sum, grams) => sum + grams, 0);
    if (weights.length * per > lifted.count || all > state.made.mass.si * WEIGHED_MORE + RULER.grams) {
      throw new EmberError('record.mass-exceeded', {
        field: 'weights',
        unit: 'g',
        max: state.made.mass.si,
        seen: `${Math.round(all)} g, ${weights.length * per}`
      });
    }
    return {
      events: [
        draft('slices.weighed', `piece:${input.piece}`, now, { weights, per, aimGrams, cutGrams, style: lifted.style })
      ],
      result: { piece: input.piece, ...told, odd: [...told.odd] }
    };
  }
});
