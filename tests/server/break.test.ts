import { expect } from 'chai';
import fc from 'fast-check';
import { boardView } from '../../src/lib/server/views/board.ts';
import { costsOf } from '../../src/lib/server/facts/costs.ts';
import { lotView } from '../../src/lib/server/views/lot.ts';
import { pieceView } from '../../src/lib/server/views/piece.ts';
import { yieldHistory } from '../../src/lib/server/facts/yields.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { letters, nextCodes } from '../../src/lib/server/operations/pieces.ts';
import type { App } from '../../src/lib/server/app.ts';
import { CHAR, FEED, HOUR, openTestHouse, type TestHouse } from './house.ts';
import { runs } from '../runs.ts';

const TURBOT = {
  ...CHAR,
  species: 'turbot',
  form: 'whole',
  water: 'sea',
  mass: '3 kg',
  supplier: 'Graywater Landings',
  thickness: '',
  pricePerKg: 30
};
const BONITO = {
  ...CHAR,
  species: 'atlantic-bonito',
  form: 'whole',
  source: 'wild',
  farmSystem: '',
  water: 'sea',
  mass: '2 kg',
  pricePerKg: 12
};
const appOf = ({ store, clock }: TestHouse) => ({ store, clock }) as unknown as App;

describe('breaking down', () => {
  let house: TestHouse;
  beforeEach(() => (house = openTestHouse()));
  afterEach(() => {
    expect(verify(house.store, house.clock.now()).trouble).to.equal(null);
    house.close();
  });
  const receive = (input: object): { lot: string; piece: string } => house.done('receive-lot', input) as never;
  const refusal = (name: string, input: object) => {
    const answer = house.act(name, input);
    if (answer.ok) throw new Error(`${name} was taken`);
    return answer;
  };
  const view = (piece: string) => boardView(appOf(house), piece);
  const later = (minutes: number) => house.clock.moveTo(house.clock.now() + minutes * 60_000, true);
  const state = (piece: string) => house.store.projections.piece(piece).state;
  /** A turbot on the board. */
  const onBoard = () => {
    const { lot, piece } = receive(TURBOT);
    house.done('attach-evidence', { lot, ...FEED });
    house.done('open-board', { piece });
    return { lot, piece };
  };
  const take = (piece: string, part: string, mass: string, more: object = {}) => {
    later(1);
    return String(house.done('take-part', { piece, part, mass, ...more }).piece);
  };

  describe('a board', () => {
    it('makes pieces of parts, balances, and puts them back into the cold', () => {
      const { piece } = onBoard();
      const first = take(piece, 'eye-back', '420 g');
      const second = take(piece, 'eye-belly', '330 g');
      const head = take(piece, 'head', '640 g');
      later(5);
      for (const [what, mass] of [
        ['viscera', '260 g'],
        ['frame', '1.32 kg'],
        ['drip', '25 g']
      ]) {
        house.done('weigh-waste', { piece, what, mass });
      }
      expect(view(piece).balance).to.include({ parts: 1390, waste: 1580, drip: 25, open: 5, closes: true });
      later(2);
      const { gap, moved } = house.done('close-board', { piece, place: 'Drawer 2', core: '2.4 C' });
      expect(gap).to.equal(5);
      expect(moved).to.deep.equal([first, second, head]);
      expect(state(piece).gone).to.include({ how: 'divided' });
      expect(state(first)).to.include({ grams: 420, gone: null });
      expect(state(first).made).to.include({
        part: 'eye-back',
        use: 'raw',
        grade: 'prime',
        form: 'fillet',
        name: 'Turbot, eye-side back'
      });
      expect(state(head).made).to.include({ grade: 'by-product', use: 'stock', creditPerKg: 1.5 });
      expect(state(first).place).to.include({ place: 'Drawer 2', secondsOut: 9 * 60 });
      expect(pieceView(appOf(house), first).clocks.secondsOut).to.equal(10 * 60);
    });
    it('does not close on a silent gap: it asks, names the grams, and closes once somebody says where they went', () => {
      const { piece } = onBoard();
      take(piece, 'eye-back', '420 g');
      const asked = refusal('close-board', { piece });
      expect(asked).to.include({ code: 'record.not-balanced', status: 422 });
      expect(asked.details).to.include({ seen: 2580, field: 'gapReason' });
      house.done('close-board', { piece, remains: '2.4 kg', gapReason: 'the tail fell and was binned unweighed' });
      expect(state(piece)).to.include({ grams: 2400, gone: null });
      expect(view(piece).closed).to.include({ gap: 180, gapReason: 'the tail fell and was binned unweighed' });
      // What stays can be put on the board again, and served from.
      house.done('open-board', { piece });
    });
    it('weighed before the knife: what is missing since the door is put down to drip', () => {
      const { piece } = receive(TURBOT);
      house.done('open-board', { piece, mass: '2.96 kg', core: '1.2 C' });
      expect(view(piece).input).to.equal(2960);
      expect(state(piece).readings.at(-1)).to.include({ celsius: 1.2 });
    });
    it('refuses what a weight cannot be', () => {
      const { piece } = onBoard();
      expect(refusal('take-part', { piece, part: 'eye-back', mass: '3.2 kg' })).to.include({
        code: 'record.mass-exceeded'
      });
      const slip = refusal('take-part', { piece, part: 'eye-back', mass: '700 kg' });
      expect(slip.code).to.equal('record.mass-slip');
      expect(slip.details.candidates).to.deep.equal(['700 g']);
      const small = refusal('take-part', { piece, part: 'head', mass: '0.6 g' });
      expect(small.details.candidates).to.deep.equal(['600 g']);
      house.done('take-part', { piece, part: 'cheeks', mass: '0.6 g', sure: true });
      expect(refusal('take-part', { piece, part: 'eye-back', mass: '0.3 g' }).details.candidates).to.deep.equal([
        '300 g'
      ]);
      expect(refusal('take-part', { piece, part: 'cheeks', mass: '0.3 g', sure: true }).code).to.equal(
        'quantity.out-of-range'
      );
      expect(refusal('take-part', { piece, part: 'eye-back', mass: '-5 g' }).code).to.equal('quantity.out-of-range');
      expect(refusal('take-part', { piece, part: 'eye-back', mass: '400' }).code).to.equal('quantity.unit-missing');
      expect(refusal('weigh-waste', { piece, what: 'viscera', mass: '9 kg' }).code).to.be.oneOf([
        'record.mass-exceeded',
        'record.mass-slip'
      ]);
    });
    it('is the only place for the piece that lies on it', () => {
      const { piece } = onBoard();
      for (const [name, input] of [
        ['serve-piece', { piece, route: 'raw' }],
        [
          'start-freeze',
          {
            piece,
            place: 'Chest',
            air: '-30 C',
            airClass: 'fan',
            packing: 'film',
            thickness: '30 mm',
            startCore: '2 C',
            cycle: 'us-168h'
          }
        ],
        ['divide-piece', { piece, name: 'x', mass: '100 g' }],
        ['open-board', { piece }],
        ['split-piece', { piece, count: 2 }],
        ['discard-piece', { piece, reason: 'x' }]
      ] as const) {
        const { code, details } = refusal(name, input);
        expect(`${name} ${code}`).to.equal(`${name} record.not-allowed-now`);
        expect(details.seen, name).to.equal('on the board');
      }
      house.done('close-board', { piece, remains: '3 kg' });
      expect(refusal('take-part', { piece, part: 'eye-back', mass: '300 g' }).details.seen).to.equal(
        'not on the board'
      );
    });
    it('what only licensed hands may open is put on no board, and nothing is said of how', () => {
      const puffer = receive({ ...TURBOT, species: 'puffer', source: 'wild', farmSystem: '' });
      const perhaps = receive({ ...TURBOT, species: 'unidentified', candidates: 'puffer, turbot' });
      for (const { piece } of [puffer, perhaps]) {
        expect(refusal('open-board', { piece }).details.seen).to.match(/licensed hands/);
        expect(view(piece)).to.deep.include({ licensed: true, order: [], parts: [] });
      }
    });
    it('what left a piece and what came of it are amended together, or not at all', () => {
      const { piece } = receive({ ...CHAR, mass: '1000 g' });
      const { piece: child } = house.done('divide-piece', { piece, name: 'x', mass: '300 g' }) as { piece: string };
      const seq = (of: string, kind: string) =>
        house.store.record.eventsOf(`piece:${of}`).find((each) => each.kind === kind)!.seq;
      const mass = { si: 350, unit: 'g', typed: '350 g' };
      house.done('amend-entry', { seq: seq(child, 'piece.made'), patch: { mass, grams: 350 }, reason: 'read wrong' });
      expect([state(piece).grams, state(child).grams]).to.deep.equal([650, 350]);
      house.done('amend-entry', { seq: seq(piece, 'piece.gave'), patch: { grams: 320 }, reason: 'read wrong again' });
      expect([state(piece).grams, state(child).grams]).to.deep.equal([680, 320]);
      house.done('amend-entry', { seq: seq(child, 'piece.made'), void: true, reason: 'never taken' });
      expect(state(piece).grams).to.equal(1000);
      expect(house.store.record.versionOf(`piece:${child}`)).to.be.greaterThan(0);
      const { pieces } = house.done('split-piece', { piece, count: 2 }) as { pieces: string[] };
      const { piece: batch } = house.done('combine-pieces', { pieces, name: 'Mince' }) as { piece: string };
      expect(
        refusal('amend-entry', { seq: seq(batch, 'piece.made'), patch: { mass, grams: 350 }, reason: 'x' }).code
      ).to.equal('record.not-amendable');
    });
    it('a parent that is cut up already is cut no more', () => {
      const { piece } = receive({ ...CHAR, mass: '400 g' });
      house.done('split-piece', { piece, count: 4, name: 'Char portion' });
      expect(refusal('open-board', { piece }).details.seen).to.equal('divided');
      expect(refusal('divide-piece', { piece, name: 'x', mass: '10 g' }).details.seen).to.equal('divided');
    });
    it('puts a part or a waste weighing back, once, and not what was worked on since', () => {
      const { piece } = onBoard();
      const fillet = take(piece, 'eye-back', '420 g');
      const kept = take(piece, 'eye-belly', '330 g');
      house.done('weigh-waste', { piece, what: 'viscera', mass: '200 g' });
      const [waste] = view(piece).wastes;
      house.done('put-back', { piece, child: fillet });
      house.done('put-back', { piece, entry: waste!.seq });
      expect(view(piece).balance).to.include({ parts: 330, waste: 0, open: 2670 });
      expect(view(piece).taken.map(({ id }) => id)).to.deep.equal([kept]);
      expect(house.act('put-back', { piece, child: fillet }).ok, 'twice').to.equal(false);
      house.done('divide-piece', { piece: kept, name: 'x', mass: '50 g' });
      expect(refusal('put-back', { piece, child: kept }).details.seen).to.match(/worked on/);
      // Its letter is not given again.
      expect(take(piece, 'fin-edge', '60 g')).to.not.equal(fillet);
    });
    it('two hands on one fish: who did not see the other’s weight is refused, with both', () => {
      const { piece } = onBoard();
      const seen = state(piece).lastSeq;
      take(piece, 'eye-back', '420 g');
      const clash = house.act('take-part', { piece, part: 'eye-belly', mass: '300 g' }, { seen });
      expect(clash).to.include({ ok: false, status: 409, code: 'record.stale' });
      if (clash.ok) return;
      expect(JSON.stringify(clash.details.newer)).to.contain('420');
      expect(String(clash.details.yours)).to.contain('300 g');
    });
    it('a board cannot close before its parts came off', () => {
      const { piece } = onBoard();
      take(piece, 'eye-back', '420 g');
      expect(refusal('close-board', { piece, remains: '2580 g', at: '2026-03-09T12:00' }).code).to.equal(
        'time.out-of-order'
      );
    });
    it('what is cut of a part, or put together of parts, lies out with them until the board is closed', () => {
      const { piece } = onBoard();
      const [first, second] = [take(piece, 'eye-back', '400 g'), take(piece, 'eye-belly', '300 g')];
      later(3);
      const { pieces } = house.done('split-piece', { piece: first, count: 2 }) as { pieces: string[] };
      const { piece: batch } = house.done('combine-pieces', { pieces: [pieces[1], second], name: 'Mince' }) as {
        piece: string;
      };
      later(5);
      const out = (id: string) => pieceView(appOf(house), id).clocks.secondsOut;
      expect([out(pieces[0]!), out(batch)]).to.deep.equal([600, 600]);
      house.done('set-place', { name: 'Drawer 1', kind: 'drawer' });
      expect(house.done('close-board', { piece, remains: '2300 g', place: 'Drawer 1' }).moved).to.have.members([
        pieces[0],
        batch
      ]);
      later(60);
      expect([out(pieces[0]!), out(batch)]).to.deep.equal([600, 600]);
    });
    it('time on the board is spent from the warm hours of each of its pieces', () => {
      const { lot, piece } = receive(BONITO);
      house.done('attach-evidence', { lot, type: 'chill-record', issuer: 'boat' });
      house.done('open-board', { piece });
      later(29);
      const loin = take(piece, 'back-first', '300 g');
      later(30);
      house.done('set-place', { name: 'Drawer 1', kind: 'drawer' });
      house.done('close-board', { piece, remains: '1700 g', place: 'Drawer 1' });
      later(60);
      const spent = pieceView(appOf(house), loin).clocks.histamine!.spentSeconds;
      expect(spent).to.be.closeTo(3600, 2);
    });
  });

  describe('away from the board', () => {
    it('splits evenly to the gram, trims, skins, weighs again and moves', () => {
      const { piece } = receive({ ...CHAR, mass: '1000 g' });
      house.done('trim-piece', { piece, what: 'skin', mass: '70 g', keep: true, use: 'crisp' });
      house.done('trim-piece', { piece, what: 'blood-line', mass: '30 g' });
      expect(state(piece).grams).to.equal(900);
      house.done('reweigh-piece', { piece, mass: '893 g', cause: 'drip' });
      expect(refusal('reweigh-piece', { piece, mass: '990 g', cause: 'drip' }).code).to.equal('record.mass-exceeded');
      house.done('reweigh-piece', { piece, mass: '905 g', cause: 'uptake' });
      house.done('move-piece', { piece, place: 'Ice rack' });
      const { pieces } = house.done('split-piece', { piece, count: 3 }) as { pieces: string[] };
      expect(pieces).to.have.length(3);
      expect(pieces.reduce((sum, id) => sum + state(id).grams, 0)).to.be.closeTo(905, 1e-9);
      expect(state(piece).gone).to.include({ how: 'divided' });
    });
    it('a place that is no cold place keeps its time out running', () => {
      house.done('set-place', { name: 'Pass', kind: 'bench' });
      house.done('set-place', { name: 'Drawer 1', kind: 'drawer' });
      const { piece } = receive(CHAR);
      house.done('move-piece', { piece, place: 'pass' });
      expect(state(piece).place).to.include({ place: 'Pass', cold: false });
      later(20);
      house.done('move-piece', { piece, place: 'Drawer 1' });
      expect(state(piece).place).to.include({ cold: true, secondsOut: 1200 });
    });
    it('keeps the depth of a piece', () => {
      const { piece } = receive(CHAR);
      house.done('set-depth', { piece, length: '300 mm', t0: '30 mm', t6: '12 mm' });
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
      house.done('attach-evidence', { lot: good.lot, ...FEED });
      const bad = receive({ ...CHAR, mass: '200 g', supplier: 'Elsewhere' });
      const { piece } = house.done('combine-pieces', { pieces: [good.piece, bad.piece], name: 'Mince' }) as {
        piece: string;
      };
      expect(piece).to.equal('MIX-0309-1');
      const batch = pieceView(appOf(house), piece);
      expect(batch.piece).to.include({ grams: 500 });
      expect(batch.lots).to.deep.equal([good.lot, bad.lot].sort());
      expect(batch.ancestors).to.have.members([good.piece, bad.piece]);
      expect(batch.kinds).to.deep.equal(['Arctic char']);
      expect(batch.verdict.windows.find(({ route }) => route === 'raw')!.state).to.equal('not-cleared');
      // A paper for the other lot reaches the batch, which belongs to both.
      house.done('attach-evidence', { lot: bad.lot, ...FEED });
      expect(pieceView(appOf(house), piece).verdict.windows.find(({ route }) => route === 'raw')!.state).to.equal(
        'open'
      );
      for (const parent of [good, bad]) expect(state(parent.piece).gone).to.include({ how: 'divided' });
    });
    it('of one lot stays in its lot', () => {
      const { lot, piece } = receive({ ...CHAR, mass: '1 kg' });
      const { pieces } = house.done('split-piece', { piece, count: 3 }) as { pieces: string[] };
      const { piece: batch } = house.done('combine-pieces', { pieces: pieces.join(','), name: 'Mince' });
      expect(String(batch)).to.match(new RegExp(`^${lot}-`));
      expect(house.store.projections.lineages(String(batch))).to.have.length(3);
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
      house.done('start-cure', {
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
      expect(refusal('combine-pieces', { pieces: [one.piece, cured.piece], name: 'x' }).details.seen).to.equal(
        'in a cure'
      );
      house.done('end-cure', { piece: cured.piece });
      expect(refusal('combine-pieces', { pieces: [one.piece, cured.piece], name: 'x' }).code).to.equal(
        'record.combine-refused'
      );
      expect(refusal('combine-pieces', { pieces: [one.piece], name: 'x' }).code).to.equal('form.incomplete');
    });
    it('with more ways back to its lots than can be judged is refused', () => {
      const first = receive({ ...CHAR, mass: '400 g' });
      let { pieces } = house.done('split-piece', { piece: first.piece, count: 20 }) as { pieces: string[] };
      for (let round = 0; round < 3; round++) {
        const answer = house.act('combine-pieces', { pieces, name: 'Mince' });
        if (!answer.ok) {
          expect(answer.code).to.equal('record.too-many-strands');
          return;
        }
        pieces = (house.done('split-piece', { piece: answer.result.piece, count: 20 }) as { pieces: string[] }).pieces;
      }
      throw new Error('never refused');
    });
  });

  describe('yield and cost', () => {
    const closeOne = (grams: number, supplier = 'Graywater Landings') => {
      const { piece } = receive({ ...TURBOT, supplier });
      house.done('open-board', { piece });
      take(piece, 'eye-back', `${grams} g`);
      house.done('weigh-waste', { piece, what: 'frame', mass: `${3000 - grams} g`, sure: true });
      house.done('close-board', { piece });
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
        yieldHistory(house, { by: what, species: 'turbot', form: '' }).groups;
      expect(by('species')).to.have.length(1);
      expect(by('species')[0]).to.include({ runs: 5 });
      expect(by('species')[0]!.middle).to.be.closeTo(1320 / 3000, 1e-9);
      expect(by('supplier').map(({ key, runs }) => [key, runs])).to.deep.equal([
        ['Graywater Landings', 4],
        ['Elsewhere', 1]
      ]);
      expect(by('hand')[0]).to.include({ key: 'p1', runs: 5 });
      expect(by('part')[0]).to.include({ key: 'eye-back', runs: 5 });
      expect(yieldHistory(house, { by: 'species', species: 'char', form: '' }).groups).to.deep.equal([]);
    });
    it('a closed board that is amended is counted as amended', () => {
      const piece = closeOne(1300);
      const waste = view(piece).wastes[0]!;
      house.done('amend-entry', {
        seq: waste.seq,
        patch: { mass: { si: 1650, unit: 'g', typed: '1650 g' } },
        reason: 'read wrong'
      });
      expect(house.store.db.prepare('SELECT waste FROM boards WHERE piece = ?').get(piece)).to.deep.equal({
        waste: 1650
      });
    });
    it('cost follows mass to the cent, with by-products at their own value', () => {
      const { lot, piece } = onBoard();
      const fillet = take(piece, 'eye-back', '600 g');
      const belly = take(piece, 'eye-belly', '400 g');
      const head = take(piece, 'head', '800 g');
      house.done('weigh-waste', { piece, what: 'frame', mass: '1.2 kg' });
      house.done('close-board', { piece });
      const { costs } = costsOf(appOf(house), lot);
      // 3 kg at 30.00: 90.00, of which the head takes 0.8 kg at 1.50.
      expect(costs.get(head)!.here).to.equal(120);
      expect(costs.get(fillet)!.here).to.equal(5328);
      expect(costs.get(belly)!.here).to.equal(3552);
    });
    it('the lot’s page adds up to what was bought, in grams and in cents', () => {
      const { lot, piece } = onBoard();
      take(piece, 'eye-back', '600 g');
      house.done('weigh-waste', { piece, what: 'viscera', mass: '300 g' });
      const page = lotView(appOf(house), { id: lot });
      const { prime, byProduct, served, waste, drip, gap, binned } = page.grams;
      expect(prime + byProduct + served + waste + drip + gap + binned).to.be.closeTo(3000, 1e-6);
      expect(page.cents.here + page.cents.served + page.cents.lost).to.equal(9000);
      expect(page.rows.map(({ depth }) => depth)).to.deep.equal([0, 1]);
      expect(lotView(appOf(house), { id: lot, page: 99 }).page).to.equal(1);
    });
    it('without a price no cost is made up', () => {
      const { piece, lot } = receive(CHAR);
      expect(view(piece).cost).to.include({ priced: false, perGram: null });
      expect(lotView(appOf(house), { id: lot }).unpriced).to.deep.equal([lot]);
    });
    it('by-product values, portions and the scale are the house’s to set', () => {
      house.done('set-kitchen', { 'credit-stock': '4', 'portion-nigiri': '20', interval: '5' });
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
      house.done('set-template', { name: 'Ours', cuts });
      const { piece } = receive(CHAR);
      house.done('open-board', { piece, template: 'ours' });
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
    expect(nextCodes(house.store, lot, 2)).to.deep.equal([`${lot}-B`, `${lot}-C`]);
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
