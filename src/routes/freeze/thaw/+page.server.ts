import { running } from '$lib/core/record/occupation.ts';
import { profileById } from '$lib/core/codes/profiles/index.ts';
import { theApp } from '$lib/server/app.ts';
import { atBench, pieceChoices } from '$lib/server/facts/choices.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { forecastThaw } from '$lib/server/plans/thaw.ts';
import { pieceView } from '$lib/server/views/piece.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/freeze/thaw');

export const load = (({ url }) => {
  const app = theApp();
  const pieces = pieceChoices(app)
    .filter(({ may, isFrozen }) => may.includes('end-thaw') || (may.includes('thaw') && isFrozen))
    .sort((a, b) => Number(b.in.includes('thaw')) - Number(a.in.includes('thaw')));
  const { chosen, away, left } = atBench(app, url.searchParams.get('piece'), 'thaw', pieces);
  const { profile, profiles, places } = app.store.projections.currentHouse();
  const rules = profileById(profile, profiles);
  const view = chosen ? pieceView(app, chosen) : null;
  const run = running(view?.piece.thaws ?? []);
  return {
    pieces,
    chosen,
    away,
    left,
    view,
    running: view && run ? forecastThaw(app.store.projections.currentHouse(), view.lot, run.plan) : null,
    places: Object.values(places).filter(({ kind }) => kind !== 'freezer' && kind !== 'blast'),
    cold: rules.coldHold,
    warm: rules.histamine
  };
}) satisfies PageServerLoad;
