import { said, words } from './speech.ts';
import type { School } from '../core/activity/cure/lists.ts';
import type { CureStep } from '../core/bench/cure/steps.ts';

/** What the schools of curing and their steps are called: apart from what is told about them, because every page names them. */
export const CURE_NAMES: Record<
  School,
  { readonly name: string; /** In a running text: "in a weighed cure". */ readonly noun: string }
> = /* @__PURE__ */ words({
  cover: { name: 'Cover', noun: 'cover cure' },
  weighed: { name: 'Weighed', noun: 'weighed cure' },
  brine: { name: 'Wet brine', noun: 'brine' },
  film: { name: 'Short salting', noun: 'short salting' },
  desalt: { name: 'Desalting', noun: 'desalting' },
  marinade: { name: 'Paste or soy', noun: 'marinade' }
});

const STEPS: Record<CureStep['code'], string> = /* @__PURE__ */ words({
  'lay-on': 'Lay the salt on',
  'into-brine': 'Into the brine',
  'into-water': 'Into cold water',
  'into-paste': 'Into the marinade',
  turn: 'Turn it',
  baste: 'Baste it with its liquid',
  'pour-off': 'Pour off the liquid',
  'change-water': 'Change the water',
  lift: 'Lift it out',
  wipe: 'Wipe it',
  rinse: 'Rinse it quickly',
  dry: 'Dry it well',
  'rest-over': 'Rest is over: weigh and taste',
  'put-back': 'Put it back'
});
/** What hands do at a step. */
export const cureStepWords = /* @__PURE__ */ said((code: string): string => STEPS[code as CureStep['code']] ?? code);
