import type { GRADES, USES, WASTES } from '../../activity/piece/bodies.ts';
import type { FORMS } from '../../activity/receive/bodies.ts';

/** What a cut map is made of. */
export const MAP_IDS = [
  'round',
  'four-loins',
  'side',
  'flatfish',
  'small-oily',
  'cephalopod',
  'bivalve',
  'crustacean',
  'fillet'
] as const;
export type MapId = (typeof MAP_IDS)[number];
type Form = (typeof FORMS)[number];

/** A part that can be touched on a cut map. Shares are of what was put on the board, low and high: typical, check. */
export interface CutPart {
  readonly id: string;
  readonly share: readonly [number, number];
  readonly use: (typeof USES)[number];
  readonly grade: (typeof GRADES)[number];
  /** What it is as a piece. */
  readonly form: Form;
  /** What it is called as waste, where it usually is. */
  readonly waste: (typeof WASTES)[number] | null;
  /** Name of its own, where a house's template gave it one. */
  readonly name?: string;
}
/** A way of doing the job: steps in their order. Words for steps and reasons stand in lib/words/cuts.ts. */
export interface School {
  readonly id: string;
  readonly steps: readonly string[];
}
/** A point on which schools differ, whatever else they do: each way stands for a step. */
export interface SchoolChoice {
  readonly id: string;
  /** Step that this choice fills. */
  readonly slot: string;
  readonly ways: readonly string[];
}
export interface CutMap {
  readonly id: MapId;
  readonly forms: readonly Form[];
  readonly parts: readonly CutPart[];
  readonly schools: readonly School[];
  readonly choices: readonly SchoolChoice[];
}
