import type { ErrorCode, ErrorDetails } from '../errors.ts';
import type { BodyOf } from '../record/events.ts';

/** A logger's file on its way in, as whoever waits for it is told. */
export interface ImportJob {
  readonly id: string;
  readonly name: string;
  readonly size: number;
  state: 'ready' | 'reading' | 'keeping' | 'done' | 'stopped' | 'failed';
  bytes: number;
  rows: number;
  /** Readings kept so far, and how many of the file were known before. */
  kept: number;
  known: number;
  report: Omit<BodyOf<'log.imported'>, 'file' | 'bytes' | 'contentHash' | 'mapping' | 'stopped'> | null;
  trouble: { readonly code: ErrorCode; readonly details: ErrorDetails } | null;
}
