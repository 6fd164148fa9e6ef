import { statementMeets } from '../../bench/freeze/compliance.ts';
import { papers, reason, type Hazard, type JudgeContext } from '../../rules/context.ts';
import { FIRST_LOOK_MS, isHopeless, judgeRun, logOfRun } from '../../rules/freezer-run.ts';
import type { Cited } from '../../codes/profile.ts';
import type { Reason } from '../../codes/window.ts';

const HAZARD = 'parasites';
/** Where a profile has no rule on it, it is a warning. */
const KUDOA: Cited = {
  rule: 'Kudoa septempunctata',
  citation: 'MHLW notice on Kudoa septempunctata in farmed olive flounder; written in no rule of this profile',
  check: true,
  from: 'house'
};

/** Species-list, group and farm exemptions. */
function exemption(context: JudgeContext): Reason | null {
  const { species, lot, profile } = context;
  const { parasites } = profile;
  if (!parasites.appliesTo.includes(species.group)) {
    return reason(context, HAZARD, 'parasites.group-not-covered', { kind: 'pass' }, parasites.rule, {
      seen: { group: species.group }
    });
  }
  const group = parasites.exemptGroups.find((exempt) => exempt.group === species.group);
  if (group && (group.needs === undefined || lot.received[group.needs])) {
    return reason(context, HAZARD, 'parasites.group-exempt', { kind: 'pass' }, group.rule, {
      seen: { group: species.group }
    });
  }
  const list = parasites.exemptSpecies;
  if (list && species.scientific.length > 0 && species.scientific.every((name) => list.scientific.includes(name))) {
    return reason(context, HAZARD, 'parasites.species-exempt', { kind: 'pass' }, list.rule, {
      seen: { species: species.scientific.join(', ') }
    });
  }
  const farm = parasites.aquaculture;
  const { farmSystem, source } = lot.received;
  if (farm && source === 'farmed' && farmSystem && farm.systems.includes(farmSystem)) {
    const paper = papers(context, 'feed-statement').valid.find((found) => farm.needs.every((point) => found[point]));
    if (paper) {
      return reason(context, HAZARD, 'parasites.farm-exempt', { kind: 'pass' }, farm.rule, {
        evidence: [paper.seq],
        seen: { issuer: paper.issuer, system: farmSystem }
      });
    }
  }
  return null;
}

