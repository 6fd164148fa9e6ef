import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { dirname } from 'node:path';
import { EmberError } from '../../core/errors.ts';
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
  store.db
    .transaction(() => {
      const body = { headSeq: head.seq, headHash: head.hash, file: to.split(/[\\/]/).at(-1) ?? to };
      store.record.append(
        [draft('backup.made', 'house-backup', at, body)],
        'system',
        Math.max(at, store.record.head().recorded)
      );
    })
    .immediate();
  return head;
}

/**
 * Puts a copy in the place of the record, if the copy verifies. What stood there is kept beside it under a new name.
 *
 * @param from the copy
 * @param to where the record lives; nobody may have it open
 * @param setAside name for what is there now
 * @returns the head of the restored record
 */
export async function restore(from: string, to: string, setAside: string, at: number): Promise<Head> {
  if (!existsSync(from)) throw new EmberError('record.not-found', { field: 'file', seen: from });
  mkdirSync(dirname(to), { recursive: true });
  const fresh = `${to}.restoring`;
  rmSync(fresh, { force: true });
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
  if (!result.ok) {
    rmSync(fresh, { force: true });
    throw new EmberError('record.body-invalid', { field: 'file', seen: result.trouble ?? '' });
  }
  for (const ending of ['', '-wal', '-shm']) {
    if (existsSync(to + ending)) renameSync(to + ending, setAside + ending);
  }
  for (const ending of ['-wal', '-shm']) rmSync(fresh + ending, { force: true });
  renameSync(fresh, to);
  return head;
}
