import { freezeStart, readEvery, type Case } from '../build.ts';

export const wild: Case = { lot: { species: 'halibut' } };
export const frozenWeek = [freezeStart(1), ...readEvery(3, 171, 24, -22)];
