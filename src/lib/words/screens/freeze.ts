import { words, type Said } from '../speech.ts';

export const freezeRun = /* @__PURE__ */ words({
  provenOf: (duration: Said) => `proven of ${duration}`,
  stillToProve: 'still to prove',
  complete: 'complete',
  onAboveTheHold: (temperature: Said, dayAndTime: Said, what: Said, temperature2: Said) =>
    `${temperature} on ${dayAndTime}${what}: above ${temperature2}. The hold started anew.`,
  noReadingFromTo: (dayAndTime: Said, dayAndTime2: Said) =>
    `No reading from ${dayAndTime} to ${dayAndTime2}: unknown is not cold. The hold started anew.`,
  cutThrough: (what: Said) => `Cut through, ${what}`,
  whatItProvesBy: 'What it proves, by either clock',
  evidence: 'Evidence',
  readingsTaken: 'Readings taken',
  proven: 'Proven',
  complete2: 'Complete',
  cycle: 'Cycle',
  solidIsACore: (citation: Said) => `${citation}. “Solid” is a core at or below −18 °C, this product’s own definition.`,
  forecastForTheCore: (dayAndTime: Said, dayAndTime2: Said, what: Said, temperature: Said) =>
    `Forecast for the core: ${dayAndTime} to ${dayAndTime2}${what}; the slow end counts for air readings, and does not run while the air reads more than 1 °C above the ${temperature} it was made for.`,
  theAirWasToo: 'The air was too warm for the core ever to arrive by forecast; only core readings count.',
  inTheAirAs: (what: Said, what2: Said) => `In the air as it was read the likely core ${what}; as planned ${what2}.`,
  airAndCoreReadings: (air: Said, core: Said) => `${air} air and ${core} core readings were logged.`,
  provenComplete: (name: Said, dayAndTime: Said) => `Proven: ${name}, complete ${dayAndTime}.`,
  theAirIsWarmer: 'The air is warmer than planned',
  onAverageInThe: (temperature: Said, temperature2: Said) =>
    `${temperature} on average in the last hours, ${temperature2} in the forecast.`,
  forecastAnew: 'Forecast anew',
  airAsItIs: 'Air, as it is',
  readingNow: 'Reading now',
  reading: 'Reading',
  takenIn: 'Taken in',
  takeItOut: 'Take it out',
  toThawItWith: (what: Said) => `${what} To thaw it with a forecast,`,
  beginAThaw: 'begin a thaw',
  instead: 'instead.',
  theFreezingRecord: 'The freezing record',
  toPrintOrTo: ', to print or to show.',
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
  madeAnew: ', made anew',
  arrives: (dayAndTime: Said) => `arrives ${dayAndTime}`,
  doesNotArrive: 'does not arrive',
  theCoreOfThe: 'the core of the thickest piece',
  theAirOfThe: 'the air of the freezer',
  whatItsReadingsProve: 'What its readings prove is written down with it.',
  itsReadingsProveNo: 'Its readings prove no cycle yet: out now, it is not cleared.',
  releaseIt: 'Release it',
  takeItOutNot: 'Take it out, not cleared',
  aLoggerSpeaksFor: '; a logger speaks for it',
  theClockHasNot: ': the clock has not begun'
});

export const freezeStart = /* @__PURE__ */ words({
  putInAFreezer: (name: Said) => `Put ${name} in a freezer`,
  morePiecesGoIn: (what: Said) => `More pieces go in with it${what}`,
  whenTheCoreArrives: 'When the core arrives',
  likelyTo: (temperature: Said) => `likely, to ${temperature}`,
  betweenAndTheSlow: (duration: Said, duration2: Said) =>
    `Between ${duration} and ${duration2}. The slow end counts until a core reading says better.`,
  rawAtTheEarliest: 'Raw at the earliest',
  ifTheLogProves: (dayAndTime: Said) => `, if the log proves every hour; by the likely core ${dayAndTime}.`,
  phamSimulatedOnThe: (what: Said, what2: Said) =>
    `Pham (1986): ${what}; simulated on the enthalpy: ${what2}. Band of both over air, packing and method; the slower counts. On flat pieces the formula reads up to a fifth longer.`,
  thisFreezerCannotDo: (cycleName: Said, temperature: Said) =>
    `This freezer cannot do it: for ${cycleName} its air has to be ${temperature} or colder. In air of the target itself the core creeps towards it and never arrives.`,
  couldCompleteAtThe: (cycleName: Said, dayAndTime: Said) =>
    `could: ${cycleName}, complete ${dayAndTime} at the slow end.`,
  thisFreezerCould: (cycleName: Said) => `This freezer could: ${cycleName}.`,
  aColderSetPoint: (temperature: Said) => `A colder set point could: ${temperature}.`,
  aSupplierWhoFreezes: 'A supplier who freezes it and states temperature and time in writing could; so could the pan.',
  cycle: 'Cycle',
  airItNeeds: 'Air it needs',
  completeLikelyToSlow: 'Complete, likely to slow',
  to: (dayAndTime: Said, dayAndTime2: Said) => `${dayAndTime} to ${dayAndTime2}`,
  notInThisAir: 'not in this air',
  cutToTheCore: (length: Said) => `Cut to ${length}, the core would likely be there in 8 h.`,
  theClockStartsWhen:
    'The clock starts when the core is at temperature, not when the door shuts. Salt, lime, vinegar, wasabi and spirits kill no worms. Guidance only: your local code decides.',
  intoTheFreezerPieces: (what: Said) => `Into the freezer, ${what} pieces`,
  intoTheFreezer: 'Into the freezer',
  reckonedAsOneBlock: 'reckoned as one block until you say',
  ofItsMeasuredDepth: 'of its measured depth',
  none: 'none',
  noAnswer: 'no answer',
  giveTheThicknessAnd: 'Give the thickness, and the forecast stands here.'
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
  upToTheHold: (dayAndTime: Said, temperature: Said) => `${dayAndTime}, up to ${temperature}; the hold started anew`,
  itWasInNo: 'It was in no freezer of this house.',
  keptUntil: 'Kept until',
  daysBeyondTheLast: (keepDays: Said, what: Said, what2: Said, citation: Said) =>
    `${keepDays} days beyond the last service${what}${what2}. ${citation}.`,
  guidanceOnlyYourLocal:
    'Guidance only: your local code and licensed practice decide. What stands here is read from the ledger as it is now.',
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
  someOfItIs: '; some of it is still here, and every service moves this day'
});

