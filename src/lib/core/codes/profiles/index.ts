import { EmberError } from '../../errors.ts';
import type { RuleProfile } from '../profile.ts';
import { EU } from './eu.ts';
import { buildProfile, type HouseProfile } from './house.ts';
import { JP } from './jp.ts';
import { UK } from './uk.ts';
import { US_FC } from './us-fc.ts';

/** Profiles as shipped. */
export const PROFILES: readonly RuleProfile[] = [US_FC, EU, UK, JP];

/**
 * @param own the house's copies
 * @throws EmberError `profile.unknown`
 * @example
 * profileById('eu').parasites.clock // => 'core'
 */
export function profileById(id: string, own: Readonly<Record<string, HouseProfile>> = {}): RuleProfile {
  const shipped = PROFILES.find((profile) => profile.id === id);
  if (shipped) return shipped;
  const copy = own[id];
  const base = copy && PROFILES.find((profile) => profile.id === copy.base);
  if (!base) throw new EmberError('profile.unknown', { field: 'profile', seen: id });
  return buildProfile(base, copy);
}

/** Shipped profiles, then the house's copies. */
export const profilesOf = (own: Readonly<Record<string, HouseProfile>>): RuleProfile[] => [
  ...PROFILES,
  ...Object.keys(own).map((id) => profileById(id, own))
];
