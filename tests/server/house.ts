import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { movableClock, type MovableClock } from '../../src/lib/server/clock.ts';
import { createExecutor, type Answer, type Executor } from '../../src/lib/server/operations/execute.ts';
import { answerTroubles } from './answers.ts';
import { operationByName } from '../../src/lib/server/registry.ts';
import { openStore, type Store, type StoreOptions } from '../../src/lib/server/store/store.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { CHAR, FEED } from '../../src/lib/server/examples.ts';

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
export function openTestHouse(file = ':memory:', options: StoreOptions = {}): TestHouse {
  const store = openStore(file, options);
  const clock = movableClock(NOON, true);
  let keys = 0;
  let secrets = 0;
  const executor = createExecutor(store, clock, () => `a-key-nobody-guesses-${++secrets}`);
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

/** Char with its paper in a house of its own for each test of the suite that asks; its record is verified after each. */
export function charHouse(): { readonly house: TestHouse; readonly piece: string } {
  const at = { house: null as unknown as TestHouse, piece: '' };
  beforeEach(() => {
    at.house = openTestHouse();
    const got = at.house.done('receive-lot', CHAR);
    at.house.done('attach-evidence', { lot: got.lot, ...FEED });
    at.piece = String(got.piece);
  });
  afterEach(() => {
    const { trouble } = verify(at.house.store, at.house.clock.now());
    at.house.close();
    if (trouble !== null) throw new Error(`the record does not verify: ${JSON.stringify(trouble)}`);
  });
  return at;
}

/** A folder that goes away after the test. */
export function scratch(): { path: string; clear: () => void } {
  const path = mkdtempSync(join(tmpdir(), 'ember-tide-test-'));
  return {
    path,
    clear: () => [path, `${path}.seal`].forEach((each) => rmSync(each, { recursive: true, force: true }))
  };
}

export { CHAR, FEED };
