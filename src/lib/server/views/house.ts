import type { Device } from '../../core/activity/cold/fold.ts';
import type { HouseState } from '../../core/record/house.ts';

/** A logger as it may be shown: without that by which its key is known. */
export interface DeviceShown {
  readonly id: string;
  readonly name: string;
  readonly revoked: Device['revoked'];
}
/** How the house is set, for whoever asks. */
export interface HouseShown extends Omit<HouseState, 'devices'> {
  readonly devices: Readonly<Record<string, DeviceShown>>;
}

export function houseShown(house: HouseState): HouseShown {
  const devices = Object.values(house.devices).map(({ id, name, revoked }) => [id, { id, name, revoked }] as const);
  return { ...house, devices: Object.fromEntries(devices) };
}
