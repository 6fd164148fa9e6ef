import { EmberError } from '$lib/core/errors.ts';
import { answerOperation, problem } from '$lib/server/api.ts';
import { theApp } from '$lib/server/app.ts';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async ({ params, request, locals }) => {
  let body: unknown;
  try {
    body = await request.json();
  } catch {
    return problem(400, new EmberError('request.not-json', {}));
  }
  return answerOperation(theApp(), params.name, request.headers, body, locals);
};
