import { expect } from 'chai';
import fc from 'fast-check';
import {
  acidCourse,
  momentAt,
  whenRim,
  type AcidShape,
  type FrontInput
} from '../../../src/lib/core/bench/acid/front.ts';
import {
  coverMl,
  fruitFor,
  mixLiquid,
  protonsGiven,
  sourLiquid,
  SOUR_LIQUIDS
} from '../../../src/lib/core/bench/acid/liquid.ts';
import { erf } from '../../../src/lib/core/measure/erf.ts';
import { flatFront, stefanNumber } from '../../../src/lib/core/bench/acid/stefan.ts';
import { troubleOf } from '../../trouble.ts';
import { runs } from '../../runs.ts';

const S = 0.506 / 0.075;
const D = 4e-10;
const CUBE: AcidShape = { kind: 'brick', halves: [1, 1, 1] };
const SLAB: AcidShape = { kind: 'slab', halves: [1] };
const course = (more: Partial<FrontInput> = {}) =>
  acidCourse({ shape: SLAB, strength: S, liquid: Infinity, nodes: 60, until: 1, ...more });

describe('the moving boundary of a flat face', () => {
  it('erf by hand: 0.5 is 0.520500, 2 is 0.995322, 3 is 0.999978', () => {
    expect(erf(0.5)).to.be.closeTo(0.5204998778, 1e-9);
    expect(erf(2)).to.be.closeTo(0.995322265, 1e-9);
    expect(erf(3)).to.be.closeTo(0.9999779095, 1e-9);
    expect(erf(-0.5)).to.equal(-erf(0.5));
  });
  it('its number solves its equation, weak and strong', () => {
    for (const strength of [0.01, 0.5, 3, S, 40]) {
      const lambda = stefanNumber(strength);
      expect((Math.sqrt(Math.PI) * lambda * Math.exp(lambda ** 2) * erf(lambda)) / strength).to.be.closeTo(1, 1e-9);
    }
  });
  it('0.25 mm at 30 s, 1.1 mm at 10 min, 2.75 mm at an hour', () => {
    expect(1000 * flatFront(D, 30, S)).to.be.closeTo(0.25, 0.005);
    expect(1000 * flatFront(D, 600, S)).to.be.closeTo(1.1, 0.03);
    expect(1000 * flatFront(D, 3600, S)).to.be.closeTo(2.75, 0.005);
  });
  it('the textbook shrinking core reads half as deep again at kitchen strengths, and agrees far below 1', () => {
    const core = (strength: number) => Math.sqrt(2 * strength);
    expect(core(S) / (2 * stefanNumber(S))).to.be.within(1.4, 1.7);
    expect(core(0.02) / (2 * stefanNumber(0.02))).to.be.closeTo(1, 0.01);
  });
});

describe('rims thinner than cells', () => {
  it('0.5 % and 2 % of the half-thickness come when the moving boundary says, on any grid', () => {
    for (const nodes of [8, 12, 20, 60])
      for (const rim of [0.001, 0.005, 0.02, 0.05])
        for (const strength of [0.3, 2, S, 15]) {
          const exact = (rim / (2 * stefanNumber(strength))) ** 2;
          const seen = whenRim(course({ strength, nodes, until: 0.3 }), rim)!;
          expect(seen / exact, `${nodes} cells, rim ${rim}, strength ${strength}`).to.be.closeTo(1, 0.005);
        }
  });
  it('where the cells take over there is no jump: on a coarse grid the time is that of a fine one to 12 %', () => {
    // A front moves through cells by ripples of a part of one: 0.15 of 1/12 at a rim of 1/3 is 8 % of the time, and the fine grid's own.
    for (const strength of [0.3, 1, 3, 6, 12])
      for (const rim of [0.1, 0.2, 0.34, 0.4, 0.5, 0.6]) {
        const [coarse, fine] = [12, 40].map((nodes) => whenRim(course({ strength, nodes, liquid: 2, until: 2 }), rim));
        if (coarse && fine) expect(coarse / fine, `strength ${strength}, rim ${rim}`).to.be.closeTo(1, 0.12);
      }
  });
  it('acid that stands in a thin rim is missing from the liquid', () => {
    // A slab of half-thickness 1 in half its volume of liquid: what left it is in a flat rim.
    for (const { rim, left, raw } of course({ liquid: 0.5, nodes: 20 }).moments.filter((each) => each.rim < 0.15)) {
      const lambda = stefanNumber(S * left);
      const held = (S * left * rim) / (Math.sqrt(Math.PI) * lambda * erf(lambda));
      expect(1 - left).to.be.closeTo(held / (0.5 * S), 0.01);
      expect(1 - raw).to.be.closeTo(rim, 0.02);
    }
  });
  it('a brick longer than 6 to 1 is as long as it is: its middle is alike all along', () => {
    const raw = (long: number) =>
      momentAt(course({ shape: { kind: 'brick', halves: [1, 1.5, long] }, nodes: 10 }), 0.03).raw;
    // An end counts for as much less as the brick is longer: the raw share is a straight line over one by its length.
    const [a, b, c] = [raw(8), raw(12), raw(24)];
    expect((b! - a!) / (c! - b!)).to.be.closeTo((1 / 8 - 1 / 12) / (1 / 12 - 1 / 24), 0.05);
    expect(b!).to.be.greaterThan(a!);
  });
});

