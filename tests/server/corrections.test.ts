import { expect } from 'chai';
import { correctable, patchOf } from '../../src/lib/core/record/correctable.ts';
import { checkPatch } from '../../src/lib/core/record/patch.ts';
import { checkBody, EVENT_KINDS, type EventKind } from '../../src/lib/core/record/events.ts';
import { parseQuantity } from '../../src/lib/core/measure/parse.ts';
import { actedOut } from './acted.ts';

describe('an entry in a form like its own', () => {
  const kinds = Object.keys(EVENT_KINDS) as EventKind[];
  it('asks for nothing of what an entry is about, and for nothing of what is not amended', () => {
    for (const kind of kinds) {
      const names = correctable(kind, {}).map(({ name }) => name);
      expect(names).to.not.include.members(['piece', 'lot', 'code', 'pins']);
      if (!EVENT_KINDS[kind].amendable) expect(names, kind).to.deep.equal([]);
    }
  });
  it('a weight is mended with the bare grams beside it; what is as it was is not sent', () => {
    const body = { mass: parseQuantity('mass', '500 g'), grams: 500, name: 'Loin', use: 'raw' };
    const mass = parseQuantity('mass', '0.52 kg');
    expect(patchOf('piece.made', body, { mass, name: 'Loin' })).to.deep.equal({ mass, grams: 520 });
    expect(patchOf('piece.made', body, { mass: parseQuantity('mass', '0.5 kg') })).to.deep.equal({});
    expect(patchOf('piece.moved', { cold: true, core: null }, { cold: '', core: null })).to.deep.equal({ cold: false });
  });
  it('law: every entry the house can write: unchanged it changes nothing, and each text of it, changed, makes a whole entry', () => {
    let mended = 0;
    const house = actedOut();
    for (const { kind, body } of house.store.record.list({ limit: 5000 })) {
      const stands = body as unknown as Record<string, unknown>;
      const fields = correctable(kind, stands);
      const same = Object.fromEntries(fields.map(({ name, was }) => [name, was]));
      expect(patchOf(kind, stands, same), kind).to.deep.equal({});
      for (const field of fields) {
        if (field.kind !== 'text' || field.name !== 'note') continue;
        const patch = checkPatch(kind, patchOf(kind, stands, { [field.name]: 'another note' }));
        expect(patch, kind).to.deep.equal({ note: 'another note' });
        checkBody(kind, { ...stands, ...patch });
        mended++;
      }
    }
    house.close();
    expect(mended).to.be.greaterThan(5);
  });
});
