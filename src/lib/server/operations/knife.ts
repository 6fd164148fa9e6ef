import { EmberError } from '../../core/errors.ts';
import { slicePlan, sliceSet } from '../../core/activity/slice/plan.ts';
import { cutFor, type SliceOutcome } from '../../core/bench/slice/settings.ts';
import { evenness, weightsTold } from '../../core/bench/slice/evenness.ts';
import { knifeSeconds } from '../../core/bench/slice/time.ts';
import { choice, neededText, optionalQuantity, pick, pieceId, ticked, when } from '../../core/fields/field.ts';
import type { Typed } from '../../core/measure/parse.ts';
import type { HouseState } from '../../core/record/house.ts';
import { isIn } from '../../core/record/occupation.ts';
import type { PieceState } from '../../core/record/piece.ts';
import { slicesName } from '../../words/slices.ts';
import { aimOf, sliceSubject } from '../facts/slicing.ts';
import { draft, type Draft } from '../store/record.ts';
import {
  begunAt,
  checkGap,
  checkKnife,
  checkRuler,
  checkUsed,
  cutOff,
  lost,
  offcutEntries,
  offTheKnife,
  putBack,
  RULER,
  SMEAR
} from './board-knife.ts';
import { after, pieceForStep } from './guard.ts';
import { operation } from './operation.ts';
import { checkMass, computedMass, movedTo, nextCodes, PART_MASS } from './pieces.ts';
import { z } from 'zod';

export const cutInput = slicePlan.extend({
  mass: optionalQuantity('mass', PART_MASS).describe(
    'of all slices of the first row, weighed; by the ruler when empty'
  ),
  mass2: optionalQuantity('mass', PART_MASS).describe('of the second row'),
  mass3: optionalQuantity('mass', PART_MASS).describe('of the third row'),
  ends: ticked.describe('nothing of the block stays'),
  offcut: optionalQuantity('mass', PART_MASS).describe('what is kept of the rest, weighed'),
  ...offTheKnife,
  begun: when.describe('when the block left the cold; when empty, as long before as so many slices take')
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
  checkGap(gap, [there, sliced, waste, offcut?.si ?? 0], input.gapReason, house);
  return { waste, offcut, gap };
}

function sliceEntries(
  parent: PieceState,
  code: string,
  each: Lot,
  input: CutInput,
  { cuts }: HouseState,
  at: number
): Draft[] {
  const style = (each.row === 0 ? '' : input[`style${(each.row + 1) as 2 | 3}`]) || input.style;
  const { lot, name, use } = parent.made;
  const own = each.row === 0 ? cuts[input.cut]?.name : undefined;
  const thicknessMm = Math.max(0.5, Number(each.thickness.toFixed(2)));
  return cutOff(
    parent,
    { code, lot, name: slicesName(name, style, own), form: 'portion', mass: each.mass, thicknessMm, use },
    { what: 'slices', count: each.count, angle: each.angle },
    style,
    at
  );
}
/** @throws EmberError `record.mass-exceeded`, `slice.none` */
function checkCut(input: CutInput, cut: SliceOutcome, there: number): void {
  checkRuler(cut.blockGrams, there);
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
    checkKnife(input.knife, house);
    const said = input.begun === undefined || input.begun === '' ? null : instant(input.begun, 'begun');
    const begun = begunAt(state, at, knifeSeconds(cut.pieces), said);
    const lots = lotsOf(input, cut, there);
    const sliced = lots.reduce((sum, { mass }) => sum + mass.si, 0);
    const { waste, offcut, gap } = restOf(input, there, sliced, house);
    const used = sliced + waste + (offcut?.si ?? 0);
    checkUsed(used, there, input.mass ? 'mass' : 'offcut', house);
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
          offcut: off,
          knife: input.knife
        }),
        ...lots.flatMap((each, index) => sliceEntries(state, codes[index]!, each, input, house, at)),
        ...(off && offcut
          ? offcutEntries(state, off, offcut, { use: input.offcutUse, style: input.style }, house, at)
          : []),
        ...lost(state.id, [{ what: 'trim', mass: input.waste }], { gap, reason: input.gapReason }, at),
        // Nobody said where: then all of it lies where it lay, and its time in the warm runs on.
        ...(input.place === '' ? [] : [...codes, ...stays].map(back))
      ],
      result: { piece: slices[0]!, pieces: cut.pieces, pieceGrams, slices, offcut: off, left }
    };
  }
});

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
    return {
      events: putBack(
        store,
        now,
        { parent, seq: run.seq, codes },
        { pieces: 0, slices: [], offcut: null, offcutGrams: 0 }
      ),
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
