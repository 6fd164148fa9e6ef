import { expect } from 'chai';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { ERROR_CODES } from '../../src/lib/core/errors.ts';
import { CHANGE_CODES, FINDING_CODES } from '../../src/lib/core/codes/finding.ts';
import { EVENT_KINDS } from '../../src/lib/core/record/events.ts';
import { errorSentence } from '../../src/lib/words/errors.ts';
import { sentence, wouldChange } from '../../src/lib/words/findings.ts';
import { NOT_NOW } from '../../src/lib/words/not-now.ts';
import { missingWord } from '../../src/lib/words/scopes.ts';
import { kindWords } from '../../src/lib/words/kinds.ts';
import { taskWords } from '../../src/lib/words/tasks.ts';
import { PROFILES } from '../../src/lib/core/codes/profiles/index.ts';
import { entryWords } from '../../src/lib/words/entry.ts';
import { ask, celsius, event, paper, typed } from './build.ts';

const core = join(import.meta.dirname, '..', '..', 'src', 'lib', 'core');
const source = ['rules', 'activity']
  .flatMap((part) =>
    readdirSync(join(core, part), { recursive: true, encoding: 'utf8' }).map((name) => join(core, part, name))
  )
  .filter((name) => name.endsWith('.ts'))
  .map((name) => readFileSync(name, 'utf8'))
  .join('\n');

