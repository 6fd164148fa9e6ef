import { join } from 'node:path';
import { DATABASE_FILE } from './store/open.ts';
import { sealFileOf } from './store/seal.ts';
import { deviceAddress } from './devices/scale.ts';

/** What the outside may set. Read once, at the start. */
export interface Config {
  readonly dataFolder: string;
  /** Where the house's seal lies: beside its folder, where nobody says otherwise. */
  readonly seal: string;
  /** 'demo' seeds an empty record and lets its clock be moved; 'test' only lets the clock be moved. */
  readonly mode: 'production' | 'demo' | 'test';
  readonly frozenAt: number | null;
  readonly readOnly: boolean;
  readonly maxPages: number | undefined;
  readonly bodyLimit: number;
  /** Where devices answer; null for none. The pan is that of the simulated scale. */
  readonly scale: { host: string; port: number } | null;
  readonly pan: { host: string; port: number } | null;
  readonly printer: { host: string; port: number } | null;
}

export const BODY_LIMIT_BYTES = 2_000_000;
/** A form that may carry a paper of 10 MB, with room for its other fields. */
export const FILE_BODY_LIMIT_BYTES = 10 * 1024 * 1024 + 200_000;

export function readConfig(env: Record<string, string | undefined>): Config {
  const mode = env.EMBER_TIDE_MODE === 'demo' || env.EMBER_TIDE_MODE === 'test' ? env.EMBER_TIDE_MODE : 'production';
  const movable = mode !== 'production';
  const demo = mode === 'demo';
  const dataFolder = env.EMBER_TIDE_DATA ?? 'data/house';
  return {
    dataFolder,
    seal: env.EMBER_TIDE_SEAL ?? sealFileOf(join(dataFolder, DATABASE_FILE)),
    mode,
    frozenAt: movable && env.EMBER_TIDE_FROZEN_AT ? Date.parse(env.EMBER_TIDE_FROZEN_AT) : null,
    readOnly: env.EMBER_TIDE_READONLY === '1',
    maxPages: movable && env.EMBER_TIDE_MAX_PAGES ? Number(env.EMBER_TIDE_MAX_PAGES) : undefined,
    bodyLimit: BODY_LIMIT_BYTES,
    scale: deviceAddress(env.EMBER_TIDE_SCALE ?? (demo ? '127.0.0.1:47801' : '')),
    pan: deviceAddress(env.EMBER_TIDE_PAN ?? (demo ? '127.0.0.1:47802' : '')),
    printer: deviceAddress(env.EMBER_TIDE_PRINTER ?? (demo ? '127.0.0.1:47803' : ''))
  };
}
