import { PROFILES } from '$lib/core/rules/profiles/index.ts';
import { SPECIES } from '$lib/core/fish/species.ts';
import { theApp } from '$lib/server/app.ts';
import { actionsFor } from '$lib/server/forms.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/house');

export const load = (() => {
  const { store } = theApp();
  const used = new Set(store.projections.lots().map(({ received }) => received.species));
  return {
    profiles: PROFILES,
    species: SPECIES.map((species) => ({ ...species, inHouse: used.has(species.id) })),
    zones: Intl.supportedValuesOf('timeZone')
  };
}) satisfies PageServerLoad;
