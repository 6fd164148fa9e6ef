import { ALL_ROUTES, papers, reason, type Hazard, type JudgeContext } from '../../../rules/context.ts';
import { atOrBelow, type Cited, type ScaleLimit } from '../../../codes/profile.ts';
import { RAW_ROUTES, type Reason } from '../../../codes/window.ts';

function judged(context: JudgeContext, core: { si: number; unit: string; typed: string }, limit: ScaleLimit & Cited) {
  const { seq } = context.lot.received;
  const rest = {
    routes: ALL_ROUTES,
    evidence: [seq],
    seen: { celsius: core.si, typed: core.typed, limitC: limit.c, limitF: limit.f }
  };
  return atOrBelow({ celsius: core.si, unit: core.unit }, limit)
    ? reason(context, 'temperature', 'temperature.arrived-cold', { kind: 'pass' }, limit, rest)
    : reason(context, 'temperature', 'temperature.arrived-warm', { kind: 'missing' }, limit, {
        ...rest,
        wouldChange: 'send-back-or-answer-for'
      });
}

/** Temperature at the door: the core, or for what comes alive the air round it. Nobody's reading is no pass. */
export const arrival: Hazard = (context) => {
  const { received } = context.lot;
  const { profile } = context;
  const isLive = received.form === 'live';
  const live = profile.receiveLive;
  const read = isLive ? (received.air ?? received.core) : received.core;
  const rule: Cited = isLive ? live : received.frozen ? profile.receiveFrozen : profile.receiveCold;
  if (!read) {
    return [
      reason(
        context,
        'temperature',
        isLive ? 'temperature.air-not-taken' : 'temperature.not-taken',
        { kind: 'missing' },
        rule,
        {
          routes: ALL_ROUTES,
          evidence: [received.seq],
          wouldChange: isLive ? 'take-air-temperature' : 'take-core-temperature'
        }
      )
    ];
  }
  if (!isLive) return [judged(context, read, received.frozen ? profile.receiveFrozen : profile.receiveCold)];
  if (live.limit) return [judged(context, read, { ...live, ...live.limit })];
  return [
    reason(context, 'temperature', 'temperature.arrived-alive', { kind: 'pass' }, live, {
      routes: ALL_ROUTES,
      evidence: [received.seq],
      seen: { celsius: read.si, typed: read.typed }
    })
  ];
};

/** Fish packed without oxygen and not frozen: botulinum may grow from here. FDA Hazards guide, ch. 13. */
export const PACK_LIMIT: ScaleLimit & Cited = {
  c: 3.3,
  f: 38,
  rule: 'Hazards guide ch. 13',
  citation:
    'FDA Fish and Fishery Products Hazards and Controls Guidance, ch. 13: refrigerated, reduced-oxygen packed fish is kept at or below 3.3 °C (38 °F), or carries a time-temperature indicator on each pack',
  check: true
};

/** What came chilled in a pack without air. */
export const arrivalPack: Hazard = (context) => {
  const { received } = context.lot;
  if (received.frozen || received.form === 'live') return [];
  const evidence = [received.seq];
  if (received.pack === 'unknown') {
    return [reason(context, 'pack', 'pack.not-asked', { kind: 'pass' }, PACK_LIMIT, { routes: RAW_ROUTES, evidence })];
  }
  if (received.pack === 'none') return [];
  if (received.packIndicator === 'yes') {
    return [reason(context, 'pack', 'pack.indicator', { kind: 'pass' }, PACK_LIMIT, { routes: ALL_ROUTES, evidence })];
  }
  // In it until somebody cuts it: what left the pack on a board is out of it.
  const opened = context.chain.flatMap((piece) => piece.boards)[0]?.at ?? Infinity;
  const warm = context.points.find((point) => point.at <= opened && !atOrBelow(point, PACK_LIMIT));
  const out: Reason[] = [];
  if (warm || !received.core) {
    out.push(
      reason(context, 'pack', 'pack.no-indicator', { kind: 'missing' }, PACK_LIMIT, {
        routes: ALL_ROUTES,
        evidence: [received.seq, ...(warm ? [warm.seq] : [])],
        seen: { celsius: warm?.celsius ?? null, limitC: PACK_LIMIT.c },
        wouldChange: 'send-back-or-answer-for'
      })
    );
  } else {
    out.push(
      reason(context, 'pack', 'pack.cold', { kind: 'pass' }, PACK_LIMIT, {
        routes: ALL_ROUTES,
        evidence,
        seen: { limitC: PACK_LIMIT.c }
      })
    );
  }
  return out;
};

/** What a tag has to say to be one: who dealt it, when and where it was harvested, how much it is. */
export function tagLacks(tag: ReturnType<typeof papers>['valid'][number]): string[] {
  return [
    ...(tag.dealer.trim() === '' && tag.reference.trim() === '' ? ['dealer'] : []),
    ...(tag.harvestedOn === null ? ['harvestedOn'] : []),
    ...(tag.harvestArea.trim() === '' ? ['harvestArea'] : []),
    ...(tag.mass === null && tag.count === null ? ['quantity'] : [])
  ];
}

/** Shellfish: only with the tag that says from which waters. */
export const shellfish: Hazard = (context) => {
  const { species, lot, profile } = context;
  const inShell = lot.received.form === 'live' || lot.received.form === 'shell-on';
  if (species.group !== 'mollusc' && !(species.group === 'scallop' && inShell)) return [];
  const tags = papers(context, 'shellfish-tag').valid;
  const tag = tags.find((paper) => tagLacks(paper).length === 0);
  const rule = profile.shellfishTag;
  if (tag) {
    return [
      reason(context, 'shellfish', 'shellfish.tagged', { kind: 'pass' }, rule, {
        routes: ALL_ROUTES,
        evidence: [tag.seq],
        seen: { issuer: tag.issuer, reference: tag.dealer || tag.reference, keepDays: rule.keepDays }
      })
    ];
  }
  const poor = tags[0];
  return [
    reason(context, 'shellfish', poor ? 'shellfish.tag-incomplete' : 'shellfish.no-tag', { kind: 'missing' }, rule, {
      routes: ALL_ROUTES,
      evidence: [poor?.seq ?? lot.received.seq],
      seen: { lacks: poor ? tagLacks(poor).join(', ') : '' },
      wouldChange: 'shellfish-tag'
    })
  ];
};
