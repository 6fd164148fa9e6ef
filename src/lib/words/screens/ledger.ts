import * as say from '../say.ts';
import { words, type Said } from '../speech.ts';

export const ledgerPage = /* @__PURE__ */ words({
  ledger: 'Ledger',
  onlyEverAddedTo: 'Entries are only added, never changed. To correct one, add a correction.',
  day: 'Day',
  lot: 'Lot',
  all: 'all',
  person: 'Person',
  show: 'Show',
  allAsCsv: 'All as CSV',
  allAsJsonLines: 'All as JSON Lines',
  print: 'Print',
  writtenDownWhatStood:
    'Written down. The first figure still counts too: ask a second person to correct it, with the reason.',
  noEntryHere: (what: Said) => `No entry here${what}.`,
  lostEntries: 'Lost entries',
  whatToDoAboutLost: (noted: number, found: number) =>
    `Beside the record stands a note of its last entry, No. ${say.number(noted, 0)}. ${
      found >= noted
        ? 'The record has another entry there: its file was changed or swapped.'
        : `The record ends with No. ${say.number(found, 0)}: its file was cut, damaged or swapped.`
    } Stop the app and put a copy in its place (npm run restore). Where there is none, write down here why the house goes on; that entries are missing is said in the ledger for good. Then count every piece and take its temperature: what the lost entries said of it nobody knows.`,
  goOnWithoutThem: 'Go on without them',
  theMachineLostPower: 'the machine lost its power, and there is no copy',
  no: 'No.',
  happened: 'Happened',
  about: 'About',
  who: 'Who',
  amend: 'Correct',
  hash: (hash: Said) => `hash ${hash}`,
  written: (dayAndTime: Said) => `written ${dayAndTime}`,
  ownedException: 'responsibility taken',
  amendedByEntry: (get: Said) => `Corrected by entry ${get}.`,
  olderEntries: 'Older entries',
  signTheDay: (today: Said) => `Sign the day, ${today}`,
  signingWritesDownThe: (head: Said, headHash: Said) =>
    `Signing writes down the newest entry (${head}, ${headHash}…), so that a shortened ledger is noticed.`,
  signTheDay2: 'Sign the day',
  forThatChoice: ' for that choice'
});

export const correct = /* @__PURE__ */ words({
  addIt: 'Add the correction',
  was: 'was',
  nothing: 'nothing',
  yes: 'yes',
  no: 'no',
  whatItDoesNotSay: 'What it does not say yet',
  itHappenedAt: 'It happened at',
  why: 'Why it is corrected',
  misread: 'misread, wrong piece …',
  misreadIt: 'misread',
  wrongPiece: 'wrong piece',
  typedTwice: 'written twice',
  itDidNotHappen: 'It did not happen: undo it',
  whoMayAndWhen:
    'Correct your own figure within 10 minutes. Later a second person does, with the reason. Undoing a warm reading takes nothing back.',
  iStandForIt: 'This opens what only a document or a person opens: I take responsibility',
  theEntryAsStored: 'The entry as stored'
});
