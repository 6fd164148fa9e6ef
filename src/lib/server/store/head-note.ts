import { closeSync, existsSync, fdatasyncSync, openSync, readFileSync, writeSync } from 'node:fs';
import { sha256 } from './open.ts';

/** The newest entry that is known to have been written: its number, and its hash. */
export interface HeadNote {
  readonly seq: number;
  readonly hash: string;
}

/** Two lines, written in turn: a line torn by a power cut leaves the one before it whole. */
const LINES = 2;
/** Letters: a number of 16 digits, a hash, a check of 16, spaces, a line's end. */
const LINE_BYTES = 112;

/** What the note's file is called, after the name of its database. */
export const HEAD_ENDING = '-head';
/** Where the note of a database lies: beside it, in a file of its own. */
export const headFileOf = (database: string): string => database + HEAD_ENDING;

const checkOf = ({ seq, hash }: HeadNote): string => sha256(`head ${seq} ${hash}`).slice(0, 16);
const lineOf = (note: HeadNote): string =>
  `${note.seq} ${note.hash} ${checkOf(note)}`.padEnd(LINE_BYTES - 1, ' ').concat('\n');

/** A line as it was written; null for anything else. */
function noteIn(line: string): HeadNote | null {
  const [number, hash, check] = line.trim().split(' ');
  const note = { seq: Number(number), hash: hash ?? '' };
  return Number.isSafeInteger(note.seq) && note.seq > 0 && checkOf(note) === check ? note : null;
}

/** What the note beside a database says; null where there is none that can be read. */
export function readHead(database: string): HeadNote | null {
  const file = headFileOf(database);
  if (!existsSync(file)) return null;
  const text = readFileSync(file, 'latin1');
  return Array.from({ length: LINES }, (_, line) => noteIn(text.slice(line * LINE_BYTES, (line + 1) * LINE_BYTES)))
    .filter((note): note is HeadNote => note !== null)
    .reduce<HeadNote | null>((last, note) => (last && last.seq > note.seq ? last : note), null);
}

/** Writes in one line of the note, and waits until the disk has it. */
function put(database: string, line: number, text: string): void {
  const file = headFileOf(database);
  const handle = openSync(file, existsSync(file) ? 'r+' : 'w', 0o600);
  try {
    writeSync(handle, text, line * LINE_BYTES, 'latin1');
    fdatasyncSync(handle);
  } finally {
    closeSync(handle);
  }
}

/** Notes the newest entry. Call once what it names is committed, never before. */
export const noteHead = (database: string, note: HeadNote): void => put(database, note.seq % LINES, lineOf(note));

/** Notes another record's newest entry, of which what was noted before knows nothing: after a restore, or once a loss is owned up to. */
export function renoteHead(database: string, note: HeadNote): void {
  const line = note.seq === 0 ? ' '.repeat(LINE_BYTES - 1).concat('\n') : lineOf(note);
  put(database, 0, line.repeat(LINES));
}
