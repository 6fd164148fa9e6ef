import { delimiterOf, DELIMITERS } from '../../core/log/csv.ts';
import { parse } from 'csv-parse/sync';
import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { catalogueOf } from '../../core/fish/house-species.ts';
import { guessColumns, readRow, type ColumnMap } from '../../core/receive/note.ts';
import { addCoded, shortText } from '../../core/fields/field.ts';
import { fieldTroubles, type FieldTrouble } from '../../core/fields/trouble.ts';
import { lotEntries, lotFields, type LotInput } from './lot.ts';
import type { Standing } from '../room.ts';
import { sha256 } from '../store/open.ts';
import type { Store } from '../store/store.ts';

export const NOTE_BYTES = 400_000;
export const NOTE_ROWS = 500;

/** How a delivery note is to be read. */
export const noteShape = {
  text: z.string().max(NOTE_BYTES).describe('the CSV itself'),
  fileName: shortText(120),
  delimiter: z
    .enum(['', ...DELIMITERS])
    .default('')
    .describe('found out when empty'),
  decimal: z.enum(['', '.', ',']).default(''),
  dateOrder: z.enum(['iso', 'dmy', 'mdy']).default('iso'),
  columns: z
    .union([z.record(z.string(), z.string()), z.string()])
    .default('')
    .transform((value, context): ColumnMap | null => {
      if (typeof value !== 'string') return value;
      if (value === '') return null;
      try {
        return z.record(z.string(), z.string()).parse(JSON.parse(value));
      } catch {
        addCoded(context, new EmberError('request.not-json', { field: 'columns' }));
        return z.NEVER;
      }
    })
    .describe('heading to field; the last mapping used for these headings, else a guess, when empty'),
  supplier: shortText().describe('where the note names none'),
  source: z.enum(['', 'wild', 'farmed', 'unknown']).default(''),
  commercial: z.enum(['', 'yes', 'no', 'unknown']).default('')
};
export const noteFields = z.object(noteShape);
export type NoteInput = z.infer<typeof noteFields>;

export interface ReadNote {
  readonly headings: readonly string[];
  readonly columns: ColumnMap;
  /** Whether the columns come from an earlier note with the same headings. */
  readonly remembered: boolean;
  readonly delimiter: string;
  readonly decimal: '.' | ',';
  readonly rows: readonly {
    readonly row: number;
    readonly cells: readonly string[];
    readonly input: LotInput | null;
    readonly troubles: readonly FieldTrouble[];
  }[];
  readonly good: number;
  readonly bad: number;
}

/** The subject under which a mapping for these headings is found again. */
export const noteSubject = (headings: readonly string[]): string =>
  `note:${sha256(headings.join('\n').toLowerCase()).slice(0, 16)}`;

function rememberedColumns(store: Store, headings: readonly string[]): ColumnMap | null {
  const last = store.record
    .eventsOf(noteSubject(headings))
    .filter((event) => event.kind === 'note.imported')
    .at(-1);
  return last && last.kind === 'note.imported' ? last.body.columns : null;
}

/** Reads a note row by row. Nothing is written; each row says what is wrong with it. */
export function readNote(context: Standing, input: NoteInput): ReadNote {
  const { store, house, now } = context;
  const delimiter = input.delimiter || delimiterOf(input.text.split('\n').slice(0, 20));
  let table: string[][];
  try {
    table = parse(input.text, {
      delimiter,
      bom: true,
      skip_empty_lines: true,
      relax_column_count: true,
      trim: true,
      to: NOTE_ROWS + 2
    });
  } catch (error) {
    throw new EmberError('note.unreadable', { field: 'text', seen: (error as Error).message });
  }
  const [headings = [], ...lines] = table;
  if (headings.length < 2 || lines.length === 0) throw new EmberError('note.unreadable', { field: 'text', seen: '' });
  if (lines.length > NOTE_ROWS) {
    throw new EmberError('quantity.out-of-range', { field: 'text', unit: 'rows', max: NOTE_ROWS, seen: lines.length });
  }
  if (new Set(headings).size < headings.length) {
    throw new EmberError('note.unreadable', { field: 'text', seen: 'two columns with one heading' });
  }
  const before = rememberedColumns(store, headings);
  const columns = input.columns ?? before ?? guessColumns(headings);
  const decimal = input.decimal || (delimiter === ';' ? ',' : '.');
  const catalogue = catalogueOf(house.species);
  const taken = new Set<string>();
  const rows = lines.map((cells, index) => {
    const row = Object.fromEntries(headings.map((heading, at) => [heading, cells[at] ?? '']));
    const read = readRow(
      row,
      {
        columns,
        decimal,
        dateOrder: input.dateOrder,
        defaults: {
          ...(input.supplier ? { supplier: input.supplier } : {}),
          source: input.source || 'unknown',
          commercial: input.commercial || 'unknown',
          water: 'unknown'
        }
      },
      catalogue
    );
    const troubles: FieldTrouble[] = read.troubles.map(({ code, details }) => ({
      field: details.field ?? '',
      code,
      details
    }));
    if (cells.length > headings.length) {
      troubles.push({
        field: 'text',
        code: 'note.unreadable',
        details: { field: 'text', seen: `${cells.length} cells for ${headings.length} headings` }
      });
    }
    const parsed = lotFields.safeParse(read.input);
    if (!parsed.success) {
      const said = new Set(troubles.map((trouble) => trouble.field));
      troubles.push(...fieldTroubles(parsed.error.issues, read.input).filter((trouble) => !said.has(trouble.field)));
    } else if (troubles.length === 0) {
      try {
        taken.add(lotEntries(context, parsed.data, now, '', taken).lot);
      } catch (error) {
        if (!(error instanceof EmberError)) throw error;
        troubles.push({ field: error.details.field ?? '', code: error.code, details: error.details });
      }
    }
    // The heading is line 1, as a person counts them in the file.
    return { row: index + 2, cells, input: parsed.success ? parsed.data : null, troubles };
  });
  const bad = rows.filter(({ troubles }) => troubles.length > 0).length;
  return {
    headings,
    columns,
    remembered: before !== null && input.columns === null,
    delimiter,
    decimal,
    rows,
    good: rows.length - bad,
    bad
  };
}
