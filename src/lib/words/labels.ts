import { said, words } from './speech.ts';
import { mayServe, type LabelData, type LabelRoute } from '../core/trace/label.ts';
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

function allergenLine({ allergens: holds, mayHold, unsaid }: LabelData): string {
  const said = toldWords({ holds, mayHold, unsaid });
  const nothing = unsaid.length === 0 ? 'none of its own' : '';
  return ['Allergens: ' + (said.holds || nothing), said.mayHold, said.ask && said.ask.replace(/^ask/, 'ASK')]
    .filter((each) => each !== '')
    .join(' · ');
}

/** The lines of a label, the one that binds first. */
export interface LabelLines {
  readonly window: string;
  readonly name: string;
  readonly code: string;
  readonly mass: string;
  readonly made: string;
  readonly allergens: string;
}

/** When, as a label says it: the day with it. */
export const labelTime = /* @__PURE__ */ said((at: number, zone: string): string =>
  new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23'
  }).format(at)
);

/** The lines of a label. A mark drawn on paper cannot follow the tide: it says when it was printed for. */
export function labelWords(
  label: LabelData,
  house: { readonly units: UnitPreferences; readonly zone: string }
): LabelLines {
  const time = (at: number) => labelTime(at, house.zone);
  const kind = label.species.join(' and ');
  const { origins } = label;
  const origin = origins.length > 2 ? `${origins[0]} and ${origins.length - 1} more` : origins.join('; ');
  return {
    window: bindingWords(label, time),
    // A label is small: a name without end is cut, its code is not.
    name: label.name.length > 60 ? `${label.name.slice(0, 59)}…` : label.name,
    code: `${label.code}${kind && !label.name.includes(kind) ? ` · ${kind}` : ''}`,
    mass: `${formatMass(label.grams, house.units)}${label.use ? ` · ${USE_WORDS[label.use] ?? label.use}` : ''}${label.place ? ` · ${label.place}` : ''}`,
    // Two lots and more: the first stands for them on so small a paper, and its page has the rest.
    made: `Made ${label.madeOn}${origin === '' ? '' : ` · ${origin}`}`,
    allergens: allergenLine(label)
  };
}
