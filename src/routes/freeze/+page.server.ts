import { profileById } from '$lib/core/rules/profiles/index.ts';
import { theApp } from '$lib/server/app.ts';
import { pieceChoices } from '$lib/server/choices.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { pieceView } from '$lib/server/piece-view.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/freeze');

export const load = (({ url }) => {
  const app = theApp();
  const pieces = pieceChoices(app).sort((a, b) => Number(b.inFreezer) - Number(a.inFreezer));
  const id = url.searchParams.get('piece') ?? pieces[0]?.id ?? null;
  const known = pieces.some((piece) => piece.id === id);
  const { profile, profiles } = app.store.projections.currentHouse();
  return {
    pieces,
    chosen: known ? id : null,
    view: known && id ? pieceView(app, id) : null,
    cycles: profileById(profile, profiles).parasites.cycles,
    days: app.store.readings.days()
  };
}) satisfies PageServerLoad;
