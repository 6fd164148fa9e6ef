import { theApp } from '$lib/server/app.ts';
import { nowView } from '$lib/server/views.ts';
import type { PageServerLoad } from './$types';

export const load = (() => ({ view: nowView(theApp()) })) satisfies PageServerLoad;
