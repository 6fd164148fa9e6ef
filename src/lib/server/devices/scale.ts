import { connect, type Socket } from 'node:net';
import { EmberError } from '../../core/errors.ts';
import { LONGEST_LINE, parseScaleLine, type ScaleCommand } from '../../core/device/scale-line.ts';

/** What a bench is told of the scale. */
export interface ScaleState {
  /** none: no scale is set; lost: it does not answer; the rest is what it shows. */
  readonly status: 'none' | 'lost' | 'weight' | 'over' | 'under';
  readonly grams: number;
  readonly tare: number;
  readonly stable: boolean;
  readonly name: string;
  readonly interval: number;
}
export type ScaleListener = (state: ScaleState) => void;

const RETRY_MS = 1000;
/** A scale that follows speaks several times a second: this long without a word and it is lost. */
const SILENCE_MS = 2500;
const NOTHING = { grams: 0, tare: 0, stable: false, name: '', interval: 1 } as const;

export interface ScaleLink {
  state(): ScaleState;
  /** Tells each change; connects with the first listener, lets go with the last. */
  follow(listener: ScaleListener): () => void;
  /** @throws EmberError `device.no-scale` */
  send(command: ScaleCommand): void;
  close(): void;
}

/** The house's end of the line to a scale: connects while somebody looks, comes back by itself. */
export function openScale(address: { host: string; port: number } | null): ScaleLink {
  const listeners = new Set<ScaleListener>();
  let state: ScaleState = { ...NOTHING, status: address ? 'lost' : 'none' };
  let socket: Socket | null = null;
  let retry: ReturnType<typeof setTimeout> | undefined;
  let silence: ReturnType<typeof setTimeout> | undefined;

  const tell = (next: ScaleState) => {
    const same = JSON.stringify(next) === JSON.stringify(state);
    state = next;
    if (!same) for (const listener of listeners) listener(state);
  };
  const lost = () => tell({ ...state, status: 'lost', stable: false });
  const letGo = () => {
    clearTimeout(retry);
    clearTimeout(silence);
    socket?.destroy();
    socket = null;
  };
  const listenFor = (mine: Socket) => {
    clearTimeout(silence);
    silence = setTimeout(() => mine.destroy(), SILENCE_MS);
    silence.unref();
  };
  const heard = (line: string) => {
    try {
      const message = parseScaleLine(line);
      if (message.kind === 'hello') tell({ ...state, name: message.name, interval: message.interval });
      else if (message.kind === 'weight') tell({ ...state, ...message, status: 'weight' });
      else if (message.kind === 'over' || message.kind === 'under') {
        tell({ ...state, status: message.kind, grams: 0, stable: false });
      }
    } catch (error) {
      // A garbled line is a line lost: the next one speaks for itself.
      if (!(error instanceof EmberError)) throw error;
    }
  };
  const reach = () => {
    if (!address || socket || listeners.size === 0) return;
    const mine = connect(address.port, address.host);
    socket = mine;
    let text = '';
    mine.setEncoding('latin1');
    mine.on('connect', () => mine.write('HELLO\nFOLLOW\n'));
    mine.on('data', (chunk: string) => {
      listenFor(mine);
      text += chunk;
      const lines = text.split('\n');
      text = (lines.pop() ?? '').slice(0, LONGEST_LINE + 1);
      lines.forEach(heard);
    });
    mine.on('error', () => mine.destroy());
    mine.on('close', () => {
      if (socket !== mine) return;
      socket = null;
      lost();
      if (listeners.size > 0) {
        retry = setTimeout(reach, RETRY_MS);
        retry.unref();
      }
    });
    listenFor(mine);
  };

  return {
    state: () => state,
    follow(listener) {
      listeners.add(listener);
      listener(state);
      reach();
      return () => {
        listeners.delete(listener);
        if (listeners.size === 0) letGo();
      };
    },
    send(command) {
      if (!socket || state.status === 'lost' || state.status === 'none') {
        throw new EmberError('device.no-scale', { seen: address ? `${address.host}:${address.port}` : 'none is set' });
      }
      socket.write(`${command}\n`);
    },
    close() {
      listeners.clear();
      letGo();
    }
  };
}

/** Reads "host:port"; null for an empty text. */
export function deviceAddress(text: string | undefined): { host: string; port: number } | null {
  if (!text) return null;
  const found = /^([\w.-]+):(\d{1,5})$/.exec(text.trim());
  const port = Number(found?.[2]);
  if (!found || port < 1 || port > 65_535) throw new Error(`A device's address is host:port; "${text}" is not.`);
  return { host: found[1]!, port };
}
