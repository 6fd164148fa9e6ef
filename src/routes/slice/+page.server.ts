import { theApp } from '$lib/server/app.ts';
import { atBench, pieceChoices } from '$lib/server/facts/choices.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { pieceView } from '$lib/server/views/piece.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/slice');

export const load = (({ url }) => {
  const app = theApp();
  const pieces = pieceChoices(app).filter(
    ({ may, form }) => may.includes('slice') && ['fillet', 'loin', 'block', 'portion'].includes(form)
  );
  const { chosen: id, away, left } = atBench(app, url.searchParams.get('piece'), 'slice', pieces);
  return { pieces, chosen: id, away, left, view: id ? pieceView(app, id) : null };
}) satisfies PageServerLoad;
