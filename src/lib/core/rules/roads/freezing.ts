import { DAY } from '../../measure/spans.ts';
import { running } from '../../record/occupation.ts';
import { forecast, targetOf } from '../../bench/freeze/forecast.ts';
import { thaw } from '../../bench/freeze/thaw.ts';
import type { FreezeRun } from '../../activity/freeze/fold.ts';
import type { RecordEvent } from '../../record/events.ts';
import type { FreezeCycle, RuleProfile } from '../../codes/profile.ts';
import type { foldLineages } from '../verdict.ts';
import type { RouteWindow } from '../../codes/window.ts';
import { celsius, KEPT_CELSIUS, type RoadsInput, type RoadStep } from './steps.ts';
import { COSTS, PROVING_CELSIUS, READ_EVERY, type Remedy, type Writer } from './trial.ts';

/** Reckoned so warm where nobody read it, °C: the cold-holding limit. */
const UNREAD_CELSIUS = 5;
/** Reckoned so thick where nobody measured it, mm (check). */
const UNMEASURED_MM = 100;
/** Air has to be so much colder than a cycle asks, °C: a logger may be out by half of it. */
const AIR_MARGIN = 1;
const PINS = { profile: '', catalogue: '', model: '' };

/** Out of its freezer and thawed in the cold: what would be written, and how long that takes by the slow bound of the model. */
function afterwards(
  { water }: RoadsInput,
  write: Writer,
  piece: {
    readonly subject: string;
    readonly thicknessMm: number;
    readonly grams: number;
    readonly airCelsius: number;
    readonly until: number;
  }
): { events: RecordEvent[]; softFrom: number; thawHours: number | null } {
  const { subject, thicknessMm, grams, airCelsius, until } = piece;
  const medium = KEPT_CELSIUS + 1;
  const startCelsius = Math.max(-60, airCelsius);
  const how = { method: 'cold', shape: 'slab', packing: 'film' } as const;
  const { arrival } = thaw({ ...how, thicknessMm, startCelsius, mediumCelsius: medium, airClass: 'fridge', water });
  const events = [write('freeze.ended', subject, until + 1, { note: '', place: '', release: null })];
  if (!arrival) return { events, softFrom: Infinity, thawHours: null };
  const softFrom = until + arrival.high * 1000;
  const started = {
    ...how,
    place: '',
    medium: celsius(medium),
    pack: 'none' as const,
    thickness: { si: thicknessMm, unit: 'mm', typed: `${thicknessMm} mm` },
    startCore: celsius(startCelsius),
    forecast: arrival,
    surfaceWarmFrom: null,
    grams,
    pins: PINS
  };
  const done = { core: celsius(KEPT_CELSIUS), warmSeconds: 0, drip: null, note: '' };
  events.push(write('thaw.started', subject, until + 1, started), write('thaw.ended', subject, softFrom, done));
  return { events, softFrom, thawHours: arrival.high / 3600 };
}

/** What a freezing asks of a piece: where it stands in the record, how thick and how warm it is. */
interface Block {
  readonly subject: string;
  readonly thicknessMm: number;
  readonly grams: number;
  /** Whether anybody measured how thick it is. */
  readonly measured: boolean;
  readonly startCelsius: number;
}

/** The freezing that goes on: what its clock promises is kept by readings. */
function going(input: RoadsInput, write: Writer, { opens }: RouteWindow, lying: Block, run: FreezeRun): Remedy[] {
  const { now } = input;
  if (opens === null || opens <= now) return [];
  const air = celsius(run.plan.air.si);
  const core = celsius(Math.min(run.plan.air.si, PROVING_CELSIUS));
  const events: RecordEvent[] = [];
  for (let at = now; at < opens + READ_EVERY; at += READ_EVERY) {
    const then = Math.min(at, opens);
    events.push(write('freeze.read', lying.subject, then, { reading: air, probe: 'air' }));
    events.push(write('freeze.read', lying.subject, then, { reading: core, probe: 'core' }));
  }
  const after = afterwards(input, write, { ...lying, airCelsius: run.plan.air.si, until: opens });
  const step: RoadStep = { kind: 'hold', place: run.plan.place, until: opens, thawHours: after.thawHours };
  const cost = COSTS.wait + COSTS.read + (opens - now) / DAY;
  const { softFrom } = after;
  return [{ step, cost, readyAt: opens, piece: [...events, ...after.events], outFrom: opens, softFrom }];
}

