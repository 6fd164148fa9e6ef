import { z } from 'zod';
import { EmberError } from '../core/errors.ts';
import { cure } from '../core/bench/cure/plan.ts';
import { searchSpecies } from '../core/fish/search.ts';
import { SPECIES, speciesById } from '../core/fish/species.ts';
import { DECISIONS, FARM_SYSTEMS, FORMS } from '../core/record/bodies.ts';
import { effectiveEvents, wideningAmendments } from '../core/record/amend.ts';
import { judgeRun } from '../core/rules/hazards/parasites.ts';
import { profileById, PROFILES } from '../core/rules/profiles/index.ts';
import { judge, pinsFor, verdict } from '../core/rules/verdict.ts';
import { stateAt } from '../core/rules/window.ts';
import { handsQueue } from '../core/service/hands.ts';
import { readInstant } from '../core/service/day.ts';
import type { App } from './app.ts';
import { optionalQuantity, ticked } from './operations/fields.ts';
import { freezePlan, forecastFreeze } from './operations/freeze.ts';
import { curePlan, cureInputFor, cutFor, slicePlan } from './operations/knife.ts';
import { TEMPERATURE } from './operations/receive.ts';

/** One thing that can be asked. The same registry answers screens, the API and the OpenAPI document. */
export interface Query<Schema extends z.ZodType = z.ZodType> {
  readonly name: string;
  readonly path: string;
  readonly summary: string;
  readonly input: Schema;
  run(app: App, input: z.infer<Schema>): unknown;
}
const query = <Schema extends z.ZodType>(definition: Query<Schema>): Query => definition as unknown as Query;
const id = z.object({ id: z.string() });

/** The moment screens are about: the clock's, and never before the newest entry, however the clock is set. */
const presentOf = ({ clock, store }: App): number => Math.max(clock.now(), store.record.head().recorded);

/** Everything still in the house, with its windows as change-points and what hands have to do. */
export function nowView(app: App) {
  const now = presentOf(app);
  const house = app.store.projections.currentHouse();
  const live = app.store.projections.livePieces();
  const warn = house.warnMinutes * 60;
  return {
    at: now,
    warnSeconds: warn,
    tasks: handsQueue(live, now, warn),
    pieces: live.map(({ state, lot, windows, missing }) => ({
      id: state.id,
      name: state.made.name,
      species: lot.received.species,
      lot: lot.id,
      form: state.made.form,
      grams: state.grams,
      madeAt: state.made.at,
      seq: state.lastSeq,
      windows,
      states: windows.map((window) => stateAt(window, now, warn)),
      missing,
      steps: [
        ...state.freezes.map((run) => ({
          kind: 'freeze' as const,
          from: run.at,
          to: run.ended?.at ?? null,
          label: run.plan.place
        })),
        ...state.cures.map((run) => ({
          kind: 'cure' as const,
          from: run.at,
          to: run.ended?.at ?? run.plan.dueAt,
          label: run.plan.method === 'cover' ? 'Cover cure' : 'Weighed cure'
        })),
        ...state.holds.map((hold) => ({
          kind: 'hold' as const,
          from: hold.at,
          to: hold.plan.discardAt,
          label: hold.plan.label
        })),
        ...state.slices.map((run) => ({
          kind: 'slice' as const,
          from: run.at,
          to: run.at,
          label: `${run.plan.pieces} slices`
        }))
      ]
    }))
  };
}
export type NowView = ReturnType<typeof nowView>;

/** One piece with everything a person may ask about it. */
export function pieceView(app: App, pieceId: string, at?: number, knownAt?: number, profile?: string) {
  const { store } = app;
  const now = presentOf(app);
  const found = store.projections.piece(pieceId);
  const lineage = store.projections.lineage(pieceId);
  const asked = at ?? now;
  const known = knownAt ?? now;
  const house = store.projections.house(Infinity, known);
  const events = [...lineage.lot, ...lineage.pieces.flatMap((link) => link.events)];
  const run = found.state.freezes.at(-1);
  const rules = profileById(house.profile);
  return {
    piece: found.state,
    lot: found.lot,
    species: speciesById(found.lot.received.species),
    children: found.children,
    ancestors: lineage.pieces.slice(0, -1).map((link) => link.id),
    lotVersion: store.record.versionOf(`lot:${found.lot.id}`),
    verdict: verdict(lineage, house, asked, known, profile),
    freeze: run ? { run, results: judgeRun({ profile: rules, house }, run) } : null,
    history: effectiveEvents(events, known).reverse(),
    owned: wideningAmendments(events)
  };
}

/** A verdict on a lot that is still at the door: what its form says so far. */
export const doorFields = z.object({
  species: z.string(),
  form: z.enum(FORMS).default('whole'),
  source: z.enum(['wild', 'farmed', 'unknown']).default('unknown'),
  farmSystem: z.union([z.literal(''), z.enum(FARM_SYSTEMS)]).optional(),
  water: z.enum(['sea', 'fresh', 'brackish', 'unknown']).default('unknown'),
  commercial: z.enum(['yes', 'no', 'unknown']).default('unknown'),
  caughtOn: z.string().optional(),
  core: optionalQuantity('temperature', TEMPERATURE),
  frozen: ticked,
  decision: z.enum(DECISIONS).default('accept')
});

