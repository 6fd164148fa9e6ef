import { existsSync, readFileSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { writeDurably } from './durable.ts';
import { HEAD_ENDING, readHead, renoteHead } from './head-note.ts';
import { lastSealed, sealFileOf, tellSealAnew } from './seal.ts';
import { DATABASE_FILE } from './open.ts';

/** What a restore is about to do, written down before it does it: whoever finds it finishes the work. */
const restoreSchema = z.object({
  fresh: z.string(),
  setAside: z.string(),
  head: z.object({ seq: z.number(), hash: z.string() })
});
export type RestorePlan = z.infer<typeof restoreSchema>;

const PLAN_FILE = 'ember-tide.restore.json';
const planFileOf = (database: string): string => join(dirname(database), PLAN_FILE);

/**
 * Sets the record aside and puts the verified copy in its place. Each step may be the last before a power cut: done again
 * from the plan, it comes to the same.
 */
export function carryOut(database: string, plan: RestorePlan, seal = sealFileOf(database)): void {
  writeDurably(planFileOf(database), JSON.stringify(plan));
  finishRestore(database, seal);
}

/** Finishes a restore that was stopped between its renames. Hands back whether there was one. */
export function finishRestore(database: string, seal = sealFileOf(database)): boolean {
  const file = planFileOf(database);
  if (!existsSync(file)) return false;
  const { fresh, setAside, head } = restoreSchema.parse(JSON.parse(readFileSync(file, 'utf8')));
  // The copy goes last: while it still waits, what lies in its place is the record that is set aside.
  if (existsSync(fresh)) {
    for (const ending of ['-shm', '-wal', HEAD_ENDING, '']) {
      if (existsSync(database + ending)) renameSync(database + ending, setAside + ending);
    }
    renameSync(fresh, database);
  }
  renoteHead(database, head);
  tellSealAnew(seal, head);
  rmSync(file, { force: true });
  return true;
}

/** Leftovers of work that was cut off: half a copy, a restore that had not begun to rename. */
const LEFTOVER = /^ember-tide.*\.(restoring|partial)(-wal|-shm|-journal|-head)?$/;

/**
 * Puts a folder in order at the start: call with its lock held, before the database is opened.
 *
 * @throws EmberError `store.gone` where a record was here and is not: an empty one is never put in its place
 */
export function settleFolder(folder: string, given?: string): void {
  const database = join(folder, DATABASE_FILE);
  const seal = given ?? sealFileOf(database);
  finishRestore(database, seal);
  const missing = !existsSync(database) || statSync(database).size === 0;
  if (missing && (readHead(database) ?? lastSealed(seal))) throw new EmberError('store.gone', { seen: database });
  for (const within of [folder, join(folder, 'backups')]) {
    if (!existsSync(within)) continue;
    for (const name of readdirSync(within)) if (LEFTOVER.test(name)) rmSync(join(within, name), { force: true });
  }
}
