import type { SpeciesGroup } from '../fish/kinds.ts';

/** What is drawn beside an attribute. */
export type GuideDrawing =
  | 'eye'
  | 'gill'
  | 'skin'
  | 'spring'
  | 'belly'
  | 'smell'
  | 'colour'
  | 'gaping'
  | 'drip'
  | 'tap'
  | 'shell'
  | 'legs'
  | 'head'
  | 'mantle'
  | 'suckers'
  | 'grain'
  | 'worms';

export interface SheetLevel {
  readonly text: string;
  /** Demerit points before the weight, 0 to 3. */
  readonly points: number;
  /** Where seen, it decides by itself. */
  readonly settles?: 'cooked-only' | 'send-back';
}
export interface SheetAttribute {
  readonly id: string;
  readonly name: string;
  readonly guide: GuideDrawing;
  /** 0 to 5; what a person of the house may change, with the words. */
  readonly weight: number;
  readonly levels: readonly SheetLevel[];
  /** It may be left out: what nobody looked for counts as not seen. */
  readonly optional?: true;
}
export const SHEET_IDS = ['whole-fish', 'fillet', 'block', 'live-bivalve', 'crustacean', 'cephalopod', 'roe'] as const;
export type SheetId = (typeof SHEET_IDS)[number];
export interface Sheet {
  readonly id: SheetId;
  readonly name: string;
  readonly version: string;
  readonly attributes: readonly SheetAttribute[];
}

/** "level text|points" with ! for send back and ~ for cooked only. */
const levels = (...texts: string[]): SheetLevel[] =>
  texts.map((text, points) => ({
    text: text.replace(/[!~]$/, ''),
    points,
    ...(text.endsWith('!') ? { settles: 'send-back' as const } : {}),
    ...(text.endsWith('~') ? { settles: 'cooked-only' as const } : {})
  }));
const attribute = (id: string, name: string, guide: GuideDrawing, weight: number, ...texts: string[]) => ({
  id,
  name,
  guide,
  weight,
  levels: levels(...texts)
});

/**
 * A look for worms that can be seen: Reg. (EC) 2074/2005 Annex II Sec. I asks for it before sale, and what is obviously infested is not
 * put on the market. It says nothing of days, so it weighs nothing.
 */
const worms: SheetAttribute = {
  ...attribute('worms', 'Worms you can see', 'worms', 0, 'none', 'one or two, cut out', 'several~', 'infested!'),
  optional: true
};

/**
 * Inspection sheets as shipped. Demerit points that grow with days on ice, in the manner of the quality index method (Bremner
 * 1985; Martinsdottir et al. 2001, Sensory Evaluation of Fish Freshness); wording and weights are our own (check against your fish).
 */
