import type { RecordEvent } from '../core/record/events.ts';
import { fieldName } from '../words/errors.ts';

interface TypedLike {
  typed: string;
  si: number;
}
const isTyped = (value: unknown): value is TypedLike =>
  typeof value === 'object' && value !== null && 'typed' in value && 'si' in value;

/** What the machine needs and a reader does not: it stands in the entry as stored. */
const SILENT = new Set(
  'pins code currency forecast coreArrival lot parents patch headHash contentHash form faces grams thicknessMm units'.split(
    ' '
  )
);
const SHARES = new Set(['target', 'rawShareOfIceDays']);

function number(key: string, value: number): string {
  const round = (figure: number) => Math.round(figure * 100) / 100;
  if (SHARES.has(key)) return `${round(value * 100)} %`;
  if (key.endsWith('Grams')) return `${round(value)} g`;
  if (key.toLowerCase().endsWith('celsius')) return `${round(value)} °C`;
  if (key === 'hours') return `${round(value)} h`;
  return String(round(value));
}
/** "saltGrams" is read "Salt". */
const label = (key: string) => {
  const bare = key.replace(/(Grams|Degrees|Minutes|Celsius)$/, '') || key;
  return fieldName(bare) === bare ? bare.replace(/([A-Z])/g, ' $1').toLowerCase() : fieldName(bare).toLowerCase();
};

/** The parts of an entry that a person reads at a glance: quantities as they were typed, words as they were written. */
export function entryWords(entry: RecordEvent): string[] {
  return Object.entries(entry.body as Record<string, unknown>).flatMap(([key, value]) => {
    if (SILENT.has(key) || value === null || value === '' || value === false) return [];
    if (isTyped(value)) return [`${label(key)} ${value.typed}`];
    if (typeof value === 'number') return key.endsWith('At') ? [] : [`${label(key)} ${number(key, value)}`];
    if (Array.isArray(value)) return value.length > 0 ? [`${label(key)} ${value.join(', ')}`] : [];
    if (typeof value === 'object') return [];
    return value === true ? [label(key)] : [`${label(key)} ${String(value)}`];
  });
}
