import { words, type Said } from '../speech.ts';

export const freezeRun = /* @__PURE__ */ words({
  provenOf: (duration: Said) => `of ${duration} proven`,
  stillToProve: 'still to prove',
  complete: 'complete',
  onAboveTheHold: (temperature: Said, dayAndTime: Said, what: Said, temperature2: Said) =>
    `${temperature} on ${dayAndTime}${what}: above ${temperature2}. The clock starts again.`,
  noReadingFromTo: (dayAndTime: Said, dayAndTime2: Said) =>
    `No reading from ${dayAndTime} to ${dayAndTime2}. Unread is not cold: the clock starts again.`,
  cutThrough: (what: Said) => `Cut through, ${what}`,
  whatItProvesBy: 'What is proven, by core and by air',
  evidence: 'Evidence',
  readingsTaken: 'Readings taken',
  proven: 'Proven',
  complete2: 'Complete',
  cycle: 'Cycle',
  solidIsACore: (citation: Said) => `${citation}. “Solid” is a core at or below −18 °C, this product’s own definition.`,
  forecastForTheCore: (dayAndTime: Said, dayAndTime2: Said, what: Said, temperature: Said) =>
    `The core should be there between ${dayAndTime} and ${dayAndTime2}${what}. With air readings the slow end counts. It stops while the air is more than 1 °C above ${temperature}.`,
  theAirWasToo: 'The air was too warm to forecast the core. Only core readings count.',
  inTheAirAs: (what: Said, what2: Said) => `In the air as read the core likely ${what}; as planned ${what2}.`,
  airAndCoreReadings: (air: Said, core: Said) => `${air} air and ${core} core readings were logged.`,
  provenComplete: (name: Said, dayAndTime: Said) => `Proven: ${name}, complete ${dayAndTime}.`,
  theAirIsWarmer: 'The air is warmer than planned',
  onAverageInThe: (temperature: Said, temperature2: Said) =>
    `${temperature} on average in the last hours, ${temperature2} in the forecast.`,
  forecastAnew: 'Forecast again',
  airAsItIs: 'Air, as it is',
  readingNow: 'Reading now',
  reading: 'Reading',
  takenIn: 'Taken in',
  takeItOut: 'Take it out',
  toThawItWith: (what: Said) => `${what} To thaw it with a forecast,`,
  beginAThaw: 'start a thaw',
  instead: 'instead.',
  theFreezingRecord: 'The freezing record',
  toPrintOrTo: ', to print or to show',
  withItIn: (place: Said) => `With it in ${place}`,
  since: (dayAndTime: Said) => `since ${dayAndTime}`,
  readingsByHand: 'Readings by hand',
  asTyped: (probe: Said, typed: Said) => `${probe}, as typed “${typed}”`,
  none: (what: Said) => `None${what}.`,
  airLogged: 'air, logged',
  coreLogged: 'core, logged',
  coreInTheAir: 'core in the air as read',
  coreAsForecast: 'core as forecast',
  aboveFor: (duration: Said) => `, above for ${duration}`,
  inTheAirAsIt: 'in the air as it was read',
  byTheForecast: 'by the forecast',
  coreOrTheSlow: 'core, or the slow forecast by air',
  airAlone: 'air alone',
  strictlyCAdded: (what: Said) => `strictly, ± ${what} °C added`,
  plainly: 'plainly',
  thisCounts: ' · this counts',
  notYet: 'not yet',
  madeAnew: ', made again',
  arrives: (dayAndTime: Said) => `arrives ${dayAndTime}`,
  doesNotArrive: 'does not arrive',
  theCoreOfThe: 'the core of the thickest piece',
  theAirOfThe: 'the air of the freezer',
  whatItsReadingsProve: 'What its readings prove goes into the ledger with it.',
  itsReadingsProveNo: 'Its readings prove no cycle yet. Taken out now it is not cleared.',
  releaseIt: 'Take it out',
  takeItOutNot: 'Take it out, not cleared',
  aLoggerSpeaksFor: '; a logger reads it',
  theClockHasNot: '. The clock has not started'
});

