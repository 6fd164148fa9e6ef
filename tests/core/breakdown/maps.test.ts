import { expect } from 'chai';
import {
  cutMap,
  mapFor,
  orderOfWork,
  partOfWaste,
  partsOf,
  templatesOf
} from '../../../src/lib/core/bench/breakdown/maps.ts';
import { MAP_IDS } from '../../../src/lib/core/bench/breakdown/map-types.ts';
import { overlaps, sideShare, TEMPLATES } from '../../../src/lib/core/bench/breakdown/templates.ts';
import { SPECIES } from '../../../src/lib/core/fish/species.ts';
import { DRAWINGS, drawingOf } from '../../../src/lib/ui/cut/shapes.ts';
import {
  CHOICE_WORDS,
  MAP_WORDS,
  partWord,
  SCHOOL_WORDS,
  STEP_WORDS,
  USE_WORDS,
  WASTE_WORDS
} from '../../../src/lib/words/cuts.ts';

describe('cut maps', () => {
  it('there are nine, each with a name, parts, and at least one school', () => {
    expect(MAP_IDS).to.have.length(9);
    for (const id of MAP_IDS) {
      expect(MAP_WORDS[id], id).to.match(/\w/);
      expect(cutMap(id).parts.length, id).to.be.greaterThan(3);
      expect(cutMap(id).schools.length, id).to.be.greaterThan(0);
    }
  });
  it('round fish, tuna-like, flatfish, small fish, squid, shellfish, prawns and sides have several schools', () => {
    for (const id of MAP_IDS.filter((each) => each !== 'fillet'))
      expect(cutMap(id).schools.length, id).to.be.greaterThan(1);
  });
  for (const id of MAP_IDS) {
    it(`${id}: every part is drawn, named, used, and could weigh something`, () => {
      const map = cutMap(id);
      const parts = partsOf(map, TEMPLATES[0]!);
      const { parts: drawn } = drawingOf(id, TEMPLATES[0]!.parts);
      expect(new Set(parts.map((part) => part.id)).size).to.equal(parts.length);
      for (const part of parts) {
        expect(drawn, part.id).to.have.property(part.id);
        expect(drawn[part.id]!.d, part.id).to.match(/^M[\d. -]/);
        expect(drawn[part.id]!.d, part.id).to.not.contain('NaN');
        expect(partWord(part), part.id).to.not.equal('');
        expect(USE_WORDS, part.use).to.have.property(part.use);
        if (part.waste) expect(WASTE_WORDS).to.have.property(part.waste);
        if (part.use === '') expect(part.waste, `${part.id} is used for nothing`).to.not.equal(null);
        expect(part.share[0], part.id).to.be.within(0.001, part.share[1]);
        expect(part.share[1], part.id).to.be.at.most(1);
      }
      // The least of all parts together has to fit on the board, and the most has to fill it.
      expect(
        map.parts.filter(({ grade }) => grade === 'prime').reduce((sum, { share }) => sum + share[0], 0)
      ).to.be.below(1);
      if (id !== 'side') expect(map.parts.reduce((sum, { share }) => sum + share[1], 0)).to.be.above(1);
      for (const unused of Object.keys(DRAWINGS[id].parts)) expect(parts.map((part) => part.id)).to.include(unused);
    });
    it(`${id}: every step of every school has words and a reason`, () => {
      const map = cutMap(id);
      for (const school of map.schools) {
        expect(SCHOOL_WORDS, school.id).to.have.property(school.id);
        for (const form of map.forms) {
          const order = orderOfWork(map, school.id, {}, form);
          expect(order.length, school.id).to.be.greaterThan(4);
          for (const step of order) {
            expect(STEP_WORDS, step).to.have.property(step);
            expect(STEP_WORDS[step]!.why.length, step).to.be.greaterThan(3);
          }
        }
      }
      for (const { id: choice, ways } of map.choices) {
        expect(CHOICE_WORDS).to.have.property(choice);
        for (const way of ways) expect(STEP_WORDS, way).to.have.property(way);
      }
    });
  }
  it('each species gets a map it can be cut by', () => {
    for (const species of SPECIES) {
      for (const form of ['whole', 'gutted', 'fillet', 'block', 'live'] as const) {
        expect(MAP_IDS).to.include(mapFor(species, form));
      }
    }
    const fits = (id: string, form: 'whole' | 'fillet' | 'live' = 'whole') =>
      mapFor(
        SPECIES.find((each) => each.id === id)!,
        form
      );
    expect(fits('turbot')).to.equal('flatfish');
    expect(fits('atlantic-bonito')).to.equal('four-loins');
    expect(fits('arctic-char', 'fillet')).to.equal('side');
    expect(fits('sardine')).to.equal('small-oily');
    expect(fits('gurnard')).to.equal('round');
    expect(fits('squid')).to.equal('cephalopod');
    expect(fits('razor-clam', 'live')).to.equal('bivalve');
    expect(fits('crab', 'live')).to.equal('crustacean');
    expect(fits('halibut', 'fillet')).to.equal('fillet');
    expect(mapFor(null, 'whole')).to.equal('round');
  });
  it('a choice changes the step it stands for, and nothing else', () => {
    const map = cutMap('round');
    const drawn = orderOfWork(map, 'both-backs', { 'pin-bones': 'pin-drawn' }, 'whole');
    const cut = orderOfWork(map, 'both-backs', { 'pin-bones': 'pin-cut-out' }, 'whole');
    expect(drawn.filter((step) => !cut.includes(step))).to.deep.equal(['pin-drawn']);
    expect(cut.filter((step) => !drawn.includes(step))).to.deep.equal(['pin-cut-out']);
    expect(cut.indexOf('pin-cut-out')).to.equal(drawn.indexOf('pin-drawn'));
  });
  it('waste that could be two parts is the one that is nothing else', () => {
    expect(partOfWaste(cutMap('flatfish').parts, 'viscera')!.id).to.equal('viscera');
    expect(partOfWaste(cutMap('flatfish').parts, 'head')!.id).to.equal('head');
    expect(partOfWaste(cutMap('flatfish').parts, 'shell')).to.equal(undefined);
  });
  it('a gutted fish is not opened again, and an unknown school is the first', () => {
    const map = cutMap('round');
    expect(orderOfWork(map, 'through', {}, 'gutted')).to.not.include('open-belly');
    expect(orderOfWork(map, 'no-such', {}, 'whole')).to.deep.equal(orderOfWork(map, 'both-backs', {}, 'whole'));
  });
});

