/** Under which a tablet keeps whether the scale at its side is read by itself: it is the tablet's own habit, not the house's. */
export const SCALE_BY_ITSELF = 'ember-scale-by-itself';
