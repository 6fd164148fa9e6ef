import { words, type Said } from '../speech.ts';

export const clocks = /* @__PURE__ */ words({
  itsClocks: 'Its clocks',
  daysOnIce: 'Days on ice',
  ofSpentLeftFor: (days: Said, days2: Said, days3: Said) =>
    `: ${days} of ${days2} days used, ${days3} days left for raw`,
  theUprightLineEnds: (what: Said, what2: Said) =>
    `Raw service ends at the upright line${what}. The pan ends ${what2}.`,
  frozenBeforeItCame: 'Frozen before it came. Its days on ice before that are not known.',
  timeInTheWarm: 'Time in the warm',
  ofSpentLeft: (duration: Said, duration2: Said, duration3: Said) =>
    `: ${duration} of ${duration2} used, ${duration3} left`,
  whenAndWhere: 'When and where',
  to: (moment: Said, moment2: Said, warmCause: Said, duration: Said) =>
    `${moment} to ${moment2}: ${warmCause}, ${duration}`,
  someOfItWas: (temperature: Said) => `Some of it was above ${temperature}: the shorter time counts.`,
  coldGivesNoneOf: 'Cooling gives none of it back.',
  readItOrIts: (moment: Said) => `Read its core, or its place, by ${moment}.`,
  histamineHours: 'Histamine hours',
  aboveNothingGivesThem: (temperature: Said) =>
    `Above ${temperature}. Nothing gives them back: neither ice, freezing nor heat.`,
  whereItLay: 'Where it was',
  to2: (place: Said, moment: Said, what: Said) => `${place}, ${moment} to ${what}:`,
  onAverageUpTo: (temperature: Said, duration: Said) => `on average, up to ${temperature}, logged for ${duration}`,
  noLogAnAssumed: (temperature: Said) => `no readings, taken as ${temperature}`,
  nobodyHasSaidWhere: (temperature: Said) =>
    `Nobody said where it was. Its clocks use its own readings, and ${temperature} between them.`,
  stiffness: 'Stiffness',
  aGuideByHow: (onset: Said, onset2: Said, through: Said, through2: Said) =>
    `, a guide by how it was killed: sets in ${onset} to ${onset2} h after death, ends after ${through} to ${through2} h on ice`,
  atHNowLikely: (hours: Said, word: Said) => `; now at ${hours} h, likely ${word}`,
  theHourOfDeath: '. Write down the hour of death to see where it is now',
  fromItsCatch: 'from its catch',
  byItsInspection: 'by its inspection',
  byCatchOrInspection: 'by catch or inspection, whichever is older',
  fromTheDoorThe: 'from the door: the day of catch is not known',
  beforeStiffness: 'before stiffness',
  stiffnessSettingIn: 'stiffness setting in',
  stiffCutLaterOr: 'stiff: cut later, or at once and it shrinks',
  stiffnessPassing: 'stiffness passing',
  pastStiffness: 'past stiffness',
  whenItIsOut: 'when it is out of the freezer'
});

export const compare = /* @__PURE__ */ words({
  underOtherRuleBooks: (what: Said) => `Under other rule books${what}`,
  ruleBook: 'Rule book',
  onlySoUnder: (name: Said) => `Only under ${name}`,
  differ: (differing: Said) => `: ${differing} differ`,
  noDifferenceNow: ': no difference now',
  inForce: ' (in force)',
  check: ' · check'
});

export const exceptions = /* @__PURE__ */ words({
  answerForAnException: 'Take responsibility for an exception',
  theRuleBookDoes:
    'The rule book does not clear it. If you go on, you take responsibility. Your name and reason stay on the piece, on what is cut from it, and in the ledger.',
  iAnswerForIt: 'I take responsibility',
  whatYouAnswerFor: 'What for',
  routesItOpens: 'Routes it opens',
  whyInASentence: 'Why, in a sentence',
  forHowLong: 'For how long',
  iAnswerForIt2: (what: Said) => `I, ${what}, take responsibility`,
  isMissingOrDoes: (missingWord: Said) => `${missingWord} is missing, or does not hold`,
  nobodyYet: 'nobody yet'
});

export const hands = /* @__PURE__ */ words({
  moveIt: 'Move it',
  itLiesThereNow: 'Move it',
  to: 'To',
  drawer: 'Drawer 2',
  takeAPieceFrom: 'Take a piece from it',
  takeIt: 'Take it',
  whatItIs: 'What it is',
  filletLoinBlock: 'fillet, loin block …',
  form: 'Form',
  thickness: 'Thickness',
  splitTrimOrSkin: 'Split, trim or skin it',
  splitItEvenly: 'Split it evenly',
  intoHowMany: 'Into how many',
  named: 'Named',
  itIsOff: 'Write it down',
  whatComesOff: 'What comes off',
  itsWeight: 'Its weight',
  keepItFor: 'Keep it, for',
  weighItAgain: 'Weigh it again',
  itWeighsThatNow: 'Keep the weight',
  theDifferenceIs: 'The difference is',
  writeDownACold: 'Write down a cold reading',
  reading: 'Reading',
  whereItLies: 'Where it lies',
  forms: { fillet: 'fillet', loin: 'loin', block: 'block', portion: 'portion' }
});

