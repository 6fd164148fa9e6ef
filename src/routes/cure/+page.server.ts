import { theApp } from '$lib/server/app.ts';
import { pieceChoices } from '$lib/server/choices.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { pieceView } from '$lib/server/piece-view.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/cure');

export const load = (({ url }) => {
  const app = theApp();
  const pieces = pieceChoices(app)
    .filter((piece) => !piece.inFreezer && !piece.onTray && piece.form !== 'live')
    .sort((a, b) => Number(b.inCure) - Number(a.inCure));
  const id = url.searchParams.get('piece') ?? pieces[0]?.id ?? null;
  const known = pieces.find((piece) => piece.id === id);
  const view = known && id ? pieceView(app, id) : null;
  return {
    pieces,
    chosen: known ? id : null,
    view,
    fat: view ? (view.species?.fat ?? 'mid') : null,
    histamine: view?.species?.hazards.includes('histamine') ?? false
  };
}) satisfies PageServerLoad;
