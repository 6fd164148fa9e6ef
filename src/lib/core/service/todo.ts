import type { EXCURSION_KINDS } from '../activity/cold/bodies.ts';
import type { Danger, Station } from './danger.ts';
import type { Task } from './show.ts';

/** A task with all that is needed to do it where it stands. */
export interface Todo<Code extends string = string> extends Task<Code> {
  readonly name: string;
  readonly path: string;
  readonly danger: Danger;
  readonly station: Station;
  /** Where its piece lies; an empty text where nobody said. */
  readonly place: string;
  readonly lot: string;
  readonly supplier: string;
  readonly grams: number;
  /** The newest entry on its piece; 0 for what is no piece. */
  readonly seq: number;
  /** Who had it in hand last. */
  readonly by: string;
}

/** A place that was too warm, silent or not believed, and nobody has dealt with it. */
export interface Alarm {
  readonly place: string;
  readonly kind: (typeof EXCURSION_KINDS)[number];
  readonly from: number;
  readonly to: number | null;
  readonly peak: number | null;
  readonly limit: number | null;
  readonly cause: string;
  readonly pieces: number;
  readonly subject: string;
  readonly danger: Danger;
}
