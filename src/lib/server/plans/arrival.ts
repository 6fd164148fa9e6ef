import { z } from 'zod';
import { KILLINGS } from '../../core/fish/rigor.ts';
import { NO_CUT } from '../../core/activity/piece/bodies.ts';
import {
  ARRIVAL_PACKS,
  DECISIONS,
  FARM_SYSTEMS,
  FORMS,
  ICE,
  PURPOSES,
  THREE,
  UNIDENTIFIED
} from '../../core/activity/receive/bodies.ts';
import type { HouseState } from '../../core/record/house.ts';
import type { LotState } from '../../core/record/lot.ts';
import type { PieceState } from '../../core/record/piece.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import { judge, versionsFor } from '../../core/rules/verdict.ts';
import type { Room } from '../room.ts';
import { choice, list, optionalQuantity, TEMPERATURE, ticked } from '../../core/fields/field.ts';

/** A verdict on a lot that is still at the door: what its form says so far. */
export const arrivalFields = z.object({
  species: z.string(),
  candidates: list(8),
  form: z.enum(FORMS).default('whole'),
  source: z.enum(['wild', 'farmed', 'unknown']).default('unknown'),
  farmSystem: z.union([z.literal(''), z.enum(FARM_SYSTEMS)]).optional(),
  water: z.enum(['sea', 'fresh', 'brackish', 'unknown']).default('unknown'),
  commercial: z.enum(THREE).default('unknown'),
  purpose: choice(PURPOSES, 'sale'),
  caughtOn: z.string().optional(),
  killing: choice(KILLINGS, 'unknown'),
  core: optionalQuantity('temperature', TEMPERATURE),
  air: optionalQuantity('temperature', TEMPERATURE),
  pack: choice(ARRIVAL_PACKS, 'unknown'),
  packIndicator: choice(THREE, 'unknown'),
  ice: choice(ICE, 'unknown'),
  faoArea: z.string().default(''),
  frozen: ticked,
  previouslyFrozen: choice(THREE, 'unknown'),
  roeRinsed: ticked,
  decision: z.enum(DECISIONS).default('accept')
});

/** Where a person is still typing the day, it is not known yet. */
const DAY = /^\d{4}-\d{2}-\d{2}(T\d{2}:\d{2})?$/;

export const arrivalVerdict = (room: Room, input: z.infer<typeof arrivalFields>) =>
  verdictAtDoor(room.store.projections.currentHouse(), room.clock.now(), input);

/** What the rules say of a lot before it is taken in. */
export function verdictAtDoor(house: HouseState, now: number, input: z.infer<typeof arrivalFields>) {
  const stamp = { seq: 0, at: now, by: '' };
  const mass = { si: 1000, unit: 'g', typed: '1 kg' };
  const lot: LotState = {
    id: 'door',
    lastSeq: 0,
    evidence: [],
    inspections: [],
    identified: null,
    tags: [],
    decision: { ...stamp, decision: input.decision, reason: '' },
    decisions: [{ ...stamp, decision: input.decision, reason: '' }],
    sentBack: input.decision === 'send-back' ? stamp : null,
    handedBack: null,
    species: input.species === UNIDENTIFIED ? input.candidates : [input.species],
    corrections: [],
    received: {
      ...stamp,
      ...input,
      farmSystem: input.farmSystem ? input.farmSystem : null,
      caughtOn: input.caughtOn && DAY.test(input.caughtOn) ? input.caughtOn : null,
      landedOn: null,
      gear: 'unknown',
      count: null,
      cases: null,
      price: null,
      delivery: '',
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
      pins: versionsFor(profileById(house.profile, house.profiles), house)
    }
  };
  const piece: PieceState = {
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
      thicknessMm: null,
      ...NO_CUT
    },
    grams: 1000,
    freezes: [],
    thaws: [],
    stays: [],
    cures: [],
    acids: [],
    ages: [],
    dressings: [],
    slices: [],
    lifted: null,
    squarings: [],
    blockSize: null,
    weighed: [],
    holds: [],
    readings: [],
    served: [],
    exceptions: [],
    boards: [],
    outs: [],
    place: null,
    depth: null,
    label: null,
    gone: null,
    corrections: [],
    undone: [],
    lastSeq: 0
  };
  return judge({ lot, chain: [piece], house, at: now, knownAt: now });
}
