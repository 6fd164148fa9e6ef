import { expect } from 'chai';
import fc from 'fast-check';
import { balanceOf, massFlow, scaleError, slipOfThousand } from '../../../src/lib/core/bench/breakdown/mass.ts';
import { massAndMoney } from '../../../src/lib/core/bench/breakdown/flow.ts';
import { allocate } from '../../../src/lib/core/bench/breakdown/cost.ts';
import { ROUTES, type Route } from '../../../src/lib/core/codes/window.ts';
import { PORTIONS, portionsFrom } from '../../../src/lib/core/bench/breakdown/portions.ts';
import { forecastYield, typicalShare } from '../../../src/lib/core/bench/breakdown/yield.ts';
import { running } from '../../../src/lib/core/record/occupation.ts';
import { foldPiece } from '../../../src/lib/core/record/piece.ts';
import { NO_CUT } from '../../../src/lib/core/activity/piece/bodies.ts';
import { event, typed } from '../build.ts';
import { runs } from '../../runs.ts';

const made = (grams = 1000) =>
  event('piece.made', 0, {
    code: 'P',
    lot: 'L',
    parents: [],
    name: 'Turbot',
    form: 'whole',
    grams,
    mass: typed(grams, 'g'),
    thicknessMm: null,
    ...NO_CUT
  });
const opened = (hours: number, grams = 1000) =>
  event('board.opened', hours, {
    map: 'flatfish',
    school: 'four-fillets',
    template: '',
    grams,
    core: null,
    scaleInterval: 1,
    expected: null,
    pins: { profile: 't', catalogue: 't', model: 't' }
  });
const gave = (hours: number, grams: number, part = 'eye-back', grade: 'prime' | 'by-product' = 'prime') =>
  event('piece.gave', hours, { child: `C${hours}`, grams, part, grade });
const wasted = (hours: number, grams: number, what: 'frame' | 'drip' = 'frame') =>
  event('piece.wasted', hours, { what, mass: typed(grams, 'g'), note: '' });
const closed = (hours: number, gap: number, remains = 0) =>
  event('board.closed', hours, { remains, gap, tolerance: 5, gapReason: '', secondsOut: 60, note: '' });

describe('the scale', () => {
  it('may be out in service by twice what verification allows (OIML R 76, class III)', () => {
    expect([100, 500, 501, 2000, 2001, 9000].map((load) => scaleError(load, 1))).to.deep.equal([1, 1, 2, 2, 3, 3]);
    expect(scaleError(900, 5)).to.equal(5);
  });
  it('notices a thousandfold slip and nothing less', () => {
    expect(slipOfThousand(850_000, 1200, 300)).to.equal(0.001);
    expect(slipOfThousand(0.85, 1200, 300)).to.equal(1000);
    expect(slipOfThousand(850, 1200, 300)).to.equal(null);
    expect(slipOfThousand(1300, 1200, 300), 'too heavy, but by no thousand').to.equal(null);
    expect(slipOfThousand(40, 1200, 300), 'small, but by no thousand').to.equal(null);
    expect(slipOfThousand(3000, 2000, 0), 'three kilos were not meant as three grams').to.equal(null);
  });
});

