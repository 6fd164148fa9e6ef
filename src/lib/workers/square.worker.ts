import { expose } from 'comlink';
import { lowerAs, squareAs, type SquareSettings } from '../core/bench/slice/settings.ts';
import { answered } from './answered.ts';

const door = {
  solve: (settings: SquareSettings) => answered(() => squareAs(settings)),
  // Which height gives more is looked for while a hand rests.
  band: (settings: SquareSettings) => answered(() => lowerAs(settings))
};
export type SquareDoor = typeof door;

expose(door);
