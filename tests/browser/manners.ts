import type { Page } from 'playwright-core';

/** px; a little less, because the browser rounds. */
const LEAST_TARGET = 43.5;
const LEAST_TEXT = 13.9;

/** What is too small to be touched or read, with every fold open; leaves them open. */
export const tooSmall = (page: Page): Promise<string[]> =>
  page.evaluate(
    async ([target, text]) => {
      for (const fold of document.querySelectorAll('details')) fold.open = true;
      // Drawings are measured once they stand, before the second frame.
      for (const _ of [1, 2]) await new Promise((done) => requestAnimationFrame(done));
      const found: string[] = [];
      // Methods, because the page knows nothing of what a bundler wraps round a named function.
      const { isSeen, called } = {
        isSeen(element: Element) {
          return element.checkVisibility({ visibilityProperty: true }) && element.getClientRects().length > 0;
        },
        called(element: Element) {
          return `${element.tagName} ${element.getAttribute('aria-label') ?? element.textContent?.trim().slice(0, 30)}`;
        }
      };
      for (const element of document.querySelectorAll<HTMLInputElement>(
        'a[href], button, input:not([type=hidden]), select, textarea, summary'
      )) {
        // The parts of a drawn fish are as large as they are drawn; each stands in the list beside it too.
        if (!isSeen(element) || element.closest('svg')) continue;
        // A link amid words is read past, and has room above and below.
        const parent = element.parentElement!.textContent?.trim();
        if (getComputedStyle(element).display === 'inline' && parent !== element.textContent?.trim()) continue;
        const box = /radio|checkbox/.test(element.type) ? (element.closest('label') ?? element) : element;
        const { width, height } = box.getBoundingClientRect();
        // What only a reader of the screen is told stands in no pixel.
        if (width > 2 && (width < target || height < target))
          found.push(`${called(element)}: ${Math.round(width)} x ${Math.round(height)}`);
      }
      const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
      while (texts.nextNode()) {
        const element = texts.currentNode.parentElement!;
        if (!texts.currentNode.textContent?.trim() || /script|style/i.test(element.tagName) || !isSeen(element))
          continue;
        const scale = element instanceof SVGGraphicsElement ? (element.getScreenCTM()?.d ?? 1) : 1;
        const size = parseFloat(getComputedStyle(element).fontSize) * scale;
        if (size < text) found.push(`${called(element)}: letters of ${size.toFixed(1)} px`);
      }
      return [...new Set(found)];
    },
    [LEAST_TARGET, LEAST_TEXT] as const
  );

/** What can be pressed or opened on paper. */
export async function pressedOnPaper(page: Page): Promise<string[]> {
  await page.emulateMedia({ media: 'print' });
  const found = await page.evaluate(() =>
    [...document.querySelectorAll('nav.rail, header form, main button, main form :is(input, select, textarea)')]
      .filter((element) => element.checkVisibility() && element.getClientRects().length > 0)
      .map((element) => element.outerHTML.slice(0, 80))
  );
  await page.emulateMedia({ media: 'screen' });
  return found;
}

/** How long what is drawn to its room may take to notice a new one, ms: patience for a slow machine. */
const REDRAWN_MS = 10_000;
/**
 * How far a page runs off its edge, px, once its drawings have taken the size of the window: a chart that was as wide as the window
 * before still stands in the first frames after it became narrower.
 */
export const overEdge = (page: Page): Promise<number> =>
  page.evaluate(async (patience) => {
    const html = document.documentElement;
    for (const from = performance.now(); html.scrollWidth > html.clientWidth && performance.now() - from < patience;)
      await new Promise((done) => requestAnimationFrame(done));
    return html.scrollWidth - html.clientWidth;
  }, REDRAWN_MS);
