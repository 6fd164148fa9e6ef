import { said, words } from './speech.ts';
import * as say from './say.ts';
import type { LotState } from '../core/record/lot.ts';
import type { PaperPoint, Road, RoadStep } from '../core/rules/roads/steps.ts';
import type { Route } from '../core/codes/window.ts';
import { ROUTE_WORDS } from './findings.ts';
import { scopeWord } from './scopes.ts';

const PAPERS: Record<string, string> = /* @__PURE__ */ words({
  'feed-statement': 'the farm’s feed statement',
  'freezing-statement': 'the seller’s freezing statement',
  'chill-record': 'the boat’s chilling record',
  'supplier-letter': 'a letter of the seller on the way it came',
  'area-document': 'a paper that clears its harvest area',
  'shellfish-tag': 'its shellfish tag',
  authority: 'a document of your authority'
});
/** What a paper has to say, as one asks for it. */
const POINTS: Record<PaperPoint, string> = /* @__PURE__ */ words({
  formulatedFeed: 'that they were fed on formulated feed only',
  raised: 'how they were raised: net pens in open water, tanks or ponds',
  fromEmbryos: 'that they were raised from embryos',
  noHazardVerified: 'that it was verified that no live parasites are a hazard in them',
  areaCleared: 'that the harvest area is clear',
  transit: 'how warm it was at the warmest on the way, in degrees',
  dealer: 'the dealer’s certification number',
  harvestedOn: 'the day of harvest',
  harvestArea: 'the waters of harvest',
  quantity: 'how much it speaks of',
  frozenAt: 'how cold it was frozen, and for how long',
  covers: 'what it covers'
});
export const pointWords = /* @__PURE__ */ said((points: readonly PaperPoint[]): string[] =>
  points.map((point) => POINTS[point])
);

const cycleWords = (cycle: Extract<RoadStep, { kind: 'freeze' }>['cycle']): string =>
  `${cycle.solidAt ? `solid at ${say.temperature(cycle.solidAt.c)}, then ` : ''}${say.span(
    cycle.holdSeconds
  )} at or below ${say.temperature(cycle.hold.c)}`;
const thawWords = (hours: number | null): string =>
  hours === null ? 'Then thaw it in the cold.' : `Then thaw it in the cold: up to ${say.span(hours * 3600)}.`;

/** One step as it is done. */
export const stepWords = /* @__PURE__ */ said(function stepWords(step: RoadStep, now: number): string {
  const moment = (at: number) => say.moment(at, now);
  switch (step.kind) {
    case 'paper': {
      const asked = step.missing.length > 0 && step.missing.length < step.points.length ? step.missing : step.points;
      const says =
        step.type === 'authority'
          ? ` for ${step.covers.map(scopeWord).join(', ').toLowerCase()}, with number, dates and the paper itself`
          : step.cycle
            ? `: ${cycleWords(step.cycle)}`
            : asked.length > 0
              ? ` that says ${pointWords(asked).join('; ')}`
              : '';
      return `Get ${PAPERS[step.type] ?? 'a paper'}${says} (lot ${step.lot}).`;
    }
    case 'fact':
      if (step.field === 'caughtOn')
        return `Ask for the day of catch or harvest; a second person writes it down (lot ${step.lot}).${step.notBefore === null ? '' : ` It is in time if that was ${say.day(step.notBefore)} or later.`}`;
      if (step.field === 'commercial')
        return `A second person writes down that it came from a commercial source (lot ${step.lot}), if it did.`;
      return `A second person writes down that the roe was rinsed out of its skein (lot ${step.lot}), if it was.`;
    case 'freeze':
      return (
        `Freeze it now in ${step.place} (${say.temperature(step.airCelsius)}), laid apart: ${cycleWords(step.cycle)}. ` +
        `Its core is there by ${moment(step.coreBy)} at the latest: read it then, and every two hours or by a logger until ${moment(step.until)}. ` +
        `${step.measured ? '' : `Nobody measured how thick it is: reckoned as ${say.length(step.thicknessMm)}. `}${thawWords(step.thawHours)}`
      );
    case 'hold':
      return `Leave it in ${step.place} and keep its readings; read the core at ${moment(step.until)}. ${thawWords(step.thawHours)}`;
    case 'take-out':
      return step.of === 'cure'
        ? `Take it out of its cure at ${moment(step.at)}, and write it down.`
        : `End its thaw by ${moment(step.at)}: read its core, and write it down.`;
    case 'read':
      return `Read its core then (${moment(step.at)}), and write it down.`;
    case 'wait':
      return `Wait until ${moment(step.until)}.`;
    default:
      return `Serve it ${ROUTE_WORDS[step.route].toLowerCase()} instead.`;
  }
});

