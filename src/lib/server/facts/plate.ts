import type { PieceState } from '../../core/record/piece.ts';
import { cutAs, fleshDensity } from '../../core/bench/slice/settings.ts';
import type { Laid, Tasted } from '../../core/bench/slice/plate.ts';
import { ARRANGED, EACH, laidIn } from '../../core/bench/slice/plating.ts';
import { layTogether, MOST_KINDS, type Kind } from '../../core/bench/slice/together.ts';
import { EmberError } from '../../core/errors.ts';
import type { Room } from '../room.ts';
import { planOf, slicedFish } from './slicing.ts';

/** Salt at which a cure is tasted before the fish is, %: such a fish is eaten after the plain ones (check). */
const TASTES_CURED = 2.5;
/** Slices nobody has a plan of are taken as twice as long as wide. */
const LONG = 2;
/** As many slices of one piece as a plate could ever take. */
const MOST_SLICES = 60;

/** Slices that lie ready, as a plate takes them. */
export interface Ready {
  readonly id: string;
  readonly name: string;
  readonly tasted: Tasted;
  readonly arrangement: Kind['arrangement'];
  readonly slices: readonly Laid[];
  /** Slices left of it, and how many usually go on a plate of it alone. */
  readonly left: number;
  readonly usual: number;
}

/** Slices as they were planned; of those without a plan, by what they weigh and how thick they are. */
function laidFrom(room: Room, state: PieceState, left: number): Laid[] {
  const { lifted } = state;
  const plan = planOf(room, state);
  if (plan) {
    const all = laidIn(cutAs(plan), plan.set.style);
    // What was served of them went in the order of cutting.
    if (all.length >= left) return all.slice(all.length - left).slice(0, MOST_SLICES);
  }
  const grams = lifted!.gramsEach!;
  const thick = Math.max(0.5, lifted!.thicknessMm ?? 5);
  const face = grams / (fleshDensity('mid') * thick);
  const short = Math.sqrt(face / LONG);
  return Array.from({ length: Math.min(left, MOST_SLICES) }, (_, index) => ({
    number: index + 1,
    long: short * LONG,
    short,
    thick,
    grams
  }));
}

function readyOf(room: Room, state: PieceState): Ready | null {
  const { lifted } = state;
  if (!lifted || lifted.what !== 'slices' || !lifted.gramsEach || state.slices.length > 0) return null;
  const left = Math.floor(state.grams / lifted.gramsEach + 0.05);
  if (left < 1) return null;
  const fish = slicedFish(room, state.id);
  return {
    id: state.id,
    name: state.made.name,
    tasted: { fat: fish.fat, sharp: fish.inAcid || fish.saltPercent >= TASTES_CURED },
    arrangement: ARRANGED[lifted.style],
    slices: laidFrom(room, state, left),
    left,
    usual: EACH[lifted.style]
  };
}

/** All slices that lie ready in the house, the newest first. */
export const readySlices = (room: Room): Ready[] =>
  room.store.projections
    .livePieces()
    .filter(({ state }) => state.lifted)
    .sort((a, b) => b.state.lifted!.at - a.state.lifted!.at)
    .flatMap(({ state }) => readyOf(room, state) ?? []);

/** "TUR-1-B, ARC-1-C" and "3, 5" as they are asked for together. @throws EmberError `form.value-unknown` */
export function wantedOf(pieces: string, counts: string): { piece: string; count: number }[] {
  const each = (text: string) => text.split(',').map((part) => part.trim());
  const [ids, told] = [each(pieces), each(counts)];
  if (ids.length !== told.length) throw new EmberError('form.value-unknown', { field: 'counts', seen: counts });
  return ids.map((piece, index) => {
    const count = Number(told[index]);
    if (!Number.isInteger(count) || count < 1) {
      throw new EmberError('form.value-unknown', { field: 'counts', seen: told[index]! });
    }
    return { piece, count };
  });
}

/**
 * Slices of several pieces on one plate, so many of each.
 *
 * @throws EmberError `record.not-found` for a piece that is no slices, `quantity.out-of-range` for more than there are, and as layTogether
 */
export function plateOf(
  room: Room,
  wanted: readonly { readonly piece: string; readonly count: number }[],
  { plate, left }: { readonly plate: number; readonly left: boolean }
) {
  if (wanted.length > MOST_KINDS) {
    throw new EmberError('form.too-many', { field: 'pieces', max: MOST_KINDS, seen: wanted.length });
  }
  const kinds = wanted.map(({ piece, count }): Kind => {
    const ready = readyOf(room, room.store.projections.piece(piece).state);
    if (!ready) throw new EmberError('record.not-found', { field: 'pieces', seen: piece });
    if (count > ready.left) {
      throw new EmberError('quantity.out-of-range', { field: 'counts', min: 1, max: ready.left, seen: count });
    }
    return { ...ready, slices: ready.slices.slice(0, count) };
  });
  return layTogether(kinds, { plate, left });
}
