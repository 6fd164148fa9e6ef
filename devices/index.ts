/**
 * Simulated devices, each on its own port of the loopback: `npm run devices`. With words after it the command talks to the
 * pan of a scale that runs already: `npm run devices -- put 850`, or to the logger: `npm run devices -- logger scenario defrost`.
 */
import { connect } from 'node:net';
import { join } from 'node:path';
import { runLogger } from './logger.ts';
import { runPrinter } from './printer.ts';
import { runScale } from './scale.ts';

const port = (name: string, fallback: number) => Number(process.env[name] ?? fallback);
const scale = port('EMBER_TIDE_SCALE_PORT', 47_801);
const pan = port('EMBER_TIDE_PAN_PORT', 47_802);
const printer = port('EMBER_TIDE_PRINTER_PORT', 47_803);
const logger = port('EMBER_TIDE_LOGGER_PORT', 47_804);
const house = {
  url: process.env.EMBER_TIDE_URL ?? `http://127.0.0.1:${process.env.PORT ?? 4173}`,
  // The key of the demo house's logger; a house of your own gives you another.
  key: process.env.EMBER_TIDE_LOGGER_KEY ?? 'demo-logger-vessmouth-0001'
};
// The rest of the demo house's sensors go on speaking; one of them has a dead battery, and does not.
const DEMO_ALSO = { 'Drawer 1 air': 1.6, 'Drawer 2 air': 1.4, 'Blast air': -39.2 };
const also = process.env.EMBER_TIDE_LOGGER_KEY ? {} : DEMO_ALSO;
const folder = process.env.EMBER_TIDE_PRINTED ?? join(import.meta.dirname, '..', 'data', 'printed');
const say = (text: string) => console.log(`devices: ${text}`);

const words = process.argv.slice(2);
if (words.length > 0) {
  const toLogger = words[0] === 'logger';
  const told = toLogger ? words.slice(1) : words;
  const socket = connect(toLogger ? logger : pan, '127.0.0.1', () => socket.write(`${told.join(' ')}\n`));
  socket.on('data', (answer) => {
    say(answer.toString().trim());
    socket.end();
  });
  socket.on('error', () => {
    console.error('devices: no simulated device runs here. Start it with: npm run devices');
    process.exitCode = 1;
  });
} else {
  try {
    const stops = [
      await runScale(scale, pan, say, Date.now),
      await runPrinter(printer, folder, say),
      await runLogger(house, logger, say, { also })
    ];
    const end = () => {
      for (const stop of stops) stop();
      process.exit(0);
    };
    process.on('SIGTERM', end);
    process.on('SIGINT', end);
    process.on('disconnect', end);
  } catch (error) {
    const { code, port: taken } = error as { code?: string; port?: number };
    console.error(code === 'EADDRINUSE' ? `devices: port ${taken} is taken; they may run already.` : String(error));
    process.exit(1);
  }
}
