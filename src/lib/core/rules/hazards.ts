import { type Hazard, type JudgeContext } from './context.ts';
import { dateMark, freshness, handling } from '../activity/piece/hazard.ts';
import { ageing } from '../activity/age/hazard.ts';
import { curing } from '../activity/cure/hazard.ts';
import { houseWord } from '../activity/house/hazard.ts';
import { parasites } from '../activity/freeze/hazard.ts';
import { source } from '../activity/receive/hazards/source.ts';
import { arrival, arrivalPack, shellfish } from '../activity/receive/hazards/arrival.ts';
import { holding } from '../activity/cold/hazards/clock.ts';
import { corrections } from '../activity/ledger/hazard.ts';
import { histamine } from '../activity/cold/hazards/histamine.ts';
import { timeControl } from '../activity/tray/hazard.ts';
import { thawing } from '../activity/thaw/hazard.ts';
import { toxins } from '../activity/receive/hazards/toxins.ts';
import { type Reason } from '../codes/window.ts';

/** Every hazard that is judged, in the order a person would ask. */
export const HAZARDS: readonly Hazard[] = [
  source,
  toxins,
  shellfish,
  parasites,
  arrival,
  arrivalPack,
  holding,
  histamine,
  timeControl,
  dateMark,
  freshness,
  handling,
  curing,
  ageing,
  thawing,
  corrections,
  houseWord
];

/** All that every hazard finds, in order. */
export function findings(context: JudgeContext): Reason[] {
  const found: Reason[] = [];
  for (const hazard of HAZARDS) found.push(...hazard(context));
  return found;
}

/** What the house's own care found, and no law: a correction may take it away like any slip. */
const OWN_CARE = new Set(['freshness', 'curing', 'ageing', 'house', 'guests', 'corrections']);

const OWN_CARE_CODES = new Set([
  'handling.cured',
  'handling.cure-running',
  'handling.cure-ended',
  'handling.in-acid',
  'handling.divided'
]);

const LAW_CODES = /closed-pack|histamine|stopped/;

/** Whether a finding stands though an amendment that may take nothing away struck what it leans on. */
export const stands = ({ hazard, code, effect }: Reason): boolean =>
  effect.kind !== 'pass' && !OWN_CARE_CODES.has(code) && (!OWN_CARE.has(hazard) || LAW_CODES.test(code));
