import * as say from './say.ts';
import { said, words } from './speech.ts';
import { mayServe, type LabelRoute } from '../core/codes/promise.ts';
import type { LabelData } from '../core/trace/label.ts';
import { formatMass } from '../core/measure/format.ts';
import type { UnitPreferences } from '../core/measure/units.ts';
import { USE_WORDS } from './cuts.ts';
import { ROUTE_WORDS } from './findings.ts';
import { toldWords } from './notices.ts';

export const LABEL_SIZE_WORDS: Record<string, string> = /* @__PURE__ */ words({
  'roll-60x40': 'Roll, 60 x 40 mm',
  'roll-100x50': 'Roll, 100 x 50 mm',
  'roll-50x30': 'Roll, 50 x 30 mm',
  'a4-24': 'A4 sheet of 24, 70 x 37 mm',
  'letter-30': 'Letter sheet of 30, 66.7 x 25.4 mm'
});
/** Why a route is not served, in a word or two. */
const SHUT_WORDS: Partial<Record<LabelRoute['state'], string>> = /* @__PURE__ */ words({
  'not-cleared': 'not cleared',
  closed: 'closed',
  never: 'never'
});
/** What binds, in one line: what it may be served as and until when, or that it may not be served. */
export const bindingWords = /* @__PURE__ */ said(function bindingWords(
  { raw, cooked }: Pick<LabelData, 'raw' | 'cooked'>,
  time: (at: number) => string
): string {
  if (!mayServe(raw) && !mayServe(cooked)) return 'NOT FOR SERVICE, raw or cooked';
  const named = ({ route, state, from, until }: LabelRoute): string => {
    const name = ROUTE_WORDS[route];
    if (from !== null) return `${name} from ${time(from)}${until === null ? '' : ` until ${time(until)}`}`;
    if (state === 'open' || state === 'ebbing') return until === null ? name : `${name} until ${time(until)}`;
    return `${name} ${SHUT_WORDS[state] ?? state}`;
  };
  if (!mayServe(raw)) {
    const soon = cooked.state === 'ebbing' ? 'Use soon: ' : '';
    return `${soon}COOKED ONLY${cooked.until === null ? '' : `, until ${time(cooked.until)}`}`;
  }
  return `${raw.state === 'ebbing' ? 'Use soon: ' : ''}${named(raw)} · ${named(cooked)}`;
});

const allergenLine = /* @__PURE__ */ said(({ allergens: holds, mayHold, unsaid }: LabelData): string => {
  const told = toldWords({ holds, mayHold, unsaid });
  const nothing = unsaid.length === 0 ? 'none of its own' : '';
  return ['Allergens: ' + (told.holds || nothing), told.mayHold, told.ask && told.ask.replace(/^ask/, 'ASK')]
    .filter((each) => each !== '')
    .join(' · ');
});
const madeLine = /* @__PURE__ */ said(
  (madeOn: string, origin: string): string => `Made ${say.shortDate(madeOn)}${origin === '' ? '' : ` · ${origin}`}`
);
/** Several lots: the first stands for them on so small a paper, and its page has the rest. */
const originsLine = /* @__PURE__ */ said((origins: readonly string[]): string =>
  origins.length > 2 ? `${origins[0]} and ${origins.length - 1} more` : origins.join('; ')
);

/** Where a lot came from, in a line: whose, wild or farmed, from what grounds, and its day. */
export const originWords = /* @__PURE__ */ said(
  (from: {
    readonly supplier: string;
    readonly source: 'wild' | 'farmed' | 'unknown';
    readonly grounds: string;
    readonly caughtOn: string | null;
  }): string => {
    const day = from.caughtOn
      ? `${from.source === 'farmed' ? 'harvested' : 'caught'} ${say.shortDate(from.caughtOn)}`
      : '';
    return [from.supplier, from.source === 'unknown' ? '' : from.source, from.grounds, day].filter(Boolean).join(', ');
  }
);

/** The lines of a label, the one that binds first. */
export interface LabelLines {
  readonly window: string;
  readonly name: string;
  readonly code: string;
  readonly mass: string;
  readonly made: string;
  readonly allergens: string;
}

/** The lines of a label. A mark drawn on paper cannot follow the tide: it says when it was printed for. */
export function labelWords(
  label: LabelData,
  house: { readonly units: UnitPreferences; readonly zone: string }
): LabelLines {
  const time = (at: number) => say.timeAt(at, house.zone);
  const kind = say.list(label.species);
  return {
    window: bindingWords(label, time),
    // A label is small: a name without end is cut, its code is not.
    name: label.name.length > 60 ? `${label.name.slice(0, 59)}…` : label.name,
    code: `${label.code}${kind && !label.name.includes(kind) ? ` · ${kind}` : ''}`,
    mass: `${formatMass(label.grams, house.units)}${label.use ? ` · ${USE_WORDS[label.use] ?? label.use}` : ''}${label.place ? ` · ${label.place}` : ''}`,
    made: madeLine(label.madeOn, originsLine(label.origins)),
    allergens: allergenLine(label)
  };
}
