import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { openBrowser, openHouse, signIn, visit } from '../browser/harness.ts';

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

/** How long the page's own thread is held while the time of a cure is dragged. Left out where nothing is built yet. */
export async function dragRows(add: Add): Promise<void> {
  if (!existsSync(built)) {
    console.log('Nothing is built: the dragging of a cure was not measured (npm run build).');
    return;
  }
  const house = await openHouse({ EMBER_TIDE_MODE: 'demo', EMBER_TIDE_FROZEN_AT: '2026-03-13T20:10:00Z' });
  const browser = await openBrowser();
  try {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    await signIn(page, house.url, 'p1');
    await visit(page, `${house.url}/cure?piece=RAI-0312-1-C`);
    await page.waitForSelector('[data-simulated="yes"]');
    await page.waitForTimeout(3000);
    const slider = page.getByLabel('Time in hours').first();
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
    add('longest of the page’s own tasks while a cure’s time is dragged', tasks.at(-1)!, 16, 'ms');
    add('99 of 100 of them', tasks[Math.floor(tasks.length * 0.99)]!, 16, 'ms');
  } finally {
    await browser.close();
    await house.close();
  }
}
