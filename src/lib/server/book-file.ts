import { error, type RequestHandler } from '@sveltejs/kit';
import type { PageShape } from '../core/activity/book/bodies.ts';
import { FILE_LISTS, pagesAsFile } from '../core/bench/book/file.ts';
import { theApp } from './app.ts';
import { errorSentence } from '../words/errors.ts';
import { bookOf } from './facts/book.ts';

/** Answers with pages of the book as a file: all that are in it, or the one named. */
export const fileOfPages =
  (shape: PageShape): RequestHandler =>
  ({ url }) => {
    const house = theApp().store.projections.currentHouse();
    const id = url.searchParams.get('id');
    const book = bookOf(house, shape);
    const pages = book.filter((page) => (id === null ? !page.withdrawn : page.id === id));
    if (id !== null && pages.length === 0) error(404, errorSentence('record.not-found', { seen: id }));
    return new Response(pagesAsFile(shape, pages), {
      headers: {
        'content-type': 'application/json; charset=utf-8',
        'content-disposition': `attachment; filename="${id ?? `ember-tide-${FILE_LISTS[shape]}`}.json"`
      }
    });
  };
