import { expect } from 'chai';
import { acidSettings, liquidParts } from '../../src/lib/core/bench/acid/settings.ts';
import { acidPace, solved } from '../../src/lib/server/plans/acid.ts';
import { NO_HOUSE_INGREDIENTS, toldOfLines } from '../../src/lib/core/ingredients/kitchen.ts';
import { pieceView } from '../../src/lib/server/views/piece.ts';
import type { App } from '../../src/lib/server/app.ts';
import { scaledSauce } from '../../src/lib/server/facts/scaled-sauce.ts';
import { entryWords } from '../../src/lib/words/entry.ts';
import { nowView } from '../../src/lib/server/views/now.ts';
import { paintSection, pictureAt, rawFromTouch, sectionSize } from '../../src/lib/ui/acid/section.ts';
import { acidPlan, lookAt } from '../../src/lib/core/bench/acid/plan.ts';
import { CHAR, charHouse, type TestHouse } from './house.ts';
import { bookOf } from '../../src/lib/server/facts/book.ts';

const DICE = { cut: 'dice', size: '12 mm', celsius: '5 C', liquid: 'lime 1200, orange 200, oil 50', wanted: 'half' };

describe('fish in acid', () => {
  let house: TestHouse;
  let piece: string;
  const char = charHouse();
  beforeEach(() => ({ house, piece } = char));
  const later = (minutes: number) => house.clock.moveTo(Math.round(house.clock.now() + minutes * 60_000), true);
  const run = () => house.store.projections.piece(piece).state.acids.at(-1)!;
  const refusal = (name: string, input: object) => {
    const answer = house.act(name, input);
    if (answer.ok) throw new Error(`${name} was taken`);
    return answer;
  };
  const app = () => ({ store: house.store, clock: house.clock }) as unknown as App;

  it('goes in with its clock, is cut open, put right, and lifted out', () => {
    const { readySeconds } = house.done('start-acid', { piece, ...DICE, also: 'Celery', place: 'Drawer 1' });
    expect(nowView(app()).tasks[0]!.code).to.equal('acid-ready');
    later(Number(readySeconds) / 60);
    const { pace } = house.done('check-acid', { piece, raw: '8 mm', note: 'slower than said' });
    expect(pace).to.be.lessThan(0.9);
    expect(run().checks[0]!.ready!.likely).to.be.greaterThan(Number(readySeconds));
    expect(refusal('check-acid', { piece, raw: '20 mm' }).details.field).to.equal('rawMm');
    later(10);
    const { look } = house.done('end-acid', { piece, massAfter: '1950 g', place: 'Drawer 2' });
    expect(look).to.equal(run().ended!.look);
    expect(house.store.projections.piece(piece).state.grams).to.equal(1950);
    expect(pieceView(app(), piece).told.holds.map(({ allergen }) => allergen)).to.include.members(['fish', 'celery']);
    expect(refusal('end-acid', { piece }).code).to.equal('record.not-allowed-now');
  });
  it('what was seen in one run is what the next is forecast with, half of it at first', () => {
    expect(acidPace(house.store, 'arctic-char')).to.deep.equal({ pace: 1, runs: 0 });
    const first = house.done('start-acid', { piece, ...DICE });
    later(Number(first.readySeconds) / 60);
    const { pace } = house.done('check-acid', { piece, raw: '8 mm' });
    house.done('end-acid', { piece });
    const taught = acidPace(house.store, 'arctic-char');
    expect(taught.runs).to.equal(1);
    expect(taught.pace).to.be.closeTo(Number(pace) ** (1 / 3), 1e-9);
    expect(acidPace(house.store, 'turbot').runs).to.equal(0);
    const second = house.done('start-acid', { piece, ...DICE });
    expect(second.readySeconds).to.be.greaterThan(Number(first.readySeconds));
    expect(run().plan.subject.pace).to.be.closeTo(taught.pace, 1e-9);
  });
  it('one run, two times: part lifted as it was wanted, the rest stays in; its liquid is a piece of its own', () => {
    house.done('set-place', { name: 'Drawer 1', kind: 'drawer' });
    expect(refusal('start-acid', { piece, ...DICE, later: 'rimmed' }).details.field).to.equal('later');
    const { readySeconds, laterSeconds } = house.done('start-acid', {
      piece,
      ...DICE,
      later: 'set',
      also: 'celery'
    });
    expect(laterSeconds).to.be.greaterThan(Number(readySeconds));
    expect(nowView(app()).tasks.map(({ code }) => code)).to.include.members(['acid-ready', 'acid-later']);
    later(Number(readySeconds) / 60);
    const check = house.done('check-acid', { piece, raw: '5 mm' });
    expect(check.pace).to.be.greaterThan(0.3);
    expect(run().checks[0]!.later!.wanted).to.equal('set');
    expect(refusal('lift-acid', { piece, mass: '2.4 kg' }).code).to.equal('record.mass-exceeded');
    const lifted = house.done('lift-acid', { piece, mass: '1200 g', place: 'Drawer 1' });
    const part = String(lifted.piece);
    expect(house.store.projections.piece(part).state).to.deep.include({ grams: 1200 });
    expect(house.store.projections.piece(part).state.stays.at(-1)!.place).to.equal('Drawer 1');
    expect(house.store.projections.piece(piece).state.grams).to.equal(800);
    expect(run().lifted[0]!.child).to.equal(part);
    // What was lifted is on no raw plate either, and carries what its liquid put on it.
    const view = pieceView(app(), part);
    expect(view.verdict.windows.find(({ route }) => route === 'raw')!.state).to.equal('closed');
    expect(view.verdict.windows.find(({ route }) => route === 'acid')!.state).to.equal('open');
    expect(view.told.holds.map(({ allergen }) => allergen)).to.include('celery');
    later(60);
    expect(refusal('end-acid', { piece, liquid: '9 kg' }).details.field).to.equal('liquid');
    const { liquid } = house.done('end-acid', { piece, massAfter: '790 g', place: 'Drawer 1', liquid: '900 g' });
    const juice = String(liquid);
    const of = (hours: number) => {
      later(hours * 60);
      house.done('read-place', { place: 'Drawer 1', reading: '2 C' });
      return pieceView(app(), juice).verdict;
    };
    const now = of(0);
    expect(now.reasons.map(({ code }) => code)).to.include.members(['acid.spent-liquid', 'handling.in-acid']);
    expect(now.windows.find(({ route }) => route === 'acid')!.state).to.equal('open');
    expect(of(24.1).windows.find(({ route }) => route === 'acid')!.state).to.equal('closed');
    expect(pieceView(app(), piece).verdict.windows.find(({ route }) => route === 'acid')!.state).to.equal('open');
  });
  it('the liquid of a fish that is not cleared is not cleared', () => {
    const wild = String(
      house.done('receive-lot', { ...CHAR, species: 'halibut', source: 'wild', farmSystem: '', water: 'sea' }).piece
    );
    house.done('start-acid', { piece: wild, ...DICE });
    later(20);
    const juice = String(house.done('end-acid', { piece: wild, liquid: '300 g' }).liquid);
    const window = pieceView(app(), juice).verdict.windows.find(({ route }) => route === 'acid')!;
    expect(window.state).to.equal('not-cleared');
    expect(refusal('dress-piece', { piece: wild, liquid: juice }).details.seen).to.equal('not-cleared');
  });
  it('joined at service: sauce, its own liquid and garnish, and their allergens go to what is served and to its label', () => {
    house.done('start-acid', { piece, ...DICE });
    later(20);
    const juice = String(house.done('end-acid', { piece, liquid: '500 g' }).liquid);
    expect(refusal('dress-piece', { piece }).code).to.equal('form.incomplete');
    expect(refusal('dress-piece', { piece, sauce: 'nobody-knows' }).code).to.equal('recipe.unknown');
    expect(refusal('dress-piece', { piece, liquid: juice, liquidMass: '600 g' }).details.field).to.equal('liquidMass');
    const { allergens } = house.done('dress-piece', {
      piece,
      sauce: 'roasted-sesame',
      liquid: juice,
      liquidMass: '200 g',
      with: 'red onion, Mustard',
      dish: 'char in lime'
    });
    expect(allergens).to.have.members(['sesame', 'soy', 'wheat', 'fish', 'mustard']);
    const { state } = house.store.projections.piece(piece);
    expect(state.grams).to.equal(2000);
    // A fifth of the fish, as the sauce is written.
    expect(state.dressings[0]).to.include({ sauceGrams: 400, liquidGrams: 200 });
    expect(house.store.projections.piece(juice).state.grams).to.equal(300);
    const dressed = house.store.record.eventsOf(`piece:${piece}`).find(({ kind }) => kind === 'piece.dressed')!;
    expect(entryWords(dressed)).to.include.members(['Roasted sesame, version 1, 400 g', 'its liquid, 200 g']);
    house.done('serve-piece', { piece, route: 'acid', mass: '180 g' });
    const served = house.store.projections.piece(piece).state.served.at(-1)!;
    expect(served.allergens).to.include.members(['fish', 'sesame', 'soy', 'wheat', 'mustard']);
    const other = String(house.done('receive-lot', CHAR).piece);
    expect(refusal('dress-piece', { piece: other, liquid: juice }).code).to.equal('record.combine-refused');
    expect(refusal('dress-piece', { piece, liquid: other }).code).to.equal('form.value-unknown');
  });
  it('a sauce is written, corrected by taste, taken out; every version is kept', () => {
    const written = house.done('set-sauce', {
      name: 'Sorrel and lemon',
      kind: 'citrus',
      rate: '20 %',
      lines: 'Lemon juice; 50\nSorrel; 30\nEgg; 20; each 55',
      portions: '70, 30'
    });
    expect(written).to.deep.equal({ sauce: 'sorrel-and-lemon', version: 1 });
    expect(
      refusal('set-sauce', { name: 'Sorrel and lemon', kind: 'citrus', rate: '20 %', lines: 'Lime; 1' }).details.taken
    ).to.equal(true);
    const id = 'sorrel-and-lemon';
    expect(scaledSauce(house.store, { sauce: id, pieces: [piece], mass: null }).fish).to.equal(2000);
    expect(refusal('correct-sauce', { id, mass: '500 g' }).code).to.equal('form.incomplete');
    expect(refusal('correct-sauce', { id, mass: '500 g', 'added-0': 'a lot' }).details.field).to.equal('added-0');
    expect(refusal('correct-sauce', { id, mass: '500 g', 'added-7': '3' }).code).to.equal('form.value-unknown');
    const next = house.done('correct-sauce', {
      id,
      mass: '500 g',
      'added-0': '6',
      'added-1': '',
      extra: 'Mustard 3 g',
      reason: 'sharper'
    });
    expect(next.version).to.equal(2);
    const scaled = scaledSauce(house.store, { sauce: id, pieces: [], mass: { si: 500, unit: 'g', typed: '500 g' } });
    expect(scaled.lines.map(({ grams }) => Math.round(grams * 10) / 10)).to.deep.equal([56, 30, 20, 3]);
    expect(toldOfLines(NO_HOUSE_INGREDIENTS, scaled.body.lines, 0).holds).to.deep.equal(['egg', 'mustard']);
    expect(scaled.changes.map(({ what }) => what)).to.deep.equal(['Lemon juice', 'Mustard']);
    const old = scaledSauce(house.store, {
      sauce: id,
      version: 1,
      pieces: [],
      mass: { si: 500, unit: 'g', typed: '' }
    });
    expect(old.lines).to.have.length(3);
    house.done('withdraw-sauce', { id });
    expect(bookOf(house.store.projections.currentHouse(), 'sauce').find((each) => each.id === id)!.withdrawn).to.equal(
      true
    );
    expect(refusal('withdraw-sauce', { id }).code).to.equal('record.not-allowed-now');
    house.done('withdraw-sauce', { id, back: 'on' });
    // One that ships gets a version of the house's own over it.
    expect(house.done('correct-sauce', { id: 'harbour-lime', mass: '1 kg', 'added-0': '10' }).version).to.equal(2);
  });
  it('in acid it is on no other bench', () => {
    house.done('start-acid', { piece, ...DICE });
    const cure = {
      method: 'weighed',
      thickness: '20 mm',
      faces: 1,
      celsius: '3 C',
      salt: '2 %',
      hours: '24 h',
      target: '1 %'
    };
    for (const [name, input] of [
      ['start-acid', { piece, ...DICE }],
      ['start-cure', { piece, ...cure }],
      ['open-board', { piece }]
    ] as const) {
      expect(refusal(name, input).details.hindrance, name).to.deep.equal({ kind: 'in', occupant: 'acid' });
    }
  });
  it('what is taken for a fillet with its skin on takes twice the depth; a part of the piece can go in alone', () => {
    house.done('start-acid', { piece, ...DICE, cut: 'fillet', size: '8 mm', faces: 1, mass: '300 g' });
    const { plan } = run();
    expect(acidSettings(plan.set, plan.subject)).to.deep.include({ faces: 1, grams: 300, sizes: [8] });
  });
  it('refuses what will not turn and what cannot be, by field', () => {
    expect(refusal('start-acid', { piece, ...DICE, liquid: 'water 300' }).code).to.equal('acid.none');
    const wrong: [object, string][] = [
      [{ size: '80 mm' }, 'size'],
      [{ measuredPH: 9 }, 'measuredPH'],
      [{ liquid: 'cola 300' }, 'liquid'],
      [{ liquid: 'oil 30' }, 'liquid'],
      [{ cut: 'brick' }, 'second'],
      [{ celsius: '50 C' }, 'celsius'],
      [{ mass: '9 kg' }, 'mass']
    ];
    for (const [more, field] of wrong) {
      const { details, fields } = refusal('start-acid', { piece, ...DICE, ...more });
      expect(fields[0]?.field ?? details.field, JSON.stringify(more)).to.equal(field);
    }
  });
  it('reads a liquid as it is written', () => {
    expect(liquidParts('lime 200, bitter orange 30 ml, Rice-vinegar 10.5, water 5, oil 2')).to.deep.equal([
      { what: 'sour', id: 'lime', ml: 200 },
      { what: 'sour', id: 'bitter-orange', ml: 30 },
      { what: 'sour', id: 'rice-vinegar', ml: 10.5 },
      { what: 'water', ml: 5 },
      { what: 'oil', ml: 2 }
    ]);
  });
});

