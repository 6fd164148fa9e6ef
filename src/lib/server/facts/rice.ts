import { tubEnd } from '../../core/activity/rice/clock.ts';
import type { TubState } from '../../core/activity/rice/fold.ts';
import { tubs } from '../../core/activity/rice/subject.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import { toldTogether, type Told } from '../../core/ingredients/ingredient.ts';
import { toldOfLines } from '../../core/ingredients/kitchen.ts';
import type { HouseState } from '../../core/record/house.ts';
import { UNSAID } from '../../words/notices.ts';
import type { Store } from '../store/store.ts';

/** Every tub of rice there ever was. */
export const allTubs = (store: Store): TubState[] =>
  store.projections.subjects
    .all()
    .filter(({ kind }) => kind.kind === tubs.kind)
    .map(({ state }) => state as TubState);

/** What a tub's dressing makes to be told; asked after where nobody said what is in it. */
export function toldOfTub({ made, madeAt }: TubState, house: HouseState): Told {
  const told = toldOfLines(house.ingredients, made.dressing, madeAt);
  return made.dressing.length === 0 ? { ...told, unsaid: [...told.unsaid, UNSAID.riceDressing] } : told;
}

/** Rice that may go onto a plate at a moment: when the last tub has to go, and what is in them all; null where there is none. */
export interface RiceNow {
  readonly until: number | null;
  readonly told: Told;
}
/** Rice as the tubs inside their clocks have it. */
export function riceNow(store: Store, house: HouseState, now: number): RiceNow {
  const profile = profileById(house.profile, house.profiles);
  const open = allTubs(store).filter((tub) => tub.live && tub.madeAt <= now && now < tubEnd(tub, profile));
  return {
    until: open.length === 0 ? null : Math.max(...open.map((tub) => tubEnd(tub, profile))),
    // Without a tub nobody knows what the next one is dressed with.
    told: open.length === 0 ? NO_TUB : toldTogether(open.map((tub) => toldOfTub(tub, house)))
  };
}
export const NO_TUB: Told = { holds: [], mayHold: [], unsaid: [UNSAID.riceDressing] };
