import type { EventKind, RecordEvent } from './events.ts';

/** One activity's part of what a house settles: how it begins, and what each entry changes of it. */
export interface HouseSlice<Books extends object> {
  readonly start: Books;
  readonly on: {
    readonly [Kind in EventKind]?: (books: Books, event: Extract<RecordEvent, { kind: Kind }>) => Partial<Books>;
  };
}
/** Helps the compiler to hold a slice to its own type. */
export const houseSlice = <Books extends object>(slice: HouseSlice<Books>): HouseSlice<Books> => slice;

/** A book with one entry put in, or taken out. */
export function put<Entry extends { id: string }>(
  book: Readonly<Record<string, Entry>>,
  own: Entry,
  withdrawn: boolean
): Readonly<Record<string, Entry>> {
  const { [own.id]: _, ...others } = book;
  return withdrawn ? others : { ...others, [own.id]: own };
}
