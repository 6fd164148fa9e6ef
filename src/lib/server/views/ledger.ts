import { z } from 'zod';
import type { RecordEvent } from '../../core/record/events.ts';
import { readInstant } from '../../core/measure/day.ts';
import { numeric } from '../../core/fields/field.ts';
import { bookOf } from '../facts/book.ts';
import { ingredientRows } from '../facts/ingredients.ts';
import { catalogueOf } from '../../core/fish/house-species.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import * as say from '../../words/say.ts';
import { entryLine, OF_THE_HOUSE } from '../../words/entry-lines.ts';
import { NOBODY, type Room } from '../room.ts';

export const ledgerFilter = z.object({
  before: numeric(1, Number.MAX_SAFE_INTEGER, { whole: true }).optional(),
  limit: numeric(1, 5000, { whole: true }).optional(),
  subject: z.string().optional(),
  lot: z.string().optional(),
  actor: z.string().optional(),
  from: z.string().optional(),
  to: z.string().optional()
});

/** Entries of the ledger, newest first, each with its sentence. */
export function ledgerView(room: Room, filter: z.infer<typeof ledgerFilter>) {
  const zone = room.store.projections.currentHouse().zone;
  const time = (text: string | undefined, field: string) => (text ? readInstant(text, zone, field) : undefined);
  const tell = ledgerTeller(room);
  return room.store.record
    .list({ ...filter, from: time(filter.from, 'from'), to: time(filter.to, 'to') })
    .map((entry) => ({ ...entry, ...tell(entry) }));
}

/** An entry as people read it: its sentence, who wrote it, and what it is about. */
export interface ToldEntry {
  readonly line: string;
  readonly who: string;
  readonly about: string;
}

/** Tells entries with the names that pieces, places, sensors and people have now. */
export function ledgerTeller({ store }: Pick<Room, 'store'>): (entry: RecordEvent) => ToldEntry {
  const house = store.projections.currentHouse();
  const kept = new Map<string, string>();
  const once = (key: string, find: () => string | undefined): string => {
    const name = kept.get(key) ?? find() ?? key;
    kept.set(key, name);
    return name;
  };
  // What is not on record any more, or not yet, is called by its code.
  const attempt = (find: () => string | undefined) => {
    try {
      return find();
    } catch {
      return undefined;
    }
  };
  const species = new Map(catalogueOf(house.species).map(({ id, name }) => [id, name]));
  const ingredients = new Map(ingredientRows(house, 0).map(({ id, name }) => [id, name]));
  const pages = new Map(
    (['recipe', 'sauce', 'dish'] as const).flatMap((shape) => bookOf(house, shape).map(({ id, name }) => [id, name]))
  );
  const named = (id: string) =>
    house.sensorNames[id] ??
    house.devices[id]?.name ??
    ingredients.get(id) ??
    pages.get(id) ??
    species.get(id) ??
    attempt(() => profileById(id, house.profiles).name) ??
    store.people.get(id)?.name ??
    id;
  const of = (subject: string): string =>
    once(subject, () =>
      attempt(() => {
        const id = subject.slice(subject.indexOf(':') + 1);
        if (subject === 'house') return house.name;
        if (subject.startsWith('piece:')) return `${store.projections.piece(id).state.made.name} (${id})`;
        if (subject.startsWith('lot:')) return `${named(store.projections.lot(id).received.species)} (${id})`;
        if (subject.startsWith('place:')) return house.placeNames[id];
        return named(id);
      })
    );
  const by = (actor: string): string => {
    // Before anybody is on the list, nobody did it. Whoever is not called anything any more still did.
    if (actor === NOBODY) return OF_THE_HOUSE;
    const id = actor.replace(/^device:/, '');
    return store.people.get(actor)?.name ?? house.devices[id]?.name ?? id;
  };
  // Fish and deliveries are told apart by their codes, all else by its name.
  const about = (subject: string) => {
    const [kind, id] = [subject.split(':')[0]!, subject.slice(subject.indexOf(':') + 1)];
    if (kind === 'day') return say.shortDate(id);
    return /^(piece|lot|delivery|tub)$/.test(kind) ? id : of(subject);
  };
  return (entry) => {
    const who = by(entry.actor);
    return { who, about: about(entry.subject), line: entryLine(entry, { by: who, of: of(entry.subject), named }) };
  };
}
