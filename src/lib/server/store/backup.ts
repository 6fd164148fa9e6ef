import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { dirname } from 'node:path';
import { EmberError } from '../../core/errors.ts';
import { carryOut, finishRestore } from './folder.ts';
import { HEAD_ENDING } from './head-note.ts';
import { sealFileOf } from './seal.ts';
import { lockFolder } from './lock.ts';
import { draft, type Head } from './record.ts';
import { openStore, type Store } from './store.ts';
import { verify } from './verify.ts';

/**
 * Copies the record while it is in use, then writes down in it where the copy's head stands.
 *
 * @param to file of the copy; must not exist yet
 * @returns the head the copy ends with
 */
export async function backUp(store: Store, to: string, at: number): Promise<Head> {
  if (existsSync(to)) throw new EmberError('form.value-unknown', { field: 'file', seen: to, taken: true });
  mkdirSync(dirname(to), { recursive: true });
  const partial = `${to}.partial`;
  rmSync(partial, { force: true });
  await store.db.backup(partial);
  renameSync(partial, to);
  const copy = openStore(to, { readonly: true });
  const head = copy.record.head();
  copy.close();
  const body = { headSeq: head.seq, headHash: head.hash, file: to.split(/[\\/]/).at(-1) ?? to };
  store.transact(() =>
    store.record.append(
      [draft('backup.made', 'house-backup', at, body)],
      'system',
      Math.max(at, store.record.head().recorded)
    )
  );
  return head;
}

/**
 * The numbers of the entries that stand in the record and not in a copy: what putting the copy in its place would undo.
 *
 * @param from the copy
 * @param to where the record lives; nothing there drops nothing
 * @throws EmberError `record.not-found` for the copy
 */
export function droppedBy(from: string, to: string): number[] {
  if (!existsSync(to)) return [];
  if (!existsSync(from)) throw new EmberError('record.not-found', { field: 'file', seen: from });
  const [copy, now] = [openStore(from, { readonly: true }), openStore(to, { readonly: true })];
  try {
    return [...now.record.iterate()]
      .filter(({ seq, hash }) => copy.record.row(seq)?.hash !== hash)
      .map(({ seq }) => seq);
  } finally {
    copy.close();
    now.close();
  }
}

/** A copy beside the record that verifies, and the head it ends with. */
async function freshCopy(from: string, fresh: string, at: number): Promise<Head> {
  const copy = openStore(from, { readonly: true });
  try {
    await copy.db.backup(fresh);
  } finally {
    copy.close();
  }
  const checked = openStore(fresh);
  const result = verify(checked, at);
  const head = checked.record.head();
  checked.close();
  const leftovers = result.ok ? ['-wal', '-shm', HEAD_ENDING] : ['', '-wal', '-shm', HEAD_ENDING];
  for (const ending of leftovers) rmSync(fresh + ending, { force: true });
  if (!result.ok) throw new EmberError('record.body-invalid', { field: 'file', seen: result.trouble ?? '' });
  return head;
}

/**
 * Puts a copy in the place of the record, if the copy verifies. What stood there is kept beside it under a new name. Cut off at
 * any point, the folder holds the record as it was, or is finished at the next start.
 *
 * @param from the copy
 * @param to where the record lives
 * @param setAside name for what is there now
 * @param seal where the house's seal lies
 * @returns the head of the restored record
 * @throws EmberError `store.in-use` where somebody has the record open; `record.not-found`, `record.body-invalid` for the copy
 */
export async function restore(
  from: string,
  to: string,
  setAside: string,
  at: number,
  seal = sealFileOf(to)
): Promise<Head> {
  if (!existsSync(from)) throw new EmberError('record.not-found', { field: 'file', seen: from });
  const unlock = lockFolder(dirname(to));
  try {
    finishRestore(to, seal);
    const fresh = `${to}.restoring`;
    rmSync(fresh, { force: true });
    const head = await freshCopy(from, fresh, at);
    carryOut(to, { fresh, setAside, head: { seq: head.seq, hash: head.hash } }, seal);
    return head;
  } finally {
    unlock();
  }
}
