import { z } from 'zod';
import { speciesShape } from '../../fish/kinds.ts';
import { SHEET_IDS } from '../../inspect/sheets.ts';
import { kind, third, type Kinds } from '../../record/kind.ts';
import { finite } from '../../record/values.ts';
import { DOCUMENT_KINDS } from '../../codes/documents.ts';

/** What a house settles of itself. A shape is never edited once shipped: a new version is added and the old one upcast. */

export const houseSet = z.object({
  name: z.string(),
  profile: z.string(),
  zone: z.string(),
  dayEndsHour: finite,
  units: z.object({
    mass: z.enum(['g', 'oz']),
    temperature: z.enum(['C', 'F']),
    length: z.enum(['mm', 'in']),
    volume: z.enum(['ml', 'floz'])
  }),
  currency: z.string(),
  countFromCore: z.boolean(),
  strictAccuracy: z.boolean(),
  warnMinutes: finite,
  rawShareOfIceDays: finite,
  dateMarkDays: finite,
  /** Guests who are highly susceptible are served here. */
  susceptibleGuests: z.boolean()
});

export const houseSetFrom1 = (body: unknown) => ({ susceptibleGuests: false, pufferLicence: '', ...(body as object) });

/** A licence was a number in the house once. A number alone opens nothing: the licence itself stands among the documents. */
export const houseSetFrom2 = (body: unknown) => {
  const { pufferLicence: _, ...rest } = body as Record<string, unknown>;
  return rest;
};

/** The house's word on a species: a whole entry added, or fields over the shipped one. */
export const speciesSet = z.object({
  id: z.string(),
  added: z.boolean(),
  fields: speciesShape.partial(),
  reason: z.string(),
  looser: z.array(z.string()),
  /** Takes the house's word back. */
  withdrawn: z.boolean()
});

/** A copy of a rule profile with some of its numbers changed. */
export const profileSet = z.object({
  id: z.string(),
  base: z.string(),
  name: z.string(),
  changes: z.record(z.string(), z.union([finite, z.boolean()])),
  reason: z.string(),
  looser: z.array(z.string())
});

export const sheetSet = z.object({
  id: z.enum(SHEET_IDS),
  changes: z.record(z.string(), z.object({ weight: finite, texts: z.array(z.string()) })),
  reason: z.string()
});

/** A document the house holds of its authority, or one taken off its list. */
export const documentFiled = z.object({
  id: z.string(),
  kind: z.enum(DOCUMENT_KINDS),
  authority: z.string(),
  number: z.string(),
  covers: z.array(z.string()),
  species: z.array(z.string()),
  issuedOn: z.string(),
  expiresOn: z.string(),
  limits: z.string(),
  file: z.object({ hash: z.string(), type: z.string(), name: z.string(), bytes: z.number().int() }).nullable(),
  reason: z.string(),
  withdrawn: z.boolean()
});

export const noticeSet = z.object({ text: z.string(), reason: z.string() });

export const personJoined = z.object({});

export const personForgotten = z.object({ reason: z.string() });

export const kinds = {
  'house.set': third(houseSet, houseSetFrom1, houseSetFrom2, false),
  'species.set': kind(speciesSet, false),
  'profile.set': kind(profileSet, false),
  'sheet.set': kind(sheetSet, false),
  'notice.set': kind(noticeSet, false),
  'document.filed': kind(documentFiled, false),
  'person.joined': kind(personJoined, false),
  'person.forgotten': kind(personForgotten, false)
} satisfies Kinds;
