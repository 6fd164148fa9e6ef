import { theApp } from '$lib/server/app.ts';
import { lineUp } from '$lib/server/facts/table.ts';
import type { PageServerLoad } from './$types';

export const load = (() => ({ sheet: lineUp(theApp()) })) satisfies PageServerLoad;