export const SHEETS: readonly Sheet[] = [
  {
    id: 'whole-fish',
    name: 'Whole or gutted fish',
    version: '2026.2',
    attributes: [
      attribute('eye', 'Eye', 'eye', 2, 'full and clear', 'flat, pupil clear', 'hollow, pupil grey', 'sunken, milky'),
      attribute(
        'gill',
        'Gill',
        'gill',
        2,
        'bright red, clean',
        'duller, clear slime',
        'brownish, cloudy slime',
        'brown or grey, clotted'
      ),
      attribute(
        'skin',
        'Skin and slime',
        'skin',
        1,
        'shining, colours vivid',
        'less shine',
        'dull, milky slime',
        'faded, yellow slime'
      ),
      attribute(
        'flesh',
        'Flesh under a finger',
        'spring',
        2,
        'springs back at once',
        'springs back slowly',
        'a dent stays a while',
        'the dent stays~'
      ),
      attribute('belly', 'Belly and vent', 'belly', 1, 'firm and whole', 'a little soft', 'soft, vent open', 'burst!'),
      attribute(
        'smell',
        'Smell',
        'smell',
        3,
        'sea, cucumber, nothing',
        'neutral, a little fishy',
        'sour, stale!',
        'ammonia, rotten!'
      ),
      worms
    ]
  },
  {
    id: 'fillet',
    name: 'Fillet or loin',
    version: '2026.2',
    attributes: [
      attribute(
        'colour',
        'Colour',
        'colour',
        2,
        'bright, true to its kind',
        'a little dull',
        'dull, or a rainbow sheen',
        'brown, green or grey~'
      ),
      attribute('gaping', 'Gaping', 'gaping', 1, 'none', 'a few slits', 'many slits', 'falls apart!'),
      attribute('drip', 'Drip', 'drip', 1, 'dry surface', 'moist', 'stands in liquid', 'milky liquid'),
      attribute(
        'flesh',
        'Flesh under a finger',
        'spring',
        2,
        'springs back at once',
        'springs back slowly',
        'a dent stays a while',
        'pasty~'
      ),
      attribute(
        'blood',
        'Blood and bruises',
        'grain',
        1,
        'none',
        'a speck or two',
        'spots or a bruise',
        'clots through the flesh'
      ),
      attribute(
        'smell',
        'Smell',
        'smell',
        3,
        'sea, nothing',
        'neutral, a little fishy',
        'sour, stale!',
        'ammonia, rotten!'
      ),
      worms
    ]
  },
  {
    id: 'block',
    name: 'Block (saku)',
    version: '2026.2',
    attributes: [
      attribute(
        'colour',
        'Colour',
        'colour',
        3,
        'bright, true to its kind',
        'a little dull',
        'dull, or a rainbow sheen',
        'brown, green or grey~'
      ),
      attribute(
        'fat',
        'Fat',
        'grain',
        1,
        'as its cut should have it',
        'a little less',
        'little',
        'none where there should be'
      ),
      attribute(
        'texture',
        'Texture',
        'spring',
        2,
        'firm, cuts clean',
        'a little soft',
        'soft, tears',
        'pasty, falls apart!'
      ),
      attribute(
        'damage',
        'Damage',
        'gaping',
        1,
        'none',
        'a ragged edge',
        'gaping, blood spots',
        'torn, bruised through'
      ),
      attribute(
        'smell',
        'Smell',
        'smell',
        3,
        'sea, nothing',
        'neutral, a little fishy',
        'sour, stale!',
        'ammonia, rotten!'
      ),
      worms
    ]
  },
  {
    id: 'live-bivalve',
    name: 'Live bivalve',
    version: '2026.2',
    attributes: [
      attribute(
        'tap',
        'Answer to a tap',
        'tap',
        3,
        'shut, or shuts at once',
        'shuts slowly',
        'hardly moves!',
        'gapes, does not answer!'
      ),
      attribute('shell', 'Shell', 'shell', 1, 'whole and clean', 'chipped edge', 'cracked!', 'broken!'),
      attribute(
        'weight',
        'Weight in the hand',
        'drip',
        2,
        'heavy with its own water',
        'a little light',
        'light, rattles',
        'empty, or full of mud!'
      ),
      attribute('smell', 'Smell', 'smell', 3, 'clean sea', 'flat', 'strong, stale!', 'rotten!')
    ]
  },
  {
    id: 'crustacean',
    name: 'Crustacean',
    version: '2026.2',
    attributes: [
      attribute(
        'legs',
        'Movement',
        'legs',
        2,
        'lively, tail snaps',
        'slow',
        'limp, eyes still move',
        'dead, though it should live!'
      ),
      attribute(
        'head',
        'Head and joint',
        'head',
        2,
        'clear, tight',
        'a shade of grey',
        'dark spots',
        'black, head loose~'
      ),
      attribute('shell', 'Shell', 'shell', 1, 'hard, glossy', 'less gloss', 'soft or dry', 'slimy!'),
      attribute('flesh', 'Flesh', 'spring', 2, 'glassy and firm', 'a little cloudy', 'opaque, soft', 'mushy!'),
      attribute('smell', 'Smell', 'smell', 3, 'sweet, sea', 'flat', 'sour!', 'ammonia!')
    ]
  },
  {
    id: 'cephalopod',
    name: 'Squid, cuttlefish, octopus',
    version: '2026.2',
    attributes: [
      attribute(
        'mantle',
        'Skin',
        'mantle',
        2,
        'glassy, colour cells alive',
        'matt, colours even',
        'pink blush',
        'red or purple through~'
      ),
      attribute('eye', 'Eye', 'eye', 1, 'clear and full', 'flat', 'grey', 'milky, sunken'),
      attribute('flesh', 'Flesh', 'spring', 2, 'firm, ivory', 'a little slack', 'soft, pinkish', 'slimy!'),
      attribute('suckers', 'Arms and suckers', 'suckers', 1, 'grip and hold', 'hold weakly', 'slack', 'torn away'),
      attribute('smell', 'Smell', 'smell', 3, 'sea, sweet', 'flat', 'stale!', 'ammonia!'),
      worms
    ]
  },
  {
    id: 'roe',
    name: 'Roe and urchin',
    version: '2026.2',
    attributes: [
      attribute(
        'colour',
        'Colour',
        'colour',
        2,
        'bright and even',
        'a little dull',
        'uneven, greyish',
        'brown or black~'
      ),
      attribute('grain', 'Grain', 'grain', 2, 'separate and firm', 'softer', 'sticky', 'melted or burst~'),
      attribute('drip', 'Liquid', 'drip', 1, 'none', 'a little, clear', 'cloudy', 'milky'),
      attribute('smell', 'Smell', 'smell', 3, 'sweet, sea', 'flat', 'bitter, strong!', 'sour, ammonia!')
    ]
  }
];

/**
 * The sheet for what lies on the board.
 *
 * @example
 * sheetIdFor('finfish', 'gutted') // => 'whole-fish'
 */
export function sheetIdFor(group: SpeciesGroup, form: string): SheetId {
  if (group === 'mollusc' || group === 'gastropod' || group === 'scallop')
    return form === 'live' || form === 'shell-on' ? 'live-bivalve' : 'fillet';
  if (group === 'crustacean') return 'crustacean';
  if (group === 'cephalopod') return 'cephalopod';
  if (group === 'roe' || group === 'urchin' || form === 'roe') return 'roe';
  if (form === 'block') return 'block';
  return form === 'whole' || form === 'gutted' || form === 'live' ? 'whole-fish' : 'fillet';
}

/** What a house changed on a sheet: weights and words, attribute by attribute. */
export interface HouseSheet {
  readonly id: SheetId;
  readonly changes: Readonly<Record<string, { readonly weight: number; readonly texts: readonly string[] }>>;
  readonly reason: string;
  readonly by: string;
  readonly seq: number;
}

/** A sheet as the house has it; its version names the entry that changed it. */
export function sheetIn(book: Readonly<Record<string, HouseSheet>>, id: SheetId): Sheet {
  const shipped = SHEETS.find((sheet) => sheet.id === id)!;
  const own = book[id];
  if (!own) return shipped;
  return {
    ...shipped,
    version: `${shipped.version}, house entry ${own.seq}`,
    attributes: shipped.attributes.map((each) => {
      const change = own.changes[each.id];
      if (!change) return each;
      return {
        ...each,
        weight: change.weight,
        // What settles by itself stays where it is: a house words it otherwise, it does not take it away.
        levels: each.levels.map((level, index) => ({ ...level, text: change.texts[index] || level.text }))
      };
    })
  };
}
