import { profileById } from '$lib/core/rules/profiles/index.ts';
import { theApp } from '$lib/server/app.ts';
import { pieceChoices } from '$lib/server/choices.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { forecastThaw, isFrozen } from '$lib/server/operations/thaw.ts';
import { pieceView } from '$lib/server/piece-view.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/freeze/thaw');

export const load = (({ url }) => {
  const app = theApp();
  const thawing = new Set<string>();
  const frozen = new Set<string>();
  for (const { state, lot } of app.store.projections.livePieces()) {
    const run = state.thaws.at(-1);
    if (run && !run.ended) thawing.add(state.id);
    else if (isFrozen(state, lot)) frozen.add(state.id);
  }
  const pieces = pieceChoices(app)
    .filter(({ id }) => thawing.has(id) || frozen.has(id))
    .sort((a, b) => Number(thawing.has(b.id)) - Number(thawing.has(a.id)));
  const asked = url.searchParams.get('piece') ?? pieces[0]?.id ?? null;
  const known = pieces.some(({ id }) => id === asked);
  const { profile, profiles, places } = app.store.projections.currentHouse();
  const rules = profileById(profile, profiles);
  const view = known && asked ? pieceView(app, asked) : null;
  const run = view?.piece.thaws.at(-1);
  return {
    pieces,
    chosen: known ? asked : null,
    view,
    running: view && run && !run.ended ? forecastThaw(app.store.projections.currentHouse(), view.lot, run.plan) : null,
    places: Object.values(places).filter(({ kind }) => kind !== 'freezer' && kind !== 'blast'),
    cold: rules.coldHold,
    warm: rules.histamine
  };
}) satisfies PageServerLoad;
