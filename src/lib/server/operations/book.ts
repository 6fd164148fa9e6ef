import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { FIXED_FIELDS, looserFields, type HouseSpecies } from '../../core/fish/house-species.ts';
import { PARASITES, SPECIES_HAZARDS, speciesShape, type CatalogueEntry } from '../../core/fish/kinds.ts';
import { SPECIES } from '../../core/fish/species.ts';
import { SHEET_IDS, SHEETS } from '../../core/inspect/sheets.ts';
import { belowFloor, HOUSE_LIMITS, looserChanges } from '../../core/codes/profiles/house.ts';
import { PROFILES, profileById } from '../../core/codes/profiles/index.ts';
import { draft } from '../store/record.ts';
import { list, neededText, optionalNumeric, shortText, ticked } from '../../core/fields/field.ts';
import { operation } from './operation.ts';
import { readAs } from '../../core/fields/trouble.ts';
import { notNow } from './not-now.ts';

const numbered = (field: z.ZodType) => z.union([z.literal(''), field]).optional();

export const setSpecies = operation({
  name: 'set-species',
  page: '/house/species',
  summary: "Add a species, or set the house's own values over a shipped one. Looser than what ships must be owned.",
  input: z.object({
    id: z.string().regex(/^[a-z0-9-]{3,40}$/),
    name: shortText(60),
    alsoCalled: list(24).describe('market names'),
    scientific: list(8),
    group: numbered(speciesShape.shape.group),
    water: numbered(speciesShape.shape.water),
    iceDays: optionalNumeric(0.5, 60),
    hazards: list(6).describe(`of ${SPECIES_HAZARDS.join(', ')}; "none" for none`),
    parasitesWhenWild: list(4).describe(`of ${PARASITES.join(', ')}; "none" for none`),
    note: shortText(300),
    reason: z.string().trim().min(8).max(300),
    own: ticked,
    withdraw: ticked.describe("take the house's word back")
  }),
  subject: () => 'house',
  run({ house, now }, input) {
    const shipped = SPECIES.find(({ id }) => id === input.id);
    const before: HouseSpecies | undefined = house.species[input.id];
    if (input.withdraw) {
      if (!before) throw new EmberError('species.unknown', { field: 'id', seen: input.id });
      if (before.added) throw notNow('id', 'house-species');
    }
    const several = (values: readonly string[]) => (values.includes('none') ? [] : values);
    const fields: Record<string, unknown> = {
      ...(input.name !== '' ? { name: input.name } : {}),
      ...(input.alsoCalled.length > 0 ? { names: { ...shipped?.names, en: input.alsoCalled } } : {}),
      ...(input.scientific.length > 0 ? { scientific: input.scientific } : {}),
      ...(input.group ? { group: input.group } : {}),
      ...(input.water ? { water: input.water } : {}),
      ...(input.iceDays === null ? {} : { iceDays: input.iceDays }),
      ...(input.hazards.length > 0 ? { hazards: several(input.hazards) } : {}),
      ...(input.parasitesWhenWild.length > 0 ? { parasitesWhenWild: several(input.parasitesWhenWild) } : {}),
      ...(input.note !== '' ? { note: input.note } : {}),
      sources: ['house']
    };
    // What nobody says of a species of the house is taken as the worse of what it may be.
    const base = shipped
      ? (({ alsoCalled: _, ...entry }) => entry)(shipped)
      : {
          names: {},
          scientific: [],
          group: 'finfish',
          water: 'sea',
          climate: 'temperate',
          usualSource: 'either',
          parasitesWhenWild: ['nematode'],
          hazards: [],
          rawUse: ['special'],
          texture: 'medium',
          fat: 'mid',
          yieldShare: null,
          handling: [],
          styles: [],
          allergensAlso: [],
          note: ''
        };
    const whole = readAs(speciesShape, { ...base, ...fields, id: input.id });
    // Owned against what ships, and against what the house itself said before: hazards leave by somebody's name.
    const looser = input.withdraw ? [] : shipped ? looserFields(shipped, whole) : [];
    if (before?.added && !shipped) {
      looser.push(...looserFields(before.fields as CatalogueEntry, whole));
    }
    const fixed = shipped && !input.withdraw ? looser.filter((field) => FIXED_FIELDS.includes(field)) : [];
    if (fixed.length > 0) throw new EmberError('record.needs-authority', { field: fixed[0], seen: fixed.join(', ') });
    if (looser.length > 0 && !input.own) {
      throw new EmberError('record.widens-without-owner', { field: 'own', seen: looser.join(', ') });
    }
    return {
      events: [
        draft('species.set', 'house', now, {
          id: input.id,
          added: !shipped,
          fields: input.withdraw ? {} : shipped ? (fields as Partial<CatalogueEntry>) : whole,
          reason: input.reason,
          looser,
          withdrawn: input.withdraw
        })
      ],
      result: { species: input.id, looser }
    };
  }
});