/** Freezing that counts: a supplier's statement, or a run of our own. */
function frozen(context: JudgeContext): Reason | null {
  const { parasites } = context.profile;
  for (const paper of papers(context, 'freezing-statement').valid) {
    const { frozenAt, frozenFor } = paper;
    if (!frozenAt || !frozenFor) continue;
    const met = parasites.cycles.find((cycle) =>
      statementMeets({ celsius: frozenAt.si, unit: frozenAt.unit }, frozenFor.si, paper.solidAt35, cycle)
    );
    if (met) {
      return reason(context, HAZARD, 'parasites.supplier-froze', { kind: 'pass' }, met, {
        evidence: [paper.seq],
        seen: { issuer: paper.issuer, holdHours: met.holdSeconds / 3600, holdCelsius: met.hold.c }
      });
    }
  }
  const results = context.chain.flatMap((piece) =>
    piece.freezes.map((run) => {
      const log = logOfRun(context.logs, run, Math.min(context.at, run.at + FIRST_LOOK_MS));
      const cycles = parasites.cycles.filter((cycle) => !isHopeless(cycle, run, log));
      return { run, results: judgeRun(context, run, cycles) };
    })
  );
  const done = results
    .flatMap(({ run, results: cycles }) => cycles.map((result) => ({ run, result })))
    .filter(({ result }) => result.satisfiedAt !== null)
    .sort((a, b) => a.result.satisfiedAt! - b.result.satisfiedAt!)[0];
  if (done) {
    const { cycle, clock, accuracy, satisfiedAt } = done.result;
    return reason(
      context,
      HAZARD,
      'parasites.frozen-here',
      { kind: 'opens', at: satisfiedAt!, needsProof: false },
      cycle,
      {
        evidence: [done.run.seq, ...done.result.evidence],
        seen: { holdHours: cycle.holdSeconds / 3600, holdCelsius: cycle.hold.c, clock, accuracy }
      }
    );
  }
  // Only its own run is still going: a piece taken out of a parent that lay in a freezer is out.
  const running = results.filter(({ run }) => run.ended === null && context.piece.freezes.includes(run)).at(-1);
  if (!running) return null;
  const result = running.results.find(({ cycle }) => cycle.id === running.run.plan.cycle) ?? running.results[0]!;
  const { cycle, clock, accuracy, holdFrom } = result;
  // Before the readings prove a beginning, the slow bound of the model is the earliest that may be promised.
  const from = holdFrom ?? result.promisedFrom;
  const seen = {
    holdHours: cycle.holdSeconds / 3600,
    holdCelsius: cycle.hold.c,
    clock,
    accuracy,
    heldSeconds: result.heldSeconds,
    leftSeconds: cycle.holdSeconds - result.heldSeconds,
    excursions: result.excursions.length,
    gaps: result.gaps.length
  };
  const evidence = [running.run.seq, ...result.evidence];
  if (result.solidBefore) {
    return reason(context, HAZARD, 'parasites.solid-before', { kind: 'missing' }, cycle, {
      evidence,
      seen: { ...seen, solidCelsius: cycle.solidAt!.c },
      wouldChange: 'another-cycle'
    });
  }
  if (from === null) {
    return reason(context, HAZARD, 'parasites.freezer-too-warm', { kind: 'missing' }, cycle, {
      evidence,
      seen,
      wouldChange: 'core-reading-or-colder-freezer'
    });
  }
  return reason(
    context,
    HAZARD,
    holdFrom === null ? 'parasites.core-on-its-way' : 'parasites.hold-running',
    { kind: 'opens', at: from + cycle.holdSeconds * 1000, needsProof: true },
    cycle,
    { evidence, seen, wouldChange: 'hold-and-read' }
  );
}

/** What no exemption covers and no freezing answers: what of its papers falls short, or that there is none. */
function unanswered(context: JudgeContext): Reason {
  const { profile, species, lot } = context;
  const farmed = lot.received.source === 'farmed';
  const about = (['feed-statement', 'freezing-statement'] as const).map((type) => papers(context, type));
  const expired = about.reduce((sum, each) => sum + each.expired.length, 0);
  const conflict = about.flatMap(({ conflicting }) => conflicting)[0];
  const canExempt = farmed && profile.parasites.aquaculture !== null;
  const notRinsed = profile.parasites.exemptGroups.some(
    ({ group, needs }) => group === species.group && needs === 'roeRinsed'
  );
  return reason(
    context,
    HAZARD,
    conflict
      ? 'parasites.paper-contradicts'
      : expired > 0
        ? 'parasites.paper-expired'
        : notRinsed
          ? 'parasites.roe-not-rinsed'
          : canExempt
            ? 'parasites.no-farm-paper'
            : 'parasites.not-frozen',
    { kind: 'missing' },
    canExempt ? profile.parasites.aquaculture!.rule : profile.parasites.rule,
    {
      evidence: conflict ? [conflict.paper.seq, lot.received.seq] : [],
      seen: { source: lot.received.source, conflicts: conflict?.conflicts.join(', ') ?? '' },
      wouldChange: conflict
        ? 'ask-the-supplier'
        : notRinsed
          ? 'rinse-or-freeze'
          : canExempt
            ? 'farm-paper-or-freeze'
            : 'freeze-or-statement'
    }
  );
}

