/**
 * A simulated logger of a freezer: sends what its two sensors read to the house, with a key of its own, over the house's open
 * address. Sped up, it takes the clock of a demo house along, since what has not happened yet is refused. A second port tells it
 * what to live through. See docs/devices/logger.md.
 */
import { createServer, type Socket } from 'node:net';
import { createInterface } from 'node:readline';
import { LOGGER_SCENARIOS, loggerSays, type LoggerScenario } from '../src/lib/core/device/logger.ts';

export interface LoggerSetting {
  scenario: LoggerScenario;
  /** Seconds of the simulation for each of ours. */
  speed: number;
  /** °C */
  setPoint: number;
  air: string;
  core: string;
  paused: boolean;
  /** Other sensors it sends for, each steady at a temperature, °C. */
  also: Readonly<Record<string, number>>;
  /** Counts the loads: at each one the fish with the probe goes in. */
  loads: number;
}
export interface LoggerHouse {
  readonly url: string;
  readonly key: string;
}

/** A command of the person who plays with it; what it answers. */
export function tellLogger(setting: LoggerSetting, line: string): string {
  const [word = '', ...rest] = line.trim().split(/\s+/);
  const value = rest.join(' ');
  const figure = Number(value);
  switch (word.toUpperCase()) {
    case 'SCENARIO':
      if (!LOGGER_SCENARIOS.includes(value as LoggerScenario)) return `NO known are ${LOGGER_SCENARIOS.join(' ')}`;
      setting.scenario = value as LoggerScenario;
      return 'OK';
    case 'SPEED':
      if (!(figure >= 1 && figure <= 100_000)) return 'NO a speed is 1 to 100000';
      setting.speed = figure;
      return 'OK';
    case 'SETPOINT':
      if (value === '' || !(figure >= -90 && figure <= 20)) return 'NO a set point is -90 to 20';
      setting.setPoint = figure;
      return 'OK';
    case 'AIR':
      setting.air = value;
      return 'OK';
    case 'CORE':
      setting.core = value;
      return 'OK';
    case 'LOAD':
      setting.loads++;
      return 'OK';
    case 'PAUSE':
      setting.paused = true;
      return 'OK';
    case 'GO':
      setting.paused = false;
      return 'OK';
    default:
      return 'NO known are SCENARIO name, SPEED n, SETPOINT c, AIR sensor, CORE sensor, LOAD, PAUSE, GO';
  }
}

export interface Sent {
  readonly sensor: string;
  readonly at: string;
  readonly celsius: number;
}
/** What it sends for a stretch of time: a reading a minute of each sensor, in its own clock. */
export function readingsFor(setting: LoggerSetting, began: number, from: number, to: number, loaded = began): Sent[] {
  const out: Sent[] = [];
  const minute = 60_000;
  for (let at = Math.ceil((from + 1) / minute) * minute; at <= to; at += minute) {
    const since = (moment: number) => Math.max(0, at - moment) / 1000;
    const said = loggerSays(setting.scenario, since(began), setting.setPoint, 0.5, since(loaded));
    const shown = new Date(at - said.behindSeconds * 1000).toISOString();
    if (said.air !== null && setting.air !== '') out.push({ sensor: setting.air, at: shown, celsius: said.air });
    if (said.core !== null && setting.core !== '') out.push({ sensor: setting.core, at: shown, celsius: said.core });
    for (const [sensor, celsius] of Object.entries(setting.also)) {
      const steady = loggerSays('steady', since(began), 0, sensor.length / 100);
      out.push({ sensor, at: shown, celsius: Math.round((celsius + steady.air! * 0.6) * 10) / 10 });
    }
  }
  return out;
}

const BEAT_MS = 500;
const MOST_AT_ONCE = 5000;

/** Runs the logger until the process ends. */
export async function runLogger(
  house: LoggerHouse,
  controlPort: number,
  say: (text: string) => void,
  first: Partial<LoggerSetting> = {}
): Promise<() => void> {
  const setting: LoggerSetting = {
    scenario: 'steady',
    speed: 1,
    setPoint: -24,
    air: 'Chest air',
    core: '',
    paused: false,
    also: {},
    loads: 0,
    ...first
  };
  const call = (path: string, body?: unknown) =>
    fetch(`${house.url}/api/v1/${path}`, {
      method: body === undefined ? 'GET' : 'POST',
      headers: { authorization: `Bearer ${house.key}`, 'content-type': 'application/json' },
      body: body === undefined ? undefined : JSON.stringify(body)
    });
  let began: number | null = null;
  let sentTo = 0;
  let scenario = setting.scenario;
  let loads = setting.loads;
  let loaded = 0;
  let busy = false;
  let lost = false;
  async function beat(): Promise<void> {
    if (busy || setting.paused) return;
    busy = true;
    try {
      const { now } = (await (await call('readings')).json()) as { now: string };
      const clock = Date.parse(now);
      if (began === null || scenario !== setting.scenario) {
        if (began === null) loaded = clock;
        began = clock;
        sentTo = clock;
        ({ scenario } = setting);
      }
      if (loads !== setting.loads) {
        loaded = clock;
        ({ loads } = setting);
      }
      let to = clock;
      if (setting.speed > 1) {
        to = Math.min(sentTo + setting.speed * BEAT_MS, sentTo + (MOST_AT_ONCE / 2) * 60_000);
        const moved = await call('demo/clock', { to: new Date(to).toISOString(), frozen: true });
        if (!moved.ok) {
          say('logger: this house does not let its clock be moved; going on at its own speed');
          setting.speed = 1;
          return;
        }
      }
      const readings = readingsFor(setting, began, sentTo, to, loaded);
      if (readings.length > 0) {
        const { behindSeconds } = loggerSays(setting.scenario, (to - began) / 1000, setting.setPoint);
        const answer = await call('readings', { clock: new Date(to - behindSeconds * 1000).toISOString(), readings });
        const body = (await answer.json()) as { detail?: string; refused?: unknown[] };
        if (!answer.ok) say(`logger: ${body.detail ?? answer.status}`);
        else if (body.refused && body.refused.length > 0) say(`logger: ${body.refused.length} readings refused`);
      }
      sentTo = to;
      lost = false;
    } catch {
      if (!lost) say(`logger: no house answers at ${house.url}; it goes on trying`);
      lost = true;
    } finally {
      busy = false;
    }
  }
  const connected = new Set<Socket>();
  const control = createServer((socket) => {
    connected.add(socket);
    socket.on('close', () => connected.delete(socket));
    socket.on('error', () => socket.destroy());
    createInterface({ input: socket })
      .on('line', (line) => socket.write(`${tellLogger(setting, line)}\n`))
      .on('error', () => undefined);
  });
  const bound = await new Promise<number>((resolve, reject) => {
    control.once('error', reject);
    control.listen(controlPort, '127.0.0.1', () => resolve((control.address() as { port: number }).port));
  });
  say(`logger sending to ${house.url}, told what to do at 127.0.0.1:${bound}`);
  const timer = setInterval(() => void beat(), BEAT_MS);
  return () => {
    clearInterval(timer);
    for (const socket of connected) socket.destroy();
    control.close();
  };
}
