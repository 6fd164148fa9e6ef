import { expose } from 'comlink';
import { otherEnd, cutAs, type SliceSettings } from '../core/bench/slice/settings.ts';
import { answered } from './answered.ts';

const door = {
  solve: (settings: SliceSettings) => answered(() => cutAs(settings)),
  // What the other end would give comes while a hand rests.
  band: (settings: SliceSettings) => answered(() => otherEnd(settings))
};
export type SliceDoor = typeof door;

expose(door);
