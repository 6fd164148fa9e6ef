/** Spans of time in milliseconds, as instants are counted. */
export const MINUTE = 60_000;
export const HOUR = 60 * MINUTE;
export const DAY = 24 * HOUR;
/** An hour in seconds, as models count. */
export const HOUR_SECONDS = 3600;
