import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { PROFILES } from '../../src/lib/core/codes/profiles/index.ts';
import { commonRows, profileRows } from '../../src/lib/core/rules/rule-table.ts';
import { PAGE, rulesText } from '../../scripts/food-safety.ts';

/** As text, whatever a formatter did to its columns. */
const plain = (text: string) => text.replace(/-{3,}/g, '---').replace(/\s+/g, ' ').replace(/\*/g, '_');

describe('the table of rules', () => {
  it('has a figure and a citation in every row, and says of each house figure that it is one', () => {
    for (const profile of PROFILES) {
      const rows = profileRows(profile);
      expect(rows.length, profile.id).to.be.greaterThan(15);
      for (const { what, figure, rule, citation, from, check } of [...rows, ...commonRows()]) {
        for (const text of [what, figure, rule, citation]) expect(text.trim(), what).to.not.equal('');
        expect(`${figure} ${citation}`, what).to.not.match(/undefined|NaN|null/);
        if (from === 'house' && /house's figure/.test(citation)) expect(check, what).to.equal(true);
      }
    }
  });
  it('says what the rules print: limits in both scales, inclusive of their own figures', () => {
    const us = profileRows(PROFILES.find(({ id }) => id === 'us-fc')!).map(({ what, figure }) => `${what}: ${figure}`);
    expect(us).to.include('Freezing cycle: -20 °C (-4 °F) or below for 168 h');
    expect(us).to.include('Taken in alive, air: 7.2 °C (45 °F) or below');
    expect(us.find((text) => text.startsWith('Time in the warm'))).to.contain('4 h above 5 °C (41 °F)');
  });
  it('stands on the page of the docs as the data has it (`npm run rules` makes it anew)', () => {
    expect(plain(readFileSync(PAGE, 'utf8'))).to.contain(plain(rulesText()));
  });
});
