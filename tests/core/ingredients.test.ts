import { expect } from 'chai';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { SHIPPED_SAUCES } from '../../src/lib/core/bench/acid/sauces/index.ts';
import { SOUR_LIQUIDS } from '../../src/lib/core/bench/acid/liquid.ts';
import { SHIPPED_RECIPES } from '../../src/lib/core/bench/cure/recipes/index.ts';
import { INGREDIENTS } from '../../src/lib/core/ingredients/catalogue.ts';
import { toldTogether, type LinkedLine, type Told } from '../../src/lib/core/ingredients/ingredient.ts';
import {
  BATCH_STANDS_DAYS,
  ingredientById,
  ingredientNamed,
  isCircle,
  LIQUID_INGREDIENTS,
  linkTo,
  rawOfLines,
  NO_HOUSE_INGREDIENTS,
  swapsOfLines,
  toldOfLine,
  toldOfLines,
  usesOf,
  type HouseIngredients,
  type Swap
} from '../../src/lib/core/ingredients/kitchen.ts';
import { ingredientText, readIngredient, readIngredients } from '../../src/lib/core/ingredients/read.ts';
import { ALLERGENS, allergensAdded } from '../../src/lib/core/codes/allergens.ts';
import { profileById } from '../../src/lib/core/codes/profiles/index.ts';
import { disclosure, noticeText } from '../../src/lib/words/notices.ts';
import { troubleOf } from '../trouble.ts';
import { runs } from '../runs.ts';

const DAY = 86_400_000;
const NOW = Date.UTC(2026, 2, 13, 12);
const line = (what: string, more: Partial<LinkedLine> = {}): LinkedLine => ({ what, ...linkTo(what), ...more });
const swap = (id: string, instead: string, from: number, to = Infinity): Swap => ({
  id,
  instead,
  from,
  to,
  by: 'p1',
  reason: ''
});
const out = (...swaps: Swap[]): HouseIngredients => ({ own: {}, swaps });
const told = (house: HouseIngredients, what: string, at = NOW) => toldOfLine(house, line(what), at);

const BOOKS = [...SHIPPED_RECIPES, ...SHIPPED_SAUCES];

/** What one of the books says under each list: required, advised (in brackets), and what may be in it. */
function goldenRows(): string[] {
  return BOOKS.flatMap(({ name, lines }) =>
    ['us-fc', 'eu', 'uk', 'jp'].map((id) => {
      const all = toldOfLines(NO_HOUSE_INGREDIENTS, lines, NOW);
      const named = (names: readonly string[]) =>
        allergensAdded(names, profileById(id))
          .map(({ allergen, duty }) => (duty === 'required' ? allergen : `(${allergen})`))
          .join(' ') || '-';
      return `${name} | ${id} | ${named(all.holds)} | may ${named(all.mayHold)}`;
    })
  );
}

