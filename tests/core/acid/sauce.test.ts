import { expect } from 'chai';
import fc from 'fast-check';
import { correctSauce, scaleSauce } from '../../../src/lib/core/bench/acid/sauce.ts';
import { SAUCE_KINDS, sauceBody, type SauceBody } from '../../../src/lib/core/activity/acid/sauce-body.ts';
import { SHIPPED_SAUCES } from '../../../src/lib/core/bench/acid/sauces/index.ts';
import { linkTo, NO_HOUSE_INGREDIENTS, toldOfLines } from '../../../src/lib/core/ingredients/kitchen.ts';
import { portionsText, sauceLinesText } from '../../../src/lib/ui/acid/sauce-text.ts';
import { sauceLineFrom } from '../../../src/lib/server/operations/sauces.ts';
import { SAUCE_KIND_WORDS } from '../../../src/lib/words/acid.ts';
import { troubleOf } from '../../trouble.ts';
import { runs } from '../../runs.ts';
import { pageChanges } from '../../../src/lib/core/bench/book/changes.ts';

const SAUCE: SauceBody = {
  name: 'Test',
  kind: 'citrus',
  rate: 0.25,
  lines: [
    { what: 'Lime juice', parts: 60, each: 0, ...linkTo('Lime juice') },
    { what: 'Olive oil', parts: 30, each: 0, ...linkTo('Olive oil') },
    { what: 'Egg yolk', parts: 10, each: 18, ...linkTo('Egg yolk') }
  ],
  portions: [0.6, 0.4],
  steps: [],
  goodFor: '',
  allergens: [],
  note: ''
};
const gramsOf = (sauce: SauceBody, fish: number) =>
  new Map(scaleSauce(sauce, fish, 0.001).lines.map(({ what, grams }) => [what, grams]));

describe('the book of sauces that ships', () => {
  it('at least a dozen, of every kind, each a whole recipe with portions that make one', () => {
    expect(SHIPPED_SAUCES.length).to.be.at.least(12);
    for (const kind of SAUCE_KINDS) {
      expect(
        SHIPPED_SAUCES.some((sauce) => sauce.kind === kind),
        kind
      ).to.equal(true);
      expect(SAUCE_KIND_WORDS[kind]).to.not.equal('');
    }
    expect(new Set(SHIPPED_SAUCES.map(({ id }) => id)).size).to.equal(SHIPPED_SAUCES.length);
    for (const sauce of SHIPPED_SAUCES) {
      sauceBody.parse(sauce);
      expect(
        sauce.portions.reduce((sum, share) => sum + share, 0),
        sauce.name
      ).to.be.closeTo(1, 1e-9);
      expect(sauce.steps.length, sauce.name).to.be.greaterThan(0);
      expect(sauce.goodFor, sauce.name).to.not.equal('');
    }
  });
  it('what is in it is told: soy, sesame, egg, mustard, milk, fish, celery by its lines', () => {
    const signs: [RegExp, string][] = [
      [/soy sauce/i, 'soy'],
      [/sesame/i, 'sesame'],
      [/egg/i, 'egg'],
      [/mustard/i, 'mustard'],
      [/cream/i, 'milk'],
      [/bonito flakes/i, 'fish'],
      [/celery/i, 'celery']
    ];
    let seen = 0;
    for (const sauce of SHIPPED_SAUCES)
      for (const [sign, allergen] of signs)
        if (sauce.lines.some(({ what }) => sign.test(what))) {
          seen++;
          expect(toldOfLines(NO_HOUSE_INGREDIENTS, sauce.lines, 0).holds, `${sauce.name}: ${allergen}`).to.include(
            allergen
          );
        }
    expect(seen).to.be.greaterThan(8);
  });
});