export function doorVerdict(app: App, input: z.infer<typeof doorFields>) {
  const now = app.clock.now();
  const house = app.store.projections.currentHouse();
  const stamp = { seq: 0, at: now, by: '' };
  const mass = { si: 1000, unit: 'g', typed: '1 kg' };
  return judge({
    lot: {
      id: 'door',
      lastSeq: 0,
      evidence: [],
      received: {
        ...stamp,
        ...input,
        farmSystem: input.farmSystem ? input.farmSystem : null,
        caughtOn: input.caughtOn && /^\d{4}-\d{2}-\d{2}$/.test(input.caughtOn) ? input.caughtOn : null,
        code: 'door',
        area: '',
        supplier: '',
        supplierLot: '',
        mass,
        thickness: null,
        pricePerKg: null,
        currency: house.currency,
        claim: '',
        reason: '',
        pins: pinsFor(profileById(house.profile))
      }
    },
    chain: [
      {
        id: 'door',
        made: {
          ...stamp,
          code: 'door',
          lot: 'door',
          parents: [],
          name: '',
          form: input.form,
          grams: 1000,
          mass,
          thicknessMm: null
        },
        grams: 1000,
        freezes: [],
        cures: [],
        slices: [],
        holds: [],
        readings: [],
        served: [],
        gone: null,
        lastSeq: 0
      }
    ],
    house,
    at: now,
    knownAt: now
  });
}

const ledgerFilter = z.object({
  before: z.coerce.number().int().positive().optional(),
  limit: z.coerce.number().int().min(1).max(5000).optional(),
  subject: z.string().optional(),
  lot: z.string().optional(),
  actor: z.string().optional(),
  from: z.string().optional(),
  to: z.string().optional()
});

/** Entries of the ledger, newest first, with the names of who wrote them. */
export function ledgerView(app: App, filter: z.infer<typeof ledgerFilter>) {
  const zone = app.store.projections.currentHouse().zone;
  const time = (text: string | undefined, field: string) => (text ? readInstant(text, zone, field) : undefined);
  return app.store.record.list({ ...filter, from: time(filter.from, 'from'), to: time(filter.to, 'to') });
}

export const QUERIES: readonly Query[] = [
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
    run: (app) => ({ lots: app.store.projections.lots() })
  }),
  query({
    name: 'lot',
    path: 'lots/{id}',
    summary: 'One lot.',
    input: id,
    run: (app, input) => app.store.projections.lot(input.id)
  }),
  query({
    name: 'piece',
    path: 'pieces/{id}',
    summary: 'One piece: state, verdict, history.',
    input: id,
    run: (app, input) => pieceView(app, input.id)
  }),
  query({
    name: 'verdict',
    path: 'pieces/{id}/verdict',
    summary: 'The verdict at a moment, by what was on record at another.',
    input: id.extend({ at: z.string().optional(), knownAt: z.string().optional(), profile: z.string().optional() }),
    run(app, input) {
      const { zone } = app.store.projections.currentHouse();
      const time = (text: string | undefined, field: string) => (text ? readInstant(text, zone, field) : undefined);
      return pieceView(app, input.id, time(input.at, 'at'), time(input.knownAt, 'knownAt'), input.profile).verdict;
    }
  }),
  query({
    name: 'door-verdict',
    path: 'preview/verdict',
    summary: 'The verdict on a lot still at the door.',
    input: doorFields,
    run: doorVerdict
  }),
  query({
    name: 'freeze-preview',
    path: 'preview/freeze',
    summary: 'When the core would arrive in a freezer.',
    input: freezePlan,
    run: (app, input) => forecastFreeze(app.store.projections.currentHouse().profile, input)
  }),
  query({
    name: 'cure-preview',
    path: 'preview/cure',
    summary: 'A cure as it would run.',
    input: curePlan,
    run: (app, input) => cure(cureInputFor(app.store, input))
  }),
  query({
    name: 'slice-preview',
    path: 'preview/slice',
    summary: 'Slices from a block.',
    input: slicePlan,
    run: (_, input) => cutFor(input)
  }),
  query({
    name: 'ledger',
    path: 'ledger',
    summary: 'Entries, newest first.',
    input: ledgerFilter,
    run: (app, input) => ({ entries: ledgerView(app, input) })
  }),
  query({
    name: 'species',
    path: 'species',
    summary: 'The catalogue, or what answers to a name.',
    input: z.object({ q: z.string().max(80).optional() }),
    run: (_, input) => ({ species: input.q ? searchSpecies(input.q) : SPECIES })
  }),
  query({
    name: 'profiles',
    path: 'profiles',
    summary: 'The rule profiles, number by number.',
    input: z.object({}),
    run: () => ({ profiles: PROFILES })
  }),
  query({
    name: 'house',
    path: 'house',
    summary: 'How the house is set.',
    input: z.object({}),
    run: (app) => app.store.projections.currentHouse()
  }),
  query({
    name: 'people',
    path: 'people',
    summary: 'Who is in the house.',
    input: z.object({}),
    run: (app) => ({ people: app.store.people.list() })
  }),
  query({
    name: 'readings',
    path: 'readings/{sensor}/{day}',
    summary: 'The kept log of a sensor on one business day.',
    input: z.object({ sensor: z.string(), day: z.string() }),
    run: (app, input) => ({ readings: app.store.readings.day(input.sensor, input.day) })
  })
];

/** Finds the query a path belongs to, with the parts in braces filled in. */
export function matchQuery(path: string): { query: Query; parts: Record<string, string> } {
  const asked = path.split('/');
  for (const candidate of QUERIES) {
    const pattern = candidate.path.split('/');
    if (pattern.length !== asked.length) continue;
    const parts: Record<string, string> = {};
    const fits = pattern.every((piece, index) => {
      if (!piece.startsWith('{')) return piece === asked[index];
      parts[piece.slice(1, -1)] = decodeURIComponent(asked[index]!);
      return true;
    });
    if (fits) return { query: candidate, parts };
  }
  throw new EmberError('request.unknown-path', { seen: path });
}
