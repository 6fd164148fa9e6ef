import { words } from './speech.ts';
import * as say from './say.ts';
import type { RecordEvent } from '../core/record/events.ts';
import { LOOK_FIELDS } from '../core/activity/age/lists.ts';
import { lookWords } from './age.ts';
import { cureStepWords } from './cure-names.ts';
import { entryName } from './field-names.ts';

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
const SHARES = new Set(['target', 'rawShareOfIceDays', 'humidity']);
const MOMENTS = new Set(['from', 'to', 'at']);
/** What a key means where it is not a lot that is spoken of. */
const OF_LOGS: Readonly<Record<string, string>> = /* @__PURE__ */ words({
  count: 'readings',
  source: 'came',
  clockOffsetSeconds: 'clock put right by'
});

function number(key: string, value: number): string {
  if (MOMENTS.has(key)) return say.dayAndTime(value);
  if (key === 'peak') return `${Math.round(value * 10) / 10} °C`;
  if (key === 'drip') return `${Math.round(value)} g`;
  if (key.endsWith('Seconds')) return `${Math.round(value)} s`;
  const round = (figure: number) => Math.round(figure * 100) / 100;
  if (SHARES.has(key)) return `${round(value * 100)} %`;
  if (key.endsWith('Grams')) return `${round(value)} g`;
  if (key.toLowerCase().endsWith('celsius')) return `${round(value)} °C`;
  if (key === 'hours') return `${round(value)} h`;
  return String(round(value));
}
/** "saltGrams" is read "Salt". */
const label = (key: string, isLog: boolean) => {
  if (isLog && OF_LOGS[key]) return OF_LOGS[key];
  const bare = key.replace(/(Grams|Degrees|Minutes|Celsius)$/, '') || key;
  return entryName(bare) === bare ? bare.replace(/([A-Z])/g, ' $1').toLowerCase() : entryName(bare).toLowerCase();
};

/** The parts of an entry that a person reads at a glance: quantities as they were typed, words as they were written. */
export function entryWords(entry: RecordEvent): string[] {
  if (entry.kind === 'cure.stepped') {
    return [cureStepWords(entry.body.code).toLowerCase(), ...(entry.body.note ? [entry.body.note] : [])];
  }
  if (entry.kind === 'recipe.set' || entry.kind === 'sauce.set' || entry.kind === 'dish.set') {
    const { page, version, reason, withdrawn } = entry.body;
    return [
      `${page.name}, version ${version}`,
      ...(withdrawn ? ['taken out of the book'] : []),
      ...(reason ? [reason] : [])
    ];
  }
  if (entry.kind === 'age.looked') {
    const { answers, stops, note } = entry.body;
    return [
      ...LOOK_FIELDS.map((field) => lookWords(field, answers[field])),
      ...(stops.length > 0 ? ['off the rack'] : []),
      ...(note ? [note] : [])
    ];
  }
  if (entry.kind === 'piece.dressed') {
    const { sauce, sauceGrams, liquidGrams, with: garnish, dish, allergens, note } = entry.body;
    return [
      ...(sauce ? [`${sauce.name}, version ${sauce.version}, ${Math.round(sauceGrams)} g`] : []),
      ...(liquidGrams > 0 ? [`its liquid, ${Math.round(liquidGrams)} g`] : []),
      ...[garnish, dish, note].filter((each) => each !== ''),
      ...(allergens.length > 0 ? [`allergens ${allergens.join(', ')}`] : [])
    ];
  }
  const isLog = entry.kind.startsWith('readings.') || entry.kind === 'log.imported';
  const named = (key: string) => label(key, isLog);
  return Object.entries(entry.body as Record<string, unknown>).flatMap(([key, value]) => {
    if (SILENT.has(key) || value === null || value === '' || value === false) return [];
    if (isLog && value === 0) return [];
    if (isTyped(value)) return [`${named(key)} ${value.typed}`];
    if (typeof value === 'number') return key.endsWith('At') ? [] : [`${named(key)} ${number(key, value)}`];
    if (Array.isArray(value))
      return value.length > 0 && typeof value[0] !== 'object' ? [`${named(key)} ${value.join(', ')}`] : [];
    if (typeof value === 'object') return [];
    return value === true ? [named(key)] : [`${named(key)} ${String(value)}`];
  });
}
