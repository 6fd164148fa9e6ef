import { EmberError } from '../errors.ts';

/**
 * The line protocol a scale speaks: plain text, one line a message, LF at its end. Described in docs/devices/scale.md; the
 * simulated scale and the house both read and write it here.
 */
export type ScaleMessage =
  | { readonly kind: 'hello'; readonly name: string; readonly capacity: number; readonly interval: number }
  | { readonly kind: 'weight'; readonly grams: number; readonly tare: number; readonly stable: boolean }
  | { readonly kind: 'over' }
  | { readonly kind: 'under' }
  | { readonly kind: 'done'; readonly what: string }
  | { readonly kind: 'refused'; readonly why: string };

export const SCALE_COMMANDS = ['HELLO', 'ONCE', 'FOLLOW', 'STOP', 'TARE', 'CLEAR', 'ZERO'] as const;
export type ScaleCommand = (typeof SCALE_COMMANDS)[number];

/** The longest line that is read as one; more is noise. */
export const LONGEST_LINE = 200;

const figure = (text: string): number => {
  const value = Number(text);
  if (!/^-?\d{1,7}(\.\d{1,3})?$/.test(text) || !Number.isFinite(value)) {
    throw new EmberError('device.line-unreadable', { seen: text });
  }
  return value;
};

/**
 * Reads one line of a scale.
 *
 * @throws EmberError `device.line-unreadable`
 * @example
 * parseScaleLine('WEIGHT 842.0 120.0 STABLE')
 * // => { kind: 'weight', grams: 842, tare: 120, stable: true }
 */
export function parseScaleLine(line: string): ScaleMessage {
  const unreadable = () => new EmberError('device.line-unreadable', { seen: line.slice(0, 60) });
  if (line.length > LONGEST_LINE) throw unreadable();
  const [head = '', ...rest] = line.trim().split(/\s+/);
  if (head === 'SCALE') {
    const found = /^SCALE (\S{1,40}) capacity=(\S+) interval=(\S+)$/.exec(line.trim());
    if (!found) throw unreadable();
    const [capacity, interval] = [figure(found[2]!), figure(found[3]!)];
    if (capacity <= 0 || interval <= 0) throw unreadable();
    return { kind: 'hello', name: found[1]!, capacity, interval };
  }
  if (head === 'WEIGHT') {
    const [grams, tare, state] = rest;
    if (rest.length !== 3 || (state !== 'STABLE' && state !== 'MOVING')) throw unreadable();
    return { kind: 'weight', grams: figure(grams!), tare: figure(tare!), stable: state === 'STABLE' };
  }
  if (head === 'OVER' && rest.length === 0) return { kind: 'over' };
  if (head === 'UNDER' && rest.length === 0) return { kind: 'under' };
  if (head === 'OK' && rest.length === 1) return { kind: 'done', what: rest[0]! };
  if (head === 'NO') return { kind: 'refused', why: rest.join(' ') };
  throw unreadable();
}

/** Writes a message as a line, without its end. */
export function scaleLine(message: ScaleMessage): string {
  switch (message.kind) {
    case 'hello':
      return `SCALE ${message.name} capacity=${message.capacity} interval=${message.interval}`;
    case 'weight':
      return `WEIGHT ${message.grams.toFixed(1)} ${message.tare.toFixed(1)} ${message.stable ? 'STABLE' : 'MOVING'}`;
    case 'over':
      return 'OVER';
    case 'under':
      return 'UNDER';
    case 'done':
      return `OK ${message.what}`;
    case 'refused':
      return `NO ${message.why}`;
  }
}
