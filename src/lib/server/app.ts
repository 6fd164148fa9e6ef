import { join } from 'node:path';
import { movableClock, systemClock, type Clock, type MovableClock } from './clock.ts';
import { readConfig, type Config } from './config.ts';
import { seedDemo } from './demo/house.ts';
import { openScale, type ScaleLink } from './devices/scale.ts';
import { openImports, type Imports } from './import/jobs.ts';
import { createExecutor, type Executor } from './operations/execute.ts';
import { DATABASE_FILE } from './store/open.ts';
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
  /** Why nothing can be written, if so. */
  readonly readOnly: boolean;
}

/** Opens the house. A record that may not be written to is opened for reading, and says so. */
export function openApp(env: Record<string, string | undefined>): App {
  const config = readConfig(env);
  const movable = config.mode === 'production' ? null : movableClock(config.frozenAt, config.frozenAt !== null);
  const clock = movable ?? systemClock();
  const file = join(config.dataFolder, DATABASE_FILE);
  let readOnly = config.readOnly;
  let store: Store;
  try {
    store = openStore(file, { readonly: readOnly, maxPages: config.maxPages });
  } catch (error) {
    if (readOnly || !/READONLY|CANTOPEN|PERM/.test((error as { code?: string }).code ?? '')) throw error;
    readOnly = true;
    store = openStore(file, { readonly: true });
  }
  if (config.mode === 'demo' && !readOnly && store.record.head().seq === 0) seedDemo(store, clock.now());
  const opened: App = {
    config,
    store,
    clock,
    movable,
    executor: createExecutor(store, clock),
    scale: openScale(config.scale),
    imports: openImports(() => opened),
    readOnly
  };
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
  app = null;
}
