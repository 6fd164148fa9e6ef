import { expect } from 'chai';
import fc from 'fast-check';
import { gradeOf, recommend, scoreSheet, STRICTNESS, type Answers } from '../../src/lib/core/inspect/score.ts';
import { SHEETS, sheetIdFor, sheetIn, type Sheet } from '../../src/lib/core/inspect/sheets.ts';
import { SPECIES } from '../../src/lib/core/fish/species.ts';
import { HOUSE_LIMITS, belowFloor, buildProfile, looserChanges } from '../../src/lib/core/codes/profiles/house.ts';
import { PROFILES, profileById } from '../../src/lib/core/codes/profiles/index.ts';
import { LIMITS_WITH_WORDS } from '../../src/lib/words/house-limits.ts';
import { troubleOf } from '../trouble.ts';
import { runs } from '../runs.ts';

const sheet = (id: string): Sheet => SHEETS.find((each) => each.id === id)!;
const all = (of: Sheet, level: number | null): Answers =>
  Object.fromEntries(of.attributes.map(({ id }) => [id, level]));

describe('inspection sheets', () => {
  it('are whole: four levels in rising points, some that settle by themselves', () => {
    for (const { id, attributes } of SHEETS) {
      for (const { levels, weight, optional } of attributes) {
        expect(
          levels.map(({ points }) => points),
          id
        ).to.deep.equal([0, 1, 2, 3]);
        // What says nothing of days weighs nothing, and may be left out.
        expect(weight).to.be.within(optional ? 0 : 1, 5);
      }
      expect(
        attributes.some(({ levels }) => levels.some(({ settles }) => settles === 'send-back')),
        id
      ).to.equal(true);
    }
  });
  it('there is one for every species in every form', () => {
    for (const { group } of SPECIES) {
      for (const form of ['whole', 'fillet', 'live', 'shucked', 'roe']) {
        expect(SHEETS.map(({ id }) => id)).to.include(sheetIdFor(group, form));
      }
    }
    expect(sheetIdFor('mollusc', 'live')).to.equal('live-bivalve');
    expect(sheetIdFor('mollusc', 'shucked')).to.equal('fillet');
  });
  it('score by hand: eye 1, gill 1, the rest 0, of 14 days: (2 + 2) / 33 of them', () => {
    const whole = sheet('whole-fish');
    // Weights 2+2+1+2+1+3 = 11, three points each: 33 at most.
    const seen = scoreSheet(whole, { ...all(whole, 0), eye: 1, gill: 1 }, 14);
    expect([seen.points, seen.most]).to.deep.equal([4, 33]);
    expect(seen.iceDays.likely).to.be.closeTo((4 / 33) * 14, 1e-9);
    // Spread: 12 % of 14 d = 1.68 d.
    expect(seen.iceDays.high - seen.iceDays.likely).to.be.closeTo(1.68, 1e-9);
    expect(seen.iceDays.low).to.be.closeTo((4 / 33) * 14 - 1.68, 1e-9);
  });
  it('what could not be seen counts as the worst it may be, at the old end only', () => {
    const whole = sheet('whole-fish');
    const seen = scoreSheet(whole, { ...all(whole, 0), gill: null }, 14);
    expect(seen.iceDays.likely).to.equal(0);
    expect(seen.iceDays.high).to.be.closeTo((6 / 33) * 14 + 1.68, 1e-9);
    expect(seen.unseen).to.deep.equal(['gill']);
    expect(scoreSheet(whole, all(whole, null), 14).iceDays.high).to.be.greaterThan(14);
  });
  it('spoilt fish, cracked and dead shellfish, dead lobster go back', () => {
    const settles = (id: Sheet['id'], attribute: string, level: number) =>
      sheet(id).attributes.find((each) => each.id === attribute)!.levels[level]!.settles;
    for (const { id, attributes } of SHEETS) {
      const smell = attributes.find((each) => each.id === 'smell')!;
      expect(
        smell.levels.slice(2).map((level) => level.settles),
        id
      ).to.deep.equal(['send-back', 'send-back']);
    }
    expect(settles('live-bivalve', 'shell', 2)).to.equal('send-back');
    expect(settles('live-bivalve', 'tap', 2)).to.equal('send-back');
    expect(settles('crustacean', 'legs', 3)).to.equal('send-back');
    expect(settles('crustacean', 'flesh', 3)).to.equal('send-back');
  });
  it('worms are looked for on every sheet of flesh that has them, and left out they are not seen', () => {
    for (const id of ['whole-fish', 'fillet', 'block', 'cephalopod'] as const) {
      const of = sheet(id);
      expect(
        of.attributes.map((each) => each.id),
        id
      ).to.include('worms');
      const { worms: _, ...rest } = all(of, 0);
      const seen = scoreSheet(of, rest, 14);
      expect(seen.unseen).to.deep.equal(['worms']);
      expect(seen.iceDays).to.deep.equal(scoreSheet(of, all(of, 0), 14).iceDays);
    }
  });
  it('blocks have a sheet of their own, and a grade', () => {
    expect(sheetIdFor('finfish', 'block')).to.equal('block');
    const of = sheet('block');
    const grade = (answers: Partial<Answers>) => gradeOf(scoreSheet(of, { ...all(of, 0), ...answers } as Answers, 14));
    // Weights 3+1+2+1+3, three points each: 30 at most.
    expect([grade({ colour: 1 }), grade({ colour: 2 }), grade({ colour: 2, texture: 2, damage: 2 })]).to.deep.equal([
      'first',
      'second',
      'third'
    ]);
  });
  it('refuses a row nobody answered, and a level that is not there', () => {
    const whole = sheet('whole-fish');
    const { eye: _, ...rest } = all(whole, 0);
    expect(troubleOf(() => scoreSheet(whole, rest, 14))).to.deep.include({ code: 'form.incomplete' });
    expect(troubleOf(() => scoreSheet(whole, { ...all(whole, 0), eye: 7 }, 14)).code).to.equal('form.value-unknown');
  });
  it('recommend: rotten goes back, soft is cooked, wild is frozen, the rest taken', () => {
    const whole = sheet('whole-fish');
    const of = (answers: Partial<Answers>, freeze = false) =>
      recommend(scoreSheet(whole, { ...all(whole, 0), ...answers } as Answers, 14), 14, 0.5, freeze);
    expect(of({})).to.equal('accept');
    expect(of({}, true)).to.equal('hold-freeze');
    expect(of({ flesh: 3 })).to.equal('cooked-only');
    expect(of({ smell: 3 })).to.equal('send-back');
    // Spoilt is spoilt, and not for the pan.
    expect(of({ smell: 2 })).to.equal('send-back');
    expect(of({ worms: 2 })).to.equal('cooked-only');
    expect(of({ worms: 3 })).to.equal('send-back');
    expect(of({ worms: 1 }, true)).to.equal('hold-freeze');
    expect(of({ belly: 3 }, true)).to.equal('send-back');
    // 17 of 33 points is more than half its days.
    expect(of({ eye: 2, gill: 3, skin: 2, flesh: 2, belly: 1 })).to.equal('cooked-only');
    expect(recommend(scoreSheet(whole, all(whole, null), 14), 14, 0.5, false)).to.equal('send-back');
  });
  it('a worse level never makes the fish younger, nor the recommendation looser', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SHEETS),
        fc.array(fc.integer({ min: 0, max: 2 }), { minLength: 6, maxLength: 6 }),
        fc.nat({ max: 5 }),
        fc.boolean(),
        (of, levels, which, freeze) => {
          const before = Object.fromEntries(of.attributes.map(({ id }, index) => [id, levels[index]!]));
          const worse = of.attributes[which % of.attributes.length]!.id;
          const after = { ...before, [worse]: before[worse]! + 1 };
          const [a, b] = [scoreSheet(of, before, 12), scoreSheet(of, after, 12)];
          expect(b.iceDays.likely).to.be.at.least(a.iceDays.likely);
          expect(STRICTNESS[recommend(b, 12, 0.5, freeze)]).to.be.at.least(STRICTNESS[recommend(a, 12, 0.5, freeze)]);
        }
      ),
      runs(1000)
    );
  });
  it('a house words and weighs them; what settles stays, and the version names the entry', () => {
    const own = sheetIn(
      {
        'whole-fish': {
          id: 'whole-fish',
          changes: { smell: { weight: 5, texts: ['clean', 'flat', 'off', 'bad'] } },
          reason: 'r',
          by: 'p1',
          seq: 9
        }
      },
      'whole-fish'
    );
    const smell = own.attributes.find(({ id }) => id === 'smell')!;
    expect([smell.weight, smell.levels[3]!.text, smell.levels[3]!.settles]).to.deep.equal([5, 'bad', 'send-back']);
    expect(own.version).to.equal('2026.2, house entry 9');
    expect(sheetIn({}, 'roe').version).to.equal('2026.2');
  });
});

