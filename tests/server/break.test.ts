import { expect } from 'chai';
import { pieceView } from '../../src/lib/server/views/piece.ts';
import { isSkinned } from '../../src/lib/server/facts/skin.ts';
import { CHAR } from './house.ts';
import { BONITO, TURBOT, appOf, knifeHouse } from './knife-house.ts';

describe('breaking down', () => {
  const kitchen = knifeHouse();
  const { receive, refusal, view, later, state, onBoard, take } = kitchen;

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
        kitchen.house.done('weigh-waste', { piece, what, mass });
      }
      expect(view(piece).balance).to.include({ parts: 1390, waste: 1580, drip: 25, open: 5, closes: true });
      later(2);
      const { gap, moved } = kitchen.house.done('close-board', { piece, place: 'Drawer 2', core: '2.4 C' });
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
      expect(pieceView(appOf(kitchen.house), first).clocks.secondsOut).to.equal(10 * 60);
    });
    it('its skin was weighed on the board it came from: benches begin with both faces open', () => {
      const { piece } = onBoard();
      const [back, skinned] = [take(piece, 'eye-back', '420 g'), (id: string) => isSkinned(kitchen.house.store, id)];
      kitchen.house.done('weigh-waste', { piece, what: 'viscera', mass: '260 g' });
      expect(skinned(back)).to.equal(false);
      kitchen.house.done('weigh-waste', { piece, what: 'skin', mass: '90 g' });
      expect([skinned(piece), skinned(take(piece, 'eye-belly', '330 g'))]).to.deep.equal([true, true]);
      // What was struck out was never weighed.
      const { seq } = view(piece).wastes.find(({ what }) => what === 'skin')!;
      kitchen.house.done('put-back', { piece, entry: seq });
      expect(skinned(piece)).to.equal(false);
    });
    it('does not close on a silent gap: it asks, names the grams, and closes once somebody says where they went', () => {
      const { piece } = onBoard();
      take(piece, 'eye-back', '420 g');
      const asked = refusal('close-board', { piece });
      expect(asked).to.include({ code: 'record.not-balanced', status: 422 });
      expect(asked.details).to.include({ seen: 2580, field: 'gapReason' });
      kitchen.house.done('close-board', {
        piece,
        remains: '2.4 kg',
        gapReason: 'the tail fell and was binned unweighed'
      });
      expect(state(piece)).to.include({ grams: 2400, gone: null });
      expect(view(piece).closed).to.include({ gap: 180, gapReason: 'the tail fell and was binned unweighed' });
      // What stays can be put on the board again, and served from.
      kitchen.house.done('open-board', { piece });
    });
    it('weighed before the knife: what is missing since the door is put down to drip', () => {
      const { piece } = receive(TURBOT);
      kitchen.house.done('open-board', { piece, mass: '2.96 kg', core: '1.2 C' });
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
      kitchen.house.done('take-part', { piece, part: 'cheeks', mass: '0.6 g', sure: true });
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
        ['serve-piece', { piece, route: 'raw', all: true }],
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
        ['discard-piece', { piece, reason: 'dropped', all: true }]
      ] as const) {
        const { code, details } = refusal(name, input);
        expect(`${name} ${code}`).to.equal(`${name} record.not-allowed-now`);
        expect(details.hindrance, name).to.deep.equal({ kind: 'in', occupant: 'board' });
      }
      kitchen.house.done('close-board', { piece, remains: '3 kg' });
      expect(refusal('take-part', { piece, part: 'eye-back', mass: '300 g' }).details.hindrance).to.deep.equal({
        kind: 'not-in',
        occupant: 'board'
      });
    });
    it('what only licensed hands may open is put on no board, and nothing is said of how', () => {
      const puffer = receive({ ...TURBOT, species: 'puffer', source: 'wild', farmSystem: '' });
      const perhaps = receive({ ...TURBOT, species: 'unidentified', candidates: 'puffer, turbot' });
      for (const { piece } of [puffer, perhaps]) {
        expect(refusal('open-board', { piece }).details.why).to.equal('licensed-hands');
        expect(view(piece)).to.deep.include({ licensed: true, order: [], parts: [] });
      }
    });
    it('what left a piece and what came of it are amended together, or not at all', () => {
      const { piece } = receive({ ...CHAR, mass: '1000 g' });
      const { piece: child } = kitchen.house.done('divide-piece', { piece, name: 'x', mass: '300 g' }) as {
        piece: string;
      };
      const seq = (of: string, kind: string) =>
        kitchen.house.store.record.eventsOf(`piece:${of}`).find((each) => each.kind === kind)!.seq;
      const mass = { si: 350, unit: 'g', typed: '350 g' };
      kitchen.house.done('amend-entry', {
        seq: seq(child, 'piece.made'),
        patch: { mass, grams: 350 },
        reason: 'read wrong'
      });
      expect([state(piece).grams, state(child).grams]).to.deep.equal([650, 350]);
      kitchen.house.done('amend-entry', {
        seq: seq(piece, 'piece.gave'),
        patch: { grams: 320 },
        reason: 'read wrong again'
      });
      expect([state(piece).grams, state(child).grams]).to.deep.equal([680, 320]);
      kitchen.house.done('amend-entry', { seq: seq(child, 'piece.made'), void: true, reason: 'never taken' });
      expect(state(piece).grams).to.equal(1000);
      expect(kitchen.house.store.record.versionOf(`piece:${child}`)).to.be.greaterThan(0);
      const { pieces } = kitchen.house.done('split-piece', { piece, count: 2 }) as { pieces: string[] };
      const { piece: batch } = kitchen.house.done('combine-pieces', { pieces, name: 'Mince' }) as { piece: string };
      expect(
        refusal('amend-entry', { seq: seq(batch, 'piece.made'), patch: { mass, grams: 350 }, reason: 'x' }).code
      ).to.equal('record.not-amendable');
    });
    it('a parent that is cut up already is cut no more', () => {
      const { piece } = receive({ ...CHAR, mass: '400 g' });
      kitchen.house.done('split-piece', { piece, count: 4, name: 'Char portion' });
      const gone = { kind: 'gone', how: 'divided' };
      expect(refusal('open-board', { piece }).details.hindrance).to.deep.equal(gone);
      expect(refusal('divide-piece', { piece, name: 'x', mass: '10 g' }).details.hindrance).to.deep.equal(gone);
    });
    it('puts a part or a waste weighing back, once, and not what was worked on since', () => {
      const { piece } = onBoard();
      const fillet = take(piece, 'eye-back', '420 g');
      const kept = take(piece, 'eye-belly', '330 g');
      kitchen.house.done('weigh-waste', { piece, what: 'viscera', mass: '200 g' });
      const [waste] = view(piece).wastes;
      kitchen.house.done('put-back', { piece, child: fillet });
      kitchen.house.done('put-back', { piece, entry: waste!.seq });
      expect(view(piece).balance).to.include({ parts: 330, waste: 0, open: 2670 });
      expect(view(piece).taken.map(({ id }) => id)).to.deep.equal([kept]);
      expect(kitchen.house.act('put-back', { piece, child: fillet }).ok, 'twice').to.equal(false);
      kitchen.house.done('divide-piece', { piece: kept, name: 'x', mass: '50 g' });
      expect(refusal('put-back', { piece, child: kept }).details.why).to.equal('worked-on');
      // Its letter is not given again.
      expect(take(piece, 'fin-edge', '60 g')).to.not.equal(fillet);
    });
    it('two hands on one fish: who did not see the other’s weight is refused, with both', () => {
      const { piece } = onBoard();
      const seen = state(piece).lastSeq;
      take(piece, 'eye-back', '420 g');
      const clash = kitchen.house.act('take-part', { piece, part: 'eye-belly', mass: '300 g' }, { seen });
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
      const { pieces } = kitchen.house.done('split-piece', { piece: first, count: 2 }) as { pieces: string[] };
      const { piece: batch } = kitchen.house.done('combine-pieces', { pieces: [pieces[1], second], name: 'Mince' }) as {
        piece: string;
      };
      later(5);
      const out = (id: string) => pieceView(appOf(kitchen.house), id).clocks.secondsOut;
      expect([out(pieces[0]!), out(batch)]).to.deep.equal([600, 600]);
      kitchen.house.done('set-place', { name: 'Drawer 1', kind: 'drawer' });
      expect(kitchen.house.done('close-board', { piece, remains: '2300 g', place: 'Drawer 1' }).moved).to.have.members([
        pieces[0],
        batch
      ]);
      later(60);
      expect([out(pieces[0]!), out(batch)]).to.deep.equal([600, 600]);
    });
    it('time on the board is spent from the warm hours of each of its pieces', () => {
      const { lot, piece } = receive(BONITO);
      kitchen.house.done('attach-evidence', { lot, type: 'chill-record', issuer: 'boat' });
      kitchen.house.done('open-board', { piece });
      later(29);
      const loin = take(piece, 'back-first', '300 g');
      later(30);
      kitchen.house.done('set-place', { name: 'Drawer 1', kind: 'drawer' });
      kitchen.house.done('close-board', { piece, remains: '1700 g', place: 'Drawer 1' });
      later(60);
      const spent = pieceView(appOf(kitchen.house), loin).clocks.histamine!.spentSeconds;
      expect(spent).to.be.closeTo(3600, 2);
    });
  });
});