describe('a board', () => {
  it('adds up parts, by-products, waste and drip, each load counted', () => {
    const piece = foldPiece('P', [
      made(),
      opened(1),
      gave(2, 300),
      gave(3, 120, 'head', 'by-product'),
      wasted(4, 200),
      wasted(5, 20, 'drip')
    ])!;
    const board = running(piece.boards)!;
    expect(board).to.include({ parts: 420, byProduct: 120, waste: 200, drip: 20 });
    expect(board.byPart).to.deep.equal({ 'eye-back': 300, head: 120 });
    const balance = balanceOf(board);
    expect(balance).to.include({ input: 1000, open: 360, closes: false });
    // 1,000 g: 2 g; 300, 120, 200 and 20 g: 1 g each.
    expect(balance.tolerance).to.equal(6);
  });
  it('closes within what the scale may be out by, and not a gram beyond', () => {
    const board = (parts: number) => ({
      plan: { grams: 1000, scaleInterval: 1 },
      parts,
      waste: 300,
      drip: 0,
      loads: [parts, 300]
    });
    // 2 + 2 + 1 g.
    expect(balanceOf(board(695))).to.include({ tolerance: 5, open: 5, closes: true });
    expect(balanceOf(board(694)).closes).to.equal(false);
    expect(balanceOf(board(705)).closes).to.equal(true);
    expect(balanceOf(board(706)).closes, 'more off than on').to.equal(false);
  });
  it('is not gone before it is closed, and is gone then', () => {
    const all = [made(), opened(1), gave(2, 800), wasted(3, 200)];
    expect(foldPiece('P', all)!.gone).to.equal(null);
    const done = foldPiece('P', [...all, closed(4, 0)])!;
    expect(done.gone).to.include({ how: 'divided' });
    expect(running(done.boards)).to.equal(null);
  });
  it('what stays uncut is still here', () => {
    const piece = foldPiece('P', [made(), opened(1), gave(2, 400), wasted(3, 100), closed(4, 2, 498)])!;
    expect(piece).to.include({ grams: 498, gone: null });
  });
  it('keeps its time out of the cold from opening until it is back in a cold place', () => {
    const moved = (hours: number, cold: boolean) =>
      event('piece.moved', hours, { place: 'x', cold, core: null, secondsOut: 0 });
    const { outs } = foldPiece('P', [made(), opened(1), moved(1.5, false), moved(2, true)])!;
    expect(outs).to.have.length(1);
    expect(outs[0]!.to! - outs[0]!.from).to.equal(3600_000);
  });
});

describe('where every gram went', () => {
  it('what was made is what moved and what is left, in any order of steps', () => {
    const step = fc.oneof(
      fc.record({ what: fc.constant('gave' as const), share: fc.double({ min: 0.01, max: 0.6, noNaN: true }) }),
      fc.record({ what: fc.constant('waste' as const), share: fc.double({ min: 0.01, max: 0.4, noNaN: true }) }),
      fc.record({ what: fc.constant('weigh' as const), share: fc.double({ min: 0.8, max: 1.05, noNaN: true }) }),
      fc.record({ what: fc.constant('board' as const), share: fc.double({ min: 0, max: 0.02, noNaN: true }) }),
      fc.record({ what: fc.constant('bin' as const), share: fc.double({ min: 0.01, max: 0.5, noNaN: true }) })
    );
    fc.assert(
      fc.property(fc.array(step, { maxLength: 25 }), fc.integer({ min: 200, max: 9000 }), (steps, grams) => {
        let left = grams;
        let hours = 1;
        const events = [made(grams)] as Parameters<typeof foldPiece>[1][number][];
        let open = false;
        for (const { what, share } of steps) {
          hours++;
          const part = left * share;
          if (what === 'gave') events.push(gave(hours, part));
          else if (what === 'waste') events.push(wasted(hours, part));
          else if (what === 'bin')
            events.push(event('piece.discarded', hours, { reason: 'x', mass: typed(part, 'g') }));
          else if (what === 'weigh') {
            events.push(
              event('piece.reweighed', hours, { mass: typed(part, 'g'), before: left, cause: 'drip', note: '' })
            );
          } else if (open) {
            events.push(closed(hours, part, left - part));
            open = false;
          } else {
            events.push(opened(hours, left));
            open = true;
            continue;
          }
          left = what === 'weigh' ? part : left - part;
        }
        const flow = massFlow(events)!;
        const moved = flow.moves.reduce((sum, move) => sum + move.grams, 0);
        expect(moved + flow.left).to.be.closeTo(grams, 1e-6);
        expect(flow.left).to.be.closeTo(foldPiece('P', events)!.grams, 1e-6);
      })
    );
  });
});

