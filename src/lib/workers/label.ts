import { transfer, wrap } from 'comlink';
import type { LabelDoor } from './label.worker.ts';

/** The longer side a picture is made to before its code is looked for: a code of a label is found, and a large picture does not wait. px */
const MOST_SIDE = 1600;

/** Reads the code of a label from a photograph, off the page's own thread. Null where there is none, or no picture. */
export async function readLabel(photo: Blob): Promise<string | null> {
  const picture = await createImageBitmap(photo).catch(() => null);
  if (!picture) return null;
  const scale = Math.min(1, MOST_SIDE / Math.max(picture.width, picture.height));
  const [width, height] = [Math.round(picture.width * scale), Math.round(picture.height * scale)];
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d')!;
  context.drawImage(picture, 0, 0, width, height);
  picture.close();
  const { data } = context.getImageData(0, 0, width, height);
  const worker = new Worker(new URL('./label.worker.ts', import.meta.url), { type: 'module' });
  try {
    return await wrap<LabelDoor>(worker).read(transfer(data, [data.buffer]), width, height);
  } finally {
    worker.terminate();
  }
}
