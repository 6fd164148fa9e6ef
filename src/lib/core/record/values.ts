import { z } from 'zod';

/** What many shapes of entries are made of. */

export const finite = z.number().finite();

export const typedValue = z.object({ si: finite, unit: z.string(), typed: z.string() });

/** Versions of everything a decision leaned on. */
export const pins = z.object({ profile: z.string(), catalogue: z.string(), model: z.string() });

export const band = z.object({ low: finite, likely: finite, high: finite });

export const warmthPoint = z.object({ seconds: finite, celsius: finite });

/** Which tablet said it, as far as one is known; older entries and programs have none. */
export const tablet = z.string().max(40).optional();
