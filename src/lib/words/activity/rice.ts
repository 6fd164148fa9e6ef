import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const riceWords = /* @__PURE__ */ words({
  tasks: { 'rice-discard': (seen) => `Bin the rice: ${seen.name}` },
  steps: { rice: () => 'Rice' }
} satisfies ActivityWords);

export const RICE_WORDS = /* @__PURE__ */ words({
  title: 'Rice',
  none: 'No rice is dressed. The clock starts when it is dressed: write a tub down as soon as it is mixed.',
  make: 'A tub is dressed',
  name: 'Called',
  mass: 'Dressed rice',
  place: 'Where it stands',
  dressing: 'Its dressing',
  dressingHint: 'From the list, with commas between; what they hold is told with the rice.',
  dressedAt: 'Dressed at',
  now: 'Empty means now.',
  start: 'Start its clock',
  binAt: (time: string) => `bin at ${time}`,
  over: 'Bin it now',
  dressed: (time: string) => `Dressed ${time}`,
  cooling: 'As it cooled',
  unread: 'Nobody has read it yet. It is shaped at 32 to 38 °C.',
  unreadF: 'Nobody has read it yet. It is shaped at 90 to 100 °F.',
  reads: 'It reads',
  write: 'Write it down',
  bin: 'Bin it',
  left: 'What was left',
  reason: 'Why',
  binned: 'Binned in the last day',
  noneBinned: 'None.',
  label: 'Its label',
  tell: 'Tell with it:',
  rule: ({ hours, citation, check }: { hours: number; citation: string; check?: boolean }) =>
    `${hours} h from dressing. ${citation}${check ? ' (check with your authority)' : ''}.`,
  caution:
    'One clock a tub: what comes off it goes into the bin, and none of it into the next. Frying rescues no old rice: the poison survives it. Held by its acid instead, it needs a plan and a document of your authority; that is not kept here. Your local code and licensed practice decide.'
} as const);
