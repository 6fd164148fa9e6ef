import { z } from 'zod';
import { kind, third, type Kinds } from '../../record/kind.ts';
import { typedValue } from '../../record/values.ts';

/** What a lot’s papers say. A shape is never edited once shipped: a new version is added and the old one upcast. */

export const PAPERS = [
  'feed-statement',
  'freezing-statement',
  'area-document',
  'chill-record',
  'shellfish-tag',
  'licence',
  'supplier-letter',
  'histamine-test',
  'authority',
  'other'
] as const;

export const evidenceAttached = z.object({
  type: z.enum(PAPERS),
  issuer: z.string(),
  reference: z.string(),
  issuedOn: z.string().nullable(),
  expiresOn: z.string().nullable(),
  formulatedFeed: z.boolean(),
  /** It says how the fish were raised, not only how they were fed. */
  raised: z.boolean(),
  fromEmbryos: z.boolean(),
  noHazardVerified: z.boolean(),
  areaCleared: z.boolean(),
  frozenAt: typedValue.nullable(),
  frozenFor: typedValue.nullable(),
  solidAt35: z.boolean(),
  /** Days the freezing began and ended by the paper. */
  frozenFrom: z.string().nullable(),
  frozenTo: z.string().nullable(),
  /** Whom and what it speaks of, where it says so: an empty text or null where it does not. */
  species: z.string(),
  form: z.string(),
  supplier: z.string(),
  mass: typedValue.nullable(),
  count: z.number().int().nullable(),
  /** A shellfish tag: the dealer's certification number, day and waters of harvest. */
  dealer: z.string(),
  harvestedOn: z.string().nullable(),
  harvestArea: z.string(),
  /** Warmest on the way, by a supplier's letter. */
  transit: typedValue.nullable(),
  /** Findings that a document of the authority opens, by code. */
  covers: z.array(z.string()),
  /** The paper itself, kept by its hash. */
  file: z.object({ hash: z.string(), type: z.string(), name: z.string(), bytes: z.number().int() }).nullable(),
  note: z.string()
});

export const evidenceFrom1 = (body: unknown) => ({ frozenFrom: null, frozenTo: null, file: null, ...(body as object) });

/** What papers of the second version say of none of these is not known. */
export const UNSAID = {
  raised: false,
  species: '',
  form: '',
  supplier: '',
  mass: null,
  count: null,
  dealer: '',
  harvestedOn: null,
  harvestArea: '',
  transit: null,
  covers: [] as string[]
};

export const evidenceFrom2 = (body: unknown) => ({ ...UNSAID, ...(body as object) });

/** The last of a container of shellfish was served: from this day its tag is kept. */
export const tagClosed = z.object({ evidence: z.number().int(), lastServedOn: z.string(), keepUntil: z.string() });

export const kinds = {
  'evidence.attached': third(evidenceAttached, evidenceFrom1, evidenceFrom2),
  'tag.closed': kind(tagClosed)
} satisfies Kinds;