export const freezeStart = /* @__PURE__ */ words({
  putInAFreezer: (name: Said) => `Put ${name} in a freezer`,
  morePiecesGoIn: (what: Said) => `More pieces go in with it${what}`,
  whenTheCoreArrives: 'When the core arrives',
  likelyTo: (temperature: Said) => `likely, to ${temperature}`,
  betweenAndTheSlow: (duration: Said, duration2: Said) =>
    `Between ${duration} and ${duration2}. The slow end counts until you read the core.`,
  rawAtTheEarliest: 'Raw at the earliest',
  ifTheLogProves: (dayAndTime: Said) => `, if every hour is read; by the likely core ${dayAndTime}.`,
  twoWaysToReckon: (byRule: Said, stepByStep: Said) =>
    `Worked out two ways: ${byRule} by the usual formula, ${stepByStep} step by step. The band covers both, and air, packing and method; the slower end counts.`,
  thisFreezerCannotDo: (cycleName: Said, temperature: Said) =>
    `This freezer cannot do it. ${cycleName} needs air of ${temperature} or colder.`,
  couldCompleteAtThe: (cycleName: Said, dayAndTime: Said) =>
    `could: ${cycleName}, complete ${dayAndTime} at the slow end.`,
  thisFreezerCould: (cycleName: Said) => `This freezer could: ${cycleName}.`,
  aColderSetPoint: (temperature: Said) => `A colder set point could: ${temperature}.`,
  aSupplierWhoFreezes: 'A supplier can freeze it and put temperature and time in writing. Or cook it.',
  cycle: 'Cycle',
  everyCycle: 'Every cycle in this air',
  airItNeeds: 'Air it needs',
  completeLikelyToSlow: 'Complete, likely to slow',
  to: (dayAndTime: Said, dayAndTime2: Said) => `${dayAndTime} to ${dayAndTime2}`,
  notInThisAir: 'not in this air',
  cutToTheCore: (length: Said) => `Cut to ${length}, the core would likely be there in 8 h.`,
  theClockStartsWhen:
    'The clock starts when the core is cold enough, not when the door shuts. Salt, lime, vinegar, wasabi and spirits kill no worms. Guidance only: your local code decides.',
  intoTheFreezerPieces: (what: Said) => `Into the freezer, ${what} pieces`,
  intoTheFreezer: 'Into the freezer',
  reckonedAsOneBlock: 'taken as one block until you say',
  ofItsMeasuredDepth: 'of its measured depth',
  aboutMeasureIt: (length: Said) => `About ${length} by its weight and form. Measure it: the freeze is proven by it.`,
  none: 'none',
  noAnswer: 'no answer',
  giveTheThicknessAnd: 'Give the thickness to see the forecast.'
});

export const freezePage = /* @__PURE__ */ words({
  freeze: 'Freeze',
  nothingToFreezeYet: 'Nothing to freeze yet.',
  forText: (what: Said, temperature: Said, duration: Said, rule: Said) =>
    `${what}${temperature} for ${duration} (${rule})`,
  solidAtThen: (temperature: Said) => `solid at ${temperature}, then `
});

export const freezeRecordOnePage = /* @__PURE__ */ words({
  freezingRecord: (id: Said) => `Freezing record ${id}`,
  freezingRecord2: 'Freezing record',
  ofLot: (id: Said) => `${id}, of lot`,
  fromWritten: (what: Said, dayAndTime: Said) => `from ${what}. Written ${dayAndTime}.`,
  wentIn: 'Went in',
  byCore: (dayAndTime: Said, who: Said, temperature: Said) => `${dayAndTime}, by ${who}, core ${temperature}`,
  load: 'Load',
  thickest: (what: Said, length: Said, word: Said, what2: Said) => `${what}, thickest ${length}, ${word}${what2}`,
  freezerAir: 'Freezer air',
  planned: (temperature: Said, word: Said, what: Said) => `planned ${temperature}, ${word}${what}`,
  loggedTo: (temperature: Said, temperature2: Said) => `logged ${temperature} to ${temperature2}`,
  readings: 'Readings',
  byHand: (length: Said, what: Said) => `${length} by hand${what}`,
  cameOut: 'Came out',
  provenNow: 'Proven now',
  atOrBelowBy: (
    duration: Said,
    temperature: Said,
    rule: Said,
    what: Said,
    clock: Said,
    what2: Said,
    some: Said,
    some2: Said
  ) =>
    `${duration} at or below ${temperature} (${rule}), ${what}; by the ${clock} clock, readings taken ${what2}; ${some}, ${some2}`,
  provenAtTheRelease: 'Proven at the release',
  byTheClock: (duration: Said, what: Said, clock: Said, what2: Said) =>
    `${duration}, ${what}; by the ${clock} clock, ${what2}`,
  gap: 'Gap',
  toUnknown: (dayAndTime: Said, dayAndTime2: Said) => `${dayAndTime} to ${dayAndTime2}: unknown`,
  excursion: 'Excursion',
  upToTheHold: (dayAndTime: Said, temperature: Said) => `${dayAndTime}, up to ${temperature}; the clock started again`,
  itWasInNo: 'It was in no freezer of this house.',
  keptUntil: 'Kept until',
  daysBeyondTheLast: (keepDays: Said, what: Said, what2: Said, citation: Said) =>
    `${keepDays} days beyond the last service${what}${what2}. ${citation}.`,
  guidanceOnlyYourLocal:
    'Guidance only: your local code and licensed practice decide. This record is read from the ledger as it is now.',
  anUnnamedSupplier: 'an unnamed supplier',
  run: (number: Said) => `Run ${number}: `,
  notWrittenDown: 'not written down',
  onEachOther: (stack: Said) => `, ${stack} on each other`,
  loggedTo2: (temperature: Said, temperature2: Said) => `; logged ${temperature} to ${temperature2}`,
  ofTheAirAnd: (air: Said, core: Said) => `, ${air} of the air and ${core} of the core by logger`,
  by: (dayAndTime: Said, who: Said, what: Said) => `${dayAndTime}, by ${who}${what}`,
  stillIn: 'still in',
  complete: (dayAndTime: Said) => `complete ${dayAndTime}`,
  notComplete: 'not complete',
  complete2: (dayAndTime: Said) => `complete ${dayAndTime}`,
  air: 'air',
  core: 'core',
  notServedYet: 'not served yet',
  whichWas: (dayAndTime: Said) => `, which was ${dayAndTime}`,
  someOfItIs: '; some of it is still here, and each service moves this day'
});

