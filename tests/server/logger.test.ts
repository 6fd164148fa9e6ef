import { expect } from 'chai';
import { createServer } from 'node:http';
import { connect } from 'node:net';
import type { AddressInfo } from 'node:net';
import { readingsFor, runLogger, tellLogger, type LoggerSetting, type Sent } from '../../devices/logger.ts';
import { LOGGER_SCENARIOS, loggerSays } from '../../src/lib/core/device/logger.ts';
import { eventually } from '../patience.ts';
import { troubleOf } from '../trouble.ts';

const HOUR = 3600;
const setting = (more: Partial<LoggerSetting> = {}): LoggerSetting => ({
  scenario: 'steady',
  speed: 1,
  setPoint: -24,
  air: 'Air',
  core: 'Core',
  paused: false,
  also: {},
  loads: 0,
  ...more
});
/** Warmest air of a scenario between two hours, and how many minutes of them it was silent. */
function between(scenario: LoggerSetting['scenario'], from: number, to: number) {
  let warmest = -Infinity;
  let silent = 0;
  for (let second = from * HOUR; second < to * HOUR; second += 60) {
    const { air } = loggerSays(scenario, second, -24);
    if (air === null) silent++;
    else warmest = Math.max(warmest, air);
  }
  return { warmest, silent };
}

describe('the simulated logger', () => {
  it('lives through each scenario as it is named', () => {
    expect(between('steady', 0, 40).warmest).to.be.below(-23);
    expect(between('defrost', 0, 4.9).warmest).to.be.below(-23);
    expect(between('defrost', 5, 6).warmest).to.be.above(-16);
    expect(between('drift', 0, 2).warmest).to.be.below(-23);
    expect(between('drift', 38, 40).warmest).to.be.above(-20);
    expect(between('power-cut', 6.1, 10.9).silent).to.equal(288);
    expect(between('power-cut', 11, 12).warmest).to.be.above(-16);
    expect(between('door-open', 4, 5).warmest).to.be.above(-13);
    expect(between('dead-battery', 0, 10).silent).to.equal(0);
    expect(between('dead-battery', 10.1, 20).silent).to.equal(594);
    expect(loggerSays('wrong-clock', HOUR, -24).behindSeconds).to.equal(3 * HOUR);
  });
  it('the core follows from the moment of loading, whatever the air lives through', () => {
    const core = (hours: number) => loggerSays('steady', 50 * HOUR, -24, 0.5, hours * HOUR).core!;
    expect(core(0)).to.be.closeTo(2.3, 0.1);
    expect(core(3)).to.be.within(-18, -14);
    expect(core(20)).to.be.below(-23);
  });
  it('says the same for the same seed, and names what cannot be', () => {
    expect(loggerSays('defrost', 12_345, -24)).to.deep.equal(loggerSays('defrost', 12_345, -24));
    expect(troubleOf(() => loggerSays('moonlight' as never, 0, -24)).code).to.equal('form.value-unknown');
    expect(troubleOf(() => loggerSays('steady', -1, -24)).details.field).to.equal('seconds');
    expect(troubleOf(() => loggerSays('steady', 0, NaN)).code).to.equal('number.not-finite');
  });
  it('does as it is told, and says what it knows where it is not understood', () => {
    const of = setting();
    for (const scenario of LOGGER_SCENARIOS) expect(tellLogger(of, `scenario ${scenario}`)).to.equal('OK');
    expect(tellLogger(of, 'SPEED 3600')).to.equal('OK');
    expect(tellLogger(of, 'SETPOINT -30')).to.equal('OK');
    expect(tellLogger(of, 'AIR Upright air')).to.equal('OK');
    expect(tellLogger(of, 'LOAD')).to.equal('OK');
    expect(of).to.include({ scenario: 'wrong-clock', speed: 3600, setPoint: -30, air: 'Upright air', loads: 1 });
    for (const bad of ['SCENARIO moonlight', 'SPEED 0', 'SPEED fast', 'SETPOINT', 'SETPOINT 99', 'DANCE', '']) {
      expect(tellLogger(of, bad), bad).to.match(/^NO /);
    }
    expect(of).to.include({ speed: 3600, setPoint: -30 });
  });
  it('a reading a minute of each sensor, in its own clock, none twice and none left out', () => {
    const began = Date.UTC(2026, 2, 9, 12);
    const first = readingsFor(setting({ also: { Drawer: 2 } }), began, began, began + 90_000);
    const next = readingsFor(setting({ also: { Drawer: 2 } }), began, began + 90_000, began + 240_000);
    const times = [...first, ...next].filter(({ sensor }) => sensor === 'Drawer').map(({ at }) => Date.parse(at));
    expect(times).to.deep.equal([1, 2, 3, 4].map((minute) => began + minute * 60_000));
    const [wrong] = readingsFor(setting({ scenario: 'wrong-clock' }), began, began, began + 60_000);
    expect(Date.parse(wrong!.at)).to.equal(began + 60_000 - 3 * HOUR * 1000);
    expect(
      readingsFor(setting({ scenario: 'dead-battery', core: '' }), began, began + 39_600_000, began + 39_900_000)
    ).to.deep.equal([]);
  });
  it('sends to a house with its key, takes its clock along when sped up, and outlives its silence', async () => {
    let now = Date.UTC(2026, 2, 9, 12);
    const sent: { key: string; clock: string; readings: Sent[] }[] = [];
    let broken = false;
    const server = createServer((request, response) => {
      let text = '';
      request.on('data', (part: Buffer) => (text += part.toString()));
      request.on('end', () => {
        if (broken) return void response.destroy();
        if (request.url === '/api/v1/demo/clock') now = Date.parse((JSON.parse(text) as { to: string }).to);
        else if (request.method === 'POST') {
          sent.push({
            key: request.headers.authorization ?? '',
            ...(JSON.parse(text) as { clock: string; readings: Sent[] })
          });
        }
        response.setHeader('content-type', 'application/json');
        response.end(JSON.stringify({ now: new Date(now).toISOString() }));
      });
    });
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
    const said: string[] = [];
    const stop = await runLogger({ url, key: 'k-1' }, 0, (text) => said.push(text), { speed: 600, core: 'Probe' });
    await eventually(() => sent.length >= 2, 'two sendings');
    expect(sent[0]!.key).to.equal('Bearer k-1');
    expect(Date.parse(sent[1]!.clock)).to.be.at.most(now);
    const airs = sent.flatMap(({ readings }) => readings.filter(({ sensor }) => sensor === 'Chest air'));
    airs.slice(1).forEach(({ at }, index) => expect(Date.parse(at) - Date.parse(airs[index]!.at)).to.equal(60_000));
    broken = true;
    await eventually(() => said.some((text) => text.includes('no house answers')), 'it says that nobody answers');
    broken = false;
    const before = sent.length;
    await eventually(() => sent.length > before, 'it goes on');
    const port = Number(/127\.0\.0\.1:(\d+)$/.exec(said.find((text) => text.includes('told what to do'))!)![1]);
    const answer = await new Promise<string>((resolve) => {
      const socket = connect(port, '127.0.0.1', () => socket.write('PAUSE\n'));
      socket.on('data', (data) => {
        resolve(data.toString().trim());
        socket.end();
      });
    });
    expect(answer).to.equal('OK');
    stop();
    server.closeAllConnections();
    server.close();
  });
});
