import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { speciesIn } from '../../core/fish/house-species.ts';
import { DOCUMENT_KINDS, LICENSED_SCOPES } from '../../core/codes/documents.ts';
import { AUTHORITY_SCOPES } from '../../core/rules/exceptions.ts';
import { businessDay } from '../../core/measure/day.ts';
import { draft } from '../store/record.ts';
import { list, neededText, shortText } from '../../core/fields/field.ts';
import { bookId } from '../input/book-id.ts';
import { operation } from './operation.ts';

/** What a document of the house may cover. */
const DOCUMENT_SCOPES: readonly string[] = [...AUTHORITY_SCOPES, ...LICENSED_SCOPES];

export const fileDocument = operation({
  name: 'file-document',
  page: '/house/documents',
  summary:
    'File a document of the authority that the house holds: variance, HACCP plan, licence or approval, with its number, what it covers, its dates, its limits and itself.',
  input: z.object({
    id: shortText(80).describe('of the one it replaces; nothing for a new one'),
    kind: z.enum(DOCUMENT_KINDS),
    authority: neededText(120),
    number: neededText(60),
    covers: list(DOCUMENT_SCOPES.length).describe(
      `of ${DOCUMENT_SCOPES.join(', ')}; ${LICENSED_SCOPES.join(', ')} in a licence alone`
    ),
    species: list(60).describe('ids it is for; nothing where it is for all'),
    issuedOn: z.iso.date(),
    expiresOn: z.iso.date(),
    limits: shortText(300).describe('what it allows only so far, in its own words'),
    file: z
      .union([z.literal(''), z.string().regex(/^[0-9a-f]{64}$/)])
      .default('')
      .describe('hash of a file given before (POST /api/v1/files)'),
    fileName: shortText(120),
    reason: shortText(200)
  }),
  subject: () => 'house',
  run({ store, house, now }, { id: asked, file, fileName, ...input }) {
    const id = asked === '' ? bookId(`${input.authority} ${input.number}`) : asked;
    const before = house.documents[id];
    if (asked !== '' && !before) throw new EmberError('record.not-found', { field: 'id', seen: asked });
    if (asked === '' && before && !before.withdrawn) {
      throw new EmberError('form.value-unknown', { field: 'number', seen: input.number, taken: true });
    }
    if (input.covers.length === 0) throw new EmberError('form.incomplete', { field: 'covers' });
    // What only a licence covers is no matter for a variance or a plan.
    const scopes = input.kind === 'licence' ? DOCUMENT_SCOPES : AUTHORITY_SCOPES;
    const unknown = input.covers.find((scope) => !scopes.some((known) => known === scope));
    if (unknown !== undefined) {
      throw new EmberError('form.value-unknown', { field: 'covers', seen: unknown, candidates: [...scopes] });
    }
    for (const species of input.species) speciesIn(house.species, species);
    if (input.issuedOn > businessDay(now, house)) {
      throw new EmberError('time.in-future', { field: 'issuedOn', seen: input.issuedOn });
    }
    if (input.expiresOn < input.issuedOn) {
      throw new EmberError('time.out-of-order', { field: 'expiresOn', seen: input.expiresOn });
    }
    const kept = file === '' ? null : store.files.get(file);
    if (file !== '' && !kept) throw new EmberError('record.not-found', { field: 'file', seen: file.slice(0, 12) });
    const own = kept && {
      hash: kept.hash,
      type: kept.type,
      bytes: kept.bytes,
      name: fileName || kept.hash.slice(0, 12)
    };
    // A figure mended does not take the paper away that was filed with it.
    const paper = own ?? before?.file ?? null;
    return {
      events: [draft('document.filed', 'house', now, { ...input, id, file: paper, withdrawn: false })],
      result: { document: id, opens: paper !== null }
    };
  }
});

export const withdrawDocument = operation({
  name: 'withdraw-document',
  page: '/house/documents',
  summary: 'Take a document off the list: from then on it opens nothing.',
  input: z.object({ id: neededText(80), reason: neededText(200) }),
  subject: () => 'house',
  run({ house, now }, { id, reason }) {
    const known = house.documents[id];
    if (!known || known.withdrawn) throw new EmberError('record.not-found', { field: 'id', seen: id });
    const { seq: _, at: __, ...body } = known;
    return {
      events: [
        draft('document.filed', 'house', now, {
          ...body,
          covers: [...body.covers],
          species: [...body.species],
          reason,
          withdrawn: true
        })
      ],
      result: { document: id }
    };
  }
});
