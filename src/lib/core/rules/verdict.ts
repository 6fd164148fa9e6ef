import { speciesIn } from '../fish/house-species.ts';
import { CATALOGUE_VERSION } from '../fish/species.ts';
import type { RecordEvent } from '../record/events.ts';
import { type HouseState } from '../record/house.ts';
import { foldLot, type LotState } from '../record/lot.ts';
import { foldPiece, type PieceState } from '../record/piece.ts';
import { type Reading } from '../record/stamped.ts';
import { EmberError } from '../errors.ts';
import { MODEL_VERSION } from '../bench/model.ts';
import { ALL_ROUTES, frozenIntervals, reason, type JudgeContext } from './context.ts';
import { standingWithout, unwarranted } from '../record/amend.ts';
import { withDocuments, withExceptions } from './exceptions.ts';
import { byMinute, byPlaces, corePoints, silencesOf } from './warmth.ts';
import type { RuleProfile } from '../codes/profile.ts';
import { profileById } from '../codes/profiles/index.ts';
import { withTimeOut } from './out-of-cold.ts';
import { loggedStays } from './stays.ts';
import { NO_LOGS, type LogBook } from '../log/holding.ts';
import { combineAll, stateAt, type Reason, type RouteWindow, type WindowState } from '../codes/window.ts';
import { findings, stands } from './hazards.ts';

export interface LeanedOn {
  readonly profile: string;
  readonly catalogue: string;
  readonly model: string;
}

export interface Verdict {
  readonly piece: string;
  readonly at: number;
  readonly knownAt: number;
  /** Versions of all it leaned on. */
  readonly pins: LeanedOn;
  readonly windows: readonly (RouteWindow & { readonly state: WindowState })[];
  readonly reasons: readonly Reason[];
}

/** The versions a decision made now leans on. */
export function versionsFor(profile: RuleProfile, house?: Pick<HouseState, 'species'>): LeanedOn {
  const own = Object.values(house?.species ?? {}).reduce((last, { seq }) => Math.max(last, seq), 0);
  return {
    profile: profile.version,
    catalogue: own > 0 ? `${CATALOGUE_VERSION}, house entry ${own}` : CATALOGUE_VERSION,
    model: MODEL_VERSION
  };
}

export interface JudgeInput {
  readonly lot: LotState;
  readonly chain: readonly PieceState[];
  readonly house: HouseState;
  readonly at: number;
  readonly knownAt: number;
  /** Judge under another profile than the house's. */
  readonly profile?: string;
  /** Judge for guests who are highly susceptible. */
  readonly susceptible?: boolean;
  /** What sensors say; nothing where it is left out. */
  readonly logs?: LogBook;
  /**
   * The same strand without amendments that may take nothing away: what stood before each of them is judged as well, as far as
   * the law leaves no discretion.
   */
  readonly standing?: readonly Pick<JudgeInput, 'lot' | 'chain'>[];
}

/** Readings of all pieces on the way, and its time out of the cold told like readings: what spoils it. */
function readingsOf({ chain, lot }: Pick<JudgeInput, 'chain' | 'lot'>, unlisted: JudgeContext['unlisted']) {
  const readings = byMinute(chain.length === 1 ? chain[0]!.readings : chain.flatMap((piece) => piece.readings));
  const isCold = unlisted.length === 0 && chain.every((piece) => piece.outs.length === 0);
  return isCold ? readings : withTimeOut(chain, readings, lot.received.core?.si ?? null, unlisted);
}

/** The contexts a piece is judged in: one, or one for each species it may be. */
export function contextsOf(input: JudgeInput): JudgeContext[] {
  const { lot, chain, house, at, susceptible = false, logs = NO_LOGS } = input;
  const piece = chain.at(-1);
  if (!piece) throw new EmberError('record.not-found', { field: 'piece' });
  const profile = profileById(input.profile ?? house.profile, house.profiles);
  const unlisted = byPlaces(input);
  const readings: readonly Reading[] = readingsOf(input, unlisted);
  const stays = loggedStays(chain, logs, at);
  const points = corePoints({ lot, chain, stays, profile });
  let warmest = -Infinity;
  for (const { celsius } of points) if (celsius > warmest) warmest = celsius;
  const frozen = frozenIntervals({ lot, chain, piece, house });
  const silences = silencesOf({ lot, chain, frozen, stays, points, profile });
  return lot.species.map((id) => ({
    lot,
    chain,
    piece,
    species: speciesIn(house.species, id),
    profile,
    house,
    at,
    readings,
    points,
    warmest,
    frozen,
    silences,
    unlisted,
    logs,
    stays,
    susceptible
  }));
}

const DOUBT = {
  rule: 'identification',
  citation:
    "Species decides every rule; where it is not settled the worst of the candidates counts (the house's caution)",
  from: 'house' as const
};