/** Kudoa, where the rule book names it or the species has it; `found` is what answers for the nematodes. */
function kudoaOf(context: JudgeContext, found: Reason | null): Reason[] {
  const out: Reason[] = [];
  const { profile, species, lot } = context;
  const { kudoa } = profile.parasites;
  if (!kudoa && found && species.hazards.includes('kudoa') && lot.received.source !== 'wild') {
    out.push(
      reason(context, HAZARD, 'parasites.kudoa-warning', { kind: 'pass' }, KUDOA, {
        seen: { source: lot.received.source }
      })
    );
  }
  if (
    kudoa &&
    lot.received.source !== 'wild' &&
    species.scientific.some((name) => name.startsWith(kudoa.genus)) &&
    found === null
  ) {
    // Any cycle that cleared the nematodes is colder and longer than this one; only where none did is it asked for.
    const checked = papers(context, 'feed-statement').valid.find((paper) => paper.noHazardVerified);
    const froze = papers(context, 'freezing-statement').valid.find(
      ({ frozenAt, frozenFor }) =>
        frozenAt &&
        frozenFor &&
        statementMeets({ celsius: frozenAt.si, unit: frozenAt.unit }, frozenFor.si, false, { id: 'kudoa', ...kudoa })
    );
    const paper = checked ?? froze;
    out.push(
      paper
        ? reason(context, HAZARD, 'parasites.kudoa-cleared', { kind: 'pass' }, kudoa, {
            evidence: [paper.seq],
            seen: { issuer: paper.issuer }
          })
        : reason(context, HAZARD, 'parasites.kudoa', { kind: 'missing' }, kudoa, {
            seen: { holdHours: kudoa.holdSeconds / 3600, holdCelsius: kudoa.hold.c },
            wouldChange: 'kudoa-check-or-freeze'
          })
    );
  }
  return out;
}

/** Flukes of fresh and brackish water, where no freezing of the rule book kills them. */
function flukesOf(context: JudgeContext): Reason[] {
  const out: Reason[] = [];
  const { profile, species, lot } = context;
  // A paper from a farm speaks of nematodes; flukes of fresh and brackish water need their own answer.
  const fluke =
    species.parasitesWhenWild.includes('fluke') ||
    species.water === 'fresh' ||
    ['fresh', 'brackish', 'unknown'].includes(lot.received.water);
  const fishLike = species.group === 'finfish' || species.group === 'roe';
  // Only one that says the water is free of them, verified, answers for flukes; and of a farm alone.
  const farmFree =
    lot.received.source === 'farmed' && papers(context, 'feed-statement').valid.some((paper) => paper.noHazardVerified);
  if (fluke && fishLike && profile.parasites.notClearing.includes('fluke') && !farmFree) {
    out.push(
      reason(
        context,
        HAZARD,
        'parasites.fluke-not-cleared',
        { kind: 'missing' },
        profile.parasites.notClearingRule ?? profile.parasites.rule,
        { seen: { water: lot.received.water }, wouldChange: 'cook-or-authority' }
      )
    );
  }
  return out;
}

/**
 * Living parasites: every raw route needs an exemption the profile writes, or a freezing cycle it names. Nothing in the
 * species table clears a fish.
 */
export const parasites: Hazard = (context) => {
  const { profile, lot } = context;
  const exempt = exemption(context);
  // Taken in to be frozen first: the house is stricter than any exemption, and only a freeze answers it.
  const mustFreeze = lot.decisions.some(({ decision }) => decision === 'hold-freeze');
  const found = mustFreeze ? frozen(context) : (exempt ?? frozen(context));
  const out: Reason[] = [];
  if (found) out.push(found);
  if (!found && mustFreeze) {
    out.push(
      reason(context, HAZARD, 'decision.hold-to-freeze', { kind: 'missing' }, profile.parasites.rule, {
        evidence: [lot.decision.seq],
        seen: { by: lot.decision.by },
        wouldChange: 'freeze-or-statement'
      })
    );
  }
  // Held to be frozen or not: what no exemption covers needs its freezing for a reason of its own.
  if (!found && !exempt) out.push(unanswered(context));
  out.push(...kudoaOf(context, found), ...flukesOf(context));
  return out;
};
