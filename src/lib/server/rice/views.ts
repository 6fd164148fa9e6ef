import { HOUR } from '../../core/measure/spans.ts';
import { z } from 'zod';
import { riceRule, tubEnd } from '../../core/activity/rice/clock.ts';
import type { TubState } from '../../core/activity/rice/fold.ts';
import { tubs } from '../../core/activity/rice/subject.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import type { HouseState } from '../../core/record/house.ts';
import { riceLabel } from '../../words/rice-label.ts';
import { allTubs, toldOfTub } from '../facts/rice.ts';
import { query } from '../queries/query.ts';
import { type Room } from '../room.ts';
import type { Store } from '../store/store.ts';

const rulesOf = ({ profile, profiles }: HouseState) => profileById(profile, profiles);

/** A tub with its end, and what its dressing makes to be told. */
function tubShown(tub: TubState, house: HouseState) {
  return { ...tub, discardAt: tubEnd(tub, rulesOf(house)), told: toldOfTub(tub, house) };
}
export type TubShown = ReturnType<typeof tubShown>;

/** Tubs still here, the first to be binned first; and those of the last day that were. */
export function riceView({ store, clock }: Room) {
  const house = store.projections.currentHouse();
  const since = Math.max(clock.now(), store.record.head().recorded) - 24 * HOUR;
  const all = allTubs(store).map((tub) => tubShown(tub, house));
  return {
    rule: riceRule(rulesOf(house)),
    tubs: all.filter(({ live }) => live).sort((a, b) => a.discardAt - b.discardAt),
    binned: all
      .filter(({ binned }) => binned !== null && binned.at >= since)
      .sort((a, b) => b.binned!.at - a.binned!.at)
  };
}

export const riceQuery = query({
  name: 'rice',
  path: 'rice',
  summary: 'Tubs of rice: when each was dressed, how it cooled, when it is to be binned, and the rule it stands under.',
  input: z.object({}),
  run: (room) => riceView(room)
});

/** What stands on the label of a tub. */
export function tubLabel(store: Store, id: string) {
  const house = store.projections.currentHouse();
  return riceLabel(tubShown(store.projections.subjects.get<TubState>(tubs, id), house), house);
}
