import { words, type Said } from '../speech.ts';

export const ageChart = /* @__PURE__ */ words({
  weightsOfByDay: (name: Said) => `Weights of ${name} by day, with the forecast; the table beside it says the same.`,
  daysOnTheRack: 'days on the rack',
  wantedLost: (percent: Said) => `wanted: ${percent} lost`,
  theWeightsAsA: 'The weights as a table',
  day: 'Day',
  weight: 'Weight',
  lost: 'Lost',
  leftOutItDoes: 'left out: it does not go with the others'
});

export const ageRules = /* @__PURE__ */ words({
  theHousesAgeingRules: 'The house’s ageing rules',
  theyShipAsDays: (wholeDays: Said, filletDays: Said, limitCelsius: Said, warmHours: Said, afterDays: Said) =>
    `They ship as ${wholeDays} days for whole fish, ${filletDays} for fillets, ${limitCelsius} °C for all but ${warmHours} h, ${afterDays} days after the rack. Looser ones ask for a reason, and stand with your name on every verdict they touch.`,
  keepTheseRules: 'Keep these rules',
  daysForWholeFish: 'Days for whole fish',
  daysForFillets: 'Days for fillets',
  cabinetAtMost: 'Cabinet at most',
  warmHoursInAll: 'Warm hours in all',
  daysAfterTheRack: 'Days after the rack',
  dayOfTheDate: 'Day 1 of the date mark is the day it is hung',
  whyLooser: 'Why looser',
  whatHolds: (place: Said) => `What ${place} holds`,
  drawItSo: 'Draw it so',
  hooks: 'Hooks',
  shelves: 'Shelves',
  placesOnAShelf: 'Places on a shelf'
});

export const aged = /* @__PURE__ */ words({
  day: (name: Said, what: Said) => `${name}, day ${what}`,
  hungInAtThen: (dayAndTime: Said, place: Said, what: Said, temperature: Said, what2: Said, mass: Said) =>
    `Hung ${dayAndTime} in ${place}${what} at ${temperature}${what2}; ${mass} then.`,
  lostOfWanted: (percent: Said) => `lost of ${percent} wanted`,
  nineInTen: 'nine in ten',
  aDayNowTo: (mass: Said, mass2: Said) => `a day now (${mass} to ${mass2})`,
  takeItOffThe: (toUpperCase: Said, lookWords: Said) => `${toUpperCase}${lookWords}: take it out of the rack now.`,
  aFishOnThe: (what: Said) => `${what}: a fish on the rack does not gain, nor lose a tenth in a day.`,
  weighedAgainWithinTen: 'Weighed again within ten minutes: counted as one.',
  nobodyLookedAtIt: (missed: Said) => `Nobody looked at it on ${missed}.`,
  theForecastLeansLoss: (leans: Said) =>
    `The forecast leans ${leans}. It loses at one rate while its skin is wet, then less and less, as its weights show.`,
  nothingWeighedOffYet: (what: Said) => `Nothing weighed off yet${what}.`,
  gone: (mass: Said, what: Said) => `${mass} gone${what}`,
  everyReasonAndIts: 'Every reason, and its papers',
  offTheRack: 'Take it out of the rack',
  takeItOff: 'Take it out',
  because: 'Because',
  forText: 'For',
  weighIt: 'Weigh it',
  writeTheWeightDown: 'Write the weight down',
  lookAtIt: 'Look at it',
  last: (dayAndTime: Said, what: Said, what2: Said) => `Last: ${dayAndTime}, ${what}${what2}.`,
  notLookedAtYet: 'Not looked at yet.',
  hungWithoutBeingThe: (unprepared: Said) =>
    `Hung without being ${unprepared}. The rack does not stand for its days on ice.`,
  fromOfItsOwn: (weighIns: Said, what: Said, what2: Said) => `from ${weighIns} ${what} of its own${what2}`,
  fromEarlierFishOf: (earlierFish: Said) =>
    `from ${earlierFish} earlier fish of this house; none of its own weights yet`,
  fromPublishedRangesAlone: 'from published ranges alone: wide until it is weighed once',
  humidityNotRead: ', humidity not read',
  humidity: (what: Said) => `, ${what} % humidity`,
  about: (percent: Said) => `about ${percent}`,
  oneWeightDoesNot: 'One weight does not go with the others and is left out',
  weightsDoNotGo: (length: Said) => `${length} weights do not go with the others and are left out`,
  hungAt: (perKilo: Said) => `; hung at ${perKilo}`,
  whatItCostNobody: '; what it cost, nobody wrote down.',
  ofWhatWasPaid: (money: Said, perKilo: Said, perKilo2: Said) =>
    `, ${money} of what was paid; what is left costs ${perKilo}, ${perKilo2} when it was hung.`,
  itIsWanted: 'it is wanted',
  aSignStoppedIt: 'a sign stopped it',
  noServiceNamed: 'no service named',
  andEarlierFishOf: (earlierFish: Said) => ` and ${earlierFish} earlier fish of this house`
});

