import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { speciesIn } from '../../core/fish/house-species.ts';
import { KILLINGS } from '../../core/fish/rigor.ts';
import { FAO_AREAS } from '../../core/fish/fao-areas.ts';
import { NO_CUT } from '../../core/activity/piece/bodies.ts';
import {
  ARRIVAL_PACKS,
  DECISIONS,
  FARM_SYSTEMS,
  FORMS,
  GEARS,
  ICE,
  PRICE_UNITS,
  PURPOSES,
  THREE,
  UNIDENTIFIED
} from '../../core/activity/receive/bodies.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import { versionsFor } from '../../core/rules/verdict.ts';
import { isRefusedAtTheDoor } from '../../core/rules/decision-floor.ts';
import { heaviestOf } from '../../core/fish/heaviest.ts';
import { checkArriving } from '../../core/receive/oddities.ts';
import { businessDay, addDays, saidInstant } from '../../core/measure/day.ts';
import { draft, type Draft } from '../store/record.ts';
import {
  choice,
  list,
  MASS,
  neededText,
  optionalMoment,
  optionalNumeric,
  optionalQuantity,
  quantity,
  shortText,
  TEMPERATURE,
  THICKNESS,
  ticked
} from '../../core/fields/field.ts';
import { verdictAtDoor } from './arrival.ts';
import type { Standing } from '../room.ts';
import type { Store } from '../store/store.ts';
import { FUTURE_TOLERANCE_MS } from '../input/instant.ts';

export const GRAMS_A_POUND = 453.59237;

/** Oldest catch that is taken as meant, d: frozen fish keeps for years, a slip of the century does not. */
export const OLDEST_DAYS = 1100;

/** One line of a delivery, as a form, an import or a program gives it. */
export const lotShape = {
  species: neededText(60).describe('id from the catalogue, or "unidentified" with its candidates'),
  candidates: list(8).describe('ids of what it may be, where nobody could tell'),
  form: z.enum(FORMS).default('whole'),
  source: z.enum(['wild', 'farmed', 'unknown']).default('unknown'),
  farmSystem: z
    .union([z.literal(''), z.enum(FARM_SYSTEMS)])
    .optional()
    .transform((value) => (value ? value : null)),
  water: z.enum(['sea', 'fresh', 'brackish', 'unknown']).default('unknown'),
  area: shortText(),
  faoArea: choice(['', ...FAO_AREAS.map(({ code }) => code)], ''),
  supplier: neededText(),
  supplierLot: shortText(60),
  commercial: z.enum(THREE).default('unknown'),
  purpose: choice(PURPOSES, 'sale'),
  caughtOn: optionalMoment.describe('day, or day and hour, of catch or harvest'),
  caughtAt: z
    .union([z.literal(''), z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/)])
    .optional()
    .describe('hour of catch, where the day stands alone'),
  landedOn: optionalMoment,
  gear: choice(GEARS, 'unknown'),
  killing: choice(KILLINGS, 'unknown'),
  mass: quantity('mass', MASS),
  count: optionalNumeric(1, 100_000),
  cases: optionalNumeric(1, 10_000),
  thickness: optionalQuantity('length', THICKNESS),
  core: optionalQuantity('temperature', TEMPERATURE),
  air: optionalQuantity('temperature', TEMPERATURE).describe(
    'live goods: the air round them, of the truck or the crate'
  ),
  pack: choice(ARRIVAL_PACKS, 'unknown').describe(
    'none: open to the air; closed: packed without oxygen, a bag pressed out counts'
  ),
  packIndicator: choice(THREE, 'unknown').describe('a time-temperature indicator on that pack, unchanged'),
  ice: choice(ICE, 'unknown'),
  frozen: ticked,
  previouslyFrozen: choice(THREE, 'unknown'),
  roeRinsed: ticked,
  pricePerKg: optionalNumeric(0, 100_000).describe('the older way to give a price: for a kilogram'),
  price: optionalNumeric(0, 1_000_000),
  pricePer: choice(PRICE_UNITS, 'kg'),
  claim: shortText(200).describe("the seller's words; a claim, never evidence"),
  sure: ticked.describe('weight and core are so, however odd'),
  decision: z.enum(DECISIONS).default('accept'),
  reason: shortText(300)
};

export const lotFields = z.object(lotShape);

export type LotInput = z.infer<typeof lotFields>;

/** What a kilogram cost, from a price for a kilogram, a pound, a piece or a case. */
export function perKilogram(
  price: { amount: number; per: (typeof PRICE_UNITS)[number] },
  lot: { grams: number; count: number | null; cases: number | null }
): number {
  if (price.per === 'kg') return price.amount;
  if (price.per === 'lb') return (price.amount / GRAMS_A_POUND) * 1000;
  const number = price.per === 'piece' ? lot.count : lot.cases;
  if (number === null) throw new EmberError('form.incomplete', { field: price.per === 'piece' ? 'count' : 'cases' });
  return ((price.amount * number) / lot.grams) * 1000;
}

/**
 * Asks once where somebody accepts what the rules turn away at the door: it came too warm. Whoever means it says so, and the verdict
 * stays as it is.
 *
 * @throws EmberError `receive.warm-accepted`
 */
