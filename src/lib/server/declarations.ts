import { speciesIn } from '../core/fish/house-species.ts';
import type { HouseState, LotState } from '../core/record/state.ts';
import { allergensOf, type AllergenDuty } from '../core/rules/allergens.ts';
import { profileById } from '../core/rules/profiles/index.ts';
import { RAW_ROUTES } from '../core/rules/window.ts';
import { noticeText } from '../words/notices.ts';

/** Allergens of a lot under the house's profile; of an unidentified one, those of every candidate. */
export function allergensOfLot(lot: LotState, house: HouseState): AllergenDuty[] {
  const profile = profileById(house.profile, house.profiles);
  const all = lot.species.flatMap((id) => allergensOf(speciesIn(house.species, id), profile));
  return all.filter((each, index) => all.findIndex(({ allergen }) => allergen === each.allergen) === index);
}

/** Allergens of everything that is in a piece: of a batch, those of all its lots, each once. */
export function allergensOfLots(lots: readonly LotState[], house: HouseState): AllergenDuty[] {
  const all = lots.flatMap((lot) => allergensOfLot(lot, house));
  return all.filter((each, index) => all.findIndex(({ allergen }) => allergen === each.allergen) === index);
}

/** What is declared with something served: its allergens, and for a raw route the notice on the card. */
export function declarations(lots: readonly LotState[], house: HouseState, route: string) {
  return {
    allergens: allergensOfLots(lots, house).map(({ allergen }) => allergen),
    notice: (RAW_ROUTES as readonly string[]).includes(route) ? noticeOf(house) : ''
  };
}

/** The raw-food notice in force: the house's words, or the shipped ones of its profile. */
export function noticeOf(house: HouseState): string {
  const profile = profileById(house.profile, house.profiles);
  return house.notice?.text ?? noticeText(profile.house?.base ?? profile.id);
}
