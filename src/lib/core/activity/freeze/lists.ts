export const AIR_CLASS_IDS = ['still', 'fan', 'blast', 'plate', 'bath'] as const;

export const PACKING_IDS = ['bare', 'film', 'boxed'] as const;

export const SHAPE_IDS = ['slab', 'cylinder', 'sphere'] as const;

/** How a load lies: each alone with air round it, on each other in one block, or nobody said. */
export const LIE_IDS = ['apart', 'stacked', 'unknown'] as const;
