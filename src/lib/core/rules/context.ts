import type { Species } from '../fish/species.ts';
import type { HouseState, LotState, PieceState, Place, Reading, Stay } from '../record/state.ts';
import { secondsIn, union, type LogBook } from '../log/holding.ts';
import type { Cited, RuleProfile } from './profile.ts';
import { staysOf, type LoggedStay } from './stays.ts';
import { RAW_ROUTES, ROUTES, type Effect, type Reason, type Route } from './window.ts';

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
  /** The warmest of them, °C; -Infinity for none. What it does not reach need not be looked for. */
  readonly warmest: number;
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
  code: string,
  effect: Effect,
  cited: Cited,
  rest: Partial<Pick<Reason, 'routes' | 'evidence' | 'seen' | 'wouldChange'>> = {}
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
    evidence: rest.evidence ?? [],
    seen: rest.seen ?? {},
    wouldChange: rest.wouldChange ?? null
  };
}

interface PapersOfKind {
  readonly valid: LotState['evidence'];
  readonly expired: LotState['evidence'];
}
const NO_PAPERS: PapersOfKind = { valid: [], expired: [] };

/** Papers of a kind that had not expired when the lot came in (whole business days count in full). */
export function papers(context: JudgeContext, type: LotState['evidence'][number]['type']): PapersOfKind {
  const { evidence, received } = context.lot;
  if (!evidence.some((paper) => paper.type === type)) return NO_PAPERS;
  const all = evidence.filter((paper) => paper.type === type);
  if (all.every((paper) => paper.expiresOn === null)) return { valid: all, expired: [] };
  const arrived = new Date(received.at).toISOString().slice(0, 10);
  return {
    valid: all.filter((paper) => paper.expiresOn === null || paper.expiresOn >= arrived),
    expired: all.filter((paper) => paper.expiresOn !== null && paper.expiresOn < arrived)
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
const isFreezer = (context: JudgeContext, name: string) =>
  Object.values(context.house.places).some((place) => place.name === name && FREEZERS.includes(place.kind));

/** Fish that came frozen and lies in a freezer has not been opened: its stays there, ms. None once a thaw has begun. */
function frozenStays(context: JudgeContext): Stay[] {
  if (!context.lot.received.frozen) return [];
  const thawed = context.chain.flatMap((piece) => piece.thaws)[0]?.at ?? Infinity;
  return staysOf(context.chain)
    .filter(({ place, from }) => from < thawed && isFreezer(context, place))
    .map((stay) => ({ ...stay, to: stay.to ?? (thawed < Infinity ? thawed : null) }));
}

/** True while the piece lies in a freezer: its day clocks stand still until it comes out. */
export function inFreezer(context: JudgeContext): boolean {
  const run = context.piece.freezes.at(-1);
  if (run !== undefined && run.ended === null) return true;
  return frozenStays(context).at(-1)?.to === null;
}

/** Seconds since `from` that the piece or its ancestors spent in a freezer, in runs that have ended. */
export function frozenSeconds(context: JudgeContext, from: number): number {
  const runs = context.chain.flatMap((piece) =>
    piece.freezes.map((run) => ({ from: run.at, to: run.ended?.at ?? null }))
  );
  // A run lies in a place as well: an hour in the freezer is one hour, whichever of them tells of it.
  const ended = [...runs, ...frozenStays(context)].flatMap((each) =>
    each.to !== null && each.to > from ? [{ from: Math.max(each.from, from), to: each.to }] : []
  );
  return secondsIn(union(ended));
}
