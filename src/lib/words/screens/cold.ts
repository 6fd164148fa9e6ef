import * as say from '../say.ts';
import { words, type Said } from '../speech.ts';

export const coldTabs = /* @__PURE__ */ words({
  roomsOfTheCold: 'Freezing and cold',
  freeze: 'Freeze',
  thaw: 'Thaw',
  coldPlaces: 'Cold places',
  loggerFiles: 'Logger files'
});

export const excursionCard = /* @__PURE__ */ words({
  told: (dayAndTime: Said) => `told ${dayAndTime}`,
  upTo: (temperature: Said) => `, up to ${temperature}`,
  limit: (temperature: Said) => `, limit ${temperature}`,
  layThere: 'Inside:',
  nothingThatIsStill: 'Nothing that is still here was inside.',
  closedBy: (dayAndTime: Said, what: Said, word: Said, note: Said) =>
    `Dealt with ${dayAndTime} by ${what}: ${word}. “${note}”`,
  itStillLastsIt: 'It is still going on. Deal with it once a reading is cold again.',
  closeIt: 'Deal with it',
  closeItInMy: 'I dealt with it',
  whatWasDone: 'What was done',
  whatWasFound: 'What was found',
  coreCInThe: 'core 1.8 °C in the thickest piece',
  forNow: (duration: Said) => `for ${duration} now`,
  forText: (duration: Said) => `for ${duration}`,
  oneReading: 'one reading',
  andMore: (what: Said) => ` and ${what} more`
});

export const importJob = /* @__PURE__ */ words({
  howMuchOfThe: 'How much of the file is read',
  stop: 'Stop',
  readingsKeptOfRows: (count: Said) => `readings kept of ${count} rows`,
  twiceOverOfOne: (what: Said, count: Said, count2: Said, count3: Said) =>
    `${what}; ${count} twice over, ${count2} of one instant with another figure (the warmer kept), ${count3} gaps`,
  notTaken: 'Not taken',
  anotherFile: 'Another file',
  rowsRead: 'rows read',
  readingsKept: 'readings kept',
  to: (dayAndTime: Said, dayAndTime2: Said) => `${dayAndTime} to ${dayAndTime2}`,
  wereKnownAlready: (count: Said) => `${count} were known already. `,
  rowsStoodBeforeTheir: (count: Said) => `${count} rows stood before their time. `,
  rowsLieInThe: (count: Said) => `${count} rows lie in the hour that autumn repeats: taken in the file’s order.`,
  row: (row: Said, what: Said) => `row ${row}${what}`
});

export const placeForm = /* @__PURE__ */ words({
  drawerLeft: 'Drawer 2, left',
  setPoint: 'Set point',
  whatMovesTheAir: 'What moves the air',
  roomLitres: 'Room, litres',
  coolingPowerW: 'Cooling power, W',
  heatItCarriesOff: 'Heat it carries off, not what it draws.',
  tooWarmAbove: 'Too warm above',
  emptyTheRuleBooks: 'Empty: the rule book’s limit for its kind.',
  longerThanMin: 'Longer than, min',
  doorsAndDefrostsShorter: 'Shorter stays warm (a door, a defrost) are no alarm.',
  setItSo: 'Keep it',
  nameThisPlace: 'Name this place',
  calledOtherwiseItStays: 'A new name changes nothing else: it is the same place, with what is in it.',
  asUsualForIts: 'as usual for its kind'
});

export const sensorForm = /* @__PURE__ */ words({
  sensor: 'Sensor',
  chestAir: 'Chest air',
  asItsLoggerCalls: 'As its logger calls it.',
  standsIn: 'Stands in',
  reads: 'Reads',
  accurateToC: 'Accurate to ± °C',
  calibratedOn: 'Calibrated on',
  setItSo: 'Keep it',
  nameThisSensor: 'Name this sensor',
  nowhereYet: 'nowhere yet',
  theAir: 'the air',
  aCoreItsProbe: 'a core: its probe stands in fish'
});

export const freezeImportPage = /* @__PURE__ */ words({
  loggerFiles: 'Logger files',
  aFileOfReadings: 'A file of readings',
  csvAsALogger:
    'CSV as a logger writes it: any delimiter, comma or point, °C or °F, unsorted or with gaps. You see it first; nothing is kept until you say so.',
  noSensorIsNamed: 'No sensor is named yet.',
  nameOneUnderCold: 'Name one under Cold places',
  first: 'first.',
  fileToMb: 'File, to 200 MB',
  orPasteItsLines: 'Or paste its lines',
  timeAirC: 'time;air °C 2026-03-12 18:00;-22,4',
  lookAtIt: 'Look at it',
  handingItOver: 'Handing it over…',
  takenInBefore: 'Taken in before',
  ofRows: (count: Said, count2: Said, what: Said, what2: Said) => `${count} of ${count2} rows${what}${what2}`,
  noFileYet: 'No file yet.',
  aFewReadingsTyped: 'A few readings, typed',
  keepThem: 'Keep them',
  sensor: 'Sensor',
  readingsALineEach: 'Readings: a line each, time then °C',
  kb: (toLocaleString: Said, what: Said) => `${toLocaleString} kB${what}`,
  columnsPartedBy: 'Columns parted by',
  linesAboveTheReadings: 'Lines above the readings',
  timesAreWritten: 'Times are written',
  dayOrMonthFirst: 'Day or month first: both fit. Say which.',
  theLoggersClockKeeps: 'The logger’s clock keeps',
  sayWhichZone: 'say which zone…',
  itsTimesNameNo: 'Its times name no zone.',
  decimalMark: 'Decimal mark',
  point: 'point',
  comma: 'comma',
  itsClockWasBehind: 'Its clock was behind by, min',
  aheadAMinusEmpty: 'Ahead: a minus. Empty: it was right.',
  row: 'Row',
  sensorOf: (heading: Said) => `Sensor of ${heading}`,
  leaveOut: 'leave out',
  unitOf: (heading: Said) => `Unit of ${heading}`,
  understoodAs: 'Understood as',
  ofTheFirstRows: (bad: Said, length: Said) => `${bad} of the first ${length} rows cannot be taken as it stands.`,
  stillToSay: (unsaid: Said) => `Still to say: ${unsaid}.`,
  takeItIn: 'Receive it',
  anotherFile: 'Another file',
  anUprightLine: 'an upright line',
  whichSensorAColumn: 'which sensor a column is of',
  inWhichZoneThe: 'in which zone the logger keeps its clock',
  notBelievedOrNot: (count: Said) => `; ${count} not believed or not read`,
  readAsTheLast: '; read as the last file with these headings',
  columnsGuessed: '; columns guessed',
  asTheHouse: (each: Said) => `${each}, as the house`,
  day: 'day',
  time: 'time'
});