function askIfWarm({ house }: Standing, input: LotInput, at: number): void {
  if (!input.core && !input.air) return;
  const { reasons } = verdictAtDoor(house, at, {
    ...input,
    farmSystem: input.farmSystem ?? '',
    caughtOn: undefined
  });
  if (!isRefusedAtTheDoor(reasons)) return;
  throw new EmberError('receive.warm-accepted', {
    field: 'decision',
    seen: (input.core ?? input.air)!.typed,
    candidates: ['send-back']
  });
}

/**
 * The entries that take one lot in: the lot and its first piece.
 *
 * @throws EmberError where it may not be taken in as it stands
 */
export function lotEntries(
  context: Standing,
  input: LotInput,
  at: number,
  delivery: string,
  taken: ReadonlySet<string> = new Set()
): { events: Draft[]; lot: string; piece: string } {
  const { store, house } = context;
  const unsettled = input.species === UNIDENTIFIED;
  const species = unsettled ? null : speciesIn(house.species, input.species);
  const candidates = unsettled ? input.candidates.map((id) => speciesIn(house.species, id).id) : [];
  if (candidates.length === 1) throw new EmberError('form.value-unknown', { field: 'candidates', seen: 'one alone' });
  if (!input.sure) {
    const group = species?.group ?? (candidates[0] && speciesIn(house.species, candidates[0]).group);
    const isWholeFish = group === 'finfish' && ['whole', 'gutted', 'live'].includes(input.form);
    checkArriving({ ...input, isWholeFish, heaviest: species && heaviestOf(species.id) });
  }
  const caughtOn = momentOf(context, input.caughtOn, input.caughtAt || undefined, 'caughtOn');
  const landedOn = momentOf(context, input.landedOn, undefined, 'landedOn');
  if (caughtOn && landedOn && landedOn < caughtOn.slice(0, landedOn.length)) {
    throw new EmberError('time.out-of-order', { field: 'landedOn', seen: landedOn });
  }
  if (input.decision !== 'accept' && input.reason === '') throw new EmberError('form.incomplete', { field: 'reason' });
  if (input.source === 'farmed' && input.farmSystem === null) {
    throw new EmberError('form.incomplete', { field: 'farmSystem' });
  }
  if (input.commercial === 'no' && input.decision !== 'send-back') {
    const shellfish =
      species?.group === 'mollusc' || candidates.some((id) => speciesIn(house.species, id).group === 'mollusc');
    if (input.purpose === 'sale' || shellfish) {
      throw new EmberError('record.source-required', { field: 'commercial', shellfish });
    }
  }
  if (!input.sure && input.decision === 'accept') askIfWarm(context, input, at);
  const given = input.price ?? input.pricePerKg;
  const price = given === null ? null : { amount: given, per: input.price === null ? ('kg' as const) : input.pricePer };
  const name = species?.name ?? 'Unidentified fish';
  const code = lotCode(store, input.species, businessDay(at, house), taken);
  const piece = `${code}-A`;
  const { caughtAt: _, pricePer: __, sure: ___, ...body } = input;
  return {
    events: [
      draft('lot.received', `lot:${code}`, at, {
        ...body,
        candidates,
        caughtOn,
        landedOn,
        price,
        pricePerKg: price && perKilogram(price, { grams: input.mass.si, count: input.count, cases: input.cases }),
        code,
        delivery,
        currency: house.currency,
        pins: versionsFor(profileById(house.profile, house.profiles), house)
      }),
      draft('piece.made', `piece:${piece}`, at, {
        code: piece,
        lot: code,
        parents: [],
        name,
        form: input.form,
        grams: input.mass.si,
        mass: input.mass,
        thicknessMm: input.thickness?.si ?? null,
        ...NO_CUT
      })
    ],
    lot: code,
    piece
  };
}

/** A lot's code: three letters of the species, the business day, a counter. `taken` are codes of the same transaction. */
export function lotCode(store: Store, species: string, day: string, taken: ReadonlySet<string>): string {
  const letters = species
    .replace(/[^a-z]/g, '')
    .slice(0, 3)
    .toUpperCase();
  const prefix = `${letters}-${day.slice(5, 7)}${day.slice(8, 10)}`;
  for (let counter = 1; ; counter++) {
    const code = `${prefix}-${counter}`;
    if (!taken.has(code) && store.record.versionOf(`lot:${code}`) === 0) return code;
  }
}

export function momentOf(context: Standing, day: string | null, hour: string | undefined, field: string) {
  if (day === null) return null;
  const text = day.includes('T') || !hour ? day : `${day}T${hour}`;
  const { house, now } = context;
  const at = saidInstant(text, house.zone, field);
  const today = businessDay(now, house);
  if (text.includes('T') ? at > now + FUTURE_TOLERANCE_MS : text > today) {
    throw new EmberError('time.in-future', { field, seen: text });
  }
  if (text < addDays(today, -OLDEST_DAYS)) {
    throw new EmberError('quantity.out-of-range', { field, unit: 'd', max: OLDEST_DAYS, seen: text });
  }
  return text;
}
