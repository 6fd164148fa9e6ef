import { expect } from 'chai';
import fc from 'fast-check';
import { costsOf } from '../../src/lib/server/facts/costs.ts';
import { lotView } from '../../src/lib/server/views/lot.ts';
import { pieceView } from '../../src/lib/server/views/piece.ts';
import { yieldHistory } from '../../src/lib/server/facts/yields.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { letters, nextCodes } from '../../src/lib/server/operations/pieces.ts';
import { CHAR, FEED, HOUR, openTestHouse } from './house.ts';
import { runs } from '../runs.ts';
import { TURBOT, appOf, knifeHouse } from './knife-house.ts';

describe('pieces away from the board', () => {
  const kitchen = knifeHouse();
  const { receive, refusal, view, later, state, onBoard, take } = kitchen;

  describe('away from the board', () => {
    it('splits evenly to the gram, trims, skins, weighs again and moves', () => {
      const { piece } = receive({ ...CHAR, mass: '1000 g' });
      kitchen.house.done('trim-piece', { piece, what: 'skin', mass: '70 g', keep: true, use: 'crisp' });
      kitchen.house.done('trim-piece', { piece, what: 'blood-line', mass: '30 g' });
      expect(state(piece).grams).to.equal(900);
      kitchen.house.done('reweigh-piece', { piece, mass: '893 g', cause: 'drip' });
      expect(refusal('reweigh-piece', { piece, mass: '990 g', cause: 'drip' }).code).to.equal('record.mass-exceeded');
      kitchen.house.done('reweigh-piece', { piece, mass: '905 g', cause: 'uptake' });
      kitchen.house.done('move-piece', { piece, place: 'Ice rack' });
      const { pieces } = kitchen.house.done('split-piece', { piece, count: 3 }) as { pieces: string[] };
      expect(pieces).to.have.length(3);
      expect(pieces.reduce((sum, id) => sum + state(id).grams, 0)).to.be.closeTo(905, 1e-9);
      expect(state(piece).gone).to.include({ how: 'divided' });
    });
    it('a place that is no cold place keeps its time out running', () => {
      kitchen.house.done('set-place', { name: 'Pass', kind: 'bench' });
      kitchen.house.done('set-place', { name: 'Drawer 1', kind: 'drawer' });
      const { piece } = receive(CHAR);
      kitchen.house.done('move-piece', { piece, place: 'pass' });
      expect(state(piece).place).to.include({ place: 'Pass', cold: false });
      later(20);
      kitchen.house.done('move-piece', { piece, place: 'Drawer 1' });
      expect(state(piece).place).to.include({ cold: true, secondsOut: 1200 });
    });
    it('keeps the depth of a piece', () => {
      const { piece } = receive(CHAR);
      kitchen.house.done('set-depth', { piece, length: '300 mm', t0: '30 mm', t6: '12 mm' });
      expect(state(piece).depth).to.deep.include({
        lengthMm: 300,
        points: [
          { at: 0, mm: 30 },
          { at: 300, mm: 12 }
        ]
      });
      expect(refusal('set-depth', { piece, length: '300 mm', t0: '30 mm' }).code).to.equal('form.incomplete');
      expect(refusal('set-depth', { piece, length: '300 mm', t0: '30 cm', t6: '9 m' }).code).to.equal(
        'quantity.out-of-range'
      );
    });
  });

  describe('a batch', () => {
    it('keeps every parent, weighs what they weighed, and is as good as its worst', () => {
      const good = receive({ ...CHAR, mass: '300 g' });
      kitchen.house.done('attach-evidence', { lot: good.lot, ...FEED });
      const bad = receive({ ...CHAR, mass: '200 g', supplier: 'Elsewhere' });
      const { piece } = kitchen.house.done('combine-pieces', { pieces: [good.piece, bad.piece], name: 'Mince' }) as {
        piece: string;
      };
      expect(piece).to.equal('MIX-0309-1');
      const batch = pieceView(appOf(kitchen.house), piece);
      expect(batch.piece).to.include({ grams: 500 });
      expect(batch.lots).to.deep.equal([good.lot, bad.lot].sort());
      expect(batch.ancestors).to.have.members([good.piece, bad.piece]);
      expect(batch.kinds).to.deep.equal(['Arctic char']);
      expect(batch.verdict.windows.find(({ route }) => route === 'raw')!.state).to.equal('not-cleared');
      // A paper for the other lot reaches the batch, which belongs to both.
      kitchen.house.done('attach-evidence', { lot: bad.lot, ...FEED });
      expect(
        pieceView(appOf(kitchen.house), piece).verdict.windows.find(({ route }) => route === 'raw')!.state
      ).to.equal('open');
      for (const parent of [good, bad]) expect(state(parent.piece).gone).to.include({ how: 'divided' });
    });
    it('of one lot stays in its lot', () => {
      const { lot, piece } = receive({ ...CHAR, mass: '1 kg' });
      const { pieces } = kitchen.house.done('split-piece', { piece, count: 3 }) as { pieces: string[] };
      const { piece: batch } = kitchen.house.done('combine-pieces', { pieces: pieces.join(','), name: 'Mince' });
      expect(String(batch)).to.match(new RegExp(`^${lot}-`));
      expect(kitchen.house.store.projections.lineages(String(batch))).to.have.length(3);
    });
    it('is refused for live shellfish of several lots, for the own table with sale, and for what is cured with what is not', () => {
      const live = {
        ...CHAR,
        species: 'razor-clam',
        form: 'live',
        source: 'wild',
        farmSystem: '',
        water: 'sea',
        thickness: ''
      };
      const clams = [receive(live), receive(live)].map(({ piece }) => piece);
      expect(refusal('combine-pieces', { pieces: clams, name: 'Clams' })).to.include({
        code: 'record.combine-refused'
      });
      const [one, other] = [receive(CHAR), receive({ ...CHAR, purpose: 'own-table' })];
      expect(refusal('combine-pieces', { pieces: [one.piece, other.piece], name: 'x' }).code).to.equal(
        'record.combine-refused'
      );
      const cured = receive(CHAR);
      kitchen.house.done('start-cure', {
        piece: cured.piece,
        method: 'weighed',
        thickness: '28 mm',
        faces: 1,
        celsius: '3 C',
        salt: '2.5 %',
        sugar: '1 %',
        hours: '12 h',
        target: '1 %'
      });
      expect(
        refusal('combine-pieces', { pieces: [one.piece, cured.piece], name: 'x' }).details.hindrance
      ).to.deep.equal({ kind: 'in', occupant: 'cure' });
      kitchen.house.done('end-cure', { piece: cured.piece });
      expect(refusal('combine-pieces', { pieces: [one.piece, cured.piece], name: 'x' }).code).to.equal(
        'record.combine-refused'
      );
      expect(refusal('combine-pieces', { pieces: [one.piece], name: 'x' }).code).to.equal('form.incomplete');
    });
    it('with more ways back to its lots than can be judged is refused', () => {
      const first = receive({ ...CHAR, mass: '400 g' });
      let { pieces } = kitchen.house.done('split-piece', { piece: first.piece, count: 20 }) as { pieces: string[] };
      for (let round = 0; round < 3; round++) {
        const answer = kitchen.house.act('combine-pieces', { pieces, name: 'Mince' });
        if (!answer.ok) {
          expect(answer.code).to.equal('record.too-many-strands');
          return;
        }
        pieces = (kitchen.house.done('split-piece', { piece: answer.result.piece, count: 20 }) as { pieces: string[] })
          .pieces;
      }
      throw new Error('never refused');
    });
  });

  describe('yield and cost', () => {
    const closeOne = (grams: number, supplier = 'Graywater Landings') => {
      const { piece } = receive({ ...TURBOT, supplier });
      kitchen.house.done('open-board', { piece });
      take(piece, 'eye-back', `${grams} g`);
      kitchen.house.done('weigh-waste', { piece, what: 'frame', mass: `${3000 - grams} g`, sure: true });
      kitchen.house.done('close-board', { piece });
      return piece;
    };
    it('what boards gave moves the forecast of the next, and is told by kind, supplier, hand and part', () => {
      const fresh = receive(TURBOT);
      const before = view(fresh.piece).forecast;
      expect(before).to.include({ runs: 0 });
      for (const grams of [1320, 1350, 1290, 1340]) closeOne(grams);
      closeOne(1200, 'Elsewhere');
      const after = view(fresh.piece).forecast;
      expect(after).to.include({ runs: 5, ofSupplier: 4 });
      expect(after.likely).to.be.greaterThan(before.likely);
      const by = (what: 'species' | 'supplier' | 'hand' | 'part') =>
        yieldHistory(kitchen.house, { by: what, species: 'turbot', form: '' }).groups;
      expect(by('species')).to.have.length(1);
      expect(by('species')[0]).to.include({ runs: 5 });
      expect(by('species')[0]!.middle).to.be.closeTo(1320 / 3000, 1e-9);
      expect(by('supplier').map(({ key, runs }) => [key, runs])).to.deep.equal([
        ['Graywater Landings', 4],
        ['Elsewhere', 1]
      ]);
      expect(by('hand')[0]).to.include({ key: 'p1', runs: 5 });
      expect(by('part')[0]).to.include({ key: 'eye-back', runs: 5 });
      expect(yieldHistory(kitchen.house, { by: 'species', species: 'char', form: '' }).groups).to.deep.equal([]);
    });
    it('a closed board that is amended is counted as amended', () => {
      const piece = closeOne(1300);
      const waste = view(piece).wastes[0]!;
      kitchen.house.done('amend-entry', {
        seq: waste.seq,
        patch: { mass: { si: 1650, unit: 'g', typed: '1650 g' } },
        reason: 'read wrong'
      });
      expect(kitchen.house.store.db.prepare('SELECT waste FROM boards WHERE piece = ?').get(piece)).to.deep.equal({
        waste: 1650
      });
    });
    it('cost follows mass to the cent, with by-products at their own value', () => {
      const { lot, piece } = onBoard();
      const fillet = take(piece, 'eye-back', '600 g');
      const belly = take(piece, 'eye-belly', '400 g');
      const head = take(piece, 'head', '800 g');
      kitchen.house.done('weigh-waste', { piece, what: 'frame', mass: '1.2 kg' });
      kitchen.house.done('close-board', { piece });
      const { costs } = costsOf(appOf(kitchen.house), lot);
      // 3 kg at 30.00: 90.00, of which the head takes 0.8 kg at 1.50.
      expect(costs.get(head)!.here).to.equal(120);
      expect(costs.get(fillet)!.here).to.equal(5328);
      expect(costs.get(belly)!.here).to.equal(3552);
    });
    it('the lot’s page adds up to what was bought, in grams and in cents', () => {
      const { lot, piece } = onBoard();
      take(piece, 'eye-back', '600 g');
      kitchen.house.done('weigh-waste', { piece, what: 'viscera', mass: '300 g' });
      const page = lotView(appOf(kitchen.house), { id: lot });
      const { prime, byProduct, served, waste, drip, gap, binned } = page.grams;
      expect(prime + byProduct + served + waste + drip + gap + binned).to.be.closeTo(3000, 1e-6);
      expect(page.cents.here + page.cents.served + page.cents.lost).to.equal(9000);
      expect(page.rows.map(({ depth }) => depth)).to.deep.equal([0, 1]);
      expect(lotView(appOf(kitchen.house), { id: lot, page: 99 }).page).to.equal(1);
    });
    it('without a price no cost is made up', () => {
      const { piece, lot } = receive(CHAR);
      expect(view(piece).cost).to.include({ priced: false, perGram: null });
      expect(lotView(appOf(kitchen.house), { id: lot }).unpriced).to.deep.equal([lot]);
    });
    it('by-product values, portions and the scale are the house’s to set', () => {
      kitchen.house.done('set-kitchen', { 'credit-stock': '4', 'portion-nigiri': '20', interval: '5' });
      const { piece } = onBoard();
      expect(view(piece).board!.plan.scaleInterval).to.equal(5);
      const head = take(piece, 'head', '800 g');
      expect(state(head).made.creditPerKg).to.equal(4);
      expect(view(piece).portions.find(({ id }) => id === 'nigiri')!.grams).to.equal(20);
      expect(refusal('set-kitchen', { 'credit-stock': 'much' }).code).to.equal('quantity.out-of-range');
      expect(refusal('set-kitchen', { interval: '0' }).details.field).to.equal('interval');
    });
  });

  describe('the division of a side', () => {
    const cuts = 'Thick end; 0-40; all; cure\nThin end; 40-100; all; mince';
    it('is the house’s to edit, and its parts are what is cut by', () => {
      kitchen.house.done('set-template', { name: 'Ours', cuts });
      const { piece } = receive(CHAR);
      kitchen.house.done('open-board', { piece, template: 'ours' });
      expect(view(piece).parts.map(({ id }) => id)).to.include.members(['thick-end', 'thin-end', 'skin']);
      const part = take(piece, 'thick-end', '900 g');
      expect(state(part).made).to.include({ use: 'cure', name: 'Arctic char, thick end' });
    });
    it('is refused where cuts lie over one another, or cannot be read', () => {
      expect(
        refusal('set-template', { name: 'x', cuts: 'A; 0-60; all; raw\nB; 50-100; back; raw' }).details.seen
      ).to.contain('lies over');
      expect(refusal('set-template', { name: 'x', cuts: 'A; 0-160; all; raw' }).code).to.equal('quantity.out-of-range');
      expect(refusal('set-template', { name: 'x', cuts: 'A; half; all; raw' }).details.field).to.equal('line 1');
      expect(refusal('set-template', { name: 'x', cuts: 'A; 0-50; top; raw' }).details.seen).to.equal('top');
      expect(refusal('set-template', { name: 'x', cuts: '' }).code).to.equal('quantity.out-of-range');
      expect(
        refusal('set-template', { name: 'x', cuts: `${cuts}\nThin end; 0-10; belly; raw`.replace('40-100', '50-100') })
          .ok
      ).to.equal(false);
    });
  });

  it('codes go on from A to Z to AA, and are never given twice', () => {
    expect([1, 26, 27, 52, 53, 703].map(letters)).to.deep.equal(['A', 'Z', 'AA', 'AZ', 'BA', 'AAA']);
    const { lot } = receive(CHAR);
    expect(nextCodes(kitchen.house.store, lot, 2)).to.deep.equal([`${lot}-B`, `${lot}-C`]);
  });
});

