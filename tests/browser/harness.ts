import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, renameSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Browser, type Page } from 'playwright-core';

const root = join(import.meta.dirname, '..', '..');

export interface RunningHouse {
  readonly url: string;
  readonly data: string;
  readonly process: ChildProcess;
  /** Everything it wrote to its console. */
  log(): string;
  close(): Promise<void>;
}

/** Takes away the folder of a house, and the seal beside it. */
export const clear = (data: string): void => {
  for (const each of [data, `${data}.seal`]) rmSync(each, { recursive: true, force: true });
};

/** Starts the built app on a free port of the loopback, with data of its own. */
export async function openHouse(env: Record<string, string> = {}): Promise<RunningHouse> {
  const own = env.EMBER_TIDE_DATA === undefined;
  const data = env.EMBER_TIDE_DATA ?? mkdtempSync(join(tmpdir(), 'ember-tide-'));
  const child = spawn(process.execPath, ['scripts/serve.mjs'], {
    cwd: root,
    env: { ...process.env, PORT: '0', EMBER_TIDE_MODE: 'test', EMBER_TIDE_DATA: data, SHUTDOWN_TIMEOUT: '1', ...env },
    stdio: ['ignore', 'pipe', 'pipe']
  });
  let text = '';
  child.stderr.on('data', (chunk: Buffer) => (text += chunk.toString()));
  const url = await new Promise<string>((resolve, reject) => {
    child.stdout.on('data', (chunk: Buffer) => {
      text += chunk.toString();
      const found = /http:\/\/[\w.]+:\d+/.exec(text);
      if (found) resolve(found[0]);
    });
    child.on('exit', (code) => reject(new Error(`the server ended with ${code}: ${text}`)));
  });
  return {
    url,
    data,
    process: child,
    log: () => text,
    async close() {
      if (child.exitCode === null && child.signalCode === null) {
        const gone = new Promise((resolve) => child.once('exit', resolve));
        child.kill('SIGTERM');
        await gone;
      }
      if (own) clear(data);
    }
  };
}

/** When the demo house is looked at: an evening of its service. */
export const DEMO_EVENING = '2026-03-13T20:10:00Z';

/**
 * The demo house of that evening, made by the app itself; once, as making it takes longer than most tests. Runs that follow each
 * other share it where they are given a folder (`EMBER_TIDE_SEED`): whoever comes first puts it there whole.
 */
let seeded: Promise<string> | undefined;
async function seedOnce(): Promise<string> {
  const shared = process.env.EMBER_TIDE_SEED && join(process.env.EMBER_TIDE_SEED, 'house');
  if (shared && existsSync(shared)) return shared;
  const data = mkdtempSync(join(tmpdir(), 'ember-tide-demo-'));
  const house = await openHouse({
    EMBER_TIDE_MODE: 'demo',
    EMBER_TIDE_FROZEN_AT: DEMO_EVENING,
    EMBER_TIDE_DATA: data
  });
  await house.close();
  if (shared && !existsSync(shared)) {
    const whole = `${shared}-${process.pid}`;
    cpSync(data, whole, { recursive: true });
    try {
      renameSync(whole, shared);
    } catch {
      // Somebody else was first.
      rmSync(whole, { recursive: true, force: true });
    }
  }
  process.once('exit', () => clear(data));
  return data;
}

/** Starts the built app on a copy of the demo house: what is done to it, nobody else sees. */
export async function openDemo(env: Record<string, string> = {}): Promise<RunningHouse> {
  seeded ??= seedOnce();
  const data = mkdtempSync(join(tmpdir(), 'ember-tide-'));
  cpSync(await seeded, data, { recursive: true });
  const house = await openHouse({
    EMBER_TIDE_MODE: 'demo',
    EMBER_TIDE_FROZEN_AT: DEMO_EVENING,
    ...env,
    EMBER_TIDE_DATA: data
  });
  return {
    ...house,
    async close() {
      await house.close();
      clear(data);
    }
  };
}

let launched: Promise<Browser> | undefined;

/** Headless Chromium, closed off from any network but the loopback. */
export const launch = (...more: string[]): Promise<Browser> =>
  chromium.launch({
    executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
    args: [
      '--headless',
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      ...more
    ]
  });

/** The one for all tests, each page of which has a context of its own. */
export const theBrowser = (): Promise<Browser> => (launched ??= launch());

/** Closes every page that is open, so that none of them lives on in the next file. */
export async function closePages(): Promise<void> {
  for (const context of (await launched)?.contexts() ?? []) await context.close();
}

/** Ends it; the next page begins another. */
export async function closeBrowser(): Promise<void> {
  const open = await launched;
  launched = undefined;
  await open?.close();
}
// Within a run of tests it ends with the last of them; a tool ends it by itself.
if (typeof after === 'function') after(closeBrowser);

/** Puts a person at the device. */
export async function signIn(page: Page, url: string, person: string): Promise<void> {
  await page.context().addCookies([{ name: 'ember-person', value: person, url }]);
}

/** Opens a path and waits until its scripts run. */
export async function visit(page: Page, url: string): Promise<void> {
  await page.goto(url);
  await page.waitForSelector('html[data-ready]');
}

/** The demo house for a suite: started before its tests, ended with every page after them. */
export function demoHouse(): { readonly url: string; readonly pid: number; log(): string } {
  let open: RunningHouse;
  before(async () => {
    open = await openDemo();
  });
  after(async () => {
    await closePages();
    await open.close();
  });
  return {
    get url() {
      return open.url;
    },
    get pid() {
      return open.process.pid!;
    },
    log: () => open.log()
  };
}
