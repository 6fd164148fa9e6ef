import type { HouseSpecies } from '../../../src/lib/core/fish/house-species.ts';
import type { HouseProfile } from '../../../src/lib/core/codes/profiles/house.ts';
import { celsius, event } from '../build.ts';

export const jp = { profile: 'jp' };

export const minute = 1 / 60;

export const read = (hours: number, c: number) => event('cold.read', hours, { reading: celsius(c), place: '' });

export const readF = (hours: number, f: number) =>
  event('cold.read', hours, { reading: { si: ((f - 32) * 5) / 9, unit: 'F', typed: `${f} F` }, place: '' });

/** A house's copy of the US code with some limits of its own. */
export const copy = (changes: HouseProfile['changes'], looser: string[] = [], base = 'us-fc') => ({
  profiles: {
    'house-x': { id: 'house-x', base, name: 'X', changes, reason: 'ours', looser, by: 'p1', seq: 5 }
  }
});

export const x = { profile: 'house-x' };

export const own = (id: string, fields: HouseSpecies['fields'], looser: string[] = [], added = false) => ({
  species: { [id]: { id, added, fields, reason: 'ours', looser, by: 'p1', seq: 6 } }
});
