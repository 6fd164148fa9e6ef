import { EmberError } from '../../errors.ts';
import type { RuleProfile } from '../profile.ts';
import { EU } from './eu.ts';
import { US_FC } from './us-fc.ts';

export const PROFILES: readonly RuleProfile[] = [US_FC, EU];

/**
 * @throws EmberError `profile.unknown`
 * @example
 * profileById('eu').parasites.clock // => 'core'
 */
export function profileById(id: string): RuleProfile {
  const found = PROFILES.find((profile) => profile.id === id);
  if (!found) throw new EmberError('profile.unknown', { field: 'profile', seen: id });
  return found;
}