export const papers = /* @__PURE__ */ words({
  attachAPaperTo: 'Attach a paper to the lot',
  attach: 'Attach',
  ofWhichOfIts: 'Of which of its lots',
  belowStandThePapers: (id: Said) => `Below are the papers of ${id}. The others’ are on their own pieces.`,
  whatPaper: 'What paper',
  issuer: 'Issuer',
  numberOnIt: 'Number on it',
  issued: 'Issued',
  expires: 'Expires',
  whatThePaperItself: 'What the paper itself says:',
  howTheyWereRaised: 'How they were raised: net pens in open water, tanks or ponds',
  fedFormulatedFeedWithout: 'Fed formulated feed without live parasites',
  raisedFromEmbryos: 'Raised from embryos',
  parasiteFreeEnvironmentOr: 'Parasite-free environment, or verified by an approved procedure',
  frozenAtOrBelow: 'Frozen at or below',
  forText: 'For',
  from: 'From',
  until: 'Until',
  frozenSolidAtC: 'Frozen solid at −35 °C (−31 °F) or below first',
  whatTheTagItself: 'What the tag itself says. Without all four it is no tag.',
  dealersNumber: 'Dealer’s number',
  harvested: 'Harvested',
  waters: 'Waters',
  weightOnIt: 'Weight on it',
  orPieces: 'Or pieces',
  warmestOnTheWay: 'Warmest on the way',
  itOpensWhatIt: 'It opens what it covers, from its first day to its last. Give its number, both dates and the file.',
  whatItCovers: 'What it covers',
  itClearsTheGrounds: 'It clears the grounds of ciguatera',
  whomItNamesSupplier: 'Whom it names: supplier, cut, weight',
  whatIsFilledIn: 'Fill in what it says. A paper for other fish is then noticed.',
  supplierOnIt: 'Supplier on it',
  cutOnIt: 'Cut on it',
  thePaperItself: 'The paper itself',
  pdfJpegOrPng: 'PDF, JPEG or PNG, up to 10 MB',
  itSpeaksForEvery: 'It speaks for every lot of this species in the delivery',
  papers: 'Papers',
  until2: (expiresOn: Said) => `until ${expiresOn}`,
  for2: (typed: Said, typed2: Said) => `${typed} for ${typed2}`,
  lastServedTheTag: (lastServedOn: Said, until: Said) => `Last served ${lastServedOn}. Keep the tag until ${until}.`,
  writeTheLastServed: 'Write the last-served date on the tag',
  writeIt: 'Write it',
  lastServedOn: 'Last served on',
  theTagIsKept: (tagKeepDays: Said) => `Keep the tag ${tagKeepDays} days from then.`,
  noneYet: 'None yet.',
  sellersWordsAClaim: (claim: Said) => `Seller’s words: “${claim}”. A claim, not evidence.`,
  feedStatementFarm: 'Feed statement (farm)',
  freezingStatementSupplier: 'Freezing statement (supplier)',
  chillingRecordBoat: 'Chilling record (boat)',
  suppliersLetterItsPlan: 'Supplier’s letter: its plan, and how warm on the way',
  harvestAreaPaper: 'Harvest-area paper',
  shellfishTag: 'Shellfish tag',
  licenceOrLicensedChannel: 'Licence or licensed channel',
  histamineTestOfYour: 'Histamine test of your ageing',
  documentOfYourAuthority: 'Document of your authority',
  anotherPaper: 'Another paper',
  notGiven: 'not given'
});

