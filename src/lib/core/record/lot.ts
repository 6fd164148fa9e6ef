import { UNIDENTIFIED } from '../activity/receive/bodies.ts';
import { STRICTNESS, type Decision } from '../inspect/score.ts';
import type { BodyOf, RecordEvent } from './events.ts';
import { foldedOnce } from './folded-once.ts';
import { correctionOf, stamp, type Correction, type Stamped } from './stamped.ts';
import { lastSeqOf, viewed, type ViewOptions } from './view.ts';

export type Evidence = Stamped & BodyOf<'evidence.attached'>;

export type LotDecision = Stamped & { readonly decision: Decision; readonly reason: string };
export type LotInspection = Stamped & BodyOf<'lot.inspected'>;
export interface LotState {
  readonly id: string;
  readonly received: Stamped & BodyOf<'lot.received'>;
  readonly evidence: readonly Evidence[];
  readonly inspections: readonly LotInspection[];
  readonly identified: (Stamped & BodyOf<'lot.identified'>) | null;
  readonly tags: readonly (Stamped & BodyOf<'tag.closed'>)[];
  /** What was decided last, and why. */
  readonly decision: LotDecision;
  /** Every decision in force: a stricter one joins those before it, a looser one (owned) takes their place. */
  readonly decisions: readonly LotDecision[];
  /** Species it is, or may be: one where it is settled, none where nobody could say. */
  readonly species: readonly string[];
  /** Since when it counts as sent back: the decision, or the handing over where none came before it; null where it is kept. */
  readonly sentBack: Stamped | null;
  /** What was carried away, by whom; null while nobody said. */
  readonly handedBack: (Stamped & BodyOf<'lot.returned'>) | null;
  readonly corrections: readonly Correction[];
  readonly lastSeq: number;
}

function fold(id: string, events: readonly RecordEvent[], options: ViewOptions): LotState | null {
  let received: LotState['received'] | null = null;
  let identified: LotState['identified'] = null;
  const evidence: Evidence[] = [];
  const inspections: LotInspection[] = [];
  const tags: LotState['tags'][number][] = [];
  let handedBack: LotState['handedBack'] = null;
  const corrections: Correction[] = [];
  for (const event of viewed(events, options)) {
    const mended = correctionOf(event);
    if (mended) corrections.push(mended);
    if (event.kind === 'lot.received') received = { ...stamp(event), ...event.body };
    else if (event.kind === 'evidence.attached') evidence.push({ ...stamp(event), ...event.body });
    else if (event.kind === 'lot.inspected') inspections.push({ ...stamp(event), ...event.body });
    else if (event.kind === 'lot.identified') identified = { ...stamp(event), ...event.body };
    else if (event.kind === 'lot.returned') handedBack = { ...stamp(event), ...event.body };
    else if (event.kind === 'tag.closed') tags.push({ ...stamp(event), ...event.body });
  }
  if (!received) return null;
  // Whoever carries it away decides it, where nobody had before.
  const carried = handedBack && { ...handedBack, decision: 'send-back' as const };
  const said = [received, ...inspections, ...(carried ? [carried] : [])];
  const decisions = said.reduce<LotDecision[]>((before, { seq, at, by, decision, reason }) => {
    const next = { seq, at, by, decision, reason };
    const last = before.at(-1);
    if (last && STRICTNESS[decision] >= STRICTNESS[last.decision]) return [...before, next];
    // What went back to the supplier is not taken in again by a later look.
    return [...before.filter((each) => each.decision === 'send-back'), next];
  }, []);
  return {
    id,
    received,
    evidence,
    inspections,
    identified,
    tags,
    decision: decisions.at(-1)!,
    decisions,
    species: speciesOf(identified ?? received),
    sentBack: sentBackOf(decisions),
    handedBack,
    corrections,
    lastSeq: lastSeqOf(events)
  };
}

/**
 * What a lot is, from its events. Null where the receipt is voided or had not happened.
 */
export const foldLot = foldedOnce(fold);

const sentBackOf = (decisions: readonly LotDecision[]): Stamped | null => {
  const first = decisions.find(({ decision }) => decision === 'send-back');
  return first ? { seq: first.seq, at: first.at, by: first.by } : null;
};

const speciesOf = ({ species, candidates }: { species: string; candidates: readonly string[] }): readonly string[] =>
  species === UNIDENTIFIED ? candidates : [species];
