import { EmberError, type ErrorCode } from '$lib/core/errors.ts';
import { problem } from '$lib/server/api.ts';
import { theApp } from '$lib/server/app.ts';
import { liveBody, takeReadings } from '$lib/server/operations/live-readings.ts';
import { presentOf } from '$lib/server/views/now.ts';
import type { RequestHandler } from './$types';
import { fieldTroubles } from '$lib/core/fields/trouble.ts';

/** What the house's clock shows: a logger sets its own by it. */
export const GET: RequestHandler = () => Response.json({ now: new Date(presentOf(theApp())).toISOString() });

const STATUS: Partial<Record<ErrorCode, number>> = {
  'device.key-unknown': 401,
  'device.key-revoked': 403,
  'device.too-many': 429
};

/** Readings of a logger, with its key. */
export const POST: RequestHandler = async ({ request }) => {
  const key = /^Bearer\s+(\S+)$/i.exec(request.headers.get('authorization') ?? '')?.[1] ?? '';
  const body: unknown = await request.json().catch(() => null);
  if (body === null) return problem(400, new EmberError('request.not-json', {}));
  const parsed = liveBody.safeParse(body);
  if (!parsed.success) return problem(422, fieldTroubles(parsed.error.issues, body)[0]!);
  try {
    return Response.json(takeReadings(theApp(), key, parsed.data));
  } catch (error) {
    if (!(error instanceof EmberError)) throw error;
    return problem(STATUS[error.code] ?? 503, error);
  }
};
