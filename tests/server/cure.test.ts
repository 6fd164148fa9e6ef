import { expect } from 'chai';
import { SHIPPED } from '../../src/lib/core/bench/cure/parameters.ts';
import {} from '../../src/lib/core/bench/cure/recipe.ts';
import { SHIPPED_RECIPES } from '../../src/lib/core/bench/cure/recipes/index.ts';
import { cureNow } from '../../src/lib/core/activity/cure/fold.ts';
import { COVER } from '../../src/lib/server/examples.ts';
import type { App } from '../../src/lib/server/app.ts';
import { fittedFor, learningView, parametersFor } from '../../src/lib/server/facts/cure-learning.ts';

import { recentMean, warmthOf } from '../../src/lib/server/plans/cure.ts';
import { cureRunView, scaledRecipe } from '../../src/lib/server/views/cure.ts';
import { labelData } from '../../src/lib/server/views/label.ts';
import { NO_HOUSE_INGREDIENTS } from '../../src/lib/core/ingredients/kitchen.ts';
import { pieceView } from '../../src/lib/server/views/piece.ts';
import { recipeLineFrom } from '../../src/lib/server/operations/recipes.ts';
import { nowView } from '../../src/lib/server/views/now.ts';
import { recipeLinesText } from '../../src/lib/ui/cure/recipe-text.ts';
import { HOUR, NOON, charHouse, type TestHouse } from './house.ts';
import { pagesAsFile } from '../../src/lib/core/bench/book/file.ts';
import { bookOf, pageOf } from '../../src/lib/server/facts/book.ts';

