import { EmberError } from '$lib/core/errors.ts';
import { problem } from '$lib/server/api.ts';
import { theApp } from '$lib/server/app.ts';
import { storeTrouble } from '$lib/server/store/open.ts';
import type { RequestHandler } from './$types';

/** Takes the file of a logger in as it streams, and answers with what was guessed of its columns. */
export const POST: RequestHandler = async ({ request, url, locals }) => {
  if (!locals.person) return problem(422, new EmberError('person.required', { field: 'actor' }));
  try {
    return Response.json(await theApp().imports.take(url.searchParams.get('name') ?? '', request.body));
  } catch (error) {
    const trouble = storeTrouble(error);
    if (!(trouble instanceof EmberError)) throw error;
    return problem(trouble.code.startsWith('store.') ? 503 : 422, trouble);
  }
};
