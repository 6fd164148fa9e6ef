import { SPECIES } from '$lib/core/fish/species.ts';
import { theApp } from '$lib/server/app.ts';
import { learningView } from '$lib/server/facts/cure-learning.ts';
import { actionsFor } from '$lib/server/forms.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/cure/learning');

export const load = (() => {
  const app = theApp();
  const own = Object.values(app.store.projections.currentHouse().species);
  const names = Object.fromEntries([
    ...SPECIES.map(({ id, name }) => [id, name] as const),
    ...own.flatMap(({ id, fields }) => (fields.name ? [[id, fields.name] as const] : []))
  ]);
  const view = learningView(app.store);
  return {
    learning: {
      ...view,
      points: view.points.map((point) => ({ ...point, name: names[point.species] ?? point.species })),
      fits: view.fits.map((fit) => ({ ...fit, name: names[fit.species] ?? fit.species }))
    }
  };
}) satisfies PageServerLoad;
