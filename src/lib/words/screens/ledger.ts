import { words, type Said } from '../speech.ts';

export const ledgerPage = /* @__PURE__ */ words({
  ledger: 'Ledger',
  onlyEverAddedTo: 'Only ever added to. To correct an entry, add one that amends it.',
  day: 'Day',
  lot: 'Lot',
  all: 'all',
  person: 'Person',
  show: 'Show',
  allAsCsv: 'All as CSV',
  allAsJsonLines: 'All as JSON Lines',
  print: 'Print',
  writtenDownWhatStood:
    'Written down. What stood before counts on the verdict as well: ask a second person to correct it, with the reason.',
  noEntryHere: (what: Said) => `No entry here${what}.`,
  no: 'No.',
  happened: 'Happened',
  about: 'About',
  who: 'Who',
  amend: 'Amend',
  hash: (hash: Said) => `hash ${hash}`,
  written: (dayAndTime: Said) => `written ${dayAndTime}`,
  ownedException: 'owned exception',
  amendedByEntry: (get: Said) => `Amended by entry ${get}.`,
  addTheAmendment: 'Add the amendment',
  itDidNotHappen: 'It did not happen: void it',
  itHappenedAt: 'It happened at',
  whyItIsAmended: 'Why it is amended',
  changedPartsAsJson: 'Changed parts, as JSON',
  aFigureTypedWrong:
    'A figure typed wrong: correct your own within 10 minutes. Later a second person does, with the reason. Striking out a warm reading takes nothing back.',
  ifThisOpensA: 'If this opens a window wider than the record did, I own it with my name and reason',
  theEntryAsStored: 'The entry as stored',
  olderEntries: 'Older entries',
  signTheDay: (today: Said) => `Sign the day, ${today}`,
  signingWritesDownThe: (head: Said, headHash: Said) =>
    `Signing writes down the number and hash of the newest entry (${head}, ${headHash}…), so that a cut-off log is noticed.`,
  signTheDay2: 'Sign the day',
  forThatChoice: ' for that choice',
  forInstanceNoteThe: (keys: Said) => `For instance {"note": "…"}. The entry holds: ${keys}.`
});
