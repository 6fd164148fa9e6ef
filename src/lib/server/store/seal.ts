import { createHash, createHmac, randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { z } from 'zod';
import { writeDurably } from './durable.ts';
import type { HeadNote } from './head-note.ts';

/**
 * The house's seal: a key, and the last entry it was told of. It lies beside the folder of the house and not in it, so that whoever
 * can write in the folder alone cannot make another ledger look like this one.
 */
const sealSchema = z.object({
  key: z.string().min(40),
  /** The first signing it sealed: every later one has to bear it. 0 for none yet. */
  since: z.number().int(),
  last: z.object({ seq: z.number().int(), hash: z.string() }).nullable()
});
type Kept = z.infer<typeof sealSchema>;

/** Entries after which it is told of the newest again, signings apart. */
const EVERY = 50;

/** Where the seal of a record lies, where nobody says otherwise. */
export const sealFileOf = (database: string): string => `${dirname(database)}.seal`;

function readSeal(file: string): Kept | null {
  if (!existsSync(file)) return null;
  const parsed = sealSchema.safeParse(JSON.parse(readFileSync(file, 'utf8')));
  return parsed.success ? parsed.data : null;
}

/** What a signing bears: whose key it is, and the key's word on the head that is signed. */
const wordOf = (key: string, day: string, { seq, hash }: HeadNote): string => {
  const mark = createHash('sha256').update(`seal ${key}`).digest('hex').slice(0, 8);
  return `${mark}:${createHmac('sha256', key).update(`${day} ${seq} ${hash}`).digest('hex')}`;
};

/** The newest entry that the seal in a file was told of; null where there is none, or none that can be read. */
export function lastSealed(file: string): HeadNote | null {
  try {
    return readSeal(file)?.last ?? null;
  } catch {
    return null;
  }
}

/** A seal that is open, or the one in a file, made where there is none and the disk lets it; null where it does not. */
export function sealOrNone(seal: string | Seal): Seal | null {
  try {
    return typeof seal === 'string' ? openSeal(seal) : seal;
  } catch {
    return null;
  }
}

/** Opens the seal in a file, and makes one where there is none. */
export function openSeal(file: string) {
  let kept: Kept = readSeal(file) ?? { key: randomBytes(32).toString('base64url'), since: 0, last: null };
  function put(next: Kept): void {
    kept = next;
    writeDurably(file, JSON.stringify(next));
  }
  if (!existsSync(file)) put(kept);
  return {
    last: (): HeadNote | null => kept.last,
    since: (): number => kept.since,
    /** Its word on a head, for the signing of a day. */
    word: (day: string, head: HeadNote): string => wordOf(kept.key, day, head),
    /** Whether a word is its own on that head. */
    holds: (word: string | null, day: string, head: HeadNote): boolean => word === wordOf(kept.key, day, head),
    /** Tells it of the newest entry; it listens now and then, and at every signing. */
    tell(head: HeadNote, signedAt: number | null): void {
      const isDue = signedAt !== null || !kept.last || head.seq - kept.last.seq >= EVERY;
      if (!isDue || head.seq === 0) return;
      put({ ...kept, since: kept.since === 0 && signedAt !== null ? signedAt : kept.since, last: { ...head } });
    },
    /** Tells it of another record's newest entry: after a restore, or once a loss is owned up to. */
    tellAnew(head: HeadNote): void {
      put({ ...kept, last: head.seq === 0 ? null : { ...head }, since: 0 });
    }
  };
}
export type Seal = ReturnType<typeof openSeal>;

/** After a restore: a seal that is there is told of the head that was put in place. */
export function tellSealAnew(file: string, head: HeadNote): void {
  if (existsSync(file)) openSeal(file).tellAnew(head);
}
