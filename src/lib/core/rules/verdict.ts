import { speciesIn } from '../fish/house-species.ts';
import { CATALOGUE_VERSION } from '../fish/species.ts';
import type { RecordEvent } from '../record/events.ts';
import { foldLot, foldPiece, type HouseState, type LotState, type PieceState } from '../record/state.ts';
import { EmberError } from '../errors.ts';
import { MODEL_VERSION } from '../bench/model.ts';
import { ALL_ROUTES, reason, type Hazard, type JudgeContext } from './context.ts';
import { withExceptions } from './exceptions.ts';
import { dateMark, freshness, handling } from './hazards/age.ts';
import { houseWord } from './hazards/house-word.ts';
import { parasites } from './hazards/parasites.ts';
import { source } from './hazards/source.ts';
import { arrival, histamine, holding, shellfish, timeControl } from './hazards/temperature.ts';
import { toxins } from './hazards/toxins.ts';
import type { RuleProfile } from './profile.ts';
import { profileById } from './profiles/index.ts';
import { combineAll, stateAt, type Reason, type RouteWindow, type WindowState } from './window.ts';

/** Every hazard that is judged, in the order a person would ask. */
export const HAZARDS: readonly Hazard[] = [
  source,
  toxins,
  shellfish,
  parasites,
  arrival,
  holding,
  histamine,
  timeControl,
  dateMark,
  freshness,
  handling,
  houseWord
];

export interface Pins {
  readonly profile: string;
  readonly catalogue: string;
  readonly model: string;
}

export interface Verdict {
  readonly piece: string;
  readonly at: number;
  readonly knownAt: number;
  /** Versions of all it leaned on. */
  readonly pins: Pins;
  readonly windows: readonly (RouteWindow & { readonly state: WindowState })[];
  readonly reasons: readonly Reason[];
}

/** The versions a decision made now leans on. */
export function pinsFor(profile: RuleProfile, house?: Pick<HouseState, 'species'>): Pins {
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
}

/** Readings of all pieces on the way, and the warmest. Recorded in order as a rule, so that sorting has nothing to do. */
function readingsOf(chain: readonly PieceState[]): Pick<JudgeContext, 'readings' | 'warmest'> {
  const all = chain.length === 1 ? chain[0]!.readings : chain.flatMap((piece) => piece.readings);
  let warmest = -Infinity;
  let sorted = true;
  let last = { at: -Infinity, celsius: -Infinity };
  for (const reading of all) {
    if (reading.celsius > warmest) warmest = reading.celsius;
    if (last.at > reading.at || (last.at === reading.at && last.celsius > reading.celsius)) sorted = false;
    last = reading;
  }
  return { warmest, readings: sorted ? all : [...all].sort((x, y) => x.at - y.at || x.celsius - y.celsius) };
}

/** The contexts a piece is judged in: one, or one for each species it may be. */
export function contextsOf(input: JudgeInput): JudgeContext[] {
  const { lot, chain, house, at, susceptible = false } = input;
  const piece = chain.at(-1);
  if (!piece) throw new EmberError('record.not-found', { field: 'piece' });
  const profile = profileById(input.profile ?? house.profile, house.profiles);
  const { readings, warmest } = readingsOf(chain);
  return lot.species.map((id) => ({
    lot,
    chain,
    piece,
    species: speciesIn(house.species, id),
    profile,
    house,
    at,
    readings,
    warmest,
    susceptible
  }));
}

/** All that every hazard finds, in order. */
function findings(context: JudgeContext): Reason[] {
  const found: Reason[] = [];
  for (const hazard of HAZARDS) found.push(...hazard(context));
  return found;
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

/** Judges folded state. Pure: the same input gives the same answer. */
export function judge(input: JudgeInput): Verdict {
  const { chain, house, at, knownAt } = input;
  const contexts = contextsOf(input);
  const [only] = contexts;
  const found = only && contexts.length === 1 ? findings(only) : unidentified(contexts, input);
  const exceptions = chain.flatMap((piece) => piece.exceptions);
  const reasons = exceptions.length > 0 ? withExceptions(found, exceptions) : found;
  return {
    piece: chain.at(-1)!.id,
    at,
    knownAt,
    pins: pinsFor(profileById(input.profile ?? house.profile, house.profiles), house),
    windows: combineAll(reasons).map((window) => ({
      ...window,
      state: stateAt(window, at, house.warnMinutes * 60)
    })),
    reasons
  };
}

/** The events of a lot and of every piece on the way from its root to the one asked about. */
export interface Lineage {
  readonly lot: readonly RecordEvent[];
  /** Root first, the piece itself last. */
  readonly pieces: readonly { readonly id: string; readonly events: readonly RecordEvent[] }[];
  readonly lotId: string;
}

/**
 * Folds a lineage: each ancestor only as far as the entry with which its child left it, so that what befell it later (a discard,
 * a warm hour) does not speak about the child.
 */
export function foldLineage(lineage: Lineage, at: number, knownAt: number): { lot: LotState; chain: PieceState[] } {
  const lot = foldLot(lineage.lotId, lineage.lot, { at, knownAt });
  if (!lot) throw new EmberError('record.not-found', { field: 'lot', seen: lineage.lotId });
  const chain: PieceState[] = [];
  let before: PieceState['made'] | undefined;
  for (const { id, events } of [...lineage.pieces].reverse()) {
    const piece = foldPiece(id, events, { at, knownAt, before });
    if (!piece) throw new EmberError('record.not-found', { field: 'piece', seen: id });
    chain.unshift(piece);
    before = piece.made;
  }
  return { lot, chain };
}

/**
 * The verdict on one piece: five routes, each with its window and reasons.
 *
 * @param lineage recorded events
 * @param house how the house was set at the time asked about
 * @param at the moment asked about, ms
 * @param knownAt what was on record then, ms
 * @throws EmberError `record.not-found` where the piece did not yet exist
 */
export function verdict(lineage: Lineage, house: HouseState, at: number, knownAt: number, profile?: string): Verdict {
  return judge({ ...foldLineage(lineage, at, knownAt), house, at, knownAt, profile });
}
