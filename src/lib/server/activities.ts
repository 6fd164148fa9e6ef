import type { ServerActivity } from './activity.ts';
import { rice } from './rice/index.ts';

/** Every activity that keeps subjects of its own. */
const EACH = [rice] as const;
export const ACTIVITIES: readonly ServerActivity[] = EACH;
/** What they bring, with the types of what is answered. */
export type Brought = (typeof EACH)[number];