describe('mass and money as a picture', () => {
  const pieces = [
    {
      id: 'fish',
      name: 'Turbot',
      grade: 'prime',
      grams: 1000,
      left: 0,
      creditPerKg: null,
      moves: [
        { kind: 'gave' as const, grams: 400, to: 'a', board: 1, at: 0 },
        { kind: 'gave' as const, grams: 250, to: 'b', board: 1, at: 0 },
        { kind: 'waste' as const, grams: 350, to: 'frame', board: 1, at: 0 }
      ]
    },
    {
      id: 'a',
      name: 'Fillet',
      grade: 'prime',
      grams: 400,
      left: 100,
      creditPerKg: null,
      moves: [{ kind: 'served' as const, grams: 300, to: '', board: null, at: 0 }]
    },
    { id: 'b', name: 'Fillet', grade: 'prime', grams: 250, left: 250, creditPerKg: null, moves: [] }
  ];
  const parents = new Map([
    ['a', ['fish']],
    ['b', ['fish']]
  ]);
  const costs = allocate(pieces, new Map([['fish', 1301]]));
  const { nodes, links } = massAndMoney(pieces, parents, costs);
  const into = (target: string, what: 'grams' | 'cents') =>
    links.filter((link) => link.target === target).reduce((sum, link) => sum + link[what], 0);
  const outOf = (source: string, what: 'grams' | 'cents') =>
    links.filter((link) => link.source === source).reduce((sum, link) => sum + link[what], 0);
  it('draws pieces of one name as one, and what flows in flows out', () => {
    expect(nodes.filter(({ name }) => name === 'Fillet')).to.have.length(1);
    const fillet = nodes.find(({ name }) => name === 'Fillet')!.id;
    for (const what of ['grams', 'cents'] as const) expect(into(fillet, what)).to.be.closeTo(outOf(fillet, what), 1e-9);
    expect(into(fillet, 'grams')).to.equal(650);
  });
  it('ends in fates that add up to what was bought', () => {
    const ends = nodes.filter(({ fate }) => fate !== null).map(({ id }) => id);
    expect(ends.reduce((sum, id) => sum + into(id, 'grams'), 0)).to.equal(1000);
    expect(ends.reduce((sum, id) => sum + into(id, 'cents'), 0)).to.equal(1301);
    expect(into('fate waste', 'cents'), 'waste bears nothing').to.equal(0);
  });
});

describe('what a fish should give', () => {
  it('is the typical range before the first board', () => {
    const forecast = forecastYield([0.32, 0.4], []);
    expect(forecast).to.include({ runs: 0, ofSupplier: 0 });
    expect(forecast.low).to.be.closeTo(0.32, 1e-6);
    expect(forecast.high).to.be.closeTo(0.4, 1e-6);
  });
  it('moves towards what the boards gave, the more the more there are, and narrows', () => {
    const boards = (count: number) =>
      Array.from({ length: count }, (_, index) => ({ share: 0.45 + (index % 3) * 0.005, sameSupplier: true }));
    const [one, ten, forty] = [1, 10, 40].map((count) => forecastYield([0.32, 0.4], boards(count)));
    expect(one!.likely).to.be.within(0.36, 0.455);
    expect(ten!.likely).to.be.greaterThan(one!.likely);
    expect(forty!.likely).to.be.closeTo(0.455, 0.006);
    expect(forty!.high - forty!.low).to.be.lessThan(ten!.high - ten!.low);
  });
  it('a supplier’s own boards weigh more than those of others', () => {
    const boards = (own: number, others: number) => [
      ...Array.from({ length: 8 }, () => ({ share: own, sameSupplier: true })),
      ...Array.from({ length: 8 }, () => ({ share: others, sameSupplier: false }))
    ];
    expect(forecastYield([0.32, 0.4], boards(0.42, 0.34)).likely).to.be.greaterThan(0.39);
    expect(forecastYield([0.32, 0.4], boards(0.34, 0.42)).likely).to.be.lessThan(0.37);
  });
  it('holds about eight boards in ten', () => {
    let inside = 0;
    let all = 0;
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
        let state = seed;
        // A small generator of our own draws: sums of twelve are near a normal.
        const draw = () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647;
        const normal = () => Array.from({ length: 12 }, draw).reduce((sum, each) => sum + each, 0) - 6;
        const centre = 0.36 + normal() * 0.02;
        const history = Array.from({ length: 6 }, () => ({ share: centre + normal() * 0.035, sameSupplier: true }));
        const next = centre + normal() * 0.035;
        const { low, high } = forecastYield([0.32, 0.4], history);
        all++;
        if (next >= low && next <= high) inside++;
      }),
      { ...runs(1500), seed: 42 }
    );
    expect(inside / all).to.be.within(0.74, 0.9);
  });
  it('a gutted fish gives a larger share than a whole one, a block nearly all', () => {
    expect(typicalShare([0.32, 0.4], 'gutted')[0]).to.be.closeTo(0.36, 0.005);
    expect(typicalShare([0.32, 0.4], 'block')[0]).to.be.greaterThan(0.9);
    expect(typicalShare(null, 'whole')[0]).to.be.lessThan(0.3);
  });
  it('refuses a history that cannot be', () => {
    expect(() => forecastYield([0.3, 0.4], [{ share: NaN, sameSupplier: true }]))
      .to.throw()
      .with.property('code', 'quantity.out-of-range');
  });
});