export const freezeThawPage = /* @__PURE__ */ words({
  thaw: 'Thaw',
  nothingFrozenLiesHere: 'Nothing frozen lies here to be thawed.',
  thawsIn: (name: Said, place: Said) => `${name} thaws in ${place}`,
  soFarSince: (dayAndTime: Said) => `so far, since ${dayAndTime}`,
  likelyThroughBetweenAnd: (until: Said, dayAndTime: Said, dayAndTime2: Said) =>
    `Likely through ${until}, between ${dayAndTime} and ${dayAndTime2}. A probe in the middle decides.`,
  byTheForecastThis: 'By the forecast this never thaws: the medium is too cold.',
  fromItsSurfaceIs: (dayAndTime: Said) =>
    `From ${dayAndTime} its surface is warm by the forecast: that time is spent from its warm hours. Dry it and put it in the cold as soon as it is through.`,
  itLiesInA: (what: Said) => `It lies in a closed pack without oxygen. Open it ${what}.`,
  warmHoursOfSpent: (duration: Said, duration2: Said) =>
    `Warm hours: ${duration} of ${duration2} spent before this thaw is closed.`,
  dateMarkUntil: (dayAndTime: Said) => `Date mark: until ${dayAndTime}.`,
  itIsThrough: 'It is through',
  thawed: 'Thawed',
  weightAfter: 'Weight after',
  beforeWhatIsMissing: (mass: Said) => `${mass} before; what is missing is drip, usually 1 to 5 %.`,
  itWeighsThatHowever: 'It weighs that, however odd',
  thawedFishHasAnother: 'Thawed fish has another date and another place:',
  labelItAgain: 'label it again',
  thaw2: (name: Said) => `Thaw ${name}`,
  beginTheThaw: 'Begin the thaw',
  openItFirstWithout:
    'Open it first: without oxygen botulinum grows from 3.3 °C, and fish packed so and labelled to be kept frozen leaves its pack before a cold thaw (FDA Food Code 3-501.13(E)). Left closed it is not cleared for any route.',
  underRunningWaterIt: 'Under running water it may stay closed only until it is through: open it at once then.',
  itThawsClosedAll: 'It thaws closed all the same, and I answer for it',
  whenItIsThrough: 'When it is through',
  likely: 'likely',
  toDripAboutTo: (dayAndTime: Said, dayAndTime2: Said, what: Said, what2: Said, mass: Said, mass2: Said) =>
    `${dayAndTime} to ${dayAndTime2}. Drip about ${what} to ${what2} %, ${mass} to ${mass2}.`,
  itsSurfacePassesAfter: (temperature: Said, duration: Said, duration2: Said) =>
    `Its surface passes ${temperature} after ${duration}, while the middle still thaws: ${duration2} of warm time. Ready-to-eat portions may not pass 5 °C under water (FDA Food Code 3-501.13(B)): colder water, or thinner pieces.`,
  atThatTemperatureIt: 'At that temperature it does not thaw in any useful time.',
  coldAndSlowKeeps:
    'Cold and slow keeps water in the flesh. Thawed fish for raw service is dated from the day it is opened or thawed; frozen days do not count. Guidance only: your local code decides.',
  atOnceAfterwards: 'at once afterwards',
  fishSink: 'Fish sink',
  drawer: 'Drawer 1',
  giveTheThicknessAnd: 'Give the thickness, and the forecast stands here.'
});

export const forecastDrawing = /* @__PURE__ */ words({
  likelyCore: 'likely core',
  airAtTheFish: 'air at the fish',
  surface: 'surface'
});
