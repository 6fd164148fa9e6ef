import { words, type Said } from '../speech.ts';

export const delivery = /* @__PURE__ */ words({
  deliveryFrom: (supplier: Said) => `Delivery from ${supplier}`,
  noLotYetFill: 'No lot yet. Fill in the first below; each is kept as soon as it is taken in.',
  thatWasAllOf: 'Finish the delivery',
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
  wants: (missingWord: Said) => `missing: ${missingWord}`,
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
    'A skinless fillet shows no marks. Leave it open: it is judged as the worst it may be. Crosses (jacks, basses, salmonids) show marks of both.',
  namedByAPaper: 'named by a paper'
});

export const lotForm = /* @__PURE__ */ words({
  today: 'Today',
  yesterday: 'Yesterday',
  dayBefore: 'The day before',
  takeItIn: 'Receive it',
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
  nothingThatSetsIt: 'nothing sets it apart: origin and freezing decide',
  isNotInThe: (text: Said) => `“${text}” is not in the book. Try another name,`,
  describeIt: 'describe it',
  orSayWhatIt: ', or say what it may be.',
  notSettledJudgedAs: 'Not settled. It is judged as the worst of these until somebody tells it by its marks.',
  not: (name: Said) => `Not ${name}`,
  nameWhatItMay: 'Name what it may be. Without any name it is never served.',
  iKnowWhatIt: 'I know what it is',
  nobodyCanSayWhat: 'Nobody can say what it is',
  itMayAlsoBe: 'It may also be',
  speciesByAnyMarket: 'Species, by any market name'
});

export const receivePage = /* @__PURE__ */ words({
  theVerdictSoFar: 'What it may be served as',
  underPapersAreAttached: (profile: Said) => `By ${profile}. Attach papers on the lot’s page once it is in.`,
  nameTheSpeciesAnd: 'Name the species. Its windows show here while you write.',
  spinesAndGillPlates: 'Spines and gill plates cut. Cover and glove a cut hand, or stay off raw work.',
  receiveLot: (what: Said) => `Receive lot ${what}`,
  receiveALot: 'Receive a lot'
});

export const receiveNotePage = /* @__PURE__ */ words({
  takeInADelivery: 'Take in a delivery note',
  aTableWithHeadings:
    'A table with headings (CSV: commas, semicolons or tabs). You see it first; nothing is kept until you say so.',
  theFile: 'The file',
  supplierWhereTheNote: 'Supplier, where the note names none',
  wildOrFarmedWhere: 'Wild or farmed, where not said',
  commercialSource: 'Commercial source',
  daysAreWritten: 'Days are written',
  decimals: 'Decimals',
  orPasteIt: 'Or paste it',
  whatEachColumnIs: (what: Said) => `What each column is${what}`,
  canBeTakenIn: (good: Said, what: Said, what2: Said) => `${good} ${what} can be received${what2}`,
  row: 'Row',
  takeThemIn: 'Take them in',
  takeTheGoodRows: (good: Said, bad: Said) => `Receive the ${good} good rows, leave the ${bad} broken ones`,
  leaveItOut: 'leave it out',
  nobodySaid: 'nobody said',
  yearFirst: '2026-03-09, year first',
  dayFirst: '9.3.2026, day first',
  monthFirst: '3/9/2026, month first',
  findOut: 'find out',
  asItWasRead: ' (as it was read the last time)',
  reading: 'Reading …',
  readItAgain: 'Read it again',
  readIt: 'Read it',
  areBroken: (bad: Said) => `, ${bad} are broken`
});
