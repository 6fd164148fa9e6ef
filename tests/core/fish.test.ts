import { expect } from 'chai';
import fc from 'fast-check';
import { whyItMatters } from '../../src/lib/core/codes/ambiguity.ts';
import { FAO_AREAS, faoAreaName } from '../../src/lib/core/fish/fao-areas.ts';
import { iceDaysSpent, whenIceDaysSpent, type SpoilageTrack } from '../../src/lib/core/fish/freshness.ts';
import { catalogueOf, looserFields, speciesIn, type HouseSpecies } from '../../src/lib/core/fish/house-species.ts';
import { speciesShape, withNames } from '../../src/lib/core/fish/kinds.ts';
import { LOOKALIKES, lookalikesOf } from '../../src/lib/core/fish/lookalikes.ts';
import { KILLINGS, rigorGuide, rigorStage } from '../../src/lib/core/fish/rigor.ts';
import { speciesIndex } from '../../src/lib/core/fish/search.ts';
import { SPECIES, speciesById, speciesCalled } from '../../src/lib/core/fish/species.ts';
import { allergensAdded, allergensOf } from '../../src/lib/core/codes/allergens.ts';
import { profileById, PROFILES } from '../../src/lib/core/codes/profiles/index.ts';
import { HANDLING_WITH_WORDS, STYLES_WITH_WORDS, differenceWord, sourceWord } from '../../src/lib/words/species.ts';
import { allergenWord } from '../../src/lib/words/notices.ts';
import { oneIn, runs } from '../runs.ts';

const DAY = 86_400_000;
const HOUR = 3_600_000;
const bare = (id: string) => (({ alsoCalled: _, ...entry }) => entry)(speciesById(id));

describe('the catalogue', () => {
  it('has at least 55 entries, each whole, named in several tongues, with its sources', () => {
    expect(SPECIES.length).to.be.at.least(55);
    expect(new Set(SPECIES.map(({ id }) => id)).size).to.equal(SPECIES.length);
    for (const { alsoCalled, ...entry } of SPECIES) {
      const parsed = speciesShape.safeParse(entry);
      expect(parsed.success, `${entry.id}: ${JSON.stringify(parsed.error?.issues[0])}`).to.equal(true);
      expect(Object.keys(entry.names).length, entry.id).to.be.at.least(4);
      expect(entry.names, entry.id).to.include.keys('ja', 'es', 'fr', 'it');
      expect(alsoCalled.length, entry.id).to.be.greaterThan(2);
      expect(entry.styles.length, entry.id).to.be.greaterThan(0);
    }
  });
  it('has words for every code it keeps', () => {
    for (const { id, handling, styles, sources } of SPECIES) {
      expect(
        handling.filter((code) => !HANDLING_WITH_WORDS.includes(code)),
        id
      ).to.deep.equal([]);
      expect(
        styles.filter((code) => !STYLES_WITH_WORDS.includes(code)),
        id
      ).to.deep.equal([]);
      for (const source of sources) expect(sourceWord(source)).to.not.equal(source);
    }
  });
  it('names the list of exempt tunas by the names the rule uses', () => {
    const list = profileById('us-fc').parasites.exemptSpecies!.scientific;
    const exempt = SPECIES.filter(({ scientific }) => scientific.every((name) => list.includes(name))).map(
      ({ id }) => id
    );
    expect(exempt).to.have.members([
      'yellowfin',
      'bigeye',
      'atlantic-bluefin',
      'southern-bluefin',
      'blackfin',
      'albacore'
    ]);
  });
  it('finds each species by each of its names', () => {
    const search = speciesIndex(SPECIES);
    const known = SPECIES.flatMap(({ id, name, alsoCalled }) => [name, ...alsoCalled].map((text) => ({ id, text })));
    // As many as there are kinds several times over: a search of all of them takes a quarter of a minute.
    for (const { id, text } of oneIn(5, known)) {
      expect(
        search(text, 40).map((each) => each.id),
        text
      ).to.include(id);
    }
    expect(search('omble chevallier')[0]!.id).to.equal('arctic-char');
    expect(search('')).to.deep.equal([]);
  });
  it('a compound never finds only its last word, and what is not in the book is not found', () => {
    const search = speciesIndex(SPECIES);
    const ids = (text: string) => search(text, 6).map(({ id }) => id);
    expect(ids('snow crab')[0]).to.equal('snow-crab');
    expect(ids('snow crab')).to.not.include('crab-stick');
    expect(ids('wolffish')).to.include('wolffish');
    for (const unknown of ['blue runner', 'moon wrasse', 'zzz tuna']) expect(ids(unknown), unknown).to.deep.equal([]);
  });
});

