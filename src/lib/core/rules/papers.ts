import type { HouseState } from '../record/house.ts';
import type { Evidence, LotState } from '../record/lot.ts';
import { businessDay } from '../measure/day.ts';

/** What a paper says that the lot does not bear out. */
export type Conflict =
  'species' | 'form' | 'supplier' | 'quantity' | 'older-than-catch' | 'after-arrival' | 'hours' | 'never-frozen';

const plain = (text: string) => text.trim().toLowerCase();

/** A lot weighs what its paper says, or less; so much more is the scale's and the ice's. Share; check. */
const SLACK = 0.05;

/**
 * Holds a paper against the lot it is put to. What a paper does not say contradicts nothing; what it says must be so.
 *
 * @returns what does not go together; none where all does
 */
export function conflictsOf(
  paper: Evidence,
  lot: LotState,
  house: Pick<HouseState, 'zone' | 'dayEndsHour'>
): Conflict[] {
  const { received, species } = lot;
  const out: Conflict[] = [];
  if (paper.species !== '' && !species.includes(paper.species)) out.push('species');
  if (paper.form !== '' && paper.form !== received.form) out.push('form');
  if (paper.supplier !== '' && plain(paper.supplier) !== plain(received.supplier)) out.push('supplier');
  if (paper.mass && paper.mass.si < received.mass.si * (1 - SLACK)) out.push('quantity');
  else if (paper.count !== null && received.count !== null && paper.count < received.count) out.push('quantity');
  if (paper.type !== 'freezing-statement') return out;
  const caught = received.caughtOn?.slice(0, 10) ?? null;
  const arrived = businessDay(received.at, house);
  const { frozenFrom, frozenTo, issuedOn, expiresOn, frozenFor } = paper;
  // A standing agreement says until when it holds, and may be older than the fish; a statement on a lot may not.
  const isOlder =
    caught !== null &&
    [frozenFrom, frozenTo, expiresOn === null ? issuedOn : null].some((day) => day !== null && day < caught);
  if (isOlder) out.push('older-than-catch');
  if ((frozenFrom !== null && frozenFrom > arrived) || (frozenTo !== null && frozenTo > arrived))
    out.push('after-arrival');
  if (frozenFrom && frozenTo && frozenFor) {
    const most = (Date.parse(frozenTo) - Date.parse(frozenFrom)) / 1000 + 86_400;
    if (frozenFor.si > most) out.push('hours');
  }
  if (received.previouslyFrozen === 'no' && !received.frozen) out.push('never-frozen');
  return out;
}
