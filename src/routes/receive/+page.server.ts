import { SPECIES } from '$lib/core/fish/species.ts';
import { theApp } from '$lib/server/app.ts';
import { doorFields, doorVerdict } from '$lib/server/queries.ts';
import { actionsFor } from '$lib/server/forms.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/receive');

export const load = (({ url }) => {
  const given = Object.fromEntries(url.searchParams);
  const parsed = given.species ? doorFields.safeParse(given) : null;
  return {
    species: SPECIES.map(({ id, name, alsoCalled, scientific, note, usualSource, water }) => ({
      id,
      name,
      alsoCalled,
      scientific,
      note,
      usualSource,
      water
    })),
    given,
    verdict:
      parsed?.success && SPECIES.some(({ id }) => id === parsed.data.species)
        ? doorVerdict(theApp(), parsed.data)
        : null
  };
}) satisfies PageServerLoad;
