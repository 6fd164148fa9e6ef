import { expect } from 'chai';
import fc from 'fast-check';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { localeOf, said, strange, words } from '../../src/lib/words/speech.ts';
import * as say from '../../src/lib/words/say.ts';
import { runs } from '../runs.ts';
import { heard } from '../speaking.ts';
import { typedTexts } from '../typed-text.ts';

const root = join(import.meta.dirname, '..', '..');
const filesOf = (folder: string, ending: string): string[] =>
  readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith(ending))
    .map((file) => join(folder, file));
const AT = Date.UTC(2026, 2, 13, 19, 10);
const HOUR = 3_600_000;

describe('the catalogue of words', () => {
  it('nothing that people read is typed into a component', () => {
    const typed = filesOf('src', '.svelte').flatMap((file) =>
      typedTexts(readFileSync(join(root, file), 'utf8')).map((text) => `${file}: ${text}`)
    );
    expect(typed).to.deep.equal([]);
  });
  it('the check finds text between tags, in attributes, and behind a choice', () => {
    const found = (source: string) => typedTexts(source);
    expect(found('<p>Take it out</p>')).to.deep.equal(['Take it out']);
    expect(found('<p>{a} kg <kbd>Esc</kbd></p>')).to.deep.equal([]);
    expect(found('<Field label="Weight" name="mass" />')).to.deep.equal(['Weight']);
    expect(found('<p class={a ? "warm one" : ""}>{a ? `in ${b}` : t.cold}</p>')).to.deep.equal([]);
    expect(found('<p>{a ? `lost in ${b}` : t.cold}</p>')).to.deep.equal(['lost in']);
    expect(found('{#if a}<Button aria-label={"Shut " + name} />{/if}')).to.deep.equal(['Shut']);
  });
  it('every text of a screen is said by somebody', () => {
    const components = [...filesOf('src', '.svelte'), ...filesOf('src/lib/ui', '.ts')].map((file) =>
      readFileSync(join(root, file), 'utf8')
    );
    const silent = filesOf('src/lib/words/screens', '.ts').flatMap((file) => {
      const text = readFileSync(join(root, file), 'utf8');
      return [...text.matchAll(/^export const (\w+) = .*words\(\{\n([\s\S]*?)\n\}\);/gm)].flatMap(([, name, body]) => {
        const users = components.filter((source) => new RegExp(`\\b${name}\\b`).test(source));
        const called = name === 'common' ? 'common' : 't';
        return [...body!.matchAll(/^ {2}(\w+):/gm)]
          .map(([, key]) => key!)
          .filter(
            (key) => !users.some((source) => new RegExp(`\\b${called}\\.${key}\\b|\\b${name}\\.${key}\\b`).test(source))
          )
          .filter(() => users.some((source) => new RegExp(`\\b${name} as t\\b`).test(source)) || users.length === 0)
          .map((key) => `${file}: ${name}.${key}`);
      });
    });
    expect(silent).to.deep.equal([]);
  });
});

describe('whom the words are for', () => {
  const door = words({
    open: 'Open',
    until: (at: string) => `until ${at}`,
    of: { left: 'left' },
    head: ['From', 'To']
  });
  it('a part of the catalogue is read in the language of the moment, however deep', () => {
    expect(door.open).to.equal('Open');
    heard({ locale: 'en-XA' }, () => {
      expect(door.open).to.equal('⟦Öƥéñ ñöŵ⟧');
      expect(door.until('noon')).to.match(/^⟦ûñţîļ ñööñ .*⟧$/);
      expect(door.of.left).to.match(/^⟦ļéƒţ .*⟧$/);
      expect(door.head.join()).to.match(/^⟦Ƒŕöɱ .*⟧,⟦Ţö .*⟧$/);
      expect(said((name: string) => [`to ${name}`])('me')[0]).to.match(/^⟦ţö ɱé .*⟧$/);
    });
    expect(door.until('noon')).to.equal('until noon');
  });
  it('law: made strange, a text keeps no plain letter, is longer, and stays so however often it is told', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const once = strange(text);
        expect(once).to.not.match(/[A-Za-z]/);
        if (text.trim() !== '') expect(once.length).to.be.at.least(text.replace(/[⟦⟧]/g, '').length);
        expect(strange(once)).to.equal(once);
      }),
      runs(200)
    );
  });
  it('a language nobody speaks here is English', () => {
    expect(localeOf('en-XA')).to.equal('en-XA');
    expect(localeOf('tlh')).to.equal('en-GB');
    expect(localeOf(null)).to.equal('en-GB');
  });
  it('figures come in the house’s units, moments on its clock, in one place', () => {
    const units = { mass: 'oz', temperature: 'F', length: 'in', volume: 'floz' } as const;
    heard({ zone: 'America/New_York', units }, () => {
      expect(say.mass(3300)).to.equal('7 lb 4 oz');
      expect(say.temperature(-20)).to.equal('-4.0 °F');
      expect(say.length(25.4)).to.equal('1.00 in');
      expect(say.weighed(28.35)).to.equal('1.00 oz');
      expect(say.dayAndTime(AT)).to.equal('Fri 13 Mar, 15:10');
    });
    expect(say.weighed(28.35)).to.equal('28.35 g');
    expect(say.dayAndTime(AT)).to.equal('Fri 13 Mar, 19:10');
    expect(say.dayOfYear(AT)).to.equal('13 Mar 2026');
    expect(say.moment(AT + HOUR, AT)).to.equal('20:10');
  });
  it('percent to a tenth under ten and whole above; counts, lists, money and spans as they are said', () => {
    expect(say.percent(0.0834)).to.equal('8.3\u00a0%');
    expect(say.percent(0.1234)).to.equal('12\u00a0%');
    expect(say.percent(0.0996)).to.equal('10\u00a0%');
    expect(say.plural(1, { one: 'piece', other: 'pieces' })).to.equal('1 piece');
    expect(say.plural(1200, { one: 'piece', other: 'pieces' })).to.equal('1,200 pieces');
    expect(say.list(['cod', 'hake', 'ling'])).to.equal('cod, hake and ling');
    expect(say.money(250, 'EUR')).to.equal('€2.50');
    expect(say.money(250, 'two')).to.equal('€2.50');
    expect(say.perKilo(null, 'EUR')).to.equal('not known');
    expect(say.span(12_000)).to.equal('3 h 20 min');
    expect(say.exactly(2, 1)).to.equal('2.0');
  });
});