export const setProfile = operation({
  name: 'set-profile',
  page: '/house/rules',
  summary:
    "Make or change the house's copy of a rule profile. Looser than its base must be owned, and shows on every verdict.",
  input: z
    .object({
      id: z.string().regex(/^house-[a-z0-9-]{2,30}$/),
      base: z.enum(PROFILES.map(({ id }) => id) as [string, ...string[]]),
      name: neededText(60),
      reason: z.string().trim().min(8).max(300),
      own: ticked
    })
    .catchall(z.union([z.string(), z.number(), z.boolean()]))
    .describe(`one field "limit-<name>" each: ${HOUSE_LIMITS.map(({ id }) => id).join(', ')}`),
  subject: () => 'house',
  run({ house, now }, input) {
    const base = profileById(input.base);
    const changes = Object.fromEntries(
      HOUSE_LIMITS.flatMap(({ id, get, isSwitch }) => {
        const raw = input[`limit-${id}`];
        if (raw === undefined || raw === '') return [];
        const value = isSwitch ? Number(raw === 'on' || raw === '1' || raw === true || raw === 1) : Number(raw);
        if (!Number.isFinite(value)) throw new EmberError('number.not-finite', { field: id, seen: String(raw) });
        return value === get(base) ? [] : [[id, value]];
      })
    );
    const [floor] = belowFloor(base, changes);
    if (floor) {
      const { unit, get, isSwitch } = HOUSE_LIMITS.find(({ id }) => id === floor)!;
      throw new EmberError('profile.below-floor', {
        field: `limit-${floor}`,
        unit,
        max: isSwitch ? undefined : (get(base) ?? undefined),
        seen: String(changes[floor])
      });
    }
    const looser = looserChanges(base, changes);
    const loosened = looserAgainst(house.profiles[input.id]?.changes, changes);
    if ((looser.length > 0 || loosened) && !input.own) {
      throw new EmberError('record.widens-without-owner', { field: 'own', seen: looser.join(', ') || 'changes' });
    }
    return {
      events: [
        draft('profile.set', 'house', now, {
          id: input.id,
          base: input.base,
          name: input.name,
          changes,
          reason: input.reason,
          looser
        })
      ],
      result: { profile: input.id, looser }
    };
  }
});

/** Whether a change of the copy takes back something it had tightened. */
function looserAgainst(
  before: Readonly<Record<string, number | boolean>> | undefined,
  after: Readonly<Record<string, number | boolean>>
): boolean {
  if (!before) return false;
  return HOUSE_LIMITS.some(({ id, looserWhen }) => {
    const [was, is] = [before[id], after[id]];
    if (was === undefined || is === was) return false;
    if (is === undefined) return true;
    return looserWhen === 'higher' || looserWhen === 'on' ? Number(is) > Number(was) : Number(is) < Number(was);
  });
}

export const setSheet = operation({
  name: 'set-sheet',
  page: '/house/sheets',
  summary: 'Set weights and wording of an inspection sheet. What decides by itself stays.',
  input: z
    .object({ sheet: z.enum(SHEET_IDS), reason: z.string().trim().min(8).max(300), reset: ticked })
    .catchall(z.union([z.string(), z.number()]))
    .describe('fields "weight-<attribute>" (0 to 5) and "text-<attribute>-<level>"'),
  subject: () => 'house',
  run({ now }, input) {
    const sheet = SHEETS.find(({ id }) => id === input.sheet)!;
    const changes = Object.fromEntries(
      sheet.attributes.flatMap((attribute) => {
        const rawWeight = input[`weight-${attribute.id}`];
        const weight = rawWeight === undefined || rawWeight === '' ? attribute.weight : Number(rawWeight);
        if (!Number.isFinite(weight) || weight < 0 || weight > 5) {
          throw new EmberError('quantity.out-of-range', {
            field: `weight-${attribute.id}`,
            unit: '',
            min: 0,
            max: 5,
            seen: String(rawWeight)
          });
        }
        const texts = attribute.levels.map((level, index) =>
          String(input[`text-${attribute.id}-${index}`] ?? level.text)
            .trim()
            .slice(0, 80)
        );
        const same =
          weight === attribute.weight && texts.every((text, index) => text === attribute.levels[index]!.text);
        return same ? [] : [[attribute.id, { weight, texts }]];
      })
    );
    const total = sheet.attributes.reduce(
      (sum, { id, weight }) => sum + ((changes[id] as { weight: number } | undefined)?.weight ?? weight),
      0
    );
    if (total <= 0) throw new EmberError('form.incomplete', { field: 'weight' });
    return {
      events: [
        draft('sheet.set', 'house', now, {
          id: input.sheet,
          changes: input.reset ? {} : changes,
          reason: input.reason
        })
      ],
      result: { sheet: input.sheet, changed: Object.keys(changes) }
    };
  }
});

export const setNotice = operation({
  name: 'set-notice',
  page: '/house/rules',
  summary: 'Word the raw-food notice as the house wants it; an empty text brings the shipped one back.',
  input: z.object({ text: z.string().trim().max(600), reason: z.string().trim().min(8).max(300) }),
  subject: () => 'house',
  run: ({ now }, input) => ({ events: [draft('notice.set', 'house', now, input)], result: { text: input.text } })
});
