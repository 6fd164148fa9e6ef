import { addDays, businessDay, type HouseTime } from '../measure/day.ts';

/** What only a licence of the house covers: kinds that nobody else handles. No paper of one lot stands in for it. */
export const LICENSED_SCOPES = ['puffer'] as const;
export type LicensedScope = (typeof LICENSED_SCOPES)[number];

export const DOCUMENT_KINDS = ['variance', 'haccp-plan', 'licence', 'approval'] as const;
export type DocumentKind = (typeof DOCUMENT_KINDS)[number];

/** A document the house holds: what the authority allows it, whatever lot it is about. */
export interface HouseDocument {
  readonly id: string;
  readonly kind: DocumentKind;
  readonly authority: string;
  readonly number: string;
  /** Scopes of the authority's word. */
  readonly covers: readonly string[];
  /** Species it is for; empty where it is for all. */
  readonly species: readonly string[];
  /** Days; it counts from the first to the last, both in it. */
  readonly issuedOn: string;
  readonly expiresOn: string;
  /** What it allows only so far, in its own words: a person keeps to them, they are shown wherever it opens something. */
  readonly limits: string;
  readonly file: { readonly hash: string; readonly type: string; readonly name: string; readonly bytes: number } | null;
  readonly withdrawn: boolean;
  /** The entry it stands on. */
  readonly seq: number;
  readonly at: number;
}

/** Warned of so long before it ends, days: renewing takes an authority weeks (check). */
export const WARN_DAYS = 30;

export type DocumentState = 'in-force' | 'ending' | 'ended' | 'not-yet' | 'no-file' | 'withdrawn';
/** How a document stands at a moment. Without the document itself it opens nothing. */
export function documentState(document: HouseDocument, at: number, house: HouseTime): DocumentState {
  if (document.withdrawn) return 'withdrawn';
  const today = businessDay(at, house);
  if (today > document.expiresOn) return 'ended';
  if (document.file === null) return 'no-file';
  if (today < document.issuedOn) return 'not-yet';
  return addDays(today, WARN_DAYS) > document.expiresOn ? 'ending' : 'in-force';
}

/** Documents that end within the warning, or ended and were not taken off the list; what ends first stands first. */
export const endingDocuments = (
  documents: readonly HouseDocument[],
  at: number,
  house: HouseTime
): { readonly document: HouseDocument; readonly state: DocumentState }[] =>
  documents
    .map((document) => ({ document, state: documentState(document, at, house) }))
    .filter(({ state }) => state === 'ending' || state === 'ended')
    .sort((a, b) => (a.document.expiresOn < b.document.expiresOn ? -1 : 1));

/** Whether it is for this fish: one kept for some species is for no fish nobody named. */
const isFor = (document: Pick<HouseDocument, 'species'>, species: readonly string[]): boolean =>
  document.species.length === 0 || (species.length > 0 && species.every((each) => document.species.includes(each)));

/** Documents of the house that are on the list with the paper itself, and are for these species. Their dates are asked apart. */
export const documentsFor = (
  documents: Readonly<Record<string, HouseDocument>>,
  species: readonly string[]
): readonly HouseDocument[] =>
  Object.values(documents).filter((each) => !each.withdrawn && each.file !== null && isFor(each, species));

/**
 * The licence that covers a kind at a moment; of several the one that holds longest. A number somebody noted is no licence: it
 * needs its dates and the paper itself.
 *
 * @param species ids of what the fish may be
 * @param at ms
 */
export function licenceFor(
  house: HouseTime & { readonly documents: Readonly<Record<string, HouseDocument>> },
  scope: LicensedScope,
  species: readonly string[],
  at: number
): HouseDocument | null {
  const today = businessDay(at, house);
  return (
    documentsFor(house.documents, species)
      .filter(
        ({ kind, covers, issuedOn, expiresOn }) =>
          kind === 'licence' && covers.includes(scope) && issuedOn <= today && today <= expiresOn
      )
      .sort((a, b) => (a.expiresOn > b.expiresOn ? -1 : 1))[0] ?? null
  );
}
