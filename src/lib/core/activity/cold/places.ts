import type { RecordEvent } from '../../record/events.ts';
import { isAlike } from '../../fields/plain.ts';
import type { Place } from './fold.ts';

/**
 * The record refers to a place by its id, so that a place may be called otherwise and all that lay in it lies in it still. Whoever
 * reads or writes speaks of names: they are put in and taken out at the door of the record, here. An entry from before ids has
 * the name itself; it means the place that bore it then.
 */
const MARK = '@';

interface Naming {
  readonly id: string;
  readonly name: string;
  /** ms, as recorded; the end is open for the name it bears. */
  readonly from: number;
  readonly to: number;
  /** Whether it is what the place was called when it was listed: who said so before that meant it too. */
  readonly isFirst: boolean;
}

/** What places are called, and were. */
export interface PlaceNames {
  /** By id, also of places that were taken off the list: no two of them alike, for a name is what the judge goes by. */
  readonly nameOf: ReadonlyMap<string, string>;
  /** Of those on the list, by name. */
  readonly idOf: ReadonlyMap<string, string>;
  /** Every name of each place that was ever called otherwise. */
  readonly namings: readonly Naming[];
}

type PlaceSet = Pick<Extract<RecordEvent, { kind: 'place.set' }>, 'recorded' | 'body'>;

/** Words that no place is called by, not even one that somebody named to look like them. */
function apart(nameOf: ReadonlyMap<string, string>, words: string): string {
  const taken = new Set(nameOf.values());
  while (taken.has(words)) words = `“${words}”`;
  return words;
}

/** What places are called, from every entry that set one, in order. */
export function placeNames(sets: readonly PlaceSet[]): PlaceNames {
  const nameOf = new Map<string, string>();
  const idOf = new Map<string, string>();
  const all: Naming[] = [];
  for (const { recorded, body } of sets) {
    const { id, name, withdrawn } = body;
    const before = nameOf.get(id);
    if (before !== undefined && idOf.get(before) === id) idOf.delete(before);
    nameOf.set(id, name);
    if (!withdrawn) idOf.set(name, id);
    if (before === name) continue;
    const last = all.findLastIndex((naming) => naming.id === id);
    if (last >= 0) all[last] = { ...all[last]!, to: recorded };
    all.push({ id, name, from: recorded, to: Infinity, isFirst: before === undefined });
  }
  for (const [id, name] of [...nameOf]) {
    const isShared = [...nameOf].some(([other, its]) => other !== id && its === name);
    if (isShared && idOf.get(name) !== id) nameOf.set(id, apart(nameOf, `${name} (${id})`));
  }
  const renamed = new Set(all.filter(({ to }) => to < Infinity).map(({ id }) => id));
  return { nameOf, idOf, namings: all.filter(({ id }) => renamed.has(id)) };
}

/**
 * How the record refers to what a person called a place: the id of one on the list, or their words.
 *
 * @example
 * placeRef({ nameOf: new Map(), idOf: new Map([['Drawer', 'drawer']]), namings: [] }, 'Drawer') // => '@drawer'
 * @example
 * placeRef({ nameOf: new Map(), idOf: new Map(), namings: [] }, 'by the door') // => 'by the door'
 */
export function placeRef({ idOf }: PlaceNames, called: string): string {
  const id = idOf.get(called);
  if (id !== undefined) return MARK + id;
  return called.startsWith(MARK) ? MARK + called : called;
}

/**
 * What a place is called now. Words that are like the name of a place which was not called so when they were written mean
 * something else: they stand in quotes, and lie in no place of the list.
 *
 * @param recorded when the entry was written, ms
 *
 * @example
 * placeCalled({ nameOf: new Map([['drawer', 'Top drawer']]), idOf: new Map(), namings: [] }, '@drawer', 0) // => 'Top drawer'
 */
export function placeCalled({ nameOf, namings }: PlaceNames, ref: string, recorded: number): string {
  if (ref.startsWith(MARK)) return ref.startsWith(MARK + MARK) ? ref.slice(1) : (nameOf.get(ref.slice(1)) ?? ref);
  if (namings.length === 0) return ref;
  const bore =
    namings.find(({ name, from, to }) => name === ref && recorded >= from && recorded < to) ??
    namings.find(({ name, from, isFirst }) => name === ref && isFirst && recorded < from);
  if (bore) return nameOf.get(bore.id)!;
  return namings.some(({ name, to }) => name === ref && to === Infinity) ? apart(nameOf, `“${ref}”`) : ref;
}

/** The place on the list that somebody means by its name, however they write it large or small; undefined for none. */
export function listedAs(
  house: { readonly places: Readonly<Record<string, Place>> },
  called: string
): Place | undefined {
  const wanted = called.trim().toLowerCase();
  const all = Object.values(house.places);
  return all.find(({ name }) => name.toLowerCase() === wanted) ?? all.find(({ name }) => isAlike(name, wanted));
}

/** A body, or what amends one, with what it says of a place put otherwise. Bodies without a place are handed back as they are. */
export function withPlace<Body>(body: Body, put: (place: string) => string): Body {
  const { place, patch } = body as { place?: unknown; patch?: { place?: unknown } };
  if (typeof place === 'string' && place !== '') return { ...body, place: put(place) };
  if (typeof patch?.place === 'string' && patch.place !== '') {
    return { ...body, patch: { ...patch, place: put(patch.place) } };
  }
  return body;
}
