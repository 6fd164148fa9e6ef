/** The cuts there are, and what they are for: words of the record, which the bench looks up in `bench/slice/styles.ts`. */

export const STYLE_IDS = ['straight', 'oblique', 'translucent', 'strips', 'cubes', 'ripple', 'scored', 'bias'] as const;
export type StyleId = (typeof STYLE_IDS)[number];

/** What the pieces are for. */
export const PURPOSES = ['topping', 'plate', 'thin', 'dressed'] as const;
export type Purpose = (typeof PURPOSES)[number];

/** How an edge is brought back. */
export const SHARPENINGS = ['stone', 'touched-up', 'sent-out'] as const;
