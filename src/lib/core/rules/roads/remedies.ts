import { businessDay } from '../../measure/day.ts';
import { AUTHORITY_SCOPES, needsAuthority, type AuthorityScope } from '../exceptions.ts';
import { tagLacks } from '../../activity/receive/hazards/arrival.ts';
import type { FreezeCycle, RuleProfile } from '../../codes/profile.ts';
import { profileById } from '../../codes/profiles/index.ts';
import { foldLineages, type Verdict } from '../verdict.ts';
import { freezing } from './freezing.ts';
import { ending } from './running.ts';
import { paperSaying, type PaperPoint, type PaperType, type RoadsInput, type RoadStep } from './steps.ts';
import { corrected, COSTS, type Remedy, type Writer } from './trial.ts';

type Points = Readonly<Partial<Record<PaperType, readonly PaperPoint[]>>>;
/** What each kind of paper may be asked to say. A licence or a test is the authority's or a laboratory's, and not asked of a seller. */
function paperPoints(profile: RuleProfile): Points {
  return {
    'feed-statement': (profile.parasites.aquaculture?.needs ?? ['formulatedFeed', 'raised']) as readonly PaperPoint[],
    'chill-record': [],
    'supplier-letter': ['transit'],
    'area-document': ['areaCleared'],
    'shellfish-tag': ['dealer', 'harvestedOn', 'harvestArea', 'quantity']
  };
}

/** Everything that may be tried: papers, facts of the lot, and freezers. */
export function remedies(input: RoadsInput, now: Verdict, write: Writer): Remedy[] {
  const { lineages, house, route } = input;
  const profile = profileById(house.profile, house.profiles);
  const day = businessDay(input.now, house);
  const out: Remedy[] = [];
  const folded = foldLineages(lineages, { house, at: input.now, knownAt: input.now, logs: input.logs });
  const seen = new Set<string>();
  for (const [index, { lot }] of folded.entries()) {
    const id = lineages[index]!.lotId;
    if (seen.has(id)) continue;
    seen.add(id);
    const grams = lot.received.mass.si;
    const asked = (
      type: PaperType,
      points: readonly PaperPoint[],
      more: { cycle?: FreezeCycle; covers?: AuthorityScope[] }
    ) => {
      const on = lot.evidence.filter((paper) => paper.type === type);
      const has = (point: PaperPoint) =>
        on.some((paper) =>
          type === 'shellfish-tag'
            ? !tagLacks(paper).includes(point)
            : point === 'transit'
              ? paper.transit !== null
              : (paper as unknown as Record<string, unknown>)[point] === true
        );
      const step: RoadStep = {
        kind: 'paper',
        type,
        points,
        missing: points.filter((point) => !has(point)),
        cycle: more.cycle ?? null,
        covers: more.covers ?? [],
        lot: id
      };
      const body = paperSaying(step, { day, grams });
      const event = write('evidence.attached', `lot:${id}`, input.now, body);
      out.push({
        step,
        cost: type === 'authority' ? COSTS.authority : COSTS.paper,
        readyAt: input.now,
        lot: { id, event }
      });
    };
    for (const [type, points] of Object.entries(paperPoints(profile)) as [PaperType, readonly PaperPoint[]][])
      if (type !== 'feed-statement' || lot.received.source === 'farmed') asked(type, points, {});
    const mayBeFrozen = lot.received.frozen || lot.received.previouslyFrozen !== 'no';
    // A seller that froze it can say so; of fish that came fresh nobody is asked to.
    if (mayBeFrozen && (lot.received.frozen || lot.received.previouslyFrozen === 'yes'))
      for (const cycle of profile.parasites.cycles) asked('freezing-statement', ['frozenAt'], { cycle });
    const scopes = AUTHORITY_SCOPES.filter((scope) =>
      now.reasons.some(
        (reason) => reason.routes.includes(route) && reason.effect.kind === 'missing' && needsAuthority(reason, scope)
      )
    );
    if (scopes.length > 0) asked('authority', ['covers'], { covers: [...scopes] });
    const { received } = lot;
    const fact = (
      field: 'caughtOn' | 'commercial' | 'roeRinsed',
      patch: Parameters<typeof corrected>[3],
      notBefore: string | null = null
    ) =>
      out.push({
        step: { kind: 'fact', field, notBefore, lot: id },
        cost: COSTS.fact,
        readyAt: input.now,
        lot: { id, event: corrected(write, lineages[index]!.lot, input.now, patch) }
      });
    const arrived = businessDay(received.at, house);
    if (received.caughtOn === null) fact('caughtOn', { caughtOn: arrived }, arrived);
    if (received.commercial === 'unknown') fact('commercial', { commercial: 'yes' });
    if (!received.roeRinsed && received.form === 'roe') fact('roeRinsed', { roeRinsed: true });
  }
  return [
    ...out,
    ...ending(input, folded, write),
    ...freezing(
      input,
      profile,
      folded,
      write,
      now.windows.find((window) => window.route === route)!
    )
  ];
}
