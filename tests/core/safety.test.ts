import { expect } from 'chai';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { sentence } from '../../src/lib/words/findings.ts';
import { SAFETY, safety, type SafetyId } from '../../src/lib/words/safety.ts';

/** The sentences that must not be said otherwise, letter for letter. Whoever changes one changes it here as well, knowing why. */
const PINNED: Record<SafetyId, string> = {
  exempt:
    'Exempt from parasite freezing, from nothing else: histamine, time out of the cold and the date mark still count.',
  candling: 'Take out every larva you see; most are missed. Freezing is the control.',
  budget: 'for its whole life, not an allowance: cold gives none of it back',
  acid: 'Whiter, still raw, no safer: acid kills no worms and no germs. This piece opens and closes as a raw one does.',
  salt: 'Salt kills no worms: a cured piece needs the same parasite clearance as a raw one.',
  scald: 'A scald colours the face and clears nothing: only a core at its temperature, read, is cooked.',
  ice: 'It stops the cooking, not the clock: the time it stood warm stays spent.',
  record: 'What nobody read is not known, and is not written down afterwards.',
  formed: 'Neither freezing nor cooking takes formed histamine away.',
  look: 'A white rim, a firm bite and a clean smell are looks: none of them opens a window.'
};

const SRC = join(import.meta.dirname, '..', '..', 'src');
/** Every file that speaks, but the page of these sentences itself. */
const spoken = readdirSync(SRC, { recursive: true, encoding: 'utf8' })
  .filter((name) => /\.(ts|svelte)$/.test(name) && !name.endsWith('safety.ts'))
  .map((name) => ({ name, text: readFileSync(join(SRC, name), 'utf8') }));

describe('words that could hurt', () => {
  for (const [id, text] of Object.entries(PINNED) as [SafetyId, string][]) {
    it(`${id}: as it is pinned, with a citation, and said in no other file`, () => {
      expect(safety(id)).to.equal(text);
      expect(SAFETY[id].citation.length).to.be.greaterThan(15);
      for (const file of spoken) expect(file.text.includes(text), file.name).to.equal(false);
    });
  }
  it('no page sends a cook to write a record that nobody made, lets a scald or ice stop a clock, or calls a look safe', () => {
    const unsafe =
      /write one\b|stops the cooking, and the clock|scald stops|larvae are often seen|larvae show|is safe to|now safe|makes it safe/i;
    for (const { name, text } of spoken) expect(text, name).to.not.match(unsafe);
  });
  it('what is exempt says what still counts, wherever it is said', () => {
    for (const code of ['parasites.group-exempt', 'parasites.species-exempt', 'parasites.farm-exempt'])
      expect(sentence({ code, seen: { group: 'roe', species: 'bigeye', issuer: 'a farm' } }), code).to.contain(
        PINNED.exempt
      );
  });
  it('warm hours spent are said to be for its life', () => {
    const seen = { spentSeconds: 3600, budgetSeconds: 8 * 3600, aboveC: 4.4 };
    for (const code of ['histamine.within-budget']) expect(sentence({ code, seen })).to.contain(PINNED.budget);
  });
});
