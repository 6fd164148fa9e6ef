import { z } from 'zod';
import { optionalQuantity, pieceId, quantity } from '../../core/fields/field.ts';

export const DEPTH_STATIONS = [0, 1, 2, 3, 4, 5, 6] as const;

export const depthFields = z.object({
  piece: pieceId,
  length: quantity('length', { min: 10, max: 3000 }),
  ...(Object.fromEntries(
    DEPTH_STATIONS.map((station) => [
      `t${station}`,
      optionalQuantity('length', { min: 1, max: 400 }).describe(`thickness at ${station} sixths of its length`)
    ])
  ) as Record<`t${(typeof DEPTH_STATIONS)[number]}`, ReturnType<typeof optionalQuantity>>)
});

/** The points a person gave, thick end first or last, as they lie. */
export const depthPoints = (input: z.infer<typeof depthFields>) => ({
  lengthMm: input.length.si,
  points: DEPTH_STATIONS.flatMap((station) => {
    const thickness = input[`t${station}`];
    return thickness ? [{ at: (input.length.si * station) / 6, mm: thickness.si }] : [];
  })
});