/** When a road opens, and whether that is in time. */
export const roadLine = /* @__PURE__ */ said(function roadLine(road: Road, now: number): string {
  const moment = (at: number) => say.moment(at, now);
  const asks = road.steps.some(({ kind }) => kind === 'paper' || kind === 'fact');
  const isFrozen = road.readyAt > road.opensAt;
  const from = isFrozen
    ? `free from ${moment(road.opensAt)}, thawed by ${moment(road.readyAt)}`
    : asks
      ? 'open as soon as that is on file'
      : `open from ${moment(road.opensAt)}`;
  const until = road.until === null ? '' : `, until ${moment(road.until)}`;
  return `${ROUTE_WORDS[road.route]}: ${from}${until}`;
});

export const ROAD_WORDS = /* @__PURE__ */ words({
  title: 'How do I open it?',
  lead: 'The cheapest ways first. Each counts on the fish being kept cold and read every two hours. A warm reading can still close it.',
  wanted: 'Wanted as',
  by: 'By',
  ask: 'Ask',
  inTime: 'in time',
  misses: { 'opens-later': 'too late for it', 'ends-before': 'it ends before that' } as Record<string, string>,
  already: 'It is open as it is.',
  none: 'Nothing opens it: it is closed for good, or its time is over.',
  letter: 'Write to the seller',
  copy: 'Copy',
  copied: 'Copied',
  print: 'Print',
  caution:
    'A way is no permission: papers have to be true of this lot, and your local code and licensed practice decide. Freezing kills parasites, not bacteria and no histamine.'
} as const);

/** What a seller is asked for on one way, ready to be sent; empty where nothing is. */
export const requestLetter = /* @__PURE__ */ said(function requestLetter(
  road: Pick<Road, 'steps' | 'route'>,
  lots: ReadonlyMap<string, LotState>,
  house: { readonly name: string }
): string {
  const asked = new Map<string, string[]>();
  for (const step of road.steps) {
    if (step.kind === 'paper' && step.type !== 'authority') {
      const isPart = step.missing.length > 0 && step.missing.length < step.points.length;
      const points = step.cycle
        ? [`that it was frozen ${cycleWords(step.cycle)}`]
        : pointWords(isPart ? step.missing : step.points);
      const again = isPart
        ? ` The paper we have does not say it; please send it again with this line, and all it says already.`
        : '';
      const text = `- ${PAPERS[step.type]}${points.length > 0 ? `, which has to say ${points.join('; ')}` : ''}.${again}`;
      asked.set(step.lot, [...(asked.get(step.lot) ?? []), text]);
    } else if (step.kind === 'fact' && step.field === 'caughtOn') {
      asked.set(step.lot, [...(asked.get(step.lot) ?? []), '- the day of catch or harvest.']);
    }
  }
  return [...asked]
    .map(([id, lines]) => {
      const lot = lots.get(id);
      const received = lot?.received;
      return [
        `To ${received?.supplier || 'the seller'}`,
        '',
        `We took in from you ${received ? received.mass.typed : ''} of ${lot?.species.join(' or ').replaceAll('-', ' ') || 'fish'} (our lot ${id}${
          received?.supplierLot ? `, yours ${received.supplierLot}` : ''
        }). To serve it ${ROUTE_WORDS[road.route].toLowerCase()} we need in writing, for this lot:`,
        '',
        ...lines,
        '',
        'Please date it and name who writes it. If you cannot say this truthfully, tell us so.',
        '',
        house.name
      ].join('\n');
    })
    .join('\n\n');
});

export const roadRoutes = (routes: readonly Route[]) => routes.map((value) => ({ value, name: ROUTE_WORDS[value] }));
