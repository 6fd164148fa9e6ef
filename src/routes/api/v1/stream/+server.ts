import { theApp } from '$lib/server/app.ts';
import { changeStream } from '$lib/server/stream.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ request, locals, getClientAddress }) =>
  changeStream(theApp(), locals.tablet ?? getClientAddress(), request.headers.get('last-event-id'));
