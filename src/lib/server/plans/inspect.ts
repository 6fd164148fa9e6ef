import { speciesIn } from '../../core/fish/house-species.ts';
import { recommend, scoreSheet, type Answers } from '../../core/inspect/score.ts';
import { sheetIn, sheetIdFor, type SheetId } from '../../core/inspect/sheets.ts';
import type { LotState } from '../../core/record/lot.ts';
import type { HouseState } from '../../core/record/house.ts';
import { neverMilder } from '../../core/rules/decision-floor.ts';
import { foldLineages, judge } from '../../core/rules/verdict.ts';
import type { Store } from '../store/store.ts';

/** Answers from a form's fields: "level-eye" is 0 to 3, or "unseen". */
export function answersFrom(input: Record<string, unknown>): Answers {
  return Object.fromEntries(
    Object.entries(input).flatMap(([key, value]) => {
      if (!key.startsWith('level-') || value === '') return [];
      return [[key.slice(6), value === 'unseen' ? null : Number(value)]];
    })
  );
}

/** The shortest days on ice among what the lot may be: doubt is judged by the worst. */
export const iceDaysOf = (lot: LotState, house: HouseState): number =>
  lot.species.length === 0 ? 3 : Math.min(...lot.species.map((id) => speciesIn(house.species, id).iceDays));

/** The sheet a lot is judged on when nobody chose another. */
export function sheetForLot(lot: LotState, house: HouseState): SheetId {
  const [first] = lot.species;
  return sheetIdFor(first ? speciesIn(house.species, first).group : 'finfish', lot.received.form);
}

/** What a sheet says of a lot, and what it recommends under the house's profile. */
export function appraise(
  store: Store,
  house: HouseState,
  lot: LotState,
  sheetId: SheetId,
  answers: Answers,
  now: number
) {
  const sheet = sheetIn(house.sheets, sheetId);
  const iceDays = iceDaysOf(lot, house);
  const score = scoreSheet(sheet, answers, iceDays);
  const root = store.projections.piecesOfLot(lot.id)[0];
  const reasons = root
    ? judge(
        foldLineages(store.projections.lineages(root.state.id), {
          house,
          at: now,
          knownAt: now,
          logs: store.projections.logs.book(now, now)
        })
      ).reasons
    : [];
  const freezing = reasons.some(
    ({ code, effect }) => effect.kind === 'missing' && (code.startsWith('parasites.') || code.startsWith('decision.'))
  );
  const recommended = neverMilder(recommend(score, iceDays, house.rawShareOfIceDays, freezing), reasons);
  return { sheet, score, iceDays, recommended };
}
