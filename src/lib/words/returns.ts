import { words } from './speech.ts';
import type { CREDITS } from '../core/activity/receive/bodies.ts';

export const CREDIT_WORDS: Record<(typeof CREDITS)[number], string> = /* @__PURE__ */ words({
  asked: 'Asked for',
  agreed: 'Agreed',
  refused: 'Refused',
  none: 'None asked'
});
export const RETURN_WORDS = /* @__PURE__ */ words({
  title: 'Send it back',
  went: 'Sent back',
  lead: 'All that is left of this lot goes back with its seller: it is gone from every list, and no later look takes it in again.',
  waiting:
    'Sent back by decision. Nobody has said yet who took it, how much, and what credit was asked: keep it apart, and write it down when it goes.',
  mass: 'Weight carried away',
  onRecord: (mass: string) => `Empty means all on record: ${mass}.`,
  to: 'Who took it',
  credit: 'Credit',
  amount: (currency: string) => `How much, ${currency}`,
  paid: (sum: string) => `It was bought for ${sum}.`,
  reason: 'Why',
  note: 'Note',
  submit: 'Sent back',
  stays: 'Begun with here, it stays: shut for every use, for the bin.',
  wouldStay: 'Begun with here, this would stay, shut for every use:',
  less: (mass: string) => `${mass} less than stood on record.`,
  more: (mass: string) => `${mass} more than stood on record.`,
  of: (mass: string, to: string) => `${mass} to ${to}`
} as const);
