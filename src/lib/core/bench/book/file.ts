import { z } from 'zod';
import { PAGE_BODIES, type PageBody, type PageShape } from '../../activity/book/bodies.ts';
import { EmberError } from '../../errors.ts';
import { readFileAs } from '../../fields/trouble.ts';
import { settingsOf } from '../cure/recipe.ts';

/** The file pages travel in: plain JSON, its own version stated; one list, named after what is in it. */
export const FILE_LISTS = { recipe: 'recipes', sauce: 'sauces', dish: 'dishes' } as const;
const MOST_PAGES = 200;

const fileOf = (shape: PageShape) =>
  z.object({
    format: z.literal(`ember-tide-${FILE_LISTS[shape]}`),
    version: z.literal(1),
    [FILE_LISTS[shape]]: z.array(PAGE_BODIES[shape]).min(1).max(MOST_PAGES)
  });

/** What such a file holds. */
export type PagesFile<Shape extends PageShape> = {
  format: `ember-tide-${(typeof FILE_LISTS)[Shape]}`;
  version: 1;
} & Record<(typeof FILE_LISTS)[Shape], PageBody<Shape>[]>;

/** What stands in a file of pages. */
export const pagesAsFile = <Shape extends PageShape>(shape: Shape, pages: readonly PageBody<Shape>[]): string => {
  const list = FILE_LISTS[shape];
  const bodies = pages.map((page) => PAGE_BODIES[shape].parse(page));
  return `${JSON.stringify({ format: `ember-tide-${list}`, version: 1, [list]: bodies }, null, 2)}\n`;
};

/**
 * Pages out of a file somebody hands in. All or none.
 *
 * @throws EmberError `recipe.unreadable` saying which page and which of its fields
 */
export function readPages<Shape extends PageShape>(shape: Shape, text: string): PageBody<Shape>[] {
  const list = FILE_LISTS[shape];
  const file = readFileAs('recipe.unreadable', fileOf(shape), text, { list }) as Record<string, unknown>;
  const pages = file[list] as PageBody<Shape>[];
  if (shape === 'recipe') {
    for (const [index, page] of (pages as PageBody<'recipe'>[]).entries()) {
      try {
        settingsOf(page);
      } catch {
        const details = { field: `${list}.${index}.lines` };
        throw new EmberError('recipe.unreadable', {
          list,
          field: 'file',
          because: { code: 'form.incomplete', details }
        });
      }
    }
  }
  return pages;
}
