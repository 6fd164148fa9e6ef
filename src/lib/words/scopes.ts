import { said, words } from './speech.ts';
import type { AuthorityScope } from '../core/rules/exceptions.ts';

/** Short names: what a document may cover, and what a piece waits for. */

const SCOPE_WORDS: Record<AuthorityScope, string> = /* @__PURE__ */ words({
  parasites: 'Parasite freezing',
  flukes: 'Flukes of fresh water',
  'reef-area': 'Reef waters',
  'purging-oil': 'Purging oil',
  identity: 'Fish nobody named',
  source: 'Its source',
  'arrival-temperature': 'A warm delivery',
  'cold-holding': 'Time in the warm',
  histamine: 'Histamine',
  'shellfish-tag': 'Shellfish without its tag',
  thawing: 'Thawing',
  'date-mark': 'Date mark',
  'closed-pack': 'Packs without air'
});

/** What a document of the authority may cover, in words. */
export const scopeWord = /* @__PURE__ */ said((scope: AuthorityScope): string => SCOPE_WORDS[scope]);

/** A short name for something missing, for a card. */
export const missingWord = /* @__PURE__ */ said(function missingWord(code: string): string {
  const short: Record<string, string> = {
    'parasites.no-farm-paper': 'feed statement',
    'parasites.not-frozen': 'freezing record',
    'parasites.paper-expired': 'a paper in date',
    'parasites.fluke-not-cleared': 'an answer on flukes',
    'parasites.freezer-too-warm': 'a colder freezer',
    'parasites.solid-before': 'another cycle',
    'decision.hold-to-freeze': 'freezing record',
    'thaw.running': 'the end of its thaw',
    'thaw.closed-pack': 'an answer to a closed-pack thaw',
    'temperature.not-taken': 'core temperature',
    'temperature.air-not-taken': 'air temperature',
    'pack.no-indicator': 'its pack’s indicator',
    'parasites.paper-contradicts': 'a paper that fits it',
    'shellfish.tag-incomplete': 'the rest of its tag',
    'thaw.core-not-read': 'core after the thaw',
    'temperature.arrived-warm': 'an answer to a warm delivery',
    'histamine.no-chill-record': 'chilling record',
    'shellfish.no-tag': 'shellfish tag',
    'source.unknown': 'its source',
    'identification.none': 'its name',
    'parasites.roe-not-rinsed': 'rinsing out of the skein',
    'parasites.kudoa': 'an answer on Kudoa',
    'toxins.area-unknown': 'harvest-area paper',
    'toxins.purging-oil': 'authority’s word',
    'freshness.no-catch-date': 'day of catch',
    'ageing.cabinet-unread': 'a log of its cabinet',
    'ageing.histamine-unread': 'a log of its cabinet'
  };
  return short[code] ?? code;
});
