import { speciesIn } from '../core/fish/house-species.ts';
import type { HouseState, LotState } from '../core/record/state.ts';
import { allergensAdded, allergensOf, namesOf, type AllergenDuty, type ToldOfPiece } from '../core/rules/allergens.ts';
import { profileById } from '../core/rules/profiles/index.ts';
import { toldTogether, type Told } from '../core/ingredients/ingredient.ts';
import { foldStrands } from '../core/rules/verdict.ts';
import { RAW_ROUTES } from '../core/rules/window.ts';
import { noticeText } from '../words/notices.ts';
import type { Store } from './store/store.ts';

/** Allergens of a lot under the house's profile; of an unidentified one, those of every candidate. */
export function allergensOfLot(lot: LotState, house: HouseState): AllergenDuty[] {
  const profile = profileById(house.profile, house.profiles);
  const all = lot.species.flatMap((id) => allergensOf(speciesIn(house.species, id), profile));
  return all.filter((each, index) => all.findIndex(({ allergen }) => allergen === each.allergen) === index);
}

const once = (all: readonly AllergenDuty[]): AllergenDuty[] =>
  all.filter((each, index) => all.findIndex(({ allergen }) => allergen === each.allergen) === index);

/** What an entry keeps of what is told with what it put on fish. */
export const toldBody = ({ holds, mayHold, unsaid }: Told) => ({
  allergens: [...holds],
  mayHold: [...mayHold],
  unsaid: [...unsaid]
});

/** What is in a piece: of a batch, the allergens of all its lots; and what its cures, acids and sauces put on it, and on those it was cut from. */
export function toldOfPiece(store: Store, id: string, house: HouseState, at = Infinity): ToldOfPiece {
  const strands = store.projections.strands(id);
  const folded = foldStrands(strands, { house, at, knownAt: at });
  const profile = profileById(house.profile, house.profiles);
  const put = folded
    .flatMap(({ chain }) =>
      chain.flatMap(({ cures, acids, dressings }) => [...[...cures, ...acids].map(({ plan }) => plan), ...dressings])
    )
    .map(({ allergens, mayHold = [], unsaid = [] }) => ({ holds: allergens, mayHold, unsaid }));
  const told = toldTogether(put);
  const holds = once([
    ...folded.flatMap(({ lot }) => allergensOfLot(lot, house)),
    ...allergensAdded(told.holds, profile)
  ]);
  const isIn = new Set(holds.map(({ allergen }) => allergen));
  return {
    holds,
    mayHold: allergensAdded(told.mayHold, profile).filter(({ allergen }) => !isIn.has(allergen)),
    unsaid: told.unsaid
  };
}

/** What is declared with something served: its allergens, and for a raw route the notice on the card. */
export function declarations(store: Store, piece: string, house: HouseState, route: string) {
  return {
    ...toldBody(namesOf(toldOfPiece(store, piece, house))),
    notice: (RAW_ROUTES as readonly string[]).includes(route) ? noticeOf(house) : ''
  };
}

/** The raw-food notice in force: the house's words, or the shipped ones of its profile. */
export function noticeOf(house: HouseState): string {
  const profile = profileById(house.profile, house.profiles);
  return house.notice?.text ?? noticeText(profile.house?.base ?? profile.id);
}