describe('ingredients that ship', () => {
  it('every line of every recipe and sauce that ships refers to one, and types no allergen', () => {
    expect(BOOKS.length).to.be.greaterThan(28);
    for (const { name, lines, allergens } of BOOKS) {
      expect(allergens, name).to.deep.equal([]);
      for (const each of lines) {
        expect(ingredientById(NO_HOUSE_INGREDIENTS, each.ingredient)?.name, `${name}: ${each.what}`).to.be.a('string');
        expect(each.holds, `${name}: ${each.what}`).to.equal(null);
      }
    }
  });
  it('each has an id and names of its own', () => {
    const names = INGREDIENTS.flatMap(({ name, alsoCalled }) =>
      [name, ...alsoCalled].map((each) => each.toLowerCase())
    );
    expect(names.length - new Set(names).size, names.filter((each, at) => names.indexOf(each) !== at).join()).to.equal(
      0
    );
    expect(new Set(INGREDIENTS.map(({ id }) => id)).size).to.equal(INGREDIENTS.length);
  });
  it('hides nothing: stock is fish, bean paste may be barley, soy sauce is wheat, oil that fried carries on', () => {
    for (const [what, holds, mayHold] of [
      ['Stock', ['fish'], ['crustacean', 'mollusc']],
      ['Light bean paste', ['soy'], ['barley', 'wheat', 'fish']],
      ['Dark bean paste', ['soy'], ['barley', 'wheat', 'fish']],
      ['Soy sauce', ['soy', 'wheat'], []],
      ['Kelp stock', [], ['fish', 'crustacean', 'mollusc']],
      ['Wine vinegar', ['sulphites'], []],
      ['Surimi sticks', ['fish', 'egg', 'wheat'], ['crustacean', 'crab', 'soy']]
    ] as const) {
      const all = told(NO_HOUSE_INGREDIENTS, what);
      expect(all.holds, what).to.include.members([...holds]);
      expect(all.mayHold, what).to.include.members([...mayHold]);
    }
    expect(told(NO_HOUSE_INGREDIENTS, 'Frying oil').mayHold).to.include.members([
      'wheat',
      'crustacean',
      'mollusc',
      'egg',
      'fish'
    ]);
    // A name that speaks of an allergen is never an ingredient without it.
    const signs: [RegExp, string][] = [
      [/\b(stock|bonito|anchovy|fish)\b/i, 'fish'],
      [/bean (paste|curd)|\bsoy\b/i, 'soy'],
      [/sesame/i, 'sesame'],
      [/mustard/i, 'mustard'],
      [/\begg\b/i, 'egg'],
      [/\b(butter|cream|milk|yoghurt)\b/i, 'milk'],
      [/celer/i, 'celery'],
      [/\bwine\b|verjuice/i, 'sulphites'],
      [/barley|malt|beer/i, 'barley'],
      [/shrimp|prawn/i, 'crustacean'],
      [/oyster|squid/i, 'mollusc']
    ];
    let seen = 0;
    for (const each of INGREDIENTS)
      for (const [sign, allergen] of signs)
        if ([each.name, ...each.alsoCalled].some((name) => sign.test(name)) && !/^(Rice wine|Kelp)/.test(each.name)) {
          seen++;
          expect([...each.holds, ...each.mayHold], `${each.name}: ${allergen}`).to.include(allergen);
        }
    expect(seen).to.be.greaterThan(30);
  });
  it('each sour liquid of the acid bench is one of them', () => {
    expect(Object.keys(LIQUID_INGREDIENTS)).to.have.members(SOUR_LIQUIDS.map(({ id }) => id));
    for (const id of Object.values(LIQUID_INGREDIENTS))
      expect(ingredientById(NO_HOUSE_INGREDIENTS, id)).to.be.an('object');
  });
  it('all recipes and sauces under four lists read as they were checked by hand', () => {
    const golden = readFileSync(join(import.meta.dirname, '../fixtures/allergens.txt'), 'utf8')
      .trim()
      .split('\n');
    expect(goldenRows()).to.deep.equal(golden);
  });
});

describe('a line of a recipe', () => {
  it('is found by any name, whatever stands behind its comma', () => {
    for (const [text, id] of [
      ['soy sauce', 'soy-sauce'],
      ['  Dill   stalks, chopped', 'dill'],
      ['Miso', 'light-bean-paste'],
      ['stock', 'stock-of-kelp-and-dried-bonito']
    ] as const)
      expect(ingredientNamed(NO_HOUSE_INGREDIENTS, text)?.id, text).to.equal(id);
    expect(ingredientNamed(NO_HOUSE_INGREDIENTS, 'Soy')).to.equal(undefined);
  });
  it('that is on no list says what it holds, or is refused with names near it', () => {
    const read = (text: string) => readIngredient(text, NO_HOUSE_INGREDIENTS, 'lines');
    expect(read('Shiso oil = Sesame + may tree nuts')).to.deep.equal({
      what: 'Shiso oil',
      ingredient: '',
      holds: ['sesame'],
      mayHold: ['tree-nut']
    });
    expect(read('House salt = nothing').holds).to.deep.equal([]);
    expect(read('Powder = ?').holds).to.equal(null);
    expect(read('Powder =').holds).to.equal(null);
    const trouble = troubleOf(() => read('Sesame dressing'));
    expect(trouble.code).to.equal('ingredient.unknown');
    expect(trouble.details.candidates).to.include('Roasted sesame oil');
    expect(troubleOf(() => read('Dust = magic')).code).to.equal('form.value-unknown');
    expect(readIngredients('Soy sauce, Shiso oil = sesame, ', NO_HOUSE_INGREDIENTS, 'also')).to.have.length(2);
  });
  it('is typed as it is read, whatever it holds', () => {
    const some = fc.uniqueArray(fc.constantFrom(...ALLERGENS), { maxLength: 4 });
    fc.assert(
      fc.property(some, some, fc.boolean(), (holds, may, known) => {
        const mayHold = may.filter((each) => !holds.includes(each));
        const other: LinkedLine = { what: 'Odd thing', ingredient: '', holds, mayHold };
        const each = known ? line('Soy sauce') : other;
        expect(readIngredient(ingredientText(each), NO_HOUSE_INGREDIENTS, 'x')).to.deep.equal(each);
      }),
      runs(100)
    );
  });
  it('of which nobody said anything is asked after, and told by what nothing else holds', () => {
    const all = toldOfLines(NO_HOUSE_INGREDIENTS, [line('Grey powder'), line('Soy sauce')], NOW);
    expect(all).to.deep.equal({ holds: ['soy', 'wheat'], mayHold: [], unsaid: ['Grey powder'] });
    // A file that calls soy sauce water hides nothing; nor does one that refers to what is not there.
    expect(toldOfLine(NO_HOUSE_INGREDIENTS, line('Soy sauce', { ingredient: 'water' }), NOW).holds).to.include('wheat');
    expect(toldOfLine(NO_HOUSE_INGREDIENTS, line('Dust', { ingredient: 'nowhere' }), NOW).unsaid).to.deep.equal([
      'Dust'
    ]);
  });
  it('what was typed before there was a list stays told', () => {
    expect(toldOfLines(NO_HOUSE_INGREDIENTS, [line('Sugar')], NOW, ['lupin']).holds).to.deep.equal(['lupin']);
  });
});

