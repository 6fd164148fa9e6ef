import { EmberError } from '$lib/core/errors.ts';
import { problem } from '$lib/server/api.ts';
import { theApp } from '$lib/server/app.ts';
import { sniff } from '$lib/server/store/files.ts';
import { storeTrouble } from '$lib/server/store/open.ts';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async ({ request, locals }) => {
  if (!locals.person) return problem(422, new EmberError('person.required', { field: 'actor' }));
  try {
    const content = new Uint8Array(await request.arrayBuffer());
    const type = await sniff(content, {
      type: request.headers.get('content-type') ?? '',
      name: request.headers.get('x-file-name') ?? ''
    });
    const { store, clock } = theApp();
    const { hash } = store.files.put(content, type, clock.now());
    return Response.json({ hash, type, bytes: content.length });
  } catch (error) {
    const trouble = storeTrouble(error);
    if (!(trouble instanceof EmberError)) throw error;
    const isFull = trouble.code === 'file.none-names-them';
    return problem(trouble.code.startsWith('store.') ? 503 : isFull ? 507 : 422, trouble);
  }
};