describe('portions from what is on the board', () => {
  const ALL: readonly Route[] = ROUTES;
  const countOf = (use: string, grams: number, routes: readonly Route[], id: string) =>
    portionsFrom([{ use, grams, routes }], null).find((each) => each.id === id)!.count.likely;
  it('follow the verdict: what is shut raw gives no raw portion, and may still be cooked', () => {
    expect(countOf('raw', 465, ['cooked'], 'slices')).to.equal(0);
    expect(countOf('raw', 465, ['cooked'], 'nigiri')).to.equal(0);
    expect(countOf('raw', 465, ['cooked'], 'cooked')).to.equal(3);
    expect(PORTIONS.every(({ id }) => countOf('raw', 465, [], id) === 0)).to.equal(true);
    const uncut = { grams: 465, routes: ['cooked'] as const, share: { low: 0.8, likely: 0.9, high: 0.95 } };
    const counts = portionsFrom([], uncut).filter(({ count }) => count.high > 0);
    // 465 g, a tenth of it trimmed: three of 120 g.
    expect(counts.map(({ id, count }) => [id, count.likely])).to.deep.equal([['cooked', 3]]);
  });
  it('follow the use: a trim for the pan makes no slices, raw flesh may go to the pan', () => {
    expect(countOf('cook', 400, ALL, 'slices')).to.equal(0);
    expect(countOf('cook', 400, ALL, 'cooked')).to.equal(3);
    expect(countOf('raw', 400, ALL, 'cooked')).to.equal(3);
    expect(countOf('crisp', 400, ALL, 'chopped')).to.equal(0);
  });
  it('counts whole portions of each part, never a portion across two', () => {
    const [only] = portionsFrom(
      [
        { use: 'raw', grams: 100, routes: ALL },
        { use: 'raw', grams: 60, routes: ALL },
        { use: 'stock', grams: 900, routes: ALL }
      ],
      null,
      [{ id: 'x', name: 'x', grams: 70, uses: ['raw'], share: 1 }]
    );
    expect(only!.count).to.deep.equal({ low: 1, likely: 1, high: 1 });
  });
  it('adds what the uncut rest should give, as a band', () => {
    const [only] = portionsFrom([], { grams: 1000, routes: ALL, share: { low: 0.3, likely: 0.4, high: 0.5 } }, [
      { id: 'x', name: 'x', grams: 50, uses: ['raw'], share: 0.9 }
    ]);
    expect(only!.count).to.deep.equal({ low: 5, likely: 7, high: 9 });
  });
  it('ships portions that make sense', () => {
    expect(PORTIONS.length).to.be.greaterThan(4);
    for (const { grams, share, uses } of PORTIONS) {
      expect(grams).to.be.within(5, 500);
      expect(share).to.be.within(0.5, 1);
      expect(uses.length).to.be.greaterThan(0);
    }
  });
});
