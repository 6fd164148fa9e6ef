import { expect } from 'chai';
import { cure } from '../../../src/lib/core/bench/cure/plan.ts';
import { SCHOOL_IDS } from '../../../src/lib/core/activity/cure/lists.ts';
import { scaleRecipe, settingsOf, sharesOf } from '../../../src/lib/core/bench/cure/recipe.ts';
import { recipeBody } from '../../../src/lib/core/activity/cure/recipe-body.ts';
import { SHIPPED_RECIPES } from '../../../src/lib/core/bench/cure/recipes/index.ts';
import { troubleOf } from '../../trouble.ts';
import { pagesAsFile, readPages } from '../../../src/lib/core/bench/book/file.ts';

const named = (name: string) => SHIPPED_RECIPES.find((recipe) => recipe.name === name)!;
const piece = { grams: 600, thicknessMm: 22, faces: 2, celsius: 3, fat: 'mid', thawed: false } as const;

describe('the recipes that ship', () => {
  it('are at least fourteen, of every school, each with an id of its own', () => {
    expect(SHIPPED_RECIPES.length).to.be.at.least(14);
    expect(new Set(SHIPPED_RECIPES.map(({ id }) => id)).size).to.equal(SHIPPED_RECIPES.length);
    expect([...new Set(SHIPPED_RECIPES.map(({ school }) => school))].sort()).to.deep.equal([...SCHOOL_IDS].sort());
  });
  for (const recipe of SHIPPED_RECIPES) {
    it(`${recipe.name}: its shape holds, it can be run, and comes out edible`, () => {
      expect(recipeBody.parse(recipe)).to.deep.include({ name: recipe.name });
      const { end } = cure({ ...piece, ...settingsOf(recipe) });
      const most = recipe.school === 'desalt' ? 8 : 6;
      expect(end.meanPercent).to.be.within(0.1, most);
      expect(end.gramsAfter / piece.grams).to.be.within(0.85, 1.15);
    });
  }
});

describe('a recipe in grams', () => {
  it('parts: the whole mix is its rate of the fish, and salt to sugar stays as written', () => {
    const dill = named('Even dill cover');
    const lines = scaleRecipe(dill, 1000, 0.1);
    expect(lines.reduce((sum, { grams }) => sum + grams, 0)).to.be.closeTo(140, 1e-9);
    expect(lines[0]!.grams).to.be.closeTo(60, 1e-9);
    expect(lines[1]!.grams).to.be.closeTo(lines[0]!.grams, 1e-9);
    expect(sharesOf(dill).reduce((sum, each) => sum + each, 0)).to.be.closeTo(0.14, 1e-12);
  });
  it('weighed: the salt is a little more than its share, so that the finished piece holds it', () => {
    const grams = scaleRecipe(named('Weighed at two'), 1000, 0.1)[0]!.grams;
    expect(grams).to.be.within(20.2, 23);
  });
  it('is rounded to what the scale shows, and says where the scale is too coarse', () => {
    const lines = scaleRecipe(named('Even dill cover'), 300, 5);
    lines.forEach(({ weighed }) => expect(weighed % 5).to.equal(0));
    const pepper = lines.find(({ what }) => what.startsWith('White pepper'))!;
    expect(pepper).to.deep.include({ weighed: 0, tooFine: true });
    expect(scaleRecipe(named('Even dill cover'), 300, 0.01).every(({ tooFine }) => !tooFine)).to.equal(true);
  });
  it('twice the fish is twice the grams', () => {
    const [one, two] = [500, 1000].map((grams) => scaleRecipe(named('Light paste, sweet'), grams, 0.1));
    one!.forEach(({ grams }, index) => expect(two![index]!.grams).to.be.closeTo(2 * grams, 1e-9));
  });
  it('a paste carries the salt, the sugar and the water of what it is made of', () => {
    const { salt, sugar, pasteWater, bathTimes } = settingsOf(named('Light paste, sweet'));
    // 10 of paste at 6 %, 2.5 of wine, 1 of wine, 0.2 of zest
    expect(salt).to.be.closeTo(0.6 / 13.7, 1e-9);
    expect(sugar).to.be.closeTo((2 + 2.5 * 0.45) / 13.7, 1e-9);
    expect(pasteWater).to.be.closeTo((4.3 + 2.5 * 0.42 + 0.84) / 13.7, 1e-9);
    expect(bathTimes).to.be.closeTo(0.35, 1e-9);
  });
});

describe('recipes in a file', () => {
  it('come back as they went out', () => {
    const bodies = SHIPPED_RECIPES.map(({ id: _, version: __, ...body }) => body);
    expect(readPages('recipe', pagesAsFile('recipe', SHIPPED_RECIPES))).to.deep.equal(bodies);
  });
  const wrong: [string, string, RegExp][] = [
    ['no JSON', 'salt: 3', /request\.not-json/],
    ['another format', '{"format":"x","version":1,"recipes":[]}', /format/],
    [
      'a line without a weight',
      pagesAsFile('recipe', [named('Weighed at two')]).replace('"amount": 0.02', '"amount": "two"'),
      /recipes\.0\.lines\.0\.amount/
    ],
    [
      'a name of nothing',
      pagesAsFile('recipe', [named('Weighed at two')]).replace('"Weighed at two"', '" "'),
      /recipes\.0\.name/
    ],
    ['a brine of nothing', pagesAsFile('recipe', [{ ...named('Sweet firm brine'), lines: [] }]), /recipes\.0\.lines/]
  ];
  for (const [what, text, seen] of wrong) {
    it(`${what}: refused, and it says where`, () => {
      const trouble = troubleOf(() => readPages('recipe', text));
      expect(trouble.code).to.equal('recipe.unreadable');
      expect(JSON.stringify(trouble.details.because)).to.match(seen);
    });
  }
});
