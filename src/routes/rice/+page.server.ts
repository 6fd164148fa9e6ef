import { theApp } from '$lib/server/app.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { riceView } from '$lib/server/rice/views.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/rice');

export const load = (({ url }) => {
  const view = riceView(theApp());
  const asked = url.searchParams.get('tub');
  const all = [...view.tubs, ...view.binned];
  return { view, chosen: all.find(({ id }) => id === asked) ?? view.tubs[0] ?? null };
}) satisfies PageServerLoad;
