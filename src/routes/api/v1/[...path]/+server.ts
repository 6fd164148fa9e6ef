import { EmberError } from '$lib/core/errors.ts';
import { answerQuery, problem } from '$lib/server/api.ts';
import { theApp } from '$lib/server/app.ts';
import type { RequestHandler } from './$types';

/** Questions too long for an address; nothing is written. */
export const POST: RequestHandler = async ({ params, url, request }) => {
  let body: unknown;
  try {
    body = await request.json();
  } catch {
    return problem(400, new EmberError('request.not-json', {}));
  }
  return answerQuery(theApp(), params.path, url.searchParams, body);
};

export const GET: RequestHandler = ({ params, url }) => answerQuery(theApp(), params.path, url.searchParams);
