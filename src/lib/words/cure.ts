import { said, words } from './speech.ts';
import type { Dosing, School } from '../core/activity/cure/lists.ts';

/** Words for the cure bench: schools, their reasons, ranges and mistakes; steps; and what a choice changes. */
export interface SchoolWords {
  readonly what: string;
  readonly steps: readonly { readonly do: string; readonly why: string }[];
  readonly usual: string;
  readonly mistakes: readonly string[];
  readonly inspect: readonly string[];
}

export const SCHOOL_WORDS: Record<School, SchoolWords> = /* @__PURE__ */ words({
  cover: {
    what: 'Salt and sugar laid on by a rate of the fish’s weight, taken off when it is enough. Quick, and it can go too far.',
    steps: [
      { do: 'Trim or fold the flap', why: 'a thin end is through in hours while the shoulder has hardly begun' },
      { do: 'Lay it on by the thickness', why: 'the same dose everywhere is three times as much for the tail' },
      { do: 'Drain, or keep the liquid: decide', why: 'the liquid is saturated brine, and goes on curing' },
      { do: 'Rinse quickly, dry well', why: 'a wet face goes on moving salt and spoils first' },
      { do: 'Rest', why: 'salt goes on from the face to the middle; nothing more comes in' }
    ],
    usual: 'mix 6 to 25 % of the fish, 6 h to 3 d; rest 12 to 48 h. Salt to sugar 2:1, 1:1 or 1:2.',
    mistakes: [
      'a spoon instead of a scale: flake and fine salt differ almost two-fold',
      'the same dose for thick and thin',
      'film touching the fish with no drain',
      'a day too long because the middle still felt soft'
    ],
    inspect: [
      'firm at the thickest point, like the ball of a thumb',
      'translucent, without a dull core',
      'weight lost, against the forecast',
      'liquid drawn, and whether salt lies undissolved',
      'a corner, tasted'
    ]
  },
  weighed: {
    what: 'Just the salt that the finished piece shall hold. Slow; it cannot become saltier than asked for.',
    steps: [
      {
        do: 'Weigh the piece, weigh the salt',
        why: 'the percentage is the recipe; a gram of error is a gram of error'
      },
      { do: 'Rub every face, leave nothing in the bowl', why: 'what does not touch the fish is missing in it' },
      { do: 'Keep the liquid with it', why: 'the salt in it belongs to the fish' },
      { do: 'Wipe, do not rinse', why: 'it was meant to have all of it' },
      { do: 'Rest', why: 'thick pieces are still uneven when the liquid has gone back' }
    ],
    usual: '1.5 to 3 % salt, up to half as much sugar, 1 to 5 d by thickness.',
    mistakes: [
      'taken out as early as a cover cure: the middle holds nothing yet',
      'salt left in the bag',
      'a bag with the air pressed out, forgotten to be reduced-oxygen packing'
    ],
    inspect: ['the liquid has mostly gone back', 'even feel from end to end', 'a corner of the thick end, tasted']
  },
  brine: {
    what: 'Salted water all round: even, gentle, and with as much brine as fish or more it hardly changes strength.',
    steps: [
      { do: 'Weigh water and salt', why: 'strength is by weight; a cup of salt is anything' },
      { do: 'Chill it first', why: 'warm brine warms the fish and works faster than the clock says' },
      { do: 'Keep it under', why: 'what floats is not brined' },
      { do: 'Lift, dry, rest', why: 'the face is at the brine’s strength, the middle is not' }
    ],
    usual: '2 to 5 % overnight for firmness before heat; 5 to 10 % for hours; minutes for slices.',
    mistakes: [
      'too little brine: it is spent half-way',
      'brine used again',
      'stronger than 26.4 %: the rest lies at the bottom'
    ],
    inspect: [
      'firmer, not rubbery',
      'weight gained in weak brine, lost in strong',
      'a slice from the thick end, tasted'
    ]
  },
  film: {
    what: 'A light film of salt for minutes: draws the surface water, firms and seasons. The middle stays raw and unsalted.',
    steps: [
      { do: 'A light film from high up', why: 'even, and thinner than it looks' },
      { do: 'Wait 20 to 60 minutes', why: 'water beads, and takes fishiness along' },
      { do: 'Wipe or rinse in iced salted water', why: 'what is left would go on' },
      { do: 'Dry, rest in the cold', why: 'vinegar and paste do not enter a wet face' }
    ],
    usual: '1 to 4 % of the weight, 20 to 60 min; before vinegar, before a paste, before the knife.',
    mistakes: [
      'left while something else was done',
      'not dried before the paste',
      'taken for a cure: it keeps nothing'
    ],
    inspect: ['beads of water wiped off', 'a tacky, clear face', 'the edge of a slice, tasted']
  },
  desalt: {
    what: 'Salted fish in changes of cold water. Each bath goes on from where the last one left the fish.',
    steps: [
      { do: 'Rinse off loose salt', why: 'it would be the first bath’s whole strength' },
      { do: 'Skin up, on a rack, in plenty of cold water', why: 'heavy brine sinks away from it' },
      { do: 'Change as planned', why: 'a bath that has become as salty as the fish does nothing' },
      { do: 'Taste the middle before the last change', why: 'the face says nothing' }
    ],
    usual: 'five times its weight of water at 2 to 5 °C, changed every 6 to 12 h, 12 h to 3 d by thickness.',
    mistakes: [
      'on the bench instead of in the cold',
      'one big bath instead of several',
      'stopped by the taste of the edge'
    ],
    inspect: ['swollen and pliable', 'a flake from the thickest middle, tasted', 'weight gained']
  },
  marinade: {
    what: 'A salty, sweet paste or soy bath, as a rule after a short salting. Light pastes are sweet, dark ones salty.',
    steps: [
      { do: 'Salt lightly, wait, dry', why: 'the paste cannot enter a wet face' },
      { do: 'Loosen the paste with rice wine and a sweetener', why: 'it has to touch every face' },
      { do: 'Every face in contact, a cloth between if you like', why: 'what is not covered is not marinated' },
      { do: 'Wipe, never rinse', why: 'water takes the sweetness and leaves the salt' }
    ],
    usual: 'a quarter to a half of the fish’s weight of paste; a night to three days; soy baths 10 to 30 min.',
    mistakes: [
      'an airless bag: that is reduced-oxygen packing',
      'dark paste for as long as light: twice as salty',
      'left on under heat: it burns'
    ],
    inspect: ['darker, firmer, dry to the touch once wiped', 'an end cut off and tasted, or seared and tasted']
  }
});

