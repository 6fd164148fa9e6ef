import { PAGE_BODIES, type PageBody, type PageShape } from '../../core/activity/book/bodies.ts';
import { SHIPPED_SAUCES } from '../../core/bench/acid/sauces/index.ts';
import { pageChanges, type LineGrams } from '../../core/bench/book/changes.ts';
import { SHIPPED_RECIPES } from '../../core/bench/cure/recipes/index.ts';
import { EmberError } from '../../core/errors.ts';
import type { HouseState } from '../../core/record/house.ts';

/** A version of a page, and where it is from: it ships, or somebody of the house wrote it. */
export interface BookVersion<Shape extends PageShape> {
  readonly version: number;
  readonly page: PageBody<Shape>;
  readonly reason: string;
  /** Null for one that ships. */
  readonly at: number | null;
  readonly by: string | null;
}
/** A page as the book shows it: as it is in use, and all it ever was. */
export type BookPage<Shape extends PageShape> = PageBody<Shape> & {
  readonly id: string;
  readonly version: number;
  /** It ships; the house may have versions of its own over it. */
  readonly shipped: boolean;
  readonly withdrawn: boolean;
  readonly history: readonly BookVersion<Shape>[];
  readonly notes: readonly {
    readonly version: number;
    readonly note: string;
    readonly at: number;
    readonly by: string;
  }[];
};

type Shipped<Shape extends PageShape> = readonly (PageBody<Shape> & { readonly id: string })[];
const SHIPPED: { readonly [Shape in PageShape]: Shipped<Shape> } = {
  recipe: SHIPPED_RECIPES,
  sauce: SHIPPED_SAUCES,
  dish: []
};
type Books = Pick<HouseState, 'pages'>;

/** All pages of a shape: those that ship, and the house's own and own versions over them. */
export function bookOf<Shape extends PageShape>({ pages }: Books, shape: Shape): BookPage<Shape>[] {
  const shipped: Shipped<Shape> = SHIPPED[shape];
  const { versions, notes } = pages[shape];
  const ids = new Set([...shipped.map(({ id }) => id), ...Object.keys(versions)]);
  return [...ids].map((id) => {
    const plain = shipped.find((page) => page.id === id);
    const own = versions[id] ?? [];
    const last = own.at(-1);
    const body = (last?.page ?? plain) as PageBody<Shape>;
    return {
      ...body,
      id,
      version: last?.version ?? 1,
      shipped: plain !== undefined,
      withdrawn: last?.withdrawn ?? false,
      history: [
        ...(plain ? [{ version: 1, page: plain as PageBody<Shape>, reason: '', at: null, by: null }] : []),
        ...own.map(({ version, page, reason, at, by }) => ({ version, page, reason, at, by }))
      ],
      notes: notes.filter((note) => note.id === id).map(({ version, note, at, by }) => ({ version, note, at, by }))
    };
  });
}

/**
 * One page of the book.
 *
 * @throws EmberError `recipe.unknown` naming the shape
 */
export function pageOf<Shape extends PageShape>(house: Books, shape: Shape, id: string): BookPage<Shape> {
  const found = bookOf(house, shape).find((page) => page.id === id);
  if (!found) throw new EmberError('recipe.unknown', { field: shape, seen: id });
  return found;
}

/**
 * A page in one of its versions, and what is different in it from the one before, in grams.
 *
 * @param version the one in use where left out
 * @throws EmberError `recipe.unknown`
 */
export function versionOf<Shape extends PageShape>(
  house: Books,
  shape: Shape,
  id: string,
  version?: number
): {
  readonly page: BookPage<Shape>;
  readonly version: number;
  readonly body: PageBody<Shape>;
  readonly changes: LineGrams[];
} {
  const page = pageOf(house, shape, id);
  const asked = version ?? page.version;
  const index = page.history.findLastIndex((each) => each.version === asked);
  const found = page.history[index];
  if (!found) throw new EmberError('recipe.unknown', { field: 'version', seen: asked });
  const before = page.history.findLast((each, at) => at < index && each.version < asked);
  return { page, version: asked, body: found.page, changes: before ? pageChanges(shape, before.page, found.page) : [] };
}

/** The number a page's next version gets; 1 for a page that is not there yet. */
export function nextVersion(house: Books, shape: PageShape, id: string): number {
  const known = bookOf(house, shape).find((page) => page.id === id);
  return known ? Math.max(...known.history.map(({ version }) => version)) + 1 : 1;
}

/** Whether two bodies of a page say the same. */
export const alike = (shape: PageShape, one: unknown, other: unknown): boolean =>
  JSON.stringify(PAGE_BODIES[shape].parse(one)) === JSON.stringify(PAGE_BODIES[shape].parse(other));

/** The shipped page of a name: a file of somebody else's brings it back under its own id. */
export const shippedNamed = (shape: PageShape, name: string): string | null =>
  SHIPPED[shape].find((page) => page.name === name)?.id ?? null;

/** A page as a list of the book shows it. */
export const cardOf = <Shape extends PageShape>(page: BookPage<Shape>, group: string) => ({
  id: page.id,
  name: page.name,
  group,
  goodFor: page.goodFor,
  version: page.version,
  own: !page.shipped || page.history.length > 1,
  withdrawn: page.withdrawn,
  notes: page.notes.length
});