export const lotOnePage = /* @__PURE__ */ words({
  lotInAs: (id: Said, what: Said, dayAndTime: Said, form: Said, mass: Said) =>
    `Lot ${id} · ${what} · in ${dayAndTime} as ${form}, ${mass}`,
  tiedByBatchesTo: '· tied by batches to',
  firstGradeHereOr: (what: Said) => `first grade, here or served${what}`,
  whatItCostsNow: (what: Said) => `what it costs now${what}`,
  noPriceIsOn: (unpriced: Said) => `No price is on record for ${unpriced}. The money shown is too low by that.`,
  whyIsItSo: (what: Said) => `Why is it so dear: ${what}`,
  drawnBy: 'Drawn by',
  mass: 'Mass',
  money: 'Money',
  firstGradeHere: 'First grade here',
  byProductsHere: 'By-products here',
  served: 'Serve',
  dripDryingCure: 'Drip, drying, cure',
  scaleAndGaps: 'Scale and gaps',
  binned: 'Binned',
  sentBack: 'Sent back',
  moneyOnPlates: 'Money on plates',
  moneyStillHere: 'Money still here',
  moneyLost: 'Money lost',
  moneySentBack: 'Money sent back',
  pieces: 'Pieces',
  whichPieces: 'Which pieces',
  all: 'All',
  stillHere: 'Still here',
  windows: 'Windows',
  use: 'Use',
  where: 'Where',
  made: 'Made',
  left: 'Left',
  cost: 'Cost',
  pagesOfPieces: 'Pages of pieces',
  of: (page: Said, pages: Said) => `${page} of ${pages}`,
  unidentifiedFish: 'Unidentified fish',
  noSupplierNamed: 'no supplier named',
  ofAllLotsIt: ', of all lots it is tied to',
  ofAllOfThem: ', of all of them together',
  boughtAtKg: (money: Said) => `, bought at ${money} / kg`,
  whereTheWeightWent: 'where the weight went',
  whereTheMoneyWent: 'where the money went',
  stillHere2: ' still here',
  inAll: ' in all',
  from: (length: Said) => ` from ${length}`,
  windowOf: (route: Said, state: Said) => `${route}: ${state}`
});

export const pieceOnePage = /* @__PURE__ */ words({
  aBatchOf: (kinds: Said) => `a batch of ${kinds}`,
  notIdentified: 'not identified',
  from: (source: Said, what: Said, supplier: Said) => `${source}${what} · from ${supplier} ·`,
  lot: (id: Said) => `lot ${id}`,
  onTheBoardNow: 'On the board now',
  putTogetherOf: 'Put together of',
  hereNow: 'here now',
  takenInForIt: (what: Said) => `Taken in for ${what}. Not for guests.`,
  nobodyHasSettledWhat: (what: Said) => `Nobody has said which fish this is. It is judged as the worst of ${what}.`,
  tellItByIts: 'Tell it by its marks',
  ownedException: 'Somebody took responsibility.',
  on: (what: Said, what2: Said, dayAndTime: Said, reason: Said) => `${what} ${what2} on ${dayAndTime}: “${reason}” (`,
  entry: (seq: Said) => `entry ${seq}`,
  takeItBack: 'Undo it',
  whyItIsTaken: 'Why it is undone',
  itsWindows: (what: Said) => `Its windows${what}`,
  curedAcidAndSeared: 'Cured, acid and seared open with raw. For parasites they are raw.',
  at: 'At',
  asKnownAt: 'As known at',
  under: 'Under',
  ask: 'Ask',
  byTheRuleBook: (profile: Said) => `By ${profile}. Guidance only: your local code and licensed practice decide.`,
  benchesForThisPiece: 'Benches for this piece',
  depth: 'Depth',
  toldWithItWhen: 'Told with it when served',
  allergens: (what: Said) => `Allergens: ${what}.`,
  raw: (notice: Said) => `Raw: “${notice}”`,
  whatHappened: 'What happened',
  knownHereSince: (clockTime: Said, dayAndTime: Said) => `Written down ${clockTime}, ${dayAndTime}.`,
  staffTraining: 'staff training',
  theOwnTable: 'the staff meal',
  anythingItMayBe: 'anything it may be',
  at2: (dayAndTime: Said) => ` at ${dayAndTime}`,
  noneOfItsOwn: 'none of its own',
  check: ' · check'
});

export const pieceOneRoadsPage = /* @__PURE__ */ words({
  text: (title: Said, name: Said) => `${title} ${name}`
});

export const life = /* @__PURE__ */ words({
  itsLife: 'Its life, from the door on',
  fromDoorToPlate: (route: Said) =>
    `From the door to now: where it lay, what was done, and its ${String(route).toLowerCase()} window. Each moment leads to its entry.`,
  nobodyRead: 'nobody read it',
  now: 'now',
  moment: (what: Said, when: Said, more: number) =>
    more > 0 ? `${what}, ${when}, and ${more} more` : `${what}, ${when}`
});

/** Benches of a piece, by their paths. */
export const BENCH_NAMES = /* @__PURE__ */ words({
  '/inspect': 'Inspect',
  '/break': 'Break down',
  '/freeze': 'Freeze',
  '/cure': 'Cure',
  '/acid': 'Acid',
  '/age': 'Age',
  '/slice': 'Slice',
  '/serve': 'Serve',
  '/labels': 'Label'
});
