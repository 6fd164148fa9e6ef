import type { BodyOf } from '../../record/events.ts';
import { houseSlice, put } from '../../record/house-slice.ts';
import { pieceSlice } from '../../record/slice.ts';
import type { StyleId } from './lists.ts';
import { stamp, type Stamped } from '../../record/stamped.ts';

export interface SliceRun extends Stamped {
  readonly plan: BodyOf<'piece.sliced'>;
}
/** What a piece is that was cut from a block: so many slices. */
export type Lifted = Stamped & BodyOf<'slices.lifted'>;

/** Slices of it as they were weighed. */
export type SlicesWeighed = Stamped & BodyOf<'slices.weighed'>;

export interface SquareRun extends Stamped {
  readonly plan: BodyOf<'piece.squared'>;
}
/** What a ruler says of a squared block. */
export type BlockSize = BodyOf<'block.sized'>;

export const sliceSlice = pieceSlice<{
  slices: SliceRun[];
  lifted: Lifted | null;
  weighed: SlicesWeighed[];
  squarings: SquareRun[];
  blockSize: BlockSize | null;
}>({
  start: () => ({ slices: [], lifted: null, weighed: [], squarings: [], blockSize: null }),
  on: {
    'piece.sliced': ({ slices }, event, piece) => {
      slices.push({ ...stamp(event), plan: event.body });
      // What was cut before its slices were pieces says nothing of where it lay.
      const { begun } = event.body;
      if (begun === null) return;
      piece.goesOut({ ...event, happened: begun }, null);
      piece.leavesPlace(event);
    },
    'piece.squared': ({ squarings }, event, piece) => {
      squarings.push({ ...stamp(event), plan: event.body });
      piece.goesOut({ ...event, happened: event.body.begun }, null);
      piece.leavesPlace(event);
    },
    'block.sized': (kept, event, piece) => {
      kept.blockSize = event.body;
      piece.goesOut(event, null);
    },
    'slices.lifted': (kept, event, piece) => {
      kept.lifted = { ...stamp(event), ...event.body };
      piece.goesOut(event, null);
    },
    'slices.weighed': ({ weighed }, event) => void weighed.push({ ...stamp(event), ...event.body })
  }
});

export interface Knife extends Omit<BodyOf<'knife.set'>, 'withdrawn'> {
  readonly sharpened: (Stamped & Pick<BodyOf<'knife.sharpened'>, 'how' | 'note'>) | null;
}
export type HouseStyle = Omit<BodyOf<'style.set'>, 'withdrawn'>;
export type HouseCut = Omit<BodyOf<'cut.set'>, 'withdrawn'>;
/** The knives of the house, and when each got its edge. */
export interface SliceBooks {
  readonly knives: Readonly<Record<string, Knife>>;
  /** Cuts the house has otherwise than usual. */
  readonly styles: Readonly<Partial<Record<StyleId, HouseStyle>>>;
  /** Cuts of its own, by id. */
  readonly cuts: Readonly<Record<string, HouseCut>>;
}
export const sliceBooks = houseSlice<SliceBooks>({
  start: { knives: {}, styles: {}, cuts: {} },
  on: {
    'knife.set': ({ knives }, { body: { withdrawn, ...own } }) => ({
      knives: put(knives, { ...own, sharpened: knives[own.id]?.sharpened ?? null }, withdrawn)
    }),
    'style.set': ({ styles }, { body: { withdrawn, ...own } }) => {
      const { [own.style]: _, ...others } = styles;
      return { styles: withdrawn ? others : { ...others, [own.style]: own } };
    },
    'cut.set': ({ cuts }, { body: { withdrawn, ...own } }) => ({ cuts: put(cuts, own, withdrawn) }),
    'knife.sharpened': ({ knives }, event) => {
      const { knife, how, note } = event.body;
      const known = knives[knife];
      return known ? { knives: { ...knives, [knife]: { ...known, sharpened: { ...stamp(event), how, note } } } } : {};
    }
  }
});
