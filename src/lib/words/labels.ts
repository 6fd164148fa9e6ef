import type { LabelData } from '../core/trace/label.ts';
import { formatMass } from '../core/measure/format.ts';
import type { UnitPreferences } from '../core/measure/units.ts';
import { USE_WORDS } from './cuts.ts';
import { ROUTE_WORDS } from './findings.ts';
import { allergenWord } from './notices.ts';

export const LABEL_SIZE_WORDS: Record<string, string> = {
  'roll-60x40': 'Roll, 60 x 40 mm',
  'roll-100x50': 'Roll, 100 x 50 mm',
  'roll-50x30': 'Roll, 50 x 30 mm',
  'a4-24': 'A4 sheet of 24, 70 x 37 mm',
  'letter-30': 'Letter sheet of 30, 66.7 x 25.4 mm'
};
const STATE_WORDS: Record<LabelData['state'], string> = {
  open: 'Open until',
  ebbing: 'Ebbing, until',
  locked: 'Locked until',
  'not-cleared': 'Not cleared',
  closed: 'Closed',
  never: 'Never raw'
};

/** The lines of a label. A mark drawn on paper cannot follow the tide: it says when it was printed for. */
export function labelWords(label: LabelData, house: { readonly units: UnitPreferences; readonly zone: string }) {
  const time = (at: number) =>
    new Intl.DateTimeFormat('en-GB', {
      timeZone: house.zone,
      day: 'numeric',
      month: 'short',
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23'
    }).format(at);
  const kind = label.species.join(' and ');
  const timed =
    label.until !== null && (label.state === 'open' || label.state === 'ebbing' || label.state === 'locked');
  return {
    // A label is small: a name without end is cut, its code is not.
    name: label.name.length > 60 ? `${label.name.slice(0, 59)}…` : label.name,
    code: `${label.code}${kind && !label.name.includes(kind) ? ` · ${kind}` : ''}`,
    mass: `${formatMass(label.grams, house.units)}${label.use ? ` · ${USE_WORDS[label.use] ?? label.use}` : ''}${label.place ? ` · ${label.place}` : ''}`,
    days: `Made ${label.madeOn} · Use by ${label.useBy ?? 'see its page'}`,
    window: `${label.route ? ROUTE_WORDS[label.route] : ''}: ${label.state === 'open' && !timed ? 'Open' : STATE_WORDS[label.state]}${timed ? ` ${time(label.until!)}` : ''}`,
    allergens: `Allergens: ${label.allergens.map((allergen) => allergenWord(allergen)).join(', ') || 'none of its own'}`
  };
}
