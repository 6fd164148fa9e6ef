import * as say from '../say.ts';
import { words, type Said } from '../speech.ts';

export const find = /* @__PURE__ */ words({
  findAPieceA: 'Find a piece, a lot, a method or a species',
  whatToFind: 'What to find',
  turbotTurIwashi: 'turbot, TUR-1123, iwashi …',
  nothingByThatName: 'Nothing by that name.',
  notConnected: 'Not connected. Try again when the house answers.',
  species: (what: Said) => `species · ${what}`
});

export const keys = /* @__PURE__ */ words({
  keys: 'Keys',
  aNewLot: 'A new lot',
  breakDownTakeThe: 'Break down: take the weight that is at rest',
  findAPieceLot: 'Find a piece, lot or species',
  thisSheet: 'This sheet',
  onTheTideChart: 'On the tide chart: along time',
  onTheTideChartZoom: 'On the tide chart: zoom'
});

export const reasons = /* @__PURE__ */ words({
  of: (lots: Said) => `Of ${lots}:`,
  ifText: (candidate: Said) => `If ${candidate}:`,
  ownedBy: (names: Said, dayAndTime: Said, reason: Said) => `${names} took responsibility, ${dayAndTime}: “${reason}”`,
  allowedBy: (by: Said, reason: Said) => `Allowed by ${by}, ${reason}`,
  correctedSinceByWho: 'Corrected since. What was read first counts all the same.',
  wouldChangeIt: (wouldChange: Said) => `What would change it: ${wouldChange}`,
  checkWithYourAuthority: '· check with your authority',
  entry: (seq: Said) => `entry ${seq}`,
  entriesInAll: (length: Said) => `\u00a0· ${length} entries in all`,
  shutsForEver: 'Never',
  holdsBack: 'Missing',
  readItBy: 'Read it by',
  owned: 'By responsibility',
  allowed: 'Allowed',
  allRoutes: 'all routes',
  opens: 'Opens',
  closes: 'Closes',
  stands: 'In order'
});

export const rootError = /* @__PURE__ */ words({
  backToNow: 'Back to Now',
  notOnRecord: 'Not on record',
  somethingWentWrong: 'Something went wrong'
});

export const rootLayout = /* @__PURE__ */ words({
  emberTide: (name: Said) => `Ember Tide · ${name}`,
  toTheContent: 'To the content',
  places: 'Places',
  emberTideToNow: 'Ember Tide, to Now',
  emberTide2: 'Ember Tide',
  find: 'Find',
  keys: 'Keys',
  notConnectedShowingWhat: 'Not connected. You see what was last known.',
  whoIsHere: 'Who is here',
  nobodyYet: 'Nobody yet',
  set: 'Set',
  theRecordIsRead: 'The record cannot be written to. You can read everything, but keep nothing until that is mended.',
  thisMachinesClockIsAhead: (day: Said, duration: Said) =>
    `This machine’s clock reads ${day}: ${duration} past the last entry. Set it before anything is written.`,
  entriesAreGone: (noted: number, found: number) =>
    found >= noted
      ? `This is not the record that was here: its entry No. ${say.number(noted, 0)} is another. Windows may look open that are not. Put the right one in its place before you serve.`
      : `Entries are gone from the record: ${say.number(noted, 0)} were written, and the last that is there is No. ${say.number(found, 0)}. Windows may look open that are not. Put a copy in its place before you serve.`,
  goOnWithoutThem: 'Go on without them',
  sayThatItIsRight: 'It is right',
  putTimesRight: 'The ledger’s times are wrong',
  thisMachinesClockReads: (duration: Said) =>
    `Set this machine’s clock: it is ${duration} behind the newest entry of the ledger. Until then windows may look open too long.`,
  ledgerStandsAt: (entry: number, hash: string) =>
    `Ledger: No. ${say.number(entry, 0)}, ${hash.replace(/(.{4})(?=.)/g, '$1 ')}.`,
  guidanceForTrainedStaff:
    'Guidance for trained staff. Your local code, your competent authority and licensed practice decide.'
});

export const told = /* @__PURE__ */ words({
  undo: 'Undo',
  undone: 'Undone. Both stand in the ledger.',
  undoneAtOnce: 'undone at once',
  putAway: 'Close',
  didNotReach: 'Not sent: no connection. Send it again.'
});

export const nowPage = /* @__PURE__ */ words({
  now: 'Now',
  theBoardsAreClear: 'The boards are clear',
  noFishInThe: 'No fish in the house yet. Receive the first box: its windows and clocks start here.',
  nobodyIsOnThe: 'Nobody is on the list yet:',
  addYourselfInHouse: 'add yourself in House',
  first: 'first.',
  handsNow: 'To do now',
  nothingWantsHandsIn: 'Nothing to do in the next hours.',
  since: (moment: Said) => `since ${moment}`,
  lasts: 'goes on',
  answer: 'deal with it',
  layThere: (pieces: Said, what: Said) => `${pieces} ${what} inside`,
  nothingLayThere: 'nothing inside',
  upTo: (temperature: Said) => `, up to ${temperature}`,
  waits: 'waiting',
  since2: 'since',
  at: 'at',
  onlyWhatIsNear: 'Only what is near',
  showMore: (hidden: Said) => `Show ${hidden} more`
});

/** What the places on the rail are called, by their paths. */
export const PLACE_NAMES = /* @__PURE__ */ words({
  '/': 'Now',
  '/receive': 'Receive',
  '/break': 'Break down',
  '/freeze': 'Freeze',
  '/cure': 'Cure',
  '/acid': 'Acid',
  '/age': 'Age',
  '/slice': 'Slice',
  '/rice': 'Rice',
  '/serve': 'Serve',
  '/ledger': 'Ledger',
  '/house': 'House'
});
