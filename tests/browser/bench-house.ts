import { expect } from 'chai';
import type { BrowserContextOptions } from 'playwright-core';
import { closePages, openDemo, openHouse, signIn, visit, type RunningHouse } from './harness.ts';
import { watch } from './watch.ts';

export const NOON = '2026-03-09T12:00:00Z';

/** A running house whose clock stands still and is moved by hand, and one person in it. */
export interface BenchHouse {
  readonly house: RunningHouse;
  /** Performs an operation; fails the test where it is refused. */
  call(name: string, input: unknown, actor?: string): Promise<Record<string, string>>;
  /** Moves the clock on. */
  later(hours: number): Promise<unknown>;
  /** Opens a path in a context of its own, signed in. */
  open(path: string, options?: BrowserContextOptions): ReturnType<typeof watch>;
  close(): Promise<void>;
}

/** Hands in a house that runs. */
function handsIn(house: RunningHouse): BenchHouse {
  let keys = 0;
  return {
    house,
    async call(name, input, actor = 'p1') {
      const answer = await fetch(`${house.url}/api/v1/operations/${name}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', 'x-ember-person': actor, 'idempotency-key': `k${++keys}` },
        body: JSON.stringify(input)
      });
      const body = (await answer.json()) as { result: Record<string, string> };
      expect(answer.status, `${name} ${JSON.stringify(body)}`).to.equal(200);
      return body.result;
    },
    later: (byHours) =>
      fetch(`${house.url}/api/v1/demo/clock`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ byHours, frozen: true })
      }),
    async open(path, options) {
      const watched = await watch(options);
      await signIn(watched.page, house.url, 'p1');
      await visit(watched.page, house.url + path);
      return watched;
    },
    async close() {
      await closePages();
      await house.close();
    }
  };
}

/** An empty house at noon, and Ada in it. */
export async function openBenchHouse(env: Record<string, string> = {}): Promise<BenchHouse> {
  const bench = handsIn(await openHouse({ EMBER_TIDE_FROZEN_AT: NOON, ...env }));
  await bench.call('join-person', { name: 'Ada Skerry' }, '');
  return bench;
}

/** The demo house of its evening; pages are opened as its first person. */
export const openDemoHouse = async (env: Record<string, string> = {}): Promise<BenchHouse> =>
  handsIn(await openDemo(env));

/** A house under the European profile, as a form sends it. */
export const OSLO = {
  name: 'The Test Counter',
  profile: 'eu',
  zone: 'Europe/Oslo',
  dayEndsHour: 4,
  currency: 'NOK',
  warnMinutes: 60,
  rawShareOfIceDays: 0.5,
  dateMarkDays: 5
};
