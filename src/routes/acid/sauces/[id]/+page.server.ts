import { error } from '@sveltejs/kit';
import { swapsOfLines } from '$lib/core/ingredients/kitchen.ts';
import { toldHere } from '$lib/server/facts/told.ts';
import { theApp } from '$lib/server/app.ts';
import { pieceChoices } from '$lib/server/facts/choices.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { bookOf } from '$lib/server/facts/book.ts';
import { scaledSauce } from '$lib/server/facts/scaled-sauce.ts';
import type { PageServerLoad } from './$types';

// A next version is written here as well.
export const actions = { ...actionsFor('/acid/sauces'), ...actionsFor('/acid/sauces/[id]') };

/** Grams of fish a sauce is shown for where no piece is ticked. */
const PLAIN_GRAMS = 500;

export const load = (({ params, url }) => {
  const app = theApp();
  const sauce = bookOf(app.store.projections.currentHouse(), 'sauce').find(({ id }) => id === params.id);
  if (!sauce) error(404, 'There is no such sauce in this book.');
  const pieces = pieceChoices(app).filter(
    ({ may, form }) => (may.includes('dress') || may.includes('acid-run')) && form !== 'live' && form !== 'whole'
  );
  const known = new Set(pieces.map(({ id }) => id));
  const picked = url.searchParams.getAll('pieces').filter((id) => known.has(id));
  const asked = Number(url.searchParams.get('version')) || undefined;
  const version = sauce.history.some((each) => each.version === asked) ? asked : sauce.version;
  const body = sauce.history.findLast((each) => each.version === version)!.page;
  const house = app.store.projections.currentHouse();
  return {
    sauce,
    told: toldHere(house, body, app.clock.now()),
    swaps: swapsOfLines(house.ingredients, body.lines, app.clock.now()),
    pieces,
    picked,
    scaled: scaledSauce(app.store, {
      sauce: sauce.id,
      version,
      pieces: picked,
      mass: { si: PLAIN_GRAMS, unit: 'g', typed: `${PLAIN_GRAMS} g` }
    })
  };
}) satisfies PageServerLoad;
