import { said, words, type Said } from '../speech.ts';
import { number, plural } from '../say.ts';

export const bookFile = /* @__PURE__ */ words({
  takeElsewhereOrIn: (list: Said) => `Take ${list} elsewhere, or in`,
  allAsAFile: (list: Said) => `All ${list} as a file`,
  json: '(JSON)',
  takeThemIn: 'Take them in',
  aFileOf: (list: Said) => `A file of ${list}`,
  orItsText: 'or its text',
  oneOfAKnown:
    'One of a known name becomes its next version. A file with anything unreadable in it is not taken at all.',
  takenInKnownAlready: (length: Said, alike: Said) => `${length} taken in, ${alike} known already.`
});

export const bookList = /* @__PURE__ */ words({
  takenOutOfThe: (length: Said) => `Taken out of the book (${length})`,
  version: (version: Said) => `version ${version}`,
  theHouses: 'the house’s',
  notes: (count: number) => plural(count, { one: 'note', other: 'notes' })
});

export const pageChanges = /* @__PURE__ */ words({
  againstTheVersionBefore: (per: Said, changes: Said) => `Against the version before, for ${per}: ${changes}.`
});

export const pageSheet = /* @__PURE__ */ words({
  version: (kind: Said, version: Said, what: Said) => `${kind} · version ${version}${what}`,
  forText: (goodFor: Said) => `· for ${goodFor}`,
  takenOutOfThe: 'taken out of the book',
  of: (version: Said) => ` of ${version}`
});

export const pageSide = /* @__PURE__ */ words({
  tasted: 'Tasted',
  version: (version: Said, nameOf: Said, dayAndTime: Said) => `version ${version}, ${nameOf}, ${dayAndTime}`,
  noNotesYet: 'No notes yet.',
  keepTheNote: 'Keep the note',
  correctionToBeTried: 'Correction, to be tried',
  aThirdLessSugar: 'a third less sugar; lemon at the end',
  versions: 'Versions',
  version2: (version: Said) => `version ${version}`,
  asItShips: 'as it ships',
  backIntoTheBook: 'Back into the book',
  takeItOutOf: 'Take it out of the book'
});

export const scaledTo = /* @__PURE__ */ words({
  scaledTo: 'Scaled to',
  nothingInTheHouse: (mass: Said) => `Nothing in the house to scale it to: shown for ${mass}.`
});

/** What a person reads of a line of a recipe: its share of the fish, or its parts. */
export const amountWords = /* @__PURE__ */ said((amount: number, basis: 'fish' | 'parts'): string =>
  basis === 'fish'
    ? `${number(amount * 100, 4)} % of the fish`
    : `${number(amount, 4)} ${amount === 1 ? 'part' : 'parts'}`
);

export const stepsFields = /* @__PURE__ */ words({
  whatIsDifferentIn: 'What is different in this version'
});
