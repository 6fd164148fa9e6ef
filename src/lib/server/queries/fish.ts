import { houseShown } from '../views/house.ts';
import { z } from 'zod';
import { query } from './query.ts';
import { readInstant } from '../../core/measure/day.ts';
import { rackView } from '../views/rack.ts';
import { boardView } from '../views/board.ts';
import { labelData } from '../views/label.ts';
import { labelWords } from '../../words/labels.ts';
import { lotFields, lotView } from '../views/lot.ts';
import { roadFields, roadsAsked } from '../views/roads.ts';
import { compareView, pieceView } from '../views/piece.ts';
import { excursionsIn } from '../facts/excursions.ts';
import { coldPlaces, freezeRunView, freezingRecord, placeLogFields, placeLogView } from '../views/cold.ts';
import { findFields, findView } from '../views/find.ts';
import { deliveryView, nowView, presentOf } from '../views/now.ts';
import { ledgerFilter, ledgerView } from '../views/ledger.ts';

const id = z.object({ id: z.string() });

/** Lots, pieces and what is going on with them. */
export const OF_FISH = [
  query({
    name: 'delivery',
    path: 'deliveries/{id}',
    summary: 'One delivery: its lots, what was decided and what holds each back.',
    example: { id: 'DEL-0309-1' },
    input: id,
    run: (room, input) => deliveryView(room, input.id)
  }),
  query({
    name: 'lot-tree',
    path: 'lots/{id}/tree',
    summary: 'What became of a lot: a page of its pieces, its weights and money, and how both flow.',
    example: { id: 'ARC-0309-1' },
    input: lotFields,
    run: (room, input) => lotView(room, { ...input, live: input.live === true || input.live === '1' })
  }),
  query({
    name: 'board',
    path: 'boards/{id}',
    summary: 'A piece on the board, or as it would be: cut map, balance, yield, cost, portions.',
    example: { id: 'ARC-0309-1-A' },
    input: z.object({ id: z.string(), map: z.string().optional(), template: z.string().optional() }),
    run: (room, { id: piece, ...asked }) => boardView(room, piece, asked)
  }),
  query({
    name: 'label',
    path: 'pieces/{id}/label',
    summary: 'What stands on the label of a piece; its PDF is at /labels/sheet.pdf?piece=…&size=….',
    example: { id: 'ARC-0309-1-A' },
    input: id,
    run(room, input) {
      const label = labelData(room, input.id);
      return { ...label, lines: labelWords(label, room.store.projections.currentHouse()) };
    }
  }),
  query({
    name: 'compare',
    path: 'pieces/{id}/compare',
    summary: 'One piece under every rule book, side by side.',
    example: { id: 'ARC-0309-1-A' },
    input: id,
    run: (room, input) => compareView(room, input.id)
  }),
  query({
    name: 'find',
    path: 'find',
    summary: 'What answers to some letters, a code or a scanned label, here or gone: best first.',
    example: { q: 'arc' },
    input: findFields,
    run: findView
  }),
  query({
    name: 'now',
    path: 'now',
    summary: 'What needs hands, and every window in the house.',
    input: z.object({}),
    run: nowView
  }),
  query({
    name: 'lots',
    path: 'lots',
    summary: 'Every lot received.',
    input: z.object({}),
    run: (room) => ({ lots: room.store.projections.lots() })
  }),
  query({
    name: 'lot',
    path: 'lots/{id}',
    summary: 'One lot.',
    example: { id: 'ARC-0309-1' },
    input: id,
    run: (room, input) => room.store.projections.lot(input.id)
  }),
  query({
    name: 'piece',
    path: 'pieces/{id}',
    summary: 'One piece: state, verdict, history.',
    example: { id: 'ARC-0309-1-A' },
    input: id,
    run: (room, input) => pieceView(room, input.id)
  }),
  query({
    name: 'verdict',
    path: 'pieces/{id}/verdict',
    summary: 'The verdict at a moment, by what was on record at another.',
    example: { id: 'ARC-0309-1-A' },
    input: id.extend({ at: z.string().optional(), knownAt: z.string().optional(), profile: z.string().optional() }),
    run(room, input) {
      const { zone } = room.store.projections.currentHouse();
      const time = (text: string | undefined, field: string) => (text ? readInstant(text, zone, field) : undefined);
      return pieceView(room, input.id, time(input.at, 'at'), time(input.knownAt, 'knownAt'), input.profile).verdict;
    }
  }),
  query({
    name: 'cold-places',
    path: 'places',
    summary: 'The cold places: sensors, last readings, what lies in them, open excursions.',
    input: z.object({}),
    run: coldPlaces
  }),
  query({
    name: 'place-log',
    path: 'places/{id}/log',
    summary: 'The log of a place in bins; no extreme of it is lost.',
    example: { id: 'drawer-1', points: '50' },
    input: placeLogFields,
    run: placeLogView
  }),
  query({
    name: 'excursions',
    path: 'excursions',
    summary: 'What the logs of the last weeks show and somebody has to answer.',
    input: z.object({ open: z.coerce.boolean().default(true) }),
    run: (room, { open }) => ({
      excursions: excursionsIn(room.store, presentOf(room)).filter(({ closed }) => !open || closed === null)
    })
  }),
  query({
    name: 'freeze-run',
    path: 'pieces/{id}/freeze',
    summary: 'The last freezer run of a piece: log, forecast, and what it proves by either clock.',
    example: { id: 'ARC-0309-1-A' },
    input: id,
    run: (room, input) => ({ freeze: freezeRunView(room, input.id) })
  }),
  query({
    name: 'freezing-record',
    path: 'pieces/{id}/freezing-record',
    summary: 'The freezing record the rule book asks for, and until when it is kept.',
    example: { id: 'ARC-0309-1-A' },
    input: id,
    run: (room, input) => freezingRecord(room, input.id)
  }),
  query({
    name: 'roads',
    path: 'pieces/{id}/roads',
    summary:
      'How to open a piece by when it is wanted: the cheapest ways with their dates, and the letter to the seller.',
    example: { id: 'ARC-0309-1-A' },
    input: roadFields,
    run: roadsAsked
  }),
  query({
    name: 'ageing-rack',
    path: 'ageing',
    summary:
      'What hangs to age: weights, forecast, when to pull it and for which service, what stops it; and the cabinets.',
    input: z.object({}),
    run: rackView
  }),
  query({
    name: 'ledger',
    path: 'ledger',
    summary: 'Entries, newest first.',
    input: ledgerFilter,
    run: (room, input) => ({ entries: ledgerView(room, input) })
  }),
  query({
    name: 'house',
    path: 'house',
    summary: 'How the house is set.',
    input: z.object({}),
    run: (room) => houseShown(room.store.projections.currentHouse())
  }),
  query({
    name: 'people',
    path: 'people',
    summary: 'Who is in the house.',
    input: z.object({}),
    run: (room) => ({ people: room.store.people.list() })
  }),
  query({
    name: 'readings',
    path: 'readings/{sensor}/{day}',
    summary: 'The kept log of a sensor on one business day.',
    example: { sensor: 'x', day: '2026-01-01' },
    input: z.object({ sensor: z.string(), day: z.string() }),
    run: (room, input) => ({ readings: room.store.readings.day(input.sensor, input.day) })
  })
];
