import { speciesIn } from '../core/fish/house-species.ts';
import type { HouseState, LotState } from '../core/record/state.ts';
import { allergensAdded, allergensOf, type AllergenDuty } from '../core/rules/allergens.ts';
import { profileById } from '../core/rules/profiles/index.ts';
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

/** What is in a piece: of a batch, the allergens of all its lots; and what its cures, acids and sauces put on it, and on those it was cut from. */
export function allergensOfPiece(store: Store, id: string, house: HouseState, at = Infinity): AllergenDuty[] {
  const strands = store.projections.strands(id);
  const folded = foldStrands(strands, { house, at, knownAt: at });
  const profile = profileById(house.profile, house.profiles);
  const added = folded.flatMap(({ chain }) =>
    chain.flatMap(({ cures, acids, dressings }) => [
      ...[...cures, ...acids].flatMap(({ plan }) => plan.allergens),
      ...dressings.flatMap((dressing) => dressing.allergens)
    ])
  );
  return once([...folded.flatMap(({ lot }) => allergensOfLot(lot, house)), ...allergensAdded(added, profile)]);
}

/** What is declared with something served: its allergens, and for a raw route the notice on the card. */
export function declarations(store: Store, piece: string, house: HouseState, route: string) {
  return {
    allergens: allergensOfPiece(store, piece, house).map(({ allergen }) => allergen),
    notice: (RAW_ROUTES as readonly string[]).includes(route) ? noticeOf(house) : ''
  };
}

/** The raw-food notice in force: the house's words, or the shipped ones of its profile. */
export function noticeOf(house: HouseState): string {
  const profile = profileById(house.profile, house.profiles);
  return house.notice?.text ?? noticeText(profile.house?.base ?? profile.id);
}