describe('what the house says of an ingredient', () => {
  const own = (more: object): HouseIngredients => ({
    own: {
      'soy-sauce': {
        id: 'soy-sauce',
        name: 'Soy sauce',
        alsoCalled: [],
        holds: [],
        mayHold: [],
        raw: false,
        tell: [],
        note: '',
        withdrawn: false,
        ...more
      }
    },
    swaps: []
  });
  it('adds to what ships, and takes nothing off it', () => {
    expect(told(own({ mayHold: ['barley'] }), 'Soy sauce')).to.deep.include({
      holds: ['soy', 'wheat'],
      mayHold: ['barley']
    });
    expect(told(own({ holds: ['fish'] }), 'Soy sauce').holds).to.have.members(['soy', 'wheat', 'fish']);
    expect(told(own({ holds: ['fish'], withdrawn: true }), 'Soy sauce').holds).to.deep.equal(['soy', 'wheat']);
  });
});

describe('out of one, and another used instead', () => {
  const since = NOW - DAY;
  it('changes what carries it from then on; what a batch made before may hold is told for seven days', () => {
    const house = out(swap('soy-sauce', 'wheat-free-soy-sauce', since));
    expect(told(house, 'Soy sauce', since - 1)).to.deep.include({ holds: ['soy', 'wheat'], mayHold: [] });
    expect(told(house, 'Soy sauce')).to.deep.include({ holds: ['soy'], mayHold: ['wheat'] });
    const barley = out(swap('light-bean-paste', 'barley-bean-paste', since));
    expect(told(barley, 'Light bean paste').holds).to.include('barley');
    const nuts = out(swap('sesame-paste', 'peanut', since, NOW - DAY / 2));
    expect(told(nuts, 'Sesame paste')).to.deep.include({ holds: ['sesame'] });
    expect(told(nuts, 'Sesame paste').mayHold).to.include('peanut');
    expect(usesOf(nuts, 'sesame-paste', NOW + BATCH_STANDS_DAYS * DAY).lately).to.deep.equal([]);
  });
  it('left out, it is told all the same', () => {
    expect(told(out(swap('soy-sauce', '', since)), 'Soy sauce').holds).to.deep.equal(['soy', 'wheat']);
    expect(swapsOfLines(out(swap('soy-sauce', '', since)), [line('Soy sauce')], NOW)).to.deep.equal([
      { what: 'Soy sauce', now: '' }
    ]);
  });
  it('follows one that is out as well, and refuses a circle', () => {
    const house = out(
      swap('soy-sauce', 'wheat-free-soy-sauce', since),
      swap('wheat-free-soy-sauce', 'fish-sauce', since)
    );
    expect(told(house, 'Soy sauce').holds).to.deep.equal(['fish']);
    expect(isCircle(house, 'fish-sauce', 'soy-sauce', NOW)).to.equal(true);
    expect(isCircle(house, 'fish-sauce', 'oyster-sauce', NOW)).to.equal(false);
    expect(swapsOfLines(house, [line('Soy sauce'), line('Sugar')], NOW)).to.deep.equal([
      { what: 'Soy sauce', now: 'Fish sauce' }
    ]);
  });
  it('whatever is swapped and undone, nothing that was in use within seven days goes untold', () => {
    const ids = ['soy-sauce', 'wheat-free-soy-sauce', 'fish-sauce', 'barley-bean-paste', 'peanut'];
    const turn = fc.record({
      id: fc.constantFrom(...ids),
      instead: fc.constantFrom(...ids, ''),
      from: fc.integer({ min: 0, max: 20 * 24 }),
      hours: fc.integer({ min: 1, max: 20 * 24 })
    });
    const all = (each: Told) => new Set([...each.holds, ...each.mayHold]);
    fc.assert(
      fc.property(
        fc.array(turn, { maxLength: 5 }),
        fc.constantFrom(...ids),
        fc.integer({ min: 0, max: 167 }),
        (turns, id, ago) => {
          const start = NOW - 20 * DAY;
          const house = out(
            ...turns
              .filter(({ id: one, instead }) => one !== instead)
              .map(({ id: one, instead, from, hours }) =>
                swap(one, instead, start + from * 3_600_000, start + (from + hours) * 3_600_000)
              )
          );
          const before = NOW - ago * 3_600_000;
          const used = usesOf(house, id, before).now || id;
          const now = all(toldOfLine(house, line(ingredientById(house, id)!.name), NOW));
          for (const allergen of ingredientById(house, used)!.holds) expect([...now]).to.include(allergen);
        }
      ),
      runs(300)
    );
  });
});

