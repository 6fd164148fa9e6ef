import { expect } from 'chai';
import { join } from 'node:path';
import fc from 'fast-check';
import { SPECIES } from '../../src/lib/core/fish/species.ts';
import { byDanger } from '../../src/lib/core/service/danger.ts';
import { formInput } from '../../src/lib/server/forms.ts';
import type { App } from '../../src/lib/server/app.ts';
import { arrivalFields, arrivalVerdict } from '../../src/lib/server/plans/arrival.ts';
import { pieceView } from '../../src/lib/server/views/piece.ts';
import { nowView } from '../../src/lib/server/views/now.ts';
import { pieceChoices } from '../../src/lib/server/facts/choices.ts';
import { copyDemo } from './demo.ts';
import { openStore } from '../../src/lib/server/store/store.ts';
import { movableClock } from '../../src/lib/server/clock.ts';
import { NOON, HOUR, openTestHouse, scratch } from './house.ts';
import { runs } from '../runs.ts';

const form = (fields: Record<string, string>) => {
  const data = new FormData();
  for (const [name, value] of Object.entries(fields)) data.append(name, value);
  return data;
};

describe('a form’s fields', () => {
  it('a bare figure takes the unit beside it', () => {
    expect(formInput(form({ mass: '2,4', 'mass:unit': 'kg' }))).to.deep.equal({ mass: '2,4 kg' });
    expect(formInput(form({ air: '-25', 'air:unit': '°C' }))).to.deep.equal({ air: '-25 °C' });
    expect(formInput(form({ air: '\u221225', 'air:unit': '°C' }))).to.deep.equal({ air: '\u221225 °C' });
  });
  it('a unit that was typed wins over the one beside it', () => {
    expect(formInput(form({ mass: '3 lb 2 oz', 'mass:unit': 'g' }))).to.deep.equal({ mass: '3 lb 2 oz' });
  });
  it('an empty figure stays empty, whatever the unit', () => {
    expect(formInput(form({ mass: ' ', 'mass:unit': 'g' }))).to.deep.equal({ mass: ' ' });
  });
  it('the envelope and the units are not input', () => {
    expect(formInput(form({ _key: 'k', _seen: '4', piece: 'P', 'mass:unit': 'g' }))).to.deep.equal({ piece: 'P' });
  });
  it('words with a unit beside them are left as they are, for the schema to refuse', () => {
    expect(formInput(form({ mass: 'two', 'mass:unit': 'kg' }))).to.deep.equal({ mass: 'two' });
  });
});

describe('the verdict at the door', () => {
  const fields = fc.record({
    species: fc.constantFrom(...SPECIES.map(({ id }) => id)),
    form: fc.constantFrom('whole', 'fillet', 'live'),
    source: fc.constantFrom('wild', 'farmed'),
    water: fc.constantFrom('sea', 'fresh', 'unknown'),
    commercial: fc.constantFrom('yes', 'no', 'unknown'),
    purpose: fc.constantFrom('sale', 'own-table', 'training'),
    previouslyFrozen: fc.constantFrom('unknown', 'yes'),
    roeRinsed: fc.constantFrom('', 'on'),
    caughtOn: fc.constantFrom('', '2026-03-08', '2026-03-08T05:30'),
    core: fc.constantFrom('', '1 C', '7 C', '41 F', '41.1 F'),
    frozen: fc.constantFrom('', 'on'),
    decision: fc.constantFrom('accept', 'cooked-only', 'hold-freeze')
  });
  it('is the verdict the lot has once it is in', () => {
    const house = openTestHouse();
    const app = { ...house, movable: house.clock } as unknown as App;
    fc.assert(
      fc.property(fields, (given) => {
        const farmSystem = given.source === 'farmed' ? 'land-based' : '';
        const before = arrivalVerdict(app, arrivalFields.parse({ ...given, farmSystem }));
        const answer = house.act('receive-lot', {
          ...given,
          farmSystem,
          supplier: 'Kelda',
          mass: '1 kg',
          // What came too warm is asked about once.
          sure: 'on',
          reason: 'because'
        });
        if (!answer.ok) {
          // Only what nobody may take in at all is refused at the door.
          expect([answer.code, given.commercial]).to.deep.equal(['record.source-required', 'no']);
          return;
        }
        const piece = String(answer.result.piece);
        const after = pieceView(app, piece).verdict;
        const plain = (windows: typeof before.windows) =>
          windows.map(({ route, state, opens, closes }) => ({ route, state, opens, closes }));
        expect(plain(after.windows), JSON.stringify(given)).to.deep.equal(plain(before.windows));
      }),
      runs(150)
    );
    house.close();
  });
});

