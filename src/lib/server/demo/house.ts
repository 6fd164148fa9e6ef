import { DAY, HOUR } from '../../core/measure/spans.ts';
import { seededChance } from '../../core/random.ts';
import { businessDay, addDays, type HouseTime } from '../../core/measure/day.ts';
import { ACTIVITIES } from '../activities.ts';
import { movableClock } from '../clock.ts';
import { createExecutor } from '../operations/execute.ts';
import { operationByName } from '../registry.ts';
import { rackOf, sittings } from './age.ts';
import { coldLogs, coldPlacesOf, DEMO_LOGGER_KEY } from './cold.ts';
import { curesOf, diceOf } from './cure.ts';
import { dishesOf } from './dishes.ts';
import { knifeWork } from './knife.ts';
import { demoPaper, houseBooks, morning } from './morning.ts';
import { week } from './week.ts';
import type { Store } from '../store/store.ts';

/** A made-up raw bar in a made-up harbour town: everybody and everything here is invented. */
export const DEMO_HOUSE = {
  name: 'The Ebb Counter, Vessmouth',
  profile: 'us-fc',
  zone: 'America/New_York',
  dayEndsHour: 4,
  currency: 'USD',
  countFromCore: true,
  strictAccuracy: false,
  warnMinutes: 120,
  rawShareOfIceDays: 0.5,
  dateMarkDays: 7
};
export const DEMO_PEOPLE = ['Tove Lindqvale', 'Osei Marrow', 'Yuna Castellane-Featherstone'];

type Input = Record<string, unknown>;
interface Step {
  readonly hoursAgo: number;
  readonly by: string;
  readonly operation: string;
  readonly input: () => Input;
  readonly then?: (result: Record<string, unknown>) => void;
}

/**
 * Fills an empty store with a week in full swing, through the same operations as everything else.
 *
 * @param startedAt the moment the demo begins, ms: everything is told relative to it
 * @param seed the same seed gives the same weights and temperatures
 */
export function seedDemo(store: Store, startedAt: number, seed = 0.42): void {
  const chance = seededChance(seed);
  const clock = movableClock(startedAt - 12 * DAY, true);
  const executor = createExecutor(store, clock, () => DEMO_LOGGER_KEY);
  const { execute } = executor;
  const house: HouseTime = { zone: DEMO_HOUSE.zone, dayEndsHour: DEMO_HOUSE.dayEndsHour };
  const daysAgo = (days: number) => addDays(businessDay(startedAt, house), -days);
  const grams = (about: number) => `${Math.round(about * chance.uniform(0.95, 1.05))} g`;
  const celsius = (about: number) => `${(about + chance.uniform(-0.3, 0.3)).toFixed(1)} C`;
  let keys = 0;
  const perform = (by: string | null, name: string, input: Input): Record<string, unknown> => {
    const operation = operationByName(name)!;
    const answer = execute({ operation, input, actor: by, key: `demo-${++keys}` });
    if (!answer.ok) throw new Error(`demo: ${name} refused: ${answer.code} ${JSON.stringify(answer.details)}`);
    return answer.result;
  };

  perform(null, 'join-person', { name: DEMO_PEOPLE[0]! });
  for (const name of DEMO_PEOPLE.slice(1)) perform('p1', 'join-person', { name });
  perform('p1', 'set-house', DEMO_HOUSE);

  const steps: Step[] = [];
  const pieces: Record<string, string> = {};
  const lots: Record<string, string> = {};
  const step = (hoursAgo: number, by: string, operation: string, input: () => Input, then?: Step['then']) =>
    steps.push({ hoursAgo, by, operation, input, then });
  const receive = (name: string, hoursAgo: number, by: string, input: Input | (() => Input), place = 'Drawer 1') => {
    const given = () => (typeof input === 'function' ? input() : input);
    step(
      hoursAgo,
      by,
      'receive-lot',
      () => ({ commercial: 'yes', water: 'sea', decision: 'accept', pack: 'none', ice: 'plenty', ...given() }),
      (result) => {
        lots[name] = String(result.lot);
        pieces[name] = String(result.piece);
      }
    );
    // From the scale into the cold at once, before anything else is done to it.
    step(hoursAgo - 0.02, by, 'move-piece', () => ({ piece: pieces[name], place }));
  };
  const paper = (name: string, hoursAgo: number, input: Input) =>
    step(hoursAgo, 'p2', 'attach-evidence', () => ({ lot: lots[name], ...input }));
  const divide = (from: string, name: string, hoursAgo: number, input: Input) =>
    step(
      hoursAgo,
      'p1',
      'divide-piece',
      () => ({ piece: pieces[from], ...input }),
      (result) => {
        pieces[name] = String(result.piece);
      }
    );
  const on = (name: string, hoursAgo: number, by: string, operation: string, input: Input) =>
    step(hoursAgo, by, operation, () => ({ piece: pieces[name], ...input }));
  const chilled = {
    type: 'chill-record',
    issuer: 'Kelda Bay Boats',
    reference: 'deck sheet',
    note: 'slurry ice aboard'
  };

  const { hash: statement } = store.files.put(
    demoPaper([
      'Skarnes Tank Farm',
      'Feed statement FS-2291',
      'Pelleted feed, no live parasites. Invented for a demo.'
    ]),
    'application/pdf',
    clock.now()
  );

  const tools = { step, receive, paper, daysAgo, grams, celsius, lots, pieces };
  week({ ...tools, divide, on, chilled, statement, chance });
  morning(tools);
  houseBooks(tools);
  knifeWork(tools);
  coldPlacesOf(tools);
  curesOf(tools);
  dishesOf(tools);
  diceOf(tools);
  rackOf(tools);
  sittings(tools);
  for (const { demo } of ACTIVITIES) demo?.(tools);

  for (const { hoursAgo, by, operation, input, then } of steps.sort((a, b) => b.hoursAgo - a.hoursAgo)) {
    clock.moveTo(startedAt - hoursAgo * HOUR, true);
    const result = perform(by, operation, input());
    then?.(result);
  }
  clock.moveTo(startedAt - 120_000, true);
  coldLogs(store, executor, startedAt - 120_000, perform);
  clock.moveTo(startedAt - 60_000, true);
  perform('p3', 'sign-day', { note: 'counted and signed' });
}
