import { z } from 'zod';
import { finder, scannedPiece, type Fit } from '../../core/find.ts';
import { speciesIndex } from '../../core/fish/search.ts';
import type { GoneHow } from '../../core/record/occupation.ts';
import { catalogueOf } from '../../core/fish/house-species.ts';
import { bookOf } from '../facts/book.ts';
import type { Room } from '../room.ts';
import type { Store } from '../store/store.ts';

export const findFields = z.object({ q: z.string().max(120) });

export const FIND_KINDS = [
  'piece',
  'lot',
  'place',
  'supplier',
  'person',
  'recipe',
  'sauce',
  'dish',
  'service',
  'species',
  'entry'
] as const;
export type FindKind = (typeof FIND_KINDS)[number];

/** Something that answers to what was typed, and where it is to be seen. */
export interface Finding {
  readonly kind: FindKind;
  readonly id: string;
  readonly name: string;
  readonly href: string;
  /** Of a piece: whether it is still here, and how it ended. */
  readonly gone: GoneHow | null;
  /** What stands beside it: a place, a supplier, how many lots. */
  readonly beside: string;
  readonly fit: Fit;
}

interface Entry extends Omit<Finding, 'fit'> {
  readonly fields: readonly string[];
}

/** Everything that can be found, made once for as long as nothing is written. */
const remembered = new WeakMap<Store, { readonly seq: number; readonly entries: readonly Entry[] }>();
const MOST = 24;

function piecesOf(store: Store): Entry[] {
  return store.projections.named().map(({ id, name, lot, supplier, place, gone }) => ({
    kind: 'piece',
    id,
    name,
    href: `/piece/${id}`,
    gone,
    beside: gone === null ? place : '',
    fields: [id, name, lot, supplier, place]
  }));
}

function lotsOf(store: Store, species: ReadonlyMap<string, string>): Entry[] {
  const lots = store.projections.lots();
  const suppliers = new Map<string, { newest: string; count: number }>();
  for (const { id, received } of lots) {
    const known = suppliers.get(received.supplier);
    suppliers.set(received.supplier, { newest: known?.newest ?? id, count: (known?.count ?? 0) + 1 });
  }
  const nothing = { gone: null };
  return [
    ...lots.map(({ id, received }): Entry => {
      const name = species.get(received.species) ?? received.species;
      const also = [received.supplier, received.supplierLot, received.delivery, received.area];
      return {
        ...nothing,
        kind: 'lot',
        id,
        name,
        href: `/lot/${id}`,
        beside: received.supplier,
        fields: [id, name, ...also]
      };
    }),
    ...[...suppliers]
      .filter(([name]) => name !== '')
      .map(([name, { newest, count }]): Entry => ({
        ...nothing,
        kind: 'supplier',
        id: name,
        name,
        href: `/lot/${newest}`,
        beside: String(count),
        fields: [name]
      }))
  ];
}

function entriesOf({ store }: Room): Entry[] {
  const house = store.projections.currentHouse();
  const named = (kind: FindKind, id: string, name: string, href: string, more: readonly string[] = []): Entry => ({
    kind,
    id,
    name,
    href,
    gone: null,
    beside: '',
    fields: [name, id, ...more]
  });
  const books = [
    ['recipe', '/cure/recipes'],
    ['sauce', '/acid/sauces'],
    ['dish', '/serve/dishes']
  ] as const;
  const species = new Map(catalogueOf(house.species).map(({ id, name }) => [id, name]));
  return [
    ...piecesOf(store),
    ...lotsOf(store, species),
    ...Object.values(house.places).map(({ id, name, kind }) =>
      named('place', id, name, `/freeze/places/${id}`, [kind])
    ),
    ...store.people
      .list()
      .flatMap(({ id, name }) => (name === null ? [] : [named('person', id, name, `/ledger?person=${id}`)])),
    ...books.flatMap(([shape, path]) =>
      bookOf(house, shape)
        .filter(({ withdrawn }) => !withdrawn)
        .map(({ id, name, goodFor }) => named(shape, id, name, `${path}/${id}`, [goodFor ?? '']))
    ),
    ...Object.values(house.services).map(({ id, name }) => named('service', id, name, '/serve'))
  ];
}

/** What is typed by hand slips: a species is found by a name that is nearly right. */
function loosely(room: Room, text: string): Finding[] {
  const house = room.store.projections.currentHouse();
  return speciesIndex(catalogueOf(house.species))(text, 6).map(({ id, name, scientific }) => ({
    kind: 'species',
    id,
    name,
    href: `/house/species?id=${id}`,
    gone: null,
    beside: scientific[0] ?? '',
    fit: 3
  }));
}

/**
 * What answers to some letters, a code or a scanned label: pieces that are here and pieces that are gone, lots, places, suppliers,
 * people, pages of the books, services, species and entries of the ledger. Best first, and what is here before what is gone.
 */
export function findView(room: Room, { q }: z.infer<typeof findFields>): { readonly found: readonly Finding[] } {
  const text = scannedPiece(q) ?? q;
  const { seq } = room.store.record.head();
  const last = remembered.get(room.store);
  const entries = last?.seq === seq ? last.entries : entriesOf(room);
  if (last?.seq !== seq) remembered.set(room.store, { seq, entries });
  const fits = finder(text);
  const found = entries.flatMap(({ fields, ...entry }): Finding[] => {
    const fit = fits(fields);
    return fit === null ? [] : [{ ...entry, fit }];
  });
  const number = /^\s*(?:no\.?\s*)?(\d{1,9})\s*$/i.exec(text);
  const entry = number && Number(number[1]) >= 1 && Number(number[1]) <= seq ? number[1]! : null;
  return {
    found: [
      ...(entry === null
        ? []
        : [
            {
              kind: 'entry' as const,
              id: entry,
              name: `No. ${entry}`,
              href: `/ledger?seq=${entry}#e${entry}`,
              gone: null,
              beside: '',
              fit: 0 as const
            }
          ]),
      ...found
        .sort(
          (a, b) =>
            a.fit - b.fit ||
            Number(a.gone !== null) - Number(b.gone !== null) ||
            FIND_KINDS.indexOf(a.kind) - FIND_KINDS.indexOf(b.kind)
        )
        .slice(0, MOST),
      ...loosely(room, text)
    ]
  };
}