describe('any sequence of knife work', () => {
  it('conserves grams and cents, has no cycle, and rebuilds to the same', () => {
    const step = fc.record({
      what: fc.constantFrom(
        'divide',
        'split',
        'trim',
        'waste',
        'combine',
        'reweigh',
        'bin',
        'open',
        'take',
        'close',
        'move',
        'undo'
      ),
      which: fc.nat({ max: 1000 }),
      other: fc.nat({ max: 1000 }),
      share: fc.double({ min: 0.05, max: 0.9, noNaN: true })
    });
    fc.assert(
      fc.property(fc.array(step, { minLength: 3, maxLength: 22 }), (steps) => {
        const house = openTestHouse();
        const lots = [
          { ...TURBOT, mass: '3 kg' },
          { ...CHAR, mass: '1.7 kg', pricePerKg: 19.37 }
        ].map((input) => house.done('receive-lot', input) as { lot: string; piece: string });
        for (const { what, which, other, share } of steps) {
          house.clock.moveTo(house.clock.now() + 60_000, true);
          const live = house.store.projections.livePieces().map(({ state }) => state);
          if (live.length === 0) break;
          const one = live[which % live.length]!;
          const two = live[other % live.length]!;
          const mass = `${(one.grams * share).toFixed(1)} g`;
          const waste = house.store.projections.piece(one.id).children[0];
          // Refused steps change nothing, and are as good a test as those that are taken.
          if (what === 'divide') house.act('divide-piece', { piece: one.id, name: 'part', mass });
          else if (what === 'split') house.act('split-piece', { piece: one.id, count: 2 + (other % 3) });
          else if (what === 'trim') house.act('trim-piece', { piece: one.id, what: 'trim', mass, keep: true });
          else if (what === 'waste') house.act('trim-piece', { piece: one.id, what: 'skin', mass });
          else if (what === 'combine') house.act('combine-pieces', { pieces: [one.id, two.id], name: 'mix' });
          else if (what === 'reweigh')
            house.act('reweigh-piece', { piece: one.id, mass: `${(one.grams * 0.97).toFixed(1)} g` });
          else if (what === 'bin') house.act('discard-piece', { piece: one.id, reason: 'x', mass });
          else if (what === 'open') house.act('open-board', { piece: one.id });
          else if (what === 'take') house.act('take-part', { piece: one.id, part: 'head', mass, sure: true });
          else if (what === 'close')
            house.act('close-board', { piece: one.id, remains: mass, gapReason: 'a random hand' });
          else if (what === 'move') house.act('move-piece', { piece: one.id, place: 'Drawer' });
          else if (waste) house.act('put-back', { piece: one.id, child: waste });
        }
        const of = costsOf(appOf(house), lots[0]!.lot);
        const everything = of.lots.length === 2 ? [of] : lots.map(({ lot }) => costsOf(appOf(house), lot));
        let grams = 0;
        let cents = 0;
        for (const { pieces, costs } of everything) {
          for (const piece of pieces) {
            grams += piece.left;
            for (const move of piece.moves) if (move.kind !== 'gave') grams += move.grams;
            // What each was made with is what it gave, lost and still has.
            const moved = piece.moves.reduce((sum, move) => sum + move.grams, 0);
            expect(moved + piece.left, piece.id).to.be.closeTo(piece.grams, 1e-6);
          }
          for (const cost of costs.values()) cents += cost.here + cost.served + cost.lost;
        }
        expect(grams).to.be.closeTo(4700, 1e-6);
        expect(cents).to.equal(9000 + 3293);
        for (const { state } of house.store.projections.livePieces()) {
          for (const { pieces } of house.store.projections.lineages(state.id)) {
            expect(new Set(pieces.map(({ id }) => id)).size).to.equal(pieces.length);
          }
        }
        expect(verify(house.store, house.clock.now() + HOUR).trouble).to.equal(null);
        house.close();
      }),
      runs(120)
    );
  });
});
