import fc from 'fast-check';
import { SPECIES } from '../../src/lib/core/fish/species.ts';
import type { RecordEvent } from '../../src/lib/core/record/events.ts';
import { celsius, cureEnd, cureStart, event, freezeEnd, freezeStart, owns, paper, readEvery } from './build.ts';
import { authority, chilled, cleared, feed, fullFeed, statement, tag } from './golden.ts';

/** Any lot, any papers, and as much of one history as one likes: what the laws of the verdict are asked about. */
const anyLot = fc.record({
  species: fc.constantFrom(...SPECIES.map(({ id }) => id), 'unidentified'),
  candidates: fc.subarray(['sea-bream', 'snapper', 'skipjack', 'puffer'], { maxLength: 3 }),
  form: fc.constantFrom('whole' as const, 'fillet' as const, 'block' as const, 'shell-on' as const, 'live' as const),
  air: fc.constantFrom(null, celsius(4), celsius(9)),
  pack: fc.constantFrom('none' as const, 'closed' as const, 'unknown' as const),
  packIndicator: fc.constantFrom('yes' as const, 'no' as const),
  ice: fc.constantFrom('plenty' as const, 'none' as const),
  source: fc.constantFrom('wild' as const, 'farmed' as const, 'unknown' as const),
  farmSystem: fc.constantFrom(null, 'land-based' as const, 'other' as const),
  water: fc.constantFrom('sea' as const, 'fresh' as const, 'unknown' as const),
  commercial: fc.constantFrom('yes' as const, 'no' as const, 'unknown' as const),
  caughtOn: fc.constantFrom(null, '2026-03-08', '2026-03-02'),
  core: fc.constantFrom(null, celsius(1), celsius(7)),
  frozen: fc.boolean(),
  previouslyFrozen: fc.constantFrom('unknown' as const, 'yes' as const),
  purpose: fc.constantFrom('sale' as const, 'own-table' as const),
  roeRinsed: fc.boolean(),
  decision: fc.constantFrom('accept' as const, 'cooked-only' as const, 'hold-freeze' as const)
});
const anyPapers = fc.subarray([
  chilled,
  feed(),
  fullFeed,
  statement(-20, 168),
  statement(-35, 15, true),
  cleared,
  tag,
  paper({ type: 'licence' }),
  paper({ type: 'supplier-letter', transit: celsius(2) }),
  authority(['parasites']),
  authority(['arrival-temperature', 'cold-holding']),
  owns('freshness.no-catch-date')
]);
const history: RecordEvent[] = [
  freezeStart(2),
  ...readEvery(6, 200, 20, -22),
  freezeEnd(201),
  event('cold.read', 210, { reading: celsius(2), place: '' }),
  cureStart(215, 20),
  cureEnd(236)
];
export const anyCase = fc.record({
  lot: anyLot,
  papers: anyPapers,
  events: fc.integer({ min: 0, max: history.length }).map((n) => history.slice(0, n))
});
export const anyHour = fc.integer({ min: 0, max: 300 });
export const anyProfile = fc.constantFrom('us-fc', 'eu', 'jp');