describe('a sauce in grams', () => {
  it('goes by the fish: a quarter of 400 g, shared out by parts, portion by portion', () => {
    const scaled = scaleSauce(SAUCE, 400, 1);
    expect(scaled.grams).to.equal(100);
    expect(scaled.lines.map(({ weighed }) => weighed)).to.deep.equal([60, 30, 10]);
    expect(scaled.lines[0]!.portions).to.deep.equal([36, 24]);
    // A pinch is said finer than the scale shows.
    expect(scaleSauce(SAUCE, 43, 1).lines[2]!.portions).to.deep.equal([0.6, 0.4]);
  });
  it('what comes whole says how many, and for how much fish that would be right', () => {
    const { lines, evenFor } = scaleSauce(SAUCE, 400, 1);
    expect(lines[2]!.whole).to.deep.include({ take: 1 });
    expect(lines[2]!.whole!.exact).to.be.closeTo(10 / 18, 1e-9);
    expect(evenFor).to.be.closeTo(720, 1e-6);
    expect(scaleSauce(SAUCE, evenFor!, 1).lines[2]!.whole!.exact).to.be.closeTo(1, 1e-9);
    expect(scaleSauce({ ...SAUCE, lines: SAUCE.lines.slice(0, 2) }, 400, 1).evenFor).to.equal(null);
  });
  it('rounds to what the scale shows, and no further', () => {
    expect(scaleSauce(SAUCE, 438, 0.1).lines[0]!.weighed).to.equal(65.7);
    expect(scaleSauce(SAUCE, 438, 5).lines[0]!.weighed).to.equal(65);
  });
  it('refuses no fish, and a sauce of nothing', () => {
    expect(troubleOf(() => scaleSauce(SAUCE, 0, 1)).details.field).to.equal('grams');
    const none = { ...SAUCE, lines: [{ what: 'Air', parts: 0, each: 0, ...linkTo('Air') }] };
    expect(troubleOf(() => scaleSauce(none, 100, 1)).code).to.equal('form.incomplete');
  });
});

describe('what was added by taste', () => {
  it('is in the next version for any weight of fish, and the rest is as it was', () => {
    const next = correctSauce(SAUCE, 400, [12, 0, 0]);
    const [old, now] = [gramsOf(SAUCE, 800), gramsOf(next, 800)];
    expect(now.get('Lime juice')).to.be.closeTo(old.get('Lime juice')! + 24, 1e-3);
    expect(now.get('Olive oil')).to.be.closeTo(old.get('Olive oil')!, 1e-3);
    expect(next.rate).to.be.closeTo(0.28, 1e-9);
    expect(pageChanges('sauce', SAUCE, next)).to.deep.equal([
      { what: 'Lime juice', grams: pageChanges('sauce', SAUCE, next)[0]!.grams }
    ]);
    expect(pageChanges('sauce', SAUCE, next)[0]!.grams).to.be.closeTo(30, 0.01);
  });
  it('what is new joins it, what was left out goes', () => {
    const next = correctSauce(SAUCE, 400, [0, -30, 0], [{ what: 'Honey', grams: 4, ...linkTo('Honey') }]);
    expect(next.lines.map(({ what }) => what)).to.deep.equal(['Lime juice', 'Egg yolk', 'Honey']);
    expect(gramsOf(next, 400).get('Honey')).to.be.closeTo(4, 1e-3);
  });
  it('by any additions: what is weighed for the same fish is what it weighed in the end', () => {
    const grams = fc.double({ min: 0, max: 40, noNaN: true });
    fc.assert(
      fc.property(fc.tuple(grams, grams, grams), fc.integer({ min: 50, max: 4000 }), (added, fish) => {
        fc.pre(added.some((each) => each > 0.01));
        const [old, now] = [gramsOf(SAUCE, fish), gramsOf(correctSauce(SAUCE, fish, added), fish)];
        SAUCE.lines.forEach(({ what }, index) =>
          expect(now.get(what)! - old.get(what)!).to.be.closeTo(added[index]!, 0.02 + fish * 1e-4)
        );
      }),
      { ...runs(200), seed: 17 }
    );
  });
  it('refuses to take out more than is in it, and a correction of nothing', () => {
    const trouble = troubleOf(() => correctSauce(SAUCE, 400, [-61, 0, 0]));
    expect(trouble.details).to.include({ field: 'Lime juice', unit: 'g' });
    expect(troubleOf(() => correctSauce(SAUCE, 400, [0, 0, 0])).code).to.equal('form.incomplete');
  });
});

describe('a sauce as it is typed', () => {
  const lineFrom = (text: string) => sauceLineFrom(text, NO_HOUSE_INGREDIENTS);
  it('comes back as it was', () => {
    for (const { lines } of SHIPPED_SAUCES)
      expect(sauceLinesText(lines).split('\n').map(lineFrom)).to.deep.equal([...lines]);
    expect(portionsText([0.6, 0.25, 0.15])).to.equal('60, 25, 15');
  });
  it('a line that cannot be read says which', () => {
    expect(troubleOf(() => lineFrom('Lime; some')).details.seen).to.equal('some');
    expect(troubleOf(() => lineFrom('; 3')).code).to.equal('form.value-unknown');
    expect(troubleOf(() => lineFrom('Yolk; 3; whole')).details.seen).to.equal('whole');
  });
});