export const freezeThawPage = /* @__PURE__ */ words({
  eachByItsThickness: 'Each thaws by its own thickness.',
  thaw: 'Thaw',
  nothingFrozenLiesHere: 'Nothing frozen to thaw.',
  thawsIn: (name: Said, place: Said) => `${name} thaws in ${place}`,
  soFarSince: (dayAndTime: Said) => `so far, since ${dayAndTime}`,
  likelyThroughBetweenAnd: (until: Said, dayAndTime: Said, dayAndTime2: Said) =>
    `Likely through ${until}, between ${dayAndTime} and ${dayAndTime2}. Read the core to be sure.`,
  byTheForecastThis: 'It never thaws like this: where it is, it is too cold.',
  fromItsSurfaceIs: (dayAndTime: Said) =>
    `From ${dayAndTime} its surface is warm, and that counts as time in the warm. Dry it and put it in the cold as soon as it is through.`,
  itLiesInA: (what: Said) => `It is in a closed pack without oxygen. Open it ${what}.`,
  warmHoursOfSpent: (duration: Said, duration2: Said) =>
    `Histamine hours: ${duration} of ${duration2} used before this thaw ends.`,
  dateMarkUntil: (dayAndTime: Said) => `Date mark: until ${dayAndTime}.`,
  itIsThrough: 'Take it out of the thaw',
  thawed: 'Take it out',
  weightAfter: 'Weight after',
  beforeWhatIsMissing: (mass: Said) => `${mass} before. The difference is drip, usually 1 to 5 %.`,
  itWeighsThatHowever: 'It really weighs that',
  thawedFishHasAnother: 'Thawed fish has a new date and place:',
  labelItAgain: 'label it again',
  thaw2: (name: Said) => `Thaw ${name}`,
  beginTheThaw: 'Start the thaw',
  openItFirstWithout:
    'Open it first. Without oxygen botulinum grows from 3.3 °C; fish packed so comes out of its pack before a cold thaw (FDA Food Code 3-501.13(E)). Left closed it is not cleared at all.',
  underRunningWaterIt: 'Under running water it may stay closed until it is thawed. Open it at once then.',
  itThawsClosedAll: 'Thaw it closed all the same: I take responsibility',
  whenItIsThrough: 'When it is through',
  likely: 'likely',
  toDripAboutTo: (dayAndTime: Said, dayAndTime2: Said, what: Said, what2: Said, mass: Said, mass2: Said) =>
    `${dayAndTime} to ${dayAndTime2}. Drip about ${what} to ${what2} %, ${mass} to ${mass2}.`,
  itsSurfacePassesAfter: (temperature: Said, duration: Said, duration2: Said) =>
    `Its surface passes ${temperature} after ${duration}, while the middle still thaws: ${duration2} of warm time. Ready-to-eat portions may not pass 5 °C under water (FDA Food Code 3-501.13(B)): colder water, or thinner pieces.`,
  atThatTemperatureIt: 'At that temperature it does not thaw in useful time.',
  coldAndSlowKeeps:
    'Cold and slow keeps water in the flesh. Thawed fish for raw service is dated from the day it is opened or thawed; frozen days do not count. Guidance only: your local code decides.',
  atOnceAfterwards: 'as soon as it is thawed',
  fishSink: 'Fish sink',
  drawer: 'Drawer 1',
  giveTheThicknessAnd: 'Give the thickness to see the forecast.'
});

export const forecastDrawing = /* @__PURE__ */ words({
  likelyCore: 'likely core',
  airAtTheFish: 'air at the fish',
  surface: 'surface'
});