describe('a name of several fish', () => {
  const points = (name: string, profile = 'us-fc') =>
    Object.fromEntries(
      whyItMatters(speciesCalled(name), profileById(profile)).map(({ species, points: each }) => [species.id, each])
    );
  it('asks, and says on what they differ', () => {
    expect(points('white tuna')).to.deep.equal({ albacore: ['list-exempt'], escolar: ['gempylotoxin'] });
    expect(points('snapper').snapper).to.deep.equal(['ciguatera']);
    expect(points('snapper')['sea-bream']).to.deep.equal([]);
    expect(Object.keys(points('sea bass')).length).to.be.greaterThan(3);
    expect(Object.keys(points('kingfish'))).to.have.members(['amberjack', 'spanish']);
    expect(points('crab')['crab-stick']).to.deep.equal(['kind']);
    expect(points('crab').crab).to.deep.equal(['cooked-only', 'kind', 'ice-days']);
    expect(points('eel').eel).to.deep.equal(['fluke']);
  });
  it('has no list to differ on where the rule book has none', () => {
    expect(points('white tuna', 'eu').albacore).to.deep.equal([]);
  });
  it('has words for every difference', () => {
    const all = SPECIES.flatMap(({ name, alsoCalled }) => [name, ...alsoCalled]).flatMap((name) =>
      Object.values(points(name)).flat()
    );
    expect(new Set(all).size).to.be.greaterThan(5);
    for (const each of all) expect(differenceWord(each)).to.match(/\w{4}/);
  });
});

describe('look-alikes', () => {
  it('name species of the catalogue, two marks each at least, and drawings that differ', () => {
    for (const { id, members } of LOOKALIKES) {
      expect(members.length, id).to.be.greaterThan(1);
      for (const { species, marks, drawing } of members) {
        expect(speciesById(species).id).to.equal(species);
        expect(marks.length, species).to.be.at.least(2);
        expect(drawing.depth).to.be.within(0.15, 0.6);
      }
      expect(new Set(members.map(({ marks }) => marks.join())).size, id).to.equal(members.length);
    }
    expect(lookalikesOf('turbot').map(({ id }) => id)).to.deep.equal(['flatfish']);
  });
});

describe('the house’s own species', () => {
  const own = (fields: HouseSpecies['fields'], added = false): HouseSpecies => ({
    id: 'turbot',
    added,
    fields,
    reason: 'r',
    looser: [],
    by: 'p1',
    seq: 1
  });
  it('lie over the shipped entry, which stays as it was', () => {
    const book = { turbot: own({ iceDays: 10 }) };
    expect(speciesIn(book, 'turbot').iceDays).to.equal(10);
    expect(speciesIn(book, 'turbot').names).to.deep.equal(speciesById('turbot').names);
    expect(speciesById('turbot').iceDays).to.equal(17);
    expect(catalogueOf(book).length).to.equal(SPECIES.length);
  });
  it('are added to the catalogue', () => {
    const added = { ...own({ ...bare('turbot'), id: 'pale-wrasse', name: 'Pale wrasse' }, true), id: 'pale-wrasse' };
    expect(catalogueOf({ 'pale-wrasse': added }).at(-1)!.name).to.equal('Pale wrasse');
  });
  it('are looser where a hazard, a parasite or an allergen goes, or days are added', () => {
    const skipjack = bare('skipjack');
    expect(looserFields(skipjack, { ...skipjack, hazards: [] })).to.deep.equal(['hazards']);
    expect(looserFields(skipjack, { ...skipjack, parasitesWhenWild: [] })).to.deep.equal(['parasitesWhenWild']);
    expect(looserFields(skipjack, { ...skipjack, iceDays: 9 })).to.deep.equal(['iceDays']);
    expect(looserFields(skipjack, { ...skipjack, iceDays: 7, hazards: ['histamine', 'ciguatera'] })).to.deep.equal([]);
    expect(looserFields(skipjack, { ...skipjack, scientific: ['Thunnus albacares'] })).to.deep.equal(['scientific']);
    expect(looserFields(skipjack, { ...skipjack, group: 'mollusc' })).to.deep.equal(['group']);
    expect(withNames(skipjack).alsoCalled).to.include('katsuo');
  });
});

