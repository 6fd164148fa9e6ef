import { words } from './speech.ts';

/** What is to choose from at the door, by its value. */
export const FORM_OPTIONS = /* @__PURE__ */ words({
  whole: 'whole',
  gutted: 'gutted',
  fillet: 'fillet',
  loin: 'loin',
  block: 'block',
  live: 'live',
  'shell-on': 'shell on',
  shucked: 'shucked',
  roe: 'roe'
});
export const SOURCE_OPTIONS = /* @__PURE__ */ words({
  wild: 'wild',
  farmed: 'farmed',
  unknown: 'nobody said'
});
export const SYSTEM_OPTIONS = /* @__PURE__ */ words({
  '': 'choose',
  'net-pen-open-water': 'net pen in open water',
  'land-based': 'tanks on land',
  pond: 'pond',
  other: 'another way'
});
export const WATER_OPTIONS = /* @__PURE__ */ words({
  sea: 'sea',
  fresh: 'fresh',
  brackish: 'brackish',
  unknown: 'nobody said'
});
export const COMMERCIAL_OPTIONS = /* @__PURE__ */ words({
  yes: 'yes',
  no: 'no: own line',
  unknown: 'nobody said'
});
export const PURPOSE_OPTIONS = /* @__PURE__ */ words({
  sale: 'guests',
  'own-table': 'staff meal',
  training: 'staff training'
});
export const ICE_OPTIONS = /* @__PURE__ */ words({
  unknown: 'not looked at',
  plenty: 'well iced',
  some: 'some ice left',
  none: 'no ice',
  slurry: 'ice slurry'
});
export const FROZEN_OPTIONS = /* @__PURE__ */ words({
  unknown: 'nobody said',
  no: 'no',
  yes: 'yes, and thawed'
});
export const PACK_OPTIONS = /* @__PURE__ */ words({
  none: 'open to the air',
  closed: 'without air (vacuum, pressed out)',
  unknown: 'nobody said'
});
export const INDICATOR_OPTIONS = /* @__PURE__ */ words({
  unknown: 'not looked at',
  yes: 'yes, and unchanged',
  no: 'none, or it has turned'
});
export const GEAR_OPTIONS = /* @__PURE__ */ words({
  unknown: 'nobody said',
  'pole-or-handline': 'pole or handline',
  longline: 'longline',
  gillnet: 'gillnet',
  trawl: 'trawl',
  seine: 'seine',
  pot: 'pot',
  dredge: 'dredge',
  'by-hand': 'by hand',
  'farm-harvest': 'farm harvest'
});
export const KILLING_OPTIONS = /* @__PURE__ */ words({
  unknown: 'nobody said',
  'spiked-bled': 'spiked, cord cleared, bled',
  spiked: 'spiked',
  bled: 'bled',
  struck: 'struck',
  'ice-slurry': 'in ice slurry',
  'died-in-gear': 'died in gear',
  alive: 'alive'
});
export const PRICE_OPTIONS = /* @__PURE__ */ words({
  kg: 'a kilogram',
  lb: 'a pound',
  piece: 'a piece',
  case: 'a case'
});
export const DECISION_OPTIONS = /* @__PURE__ */ words({
  accept: 'Accept',
  'cooked-only': 'For cooking only',
  'hold-freeze': 'Hold for freezing',
  'send-back': 'Send back'
});

/** Choices of a list whose values are words themselves; some have a better one. */
export const named = (values: readonly string[], better: Readonly<Record<string, string>> = {}) =>
  values.map((value) => ({ value, name: better[value] ?? value.replaceAll('-', ' ') }));
