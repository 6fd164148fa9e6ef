import { HOUR, START, celsius, event, holdStart, owns } from '../build.ts';
import { authority } from '../golden.ts';
import { statement, type Golden } from '../golden.ts';
import { lukewarm, mackerel, okay } from './receive-sources.ts';

export const warm = { lot: { core: celsius(8) }, papers: [statement(-20, 168)] };

export const EXCEPTIONS: Golden[] = [
  {
    name: 'a warm delivery: a name does not open it',
    of: { ...warm, events: [owns('temperature.arrived-warm')] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'a warm delivery, by a document of the authority',
    of: { ...warm, events: [authority(['arrival-temperature'])] },
    at: 1,
    want: 'open'
  },
  {
    name: 'the same for another thing',
    of: { ...warm, events: [authority(['parasites'])] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'a document without its file',
    of: { ...warm, events: [authority(['arrival-temperature'], { file: null })] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'a document whose time was over',
    of: { ...warm, events: [authority(['arrival-temperature'], { expiresOn: '2026-03-08' })] },
    at: 1,
    want: 'closed'
  },
  {
    name: 'not before it was put there',
    of: { ...warm, events: [authority(['arrival-temperature'], {}, 2)] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'no day of catch is the house’s own caution: a name and a reason',
    of: { lot: { caughtOn: null }, papers: [statement(-20, 168)], events: [owns('freshness.no-catch-date')] },
    at: 1,
    want: 'open'
  },
  {
    name: 'until 3 h, and open before',
    of: {
      lot: { caughtOn: null },
      papers: [statement(-20, 168)],
      events: [owns('freshness.no-catch-date', { until: START + 3 * HOUR })]
    },
    at: 0.9,
    want: 'open'
  },
  {
    name: '… and closed then',
    of: {
      lot: { caughtOn: null },
      papers: [statement(-20, 168)],
      events: [owns('freshness.no-catch-date', { until: START + 3 * HOUR })]
    },
    at: 3,
    want: 'closed'
  },
  {
    name: 'nobody answers for a puffer',
    of: { lot: { species: 'puffer' }, papers: [statement(-20, 168)], events: [owns('toxins.licensed-only')] },
    at: 1,
    want: 'never'
  },
  {
    name: 'nobody answers for what was discarded',
    of: {
      papers: [statement(-20, 168)],
      events: [event('piece.discarded', 0.1, { reason: 'x', mass: null }), owns('handling.discarded')]
    },
    at: 1,
    want: 'closed'
  },
  {
    name: 'nobody answers for time control that has run out',
    of: { papers: [statement(-20, 168)], events: [holdStart(1), owns('time-control.tray')] },
    at: 5,
    want: 'closed'
  },
  {
    name: 'nobody answers for warm hours that are spent',
    of: {
      lot: mackerel,
      papers: okay,
      events: [...lukewarm(13), owns('histamine.budget-spent', { routes: ['cooked'] })]
    },
    at: 13.5,
    route: 'cooked',
    want: 'closed'
  },
  {
    name: 'nobody answers for a source that is none',
    of: { lot: { commercial: 'no' }, papers: [statement(-20, 168)], events: [owns('source.not-commercial')] },
    at: 1,
    want: 'never'
  },
  {
    name: 'US 3-202.18: nobody answers for shellfish without a tag',
    of: { lot: { species: 'oyster', form: 'live', core: null }, events: [owns('shellfish.no-tag')] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'an answer for another finding opens nothing',
    of: { ...warm, events: [owns('parasites.not-frozen')] },
    at: 1,
    want: 'not-cleared'
  }
];
