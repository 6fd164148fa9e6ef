import { expect } from 'chai';
import { connect } from 'node:net';
import type { Page } from 'playwright-core';
import { runPrinter } from '../../devices/printer.ts';
import { runScale } from '../../devices/scale.ts';
import { scratch } from '../server/house.ts';
import { openBenchHouse, type BenchHouse } from './bench-house.ts';

/** A house at noon with a simulated scale and label printer at its side. */
export interface ScaleHouse {
  readonly bench: BenchHouse;
  /** Where the printer keeps what it prints. */
  readonly printed: ReturnType<typeof scratch>;
  /** Tells the simulation what lies on its pan. */
  tell(line: string): Promise<void>;
  close(): Promise<void>;
}

export async function openScaleHouse(): Promise<ScaleHouse> {
  const said: string[] = [];
  const printed = scratch();
  const clock = () => performance.timeOrigin + performance.now();
  const stops = [
    await runScale(0, 0, (text) => said.push(text), clock),
    await runPrinter(0, printed.path, (text) => said.push(text))
  ];
  const [, scale, pan] = /:(\d+), its pan at 127\.0\.0\.1:(\d+)/.exec(said[0]!)!;
  const [, printer] = /:(\d+),/.exec(said[1]!)!;
  const bench = await openBenchHouse({
    EMBER_TIDE_SCALE: `127.0.0.1:${scale}`,
    EMBER_TIDE_PAN: `127.0.0.1:${pan}`,
    EMBER_TIDE_PRINTER: `127.0.0.1:${printer}`
  });
  return {
    bench,
    printed,
    tell: (line) =>
      new Promise<void>((resolve, reject) => {
        const socket = connect(Number(pan), '127.0.0.1', () => socket.write(`${line}\n`));
        socket.on('data', () => {
          socket.end();
          resolve();
        });
        socket.on('error', reject);
      }),
    async close() {
      await bench.close();
      for (const stop of stops) stop();
      printed.clear();
    }
  };
}

/** Touches a part of the drawn fish, wherever it lies open to a finger. */
export const touch = async (page: Page, part: string) => {
  // Wherever the part lies open to a finger: a point of it that nothing covers.
  await page.locator(`svg [data-part="${part}"]`).scrollIntoViewIfNeeded();
  const at = (await page.evaluate(`(() => {
    const path = document.querySelector('svg [data-part="${part}"] path');
    const { left, top, width, height } = path.getBoundingClientRect();
    for (let step = 0; step < 1600; step++) {
      const x = left + (width * ((step % 40) + 0.5)) / 40;
      const y = top + (height * (Math.floor(step / 40) + 0.5)) / 40;
      if (document.elementFromPoint(x, y) === path) return { x, y };
    }
    return null;
  })()`)) as { x: number; y: number } | null;
  expect(at, `${part} can be touched`).to.not.equal(null);
  await page.mouse.click(at!.x, at!.y);
  await page.waitForSelector(`svg [data-part="${part}"][aria-current="true"]`);
};
/** The scale shows so much, at rest. */
export const atRest = (page: Page, text: string) =>
  page.waitForSelector(`[data-scale="weight"][data-stable="true"]:has-text("${text}")`);
/** So many parts and wastes came off the board. */
export const off = (page: Page, count: number) =>
  page.waitForFunction((n) => document.querySelectorAll('[data-taken], [data-waste]').length === n, count);
