import { bindsMore } from '../../core/bench/acid/parameters.ts';
import { rememberedCourses } from '../../core/bench/acid/front.ts';
import { housePace } from '../../core/bench/acid/plan.ts';
import type { AcidSubject } from '../../core/bench/acid/settings.ts';
import { UNIDENTIFIED } from '../../core/activity/receive/bodies.ts';
import { speciesOfLot } from '../facts/lot-species.ts';
import type { Store } from '../store/store.ts';

/** Courses once solved: the same cut in the same liquid is asked for at every step of a run, and by every tablet. */
export const solved = rememberedCourses(120);

/** Runs of a species whose last check is looked at. */
export const LOOKED_AT = 20;

/** How fast acid goes into a species in this house, and how many runs say so. */
export function acidPace(store: Store, species: string | null): { pace: number; runs: number } {
  const paces = store.projections.runs.paces.of(species ?? UNIDENTIFIED, LOOKED_AT);
  return { pace: housePace(paces), runs: paces.length };
}

/** The fish an acid bath is computed for: what lies there, and what is known of its kind in this house. */
export function acidSubject(store: Store, piece: string): AcidSubject & { readonly runs: number } {
  const { state, lot } = store.projections.piece(piece);
  const species = speciesOfLot(lot, store.projections.currentHouse());
  return { grams: state.grams, dark: bindsMore(species), ...acidPace(store, species?.id ?? null) };
}
