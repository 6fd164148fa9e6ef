import { z } from 'zod';
import { sliceSet } from '$lib/core/activity/slice/plan.ts';
import { EmberError } from '$lib/core/errors.ts';
import { problem } from '$lib/server/api.ts';
import { theApp } from '$lib/server/app.ts';
import { rulerPdf } from '$lib/server/views/ruler.ts';
import { readAs } from '$lib/core/fields/trouble.ts';
import type { RequestHandler } from './$types';

const asked = z.object({ piece: z.string().max(60), ...sliceSet });

/** Where the blade stands for every slice, as a paper ruler at true size. */
export const GET: RequestHandler = async ({ url }) => {
  try {
    const { piece, ...set } = readAs(asked, Object.fromEntries(url.searchParams));
    return new Response(new Uint8Array(await rulerPdf(theApp(), piece, set)), {
      headers: {
        'content-type': 'application/pdf',
        'content-disposition': 'inline; filename="ruler.pdf"',
        'cache-control': 'no-store'
      }
    });
  } catch (error) {
    if (!(error instanceof EmberError)) throw error;
    return problem(error.code === 'record.not-found' ? 404 : 422, error);
  }
};
