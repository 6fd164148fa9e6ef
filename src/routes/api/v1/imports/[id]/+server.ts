import { EmberError } from '$lib/core/errors.ts';
import { problem } from '$lib/server/api.ts';
import { theApp } from '$lib/server/app.ts';
import { logMapping } from '$lib/server/import/mapping.ts';
import type { RequestHandler } from './$types';
import { readAs } from '$lib/core/fields/trouble.ts';

/** Runs something that a coded error may come of, and answers with the sentence of it. */
async function answered(work: () => unknown): Promise<Response> {
  try {
    return Response.json(await work());
  } catch (error) {
    if (!(error instanceof EmberError)) throw error;
    return problem(error.code === 'record.not-found' ? 404 : 422, error);
  }
}
const mappingOf = (body: unknown) => readAs(logMapping, body);

/** How far a file is. */
export const GET: RequestHandler = ({ params }) => answered(() => ({ job: theApp().imports.job(params.id) }));

/** Its first rows as a mapping reads them; nothing is kept. */
export const PUT: RequestHandler = ({ params, request }) =>
  answered(async () => ({
    rows: theApp().imports.sample(params.id, mappingOf(await request.json().catch(() => null)))
  }));

/** Takes it in as the mapping says. */
export const POST: RequestHandler = ({ params, request, locals }) =>
  answered(async () => {
    if (!locals.person) throw new EmberError('person.required', { field: 'actor' });
    const mapping = mappingOf(await request.json().catch(() => null));
    return { job: theApp().imports.start(params.id, mapping, locals.person.id) };
  });

/** Stops it. */
export const DELETE: RequestHandler = ({ params }) => answered(() => ({ job: theApp().imports.stop(params.id) }));
