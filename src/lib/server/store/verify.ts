import { canonicalEnvelope } from '../../core/record/canonical.ts';
import { fallenGuard } from './guards.ts';
import { sha256 } from './open.ts';
import type { Seal } from './seal.ts';
import type { Store } from './store.ts';

export interface VerifyResult {
  readonly ok: boolean;
  readonly events: number;
  readonly head: { seq: number; hash: string };
  /** The first row that does not hold, in words. */
  readonly trouble: string | null;
}

/** What a signing, or a backup, notes of the ledger. */
interface Noting {
  readonly day: string;
  readonly headSeq: number;
  readonly headHash: string;
  readonly seal?: string | null;
  readonly people?: Readonly<Record<string, string>>;
}

/** A signing that does not bear the seal it has to bear, in words; null for one that does, or that was made before there was one. */
function brokenSeal(seal: Seal, at: number, { day, headSeq, headHash, seal: word }: Noting): string | null {
  if (seal.since() === 0 || at < seal.since()) return null;
  const head = { seq: headSeq, hash: headHash };
  return seal.holds(word ?? null, day, head) ? null : `the signing in entry ${at} does not bear the house’s seal`;
}

/**
 * Checks the chain, the heads that signings and backups carry, the packed readings and the projections.
 *
 * @param atLeast a head noted outside (a signing on paper, a backup): a log cut off below it is noticed
 */
export function verify(store: Store, at: number, atLeast?: { seq: number; hash: string }): VerifyResult {
  let prev = '';
  let seq = 0;
  const hashes = new Map<number, string>();
  const noted: { seq: number; hash: string; where: number }[] = [];
  let signed: Readonly<Record<string, string>> = {};
  const stop = (trouble: string): VerifyResult => ({ ok: false, events: seq, head: { seq, hash: prev }, trouble });
  for (const row of store.record.iterate()) {
    if (row.seq !== seq + 1) return stop(`entry ${seq + 1} is missing (next is ${row.seq})`);
    if (row.prev !== prev) return stop(`entry ${row.seq} does not follow the one before it`);
    if (sha256(canonicalEnvelope(row)) !== row.hash) return stop(`entry ${row.seq} is not what was written`);
    hashes.set(row.seq, row.hash);
    if (row.kind === 'day.signed' || row.kind === 'backup.made') {
      const body = JSON.parse(row.body) as Noting;
      noted.push({ seq: body.headSeq, hash: body.headHash, where: row.seq });
      if (row.kind === 'day.signed') {
        signed = body.people ?? signed;
        const broken = store.seal && brokenSeal(store.seal, row.seq, body);
        if (broken) return stop(broken);
      }
    }
    seq = row.seq;
    prev = row.hash;
  }
  for (const { seq: at_, hash, where } of noted) {
    if (hashes.get(at_) !== hash) return stop(`entry ${where} names a head (${at_}) that this log does not hold`);
  }
  if (atLeast && hashes.get(atLeast.seq) !== atLeast.hash) {
    return stop(`the log ends at ${seq} and does not hold the noted head ${atLeast.seq}: it was cut off or replaced`);
  }
  const last = store.seal?.last();
  if (last && hashes.get(last.seq) !== last.hash && !store.noted.loss()) {
    return stop(`the house’s seal knows entry ${last.seq}, and this log does not hold it: it was cut off or replaced`);
  }
  const swapped = store.people.swapped(signed);
  if (swapped) return stop(`the name of ${swapped} is not the one that was signed`);
  const fallen = fallenGuard(store.db);
  if (fallen) return stop(fallen);
  const days = store.readings.check();
  if (days) return stop(days);
  const files = store.files.check();
  if (files) return stop(files);
  const difference = projectionDifference(store, at);
  if (difference) return stop(difference);
  return { ok: true, events: seq, head: { seq, hash: prev }, trouble: null };
}

/** Rebuilds into the same tables inside a transaction that is always rolled back, and compares. */
function projectionDifference(store: Store, at: number): string | null {
  const kept = store.projections.dump();
  let rebuilt = kept;
  const rollback = new Error('rollback');
  try {
    store.db.transaction(() => {
      store.projections.rebuild(at);
      rebuilt = store.projections.dump();
      throw rollback;
    })();
  } catch (error) {
    if (error !== rollback) throw error;
  } finally {
    store.projections.forgetCached();
  }
  for (let index = 0; index < Math.max(kept.length, rebuilt.length); index++) {
    const a = kept[index];
    const b = rebuilt[index];
    if (a?.text !== b?.text) return `projection ${a?.table ?? b?.table} ${a?.id ?? b?.id} differs from the record`;
  }
  return null;
}