describe('what the screens are given', () => {
  const folder = scratch();
  copyDemo(join(folder.path, 'demo.db'));
  const store = openStore(join(folder.path, 'demo.db'));
  const clock = movableClock(NOON, true);
  const app = { store, clock } as unknown as App;
  after(() => {
    store.close();
    folder.clear();
  });

  it('Now: stored change-points read the same as a verdict asked at that moment, also hours later', () => {
    for (const hours of [0, 0.5, 3, 12, 40]) {
      clock.moveTo(NOON + hours * HOUR, true);
      const view = nowView(app);
      expect(view.pieces.length).to.be.greaterThan(15);
      for (const piece of view.pieces) {
        const { verdict, clocks } = pieceView(app, piece.id);
        const asked = verdict.windows.map(({ state }) => state);
        expect(piece.states, `${piece.id} after ${hours} h`).to.deep.equal(asked);
        // The stored clock reads the same, too.
        const { freshness, warm } = clocks;
        expect(piece.clock === null, piece.id).to.equal(warm === null);
        if (!piece.clock || !warm) continue;
        expect(piece.clock.warm, piece.id).to.be.closeTo(warm.spentSeconds / warm.budgetSeconds, 1e-9);
        if (freshness) expect(piece.clock.spent).to.be.closeTo(freshness.spent / freshness.iceDays, 1e-9);
        else expect(piece.clock.spent).to.equal(null);
      }
    }
    clock.moveTo(NOON, true);
  });
  it('Now: tasks are sorted by how pressing they are and belong to what is there', () => {
    const { tasks, rows } = nowView(app);
    const there = new Set(rows.map(({ id }) => id));
    expect(tasks.length).to.be.greaterThan(5);
    tasks.forEach((task, index) => {
      expect(there.has(task.piece)).to.equal(true);
      if (index > 0) expect(byDanger(clock.now())(tasks[index - 1]!, task)).to.be.at.most(0);
    });
    expect(tasks.map(({ code }) => code)).to.include.members([
      'tray-discard',
      'paper-missing',
      'thaw-due',
      'leftover-closed'
    ]);
  });
  it('a piece in a freezer or a cure is marked so at every bench', () => {
    const choices = pieceChoices(app);
    expect(choices.filter((piece) => piece.in.includes('freezer')).map(({ species }) => species)).to.have.members([
      'atlantic-bonito',
      'sardine'
    ]);
    expect(choices.filter((piece) => piece.in.includes('cure'))).to.have.length(1);
    expect(choices.filter((piece) => piece.in.includes('tray'))).to.have.length(1);
  });
  it('a piece’s page names its parents, its children and the version to be sent back', () => {
    const child = store.projections.livePieces().find(({ state }) => state.made.name === 'Char loin block')!.state.id;
    const view = pieceView(app, child);
    expect(view.ancestors).to.have.length(2);
    expect(pieceView(app, view.ancestors[0]!).children).to.have.length.greaterThan(0);
    expect(view.piece.lastSeq).to.equal(store.record.versionOf(`piece:${child}`));
    expect(view.lotVersion).to.equal(store.record.versionOf(`lot:${view.lot.id}`));
  });
  it('the past is judged by the past: before its paper came, the char was not cleared', () => {
    const char = store.projections
      .livePieces()
      .find(({ state, lot }) => lot.evidence.length > 0 && state.made.name === 'Arctic char')!;
    const at = char.lot.received.at + 60_000;
    expect(pieceView(app, char.state.id, at, at).verdict.windows[0]!.state).to.equal('not-cleared');
    expect(pieceView(app, char.state.id, at + HOUR).verdict.windows[0]!.state).to.equal('open');
  });
});