describe('the section of a piece in acid', () => {
  const settings = {
    cut: 'dice' as const,
    sizes: [12],
    faces: 2 as const,
    grams: 300,
    celsius: 6,
    liquid: [{ what: 'sour' as const, id: 'lime', ml: 300 }],
    measuredPH: null,
    dark: false,
    wanted: 'half' as const,
    pace: 1
  };
  const green = (pixels: Uint8ClampedArray, width: number, x: number, y: number) => pixels[(y * width + x) * 4 + 1]!;
  it('is white at its edge and rosy in its middle, alike on all four sides', () => {
    const result = acidPlan(settings, undefined, solved);
    const seconds = result.readySeconds!;
    const pixels = new Uint8ClampedArray(40 * 40 * 4);
    paintSection(pixels, 40, 40, result, lookAt(result, seconds).rim, seconds, 2);
    expect(green(pixels, 40, 1, 20)).to.be.greaterThan(235);
    expect(green(pixels, 40, 20, 20)).to.be.lessThan(160);
    expect(green(pixels, 40, 3, 20)).to.equal(green(pixels, 40, 36, 20));
    expect(pictureAt(result, 0).fourier).to.equal(0);
  });
  it('on its skin a fillet is white from above only', () => {
    const result = acidPlan({ ...settings, cut: 'fillet', sizes: [8], faces: 1 }, undefined, solved);
    const pixels = new Uint8ClampedArray(20 * 20 * 4);
    paintSection(pixels, 20, 20, result, 0.5, 600, 1);
    expect(green(pixels, 20, 10, 2)).to.be.greaterThan(green(pixels, 20, 10, 17));
    expect(sectionSize(result, 1).height).to.equal(8);
  });
  it('a touch tells the width of the raw middle', () => {
    const result = acidPlan(settings, undefined, solved);
    expect(rawFromTouch(result, 2, 0.75, 0.5)).to.be.closeTo(6, 1e-9);
    expect(rawFromTouch(result, 2, 0.25, 0.5)).to.be.closeTo(6, 1e-9);
    const skin = acidPlan({ ...settings, cut: 'fillet', sizes: [8], faces: 1 }, undefined, solved);
    expect(rawFromTouch(skin, 1, 0.5, 0.25)).to.be.closeTo(6, 1e-9);
  });
});