describe('the freshness clock', () => {
  const track = (more: Partial<SpoilageTrack> = {}): SpoilageTrack => ({
    from: 0,
    spentBefore: 0,
    climate: 'temperate',
    assumedCelsius: 0,
    readings: [],
    pauses: [],
    ...more
  });
  it('counts a day at 0 °C as one, at 5 °C as 2.25, for half a day a reading', () => {
    expect(iceDaysSpent(track(), 3 * DAY)).to.be.closeTo(3, 1e-9);
    const warm = track({ readings: [{ at: DAY, celsius: 5 }] });
    // One day at 0, half a day at 5 (1.125), then 0 again.
    expect(iceDaysSpent(warm, 3 * DAY)).to.be.closeTo(1 + 1.125 + 1.5, 1e-9);
  });
  it('a reading ends the one before it, and none is credited below the assumption', () => {
    const cooled = track({
      readings: [
        { at: 0, celsius: 5 },
        { at: 6 * HOUR, celsius: -1 }
      ]
    });
    expect(iceDaysSpent(cooled, DAY)).to.be.closeTo(0.25 * 2.25 + 0.75, 1e-9);
  });
  it('tropical fish by its own law: at 10 °C e^1.2 a day', () => {
    expect(iceDaysSpent(track({ climate: 'tropical', assumedCelsius: 10 }), DAY)).to.be.closeTo(Math.exp(1.2), 1e-9);
  });
  it('stands still in a freezer, and has no end while it lies there', () => {
    const frozen = track({ pauses: [{ from: DAY, to: 4 * DAY }] });
    expect(iceDaysSpent(frozen, 5 * DAY)).to.be.closeTo(2, 1e-9);
    expect(whenIceDaysSpent(frozen, 3)).to.be.closeTo(6 * DAY, 1);
    expect(whenIceDaysSpent(track({ pauses: [{ from: DAY, to: Infinity }] }), 3)).to.equal(null);
  });
  it('the moment found is the moment at which so much is spent, and a warmer reading never gives time', () => {
    const readings = fc.array(
      fc.record({ at: fc.integer({ min: 0, max: 10 * DAY }), celsius: fc.double({ min: -3, max: 25, noNaN: true }) }),
      { maxLength: 12 }
    );
    fc.assert(
      fc.property(
        readings,
        fc.double({ min: 0.1, max: 12, noNaN: true }),
        fc.nat({ max: 10 * DAY }),
        (all, days, at) => {
          const sorted = [...all].sort((a, b) => a.at - b.at);
          const when = whenIceDaysSpent(track({ readings: sorted, assumedCelsius: 2 }), days)!;
          expect(iceDaysSpent(track({ readings: sorted, assumedCelsius: 2 }), when)).to.be.closeTo(days, 1e-6);
          const hotter = [...sorted, { at, celsius: 30 }].sort((a, b) => a.at - b.at);
          expect(whenIceDaysSpent(track({ readings: hotter, assumedCelsius: 2 }), days)!).to.be.at.most(when + 1);
        }
      ),
      runs(1000)
    );
  });
});

describe('stiffness', () => {
  it('has a guide for each way of killing that says anything', () => {
    for (const killing of KILLINGS) {
      const guide = rigorGuide(killing);
      if (!guide) continue;
      expect(guide.onset[0]).to.be.lessThan(guide.onset[1]);
      expect(guide.through[0]).to.be.lessThan(guide.through[1]);
    }
    expect(rigorGuide('unknown')).to.equal(null);
    const guide = rigorGuide('died-in-gear')!;
    expect([0.5, 3, 10, 30, 40].map((hours) => rigorStage(guide, hours))).to.deep.equal([
      'before',
      'setting',
      'stiff',
      'passing',
      'past'
    ]);
  });
});