/** A freezing in one freezer, by one cycle of the rule book; none where its core would never get there. */
function inFreezer(
  input: RoadsInput,
  write: Writer,
  lying: Block,
  freezer: RoadsInput['freezers'][number],
  cycle: FreezeCycle
): Remedy[] {
  const { now, water } = input;
  const { subject, thicknessMm, measured, startCelsius } = lying;
  const plan = {
    thicknessMm,
    shape: 'slab' as const,
    startCelsius,
    airCelsius: freezer.airCelsius,
    airClass: freezer.airClass,
    packing: 'film' as const,
    loadGrams: lying.grams,
    stack: 1,
    litres: freezer.litres,
    watts: freezer.watts,
    water
  };
  const { arrival } = forecast(plan, targetOf(cycle));
  if (!arrival) return [];
  const coreBy = now + arrival.high * 1000;
  const until = coreBy + cycle.holdSeconds * 1000;
  const read = (at: number, probe: 'core' | 'air') =>
    write('freeze.read', subject, at, { reading: celsius(freezer.airCelsius), probe });
  const events = [
    write('freeze.started', subject, now, {
      place: freezer.place,
      air: celsius(freezer.airCelsius),
      airClass: freezer.airClass,
      packing: 'film',
      thickness: { si: thicknessMm, unit: 'mm', typed: `${thicknessMm} mm` },
      startCore: celsius(startCelsius),
      cycle: cycle.id,
      coreArrival: arrival,
      shape: 'slab',
      coreSensor: '',
      loadGrams: lying.grams,
      lie: 'apart',
      stack: 1,
      pins: PINS
    })
  ];
  for (let at = now; at < coreBy; at += READ_EVERY) events.push(read(at, 'air'));
  for (let at = coreBy; at < until; at += READ_EVERY) events.push(read(at, 'core'), read(at, 'air'));
  events.push(read(until, 'core'), read(until, 'air'));
  const after = afterwards(input, write, { ...lying, airCelsius: freezer.airCelsius, until });
  const step: RoadStep = {
    kind: 'freeze',
    place: freezer.place,
    cycle,
    airCelsius: freezer.airCelsius,
    from: now,
    coreBy,
    until,
    thicknessMm,
    measured,
    thawHours: after.thawHours
  };
  events.push(...after.events);
  return [
    {
      step,
      cost: COSTS.freeze + (until - now) / DAY,
      readyAt: until,
      piece: events,
      outFrom: until,
      softFrom: after.softFrom
    }
  ];
}

/** A freezing in each freezer that is cold enough for a cycle of the rule book. */
export function freezing(
  input: RoadsInput,
  profile: RuleProfile,
  folded: ReturnType<typeof foldLineages>,
  write: Writer,
  opened: RouteWindow
): Remedy[] {
  const { lineages, freezers } = input;
  const [{ lot, chain }] = folded;
  const piece = chain.at(-1)!;
  const { thickness, core } = lot.received;
  const lying: Block = {
    subject: `piece:${lineages[0]!.pieces.at(-1)!.id}`,
    thicknessMm: piece.made.thicknessMm ?? thickness?.si ?? UNMEASURED_MM,
    measured: piece.made.thicknessMm !== null || thickness !== null,
    grams: piece.grams,
    // What is hard already is reckoned from just above its freezing point: later than it will be, never sooner.
    startCelsius: Math.max(0, Math.min(30, piece.readings.at(-1)?.celsius ?? core?.si ?? UNREAD_CELSIUS))
  };
  const run = running(piece.freezes);
  if (run) return going(input, write, opened, lying, run);
  return freezers.flatMap((freezer) =>
    profile.parasites.cycles
      .filter(({ hold, solidAt }) => freezer.airCelsius <= Math.min(hold.c, solidAt?.c ?? hold.c) - AIR_MARGIN)
      .flatMap((cycle) => inFreezer(input, write, lying, freezer, cycle))
  );
}
