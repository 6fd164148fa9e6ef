import { closeSync, fsyncSync, openSync, renameSync, writeSync } from 'node:fs';
import { dirname } from 'node:path';

/** Waits until the disk has a folder's list of names. */
function syncFolder(folder: string): void {
  const handle = openSync(folder, 'r');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}

/** Writes a small file whole or not at all, and waits until the disk has it. */
export function writeDurably(file: string, text: string): void {
  const partial = `${file}.partial`;
  const handle = openSync(partial, 'w', 0o600);
  try {
    writeSync(handle, text);
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
  renameSync(partial, file);
  syncFolder(dirname(file));
}