describe('acid going into shapes', () => {
  it('a slab follows the moving boundary while the front is far from the middle: within 1 %', () => {
    const seen = course({ nodes: 100, until: 0.15 });
    for (const fourier of [0.01, 0.03, 0.08, 0.12]) {
      expect(momentAt(seen, fourier).rim / (2 * stefanNumber(S) * Math.sqrt(fourier))).to.be.closeTo(1, 0.01);
    }
  });
  it('finer grids converge on it', () => {
    const off = [20, 40, 80].map((nodes) =>
      Math.abs(momentAt(course({ nodes, until: 0.1 }), 0.08).rim / (2 * stefanNumber(S) * Math.sqrt(0.08)) - 1)
    );
    expect(off[2]).to.be.lessThan(0.004);
    expect(off[2]).to.be.lessThan(off[0]! + 1e-9);
  });
  it('a 12 mm die in plenty of liquid: 53.6, 34.5, 15 and 3.4 % raw at 10, 25, 60 and 120 min', () => {
    const die = course({ shape: CUBE, nodes: 20, until: 0.12 });
    for (const [minutes, raw] of [
      [10, 53.6],
      [25, 34.5],
      [60, 15],
      [120, 3.4]
    ] as const) {
      expect(100 * momentAt(die, (D * minutes * 60) / 0.006 ** 2).raw, `${minutes} min`).to.be.closeTo(raw, 1.5);
    }
  });
  it('the more faces, the faster: slab, cylinder, cube, ball, each by volume', () => {
    const raw = (shape: AcidShape) => momentAt(course({ shape, nodes: 16, until: 0.1 }), 0.03).raw;
    const seen = [
      raw(SLAB),
      raw({ kind: 'cylinder', halves: [1, 3] }),
      raw(CUBE),
      raw({ kind: 'sphere', halves: [1] })
    ];
    seen.forEach((each, index) => index > 0 && expect(each).to.be.lessThan(seen[index - 1]! + 0.02));
    expect(seen[2]).to.be.lessThan(seen[0]! - 0.2);
  });
  it('a long brick is nearly a slab, a flat cylinder too', () => {
    const slab = momentAt(course({ nodes: 14, until: 0.06 }), 0.05).rim;
    for (const shape of [
      { kind: 'brick', halves: [1, 6, 6] },
      { kind: 'cylinder', halves: [6, 1] }
    ] as const) {
      expect(momentAt(course({ shape, nodes: 14, until: 0.06 }), 0.05).rim).to.be.closeTo(slab, 0.02);
    }
  });
  it('finite liquid: acid is kept to rounding, and it stalls where the acid is used up and not before', () => {
    // A litre a kilogram of half strength can turn exactly half of it.
    const weak = course({ strength: 0.5, liquid: 1, nodes: 40, until: 50 });
    const last = weak.moments.at(-1)!;
    expect(weak.stalls).to.equal(true);
    expect(1 - last.raw).to.be.closeTo(0.5, 0.005);
    expect(last.left).to.be.lessThan(0.002);
    weak.moments.forEach(({ raw, left }) => expect(1 - raw + 0.5 * left).to.be.at.most(0.5 + 1e-9));
    expect(whenRim(weak, 0.6)).to.equal(null);
    expect(course({ strength: 3, liquid: 1, nodes: 20, until: 3 }).moments.at(-1)!.raw).to.be.lessThan(0.001);
  });
  it('by any shape, strength and liquid: never backwards, never more than all, more acid never slower', () => {
    const any = fc.record({
      shape: fc.constantFrom<AcidShape>(
        SLAB,
        CUBE,
        { kind: 'brick', halves: [1, 1.5, 2.5] },
        { kind: 'cylinder', halves: [1, 1.4] },
        { kind: 'sphere', halves: [1] }
      ),
      strength: fc.double({ min: 0.1, max: 12, noNaN: true }),
      liquid: fc.double({ min: 0.1, max: 10, noNaN: true })
    });
    fc.assert(
      fc.property(any, (input) => {
        const seen = acidCourse({ ...input, nodes: 8, until: 0.4 });
        seen.moments.forEach(({ raw, rim, left }, index) => {
          for (const share of [raw, rim, left]) expect(share).to.be.within(-1e-9, 1 + 1e-9);
          const before = seen.moments[index - 1];
          if (!before) return;
          expect(raw).to.be.at.most(before.raw + 1e-9);
          expect(rim).to.be.at.least(before.rim - 1e-9);
          // What the outermost cell holds above the liquid at the end of a step comes back to it in the next.
          expect(left).to.be.at.most(before.left + 1e-3);
        });
        const more = acidCourse({ ...input, strength: input.strength * 1.5, nodes: 8, until: 0.4 });
        expect(momentAt(more, 0.05).raw).to.be.at.most(momentAt(seen, 0.05).raw + 0.01);
      }),
      runs(40)
    );
  });
});

