import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { speciesIn } from '../../core/fish/house-species.ts';
import { PAPERS } from '../../core/activity/papers/bodies.ts';
import { FORMS } from '../../core/activity/receive/bodies.ts';
import { AUTHORITY_SCOPES } from '../../core/rules/exceptions.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import { addDays, businessDay } from '../../core/measure/day.ts';
import { draft } from '../store/record.ts';
import {
  list,
  MASS,
  neededText,
  numeric,
  optionalDay,
  optionalNumeric,
  optionalQuantity,
  shortText,
  TEMPERATURE,
  ticked
} from '../../core/fields/field.ts';
import { operation } from './operation.ts';

export const attachEvidence = operation({
  name: 'attach-evidence',
  page: '/piece/[id]',
  summary:
    'Add a paper to a lot: feed or freezing statement, harvest-area document, chill record, supplier’s letter, tag, licence, test, authority’s document.',
  input: z.object({
    lot: neededText(40),
    type: z.enum(PAPERS),
    issuer: neededText(),
    reference: shortText(),
    issuedOn: optionalDay,
    expiresOn: optionalDay,
    formulatedFeed: ticked.describe('fed as the rule asks'),
    raised: ticked.describe('raised as the rule asks: it says how'),
    fromEmbryos: ticked,
    noHazardVerified: ticked,
    areaCleared: ticked,
    frozenAt: optionalQuantity('temperature', TEMPERATURE),
    frozenFor: optionalQuantity('duration', { min: 60, max: 3 * 365 * 86400 }),
    frozenFrom: optionalDay,
    frozenTo: optionalDay,
    solidAt35: ticked,
    species: shortText(60).describe('id of the species it names; empty where it names none'),
    form: z.union([z.literal(''), z.enum(FORMS)]).default(''),
    supplier: shortText(80).describe('whom it names as the seller'),
    mass: optionalQuantity('mass', MASS).describe('how much it speaks of'),
    count: optionalNumeric(1, 1_000_000).describe('or how many'),
    dealer: shortText(60).describe('shellfish tag: the dealer’s certification number'),
    harvestedOn: optionalDay.describe('shellfish tag'),
    harvestArea: shortText(80).describe('shellfish tag'),
    transit: optionalQuantity('temperature', TEMPERATURE).describe('supplier’s letter: warmest on the way'),
    covers: list(12).describe(`authority: of ${AUTHORITY_SCOPES.join(', ')}`),
    file: z
      .union([z.literal(''), z.string().regex(/^[0-9a-f]{64}$/)])
      .default('')
      .describe('hash of a file given before (POST /api/v1/files)'),
    fileName: shortText(120),
    wholeDelivery: ticked.describe('it speaks for every lot of the same delivery and species'),
    note: shortText(300)
  }),
  subject: (input) => `lot:${input.lot}`,
  run({ store, house, now }, { lot, wholeDelivery, file, fileName, ...paper }) {
    const { received } = store.projections.lot(lot);
    if (paper.type === 'freezing-statement') {
      if (!paper.frozenAt) throw new EmberError('form.incomplete', { field: 'frozenAt' });
      if (!paper.frozenFor) throw new EmberError('form.incomplete', { field: 'frozenFor' });
    }
    const unknown = paper.covers.find((scope) => !AUTHORITY_SCOPES.some((known) => known === scope));
    if (unknown !== undefined) throw new EmberError('form.value-unknown', { field: 'covers', seen: unknown });
    if (paper.species !== '') speciesIn(house.species, paper.species);
    const today = businessDay(now, house);
    for (const field of ['issuedOn', 'frozenFrom', 'frozenTo', 'harvestedOn'] as const) {
      const day = paper[field];
      if (day && day > today) throw new EmberError('time.in-future', { field, seen: day });
    }
    const ordered = (first: 'issuedOn' | 'frozenFrom', second: 'expiresOn' | 'frozenTo') => {
      const [from, to] = [paper[first], paper[second]];
      if (from && to && to < from) throw new EmberError('time.out-of-order', { field: second, seen: to });
    };
    ordered('issuedOn', 'expiresOn');
    ordered('frozenFrom', 'frozenTo');
    if (paper.frozenFrom && paper.frozenTo && paper.frozenFor) {
      // A paper cannot say more hours than its own days hold.
      const most = (Date.parse(paper.frozenTo) - Date.parse(paper.frozenFrom)) / 1000 + 86400;
      if (paper.frozenFor.si > most) {
        throw new EmberError('quantity.out-of-range', {
          field: 'frozenFor',
          kind: 'duration',
          max: most,
          seen: paper.frozenFor.typed
        });
      }
    }
    const kept = file === '' ? null : store.files.get(file);
    if (file !== '' && !kept) throw new EmberError('record.not-found', { field: 'file', seen: file.slice(0, 12) });
    const body = {
      ...paper,
      file: kept && { hash: kept.hash, type: kept.type, bytes: kept.bytes, name: fileName || kept.hash.slice(0, 12) }
    };
    const lots =
      wholeDelivery && received.delivery !== ''
        ? store.projections
            .lots()
            .filter(({ received: other }) => other.delivery === received.delivery && other.species === received.species)
            .map(({ id }) => id)
        : [lot];
    return { events: lots.map((id) => draft('evidence.attached', `lot:${id}`, now, body)), result: { lot, lots } };
  }
});

export const closeTag = operation({
  name: 'close-tag',
  page: '/piece/[id]',
  summary: 'Write the last-served date on a shellfish tag: from that day it is kept as long as the profile asks.',
  input: z.object({ lot: neededText(40), evidence: numeric(1, Number.MAX_SAFE_INTEGER), lastServedOn: z.iso.date() }),
  subject: (input) => `lot:${input.lot}`,
  run({ store, house, now }, input) {
    const lot = store.projections.lot(input.lot);
    const tag = lot.evidence.find(({ seq, type }) => seq === input.evidence && type === 'shellfish-tag');
    if (!tag) throw new EmberError('record.not-found', { field: 'evidence', seen: input.evidence });
    if (input.lastServedOn > businessDay(now, house)) {
      throw new EmberError('time.in-future', { field: 'lastServedOn', seen: input.lastServedOn });
    }
    if (input.lastServedOn < businessDay(lot.received.at, house)) {
      throw new EmberError('time.out-of-order', { field: 'lastServedOn', seen: input.lastServedOn });
    }
    const { keepDays } = profileById(house.profile, house.profiles).shellfishTag;
    const keepUntil = addDays(input.lastServedOn, keepDays);
    return {
      events: [
        draft('tag.closed', `lot:${input.lot}`, now, {
          evidence: input.evidence,
          lastServedOn: input.lastServedOn,
          keepUntil
        })
      ],
      result: { lot: input.lot, keepUntil }
    };
  }
});