describe('how a side is divided', () => {
  it('what ships can be cut, and takes the whole side but for a corner', () => {
    for (const { parts, name } of TEMPLATES) {
      expect(overlaps(parts), name).to.deep.equal([]);
      expect(
        parts.reduce((sum, part) => sum + sideShare(part), 0),
        name
      ).to.be.within(0.93, 1.0001);
    }
  });
  it('two cuts that lie over one another are named', () => {
    const cut = (name: string, from: number, to: number, band: 'all' | 'back' | 'belly') => ({
      id: name,
      name,
      from,
      to,
      band,
      use: 'raw' as const
    });
    expect(overlaps([cut('a', 0, 0.5, 'back'), cut('b', 0.4, 1, 'all')])).to.deep.equal([['a', 'b']]);
    expect(overlaps([cut('a', 0, 0.5, 'back'), cut('b', 0.4, 1, 'belly')])).to.deep.equal([]);
    expect(overlaps([cut('a', 0, 0.5, 'all'), cut('b', 0.5, 1, 'all')])).to.deep.equal([]);
  });
  it('the house’s own stands for one that ships, and beside the others', () => {
    const own = { ...TEMPLATES[1]!, name: 'Our thirds' };
    const all = templatesOf({ [own.id]: own });
    expect(all).to.have.length(TEMPLATES.length);
    expect(all.map(({ name }) => name)).to.include('Our thirds');
  });
});
