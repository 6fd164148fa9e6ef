import { catalogueOf } from '$lib/core/fish/house-species.ts';
import { LOOKALIKES } from '$lib/core/fish/lookalikes.ts';
import { SPECIES } from '$lib/core/fish/species.ts';
import { theApp } from '$lib/server/app.ts';
import { actionsFor } from '$lib/server/forms.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/house/species');

export const load = (({ url }) => {
  const { species: book } = theApp().store.projections.currentHouse();
  const catalogue = catalogueOf(book);
  const id = url.searchParams.get('id');
  return {
    catalogue,
    own: book,
    chosen: catalogue.find((each) => each.id === id) ?? null,
    shipped: SPECIES.find((each) => each.id === id) ?? null,
    adding: url.searchParams.has('add'),
    lookalikes: LOOKALIKES.filter(({ members }) => members.some(({ species }) => species === id))
  };
}) satisfies PageServerLoad;
