import { z } from 'zod';

/** The shape of a catalogue entry: what ships, and what a house may add or override. */
export const SPECIES_GROUPS = [
  'finfish',
  'mollusc',
  'gastropod',
  'scallop',
  'cephalopod',
  'crustacean',
  'urchin',
  'roe',
  'surimi'
] as const;
export const SPECIES_HAZARDS = [
  'histamine',
  'ciguatera',
  'tetrodotoxin',
  'gempylotoxin',
  'raw-blood',
  'cooked-only',
  'lung-fluke',
  'palytoxin',
  'tetramine',
  'spirurin',
  'kudoa',
  'norovirus',
  'vibrio',
  'shellfish-toxins',
  'eu-forbidden',
  'jp-forbidden'
] as const;
export const PARASITES = ['nematode', 'tapeworm', 'fluke'] as const;
export const LANGUAGES = ['en', 'ja', 'es', 'fr', 'it', 'haw', 'pt', 'de', 'no', 'kr'] as const;
/** Where an entry's figures come from; the words stand in lib/words/species.ts. */
export const SPECIES_SOURCES = ['trade', 'huss', 'fda-species', 'eu-histamine', 'eu-poisonous', 'house'] as const;

const words = z.array(z.string().trim().min(1).max(60)).max(24);
export const speciesShape = z.strictObject({
  id: z.string().regex(/^[a-z0-9-]{3,40}$/),
  name: z.string().trim().min(2).max(60),
  /** Market names by language; Japanese in Latin letters. One name may belong to several species. */
  names: z.partialRecord(z.enum(LANGUAGES), words),
  scientific: words.min(1),
  group: z.enum(SPECIES_GROUPS),
  water: z.enum(['sea', 'fresh', 'anadromous']),
  /** Which relative spoilage law fits: temperate or tropical fish. */
  climate: z.enum(['temperate', 'tropical']),
  usualSource: z.enum(['wild', 'farmed', 'either']),
  /** Parasites reported when wild. Informs people; only a rule profile exempts. */
  parasitesWhenWild: z.array(z.enum(PARASITES)),
  hazards: z.array(z.enum(SPECIES_HAZARDS)),
  rawUse: z.array(z.enum(['raw', 'cured', 'acid', 'special'])).min(1),
  texture: z.enum(['firm', 'medium', 'soft']),
  fat: z.enum(['lean', 'mid', 'rich']),
  /** Skinless boneless share of the whole fish, low and high. */
  yieldShare: z.tuple([z.number().min(0.02).max(0.95), z.number().min(0.02).max(0.95)]).nullable(),
  /** Typical days on ice to the end of eating quality. */
  iceDays: z.number().min(0.5).max(60),
  /** What hands should know, by code; the words stand in lib/words/species.ts. */
  handling: z.array(z.string().regex(/^[a-z-]+$/)),
  styles: z.array(z.string().regex(/^[a-z-]+$/)),
  /** Allergens it carries besides its own kind. */
  allergensAlso: z.array(z.string().regex(/^[a-z-]+$/)),
  note: z.string().max(300),
  sources: z.array(z.enum(SPECIES_SOURCES)).min(1)
});

export type CatalogueEntry = z.infer<typeof speciesShape>;
export type SpeciesGroup = (typeof SPECIES_GROUPS)[number];
export type SpeciesHazard = (typeof SPECIES_HAZARDS)[number];

/** An entry as code reads it: with its market names in one list. */
export interface Species extends CatalogueEntry {
  readonly alsoCalled: readonly string[];
}

/** All market names of an entry but its own, in the order of its languages, each once. */
export const withNames = (entry: CatalogueEntry): Species => ({
  ...entry,
  alsoCalled: [...new Set(Object.values(entry.names).flatMap((names) => names ?? []))].filter(
    (name) => name.toLowerCase() !== entry.name.toLowerCase()
  )
});
