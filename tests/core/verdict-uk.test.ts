import { expect } from 'chai';
import { EU } from '../../src/lib/core/codes/profiles/eu.ts';
import { UK } from '../../src/lib/core/codes/profiles/uk.ts';
import { noticeText } from '../../src/lib/words/notices.ts';
import { ask, celsius, event, freezeEnd, freezeStart, holdStart, kept, readEvery, stateOf } from './build.ts';
import { char, fullFeed, runGolden, type Golden } from './golden.ts';

/** Golden verdicts under the UK's rule book: assimilated 853/2004, and England's figures for chilled food (check). */

const wild = { source: 'wild' as const, area: 'North Sea', faoArea: '27' };
const frozen = [freezeStart(1, { cycle: 'uk-24h' }), ...readEvery(5, 30, 4, -21), freezeEnd(31)];
const at = (hours: number, c: number) => event('cold.read', hours, { reading: celsius(c), place: '' });

const table: Golden[] = [
  {
    name: 'wild turbot, not frozen',
    of: { lot: { species: 'turbot', ...wild } },
    at: 4,
    want: 'not-cleared',
    code: 'parasites.not-frozen'
  },
  {
    name: 'point 2(a): -20 °C in all parts for 24 h',
    of: { lot: { species: 'turbot', ...wild }, events: frozen },
    at: 32,
    want: 'open'
  },
  {
    name: 'farmed, with the farm’s statement',
    of: { lot: char, papers: [fullFeed] },
    at: 4,
    want: 'open',
    code: 'parasites.farm-exempt'
  },
  {
    name: 'Sch. 4 para. 2: came in at 8 °C',
    of: { lot: { ...char, core: celsius(8) }, papers: [fullFeed] },
    at: 1,
    want: 'open'
  },
  {
    name: 'Sch. 4 para. 2: came in at 8.1 °C',
    of: { lot: { ...char, core: celsius(8.1) }, papers: [fullFeed] },
    at: 1,
    want: 'not-cleared',
    code: 'temperature.arrived-warm'
  },
  {
    name: 'a drawer that reads 8 °C for ten hours spends nothing of the clock',
    of: { lot: char, papers: [fullFeed], events: [at(1, 8), at(6, 8), at(11, 8)] },
    at: 11.5,
    want: 'open'
  },
  {
    name: 'at 9 °C for four hours and a minute the clock is spent',
    of: { lot: char, papers: [fullFeed], events: [at(1, 9), at(5.1, 9)] },
    at: 5.2,
    want: 'closed'
  },
  {
    name: 'Sch. 4 para. 4: a tray from 8 °C, once for four hours',
    of: { lot: char, papers: [fullFeed], events: [holdStart(1, '4h', celsius(8))] },
    at: 2,
    want: 'open'
  },
  {
    name: 'Sch. 4 para. 4: its four hours over',
    of: { lot: char, papers: [fullFeed], events: [holdStart(1, '4h', celsius(8))] },
    at: 5.1,
    want: 'closed'
  },
  { name: 'Ch. V.E 1: puffer, whatever the licence', of: { lot: { species: 'puffer' } }, at: 4, want: 'never' }
];

describe('golden verdicts: the United Kingdom', () => {
  runGolden(table.map((row) => ({ ...row, profile: 'uk' })));

  it('no figure is the EU’s under another name without saying that it was assimilated', () => {
    expect(UK.parasites.cycles.map(({ id }) => id)).to.deep.equal(['uk-24h', 'uk-15h']);
    for (const { citation } of [...UK.parasites.cycles, UK.poisons, UK.shellfishTag, UK.freezeRecords])
      expect(citation).to.match(/^assimilated Reg\./);
    expect(UK.version).to.not.equal(EU.version);
    expect(noticeText('uk')).to.not.contain('FDA');
  });
  it('warns above the 5 °C its agency advises, and closes nothing by it', () => {
    const seen = ask({ lot: char, papers: [fullFeed], events: [at(1, 6), ...kept(12)] }, 1.5, 'uk');
    expect(seen.reasons.map(({ code }) => code)).to.include('temperature.warmer-than-ice');
    expect(stateOf(seen, 'raw')).to.equal('open');
  });
});