describe('FAO areas', () => {
  it('are the major areas, each once', () => {
    expect(new Set(FAO_AREAS.map(({ code }) => code)).size).to.equal(FAO_AREAS.length);
    expect(faoAreaName('61')).to.equal('Pacific, Northwest');
    expect(faoAreaName('')).to.equal('');
  });
});

describe('allergens', () => {
  const told = (id: string, profile: string) =>
    allergensOf(speciesById(id), profileById(profile)).map(({ allergen, duty }) => `${allergen} ${duty}`);
  it('follow the profile’s list', () => {
    expect(told('turbot', 'us-fc')).to.deep.equal(['fish required']);
    expect(told('oyster', 'us-fc')).to.deep.equal(['mollusc advised']);
    expect(told('oyster', 'eu')).to.deep.equal(['mollusc required']);
    expect(told('spot-or-sweet-prawn', 'jp')).to.deep.equal(['crustacean advised', 'prawn required']);
    expect(told('atlantic-mackerel', 'jp')).to.deep.equal(['fish advised', 'mackerel advised']);
    expect(told('crab-stick', 'eu')).to.deep.equal([
      'fish required',
      'egg required',
      'wheat required',
      'crustacean required',
      'soy required'
    ]);
  });
  it('the lists are whole: nine in the US, fourteen in the EU and the UK, eight and twenty in Japan', () => {
    const duty = (name: string, profile: string) => allergensAdded([name], profileById(profile))[0]!.duty;
    const under = (profile: string, names: readonly string[]) => names.map((name) => duty(name, profile));
    const all = (length: number, what: string) => Array<string>(length).fill(what);
    const nine = ['milk', 'egg', 'fish', 'crustacean', 'tree-nut', 'peanut', 'wheat', 'soy', 'sesame'];
    expect(under('us-fc', nine)).to.deep.equal(all(9, 'required'));
    expect(duty('mollusc', 'us-fc')).to.equal('advised');
    const fourteen = [
      ...['gluten', 'crustacean', 'egg', 'fish', 'peanut', 'soy', 'milk', 'tree-nut', 'celery', 'mustard', 'sesame'],
      ...['sulphites', 'lupin', 'mollusc']
    ];
    for (const profile of ['eu', 'uk']) {
      expect(under(profile, fourteen), profile).to.deep.equal(all(14, 'required'));
      // Barley of a bean paste is a cereal with gluten.
      expect(under(profile, ['wheat', 'barley', 'rye', 'oats', 'walnut'])).to.deep.equal(all(5, 'required'));
    }
    const eight = ['prawn', 'crab', 'walnut', 'wheat', 'buckwheat', 'egg', 'milk', 'peanut'];
    expect(under('jp', eight)).to.deep.equal(all(8, 'required'));
    const twenty = [
      ...[
        'almond',
        'abalone',
        'squid',
        'salmon-roe',
        'orange',
        'cashew',
        'kiwi',
        'beef',
        'sesame',
        'salmon',
        'mackerel'
      ],
      ...['soy', 'chicken', 'banana', 'pork', 'macadamia', 'peach', 'yam', 'apple', 'gelatin']
    ];
    expect(under('jp', twenty)).to.deep.equal(all(20, 'advised'));
    for (const name of [...fourteen, ...eight, ...twenty]) expect(allergenWord(name)).to.match(/[a-z]{3}/);
  });
  it('urchin is no mollusc, and is told by its own name', () => {
    for (const profile of PROFILES)
      expect(told('sea-urchin', profile.id), profile.id).to.deep.equal(['urchin advised']);
  });
  it('every species tells something under every profile, with a citation and words', () => {
    for (const { id } of SPECIES) {
      for (const profile of PROFILES) {
        const duties = allergensOf(speciesById(id), profile);
        expect(duties.length, `${id} ${profile.id}`).to.be.greaterThan(0);
        for (const { allergen, citation } of duties) {
          expect(citation).to.not.equal('');
          expect(allergenWord(allergen)).to.match(/[a-z]{3}/);
        }
      }
    }
  });
});
