import { expose } from 'comlink';
import jsQR from 'jsqr';

const door = {
  /** What the code in a picture says; null where none is found. */
  read(pixels: Uint8ClampedArray, width: number, height: number): string | null {
    return jsQR(pixels, width, height)?.data ?? null;
  }
};
export type LabelDoor = typeof door;

expose(door);