export const freezePlacesPage = /* @__PURE__ */ words({
  toDealWith: 'To deal with',
  noPlaceIsNamed:
    'No place is named yet. Name the freezers, fridges and drawers below, then their sensors: from then on every piece’s clocks run by the air it really lay in, and not by an assumed 2 °C.',
  notColdTimeHere: 'Not cold: time here counts against the fish.',
  silentSinceWhatIt: (moment: Said) => `Silent since ${moment}: what it was since is not known.`,
  nothingHasReadIt: 'Nothing has read it: its cold proves nothing yet.',
  nothingHasReadItFish: (temperature: Said) =>
    `Nothing has read it: fish here is taken as ${temperature}, an assumption.`,
  theLogOf: (name: Said) => `The log of ${name}`,
  nothingLiesHere: 'Nothing lies here.',
  cReadings: (name: Said, probe: Said, accuracy: Said, what: Said, what2: Said, toLocaleString: Said) =>
    `${name}: ${probe}, ±${accuracy} °C, ${what}${what2}, ${toLocaleString} readings`,
  readItsThermometer: 'Read its thermometer',
  itShows: 'It shows',
  setItUp: 'Set it up',
  takeOffTheList: 'Take off the list',
  takeOffTheList2: (name: Said) => `Take ${name} off the list`,
  notOnTheList:
    'Not on the list of places: nobody knows how cold it is there, and what lies there spends its time in the warm.',
  aNewPlace: 'A new place',
  aNewSensor: 'A new sensor',
  standingNowhere: (name: Said) => `${name}, standing nowhere`,
  itsReadingsComeAs: 'Its readings come as',
  aLoggersFile: 'a logger’s file',
  liveFromALogger: ', live from a logger with a key, or from your own eye on the thermometer.',
  loggersThatSend: 'Loggers that send',
  keyTakenBack: (reason: Said) => `key taken back: “${reason}”`,
  takeItsKeyBack: 'Take its key back',
  takeItBack: 'Undo it',
  lostOnTheQuay: 'lost on the quay',
  noneHasAKey: 'None has a key yet.',
  moreReadingsOfNot: (count: Said, sensor: Said, causeWords: Said) =>
    `${count} more readings of ${sensor} not believed, ${causeWords}.`,
  giveALoggerA: 'Give a logger a key',
  giveItAKey: 'Give it a key',
  giveItANewKey: 'Give it a new key',
  itSendsFor: 'It sends for',
  sendsFor: (names: readonly string[]) => `sends for ${say.list(names)}`,
  nameASensorFirst: 'Name its sensors first.',
  theKeyWasSaidOnce: 'Its key was said once, when it was made, and is kept nowhere. Give it a new one.',
  logger: 'Logger',
  chestFreezerLogger: 'Chest freezer logger',
  copyItIntoThe: 'Copy its key into the logger now. It is said this once and kept nowhere:',
  setTo: (temperature: Said) => `, set to ${temperature}`,
  readBy: (what: Said) => `, read by ${what}`,
  above: (temperature: Said) => `, above ${temperature}`,
  calibrated: (calibratedOn: Said) => `calibrated ${calibratedOn}`,
  neverCalibratedHere: 'never calibrated here'
});

export const freezePlacesOnePage = /* @__PURE__ */ words({
  tooWarmAboveFor: (word: Said, what: Said, temperature: Said, graceMinutes: Said) =>
    `${word}${what}; too warm above ${temperature} for more than ${graceMinutes} min.`,
  setItUp: 'Set it up',
  itsLog: 'Its log',
  readingsEveryExtremeIs: (toLocaleString: Said) =>
    `${toLocaleString} readings; every extreme is in the drawing, however far out.`,
  nothingHasReadIt: 'Nothing has read it yet.',
  nameASensor: 'Name a sensor',
  then: ', then',
  takeInItsFile: 'take in its file',
  orLetItSend: ', or let it send.',
  whatWasWrong: 'What was wrong',
  closeItUnderCold: 'Close it under Cold places',
  nothingInTheLast: 'Nothing in the last five weeks.',
  whoLayHere: 'Who lay here',
  to: (dayAndTime: Said, what: Said) => `${dayAndTime} to ${what}`,
  nobodyHasSaidOf: 'Nobody has said of anything that it lies here.',
  airTheWarmestSensor: 'air, the warmest sensor',
  air: 'air',
  setTo: (temperature: Said) => `, set to ${temperature}`
});
