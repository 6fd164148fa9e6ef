import { running } from '$lib/core/record/occupation.ts';
import { SPENT_LIQUID } from '$lib/core/activity/acid/bodies.ts';
import { toldHere } from '$lib/server/facts/told.ts';
import { theApp } from '$lib/server/app.ts';
import { atBench, pieceChoices } from '$lib/server/facts/choices.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { acidSubject } from '$lib/server/plans/acid.ts';
import { isSkinned } from '$lib/server/facts/skin.ts';
import { pieceView } from '$lib/server/views/piece.ts';
import { bookOf } from '$lib/server/facts/book.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/acid');

export const load = (({ url }) => {
  const app = theApp();
  const pieces = pieceChoices(app)
    .filter(({ may, form }) => (may.includes('acid') || may.includes('acid-run')) && form !== 'live')
    .sort((a, b) => Number(b.in.includes('acid')) - Number(a.in.includes('acid')));
  const { chosen: id, away, left } = atBench(app, url.searchParams.get('piece'), 'acid', pieces);
  const view = id ? pieceView(app, id) : null;
  const run = running(view?.piece.acids ?? []);
  const house = app.store.projections.currentHouse();
  const asked = url.searchParams.get('sauce');
  const sauces = bookOf(house, 'sauce').filter(({ withdrawn }) => !withdrawn);
  const family = view ? [view.piece.id, ...view.piece.made.parents] : [];
  return {
    pieces,
    chosen: id,
    away,
    left,
    view,
    run,
    skinned: view !== null && isSkinned(app.store, view.piece.id),
    subject: view ? acidSubject(app.store, view.piece.id) : null,
    sauces: sauces.map((sauce) => ({
      id: sauce.id,
      name: sauce.name,
      rate: sauce.rate,
      told: toldHere(house, sauce, app.clock.now())
    })),
    sauce: sauces.some((each) => each.id === asked) ? asked : null,
    liquids: app.store.projections
      .livePieces()
      .filter(
        ({ state }) => state.made.part === SPENT_LIQUID && state.made.parents.some((each) => family.includes(each))
      )
      .map(({ state }) => ({ id: state.id, name: state.made.name, grams: state.grams })),
    places: Object.values(house.places)
      .filter(({ kind }) => kind !== 'freezer' && kind !== 'blast')
      .map(({ id: place, name }) => ({ id: place, name }))
  };
}) satisfies PageServerLoad;
