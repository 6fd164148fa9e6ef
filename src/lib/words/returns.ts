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
  lead: 'All that is left of this lot goes back to its seller. It leaves every list and cannot come back.',
  waiting: 'To be sent back. Keep it apart. When it goes, write down who took it, how much, and what credit you asked.',
  mass: 'Weight carried away',
  onRecord: (mass: string) => `Empty means all on record: ${mass}.`,
  to: 'Who took it',
  credit: 'Credit',
  amount: (currency: string) => `How much, ${currency}`,
  paid: (sum: string) => `It was bought for ${sum}.`,
  reason: 'Why',
  note: 'Note',
  submit: 'Sent back',
  stays: 'Started here, it stays: bin it.',
  wouldStay: 'Begun with here, this would stay, shut for every use:',
  less: (mass: string) => `${mass} less than stood on record.`,
  more: (mass: string) => `${mass} more than stood on record.`,
  of: (mass: string, to: string) => `${mass} to ${to}`
} as const);
