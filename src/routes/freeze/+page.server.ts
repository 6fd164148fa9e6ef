import { running } from '$lib/core/record/occupation.ts';
import { profileById } from '$lib/core/codes/profiles/index.ts';
import { theApp } from '$lib/server/app.ts';
import { atBench, pieceChoices } from '$lib/server/facts/choices.ts';
import { freezeRunView } from '$lib/server/views/cold.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { pieceView } from '$lib/server/views/piece.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/freeze');

export const load = (({ url }) => {
  const app = theApp();
  const pieces = pieceChoices(app)
    .filter((piece) => piece.may.includes('freeze') || piece.in.includes('freezer'))
    .sort((a, b) => Number(b.in.includes('freezer')) - Number(a.in.includes('freezer')));
  const { chosen: id, away, left } = atBench(app, url.searchParams.get('piece'), 'freeze', pieces);
  const { profile, profiles, places, sensors } = app.store.projections.currentHouse();
  const view = id ? pieceView(app, id) : null;
  return {
    pieces,
    chosen: id,
    away,
    left,
    view,
    freeze: view && running(view.piece.freezes) ? freezeRunView(app, view.piece.id) : null,
    cycles: profileById(profile, profiles).parasites.cycles,
    places: Object.values(places),
    cores: Object.values(sensors).filter(({ probe }) => probe === 'core')
  };
}) satisfies PageServerLoad;
