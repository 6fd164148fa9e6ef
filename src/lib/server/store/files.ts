import { fileTypeFromBuffer } from 'file-type';
import { EmberError } from '../../core/errors.ts';
import { DAY } from '../../core/measure/spans.ts';
import { sha256, type Db } from './open.ts';

/** Kinds of file a paper may be. The kind is read off the bytes; the name and the sender's word only have to agree. */
export const FILE_TYPES: Readonly<Record<string, readonly string[]>> = {
  'application/pdf': ['pdf'],
  'image/jpeg': ['jpg', 'jpeg', 'jfif'],
  'image/png': ['png']
};
export const FILE_BYTES = 10 * 1024 * 1024;
/** How much may lie here that no entry names, and for how long. */
export const UNNAMED_BYTES = 100 * 1024 * 1024;
const UNNAMED_MS = DAY;

export interface KeptFile {
  readonly hash: string;
  readonly type: string;
  readonly bytes: number;
}

/**
 * What a file really is, by its first bytes.
 *
 * @param claimed the type the sender gave, and the file's name; both may be empty
 * @throws EmberError `file.too-large`, `file.empty`, `file.type-refused`, `file.type-lies`
 */
export async function sniff(
  content: Uint8Array,
  claimed: { readonly type: string; readonly name: string }
): Promise<string> {
  if (content.length === 0) throw new EmberError('file.empty', { field: 'file' });
  if (content.length > FILE_BYTES) {
    throw new EmberError('file.too-large', { field: 'file', unit: 'bytes', max: FILE_BYTES, seen: content.length });
  }
  const real = (await fileTypeFromBuffer(content))?.mime ?? 'unknown';
  const extensions = FILE_TYPES[real];
  const said = claimed.type.split(';')[0]!.trim().toLowerCase();
  const ending = /\.([a-z0-9]+)$/i.exec(claimed.name)?.[1]?.toLowerCase();
  const neutral = said === '' || said === 'application/octet-stream';
  const lies =
    (!neutral && said !== real && !(said === 'image/jpg' && real === 'image/jpeg')) ||
    (ending !== undefined && !(extensions ?? []).includes(ending));
  if (lies && (FILE_TYPES[said] || extensions || Object.values(FILE_TYPES).some((all) => all.includes(ending ?? '')))) {
    throw new EmberError('file.type-lies', { field: 'file', seen: claimed.name || said, real });
  }
  if (!extensions) throw new EmberError('file.type-refused', { field: 'file', seen: real });
  return real;
}

/** Files by their hash: the same paper given twice is kept once. */
export function openFiles(db: Db) {
  const exists = db
    .prepare<[], { n: number }>(`SELECT count(*) AS n FROM sqlite_master WHERE type = 'table' AND name = 'files'`)
    .get()!.n;
  if (exists === 0) {
    // A record of an older version opened read-only: it has no files.
    return {
      get: () => null,
      content: () => null,
      put: () => ({ hash: '', fresh: false }),
      drop: () => undefined,
      check: () => null
    };
  }
  const put = db.prepare<[string, string, number, Uint8Array, number]>(
    'INSERT INTO files (hash, type, bytes, content, kept) VALUES (?, ?, ?, ?, ?) ON CONFLICT (hash) DO NOTHING'
  );
  const all = db.prepare<[], { hash: string; bytes: number; kept: number }>('SELECT hash, bytes, kept FROM files');
  const get = db.prepare<[string], KeptFile>('SELECT hash, type, bytes FROM files WHERE hash = ?');
  const content = db.prepare<[string], { content: Buffer }>('SELECT content FROM files WHERE hash = ?');
  const drop = db.prepare<[string]>('DELETE FROM files WHERE hash = ?');
  const noted = db.prepare<[], { seq: number; body: string }>(
    `SELECT seq, body FROM events WHERE kind IN ('evidence.attached', 'document.filed') ORDER BY seq`
  );
  /** The hashes that entries name. */
  const hashOf = (body: string) => (JSON.parse(body) as { file?: { hash: string } | null }).file?.hash;
  function unnamed() {
    const known = new Set([...noted.iterate()].map(({ body }) => hashOf(body)));
    return all.all().filter(({ hash }) => !known.has(hash));
  }
  return {
    get: (hash: string): KeptFile | null => get.get(hash) ?? null,
    content: (hash: string): Buffer | null => content.get(hash)?.content ?? null,
    /**
     * Keeps a file whose type is known. `fresh` where it was not here before. What was kept for a day and no entry came to name
     * goes then.
     *
     * @throws EmberError `file.none-names-them` where too much of that lies here already
     */
    put(bytes: Uint8Array, type: string, at: number): { hash: string; fresh: boolean } {
      const hash = sha256(bytes);
      if (get.get(hash)) return { hash, fresh: false };
      const waiting = unnamed();
      for (const each of waiting) if (at - each.kept > UNNAMED_MS) drop.run(each.hash);
      const lying = waiting.filter(({ kept }) => at - kept <= UNNAMED_MS).reduce((sum, each) => sum + each.bytes, 0);
      if (lying + bytes.length > UNNAMED_BYTES) {
        throw new EmberError('file.none-names-them', { field: 'file', max: UNNAMED_BYTES });
      }
      return { hash, fresh: put.run(hash, type, bytes.length, bytes, at).changes > 0 };
    },
    /** Takes back a file that no entry came to name. */
    drop: (hash: string): void => void drop.run(hash),
    /** The first paper whose bytes are gone or are not what its entry says; null when all hold. */
    check(): string | null {
      for (const { seq, body } of noted.iterate()) {
        const hash = hashOf(body);
        if (!hash) continue;
        const kept = content.get(hash);
        if (!kept) return `the file of entry ${seq} is gone`;
        if (sha256(kept.content) !== hash) return `the file of entry ${seq} is not what was kept`;
      }
      return null;
    }
  };
}
