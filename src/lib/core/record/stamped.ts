import type { RecordEvent } from './events.ts';

/** Something that happened, with the entry it stands on. */
export interface Stamped {
  readonly seq: number;
  readonly at: number;
  readonly by: string;
}
export const stamp = (event: RecordEvent): Stamped => ({ seq: event.seq, at: event.happened, by: event.actor });

/** A core as it was typed. */
export type Core = { readonly si: number; readonly unit: string; readonly typed: string };

export interface Reading extends Stamped {
  readonly celsius: number;
  readonly unit: string;
  readonly typed: string;
}
export const asReading = (event: RecordEvent, reading: Core): Reading => ({
  ...stamp(event),
  celsius: reading.si,
  unit: reading.unit,
  typed: reading.typed
});

/** A figure that was typed wrong and mended. */
export interface Correction extends Stamped {
  readonly amendedBy: readonly number[];
  readonly was: string;
  readonly now: string;
}
/** The temperature an entry gives, as it was typed; null for an entry that gives none. */
function typedIn(body: unknown): string | null {
  const { reading, core } = body as { reading?: Core; core?: Core | null };
  return (reading ?? core)?.typed ?? null;
}
/** What an amendment changed of a temperature; null where it changed none. */
export function correctionOf(event: RecordEvent): Correction | null {
  if (!event.was || !event.amendedBy) return null;
  const [was, now] = [typedIn(event.was), typedIn(event.body)];
  if (was === now) return null;
  return { ...stamp(event), amendedBy: event.amendedBy, was: was ?? '', now: now ?? '' };
}
