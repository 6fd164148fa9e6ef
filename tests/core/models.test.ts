import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { modelCases, modelsText, MODELS_PAGE } from '../../scripts/models.ts';

/** As text, whatever a formatter did to its columns. */
const plain = (text: string) => text.replace(/-{3,}/g, '---').replace(/\s+/g, ' ').replace(/\*/g, '_');

describe('what the models say', () => {
  const cases = modelCases();
  for (const { bench, what, said, band, usual } of cases) {
    it(`${bench}: ${what}: as a cook sees it`, () => {
      expect(said).to.be.within(usual[0] - 1e-9, usual[1] + 1e-9);
      if (band) expect(said).to.be.within(band.low - 1e-9, band.high + 1e-9);
    });
  }
  it('has five cases and more for every bench, each with where it is checked', () => {
    const benches = new Map<string, number>();
    for (const { bench, source } of cases) {
      expect(source.trim()).to.not.equal('');
      benches.set(bench, (benches.get(bench) ?? 0) + 1);
    }
    expect(benches.size).to.equal(7);
    for (const [bench, count] of benches) expect(count, bench).to.be.at.least(5);
  });
  it('stands on the page of the docs as the code has it (`npm run models` makes it anew)', () => {
    expect(plain(readFileSync(MODELS_PAGE, 'utf8'))).to.equal(plain(`${modelsText(cases)}\n`));
  });
});
