export const THAW_METHOD_IDS = ['cold', 'water'] as const;

/** Reduced-oxygen packed: no, or opened for the thaw, or left closed. */
export const PACK_STATES = ['none', 'opened', 'closed'] as const;
