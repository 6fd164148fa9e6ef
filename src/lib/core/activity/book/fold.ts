import type { BodyOf } from '../../record/events.ts';
import { houseSlice } from '../../record/house-slice.ts';
import { stamp, type Stamped } from '../../record/stamped.ts';
import type { PageBody, PageShape } from './bodies.ts';

/** One version of a page, and who wrote it. */
export interface PageVersion<Shape extends PageShape> extends Stamped {
  readonly id: string;
  readonly version: number;
  readonly page: PageBody<Shape>;
  readonly reason: string;
  readonly withdrawn: boolean;
}
type Noted = Stamped & BodyOf<'recipe.noted'>;
/** What the house wrote into one part of its book, by page: versions oldest first, the last of them in use; and notes. */
export interface HousePages<Shape extends PageShape> {
  readonly versions: Readonly<Record<string, readonly PageVersion<Shape>[]>>;
  readonly notes: readonly Noted[];
}
export interface Book {
  readonly pages: { readonly [Shape in PageShape]: HousePages<Shape> };
  /** Dishes that are off, by id: until when, ms. */
  readonly off: Readonly<Record<string, number>>;
}
const EMPTY = { versions: {}, notes: [] };

/** One more version of a page of the book. */
function written<Shape extends PageShape>(
  shape: Shape,
  { pages }: Pick<Book, 'pages'>,
  version: PageVersion<Shape>
): Pick<Book, 'pages'> {
  const of: HousePages<Shape> = pages[shape];
  const before = of.versions[version.id] ?? [];
  return { pages: { ...pages, [shape]: { ...of, versions: { ...of.versions, [version.id]: [...before, version] } } } };
}
const noted = (shape: PageShape, { pages }: Pick<Book, 'pages'>, note: Noted): Pick<Book, 'pages'> => ({
  pages: { ...pages, [shape]: { ...pages[shape], notes: [...pages[shape].notes, note] } }
});

export const bookSlice = houseSlice<Book>({
  start: { pages: { recipe: EMPTY, sauce: EMPTY, dish: EMPTY }, off: {} },
  on: {
    'recipe.set': (book, event) => written('recipe', book, { ...stamp(event), ...event.body }),
    'sauce.set': (book, event) => written('sauce', book, { ...stamp(event), ...event.body }),
    'dish.set': (book, event) => written('dish', book, { ...stamp(event), ...event.body }),
    'dish.off': ({ off }, { body: { id, until } }) => {
      const { [id]: _, ...others } = off;
      return { off: until === null ? others : { ...others, [id]: until } };
    },
    'recipe.noted': (book, event) => noted('recipe', book, { ...stamp(event), ...event.body }),
    'sauce.noted': (book, event) => noted('sauce', book, { ...stamp(event), ...event.body }),
    'dish.noted': (book, event) => noted('dish', book, { ...stamp(event), ...event.body })
  }
});
