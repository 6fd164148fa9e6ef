import { running } from '$lib/core/record/occupation.ts';
import { theApp } from '$lib/server/app.ts';
import { atBench, pieceChoices } from '$lib/server/facts/choices.ts';
import { bookOf } from '$lib/server/facts/book.ts';
import { isSkinned } from '$lib/server/facts/skin.ts';
import { cureSubject, recentMean } from '$lib/server/plans/cure.ts';
import { cureRunView } from '$lib/server/views/cure.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { pieceView } from '$lib/server/views/piece.ts';
import { presentOf } from '$lib/server/views/now.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/cure');

export const load = (({ url }) => {
  const app = theApp();
  const { store } = app;
  const house = store.projections.currentHouse();
  const pieces = pieceChoices(app)
    .filter(({ may, form }) => (may.includes('cure') || may.includes('cure-run')) && form !== 'live')
    .sort((a, b) => Number(b.in.includes('cure')) - Number(a.in.includes('cure')));
  const { chosen: id, away, left } = atBench(app, url.searchParams.get('piece'), 'cure', pieces);
  const view = id ? pieceView(app, id) : null;
  const run = running(view?.piece.cures ?? []);
  const now = presentOf(app);
  const places = Object.values(house.places).filter(({ kind }) => kind !== 'freezer' && kind !== 'blast');
  return {
    pieces,
    chosen: id,
    away,
    left,
    view,
    running: run ? cureRunView(app, run) : null,
    subject: view ? cureSubject(store, view.piece.id) : null,
    skinned: view !== null && isSkinned(store, view.piece.id),
    recipe: url.searchParams.get('recipe'),
    recipes: bookOf(house, 'recipe')
      .filter(({ withdrawn }) => !withdrawn)
      .map(({ id: recipe, name, school, history }) => ({
        id: recipe,
        name,
        school,
        recipe: history.at(-1)!.page
      })),
    places: places.map(({ id: place, name }) => ({ id: place, name })),
    means: Object.fromEntries(
      places.flatMap(({ name }) => {
        const mean = recentMean(store, name, now);
        return mean === null ? [] : [[name, mean] as const];
      })
    ),
    histamine: view?.species?.hazards.includes('histamine') ?? false
  };
}) satisfies PageServerLoad;
