import type { PieceState } from '../record/piece.ts';
import type { TimeOut } from '../record/slice.ts';
import type { Reading } from '../record/stamped.ts';
import type { Interval } from '../log/holding.ts';
import { ASSUMED_HOLDING_CELSIUS } from '../fish/freshness.ts';

/**
 * What fish on a board is taken as from its first minute, °C, until a probe says otherwise: warmer than any cold-holding
 * limit, cooler than what counts as hot exposure, at the end of the spoilage model's range. The house's caution; check.
 */
export const OUT_OF_COLD_CELSIUS = 15;

export interface Span {
  readonly from: number;
  readonly to: number | null;
  readonly seq: number;
  readonly by: string;
  readonly startCore: TimeOut['core'];
  readonly core: TimeOut['core'];
  readonly backSeq: number | null;
}

/**
 * Time out of the cold along a chain, in order: a piece that leaves the board while its parent lies there carries on the
 * parent's time.
 */
export function spansOut(chain: readonly PieceState[]): Span[] {
  const spans: Span[] = [];
  chain.forEach((piece, index) => {
    const leftAt = chain[index + 1]?.made.at ?? null;
    for (const out of piece.outs) {
      const last = spans.at(-1);
      const carriesOn = last !== undefined && last.to !== null && out.from <= last.to && last.backSeq === null;
      const to = out.to ?? leftAt;
      const { seq, by, startCore, core, backSeq } = out;
      const here = { from: out.from, to, seq, by, startCore, core, backSeq };
      if (carriesOn)
        spans[spans.length - 1] = { ...here, from: last.from, seq: last.seq, by: last.by, startCore: last.startCore };
      else spans.push(here);
    }
  });
  return spans;
}

/**
 * Time out and stays that are not cold, in order, overlaps once. Where one begins inside another that one ends there: a probe that was
 * read in the first speaks for nothing of the second. A core that was read when a cut one ended is kept as a reading.
 */
function together(
  spans: readonly Span[],
  elsewhere: readonly Interval[]
): { readonly spans: readonly Span[]; readonly cores: readonly Reading[] } {
  if (elsewhere.length === 0) return { spans, cores: [] };
  const told = elsewhere.map(({ from, to }) => ({
    from,
    to: to === Infinity ? null : to,
    seq: 0,
    by: '',
    startCore: null,
    core: null,
    backSeq: null
  }));
  const out: Span[] = [];
  const cores: Reading[] = [];
  for (const span of [...spans, ...told].sort((a, b) => a.from - b.from)) {
    const last = out.at(-1);
    if (!last || (last.to !== null && last.to < span.from)) {
      out.push(span);
      continue;
    }
    const isInside = last.to === null || (span.to !== null && span.to <= last.to);
    // Whichever ends first was read when it ended: the other goes on, but what was read was read.
    for (const { to, core, by, backSeq, seq } of isInside ? [span] : [last]) {
      if (core && to !== null)
        cores.push({ seq: backSeq ?? seq, by, at: to, celsius: core.si, unit: core.unit, typed: core.typed });
    }
    out[out.length - 1] = { ...last, to: span.from, core: null, backSeq: null };
    out.push(isInside ? { ...last, from: span.from } : span);
  }
  return { spans: out, cores };
}

/** Seconds a piece and its ancestors were out of the cold by a moment. */
export const secondsOut = (chain: readonly PieceState[], at: number): number =>
  spansOut(chain).reduce((sum, { from, to }) => sum + Math.max(0, Math.min(to ?? at, at) - from) / 1000, 0);

/**
 * Time out of the cold as readings: warm from a moment after it began until a moment before it ended, so that no straight
 * line to a neighbouring reading adds or takes any of it. Before and after it the last real reading stands, and nothing
 * colder than what is assumed in the cold.
 *
 * @param real readings, in order of time
 * @param door core at the door, °C; null where it was not taken
 * @param elsewhere stays in places that are not cold, told like time out
 */
export function withTimeOut(
  chain: readonly PieceState[],
  real: readonly Reading[],
  door: number | null,
  elsewhere: readonly Interval[] = []
): Reading[] {
  const { spans, cores } = together(spansOut(chain), elsewhere);
  if (spans.length === 0) return [...real];
  const readings = cores.length === 0 ? real : [...real, ...cores].sort((a, b) => a.at - b.at || a.celsius - b.celsius);
  const out: Reading[] = [];
  let next = 0;
  let last = door ?? ASSUMED_HOLDING_CELSIUS;
  const upTo = (moment: number) => {
    while (next < readings.length && readings[next]!.at <= moment) {
      const reading = readings[next++]!;
      last = reading.celsius;
      out.push(reading);
    }
  };
  const assumed = (span: Span, at: number, celsius: number, typed: string): Reading => ({
    seq: span.seq,
    by: span.by,
    at,
    celsius,
    unit: 'C',
    typed
  });
  const isTold = ({ from, to }: Span) => to === null || to > from + 2;
  const told = spans.filter(isTold);
  let goesOn = false;
  for (const [index, span] of told.entries()) {
    upTo(span.from);
    const before = Math.max(last, ASSUMED_HOLDING_CELSIUS);
    if (!goesOn) out.push(assumed(span, span.from, before, 'before the board'));
    out.push(assumed(span, span.from + 1, OUT_OF_COLD_CELSIUS, 'out of the cold'));
    if (span.to === null) continue;
    const probed = readings.filter(({ at }) => at > span.from && at < span.to!).at(-1);
    upTo(span.to - 1);
    // A probe on the way is what is known of it from then on.
    if (!probed) out.push(assumed(span, span.to - 1, OUT_OF_COLD_CELSIUS, 'out of the cold'));
    const back = span.core?.si ?? Math.max(probed?.celsius ?? before, ASSUMED_HOLDING_CELSIUS);
    // Where the next begins at that moment it did not come back to the cold between them, not for a thousandth of a second.
    goesOn = told[index + 1]?.from === span.to;
    if (!goesOn)
      out.push({
        ...assumed(span, span.to, back, span.core?.typed ?? 'back in the cold'),
        seq: span.backSeq ?? span.seq
      });
    last = back;
  }
  upTo(Infinity);
  return out;
}
