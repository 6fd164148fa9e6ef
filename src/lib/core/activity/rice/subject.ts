import { profileById } from '../../codes/profiles/index.ts';
import type { HouseState } from '../../record/house.ts';
import { subjectKind } from '../../service/subject.ts';
import { tubEnd } from './clock.ts';
import { foldTub, type TubState } from './fold.ts';

const endOf = (tub: TubState, { profile, profiles }: HouseState) => tubEnd(tub, profileById(profile, profiles));

/** Tubs of dressed rice: one clock a tub, then the bin. */
export const tubs = subjectKind({
  kind: 'tub',
  fold: foldTub,
  path: (id) => `/rice?tub=${id}`,
  window: (tub: TubState, house) => ({ opens: tub.madeAt, closes: endOf(tub, house) }),
  codes: ['rice-discard'],
  tasks: (tub, house) =>
    tub.live ? [{ code: 'rice-discard', at: endOf(tub, house), piece: tub.id, seen: { name: tub.name } }] : [],
  steps: (tub, house) => [
    { kind: 'rice', from: tub.madeAt, to: tub.binned?.at ?? endOf(tub, house), seen: { name: tub.name } }
  ]
});
