import { theApp } from '$lib/server/app.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { sauceBook } from '$lib/server/sauces.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/acid/sauces');

export const load = (() => ({
  sauces: sauceBook(theApp().store.projections.currentHouse()).map(
    ({ id, name, kind, goodFor, version, shipped, withdrawn, history, allergens }) => ({
      id,
      name,
      kind,
      goodFor,
      version,
      own: !shipped || history.length > 1,
      withdrawn,
      allergens
    })
  )
})) satisfies PageServerLoad;
