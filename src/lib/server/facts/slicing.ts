import { cureNow } from '../../core/activity/cure/fold.ts';
import type { SlicedFish } from '../../core/bench/slice/recommend.ts';
import { sliceSet, type SliceSet } from '../../core/activity/slice/plan.ts';
import type { HouseCut, HouseStyle } from '../../core/activity/slice/fold.ts';
import type { SliceSettings, SliceSubject } from '../../core/bench/slice/settings.ts';
import { pick } from '../../core/fields/field.ts';
import { movedStyle, stylesOf, type SliceStyle, type StyleMoves, type Styles } from '../../core/bench/slice/styles.ts';
import { usualThickness, weightOfOne } from '../../core/bench/thickness.ts';
import type { Species } from '../../core/fish/species.ts';
import type { HouseState } from '../../core/record/house.ts';
import type { LotState } from '../../core/record/lot.ts';
import { isFrozen } from '../../core/record/frozen.ts';
import type { PieceState } from '../../core/record/piece.ts';
import type { Room } from '../room.ts';
import type { Store } from '../store/store.ts';
import { candidatesOfLot } from './lot-species.ts';
import { rigorOf } from './rigor.ts';
import { isSkinned } from './skin.ts';

const DAY = 86_400_000;
const FATS = ['lean', 'mid', 'rich'] as const;
const TEXTURES = ['soft', 'medium', 'firm'] as const;

/** Ends of ranges as a house said them, in mm, g and degrees. */
export const movesOf = (own: Pick<HouseStyle | HouseCut, keyof StyleMoves>): StyleMoves => ({
  thinnest: own.thinnest?.si ?? null,
  thickest: own.thickest?.si ?? null,
  lightest: own.lightest?.si ?? null,
  heaviest: own.heaviest?.si ?? null,
  flattest: own.flattest,
  steepest: own.steepest
});
/** The cuts as the house has them. */
export const houseStyles = ({ styles }: Pick<HouseState, 'styles'>): Styles =>
  stylesOf(Object.fromEntries(Object.entries(styles).map(([id, own]) => [id, movesOf(own)])));
/** Its own cuts, by id: each as it has the one it is made like, its ranges moved once more. */
export function houseCuts({ styles, cuts }: Pick<HouseState, 'styles' | 'cuts'>): Record<string, SliceStyle> {
  const usual = houseStyles({ styles });
  return Object.fromEntries(Object.values(cuts).map((own) => [own.id, movedStyle(usual[own.like], movesOf(own))]));
}

/** What of a house a cut is computed from: nothing where it cuts as is usual. */
export const cutsHere = (house: Pick<HouseState, 'styles' | 'cuts'>): Pick<SliceSubject, 'styles' | 'cuts'> => ({
  ...(Object.keys(house.styles).length === 0 ? {} : { styles: houseStyles(house) }),
  ...(Object.keys(house.cuts).length === 0 ? {} : { cuts: houseCuts(house) })
});
/** What a block is computed by besides what is set: of several it may be, the fattest, which weighs least. */
export function sliceSubject(lot: LotState, house: HouseState): SliceSubject {
  const fats = candidatesOfLot(lot, house).map(({ fat }) => FATS.indexOf(fat));
  const fat = fats.length === 0 ? 'mid' : FATS[Math.max(...fats)]!;
  return { fat, ...cutsHere(house) };
}

const daysAged = (chain: readonly PieceState[], now: number): number =>
  chain.flatMap(({ ages }) => ages).reduce((sum, run) => sum + Math.max(0, (run.ended?.at ?? now) - run.at) / DAY, 0);

/** Mean salt of its last cure as it was forecast, %; 0 where it was in none. */
function saltOf(chain: readonly PieceState[]): number {
  const run = chain.flatMap(({ cures }) => cures).at(-1);
  return run ? cureNow(run).forecast.meanSaltPercent.likely : 0;
}

/** A piece and all it was cut from, the oldest first. */
function chainOf({ store }: Room, id: string): PieceState[] {
  const seen = new Map<string, PieceState>();
  const walk = (each: string) => {
    if (seen.has(each)) return;
    const { state } = store.projections.piece(each);
    state.made.parents.forEach(walk);
    seen.set(each, state);
  };
  walk(id);
  return [...seen.values()];
}

/** What a piece's slicing goes by: its kind, and what was done to it and to what it was cut from. */
export function slicedFish(room: Room, id: string): SlicedFish {
  const { projections } = room.store;
  const { state, lot } = projections.piece(id);
  const house = projections.currentHouse();
  const kinds: Species[] = candidatesOfLot(lot, house);
  const chain = chainOf(room, id);
  const { form, thicknessMm } = state.made;
  const isWhole = ['whole', 'gutted'].includes(form);
  const textures = kinds.map(({ texture }) => TEXTURES.indexOf(texture));
  return {
    // Of several it may be, the tightest: a thin slice of soft fish tears, a thick one of tight fish is chewed for long.
    texture: textures.length === 0 ? 'medium' : TEXTURES[Math.max(...textures)]!,
    fat: sliceSubject(lot, house).fat,
    group: kinds[0]?.group ?? 'finfish',
    rigor: rigorOf(lot, house.zone, room.clock.now())?.stage ?? null,
    agedDays: daysAged(chain, room.clock.now()),
    saltPercent: saltOf(chain),
    inAcid: chain.some(({ acids }) => acids.length > 0),
    wasFrozen: chain.some((piece) => piece.freezes.length > 0) || isFrozen(state, lot),
    skinOn: !isWhole && form === 'fillet' && !isSkinned(room.store, id),
    thicknessMm: thicknessMm ?? usualThickness(form, state.grams, weightOfOne(lot.received)),
    form,
    boiled: false
  };
}

/** What one of these slices was to weigh, and what it was cut for, g: by the plan; of those cut by thickness what they weigh on average. */
export function aimOf(
  { projections }: Store,
  { id, made, lifted }: PieceState
): { readonly aim: number; readonly cut: number } | null {
  if (!lifted?.gramsEach) return null;
  const [block] = made.parents;
  const run = block ? projections.piece(block).state.slices.find(({ plan }) => plan.slices.includes(id)) : undefined;
  const grams = run?.plan.by === 'weight' && run.plan.slices.indexOf(id) === 0 ? (run.plan.grams?.si ?? null) : null;
  return grams === null || !run
    ? { aim: lifted.gramsEach, cut: lifted.gramsEach }
    : { aim: grams, cut: grams / run.plan.hand };
}

/** The plan that slices of a first row were cut by, and what it was computed from; null for what came of no plan, and for later rows. */
export function planOf({ store: { projections } }: Room, { id, made }: PieceState): SliceSettings | null {
  const [block] = made.parents;
  if (!block) return null;
  const { state, lot } = projections.piece(block);
  const run = state.slices.find(({ plan }) => plan.slices[0] === id);
  if (!run) return null;
  const subject = sliceSubject(lot, projections.currentHouse());
  const set = pick(run.plan, sliceSet) as SliceSet;
  // A cut the house took out of its book since is looked at as the one it was made like.
  return { set: subject.cuts?.[set.cut]?.id === set.style ? set : { ...set, cut: '' }, subject };
}
