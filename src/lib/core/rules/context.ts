import type { ChangeCode, FindingCode } from '../codes/finding.ts';
import type { Species } from '../fish/species.ts';
import type { Place } from '../activity/cold/fold.ts';
import type { HouseState } from '../record/house.ts';
import type { LotState } from '../record/lot.ts';
import type { PieceState } from '../record/piece.ts';
import type { Stay } from '../record/slice.ts';
import type { Reading } from '../record/stamped.ts';
import { union, type Interval, type LogBook } from '../log/holding.ts';
import type { LogPoint } from './clocks.ts';
import type { Cited, RuleProfile } from '../codes/profile.ts';
import { businessDay } from '../measure/day.ts';
import { conflictsOf, type Conflict } from './papers.ts';
import { staysOf, type LoggedStay } from './stays.ts';
import type { WarmSpell } from './warm-spell.ts';
import { RAW_ROUTES, ROUTES, type Effect, type Reason, type Route } from '../codes/window.ts';

/** Everything a verdict may look at. */
export interface JudgeContext {
  readonly lot: LotState;
  /** From the root to the piece itself; each ancestor as it stood when its child was made. */
  readonly chain: readonly PieceState[];
  readonly piece: PieceState;
  readonly species: Species;
  readonly profile: RuleProfile;
  readonly house: HouseState;
  readonly at: number;
  /** Every cold reading of the chain, in order of (time, temperature): sorted once, read by three hazards. */
  readonly readings: readonly Reading[];
  /** Every core that was read of it, in order, one a minute; ms and °C. */
  readonly points: readonly (LogPoint & { readonly seq: number })[];
  /** The warmest of them, °C; -Infinity for none. What it does not reach need not be looked for. */
  readonly warmest: number;
  /** All time in freezers, ascending, overlaps once. */
  readonly frozen: readonly Interval[];
  /** When nothing was heard of it for longer than is believed. */
  readonly silences: readonly WarmSpell[];
  /** When it lay in places that nobody listed as cold. */
  readonly unlisted: readonly WarmSpell[];
  readonly logs: LogBook;
  /** Where the chain lay in places that a sensor speaks of. */
  readonly stays: readonly LoggedStay[];
  /** Asked for guests who are highly susceptible. */
  readonly susceptible: boolean;
}

/** One hazard, one file, one signature. */
export type Hazard = (context: JudgeContext) => Reason[];

export const ALL_ROUTES: readonly Route[] = ROUTES;

/** Writes a reason with its citation; a reason without one cannot be made. */
export function reason(
  context: JudgeContext,
  hazard: string,
  code: FindingCode,
  effect: Effect,
  cited: Cited,
  rest: Partial<Pick<Reason, 'routes' | 'evidence' | 'seen'>> & { readonly wouldChange?: ChangeCode | null } = {}
): Reason {
  return {
    code,
    hazard,
    effect,
    routes: rest.routes ?? RAW_ROUTES,
    rule: {
      profile: context.profile.id,
      rule: cited.rule,
      citation: cited.citation,
      check: cited.check ?? false
    },
    // Whatever a finding gathered: it leans on an entry once.
    evidence: [...new Set(rest.evidence)],
    seen: rest.seen ?? {},
    wouldChange: rest.wouldChange ?? null
  };
}

interface PapersOfKind {
  readonly valid: LotState['evidence'];
  readonly expired: LotState['evidence'];
  /** In date, but the lot is not what they speak of. */
  readonly conflicting: readonly {
    readonly paper: LotState['evidence'][number];
    readonly conflicts: readonly Conflict[];
  }[];
}
const NO_PAPERS: PapersOfKind = { valid: [], expired: [], conflicting: [] };

/**
 * Papers of a kind that had not expired when the lot came in (whole business days count in full), held against the lot: one that
 * speaks of another fish, another day or a smaller lot is no paper of this one.
 */
export function papers(context: JudgeContext, type: LotState['evidence'][number]['type']): PapersOfKind {
  const { evidence, received } = context.lot;
  if (!evidence.some((paper) => paper.type === type)) return NO_PAPERS;
  const all = evidence.filter((paper) => paper.type === type);
  const arrived = businessDay(received.at, context.house);
  const inDate = all.filter((paper) => paper.expiresOn === null || paper.expiresOn >= arrived);
  const held = inDate.map((paper) => ({ paper, conflicts: conflictsOf(paper, context.lot, context.house) }));
  return {
    valid: held.filter(({ conflicts }) => conflicts.length === 0).map(({ paper }) => paper),
    expired: all.filter((paper) => paper.expiresOn !== null && paper.expiresOn < arrived),
    conflicting: held.filter(({ conflicts }) => conflicts.length > 0)
  };
}

/**
 * Whether the fish had been frozen before it was opened here: it arrived so, or a paper says so. A seller's word alone gives
 * none of the time that frozen fish is given.
 */
export const wasFrozenBefore = (context: JudgeContext): boolean =>
  context.lot.received.frozen ||
  (context.lot.received.previouslyFrozen === 'yes' && papers(context, 'freezing-statement').valid.length > 0);

const FREEZERS: readonly Place['kind'][] = ['freezer', 'blast'];
const isFreezer = (context: Pick<JudgeContext, 'house'>, name: string) =>
  Object.values(context.house.places).some((place) => place.name === name && FREEZERS.includes(place.kind));

/** Fish that came frozen and lies in a freezer has not been opened: its stays there, ms. None once a thaw has begun. */
function frozenStays(context: Pick<JudgeContext, 'chain' | 'lot' | 'house'>): Stay[] {
  if (!context.lot.received.frozen) return [];
  const thawed = context.chain.flatMap((piece) => piece.thaws)[0]?.at ?? Infinity;
  return staysOf(context.chain)
    .filter(({ place, from }) => from < thawed && isFreezer(context, place))
    .map((stay) => ({ ...stay, to: stay.to ?? (thawed < Infinity ? thawed : null) }));
}

/** Time the piece or its ancestors lay in freezer runs that reach beyond a moment; an open end is Infinity. */
export function freezerRuns(context: Pick<JudgeContext, 'chain' | 'piece'>, from = -Infinity): Interval[] {
  const out: Interval[] = [];
  for (const link of context.chain)
    for (const { at, ended } of link.freezes) {
      // Only the piece's own last run can still be going: one taken out of a frozen parent is out.
      const to = ended?.at ?? (link === context.piece ? Infinity : context.piece.made.at);
      if ((ended?.at ?? Infinity) > from) out.push({ from: Math.max(from, at), to });
    }
  return out;
}

/** All time in freezers, in runs and as it came; ascending, overlaps once. */
export const frozenIntervals = (context: Pick<JudgeContext, 'chain' | 'piece' | 'lot' | 'house'>): Interval[] =>
  union([...freezerRuns(context), ...frozenStays(context).map(({ from, to }) => ({ from, to: to ?? Infinity }))]);
