import { words, type Said } from '../speech.ts';

export const delivery = /* @__PURE__ */ words({
  deliveryFrom: (supplier: Said) => `Delivery from ${supplier}`,
  noLotYetFill: 'No lot yet. Fill in the first below; each is kept as soon as it is taken in.',
  thatWasAllOf: 'That was all of it',
  closed: (dayAndTime: Said) => `Closed ${dayAndTime}.`,
  receiveSomethingElse: 'Receive something else',
  severalLotsInOne: 'Several lots in one delivery',
  openTheDelivery: 'Open the delivery',
  supplier: 'Supplier',
  deliveryNote: 'Delivery note',
  vehicleOrBoxAir: 'Vehicle or box air',
  takeInADelivery: 'Take in a delivery note as a file (CSV)',
  stillOpen: 'Still open:',
  note: (reference: Said) => ` · note ${reference}`,
  vehicleAt: (typed: Said) => ` · vehicle at ${typed}`,
  wants: (missingWord: Said) => `wants ${missingWord}`,
  inspected: (decision: Said) => `Inspected: ${decision}`,
  inspect: 'Inspect'
});

export const lookalikes = /* @__PURE__ */ words({
  whichOneIsIt: 'Which one is it?',
  thatIsWhatIt: 'That is what it is',
  species: 'Species',
  noDrawingHereBy: 'no drawing here: by the seller’s paper only',
  whatWasSeen: 'What was seen',
  aSkinlessFilletHas:
    'A skinless fillet has lost its marks: leave it unsettled, and the worst of the candidates counts. Crosses between kin (jacks, basses, salmonids) show marks of both.',
  namedByAPaper: 'named by a paper'
});

export const lotForm = /* @__PURE__ */ words({
  takeItIn: 'Take it in',
  whatIsIt: 'What is it',
  form: 'Form',
  pieces: 'Pieces',
  outOfTheSkein: 'Out of the skein, and rinsed',
  whereFrom: 'Where from',
  wildOrFarmed: 'Wild or farmed',
  howItWasFarmed: 'How it was farmed',
  water: 'Water',
  caughtOrHarvested: 'Caught or harvested',
  atWhatHour: 'At what hour',
  groundsOrFarm: 'Grounds or farm',
  supplier: 'Supplier',
  commercialSource: 'Commercial source',
  takenInFor: 'Taken in for',
  atTheDoor: 'At the door',
  coreTemperature: 'Core temperature',
  airRoundIt: 'Air round it',
  ofTheTruckOr: 'Of the truck or the crate.',
  ice: 'Ice',
  packed: 'Packed',
  timeTemperatureIndicator: 'Time-temperature indicator',
  withoutOneItMust: (temperature: Said) => `Without one it must be at or below ${temperature}.`,
  frozenBefore: 'Frozen before',
  itArrivedFrozen: 'It arrived frozen',
  moreFromThePaper: 'More from the paper: area, gear, killing, price, lot',
  faoArea: 'FAO area',
  landed: 'Landed',
  gear: 'Gear',
  howItWasKilled: 'How it was killed',
  suppliersLot: 'Supplier’s lot',
  thickness: 'Thickness',
  price: (currency: Said) => `Price, ${currency}`,
  priceIsFor: 'Price is for',
  cases: 'Cases',
  theSellersWords: 'The seller’s words',
  sushiGradeIsWritten: '“Sushi grade” is written down as a claim. It clears nothing.',
  yourDecision: 'Your decision',
  notGiven: 'not given'
});

export const speciesPick = /* @__PURE__ */ words({
  charIwashiLubina: 'char, iwashi, lubina …',
  isTheMarketName: (text: Said, length: Said) =>
    `“${text}” is the market name of ${length} species, and they are judged differently. Which one?`,
  nothingThatSetsIt: 'nothing that sets it apart: origin and freezing decide',
  isNotInThe: (text: Said) => `“${text}” is not in the book. Try another name,`,
  describeIt: 'describe it',
  orSayWhatIt: ', or say what it may be.',
  notSettledJudgedAs: 'Not settled: judged as the worst of these until somebody tells it by its marks.',
  not: (name: Said) => `Not ${name}`,
  nameWhatItMay: 'Name what it may be; with no name at all it is cleared for nothing.',
  iKnowWhatIt: 'I know what it is',
  nobodyCanSayWhat: 'Nobody can say what it is',
  itMayAlsoBe: 'It may also be',
  speciesByAnyMarket: 'Species, by any market name'
});

export const receivePage = /* @__PURE__ */ words({
  theVerdictSoFar: 'The verdict so far',
  underPapersAreAttached: (profile: Said) => `Under ${profile}. Papers are attached on the lot’s page once it is in.`,
  nameTheSpeciesAnd: 'Name the species, and its windows form here while you write.',
  spinesAndGillPlates: 'Spines and gill plates cut. Cover a cut hand and glove it, or keep off raw work.',
  receiveLot: (what: Said) => `Receive lot ${what}`,
  receiveALot: 'Receive a lot'
});

export const receiveNotePage = /* @__PURE__ */ words({
  takeInADelivery: 'Take in a delivery note',
  aTableWithHeadings:
    'A table with headings: CSV, with commas, semicolons or tabs. It is read here first; nothing is written until you say so.',
  theFile: 'The file',
  supplierWhereTheNote: 'Supplier, where the note names none',
  wildOrFarmedWhere: 'Wild or farmed, where not said',
  commercialSource: 'Commercial source',
  daysAreWritten: 'Days are written',
  decimals: 'Decimals',
  orPasteIt: 'Or paste it',
  whatEachColumnIs: (what: Said) => `What each column is${what}`,
  canBeTakenIn: (good: Said, what: Said, what2: Said) => `${good} ${what} can be taken in${what2}`,
  row: 'Row',
  takeThemIn: 'Take them in',
  takeTheGoodRows: (good: Said, bad: Said) => `Take the ${good} good rows, and leave the ${bad} broken ones`,
  leaveItOut: 'leave it out',
  nobodySaid: 'nobody said',
  dayFirst: '9.3.2026, day first',
  monthFirst: '3/9/2026, month first',
  findOut: 'find out',
  asItWasRead: ' (as it was read the last time)',
  reading: 'Reading …',
  readItAgain: 'Read it again',
  readIt: 'Read it',
  areBroken: (bad: Said) => `, ${bad} are broken`
});