export const cabinetAir = /* @__PURE__ */ words({
  itsAirLastDays: 'Its air, last 7 days',
  meanWarmest: (place: Said, temperature: Said, temperature2: Said) =>
    `${place}: mean ${temperature}, warmest ${temperature2}.`,
  meanWarmest2: (temperature: Said, temperature2: Said) => `; mean ${temperature}, warmest ${temperature2}`,
  nobodyReadsThisCabinet:
    'Nobody reads this cabinet. After a day, what hangs in it is not cleared for raw service. Set a sensor, or write its thermometer down daily.',
  answerIt: 'Deal with it',
  itsWholeLog: 'Its whole log',
  tooWarmSince: (dayAndTime: Said) => `Too warm since ${dayAndTime}`,
  silentSince: (dayAndTime: Said) => `Silent since ${dayAndTime}`,
  upTo: (temperature: Said) => `, up to ${temperature}`
});

export const hangForm = /* @__PURE__ */ words({
  whereTheRestWent: 'Where the rest went',
  itWasHeavier: (mass: Said) => `${mass} stand on record.`,
  beforeItHangs: 'Before it hangs',
  whatIsLeftOut: 'Tick what is done. An unprepared fish may not hang longer than its days on ice.',
  onRecord: (mass: Said) => `${mass} on record`,
  hangIt: 'Hang it',
  reaches: (loss: Said, days: Said, from: Said, to: Said) =>
    `It loses ${loss} in about ${days} days (${from} to ${to}).`,
  inTime: (days: Said) => `It may hang ${days} days.`,
  notInTime: (loss: Said, days: Said) => `It does not lose ${loss} within the ${days} days it may hang.`,
  byThen: (loss: Said, from: Said, to: Said) => `About ${loss} by then (${from} to ${to})`,
  takeThat: (loss: Said) => `Aim for ${loss}`,
  hangItUnprepared: 'Hang it unprepared',
  noneOfThem: 'none of them'
});

export const lookForm = /* @__PURE__ */ words({
  writeTheLookDown: 'Write the look down',
  lookedSmeltAndFelt: 'Looked, smelt and felt: all as it should be'
});

export const rack = /* @__PURE__ */ words({
  day: (what: Said) => `day ${what}`,
  onNoPlaceOf: 'On no place of this drawing:'
});

export const rackTable = /* @__PURE__ */ words({
  so: 'What to do',
  day: 'Day',
  lost: 'Lost',
  asWanted: 'As wanted',
  notLookedAtOn: (what: Said) => `not looked at on ${what}`,
  hungUnprepared: 'hung unprepared',
  about: (percent: Said) => `about ${percent}`,
  of: (percent: Said) => `of ${percent}`,
  notWeighedSince: 'not weighed since',
  gone: (money: Said) => `${money} gone`,
  days: (length: Said) => `${length} days`,
  no: 'no',
  notCleared: 'not cleared'
});

export const agePage = /* @__PURE__ */ words({
  age: 'Age',
  noAgeingCabinetYet: 'No ageing cabinet yet. Name one under',
  asACabinetGive: 'as a cabinet, give it a sensor, and it is drawn here with its hooks and shelves.',
  whichForWhen: 'Ready for which service',
  readyIsNineTenths:
    '. Ready means: from nine tenths of the loss you want to three tenths over it, with a raw window open.',
  nothingHangsHerePick: 'Nothing hangs here. Pick a piece below, go through its list, weigh it, and hang it.',
  carryItToAnother: 'Carry it to another place',
  moveIt: 'Move it',
  to: (place: Said, spot: Said) => `To ${place}, ${spot}.`,
  freePlace: 'Free place',
  hangAPiece: 'Hang a piece',
  nothingThatCouldHang: 'Nothing that could hang: a whole or gutted fish, a fillet, a loin.',
  ageingNeedsACabinet:
    'Ageing needs a cabinet that holds its cold, clean fish, and a nose every day; histamine is neither smelt nor cooked away. Spirit burns: none near a flame. Guidance only: your local code and licensed practice decide.',
  noServiceIsPlanned: 'No service is planned: ',
  servicesArePlannedUnder: 'Services are planned under ',
  planOneUnderServe: 'plan one under Serve',
  serve: 'Serve'
});