describe('what of a dish is raw of an animal', () => {
  it('is named by its line, also where it is what the house uses instead, or used a day ago', () => {
    const lines = [line('Egg yolk, pasteurised'), line('Lemon juice'), line('Sesame paste')];
    expect(rawOfLines(NO_HOUSE_INGREDIENTS, lines, NOW)).to.deep.equal(['Egg yolk, pasteurised']);
    const house = out(swap('sesame-paste', 'salmon-roe', NOW - DAY, NOW - DAY / 2));
    expect(rawOfLines(house, lines, NOW)).to.deep.equal(['Egg yolk, pasteurised', 'Sesame paste']);
  });
  it('makes the disclosure, with the fish where that is raw; a dish without any has none', () => {
    expect(disclosure('Char in lime', 'Arctic char', 'acid')).to.equal('Char in lime* (Arctic char: raw, in acid)');
    expect(disclosure('', 'Turbot', 'seared')).to.equal('Turbot* (seared outside, raw inside)');
    expect(disclosure('Broth', 'Turbot', 'cooked')).to.equal('');
    expect(disclosure('Broth', 'Turbot', 'cooked', ['Egg yolk'])).to.equal('Broth* (egg yolk, raw)');
    for (const profile of ['us-fc', 'eu', 'uk', 'jp']) expect(noticeText(profile)).to.match(/^\* .*[Rr]aw/);
    expect(noticeText('us-fc')).to.contain('undercooked').and.to.contain('risk of foodborne illness');
  });
});

describe('told together', () => {
  it('is no less than any of them; what is in one is no may of another', () => {
    const names = fc.uniqueArray(fc.constantFrom(...ALLERGENS), { maxLength: 5 });
    const each = fc.record({
      holds: names,
      mayHold: names,
      unsaid: fc.array(fc.constantFrom('a', 'b'), { maxLength: 2 })
    });
    fc.assert(
      fc.property(fc.array(each, { maxLength: 4 }), (all) => {
        const whole = toldTogether(all);
        for (const one of all) {
          expect(whole.holds).to.include.members([...one.holds]);
          expect([...whole.holds, ...whole.mayHold]).to.include.members([...one.mayHold]);
          expect(whole.unsaid).to.include.members([...one.unsaid]);
        }
        expect(whole.mayHold.filter((name) => whole.holds.includes(name))).to.deep.equal([]);
      }),
      runs(200)
    );
  });
});
