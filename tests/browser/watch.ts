import type { BrowserContextOptions, Page } from 'playwright-core';
import { expect } from 'chai';
import { theBrowser } from './harness.ts';

/** A page whose console is watched: a script error or a blocked resource fails the test that caused it. */
export interface WatchedPage {
  readonly page: Page;
  /** Fails where the page complained; `allow` is for the complaints a test provokes. */
  quiet(allow?: RegExp): void;
  close(): Promise<void>;
}

export async function watch(options: BrowserContextOptions = {}): Promise<WatchedPage> {
  const context = await (
    await theBrowser()
  ).newContext({
    viewport: { width: 1280, height: 800 },
    reducedMotion: 'reduce',
    ...options
  });
  // Patience for a busy machine, not a measure of speed: that is the bench's.
  context.setDefaultTimeout(45_000);
  const page = await context.newPage();
  const complaints: string[] = [];
  page.on('pageerror', (error) => complaints.push(error.message));
  page.on('console', (message) => {
    if (message.type() === 'error') complaints.push(message.text());
  });
  return {
    page,
    quiet: (allow) => expect(complaints.filter((text) => !allow?.test(text))).to.deep.equal([]),
    close: () => context.close()
  };
}

/** The form of an operation. */
export const form = (page: Page, operation: string) => page.locator(`form[data-operation="${operation}"]`);
/** Fills fields of an operation's form by name and sends it. */
export async function send(page: Page, operation: string, fields: Record<string, string | boolean>): Promise<void> {
  const of = form(page, operation);
  const closed = page.locator('details:not([open])', { has: of });
  if ((await closed.count()) > 0) await closed.first().locator('summary').first().click();
  for (const [name, value] of Object.entries(fields)) {
    const field = of.locator(`[name="${name}"]`);
    // Less usual fields stand behind a line that opens.
    const hidden = of.locator('details:not([open])', { has: page.locator(`[name="${name}"]`) });
    if ((await hidden.count()) > 0) await hidden.first().locator('summary').click();
    if (typeof value === 'boolean') await field.setChecked(value);
    else if ((await field.evaluate((node) => node.tagName)) === 'SELECT') await field.selectOption(value);
    else await field.fill(value);
  }
  await of.locator('button[type="submit"]').click();
}
/** The state of a route as the page shows it. */
export const shown = (page: Page, route: string) => page.locator(`[data-route="${route}"]`).first();