/** A fish that nobody could name is a hazard of its own: all that is found on any candidate counts. */
function unidentified(contexts: readonly JudgeContext[], input: JudgeInput): Reason[] {
  const { lot, house } = input;
  const evidence = [lot.identified?.seq ?? lot.received.seq];
  const profile = profileById(input.profile ?? house.profile, house.profiles);
  const cite = { profile } as JudgeContext;
  if (contexts.length === 0) {
    return [
      reason(cite, 'identification', 'identification.none', { kind: 'missing' }, DOUBT, {
        routes: ALL_ROUTES,
        evidence,
        wouldChange: 'identify'
      })
    ];
  }
  // What is found alike on several candidates is said once, with their names; on all of them, as of any fish.
  const found = new Map<string, { readonly reason: Reason; readonly names: string[] }>();
  for (const context of contexts) {
    for (const each of findings(context)) {
      const key = JSON.stringify([each.code, each.effect, each.routes, each.evidence, each.rule, each.seen]);
      const known = found.get(key);
      if (known) known.names.push(context.species.name);
      else found.set(key, { reason: each, names: [context.species.name] });
    }
  }
  return [
    reason(cite, 'identification', 'identification.unsettled', { kind: 'pass' }, DOUBT, {
      routes: ALL_ROUTES,
      evidence,
      seen: { candidates: contexts.map(({ species }) => species.name).join(', ') },
      wouldChange: 'identify'
    }),
    ...[...found.values()].map(({ reason: each, names }) =>
      names.length === contexts.length ? each : { ...each, candidate: names.join(', ') }
    )
  ];
}

/** What stood before amendments that may take nothing away, as far as it is not found anyway. */
function stillStanding(input: JudgeInput, standing: NonNullable<JudgeInput['standing']>, found: readonly Reason[]) {
  const keyOf = (each: Reason) => JSON.stringify([each.code, each.effect, each.routes, each.rule]);
  const known = new Set(found.map(keyOf));
  return standing.flatMap((before) =>
    reasonsOf({ ...input, ...before, standing: [] }).flatMap((each): Reason[] => {
      const key = keyOf(each);
      if (!stands(each) || known.has(key)) return [];
      known.add(key);
      return [{ ...each, struck: true }];
    })
  );
}

/** What is found along one strand: from one lot, through one line of parents, to the piece. */
function reasonsOf(input: JudgeInput): readonly Reason[] {
  const contexts = contextsOf(input);
  const [only] = contexts;
  const asItIs = only && contexts.length === 1 ? findings(only) : unidentified(contexts, input);
  const { standing = [], lot, house, at } = input;
  const found = standing.length === 0 ? asItIs : [...asItIs, ...stillStanding(input, standing, asItIs)];
  const exceptions = input.chain.flatMap((piece) => piece.exceptions);
  const documented = withDocuments(found, lot, house, at);
  return exceptions.length > 0 ? withExceptions(documented, exceptions) : documented;
}

/** All that is found along any strand; what is found along some of them says which lots it speaks of. */
function together(inputs: readonly JudgeInput[]): readonly Reason[] {
  if (inputs.length === 1) return reasonsOf(inputs[0]!);
  const found = new Map<string, { readonly reason: Reason; readonly lineages: Set<number> }>();
  inputs.forEach((input, strand) => {
    for (const each of reasonsOf(input)) {
      const key = JSON.stringify([
        each.code,
        each.effect,
        each.routes,
        each.evidence,
        each.rule,
        each.seen,
        each.owned,
        each.struck
      ]);
      const known = found.get(key);
      if (known) known.lineages.add(strand);
      else found.set(key, { reason: each, lineages: new Set([strand]) });
    }
  });
  return [...found.values()].map(({ reason: each, lineages }) => {
    if (lineages.size === inputs.length) return each;
    return { ...each, lots: [...new Set([...lineages].map((strand) => inputs[strand]!.lot.id))].sort().join(', ') };
  });
}

/**
 * Findings without what raises a false hope: of routes that are shut for ever nothing is said to change it, and no later opening or
 * closing is told. What shuts them stands, and what is missing stays in sight.
 */
function withoutHope(reasons: readonly Reason[], windows: readonly RouteWindow[]): readonly Reason[] {
  if (windows.every(({ never }) => !never)) return reasons;
  const shut = new Set(windows.filter(({ never }) => never).map(({ route }) => route));
  return reasons.flatMap((each): Reason[] => {
    const { kind } = each.effect;
    if (kind === 'never') return each.wouldChange === null ? [each] : [{ ...each, wouldChange: null }];
    if (!each.routes.every((route) => shut.has(route))) return [each];
    return kind === 'pass' || kind === 'missing' ? [{ ...each, wouldChange: null }] : [];
  });
}

