import { DEFAULT_PREFERENCES } from '../src/lib/core/measure/units.ts';
import { speaksAs, type Speech } from '../src/lib/words/speech.ts';

/** Runs something as whoever is spoken with hears it. */
export function heard<T>(by: Partial<Speech>, run: () => T): T {
  const speech: Speech = { locale: 'en-GB', zone: 'UTC', units: DEFAULT_PREFERENCES, ...by };
  speaksAs(() => speech);
  try {
    return run();
  } finally {
    speaksAs(() => undefined);
  }
}
