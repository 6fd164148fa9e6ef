import { profilesOf } from '$lib/core/codes/profiles/index.ts';
import { theApp } from '$lib/server/app.ts';
import { tableView } from '$lib/server/facts/table.ts';
import type { PageServerLoad } from './$types';

export const load = (({ url }) => {
  const app = theApp();
  const house = app.store.projections.currentHouse();
  const profiles = profilesOf(house.profiles).map(({ id, name }) => ({ id, name }));
  const asked = url.searchParams.get('profile') ?? '';
  // An address somebody mistyped shows the house's own list.
  const profile = profiles.some(({ id }) => id === asked) ? asked : '';
  return { profiles, table: tableView(app, profile) };
}) satisfies PageServerLoad;
