import type { Route } from '../codes/window.ts';
import { hindranceOf, type Hindrance, type Occupant, type Step } from '../record/occupation.ts';
import type { PieceState } from '../record/piece.ts';
import type { Stage } from './stage.ts';

/** Where a piece is worked on, in the order of the work, and with what the bench begins. */
export const BENCHES = [
  { path: '/inspect', step: null },
  { path: '/break', step: 'break-down' },
  { path: '/freeze', step: 'freeze' },
  { path: '/cure', step: 'cure' },
  { path: '/acid', step: 'acid' },
  { path: '/age', step: 'hang' },
  { path: '/slice', step: 'slice' },
  { path: '/serve', step: 'serve' },
  { path: '/labels', step: null }
] as const satisfies readonly { readonly path: string; readonly step: Step | null }[];
export type BenchPath = (typeof BENCHES)[number]['path'];

/** Where what a piece is in is gone on with. */
const OF_OCCUPANT: Readonly<Record<Occupant, BenchPath>> = {
  board: '/break',
  freezer: '/freeze',
  thaw: '/freeze',
  cure: '/cure',
  acid: '/acid',
  rack: '/age',
  tray: '/serve'
};

/** What a bench asks about of a piece. */
export interface AtBenches {
  readonly state: PieceState;
  readonly stage: Stage;
  /** Codes of what holds it back. */
  readonly missing: readonly string[];
  /** The route it is wanted for. */
  readonly wanted: Route;
  /** Whether any window stands open. */
  readonly isOpen: boolean;
}

/** Where the next sensible step is done with a piece. */
export function nextBench({ state, stage, missing, wanted, isOpen }: AtBenches): BenchPath {
  if (stage in OF_OCCUPANT) return OF_OCCUPANT[stage as Occupant];
  if (missing.some((code) => code === 'parasites.not-frozen' || code === 'decision.hold-to-freeze')) return '/freeze';
  if (stage === 'frozen') return '/freeze';
  if (stage === 'whole') return '/break';
  if (wanted === 'cured' && state.cures.length === 0) return '/cure';
  if (wanted === 'acid' && state.acids.length === 0) return '/acid';
  return isOpen && state.slices.length === 0 && wanted !== 'cooked' ? '/slice' : '/serve';
}

/** All benches of a piece: the next sensible one first, then those that can take it, in the order of the work, then the others. */
export function benchesOf(piece: AtBenches): { path: BenchPath; isNext: boolean; hindrance: Hindrance | null }[] {
  const next = nextBench(piece);
  return BENCHES.map(({ path, step }) => ({
    path,
    isNext: path === next,
    // Where it is already, it is gone on with.
    hindrance: step === null || path === next ? null : hindranceOf(piece.state, step)
  })).sort(
    (a, b) => Number(b.isNext) - Number(a.isNext) || Number(a.hindrance !== null) - Number(b.hindrance !== null)
  );
}
