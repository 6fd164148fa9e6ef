/** Words an entry may use. A list that grows makes a new version of every shape that holds it. */

export const CUTS = ['dice', 'brick', 'slice', 'cylinder', 'fillet'] as const;

export type AcidCut = (typeof CUTS)[number];

/** By how far the rim has come. */
export const SET_POINTS = ['kissed', 'rimmed', 'half', 'nearly', 'set'] as const;

export type SetPoint = (typeof SET_POINTS)[number];
