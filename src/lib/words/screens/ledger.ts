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
  no: 'No.',
  happened: 'Happened',
  about: 'About',
  who: 'Who',
  amend: 'Correct',
  hash: (hash: Said) => `hash ${hash}`,
  written: (dayAndTime: Said) => `written ${dayAndTime}`,
  ownedException: 'responsibility taken',
  amendedByEntry: (get: Said) => `Corrected by entry ${get}.`,
  addTheAmendment: 'Add the correction',
  itDidNotHappen: 'It did not happen: undo it',
  itHappenedAt: 'It happened at',
  whyItIsAmended: 'Why it is corrected',
  changedPartsAsJson: 'Changed parts, as JSON',
  aFigureTypedWrong:
    'Correct your own figure within 10 minutes. Later a second person does, with the reason. Undoing a warm reading takes nothing back.',
  ifThisOpensA: 'If this opens a window wider, I take responsibility',
  theEntryAsStored: 'The entry as stored',
  olderEntries: 'Older entries',
  signTheDay: (today: Said) => `Sign the day, ${today}`,
  signingWritesDownThe: (head: Said, headHash: Said) =>
    `Signing writes down the newest entry (${head}, ${headHash}…), so that a shortened ledger is noticed.`,
  signTheDay2: 'Sign the day',
  forThatChoice: ' for that choice',
  forInstanceNoteThe: (keys: Said) => `For instance {"note": "…"}. The entry holds: ${keys}.`
});
