import { error } from '@sveltejs/kit';
import { EmberError } from '$lib/core/errors.ts';
import { catalogueOf } from '$lib/core/fish/house-species.ts';
import { profileById } from '$lib/core/codes/profiles/index.ts';
import { businessDay } from '$lib/core/measure/day.ts';
import { theApp } from '$lib/server/app.ts';
import { arrivalFields, arrivalVerdict } from '$lib/server/plans/arrival.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { deliveryView, openDeliveries } from '$lib/server/views/now.ts';
import { errorSentence } from '$lib/words/errors.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/receive');

/** So many names fit beside their field. */
const MOST_NAMES = 6;
/** Who delivered last, the newest first. */
const recentSuppliers = (lots: readonly { readonly received: { readonly supplier: string } }[]) =>
  [...new Set(lots.map(({ received }) => received.supplier).filter((name) => name !== ''))].slice(0, MOST_NAMES);

export const load = (({ url }) => {
  const app = theApp();
  const house = app.store.projections.currentHouse();
  const catalogue = catalogueOf(house.species);
  const { delivery: code, ...given } = Object.fromEntries(url.searchParams);
  const parsed = given.species ? arrivalFields.safeParse(given) : null;
  const known = (id: string) => id === 'unidentified' || catalogue.some((each) => each.id === id);
  try {
    return {
      catalogue,
      profile: profileById(house.profile, house.profiles),
      given,
      delivery: code ? deliveryView(app, code) : null,
      openDeliveries: openDeliveries(app),
      suppliers: recentSuppliers(app.store.projections.lots()),
      today: businessDay(app.clock.now(), house),
      verdict: parsed?.success && known(parsed.data.species) ? arrivalVerdict(app, parsed.data) : null
    };
  } catch (trouble) {
    if (!(trouble instanceof EmberError)) throw trouble;
    error(404, errorSentence(trouble.code, trouble.details));
  }
}) satisfies PageServerLoad;
