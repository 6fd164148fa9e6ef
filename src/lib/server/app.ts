import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { EmberError, type ErrorCode } from '../core/errors.ts';
import { movableClock, systemClock, type Clock, type MovableClock } from './clock.ts';
import { readConfig, type Config } from './config.ts';
import { seedDemo } from './demo/house.ts';
import { openScale, type ScaleLink } from './devices/scale.ts';
import { closeUnfinished } from './import/keep.ts';
import { openImports, type Imports } from './import/jobs.ts';
import { createExecutor, type Executor } from './operations/execute.ts';
import { settleFolder } from './store/folder.ts';
import { lockFolder } from './store/lock.ts';
import { DATABASE_FILE, storeTrouble } from './store/open.ts';
import { openStore, type Store } from './store/store.ts';

export interface App {
  readonly config: Config;
  readonly store: Store;
  readonly clock: Clock;
  /** Only a demo or a test has one. */
  readonly movable: MovableClock | null;
  readonly executor: Executor;
  readonly scale: ScaleLink;
  readonly imports: Imports;
  /** Nothing can be written. */
  readonly readOnly: boolean;
  /** Gives the folder's lock back, once the record is closed. */
  readonly unlock: () => void;
}

/** What a folder holds, opened; and how its lock is given back. */
interface Kept {
  readonly store: Store;
  readonly readOnly: boolean;
  readonly unlock: () => void;
}

const isCode = (error: unknown, code: ErrorCode): boolean => error instanceof EmberError && error.code === code;

/**
 * Opens the record of a folder for this process alone, with whatever was cut off there finished or cleaned up. One that may not
 * be written to is opened for reading.
 *
 * @throws EmberError `store.in-use`, `store.gone`, `store.no-folder`, `store.damaged`, `store.newer`, `store.read-only`
 */
function openFolder({ dataFolder, mode, readOnly, maxPages, seal }: Config): Kept {
  const file = join(dataFolder, DATABASE_FILE);
  const forReading = (): Kept => ({
    store: openStore(file, { readonly: true }),
    readOnly: true,
    unlock: () => undefined
  });
  if (mode === 'production' && !existsSync(dataFolder)) throw new EmberError('store.no-folder', { seen: dataFolder });
  if (readOnly) return forReading();
  let unlock: (() => void) | null = null;
  try {
    unlock = lockFolder(dataFolder);
    settleFolder(dataFolder, seal);
    const store = openStore(file, { maxPages, seal });
    if (store.noted.loss()?.found.seq === 0) {
      store.close();
      throw new EmberError('store.gone', { seen: file });
    }
    return { store, readOnly: false, unlock };
  } catch (error) {
    unlock?.();
    const trouble = storeTrouble(error, file);
    if (isCode(trouble, 'store.read-only') && existsSync(file)) return forReading();
    throw trouble;
  }
}

/** Opens the house. A record that may not be written to is opened for reading, and says so. */
export function openApp(env: Record<string, string | undefined>): App {
  const config = readConfig(env);
  const movable = config.mode === 'production' ? null : movableClock(config.frozenAt, config.frozenAt !== null);
  const clock = movable ?? systemClock();
  const { store, readOnly, unlock } = openFolder(config);
  const isNew = !readOnly && store.record.head().seq === 0;
  // All of it or nothing: a demo house that was cut off in the making is made anew.
  if (config.mode === 'demo' && isNew) store.transact(() => seedDemo(store, clock.now()));
  const opened: App = {
    config,
    store,
    clock,
    movable,
    executor: createExecutor(store, clock),
    scale: openScale(config.scale),
    imports: openImports(() => opened),
    readOnly,
    unlock
  };
  if (!readOnly && !store.noted.loss() && opened.executor.clockAheadSeconds() === 0) {
    closeUnfinished(opened.executor, store);
  }
  return opened;
}

let app: App | null = null;

/** The running house; opened at the first call. */
export function theApp(): App {
  app ??= openApp(process.env);
  return app;
}

export function closeApp(): void {
  app?.imports.close();
  app?.scale.close();
  app?.store.close();
  app?.unlock();
  app = null;
}

// A development server that takes in a changed file opens the house again: the lock is given back first.
import.meta.hot?.dispose(closeApp);
