import { EmberError } from '../errors.ts';
import { speciesIndex } from '../fish/search.ts';
import { speciesCalled, type Species } from '../fish/species.ts';

/** A column of a delivery note that a lot can be read from. */
export interface NoteField {
  readonly field: string;
  readonly label: string;
  /** Headings that are taken to mean it, lower case, without accents or punctuation. */
  readonly headings: readonly string[];
  /** Units a bare figure of the column may be in, the first being the usual one. */
  readonly units?: readonly string[];
}

const field = (name: string, label: string, headings: string, units?: readonly string[]): NoteField => ({
  field: name,
  label,
  headings: headings.split(','),
  ...(units ? { units } : {})
});

export const NOTE_FIELDS: readonly NoteField[] = [
  field('species', 'Species', 'species,fish,product,item,description,article,espece,especie,fisch,pesce'),
  field('mass', 'Weight', 'weight,net weight,net,kg,kilos,mass,poids,peso,gewicht,lb,lbs', ['kg', 'g', 'lb', 'oz']),
  field('form', 'Form', 'form,presentation,state,cut,prep'),
  field('source', 'Wild or farmed', 'source,origin,method,wild farmed,production'),
  field('farmSystem', 'How farmed', 'farm system,farm type,system'),
  field('water', 'Water', 'water,sea fresh'),
  field('area', 'Grounds or farm', 'area,grounds,catch area,farm,zone,harvest area'),
  field('faoArea', 'FAO area', 'fao,fao area,fao zone'),
  field('supplier', 'Supplier', 'supplier,seller,from,vendor,fournisseur,proveedor'),
  field('supplierLot', 'Supplier’s lot', 'lot,lot code,batch,lot no,supplier lot,tlc'),
  field('caughtOn', 'Caught or harvested', 'caught,catch date,harvested,harvest date,caught on,date of catch,date'),
  field('landedOn', 'Landed', 'landed,landing date,landed on'),
  field('gear', 'Gear', 'gear,fishing gear,caught by'),
  field('killing', 'Killing', 'killing,slaughter,killed'),
  field('core', 'Core temperature', 'temp,temperature,core,core temp,core temperature', ['°C', '°F']),
  field('air', 'Air round live goods', 'air,air temp,air temperature,truck,truck temp', ['°C', '°F']),
  field('pack', 'Pack without air', 'pack,packing,packaging,packed,vacuum,emballage,envase'),
  field('packIndicator', 'Time-temperature indicator on the pack', 'tti,indicator,time temperature indicator'),
  field('ice', 'Ice', 'ice,icing,glace,hielo,eis'),
  field('count', 'Pieces', 'count,pieces,pcs,number'),
  field('cases', 'Cases', 'cases,boxes,ctn'),
  field('price', 'Price', 'price,unit price,price kg,prix,precio'),
  field('pricePer', 'Price is for', 'price per,per,price unit'),
  field('frozen', 'Arrived frozen', 'frozen'),
  field('previouslyFrozen', 'Frozen before', 'previously frozen,frozen before,refreshed,defrosted,decongele'),
  field('claim', 'Seller’s words', 'grade,claim,remark,remarks,note,notes,comment')
];

const plain = (text: string) =>
  text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .toLowerCase()
    .replace(/\(.*?\)/g, ' ')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

/** What each heading is taken to mean, as "field" or "field:unit"; an empty text for nothing. */
export type ColumnMap = Readonly<Record<string, string>>;

/**
 * A first guess at the columns. No field is guessed twice: the earlier column keeps it.
 *
 * @example
 * guessColumns(['Fish', 'Net weight (lb)', 'Temp °F', 'Shelf'])
 * // => { 'Fish': 'species', 'Net weight (lb)': 'mass:lb', 'Temp °F': 'core:°F', 'Shelf': '' }
 */
export function guessColumns(headings: readonly string[]): Record<string, string> {
  const used = new Set<string>();
  const out: Record<string, string> = {};
  for (const heading of headings) {
    const words = plain(heading);
    const bare = words.replace(/ (kg|g|lb|lbs|oz|c|f)$/, '');
    const found = NOTE_FIELDS.find(
      (each) => !used.has(each.field) && (each.headings.includes(words) || each.headings.includes(bare))
    );
    if (!found) {
      out[heading] = '';
      continue;
    }
    used.add(found.field);
    const said = /(kg|lbs?|oz|°\s*c|°\s*f|\bg\b|\bc\b|\bf\b)/i.exec(heading)?.[1]?.toLowerCase().replace(/\s/g, '');
    const unit = found.units?.find(
      (each) => said !== undefined && each.toLowerCase().replace('°', '') === said.replace('°', '').replace('lbs', 'lb')
    );
    out[heading] = found.units ? `${found.field}:${unit ?? found.units[0]}` : found.field;
  }
  return out;
}

export type DateOrder = 'iso' | 'dmy' | 'mdy';

/**
 * A day of a delivery note as an ISO day. A form that could be two days is not guessed: the order is asked for.
 *
 * @throws EmberError `time.unreadable`
 * @example
 * noteDay('7/3/2026', 'dmy', 'caughtOn') // => '2026-03-07'
 */
