import { hindranceWords } from './occupation.ts';
import { ROUTE_WORDS, STATE_WORDS } from './findings.ts';
import { words } from './speech.ts';
import type { Route, WindowState } from '../core/codes/window.ts';
import type { ErrorDetails } from '../core/errors.ts';
import type { Hindrance } from '../core/record/occupation.ts';

/** Why something that is right in itself cannot be done now, each as a sentence. */
export const NOT_NOW = /* @__PURE__ */ words({
  hindered: ({ hindrance }: ErrorDetails) => `Not now: the piece is ${hindranceWords(hindrance as Hindrance)}.`,
  'window-shut': ({ route, seen }: ErrorDetails) =>
    `It may not be served so. ${ROUTE_WORDS[route as Route]}: ${STATE_WORDS[seen as WindowState].toLowerCase()}.`,
  'tub-binned': () => 'That tub is in the bin.',
  'not-cut': () => 'It is whole and alive. Cut it first, then dress it.',
  'still-lasts': () => 'It still lasts. Read the place again, and answer it once it is over.',
  'not-frozen': () => 'It is not frozen: there is nothing to thaw.',
  'house-species': () => 'The house added this fish itself: no shipped entry stands behind it to go back to.',
  'in-the-book': () => 'It is in the book already.',
  'course-sent': () => 'That course has gone out already, or there is none left.',
  'out-of-the-book': () => 'It is out of the book already.',
  'old-cure': () =>
    'This cure was begun in an earlier version and is not changed on the way. Take it out, or let it run.',
  'step-done': () => 'That step is done already.',
  'ingredient-in-use': ({ name }: ErrorDetails) => `${String(name)} is in use already.`,
  identified: () => 'What this lot is was settled already. Correct that entry in the ledger.',
  'no-entry-ahead': () => 'No entry is a day ahead: there is nothing to put right.',
  alive: () => 'It is alive: it cannot hang.',
  'delivery-closed': () => 'That delivery is closed.',
  'handed-back': () => 'It was handed back already. Correct that entry in the ledger.',
  'nothing-left': () => 'Nothing of it is left to hand back.',
  'licensed-hands': () => 'Only licensed hands may open this fish.',
  'other-board': () => 'It is not from this board.',
  'worked-on': () => 'It was worked on since. Correct it in the ledger.',
  'import-not-ready': () => 'That file is not waiting to be taken in.'
});
export type NotNow = keyof typeof NOT_NOW;