describe('what is poured over it', () => {
  it('citric acid lets go of its protons by its constants: half of the first at pH 3.13', () => {
    expect(protonsGiven('citric', 3.13)).to.be.within(0.5, 0.53);
    expect(protonsGiven('acetic', 4.76)).to.be.closeTo(0.5, 1e-9);
    expect(protonsGiven('citric', 10)).to.be.closeTo(3, 0.001);
  });
  it('what a titration finds is what the fruit’s own base left: all of the acid is more, of orange by a third', () => {
    // By hand: C = titratable × protons less free H⁺, over the protons still held at the start pH; available = C (n(5.1) - n(pH)) + H⁺.
    for (const [id, available] of [
      ['lime', 0.53],
      ['lemon', 0.456],
      ['grapefruit', 0.154],
      ['orange', 0.066],
      ['verjuice', 0.217]
    ] as const)
      expect(mixLiquid([{ what: 'sour', id, ml: 100 }]).available / available, id).to.be.closeTo(1, 0.015);
  });
  it('plain lime juice: its own pH, 0.5 mol/l down to 5.1; water halves it, oil does not touch it', () => {
    const lime = mixLiquid([{ what: 'sour', id: 'lime', ml: 100 }]);
    expect(lime.pH).to.be.closeTo(2.2, 1e-6);
    expect(lime.available).to.be.closeTo(0.53, 0.005);
    const thinned = mixLiquid([
      { what: 'sour', id: 'lime', ml: 100 },
      { what: 'water', ml: 100 }
    ]);
    expect(thinned.available / lime.available).to.be.closeTo(0.5, 0.02);
    const oiled = mixLiquid([
      { what: 'sour', id: 'lime', ml: 100 },
      { what: 'oil', ml: 60 }
    ]);
    expect(oiled.available).to.equal(lime.available);
    expect(oiled).to.deep.include({ ml: 100, oilMl: 60 });
  });
  it('every liquid stands at its own pH; a mixture between its parts', () => {
    for (const { id, pH } of SOUR_LIQUIDS)
      expect(mixLiquid([{ what: 'sour', id, ml: 50 }]).pH, id).to.be.closeTo(pH, 1e-6);
    expect(
      mixLiquid([
        { what: 'sour', id: 'lime', ml: 50 },
        { what: 'sour', id: 'orange', ml: 50 }
      ]).pH
    ).to.be.within(2.2, 3.6);
  });
  it('water alone, or a liquid by meter above the set point, has nothing to give', () => {
    expect(mixLiquid([{ what: 'water', ml: 100 }]).available).to.equal(0);
    expect(mixLiquid([{ what: 'sour', id: 'orange', ml: 100 }], 6).available).to.equal(0);
    expect(mixLiquid([{ what: 'sour', id: 'orange', ml: 100 }], 3).available).to.be.greaterThan(
      mixLiquid([{ what: 'sour', id: 'orange', ml: 100 }], 4).available
    );
  });
  it('fruit to buy: 300 ml of lime are 11, and 15 where they are dry; vinegar is not squeezed', () => {
    expect(fruitFor(300, sourLiquid('lime'))).to.deep.equal({ likely: 11, enough: 15 });
    expect(fruitFor(300, sourLiquid('rice-vinegar'))).to.equal(null);
  });
  it('a litre of fish as dice wants 0.54 to 0.82 l to be covered', () => {
    expect(coverMl(1055, 'high')).to.be.closeTo(538, 1);
    expect(coverMl(1055, 'low')).to.be.closeTo(818, 1);
  });
  it('nothing but oil, a bottle nobody knows: refused by field', () => {
    expect(troubleOf(() => mixLiquid([{ what: 'oil', ml: 50 }])).details.field).to.equal('liquid');
    expect(troubleOf(() => mixLiquid([{ what: 'sour', id: 'cola', ml: 50 }])).details.field).to.equal('liquid');
    expect(troubleOf(() => mixLiquid([{ what: 'water', ml: -1 }])).details.field).to.equal('ml');
  });
});
