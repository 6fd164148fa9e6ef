import { LOOK_WORDS } from './acid.ts';
import { CORRECTIVE_WORDS } from './cold.ts';
import { CAUSE_WORDS, USE_WORDS, WASTE_WORDS } from './cuts.ts';
import { ROUTE_WORDS } from './findings.ts';
import * as receive from './receive.ts';
import { said } from './speech.ts';

/** What the choices of an entry are called, by the part they are of. */
const CHOICES: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  form: receive.FORM_OPTIONS,
  source: receive.SOURCE_OPTIONS,
  farmSystem: receive.SYSTEM_OPTIONS,
  water: receive.WATER_OPTIONS,
  commercial: receive.COMMERCIAL_OPTIONS,
  purpose: receive.PURPOSE_OPTIONS,
  ice: receive.ICE_OPTIONS,
  previouslyFrozen: receive.FROZEN_OPTIONS,
  pack: receive.PACK_OPTIONS,
  packIndicator: receive.INDICATOR_OPTIONS,
  gear: receive.GEAR_OPTIONS,
  killing: receive.KILLING_OPTIONS,
  decision: receive.DECISION_OPTIONS,
  route: ROUTE_WORDS,
  use: USE_WORDS,
  what: WASTE_WORDS,
  cause: CAUSE_WORDS,
  action: CORRECTIVE_WORDS,
  look: LOOK_WORDS
};

/** A choice of an entry as a person reads it. */
export const choiceWords = /* @__PURE__ */ said((name: string, value: string): string =>
  value === '' ? '—' : (CHOICES[name]?.[value] ?? value.replaceAll('-', ' '))
);
