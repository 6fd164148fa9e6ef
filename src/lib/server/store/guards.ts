import type { Db } from './open.ts';

/** What keeps the table of entries as it is, whoever opens it: each has to be there and do what it says. */
const GUARDS: Readonly<Record<string, RegExp>> = {
  events_are_never_changed: /BEFORE UPDATE ON events BEGIN SELECT RAISE\(ABORT/i,
  events_are_never_removed: /BEFORE DELETE ON events BEGIN SELECT RAISE\(ABORT/i
};

/** A guard that somebody took away or made toothless, in words; null while all stand. */
export function fallenGuard(db: Db): string | null {
  const sqlOf = db.prepare<[string], { sql: string }>(
    `SELECT sql FROM sqlite_master WHERE type = 'trigger' AND name = ?`
  );
  for (const [name, does] of Object.entries(GUARDS)) {
    const sql = sqlOf.get(name)?.sql.replace(/\s+/g, ' ') ?? '';
    if (!does.test(sql)) return `what guards the entries is gone (${name})`;
  }
  return null;
}
