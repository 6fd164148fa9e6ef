import { json } from '@sveltejs/kit';
import { connect } from 'node:net';
import { z } from 'zod';
import { EmberError } from '$lib/core/errors.ts';
import { problem } from '$lib/server/api.ts';
import { theApp } from '$lib/server/app.ts';
import { eventStream } from '$lib/server/stream.ts';
import type { RequestHandler } from './$types';

/** What the scale shows, as it changes: server-sent events. */
export const GET: RequestHandler = ({ locals, getClientAddress }) => {
  const { scale } = theApp();
  return eventStream(`scale:${locals.tablet ?? getClientAddress()}`, (send) =>
    scale.follow((state) => send('scale', state))
  );
};

const asked = z.object({
  command: z.enum(['TARE', 'CLEAR', 'ZERO']).optional(),
  /** Demo and tests: what is put on the pan of the simulated scale, g. */
  put: z.number().min(0).max(30_000).optional()
});

export const POST: RequestHandler = async ({ request }) => {
  const { scale, config } = theApp();
  const parsed = asked.safeParse(await request.json().catch(() => null));
  if (!parsed.success) return problem(422, new EmberError('form.value-unknown', { field: 'command', seen: 'body' }));
  const { command, put } = parsed.data;
  try {
    if (command) scale.send(command);
    if (put !== undefined) {
      if (config.mode === 'production' || !config.pan) {
        return problem(404, new EmberError('request.unknown-path', { seen: 'put' }));
      }
      await putOnPan(config.pan, put);
    }
    return json(scale.state());
  } catch (error) {
    if (error instanceof EmberError) return problem(503, error);
    throw error;
  }
};

const putOnPan = ({ host, port }: { host: string; port: number }, grams: number) =>
  new Promise<void>((resolve, reject) => {
    const socket = connect(port, host, () => socket.write(`PUT ${grams}\n`));
    const gone = () => reject(new EmberError('device.no-scale', { seen: `${host}:${port}` }));
    socket.setTimeout(2000, gone);
    socket.on('data', () => {
      socket.end();
      resolve();
    });
    socket.on('error', gone);
  });
