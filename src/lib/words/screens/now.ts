import type { Danger, Station } from '../../core/service/danger.ts';
import * as say from '../say.ts';
import { words, type Said } from '../speech.ts';

export const nowPage = /* @__PURE__ */ words({
  now: 'Now',
  theBoardsAreClear: 'The boards are clear',
  noFishInThe: 'No fish in the house yet. Receive the first box: its windows and clocks start here.',
  nobodyIsOnThe: 'Nobody is on the list yet:',
  addYourselfInHouse: 'add yourself in House',
  first: 'first.',
  handsNow: 'To do now',
  nothingToDo: 'Nothing to do in the next hours.',
  nothingOfYours: 'Nothing that you had in hand waits. What others began is under “Worst first”.',
  since: (moment: Said) => `since ${moment}`,
  at: (moment: Said) => `at ${moment}`,
  lasts: 'goes on',
  answer: 'deal with it',
  inside: (count: number) =>
    count === 0 ? 'nothing inside' : `${say.plural(count, { one: 'piece', other: 'pieces' })} inside`,
  upTo: (temperature: Said) => `, up to ${temperature}`,
  waits: 'waiting',
  inPlace: (place: Said) => `in ${place}`,
  orderedBy: 'In which order',
  worstFirst: 'Worst first',
  byStation: 'By station',
  byPlace: 'By place',
  mine: 'Mine',
  nowhereSaid: 'Nobody said where',
  toRead: (count: number) => say.plural(count, { one: 'place to read', other: 'places to read' }),
  unreadIsNotCold: 'Unread is not cold.',
  papersOf: (count: number, supplier: Said) =>
    `${say.plural(count, { one: 'paper', other: 'papers' })} from ${supplier}`,
  nobodyNamed: 'a supplier nobody named',
  beforeService: (name: Said, moment: Said) => `Before service (${name}, ${moment})`,
  tonight: 'Tonight',
  later: 'Later',
  papersWanted: 'Papers wanted',
  timeIsUp: 'time is up',
  everyWindowIsClosed: 'every window is closed',
  binAll: (grams: Said) => `Bin all ${grams}`,
  binIt: 'Bin it',
  finishIt: 'Finish it',
  moveIt: 'Move it',
  serveIt: 'Serve it',
  freezeIt: 'Freeze it',
  lookAtIt: 'Inspect it',
  attachIt: 'Attach it',
  cutOne: 'Cut one',
  takeItOut: 'Take it out',
  itIsDone: 'It is done',
  openIt: 'Open it',
  printIt: 'Print it',
  readItsCore: 'Read its core',
  sharpenedOnStones: 'Sharpened, on the stones',
  allAsItShouldBe: 'All as it should be',
  write: 'Write',
  itReads: 'It reads',
  itWeighs: 'It weighs',
  coreIsCold: 'Core read: cold',
  doorIsShut: 'Door shut',
  sensorIsMended: 'Sensor mended',
  clockStartedAgain: 'Started again',
  otherAnswer: 'Something else'
});

/** Why something stands where it does, in its row; what waits for an hour says the hour. */
export const DANGER_WORDS: Readonly<Record<Danger, string>> = /* @__PURE__ */ words({
  'running-out': 'runs out',
  'too-warm': 'too warm',
  'warm-hours': 'uses up its time',
  moment: 'its moment',
  shut: 'shut',
  unread: 'unread',
  'before-service': '',
  tonight: '',
  later: '',
  paper: ''
});

/** Where work is done. */
export const STATION_NAMES: Readonly<Record<Station, string>> = /* @__PURE__ */ words({
  board: 'Board',
  cold: 'Cold places',
  freeze: 'Freezer and thaw',
  cure: 'Cure',
  acid: 'Acid',
  age: 'Rack',
  rice: 'Rice',
  serve: 'Counter',
  papers: 'Papers'
});