const appOf = ({ store, clock }: TestHouse) => ({ store, clock }) as unknown as App;
describe('curing', () => {
  let house: TestHouse;
  let piece: string;
  const char = charHouse();
  beforeEach(() => ({ house, piece } = char));
  const later = (hours: number) => house.clock.moveTo(house.clock.now() + hours * HOUR, true);
  const run = (id = piece) => house.store.projections.piece(id).state.cures.at(-1)!;
  const refusal = (name: string, input: object) => {
    const answer = house.act(name, input);
    if (answer.ok) throw new Error(`${name} was taken`);
    return answer;
  };
  const tasks = () => nowView(appOf(house)).tasks.map(({ code, seen }) => `${code} ${seen.step ?? ''}`.trim());

  it('is committed with its grams, its steps and its clocks', () => {
    const { saltGrams, dueAt } = house.done('start-cure', { piece, ...COVER, turned: true, place: 'Drawer 1' });
    expect(saltGrams).to.be.closeTo(120, 1e-9);
    expect(dueAt).to.equal(NOON + 36 * HOUR);
    const { plan } = run();
    expect(plan.subject!.grams).to.equal(2000);
    expect(plan.set!.thin).to.deep.include({ si: 9, unit: 'mm' });
    expect(plan.steps.map(({ code }) => code)).to.include.members(['lay-on', 'turn', 'baste', 'rinse', 'rest-over']);
    expect(plan.forecast.gramsAfter.low).to.be.lessThan(plan.forecast.gramsAfter.high);
    expect(house.store.projections.piece(piece).state.stays.at(-1)).to.deep.include({ place: 'Drawer 1', to: null });
    expect(tasks()).to.deep.equal(['cure-step turn', 'cure-due']);
  });
  it('a rate of the mix and one of the salt are told apart', () => {
    const { saltGrams, sugarGrams } = house.done('start-cure', {
      piece,
      ...COVER,
      sugar: '',
      parts: '2:1',
      rateMeans: 'mix'
    });
    expect(saltGrams).to.be.closeTo(80, 1e-9);
    expect(sugarGrams).to.be.closeTo(40, 1e-9);
    house.done('end-cure', { piece });
    expect(refusal('start-cure', { piece, ...COVER, parts: 'much' }).fields[0]!.field).to.equal('parts');
  });
  it('its steps are done one after the other, each once', () => {
    house.done('start-cure', { piece, ...COVER, turned: true });
    later(12);
    house.done('step-cure', { piece, step: 'turn-1' });
    expect(tasks()[0]).to.equal('cure-step baste');
    expect(refusal('step-cure', { piece, step: 'turn-1' }).code).to.equal('record.not-allowed-now');
    expect(refusal('step-cure', { piece, step: 'dance-1' }).code).to.equal('record.not-found');
    house.done('change-cure', { piece, change: 'left', hours: '30 h' });
    expect(run().done.map(({ step }) => step)).to.deep.equal(['turn-1']);
    expect(tasks()[0]).to.equal('cure-step baste');
  });
  it('paused, taken up again and given more time, it is forecast anew each time', () => {
    house.done('start-cure', { piece, ...COVER });
    const first = run().plan.forecast.meanSaltPercent.likely;
    later(10);
    house.done('change-cure', { piece, change: 'pause', note: 'needed the drawer' });
    expect(tasks()).to.deep.equal(['cure-paused']);
    expect(refusal('change-cure', { piece, change: 'pause' }).code).to.equal('form.value-unknown');
    later(5);
    house.done('change-cure', { piece, change: 'resume' });
    expect(cureNow(run()).dueAt).to.equal(NOON + 41 * HOUR);
    later(1);
    house.done('change-cure', { piece, change: 'left', hours: '40 h' });
    expect(cureNow(run()).forecast.meanSaltPercent.likely).to.be.greaterThan(first);
    expect(cureNow(run()).dueAt).to.equal(NOON + (16 + 40 + 12) * HOUR);
    house.done('change-cure', { piece, change: 'left', hours: '0 h' });
    expect(cureNow(run()).dueAt).to.be.closeTo(NOON + 28 * HOUR, 2000);
    expect(refusal('change-cure', { piece, change: 'left' }).fields[0]!.field).to.equal('hours');
    expect(run().changes).to.have.length(4);
  });
  it('ends with weight, taste and meter, as it was really run', () => {
    house.done('start-cure', { piece, ...COVER });
    later(20);
    house.done('end-cure', {
      piece,
      massAfter: '1880 g',
      taste: 4,
      saltTaste: 'low',
      saltReading: '2.4 %',
      saltWhere: 'middle'
    });
    const { ended } = run();
    expect(ended!.stages.map(({ seconds }) => seconds / 3600)).to.deep.equal([20]);
    expect(ended).to.deep.include({ taste: 4, saltTaste: 'low' });
    expect(ended!.salt).to.deep.include({ where: 'middle' });
    expect(refusal('end-cure', { piece }).code).to.equal('record.not-allowed-now');
    expect(refusal('step-cure', { piece, step: 'off' }).code).to.equal('record.not-allowed-now');
  });
  it('what a cure puts on it is told with whatever is cut from it and served', () => {
    const view = (id: string) => pieceView(appOf(house), id).told.holds.map(({ allergen }) => allergen);
    const { piece: before } = house.done('divide-piece', { piece, name: 'Before', form: 'block', mass: '300 g' });
    house.done('start-cure', { piece, ...COVER, recipe: 'quick-soy-bath', also: 'Mustard, lupin flour' });
    house.done('end-cure', { piece });
    const { piece: after } = house.done('divide-piece', { piece, name: 'After', form: 'block', mass: '300 g' });
    expect(view(String(after))).to.include.members(['fish', 'soy', 'wheat', 'mustard', 'lupin']);
    expect(view(String(before))).to.not.include.members(['soy']);
    house.done('serve-piece', { piece: after, route: 'cured', dish: 'x', all: true });
    const { served } = house.store.projections.piece(String(after)).state;
    expect(served[0]!.allergens).to.include.members(['fish', 'soy', 'wheat', 'lupin']);
    expect(labelData(appOf(house), piece).allergens).to.include('soy');
  });
  it('a weight that cannot be is asked about before it teaches anything', () => {
    house.done('start-cure', { piece, ...COVER });
    for (const massAfter of ['188 g', '9 kg']) {
      expect(refusal('end-cure', { piece, massAfter }).details).to.include({
        field: 'massAfter',
        min: 1000,
        max: 3000
      });
    }
    house.done('end-cure', { piece, massAfter: '1.88 kg' });
    expect(house.store.projections.piece(piece).state.grams).to.equal(1880);
  });
  it('refuses what the core refuses, by field, whoever asks', () => {
    const wrong: [object, string][] = [
      [{ salt: '400 %' }, 'salt'],
      [{ thickness: '0 mm' }, 'thickness'],
      [{ method: 'brine', salt: '30 %', sugar: '' }, 'salt'],
      [{ salt: '0 %', sugar: '5 %' }, 'salt'],
      [{ celsius: '30 C' }, 'celsius'],
      [{ thin: '60 mm' }, 'thin'],
      [{ taste: 9, recipe: 'no-such' }, 'recipe']
    ];
    for (const [more, field] of wrong) {
      const { details, fields } = refusal('start-cure', { piece, ...COVER, ...more });
      expect(fields[0]?.field ?? details.field, JSON.stringify(more)).to.equal(field);
    }
  });
  it('every school can be begun, seen while it runs, and ended', () => {
    const schools: [string, object][] = [
      ['weighed', { salt: '2.4 %', sugar: '1 %' }],
      ['brine', { salt: '5 %', sugar: '', bathTimes: 2 }],
      ['film', { salt: '1.5 %', sugar: '', hours: '45 min' }],
      ['desalt', { salt: '12 %', sugar: '', bathTimes: 5, changes: 3, hours: '8 h' }],
      [
        'marinade',
        { salt: '6 %', sugar: '20 %', bathTimes: 0.35, presalt: '1 %', presaltMinutes: 30, pasteWater: '45 %' }
      ]
    ];
    for (const [method, more] of schools) {
      house.done('start-cure', { piece, ...COVER, ...more, method });
      later(3);
      const view = cureRunView(appOf(house), run());
      expect(view.settings!.stages!.length, method).to.be.at.least(1);
      house.done('end-cure', { piece });
      expect(run().ended!.stages.length, method).to.be.at.least(1);
    }
  });
  it('its temperature is the place’s own log, as far as there is one', () => {
    house.done('set-place', { name: 'Drawer 1', kind: 'drawer', cold: true });
    house.done('set-sensor', { name: 'Drawer air', place: 'Drawer 1' });
    house.done('start-cure', { piece, ...COVER, place: 'drawer 1' });
    later(24);
    const log = Array.from(
      { length: 49 },
      (_, i) => `${new Date(NOON + i * HOUR * 0.5).toISOString()}, ${i < 24 ? 2 : 7}`
    ).join('\n');
    house.done('store-readings', { sensor: 'drawer-air', log });
    const warm = warmthOf(house.store, 'Drawer 1', NOON, house.clock.now());
    expect(warm.length).to.be.within(20, 26);
    expect(warm[0]!.celsius).to.be.closeTo(2, 1e-9);
    expect(warm.at(-1)!.celsius).to.be.closeTo(7, 1e-9);
    expect(recentMean(house.store, 'Drawer 1', house.clock.now())).to.be.within(3.5, 5.5);
    expect(recentMean(house.store, 'Nowhere', house.clock.now())).to.equal(null);
    const { settings } = cureRunView(appOf(house), run());
    expect(settings!.logged).to.deep.equal(warm);
    house.done('end-cure', { piece });
    expect(run().ended!.warmth).to.deep.equal(warm);
  });

  describe('learning', () => {
    /** Five pieces through cures that took less water and more salt than is published. */
    const cureMany = (count: number, loss: number, salt: number) => {
      for (let index = 0; index < count; index++) {
        const { piece: part } = house.done('divide-piece', {
          piece,
          name: `Part ${index}`,
          form: 'fillet',
          mass: '200 g'
        });
        house.done('start-cure', { piece: part, ...COVER, thin: '' });
        later(36);
        house.done('end-cure', { piece: part, massAfter: `${200 * (1 - loss)} g`, saltReading: `${salt} %` });
      }
    };
    it('leans on nothing first, then on what was weighed and measured; the switch takes it back', () => {
      expect(parametersFor(house.store, 'arctic-char', 'mid')).to.equal(SHIPPED);
      const before = house.done('start-cure', { piece, ...COVER });
      expect(before.saltGrams).to.be.greaterThan(0);
      house.done('end-cure', { piece });
      cureMany(4, 0.02, 3.4);
      const fit = fittedFor(house.store, 'arctic-char', 'mid');
      expect(fit.runs).to.equal(4);
      expect(fit.parameters.mostLoss.likely).to.be.lessThan(SHIPPED.mostLoss.likely);
      expect(fittedFor(house.store, 'arctic-char', 'mid')).to.equal(fit);
      house.done('start-cure', { piece, ...COVER });
      expect(run().plan.subject!.parameters.runs).to.equal(4);
      house.done('end-cure', { piece });
      house.done('set-learning', {});
      expect(parametersFor(house.store, 'arctic-char', 'mid')).to.equal(SHIPPED);
      house.done('set-learning', { cure: 'on' });
      expect(parametersFor(house.store, 'arctic-char', 'mid').runs).to.equal(4);
    });
    it('shows forecast against measurement, and says nothing of what was not weighed', () => {
      cureMany(2, 0.06, 3);
      house.done('start-cure', { piece, ...COVER });
      house.done('end-cure', { piece });
      const view = learningView(house.store);
      expect(view.points.filter(({ what }) => what === 'loss')).to.have.length(2);
      expect(view.points.filter(({ what }) => what === 'salt')).to.have.length(2);
      expect(view.points.find(({ what }) => what === 'loss')!.measured).to.be.closeTo(6, 0.01);
      expect(view.fits).to.have.length(1);
      expect(view.fits[0]!.runs).to.equal(2);
    });
    it('an amended weight teaches anew', () => {
      cureMany(2, 0.06, 3);
      const before = fittedFor(house.store, 'arctic-char', 'mid').parameters.mostLoss.likely;
      const part = house.store.projections.livePieces().find(({ state }) => state.cures.length > 0)!.state;
      house.done('amend-entry', {
        seq: part.cures[0]!.ended!.seq,
        action: 'correct',
        patch: { massAfter: { si: 160, unit: 'g', typed: '160 g' } },
        reason: 'misread the scale'
      });
      expect(fittedFor(house.store, 'arctic-char', 'mid').parameters.mostLoss.likely).to.be.greaterThan(before);
    });
  });

  describe('the recipe book', () => {
    const FIELDS = {
      name: 'Smoky weighed',
      school: 'weighed',
      lines: 'Fine salt; salt; 2.2 %; fine\nDark sugar; sugar; 1 %\nTea, smoked; aromatic; 0,4',
      hours: '48 h',
      rest: '12 h',
      target: '1.2 %',
      steps: 'Rub\nWait'
    };
    const book = () => bookOf(house.store.projections.currentHouse(), 'recipe');
    it('takes a recipe, its versions, notes; none is written over; it can leave and come back', () => {
      expect(house.done('set-recipe', FIELDS)).to.deep.equal({ recipe: 'smoky-weighed', version: 1 });
      expect(refusal('set-recipe', FIELDS).details.taken).to.equal(true);
      house.done('note-recipe', { id: 'smoky-weighed', note: 'less tea' });
      house.done('set-recipe', { ...FIELDS, id: 'smoky-weighed', hours: '60 h', reason: 'thicker sides' });
      const recipe = pageOf(house.store.projections.currentHouse(), 'recipe', 'smoky-weighed');
      expect(recipe).to.deep.include({ version: 2, hours: 60, shipped: false });
      expect(recipe.history.map(({ page }) => page.hours)).to.deep.equal([48, 60]);
      expect(recipe.notes[0]).to.deep.include({ version: 1, note: 'less tea' });
      expect(recipe.lines[2]).to.deep.include({ what: 'Tea, smoked', amount: 0.004, role: 'aromatic' });
      house.done('withdraw-recipe', { id: 'smoky-weighed' });
      expect(book().find(({ id }) => id === 'smoky-weighed')!.withdrawn).to.equal(true);
      house.done('withdraw-recipe', { id: 'smoky-weighed', back: 'on' });
      expect(book().find(({ id }) => id === 'smoky-weighed')!.withdrawn).to.equal(false);
    });
    it('a shipped recipe gets a version of the house’s own, and the cure says which', () => {
      house.done('set-recipe', { ...FIELDS, id: 'weighed-at-two', name: 'Weighed at two' });
      house.done('start-cure', { piece, ...COVER, recipe: 'weighed-at-two' });
      expect(run().plan.recipe).to.deep.equal({ id: 'weighed-at-two', name: 'Weighed at two', version: 2 });
      house.done('end-cure', { piece });
      expect(pageOf(house.store.projections.currentHouse(), 'recipe', 'weighed-at-two').history).to.have.length(2);
    });
    it('lines are typed as they are shown, whatever they are made of', () => {
      for (const recipe of SHIPPED_RECIPES) {
        const back = recipeLinesText(recipe)
          .split('\n')
          .map((text, index) => recipeLineFrom(text, index + 1, recipe.basis, NO_HOUSE_INGREDIENTS));
        recipe.lines.forEach((line, index) => {
          expect(back[index]!.what).to.equal(line.what);
          expect(back[index]!.amount).to.be.closeTo(line.amount, 1e-6);
          for (const part of ['salt', 'sugar', 'water'] as const)
            expect(back[index]![part]).to.be.closeTo(line[part], 1e-6);
          expect(back[index]!.saltKind).to.equal(line.saltKind);
        });
      }
    });
    for (const [what, lines] of [
      ['a line without an amount', 'Fine salt; salt; some'],
      ['a role nobody knows', 'Fine salt; seasoning; 2 %'],
      ['a make-up nobody knows', 'Paste; paste; 2; oil 12']
    ] as const) {
      it(`${what} is refused, and the line is named`, () => {
        expect(refusal('set-recipe', { ...FIELDS, lines }).details.field).to.equal('lines');
      });
    }
    it('goes out as a file and comes in elsewhere: what is alike is left alone, what differs is a version', () => {
      const text = pagesAsFile('recipe', book());
      expect(house.done('import-recipes', { text })).to.deep.equal({ taken: [], alike: SHIPPED_RECIPES.length });
      const other = text.replace('"hours": 48', '"hours": 50');
      expect((house.done('import-recipes', { text: other }).taken as string[]).length).to.equal(1);
      expect(refusal('import-recipes', { text: '{' }).code).to.equal('recipe.unreadable');
      expect(refusal('set-recipe', { ...FIELDS, id: 'no-such' }).code).to.equal('recipe.unknown');
    });
    it('is scaled to several pieces together', () => {
      const { piece: part } = house.done('divide-piece', { piece, name: 'Half', form: 'fillet', mass: '800 g' });
      const scaled = scaledRecipe(appOf(house), {
        recipe: 'even-dill-cover',
        pieces: [piece, String(part)],
        mass: null
      });
      expect(scaled.grams).to.equal(2000);
      expect(scaled.lines[0]!.weighed).to.equal(120);
    });
  });
});
