import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { businessDay } from '../../core/measure/day.ts';
import { noteShape, noteSubject, readNote } from '../plans/note.ts';
import { sha256 } from '../store/open.ts';
import { draft, type Draft } from '../store/record.ts';
import { ticked } from '../../core/fields/field.ts';
import { lotEntries } from '../plans/lot.ts';
import { operation } from './operation.ts';

export const importNote = operation({
  name: 'import-note',
  page: '/receive/note',
  summary:
    'Receive the lots of a delivery note. With a broken row none is taken, unless only the good ones are asked for.',
  input: z.object({ ...noteShape, goodOnly: ticked.describe('take the good rows and leave the broken ones') }),
  run(context, { goodOnly, ...input }) {
    const { store, house, now } = context;
    const note = readNote(context, input);
    if (note.good === 0 || (note.bad > 0 && !goodOnly)) {
      throw new EmberError('note.rows-refused', { field: 'text', seen: note.bad, good: note.good });
    }
    const day = businessDay(now, house);
    let counter = 1;
    let delivery: string;
    do delivery = `DEL-${day.slice(5, 7)}${day.slice(8, 10)}-${counter++}`;
    while (store.record.versionOf(`delivery:${delivery}`) > 0);
    const good = note.rows.filter(({ troubles }) => troubles.length === 0);
    const events: Draft[] = [
      draft('delivery.opened', `delivery:${delivery}`, now, {
        code: delivery,
        supplier: input.supplier || good[0]!.input!.supplier,
        reference: input.fileName,
        vehicle: null,
        note: 'from a delivery note'
      })
    ];
    const taken = new Set<string>();
    const lots = good.map(({ input: lot }) => {
      const made = lotEntries(context, lot!, now, delivery, taken);
      taken.add(made.lot);
      events.push(...made.events);
      return made.lot;
    });
    events.push(
      draft('note.imported', noteSubject(note.headings), now, {
        file: input.fileName,
        contentHash: sha256(input.text),
        columns: { ...note.columns },
        delimiter: note.delimiter,
        decimal: note.decimal,
        imported: lots.length,
        refused: note.rows
          .filter(({ troubles }) => troubles.length > 0)
          .map(({ row, troubles }) => ({ row, codes: troubles.map(({ code }) => code) })),
        lots
      })
    );
    return { events, result: { delivery, lots, imported: lots.length, refused: note.bad } };
  }
});
