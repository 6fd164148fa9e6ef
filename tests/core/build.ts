import {
  EVENT_KINDS,
  checkBody,
  type BodyOf,
  type EventKind,
  type RecordEvent
} from '../../src/lib/core/record/events.ts';
import { placeLog, type LogBook } from '../../src/lib/core/log/holding.ts';
import { between, NO_READINGS, seriesOf, type LogReading } from '../../src/lib/core/log/series.ts';
import { NO_CUT } from '../../src/lib/core/activity/piece/bodies.ts';
import { NEW_HOUSE, type HouseState } from '../../src/lib/core/record/house.ts';
import { NO_PAPER } from '../../src/lib/core/rules/roads/steps.ts';
import { verdict, type Lineage, type Verdict } from '../../src/lib/core/rules/verdict.ts';
import type { Route, WindowState } from '../../src/lib/core/codes/window.ts';

/** Builds records for tests: every body is checked by the same schemas as in the house. */
export const HOUR = 3600_000;
export const DAY = 24 * HOUR;
/** The moment a test's lot comes in: a Monday noon, UTC. */
export const START = Date.UTC(2026, 2, 9, 12);
/** Cold places that stood on the list before anything came in. */
export const listed = (...names: string[]): Pick<HouseState, 'coldSpans'> => ({
  coldSpans: names.map((name) => ({ id: name, name, from: -Infinity, to: null }))
});
export const HOUSE: HouseState = {
  ...NEW_HOUSE,
  name: 'Test',
  zone: 'UTC',
  ...listed('Drawer', 'Drawer 2', 'Rack', 'Cabinet', 'Fridge')
};
const pins = { profile: 't', catalogue: 't', model: 't' };

export const typed = (si: number, unit: string, text = `${si} ${unit}`) => ({ si, unit, typed: text });
export const celsius = (si: number) => typed(si, 'C');

let seq = 0;
/** One event, an hour figure after the start. */
export function event<Kind extends EventKind>(
  kind: Kind,
  hours: number,
  body: BodyOf<Kind>,
  more: { subject?: string; seq?: number; recorded?: number; actor?: string } = {}
): Extract<RecordEvent, { kind: Kind }> {
  if (!(kind in EVENT_KINDS)) throw new Error(kind);
  const happened = START + hours * HOUR;
  return {
    seq: more.seq ?? ++seq,
    happened,
    recorded: more.recorded ?? happened,
    actor: more.actor ?? 'p1',
    subject: more.subject ?? 'piece:P',
    kind,
    body: checkBody(kind, body)
  } as unknown as Extract<RecordEvent, { kind: Kind }>;
}

export type LotBody = BodyOf<'lot.received'>;
/** A clean wild halibut, cold, caught the day before, from a named commercial source. */
export const LOT: LotBody = {
  code: 'L',
  species: 'halibut',
  candidates: [],
  form: 'block',
  source: 'wild',
  farmSystem: null,
  water: 'sea',
  area: 'Vess Banks',
  faoArea: '27',
  supplier: 'Kelda Bay Boats',
  supplierLot: '',
  commercial: 'yes',
  purpose: 'sale',
  caughtOn: '2026-03-08',
  landedOn: null,
  gear: 'unknown',
  killing: 'unknown',
  mass: typed(1000, 'g'),
  count: null,
  cases: null,
  thickness: null,
  core: celsius(1),
  air: null,
  pack: 'none',
  packIndicator: 'unknown',
  ice: 'plenty',
  frozen: false,
  previouslyFrozen: 'unknown',
  roeRinsed: false,
  price: null,
  pricePerKg: null,
  currency: 'EUR',
  claim: '',
  decision: 'accept',
  reason: '',
  delivery: '',
  pins
};
export type PaperBody = BodyOf<'evidence.attached'>;
export const PAPER: PaperBody = { ...NO_PAPER, issuer: 'Somebody', reference: '' };
export const paper = (more: Partial<PaperBody>, hours = 0.1) =>
  event('evidence.attached', hours, { ...PAPER, ...more }, { subject: 'lot:L' });

