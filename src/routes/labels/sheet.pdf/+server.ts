import { EmberError } from '$lib/core/errors.ts';
import { problem } from '$lib/server/api.ts';
import { theApp } from '$lib/server/app.ts';
import { labelPdf } from '$lib/server/labels/sheets.ts';
import type { RequestHandler } from './$types';

/** The labels of some pieces as a PDF, to be opened, printed or kept. */
export const GET: RequestHandler = async ({ url }) => {
  const { searchParams: search } = url;
  try {
    const content = await labelPdf(
      theApp(),
      search.getAll('piece').slice(0, 200),
      search.get('size') ?? 'roll-60x40',
      url.origin,
      Math.max(0, Math.min(100, Number(search.get('skip')) || 0))
    );
    return new Response(new Uint8Array(content), {
      headers: {
        'content-type': 'application/pdf',
        'content-disposition': 'inline; filename="labels.pdf"',
        'cache-control': 'no-store'
      }
    });
  } catch (error) {
    if (!(error instanceof EmberError)) throw error;
    return problem(error.code === 'record.not-found' ? 404 : 422, error);
  }
};
