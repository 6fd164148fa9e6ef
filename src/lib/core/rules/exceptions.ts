import type { OwnedException } from '../activity/inspect/fold.ts';
import type { Evidence, LotState } from '../record/lot.ts';
import { businessDay, businessDayEnd, type HouseTime } from '../measure/day.ts';
import { documentsFor, type HouseDocument } from '../codes/documents.ts';
import type { Reason, Route } from '../codes/window.ts';

/**
 * Findings of the house's own caution: a person may answer for them with name and reason. Where a code leaves no discretion a
 * name is not enough.
 */
export const OWNABLE: ReadonlySet<string> = new Set(['freshness.no-catch-date', 'ageing.cabinet-unread']);

/**
 * Findings that only a document of the authority opens, by what such a document may cover: a variance, an approval, a licence with
 * its number, scope, dates and file. All else is refused, whoever asks: kinds without their licence, what was binned or sent
 * back, trays whose time is up.
 */
const SCOPES = {
  parasites: [
    'parasites.not-frozen',
    'parasites.no-farm-paper',
    'parasites.paper-expired',
    'parasites.paper-contradicts',
    'parasites.roe-not-rinsed',
    'parasites.freezer-too-warm',
    'parasites.solid-before',
    'parasites.kudoa'
  ],
  flukes: ['parasites.fluke-not-cleared'],
  'reef-area': ['toxins.area-unknown'],
  'purging-oil': ['toxins.purging-oil'],
  identity: ['identification.none'],
  source: ['source.unknown'],
  'arrival-temperature': ['temperature.not-taken', 'temperature.air-not-taken', 'temperature.arrived-warm'],
  'cold-holding': [
    'clock.spent',
    'clock.running',
    'clock.read-by',
    'clock.warm-unread',
    'clock.pan',
    'clock.pan-read-by'
  ],
  histamine: ['histamine.no-chill-record', 'histamine.budget-spent', 'histamine.budget-running', 'histamine.read-by'],
  'shellfish-tag': ['shellfish.no-tag', 'shellfish.tag-incomplete'],
  thawing: ['thaw.closed-pack', 'thaw.ended-warm', 'thaw.core-not-read'],
  'date-mark': ['date-mark.day'],
  'closed-pack': [
    'pack.no-indicator',
    'cure.closed-pack',
    'cure.closed-pack-late',
    'cure.closed-pack-salted',
    'ageing.closed-pack'
  ]
} as const;
export type AuthorityScope = keyof typeof SCOPES;
export const AUTHORITY_SCOPES = Object.keys(SCOPES) as readonly AuthorityScope[];
const scopeOf: ReadonlyMap<string, AuthorityScope> = new Map(
  AUTHORITY_SCOPES.flatMap((scope) => SCOPES[scope].map((code) => [code, scope] as const))
);

/** Whether a finding may be answered for by a name: it holds something back, and it is the house's own. */
export const isOwnable = (reason: Pick<Reason, 'code' | 'effect'>): boolean =>
  reason.effect.kind === 'missing' && OWNABLE.has(reason.code);

/** Whether a document of the authority would open it: any, or one that covers so much. */
export const needsAuthority = (reason: Pick<Reason, 'code' | 'effect'>, scope?: AuthorityScope): boolean => {
  const its = scopeOf.get(reason.code);
  return reason.effect.kind !== 'pass' && its !== undefined && (scope === undefined || its === scope);
};

const day = /^\d{4}-\d{2}-\d{2}$/;

/** What a document lacks to count as the authority's word: its number, who gave it, its dates, what it covers, its file. */
export function documentLacks(paper: Evidence): string[] {
  return [
    ...(paper.reference.trim() === '' ? ['reference'] : []),
    ...(paper.issuer.trim() === '' ? ['issuer'] : []),
    ...(paper.issuedOn && day.test(paper.issuedOn) ? [] : ['issuedOn']),
    ...(paper.expiresOn && day.test(paper.expiresOn) ? [] : ['expiresOn']),
    ...(paper.covers.length === 0 ? ['covers'] : []),
    ...(paper.file === null ? ['file'] : [])
  ];
}

/**
 * Findings with the authority's documents over them: what one covers passes while it is in force, says whose word it is, and is
 * shut again when the document ends.
 *
 * @param at the moment asked about, ms
 */
export function withDocuments(
  reasons: readonly Reason[],
  lot: LotState,
  house: HouseTime & { readonly documents?: Readonly<Record<string, HouseDocument>> },
  at: number
): readonly Reason[] {
  const ofLot = lot.evidence
    .filter((paper) => paper.type === 'authority' && documentLacks(paper).length === 0)
    .map((paper) => ({ ...paper, limits: '', authority: paper.issuer, number: paper.reference }));
  const documents = [...ofLot, ...documentsFor(house.documents ?? {}, lot.species)];
  if (documents.length === 0) return reasons;
  const today = businessDay(at, house);
  return reasons.map((reason): Reason => {
    if (!needsAuthority(reason)) return reason;
    // Of several the one that holds longest.
    const paper = documents
      .filter(
        ({ covers, issuedOn }) => covers.some((scope) => scope === scopeOf.get(reason.code)) && issuedOn! <= today
      )
      .sort((a, b) => (a.expiresOn! > b.expiresOn! ? -1 : 1))[0];
    if (!paper) return reason;
    return {
      ...reason,
      effect: { kind: 'closes', at: businessDayEnd(paper.expiresOn!, house) },
      wouldChange: null,
      owned: {
        seq: paper.seq,
        by: paper.authority,
        reason: `No. ${paper.number}${paper.limits === '' ? '' : `: ${paper.limits}`}`,
        at: paper.at
      }
    };
  });
}

/**
 * Findings with the house's exceptions over them: what a person answers for no longer holds back on the routes they named,
 * and says who it was. With an end, the routes close then. The finding itself stays in sight.
 *
 * @param exceptions in force on the piece and on those it came from
 */
export function withExceptions(reasons: readonly Reason[], exceptions: readonly OwnedException[]): Reason[] {
  return reasons.flatMap((reason): Reason[] => {
    if (!isOwnable(reason)) return [reason];
    let open: readonly Route[] = reason.routes;
    const out: Reason[] = [];
    for (const own of exceptions) {
      if (own.code !== reason.code) continue;
      const routes = open.filter((route) => own.routes.includes(route));
      if (routes.length === 0) continue;
      open = open.filter((route) => !routes.includes(route));
      out.push({
        ...reason,
        routes,
        effect: own.until === null ? { kind: 'pass' } : { kind: 'closes', at: own.until },
        wouldChange: null,
        owned: { seq: own.seq, by: own.by, reason: own.reason, at: own.at }
      });
    }
    return open.length > 0 ? [{ ...reason, routes: open }, ...out] : out;
  });
}
