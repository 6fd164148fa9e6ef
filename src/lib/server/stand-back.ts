import { readlinkSync } from 'node:fs';
import { constants, setPriority } from 'node:os';
import { basename } from 'node:path';

/**
 * Lets the thread it is called in work only while nobody waits for an answer. Where the system knows no priority of a thread, it
 * stays as it is.
 */
export function standBack(): void {
  try {
    // Linux gives each thread a number of its own, and a priority by it.
    setPriority(Number(basename(readlinkSync('/proc/thread-self'))), constants.priority.PRIORITY_LOW);
  } catch {
    // Not Linux, or not allowed: printing takes its share then.
  }
}
