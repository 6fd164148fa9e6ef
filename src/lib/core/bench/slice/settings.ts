import type { SliceSet } from '../../activity/slice/plan.ts';
import { cutBlock } from './geometry.ts';

/**
 * The cut of a block as a person set it: the one way there, for the board, the preview and the deed alike.
 *
 * @throws EmberError `quantity.out-of-range`
 */
export function cutFor(input: SliceSet) {
  const angle = input.cut === 'straight' ? 90 : input.angle;
  return cutBlock(
    { length: input.length.si, height: input.height.si, width: input.width.si },
    angle,
    input.thickness.si
  );
}
