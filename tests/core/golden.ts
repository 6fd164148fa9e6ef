import { expect } from 'chai';
import type { HouseState } from '../../src/lib/core/record/house.ts';
import type { HouseDocument } from '../../src/lib/core/codes/documents.ts';
import type { Route, WindowState } from '../../src/lib/core/codes/window.ts';
import { ask, celsius, codes, HOUSE, kept, paper, stateOf, typed, type Case } from './build.ts';

export const chilled = paper({ type: 'chill-record' });
export const feed = (more = {}) => paper({ type: 'feed-statement', formulatedFeed: true, raised: true, ...more });
export const fullFeed = feed({ fromEmbryos: true, noHazardVerified: true });
export const char: Case['lot'] = {
  species: 'arctic-char',
  source: 'farmed',
  farmSystem: 'land-based',
  water: 'sea'
};
export const statement = (c: number, hours: number, solidAt35 = false) =>
  paper({ type: 'freezing-statement', frozenAt: celsius(c), frozenFor: typed(hours * 3600, 'h'), solidAt35 });
/** A tag that says all a tag has to say. */
export const tag = paper({
  type: 'shellfish-tag',
  dealer: 'VS 214',
  harvestedOn: '2026-03-08',
  harvestArea: 'Vess Sound 3',
  mass: typed(1000, 'g')
});
/** A document of the authority that has all it needs. */
export const authority = (covers: string[], more = {}, hours = 0.1) =>
  paper(
    {
      type: 'authority',
      issuer: 'Harbour Health Office',
      reference: 'V-77',
      issuedOn: '2026-03-01',
      expiresOn: '2026-12-31',
      covers,
      file: { hash: 'h', type: 'application/pdf', name: 'v77.pdf', bytes: 1 },
      ...more
    },
    hours
  );
export const cleared = paper({ type: 'area-document', areaCleared: true });

/** A house with its licence for puffer on file. */
export const licensed = (over: Partial<HouseDocument> = {}): Partial<HouseState> => ({
  documents: {
    'puffer-licence': {
      id: 'puffer-licence',
      kind: 'licence',
      authority: 'Harbour Health Office',
      number: 'PL 7',
      covers: ['puffer'],
      species: [],
      issuedOn: '2026-01-01',
      expiresOn: '2026-12-31',
      limits: '',
      file: { hash: 'a'.repeat(64), type: 'application/pdf', name: 'licence.pdf', bytes: 9 },
      withdrawn: false,
      seq: 9001,
      at: Date.UTC(2026, 0, 2),
      ...over
    }
  }
});

/** One row of a golden table: what is on record, what is asked, and what the rule says by hand. */
export interface Golden {
  /** The rule it exercises, as a food-safety person would say it. */
  name: string;
  of: Case;
  /** Hours after the lot came in. */
  at: number;
  profile?: string;
  house?: Partial<HouseState>;
  route?: Route;
  want: WindowState;
  /** Somebody read it cold twice a day until it is asked. */
  kept?: true;
  /** A finding that has to be among the reasons. */
  code?: string;
}

export function runGolden(table: readonly Golden[]): void {
  for (const { name, of, at, profile, house, route = 'raw', want, code, kept: isKept } of table) {
    it(`${name}: ${route} is ${want}`, () => {
      const read = isKept ? { ...of, events: [...(of.events ?? []), ...kept(at)] } : of;
      const seen = ask(read, at, profile, { ...HOUSE, ...house });
      expect(stateOf(seen, route), codes(seen).join(' ')).to.equal(want);
      if (code) expect(codes(seen)).to.include(code);
    });
  }
}
