import { HOUR } from '$lib/core/measure/spans.ts';
import { EmberError } from '$lib/core/errors.ts';
import { problem } from '$lib/server/api.ts';
import { theApp } from '$lib/server/app.ts';
import { json } from '@sveltejs/kit';
import { z } from 'zod';
import type { RequestHandler } from './$types';

const move = z.object({
  byHours: z.number().min(-720).max(720).default(0),
  to: z.iso.datetime().optional(),
  frozen: z.boolean().default(false)
});

/** Moves the clock of a demo or a test. A house in production has no such door. */
export const POST: RequestHandler = async ({ request }) => {
  const { movable } = theApp();
  if (!movable) return problem(404, new EmberError('request.unknown-path', { seen: 'demo/clock' }));
  const parsed = move.safeParse(await request.json().catch(() => null));
  if (!parsed.success) return problem(422, new EmberError('form.value-unknown', { field: 'byHours', seen: 'body' }));
  const { to, byHours, frozen } = parsed.data;
  movable.moveTo((to ? Date.parse(to) : movable.now()) + byHours * HOUR, frozen);
  return json({ now: movable.now() });
};
