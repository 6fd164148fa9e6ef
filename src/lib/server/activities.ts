import type { ServerActivity } from './activity.ts';

/** Every activity that keeps subjects of its own. */
export const ACTIVITIES: readonly ServerActivity[] = [];
