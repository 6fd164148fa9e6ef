import { theApp } from '$lib/server/app.ts';
import { partiesView } from '$lib/server/facts/party.ts';
import { actionsFor } from '$lib/server/forms.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/serve/choice');

export const load = (() => ({ choice: partiesView(theApp()) })) satisfies PageServerLoad;
