/** Choices of the receiving form, as a person reads them. */
export const named = (values: readonly string[], words: Record<string, string> = {}) =>
  values.map((value) => ({ value, name: words[value] ?? value.replaceAll('-', ' ') }));

export const FORM_OPTIONS = named(['whole', 'gutted', 'fillet', 'loin', 'block', 'live', 'shell-on', 'shucked', 'roe']);
export const SOURCE_OPTIONS = named(['wild', 'farmed', 'unknown'], { unknown: 'nobody said' });
export const SYSTEM_OPTIONS = named(['', 'net-pen-open-water', 'land-based', 'pond', 'other'], {
  '': 'choose',
  'net-pen-open-water': 'net pen in open water',
  'land-based': 'tanks on land',
  other: 'another way'
});
export const WATER_OPTIONS = named(['sea', 'fresh', 'brackish', 'unknown'], { unknown: 'nobody said' });
export const COMMERCIAL_OPTIONS = named(['yes', 'no', 'unknown'], { no: 'no: own line', unknown: 'nobody said' });
export const PURPOSE_OPTIONS = named(['sale', 'own-table', 'training'], {
  sale: 'guests',
  'own-table': 'own table',
  training: 'staff training'
});
export const ICE_OPTIONS = named(['unknown', 'plenty', 'some', 'none', 'slurry'], {
  unknown: 'not looked at',
  plenty: 'well iced',
  some: 'some ice left',
  none: 'no ice',
  slurry: 'ice slurry'
});
export const FROZEN_OPTIONS = named(['unknown', 'no', 'yes'], { unknown: 'nobody said', yes: 'yes, and thawed' });
export const PACK_OPTIONS = named(['none', 'closed', 'unknown'], {
  none: 'open to the air',
  closed: 'without air (vacuum, pressed out)',
  unknown: 'nobody said'
});
export const INDICATOR_OPTIONS = named(['unknown', 'yes', 'no'], {
  unknown: 'not looked at',
  yes: 'yes, and unchanged',
  no: 'none, or it has turned'
});
export const GEAR_OPTIONS = named(
  ['unknown', 'pole-or-handline', 'longline', 'gillnet', 'trawl', 'seine', 'pot', 'dredge', 'by-hand', 'farm-harvest'],
  { unknown: 'nobody said' }
);
export const KILLING_OPTIONS = named(
  ['unknown', 'spiked-bled', 'spiked', 'bled', 'struck', 'ice-slurry', 'died-in-gear', 'alive'],
  { unknown: 'nobody said', 'spiked-bled': 'spiked, cord cleared, bled', 'ice-slurry': 'in ice slurry' }
);
export const PRICE_OPTIONS = named(['kg', 'lb', 'piece', 'case'], {
  kg: 'a kilogram',
  lb: 'a pound',
  piece: 'a piece',
  case: 'a case'
});
export const DECISION_OPTIONS = named(['accept', 'cooked-only', 'hold-freeze', 'send-back'], {
  accept: 'Accept',
  'cooked-only': 'For cooking only',
  'hold-freeze': 'Hold for freezing',
  'send-back': 'Send back'
});
