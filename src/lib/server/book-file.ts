import type { RequestHandler } from '@sveltejs/kit';
import type { PageShape } from '../core/activity/book/bodies.ts';
import { FILE_LISTS, pagesAsFile } from '../core/bench/book/file.ts';
import { theApp } from './app.ts';
import { bookOf, pageOf } from './facts/book.ts';

/** Answers with pages of the book as a file: all that are in it, or the one named. */
export const fileOfPages =
  (shape: PageShape): RequestHandler =>
  ({ url }) => {
    const house = theApp().store.projections.currentHouse();
    const id = url.searchParams.get('id');
    const pages = id ? [pageOf(house, shape, id)] : bookOf(house, shape).filter(({ withdrawn }) => !withdrawn);
    return new Response(pagesAsFile(shape, pages), {
      headers: {
        'content-type': 'application/json; charset=utf-8',
        'content-disposition': `attachment; filename="${id ?? `ember-tide-${FILE_LISTS[shape]}`}.json"`
      }
    });
  };
