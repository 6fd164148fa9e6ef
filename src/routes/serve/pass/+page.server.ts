import { theApp } from '$lib/server/app.ts';
import { passView } from '$lib/server/facts/pass.ts';
import { actionsFor } from '$lib/server/forms.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/serve/pass');

export const load = (() => ({ pass: passView(theApp()) })) satisfies PageServerLoad;
