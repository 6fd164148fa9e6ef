import { stateAt, type RouteWindow } from '../core/codes/window.ts';
import { STATE_WORDS } from './findings.ts';
import * as say from './say.ts';
import { said, words } from './speech.ts';

const WORDS = /* @__PURE__ */ words({
  open: 'Open',
  closingAt: (at: string, left: string) => `Closing ${left}, at ${at}`,
  thenRead: (words: string) => `${words}, then read the core`,
  closed: (at: string) => `Closed ${at}`,
  neverServed: 'Never served',
  readingDue: 'Not cleared: read the core'
});

/** The state of a route's window, until when or from when. */
export const windowWords = /* @__PURE__ */ said((window: RouteWindow, now: number, warnSeconds: number): string => {
  const state = stateAt(window, now, warnSeconds);
  switch (state) {
    case 'open':
    case 'ebbing':
      if (window.closes === null) return WORDS.open;
      return state === 'open'
        ? `${STATE_WORDS.open} ${say.moment(window.closes, now)}`
        : WORDS.closingAt(say.moment(window.closes, now), say.until(window.closes, now));
    case 'locked': {
      const until = `${STATE_WORDS.locked} ${say.moment(window.opens ?? now, now)}`;
      return window.proofDue === null ? until : WORDS.thenRead(until);
    }
    case 'closed':
      return window.closes !== null && window.closes <= now
        ? WORDS.closed(say.moment(window.closes, now))
        : STATE_WORDS.closed;
    case 'never':
      return window.route === 'cooked' ? WORDS.neverServed : STATE_WORDS.never;
    default:
      return window.proofDue !== null && !window.missing ? WORDS.readingDue : STATE_WORDS[state];
  }
});