describe('words', () => {
  it('every finding, and what would change it, is made somewhere; the compiler asks for its sentence', () => {
    expect(FINDING_CODES.length).to.be.greaterThan(100);
    const gone = new Set(['handling.served', 'handling.discarded', 'handling.divided', 'handling.returned']);
    const unused = [...FINDING_CODES, ...CHANGE_CODES].filter(
      (code) => !gone.has(code) && !source.includes(`'${code}'`)
    );
    expect(unused).to.deep.equal([]);
    for (const code of FINDING_CODES) {
      const text = sentence({ code, seen: {} });
      expect(text, code).to.not.equal(code);
      expect(text, code).to.match(/[.?!)”]$/);
    }
    for (const code of CHANGE_CODES) expect(wouldChange({ wouldChange: code }), code).to.not.equal(code);
    expect(wouldChange({ wouldChange: null })).to.equal(null);
  });
  it('every error has a sentence that names its field and hides nothing', () => {
    for (const code of ERROR_CODES) {
      const text = errorSentence(code, {
        field: 'thickness',
        unit: 'mm',
        min: 1,
        max: 300,
        seen: '3 m',
        candidates: ['a', 'b']
      });
      expect(text, code).to.match(/\w+.*[.?]$|^That change/);
      expect(text, code).to.not.match(/undefined|NaN|\[object/);
    }
    expect(
      errorSentence('quantity.out-of-range', { field: 'thickness', unit: 'mm', min: 2, max: 300, seen: '3 m' })
    ).to.equal('Thickness must be 2 to 300 mm; saw 3 m.');
  });
  it('what cannot be done now is told as a sentence, whatever stands in the way', () => {
    const details = {
      hindrance: { kind: 'in', occupant: 'cure' },
      route: 'raw',
      seen: 'not-cleared',
      name: 'Soy sauce'
    };
    for (const [why, tell] of Object.entries(NOT_NOW)) {
      expect(tell(details), why).to.match(/^\p{Lu}[^{}]{8,}\.$/u);
      expect(tell(details), why).to.not.match(/undefined|NaN|\[object|\b[a-z]+-[a-z]+\b/);
      expect(errorSentence('record.not-allowed-now', { field: 'piece', why, ...details })).to.equal(tell(details));
    }
    expect(NOT_NOW.hindered(details)).to.equal('Not now: the piece is in a cure.');
    expect(NOT_NOW['window-shut'](details)).to.equal('It may not be served so. Raw: not cleared.');
  });
  it('sentences of real verdicts have no hole in them', () => {
    const tried = [
      ask({}, 1),
      ask({ lot: { species: 'snapper', core: celsius(9), decision: 'cooked-only', reason: 'soft' } }, 1),
      ask(
        { papers: [paper({ type: 'freezing-statement', frozenAt: celsius(-20), frozenFor: typed(604800, 'h') })] },
        1,
        'eu'
      )
    ];
    const sentences = tried.flatMap(({ reasons }) => reasons.map((reason) => sentence(reason)));
    expect(sentences.length).to.be.greaterThan(12);
    sentences.forEach((text) => expect(text).to.not.match(/undefined|NaN|\s{2}/));
  });
  it('an unknown code is said as a code, never swallowed', () => {
    expect(sentence({ code: 'new.code', seen: {} })).to.equal('new.code');
    expect(missingWord('new.code')).to.equal('new.code');
  });
  it('every kind of entry and every task has a name', () => {
    for (const kind of Object.keys(EVENT_KINDS)) expect(kindWords(kind)).to.not.equal(kind);
    expect(taskWords({ code: 'paper-missing', seen: { missing: 'shellfish.no-tag' } })).to.equal(
      'Missing: shellfish tag'
    );
  });
  it('an entry reads as it was typed, with its units', () => {
    const words = entryWords(event('cold.read', 1, { reading: typed(2, 'F', '35.6 F'), place: 'Drawer 2' }));
    expect(words).to.deep.equal(['reading 35.6 F', 'place Drawer 2']);
  });
  it('of a kept log says its readings, its span by the clock and what put its clock right, and nothing of zeros', () => {
    const kept = event('readings.stored', 1, {
      sensor: 'chest-air',
      day: '2026-03-09',
      count: 288,
      minCelsius: -25.96,
      maxCelsius: -24,
      contentHash: 'ab',
      from: Date.UTC(2026, 2, 9, 4),
      to: Date.UTC(2026, 2, 10, 3, 55),
      source: 'live',
      origin: 'logger-1',
      clockOffsetSeconds: 0
    });
    const words = entryWords(kept).join('; ');
    expect(words)
      .to.contain('readings 288')
      .and.to.contain('came live')
      .and.to.match(/from Mon 9 Mar, 04:00/);
    expect(words).to.not.match(/\d{13}|wild|clock put right|ab\b/);
  });
});

describe('rule profiles', () => {
  for (const profile of PROFILES) {
    it(`${profile.name}: every limit is printed in both scales and they agree to half a degree`, () => {
      const limits = [
        profile.receiveCold,
        profile.receiveFrozen,
        profile.coldHold,
        ...profile.parasites.cycles.map(({ hold }) => hold)
      ];
      for (const { c, f } of limits) expect((c * 9) / 5 + 32).to.be.closeTo(f, 0.5);
    });
    it(`${profile.name}: every number has its citation`, () => {
      const cited = [
        ...profile.parasites.cycles,
        ...profile.timeControls,
        profile.dateMark,
        profile.histamine,
        profile.shellfishTag
      ];
      for (const { citation, rule } of cited) expect(citation.length * rule.length).to.be.greaterThan(0);
      expect(profile.version).to.match(/\d{4}\.\d/);
    });
  }
});

describe('findings in a Fahrenheit house', () => {
  it('say every temperature in its scale, limits as the rule prints them, and nothing twice', () => {
    const F = { temperature: 'F' as const };
    const cold = { code: 'temperature.arrived-cold', seen: { celsius: 0.8, typed: '0.8 C', limitC: 5, limitF: 41 } };
    expect(sentence(cold, F).replace(/\u00a0/g, ' ')).to.equal('Came in at 33.4 °F; the limit is 41.0 °F.');
    expect(sentence(cold).replace(/\u00a0/g, ' ')).to.equal('Came in at 0.8 °C; the limit is 5.0 °C.');
    const numbers = Object.fromEntries(
      [
        'celsius',
        'limitC',
        'aboveC',
        'holdCelsius',
        'solidCelsius',
        'holdHours',
        'days',
        'wps',
        'share',
        'iceDays'
      ].map((key) => [key, 2])
    );
    for (const code of FINDING_CODES) {
      const said = sentence({ code, seen: { ...numbers, hot: true, typed: '2 C' } }, F);
      expect(said, code).to.not.match(/°C|NaN °/);
    }
  });
});