/**
 * Judges folded state. Pure: the same input gives the same answer. A batch has a strand for each way back to a lot, and is
 * only as good as its worst: all that is found along any of them counts.
 *
 * @throws EmberError `record.not-found` without a strand
 */
export function judge(input: JudgeInput | readonly JudgeInput[]): Verdict {
  const inputs = Array.isArray(input) ? (input as readonly JudgeInput[]) : [input as JudgeInput];
  const [first] = inputs;
  if (!first) throw new EmberError('record.not-found', { field: 'piece' });
  const { chain, house, at, knownAt } = first;
  const found = together(inputs);
  const windows = combineAll(found);
  const reasons = withoutHope(found, windows);
  return {
    piece: chain.at(-1)!.id,
    at,
    knownAt,
    pins: versionsFor(profileById(first.profile ?? house.profile, house.profiles), house),
    windows: windows.map((window) => Object.assign(window, { state: stateAt(window, at, house.warnMinutes * 60) })),
    reasons
  };
}

/** One strand: the events of a lot and of every piece on one way from its root to the piece asked about. */
export interface Lineage {
  readonly lot: readonly RecordEvent[];
  /** Root first, the piece itself last. */
  readonly pieces: readonly { readonly id: string; readonly events: readonly RecordEvent[] }[];
  readonly lotId: string;
}

/**
 * Folds a lineage: each ancestor only as far as the entry with which its child left it, so that what befell it later (a discard,
 * a warm hour) does not speak about the child.
 *
 * @param isMixed it came from several lots: what one of them sends back it does not carry with it
 * @param without amendments that are left out of the view
 */
export function foldLineage(
  lineage: Lineage,
  at: number,
  knownAt: number,
  isMixed = false,
  without?: ReadonlySet<number>
): { lot: LotState; chain: PieceState[] } {
  const lot = foldLot(lineage.lotId, lineage.lot, { at, knownAt, without });
  if (!lot) throw new EmberError('record.not-found', { field: 'lot', seen: lineage.lotId });
  const chain: PieceState[] = [];
  let before: PieceState['made'] | undefined;
  for (const { id, events } of [...lineage.pieces].reverse()) {
    const piece = foldPiece(id, events, {
      at,
      knownAt,
      before,
      without,
      sentBack: before || isMixed ? null : lot.sentBack
    });
    if (!piece) throw new EmberError('record.not-found', { field: 'piece', seen: id });
    chain.unshift(piece);
    before = piece.made;
  }
  return { lot, chain };
}

/** What the record said before each amendment that may take nothing away; none where every one of them may. */
function standingOf(
  lineage: Lineage,
  at: number,
  knownAt: number,
  isMixed: boolean
): Pick<JudgeInput, 'lot' | 'chain'>[] {
  const seqs = [lineage.lot, ...lineage.pieces.map(({ events }) => events)].flatMap((events) =>
    unwarranted(events, knownAt)
  );
  return standingWithout(seqs.sort((a, b) => a - b)).flatMap((without) => {
    try {
      return [foldLineage(lineage, at, knownAt, isMixed, without)];
    } catch (error) {
      // Before it was mended it was not yet there at this moment: that view says nothing of it.
      if (error instanceof EmberError && error.code === 'record.not-found') return [];
      throw error;
    }
  });
}

/**
 * Folds every strand into what a judge takes.
 *
 * @throws EmberError `record.not-found` where the piece did not yet exist
 */
export const foldLineages = (
  lineages: readonly Lineage[],
  asked: Omit<JudgeInput, 'lot' | 'chain'>
): [JudgeInput, ...JudgeInput[]] => {
  const isMixed = new Set(lineages.map(({ lotId }) => lotId)).size > 1;
  const [first, ...others] = lineages.map((lineage) => ({
    ...asked,
    ...foldLineage(lineage, asked.at, asked.knownAt, isMixed),
    standing: standingOf(lineage, asked.at, asked.knownAt, isMixed)
  }));
  if (!first) throw new EmberError('record.not-found', { field: 'piece' });
  return [first, ...others];
};

/**
 * The verdict on one piece: five routes, each with its window and reasons.
 *
 * @param lineages recorded events of each way back to a lot: one, or several for a batch
 * @param house how the house was set at the time asked about
 * @param at the moment asked about, ms
 * @param knownAt what was on record then, ms
 * @throws EmberError `record.not-found` where the piece did not yet exist
 */
export function verdict(
  lineages: Lineage | readonly Lineage[],
  house: HouseState,
  at: number,
  knownAt: number,
  profile?: string,
  logs?: LogBook
): Verdict {
  const all = Array.isArray(lineages) ? (lineages as readonly Lineage[]) : [lineages as Lineage];
  return judge(foldLineages(all, { house, at, knownAt, profile, logs }));
}
