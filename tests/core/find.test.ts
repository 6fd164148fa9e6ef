import { expect } from 'chai';
import fc from 'fast-check';
import { finder, scannedPiece } from '../../src/lib/core/find.ts';
import { keyReader, SCAN_MS } from '../../src/lib/ui/keys.ts';
import { runs } from '../runs.ts';

describe('what answers to a few letters', () => {
  const piece = ['Turbot fillet', 'TUR-0313-1-B', 'Graywater Landings', 'Drawer 2'];
  it('a code whole, then what begins so, then words that begin so, then what only holds it', () => {
    expect(['tur-0313-1-b', 'turb', 'dra tur', 'waters', 'bot'].map((text) => finder(text)(piece))).to.deep.equal([
      0,
      1,
      2,
      null,
      3
    ]);
    expect(finder('fillet drawer 2')(piece)).to.equal(2);
    expect(finder('turbot salmon')(piece)).to.equal(null);
  });
  it('accents and capitals are no matter; nothing typed finds nothing', () => {
    expect(finder('SENAPE')(['Senapé al limone'])).to.equal(1);
    expect(finder('  ')(piece)).to.equal(null);
    expect(finder('-–-')(piece)).to.equal(null);
  });
  it('law: whatever stands in a name is found by it, and by any part of it', () => {
    const seed = 77;
    fc.assert(
      fc.property(fc.stringMatching(/^[a-z]{3,9}( [a-z]{2,7}){0,3}$/), fc.nat(), fc.nat(), (name, from, length) => {
        const start = from % name.length;
        const part = name.slice(start, start + 1 + (length % name.length)).trim();
        expect(finder(name)([name])).to.equal(0);
        if (part !== '') expect(finder(part)(['other', name]), `“${part}” in “${name}”`).to.not.equal(null);
      }),
      { seed, ...runs(300) }
    );
  });
  it('a label says its piece whatever the house is called; what is no code says none', () => {
    for (const [said, piece] of [
      ['https://ebb.local:3000/piece/TUR-0313-1-B', 'TUR-0313-1-B'],
      ['http://10.0.0.9/piece/tur-0313-1-aa?from=label', 'TUR-0313-1-AA'],
      ['MIX-0313-1', 'MIX-0313-1'],
      ['HTTP://X/PIECE', null],
      ['turbot', null],
      ['4006381333931', null]
    ] as const) {
      expect(scannedPiece(said), said).to.equal(piece);
    }
  });
});

describe('keys of a hand, and a scanner that types', () => {
  const struck = (keys: readonly (readonly [string, number])[]) => {
    let now = 0;
    const pressed: string[] = [];
    const scans: string[] = [];
    const read = keyReader(
      (key) => 'wh1'.includes(key),
      (key) => pressed.push(key),
      (text) => scans.push(text)
    );
    for (const [key, after] of keys) {
      now += after;
      const event = { key, timeStamp: now, target: null, preventDefault: () => undefined };
      read({ ...event, ctrlKey: false, metaKey: false, altKey: false });
    }
    return new Promise<{ pressed: string[]; scans: string[] }>((resolve) =>
      // Real time goes by for what waits: well past the time in which a next letter would come.
      setTimeout(() => resolve({ pressed, scans }), SCAN_MS * 4)
    );
  };
  const typed = (text: string) =>
    [...text].flatMap((key) =>
      /[A-Z]/.test(key)
        ? [
            ['Shift', 2],
            [key, 3]
          ]
        : [[key, 4]]
    );
  before(function () {
    // Outside a browser no element has been typed into.
    (globalThis as { Element?: unknown }).Element ??= class {};
  });
  it('one key alone is pressed, once, though it bounces', async () => {
    const bounced = [
      ['w', 1000],
      ['w', 20]
    ] as const;
    expect(await struck(bounced)).to.deep.equal({ pressed: ['w'], scans: [] });
    expect(await struck([['w', 1000]])).to.deep.equal({ pressed: ['w'], scans: [] });
    expect(await struck([['x', 1000]])).to.deep.equal({ pressed: [], scans: [] });
  });
  it('a scan is one text, and none of its letters is a key', async () => {
    const text = 'http://wharf:31/piece/WHI-0313-1-A';
    const keys = [...typed(text), ['Enter', 4]] as [string, number][];
    expect(await struck(keys)).to.deep.equal({ pressed: [], scans: [text] });
  });
  it('Enter of a hand is no scan, and a scan without its end is nothing', async () => {
    expect((await struck([...typed('h123'), ['Enter', 900]] as [string, number][])).scans).to.deep.equal([]);
    expect(await struck(typed('h1w1') as [string, number][])).to.deep.equal({ pressed: [], scans: [] });
  });
});
