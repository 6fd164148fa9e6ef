import { speciesIn } from '../../core/fish/house-species.ts';
import type { HouseState } from '../../core/record/house.ts';
import type { LotState } from '../../core/record/lot.ts';
import {
  allergensAdded,
  allergensOf,
  namesOf,
  type AllergenDuty,
  type ToldOfPiece
} from '../../core/codes/allergens.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import { toldTogether, type Told } from '../../core/ingredients/ingredient.ts';
import { foldLineages } from '../../core/rules/verdict.ts';
import type { Route } from '../../core/codes/window.ts';
import { disclosure, noticeText } from '../../words/notices.ts';
import type { Store } from '../store/store.ts';

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
  const lineages = store.projections.lineages(id);
  const folded = foldLineages(lineages, { house, at, knownAt: at });
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

/** What a card says of a piece: its kind, and what of an animal was put on it raw. */
export function cardOf(store: Store, piece: string, house: HouseState): { kind: string; raw: readonly string[] } {
  const folded = foldLineages(store.projections.lineages(piece), { house, at: Infinity, knownAt: Infinity });
  const raw = folded.flatMap(({ chain }) =>
    chain.flatMap(({ dressings }) => dressings.flatMap((each) => each.raw ?? []))
  );
  return {
    kind: kindsOf(
      folded.map(({ lot }) => lot),
      house
    ),
    raw: [...new Set(raw)]
  };
}
/** Kinds of fish in a piece by name; what nobody told apart is a fish. */
function kindsOf(lots: readonly LotState[], house: HouseState): string {
  const names = lots.map((lot) => (lot.species.length === 1 ? speciesIn(house.species, lot.species[0]!).name : 'fish'));
  return [...new Set(names)].join(' and ');
}

/** What is declared with something served: its allergens, and for a raw route the notice on the card. */
export function declarations(store: Store, piece: string, house: HouseState, route: Route, dish = '') {
  const { kind, raw } = cardOf(store, piece, house);
  const said = disclosure(dish, kind, route, raw);
  return {
    ...toldBody(namesOf(toldOfPiece(store, piece, house))),
    notice: said === '' ? '' : `${said}\n${noticeOf(house)}`
  };
}

/** The raw-food notice in force: the house's words, or the shipped ones of its profile. */
export function noticeOf(house: HouseState): string {
  const profile = profileById(house.profile, house.profiles);
  const text = house.notice?.text ?? noticeText(profile.house?.base ?? profile.id);
  // It is the line that the mark of a dish leads to.
  return text.startsWith('*') ? text : `* ${text}`;
}
