import { theApp } from '$lib/server/app.ts';
import { passView } from '$lib/server/facts/pass.ts';
import { actionsFor, actionsNamed } from '$lib/server/forms.ts';
import type { PageServerLoad } from './$types';

// A tray whose time is up is binned where it is seen.
export const actions = { ...actionsFor('/serve/pass'), ...actionsNamed(['discard-piece']) };

export const load = (() => ({ pass: passView(theApp()) })) satisfies PageServerLoad;
