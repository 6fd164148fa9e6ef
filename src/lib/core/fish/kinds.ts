/** What the catalogue says of a species. */
export type SpeciesGroup = 'finfish' | 'mollusc' | 'scallop' | 'cephalopod' | 'crustacean' | 'urchin' | 'roe';
export type SpeciesHazard = 'histamine' | 'ciguatera' | 'tetrodotoxin' | 'gempylotoxin' | 'raw-blood';

export interface Species {
  readonly id: string;
  readonly name: string;
  /** Market names in other tongues and trades. One name may belong to several species. */
  readonly alsoCalled: readonly string[];
  readonly scientific: readonly string[];
  readonly group: SpeciesGroup;
  readonly water: 'sea' | 'fresh' | 'anadromous';
  /** Which relative spoilage law fits: temperate or tropical fish. */
  readonly climate: 'temperate' | 'tropical';
  readonly usualSource: 'wild' | 'farmed' | 'either';
  /** Parasites reported when wild. Informs people; only a rule profile exempts. */
  readonly parasitesWhenWild: readonly ('nematode' | 'tapeworm' | 'fluke')[];
  readonly hazards: readonly SpeciesHazard[];
  readonly rawUse: readonly ('raw' | 'cured' | 'acid' | 'special')[];
  readonly texture: 'firm' | 'medium' | 'soft';
  readonly fat: 'lean' | 'mid' | 'rich';
  readonly yieldShare: readonly [number, number] | null;
  /** Typical days on ice to the end of eating quality. */
  readonly iceDays: number;
  readonly note: string;
}