export function noteDay(text: string, order: DateOrder, fieldName: string): string {
  const seen = text.trim();
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})(?:[T ]\d{1,2}:\d{2}.*)?$/.exec(seen);
  const parts = /^(\d{1,2})[./-](\d{1,2})[./-](\d{2}|\d{4})$/.exec(seen);
  let [year, month, day] = [NaN, NaN, NaN];
  if (iso) [year, month, day] = [Number(iso[1]), Number(iso[2]), Number(iso[3])];
  else if (parts && order !== 'iso') {
    const [first, second] = [Number(parts[1]), Number(parts[2])];
    year = parts[3]!.length === 2 ? 2000 + Number(parts[3]) : Number(parts[3]);
    [day, month] = order === 'dmy' ? [first, second] : [second, first];
  }
  const date = new Date(Date.UTC(year, month - 1, day));
  if (Number.isNaN(date.getTime()) || date.getUTCMonth() !== month - 1 || date.getUTCDate() !== day) {
    throw new EmberError('time.unreadable', { field: fieldName, seen });
  }
  return date.toISOString().slice(0, 10);
}

/**
 * The one species a seller's word means.
 *
 * @throws EmberError `species.ambiguous` where it means several, `species.unknown` where none; both with candidates
 */
export function speciesFromNote(text: string, catalogue: readonly Species[]): string {
  const exact = speciesCalled(text, catalogue);
  if (exact.length === 1) return exact[0]!.id;
  if (exact.length > 1) {
    throw new EmberError('species.ambiguous', {
      field: 'species',
      seen: text,
      candidates: exact.map(({ name }) => name)
    });
  }
  const byId = catalogue.find(({ id }) => id === plain(text).replaceAll(' ', '-'));
  if (byId) return byId.id;
  throw new EmberError('species.unknown', {
    field: 'species',
    seen: text,
    candidates: speciesIndex(catalogue)(text, 3).map(({ name }) => name)
  });
}

const YES = new Set(['yes', 'y', 'true', '1', 'x', 'frozen', 'oui', 'si', 'ja']);
const NO = new Set(['no', 'n', 'false', '0', 'non', 'nein']);
const answer = (word: string): string => (YES.has(word) ? 'yes' : NO.has(word) ? 'no' : word);
/** What sellers call a pack without oxygen, and fish that lies open; any other word is asked about. */
const CLOSED = new Set(['closed', 'vacuum', 'vac', 'vacuum packed', 'vac packed', 'sealed', 'map', 'rop', 'sous vide']);
const OPEN = new Set(['none', 'open', 'loose', 'on ice', 'tray', 'unpacked', 'vrac']);
const packOf = (word: string): string =>
  CLOSED.has(word) || YES.has(word) ? 'closed' : OPEN.has(word) || NO.has(word) ? 'none' : word;

const decimalPoint = (text: string, decimal: '.' | ',') =>
  decimal === ',' ? text.replace(/\./g, '').replace(',', '.') : text.replace(/,(?=\d{3}\b)/g, '');

export interface NoteOptions {
  readonly columns: ColumnMap;
  readonly decimal: '.' | ',';
  readonly dateOrder: DateOrder;
  /** What stands where the note says nothing. */
  readonly defaults: Readonly<Record<string, string>>;
}

export interface NoteRow {
  readonly input: Readonly<Record<string, string>>;
  readonly troubles: readonly EmberError[];
}

/** One row of a note as a lot's input, with what could not be read. */
export function readRow(
  row: Readonly<Record<string, string>>,
  options: NoteOptions,
  catalogue: readonly Species[]
): NoteRow {
  const input: Record<string, string> = { ...options.defaults };
  const troubles: EmberError[] = [];
  for (const [heading, target] of Object.entries(options.columns)) {
    const value = (row[heading] ?? '').trim();
    if (target === '' || value === '') continue;
    const [name, unit] = target.split(':') as [string, string | undefined];
    try {
      if (name === 'species') input.species = speciesFromNote(value, catalogue);
      else if (name === 'caughtOn' || name === 'landedOn') input[name] = noteDay(value, options.dateOrder, name);
      else if (unit) {
        const bare = /^[-+\u2212]?[\d.,\s]+$/.test(value);
        input[name] = bare ? `${decimalPoint(value, options.decimal)} ${unit}` : value;
      } else if (name === 'price') {
        input.price = decimalPoint(value.replace(/[^\d.,-]/g, ''), options.decimal);
      } else if (name === 'frozen') input.frozen = YES.has(value.toLowerCase()) ? 'on' : '';
      else if (name === 'pack') input.pack = packOf(value.toLowerCase());
      else if (name === 'packIndicator' || name === 'previouslyFrozen') input[name] = answer(value.toLowerCase());
      else if (['form', 'ice', 'source', 'water', 'pricePer', 'farmSystem', 'gear', 'killing'].includes(name)) {
        input[name] = value.toLowerCase().replaceAll(' ', '-');
      } else input[name] = value;
    } catch (error) {
      if (!(error instanceof EmberError)) throw error;
      troubles.push(error);
    }
  }
  return { input, troubles };
}
