import type { Db } from './open.ts';
import type { Draft } from './record.ts';

/** How a file that stays unfinished is closed: what is written of it, by whom, and the places whose pieces are judged anew. */
export interface Closing {
  readonly actor: string;
  readonly events: readonly Draft[];
  readonly places: readonly string[];
}

/** Files whose readings are being kept. A row goes in with the first of them, and out with the entry that closes the file. */
export function openUnfinished(db: Db) {
  const known = db.prepare<[], { n: number }>(
    `SELECT count(*) AS n FROM sqlite_master WHERE type = 'table' AND name = 'unfinished_imports'`
  );
  if (known.get()!.n === 0) {
    // A record of an older version, opened for reading.
    return { list: () => [], has: () => false, put: () => undefined, drop: () => undefined };
  }
  const put = db.prepare<[string, string, number]>(
    'INSERT INTO unfinished_imports (id, closing, since) VALUES (?, ?, ?)'
  );
  const drop = db.prepare<[string]>('DELETE FROM unfinished_imports WHERE id = ?');
  const has = db.prepare<[string], { id: string }>('SELECT id FROM unfinished_imports WHERE id = ?');
  const all = db.prepare<[], { id: string; closing: string }>(
    'SELECT id, closing FROM unfinished_imports ORDER BY since, id'
  );
  return {
    list: (): { readonly id: string; readonly closing: Closing }[] =>
      all.all().map(({ id, closing }) => ({ id, closing: JSON.parse(closing) as Closing })),
    has: (id: string): boolean => has.get(id) !== undefined,
    put: (id: string, closing: Closing, at: number): void => void put.run(id, JSON.stringify(closing), at),
    drop: (id: string): void => void drop.run(id)
  };
}
