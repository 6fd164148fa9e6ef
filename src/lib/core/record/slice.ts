import type { BodyOf, EventKind, RecordEvent } from './events.ts';
import type { GoneHow } from './occupation.ts';
import type { Core, Stamped } from './stamped.ts';

export type EventOf<Kind extends EventKind> = Extract<RecordEvent, { kind: Kind }>;

/** Where a piece lay, from when to when; ms. */
export interface Stay {
  readonly seq: number;
  readonly place: string;
  /** How it came there; what is put into a run is judged by the run's own readings. */
  readonly how: 'put' | 'freeze' | 'thaw' | 'bath' | 'age';
  readonly from: number;
  readonly to: number | null;
}
/** Out of the cold, from when to when; ms. */
export interface TimeOut {
  readonly seq: number;
  readonly by: string;
  readonly from: number;
  readonly to: number | null;
  /** Core as it left the cold, where it was taken. */
  readonly startCore: Core | null;
  /** Core on its return, where it was taken. */
  readonly core: Core | null;
  readonly backSeq: number | null;
}

/** What any activity may do to a piece while its entries are read: its weight, where it lies, whether it is in the cold, its end. */
export interface PieceHands {
  grams: number;
  made: (Stamped & BodyOf<'piece.made'>) | null;
  liesIn(event: RecordEvent, place: string, how?: Stay['how']): void;
  leavesPlace(event: RecordEvent): void;
  goesOut(event: RecordEvent, startCore: Core | null): void;
  comesBack(event: RecordEvent, core: Core | null): void;
  /** It was out for so long up to this entry, and is back, ms; nothing is added while it is out anyway. */
  wasOut(event: RecordEvent, ms: number): void;
  /** It ends where nothing is left of it, and it lies on no board. */
  leave(how: GoneHow, event: RecordEvent): void;
}

/** One activity's part of a piece: what it keeps of it, and what each entry does. Several may heed one kind of entry. */
export interface PieceSlice<Kept extends object> {
  readonly start: () => Kept;
  readonly on: { readonly [Kind in EventKind]?: (kept: Kept, event: EventOf<Kind>, piece: PieceHands) => void };
}
/** Helps the compiler to hold a slice to its own type. */
export const pieceSlice = <Kept extends object>(slice: PieceSlice<Kept>): PieceSlice<Kept> => slice;

/** What was kept, as those read it who may not change it. */
export type Settled<Kept> = {
  readonly [Key in keyof Kept]: Kept[Key] extends (infer One)[] ? readonly One[] : Kept[Key];
};

/** Changes the last of a list; nothing where there is none, or where `heeds` says no. */
export function changeLast<One>(
  list: One[],
  more: (one: One) => Partial<One>,
  heeds: (one: One) => boolean = () => true
) {
  const last = list.at(-1);
  if (last !== undefined && heeds(last)) list[list.length - 1] = { ...last, ...more(last) };
}
/** A run that has not ended. */
export const goesOn = (run: { readonly ended: unknown }): boolean => run.ended === null;

/** All that any member of a union has, in one type: what the parts of a list keep, put together. */
export type Together<Union> = (Union extends unknown ? (one: Union) => void : never) extends (one: infer All) => void
  ? All
  : never;
