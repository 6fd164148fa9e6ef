import { z } from 'zod';
import type { PageBody, PageShape } from '../../core/activity/book/bodies.ts';
import { FILE_LISTS, readPages } from '../../core/bench/book/file.ts';
import { EmberError } from '../../core/errors.ts';
import { neededText, shortText, ticked } from '../../core/fields/field.ts';
import type { HouseState } from '../../core/record/house.ts';
import { alike, bookOf, nextVersion, pageOf, shippedNamed } from '../facts/book.ts';
import { bookId } from '../input/book-id.ts';
import { draft, type Draft } from '../store/record.ts';
import { operation } from './operation.ts';
import { notNow } from './not-now.ts';

/** Where the pages of a shape are done, and what a page is called in a sentence. */
const PLACES = {
  recipe: { list: '/cure/recipes', page: '/cure/recipes/[id]', noun: 'recipe' },
  sauce: { list: '/acid/sauces', page: '/acid/sauces/[id]', noun: 'sauce' },
  dish: { list: '/serve/dishes', page: '/serve/dishes/[id]', noun: 'dish' }
} as const;

/** What is said of any page that is written anew. */
export const pageFields = {
  steps: z.string().max(4000).default(''),
  goodFor: shortText(120),
  reason: shortText(200).describe('what is different in this version')
};

/** Lines of a text, the empty ones left out. */
export const textLines = (text: string) => text.split(/\r?\n/).filter((line) => line.trim() !== '');

const setEvent = <Shape extends PageShape>(
  shape: Shape,
  now: number,
  body: { id: string; version: number; page: PageBody<Shape>; reason: string; withdrawn: boolean }
): Draft => draft(`${shape}.set` as 'recipe.set', 'house', now, body as never);

/** A page's id under the name of its shape, as results have it. */
const called = <Shape extends PageShape>(shape: Shape, id: string) => ({ [shape]: id }) as Record<Shape, string>;

/** The page that is written: the one of that id, or a new one by its name. */
export function pageToWrite(house: HouseState, shape: PageShape, asked: { id: string; name: string }): string {
  if (asked.id !== '') return pageOf(house, shape, asked.id).id;
  const id = bookId(asked.name);
  if (bookOf(house, shape).some((page) => page.id === id && !page.withdrawn)) {
    throw new EmberError('form.value-unknown', { field: 'name', seen: asked.name, taken: true });
  }
  return id;
}

/** A page written anew: its next version, or its first. */
export function written<Shape extends PageShape>(
  { house, now }: { readonly house: HouseState; readonly now: number },
  shape: Shape,
  { id, page, reason }: { id: string; page: PageBody<Shape>; reason: string }
) {
  const version = nextVersion(house, shape, id);
  return {
    events: [setEvent(shape, now, { id, version, page, reason, withdrawn: false })],
    result: { ...called(shape, id), version }
  };
}

/** A correction by taste kept as a note on a page as it is. */
export const noteOn = <const Shape extends PageShape>(shape: Shape) => {
  const { page, noun } = PLACES[shape];
  return operation({
    name: `note-${shape}` as `note-${Shape}`,
    page,
    summary: `Keep a taste correction as a note on a ${noun} as it is.`,
    input: z.object({ id: neededText(60), note: neededText(300) }),
    subject: () => 'house',
    run({ house, now }, { id, note }) {
      const { version } = pageOf(house, shape, id);
      const event = draft(`${shape}.noted` as 'recipe.noted', 'house', now, { id, version, note });
      return { events: [event], result: { ...called(shape, id), version } };
    }
  });
};

/** A page taken out of the book, or put back. Its versions are kept. */
export const withdraw = <const Shape extends PageShape>(shape: Shape) => {
  const { page, noun } = PLACES[shape];
  return operation({
    name: `withdraw-${shape}` as `withdraw-${Shape}`,
    page,
    summary: `Take a ${noun} out of the book, or put one back. Its versions are kept.`,
    input: z.object({ id: neededText(60), back: ticked, reason: shortText(200) }),
    subject: () => 'house',
    run({ house, now }, { id, back, reason }) {
      const { history, withdrawn } = pageOf(house, shape, id);
      if (withdrawn !== back) {
        throw notNow(shape, back ? 'in-the-book' : 'out-of-the-book');
      }
      const last = history.at(-1)!;
      return {
        events: [setEvent(shape, now, { id, version: last.version, page: last.page, reason, withdrawn: !back })],
        result: { ...called(shape, id), withdrawn: !back }
      };
    }
  });
};

/** A file of pages taken in: all of it or nothing. */
export const takeIn = <const Shape extends PageShape>(shape: Shape) => {
  const { list, noun } = PLACES[shape];
  return operation({
    name: `import-${FILE_LISTS[shape]}` as `import-${(typeof FILE_LISTS)[Shape]}`,
    page: list,
    summary: `Take in a file of ${FILE_LISTS[shape]}. A ${noun} of a known name becomes its next version; what is alike is left alone.`,
    input: z.object({ text: z.string().min(1).max(500_000).describe('JSON as it was exported') }),
    subject: () => 'house',
    run({ house, now }, { text }) {
      const pages = readPages(shape, text);
      const taken: string[] = [];
      const seen = new Set<string>();
      const events = pages.flatMap((page) => {
        const id = shippedNamed(shape, page.name) ?? bookId(page.name);
        if (seen.has(id)) {
          const because = { code: 'form.value-unknown', details: { field: 'name', seen: page.name, taken: true } };
          throw new EmberError('recipe.unreadable', { list: FILE_LISTS[shape], field: 'text', because });
        }
        seen.add(id);
        const known = bookOf(house, shape).find((each) => each.id === id);
        if (known && !known.withdrawn && alike(shape, known.history.at(-1)!.page, page)) return [];
        taken.push(id);
        const version = nextVersion(house, shape, id);
        return [setEvent(shape, now, { id, version, page, reason: 'from a file', withdrawn: false })];
      });
      return { events, result: { taken, alike: pages.length - taken.length } };
    }
  });
};
