import { theApp } from '$lib/server/app.ts';
import { pieceChoices } from '$lib/server/facts/choices.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { pieceView } from '$lib/server/views/piece.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/slice');

export const load = (({ url }) => {
  const app = theApp();
  const pieces = pieceChoices(app).filter(
    ({ may, form }) => may.includes('slice') && ['fillet', 'loin', 'block', 'portion'].includes(form)
  );
  const id = url.searchParams.get('piece') ?? pieces[0]?.id ?? null;
  const known = pieces.some((piece) => piece.id === id);
  return { pieces, chosen: known ? id : null, view: known && id ? pieceView(app, id) : null };
}) satisfies PageServerLoad;
