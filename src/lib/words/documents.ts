import * as say from './say.ts';
import { said, words } from './speech.ts';
import type { DocumentKind, DocumentState, LicensedScope } from '../core/codes/documents.ts';
import { scopeWord } from './scopes.ts';
import type { AuthorityScope } from '../core/rules/exceptions.ts';

export const DOCUMENT_KIND_WORDS: Record<DocumentKind, string> = /* @__PURE__ */ words({
  variance: 'Variance',
  'haccp-plan': 'HACCP plan, approved',
  licence: 'Licence',
  approval: 'Approval'
});
export const DOCUMENT_STATE_WORDS: Record<DocumentState, string> = /* @__PURE__ */ words({
  'in-force': 'in force',
  ending: 'ends soon: renew it',
  ended: 'has ended: it opens nothing',
  'not-yet': 'not in force yet',
  'no-file': 'without the paper itself it opens nothing',
  withdrawn: 'taken off the list'
});
const LICENSED_WORDS: Record<LicensedScope, string> = /* @__PURE__ */ words({
  puffer: 'Puffer family (a licence only)'
});
const isLicensed = (scope: string): scope is LicensedScope => scope in LICENSED_WORDS;
/** What a document of the house may cover, in words. */
export const documentScopeWord = /* @__PURE__ */ said((scope: AuthorityScope | LicensedScope): string =>
  isLicensed(scope) ? LICENSED_WORDS[scope] : scopeWord(scope)
);
/** What a document covers, in words. */
export const coversWords = /* @__PURE__ */ said((covers: readonly string[]): string =>
  covers.map((scope) => documentScopeWord(scope as AuthorityScope | LicensedScope)).join(', ')
);

export const DOCUMENT_WORDS = /* @__PURE__ */ words({
  title: 'Documents of your authority',
  lead: 'What the authority allows this house, whatever the lot. A document opens only what it covers, within its dates, and says so on every piece it opens. Papers of one lot stand on that lot.',
  none: 'None on file. What the law leaves to no name stays shut.',
  add: 'File a document',
  again: 'Mend or renew it',
  kind: 'Kind',
  authority: 'Authority',
  number: 'Number',
  covers: 'It covers',
  species: 'Only for these species',
  speciesHint: 'Ids with commas between; empty for all. A fish nobody named is none of them.',
  issued: 'Issued',
  expires: 'Ends',
  limits: 'Its limits',
  limitsHint: 'In its own words: you keep to them; they are shown wherever it opens something.',
  file: 'The document (PDF or picture)',
  reason: 'Why',
  keep: 'File it',
  withdraw: 'Take it off the list',
  all: 'all species',
  ending: (number: string, day: string) => `Document No. ${number} ends on ${say.day(day)}.`,
  ended: (number: string, day: string) => `Document No. ${number} ended on ${say.day(day)}: it opens nothing any more.`,
  caution:
    'A document is no permission beyond its words. Guidance only: your local code, your authority and licensed practice decide.'
} as const);
