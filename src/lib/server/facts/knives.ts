import type { Knife } from '../../core/activity/slice/fold.ts';
import type { Room } from '../room.ts';
import type { Store } from '../store/store.ts';

/** Slicings that are looked at: of a few months of a busy counter. */
const MOST = 2000;
/** One long cut for each side of a block. */
const STROKES_A_BLOCK = 4;

export interface KnifeNow extends Knife {
  /** Since it was last sharpened, or all of them. */
  readonly strokes: number;
  readonly isDue: boolean;
}

/** Counted once for a board's newest run: every screen that has something to do asks for it. */
const counted = new WeakMap<Store, { readonly of: readonly unknown[]; readonly knives: KnifeNow[] }>();

/** The knives of the house by name, each with its strokes since it got its edge. */
export function knivesNow({ store }: Pick<Room, 'store'>): readonly KnifeNow[] {
  const { knives } = store.projections.currentHouse();
  const newest = (kind: 'piece.sliced' | 'piece.squared') => store.record.list({ kind, limit: 1 })[0]?.seq;
  const of = [knives, newest('piece.sliced'), newest('piece.squared')];
  const known = counted.get(store);
  if (known && of.every((each, index) => each === known.of[index])) return known.knives;
  const fresh = countStrokes(store);
  counted.set(store, { of, knives: fresh });
  return fresh;
}

function countStrokes(store: Store): KnifeNow[] {
  const knives = Object.values(store.projections.currentHouse().knives);
  const strokes = new Map<string, number>();
  const since = new Map(knives.map(({ id, sharpened }) => [id, sharpened?.at ?? -Infinity]));
  const cut = (knife: string, at: number, count: number) => {
    if (at >= (since.get(knife) ?? Infinity)) strokes.set(knife, (strokes.get(knife) ?? 0) + count);
  };
  for (const kind of knives.length > 0 ? (['piece.sliced', 'piece.squared'] as const) : []) {
    for (const event of store.record.list({ kind, limit: MOST })) {
      // As it was written: strokes of a slicing that was put back were made all the same.
      if (event.kind === 'piece.sliced') cut(event.body.knife, event.happened, event.body.pieces);
      else if (event.kind === 'piece.squared')
        cut(event.body.knife, event.happened, STROKES_A_BLOCK * event.body.blocks.length);
    }
  }
  return knives
    .map((knife) => {
      const made = strokes.get(knife.id) ?? 0;
      return { ...knife, strokes: made, isDue: made >= knife.every };
    })
    .sort((a, b) => a.name.localeCompare(b.name));
}

/** Slicings of a night or two. */
const LATELY = 50;
/** The knife that a person cut with last, by its id; an empty text where nobody knows, or where it is gone. */
export function knifeLately({ store }: Room, person: string | null): string {
  const own = store.record
    .list({ kind: 'piece.sliced', limit: LATELY })
    .find((event) => event.kind === 'piece.sliced' && event.actor === person && event.body.knife !== '');
  const last = own?.kind === 'piece.sliced' ? own.body.knife : '';
  return store.projections.currentHouse().knives[last] ? last : '';
}
