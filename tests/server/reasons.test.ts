import { expect } from 'chai';
import type { Cited } from '../../src/lib/core/codes/profile.ts';
import { reason, type JudgeContext } from '../../src/lib/core/rules/context.ts';
import { pieceView } from '../../src/lib/server/views/piece.ts';
import type { Room } from '../../src/lib/server/room.ts';
import { charHouse } from './house.ts';

describe('what a reason leans on', () => {
  const at = charHouse();
  it('names each entry once, also where a paper speaks of a fish and of all that was cut from it', () => {
    const { house } = at;
    const { piece, lot } = house.done('receive-lot', {
      species: 'atlantic-bonito',
      form: 'whole',
      source: 'wild',
      water: 'sea',
      commercial: 'yes',
      supplier: 'Kelda Bay Boats',
      caughtOn: '2026-03-09T05:00',
      mass: '1200 g',
      core: '1 C'
    }) as { piece: string; lot: string };
    house.done('attach-evidence', { lot, type: 'chill-record', issuer: 'Kelda Bay Boats' });
    house.done('open-board', { piece, core: '2 C' });
    const { piece: fillet } = house.done('take-part', { piece, part: 'back-first', mass: '300 g', sure: true });
    house.done('close-board', { piece, gapReason: 'frame to stock', core: '3 C' });
    expect(
      pieceView({ ...house } as unknown as Room, String(fillet)).verdict.reasons.map(({ code }) => code)
    ).to.include('histamine.budget-running');
    const room = { ...house, clock: house.clock } as unknown as Room;
    for (const id of [piece, String(fillet)]) {
      for (const { code, evidence } of pieceView(room, id).verdict.reasons) {
        expect([...new Set(evidence)], `${id} ${code}`).to.deep.equal([...evidence]);
      }
    }
  });
});

describe('a finding', () => {
  it('leans on an entry once, however it was gathered', () => {
    const context = { profile: { id: 'us-fc' } } as unknown as JudgeContext;
    const cited = { rule: 'x', citation: 'the house' } as Cited;
    const found = reason(context, 'histamine', 'histamine.read-by', { kind: 'pass' }, cited, {
      evidence: [3, 5, 3, 3]
    });
    expect(found.evidence).to.deep.equal([3, 5]);
  });
});
