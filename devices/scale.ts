/**
 * A simulated scale: a process of its own that speaks the line protocol of docs/devices/scale.md on one port, and on a
 * second one is told what lies on its pan. A real scale with the same protocol takes its place unchanged.
 */
import { createServer, type Socket } from 'node:net';
import { createInterface } from 'node:readline';
import { randomNormal, randomLcg } from 'd3';
import { scaleLine, SCALE_COMMANDS, type ScaleMessage } from '../src/lib/core/device/scale-line.ts';

export interface Pan {
  /** On the pan, g. */
  load: number;
  tare: number;
  zero: number;
  /** How far the zero creeps, g a minute. */
  driftPerMinute: number;
  /** Standard deviation of the hand's shaking while it settles, g. */
  noise: number;
  /** It reads as moving until then; ms of the simulation's clock. */
  settlesAt: number;
  driftSince: number;
}
export const CAPACITY_GRAMS = 15_000;
export const INTERVAL_GRAMS = 1;
/** How long a new load takes to come to rest. ms */
const SETTLING_MS = 700;

export const emptyPan = (now: number): Pan => ({
  load: 0,
  tare: 0,
  zero: 0,
  driftPerMinute: 0,
  noise: 0,
  settlesAt: now,
  driftSince: now
});

/** What the display shows: pure, so that its tests need no clock. `wobble` is one draw of a standard normal. */
export function readPan(pan: Pan, now: number, wobble: number): ScaleMessage {
  const moving = now < pan.settlesAt || pan.noise > 0;
  const drift = (pan.driftPerMinute * (now - pan.driftSince)) / 60_000;
  const shaken = pan.load + drift - pan.zero + (moving ? wobble * Math.max(pan.noise, pan.load * 0.01) : 0);
  if (shaken > CAPACITY_GRAMS) return { kind: 'over' };
  const rounded = Math.round(shaken / INTERVAL_GRAMS) * INTERVAL_GRAMS;
  if (rounded < -20 * INTERVAL_GRAMS) return { kind: 'under' };
  return { kind: 'weight', grams: rounded - pan.tare, tare: pan.tare, stable: !moving };
}

/** A command of the house to the scale. */
export function obey(pan: Pan, command: string, now: number): ScaleMessage {
  const shown = readPan(pan, now, 0);
  const still = shown.kind === 'weight' && shown.stable;
  switch (command) {
    case 'TARE':
      if (!still) return { kind: 'refused', why: 'not at rest' };
      pan.tare += shown.grams;
      return { kind: 'done', what: 'TARE' };
    case 'CLEAR':
      pan.tare = 0;
      return { kind: 'done', what: 'CLEAR' };
    case 'ZERO':
      if (!still || Math.abs(shown.grams + pan.tare) > CAPACITY_GRAMS * 0.02) {
        return { kind: 'refused', why: 'too much on the pan to call it zero' };
      }
      pan.zero += shown.grams + pan.tare;
      pan.tare = 0;
      return { kind: 'done', what: 'ZERO' };
    default:
      return { kind: 'refused', why: `known are ${SCALE_COMMANDS.join(' ')}` };
  }
}

/** A command of the person who plays with the simulation: PUT, ADD, DRIFT, NOISE, UNPLUG. */
export function play(pan: Pan, line: string, now: number): 'done' | 'unplug' | 'plug' | 'unknown' {
  const [word = '', value = ''] = line.trim().split(/\s+/);
  const figure = Number(value);
  switch (word.toUpperCase()) {
    case 'PUT':
    case 'ADD':
      if (!Number.isFinite(figure) || value === '') return 'unknown';
      pan.load = Math.max(0, word.toUpperCase() === 'PUT' ? figure : pan.load + figure);
      pan.settlesAt = now + SETTLING_MS;
      return 'done';
    case 'DRIFT':
      if (!Number.isFinite(figure)) return 'unknown';
      pan.driftPerMinute = figure;
      pan.driftSince = now;
      return 'done';
    case 'NOISE':
      if (!(figure >= 0)) return 'unknown';
      pan.noise = figure;
      return 'done';
    case 'UNPLUG':
      return 'unplug';
    case 'PLUG':
      return 'plug';
    default:
      return 'unknown';
  }
}

/** Readings a second. */
const RATE = 6;

/** Runs the scale until the process ends. Port 0 takes any. */
export async function runScale(
  port: number,
  controlPort: number,
  say: (text: string) => void,
  now: () => number
): Promise<() => void> {
  const pan = emptyPan(now());
  const wobble = randomNormal.source(randomLcg(0.42))(0, 1);
  const following = new Set<Socket>();
  const connected = new Set<Socket>();
  let plugged = true;
  const lines = (socket: Socket, onLine: (line: string) => void) => {
    socket.on('error', () => socket.destroy());
    createInterface({ input: socket })
      .on('line', onLine)
      .on('error', () => undefined);
  };
  const house = createServer((socket) => {
    if (!plugged) return void socket.destroy();
    connected.add(socket);
    socket.on('close', () => {
      connected.delete(socket);
      following.delete(socket);
    });
    const send = (message: ScaleMessage) => socket.write(`${scaleLine(message)}\n`);
    lines(socket, (line) => {
      const command = line.trim().toUpperCase();
      if (command === 'HELLO') {
        send({ kind: 'hello', name: 'simulated', capacity: CAPACITY_GRAMS, interval: INTERVAL_GRAMS });
      } else if (command === 'ONCE') send(readPan(pan, now(), wobble()));
      else if (command === 'FOLLOW') following.add(socket);
      else if (command === 'STOP') following.delete(socket);
      else send(obey(pan, command, now()));
    });
  });
  const control = createServer((socket) => {
    lines(socket, (line) => {
      const did = play(pan, line, now());
      if (did === 'unplug') {
        plugged = false;
        for (const each of connected) each.destroy();
      } else if (did === 'plug') plugged = true;
      socket.write(did === 'unknown' ? 'NO known are PUT g, ADD g, DRIFT g-a-minute, NOISE g, UNPLUG, PLUG\n' : 'OK\n');
    });
  });
  const beat = setInterval(() => {
    const line = `${scaleLine(readPan(pan, now(), wobble()))}\n`;
    for (const socket of following) socket.write(line);
  }, 1000 / RATE);
  const listen = (server: ReturnType<typeof createServer>, on: number) =>
    new Promise<number>((resolve, reject) => {
      server.once('error', reject);
      server.listen(on, '127.0.0.1', () => resolve((server.address() as { port: number }).port));
    });
  const bound = await listen(house, port);
  const boundControl = await listen(control, controlPort);
  say(`scale at 127.0.0.1:${bound}, its pan at 127.0.0.1:${boundControl}`);
  return () => {
    clearInterval(beat);
    for (const socket of connected) socket.destroy();
    house.close();
    control.close();
  };
}
