import { z } from 'zod';
import { squarePlan, squareSet } from '../../core/activity/slice/plan.ts';
import { squareOrder } from '../../core/bench/slice/settings.ts';
import { squareOrThrow, type SquareOut } from '../../core/bench/slice/square.ts';
import { squaringSeconds } from '../../core/bench/slice/time.ts';
import { EmberError } from '../../core/errors.ts';
import { optionalQuantity, pick, pieceId, when } from '../../core/fields/field.ts';
import type { Typed } from '../../core/measure/parse.ts';
import { blockName } from '../../words/slices.ts';
import { sliceSubject } from '../facts/slicing.ts';
import { draft } from '../store/record.ts';
import {
  begunAt,
  checkGap,
  checkKnife,
  checkRuler,
  checkUsed,
  lost,
  offcutEntries,
  offTheKnife,
  putBack,
  SMEAR
} from './board-knife.ts';
import { after, pieceForStep } from './guard.ts';
import { operation } from './operation.ts';
import { checkMass, computedMass, leaving, movedTo, nextCodes, PART_MASS } from './pieces.ts';

const squareInput = squarePlan.extend({
  mass: optionalQuantity('mass', PART_MASS).describe('of all blocks together, weighed; by the ruler when empty'),
  skinMass: optionalQuantity('mass', PART_MASS).describe('of the skin, weighed; by the ruler when empty'),
  offcut: optionalQuantity('mass', PART_MASS).describe('what is kept of the rest, weighed; all of it when empty'),
  ...offTheKnife,
  begun: when.describe('when it left the cold; when empty, as long before as so many blocks take')
});
type SquareInput = z.output<typeof squareInput>;

/** Grams of each block and of the rest, adding up to what was there. */
function sharesOf(input: SquareInput, out: SquareOut, there: number) {
  // The scale is believed: what the ruler has more or less of is shared out over all of it.
  const share = there / out.wholeGrams;
  const blocksGrams = input.mass?.si ?? out.grams * share;
  const skin: Typed | null =
    input.skinMass ?? (out.losses.skin * share > SMEAR ? computedMass(out.losses.skin * share) : null);
  const blocks = out.blocks.map(({ grams }) => computedMass((grams / out.grams) * blocksGrams));
  const waste = input.waste?.si ?? 0;
  const left = there - blocksGrams - (skin?.si ?? 0) - waste;
  const offcut = input.offcut ?? (left > SMEAR ? computedMass(left) : null);
  const gap = left - (offcut?.si ?? 0);
  return { blocks, blocksGrams, skin, waste, offcut, gap };
}

export const squarePiece = operation({
  name: 'square-piece',
  page: '/slice/square',
  summary:
    'Square a side or a loin into blocks of one height and width: each is a piece that knows its size, and the rest is kept or weighed by name.',
  input: squareInput,
  subject: (input) => `piece:${input.piece}`,
  run({ store, house, instant }, input) {
    const { state, lot } = pieceForStep(store, input.piece, 'slice');
    const at = after(state, instant(input.at, 'at'), input.at);
    const out = squareOrThrow(squareOrder(input, sliceSubject(lot, house)));
    const there = state.grams;
    checkRuler(out.wholeGrams, there);
    checkKnife(input.knife, house);
    for (const field of ['mass', 'skinMass', 'offcut', 'waste'] as const) {
      if (input[field]) checkMass(input[field], there, 0, false);
    }
    const said = input.begun === undefined || input.begun === '' ? null : instant(input.begun, 'begun');
    const begun = begunAt(state, at, squaringSeconds(out.blocks.length), said);
    const { blocks, blocksGrams, skin, waste, offcut, gap } = sharesOf(input, out, there);
    const used = blocksGrams + (skin?.si ?? 0) + waste + (offcut?.si ?? 0);
    checkUsed(used, there, input.mass ? 'mass' : 'offcut', house);
    checkGap(gap, [there, blocksGrams, skin?.si ?? 0, waste, offcut?.si ?? 0], input.gapReason, house);
    const codes = nextCodes(store, lot.id, blocks.length + (offcut ? 1 : 0));
    const off = offcut ? codes.at(-1)! : null;
    const { name, use } = state.made;
    const size = { heightMm: input.wantHeight.si, widthMm: input.wantWidth.si };
    const back = (id: string) => movedTo(house, { id, outs: [{ from: begun, to: null }] }, input.place, input.core, at);
    return {
      events: [
        draft('piece.squared', `piece:${state.id}`, at, {
          ...pick(input, squareSet),
          begun,
          blocks: codes.slice(0, blocks.length),
          offcut: off,
          knife: input.knife
        }),
        ...out.blocks.flatMap(({ from, to }, index) => {
          const code = codes[index]!;
          const made = { code, lot: lot.id, name: blockName(name, index + 1), use, mass: blocks[index]! };
          const lengthMm = Math.round((to - from) * 10) / 10;
          return [
            ...leaving(state, { ...made, form: 'block', thicknessMm: size.heightMm }, at),
            draft('block.sized', `piece:${code}`, at, { lengthMm, ...size })
          ];
        }),
        ...(off && offcut
          ? offcutEntries(state, off, offcut, { use: input.offcutUse, style: 'straight' }, house, at)
          : []),
        ...lost(
          state.id,
          [
            { what: 'skin', mass: skin },
            { what: 'trim', mass: input.waste }
          ],
          { gap, reason: input.gapReason },
          at
        ),
        // Nobody said where: then all of it lies where it lay, and its time in the warm runs on.
        ...(input.place === '' ? [] : codes.map(back))
      ],
      result: { piece: codes[0]!, blocks: codes.slice(0, blocks.length), offcut: off, grams: blocksGrams }
    };
  }
});

export const putBlocksBack = operation({
  name: 'put-blocks-back',
  page: '/slice/square',
  summary:
    'Undo a squaring: its blocks are no pieces any more, the side has its weight again. The time it lay out is spent.',
  input: z.object({ piece: pieceId.describe('one of its blocks, or the off-cut') }),
  subject: (input) => `piece:${input.piece}`,
  run({ store, now }, input) {
    const [parent = ''] = store.projections.piece(input.piece).state.made.parents;
    const side = parent === '' ? null : store.projections.piece(parent);
    const run = side?.state.squarings.find(({ plan }) => [...plan.blocks, plan.offcut].includes(input.piece));
    if (!run) throw new EmberError('record.not-found', { field: 'piece', seen: input.piece });
    const codes = [...run.plan.blocks, ...(run.plan.offcut ? [run.plan.offcut] : [])];
    return {
      events: putBack(store, now, { parent, seq: run.seq, codes }, { blocks: [], offcut: null }),
      result: { piece: parent, blocks: run.plan.blocks.length }
    };
  }
});
