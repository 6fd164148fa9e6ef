import { expect } from 'chai';
import fc from 'fast-check';
import { neededText, shortText } from '../../src/lib/core/fields/field.ts';
import { plainText } from '../../src/lib/core/fields/plain.ts';
import { runs } from '../runs.ts';

describe('a text as it is kept', () => {
  for (const [typed, kept] of [
    ['Tove', 'Tove'],
    ['To\u200bve', 'Tove'],
    ['To\u200cve', 'Tove'],
    ['\u202eevoT', 'evoT'],
    ['\ufeffTove\u2060', 'Tove'],
    ['Tove\u0000', 'Tove'],
    ['A\u030ase', '\u00c5se'],
    ['two\nlines\tand a tab', 'two\nlines\tand a tab'],
    ['\u0645\u06cc\u200c\u062e\u0648\u0627\u0647\u0645', '\u0645\u06cc\u200c\u062e\u0648\u0627\u0647\u0645'],
    ['\ud83d\udc69\u200d\ud83c\udf73', '\ud83d\udc69\u200d\ud83c\udf73'],
    ['half \ud83d', 'half \ufffd']
  ] as const)
    it(`${JSON.stringify(typed)} is ${JSON.stringify(kept)}`, () => expect(plainText(typed)).to.equal(kept));

  it('what is brought together by leaving something out is joined too', () => {
    expect(plainText('a\u200d\u0301\u200d\u0645')).to.equal('\u00e1\u0645');
    expect(plainText('\u0639\u200d\u0001b')).to.equal('\u0639b');
  });
  it('a name of nothing but what nobody sees is no name', () => {
    expect(neededText().safeParse('\u200b\u2060 \u0000').success).to.equal(false);
    expect(shortText().parse('\u200b')).to.equal('');
    expect(neededText(4).parse('To\u200bve')).to.equal('Tove');
  });

  it('law: keeping it twice changes nothing, and nothing unseen is left', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 40 }), (text) => {
        const kept = plainText(text);
        expect(plainText(kept)).to.equal(kept);
        expect(kept).to.not.match(/[\u200b\u200e\u200f\u202a-\u202e]/);
        expect(kept.isWellFormed()).to.equal(true);
      }),
      runs(4000)
    );
  });
});
