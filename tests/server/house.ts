import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { movableClock, type MovableClock } from '../../src/lib/server/clock.ts';
import { createExecutor, type Answer, type Executor } from '../../src/lib/server/operations/execute.ts';
import { answerTroubles } from './answers.ts';
import { operationByName } from '../../src/lib/server/registry.ts';
import type { OpenOptions } from '../../src/lib/server/store/open.ts';
import { openStore, type Store } from '../../src/lib/server/store/store.ts';

export const NOON = Date.UTC(2026, 2, 9, 12);
export const HOUR = 3600_000;

export interface TestHouse {
  readonly store: Store;
  readonly clock: MovableClock;
  readonly executor: Executor;
  /** Performs an operation as p1; each call has a key of its own unless one is given. */
  act(
    name: string,
    input: unknown,
    more?: { key?: string; seen?: number; actor?: string | null; tablet?: string }
  ): Answer;
  /** Performs it and hands back its result; fails the test where it is refused. */
  done(name: string, input: unknown): Record<string, unknown>;
  close(): void;
}

/** A house with a clock that stands still at a Monday noon, and one person, Ada. */
export function openTestHouse(file = ':memory:', options: OpenOptions = {}): TestHouse {
  const store = openStore(file, options);
  const clock = movableClock(NOON, true);
  const executor = createExecutor(store, clock);
  let keys = 0;
  const house: TestHouse = {
    store,
    clock,
    executor,
    act(name, input, { key, seen, actor = 'p1', tablet } = {}) {
      const answer = executor.execute({
        operation: operationByName(name)!,
        input,
        actor,
        tablet,
        key: key ?? `key-${store.record.head().seq}-${++keys}`,
        seen
      });
      // Whatever a test does, its result is held against what the document says of it.
      if (answer.ok) {
        const troubles = answerTroubles(name, answer);
        if (troubles.length > 0) throw new Error(troubles.join('; '));
      }
      return answer;
    },
    done(name, input) {
      const answer = house.act(name, input);
      if (!answer.ok) throw new Error(`${name}: ${answer.code} ${JSON.stringify(answer.details)}`);
      return answer.result;
    },
    close: () => store.close()
  };
  if (store.people.list().length === 0) house.act('join-person', { name: 'Ada' }, { actor: null });
  return house;
}

/** A folder that goes away after the test. */
export function scratch(): { path: string; clear: () => void } {
  const path = mkdtempSync(join(tmpdir(), 'ember-tide-test-'));
  return { path, clear: () => rmSync(path, { recursive: true, force: true }) };
}

export const CHAR = {
  species: 'arctic-char',
  form: 'fillet',
  source: 'farmed',
  farmSystem: 'land-based',
  water: 'fresh',
  commercial: 'yes',
  supplier: 'Skarnes Tank Farm',
  caughtOn: '2026-03-08',
  mass: '2 kg',
  thickness: '28 mm',
  core: '1.5 C'
};
export const FEED = {
  type: 'feed-statement',
  issuer: 'Skarnes Tank Farm',
  formulatedFeed: true,
  raised: true,
  fromEmbryos: true,
  noHazardVerified: true
};
