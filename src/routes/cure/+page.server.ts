import { speciesById } from '$lib/core/fish/species.ts';
import { theApp } from '$lib/server/app.ts';
import { pieceChoices } from '$lib/server/choices.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { pieceView } from '$lib/server/queries.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/cure');

export const load = (({ url }) => {
  const app = theApp();
  const pieces = pieceChoices(app)
    .filter((piece) => !piece.inFreezer && !piece.onTray && piece.form !== 'live')
    .sort((a, b) => Number(b.inCure) - Number(a.inCure));
  const id = url.searchParams.get('piece') ?? pieces[0]?.id ?? null;
  const known = pieces.find((piece) => piece.id === id);
  return {
    pieces,
    chosen: known ? id : null,
    view: known && id ? pieceView(app, id) : null,
    fat: known ? speciesById(known.species).fat : null,
    histamine: known ? speciesById(known.species).hazards.includes('histamine') : false
  };
}) satisfies PageServerLoad;
