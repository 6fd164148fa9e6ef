import { toldHere } from '$lib/server/facts/told.ts';
import { theApp } from '$lib/server/app.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { sauceBook } from '$lib/server/facts/sauces.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/acid/sauces');

export const load = (() => {
  const { store, clock } = theApp();
  const house = store.projections.currentHouse();
  return {
    sauces: sauceBook(house).map(({ id, name, kind, goodFor, version, shipped, withdrawn, history, ...body }) => ({
      id,
      name,
      kind,
      goodFor,
      version,
      own: !shipped || history.length > 1,
      withdrawn,
      told: toldHere(house, body, clock.now())
    }))
  };
}) satisfies PageServerLoad;