const made = (form: LotBody['form']): BodyOf<'piece.made'> => ({
  code: 'P',
  lot: 'L',
  parents: [],
  name: 'Piece',
  form,
  grams: 1000,
  mass: typed(1000, 'g'),
  thicknessMm: 30,
  ...NO_CUT
});
export const freezeStart = (hours: number, more: Partial<BodyOf<'freeze.started'>> = {}) =>
  event('freeze.started', hours, {
    place: 'Chest',
    air: celsius(-25),
    airClass: 'fan',
    packing: 'film',
    thickness: typed(30, 'mm'),
    startCore: celsius(2),
    cycle: 'us-168h',
    coreArrival: { low: 3600, likely: 7200, high: 4 * 3600 },
    shape: 'slab',
    coreSensor: '',
    loadGrams: null,
    lie: 'apart',
    stack: 1,
    pins,
    ...more
  });
export const freezeRead = (hours: number, reading: number, probe: 'core' | 'air' = 'core') =>
  event('freeze.read', hours, { reading: celsius(reading), probe });
export const freezeEnd = (hours: number) => event('freeze.ended', hours, { note: '', place: '', release: null });
export const readEvery = (from: number, to: number, step: number, reading: number) => {
  const out = [];
  for (let hours = from; hours < to; hours += step) out.push(freezeRead(hours, reading));
  return [...out, freezeRead(to, reading)];
};
export const holdStart = (hours: number, control: '4h' | '6h' = '4h', startCore = celsius(3)) =>
  event('hold.started', hours, {
    control,
    label: 'Tray',
    startCore,
    discardAt: START + (hours + (control === '6h' ? 6 : 4)) * HOUR,
    pins
  });
/** On the board from an hour to another, with cores before and after where they were read. */
export const board = (
  from: number,
  to: number,
  {
    start = null,
    end = null
  }: { start?: ReturnType<typeof celsius> | null; end?: ReturnType<typeof celsius> | null } = {}
): RecordEvent[] => [
  event('board.opened', from, {
    map: 'side',
    school: 'none',
    template: '',
    grams: 1000,
    core: start,
    scaleInterval: 1,
    expected: null,
    pins
  }),
  event('board.closed', to, {
    remains: 1000,
    gap: 0,
    tolerance: 1,
    gapReason: '',
    secondsOut: (to - from) * 3600,
    note: ''
  }),
  event('piece.moved', to, { place: 'Drawer', cold: true, core: end, secondsOut: (to - from) * 3600 })
];
/** A thaw from an hour to another; of a core that nobody read where it is null. */
export const thaw = (
  from: number,
  to: number,
  { method, core, medium = 15 }: { method: 'cold' | 'water'; core: number | null; medium?: number }
): RecordEvent[] => [
  event('thaw.started', from, {
    method,
    place: 'Sink',
    medium: celsius(medium),
    packing: 'film',
    shape: 'slab',
    pack: 'opened',
    thickness: typed(30, 'mm'),
    startCore: celsius(-20),
    forecast: null,
    surfaceWarmFrom: null,
    grams: 1000,
    pins
  }),
  event('thaw.ended', to, { core: core === null ? null : celsius(core), warmSeconds: 0, drip: null, note: '' })
];
/** Into acid at a temperature. */
export const acidStart = (hours: number, warmth: number, more: Partial<BodyOf<'acid.started'>> = {}) =>
  event('acid.started', hours, {
    set: {
      cut: 'dice',
      size: typed(12, 'mm'),
      second: null,
      third: null,
      faces: 2,
      mass: null,
      celsius: celsius(warmth),
      liquid: 'lime 500',
      measuredPH: null,
      wanted: 'rimmed',
      pace: null
    },
    subject: { grams: 1000, dark: false, pace: 1 },
    ready: null,
    past: null,
    later: null,
    salt: 0,
    place: '',
    allergens: [],
    pins,
    ...more
  });
export const cureStart = (hours: number, lasts: number, more: Partial<BodyOf<'cure.started'>> = {}) => {
  const band = { low: 1, likely: 2, high: 3 };
  return event('cure.started', hours, {
    method: 'weighed',
    grams: 1000,
    thickness: typed(30, 'mm'),
    faces: 1,
    celsius: 3,
    saltGrams: 25,
    sugarGrams: 10,
    hours: lasts,
    target: 0.01,
    forecast: {
      meanSaltPercent: band,
      middleSaltPercent: band,
      surfaceWps: band,
      gramsAfter: band,
      middleReachesAt: null,
      leastWps: band,
      waterActivity: 0.97
    },
    dueAt: START + (hours + lasts) * HOUR,
    set: null,
    subject: null,
    stages: [],
    steps: [],
    place: '',
    pack: 'open',
    turned: false,
    pressed: false,
    recipe: null,
    allergens: [],
    readyBy: null,
    pins,
    ...more
  });
};
export const cureEnd = (hours: number, more: Partial<BodyOf<'cure.ended'>> = {}) =>
  event('cure.ended', hours, {
    massAfter: null,
    note: '',
    taste: null,
    saltTaste: 'unknown',
    salt: null,
    place: '',
    stages: [],
    warmth: [],
    ...more
  });

