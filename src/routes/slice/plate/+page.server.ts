import { theApp } from '$lib/server/app.ts';
import { readySlices } from '$lib/server/facts/plate.ts';
import type { PageServerLoad } from './$types';

/** As many kinds as are looked at: the newest. */
const MOST = 12;

export const load = (() => ({ ready: readySlices(theApp()).slice(0, MOST) })) satisfies PageServerLoad;
