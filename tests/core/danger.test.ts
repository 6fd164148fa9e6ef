import { expect } from 'chai';
import { HOUR, MINUTE } from '../../src/lib/core/measure/spans.ts';
import { seededChance } from '../../src/lib/core/random.ts';
import {
  byDanger,
  DANGERS,
  dangerOf,
  dangerOfAlarm,
  stationOf,
  URGENT,
  type Horizon,
  type Ranked
} from '../../src/lib/core/service/danger.ts';
import { taskWords, type AnyTaskCode } from '../../src/lib/words/tasks.ts';
import { SUBJECTS } from '../../src/lib/core/service/subjects.ts';

const NOW = Date.UTC(2026, 2, 13, 16);
const AT: Horizon = { now: NOW, warnMs: HOUR, service: NOW + 2 * HOUR, dayEnds: NOW + 12 * HOUR };
const of = (code: string, minutes: number, horizon = AT) => dangerOf({ code, at: NOW + minutes * MINUTE }, horizon);

describe('what is looked to first', () => {
  it('a tray hours over comes before everything, and after it air that is too warm', () => {
    const rows = [
      { name: 'paper', danger: of('paper-missing', -4000), at: NOW - 4000 * MINUTE },
      { name: 'decide', danger: of('leftover-closed', -2000), at: NOW - 2000 * MINUTE },
      { name: 'look', danger: of('age-look', -300), at: NOW - 300 * MINUTE },
      { name: 'acid', danger: of('acid-ready', 5), at: NOW + 5 * MINUTE },
      { name: 'warm', danger: dangerOfAlarm({ kind: 'warm', to: null }), at: NOW - 100 * MINUTE },
      { name: 'hours', danger: of('warm-hours', 100), at: NOW + 100 * MINUTE },
      { name: 'board', danger: of('board-open', 10), at: NOW + 10 * MINUTE },
      { name: 'tray', danger: of('tray-discard', -420), at: NOW - 420 * MINUTE }
    ];
    const order = [...rows].sort(byDanger(NOW)).map(({ name }) => name);
    expect(order).to.deep.equal(['tray', 'board', 'warm', 'hours', 'acid', 'decide', 'look', 'paper']);
  });
  it('what is hours away waits for its service, its evening or later', () => {
    expect(of('tray-discard', 90)).to.equal('before-service');
    expect(of('tray-discard', 180)).to.equal('tonight');
    expect(of('cure-due', 60 * 13)).to.equal('later');
    expect(of('cure-due', 90, { ...AT, service: null })).to.equal('tonight');
    // A daily look that is late is late by hours: it is no emergency.
    expect(of('age-look', -300)).to.equal('before-service');
  });
  it('of moments the nearest first, before or behind: yesterday’s cannot be saved any more', () => {
    const at = (minutes: number): Ranked => ({ danger: 'moment', at: NOW + minutes * MINUTE });
    expect([at(-1440), at(-10), at(30), at(3)].sort(byDanger(NOW))).to.deep.equal([at(3), at(-10), at(30), at(-1440)]);
  });
  it('a place that is silent is unread; a gap that is over is answered, and one that was warm is never less than warm', () => {
    expect(dangerOfAlarm({ kind: 'silent', to: null })).to.equal('unread');
    expect(dangerOfAlarm({ kind: 'silent', to: NOW })).to.equal('moment');
    expect(dangerOfAlarm({ kind: 'warm', to: NOW })).to.equal('too-warm');
  });
  it('law: whatever is due within the warning time, or over, is never among what may be folded away', () => {
    const seed = 0.37;
    const chance = seededChance(seed);
    const clocked = [
      'tray-discard',
      'board-open',
      'acid-ready',
      'freeze-proof',
      'thaw-due',
      'read-it',
      'window-closes'
    ];
    for (let turn = 0; turn < 400; turn++) {
      const code = clocked[Math.floor(chance.uniform(0, clocked.length - 1e-9))]!;
      const minutes = chance.uniform(-5000, 59);
      expect(URGENT.has(of(code, minutes)), `${code} ${minutes} min, seed ${seed}`).to.equal(true);
    }
    expect(URGENT.has('paper')).to.equal(false);
    expect([...URGENT].every((each) => DANGERS.includes(each))).to.equal(true);
  });
  it('every station is where its tasks are done', () => {
    const codes: AnyTaskCode[] = ['board-open', 'acid-out', 'cure-step', 'age-stopped', 'freeze-proof', 'tray-discard'];
    expect(codes.map(stationOf)).to.deep.equal(['board', 'acid', 'cure', 'age', 'freeze', 'serve']);
    for (const { codes: own } of SUBJECTS) for (const code of own) expect(stationOf(code)).to.equal('rice');
    expect(taskWords({ code: 'warm-hours', seen: { place: 'Drawer 2', pieces: 3 } })).to.contain('3 pieces');
    expect(taskWords({ code: 'warm-hours', seen: { place: '', pieces: 1 } })).to.equal('Into the cold: it lies warm');
  });
});
