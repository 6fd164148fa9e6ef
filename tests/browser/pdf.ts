import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import type { Browser } from 'playwright-core';

/** Draws the first page of a PDF in the browser, in a page of its own, as a reader would. */
export async function drawPdf(
  browser: Browser,
  content: Buffer
): Promise<{ grey: number[]; width: number; height: number }> {
  const reader = readFileSync(join(import.meta.dirname, '..', '..', 'node_modules', 'unpdf', 'dist', 'pdfjs.mjs'));
  const server = createServer(({ url }, response) => {
    const answer =
      url === '/pdfjs.mjs' ? reader : url === '/sheet.pdf' ? content : '<!doctype html><title>reader</title>';
    response.setHeader(
      'content-type',
      url === '/pdfjs.mjs' ? 'text/javascript' : url === '/sheet.pdf' ? 'application/pdf' : 'text/html'
    );
    response.end(answer);
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const page = await browser.newPage();
  try {
    await page.goto(`http://127.0.0.1:${(server.address() as AddressInfo).port}/`);
    return (await page.evaluate(`(async () => {
      const { getDocument } = await import('/pdfjs.mjs');
      const bytes = new Uint8Array(await (await fetch('/sheet.pdf')).arrayBuffer());
      const first = await (await getDocument({ data: bytes }).promise).getPage(1);
      const viewport = first.getViewport({ scale: 2 });
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [Math.ceil(viewport.width), Math.ceil(viewport.height)];
      const canvasContext = canvas.getContext('2d');
      await first.render({ canvas, canvasContext, viewport }).promise;
      const { data, width, height } = canvasContext.getImageData(0, 0, canvas.width, canvas.height);
      const grey = Array.from({ length: width * height }, (_, index) => data[index * 4]);
      return { grey, width, height };
    })()`)) as { grey: number[]; width: number; height: number };
  } finally {
    await page.close();
    server.close();
  }
}
