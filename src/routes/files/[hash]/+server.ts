import { error } from '@sveltejs/kit';
import { theApp } from '$lib/server/app.ts';
import { FILE_TYPES } from '$lib/server/store/files.ts';
import type { RequestHandler } from './$types';

/** A paper's own bytes. It can run nothing: no scripts, no frame of ours, and a PDF is only ever saved. */
export const GET: RequestHandler = ({ params }) => {
  const { files } = theApp().store;
  const kept = files.get(params.hash);
  const content = kept && files.content(kept.hash);
  if (!kept || !content) error(404, 'There is no such paper.');
  const shown = kept.type.startsWith('image/');
  return new Response(new Uint8Array(content), {
    headers: {
      'content-type': kept.type,
      'content-disposition': `${shown ? 'inline' : 'attachment'}; filename="paper-${kept.hash.slice(0, 12)}.${FILE_TYPES[kept.type]![0]}"`,
      'content-security-policy': "default-src 'none'; sandbox",
      'cross-origin-resource-policy': 'same-origin',
      'cache-control': 'private, max-age=31536000, immutable'
    }
  });
};
