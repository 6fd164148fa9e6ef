import { existsSync } from 'node:fs';
import { join } from 'node:path';
import type { Browser } from 'playwright-core';
import { closeBrowser, theBrowser, openHouse, signIn, visit } from '../browser/harness.ts';

type Add = (what: string, value: number, budget: number, unit: string) => void;

interface TraceEvent {
  readonly name: string;
  readonly ph: string;
  readonly pid: number;
  readonly tid: number;
  readonly dur?: number;
  readonly args?: { readonly name?: string };
}

const built = join(import.meta.dirname, '..', '..', 'build', 'index.js');

interface Dragged {
  readonly what: string;
  readonly path: string;
  /** Of the slider that is dragged. */
  readonly label: string;
  /** How many times slower the page is made, and what a task of it may take then, ms. */
  readonly slower?: number;
  readonly most?: number;
}
const DRAGGED: readonly Dragged[] = [
  { what: 'a cure’s time', path: '/cure?piece=RAI-0312-1-C', label: 'Time in hours' },
  { what: 'the size of dice in acid', path: '/acid?piece=HAL-0302-1-A', label: 'Size' },
  { what: 'the time of dice in acid', path: '/acid?piece=HAL-0302-1-A', label: 'Time in acid' },
  {
    what: 'the weight of a slice, four times slowed down,',
    path: '/slice?piece=TUR-0313-1-B',
    label: 'Weight of one slice',
    slower: 4,
    most: 50
  }
];

/** How long the page's own thread is held while a control of a bench is dragged. Left out where nothing is built yet. */
export async function dragRows(add: Add): Promise<void> {
  if (!existsSync(built)) {
    console.log('Nothing is built: dragging was not measured (npm run build).');
    return;
  }
  const house = await openHouse({ EMBER_TIDE_MODE: 'demo', EMBER_TIDE_FROZEN_AT: '2026-03-13T20:10:00Z' });
  const browser = await theBrowser();
  try {
    for (const { what, path, label, slower = 1, most = 16 } of DRAGGED) {
      const tasks = await dragging(browser, house.url, path, label, slower);
      add(`longest of the page’s own tasks while ${what} is dragged`, tasks.at(-1)!, most, 'ms');
      add('99 of 100 of them', tasks[Math.floor(tasks.length * 0.99)]!, most, 'ms');
    }
  } finally {
    await closeBrowser();
    await house.close();
  }
}

/** Tasks of the page's own thread while a slider is dragged there and back, ms, sorted. */
async function dragging(browser: Browser, url: string, path: string, label: string, slower: number): Promise<number[]> {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await signIn(page, url, 'p1');
  await visit(page, `${url}${path}`);
  await page.waitForSelector('[data-simulated="yes"]');
  await page.waitForTimeout(3000);
  const devtools = await page.context().newCDPSession(page);
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: slower });
  const slider = page.getByRole('slider', { name: label }).first();
  await slider.scrollIntoViewIfNeeded();
  const box = (await slider.boundingBox())!;
  const y = box.y + box.height / 2;
  const across = async (from: number, to: number, moves: number) => {
    for (let move = 0; move <= moves; move++) {
      await page.mouse.move(box.x + box.width * (from + ((to - from) * move) / moves), y);
      await page.waitForTimeout(16);
    }
  };
  await page.mouse.move(box.x + box.width * 0.2, y);
  await page.mouse.down();
  // The first drag warms the engine up.
  await across(0.2, 0.9, 60);
  await browser.startTracing(page, {
    categories: ['toplevel', 'devtools.timeline', 'disabled-by-default-devtools.timeline']
  });
  await across(0.9, 0.15, 90);
  await across(0.15, 0.8, 90);
  const trace = JSON.parse((await browser.stopTracing()).toString()) as { traceEvents: TraceEvent[] };
  await page.mouse.up();
  await page.context().close();
  const mains = new Set(
    trace.traceEvents
      .filter(({ name, args }) => name === 'thread_name' && args?.name === 'CrRendererMain')
      .map(({ pid, tid }) => `${pid} ${tid}`)
  );
  const tasks = trace.traceEvents
    .filter(({ name, ph, pid, tid, dur }) => name === 'RunTask' && ph === 'X' && dur && mains.has(`${pid} ${tid}`))
    .map(({ dur }) => dur! / 1000)
    .sort((a, b) => a - b);
  if (tasks.length < 100) throw new Error(`only ${tasks.length} tasks were seen`);
  return tasks;
}
