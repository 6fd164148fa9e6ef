import { profilesOf } from '$lib/core/codes/profiles/index.ts';
import { theApp } from '$lib/server/app.ts';
import { actionsFor } from '$lib/server/forms.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/house');

export const load = (() => ({
  profiles: profilesOf(theApp().store.projections.currentHouse().profiles),
  zones: Intl.supportedValuesOf('timeZone')
})) satisfies PageServerLoad;