/** A sheet that read so many days on ice off the fish. */
export const inspection = (
  hours: number,
  { likely, decision = 'accept', reason = '' }: { likely: number; decision?: LotBody['decision']; reason?: string }
) =>
  event(
    'lot.inspected',
    hours,
    {
      sheet: 'fillet',
      version: 't',
      answers: {},
      points: 0,
      most: 1,
      iceDays: { low: Math.max(0, likely - 1), likely, high: likely + 1 },
      recommended: 'accept',
      decision,
      reason,
      owned: false,
      note: '',
      pins
    },
    { subject: 'lot:L' }
  );
/** Somebody answers for a finding on the four raw routes, or on those named. */
export const owns = (
  code: string,
  {
    routes = ['raw', 'cured', 'acid', 'seared'],
    until = null,
    hours = 0.2
  }: Partial<BodyOf<'exception.owned'>> & { hours?: number } = {}
) => event('exception.owned', hours, { code, routes, reason: 'because I looked', until, pins });

/** Readings by hour after the start, every so many minutes from one hour to another. */
export const logged = (from: number, to: number, figure: number | ((hours: number) => number), everyMinutes = 10) => {
  const out: LogReading[] = [];
  for (let minute = from * 60; minute <= to * 60 + 1e-9; minute += everyMinutes) {
    const hours = minute / 60;
    out.push({ at: START + minute * 60_000, celsius: typeof figure === 'number' ? figure : figure(hours) });
  }
  return out;
};
const LOG_GAP = 2 * HOUR;
/** What sensors say: the air of places, and of a probe called core. */
export const logsOf =
  (air: Readonly<Record<string, readonly LogReading[]>>, core: readonly LogReading[] = []) =>
  (until: number): LogBook => {
    const of = (name: string) => (air[name] ? between(seriesOf(air[name]), -Infinity, until) : NO_READINGS);
    return {
      place: (name) => (air[name] ? placeLog(of(name), LOG_GAP, [901]) : null),
      run: (name, probe, from, to) => ({
        air: between(of(name), from, to),
        core: probe === '' ? NO_READINGS : between(seriesOf(core), from, to),
        hand: [],
        accuracy: 0.5,
        seq: 902
      })
    };
  };
/** Read cold twice a day, as a kitchen does: 2 °C adds nothing to any clock. */
export const kept = (to: number, from = 12): RecordEvent[] => {
  const out: RecordEvent[] = [];
  for (let hours = from; hours <= to; hours += 12)
    out.push(event('cold.read', hours, { reading: celsius(2), place: '' }));
  return out;
};
/** Put somewhere. */
export const moved = (hours: number, place: string) =>
  event('piece.moved', hours, { place, cold: true, core: null, secondsOut: 0 });

export interface Case {
  /** What sensors had said by a moment. */
  readonly logs?: (until: number) => LogBook;
  lot?: Partial<LotBody>;
  papers?: readonly RecordEvent[];
  events?: readonly RecordEvent[];
}
export function lineageOf({ lot = {}, papers = [], events = [] }: Case): Lineage {
  const body = { ...LOT, ...lot };
  const all = [...papers, ...events];
  const ofLot = ({ subject }: RecordEvent) => subject === 'lot:L';
  return {
    lotId: 'L',
    // What speaks of the lot and what speaks of the piece may be given in one list.
    lot: [event('lot.received', 0, body, { subject: 'lot:L', seq: 0 }), ...all.filter(ofLot)],
    pieces: [
      {
        id: 'P',
        events: [event('piece.made', 0, made(body.form), { seq: 0 }), ...all.filter((each) => !ofLot(each))]
      }
    ]
  };
}
/** The verdict some hours after the start. */
export const ask = (of: Case, hours: number, profile = 'us-fc', house = HOUSE): Verdict =>
  verdict(lineageOf(of), house, START + hours * HOUR, START + 10_000 * HOUR, profile, of.logs?.(START + hours * HOUR));
export const stateOf = (of: Verdict, route: Route): WindowState =>
  of.windows.find((window) => window.route === route)!.state;
export const codes = (of: Verdict): string[] => of.reasons.map(({ code }) => code);
