import * as say from '../say.ts';
import { words, type Said } from '../speech.ts';

export const find = /* @__PURE__ */ words({
  findAPieceA: 'Find anything',
  whatToFind: 'What to find',
  turbotTurIwashi: 'tur dra, TUR-1123, a supplier, a name …',
  nothingByThatName: 'Nothing by that name, here or gone.',
  looking: 'Looking …',
  notConnected: 'Not connected. Try again when the house answers.',
  receiveIt: 'Receive it',
  lookInTheLedger: 'Look in the ledger',
  allSpecies: 'All species',
  lots: (count: number) => say.plural(count, { one: 'lot', other: 'lots' })
});

/** What each finding is. */
export const FIND_NAMES = /* @__PURE__ */ words({
  piece: 'piece',
  lot: 'lot',
  place: 'place',
  supplier: 'supplier',
  person: 'person',
  recipe: 'cure',
  sauce: 'sauce',
  dish: 'dish',
  service: 'service',
  species: 'species',
  entry: 'entry of the ledger'
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
