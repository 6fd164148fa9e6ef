import { z } from 'zod';
import { cutBlock } from '../../core/bench/slice/geometry.ts';
import { numeric, quantity } from '../input/fields.ts';

export const slicePlan = z.object({
  cut: z.enum(['straight', 'oblique']),
  length: quantity('length', { min: 5, max: 1000 }),
  height: quantity('length', { min: 3, max: 200 }),
  width: quantity('length', { min: 5, max: 400 }),
  thickness: quantity('length', { min: 0.5, max: 60 }),
  angle: numeric(15, 90).default(90)
});

/** The cut as the core computes it from what a person set. */
export function cutFor(input: z.infer<typeof slicePlan>) {
  const angle = input.cut === 'straight' ? 90 : input.angle;
  return cutBlock(
    { length: input.length.si, height: input.height.si, width: input.width.si },
    angle,
    input.thickness.si
  );
}