export const DOSING_WORDS: Record<Dosing, string> = /* @__PURE__ */ words({
  face: 'evenly over the face, by hand',
  weight: 'each zone by its own weight',
  together: 'less on the thin end, so that all finish together'
});

const STAGES: Record<string, string> = /* @__PURE__ */ words({
  cure: 'in its cure',
  brine: 'in brine',
  film: 'under a film of salt',
  soak: 'in water',
  paste: 'in the marinade',
  rest: 'resting',
  dry: 'drying',
  paused: 'paused, lifted out'
});
export const cureStageWords = /* @__PURE__ */ said((id: string): string => STAGES[id] ?? id);

/** Where cooks disagree and the model cannot settle it. */
export const CANNOT_TELL = /* @__PURE__ */ words({
  turned:
    'Turning keeps salt and liquid in touch with every face, which the model takes for granted; what a parcel left closed loses by that, it cannot tell. Turn, and every opening is a chance for dirt; leave it, and check that the liquid reaches both ends.',
  pressed:
    'Pressing squeezes out liquid and makes the flesh denser; the model knows neither. Weigh it before and after: with pressed runs weighed, the house’s own water loss says what it does.',
  skin: 'Skin is taken as closed: with it on, salt comes from one side only and the middle is the skin side.'
} as const);

export const PACK_WORDS = /* @__PURE__ */ words({
  open: 'open, or loosely wrapped',
  closed: 'a bag with the air pressed out, or a vacuum pack'
} as const);
export const SALT_TASTE_WORDS = /* @__PURE__ */ words({
  unknown: 'nobody tasted it',
  low: 'too little salt',
  right: 'right',
  high: 'too salty'
} as const);
export const METER_WORDS = /* @__PURE__ */ words({
  mean: 'minced, or several places',
  middle: 'the thickest middle',
  surface: 'just under the face'
} as const);
