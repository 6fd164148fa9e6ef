import { z } from 'zod';
import type { Species } from '../../fish/species.ts';
import type { FORMS } from '../../activity/receive/bodies.ts';
import type { CutTemplate } from '../../activity/board/fold.ts';
import { CUT_MAPS } from './map-data.ts';
import { MAP_IDS, type CutMap, type CutPart, type MapId } from './map-types.ts';

import { TEMPLATES, sideShare } from './templates.ts';

type Form = (typeof FORMS)[number];

export const cutMap = (id: MapId): CutMap => CUT_MAPS[id];
export const mapId = z.enum(MAP_IDS);

const TUNA_LIKE = new Set(
  'yellowfin bigeye atlantic-bluefin southern-bluefin pacific-bluefin albacore skipjack atlantic-bonito swordfish marlin'.split(
    ' '
  )
);
const FLAT = new Set('flounder turbot halibut sole'.split(' '));
const SALMONID = new Set('atlantic-salmon king-salmon sockeye arctic-char rainbow coho-salmon brown-trout'.split(' '));
const SMALL_OILY = new Set(
  'sardine anchovy herring atlantic-mackerel horse-mackerel pacific-saury halfbeak gizzard-shad'.split(' ')
);

/**
 * The cut map that fits a species in a form; a person may take another.
 *
 * @example
 * mapFor({ id: 'turbot', group: 'finfish' }, 'whole') // => 'flatfish'
 */
export function mapFor(species: Pick<Species, 'id' | 'group'> | null, form: Form): MapId {
  if (!species) return form === 'whole' || form === 'gutted' ? 'round' : 'fillet';
  if (species.group === 'cephalopod') return 'cephalopod';
  if (species.group === 'crustacean') return 'crustacean';
  if (
    species.group === 'mollusc' ||
    species.group === 'gastropod' ||
    species.group === 'scallop' ||
    species.group === 'urchin'
  )
    return 'bivalve';
  if (form === 'fillet' && SALMONID.has(species.id)) return 'side';
  if (form !== 'whole' && form !== 'gutted') return 'fillet';
  if (TUNA_LIKE.has(species.id)) return 'four-loins';
  if (FLAT.has(species.id)) return 'flatfish';
  if (SMALL_OILY.has(species.id)) return 'small-oily';
  return 'round';
}

/**
 * Fish that only licensed hands may open: no map, no order of work and no use of any part is said of them here, nor of what
 * may be one of them.
 */
export const forLicensedHands = (candidates: readonly Pick<Species, 'handling'>[]): boolean =>
  candidates.some(({ handling }) => handling.includes('licensed-only'));

/** Divisions of a side that ship, and the house's own over them. */
export const templatesOf = (own: Readonly<Record<string, CutTemplate>>): CutTemplate[] => [
  ...TEMPLATES.filter(({ id }) => !own[id]),
  ...Object.values(own)
];

/**
 * The parts of a map: of a side, those of the division that is followed, with shares by the volume each takes of a side.
 */
export function partsOf(map: CutMap, template: CutTemplate | null): readonly CutPart[] {
  if (map.id !== 'side' || !template) return map.parts;
  const named = template.parts.map((part): CutPart => {
    const share = sideShare(part);
    return {
      id: part.id,
      name: part.name,
      share: [share * 0.6, share],
      use: part.use,
      grade: part.use === 'stock' || part.use === 'mince' || part.use === 'crisp' ? 'by-product' : 'prime',
      form: 'block',
      waste: null
    };
  });
  return [...named, ...map.parts];
}

/** The part that a kind of waste is: the one that is nothing else, before one that is usually kept. */
export const partOfWaste = <Part extends Pick<CutPart, 'use' | 'waste'>>(
  parts: readonly Part[],
  what: string
): Part | undefined =>
  parts.find(({ use, waste }) => waste === what && use === '') ?? parts.find(({ waste }) => waste === what);

/** The order of work of a school with each choice filled in, and without what a form no longer needs. */
export function orderOfWork(
  map: CutMap,
  schoolId: string,
  ways: Readonly<Record<string, string>>,
  form: Form
): string[] {
  const school = map.schools.find(({ id }) => id === schoolId) ?? map.schools[0]!;
  const done = form === 'gutted' ? new Set(['open-belly', 'gills-out']) : new Set<string>();
  return school.steps
    .flatMap((step) => {
      const choices = map.choices.filter(({ slot }) => slot === step);
      if (choices.length === 0) return [step];
      return choices.map((choice) => {
        const wanted = ways[choice.id] ?? '';
        return choice.ways.includes(wanted) ? wanted : choice.ways[0]!;
      });
    })
    .filter((step) => step !== 'none' && !done.has(step));
}
