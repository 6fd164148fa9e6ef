import { expect } from 'chai';
import { riceEnd, riceRule, tubEnd } from '../../src/lib/core/activity/rice/clock.ts';
import { foldTub } from '../../src/lib/core/activity/rice/fold.ts';
import { tubs } from '../../src/lib/core/activity/rice/subject.ts';
import { PROFILES, profileById } from '../../src/lib/core/codes/profiles/index.ts';
import { NEW_HOUSE } from '../../src/lib/core/record/house.ts';
import type { RecordEvent } from '../../src/lib/core/record/events.ts';

const HOUR = 3600_000;
const DRESSED = Date.UTC(2026, 2, 9, 16);
let seq = 0;
const entry = (kind: string, hours: number, body: object) =>
  ({
    seq: ++seq,
    kind,
    happened: DRESSED + hours * HOUR,
    recorded: DRESSED + hours * HOUR,
    actor: 'p1',
    subject: 'tub:RICE-0309-1',
    body
  }) as RecordEvent;
const made = (discardAt = DRESSED + 4 * HOUR) =>
  entry('tub.made', 0, { name: 'Sushi rice', mass: null, place: '', dressing: [], discardAt, note: '', pins: {} });
const read = (hours: number, si: number) =>
  entry('tub.read', hours, { reading: { si, unit: 'C', typed: `${si} C` }, note: '' });

describe('a tub of rice', () => {
  it('stands so long by each rule book: US 4 h, Japan 2 h, UK 2 h; the EU says nothing, so the shortest', () => {
    const hours = Object.fromEntries(PROFILES.map((profile) => [profile.id, riceRule(profile).hours]));
    expect(hours).to.deep.equal({ 'us-fc': 4, eu: 2, uk: 2, jp: 2 });
    for (const profile of PROFILES) expect(riceRule(profile).citation, profile.id).to.match(/\d/);
    expect(riceEnd(DRESSED, 4)).to.equal(DRESSED + 4 * HOUR);
  });
  it('is folded from its entries, as of any moment', () => {
    const events = [made(), read(0.1, 74), read(0.4, 38), entry('tub.binned', 3, { mass: null, reason: 'late' })];
    const tub = foldTub('RICE-0309-1', events)!;
    expect([tub.name, tub.live, tub.binned?.reason]).to.deep.equal(['Sushi rice', false, 'late']);
    expect(tub.readings.map(({ celsius }) => celsius)).to.deep.equal([74, 38]);
    const then = foldTub('RICE-0309-1', events, { at: DRESSED + 0.2 * HOUR })!;
    expect([then.live, then.readings.length]).to.deep.equal([true, 1]);
    expect(foldTub('RICE-0309-1', events, { at: DRESSED - 1 })).to.equal(null);
    expect(foldTub('RICE-0309-1', [read(0, 30)])).to.equal(null);
  });
  it('ends as it was marked, or earlier where the rule book says so now, and never later', () => {
    const tub = foldTub('RICE-0309-1', [made()])!;
    expect(tubEnd(tub, profileById('us-fc', {}))).to.equal(DRESSED + 4 * HOUR);
    expect(tubEnd(tub, profileById('jp', {}))).to.equal(DRESSED + 2 * HOUR);
    const short = foldTub('RICE-0309-1', [made(DRESSED + 2 * HOUR)])!;
    expect(tubEnd(short, profileById('us-fc', {}))).to.equal(DRESSED + 2 * HOUR);
  });
  it('a reading, hot or cold, moves nothing of its end', () => {
    for (const [hours, celsius] of [
      [0.5, 80],
      [2, 3],
      [3.9, 60]
    ] as const) {
      const tub = foldTub('RICE-0309-1', [made(), read(hours, celsius)])!;
      expect(tubs.window(tub, NEW_HOUSE)).to.deep.equal({ opens: DRESSED, closes: DRESSED + 4 * HOUR });
    }
  });
  it('wants hands at its end while it is here, and none once it is binned', () => {
    const tub = foldTub('RICE-0309-1', [made()])!;
    const [task] = tubs.tasks(tub, NEW_HOUSE, DRESSED);
    expect(task).to.deep.include({ code: 'rice-discard', at: DRESSED + 4 * HOUR, piece: 'RICE-0309-1' });
    const gone = foldTub('RICE-0309-1', [made(), entry('tub.binned', 1, { mass: null, reason: '' })])!;
    expect(tubs.tasks(gone, NEW_HOUSE, DRESSED)).to.deep.equal([]);
    expect(tubs.steps(gone, NEW_HOUSE, DRESSED)[0]).to.deep.include({ from: DRESSED, to: DRESSED + HOUR });
  });
});
