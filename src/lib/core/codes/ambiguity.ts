import type { RuleProfile } from './profile.ts';
import type { Species, SpeciesHazard } from '../fish/species.ts';

/** A point on which species that share a name are judged differently. */
export type Difference = SpeciesHazard | 'fluke' | 'list-exempt' | 'kind' | 'ice-days';

export interface NameSense {
  readonly species: Species;
  /** Points that hold for this one and not for every other of the name. */
  readonly points: readonly Difference[];
}

function pointsOf(species: Species, profile: RuleProfile): Difference[] {
  const list = profile.parasites.exemptSpecies?.scientific ?? [];
  return [
    // What one rule book forbids is told under that one.
    ...species.hazards.filter(
      (hazard) => !hazard.endsWith('-forbidden') || hazard === `${profile.house?.base ?? profile.id}-forbidden`
    ),
    ...(species.parasitesWhenWild.includes('fluke') ? (['fluke'] as const) : []),
    ...(species.scientific.every((name) => list.includes(name)) ? (['list-exempt'] as const) : [])
  ];
}

/**
 * Why it matters which of several species a market name means: for each, the points on which it stands apart from at least
 * one of the others.
 *
 * @param senses species that answer to one name
 * @param profile the rule profile they would be judged by
 */
export function whyItMatters(senses: readonly Species[], profile: RuleProfile): NameSense[] {
  const all = senses.map((species) => pointsOf(species, profile));
  const groups = new Set(senses.map(({ group }) => group));
  const shortest = Math.min(...senses.map(({ iceDays }) => iceDays));
  const longest = Math.max(...senses.map(({ iceDays }) => iceDays));
  return senses.map((species, index) => ({
    species,
    points: [
      ...all[index]!.filter((point) => all.some((others) => !others.includes(point))),
      ...(groups.size > 1 ? (['kind'] as const) : []),
      // Only a difference a kitchen would feel: the shortest life is said where another keeps half as long again.
      ...(species.iceDays === shortest && longest >= shortest * 1.5 ? (['ice-days'] as const) : [])
    ]
  }));
}
