import { businessDay, type HouseTime } from '../measure/day.ts';
import { mayServe, routesOnLabel, type LabelRoute } from '../codes/promise.ts';
import type { RouteWindow, WindowState } from '../codes/window.ts';

/** Label stock as commonly sold, mm. A sheet says how many go across and down, and where the first begins. */
export interface LabelSize {
  readonly id: string;
  readonly width: number;
  readonly height: number;
  readonly margin: number;
  readonly sheet: {
    readonly page: { readonly width: number; readonly height: number };
    readonly across: number;
    readonly down: number;
    readonly left: number;
    readonly top: number;
  } | null;
}
const A4 = { width: 210, height: 297 };
const LETTER = { width: 215.9, height: 279.4 };
export const LABEL_SIZES: readonly LabelSize[] = [
  { id: 'roll-60x40', width: 60, height: 40, margin: 2, sheet: null },
  { id: 'roll-100x50', width: 100, height: 50, margin: 3, sheet: null },
  { id: 'roll-50x30', width: 50, height: 30, margin: 1.5, sheet: null },
  { id: 'a4-24', width: 70, height: 37, margin: 2.5, sheet: { page: A4, across: 3, down: 8, left: 0, top: 0.5 } },
  {
    id: 'letter-30',
    width: 66.7,
    height: 25.4,
    margin: 1.5,
    sheet: { page: LETTER, across: 3, down: 10, left: 7.9, top: 12.7 }
  }
];

export interface LabelData {
  readonly code: string;
  readonly name: string;
  /** A kind for each lot in it; of a lot that nobody could tell, what it may be. */
  readonly species: readonly string[];
  readonly lots: readonly string[];
  readonly grams: number;
  readonly madeOn: string;
  /** Last business day it may be used on by any route; null where no route has an end or none is open to it. */
  readonly useBy: string | null;
  /** The rawest of the raw routes that is or may come open (raw itself where none is), and the pan. */
  readonly raw: LabelRoute;
  readonly cooked: LabelRoute;
  /** Where it came from and when it was caught or harvested, a line for each lot. */
  readonly origins: readonly string[];
  readonly allergens: readonly string[];
  /** Allergens that may be in it, and what was used on it of which nobody said what it holds. */
  readonly mayHold: readonly string[];
  readonly unsaid: readonly string[];
  readonly place: string;
  readonly use: string;
  readonly zone: string;
}

/** What a label says of a piece, from its windows as they stand. */
export function labelOf(
  input: Omit<LabelData, 'useBy' | 'raw' | 'cooked'> &
    HouseTime & {
      readonly windows: readonly (RouteWindow & { readonly state: WindowState })[];
      readonly now: number;
    }
): LabelData {
  const { windows, now, dayEndsHour, ...rest } = input;
  const ends = windows.filter(mayServe).map(({ closes }) => closes);
  const last = ends.length === 0 || ends.includes(null) ? null : Math.max(...(ends as number[]));
  return {
    ...rest,
    // The day whose close falls in it is no day to use it on: what closes at the day's end may be used till then.
    useBy: last === null || last <= now ? null : businessDay(last - 1, { zone: rest.zone, dayEndsHour }),
    ...routesOnLabel(windows)
  };
}
