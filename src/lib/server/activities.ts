import type { ServerActivity } from './activity.ts';
import { rice } from './rice/index.ts';

/** Every activity that keeps subjects of its own. */
export const ACTIVITIES: readonly ServerActivity[] = [rice];