describe('the house’s copy of a rule book', () => {
  const base = profileById('us-fc');
  const build = (changes: Record<string, number>) =>
    buildProfile(base, { id: 'house-x', base: 'us-fc', name: 'X', changes, reason: 'r', looser: [], by: 'p1', seq: 3 });
  it('sets each limit, and reads it back', () => {
    for (const { id, get, isSwitch, min, max } of HOUSE_LIMITS) {
      const before = get(base);
      if (before === null || id.startsWith('freeze')) continue;
      const ends = isSwitch ? [1 - before] : [min, max];
      for (const value of ends) {
        // Turned the stricter way it acts; the looser way lies below the law, and it stays where it was.
        const isRefused = belowFloor(base, { [id]: value }).length > 0;
        expect(get(build({ [id]: value })) ?? 0, `${id} ${value}`).to.equal(isRefused ? before : value);
      }
      expect(ends.some((value) => belowFloor(base, { [id]: value }).length === 0) || isSwitch, id).to.equal(true);
    }
    expect(build({ freezeHoldFactor: 2 }).parasites.cycles.map(({ holdSeconds }) => holdSeconds / 3600)).to.deep.equal([
      336, 30, 48
    ]);
    expect(build({ freezeColder: -2 }).parasites.cycles[0]!.hold).to.deep.equal({ c: -22, f: -7.6 });
    expect(build({ coldHold: 4 }).coldHold).to.deep.include({ c: 4, f: 39.2 });
    expect(build({ histamineHours: 3 }).histamine).to.deep.include({ seconds: 10800, secondsIfHot: 10800 });
  });
  it('knows which way is looser', () => {
    const looser = (changes: Record<string, number>, of = base) => looserChanges(of, changes);
    expect(looser({ coldHold: 6 })).to.deep.equal(['coldHold']);
    expect(looser({ coldHold: 4, dateMarkDays: 5, tagKeepDays: 120, strictAccuracy: 1, speciesList: 0 })).to.deep.equal(
      []
    );
    expect(looser({ freezeHoldFactor: 0.9, freezeColder: 1, tagKeepDays: 60, histamineHours: 9 })).to.have.length(4);
    expect(looser({ farmExemption: 1 }, profileById('jp'))).to.deep.equal(['farmExemption']);
    expect(looser({ coreClock: 0 }, profileById('eu'))).to.deep.equal(['coreClock']);
  });
  it('refuses what no limit goes to, and a limit that is not there', () => {
    expect(troubleOf(() => looserChanges(base, { coldHold: 30 })).code).to.equal('quantity.out-of-range');
    expect(troubleOf(() => looserChanges(base, { moon: 1 })).code).to.equal('profile.unknown');
  });
  it('has words for each limit, and names its base and entry', () => {
    expect(HOUSE_LIMITS.map(({ id }) => id)).to.have.members(LIMITS_WITH_WORDS);
    expect(build({}).version).to.equal(`${base.version}, house entry 3`);
    expect(PROFILES.map(({ id }) => id)).to.deep.equal(['us-fc', 'eu', 'uk', 'jp']);
  });
});
